<script lang="ts">
  import { selectionSheet } from '@pilgrim/core/solve/sheet';
  import ConflictDialog from '$lib/components/ConflictDialog.svelte';
  import SaveNotice from '$lib/components/SaveNotice.svelte';
  import SheetView from '$lib/components/SheetView.svelte';
  import { useJobStore } from '$lib/job/context';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();

  const store = useJobStore();
  const base = $derived(`/jobs/${store.id}`);
  /** What is saved is shown as it was decided then, in the units of its standards with the others beside them; only what is not yet saved is shown live. */
  const kept = $derived(data.asked || (store.saved && store.revision === data.kept.revision));
  const revision = $derived(kept ? data.kept.revision : store.revision);
  const sheet = $derived(
    kept ? selectionSheet(data.kept.job, data.kept.solution) : selectionSheet(store.document, store.solution),
  );
  const query = $derived(data.asked ? `?revision=${data.kept.revision}` : '');
  const files = [
    { name: 'sheet.pdf', label: 'PDF' },
    { name: 'export.json', label: 'Job, JSON' },
    { name: 'solution.json', label: 'Result, JSON' },
  ];

  /** The server writes the files from what is saved: what was typed last goes there first. */
  async function open(event: MouseEvent, href: string): Promise<void> {
    if (store.saved) return;
    event.preventDefault();
    if (await store.flush()) location.assign(href);
  }
</script>

<svelte:head><title>Selection sheet · {sheet.title} · Pilgrim</title></svelte:head>

<header class="no-print flex flex-wrap items-center gap-3 border-b bg-card px-4 py-2">
  <a href="/" class="flex items-center gap-2 text-lg font-bold"
    ><img src="/favicon.svg" alt="" class="size-7" />Pilgrim</a
  >
  <a class="flex min-h-11 grow items-center text-sea underline" href={`${base}/handover`}>Back to the job</a>
  <SaveNotice {store} />
  {#each files as { name, label }, index (name)}
    {@const href = `${base}/${name}${name === 'sheet.pdf' ? query : ''}`}
    <a
      class={`flex min-h-11 items-center rounded-lg px-4 text-sm font-semibold ${index === 0 ? 'bg-primary-700 text-white hover:bg-primary-800' : 'border text-sea hover:bg-wash'}`}
      {href}
      data-sveltekit-reload
      onclick={(event) => void open(event, href)}>{label}</a
    >
  {/each}
</header>
<main id="main" class="mx-auto max-w-4xl p-4">
  <h1 class="sr-only">Selection sheet</h1>
  <SheetView {sheet} />
  <p class="mt-3 text-sm text-quiet" data-testid="revision">
    Revision {revision}{data.asked && revision < data.kept.newest ? ` of ${data.kept.newest}` : ''}. Figures in italics
    rest on an assumption.
    {#if kept && sheet.engine !== data.engine}
      It stands as {sheet.engine} decided it; save the job again to have it decided by {data.engine}.
    {/if}
  </p>
  <p class="no-print mt-1 flex gap-4 text-sm">
    {#if revision > 1}<a
        class="flex min-h-11 items-center text-sea underline"
        href={`${base}/sheet?revision=${revision - 1}`}>Sheet of revision {revision - 1}</a
      >{/if}
    {#if data.asked && revision < data.kept.newest}<a
        class="flex min-h-11 items-center text-sea underline"
        href={`${base}/sheet`}>Sheet of the newest revision</a
      >{/if}
  </p>
</main>

<ConflictDialog {store} />
