<script lang="ts">
  import type { JobStore } from '$lib/job/job-store.svelte';

  interface Spare {
    readonly id: string;
    readonly tag: string;
    readonly place: string;
    readonly plateText: string;
    readonly misfits: readonly string[];
  }
  let { store }: { store: JobStore } = $props();

  let answer = $state.raw<{ asked: boolean; spares: readonly Spare[] }>();
  let away = $state(false);
  const requirement = $derived(JSON.stringify(store.solution.details.requirement ?? null));
  const fits = $derived(answer?.spares.filter((spare) => spare.misfits.length === 0) ?? []);
  const rest = $derived(answer?.spares.filter((spare) => spare.misfits.length > 0) ?? []);
  const ASK_AFTER = 300;

  $effect(() => {
    if (requirement === 'null') {
      answer = undefined;
      return;
    }
    const body = JSON.stringify($state.snapshot(store.document));
    const timer = setTimeout(() => {
      fetch('/api/motors/spares', { method: 'POST', headers: { 'content-type': 'application/json' }, body })
        .then(async (response) => {
          away = !response.ok;
          if (response.ok) answer = (await response.json()) as typeof answer;
        })
        .catch(() => (away = true));
    }, ASK_AFTER);
    return () => clearTimeout(timer);
  });
</script>

{#if requirement !== 'null'}
  <section
    class="rounded-lg border bg-card"
    aria-label="Spares in the register"
    data-spares={answer ? fits.length : '?'}
  >
    <h2 class="border-b px-4 py-2 text-sm font-semibold text-quiet">Spares in the register</h2>
    {#if away}
      <p class="px-4 py-2 text-sm text-caution">The register cannot be asked just now.</p>
    {:else if !answer}
      <p class="px-4 py-2 text-sm text-quiet">Looking in the register …</p>
    {:else}
      {#if fits.length === 0}
        <p class="px-4 py-2 text-sm">
          No spare of the register fits{rest.length > 0 ? '; the nearest are below' : ''}.
        </p>
      {/if}
      <ul class="divide-y text-sm">
        {#each fits as spare (spare.id)}
          <li class="flex flex-wrap items-center gap-x-3 px-4 py-1.5">
            <span class="text-good">✓ suitable</span>
            <a class="font-semibold text-sea underline" href={`/motors/${spare.id}`}>{spare.tag || 'no tag'}</a>
            <span>{spare.plateText}</span><span class="text-quiet">{spare.place}</span>
          </li>
        {/each}
        {#each rest as spare (spare.id)}
          <li class="flex flex-wrap items-center gap-x-3 px-4 py-1.5">
            <span class="text-quiet">✕</span>
            <a class="text-sea underline" href={`/motors/${spare.id}`}>{spare.tag || 'no tag'}</a>
            <span>{spare.plateText}</span><span class="text-quiet">{spare.misfits.join('; ')}</span>
          </li>
        {/each}
      </ul>
    {/if}
  </section>
{/if}
