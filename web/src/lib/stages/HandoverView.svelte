<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import Cautions from '$lib/components/Cautions.svelte';
  import OptionsTable from '$lib/components/OptionsTable.svelte';
  import RulesPanel from '$lib/components/RulesPanel.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="handover">
  {#snippet picture()}
    <OptionsTable store={props.store} />
    <Cautions />
  {/snippet}
  <RulesPanel {...props} />
</Bench>
