<script lang="ts">
  import type { FieldHost } from '$lib/job/field-host';
  import type { FieldDefinition } from '$lib/job/sheets';
  import Field from './Field.svelte';
  import Fold from './Fold.svelte';

  interface Props {
    fields: readonly FieldDefinition[];
    store: FieldHost;
    /** Label and field on one line, such lines in a row, or the fields as on a plate. */
    look?: 'compact' | 'compact row' | 'plate';
    /** The fields asked first, or what stands behind folds; both unless told. */
    part?: 'first' | 'folds';
  }
  let { fields, store, look: wanted, part }: Props = $props();

  const shown = $derived(
    fields.filter((field) => field.asked?.((path) => store.decided?.(path) ?? store.get(path)) ?? true),
  );
  const main = $derived(shown.filter((field) => field.group === undefined));
  const groups = $derived([...new Set(shown.flatMap((field) => field.group ?? []))]);
  const of = (group: string): FieldDefinition[] => shown.filter((field) => field.group === group);
  const filled = (group: string): boolean => filledIn(group) > 0 && !of(group).some(({ shut }) => shut);
  const look = $derived(wanted ?? 'grid gap-3 sm:grid-cols-2 lg:grid-cols-1 xl:grid-cols-2');
  const filledIn = (group: string): number =>
    of(group).filter(
      ({ path, kind }) =>
        kind !== 'select' && ![undefined, '', false].includes(store.get(path) as string | boolean | undefined),
    ).length;
</script>

{#if part !== 'folds'}
  <div class={look}>
    {#each main as field (field.path)}<Field {field} {store} />{/each}
  </div>
{/if}
<div
  class={wanted === 'compact row' ? 'mt-2 grid grid-cols-[minmax(0,1fr)] items-start gap-2 lg:grid-cols-3' : 'contents'}
>
  {#each part === 'first' ? [] : groups as group (group)}
    <Fold
      class={wanted === 'compact row' ? 'open:lg:col-span-3' : 'mt-2'}
      title={group}
      note={filledIn(group) === 0 ? 'nothing filled in' : `${filledIn(group)} filled in`}
      open={filled(group)}
    >
      <div class={`${wanted ? 'compact' : look} p-3 pt-0`}>
        {#each of(group) as field (field.path)}<Field {field} {store} />{/each}
      </div>
    </Fold>
  {/each}
</div>
