<script lang="ts">
  import { page } from '$app/state';
  import Button from 'flowbite-svelte/Button.svelte';

  const title = $derived(
    page.error?.away
      ? 'The server is away'
      : page.status === 404
        ? 'Not here'
        : page.status === 503
          ? 'The database is away'
          : 'This did not work',
  );
</script>

<svelte:head><title>{page.error?.away ? title : page.status} · Pilgrim</title></svelte:head>
<main id="main" class="mx-auto max-w-xl p-8">
  <h1 class="text-2xl font-bold">{title}</h1>
  <p class="mt-2">{page.error?.message}</p>
  {#if page.error?.id}<p class="mt-2 text-sm text-quiet">Log entry {page.error.id}</p>{/if}
  {#if page.error?.away}
    <Button color="alternative" class="mt-4 min-h-11 text-ink!" onclick={() => location.reload()}>Try again</Button>
  {/if}
  <p class="mt-4"><a class="text-sea underline" href="/">To the jobs</a></p>
</main>
