<script lang="ts">
  import Range from 'flowbite-svelte/Range.svelte';
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import type { Method } from '@pilgrim/core/stages/starting/starting-mode';
  import type { StartSetting } from '@pilgrim/core/stages/starting/run-start';
  import type { JobStore } from '$lib/job/job-store.svelte';

  interface Props {
    store: JobStore;
    method: Method;
    setting: StartSetting;
  }
  let { store, method, setting }: Props = $props();

  interface Knob {
    readonly path: string;
    readonly label: string;
    readonly min: number;
    readonly max: number;
    readonly step: number;
    readonly value: number;
    /** As typed into the field. */
    readonly text: (value: number) => string;
  }
  const percent = (value: number): string => `${Math.round(value * 100)} %`;
  const seconds = (value: number): string => `${value.toFixed(1)} s`;
  const times = (value: number): string => value.toFixed(2);

  /** Of the driven shaft alone, seen from the motor: other shafts keep what is typed at them. */
  function drivenInertia(ratio: number): number {
    const { shafts } = store.solution.details;
    const typed = shafts.at(-1)?.inertia;
    if (typed) return typed.value / ratio ** 2;
    return shafts.some((shaft) => shaft.inertia) ? 0 : setting.turning.inertia - setting.rotorInertia;
  }

  /** What may be played with for a method; the values are those of the run on screen. */
  const knobs = $derived.by((): Knob[] => {
    const feed = setting.feeds[method];
    const school = store.shows;
    const ratio = Number(store.solution.values['load.ratio']?.value ?? 1);
    const out: Knob[] = [
      {
        path: 'load.inertia',
        label: 'Inertia of the machine',
        min: Math.log10(setting.rotorInertia) - 1,
        max: Math.log10(setting.rotorInertia) + 3,
        step: 0.02,
        value: Math.log10(Math.max(1e-6, drivenInertia(ratio))),
        text: (value) => formatQuantity(10 ** value * ratio ** 2, 'inertia', school).replace('\u00a0', ' '),
      },
    ];
    if (feed.kind === 'soft starter') {
      out.push({
        path: 'starting.currentLimit',
        label: 'Current limit, × rated',
        min: 1.5,
        max: 7,
        step: 0.1,
        value: feed.currentLimit,
        text: times,
      });
      if (feed.mode !== 'current limit') {
        out.push({
          path: 'starting.startVoltage',
          label: 'Starting voltage',
          min: 0.1,
          max: 1,
          step: 0.02,
          value: feed.startVoltage,
          text: percent,
        });
        out.push({
          path: 'starting.softRamp',
          label: 'Ramp',
          min: 0,
          max: 40,
          step: 0.5,
          value: feed.ramp,
          text: seconds,
        });
      }
    }
    if (feed.kind === 'star-delta' || feed.kind === 'autotransformer') {
      out.push({
        path: 'starting.changeSpeed',
        label: 'Changes over at',
        min: 0.4,
        max: 0.98,
        step: 0.01,
        value: feed.changeSpeed,
        text: percent,
      });
      out.push({
        path: 'starting.starTime',
        label: 'Changes over at the latest after',
        min: 0.5,
        max: 60,
        step: 0.5,
        value: feed.changeTime,
        text: seconds,
      });
    }
    if (feed.kind === 'autotransformer')
      out.push({ path: 'starting.tap', label: 'Tap', min: 0.4, max: 0.9, step: 0.01, value: feed.tap, text: percent });
    if (feed.kind === 'drive') {
      out.push({
        path: 'starting.driveRamp',
        label: 'Ramp',
        min: 0.5,
        max: 60,
        step: 0.5,
        value: feed.ramp,
        text: seconds,
      });
      out.push({
        path: 'starting.driveCurrentLimit',
        label: 'Current limit, × rated',
        min: 0.8,
        max: 2,
        step: 0.05,
        value: feed.currentLimit,
        text: times,
      });
    }
    return out;
  });

  /** Where a knob was turned to; the solve that follows a turn must not turn it back under the hand. */
  let held = $state<Readonly<Record<string, number>>>({});
  function turn(knob: Knob, value: number): void {
    held = { ...held, [knob.path]: value };
    store.set(knob.path, knob.text(value));
  }
  const at = ({ path, value }: Knob): number => held[path] ?? value;
  // Once the solve is there, the knob follows it again: an undo turns it back.
  $effect(() => {
    const there = knobs.filter(({ path, value, step }) => Math.abs((held[path] ?? Infinity) - value) <= step / 2);
    if (there.length === 0) return;
    const names = new Set(there.map(({ path }) => path));
    held = Object.fromEntries(Object.entries(held).filter(([path]) => !names.has(path)));
  });
</script>

<div class="mt-1 grid gap-x-6 gap-y-1 sm:grid-cols-2 xl:grid-cols-3">
  {#each knobs as knob (knob.path)}
    <label class="block text-sm text-quiet"
      >{knob.label} <span class="float-right text-ink">{knob.text(knob.value)}</span>
      <Range
        class="block w-full"
        min={knob.min}
        max={knob.max}
        step={knob.step}
        value={at(knob)}
        aria-valuetext={knob.text(knob.value)}
        data-knob={knob.path}
        oninput={(event) => turn(knob, Number(event.currentTarget.value))}
        onblur={() => (held = {})}
      />
    </label>
  {/each}
</div>
