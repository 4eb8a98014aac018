<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import Chart from './Chart.svelte';
  import Field from './Field.svelte';
  import { profileChart } from '$lib/charts/profile-chart';

  let { store, hydrated }: { store: JobStore; hydrated: boolean } = $props();

  const points = $derived(store.document.profile.points);
  const steps = $derived(store.solution.details.profile);
  const kilowatts = (watts: number): string => (watts / 1000).toFixed(1);
</script>

<section class="mt-6" aria-label="Hours at each flow">
  <h2 class="mb-2 text-sm font-semibold text-quiet">Hours a year at each flow</h2>
  <div class="space-y-2">
    {#each points as _, index (index)}
      <div class="flex items-start gap-2">
        <div class="w-32"><Field {store} {hydrated} field={{ path: `profile.points.${index}.flow`, label: 'Flow', kind: 'text', placeholder: '70 %' }} /></div>
        <div class="grow"><Field {store} {hydrated} field={{ path: `profile.points.${index}.hours`, label: 'Hours', kind: 'text', placeholder: '2000 h' }} /></div>
        <Button color="alternative" class="mt-6 min-h-11" disabled={!hydrated} aria-label={`Remove step ${index + 1}`} onclick={() => store.removePoint(index)}>Remove</Button>
      </div>
    {/each}
  </div>
  <Button color="alternative" class="mt-2 min-h-11" disabled={!hydrated} onclick={() => store.addPoint()}>Add a step</Button>
</section>

{#if steps.length > 0}
  <section class="mt-6 rounded-lg border bg-card p-3 lg:col-span-2" aria-label="Power against flow">
    <h2 class="mb-2 text-sm font-semibold text-quiet">Electrical power against flow, hours as bars</h2>
    <Chart option={profileChart(steps)} label="Electrical power against flow as controlled today and with speed control, with the hours a year as bars; the table below holds the figures." />
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
{/if}
