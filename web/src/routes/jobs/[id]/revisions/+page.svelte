<script lang="ts">
  import Breadcrumb from 'flowbite-svelte/Breadcrumb.svelte';
  import BreadcrumbItem from 'flowbite-svelte/BreadcrumbItem.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import { useJobStore } from '$lib/job/context';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const store = useJobStore();
  const name = $derived([store.document.tag, store.document.title].filter(Boolean).join(' ') || 'Untitled job');
  const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: 'UTC' });
</script>

<svelte:head><title>Revisions · {name} · Pilgrim</title></svelte:head>
<SiteHeader current="jobs" />
<main id="main" class="mx-auto max-w-4xl p-4">
  <Breadcrumb class="mb-2">
    <BreadcrumbItem href="/" home>Jobs</BreadcrumbItem>
    <BreadcrumbItem href={`/jobs/${store.id}/situation`}>{name}</BreadcrumbItem>
    <BreadcrumbItem>Revisions</BreadcrumbItem>
  </Breadcrumb>
  <h1 class="text-xl font-bold break-words">Revisions of {name}</h1>
  <p class="mb-4 text-sm text-quiet">
    Every save is kept with the result of its day. Bringing one back makes it the newest; nothing is lost by it.
  </p>
  <ol class="divide-y rounded-lg border bg-card">
    {#each data.revisions as { revision, savedAt, engine, changes, untold } (revision)}
      <li class="flex flex-wrap items-start gap-x-4 gap-y-1 px-4 py-2" data-revision={revision}>
        <div class="w-40 shrink-0 text-sm">
          <strong>rev {revision}</strong>{revision === data.newest ? ' · now' : ''}
          <span class="block text-quiet">{when.format(savedAt)} UTC</span>
          <span class="block text-xs text-quiet">{engine}</span>
        </div>
        <ul class="min-w-0 grow basis-64 text-sm break-words">
          {#each changes as { name, before, after }, at (at)}
            <li>
              <span class="text-quiet">{name}:</span>
              {before || '(empty)'} → <strong>{after || '(empty)'}</strong>
            </li>
          {:else}
            <li class="text-quiet">{revision === 1 ? 'As it was begun' : 'Saved without a change'}</li>
          {/each}
          {#if untold > 0}<li class="text-quiet">and {untold} more</li>{/if}
        </ul>
        <div class="flex gap-2">
          <a
            class="flex min-h-9 items-center rounded-lg border px-3 text-sm text-sea hover:bg-wash pointer-coarse:min-h-11"
            href={`/jobs/${store.id}/sheet?revision=${revision}`}
            aria-label={`Sheet of revision ${revision}`}>Sheet</a
          >
          {#if revision !== data.newest}
            <!-- The job is loaded afresh afterwards. -->
            <form method="post">
              <input type="hidden" name="revision" value={revision} />
              <Button
                type="submit"
                color="alternative"
                class="min-h-9 px-3! py-1! text-ink! pointer-coarse:min-h-11"
                aria-label={`Bring back revision ${revision}`}>Bring back</Button
              >
            </form>
          {/if}
        </div>
      </li>
    {/each}
  </ol>
  {#if data.older}
    <p class="mt-3">
      <a class="text-sea underline" href={`?from=${data.older}`}>Older revisions</a>
    </p>
  {/if}
</main>
