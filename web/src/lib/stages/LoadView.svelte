<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import LoadCurve from '$lib/components/LoadCurve.svelte';
  import LoadPanels from '$lib/components/LoadPanels.svelte';
  import LoadWays from '$lib/components/LoadWays.svelte';
  import TransmissionPanel from '$lib/components/TransmissionPanel.svelte';
  import { without, type ViewProps } from './views';

  let { sheet, ...props }: ViewProps = $props();
</script>

<Bench {...props} sheet={without(sheet, 'load.way')} stage="load">
  {#snippet top()}<LoadWays {...props} />{/snippet}
  {#snippet picture()}
    <LoadCurve store={props.store} />
    <TransmissionPanel {...props} />
  {/snippet}
  <LoadPanels {...props} />
</Bench>
