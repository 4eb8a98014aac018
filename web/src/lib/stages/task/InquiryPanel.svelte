<script lang="ts">
  import { fieldId } from '$lib/job/reach';
  import { stageTitles, type StageName } from '@pilgrim/core/kernel/stage-list';
  import { fieldNames } from '$lib/job/sheets';
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store, base }: Pick<ViewProps, 'store' | 'base'> = $props();

  const suspicions = $derived(store.solution.details.suspicions);
  /** What can be read or typed, in the order the causes ask for it. */
  const readings = $derived([...new Set(suspicions.flatMap((each) => each.readings.map(({ field }) => field)))]);

  let names = $state.raw<ReadonlyMap<string, string>>(new Map());
  $effect(() => {
    const stages = [...new Set(readings.map((field) => field.split('.')[0] as StageName))];
    if (stages.length > 0) void fieldNames(stageTitles, store.school, stages).then((all) => (names = all));
  });

  const href = (field: string): string => `${base}/${field.split('.')[0] ?? ''}#${fieldId(field)}`;
  const nameOf = (field: string): string => names.get(field) ?? field;
  const marks = {
    'speaks for it': ['△', 'text-caution bg-caution-wash'],
    'speaks against it': ['✓', 'text-good bg-good-wash'],
    nothing: ['?', 'text-sea'],
  } as const;
  const said = { 'speaks for it': 'speaks for it', 'speaks against it': 'clears it', nothing: 'would tell' } as const;
  const verdicts = [
    ['open', 'Open'],
    ['found', 'Found'],
    ['cleared', 'Cleared'],
  ] as const;
</script>

{#if suspicions.length > 0}
  <TableCard
    label="Causes to check"
    caption="Causes to check before replacement: △ supports the cause, ✓ excludes it, ? needs a reading"
  >
    <thead>
      <tr class="align-bottom text-quiet">
        <th scope="col" class="px-3 py-1.5 text-left font-normal">Cause and its effect on the selection</th>
        {#each readings as field (field)}
          <th scope="col" class="w-8 p-0 font-normal pointer-coarse:w-11">
            <a
              class="mx-auto block h-32 rotate-180 py-1.5 text-xs leading-4 text-sea [writing-mode:vertical-rl] hover:underline"
              href={href(field)}>{nameOf(field).replace(/^.*?: /, '')}</a
            >
          </th>
        {/each}
        <th scope="col" class="px-2 py-1.5 text-left font-normal">Verdict</th>
      </tr>
    </thead>
    <tbody>
      {#each suspicions as each (each.id)}
        <tr class="border-t" data-cause={each.id}>
          <th scope="row" class="px-3 py-1.5 text-left font-normal">
            <span class="font-semibold">{each.name}</span>
            {#if each.evidence}<span class={`block ${each.reading === 'speaks for it' ? 'text-caution' : 'text-good'}`}
                >{marks[each.reading][0]} {each.evidence}</span
              >{:else}<span class="block">To check: {each.proof.toLowerCase()}</span>{/if}
            <span class="block text-quiet"
              >{each.verdict === 'found' ? 'Goes into the order: ' : 'Changes: '}{each.order.join('; ')}</span
            >
          </th>
          {#each readings as field (field)}
            {@const reading = each.readings.find((one) => one.field === field)}
            <td class="border-s p-0 text-center">
              {#if reading}<a
                  class={`flex h-9 items-center justify-center font-semibold pointer-coarse:h-11 ${marks[reading.says][1]}`}
                  href={href(field)}
                  title={`${nameOf(field)}: ${said[reading.says]}`}
                  ><span aria-hidden="true">{marks[reading.says][0]}</span><span class="sr-only"
                    >{nameOf(field)}: {said[reading.says]}</span
                  ></a
                >{/if}
            </td>
          {/each}
          <td class="border-s px-2 py-1">
            <fieldset class="grid">
              <legend class="sr-only">{each.name}</legend>
              {#each verdicts as [verdict, label] (verdict)}
                <label
                  class={`flex min-h-7 cursor-pointer items-center gap-1.5 rounded px-1.5 pointer-coarse:min-h-11 ${each.verdict === verdict ? (verdict === 'found' ? 'bg-caution-wash' : 'bg-wash') : ''}`}
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
          </td>
        </tr>
      {/each}
    </tbody>
  </TableCard>
{/if}
