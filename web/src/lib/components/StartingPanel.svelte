<script lang="ts">
  import TableCard from './TableCard.svelte';
  import type { PanelProps } from '$lib/job/stage-panels';

  let { store }: PanelProps = $props();

  const solution = $derived(store.solution);
  const chosen = $derived(solution.values['starting.method']?.text);
</script>

{#if solution.details.starting.length > 0}
  <TableCard label="Ways to start" caption="Ways to start, the least costly first" class="mt-6 lg:col-span-2">
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class="px-4 py-1.5 font-normal">Way</th>
        <th scope="col" class="px-2 text-right font-normal">Line current</th>
        <th scope="col" class="px-2 text-right font-normal">Torque, of rated</th>
        <th scope="col" class="px-2 text-right font-normal">Dip at bus</th>
        <th scope="col" class="px-2 text-right font-normal">at motor</th>
        <th scope="col" class="px-4 font-normal">Verdict</th>
      </tr>
    </thead>
    <tbody>
      {#each solution.details.starting as way (way.method)}
        <tr class={`border-t align-top ${way.method === chosen ? 'bg-wash' : ''}`} data-method={way.method}>
          <th scope="row" class="px-4 py-2 text-left font-semibold"
            >{way.method}{#if way.method === chosen}<span class="font-normal text-sea">&nbsp;· chosen</span>{/if}</th
          >
          <td class="px-2 py-2 text-right whitespace-nowrap">{way.text.current}</td>
          <td class="px-2 py-2 text-right whitespace-nowrap">{way.text.torque}</td>
          <td class="px-2 py-2 text-right whitespace-nowrap">{way.text.dip}</td>
          <td class="px-2 py-2 text-right whitespace-nowrap">{way.text.terminalDip}</td>
          <td class="px-4 py-2">
            {#if way.passes}<span class="text-good">✓ passes what is known</span>
            {:else}<span class="text-stop">✕ {way.failures.join('; ')}</span>{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </TableCard>
{/if}
