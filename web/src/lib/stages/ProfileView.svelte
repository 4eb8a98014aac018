<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import FlowLogPanel from '$lib/components/FlowLogPanel.svelte';
  import MachineCurve from '$lib/components/MachineCurve.svelte';
  import ProfileChart from '$lib/components/ProfileChart.svelte';
  import Shifts from '$lib/components/Shifts.svelte';
  import type { ViewProps } from './views';

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
