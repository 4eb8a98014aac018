<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import Cautions from '$lib/components/Cautions.svelte';
  import DriveFitness from '$lib/components/DriveFitness.svelte';
  import DrivePictures from '$lib/components/DrivePictures.svelte';
  import DriveSettings from '$lib/components/DriveSettings.svelte';
  import SignalScale from '$lib/components/SignalScale.svelte';
  import TerminalPlan from '$lib/components/TerminalPlan.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="drive">
  {#snippet picture()}
    <DrivePictures store={props.store} base={props.base} />
    <DriveFitness store={props.store} />
  {/snippet}
  <DriveSettings {...props} />
  <SignalScale store={props.store} hydrated={props.hydrated} />
  <TerminalPlan store={props.store} />
  <Cautions />
</Bench>
