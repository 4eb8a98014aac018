<script lang="ts">
  import { waysIn } from '@pilgrim/core/stages/task/requested';
  import { termIn } from '@pilgrim/core/kernel/term';
  import { fields } from '@pilgrim/core/stages/task/fields';
  import { fieldId } from '$lib/job/reach';
  import type { ViewProps } from '$lib/stages/views';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const chosen = $derived(store.document.situation.kind);
</script>

<!-- The question a job begins with, as cards: what each asks for first, and what comes out of it. -->
<fieldset data-field="situation.kind">
  <legend class="sr-only">{termIn(fields.kind.label, store.school)}</legend>
  <div class="mb-3 grid gap-2 sm:grid-cols-3 lg:grid-cols-5">
    {#each fields.kind.options as [kind, name] (kind)}
      <label
        class={`flex cursor-pointer flex-col rounded-lg border-2 bg-card p-2 text-xs leading-4 hover:bg-wash has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-sea ${kind === chosen ? 'border-copper' : ''}`}
        data-kind={kind}
      >
        <span class="flex items-start justify-between gap-1 text-sm leading-4.5 font-semibold"
          >{termIn(name, store.school)}<input
            type="radio"
            id={kind === chosen ? fieldId('situation.kind') : undefined}
            class="mt-0.5 size-4 shrink-0 focus:ring-0"
            name="situation-kind"
            checked={kind === chosen}
            onchange={() => store.set('situation.kind', kind)}
          /></span
        >
        <span class="mt-1 text-quiet">Asks: {waysIn[kind].asks}</span>
        <span class="mt-auto pt-1">Gives: {waysIn[kind].gives}</span>
      </label>
    {/each}
  </div>
</fieldset>
