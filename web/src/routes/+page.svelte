<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { onMount } from 'svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import { fields } from '@pilgrim/core/stages/situation/fields';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();

  let hydrated = $state(false);
  onMount(() => void (hydrated = true));

  const groups = [
    { state: 'stopped', title: 'Stopped by a finding', mark: '■', colour: 'text-stop' },
    { state: 'open', title: 'Not decided yet', mark: '△', colour: 'text-caution' },
    { state: 'ready', title: 'Sheet ready', mark: '✓', colour: 'text-good' },
  ] as const;
  const when = (date: Date): string => date.toISOString().slice(0, 16).replace('T', ' ');
  const problem = (path: string): string | undefined => form?.issues?.find((issue) => issue.path === path)?.message;
</script>

<svelte:head><title>Jobs · Pilgrim</title></svelte:head>
<svelte:window
  onkeydown={(event: KeyboardEvent) => {
    const typing = event.target instanceof HTMLElement && /INPUT|TEXTAREA|SELECT/.test(event.target.tagName);
    if (event.key !== '/' || typing) return;
    event.preventDefault();
    document.getElementById('search')?.focus();
  }}
/>

<SiteHeader current="jobs" {hydrated}>
  <form method="get" class="flex items-center gap-2" role="search">
    <label for="search" class="sr-only">Search jobs and catalogue</label>
    <input
      id="search"
      name="q"
      type="search"
      maxlength={100}
      value={data.search}
      placeholder="Tag, title, site, catalogue"
      class="entry"
    />
    <Button type="submit" color="alternative" class="min-h-11 text-ink!">Search</Button>
  </form>
</SiteHeader>

<main id="main" class="mx-auto grid max-w-6xl gap-6 p-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
  <h1 class="sr-only">Jobs</h1>
  <div class="space-y-6">
    {#if data.jobs.length === 0}
      <p class="rounded-lg border bg-card p-6">
        {data.search === ''
          ? 'No job yet. Start one on the right: a failed motor, a new machine, or a drive for an old motor.'
          : `No job holds “${data.search}”.`}
      </p>
    {/if}
    {#each groups as group (group.state)}
      {@const jobs = data.jobs.filter((job) => job.state === group.state)}
      {#if jobs.length > 0}
        <section aria-label={group.title}>
          <h2 class={`mb-2 text-sm font-semibold ${group.colour}`}>{group.mark} {group.title} · {jobs.length}</h2>
          <ul class="divide-y rounded-lg border bg-card">
            {#each jobs as job (job.id)}
              <li>
                <a
                  href={`/jobs/${job.id}`}
                  class="grid min-h-11 gap-x-4 px-4 py-2 hover:bg-wash sm:grid-cols-[7rem_minmax(0,1fr)_auto]"
                >
                  <span class="truncate font-semibold">{job.tag || '–'}</span>
                  <span class="min-w-0">
                    <span class="block truncate">{job.title || 'Untitled job'}</span>
                    <span class="block truncate text-sm text-quiet">{job.decision}</span>
                  </span>
                  <span class="text-right text-sm text-quiet"
                    >{job.site}<span class="block">{when(job.updatedAt)} · rev {job.revision}</span></span
                  >
                </a>
              </li>
            {/each}
          </ul>
        </section>
      {/if}
    {/each}
    {#if data.items.length > 0}
      <section aria-label="Catalogue items">
        <h2 class="mb-2 text-sm font-semibold text-quiet">In the catalogue</h2>
        <ul class="divide-y rounded-lg border bg-card text-sm">
          {#each data.items as item (item.id)}
            <li class="flex gap-4 px-4 py-1.5">
              <span class="w-28 shrink-0 text-quiet">{item.kind}</span><span class="grow">{item.name}</span><span
                class="text-quiet">{item.maker}</span
              >
            </li>
          {/each}
        </ul>
      </section>
    {/if}
  </div>

  <div class="space-y-6">
    <form method="post" action="?/create" class="space-y-3 rounded-lg border bg-card p-4">
      <h2 class="font-semibold">Start a job</h2>
      <div>
        <label for="kind" class="mb-1 block text-sm text-quiet">What is asked</label>
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
      <Button type="submit" class="min-h-11 w-full">Start</Button>
    </form>
    <form method="post" action="?/import" enctype="multipart/form-data" class="space-y-3 rounded-lg border bg-card p-4">
      <h2 class="font-semibold">Import a job</h2>
      <label for="file" class="mb-1 block text-sm text-quiet">Job file (JSON)</label>
      <input
        id="file"
        name="file"
        type="file"
        accept=".json,application/json"
        class="block min-h-11 w-full text-sm"
        aria-describedby={form?.imported ? 'file-error' : undefined}
      />
      {#if form?.imported}<p id="file-error" class="text-sm text-stop">{form.imported}</p>{/if}
      <Button type="submit" color="alternative" class="min-h-11 w-full text-ink!">Import</Button>
    </form>
  </div>
</main>
