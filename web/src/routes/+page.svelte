<script lang="ts">
  import Fileupload from 'flowbite-svelte/Fileupload.svelte';
  import Badge from 'flowbite-svelte/Badge.svelte';
  import Card from 'flowbite-svelte/Card.svelte';
  import Alert from 'flowbite-svelte/Alert.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount, tick } from 'svelte';
  import { fields } from '@pilgrim/core/stages/task/fields';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import { seenRevisions } from '$lib/job/seen';
  import Menu from '$lib/components/Menu.svelte';
  import { unbroken } from '$lib/units.svelte';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();

  let seen = $state.raw<ReadonlyMap<string, number>>(new Map());
  let plate = $derived(form?.form?.['plate'] ?? '');
  let pasted = $state('');
  onMount(() => {
    seen = seenRevisions();
  });
  const looks = {
    stopped: { mark: '■', name: 'Stopped', colour: 'text-stop', badge: 'border-stop! bg-stop-wash! text-stop!' },
    open: {
      mark: '△',
      name: 'Not decided',
      colour: 'text-caution',
      badge: 'border-caution! bg-caution-wash! text-caution!',
    },
    ready: { mark: '✓', name: 'Sheet ready', colour: 'text-good', badge: 'border-good! bg-good-wash! text-good!' },
    archived: { mark: '▤', name: 'Archived', colour: 'text-quiet', badge: 'bg-wash! text-quiet!' },
    removed: { mark: '✕', name: 'Removed', colour: 'text-quiet', badge: 'bg-wash! text-quiet!' },
    all: { mark: '', name: 'At work', colour: 'text-ink', badge: '' },
  } as const;
  type Shelf = keyof typeof looks;
  const shelves: readonly Shelf[] = ['all', 'stopped', 'open', 'ready', 'archived', 'removed'];

  const query = $derived(
    Object.entries({
      q: data.query.search,
      at: data.query.site,
      shelf: data.query.shelf === 'all' ? '' : data.query.shelf,
      page: data.query.page === 1 ? '' : String(data.query.page),
    }),
  );
  /** The address of the list with something else asked of it. */
  const listed = (changed: Readonly<Record<string, string>>): string => {
    const asked = query
      .map(([name, value]) => [name, changed[name] ?? value] as const)
      .filter(([, value]) => value !== '')
      .map(([name, value]) => `${name}=${encodeURIComponent(value)}`);
    return asked.length === 0 ? '/' : `/?${asked.join('&')}`;
  };
  const back = $derived(listed({}).slice(2));
  const put = $derived(data.query.shelf === 'archived' || data.query.shelf === 'removed');
  const filtered = $derived(data.query.search !== '' || data.query.site !== '' || data.query.shelf !== 'all');
  const changedElsewhere = (job: (typeof data.jobs)[number]): boolean =>
    (seen.get(job.id) ?? job.revision) < job.revision;

  const when = (date: Date): string => date.toISOString().slice(0, 16).replace('T', ' ');
  const problem = (path: string): string | undefined => form?.issues?.find((issue) => issue.path === path)?.message;
  const typing = (target: EventTarget | null): boolean =>
    target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(target.tagName);

  async function takePlate(event: ClipboardEvent): Promise<void> {
    const text = event.clipboardData?.getData('text/plain').trim() ?? '';
    if (typing(event.target) || text === '') return;
    event.preventDefault();
    plate = text.slice(0, 5000);
    pasted = 'The plate is taken. Press Enter to start the job.';
    await tick();
    document.getElementById('start')?.focus();
  }
</script>

<svelte:head><title>Jobs · Pilgrim</title></svelte:head>
<svelte:window
  onpaste={takePlate}
  onkeydown={(event: KeyboardEvent) => {
    if (event.key !== '/' || typing(event.target)) return;
    event.preventDefault();
    document.getElementById('search')?.focus();
  }}
/>

<SiteHeader current="jobs">
  <form method="get" class="flex items-center gap-2" role="search">
    <label for="search" class="sr-only">Search jobs, motors and catalogue</label>
    <input
      id="search"
      name="q"
      type="search"
      maxlength={100}
      value={data.query.search}
      placeholder="Jobs, motors, catalogue"
      class="entry"
    />
    <Button type="submit" color="alternative" class="min-h-11 text-ink!">Search</Button>
  </form>
</SiteHeader>

{#snippet action(name: string, label: string, id: string)}
  <form method="post" action={`?/${name}`}>
    <input type="hidden" name="id" value={id} />
    <input type="hidden" name="back" value={back} />
    <button type="submit" class="min-h-11 w-full rounded-lg px-3 text-left hover:bg-wash">{label}</button>
  </form>
{/snippet}

<main id="main" class="mx-auto grid max-w-7xl gap-x-6 gap-y-4 p-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
  <h1 class="sr-only">Jobs</h1>
  <div class="min-w-0 space-y-3">
    {#if data.aside.id !== ''}
      <Alert
        color="gray"
        class="flex flex-wrap items-center gap-3 border bg-card p-2! text-ink!"
        data-testid="set-aside"
      >
        <p class="px-1">
          The job was {data.aside.how}. It stays under “{looks[data.aside.how].name}”.
        </p>
        <form method="post" action="?/restore">
          <input type="hidden" name="id" value={data.aside.id} />
          <input type="hidden" name="back" value={back} />
          <button type="submit" class="min-h-11 px-2 text-sea underline">Restore</button>
        </form>
      </Alert>
    {/if}
    <div class="flex flex-wrap items-center gap-x-1 gap-y-2">
      <nav aria-label="Where jobs stand" class="flex flex-wrap gap-1">
        {#each shelves as shelf (shelf)}
          {@const { mark, name, colour } = looks[shelf]}
          <a
            href={listed({ shelf: shelf === 'all' ? '' : shelf, page: '' })}
            aria-current={data.query.shelf === shelf ? 'page' : undefined}
            class={`flex min-h-9 items-center gap-1.5 rounded-lg border px-2.5 text-sm pointer-coarse:min-h-11 ${data.query.shelf === shelf ? 'border-copper bg-card font-semibold' : 'border-transparent hover:bg-wash'}`}
            ><span class={colour} aria-hidden="true">{mark}</span>{name}
            <span class="text-quiet">{data.counts[shelf]}</span></a
          >
        {/each}
      </nav>
      {#if data.sites.length > 1}
        <form method="get" class="ms-auto flex items-center gap-2" data-sveltekit-keepfocus>
          {#if data.query.search}<input type="hidden" name="q" value={data.query.search} />{/if}
          {#if data.query.shelf !== 'all'}<input type="hidden" name="shelf" value={data.query.shelf} />{/if}
          <label for="at" class="text-sm text-quiet">Of</label>
          <select
            id="at"
            name="at"
            class="entry min-h-9! py-1! text-sm! pointer-coarse:min-h-11!"
            onchange={(event) => event.currentTarget.form?.requestSubmit()}
          >
            <option value="">all sites</option>
            {#each data.sites as site (site.name)}
              <option value={site.name} selected={site.name === data.query.site}>{site.name}</option>
            {/each}
          </select>
          <noscript><button type="submit" class="min-h-11 px-2 text-sea underline">Show</button></noscript>
        </form>
      {/if}
    </div>
    {#if data.overloaded.length > 0}
      <section aria-label="Motors above their plate" class="rounded-lg border border-s-4 border-s-caution bg-card">
        <h2 class="px-3 pt-1.5 text-sm font-semibold text-caution">△ Measured above their plate</h2>
        <ul class="text-sm">
          {#each data.overloaded as motor (motor.id)}
            <li>
              <a
                href={`/motors/${motor.id}`}
                class="flex min-h-9 items-center gap-x-4 px-3 hover:bg-wash pointer-coarse:min-h-11"
                data-above={motor.tag}
              >
                <span class="w-28 shrink-0 truncate font-semibold">{motor.tag || 'no tag'}</span>
                <span class="shrink-0 font-semibold text-caution"
                  >{Math.round(motor.share * 100)} % <span class="font-normal">of its current</span></span
                >
                <span class="min-w-0 grow truncate">{unbroken(motor.plateText)}</span>
                <span class="max-w-48 truncate text-quiet">{motor.site}</span>
              </a>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if data.jobs.length === 0}
      <p class="rounded-lg border bg-card p-6">
        {filtered
          ? `No job here${data.query.search ? ` holds “${data.query.search}”` : ''}. Look under “At work” of all sites, or search less.`
          : 'No job yet. Paste a plate anywhere on this page, or start one on the right: a failed motor, a new machine, or a drive for an old motor.'}
      </p>
    {:else}
      <ul class="divide-y rounded-lg border bg-card" aria-label={looks[data.query.shelf].name}>
        {#each data.jobs as job (job.id)}
          {@const look = looks[job.state]}
          <li class="flex items-start hover:bg-wash" data-job={job.tag} data-state={job.state}>
            <a
              href={`/jobs/${job.id}`}
              class="grid min-h-11 min-w-0 grow gap-x-4 py-1.5 ps-3 sm:grid-cols-[8.5rem_minmax(0,1fr)_auto]"
            >
              <span class="min-w-0">
                <span class="block truncate font-semibold">{job.tag || '–'}</span>
                <Badge border class={`px-1.5! font-normal! whitespace-nowrap ${look.badge}`}
                  >{look.mark} {look.name}</Badge
                >
              </span>
              <span class="min-w-0">
                <span class="block truncate">{job.title || 'Untitled job'}</span>
                <span class={`line-clamp-2 text-sm ${job.state === 'stopped' ? 'text-stop' : 'text-quiet'}`}
                  >{unbroken(job.concern || job.decision)}</span
                >
              </span>
              <span class="text-sm text-quiet sm:text-right"
                ><span class="block max-w-48 truncate">{job.site}</span><span class="block whitespace-nowrap"
                  >{when(job.updatedAt)} · rev {job.revision}</span
                >{#if changedElsewhere(job)}<span class="block font-semibold text-sea">◆ changed since you saw it</span
                  >{/if}</span
              >
            </a>
            <Menu label={`Copy, archive or remove ${job.tag || job.title || 'this job'}`} class="me-1 min-h-11">
              <div class="w-44">
                {@render action('copy', 'Make a copy', job.id)}
                {#if put}
                  {@render action('restore', 'Restore', job.id)}
                {:else}
                  {@render action('archive', 'Archive', job.id)}
                {/if}
                {#if data.query.shelf !== 'removed'}{@render action('remove', 'Remove', job.id)}{/if}
              </div>
            </Menu>
          </li>
        {/each}
      </ul>
      {#if data.pages > 1}
        <nav aria-label="Pages" class="flex items-center gap-3 text-sm">
          {#if data.query.page > 1}<a
              class="flex min-h-11 items-center text-sea underline"
              href={listed({ page: String(data.query.page - 1) })}>Earlier in the list</a
            >{/if}
          <span class="text-quiet">Page {data.query.page} of {data.pages}</span>
          {#if data.query.page < data.pages}<a
              class="flex min-h-11 items-center text-sea underline"
              href={listed({ page: String(data.query.page + 1) })}>Further in the list</a
            >{/if}
        </nav>
      {/if}
    {/if}
    {#if data.motors.length > 0}
      <section aria-label="Motors found">
        <h2 class="mb-1 text-sm font-semibold text-quiet">In the register</h2>
        <ul class="divide-y rounded-lg border bg-card text-sm">
          {#each data.motors as motor (motor.id)}
            <li>
              <a href={`/motors/${motor.id}`} class="flex min-h-11 items-center gap-4 px-3 hover:bg-wash">
                <span class="w-28 shrink-0 truncate font-semibold">{motor.tag || 'no tag'}</span>
                <span class="min-w-0 grow truncate">{unbroken(motor.plateText)}</span>
                <span class="truncate text-quiet">{motor.state} · {motor.site}</span>
              </a>
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if data.items.length > 0}
      <section aria-label="Catalogue items">
        <h2 class="mb-1 text-sm font-semibold text-quiet">In the catalogue</h2>
        <ul class="divide-y rounded-lg border bg-card text-sm">
          {#each data.items as item (item.id)}
            <li class="flex gap-4 px-3 py-1.5">
              <span class="w-28 shrink-0 text-quiet">{item.kind}</span><span class="grow">{item.name}</span><span
                class="text-quiet">{item.maker}</span
              >
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  </div>

  <div class="space-y-4">
    <Card class="max-w-none! bg-card! p-4! shadow-none!"
      ><form method="post" action="?/create" class="w-full space-y-2.5">
        <h2 class="font-semibold">Start a job</h2>
        <div>
          <label for="plate" class="mb-1 block text-sm text-quiet"
            >Plate, as text (paste it anywhere on this page)</label
          >
          <textarea
            id="plate"
            name="plate"
            rows={3}
            maxlength={5000}
            class="entry"
            placeholder="HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 SF 1.15"
            aria-describedby={problem('plate') ? 'plate-error' : undefined}
            bind:value={plate}></textarea>
          {#if problem('plate')}<p id="plate-error" class="mt-1 text-sm text-stop">{problem('plate')}</p>{/if}
        </div>
        <div>
          <label for="kind" class="mb-1 block text-sm text-quiet">Task</label>
          <select id="kind" name="kind" class="entry">
            {#each fields.kind.options as [value, name] (value)}
              <option {value} selected={value === (form?.form?.['kind'] ?? 'replace')}>{name}</option>
            {/each}
          </select>
        </div>
        {#each [['tag', 'Tag', 'P-101'], ['title', 'What it drives', 'Brine pump'], ['site', 'Site', data.sites[0]?.name ?? '']] as const as [name, label, placeholder] (name)}
          <div>
            <label for={name} class="mb-1 block text-sm text-quiet">{label}</label>
            <input
              id={name}
              {name}
              {placeholder}
              list={name === 'site' ? 'sites' : undefined}
              autocomplete="off"
              class="entry"
              value={form?.form?.[name] ?? ''}
              aria-describedby={problem(name) ? `${name}-error` : undefined}
            />
            {#if problem(name)}<p id={`${name}-error`} class="mt-1 text-sm text-stop">{problem(name)}</p>{/if}
          </div>
        {/each}
        <datalist id="sites"
          >{#each data.sites as site (site.name)}<option value={site.name}></option>{/each}</datalist
        >
        <Button type="submit" id="start" class="min-h-11 w-full">Start</Button>
        <p class="text-sm text-quiet" role="status">{pasted}</p>
      </form></Card
    >
    <details class="rounded-lg border bg-card px-4" open={form?.imported !== undefined}>
      <summary class="min-h-11 cursor-pointer py-2.5">Import a job from a file</summary>
      <form method="post" action="?/import" enctype="multipart/form-data" class="space-y-3 pb-4">
        <label for="file" class="mb-1 block text-sm text-quiet">Job file (JSON)</label>
        <Fileupload
          id="file"
          name="file"
          accept=".json,application/json"
          class="min-h-11 text-sm"
          aria-describedby={form?.imported ? 'file-error' : undefined}
        />
        {#if form?.imported}<p id="file-error" class="text-sm text-stop">{form.imported}</p>{/if}
        <Button type="submit" color="alternative" class="min-h-11 w-full text-ink!">Import</Button>
      </form>
    </details>
  </div>
</main>
