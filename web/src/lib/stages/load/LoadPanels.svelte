<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import CurvePanel from './CurvePanel.svelte';
  import DutyPanel from './DutyPanel.svelte';
  import Late from '$lib/components/Late.svelte';
  import LogPanel from './LogPanel.svelte';
  import PoleCards from './PoleCards.svelte';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const details = $derived(store.solution.details);
  const way = $derived(store.document.load.way);
  const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits).replace('-', '−')} %`;
  const head = 'px-3 py-1.5 font-normal';
</script>

<Late><PoleCards {store} /></Late>
{#if way === 'curve'}<CurvePanel {store} />{/if}
{#if way === 'duty'}<DutyPanel {store} />{/if}
<Late><LogPanel {store} /></Late>
{#if details.sizes.length > 0}
  <TableCard label="Ratings" caption="Effect of a larger rating at this load">
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class={head}>Rating</th>
        <th scope="col" class={`${head} text-right`}>Load factor</th>
        <th scope="col" class={`${head} text-right`}>Efficiency at load</th>
        <th scope="col" class={`${head} text-right`}>Power factor at load</th>
      </tr>
    </thead>
    <tbody>
      {#each details.sizes as size (size.size)}
        <tr class={`border-t ${size.chosen ? 'bg-wash' : ''}`} data-size={size.size}>
          <th scope="row" class="px-3 py-2 text-left font-semibold"
            >{size.size}{#if size.chosen}<span class="font-normal text-sea">&nbsp;· taken</span>{/if}</th
          >
          <td class={`px-3 text-right ${size.loadShare > 1 ? 'font-semibold text-stop' : ''}`}
            >{percent(size.loadShare)}{size.loadShare > 1 ? ', overloaded' : ''}</td
          >
          <td class="px-3 text-right">{percent(size.efficiency, 1)}</td>
          <td class="px-3 text-right">{size.powerFactor.toFixed(2)}</td>
        </tr>
      {/each}
    </tbody>
  </TableCard>
{/if}
