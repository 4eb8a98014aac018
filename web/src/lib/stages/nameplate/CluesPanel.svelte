<script lang="ts">
  import TableCard from '$lib/components/TableCard.svelte';
  import type { Clue } from '@pilgrim/core/stages/nameplate/measured-motor';

  let { clues }: { clues: readonly Clue[] } = $props();

  const colours = { good: 'text-good', fair: 'text-caution', poor: 'text-stop' } as const;
</script>

{#if clues.length > 0}
  <TableCard label="Results from measurements" caption="Results from measurements · estimates, not nameplate data">
    <thead
      ><tr class="text-left text-quiet"
        ><th scope="col" class="px-4 py-1 font-normal">From</th><th scope="col" class="font-normal">Result</th><th
          scope="col"
          class="px-4 font-normal">Confidence</th
        ></tr
      ></thead
    >
    <tbody>
      {#each clues as clue (clue.from)}
        <tr class="border-t"
          ><th scope="row" class="px-4 py-1.5 text-left font-normal">{clue.from}</th><td class="italic">{clue.says}</td
          ><td class={`px-4 ${colours[clue.confidence]}`}>{clue.confidence}</td></tr
        >
      {/each}
    </tbody>
  </TableCard>
{/if}
