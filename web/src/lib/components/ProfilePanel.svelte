<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import Field from './Field.svelte';

  let { store, hydrated }: { store: JobStore; hydrated: boolean } = $props();

  const points = $derived(store.document.profile.points);
</script>

<section class="mt-6" aria-label="Hours at each flow">
  <h2 class="mb-2 text-sm font-semibold text-quiet">Hours a year at each flow</h2>
  <div class="space-y-2">
    {#each points.keys() as index (index)}
      <div class="flex items-start gap-2">
        <div class="w-32">
          <Field
            {store}
            {hydrated}
            field={{ path: `profile.points.${index}.flow`, label: 'Flow', kind: 'text', placeholder: '70 %' }}
          />
        </div>
        <div class="grow">
          <Field
            {store}
            {hydrated}
            field={{ path: `profile.points.${index}.hours`, label: 'Hours', kind: 'text', placeholder: '2000 h' }}
          />
        </div>
        <Button
          color="alternative"
          class="mt-6 min-h-11 text-ink!"
          disabled={!hydrated}
          aria-label={`Remove step ${index + 1}`}
          onclick={() => store.removePoint(index)}>Remove</Button
        >
      </div>
    {/each}
  </div>
  <Button color="alternative" class="mt-2 min-h-11 text-ink!" disabled={!hydrated} onclick={() => store.addPoint()}
    >Add a step</Button
  >
</section>
