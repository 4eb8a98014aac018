<script lang="ts">
  import type { JobStore } from '$lib/job/job-store.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';
  import { formatNumber, formatQuantity } from '@pilgrim/core/kernel/quantity/format';

  let { store }: { store: JobStore } = $props();

  const duty = $derived(store.solution.details.duty);
  const top = $derived((duty?.peak.value ?? 0) * 1.15);
  const school = $derived(store.shows);
  const show = (torque: number): string => formatQuantity(torque, 'torque', school);
  const levels = $derived.by(() => {
    if (!duty) return [];
    const { rms, heating } = duty;
    return heating.value > 1.05 * rms.value
      ? [
          { name: 'RMS', value: rms, side: 'start-1' },
          { name: 'Thermally equivalent torque', value: heating, side: 'end-0' },
        ]
      : [{ name: 'RMS', value: rms, side: 'end-0' }];
  });
  let box = $state<HTMLElement>();

  /** A bar dragged or keyed to a torque writes it into its segment as typed text. */
  function set(at: number, torque: number): void {
    store.set(`load.duty.${at}.torque`, show(Math.max(0, Math.min(torque, top))).replace('\u00a0', ' '));
  }

  function drag(event: PointerEvent, at: number): void {
    if (!box || !(event.currentTarget instanceof HTMLElement) || event.buttons !== 1) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const { bottom, height } = box.getBoundingClientRect();
    set(at, ((bottom - event.clientY) / height) * top);
  }

  function key(event: KeyboardEvent, at: number, torque: number): void {
    const steps: Readonly<Record<string, number>> = { ArrowUp: 0.02, ArrowDown: -0.02, PageUp: 0.1, PageDown: -0.1 };
    const step = steps[event.key];
    if (step === undefined) return;
    event.preventDefault();
    set(at, torque + step * top);
  }
</script>

<section class="rounded-lg border bg-card p-4" aria-label="Duty cycle">
  {#if duty}
    <h2 class="text-sm font-semibold text-quiet">
      One cycle of {duty.cycle.text}: drag a bar, or focus it and use the arrow keys
    </h2>
    <p class="mb-4 text-sm" data-duty-type>
      Duty type <strong>{duty.type.text}</strong>{#if duty.startsPerHour}, {formatNumber(duty.startsPerHour.value, 2)} starts
        an hour{/if}.
      <span class="text-quiet">{duty.type.working.note}</span>
    </p>
    <div class="relative mb-4 flex h-44 items-end gap-px border-s border-b ps-px" bind:this={box} data-duty>
      {#each duty.segments as segment (segment.at)}
        <div
          role="slider"
          tabindex={segment.standing ? -1 : 0}
          aria-label={`Torque of segment ${segment.at + 1}`}
          aria-orientation="vertical"
          aria-valuemin={0}
          aria-valuemax={Math.round(top)}
          aria-valuenow={Math.round(segment.torque)}
          aria-valuetext={segment.standing ? 'standing' : show(segment.torque)}
          aria-disabled={segment.standing}
          class={`relative min-w-3 touch-none ${segment.standing ? 'bg-line' : 'cursor-ns-resize bg-primary-300 hover:bg-primary-400 dark:bg-primary-600'}`}
          style={`flex:${segment.time / duty.cycle.value} 1 0; height:${segment.standing ? 2 : Math.max(1.5, (segment.torque / top) * 100)}%`}
          onpointerdown={(event) => segment.standing || drag(event, segment.at)}
          onpointermove={(event) => segment.standing || drag(event, segment.at)}
          onkeydown={(event) => segment.standing || key(event, segment.at, segment.torque)}
        >
          {#if segment.time / duty.cycle.value > 0.1}
            <span class="absolute inset-x-0 bottom-full mb-0.5 text-center text-xs text-ink"
              >{segment.standing ? 'stands' : show(segment.torque)}</span
            >
          {/if}
        </div>
      {/each}
      {#each levels as { name, value, side } (name)}
        <div
          class="pointer-events-none absolute inset-x-0 border-t-2 border-dashed border-copper"
          style={`bottom:${(value.value / top) * 100}%`}
        >
          <span class={`absolute bottom-0.5 bg-card px-1 text-xs text-copper ${side}`}>{name} {value.text}</span>
        </div>
      {/each}
    </div>
  {/if}
  <RowsEditor
    {store}
    title="Duty cycle segments, torque at driven shaft"
    path="load.duty"
    row="segment"
    cells={[
      { path: 'torque', label: 'Torque', placeholder: '72 lb·ft' },
      { path: 'time', label: 'Duration', placeholder: '12 s' },
    ]}
    check={{ name: 'standing', label: 'at standstill' }}
    fresh={{ torque: '', time: '', standing: false }}
  />
</section>
