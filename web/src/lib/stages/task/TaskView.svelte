<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import InquiryPanel from './InquiryPanel.svelte';
  import SituationCards from './TaskCards.svelte';
  import { without, type ViewProps } from '$lib/stages/views';

  let { sheet, ...props }: ViewProps = $props();
</script>

<Bench {...props} sheet={without(sheet, 'situation.kind')} stage="situation" layout="above">
  {#snippet top()}<SituationCards {...props} />{/snippet}
  {#snippet picture()}<InquiryPanel {...props} />{/snippet}
</Bench>
