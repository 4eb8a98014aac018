<script lang="ts">
  import { goto } from '$app/navigation';
  import Alert from 'flowbite-svelte/Alert.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import Range from 'flowbite-svelte/Range.svelte';
  import Toggle from 'flowbite-svelte/Toggle.svelte';
  import { onMount } from 'svelte';
  import { jobOfReadings, predictedWatts } from '@pilgrim/core/test-rig/predict';
  import type { Readings } from '@pilgrim/core/test-rig/registers';
  import { meters, rigRange, type Meter } from '@pilgrim/core/test-rig/rig';
  import Blower from '$lib/components/Blower.svelte';
  import PracticeDrive from '$lib/components/PracticeDrive.svelte';
  import SiteHeader from '$lib/components/SiteHeader.svelte';
  import TableCard from '$lib/components/TableCard.svelte';
  import { RigStore } from '$lib/test-rig/rig-store.svelte';

  const store = new RigStore();
  let taking = $state('');
  onMount(() => {
    store.start();
    return () => store.stop();
  });

  const { setting, blowers, trouble } = $derived(store);
  const expected = $derived(blowers && predictedWatts(setting, blowers[0].flow));
  const apart = $derived(blowers ? blowers[1].flow - blowers[0].flow : 0);
  /** What two flow meters may differ by where the flows are the same. */
  const same = 2 * meters.flow.error * meters.flow.range;
  const saved = $derived(blowers ? blowers[0].watts - blowers[1].watts : 0);
  const within = meters.watts.error * meters.watts.range;
  const rows: readonly (readonly [Meter, string, (value: number) => string])[] = [
    ['volts', 'At the motor, V', (value) => value.toFixed(0)],
    ['amperes', 'Motor current, A', (value) => value.toFixed(2)],
    ['watts', 'From the line, W', (value) => value.toFixed(0)],
    ['flow', 'Flow, % of full', (value) => (value * 100).toFixed(1)],
    ['rpm', 'Speed, r/min', (value) => value.toFixed(0)],
  ];
  const offOf = (meter: Meter): string => `±${(meters[meter].error * 100).toFixed(1)} % of range`;
  const off = (read: Readings, watts: number): number => read.watts - watts;

  async function take(): Promise<void> {
    if (!blowers) return;
    const response = await fetch('/api/jobs', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(jobOfReadings(setting, blowers[0])),
    }).catch(() => undefined);
    const answer = (await response?.json().catch(() => undefined)) as { id?: string } | undefined;
    if (answer?.id) await goto(`/jobs/${answer.id}/load`);
    else taking = 'The readings could not be taken into a job just now. Try again.';
  }
</script>

{#snippet knob(name: 'damper' | 'speed', label: string)}
  <label class="mt-2 flex items-center gap-3 text-sm" for={`rig-${name}`}
    ><span class="w-36 shrink-0 whitespace-nowrap">{label} {Math.round(setting[name] * 100)} %</span>
    <Range
      id={`rig-${name}`}
      min={rigRange[name][0] * 100}
      max={rigRange[name][1] * 100}
      step="1"
      value={setting[name] * 100}
      oninput={(event) => store.set({ [name]: Number(event.currentTarget.value) / 100 })}
    /></label
  >
{/snippet}

<svelte:head><title>Rig · Pilgrim</title></svelte:head>
<SiteHeader current="rig" />
<main id="main" class="mx-auto grid max-w-6xl gap-4 p-4">
  <div>
    <h1 class="text-xl font-bold">Rig: two equal blowers, one with a damper, one on a drive</h1>
    <p class="text-sm text-quiet">
      Set the damper, then the speed until both flows match, and read what each takes from the line. The rig is
      simulated and speaks Modbus TCP like a real one. On real machines: lock out and prove dead, wait for stored
      charge, keep clear of what rotates.
    </p>
  </div>
  {#if trouble}<Alert color="yellow" role="alert">{trouble}</Alert>{/if}
  {#if taking}<Alert color="yellow" role="alert">{taking}</Alert>{/if}
  <div class="grid gap-4 md:grid-cols-2">
    <section class="rounded-lg border bg-card p-3" aria-label="Blower with a damper">
      <h2 class="text-sm font-semibold text-quiet">1 · On the line, with a damper</h2>
      <Blower open={setting.damper} turning={1} flow={blowers?.[0].flow ?? 0} damper />
      {@render knob('damper', 'Damper open')}
    </section>
    <section class="rounded-lg border bg-card p-3" aria-label="Blower on a drive">
      <h2 class="text-sm font-semibold text-quiet">2 · On a drive</h2>
      <Blower open={1} turning={setting.speed} flow={blowers?.[1].flow ?? 0} />
      {@render knob('speed', 'Speed')}
    </section>
  </div>
  <div class="flex flex-wrap items-center gap-x-6 gap-y-2 rounded-lg border bg-card p-3 text-sm">
    <Toggle checked={setting.leastFlux} onchange={(event) => store.set({ leastFlux: event.currentTarget.checked })}
      >Drive lowers the flux</Toggle
    >
    <Toggle checked={setting.oversized} onchange={(event) => store.set({ oversized: event.currentTarget.checked })}
      >Motors twice too large (15 instead of 7½ hp)</Toggle
    >
    <p class="grow" data-testid="rig-verdict" aria-live="polite">
      {#if blowers}
        {#if Math.abs(apart) <= same}<strong
            >✓ The flows match: the drive takes {Math.abs(saved).toFixed(0)} W {saved >= 0 ? 'less' : 'more'} ({(
              (100 * Math.abs(saved)) /
              blowers[0].watts
            ).toFixed(0)} %).</strong
          >{:else}△ The flow of the drive is {(Math.abs(apart) * 100).toFixed(1)} % of full {apart > 0
            ? 'above'
            : 'below'} that of the damper: {apart > 0 ? 'slow it' : 'speed it up'}.{/if}
      {:else}The meters are being read …{/if}
    </p>
    <Button class="min-h-11" disabled={!blowers} onclick={() => void take()}>Take blower 1 into a job</Button>
  </div>
  {#if blowers && expected}
    <TableCard
      label="Meter readings of both blowers"
      caption="What the meters read, and what Pilgrim expects from the plate alone"
    >
      <thead>
        <tr class="text-left text-quiet">
          <th scope="col" class="px-3 py-1.5 font-normal">Meter</th>
          <th scope="col" class="px-3 py-1.5 text-right font-normal">1 · damper</th>
          <th scope="col" class="px-3 py-1.5 text-right font-normal">2 · drive</th>
          <th scope="col" class="px-3 py-1.5 font-normal">Uncertainty</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as [meter, label, text] (meter)}
          <tr class="border-t" data-meter={meter}>
            <th scope="row" class="px-3 py-1.5 text-left font-normal">{label}</th>
            {#each blowers as read, at (at)}<td class="px-3 py-1.5 text-right tabular-nums">{text(read[meter])}</td
              >{/each}
            <td class="px-3 py-1.5 text-quiet">{offOf(meter)}</td>
          </tr>
        {/each}
        <tr class="border-t" data-meter="expected">
          <th scope="row" class="px-3 py-1.5 text-left font-normal">Expected input power, W</th>
          {#each blowers as read, at (at)}
            {@const watts = expected[at] ?? 0}
            <td class="px-3 py-1.5 text-right tabular-nums"
              >{watts.toFixed(0)}<span class="block text-xs text-quiet"
                >{Math.abs(off(read, watts)) <= 2 * within ? '✓' : '△'} meter {off(read, watts) >= 0
                  ? '+'
                  : '−'}{Math.abs(off(read, watts)).toFixed(0)}</span
              ></td
            >
          {/each}
          <td class="px-3 py-1.5 text-quiet">±{within.toFixed(0)} W of the meter, as much of the circuit</td>
        </tr>
      </tbody>
    </TableCard>
  {/if}
  <PracticeDrive />
</main>
