<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import CluesPanel from './CluesPanel.svelte';
  import MotorOutline from '$lib/components/MotorOutline.svelte';
  import PlateText from '$lib/components/PlateText.svelte';
  import type { ViewProps } from '$lib/stages/views';

  let props: ViewProps = $props();

  const outlines = $derived(props.store.solution.details.outlines);
</script>

<Bench {...props} stage="nameplate" layout="plate">
  {#snippet before()}
    <PlateText store={props.store} fields={props.sheet.fields} reader={(text: string) => props.store.readPlate(text)} />
  {/snippet}
  {#snippet picture()}
    {#if outlines.old}<MotorOutline {...outlines} school={props.store.shows} />{/if}
    <CluesPanel clues={props.store.solution.details.clues} />
  {/snippet}
</Bench>
