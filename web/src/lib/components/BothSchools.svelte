<script lang="ts">
  import type { ViewProps } from '$lib/stages/views';
  import TableCard from './TableCard.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  let beside = $state(false);
  const rows = $derived(store.solution.details.bothSchools.filter(({ own }) => beside || own !== undefined));
  const names = $derived(store.document.school === 'NEMA' ? ['NEC', 'IEC'] : ['IEC', 'NEC']);
  const differ = $derived(rows.filter(({ own, other }) => own !== other).length);
</script>

<!-- The motor’s circuit question by question; the other school’s answers beside it at a click. -->
{#if store.solution.details.bothSchools.length > 0}
  <TableCard label="The circuit by both schools">
    <thead class="text-left text-quiet">
      <tr>
        <th scope="col" class="px-4 py-1.5 font-normal">The motor’s circuit</th>
        <th scope="col" class="px-2 py-1.5 font-normal">{names[0]}</th>
        {#if beside}
          <th scope="col" class="px-2 py-1.5 font-normal">{names[1]}</th>
          <th scope="col" class="px-2 py-1.5 font-normal">Why</th>
        {/if}
      </tr>
    </thead>
    <tbody>
      {#each rows as { name, question, own, other, why } (name)}
        <tr class="border-t" data-question={name}>
          <th scope="row" class="px-4 py-1.5 text-left font-normal">{question}</th>
          <td class="px-2 py-1.5 font-semibold">{own ?? '–'}</td>
          {#if beside}
            <td class={`px-2 py-1.5 ${other === own ? 'text-quiet' : 'font-semibold'}`}
              >{other ?? '–'}{#if other === own}&nbsp;=<span class="sr-only"> the same</span>{/if}</td
            >
            <td class="px-2 py-1.5 text-quiet">{why}</td>
          {/if}
        </tr>
      {/each}
    </tbody>
    {#snippet foot()}
      <p class="flex flex-wrap items-center gap-3 border-t px-4 py-2 text-sm">
        <button
          type="button"
          class="min-h-8 rounded-lg border px-3 text-sea hover:bg-wash pointer-coarse:min-h-11"
          aria-pressed={beside}
          onclick={() => (beside = !beside)}>{beside ? 'Hide' : 'Show'} the {names[1]} beside it</button
        >
        {#if beside}<span class="text-quiet"
            >{differ} of {rows.length} answers differ. Each holds in its own place only; a licensed person decides by the
            local code.</span
          >{/if}
      </p>
    {/snippet}
  </TableCard>
{/if}
