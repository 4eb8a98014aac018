<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import { always, clockDefinitions } from '$lib/job/clock-cells';
  import Fold from '$lib/components/Fold.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const PATH = 'profile.shifts';
  const count = $derived(store.rowCount(PATH));
</script>

<Fold
  title="Shift schedule: days, times, months"
  note={count === 0 ? 'none' : `${count} ${count === 1 ? 'shift' : 'shifts'}`}
  open={count > 0}
>
  <div class="p-3 pt-0">
    <RowsEditor
      {store}
      title="Shift schedule"
      path={PATH}
      row="shift"
      cells={[{ path: 'flow', label: 'Flow', placeholder: '70 %' }, ...clockDefinitions]}
      fresh={{ flow: '', ...always }}
    />
  </div>
</Fold>
