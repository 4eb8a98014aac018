<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import LoadCurve from './LoadCurve.svelte';
  import LoadPanels from './LoadPanels.svelte';
  import LoadWays from './LoadDefinitionMethods.svelte';
  import TransmissionPanel from './TransmissionPanel.svelte';
  import { without, type ViewProps } from '$lib/stages/views';

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
