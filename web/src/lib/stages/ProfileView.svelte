<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import ProfileChart from '$lib/components/ProfileChart.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="profile">
  {#snippet picture()}<ProfileChart {...props} />{/snippet}
</Bench>
