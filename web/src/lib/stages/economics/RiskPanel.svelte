<script lang="ts">
  import Button from 'flowbite-svelte/Button.svelte';
  import { YEAR } from '@pilgrim/core/kernel/constants';
  import { formatNumber, formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import type { Band } from '@pilgrim/core/kernel/numeric';
  import type { Risk } from '@pilgrim/core/solve/risk/judge';
  import { DRAWS, type RiskRun } from '$lib/job/risk-run.svelte';
  import type { ViewProps } from '$lib/stages/views';
  import Progress from '$lib/components/Progress.svelte';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store, run }: Pick<ViewProps, 'store'> & { run: RiskRun } = $props();

  const { risk, share, trouble } = $derived(run);
  const currency = $derived(store.document.currency);
  const ahead = $derived(risk?.ahead);
  const amount = (value: number): string => formatNumber(value, 3);
  const years = (value: number): string =>
    Number.isFinite(value) ? formatQuantity(value * YEAR, 'span', store.shows) : 'never';
  const percent = (value: number): string => formatQuantity(value, 'fraction', store.shows);
  const hundred = (value: number): string => `${Math.round(value * 100)} of 100`;
  const rows = [
    {
      id: 'discounted',
      label: 'Life-cycle cost, present value',
      of: (one: Option) => one.discounted,
      text: amount,
    },
    { id: 'yearly', label: 'Annual operating cost', of: (one: Option) => one.yearly, text: amount },
    { id: 'worth', label: 'Net present value', of: (one: Option) => one.against?.netPresentValue, text: amount },
    { id: 'payback', label: 'Pays back in', of: (one: Option) => one.against?.payback, text: years },
  ] as const;
  type Option = Risk['options'][number];
  const names = {
    hours: 'Hours a year',
    energyPrice: 'Energy and demand price',
    growth: 'Cost escalation',
    staticHead: 'Static head',
    power: 'Power at full flow',
    capital: 'Installed cost',
    efficiency: 'Motor efficiency',
    driveLoss: 'Drive losses',
    life: 'Service life',
  } as const;
  /** Added to the figure, not multiplied with it. */
  const ADDED: readonly string[] = ['growth', 'staticHead'];
  /** What it was drawn between, off its figure. */
  function rangeText(variable: keyof typeof names): string {
    const range = risk?.ranges[variable];
    if (!range) return '';
    if (variable === 'efficiency') return 'nominal to guaranteed';
    const off = (value: number): string => {
      const share = Math.round((ADDED.includes(variable) ? value : value - 1) * 100);
      return `${share < 0 ? '−' : '+'}${Math.abs(share)}`;
    };
    return `${off(range.low)} to ${off(range.high)} ${ADDED.includes(variable) ? 'points' : '%'}`;
  }
  const widest = $derived(
    Math.max(1e-9, ...(ahead?.swings ?? []).flatMap(({ low, high }) => [Math.abs(low), Math.abs(high)])),
  );
  const evens = $derived(
    (ahead?.evens ?? []).map(({ of, at }) => {
      if (of === 'meanFlow') return `the mean flow were ${percent(at)}`;
      const figure = `${formatNumber(at * 100, 2)} %`;
      return of === 'hours' ? `it ran ${figure} of the hours` : `energy cost ${figure} of its price`;
    }),
  );
  /** Of the half of a bar, in hundredths. */
  const part = (value: number): number => (50 * value) / widest;
</script>

{#snippet band(figures: Band | undefined, text: (value: number) => string)}
  {#if figures}<span class="font-semibold">{text(figures.middle)}</span><span class="block text-xs text-quiet"
      >{text(figures.low)} to {text(figures.high)}</span
    >{:else}–{/if}
{/snippet}

{#if share !== undefined || risk || trouble}
  <section class="rounded-lg border bg-card p-3" aria-label="Uncertainty" data-testid="risk">
    <div class="flex flex-wrap items-center gap-3">
      <h2 class="text-sm font-semibold text-quiet">What may turn out otherwise: {DRAWS} draws, 8 of 10 within</h2>
      {#if share !== undefined}
        <span class="flex min-w-40 grow items-center gap-2"
          ><Progress {share} label="Draws" /><Button size="xs" color="alternative" onclick={() => run.cancel()}
            >Cancel</Button
          ></span
        >
      {/if}
    </div>
    {#if trouble}<p class="text-sm text-caution">{trouble}</p>{/if}
    {#if ahead}
      <p class="mt-1 text-sm" data-testid="risk-verdict">
        <strong
          >{ahead.clear ? '' : 'No clear winner: '}{ahead.first} costs less than {ahead.second} in {hundred(
            ahead.chance,
          )} draws.</strong
        >
        {#if evens.length > 0}Both would cost the same if {evens.join(', or ')}.{:else}Neither hours nor price nor flow
          would turn it.{/if}
      </p>
    {/if}
    {#if risk}
      <div class="mt-2 grid gap-3">
        <TableCard label="What each option may cost, {currency}">
          <thead>
            <tr class="text-left text-quiet">
              <th scope="col" class="px-2 py-1 font-normal"><span class="sr-only">Figure, {currency}</span></th>
              {#each risk.options as option (option.letter)}
                <th scope="col" class="px-2 py-1 text-right font-semibold text-ink"
                  >{option.letter}<span class="block text-xs font-normal text-quiet"
                    >least in {hundred(option.best)}</span
                  ></th
                >
              {/each}
            </tr>
          </thead>
          <tbody>
            {#each rows as { id, label, of, text } (id)}
              <tr class="border-t align-top" data-risk={id}>
                <th scope="row" class="min-w-32 px-2 py-1 text-left font-normal text-quiet"
                  >{label}{id === 'worth' || id === 'payback' ? ` against ${risk.base}` : ''}{id === 'payback'
                    ? ''
                    : `, ${currency}`}</th
                >
                {#each risk.options as option (option.letter)}
                  <td class="px-2 py-1 text-right whitespace-nowrap">{@render band(of(option), text)}</td>
                {/each}
              </tr>
            {/each}
          </tbody>
        </TableCard>
        {#if ahead && ahead.swings.length > 0}
          <TableCard label="What matters most: how far {ahead.first} is ahead of {ahead.second}, {currency}">
            <thead>
              <tr class="text-left text-quiet">
                <th scope="col" class="px-2 py-1 font-normal">Sensitivity</th>
                <th scope="col" class="w-2/5 px-2 py-1 font-normal">Behind ◂ even ▸ ahead</th>
                <th scope="col" class="px-2 py-1 text-right font-normal">From … to, {currency}</th>
              </tr>
            </thead>
            <tbody>
              {#each ahead.swings as { variable, low, high } (variable)}
                <tr class="border-t" data-swing={variable}>
                  <th scope="row" class="px-2 py-1 text-left font-normal"
                    >{names[variable]}<span class="block text-xs text-quiet">{rangeText(variable)}</span></th
                  >
                  <td class="px-2 py-1">
                    <svg viewBox="-50 0 100 12" class="h-3 w-full" preserveAspectRatio="none" aria-hidden="true">
                      <line x1="0" y1="0" x2="0" y2="12" class="stroke-ink" vector-effect="non-scaling-stroke" />
                      <rect
                        x={Math.min(part(low), part(high))}
                        y="2"
                        height="8"
                        width={Math.max(0.6, Math.abs(part(high) - part(low)))}
                        class={Math.min(low, high) < 0 ? 'fill-caution' : 'fill-sea'}
                      />
                    </svg>
                  </td>
                  <td class="px-2 py-1 text-right whitespace-nowrap"
                    >{amount(Math.min(low, high))} to {amount(Math.max(low, high))}{Math.min(low, high) < 0 &&
                    Math.max(low, high) > 0
                      ? ' ◆ turns'
                      : ''}</td
                  >
                </tr>
              {/each}
            </tbody>
          </TableCard>
        {/if}
      </div>
      <p class="mt-2 text-xs text-quiet">
        How far each may lie off is common practice, no published source. All options share each draw.
      </p>
    {/if}
  </section>
{/if}
