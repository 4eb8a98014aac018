<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import InquiryPanel from '$lib/components/InquiryPanel.svelte';
  import SituationCards from '$lib/components/SituationCards.svelte';
  import { without, type ViewProps } from './views';

  let { sheet, ...props }: ViewProps = $props();
</script>

<Bench {...props} sheet={without(sheet, 'situation.kind')} stage="situation" layout="above">
  {#snippet top()}<SituationCards {...props} />{/snippet}
  {#snippet picture()}<InquiryPanel {...props} />{/snippet}
</Bench>
