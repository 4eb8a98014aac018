<script lang="ts">
  import type { Solution } from '@pilgrim/core';
  import { valueLabels } from '@pilgrim/core/value-labels';
  import Figure from './Figure.svelte';

  let { values, stage, currency }: { values: Solution['values']; stage: string; currency: string } = $props();

  const shown = $derived(
    Object.keys(valueLabels)
      .filter((id) => id.startsWith(`${stage}.`))
      .flatMap((id) => {
        const value = values[id];
        return value ? [{ id, label: valueLabels[id] ?? id, value }] : [];
      }),
  );
</script>

{#if shown.length > 0}
  <section aria-label="What follows" class="rounded-lg border bg-card">
    <h2 class="border-b px-4 py-2 text-sm font-semibold text-quiet">What follows</h2>
    <dl class="divide-y">
      {#each shown as { id, label, value } (id)}
        <div class="flex items-baseline gap-3 px-4 py-1.5" data-value={id}>
          <dt class="min-w-0 grow text-sm text-quiet">{label}</dt>
          <dd class={value.unit === '' ? 'text-right' : 'text-right whitespace-nowrap'}>
            <Figure {label} {value} />{#if value.unit === 'currency'}<span class="text-sm text-quiet"
                >&nbsp;{currency}</span
              >{/if}
          </dd>
          {#if value.unit !== ''}<dd class="w-20 shrink-0 text-right text-sm whitespace-nowrap text-quiet">
              {value.other ?? ''}
            </dd>{/if}
        </div>
      {/each}
    </dl>
  </section>
{/if}
