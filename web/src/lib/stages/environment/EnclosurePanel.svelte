<script lang="ts">
  import { criteria } from '@pilgrim/core/stages/environment/motor-enclosures';
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const enclosures = $derived(store.solution.details.enclosures);
  /** What stands against some enclosure here. */
  const shown = $derived(criteria.filter((each) => enclosures.some(({ against }) => against.includes(each))));

  const looks = {
    chosen: ['✓ chosen', 'font-semibold text-good'],
    possible: ['possible', ''],
    'ruled out': ['✕ ruled out', 'text-stop'],
  } as const;
</script>

<TableCard label="Motor enclosures" caption="Motor enclosures for this environment; ✕ marks what excludes one">
  <thead>
    <tr class="text-left align-bottom text-quiet">
      <th scope="col" class="px-3 py-1.5 font-normal">Enclosure, verdict and reason</th>
      {#each shown as each (each)}<th scope="col" class="px-1.5 py-1.5 text-center font-normal first-letter:uppercase"
          >{each}</th
        >{/each}
    </tr>
  </thead>
  <tbody>
    {#each enclosures as each (each.code)}
      <tr class={`border-t align-top ${each.verdict === 'chosen' ? 'bg-wash' : ''}`} data-enclosure={each.code}>
        <th scope="row" class="px-3 py-1.5 text-left font-normal">
          <span class="flex justify-between gap-2"
            ><strong>{each.code}</strong><span class={`whitespace-nowrap ${looks[each.verdict][1]}`}
              >{looks[each.verdict][0]}</span
            ></span
          >
          <span class="block text-xs text-quiet">{each.name} · {each.ip}, {each.ic}</span>
          {each.why}
        </th>
        {#each shown as criterion (criterion)}
          {@const stands = each.against.includes(criterion)}
          <td class={`border-s px-1.5 py-1.5 text-center ${stands ? 'bg-stop-wash font-bold text-stop' : 'text-quiet'}`}
            ><span aria-hidden="true">{stands ? '✕' : '·'}</span><span class="sr-only"
              >{stands ? 'stands against it' : 'nothing against it'}</span
            ></td
          >
        {/each}
      </tr>
    {/each}
  </tbody>
</TableCard>
