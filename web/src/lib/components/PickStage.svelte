<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import MotorOutline from './MotorOutline.svelte';
  import PickPanel from './PickPanel.svelte';
  import SparesPanel from './SparesPanel.svelte';

  let { store, hydrated }: Pick<ViewProps, 'store' | 'hydrated'> = $props();

  const outlines = $derived(store.solution.details.outlines);
</script>

<div class="min-w-0 space-y-4">
  <SparesPanel {store} />
  <PickPanel {store} {hydrated} />
  {#if outlines.old && outlines.fresh}<MotorOutline {...outlines} school={store.document.school} />{/if}
</div>
