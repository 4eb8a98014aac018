<script lang="ts">
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
</script>

<svelte:head><title>Sites · Pilgrim</title></svelte:head>
<SiteHeader current="sites" />
<main id="main" class="mx-auto max-w-6xl p-4">
  <h1 class="mb-4 text-xl font-bold">Sites</h1>
  {#if data.sites.length === 0}
    <p class="rounded-lg border bg-card p-6">No site yet. A site appears here with the first job that names it.</p>
  {:else}
    <ul class="divide-y rounded-lg border bg-card">
      {#each data.sites as site (site.name)}
        {@const own = Object.keys(site.practice).length}
        <li>
          <a
            href={`/sites/${encodeURIComponent(site.name)}`}
            class="flex min-h-11 flex-wrap gap-x-4 px-4 py-2 hover:bg-wash"
          >
            <span class="grow font-semibold">{site.name}</span>
            <span class="text-sm text-quiet"
              >{site.school} · {site.currency} · {own === 0 ? 'default design rules' : `${own} rules of its own`}</span
            >
          </a>
        </li>
      {/each}
    </ul>
  {/if}
</main>
