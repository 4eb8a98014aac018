<script lang="ts">
  import Fileupload from 'flowbite-svelte/Fileupload.svelte';
  import Progress from './Progress.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { formatQuantity } from '@pilgrim/core/ground/quantity/format';
  import { findUnit } from '@pilgrim/core/ground/quantity/units';
  import { onMount } from 'svelte';
  import { cycleOf, type BinnedLog } from '@pilgrim/core/stages/load/bin-log';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import type { LogPreview } from '$lib/load/read-log';
  import { timeStepOf } from '$lib/load/time-step';
  import LogWorker from '$lib/workers/log.worker?worker';
  import type { LogAnswer, LogQuestion } from '$lib/workers/log.worker';

  let { store, hydrated }: { store: JobStore; hydrated: boolean } = $props();

  let worker: Worker | undefined;
  let file: File | undefined;
  let preview = $state.raw<LogPreview>();
  let time = $state(-1);
  let value = $state(0);
  let interval = $state('1');
  let unit = $state('N·m');
  let share = $state<number>();
  let message = $state('');
  let refused = $state('');

  const perAmpere = $derived(store.solution.details.torquePerAmpere);

  onMount(() => () => worker?.terminate());

  function ask(question: LogQuestion): void {
    worker ??= start();
    message = '';
    refused = '';
    worker.postMessage(question);
  }

  function start(): Worker {
    const fresh = new LogWorker();
    fresh.onmessage = ({ data }: MessageEvent<LogAnswer>) => hear(data);
    return fresh;
  }

  function hear(answer: LogAnswer): void {
    if (answer.kind === 'progress') {
      share = answer.share;
      return;
    }
    share = undefined;
    if (answer.kind === 'opened') {
      preview = answer.preview;
      ({ time, value } = answer.preview);
      const heading = answer.preview.header[answer.preview.value] ?? '';
      unit = /amp|current|\bA\b|\bI\b/i.test(heading) ? 'A' : /lb/i.test(heading) ? 'lb·ft' : 'N·m';
    } else if (answer.kind === 'refused') refused = answer.message;
    else if (answer.kind === 'cancelled') message = 'Cancelled; nothing was changed.';
    else take(answer.log);
  }

  function choose(input: HTMLInputElement): void {
    file = input.files?.[0];
    preview = undefined;
    if (file) ask({ kind: 'open', file });
  }

  function bin(): void {
    if (!file || !preview) return;
    const seconds = Number(interval.replace(',', '.'));
    if (time < 0 && !(seconds > 0)) {
      refused = 'Without a time column say how many seconds lie between two samples, for example 0.5.';
      return;
    }
    if (unit === 'A' && perAmpere === undefined) {
      refused =
        'Amperes become torque by the plate of the motor that was logged: type its power, speed and current at Nameplate, or bring a log of torque.';
      return;
    }
    share = 0;
    ask({
      kind: 'bin',
      file,
      columns: {
        time,
        value,
        interval: time < 0 ? seconds : timeStepOf(preview.header[time] ?? ''),
        headed: preview.headed,
      },
    });
  }

  function take(log: BinnedLog): void {
    const factor = unit === 'A' ? (perAmpere ?? 0) : (findUnit('torque', unit)?.factor ?? 1);
    const text = (si: number): string => formatQuantity(si, 'torque', store.shows).replaceAll('\u00a0', ' ');
    const cycle = cycleOf(log, store.solution.details.warming);
    const length = cycle.reduce((sum, level) => sum + level.time, 0);
    store.setRows(
      'load.duty',
      cycle.map((level) => ({
        torque: level.standing ? '' : text(level.value * factor),
        time: `${Number(level.time.toPrecision(5))} s`,
        standing: level.standing,
      })),
      { 'load.way': 'duty' },
    );
    const odd = [
      log.skipped > 0 ? `${log.skipped} rows could not be read` : '',
      log.gaps > 0 ? `${log.gaps} breaks left out` : '',
    ];
    message = `${log.samples.toLocaleString('en')} samples over ${formatQuantity(log.duration, 'duration', 'IEC')} became a cycle of ${formatQuantity(length, 'duration', 'IEC')} that warms the motor as much: ${log.levels.length} levels, RMS ${text(log.rms * factor)}, peak ${text(log.peak * factor)}${log.starts > 0 ? `, ${log.starts} starts` : ''}. ${odd.filter(Boolean).join(', ')}`;
  }
</script>

<details class="rounded-lg border bg-card px-4">
  <summary class="min-h-11 cursor-pointer py-2.5 text-sm font-semibold text-quiet"
    >Duty cycle from a recorded log</summary
  >
  <div class="space-y-3 pb-4">
    <div>
      <label for="log-file" class="mb-1 block text-sm text-quiet"
        >Log of torque or current (CSV), any length to 400 MB</label
      >
      <Fileupload
        id="log-file"
        accept=".csv,.txt,text/csv,text/plain"
        class="min-h-11 text-sm"
        disabled={!hydrated}
        onchange={(event) => choose(event.currentTarget)}
      />
    </div>
    {#if preview}
      <div class="flex flex-wrap items-end gap-3 *:min-w-40 *:grow">
        <div>
          <label for="log-time" class="mb-1 block text-sm text-quiet">Time is in</label>
          <select id="log-time" class="entry" bind:value={time}>
            <option value={-1}>no column: even steps</option>
            {#each preview.header as name, at (at)}<option value={at}>{name}</option>{/each}
          </select>
        </div>
        {#if time < 0}
          <div>
            <label for="log-interval" class="mb-1 block text-sm text-quiet">Seconds between samples</label>
            <input id="log-interval" class="entry" bind:value={interval} inputmode="decimal" maxlength={12} />
          </div>
        {/if}
        <div>
          <label for="log-value" class="mb-1 block text-sm text-quiet">Load is in</label>
          <select id="log-value" class="entry" bind:value>
            {#each preview.header as name, at (at)}<option value={at}>{name}</option>{/each}
          </select>
        </div>
        <div>
          <label for="log-unit" class="mb-1 block text-sm text-quiet">and counted in</label>
          <select id="log-unit" class="entry" bind:value={unit}>
            <option>N·m</option><option>lb·ft</option><option>lb·in</option>
            <option value="A">A of the motor{perAmpere === undefined ? ' (needs its plate)' : ''}</option>
          </select>
        </div>
        {#if share === undefined}
          <Button class="min-h-11" disabled={!hydrated} onclick={bin}>Make the duty cycle</Button>
        {:else}
          <Button color="alternative" class="min-h-11 text-ink!" onclick={() => worker?.postMessage({ kind: 'cancel' })}
            >Cancel</Button
          >
        {/if}
      </div>
    {/if}
    {#if share !== undefined}
      <Progress {share} label="Reading the log" />
    {/if}
    <p class="text-sm text-quiet" role="status">{message}</p>
    {#if refused}<p class="text-sm text-stop" role="alert">{refused}</p>{/if}
  </div>
</details>
