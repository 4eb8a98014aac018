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
        label="Costs of the options"
        needs={[
          { text: 'a price of energy', field: 'money.energyPrice' },
          { text: 'hours a year at a flow', href: `${props.base}/profile` },
        ]}
      />
    {/if}
    <OptionsTable store={props.store} />
  {/snippet}
</Bench>
