<script lang="ts">
  import { formatNumber } from '@pilgrim/core/kernel/quantity/format';
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const bill = $derived(store.solution.details.bill);
  const currency = $derived(store.document.currency);
  const amount = (value: number): string => formatNumber(value, 4);
  const total = $derived(bill.reduce((sum, { count, price }) => sum + count * price, 0));
</script>

{#if bill.length > 0}
  <TableCard
    label="Bill of materials of this option"
    caption={`What option ${store.solution.chosen} buys, ${currency}`}
  >
    <thead>
      <tr class="text-left text-quiet">
        <th scope="col" class="px-3 py-1.5 font-normal">Part</th>
        <th scope="col" class="px-3 py-1.5 text-right font-normal">Quantity</th>
        <th scope="col" class="px-3 py-1.5 text-right font-normal">Unit price</th>
        <th scope="col" class="px-3 py-1.5 text-right font-normal">Total price</th>
      </tr>
    </thead>
    <tbody>
      {#each bill as { kind, part, count, price, note }, at (at)}
        <tr class="border-t" data-bill={kind}>
          <th scope="row" class="px-3 py-1.5 text-left font-normal"
            >{part}{#if note}<span class="block text-xs text-quiet">{note}</span>{/if}</th
          >
          <td class="px-3 py-1.5 text-right">{count}</td>
          <td class="px-3 py-1.5 text-right">{amount(price)}</td>
          <td class="px-3 py-1.5 text-right">{amount(count * price)}</td>
        </tr>
      {/each}
      <tr class="border-t-2 font-semibold">
        <th scope="row" class="px-3 py-1.5 text-left" colspan="3">Installed cost</th>
        <td class="px-3 py-1.5 text-right">{amount(total)}</td>
      </tr>
    </tbody>
  </TableCard>
{/if}
