<script lang="ts" generics="Row extends RankedRow">
  import {
    createSortedRowModel,
    createTable,
    rowSortingFeature,
    sortFn_basic,
    tableFeatures,
  } from '@tanstack/svelte-table';
  import type { Snippet } from 'svelte';
  import type { RankedColumn, RankedRow } from './ranked';
  import TableCard from '$lib/components/TableCard.svelte';

  interface Props {
    label: string;
    caption: string;
    rows: readonly Row[];
    columns: readonly RankedColumn<Row>[];
    chosen: string | undefined;
    choose: (id: string) => void;
    /** Attribute of the rows, for what looks for them. */
    kind: 'motor' | 'drive';
    /** Where there are no rows. */
    none: string;
    foot?: Snippet;
  }
  let { label, caption, rows, columns, chosen, choose, kind, none, foot }: Props = $props();

  const features = tableFeatures({
    rowSortingFeature,
    sortedRowModel: createSortedRowModel(),
    sortFns: { basic: sortFn_basic },
  });
  const table = createTable({
    features,
    get columns() {
      return columns.map(({ id, of }) => ({ id, accessorFn: of, sortFn: 'basic' as const, sortDescFirst: false }));
    },
    get data() {
      return [...rows];
    },
    getRowId: (row: Row) => row.id,
  });
  const sorted = $derived(table.getRowModel().rows.map(({ original }) => original));
  const orders = { asc: 'ascending', desc: 'descending' } as const;
  const orderOf = (id: string): 'ascending' | 'descending' | 'none' => {
    const order = table.getColumn(id)?.getIsSorted();
    return order ? orders[order] : 'none';
  };
  const marks = { ascending: '▴', descending: '▾', none: '' } as const;
  const reasoned = $derived(rows.some(({ reasons }) => reasons !== ''));
  const most = $derived(new Map(columns.map(({ id, of }) => [id, Math.max(0, ...rows.map(of))])));
</script>

<TableCard {label} {caption} {foot}>
  <thead>
    <tr class="text-left text-quiet">
      <th scope="col" class="px-3 py-1 font-normal capitalize">{kind}</th>
      <th scope="col" class="px-3"><span class="sr-only">Choose</span></th>
      {#each columns as { id, label: head } (id)}
        <th scope="col" class="px-1 text-right font-normal" aria-sort={orderOf(id)}>
          <button
            type="button"
            class="min-h-8 rounded px-2 hover:bg-wash pointer-coarse:min-h-11"
            onclick={() => table.getColumn(id)?.toggleSorting()}
            ><span aria-hidden="true">{marks[orderOf(id)]}</span> {head}</button
          >
        </th>
      {/each}
      {#if reasoned}<th scope="col" class="px-3 font-normal">Reasons</th>{/if}
    </tr>
  </thead>
  <tbody>
    {#each sorted as row (row.id)}
      {@const taken = row.id === chosen}
      <tr
        class={`border-t ${taken ? 'bg-wash' : ''}`}
        data-motor={kind === 'motor' ? row.id : undefined}
        data-drive={kind === 'drive' ? row.id : undefined}
      >
        <th scope="row" class="px-3 py-1 text-left font-semibold whitespace-nowrap"
          >{row.name}<span class="block text-xs font-normal text-quiet">{row.under}</span></th
        >
        <td class="px-2 py-0.5 whitespace-nowrap">
          {#if taken}<span class="font-semibold text-sea">✓ chosen</span>
          {:else}<button
              type="button"
              class="min-h-8 rounded-lg border px-2.5 hover:bg-card disabled:text-quiet pointer-coarse:min-h-11"
              aria-label={`Choose ${row.name}`}
              onclick={() => choose(row.id)}>Choose</button
            >{/if}
        </td>
        {#each columns as { id, of, text, bar } (id)}
          <td class="px-2 text-right whitespace-nowrap"
            >{text(row)}{#if bar}<span class="ms-auto mt-0.5 block h-1 w-14 rounded bg-line"
                ><span
                  class={`block h-1 rounded ${taken ? 'bg-copper' : 'bg-sea'}`}
                  style={`width: ${((100 * of(row)) / (most.get(id) || 1)).toFixed(0)}%`}
                ></span></span
              >{/if}</td
          >
        {/each}
        {#if reasoned}<td class="max-w-44 min-w-36 px-2 leading-4.5">{row.reasons}</td>{/if}
      </tr>
    {:else}
      <tr><td colspan={columns.length + 3} class="px-3 py-3">{none}</td></tr>
    {/each}
  </tbody>
</TableCard>
