import type { LoadResult } from '../load/load.ts';
import { formatNumber } from '../../ground/quantity/format.ts';
import type { Notebook, Brief } from '../stage.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { PRACTICE, type Value } from '../../ground/value.ts';
import type { Comparison } from './comparison.ts';
import { methods, type Method } from './feeds.ts';
import type { Start } from './run-start.ts';

/** The way to start that was chosen, and what it was chosen from. */
export interface Choice {
  readonly method: Method | undefined;
  readonly comparisons: readonly Comparison[];
  readonly start: Start | undefined;
  /** The drive is there to vary the speed, not only to start. */
  readonly speedControlled: boolean;
  readonly softStop: Value;
  /** Of the machine at the motor shaft, where it is known. */
  readonly machineInertia: Value | undefined;
  /** Load inertia that a standard motor of the size starts once when hot. */
  readonly onceHot: Value | undefined;
  readonly stopping: { readonly coastTime: Value; readonly softStopTime: Value } | undefined;
}

/** What is to be said of the choice: why it fails or wastes, and what would make the next cheaper one do. */
export function checkChoice(
  { method, comparisons, start, speedControlled, softStop, stopping, machineInertia, onceHot }: Choice,
  { job }: Brief,
  flag: Notebook['flag'],
): void {
  const chosen = comparisons.find((each) => each.method === method);
  if (chosen && !chosen.passes) {
    flag({
      code: 'starting.method-fails',
      severity: 'stop',
      message: `Starting by ${chosen.method} does not pass: ${chosen.failures.join('; ')}.`,
      basis: 'Limits of supply, load, motor and relay; ' + PRACTICE,
      clear: `It would need ${chosen.remedies.join('; ')}.${job.starting.method === 'auto' ? '' : ' Or let Pilgrim choose.'}`,
      field: 'starting.method',
    });
  }
  if (method && method !== 'drive' && onceHot && machineInertia && machineInertia.value > onceHot.value) {
    flag({
      code: 'starting.inertia-above-table',
      severity: 'caution',
      message: `The machine’s ${machineInertia.text} is ${formatNumber(machineInertia.value / onceHot.value, 2)} times what a standard motor of this size must be able to start.`,
      basis: onceHot.working.source,
      clear: 'Have the maker confirm the start, or choose a larger motor.',
      field: 'load.inertia',
    });
  }
  const simpler = comparisons.find((each) => each.passes && each.method !== 'drive');
  if (method === 'drive' && job.starting.speedControl === 'no' && simpler) {
    flag({
      code: 'starting.drive-wasted',
      severity: 'caution',
      message: `The speed is never varied, so a drive is money wasted: ${simpler.method} passes every limit.`,
      basis: PRACTICE,
      clear: 'Let Pilgrim choose the way to start.',
      field: 'starting.method',
    });
  }
  const at = methods.indexOf(method ?? 'direct');
  const cheaper = comparisons.slice(0, Math.max(0, at)).filter((each) => !each.passes);
  const lacks = Math.min(...cheaper.map((each) => each.remedies.length));
  // The one that lacks least is worth more than the one that comes next in price.
  const nearly = cheaper.find((each) => each.remedies.length === lacks);
  if (job.starting.method === 'auto' && method && nearly && !speedControlled) {
    flag({
      code: 'starting.next-cheaper',
      severity: 'note',
      message: `${nearly.method[0]?.toUpperCase()}${nearly.method.slice(1)} would do with ${nearly.remedies.join(' and ')}.`,
      basis: nearly.failures.join('; '),
      clear: 'Change that, and the cheaper way passes.',
      field: 'starting.method',
    });
  }
  if (
    start &&
    method !== 'drive' &&
    (start.relayClass === '20' || start.relayClass === '30' || start.relayClass === '40')
  ) {
    flag({
      code: 'starting.slow-relay',
      severity: 'caution',
      message: `The start needs a class ${start.relayClass} relay; a stalled motor is then cut off later too, and must bear it.`,
      basis: 'IEC 60947-4-1 Table 2; stall time of the motor',
      clear: 'Confirm with the maker that the motor bears standing that long, or shorten the start.',
      field: 'starting.tripClass',
    });
  }
  if (stopping) {
    flag({
      code: 'starting.soft-stop',
      severity: 'note',
      message: `Cut off, the machine stops in ${stopping.coastTime.text}; with the voltage lowered over ${softStop.text} in ${stopping.softStopTime.text}.`,
      basis: 'Run-down of load and inertia; water hammer: ' + PRACTICE,
      clear:
        'Let it take at least four travels of the pressure wave through the pipe, and put the stop ramp on the settings sheet.',
      field: 'starting.softStop',
    });
  }
}

/** What the comparison had to do without. */
export function checkKnown(
  { given, practice }: Brief,
  load: LoadResult,
  supply: SupplyResult,
  flag: Notebook['flag'],
): void {
  const { stallTimeHot, stallTimeCold } = given.starting;
  if (stallTimeHot && stallTimeCold && stallTimeHot.value > stallTimeCold.value) {
    flag({
      code: 'starting.stall-times-swapped',
      severity: 'caution',
      message: `A hot motor cannot bear standing longer (${stallTimeHot.text}) than a cold one (${stallTimeCold.text}).`,
      basis: 'Hot, less warmth is left to the limit',
      clear: 'Read both on the data sheet again; they may be swapped.',
      field: 'starting.stallTimeHot',
    });
  }
  if (!supply.source && !given.supply.startCurrentLimit && !given.supply.startPowerLimit) {
    flag({
      code: 'starting.supply-unknown',
      severity: 'caution',
      message: 'The supply’s strength is not known, so the voltage dip of the start is not checked.',
      basis: PRACTICE,
      clear: 'Type the size and impedance of the transformer or generator, or a limit on the starting current.',
      field: 'supply.sourcePower',
    });
  }
  if (!load.values.motorTorque) {
    flag({
      code: 'starting.load-assumed',
      severity: 'caution',
      message:
        'The torque of the load is not known: the motor’s rated torque stands in at every speed asked, and no margin over it is wanted.',
      basis: PRACTICE,
      clear: 'Measure the torque or the running current and type it; a start that passes here may still be hard.',
      field: 'load.torque',
    });
  }
  if (!load.values.inertia) {
    flag({
      code: 'starting.inertia-assumed',
      severity: 'note',
      message: `The inertia of the machine is not known; ${practice.assumedInertia.text} times the rotor’s stands in, and time and heat of the start go with it.`,
      basis: PRACTICE,
      clear: 'Type the inertia of the machine from its maker.',
      field: 'load.inertia',
    });
  }
}
