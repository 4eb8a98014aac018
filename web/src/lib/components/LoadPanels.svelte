<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import { formatQuantity } from '@pilgrim/core/ground/quantity/format';
  import CurvePanel from './CurvePanel.svelte';
  import DutyPanel from './DutyPanel.svelte';
  import LogPanel from './LogPanel.svelte';
  import TableCard from './TableCard.svelte';
  import TransmissionPanel from './TransmissionPanel.svelte';

  let { store, hydrated }: Pick<ViewProps, 'store' | 'hydrated'> = $props();

  const details = $derived(store.solution.details);
  const school = $derived(store.document.school);
  const way = $derived(store.document.load.way);
  const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits).replace('-', '−')} %`;
  const head = 'px-3 py-1.5 font-normal';
  const pulled = $derived(details.poles.some((choice) => choice.bearing !== ''));
  const sheaved = $derived(details.poles.some((choice) => choice.leastSheave !== undefined));
</script>

{#if way === 'curve'}<CurvePanel {store} {hydrated} />{/if}
{#if way === 'duty'}<DutyPanel {store} {hydrated} />{/if}
<TransmissionPanel {store} {hydrated} />
<LogPanel {store} {hydrated} />
{#if details.poles.length > 0}
  <TableCard label="Number of poles" caption="Poles compared, for this torque and speed">
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class={head}>Poles</th>
        <th scope="col" class={`${head} text-right`}>Turns at</th>
        <th scope="col" class={`${head} text-right`}>Rated torque</th>
        <th scope="col" class={head}>Frame</th>
        <th scope="col" class={`${head} text-right`}>Efficiency</th>
        <th scope="col" class={`${head} text-right`}>Ratio needed, speed off</th>
        {#if pulled}<th scope="col" class={`${head} text-right`}>Pull, bearing{sheaved ? ', least sheave' : ''}</th
          >{/if}
        <th scope="col" class={`${head} text-right`}>Cost</th>
      </tr>
    </thead>
    <tbody>
      {#each details.poles as choice (choice.poles)}
        <tr class={`border-t ${choice.chosen ? 'bg-wash' : ''}`} data-poles={choice.poles}>
          <th scope="row" class="min-w-32 px-3 py-2 text-left font-semibold"
            >{choice.poles}{#if choice.chosen}<span class="font-normal text-sea">&nbsp;· taken</span>{/if}<span
              class="block text-xs font-normal text-quiet">{choice.advice}</span
            ></th
          >
          <td class="px-3 text-right whitespace-nowrap">{formatQuantity(choice.speed, 'speed', school)}</td>
          <td class="px-3 text-right whitespace-nowrap">{formatQuantity(choice.torque, 'torque', school)}</td>
          <td class="px-3 whitespace-nowrap">{choice.frame || '–'}</td>
          <td class="px-3 text-right whitespace-nowrap"
            >{choice.efficiency === undefined ? '–' : percent(choice.efficiency, 1)}</td
          >
          <td class="px-3 text-right whitespace-nowrap"
            >{choice.ratioNeeded.toFixed(2)}<span class="block text-xs text-quiet"
              >{choice.speedError > 0 ? '+' : ''}{percent(choice.speedError, 1)}</span
            ></td
          >
          {#if pulled}<td class="px-3 text-right whitespace-nowrap"
              >{choice.sidePull === undefined
                ? ''
                : `${formatQuantity(choice.sidePull, 'force', school)}, `}{choice.bearing}{#if sheaved}<span
                  class="block text-xs text-quiet"
                  >{choice.leastSheave === undefined
                    ? 'no sheave named'
                    : `≥ ${formatQuantity(choice.leastSheave, 'length', school)}`}</span
                >{/if}</td
            >{/if}
          <td class="px-3 text-right whitespace-nowrap"
            >{choice.cost === undefined ? '–' : `× ${choice.cost.toFixed(2)}`}</td
          >
        </tr>
      {/each}
    </tbody>
  </TableCard>
{/if}
{#if details.sizes.length > 0}
  <TableCard label="Sizes" caption="What a larger size would cost at this load">
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class={head}>Size</th>
        <th scope="col" class={`${head} text-right`}>Load on it</th>
        <th scope="col" class={`${head} text-right`}>Efficiency there</th>
        <th scope="col" class={`${head} text-right`}>Power factor there</th>
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
