<script lang="ts">
  import type { FieldHost } from '$lib/job/field-host';
  import type { FieldDefinition } from '$lib/job/sheets';
  import Field from './Field.svelte';

  interface Props {
    fields: readonly FieldDefinition[];
    store: FieldHost;
    hydrated: boolean;
    /** Label and field on one line, such lines in a row, or the fields as on a plate. */
    look?: 'compact' | 'compact row' | 'plate';
  }
  let { fields, store, hydrated, look: wanted }: Props = $props();

  const shown = $derived(fields.filter((field) => field.asked?.((path) => store.get(path)) ?? true));
  const main = $derived(shown.filter((field) => field.group === undefined));
  const groups = $derived([...new Set(shown.flatMap((field) => field.group ?? []))]);
  const of = (group: string): FieldDefinition[] => shown.filter((field) => field.group === group);
  const filled = (group: string): boolean => filledIn(group) > 0;
  const look = $derived(wanted ?? 'grid gap-3 sm:grid-cols-2 lg:grid-cols-1 xl:grid-cols-2');
  const filledIn = (group: string): number =>
    of(group).filter(
      ({ path, kind }) =>
        kind !== 'select' && ![undefined, '', false].includes(store.get(path) as string | boolean | undefined),
    ).length;
</script>

<div class={look}>
  {#each main as field (field.path)}<Field {field} {store} {hydrated} />{/each}
</div>
{#each groups as group (group)}
  <details class="mt-2 rounded-lg border bg-card" open={filled(group)}>
    <summary class="min-h-11 cursor-pointer px-3 py-2.5 text-sm font-semibold text-quiet"
      >{group}<span class="font-normal">
        · {filledIn(group) === 0 ? 'nothing filled in' : `${filledIn(group)} filled in`}</span
      ></summary
    >
    <!-- What is folded away need not come with the page. -->
    {#if hydrated || filled(group)}
      <div class={`${wanted ? 'compact' : look} p-3 pt-0`}>
        {#each of(group) as field (field.path)}<Field {field} {store} {hydrated} />{/each}
      </div>
    {/if}
  </details>
{/each}
