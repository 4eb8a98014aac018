<script lang="ts">
  import SheetView from '$lib/components/SheetView.svelte';
  import type { PageProps } from './$types';

  let { data, params }: PageProps = $props();
</script>

<svelte:head><title>Selection sheet · {data.sheet.title} · Pilgrim</title></svelte:head>

<header class="no-print flex flex-wrap items-center gap-3 border-b bg-card px-4 py-2">
  <a href="/" class="flex items-center gap-2 text-lg font-bold"><img src="/favicon.svg" alt="" class="size-7" />Pilgrim</a>
  <a class="flex min-h-11 grow items-center text-sea underline" href={`/jobs/${params.id}/handover`}>Back to the job</a>
  <a class="flex min-h-11 items-center rounded-lg border px-4 text-sm text-sea hover:bg-wash" href={`/jobs/${params.id}/export.json`} download>JSON</a>
  <a class="flex min-h-11 items-center rounded-lg bg-primary-700 px-4 text-sm font-semibold text-white hover:bg-primary-800" href={`/jobs/${params.id}/sheet.pdf`} data-sveltekit-reload>PDF</a>
</header>
<main id="main" class="mx-auto max-w-4xl p-4">
  <h1 class="sr-only">Selection sheet</h1>
  <SheetView sheet={data.sheet} />
  <p class="mt-3 text-sm text-quiet">Revision {data.revision}. Figures in italics are estimates.</p>
</main>
