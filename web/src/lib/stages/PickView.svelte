<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import PickStage from '$lib/components/PickStage.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="pick">
  {#snippet picture()}<PickStage {...props} />{/snippet}
  {#snippet after()}
    <div class="mt-3">
      <RowsEditor
        store={props.store}
        hydrated={props.hydrated}
        title="Accessories and work of this option"
        path="pick.accessories"
        row="part"
        cells={[
          { path: 'part', label: 'Part', placeholder: 'Line choke' },
          { path: 'price', label: 'Price', placeholder: '480' },
        ]}
        fresh={{ part: '', price: '' }}
      />
    </div>
  {/snippet}
</Bench>
