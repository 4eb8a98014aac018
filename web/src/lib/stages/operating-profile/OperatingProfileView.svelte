<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import FlowLogPanel from './FlowLogPanel.svelte';
  import MachineCurve from './MachineCurve.svelte';
  import ProfileChart from './ProfileChart.svelte';
  import Shifts from './Shifts.svelte';
  import type { ViewProps } from '$lib/stages/views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="profile">
  {#snippet picture()}<ProfileChart {...props} />{/snippet}
  {#snippet after()}
    <div class="mt-2 grid gap-2">
      <MachineCurve {...props} />
      <Shifts {...props} />
      <FlowLogPanel {...props} />
    </div>
  {/snippet}
</Bench>
