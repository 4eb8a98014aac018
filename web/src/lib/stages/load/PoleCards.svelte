<script lang="ts">
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import type { ViewProps } from '$lib/stages/views';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const poles = $derived(store.solution.details.poles);
  const school = $derived(store.shows);
  const fastest = $derived(Math.max(...poles.map(({ speed }) => speed)));
  const strongest = $derived(Math.max(...poles.map(({ torque }) => torque)));
  const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits).replace('-', '−')} %`;

  /** A motor as large as its torque asks: a frame’s size goes with the cube root of it. */
  const heightOf = (torque: number): number => 38 * Math.cbrt(torque / strongest);
</script>

{#if poles.length > 0}
  <section class="rounded-lg border bg-card p-3" aria-label="Number of poles">
    <h2 class="mb-2 text-sm font-semibold text-quiet">Comparison by number of poles</h2>
    <ul class="grid gap-2 sm:grid-cols-2 lg:grid-cols-4">
      {#each poles as choice (choice.poles)}
        {@const height = heightOf(choice.torque)}
        <li
          class={`min-w-0 rounded-lg border-2 p-2 text-sm ${choice.chosen ? 'border-copper bg-wash' : ''}`}
          data-poles={choice.poles}
        >
          <p class="font-semibold">
            {choice.poles} poles{#if choice.chosen}<span class="font-normal text-sea">&nbsp;· taken</span>{/if}
          </p>
          <!-- As large as it is built, and how fast it turns of the fastest. -->
          <svg viewBox="0 0 120 56" class="h-14 w-full text-copper" aria-hidden="true">
            <g fill="none" stroke="currentColor" stroke-width="2">
              <rect x="8" y={44 - height} width={height * 1.5} {height} rx="3" />
              <path
                d={`M${8 + height * 1.5} ${44 - height / 2}h14M12 44v3M${4 + height * 1.5} 44v3M${8 + height * 0.35} ${44 - height}v${height}`}
              />
            </g>
            <path d="M4 53H116" stroke="var(--line)" stroke-width="4" />
            <path d={`M4 53H${4 + (112 * choice.speed) / fastest}`} stroke="var(--sea)" stroke-width="4" />
          </svg>
          <p class="mb-1 leading-4 text-quiet">{choice.advice}</p>
          <dl class="grid grid-cols-[1fr_auto] gap-x-2 leading-5">
            <dt class="text-quiet">Speed at load</dt>
            <dd class="text-right whitespace-nowrap">{formatQuantity(choice.speed, 'speed', school)}</dd>
            <dt class="text-quiet">Rated torque</dt>
            <dd class="text-right whitespace-nowrap">{formatQuantity(choice.torque, 'torque', school)}</dd>
            <dt class="text-quiet">Frame</dt>
            <dd class="text-right whitespace-nowrap">{choice.frame || '–'}</dd>
            <dt class="text-quiet">Efficiency</dt>
            <dd class="text-right whitespace-nowrap">
              {choice.efficiency === undefined ? '–' : percent(choice.efficiency, 1)}
            </dd>
            <dt class="text-quiet">Required speed ratio</dt>
            <dd class="text-right whitespace-nowrap">{choice.ratioNeeded.toFixed(2)}</dd>
            <dt class="text-quiet">Speed deviation</dt>
            <dd class="text-right whitespace-nowrap">
              {choice.speedError > 0 ? '+' : ''}{percent(choice.speedError, 1)}
            </dd>
            {#if choice.sidePull !== undefined}
              <dt class="text-quiet">Overhung load</dt>
              <dd class="text-right whitespace-nowrap">{formatQuantity(choice.sidePull, 'force', school)}</dd>
            {/if}
            {#if choice.bearing}
              <dt class="text-quiet">Bearing</dt>
              <dd class="text-right whitespace-nowrap">{choice.bearing}</dd>
            {/if}
            {#if choice.leastSheave !== undefined}
              <dt class="text-quiet">Minimum sheave</dt>
              <dd class="text-right whitespace-nowrap">≥ {formatQuantity(choice.leastSheave, 'length', school)}</dd>
            {/if}
            <dt class="text-quiet">Cost</dt>
            <dd class="text-right whitespace-nowrap">
              {choice.cost === undefined ? '–' : `× ${choice.cost.toFixed(2)}`}
            </dd>
          </dl>
        </li>
      {/each}
    </ul>
  </section>
{/if}
