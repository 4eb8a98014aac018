<script lang="ts">
  import { onDestroy } from 'svelte';
  import Bench from '$lib/bench/Bench.svelte';
  import { moneyChart } from '$lib/charts/economics-chart';
  import BillTable from './BillTable.svelte';
  import Chart from '$lib/components/Chart.svelte';
  import EmptyPicture from '$lib/components/EmptyPicture.svelte';
  import OptionsTable from '$lib/components/OptionsTable.svelte';
  import PriceBook from './PriceBook.svelte';
  import RiskPanel from './RiskPanel.svelte';
  import { RiskRun } from '$lib/job/risk-run.svelte';
  import type { ViewProps } from '$lib/stages/views';

  let props: ViewProps = $props();
  const run = new RiskRun();
  /** ms of quiet after a change before it is drawn again. */
  const QUIET = 500;

  $effect(() => {
    if (comparison.costs.length === 0) return;
    const timer = setTimeout(() => void run.start(() => props.store.riskModel()), QUIET);
    return () => clearTimeout(timer);
  });
  onDestroy(() => run.cancel());

  const comparison = $derived(props.store.solution.comparison);
  const { currency } = $derived(props.store.solution.details.pricing);
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
    {:else if comparison.costs.length > 0}
      <section class="rounded-lg border bg-card p-3" aria-label="Cumulative cost">
        <h2 class="mb-1 text-sm font-semibold text-quiet">
          What each option has cost after so many years, at today’s prices
        </h2>
        <Chart
          option={moneyChart(comparison, currency, run.risk)}
          height={230}
          label="Cumulative cost of each option, with the installed cost at year 0; the table below compares the options in figures."
        />
      </section>
    {/if}
    <RiskPanel store={props.store} {run} />
    <OptionsTable store={props.store} />
    <BillTable store={props.store} />
    <PriceBook store={props.store} />
  {/snippet}
</Bench>
