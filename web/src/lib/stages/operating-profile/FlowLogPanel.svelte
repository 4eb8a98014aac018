<script lang="ts">
  import { HOUR } from '@pilgrim/core/kernel/constants';
  import { formatNumber, formatQuantity } from '@pilgrim/core/kernel/quantity/format';
  import { findUnit } from '@pilgrim/core/kernel/quantity/units';
  import { profileOfLog, type FlowRecord } from '@pilgrim/core/stages/operating-profile/flow-log';
  import type { ViewProps } from '$lib/stages/views';
  import type { LogTaken } from '$lib/load/read-log';
  import type { LogAnswer } from '$lib/workers/log.worker';
  import LogReader from '$lib/components/LogReader.svelte';

  let { store }: Pick<ViewProps, 'store'> = $props();

  const DAY = 24 * HOUR;
  const POWERS: Readonly<Record<string, number>> = { kW: 1000, W: 1, MW: 1e6 };
  const units = [
    { value: '%', name: '% of full flow' },
    ...['m³/h', 'L/s', 'gpm', 'cfm', 'm³/s'].map((value) => ({ value, name: value })),
    { value: 'kW', name: 'kW taken from the line' },
    { value: 'W', name: 'W, input power' },
  ];
  const unitOf = (heading: string): string =>
    units.find(({ value }) => value !== '%' && value !== 'W' && heading.toLowerCase().includes(value.toLowerCase()))
      ?.value ?? (/watt|power/i.test(heading) ? 'W' : '%');

  const control = $derived(String(store.get('profile.control') ?? 'unknown'));
  const today = $derived(store.solution.details.flowCurves.find((curve) => curve.control === control));
  const fullFlow = $derived(store.solution.details.fullFlow);
  function refuse(unit: string): string {
    if (unit in POWERS)
      return today
        ? ''
        : 'Power becomes flow by how it is controlled today: choose that, and bring load and hours first.';
    if (unit !== '%' && fullFlow === undefined)
      return `Type the full flow at “Machine and its curve” first, in ${unit} or another unit.`;
    return '';
  }

  function taken(record: FlowRecord, unit: string): LogTaken {
    const watts = POWERS[unit];
    const factor = unit === '%' ? 0.01 : (findUnit('flow', unit)?.factor ?? 1) / (fullFlow ?? 1);
    const made = profileOfLog(record, {
      counts: watts ? 'power' : 'flow',
      full: watts ?? 1 / factor,
      powerUnit: 1000,
      today,
      interval: store.get('supply.demandInterval') === '30 min' ? '30 min' : '15 min',
    });
    if (!made)
      return {
        refused:
          'With today’s control the power hardly changes with the flow, so it does not tell the flow. Bring a log of flow.',
      };
    const { calibration } = made;
    const before = Number(store.get('profile.calibration') || 1);
    store.setRows(
      'profile.points',
      made.rows.map(({ flow, seconds }) => ({
        flow: `${Number((flow * 100).toPrecision(4))} %`,
        hours: `${Number((seconds / HOUR).toPrecision(5))} h`,
      })),
      {
        'profile.peakFlows': made.peaks.length
          ? `${made.peaks.map((flow) => Number((flow * 100).toPrecision(4))).join('/')} %`
          : '',
        'profile.recordedOver': `${Number((record.span / DAY).toPrecision(4))} days`,
        ...(calibration
          ? {
              'profile.calibration': String(Number((calibration.factor * (before > 0 ? before : 1)).toPrecision(4))),
              'profile.calibrationFit': `${Number((calibration.fit * 100).toPrecision(3))} %`,
            }
          : {}),
      },
    );
    const odd = [
      record.skipped > 0 ? `${record.skipped} rows could not be read` : '',
      record.gaps > 0 ? `${record.gaps} breaks not recorded and left out` : '',
      calibration
        ? `measured power is ${formatNumber(calibration.factor, 3)} of the calculated, r² ${formatNumber(calibration.fit, 2)}`
        : '',
    ];
    return {
      done: `${record.samples.toLocaleString('en')} samples over ${formatQuantity(record.span, 'duration', 'IEC')} became ${made.rows.length} rows of a year, their energy within ${formatNumber(Math.abs(made.energyOff) * 100, 2)} % of the samples’. ${odd.filter(Boolean).join(', ')}`,
    };
  }

  const take = (answer: LogAnswer, unit: string): LogTaken =>
    answer.kind === 'recorded' ? taken(answer.log, unit) : { refused: 'The log cannot be read.' };
</script>

<LogReader
  name="flow-log"
  title="Hours from a recorded log of flow or power"
  hint="Log of flow, of power, or of both"
  column="Flow or power"
  second="Power beside it, kW,"
  {units}
  {unitOf}
  button="Make the hours"
  kind="record"
  {refuse}
  {take}
/>
