<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import { profileChart } from '$lib/charts/profile-chart';
  import Chart from './Chart.svelte';
  import EmptyPicture from './EmptyPicture.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const steps = $derived(store.solution.details.profile);

  const kilowatts = (watts: number | undefined): string => (watts === undefined ? '–' : (watts / 1000).toFixed(1));
</script>

{#if steps.length > 0}
  <section class="rounded-lg border bg-card p-3" aria-label="Power against flow">
    <h2 class="mb-2 text-sm font-semibold text-quiet">Electrical power against flow, hours as bars</h2>
    <Chart
      option={profileChart(steps)}
      label="Electrical power against flow as controlled today and with speed control, with the hours a year as bars; the table below holds the figures."
    />
    <table class="mt-2 w-full text-sm">
      <caption class="sr-only">Power at each flow</caption>
      <thead>
        <tr class="text-left text-quiet">
          <th scope="col" class="py-1 font-normal">Flow</th>
          <th scope="col" class="text-right font-normal">Hours</th>
          <th scope="col" class="text-right font-normal">Today, kW</th>
          <th scope="col" class="text-right font-normal">Speed controlled, kW</th>
        </tr>
      </thead>
      <tbody>
        {#each steps as step, index (index)}
          <tr class="border-t">
            <td class="py-1">{Math.round(step.flow * 100)} %</td>
            <td class="text-right">{Math.round(step.hours / 3600)}</td>
            <td class="text-right">{kilowatts(step.throttled)}</td>
            <td class="text-right">{kilowatts(step.speedControlled)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{:else}
  <EmptyPicture
    label="Power against flow"
    example="M60 70C140 60 220 50 300 40M60 104C140 98 220 78 300 40"
    needs={[
      { text: 'hours a year at a flow', field: 'profile.points' },
      { text: 'how the flow is controlled', field: 'profile.control' },
    ]}
  />
{/if}
