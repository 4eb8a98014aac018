<script lang="ts">
  import { onMount } from 'svelte';
  import { fieldId } from '$lib/job/reach';
  import { stageTitles } from '@pilgrim/core/ground/stage-names';
  import { fieldNames } from '$lib/job/sheets';
  import type { ViewProps } from '$lib/stages/views';

  let { store, hydrated, base }: Pick<ViewProps, 'store' | 'hydrated' | 'base'> = $props();

  const suspicions = $derived(store.solution.details.suspicions);

  let names = $state.raw<ReadonlyMap<string, string>>(new Map());
  onMount(async () => (names = await fieldNames(stageTitles)));

  const href = (field: string): string => `${base}/${field.split('.')[0] ?? ''}#${fieldId(field)}`;
  const marks = { 'speaks for it': '△', 'speaks against it': '✓', nothing: '·' } as const;
  const colours = { 'speaks for it': 'text-caution', 'speaks against it': 'text-good', nothing: 'text-quiet' } as const;
  const verdicts = [
    ['open', 'Open'],
    ['found', 'Found'],
    ['cleared', 'Cleared'],
  ] as const;
</script>

{#if suspicions.length > 0}
  <section class="rounded-lg border bg-card" aria-label="Causes to check">
    <h2 class="border-b px-4 py-2 text-sm font-semibold text-quiet">
      Causes to check before it is replaced · what a found cause changes goes into the selection
    </h2>
    <ul class="divide-y">
      {#each suspicions as each (each.id)}
        <li class="grid gap-x-4 gap-y-1 px-4 py-2" data-cause={each.id}>
          <div class="min-w-0">
            <p class="font-semibold">{each.name}</p>
            <p class={`text-sm ${colours[each.reading]}`}>
              {marks[each.reading]}
              {each.reading === 'nothing'
                ? `To check: ${each.proof.toLowerCase()}.`
                : `${each.evidence} (${each.reading}).`}
              {#if each.reading === 'nothing'}
                <a class="text-sea underline" href={href(each.field)}>{names.get(each.field) ?? each.field}</a>
              {/if}
            </p>
            <p class="text-sm text-quiet">
              {each.verdict === 'found' ? 'Goes into the order: ' : 'If found: '}{each.order.join('; ')}.
            </p>
          </div>
          <fieldset class="flex items-start gap-1" disabled={!hydrated}>
            <legend class="sr-only">{each.name}</legend>
            {#each verdicts as [verdict, label] (verdict)}
              <label
                class={`flex min-h-11 cursor-pointer items-center gap-1.5 rounded-lg border px-2.5 text-sm ${each.verdict === verdict ? (verdict === 'found' ? 'border-caution bg-caution-wash' : 'border-sea bg-wash') : ''}`}
              >
                <input
                  type="radio"
                  name={`cause-${each.id}`}
                  checked={each.verdict === verdict}
                  onchange={() => store.set(`situation.causes.${each.id}`, verdict === 'open' ? undefined : verdict)}
                />{label}</label
              >
            {/each}
          </fieldset>
        </li>
      {/each}
    </ul>
  </section>
{/if}
