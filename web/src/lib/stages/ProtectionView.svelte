<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import BothSchools from '$lib/components/BothSchools.svelte';
  import Cautions from '$lib/components/Cautions.svelte';
  import TimeCurrent from '$lib/components/TimeCurrent.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="protection">
  {#snippet picture()}<TimeCurrent store={props.store} />{/snippet}
  <BothSchools store={props.store} />
  <Cautions />
</Bench>
