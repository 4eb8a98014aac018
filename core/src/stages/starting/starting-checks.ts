import { figures, say, series, type Text } from '../../ground/text.ts';
import type { Flag } from './findings.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { OptionBrief } from '../stage.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { type Value } from '../../ground/value.ts';
import type { Comparison } from './comparison.ts';
import type { Method } from './feeds.ts';
import type { Start } from './run-start.ts';

/** The way to start that was chosen, and what it was chosen from. */
export interface Choice {
  readonly method: Method | undefined;
  readonly chosen: Comparison | undefined;
  /** The least costly way without a drive that passes; run up when it is asked for. */
  readonly simpler: () => Comparison | undefined;
  /** Why no way without a drive passes, where the torque at full voltage tells it without a run-up. */
  readonly tooWeak: () => Text | undefined;
  /** The ways that cost less than the chosen one. */
  readonly cheaper: () => readonly Comparison[];
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

/** Of those that fail the one that lacks least, which is worth more than the one that comes next in price. */
function nearest(cheaper: readonly Comparison[]): Comparison | undefined {
  const failing = cheaper.filter((each) => !each.passes);
  const lacks = Math.min(...failing.map((each) => each.remedies.length));
  return failing.find((each) => each.remedies.length === lacks);
}

/** What would make a way that costs less do. */
function nextCheaper(
  weak: Text | undefined,
  cheaper: Choice['cheaper'],
): { readonly message: Text; readonly basis: Text } | undefined {
  if (weak !== undefined)
    return {
      message: 'Without a drive it would need less load while starting, or a motor with more torque.',
      basis: say`Torque: ${weak}.`,
    };
  const nearly = nearest(cheaper());
  return (
    nearly && {
      message: say`The ${nearly.method} start passes with ${series(nearly.remedies, ' and ')}.`,
      basis: series(nearly.failures, '; '),
    }
  );
}

/** What is to be said of the choice: why it fails or wastes, and what would make the next cheaper one do. */
export function checkChoice(
  {
    method,
    chosen,
    simpler,
    tooWeak,
    cheaper,
    start,
    speedControlled,
    softStop,
    stopping,
    machineInertia,
    onceHot,
  }: Choice,
  { job }: OptionBrief,
  flag: Flag,
): void {
  if (chosen && !chosen.passes) {
    flag('starting.method-fails', say`Starting by ${chosen.method} does not pass: ${series(chosen.failures, '; ')}.`, {
      clear: say`It would need ${series(chosen.remedies, '; ')}.${job.starting.method === 'auto' ? '' : ' Or let Pilgrim choose.'}`,
      ...(job.starting.method === 'auto' ? {} : LET_CHOOSE),
    });
  }
  if (method && method !== 'drive' && onceHot && machineInertia && machineInertia.value > onceHot.value) {
    flag(
      'starting.inertia-above-table',
      say`The machine’s ${machineInertia} is ${figures(machineInertia.value / onceHot.value, 2)} times what a standard motor of this size must be able to start.`,
      { basis: onceHot.working.source },
    );
  }
  const wasted = method === 'drive' && job.starting.speedControl === 'no' ? simpler() : undefined;
  if (wasted) {
    flag(
      'starting.drive-wasted',
      `The speed is never varied, so a drive is money wasted: ${wasted.method} passes every limit.`,
      LET_CHOOSE,
    );
  }
  const nearly =
    job.starting.method === 'auto' && method && !speedControlled ? nextCheaper(tooWeak(), cheaper) : undefined;
  if (nearly) flag('starting.next-cheaper', nearly.message, { basis: nearly.basis });
  if (
    start &&
    method !== 'drive' &&
    (start.relayClass === '20' || start.relayClass === '30' || start.relayClass === '40')
  ) {
    flag(
      'starting.slow-relay',
      `The start needs a class ${start.relayClass} relay; a stalled motor is then cut off later too, and must bear it.`,
    );
  }
  if (stopping) {
    flag(
      'starting.soft-stop',
      say`Cut off, the machine stops in ${stopping.coastTime}; with the voltage lowered over ${softStop} in ${stopping.softStopTime}.`,
    );
  }
}

const LET_CHOOSE = { mends: [{ label: 'Let Pilgrim choose', set: { 'starting.method': 'auto' } }] };

/** What the comparison had to do without. */
export function checkKnown(
  { job, given, practice }: OptionBrief,
  load: LoadResult,
  supply: SupplyResult,
  flag: Flag,
): void {
  const { stallTimeHot, stallTimeCold } = given.starting;
  if (stallTimeHot && stallTimeCold && stallTimeHot.value > stallTimeCold.value) {
    flag(
      'starting.stall-times-swapped',
      say`A hot motor cannot bear standing longer (${stallTimeHot}) than a cold one (${stallTimeCold}).`,
      {
        mends: [
          {
            label: 'Swap the two',
            set: {
              'starting.stallTimeHot': String(job.starting.stallTimeCold),
              'starting.stallTimeCold': String(job.starting.stallTimeHot),
            },
          },
        ],
      },
    );
  }
  if (!supply.source && !given.supply.startCurrentLimit && !given.supply.startPowerLimit) {
    flag(
      'starting.supply-unknown',
      'The supply’s strength is not known, so the voltage dip of the start is not checked.',
    );
  }
  if (!load.values.motorTorque) {
    flag(
      'starting.load-assumed',
      'The torque of the load is not known: the motor’s rated torque stands in at every speed asked, and no margin over it is wanted.',
    );
  }
  if (!load.values.inertia) {
    flag(
      'starting.inertia-assumed',
      say`The inertia of the machine is not known; ${practice.assumedInertia} times the rotor’s stands in, and time and heat of the start go with it.`,
    );
  }
}
