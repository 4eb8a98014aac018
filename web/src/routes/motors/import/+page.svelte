<script lang="ts">
  import Fileupload from 'flowbite-svelte/Fileupload.svelte';
  import Progress from '$lib/components/Progress.svelte';
  import TableCard from '$lib/components/TableCard.svelte';
  import { columns, WHOLE_MOTOR } from '@pilgrim/core/register/columns';
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount } from 'svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import ImportWorker from '$lib/workers/import.worker?worker';
  import type { ImportAnswer, ImportQuestion } from '$lib/workers/import.worker';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  type Opened = Extract<ImportAnswer, { kind: 'opened' }>;
  type Checked = Extract<ImportAnswer, { kind: 'checked' }>;

  let worker: Worker | undefined;
  let opened = $state.raw<Opened>();
  let checked = $state.raw<Checked>();
  let mapping = $state<string[]>([]);
  let site = $state('');
  let school = $state<'NEMA' | 'IEC'>('NEMA');
  let busy = $state('');
  let share = $state(0);
  let message = $state('');
  let refused = $state('');

  onMount(() => {
    worker = new ImportWorker();
    worker.onmessage = ({ data: answer }: MessageEvent<ImportAnswer>) => hear(answer);
    return () => worker?.terminate();
  });

  const doings = { checking: 'Checking rows', storing: 'Storing motors' } as const;

  function ask(question: ImportQuestion, doing: string): void {
    busy = doing;
    share = 0;
    message = '';
    refused = '';
    worker?.postMessage(question);
  }

  function hear(answer: ImportAnswer): void {
    if (answer.kind === 'progress') {
      busy = doings[answer.doing];
      share = answer.share;
      return;
    }
    busy = '';
    switch (answer.kind) {
      case 'opened':
        opened = answer;
        mapping = [...answer.mapping];
        check();
        return;
      case 'checked':
        checked = answer;
        return;
      case 'taken':
        message = `${answer.count} motors are in the register.${checked && checked.badCount > 0 ? ` ${checked.badCount} rows were not taken; save them, mend them, and choose that file.` : ''}`;
        opened = undefined;
        return;
      case 'cancelled':
        message =
          answer.removed > 0
            ? `Cancelled; the ${answer.removed} motors already stored were taken back.`
            : 'Cancelled; nothing was stored.';
        return;
      case 'bad file':
        save(answer.text);
        return;
      case 'refused':
        refused = answer.message;
    }
  }

  function choose(input: HTMLInputElement): void {
    const file = input.files?.[0];
    if (!file) return;
    opened = undefined;
    checked = undefined;
    ask({ kind: 'open', file }, 'Reading the file');
  }
  const check = (): void =>
    ask({ kind: 'check', mapping: $state.snapshot(mapping), defaults: { site, school } }, doings.checking);
  const cancel = (): void => void worker?.postMessage({ kind: 'cancel' } satisfies ImportQuestion);

  function remap(at: number, id: string): void {
    mapping = mapping.map((each, index) => (index === at ? id : each === id && id !== '' ? '' : each));
    check();
  }

  function save(text: string): void {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob(['\ufeff', text], { type: 'text/csv' }));
    link.download = 'rows-not-taken.csv';
    link.click();
    URL.revokeObjectURL(link.href);
  }
</script>

<svelte:head><title>Import motors · Pilgrim</title></svelte:head>

<SiteHeader current="motors" />

<main id="main" class="mx-auto max-w-6xl space-y-5 p-4">
  <div>
    <h1 class="text-xl font-bold">Import motors</h1>
    <p class="text-quiet">
      CSV or XLSX, one motor a row, headings in the first row; or the JSON of an export. A column may hold whole plates
      as text. Good rows are taken, the others come back with what is wrong.
    </p>
  </div>

  <div class="flex flex-wrap items-end gap-4 rounded-lg border bg-card p-4">
    <div class="grow">
      <label for="file" class="mb-1 block text-sm text-quiet">File, to 40 MB and 50 000 rows</label>
      <Fileupload
        id="file"
        accept=".csv,.tsv,.txt,.xlsx,.json"
        class="min-h-11 text-sm"
        disabled={busy !== ''}
        onchange={(event) => choose(event.currentTarget)}
      />
    </div>
    <div>
      <label for="site" class="mb-1 block text-sm text-quiet">Site, where the file names none</label>
      <input
        id="site"
        class="entry"
        list="sites"
        maxlength={120}
        bind:value={site}
        onchange={() => opened && check()}
      />
      <datalist id="sites"
        >{#each data.sites as each (each.name)}<option value={each.name}></option>{/each}</datalist
      >
    </div>
    <div>
      <label for="school" class="mb-1 block text-sm text-quiet">Bare figures are</label>
      <select id="school" class="entry" bind:value={school} onchange={() => opened && check()}>
        <option value="NEMA">hp, 60 Hz</option>
        <option value="IEC">kW, 50 Hz</option>
      </select>
    </div>
  </div>

  {#if busy}
    <div class="flex items-center gap-4 rounded-lg border bg-card p-4" data-testid="busy">
      <span class="text-sm" role="status">{busy} … {Math.round(share * 100)} %</span>
      <Progress {share} label={busy} />
      <Button color="alternative" class="min-h-11 text-ink!" onclick={cancel}>Cancel</Button>
    </div>
  {/if}
  {#if refused}<p class="rounded-lg border border-s-4 border-s-stop bg-stop-wash p-3" role="alert">{refused}</p>{/if}
  {#if message}
    <p class="rounded-lg border border-s-4 border-s-sea bg-wash p-3" role="status" data-testid="outcome">
      {message} <a class="text-sea underline" href="/motors">To the motors</a>
    </p>
  {/if}

  {#if opened}
    {#each opened.notes as note (note)}<p class="text-sm text-caution">{note}</p>{/each}
    <TableCard
      label="Columns of the file"
      caption={`${opened.count} rows. What each column means; the first rows below it`}
    >
      <thead>
        <tr class="text-left align-bottom">
          {#each opened.header as heading, at (at)}
            <th scope="col" class="min-w-36 px-2 py-2 font-normal">
              <label for={`column-${at}`} class="mb-1 block truncate font-semibold" title={heading}
                >{heading || `column ${at + 1}`}</label
              >
              <select
                id={`column-${at}`}
                class="entry text-sm!"
                disabled={busy !== ''}
                value={mapping[at]}
                onchange={(event) => remap(at, event.currentTarget.value)}
              >
                <option value="">leave out</option>
                {#each [WHOLE_MOTOR, ...columns] as column (column.id)}<option value={column.id}>{column.title}</option
                  >{/each}
              </select>
            </th>
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each opened.sample as row, index (index)}
          <tr class="border-t">
            {#each opened.header.keys() as at (at)}
              <td class={`max-w-52 truncate px-2 py-1 ${mapping[at] ? '' : 'text-quiet line-through'}`} title={row[at]}
                >{row[at] ?? ''}</td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </TableCard>
  {/if}

  {#if checked && (opened || checked.badCount > 0)}
    <div class="flex flex-wrap items-center gap-4" data-testid="checked">
      <p>
        <strong class="text-good">✓ {checked.good} good</strong>
        {#if checked.badCount > 0}<strong class="ms-3 text-caution">△ {checked.badCount} not taken</strong>{/if}
      </p>
      {#if opened}
        <Button
          class="min-h-11"
          disabled={busy !== '' || checked.good === 0}
          onclick={() => ask({ kind: 'take', importId: crypto.randomUUID() }, doings.storing)}
          >Take the {checked.good} good rows</Button
        >
      {/if}
      {#if checked.badCount > 0}
        <Button
          color="alternative"
          class="min-h-11 text-ink!"
          disabled={busy !== ''}
          onclick={() => ask({ kind: 'bad file' }, 'Writing the file')}>Save the other rows with what is wrong</Button
        >
      {/if}
    </div>
    {#if checked.badCount > 0}
      <section class="rounded-lg border bg-card" aria-label="Rows not taken">
        <h2 class="border-b px-4 py-2 text-sm font-semibold text-quiet">
          Rows not taken{checked.badCount > checked.bad.length ? `, the first ${checked.bad.length}` : ''}
        </h2>
        <ul class="max-h-80 divide-y overflow-y-auto text-sm" tabindex="-1">
          {#each checked.bad as bad (bad.row)}
            <li class="flex gap-3 px-4 py-1.5">
              <span class="w-20 shrink-0 text-quiet">row {bad.row}</span>
              <span
                >{#each bad.problems as problem (problem.column)}<span class="block"
                    ><strong>{problem.column}:</strong> {problem.message}</span
                  >{/each}</span
              >
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  {/if}
</main>
