<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import RowsEditor from '$lib/components/RowsEditor.svelte';
  import SiteRecords from '$lib/components/SiteRecords.svelte';
  import SupplyLine from './SupplyLine.svelte';
  import SupplyPhasors from './SupplyPhasors.svelte';
  import { always, clockDefinitions } from '$lib/job/clock-cells';
  import type { FieldValue } from '$lib/job/field-host';
  import type { SiteRecord } from '$lib/job/site-records';
  import type { ViewProps } from '$lib/stages/views';

  let props: ViewProps = $props();

  /** What the record does not say is as a new job has it. */
  function take({ document }: SiteRecord): void {
    const own = Object.keys(props.store.document.supply).map((field) => [field, undefined] as const);
    const fields = { ...Object.fromEntries(own), phases: '3', source: 'transformer', ...document };
    props.store.setMany(
      Object.fromEntries(Object.entries(fields).map(([field, value]) => [`supply.${field}`, value as FieldValue])),
    );
  }
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
        title="Tariff periods"
        path="supply.bands"
        row="band"
        cells={[
          { path: 'name', label: 'Period', placeholder: 'Night' },
          { path: 'price', label: 'Energy price', placeholder: '0.11 per kWh' },
          { path: 'share', label: 'Share of operating hours', placeholder: '40 %' },
        ]}
        further={{ title: 'When it holds, instead of a share', cells: clockDefinitions }}
        fresh={{ name: '', price: '', share: '', ...always }}
      />
      <SiteRecords
        store={props.store}
        kind="supply"
        title="Supplies"
        example="Bus 2"
        {take}
        document={() => $state.snapshot(props.store.document.supply)}
      />
    </div>
  {/snippet}
</Bench>
