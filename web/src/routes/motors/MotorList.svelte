<script lang="ts">
  import {
    createTable,
    rowSortingFeature,
    tableFeatures,
    type SortingState,
    type Updater,
  } from '@tanstack/svelte-table';
  import type { PageData } from './$types';
  import TableCard from '$lib/components/TableCard.svelte';

  type MotorRow = PageData['motors'][number];

  interface Props {
    title: string;
    motors: readonly MotorRow[];
    /** What the whole list is sorted by; the database sorts it, since it may be longer than a page holds. */
    sorting: SortingState;
    sort: (order: string, down: boolean) => void;
    /** Those to be compared, at most two. */
    chosen: readonly string[];
    choose: (id: string) => void;
  }
  let { title, motors, sorting, sort, chosen, choose }: Props = $props();

  const marks = { 'in service': '●', spare: '◆', 'in repair': '△', scrapped: '✕' } as const;
  const colours = {
    'in service': 'text-quiet',
    spare: 'text-good',
    'in repair': 'text-caution',
    scrapped: 'text-quiet line-through',
  } as const;
  const columns = [
    { id: 'tag', header: 'Tag', sorted: true, accessorFn: ({ tag }: MotorRow) => tag },
    { id: 'size', header: 'Plate', sorted: true, accessorFn: ({ power }: MotorRow) => power },
    { id: 'frame', header: 'Frame', sorted: true, accessorFn: ({ frameNumber }: MotorRow) => frameNumber },
    { id: 'site', header: 'Where', sorted: true, accessorFn: ({ site }: MotorRow) => site },
    { id: 'state', header: 'State', sorted: false, accessorFn: ({ state }: MotorRow) => state },
  ];
  const table = createTable({
    features: tableFeatures({ rowSortingFeature }),
    columns: columns.map(({ sorted, ...column }) => ({ ...column, enableSorting: sorted, sortDescFirst: false })),
    manualSorting: true,
    enableSortingRemoval: false,
    get data() {
      return [...motors];
    },
    getRowId: (row: MotorRow) => row.id,
    state: {
      get sorting() {
        return sorting;
      },
    },
    onSortingChange: (change: Updater<SortingState>) => {
      const [first] = typeof change === 'function' ? change(sorting) : change;
      if (first) sort(first.id, first.desc);
    },
  });
  const orders = { asc: 'ascending', desc: 'descending' } as const;
  const orderOf = (id: string): 'ascending' | 'descending' | 'none' => {
    const order = table.getColumn(id)?.getIsSorted();
    return order ? orders[order] : 'none';
  };
  const heads = { ascending: '▴', descending: '▾', none: '' } as const;
</script>

<TableCard label={title || 'Motors'} class="mt-2" caption={title ? `${title} · ${motors.length}` : undefined}>
  <thead>
    <tr class="text-left text-quiet">
      <th scope="col" class="px-3 py-1.5 font-normal"><span class="sr-only">Compare</span></th>
      {#each columns as { id, header, sorted } (id)}
        <th scope="col" class="px-1 py-0.5 font-normal" aria-sort={sorted ? orderOf(id) : undefined}>
          {#if sorted}
            <button
              type="button"
              class="min-h-8 rounded px-2 hover:bg-wash pointer-coarse:min-h-11"
              onclick={() => table.getColumn(id)?.toggleSorting()}
              >{header} <span aria-hidden="true">{heads[orderOf(id)]}</span></button
            >
          {:else}<span class="px-2">{header}</span>{/if}
        </th>
      {/each}
    </tr>
  </thead>
  <tbody>
    {#each table.getRowModel().rows as { original: motor } (motor.id)}
      <tr class="border-t hover:bg-wash" data-motor={motor.tag}>
        <td class="w-10 px-3"
          >{#if !motor.removed}<input
              type="checkbox"
              class="size-5"
              aria-label={`Compare ${motor.tag || 'motor'}`}
              disabled={chosen.length === 2 && !chosen.includes(motor.id)}
              checked={chosen.includes(motor.id)}
              onchange={() => choose(motor.id)}
            />{/if}</td
        >
        <th scope="row" class="max-w-44 truncate px-3 text-left font-semibold"
          >{#if motor.removed}
            <form method="post" action="?/restore" class="flex items-center gap-2">
              <input type="hidden" name="id" value={motor.id} />
              <span class="truncate py-2.5">{motor.tag || 'no tag'}</span>
              <button type="submit" class="font-normal whitespace-nowrap text-sea underline">Take back</button>
            </form>
          {:else}
            <a class="block py-2.5 text-sea underline" href={`/motors/${motor.id}`}>{motor.tag || 'no tag'}</a>
          {/if}</th
        >
        <td class="px-3">{motor.plateText || '–'}</td>
        <td class="px-3">{motor.frameNumber || '–'}</td>
        <td class="max-w-64 truncate px-3 text-quiet" title={`${motor.site}, ${motor.location}`}
          >{[motor.location, motor.site].filter(Boolean).join(', ')}</td
        >
        <td class={`px-3 whitespace-nowrap ${motor.removed ? 'text-quiet' : colours[motor.state]}`}
          >{motor.removed ? '✕ removed' : `${marks[motor.state]} ${motor.state}`}{motor.photos > 0
            ? ` · ${motor.photos} ⌷`
            : ''}</td
        >
      </tr>
    {/each}
  </tbody>
</TableCard>
