<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import Input from 'flowbite-svelte/Input.svelte';
  import Label from 'flowbite-svelte/Label.svelte';
  import Select from 'flowbite-svelte/Select.svelte';
  import { onMount } from 'svelte';
  import ThemeButton from '$lib/components/ThemeButton.svelte';
  import { situationOptions } from '$lib/job/sheets';
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
  const look = 'min-h-11 bg-card text-base text-ink border-gray-400! dark:border-gray-500!';
</script>

<svelte:head><title>Jobs · Pilgrim</title></svelte:head>

<header class="flex flex-wrap items-center gap-4 border-b bg-card px-4 py-2">
  <a href="/" class="flex items-center gap-2 text-lg font-bold"
    ><img src="/favicon.svg" alt="" class="size-7" />Pilgrim</a
  >
  <p class="grow text-sm text-quiet">Motor, starter and drive selection that shows its working</p>
  <form method="get" class="flex items-center gap-2" role="search">
    <Label for="search" class="sr-only">Search jobs and catalogue</Label>
    <Input
      id="search"
      name="q"
      type="search"
      maxlength={100}
      value={data.search}
      placeholder="Tag, title, site, catalogue"
      class={look}
    />
    <Button type="submit" color="alternative" class="min-h-11 text-ink!">Search</Button>
  </form>
  <ThemeButton {hydrated} />
</header>

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
        <Label for="kind" class="mb-1 text-sm font-normal text-quiet">What is asked</Label>
        <Select
          id="kind"
          name="kind"
          placeholder=""
          classes={{ select: look }}
          items={[...situationOptions]}
          value={form?.form?.['kind'] ?? 'replace'}
        />
      </div>
      {#each [['tag', 'Tag', 'P-101'], ['title', 'What it drives', 'Brine pump'], ['site', 'Site', data.sites[0]?.name ?? '']] as const as [name, label, placeholder] (name)}
        <div>
          <Label for={name} class="mb-1 text-sm font-normal text-quiet">{label}</Label>
          <Input
            id={name}
            {name}
            {placeholder}
            list={name === 'site' ? 'sites' : undefined}
            autocomplete="off"
            class={look}
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
      <Label for="file" class="text-sm font-normal text-quiet">Job file (JSON)</Label>
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
