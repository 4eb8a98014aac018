<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import type { PageProps } from './$types';

  let { data }: PageProps = $props();
</script>

<svelte:head><title>Glossary · Pilgrim</title></svelte:head>
<SiteHeader current="glossary" />
<main id="main" class="mx-auto max-w-5xl p-4">
  <h1 class="text-xl font-bold">Glossary</h1>
  <p class="mb-3 text-sm text-quiet">
    Every field and result, by its NEMA/NEC and IEC term, symbol or another name. Clauses are cited from memory; the
    printed standard decides.
  </p>
  <form class="mb-4 flex max-w-xl gap-2" role="search">
    <input
      class="entry grow"
      type="search"
      name="q"
      value={data.typed}
      maxlength={80}
      placeholder="FLA, WK², DOL, Zs …"
      aria-label="Find a term"
    />
    <Button type="submit" class="min-h-11">Find</Button>
  </form>
  {#if data.found.length === 0}
    <p class="rounded-lg border bg-card p-6">
      No term is called “{data.typed}”. Type a shorter part of it, or
      <a class="text-sea underline" href="/glossary">list all terms</a>.
    </p>
  {:else}
    <p class="mb-1 text-sm text-quiet" role="status">
      {data.found.length}
      {data.found.length === 1 ? 'term' : 'terms'}
    </p>
    <dl class="divide-y rounded-lg border bg-card">
      {#each data.found as term (`${term.kind} ${term.id}`)}
        <div class="px-4 py-2" data-term={term.id}>
          <dt class="flex flex-wrap items-baseline gap-x-2">
            <strong>{term.nema}</strong>
            {#if term.nemaSymbol}<span class="text-quiet">{term.nemaSymbol}</span>{/if}
            {#if term.iec !== term.nema}<span>· IEC: <strong>{term.iec}</strong></span>{/if}
            {#if term.iecSymbol && (term.iec !== term.nema || term.iecSymbol !== term.nemaSymbol)}
              <span class="text-quiet">{term.iec === term.nema ? `· IEC: ${term.iecSymbol}` : term.iecSymbol}</span>
            {/if}
            <span class="ms-auto text-sm text-quiet">{term.stage}, {term.kind === 'field' ? 'entry' : 'result'}</span>
          </dt>
          <dd class="text-sm">
            {#if term.definition}{term.definition} <span class="text-quiet">{term.clause}.</span>{/if}
            {#if term.also.length > 0}<span class="block text-quiet">Also: {term.also.join(', ')}</span>{/if}
          </dd>
        </div>
      {/each}
    </dl>
  {/if}
</main>
