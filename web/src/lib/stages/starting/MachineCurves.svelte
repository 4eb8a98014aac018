<script lang="ts">
  import Range from 'flowbite-svelte/Range.svelte';
  import type { Solution } from '@pilgrim/core';
  import { speedCurve } from '@pilgrim/core/motor/circuit';
  import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
  import { machineChart, type Against } from '$lib/charts/start-charts';
  import Chart from '$lib/components/Chart.svelte';

  let { machine, school }: { machine: NonNullable<Solution['details']['machine']>; school: StandardsSystem } = $props();

  let volts = $state(100);
  let hertz = $state<number>();
  let against = $state<Against>('speed');

  const rated = $derived(machine.circuit.hz);
  const hz = $derived(hertz ?? rated);
  const points = $derived(speedCurve(machine.circuit, (machine.circuit.volts * volts) / 100, hz));
</script>

<section class="rounded-lg border bg-card p-3" aria-label="Motor curves">
  <h2 class="mb-2 text-sm font-semibold text-quiet">
    The motor at any voltage and frequency; the plate’s points are marked
  </h2>
  <div class="grid gap-x-6 sm:grid-cols-3">
    <label class="block text-sm text-quiet"
      >Voltage, % of rated <span class="float-right text-ink">{volts} %</span>
      <Range class="block w-full" min={20} max={120} step={1} bind:value={volts} />
    </label>
    <label class="block text-sm text-quiet"
      >Frequency <span class="float-right text-ink">{hz} Hz</span>
      <Range
        class="block w-full"
        min={5}
        max={2 * rated}
        step={1}
        value={hz}
        oninput={(event) => (hertz = Number(event.currentTarget.value))}
      />
    </label>
    <label class="block text-sm text-quiet"
      >Against
      <select class="entry mt-1" bind:value={against}>
        <option value="speed">speed</option>
        <option value="load">torque, % of rated</option>
      </select>
    </label>
  </div>
  <Chart
    option={machineChart(points, machine, against, school)}
    height={300}
    label="Torque, current, power factor and efficiency of the motor; the tables hold the figures at rated voltage and frequency."
  />
</section>
