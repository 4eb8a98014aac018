<script lang="ts">
  import type { PanelProps } from '$lib/job/stage-panels';
  import OptionsTable from './OptionsTable.svelte';
  import RulesPanel from './RulesPanel.svelte';

  let props: PanelProps = $props();
</script>

<OptionsTable {...props} />
<RulesPanel {...props} />
