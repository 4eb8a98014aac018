<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import LoadCurve from '$lib/components/LoadCurve.svelte';
  import LoadPanels from '$lib/components/LoadPanels.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="load">
  {#snippet picture()}<LoadCurve store={props.store} />{/snippet}
  <LoadPanels {...props} />
</Bench>
