<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import { selectionSheet } from '@pilgrim/core/solve/sheet';
  import { onMount } from 'svelte';
  import { inTurn } from '$lib/deferred.svelte';
  import Cautions from '$lib/components/Cautions.svelte';
  import OptionsTable from '$lib/components/OptionsTable.svelte';
  import RulesPanel from './RulesPanel.svelte';
  import SheetView from '$lib/components/SheetView.svelte';
  import type { ViewProps } from '$lib/stages/views';

  let props: ViewProps = $props();

  // The page brings its own figures; the sheet needs those of all stages.
  onMount(() => inTurn(() => void props.store.warm()));

  const { document, solution } = $derived(props.store);
  /** A figure of another stage that is always known says that all are there. */
  const whole = $derived(solution.values['place.motorDerate'] !== undefined);
</script>

<Bench {...props} stage="handover">
  {#snippet picture()}
    {#if whole}<SheetView sheet={selectionSheet(document, solution)} />
    {:else}
      <p class="rounded-lg border border-dashed p-6 text-center text-sm text-quiet">
        The sheet is being put together …
      </p>
      <Cautions />
    {/if}
  {/snippet}
  <OptionsTable store={props.store} />
  <RulesPanel {...props} />
</Bench>
