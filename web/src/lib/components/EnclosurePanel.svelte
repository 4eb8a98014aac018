<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from './TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const enclosures = $derived(store.solution.details.enclosures);

  const looks = {
    chosen: ['✓ chosen', 'font-semibold text-good'],
    possible: ['possible', ''],
    'ruled out': ['✕ ruled out', 'text-stop'],
  } as const;
</script>

<TableCard label="Motor enclosures" caption="Enclosures considered, by both families of codes">
  <thead>
    <tr class="text-left text-quiet">
      <th scope="col" class="px-3 py-1.5 font-normal">Enclosure</th>
      <th scope="col" class="px-3 font-normal">IP</th>
      <th scope="col" class="px-3 font-normal">Cooling</th>
      <th scope="col" class="px-3 font-normal">Verdict</th>
      <th scope="col" class="px-3 font-normal">Why</th>
    </tr>
  </thead>
  <tbody>
    {#each enclosures as each (each.code)}
      <tr class={`border-t align-top ${each.verdict === 'chosen' ? 'bg-wash' : ''}`} data-enclosure={each.code}>
        <th scope="row" class="px-3 py-1.5 text-left"
          >{each.code}<span class="block text-xs font-normal text-quiet">{each.name}</span></th
        >
        <td class="px-3 py-1.5 whitespace-nowrap">{each.ip}</td>
        <td class="px-3 py-1.5 whitespace-nowrap">{each.ic}</td>
        <td class={`px-3 py-1.5 whitespace-nowrap ${looks[each.verdict][1]}`}>{looks[each.verdict][0]}</td>
        <td class="px-3 py-1.5">{each.why}</td>
      </tr>
    {/each}
  </tbody>
</TableCard>
