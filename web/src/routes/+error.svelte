<script lang="ts">
  import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Pilgrim</title></svelte:head>
<main id="main" class="mx-auto max-w-xl p-8">
  <h1 class="text-2xl font-bold">
    {page.status === 404 ? 'Not here' : page.status === 503 ? 'The database is away' : 'This did not work'}
  </h1>
  <p class="mt-2">{page.error?.message}</p>
  {#if page.error?.id}<p class="mt-2 text-sm text-quiet">Log entry {page.error.id}</p>{/if}
  <p class="mt-4"><a class="text-sea underline" href="/">To the jobs</a></p>
</main>
