<script lang="ts">
  import Fileupload from 'flowbite-svelte/Fileupload.svelte';
  import Alert from 'flowbite-svelte/Alert.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import type { PageProps } from './$types';

  let { data, form }: PageProps = $props();

  const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: 'UTC' });
</script>

<svelte:head><title>Catalogues · Pilgrim</title></svelte:head>
<SiteHeader current="catalogues" />
<main id="main" class="mx-auto grid max-w-6xl gap-6 p-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
  <div class="min-w-0">
    <h1 class="text-xl font-bold">Catalogues</h1>
    <p class="mb-3 text-sm text-quiet">
      Motors, drives and starter parts are chosen from all of them together. A job keeps what it was decided with.
    </p>
    {#if data.catalogues.length === 0}
      <p class="rounded-lg border bg-card p-6">
        No catalogue yet: sizes and settings are worked out, but nothing can be picked. Add one on the right.
      </p>
    {:else}
      <ul class="divide-y rounded-lg border bg-card">
        {#each data.catalogues as catalogue (catalogue.id)}
          <li class="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2" data-catalogue={catalogue.name}>
            <div class="min-w-0 grow basis-64">
              <strong class="break-words">{catalogue.name}</strong>
              <span class="text-sm text-quiet">· prices in {catalogue.currency}</span>
              <span class="block text-sm"
                >{Object.entries(catalogue.kinds)
                  .map(([kind, count]) => `${count} × ${kind}`)
                  .join(' · ') || 'empty'}</span
              >
              <span class="block text-sm text-quiet">loaded {when.format(catalogue.loadedAt)} UTC</span>
            </div>
            <a
              class="flex min-h-11 items-center rounded-lg border px-3 text-sm text-sea hover:bg-wash"
              href={`/catalogues/${catalogue.id}.json`}
              aria-label={`Export ${catalogue.name}`}
              download>Export</a
            >
            <form method="post" action="?/remove">
              <input type="hidden" name="id" value={catalogue.id} />
              <Button
                type="submit"
                color="alternative"
                class="min-h-11 px-3! text-ink!"
                aria-label={`Remove ${catalogue.name}`}
                onclick={(event: MouseEvent) => {
                  // Only its file brings it back.
                  if (!confirm(`Remove “${catalogue.name}”? Export it first if it may be wanted again.`))
                    event.preventDefault();
                }}>Remove</Button
              >
            </form>
          </li>
        {/each}
      </ul>
    {/if}
  </div>
  <form
    method="post"
    action="?/add"
    enctype="multipart/form-data"
    class="space-y-3 self-start rounded-lg border bg-card p-4"
  >
    <h2 class="font-semibold">Add a catalogue</h2>
    <p class="text-sm text-quiet">
      JSON as an export writes it. One of the same name takes the place of the earlier; all need one currency.
    </p>
    {#if form?.problems}
      <Alert color="red" class="border border-stop bg-stop-wash! p-3! text-stop!" id="file-error">
        <p>■ Nothing was added.</p>
        <ul class="list-disc ps-5 text-sm break-words">
          {#each form.problems as problem (problem)}<li>{problem}</li>{/each}
        </ul>
      </Alert>
    {/if}
    <label for="file" class="mb-1 block text-sm text-quiet">Catalogue file (JSON)</label>
    <Fileupload
      id="file"
      name="file"
      accept=".json,application/json"
      class="min-h-11 text-sm"
      aria-describedby={form?.problems ? 'file-error' : undefined}
    />
    <Button type="submit" class="min-h-11 w-full">Add</Button>
  </form>
</main>
