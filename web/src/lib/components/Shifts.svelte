<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import { always, clockDefinitions } from '$lib/job/clock-cells';
  import RowsEditor from './RowsEditor.svelte';

  let { store, hydrated }: Pick<ViewProps, 'store' | 'hydrated'> = $props();

  const PATH = 'profile.shifts';
  const count = $derived(store.rowCount(PATH));
</script>

<details class="rounded-lg border bg-card" open={count > 0}>
  <summary class="min-h-11 cursor-pointer px-3 py-2.5 text-sm font-semibold text-quiet"
    >By shifts: days, times, months<span class="font-normal">
      · {count === 0 ? 'none' : `${count} ${count === 1 ? 'shift' : 'shifts'}`}</span
    ></summary
  >
  {#if hydrated || count > 0}
    <div class="p-3 pt-0">
      <RowsEditor
        {store}
        {hydrated}
        title="Shifts"
        path={PATH}
        row="shift"
        cells={[{ path: 'flow', label: 'Flow', placeholder: '70 %' }, ...clockDefinitions]}
        fresh={{ flow: '', ...always }}
      />
    </div>
  {/if}
</details>
