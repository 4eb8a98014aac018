<script lang="ts">
  import Gauge from '$lib/bench/Gauge.svelte';
  import type { JobStore } from '$lib/job/job-store.svelte';

  let { store }: { store: JobStore } = $props();

  const text = (id: string): string => store.solution.values[`supply.${id}`]?.text ?? '–';
  const limits = $derived(new Map(store.solution.details.readouts.map(({ id, limit }) => [id, limit])));
  /** What is lost on the way, and where. */
  const places = $derived([
    {
      name: 'Source',
      rows: [
        ['short circuit', 'shortCircuitPower'],
        ['impedance', 'sourceImpedance'],
      ],
    },
    {
      name: 'Bus',
      rows: [
        ['at rest', 'voltage'],
        ['direct start takes', 'directBusDip'],
      ],
    },
    {
      name: 'Feeder',
      rows: [
        ['running takes', 'runningDrop'],
        ['it carries', 'feederAmpacity'],
      ],
    },
    {
      name: 'Motor',
      rows: [
        ['wound for', 'motorVoltage'],
        ['direct start takes', 'directTerminalDip'],
      ],
    },
  ] as const);
  const known = $derived(store.solution.values['supply.voltage'] !== undefined);
</script>

<!-- The single line from the source to the motor’s terminals, with what is lost at each place against its limit. -->
<section class="rounded-lg border bg-card p-3" aria-label="Voltage profile">
  <h2 class="mb-2 text-sm font-semibold text-quiet">Voltage profile from source to motor terminals</h2>
  <ol class={`grid grid-cols-2 gap-y-4 sm:grid-cols-4 ${known ? '' : 'opacity-50'}`}>
    {#each places as { name, rows }, at (name)}
      <li class="min-w-0">
        <span class="flex items-center" aria-hidden="true">
          <span class="size-4 shrink-0 rounded-full border-2 border-copper bg-card"></span>
          {#if at + 1 < places.length}<span class="grow border-t-4 border-copper"></span>{/if}
        </span>
        <strong class="mt-1 block text-sm">{name}</strong>
        <dl class="pe-3 text-sm">
          {#each rows as [label, id] (id)}
            {@const limit = limits.get(`supply.${id}`)}
            <dt class="text-xs text-quiet">{label}</dt>
            <dd class={`whitespace-nowrap ${limit?.missed ? 'font-semibold text-stop' : ''}`}>
              {limit?.missed ? '✕ ' : ''}{text(id)}
              {#if limit}
                <Gauge {limit} />
                <span class="text-xs text-quiet">{limit.text}</span>
              {/if}
            </dd>
          {/each}
        </dl>
      </li>
    {/each}
  </ol>
  {#if !known}<p class="mt-3 text-sm text-quiet">
      System voltage and frequency make this picture; the transformer’s size and impedance fill in the dips.
    </p>{/if}
</section>
