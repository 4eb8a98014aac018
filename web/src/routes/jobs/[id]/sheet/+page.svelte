<script lang="ts">
  import { selectionSheet } from '@pilgrim/core/handover/sheet';
  import ConflictDialog from '$lib/components/ConflictDialog.svelte';
  import SaveNotice from '$lib/components/SaveNotice.svelte';
  import SheetView from '$lib/components/SheetView.svelte';
  import { useJobStore } from '$lib/job/context';

  const store = useJobStore();
  const base = $derived(`/jobs/${store.id}`);
  const sheet = $derived(selectionSheet(store.document, store.solution));
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
    {@const href = `${base}/${name}`}
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
  <p class="mt-3 text-sm text-quiet">Revision {store.revision}. Figures in italics are estimates.</p>
</main>

<ConflictDialog {store} />
