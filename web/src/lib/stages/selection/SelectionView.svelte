<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import MotorOutline from '$lib/components/MotorOutline.svelte';
  import PickPanel from './SelectionPanel.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';
  import SparesPanel from './SparesPanel.svelte';
  import type { ViewProps } from '$lib/stages/views';

  let props: ViewProps = $props();

  const outlines = $derived(props.store.solution.details.outlines);
</script>

<Bench {...props} stage="pick" layout="above">
  {#snippet picture()}
    <PickPanel store={props.store} />
    <SparesPanel store={props.store} />
    {#if outlines.old && outlines.fresh}<MotorOutline {...outlines} school={props.store.shows} />{/if}
    <RowsEditor
      store={props.store}
      title="Accessories and work, this option"
      path="pick.accessories"
      row="part"
      cells={[
        { path: 'part', label: 'Item', placeholder: 'Line choke' },
        { path: 'price', label: 'Price', placeholder: '480' },
      ]}
      fresh={{ part: '', price: '' }}
    />
  {/snippet}
</Bench>
