<script lang="ts">
  import Fileupload from 'flowbite-svelte/Fileupload.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount } from 'svelte';
  import type { LogPreview, LogTaken } from '$lib/load/read-log';
  import { timeStepOf } from '$lib/load/time-step';
  import LogWorker from '$lib/workers/log.worker?worker';
  import type { LogAnswer, LogQuestion } from '$lib/workers/log.worker';
  import Progress from './Progress.svelte';

  interface Props {
    /** Part of the ids of its fields. */
    name: string;
    title: string;
    hint: string;
    /** What its column of figures is called, and a further one that may be read beside it. */
    column: string;
    second?: string;
    units: readonly { readonly value: string; readonly name: string }[];
    /** The likely unit of a heading. */
    unitOf: (heading: string) => string;
    button: string;
    kind: 'bin' | 'record';
    /** Why a unit cannot be read yet; empty where it can. */
    refuse: (unit: string) => string;
    take: (answer: LogAnswer, unit: string) => LogTaken;
  }
  let { name, title, hint, column, second, units, unitOf, button, kind, refuse, take }: Props = $props();

  let worker: Worker | undefined;
  let file: File | undefined;
  let preview = $state.raw<LogPreview>();
  let time = $state(-1);
  let value = $state(0);
  let further = $state(-1);
  let interval = $state('1');
  let unit = $state('');
  let share = $state<number>();
  let message = $state('');
  let refused = $state('');

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
      unit = unitOf(answer.preview.header[answer.preview.value] ?? '');
      const at = value;
      further = answer.preview.header.findIndex((heading, index) => index !== at && /kw|watt|power/i.test(heading));
    } else if (answer.kind === 'refused') refused = answer.message;
    else if (answer.kind === 'cancelled') message = 'Cancelled; nothing was changed.';
    else {
      const outcome = take(answer, unit);
      if ('done' in outcome) message = outcome.done;
      else ({ refused } = outcome);
    }
  }

  function choose(input: HTMLInputElement): void {
    file = input.files?.[0];
    preview = undefined;
    if (file) ask({ kind: 'open', file });
  }

  function read(): void {
    if (!file || !preview) return;
    const seconds = Number(interval.replace(',', '.'));
    if (time < 0 && !(seconds > 0)) {
      refused = 'Without a time column say how many seconds lie between two samples, for example 0.5.';
      return;
    }
    refused = refuse(unit);
    if (refused) return;
    share = 0;
    ask({
      kind,
      file,
      columns: {
        time,
        value,
        second: second && further >= 0 ? further : undefined,
        interval: time < 0 ? seconds : timeStepOf(preview.header[time] ?? ''),
        headed: preview.headed,
      },
    });
  }
</script>

<details class="rounded-lg border bg-card px-3">
  <summary class="min-h-11 cursor-pointer py-2.5 text-sm font-semibold text-quiet">{title}</summary>
  <div class="space-y-3 pb-4">
    <div>
      <label for={`${name}-file`} class="mb-1 block text-sm text-quiet">{hint} (CSV), any length to 400 MB</label>
      <Fileupload
        id={`${name}-file`}
        accept=".csv,.txt,text/csv,text/plain"
        class="min-h-11 text-sm"
        onchange={(event) => choose(event.currentTarget)}
      />
    </div>
    {#if preview}
      <div class="flex flex-wrap items-end gap-3 *:min-w-40 *:grow">
        <div>
          <label for={`${name}-time`} class="mb-1 block text-sm text-quiet">Time is in</label>
          <select id={`${name}-time`} class="entry" bind:value={time}>
            <option value={-1}>no column: even steps</option>
            {#each preview.header as heading, at (at)}<option value={at}>{heading}</option>{/each}
          </select>
        </div>
        {#if time < 0}
          <div>
            <label for={`${name}-interval`} class="mb-1 block text-sm text-quiet">Seconds between samples</label>
            <input id={`${name}-interval`} class="entry" bind:value={interval} inputmode="decimal" maxlength={12} />
          </div>
        {/if}
        <div>
          <label for={`${name}-value`} class="mb-1 block text-sm text-quiet">{column} is in</label>
          <select id={`${name}-value`} class="entry" bind:value>
            {#each preview.header as heading, at (at)}<option value={at}>{heading}</option>{/each}
          </select>
        </div>
        <div>
          <label for={`${name}-unit`} class="mb-1 block text-sm text-quiet">and counted in</label>
          <select id={`${name}-unit`} class="entry" bind:value={unit}>
            {#each units as each (each.value)}<option value={each.value}>{each.name}</option>{/each}
          </select>
        </div>
        {#if second}
          <div>
            <label for={`${name}-second`} class="mb-1 block text-sm text-quiet">{second} is in</label>
            <select id={`${name}-second`} class="entry" bind:value={further}>
              <option value={-1}>no column</option>
              {#each preview.header as heading, at (at)}<option value={at}>{heading}</option>{/each}
            </select>
          </div>
        {/if}
        {#if share === undefined}
          <Button class="min-h-11" onclick={read}>{button}</Button>
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
