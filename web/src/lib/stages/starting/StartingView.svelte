<script lang="ts">
  import Progress from '$lib/components/Progress.svelte';
  import type { Spread } from '@pilgrim/core/stages/starting/tolerance-sampling';
  import type { TransientRun } from '@pilgrim/core/stages/starting/transient';
  import type { Method } from '@pilgrim/core/stages/starting/starting-mode';
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import { onMount } from 'svelte';
  import { inTurn } from '$lib/deferred.svelte';
  import Button from 'flowbite-svelte/Button.svelte';
  import { bandChart, timeChart, torqueSpeedChart, transientChart } from '$lib/charts/start-charts';
  import Bench from '$lib/bench/Bench.svelte';
  import type { ViewProps } from '$lib/stages/views';
  import Chart from '$lib/components/Chart.svelte';
  import EmptyPicture from '$lib/components/EmptyPicture.svelte';
  import Late from '$lib/components/Late.svelte';
  import MachineCard from './MachineCard.svelte';
  import MachineCurves from './MachineCurves.svelte';
  import StartKnobs from './StartKnobs.svelte';
  import TableCard from '$lib/components/TableCard.svelte';

  let props: ViewProps = $props();
  const { store } = $derived(props);

  const COUNT = 2000;
  const SEED = 1;
  const details = $derived(store.solution.details);
  const chosen = $derived(store.solution.values['starting.method']?.text);
  let picked = $state<Method>();
  const shown = $derived(details.starting.find((each) => each.method === (picked ?? chosen)) ?? details.starting[0]);
  const school = $derived(store.shows);
  const percent = (share: number, digits = 1): string => `${(share * 100).toFixed(digits)} %`;
  const seconds = (value: number): string => formatQuantity(value, 'duration', school);
  const torque = (value: number): string => formatQuantity(value, 'torque', school);

  // Stored results leave the run-ups out; solving brings them.
  onMount(() => inTurn(() => void store.warm()));

  let transient = $state.raw<TransientRun>();
  let transientFor = $state('');
  let spread = $state.raw<Spread>();
  let spreadFor = $state('');
  let share = $state<number>();
  let cancel: () => void = () => undefined;
  let problem = $state('');
  onMount(() => () => cancel());

  async function firstCycles(): Promise<void> {
    const { startSetting } = details;
    if (!startSetting || !shown) return;
    const [{ transientOf }, { runTransient }] = await Promise.all([
      import('@pilgrim/core/stages/starting/transient'),
      import('$lib/job/start-runs'),
    ]);
    const setting = transientOf($state.snapshot(startSetting), shown.method, shown.time ?? 5);
    problem = setting ? '' : 'Only a motor on the line itself has such first cycles: choose direct or star-delta.';
    if (!setting) return;
    const name = shown.method;
    const running = runTransient(setting);
    cancel = running.cancel;
    transient = await running.result;
    transientFor = name;
  }

  async function range(): Promise<void> {
    const { startSetting, machine } = details;
    if (!startSetting || !machine || !shown) return;
    const { runSpread } = await import('$lib/job/start-runs');
    share = 0;
    const name = shown.method;
    const setting = {
      start: { ...$state.snapshot(startSetting), tripClass: shown.relayClass },
      targets: $state.snapshot(machine.targets),
      method: name,
      seed: SEED,
    };
    const workers = Math.max(1, Math.min(4, navigator.hardwareConcurrency));
    const running = runSpread(setting, COUNT, workers, (done) => (share = done));
    cancel = running.cancel;
    const outcome = await running.result;
    share = undefined;
    if (!outcome) return;
    spread = outcome;
    spreadFor = name;
  }

  const head = 'px-1 py-1 font-normal whitespace-nowrap first:px-2';
  /** What the ways are compared by; `wide` ones only where there is room. */
  const columns = [
    { title: 'Current', under: 'Line current at standstill', of: 'current' },
    { title: 'Torque', under: 'Torque at standstill, % of rated', of: 'torque', wide: true },
    { title: 'Bus dip', under: 'Voltage dip at the bus', of: 'dip' },
    { title: 'Motor dip', under: 'Voltage dip at the motor terminals', of: 'terminalDip', wide: true },
    { title: 'Time', under: 'Acceleration time', of: 'time' },
    { title: 'Margin', under: 'Minimum accelerating torque margin', of: 'margin' },
    { title: 'Thermal', under: 'Thermal capacity used by the start', of: 'heat' },
    { title: 'Class', under: 'Overload trip class', of: 'tripClass' },
  ] as const satisfies readonly { title: string; under: string; of: string; wide?: boolean }[];
</script>

<Bench {...props} stage="starting">
  {#snippet top()}
    {#if shown && details.machine && details.startSetting}
      <section class="mb-3 rounded-lg border bg-card p-2" aria-label="Starting curves" data-testid="start-run">
        <h2 class="mb-1 text-sm font-semibold text-quiet">
          {shown.method[0]?.toUpperCase()}{shown.method.slice(1)} start: {shown.text.current}, {shown.time === undefined
            ? 'does not come up'
            : `up in ${shown.text.time}`}
        </h2>
        <div class="grid gap-3 md:grid-cols-2">
          <Chart
            option={torqueSpeedChart(shown, details.machine, details.loadCurve, school)}
            height={180}
            label="Torque against speed of the motor at full voltage, of the motor as started, and of the load."
          />
          <Chart
            option={timeChart(shown, details.startSetting.overload, details.startSetting.motor.voltage)}
            height={180}
            label="Line current, speed and voltage against time, with the trip curve of the overload relay."
          />
        </div>
        <StartKnobs {store} method={shown.method} setting={details.startSetting} />
      </section>
    {:else}
      <div class="mb-3">
        <EmptyPicture
          label="Starting curves"
          example="M30 60C120 66 200 70 250 40C275 22 290 30 300 108M30 100C120 96 220 84 300 60"
          needs={[
            { text: 'a motor: its plate', href: `${props.base}/nameplate` },
            { text: 'or its load', href: `${props.base}/load` },
          ]}
        />
      </div>
    {/if}
  {/snippet}
  {#snippet picture()}
    {#if shown}
      <TableCard label="Starting methods">
        <caption class="sr-only">Starting methods, lowest cost first; select one to see its curves</caption>
        <thead>
          <tr class="text-left text-xs text-quiet">
            <th scope="col" class={head}>Method</th>
            {#each columns as column (column.title)}
              {@const wide = 'wide' in column}
              <th scope="col" class={`${head} text-right ${wide ? '@max-[36rem]:hidden' : ''}`} title={column.under}
                >{column.title}</th
              >
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each details.starting as way (way.method)}
            {@const verdict = way.passes ? 'passes' : 'fails'}
            <tr class={`border-t ${way.method === shown.method ? 'bg-wash' : ''}`} data-method={way.method}>
              <th scope="row" class="px-2 text-left whitespace-nowrap"
                ><button
                  type="button"
                  class="min-h-8 text-left font-semibold underline decoration-dotted underline-offset-4 pointer-coarse:min-h-11"
                  aria-pressed={way.method === shown.method}
                  title={way.failures.join('; ')}
                  onclick={() => (picked = way.method)}>{way.method}</button
                ><span class={`ms-1.5 font-normal ${way.passes ? 'text-good' : 'text-stop'}`}
                  >{way.passes ? '✓' : '✕'}<span class={`text-xs ${way.method === chosen ? '' : 'sr-only'}`}
                    >&nbsp;{verdict === 'passes' && way.method === chosen ? 'chosen' : verdict}</span
                  ></span
                ></th
              >
              {#each columns as column (column.title)}
                {@const wide = 'wide' in column}
                <td class={`px-1 text-right whitespace-nowrap ${wide ? '@max-[36rem]:hidden' : ''}`}
                  >{way.text[column.of]}</td
                >
              {/each}
            </tr>
            {#if !way.passes || way.needs}
              <tr class="bg-wash" hidden={way.method !== shown.method} data-failures={way.method}>
                <td colspan={columns.length + 1} class="px-2 pb-1 leading-snug">
                  <!-- Stays in view where the table scrolls sideways. -->
                  <div class="sticky start-2 max-w-[calc(100cqw-1rem)]">
                    {#if way.passes}<span class="text-quiet">With its {way.needs}.</span>
                    {:else}<span class="text-stop">{way.failures.join('; ')}.</span>
                      <span class="text-quiet">Would pass with: {way.remedies.join('; ')}.</span>{/if}
                  </div>
                </td>
              </tr>
            {/if}
          {/each}
        </tbody>
      </TableCard>
    {/if}
  {/snippet}
  {#if shown && details.machine && details.startSetting}
    <section class="rounded-lg border bg-card p-3" aria-label="Further starting results">
      <div class="mt-2 flex flex-wrap items-center gap-3">
        <Button color="alternative" class="min-h-11 text-ink!" onclick={firstCycles}>First cycles and transition</Button
        >
        {#if share === undefined}
          <Button color="alternative" class="min-h-11 text-ink!" onclick={range}
            >What {COUNT} motors of this plate would do</Button
          >
        {:else}
          <Button color="alternative" class="min-h-11 text-ink!" onclick={() => cancel()}>Cancel</Button>
          <Progress {share} label="Starts run" />
        {/if}
      </div>
      {#if problem}<p class="mt-2 text-sm text-stop" role="alert">{problem}</p>{/if}
      {#if shown.trace}
        {@const trace = shown.trace}
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 text-sm text-sea">Run-up data</summary>
          <table class="w-full text-right text-sm">
            <caption class="sr-only">Run-up at ten instants</caption>
            <thead
              ><tr class="text-quiet"
                >{#each ['Time', 'Speed', 'Line current', 'Torque', 'Load', 'Thermal capacity used'] as title (title)}<th
                    scope="col"
                    class="py-1 font-normal">{title}</th
                  >{/each}</tr
              ></thead
            >
            <tbody>
              {#each trace.time as time, at (at)}
                {#if at % Math.max(1, Math.floor(trace.time.length / 10)) === 0 || at === trace.time.length - 1}
                  <tr class="border-t"
                    ><td class="py-1">{seconds(time)}</td><td
                      >{formatQuantity(trace.speed[at] ?? 0, 'speed', school)}</td
                    ><td>{formatQuantity(trace.lineCurrent[at] ?? 0, 'current', school)}</td><td
                      >{torque(trace.torque[at] ?? 0)}</td
                    ><td>{torque(trace.loadTorque[at] ?? 0)}</td><td
                      >{((trace.rotorHeat[at] ?? 0) / 1000).toFixed(1)} kJ</td
                    ></tr
                  >
                {/if}
              {/each}
            </tbody>
          </table>
        </details>
      {/if}
    </section>
    {#if transient}
      <section class="rounded-lg border bg-card p-3" aria-label="First cycles" data-testid="transient">
        <h2 class="mb-1 text-sm font-semibold text-quiet">First cycles, {transientFor}</h2>
        <p class="text-sm">
          Peak current <strong>{formatQuantity(transient.peakCurrent, 'current', school)}</strong>, peak torque
          <strong>{torque(transient.peakTorque)}</strong>, lowest {torque(transient.lowestTorque)}.
          {#if transient.changeover}After the change-over at {formatQuantity(
              transient.changeover.speed,
              'speed',
              school,
            )} the spike is <strong>{formatQuantity(transient.changeover.peakCurrent, 'current', school)}</strong> and
            the torque swings from {torque(transient.changeover.lowestTorque)} to {torque(
              transient.changeover.peakTorque,
            )}.{/if}
        </p>
        <Chart
          option={transientChart(transient, 0, 0.3, school)}
          height={240}
          label="Instantaneous current of phase a and torque at the air gap in the first 0.3 s; the peaks are given above."
        />
        {#if transient.changeover}
          <Chart
            option={transientChart(
              transient,
              transient.changeover.time - 0.06,
              transient.changeover.time + 0.3,
              school,
            )}
            height={240}
            label="Instantaneous current of phase a and torque at the air gap around the change-over; the peaks are given above."
          />
        {/if}
      </section>
    {/if}
    {#if spread}
      <section class="rounded-lg border bg-card p-3" aria-label="Tolerance band of starts" data-testid="spread">
        <h2 class="mb-1 text-sm font-semibold text-quiet">
          {spread.count} starts within the tolerances of plate, load and supply, {spreadFor}
        </h2>
        <p class="text-sm">
          <strong class={spread.chance < 0.995 ? 'text-stop' : 'text-good'}>{percent(spread.chance, 1)} come up.</strong
          >
          Nine of ten need {seconds(spread.time.low)} to {seconds(spread.time.high)}, dip the bus {percent(
            spread.dip.low,
          )} to
          {percent(spread.dip.high)}, draw {formatQuantity(spread.peakCurrent.low, 'current', school)} to {formatQuantity(
            spread.peakCurrent.high,
            'current',
            school,
          )} and heat the rotor to {percent(spread.rotorUse.low, 0)} to {percent(spread.rotorUse.high, 0)} of what it bears.
          {#if spreadFor !== 'drive'}The relay lets {percent(spread.held)} through even at its fast edge.{/if}
        </p>
        <Chart
          option={bandChart(spread)}
          height={260}
          label="Bands of speed and line current against time in which nine of ten starts lie; the text above gives the figures."
        />
      </section>
    {/if}
    <Late>
      <MachineCurves machine={details.machine} {school} />
      <MachineCard machine={details.machine} {school} />
    </Late>
  {/if}
</Bench>
