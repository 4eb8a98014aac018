<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import InquiryPanel from '$lib/components/InquiryPanel.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="situation">
  {#snippet picture()}<InquiryPanel {...props} />{/snippet}
</Bench>
