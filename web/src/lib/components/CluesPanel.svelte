<script lang="ts">
  import type { Clue } from '@pilgrim/core/nameplate/recovery';

  let { clues }: { clues: readonly Clue[] } = $props();

  const colours = { good: 'text-good', fair: 'text-caution', poor: 'text-stop' } as const;
</script>

{#if clues.length > 0}
  <section class="relative overflow-x-auto rounded-lg border bg-card" aria-label="What the measurements say">
    <table class="w-full text-sm">
      <caption class="border-b px-4 py-2 text-left text-sm font-semibold text-quiet"
        >What the measurements say · estimates, never plate values</caption
      >
      <thead
        ><tr class="text-left text-quiet"
          ><th scope="col" class="px-4 py-1 font-normal">From</th><th scope="col" class="font-normal">It says</th><th
            scope="col"
            class="px-4 font-normal">Confidence</th
          ></tr
        ></thead
      >
      <tbody>
        {#each clues as clue (clue.from)}
          <tr class="border-t"
            ><th scope="row" class="px-4 py-1.5 text-left font-normal">{clue.from}</th><td class="italic"
              >{clue.says}</td
            ><td class={`px-4 ${colours[clue.confidence]}`}>{clue.confidence}</td></tr
          >
        {/each}
      </tbody>
    </table>
  </section>
{/if}
