<script lang="ts">
  import {
    columnFilteringFeature,
    createFilteredRowModel,
    createTable,
    filterFn_equals,
    tableFeatures,
  } from '@tanstack/svelte-table';
  import Button from 'flowbite-svelte/Button.svelte';

  interface Refused {
    readonly id: string;
    readonly name: string;
    readonly rule: string;
    readonly reason: string;
  }
  interface Props {
    title: string;
    refused: readonly Refused[];
    /** How many more there are, and why none of them comes near. */
    others?: readonly { readonly reason: string; readonly count: number }[];
  }
  let { title, refused, others = [] }: Props = $props();

  const STEP = 50;
  let shown = $state(8);
  /** The rule whose refusals are shown; all where none is chosen. */
  let rule = $state('');

  const counts = $derived(
    [...new Set(refused.map((item) => item.rule))].map((name) => ({
      name,
      count: refused.filter((item) => item.rule === name).length,
    })),
  );
  const table = createTable({
    features: tableFeatures({
      columnFilteringFeature,
      filteredRowModel: createFilteredRowModel(),
      filterFns: { equals: filterFn_equals },
    }),
    columns: [{ id: 'rule', accessorFn: ({ rule: own }: Refused) => own, filterFn: 'equals' as const }],
    get data() {
      return [...refused];
    },
    getRowId: ({ id }: Refused) => id,
    state: {
      get columnFilters() {
        return rule === '' ? [] : [{ id: 'rule', value: rule }];
      },
    },
  });
  const wanted = $derived(table.getRowModel().rows.map(({ original }) => original));
  const filters = $derived([{ name: '', count: refused.length }, ...counts]);
</script>

{#if refused.length > 0 || others.length > 0}
  <section aria-label={title}>
    <div class="mb-1 flex flex-wrap items-center gap-1">
      <h2 class="me-2 text-sm font-semibold text-quiet">{title}</h2>
      {#each counts.length > 1 ? filters : [] as { name, count } (name)}
        <button
          type="button"
          class={`min-h-8 rounded-lg border px-2.5 text-sm pointer-coarse:min-h-11 ${rule === name ? 'border-copper bg-card font-semibold' : 'hover:bg-wash'}`}
          aria-pressed={rule === name}
          onclick={() => (rule = name)}>{name || 'all'} <span class="text-quiet">{count}</span></button
        >
      {/each}
    </div>
    <ul class="divide-y rounded-lg border bg-card text-sm">
      {#each wanted.slice(0, shown) as item (item.id)}
        <li class="flex flex-wrap gap-x-3 px-4 py-1.5">
          <span class="w-64 shrink-0">{item.name}</span><span class="text-quiet">{item.reason}</span>
        </li>
      {/each}
      {#each rule === '' ? others : [] as { reason, count } (reason)}
        <li class="flex flex-wrap gap-x-3 px-4 py-1.5 text-quiet">
          <span class="w-64 shrink-0">{count} more</span><span>{reason}</span>
        </li>
      {/each}
    </ul>
    {#if wanted.length > shown}
      <Button color="alternative" class="mt-2 min-h-11 text-ink!" onclick={() => (shown += STEP)}
        >Show more of {wanted.length}</Button
      >
    {/if}
  </section>
{/if}
