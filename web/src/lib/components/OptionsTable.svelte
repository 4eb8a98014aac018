<script lang="ts">
  import { YEAR } from '@pilgrim/core/kernel/constants';
  import { formatNumber, formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import { letters } from '@pilgrim/core/job/document-paths';
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from './TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const solution = $derived(store.solution);
  const shown = $derived(letters.filter((letter) => solution.options[letter]));
  const rows = $derived(solution.comparison.rows.filter(({ differs }) => differs));
  const alike = $derived(solution.comparison.rows.length - rows.length);
  const best = $derived(solution.comparison.best);
  const money = /^money\./;
  const currency = $derived(store.document.currency);
  const measure = $derived(solution.comparison.rows.find(({ id }) => id === best?.by)?.label.toLowerCase() ?? '');
  const worth = $derived(solution.comparison.worth);
  /** The option the others are held against. */
  const against = $derived(worth[0]?.against);
  type Worth = (typeof worth)[number];
  const amount = (value: number): string => formatNumber(value, 4);
  const span = (value: number | undefined): string =>
    value === undefined ? 'never' : formatQuantity(value * YEAR, 'span', store.shows);
  const worthRows = $derived([
    {
      id: 'net-present-value',
      label: `Net present value against ${against ?? ''}, ${currency}`,
      text: (one: Worth): string => amount(one.netPresentValue),
    },
    {
      id: 'internal-rate',
      label: 'Internal rate of return',
      text: (one: Worth): string =>
        one.internalRate === undefined ? 'none' : formatQuantity(one.internalRate, 'fraction', store.shows),
    },
    {
      id: 'payback',
      label: `Simple payback against ${against ?? ''}`,
      text: (one: Worth): string => span(one.payback),
    },
    {
      id: 'discounted-payback',
      label: 'Discounted payback',
      text: (one: Worth): string => span(one.discountedPayback),
    },
  ]);
</script>

{#if shown.length > 1}
  <TableCard label="Comparison of options" caption="Comparison of options: differences">
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class="px-3 py-1.5 font-normal"><span class="sr-only">Figure</span></th>
        {#each shown as letter (letter)}
          {@const option = solution.options[letter]}
          <th scope="col" class={`px-3 py-1.5 font-semibold ${letter === solution.chosen ? 'text-sea' : 'text-ink'}`}
            >{letter} · {option?.name}<span class="block text-xs font-normal text-quiet"
              >{option?.proposed ? 'proposed · ' : ''}{option?.stopped
                ? '■ stopped, does not win'
                : option?.decided
                  ? 'decided'
                  : 'open'}</span
            ></th
          >
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each rows as row (row.id)}
        <tr class="border-t align-top" data-compared={row.id}>
          <th scope="row" class="min-w-36 px-3 py-1.5 text-left font-normal text-quiet"
            >{row.label}{money.test(row.id) ? `, ${currency}` : ''}</th
          >
          {#each shown as letter (letter)}
            {@const top = row.best.includes(letter)}
            <td class={`px-3 py-1.5 ${top ? 'font-semibold' : ''}`}
              >{row.texts[letter] ?? '–'}{#if top}<span class="text-sea">&nbsp;★<span class="sr-only">best</span></span
                >{/if}</td
            >
          {/each}
        </tr>
      {/each}
      {#if worth.length > 0}
        {#each worthRows as { id, label, text } (id)}
          <tr class="border-t align-top" data-worth={id}>
            <th scope="row" class="min-w-36 px-3 py-1.5 text-left font-normal text-quiet">{label}</th>
            {#each shown as letter (letter)}
              {@const one = worth.find(({ option }) => option === letter)}
              <td class="px-3 py-1.5">{one ? text(one) : letter === against ? 'is the measure' : '–'}</td>
            {/each}
          </tr>
        {/each}
      {/if}
    </tbody>
    {#snippet foot()}
      <div class="space-y-1 border-t px-3 py-2 text-sm">
        {#if best}<p data-testid="best-option">
            {#if best.near.length > 0}<strong
                >No clear winner: {best.near.join(' and ')}
                {best.near.length === 1 ? 'comes' : 'come'} within 5 % of {best.option}
                by “{measure}”.</strong
              > Decide by what else differs.{:else}<strong>{best.option} is best by “{measure}”.</strong>{/if}
          </p>{:else}<p>No option has its costs known yet, so none is called the best.</p>{/if}
        {#each solution.comparison.turns as turn (turn.option)}<p>{turn.text}</p>{/each}
        {#if alike > 0}<p class="text-quiet">{alike} further figures are the same in all.</p>{/if}
      </div>
    {/snippet}
  </TableCard>
{/if}
