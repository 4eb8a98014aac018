<script lang="ts">
  import { svgOf, type Drawing } from '@pilgrim/core/stages/protection/diagram/drawing';
  import { diagramsOf } from '@pilgrim/core/stages/protection/diagram/parts';
  import type { Scheme } from '@pilgrim/core/stages/protection/diagram/scheme';
  import { download, nameOf } from '$lib/charts/keep-picture';

  let { scheme }: { scheme: Scheme } = $props();

  const diagrams = $derived(diagramsOf(scheme));
  /** North American diagrams have letters of their own. */
  const letters = $derived(scheme.school === 'NEMA');
  const onScreen = { ink: 'var(--ink)', quiet: 'var(--quiet)', copper: 'var(--copper)', face: 'inherit' };
  const onPaper = { ink: '#1d2324', quiet: '#575b5c', copper: '#8a4a12', face: 'sans-serif' };
  const keep = (drawing: Drawing): void =>
    download(
      nameOf(drawing.title, 'svg'),
      `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgOf(drawing, onPaper))}`,
    );
</script>

<!-- Power and control circuit of the starter in the symbols of the job’s school, and what they are built of. -->
<section class="rounded-lg border bg-card p-3" aria-label="Circuit diagrams">
  <h2 class="text-sm font-semibold text-quiet">
    Circuit diagrams in {scheme.school === 'IEC' ? 'IEC 60617' : 'North American'} symbols, proposed
  </h2>
  <div class="mt-2 flex flex-wrap items-start gap-6">
    {#each [diagrams.power, diagrams.control] as drawing (drawing.title)}
      <figure class="max-w-full">
        <figcaption class="flex items-baseline justify-between gap-2 text-sm">
          <span>{drawing.title}</span>
          <button
            type="button"
            class="no-print min-h-8 rounded-lg px-2 text-sea underline underline-offset-4 hover:bg-wash pointer-coarse:min-h-11"
            aria-label={`${drawing.title} as SVG`}
            onclick={() => keep(drawing)}>SVG</button
          >
        </figcaption>
        <!-- svelte-ignore a11y_no_noninteractive_tabindex (what scrolls must be reached by keys) -->
        <div class="diagram overflow-x-auto" role="group" aria-label={drawing.title} tabindex="0">
          <!-- eslint-disable-next-line svelte/no-at-html-tags (our own drawing, its words escaped) -->
          {@html svgOf(drawing, onScreen)}
        </div>
      </figure>
    {/each}
  </div>
  <div class="overflow-x-auto" role="group" aria-label="Bill of parts, scrolls" tabindex="-1">
    <table class="mt-2 w-full text-sm">
      <caption class="text-start text-sm font-semibold text-quiet">Bill of materials</caption>
      <thead>
        <tr class="border-b text-start text-quiet">
          <th scope="col" class="py-1 pe-3 text-start font-semibold">Item</th>
          {#if letters}<th scope="col" class="py-1 pe-3 text-start font-semibold">Schedule item</th>{/if}
          <th scope="col" class="py-1 pe-3 text-start font-semibold">What</th>
          <th scope="col" class="py-1 text-start font-semibold">Type, rating or setting</th>
        </tr>
      </thead>
      <tbody>
        {#each diagrams.parts as { name, item, what, known } (item)}
          <tr class="border-b last:border-0">
            <td class="py-1 pe-3 font-semibold whitespace-nowrap">{name}</td>
            {#if letters}<td class="py-1 pe-3 whitespace-nowrap">{item}</td>{/if}
            <td class="py-1 pe-3">{what}</td>
            <td class="py-1">{known || '–'}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <p class="mt-2 text-sm text-quiet">
    Symbols and letters are from memory. A licensed person checks the diagram against the local code and the risk
    assessment before anything is wired: emergency stop, interlocks and what stays live when the isolator is open.
  </p>
</section>

<style>
  .diagram :global(svg) {
    max-width: none;
  }
  @media print {
    .diagram :global(svg) {
      max-width: 100%;
      height: auto;
    }
  }
</style>
