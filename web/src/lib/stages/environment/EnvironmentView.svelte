<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import CabinetPicture from './CabinetPicture.svelte';
  import EnclosurePanel from './EnclosurePanel.svelte';
  import type { ViewProps } from '$lib/stages/views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="place">
  {#snippet picture()}
    <EnclosurePanel {...props} />
    <CabinetPicture {...props} />
  {/snippet}
</Bench>
