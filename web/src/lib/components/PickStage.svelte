<script lang="ts">
  import type { PanelProps } from '$lib/job/stage-panels';
  import MotorOutline from './MotorOutline.svelte';
  import PickPanel from './PickPanel.svelte';
  import SparesPanel from './SparesPanel.svelte';

  let { store, hydrated }: PanelProps = $props();

  const outlines = $derived(store.solution.details.outlines);
</script>

<div class="min-w-0 space-y-4 lg:col-span-2">
  <SparesPanel {store} />
  {#if outlines.old && outlines.fresh}<MotorOutline {...outlines} school={store.document.school} />{/if}
  <PickPanel {store} {hydrated} />
</div>
