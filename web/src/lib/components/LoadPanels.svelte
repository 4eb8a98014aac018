<script lang="ts">
  import type { PanelProps } from '$lib/job/stage-panels';
  import { loadChart } from '$lib/charts/load-chart';
  import { formatQuantity } from '@pilgrim/core/ground/quantity/format';
  import Chart from './Chart.svelte';
  import CurvePanel from './CurvePanel.svelte';
  import DutyPanel from './DutyPanel.svelte';
  import LogPanel from './LogPanel.svelte';
  import TableCard from './TableCard.svelte';
  import TransmissionPanel from './TransmissionPanel.svelte';

  let { store, hydrated }: PanelProps = $props();

  const details = $derived(store.solution.details);
  const school = $derived(store.document.school);
  const way = $derived(store.document.load.way);
  const running = $derived.by(() => {
    const torque = store.solution.values['load.motorTorque']?.value;
    const speed = store.solution.values['load.motorSpeed']?.value;
    return typeof torque === 'number' && typeof speed === 'number' ? { torque, speed } : undefined;
  });
  const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits).replace('-', '−')} %`;
  /** Eleven points of the curve for the table behind the chart. */
  const sampled = $derived.by(() => {
    const curve = details.loadCurve;
    if (!curve) return [];
    const step = Math.max(1, Math.floor(curve.speeds.length / 10));
    return curve.speeds.flatMap((speed, at) => (at % step === 0 ? [{ speed, torque: curve.torques[at] ?? 0 }] : []));
  });
  const head = 'px-3 py-1.5 font-normal';
  const pulled = $derived(details.poles.some((choice) => choice.bearing !== ''));
  const sheaved = $derived(details.poles.some((choice) => choice.leastSheave !== undefined));
</script>

{#if way === 'curve'}<CurvePanel {store} {hydrated} />{/if}
{#if way === 'duty'}<DutyPanel {store} {hydrated} />{/if}
<TransmissionPanel {store} {hydrated} />
<LogPanel {store} {hydrated} />
{#if details.loadCurve}
  <section class="rounded-lg border bg-card p-3 lg:col-span-2" aria-label="Torque against speed">
    <h2 class="mb-1 text-sm font-semibold text-quiet">Torque against speed, {details.loadCurve.shape}</h2>
    <Chart
      option={loadChart(details.loadCurve, running, school)}
      height={230}
      label="Torque of the load against speed at the motor shaft; the table below holds the figures."
    />
    <details>
      <summary class="min-h-11 cursor-pointer py-2.5 text-sm text-sea">The figures of the curve</summary>
      <table class="w-full text-sm">
        <caption class="sr-only">Torque against speed at the motor shaft</caption>
        <thead
          ><tr class="text-left text-quiet"
            ><th scope="col" class="font-normal">Speed</th><th scope="col" class="text-right font-normal">Torque</th
            ></tr
          ></thead
        >
        <tbody>
          {#each sampled as point (point.speed)}
            <tr class="border-t"
              ><td class="py-1">{formatQuantity(point.speed, 'speed', school)}</td><td class="text-right"
                >{formatQuantity(point.torque, 'torque', school)}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </details>
  </section>
{/if}
{#if details.poles.length > 0}
  <TableCard label="Number of poles" caption="Poles compared, for this torque and speed" class="lg:col-span-2">
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
  <TableCard label="Sizes" caption="What a larger size would cost at this load" class="lg:col-span-2">
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
