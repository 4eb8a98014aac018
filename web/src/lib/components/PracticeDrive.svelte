<script lang="ts">
  import Alert from 'flowbite-svelte/Alert.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import Range from 'flowbite-svelte/Range.svelte';
  import { onMount } from 'svelte';
  import { explain, tasksOf } from '@pilgrim/core/test-rig/exercise';
  import {
    frequencyOf,
    practicePlate as plate,
    practiceRange,
    type SettingName,
  } from '@pilgrim/core/test-rig/practice';
  import { practiceChart } from '$lib/charts/practice-chart';
  import { PracticeStore } from '$lib/test-rig/practice-store.svelte';
  import Chart from './Chart.svelte';

  const store = new PracticeStore();
  onMount(() => {
    store.start();
    return () => store.stop();
  });
  const { setting, hand, state: seenNow } = $derived(store.now);
  const tasks = $derived(tasksOf(setting, store.seen));
  const done = $derived(tasks.filter((task) => task.done).length);
  const told = $derived(explain(seenNow, setting));
  const able = $derived(store.ready);

  const knobs: readonly (readonly [SettingName, label: string, unit: string, factor: number])[] = [
    ['baseFrequency', 'Base frequency', 'Hz', 1],
    ['baseVoltage', 'Base voltage', 'V', 1],
    ['motorCurrent', 'Motor current', 'A', 1],
    ['mostFrequency', 'Maximum frequency', 'Hz', 1],
    ['rampUp', 'Ramp up', 's', 1],
    ['rampDown', 'Ramp down', 's', 1],
    ['boost', 'Boost', '%', 100],
    ['signalLow', '4 mA means', 'Hz', 1],
    ['signalHigh', '20 mA means', 'Hz', 1],
  ];
  let wrong = $state<Partial<Record<SettingName, string>>>({});
  function type(name: SettingName, text: string, factor: number, unit: string): void {
    const value = Number(text.replace(',', '.').replace(/[^\d.-]/g, '')) / factor;
    const [low, high] = practiceRange[name];
    const fits = text.trim() !== '' && Number.isFinite(value) && value >= low && value <= high;
    wrong = { ...wrong, [name]: fits ? undefined : `From ${low * factor} to ${high * factor} ${unit}.` };
    if (fits) store.set({ setting: { [name]: value } });
  }
  const meters = $derived([
    ['Output', `${seenNow.frequency.toFixed(1)} Hz`],
    ['Shaft', `${((seenNow.speed * 30) / Math.PI).toFixed(0)} r/min`],
    ['Current', `${seenNow.current.toFixed(1)} A`],
    ['Flux', `${(seenNow.flux * 100).toFixed(0)} %`],
    ['Winding', `${seenNow.winding.toFixed(0)} °C`],
    ['DC link', `${seenNow.link.toFixed(0)} V`],
  ] as const);
</script>

<section class="rounded-lg border bg-card p-4" aria-label="A drive to practise on">
  <h2 class="text-lg font-bold">A drive to practise on: from a plate to a running fan</h2>
  <p class="text-sm text-quiet">
    It is as it left its box. Set it by the plate, run it, and see what a wrong setting does: nothing here can be broken
    for good. Heat is some fifty times as quick as on a real motor.
  </p>
  {#if store.trouble}<Alert color="yellow" role="alert">{store.trouble}</Alert>{/if}
  <div class="mt-3 grid gap-4 lg:grid-cols-[20rem_minmax(0,1fr)_20rem]">
    <div>
      <p class="rounded border-2 border-dashed p-2 text-sm" data-practice-plate>
        <strong>Plate.</strong> 7½ hp · {plate.volts} V · {plate.amperes} A · {plate.hertz} Hz · {plate.rpm} r/min · PF
        {plate.powerFactor} · SF 1.15 · class F
      </p>
      <div class="mt-2 space-y-1">
        {#each knobs as [name, label, unit, factor] (name)}
          <label class="flex items-center gap-2 text-sm" for={`practice-${name}`}>
            <span class="w-32 shrink-0">{label}, {unit}</span>
            <input
              id={`practice-${name}`}
              class={`entry min-h-8! py-0! pointer-coarse:min-h-11! ${wrong[name] ? 'border-stop!' : ''}`}
              inputmode="decimal"
              disabled={!able}
              aria-invalid={wrong[name] !== undefined}
              aria-describedby={wrong[name] ? `practice-${name}-error` : undefined}
              value={Number((setting[name] * factor).toFixed(2))}
              onchange={(event) => type(name, event.currentTarget.value, factor, unit)}
            />
          </label>
          {#if wrong[name]}<p id={`practice-${name}-error`} class="ps-34 text-sm text-stop">{wrong[name]}</p>{/if}
        {/each}
      </div>
    </div>
    <div>
      <dl class="grid grid-cols-3 gap-2">
        {#each meters as [label, text] (label)}
          <div class="rounded border px-2 py-1" data-practice={label}>
            <dt class="text-sm text-quiet">{label}</dt>
            <dd class="text-lg font-semibold tabular-nums">{text}</dd>
          </div>
        {/each}
      </dl>
      <label class="mt-3 flex items-center gap-3 text-sm" for="practice-signal"
        ><span class="w-44 shrink-0 tabular-nums"
          >Signal {hand.signal.toFixed(1)} mA asks {frequencyOf(hand.signal, setting).toFixed(1)} Hz</span
        >
        <Range
          id="practice-signal"
          min="0"
          max="22"
          step="0.1"
          value={hand.signal}
          disabled={!able}
          oninput={(event) => store.set({ signal: Number(event.currentTarget.value) })}
        /></label
      >
      <p class="mt-2 flex flex-wrap gap-2">
        <Button class="min-h-11" disabled={!able || hand.run} onclick={() => store.set({ run: true })}>Start</Button>
        <Button
          class="min-h-11"
          color="alternative"
          disabled={!able || !hand.run}
          onclick={() => store.set({ run: false })}>Stop</Button
        >
        <Button
          class="min-h-11"
          color="alternative"
          disabled={!able || seenNow.trip === 'none'}
          onclick={() => store.set({ run: false, reset: true })}>Reset the trip</Button
        >
      </p>
      <div aria-live="polite" data-testid="practice-told">
        {#each told as line, at (at)}
          <p class={`mt-1 text-sm ${at === 0 && seenNow.trip !== 'none' ? 'font-semibold text-stop' : 'text-caution'}`}>
            {at === 0 && seenNow.trip !== 'none' ? '■' : '△'}
            {line}
          </p>
        {/each}
      </div>
      <Chart
        option={practiceChart(store.past)}
        height={170}
        label="Output frequency and motor current over the last minute; the meters above show both as figures."
      />
    </div>
    <div>
      <h3 class="text-sm font-semibold text-quiet" data-testid="practice-grade">
        Exercise: {done} of {tasks.length} done
      </h3>
      <ol class="mt-1 space-y-1 text-sm">
        {#each tasks as task (task.id)}
          <li data-task={task.id} data-done={task.done}>
            <span class={task.done ? 'text-good' : 'text-quiet'} aria-hidden="true">{task.done ? '✓' : '○'}</span>
            <span class={task.done ? '' : 'font-semibold'}>{task.asks}</span><span class="sr-only"
              >{task.done ? ', done' : ', not yet'}</span
            >
            {#if !task.done}<span class="block ps-4 text-quiet">{task.why}</span>{/if}
          </li>
        {/each}
      </ol>
      {#if done === tasks.length}<p class="mt-2 font-semibold text-good">
          ✓ A running fan{store.seen.trips === 0
            ? ', without a single trip'
            : `, after ${store.seen.trips} ${store.seen.trips === 1 ? 'trip' : 'trips'}`}.
        </p>{/if}
      <Button class="mt-2 min-h-11" color="alternative" disabled={!able} onclick={() => store.again()}
        >Begin again</Button
      >
    </div>
  </div>
</section>
