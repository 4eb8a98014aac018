<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';

  interface Refused {
    readonly id: string;
    readonly name: string;
    readonly reason: string;
  }
  interface Props {
    title: string;
    refused: readonly Refused[];
    /** How many more there are, and why none of them comes near. */
    others?: readonly { readonly reason: string; readonly count: number }[];
    hydrated: boolean;
  }
  let { title, refused, others = [], hydrated }: Props = $props();

  const STEP = 50;
  let shown = $state(8);
</script>

{#if refused.length > 0 || others.length > 0}
  <section class="mt-6" aria-label={title}>
    <h2 class="mb-1 text-sm font-semibold text-quiet">{title}</h2>
    <ul class="divide-y rounded-lg border bg-card text-sm">
      {#each refused.slice(0, shown) as item (item.id)}
        <li class="flex flex-wrap gap-x-3 px-4 py-1.5">
          <span class="w-64 shrink-0">{item.name}</span><span class="text-quiet">{item.reason}</span>
        </li>
      {/each}
      {#each others as { reason, count } (reason)}
        <li class="flex flex-wrap gap-x-3 px-4 py-1.5 text-quiet">
          <span class="w-64 shrink-0">{count} more</span><span>{reason}</span>
        </li>
      {/each}
    </ul>
    {#if refused.length > shown}
      <Button color="alternative" class="mt-2 min-h-11 text-ink!" disabled={!hydrated} onclick={() => (shown += STEP)}
        >Show more of {refused.length}</Button
      >
    {/if}
  </section>
{/if}
