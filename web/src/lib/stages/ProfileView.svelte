<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import ProfileChart from '$lib/components/ProfileChart.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="profile">
  {#snippet picture()}<ProfileChart {...props} />{/snippet}
  {#snippet after()}
    <div class="mt-3">
      <RowsEditor
        store={props.store}
        hydrated={props.hydrated}
        title="Hours a year at each flow"
        path="profile.points"
        row="step"
        cells={[
          { path: 'flow', label: 'Flow', placeholder: '70 %' },
          { path: 'hours', label: 'Hours', placeholder: '2000 h' },
        ]}
        fresh={{ flow: '', hours: '' }}
      />
    </div>
  {/snippet}
</Bench>
