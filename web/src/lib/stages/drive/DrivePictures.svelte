<script lang="ts">
  import { untrack } from 'svelte';
  import TabItem from 'flowbite-svelte/TabItem.svelte';
  import Tabs from 'flowbite-svelte/Tabs.svelte';
  import { formatNumber } from '@pilgrim/core/kernel/quantity/format';
  import { leadChart, rangeChart, spectrumChart } from '$lib/charts/drive-charts';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import Chart from '$lib/components/Chart.svelte';
  import EmptyPicture from '$lib/components/EmptyPicture.svelte';

  let { store, base }: { store: JobStore; base: string } = $props();

  const pictures = $derived(store.solution.details.drivePictures);
  const values = $derived(store.solution.values);
  const figure = (id: string): number | undefined => {
    const value = values[`drive.${id}`]?.value;
    return typeof value === 'number' ? value : undefined;
  };
  /** Speed at full load, from an end of the range and its share. */
  const rated = $derived((figure('mostSpeed') ?? 0) / (pictures?.range.most.share ?? 1));
  const percent = (share: number | undefined): string =>
    share === undefined ? '–' : `${formatNumber(share * 100, 2)} %`;
  const shows = {
    speeds: 'Speeds',
    cable: 'Cable and winding',
    network: 'Network',
    overload: 'Current',
  } as const;
  type Shown = keyof typeof shows;
  /** What is wrong is looked at first. */
  const worst: Readonly<Partial<Record<string, Shown>>> = {
    'drive.winding-peak': 'cable',
    'drive.above-most': 'speeds',
    'drive.no-range': 'speeds',
    'drive.filter-needed': 'cable',
    'drive.demand-distortion': 'network',
    'drive.voltage-distortion': 'network',
  };
  // What is opened first; afterwards it is the person’s.
  let shown = $state<Shown>(
    untrack(() => store.solution.findings.flatMap(({ code }) => worst[code] ?? [])[0] ?? 'speeds'),
  );
  const th = 'px-2 py-1 text-left font-normal';
</script>

{#snippet speeds(of: NonNullable<typeof pictures>)}
  <Chart
    option={rangeChart(of, rated, store.solution.details.profile)}
    height={300}
    label="Torque the motor is allowed over its speed, for good and for a minute, with the load under it; the ends of the range stand below."
  />
  <p class="text-sm" data-ends>
    <strong>{values['drive.leastSpeed']?.text}</strong>: {values['drive.leastReason']?.text} ·
    <strong>{values['drive.mostSpeed']?.text}</strong>: {values['drive.mostReason']?.text}
  </p>
{/snippet}

{#snippet cable(of: NonNullable<typeof pictures>)}
  <Chart
    option={leadChart(of, store.document.school, figure('filteredPeak'))}
    height={300}
    label="Peak voltage at the winding over the length of the cable, what the winding bears, and the rule of the site; the figures stand at the head of the stage."
  />
  <p class="text-sm">
    A cable of {values['drive.criticalLength']?.text} or more reflects the whole step of {values['drive.riseTime']
      ?.text}.
    {#if values['drive.filter']}Filter: <strong>{values['drive.filter'].text}</strong>.{/if}
  </p>
{/snippet}

{#snippet network(of: NonNullable<typeof pictures>)}
  {#if of.line.orders.length === 0}
    <p class="text-sm text-quiet">
      Fed from one phase: the figures of six pulses do not hold, and its spectrum is not worked out. Ask the maker of
      the drive for its input current and distortion.
    </p>
  {:else}
    {@render sixPulses(of)}
  {/if}
{/snippet}

{#snippet sixPulses(of: NonNullable<typeof pictures>)}
  <Chart
    option={spectrumChart(of)}
    height={160}
    label="Harmonic currents of the drive by their order; the table says what each way to build the input comes to."
  />
  <table class="w-full text-sm" aria-label="Line-side alternatives">
    <thead>
      <tr class="text-quiet">
        <th scope="col" class={th}>Line side</th>
        <th scope="col" class={`${th} text-right`}>Current</th>
        <th scope="col" class={`${th} text-right`}>Demand</th>
        <th scope="col" class={`${th} text-right`}>Voltage</th>
        <th scope="col" class={th}></th>
      </tr>
    </thead>
    <tbody>
      {#each of.line.remedies as remedy (remedy.side)}
        <tr class={`border-t ${remedy.side === of.line.side ? 'bg-wash font-semibold' : ''}`} data-remedy={remedy.side}>
          <th scope="row" class={th}>{remedy.side === 'none' ? 'nothing' : remedy.side}</th>
          <td class="px-2 text-right">{percent(remedy.distortion)}</td>
          <td class="px-2 text-right">{percent(remedy.demand)}</td>
          <td class="px-2 text-right">{percent(remedy.voltage)}</td>
          <td class="px-2"
            >{remedy.passes ? '✓ passes' : '✕ does not'}{remedy.side === of.line.side ? ' · taken' : ''}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  {#if values['drive.demandDistortionLimit'] === undefined}
    <p class="text-sm text-quiet">
      Type the demand current at the point of common coupling to judge the currents; the installation answers for it
      there, not the drive.
    </p>
  {/if}
{/snippet}

{#snippet overload(of: NonNullable<typeof pictures>)}
  {#if of.rated.length > 0}
    <table class="mb-3 w-full text-sm" aria-label="Drive rating and derating">
      <thead>
        <tr class="text-quiet">
          <th scope="col" class={th}>Duty</th>
          <th scope="col" class={`${th} text-right`}>Current at this voltage</th>
          <th scope="col" class={`${th} text-right`}>Heat</th>
          <th scope="col" class={`${th} text-right`}>Height</th>
          <th scope="col" class={`${th} text-right`}>Switching frequency</th>
          <th scope="col" class={`${th} text-right`}>Phases</th>
          <th scope="col" class={`${th} text-right`}>Derated current</th>
        </tr>
      </thead>
      <tbody>
        {#each of.rated as row (row.duty)}
          <tr class={`border-t ${row.taken ? 'bg-wash font-semibold' : ''}`} data-duty={row.duty}>
            <th scope="row" class={th}>{row.duty === 'normal' ? 'Normal' : 'Heavy'}{row.taken ? ' · taken' : ''}</th>
            <td class="px-2 text-right">{row.derates.rated.toPrecision(3)} A</td>
            {#each ['heat', 'altitude', 'carrier', 'supply'] as const as name (name)}
              <td class="px-2 text-right">{row.derates[name] === 1 ? '–' : `× ${row.derates[name].toFixed(2)}`}</td>
            {/each}
            <td class="px-2 text-right">{row.current.toPrecision(3)} A</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <table class="w-full text-sm" aria-label="Overload duty">
    <thead>
      <tr class="text-quiet">
        <th scope="col" class={th}>Load event</th>
        <th scope="col" class={`${th} text-right`}>Current</th>
        <th scope="col" class={`${th} text-right`}>For</th>
        <th scope="col" class={`${th} text-right`}>Permissible duration</th>
        <th scope="col" class={`${th} text-right`}>Used</th>
      </tr>
    </thead>
    <tbody>
      {#each of.asked as each, at (at)}
        <tr class="border-t">
          <th scope="row" class={th}>{each.name}</th>
          <td class="px-2 text-right">{each.current.toPrecision(3)} A</td>
          <td class="px-2 text-right">{each.time.toPrecision(2)} s</td>
          <td class="px-2 text-right"
            >{each.borne === undefined
              ? '–'
              : !Number.isFinite(each.borne)
                ? 'for good'
                : `${Math.round(each.borne)} s`}</td
          >
          <td class={`px-2 text-right ${(each.used ?? 0) > 1 ? 'font-semibold text-stop' : ''}`}
            >{percent(each.used)}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="text-sm text-quiet">
    Needed for good {values['drive.requiredCurrent']?.text}; it gives {values['drive.availableCurrent']?.text ??
      'not known'}
    here.
  </p>
{/snippet}

<!-- Four pictures of a drive, one at a time. -->
<section class="rounded-lg border bg-card p-3" aria-label="Drive charts">
  {#if pictures}
    <Tabs
      bind:selected={shown}
      tabStyle="underline"
      class="flex-wrap"
      classes={{ content: 'mt-0! bg-transparent! p-0! pt-1.5!' }}
      aria-label="Drive charts"
    >
      {#each Object.entries(shows) as [key, title] (key)}
        <TabItem
          {key}
          {title}
          activeClass="border-b-2 border-sea font-semibold text-sea"
          inactiveClass="border-b-2 border-transparent text-quiet hover:text-ink"
          classes={{ button: 'min-h-9 px-3 py-1.5 text-sm whitespace-nowrap pointer-coarse:min-h-11' }}
        >
          {#if shown === key}
            {#if key === 'speeds'}{@render speeds(pictures)}
            {:else if key === 'cable'}{@render cable(pictures)}
            {:else if key === 'network'}{@render network(pictures)}
            {:else}{@render overload(pictures)}{/if}
          {/if}
        </TabItem>
      {/each}
    </Tabs>
  {:else if store.solution.stages.drive.state === 'not asked'}
    <p class="text-sm text-quiet">
      This option has no drive. Choose one that has, or take “Drive” as the way to start under
      <a class="text-sea underline" href={`${base}/starting`}>Starting</a>.
    </p>
  {:else}
    <EmptyPicture
      label="Motor, cable and supply limits"
      needs={[
        { text: 'a system voltage', href: `${base}/supply` },
        { text: 'a motor or a load', href: `${base}/load` },
      ]}
    />
  {/if}
</section>
