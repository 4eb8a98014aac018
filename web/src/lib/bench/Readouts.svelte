<script lang="ts">
  import type { DeclaredValue } from '@pilgrim/core/stages/declared-value';
  import { termIn } from '@pilgrim/core/kernel/term';
  import type { StageName } from '@pilgrim/core/kernel/stage-list';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import Gauge from './Gauge.svelte';
  import Figure from '$lib/components/Figure.svelte';

  interface Props {
    store: JobStore;
    stage: StageName;
    declared: Readonly<Record<string, DeclaredValue>>;
  }
  let { store, stage, declared }: Props = $props();

  const shown = $derived(
    store.solution.details.readouts.flatMap(({ id, limit }) => {
      const value = store.solution.values[id];
      return value && id.startsWith(`${stage}.`)
        ? [{ id, limit, value, label: termIn(declared[id.slice(stage.length + 1)]?.label ?? id, store.school) }]
        : [];
    }),
  );
</script>

<!-- What the stage is looked at for: figures with their limits as marks on bars. -->
{#if shown.length > 0}
  <dl
    class="mb-3 grid grid-cols-2 gap-2 sm:grid-cols-3 lg:auto-cols-[minmax(0,12rem)] lg:grid-flow-col lg:grid-cols-none"
    aria-label="Key results"
    data-testid="readouts"
  >
    {#each shown as { id, label, value, limit } (id)}
      <div
        class="readout"
        data-value={id}
        data-missed={limit?.missed}
        data-words={typeof value.value === 'string' || undefined}
      >
        <dt>{label}</dt>
        <dd>
          <Figure {label} {value} whole={() => store.whole(id)} />{#if value.unit === 'currency'}<span class="unit"
              >&nbsp;{store.document.currency}</span
            >{/if}
        </dd>
        {#if limit}
          <dd class="limit flex flex-wrap items-center gap-x-1.5">
            <Gauge {limit} /><span>{limit.missed ? '✕ ' : ''}{limit.text}</span>
          </dd>
        {:else if value.other}<dd class="limit">{value.other}</dd>{/if}
      </div>
    {/each}
  </dl>
{/if}
