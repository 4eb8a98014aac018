<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import CabinetPicture from '$lib/components/CabinetPicture.svelte';
  import EnclosurePanel from '$lib/components/EnclosurePanel.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="place">
  {#snippet picture()}
    <EnclosurePanel {...props} />
    <CabinetPicture {...props} />
  {/snippet}
</Bench>
