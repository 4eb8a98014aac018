<script lang="ts">
  import type { JobStore } from '$lib/job/job-store.svelte';

  let { store }: { store: JobStore } = $props();

  const terminals = $derived(store.solution.details.drivePictures?.terminals ?? []);
  const power = $derived(terminals.filter(({ side }) => side !== 'control'));
  const control = $derived(terminals.filter(({ side }) => side === 'control'));
  const STEP = 44;
  const TOP = 34;
  const height = $derived(TOP + STEP * Math.max(power.length, control.length) + 14);
  const drive = $derived(store.solution.values['pick.drive']?.text ?? 'Drive');
</script>

{#snippet wire(terminal: (typeof terminals)[number], at: number, left: boolean)}
  {@const y = TOP + at * STEP + 20}
  {@const edge = left ? 300 : 520}
  <g data-terminal={terminal.role}>
    <line
      x1={left ? 0 : edge}
      x2={left ? edge : 820}
      y1={y}
      y2={y}
      class="stroke-ink"
      stroke-width={left ? 2.5 : 1.2}
    />
    <circle cx={edge} cy={y} r="5" class="fill-card stroke-ink" stroke-width="1.5" />
    <text
      x={left ? edge + 12 : edge - 12}
      y={y + 4}
      text-anchor={left ? 'start' : 'end'}
      class="fill-ink"
      font-size="13"
      font-weight="600">{terminal.role}</text
    >
    <text x={left ? 2 : 532} y={y - 6} class="fill-ink" font-size="13">{terminal.goesTo}</text>
    <text x={left ? 2 : 532} y={y + 15} class="fill-quiet" font-size="13">{terminal.wire}</text>
  </g>
{/snippet}

{#if terminals.length > 0}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <section tabindex="0" class="overflow-x-auto rounded-lg border bg-card p-3" aria-label="Terminal plan">
    <h2 class="mb-1 text-sm font-semibold text-quiet">Terminals by function</h2>
    <svg
      viewBox={`0 0 820 ${height}`}
      role="img"
      aria-label={`Terminals of ${drive}: ${terminals.map(({ role, goesTo }) => `${role} to ${goesTo}`).join('; ')}`}
      class="w-full min-w-[800px]"
    >
      <rect x="300" y="8" width="220" height={height - 16} rx="8" class="fill-wash stroke-ink" stroke-width="1.5" />
      <text x="410" y="26" text-anchor="middle" class="fill-quiet" font-size="13">{drive}</text>
      {#each power as terminal, at (terminal.role)}{@render wire(terminal, at, true)}{/each}
      {#each control as terminal, at (terminal.role)}{@render wire(terminal, at, false)}{/each}
    </svg>
    <p class="text-sm text-quiet">
      Write the maker’s terminal numbers beside them. Wait until the dc link is below 50 V before touching any.
    </p>
  </section>
{/if}
