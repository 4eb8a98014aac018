<script lang="ts">
  import Range from 'flowbite-svelte/Range.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';

  let { store }: { store: JobStore } = $props();

  const settings = $derived(store.solution.details.drivePictures?.settings ?? []);
  const hertz = (id: string): number | undefined => settings.find((each) => each.id === id)?.exact?.si;
  const low = $derived(hertz('referenceLow'));
  const high = $derived(hertz('referenceHigh'));
  const most = $derived(hertz('mostFrequency'));
  const least = $derived(hertz('leastFrequency') ?? 0);
  const volts = $derived(store.get('drive.reference') === '0–10 V');
  /** Of the span of the signal. */
  let share = $state(0.5);
  const asked = $derived((low ?? 0) + share * ((high ?? 0) - (low ?? 0)));
  const given = $derived(Math.min(most ?? asked, Math.max(least, asked)));
  const signal = $derived(volts ? `${(10 * share).toFixed(1)} V` : `${(4 + 16 * share).toFixed(1)} mA`);
  /** Degrees of the needle, from left to right. */
  const turned = $derived(-60 + 120 * share);
  const marks = [0, 0.25, 0.5, 0.75, 1];
  const at = (of: number, radius: number): { x: number; y: number } => {
    const angle = ((-60 + 120 * of) * Math.PI) / 180;
    return { x: 150 + radius * Math.sin(angle), y: 132 - radius * Math.cos(angle) };
  };
</script>

{#if low !== undefined && high !== undefined}
  <section class="rounded-lg border bg-card p-3" aria-label="Reference scaling">
    <h2 class="text-sm font-semibold text-quiet">Reference scaling</h2>
    <div class="flex flex-wrap items-center gap-4">
      <svg viewBox="0 0 300 150" class="w-72" role="img" aria-label={`${signal} asks for ${asked.toFixed(1)} Hz`}>
        {#each marks as mark (mark)}
          {@const outer = at(mark, 104)}
          {@const inner = at(mark, 94)}
          {@const text = at(mark, 122)}
          <line x1={inner.x} y1={inner.y} x2={outer.x} y2={outer.y} class="stroke-ink" stroke-width="2" />
          <text x={text.x} y={text.y + 4} text-anchor="middle" font-size="13" class="fill-ink"
            >{Math.round(low + mark * (high - low))}</text
          >
        {/each}
        <g transform={`rotate(${turned} 150 132)`}>
          <line x1="150" y1="132" x2="150" y2="46" class="stroke-copper" stroke-width="3" />
        </g>
        <circle cx="150" cy="132" r="5" class="fill-copper" />
        <text x="172" y="138" text-anchor="middle" font-size="13" class="fill-quiet">Hz</text>
      </svg>
      <div class="min-w-60 grow text-sm">
        <label for="signal-scale" class="block"
          ><strong class="tabular-nums">{signal}</strong> asks for
          <strong class="tabular-nums" data-testid="signal-asks">{asked.toFixed(1)} Hz</strong></label
        >
        <Range
          id="signal-scale"
          class="h-2"
          min="0"
          max="1"
          step="0.005"
          value={share}
          oninput={(event) => (share = Number(event.currentTarget.value))}
        />
        <p class="mt-1" data-testid="signal-gives">
          {#if Math.abs(given - asked) < 0.05}It turns at that.{:else}△ It turns at {given.toFixed(1)} Hz: {given <
            asked
              ? 'the highest'
              : 'the lowest'} frequency ends it.{/if}
        </p>
        {#if !volts}<p class="text-quiet">Below 3.6 mA the signal is lost.</p>{/if}
      </div>
    </div>
  </section>
{/if}
