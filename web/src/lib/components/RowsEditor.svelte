<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { fieldId, reach } from '$lib/job/reach';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import type { FieldDefinition } from '$lib/job/sheets';
  import Field from './Field.svelte';

  interface Props {
    store: JobStore;
    hydrated: boolean;
    title: string;
    /** Where the list stands in the job. */
    path: string;
    /** Cells of one row, by their name in it. */
    cells: readonly Omit<FieldDefinition, 'kind'>[];
    /** What one row is called. */
    row: string;
    fresh: Readonly<Record<string, string | boolean>>;
    /** A further switch of each row. */
    check?: { readonly name: string; readonly label: string };
  }
  let { store, hydrated, title, path, cells, row, fresh, check }: Props = $props();

  const count = $derived(store.rowCount(path));
</script>

<!-- A list of rows that are typed: hours at flows, segments, points, bands. -->
<section aria-label={title}>
  <h2 class="mb-2 text-sm font-semibold text-quiet">{title}</h2>
  <div class="space-y-2">
    {#each { length: count }, index (index)}
      <div class="flex flex-wrap items-start gap-2" data-row={`${path}.${index}`}>
        {#each cells as cell (cell.path)}
          <div class="min-w-24 flex-1">
            <Field
              {store}
              {hydrated}
              field={{ ...cell, kind: cell.options ? 'select' : 'text', path: `${path}.${index}.${cell.path}` }}
            />
          </div>
        {/each}
        {#if check}<div class="mt-6">
            <Field
              {store}
              {hydrated}
              field={{ path: `${path}.${index}.${check.name}`, label: check.label, kind: 'check' }}
            />
          </div>{/if}
        <Button
          color="alternative"
          class="mt-6 min-h-11 px-3! text-ink!"
          disabled={!hydrated}
          aria-label={`Remove ${row} ${index + 1}`}
          onclick={() => {
            store.removeRow(path, index);
            reach(fieldId(path));
          }}>Remove</Button
        >
      </div>
    {/each}
  </div>
  <Button
    id={fieldId(path)}
    color="alternative"
    class="mt-2 min-h-11 text-ink!"
    disabled={!hydrated}
    onclick={() => store.addRow(path, { ...fresh })}>Add a {row}</Button
  >
</section>
