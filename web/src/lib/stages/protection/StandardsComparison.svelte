<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from '$lib/components/TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  let beside = $state(false);
  const rows = $derived(store.solution.details.bothSchools);
  const names = $derived(store.document.school === 'NEMA' ? ['NEC', 'IEC'] : ['IEC', 'NEC']);
  const differ = $derived(rows.filter(({ own, other }) => own !== other).length);
</script>

<!-- The motor’s circuit question by question as both schools answer it, at a click. -->
{#if rows.length > 0}
  <p>
    <button
      type="button"
      class="min-h-8 rounded-lg border bg-card px-3 text-sm text-sea hover:bg-wash pointer-coarse:min-h-11"
      aria-pressed={beside}
      onclick={() => (beside = !beside)}>{beside ? 'Hide' : 'Show'} what the {names[1]} would say</button
    >
  </p>
  {#if beside}
    <TableCard label="Comparison of NEC and IEC">
      <thead class="text-left text-quiet">
        <tr>
          <th scope="col" class="px-4 py-1.5 font-normal">Motor circuit</th>
          <th scope="col" class="px-2 py-1.5 font-normal">{names[0]}</th>
          <th scope="col" class="px-2 py-1.5 font-normal">{names[1]}</th>
          <th scope="col" class="px-2 py-1.5 font-normal">Why</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as { name, question, own, other, why } (name)}
          <tr class="border-t" data-question={name}>
            <th scope="row" class="px-4 py-1.5 text-left font-normal">{question}</th>
            <td class="px-2 py-1.5 font-semibold">{own ?? '–'}</td>
            <td class={`px-2 py-1.5 ${other === own ? 'text-quiet' : 'font-semibold'}`}
              >{other ?? '–'}{#if other === own}&nbsp;=<span class="sr-only"> the same</span>{/if}</td
            >
            <td class="px-2 py-1.5 text-quiet">{why}</td>
          </tr>
        {/each}
      </tbody>
      {#snippet foot()}
        <p class="border-t px-4 py-2 text-sm text-quiet">
          {differ} of {rows.length} answers differ. Each holds in its own place only; a licensed person decides by the local
          code.
        </p>
      {/snippet}
    </TableCard>
  {/if}
{/if}
