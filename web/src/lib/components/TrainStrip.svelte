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
  <ol class="relative flex overflow-x-auto px-3 pt-1.5 pb-0.5">
    {#each train as block, index (block.id)}
      {@const next = train[index + 1]}
      {@const solid = block.state === 'decided' && next?.state === 'decided'}
      <li class="min-w-24 flex-1">
        <a href={`${base}/${block.stage}`} class="train-block" data-train={block.id} data-state={block.state}>
          <span class="flex items-center" aria-hidden="true">
            <span class="symbol">
              {#if block.state === 'stopped'}!
              {:else if block.state === 'open'}?
              {:else}<svg viewBox="0 0 24 24"><path d={icons[block.id]} /></svg>{/if}
            </span>
            {#if next}<span class={solid ? 'wire solid' : 'wire'}></span>{/if}
          </span>
          <span class="name">{block.title}<span class="sr-only">, {stateTexts[block.state]}:</span></span>
          <span class="rating" title={block.rating}>{block.rating || '–'}</span>
          <span class="detail" title={block.detail}>{block.detail}</span>
          <span class="used" class:invisible={block.used === undefined} aria-hidden="true">
            {#if block.used !== undefined}
              <span
                class={block.used > 1 ? 'over' : undefined}
                style={`width:${Math.min(100, Math.round(block.used * 100))}%`}
              ></span>
            {/if}
          </span>
          {#if block.used !== undefined}<span class="sr-only">{Math.round(block.used * 100)} % used</span>{/if}
        </a>
      </li>
    {/each}
  </ol>
</nav>
