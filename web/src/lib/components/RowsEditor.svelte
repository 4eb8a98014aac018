<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { fieldId, reach } from '$lib/job/reach';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import type { FieldDefinition } from '$lib/job/sheets';
  import Field from './Field.svelte';

  interface Props {
    store: JobStore;
    title: string;
    /** Where the list stands in the job. */
    path: string;
    /** Cells of one row, by their name in it. */
    cells: readonly Omit<FieldDefinition, 'kind'>[];
    /** What one row is called. */
    row: string;
    fresh: Readonly<Record<string, string | boolean>>;
    /** Further cells of each row, seldom typed, behind a fold with a title. */
    further?: { readonly title: string; readonly cells: readonly Omit<FieldDefinition, 'kind'>[] };
    /** A further switch of each row. */
    check?: { readonly name: string; readonly label: string };
  }
  let { store, title, path, cells, row, fresh, further, check }: Props = $props();

  const count = $derived(store.rowCount(path));
  /** Whether a cell says something else than in a new row. */
  const differs = (cell: string, index: number): boolean =>
    (store.get(`${path}.${index}.${cell}`) ?? '') !== (fresh[cell] ?? '');
</script>

{#snippet typed(shown: Props['cells'], index: number)}
  {#each shown as cell (cell.path)}
    <div class="min-w-20 flex-1">
      <Field
        {store}
        field={{ ...cell, kind: cell.options ? 'select' : 'text', path: `${path}.${index}.${cell.path}` }}
      />
    </div>
  {/each}
{/snippet}

<!-- A list of rows that are typed: hours at flows, segments, points, bands. -->
<section aria-label={title}>
  <h2 class="mb-2 text-sm font-semibold text-quiet">{title}</h2>
  <div class="space-y-2">
    {#each { length: count }, index (index)}
      <div class="flex flex-wrap items-start gap-x-2 gap-y-1" data-row={`${path}.${index}`}>
        {@render typed(cells, index)}
        {#if check}<div class="mt-6">
            <Field {store} field={{ path: `${path}.${index}.${check.name}`, label: check.label, kind: 'check' }} />
          </div>{/if}
        <button
          type="button"
          class="mt-6 min-h-8 min-w-8 rounded hover:bg-wash disabled:text-quiet pointer-coarse:min-h-11 pointer-coarse:min-w-11"
          aria-label={`Remove ${row} ${index + 1}`}
          title={`Remove ${row} ${index + 1}`}
          onclick={() => {
            store.removeRow(path, index);
            reach(fieldId(path));
          }}>×</button
        >
        {#if further}
          <details class="basis-full" open={further.cells.some((cell) => differs(cell.path, index))}>
            <summary class="min-h-8 cursor-pointer py-1 text-sm text-sea pointer-coarse:min-h-11"
              >{further.title}</summary
            >
            <div class="flex flex-wrap items-start gap-2">{@render typed(further.cells, index)}</div>
          </details>
        {/if}
      </div>
    {/each}
  </div>
  <Button
    id={fieldId(path)}
    color="alternative"
    class="mt-2 min-h-11 text-ink!"
    onclick={() => store.addRow(path, { ...fresh })}>Add a {row}</Button
  >
</section>
