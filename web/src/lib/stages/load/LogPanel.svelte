<script lang="ts">
  import { formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import { findUnit } from '@pilgrim/core/kernel/quantity/units';
  import { cycleOf, type BinnedLog } from '@pilgrim/core/stages/load/bin-log';
  import type { JobStore } from '$lib/job/job-store.svelte';
  import type { LogTaken } from '$lib/load/read-log';
  import type { LogAnswer } from '$lib/workers/log.worker';
  import LogReader from '$lib/components/LogReader.svelte';

  let { store }: { store: JobStore } = $props();

  const perAmpere = $derived(store.solution.details.torquePerAmpere);
  const units = $derived([
    ...['N·m', 'lb·ft', 'lb·in'].map((value) => ({ value, name: value })),
    { value: 'A', name: `A of the motor${perAmpere === undefined ? ' (needs its plate)' : ''}` },
  ]);
  const unitOf = (heading: string): string =>
    /amp|current|\bA\b|\bI\b/i.test(heading) ? 'A' : /lb/i.test(heading) ? 'lb·ft' : 'N·m';
  const refuse = (unit: string): string =>
    unit === 'A' && perAmpere === undefined
      ? 'Amperes become torque by the plate of the motor that was logged: type its power, speed and current at Nameplate, or bring a log of torque.'
      : '';

  function taken(log: BinnedLog, unit: string): string {
    const factor = unit === 'A' ? (perAmpere ?? 0) : (findUnit('torque', unit)?.factor ?? 1);
    const text = (si: number): string => formatQuantity(si, 'torque', store.shows).replaceAll('\u00a0', ' ');
    const cycle = cycleOf(log, store.solution.details.warming);
    const length = cycle.reduce((sum, level) => sum + level.time, 0);
    store.setRows(
      'load.duty',
      cycle.map((level) => ({
        torque: level.standing ? '' : text(level.value * factor),
        time: `${Number(level.time.toPrecision(5))} s`,
        standing: level.standing,
      })),
      { 'load.way': 'duty' },
    );
    const odd = [
      log.skipped > 0 ? `${log.skipped} rows could not be read` : '',
      log.gaps > 0 ? `${log.gaps} breaks left out` : '',
    ];
    return `${log.samples.toLocaleString('en')} samples over ${formatQuantity(log.duration, 'duration', 'IEC')} became a cycle of ${formatQuantity(length, 'duration', 'IEC')} that warms the motor as much: ${log.levels.length} levels, RMS ${text(log.rms * factor)}, peak ${text(log.peak * factor)}${log.starts > 0 ? `, ${log.starts} starts` : ''}. ${odd.filter(Boolean).join(', ')}`;
  }

  const take = (answer: LogAnswer, unit: string): LogTaken =>
    answer.kind === 'binned' ? { done: taken(answer.log, unit) } : { refused: 'The log cannot be read.' };
</script>

<LogReader
  name="log"
  title="Duty cycle from a recorded log"
  hint="Log of torque or current"
  column="Load"
  {units}
  {unitOf}
  button="Make the duty cycle"
  kind="bin"
  {refuse}
  {take}
/>
