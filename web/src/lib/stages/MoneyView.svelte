<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import OptionsTable from '$lib/components/OptionsTable.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="money">
  {#snippet picture()}<OptionsTable store={props.store} />{/snippet}
</Bench>
