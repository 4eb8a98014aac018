<script lang="ts">
  import { onMount } from 'svelte';
  import { timeCurrentChart } from '$lib/charts/start-charts';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import Chart from './Chart.svelte';

  let { store }: { store: JobStore } = $props();

  // Stored results leave the run-ups out; solving brings them.
  onMount(() => store.warm());

  const details = $derived(store.solution.details);
  const values = $derived(store.solution.values);
  const chosen = $derived(
    details.starting.find(({ method }) => method === values['starting.method']?.text) ?? details.starting[0],
  );
  const amperes = (id: string): number | undefined => {
    const value = values[`protection.${id}`]?.value;
    return typeof value === 'number' ? value : undefined;
  };
</script>

<!-- Time against current: the start must pass under the relay, and the relay under what motor and wires bear. -->
<section class="rounded-lg border bg-card p-3" aria-label="Time against current">
  <h2 class="mb-1 text-sm font-semibold text-quiet">Time against current: start, relay, motor, wire and device</h2>
  {#if chosen?.trace && details.startSetting}
    <Chart
      option={timeCurrentChart(chosen, details.startSetting, {
        conductor: amperes('conductorAmpacity'),
        device: amperes('branchDeviceMax'),
        picture: details.shortCircuitDevice,
      })}
      height={330}
      label="On logarithmic axes: the motor’s current while it starts, the band of the overload relay, what the standing motor bears, the conductor’s ampacity, what the short-circuit device carries and what opens it, and the first half-wave of the motor; the figures stand beside it."
    />
  {:else}
    <p class="flex h-56 items-center justify-center rounded border border-dashed text-center text-sm text-quiet">
      {details.starting.length > 0
        ? 'The start is being run up …'
        : 'A motor and a supply make this picture: size and current on the plate or a load, and the system voltage.'}
    </p>
  {/if}
</section>
