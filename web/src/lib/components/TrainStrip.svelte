<script lang="ts">
  import type { TrainBlock } from '@pilgrim/core';

  let { train, base }: { train: readonly TrainBlock[]; base: string } = $props();

  const icons: Readonly<Record<TrainBlock['id'], string>> = {
    supply: 'M4 12c2-6 5-6 8 0s6 6 8 0',
    protection: 'M3 12h5l8-6M16 12h5',
    feed: 'M4 17V8h4v9h4V8h4v9h4',
    cable: 'M3 9c6 0 6 6 12 6h6M3 15c3 0 4-1 6-2',
    motor: 'M5 18V7l7 7 7-7v11',
    transmission: 'M4 12h16m-5-5 5 5-5 5M4 7v10',
    load: 'M12 4v16M4 12h16M6.5 6.5l11 11M17.5 6.5l-11 11',
  };
  const stateTexts = { decided: 'decided', open: 'not decided', stopped: 'stopped by a finding' } as const;
</script>

<nav aria-label="Power train" class="border-b bg-card">
  <ol class="relative flex overflow-x-auto px-4 pt-3 pb-2">
    {#each train as block, index (block.id)}
      {@const next = train[index + 1]}
      {@const solid = block.state === 'decided' && next?.state === 'decided'}
      <li class="min-w-24 flex-1">
        <a
          href={`${base}/${block.stage}`}
          class="group block rounded pb-1"
          data-train={block.id}
          data-state={block.state}
        >
          <span class="flex items-center" aria-hidden="true">
            <span
              class={`flex size-8 shrink-0 items-center justify-center border-2 ${
                block.state === 'stopped'
                  ? 'rounded-none border-stop bg-stop-wash text-stop'
                  : block.state === 'open'
                    ? 'rounded-lg border-dashed border-copper text-copper'
                    : 'rounded-lg border-copper text-copper'
              }`}
            >
              {#if block.state === 'stopped'}<span class="font-bold">!</span>
              {:else if block.state === 'open'}<span>?</span>
              {:else}<svg viewBox="0 0 24 24" class="size-5 fill-none stroke-current stroke-2"
                  ><path d={icons[block.id]} /></svg
                >{/if}
            </span>
            {#if next}
              <span class={`grow border-copper ${solid ? 'border-t-4' : 'border-t-4 border-dashed opacity-60'}`}></span>
            {/if}
          </span>
          <span class="mt-1 block text-xs text-quiet group-hover:underline"
            >{block.title}<span class="sr-only">, {stateTexts[block.state]}:</span></span
          >
          <span class="block truncate pe-3 text-sm font-semibold" title={block.rating}>{block.rating || '–'}</span>
          <span class="block h-4 truncate pe-3 text-xs text-quiet" title={block.detail}>{block.detail}</span>
          <span
            class="mt-1 block h-1.5 w-20 rounded bg-line"
            class:invisible={block.used === undefined}
            aria-hidden="true"
          >
            <span
              class={`block h-1.5 rounded ${(block.used ?? 0) > 1 ? 'bg-stop' : 'bg-sea'}`}
              style={`width:${Math.min(100, Math.round((block.used ?? 0) * 100))}%`}
            ></span>
          </span>
          {#if block.used !== undefined}<span class="sr-only">{Math.round(block.used * 100)} % used</span>{/if}
        </a>
      </li>
    {/each}
  </ol>
</nav>
