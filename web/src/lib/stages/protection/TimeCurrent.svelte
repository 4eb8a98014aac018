<script lang="ts">
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import { IN_WINDING } from '@pilgrim/core/stages/starting/overload-setting';
  import { heatAtDial } from '@pilgrim/core/stages/starting/trip-curve';
  import { onMount } from 'svelte';
  import { inTurn } from '$lib/deferred.svelte';
  import { timeCurrentChart } from '$lib/charts/time-current-chart';
  import type { Handle } from '$lib/charts/handles';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import { startSpread } from '$lib/job/start-spread.svelte';
  import Chart from '$lib/components/Chart.svelte';

  let { store }: { store: JobStore } = $props();

  /** s at which the dial is drawn, to be dragged. */
  const DIAL_SHOWN = 5000;

  // Stored results leave the run-ups out; solving brings them.
  onMount(() => inTurn(() => void store.warm()));

  const details = $derived(store.solution.details);
  const values = $derived(store.solution.values);
  const chosen = $derived(
    details.starting.find(({ method }) => method === values['starting.method']?.text) ?? details.starting[0],
  );
  const amperes = (id: string): number | undefined => {
    const value = values[`protection.${id}`]?.value;
    return typeof value === 'number' ? value : undefined;
  };

  /** What the relay is set to, and the current of the line at which it is; a drive has none. */
  const dial = $derived.by((): { readonly own: number; readonly line: number } | undefined => {
    const own = values['protection.overloadDial']?.value;
    if (typeof own !== 'number') return undefined;
    return { own, line: chosen?.method === 'star-delta' ? own / IN_WINDING : own };
  });
  /** A device that is sold by its rating goes from size to size. */
  const sized = $derived.by((): Handle[] => {
    const { rated, carries } = details.shortCircuitDevice ?? {};
    const [at] = carries ?? [];
    if (!rated || !at) return [];
    const nearest = (wanted: number): number =>
      rated.sizes.reduce((best, each) =>
        Math.abs(Math.log(each / wanted)) < Math.abs(Math.log(best / wanted)) ? each : best,
      );
    return [
      {
        at: [at[0], at[1]],
        ways: 'horizontal',
        moved: (to) => store.set('protection.rating', `${nearest((to / at[0]) * rated.rating)} A`),
      },
    ];
  });
  const turned = $derived.by((): Handle[] => {
    if (!dial) return [];
    const share = dial.own / dial.line;
    return [
      {
        at: [dial.line, DIAL_SHOWN],
        ways: 'horizontal',
        moved: (to) => store.set('protection.dial', `${Number((to * share).toPrecision(3))} A`),
      },
    ];
  });

  const seconds = (value: number): string => formatQuantity(value, 'duration', store.shows);
  /** The start as the relay that is drawn meets it. */
  const setting = $derived.by(() => {
    const { startSetting } = details;
    if (!startSetting || !dial) return startSetting;
    const heat = (share: number): number => heatAtDial(share, startSetting.overload, dial.line);
    return {
      ...startSetting,
      overload: dial.line,
      loadedHeat: heat(startSetting.loadedHeat),
      warm: heat(startSetting.warm),
    };
  });
  const starts = startSpread(() =>
    chosen && setting && details.machine
      ? {
          start: { ...setting, tripClass: chosen.relayClass },
          targets: details.machine.targets,
          method: chosen.method,
          seed: 1,
        }
      : undefined,
  );
</script>

<!-- Time against current: the start must pass under the relay, and the relay under what motor and wires bear. -->
<section class="rounded-lg border bg-card p-3" aria-label="Time–current curves">
  <h2 class="mb-1 text-sm font-semibold text-quiet">
    Time–current curves{turned.length === 0
      ? ''
      : sized.length === 0
        ? ': drag the circle, the overload dial'
        : ': drag the circles, dial and device'}
  </h2>
  {#if chosen?.trace && setting}
    <Chart
      option={timeCurrentChart(chosen, setting, {
        conductor: amperes('conductorAmpacity'),
        deviceMost: amperes('branchDeviceMax'),
        faultAtBus: amperes('faultCurrent'),
        faultAtMotor: amperes('faultAtMotor'),
        device: details.shortCircuitDevice,
        spread: starts.spread,
      })}
      height={350}
      handles={[...turned, ...sized]}
      label="On logarithmic axes: the motor’s current while it starts with the band of nine in ten motors of its plate, the band of the overload relay cold and warm, what the standing motor bears cold and hot, the conductor’s ampacity, what the short-circuit device carries and what opens it, what damages the wire, the short circuit that may flow at the bus and at the motor, and the first half-wave of the motor; the figures stand beside it. The overload dial and the device’s rating can be dragged, or typed beside it."
    />
    {#if chosen.method !== 'drive'}
      <p class="min-h-14 text-sm leading-snug" data-testid="starts-held">
        {#if starts.spread}
          {@const { count, held, time } = starts.spread}
          Of {count} motors within the tolerances of plate, load and supply,
          <strong class={held < 0.995 ? 'text-stop' : 'text-good'}
            >{(held * 100).toFixed(held === 1 ? 0 : 1)}&nbsp;% start without tripping the relay</strong
          >, even at its fast edge; nine of ten are up in {seconds(time.low)} to {seconds(time.high)}.
        {:else}
          <span class="text-quiet">Motors within the tolerances of plate, load and supply are being started …</span>
        {/if}
      </p>
    {/if}
  {:else}
    <p class="flex h-56 items-center justify-center rounded border border-dashed text-center text-sm text-quiet">
      {details.starting.length > 0
        ? 'The start is being run up …'
        : 'A motor and a supply make this picture: size and current on the plate or a load, and the system voltage.'}
    </p>
  {/if}
</section>
