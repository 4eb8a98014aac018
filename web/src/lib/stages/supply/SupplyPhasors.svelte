<script lang="ts">
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import { polar } from '@pilgrim/core/stages/supply/phasors';
  import type { ViewProps } from '$lib/stages/views';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const phasors = $derived(store.solution.details.phasors);
  const school = $derived(store.shows);
  const most = $derived(Math.max(...phasors.map(({ current }) => polar(current).size)));

  const LEFT = 14;
  const MIDDLE = 60;
  const LONG = 300;
  /** The longest current is a third as long as the drawing, which holds it at any angle. */
  const CURRENTS = 3;
  type At = { readonly re: number; readonly im: number };

  /** An arrow between two phasors, the source’s voltage being as long as the drawing. */
  function arrow(from: At, to: At, whole: number): string {
    const [x1, y1, x2, y2] = [from.re, -from.im, to.re, -to.im].map((each) => (each / whole) * LONG);
    const [fx, fy, tx, ty] = [LEFT + (x1 ?? 0), MIDDLE + (y1 ?? 0), LEFT + (x2 ?? 0), MIDDLE + (y2 ?? 0)];
    const angle = Math.atan2(ty - fy, tx - fx);
    const barb = (turn: number): string =>
      `L${(tx - 7 * Math.cos(angle + turn)).toFixed(1)} ${(ty - 7 * Math.sin(angle + turn)).toFixed(1)}`;
    const tip = `${tx.toFixed(1)} ${ty.toFixed(1)}`;
    return `M${fx.toFixed(1)} ${fy.toFixed(1)}L${tip}${barb(0.4)}M${tip}${barb(-0.4)}`;
  }
  const nothing = { re: 0, im: 0 };
</script>

{#if phasors.length > 0}
  <details class="rounded-lg border bg-card">
    <summary class="min-h-11 cursor-pointer px-3 py-2.5 text-sm font-semibold text-quiet"
      >Phasors of one phase, running and starting</summary
    >
    <div class="grid gap-3 p-3 pt-0 xl:grid-cols-2">
      {#each phasors as each (each.when)}
        {@const whole = polar(each.source).size}
        <figure class="min-w-0 text-sm" data-phasors={each.when}>
          <figcaption class="font-semibold first-letter:uppercase">{each.when}</figcaption>
          <svg viewBox="0 0 330 170" class="w-full" aria-hidden="true" fill="none" stroke-width="2">
            <path d={arrow(nothing, each.source, whole)} stroke="var(--ink)" />
            <path d={arrow(nothing, each.terminals, whole)} stroke="var(--copper)" stroke-width="3" />
            <path d={arrow(each.bus, each.source, whole)} stroke="var(--stop)" />
            <path d={arrow(each.terminals, each.bus, whole)} stroke="var(--caution)" />
            <path d={arrow(nothing, each.current, most * CURRENTS)} stroke="var(--sea)" />
          </svg>
          <table class="w-full">
            <caption class="sr-only">Phasors, {each.when}</caption>
            <thead
              ><tr class="text-quiet"
                ><th scope="col" class="text-left font-normal">Per phase</th><th
                  scope="col"
                  class="text-right font-normal">Rating</th
                ><th scope="col" class="text-right font-normal">Angle</th></tr
              ></thead
            >
            <tbody>
              {#each [['Source', each.source, 'text-ink', 'voltage'], ['Bus', each.bus, 'text-stop', 'voltage'], ['Motor’s terminals', each.terminals, 'text-copper', 'voltage'], ['Current', each.current, 'text-sea', 'current']] as const as [name, phasor, colour, dimension] (name)}
                {@const { size, degrees } = polar(phasor)}
                <tr class="border-t">
                  <th scope="row" class="py-0.5 text-left font-normal"
                    ><span class={colour} aria-hidden="true">▬</span> {name}</th
                  >
                  <td class="text-right whitespace-nowrap">{formatQuantity(size, dimension, school)}</td>
                  <td class="text-right whitespace-nowrap"
                    >{degrees.toFixed(1).replace('-', '−').replace('−0.0', '0.0')}°</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
        </figure>
      {/each}
    </div>
    <p class="px-3 pb-3 text-sm text-quiet">
      The source lies along the axis. From the motor’s terminals the feeder’s drop leads to the bus, from there the
      source’s own drop to the source; currents are drawn to their own scale.
    </p>
  </details>
{/if}
