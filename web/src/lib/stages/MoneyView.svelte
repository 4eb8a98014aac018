<script lang="ts">
  import Bench from '$lib/bench/Bench.svelte';
  import EmptyPicture from '$lib/components/EmptyPicture.svelte';
  import OptionsTable from '$lib/components/OptionsTable.svelte';
  import type { ViewProps } from './views';

  let props: ViewProps = $props();
</script>

<Bench {...props} stage="money">
  {#snippet picture()}
    {#if props.store.solution.values['money.yearlyCost'] === undefined}
      <EmptyPicture
        label="Cost over the years"
        example="M30 40C120 50 220 70 300 100M30 24C120 60 220 64 300 70"
        needs={[
          { text: 'a price of energy', field: 'money.energyPrice' },
          { text: 'hours a year at a flow', href: `${props.base}/profile` },
        ]}
      />
    {/if}
    <OptionsTable store={props.store} />
  {/snippet}
</Bench>
