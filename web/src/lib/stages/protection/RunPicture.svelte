<script lang="ts">
  import type { Solution } from '@pilgrim/core';

  let { runs }: { runs: Solution['details']['runs'] } = $props();

  const places = [
    ['start', 'Where it is fed'],
    ['way', 'Along the way'],
    ['end', 'At its far end'],
  ] as const;
</script>

<!-- Each run of wires from end to end, and over each stretch what asks for its size there. -->
<section class="rounded-lg border bg-card p-3" aria-label="Conductor sizing criteria">
  <h2 class="text-sm font-semibold text-quiet">Conductor sizing criteria by run</h2>
  {#each runs as run (run.from + run.to)}
    <div class="mt-2" data-run={`${run.from} – ${run.to}`}>
      <p class="flex items-center gap-3 text-sm">
        <span class="rounded border px-2 py-0.5">{run.from}</span>
        <span class="relative h-6 flex-1" aria-hidden="true">
          <span class="absolute inset-x-0 top-1/2 border-t-4 border-copper"></span>
        </span>
        <strong class={run.wire ? 'text-copper' : 'text-stop'}>{run.wire ?? '■ no wire of the table does'}</strong>
        <span class="text-quiet">{run.length ?? 'length not typed'}</span>
        <span class="relative h-6 flex-1" aria-hidden="true">
          <span class="absolute inset-x-0 top-1/2 border-t-4 border-copper"></span>
        </span>
        <span class="rounded border px-2 py-0.5">{run.to}</span>
      </p>
      <dl class="mt-1 grid grid-cols-[minmax(0,1fr)] gap-x-4 gap-y-1 text-sm sm:grid-cols-3">
        {#each places as [at, title] (at)}
          {@const limits = run.limits.filter((each) => each.at === at)}
          <div>
            <dt class="text-xs font-semibold text-quiet">{title}</dt>
            {#each limits as limit (limit.asks)}
              <dd class={`flex justify-between gap-2 ${limit.decides ? 'font-semibold' : ''}`}>
                <span>{limit.decides ? '▲ ' : ''}{limit.asks}</span>
                <span class={`whitespace-nowrap ${limit.size ? '' : 'text-stop'}`}>{limit.size ?? '■ none'}</span>
              </dd>
            {:else}
              <dd class="text-quiet">
                {at === 'end' && !run.length
                  ? 'its length is not typed: nothing is held against it'
                  : 'nothing asks for more'}
              </dd>
            {/each}
            {#if at === 'way'}<dd class="text-quiet">{run.lies}</dd>{/if}
          </div>
        {/each}
      </dl>
    </div>
  {/each}
  <p class="mt-2 text-sm text-quiet">▲ decides: the wire is as large as this asks; the others would do with less.</p>
</section>
