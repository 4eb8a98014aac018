<script lang="ts">
  import { loadChart } from '$lib/charts/load-chart';
  import { speedCurve } from '@pilgrim/core/motor/circuit';
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import Chart from '$lib/components/Chart.svelte';
  import EmptyPicture from '$lib/components/EmptyPicture.svelte';

  let { store }: { store: JobStore } = $props();

  const details = $derived(store.solution.details);
  const school = $derived(store.shows);
  const running = $derived.by(() => {
    const torque = store.solution.values['load.motorTorque']?.value;
    const speed = store.solution.values['load.motorSpeed']?.value;
    return typeof torque === 'number' && typeof speed === 'number' ? { torque, speed } : undefined;
  });
  const motor = $derived(details.machine && speedCurve(details.machine.circuit));
  /** Eleven points of the curve for the table behind the chart. */
  const sampled = $derived.by(() => {
    const curve = details.loadCurve;
    if (!curve) return [];
    const step = Math.max(1, Math.floor(curve.speeds.length / 10));
    return curve.speeds.flatMap((speed, at) => (at % step === 0 ? [{ speed, torque: curve.torques[at] ?? 0 }] : []));
  });
</script>

{#if details.loadCurve}
  <section class="rounded-lg border bg-card p-3" aria-label="Torque–speed curve">
    <h2 class="mb-1 text-sm font-semibold text-quiet">Torque against speed, {details.loadCurve.shape}</h2>
    <Chart
      option={loadChart(details.loadCurve, { running, motor }, school)}
      height={300}
      label="Torque of the load against speed at the motor shaft; the table below holds the figures."
    />
    <details>
      <summary class="min-h-11 cursor-pointer py-2.5 text-sm text-sea">Curve data</summary>
      <table class="w-full text-sm">
        <caption class="sr-only">Torque–speed curve at the motor shaft</caption>
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
{:else}
  <EmptyPicture
    label="Torque–speed curve"
    example="M30 92C40 102 60 104 90 100C160 92 240 62 300 20"
    needs={[
      { text: 'what is known of the load', field: 'load.way' },
      { text: 'its speed', field: 'load.speed' },
    ]}
  />
{/if}
