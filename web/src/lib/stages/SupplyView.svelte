<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';
  import SupplyLine from '$lib/components/SupplyLine.svelte';
  import SupplyPhasors from '$lib/components/SupplyPhasors.svelte';
  import SupplyRecords from '$lib/components/SupplyRecords.svelte';
  import { always, clockDefinitions } from '$lib/job/clock-cells';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="supply">
  {#snippet picture()}
    <SupplyLine store={props.store} />
    <SupplyPhasors store={props.store} />
  {/snippet}
  {#snippet after()}
    <div class="mt-3 grid gap-3">
      <RowsEditor
        store={props.store}
        hydrated={props.hydrated}
        title="Time bands of the tariff"
        path="supply.bands"
        row="band"
        cells={[
          { path: 'name', label: 'Band', placeholder: 'Night' },
          { path: 'price', label: 'Price', placeholder: '0.11 per kWh' },
          { path: 'share', label: 'Share of the hours', placeholder: '40 %' },
          ...clockDefinitions,
        ]}
        fresh={{ name: '', price: '', share: '', ...always }}
      />
      <SupplyRecords store={props.store} hydrated={props.hydrated} />
    </div>
  {/snippet}
</Bench>
