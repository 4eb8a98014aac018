import { figures, say, series, type Text } from '../../kernel/text.ts';
import type { Report } from './findings.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { OptionContext } from '../stage.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { type Value } from '../../kernel/value.ts';
import type { Comparison } from './comparison.ts';
import type { Method } from './starting-mode.ts';
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
  { job }: OptionContext,
  report: Report,
): void {
  if (chosen && !chosen.passes) {
    report('starting.method-fails', say`The ${chosen.method} start fails: ${series(chosen.failures, '; ')}.`, {
      clear: say`Provide ${series(chosen.remedies, '; ')}.${job.starting.method === 'auto' ? '' : ' Or select the starting method automatically.'}`,
      ...(job.starting.method === 'auto' ? {} : LET_CHOOSE),
    });
  }
  if (method && method !== 'drive' && onceHot && machineInertia && machineInertia.value > onceHot.value) {
    report(
      'starting.inertia-above-table',
      say`The load inertia of ${machineInertia} is ${figures(machineInertia.value / onceHot.value, 2)} times the limit for a standard motor of this rating.`,
      { basis: onceHot.working.source },
    );
  }
  const wasted = method === 'drive' && job.starting.speedControl === 'no' ? simpler() : undefined;
  if (wasted) {
    report(
      'starting.drive-wasted',
      `The speed is never varied, so the drive has no use: the ${wasted.method} start passes every limit.`,
      LET_CHOOSE,
    );
  }
  const nearly =
    job.starting.method === 'auto' && method && !speedControlled ? nextCheaper(tooWeak(), cheaper) : undefined;
  if (nearly) report('starting.next-cheaper', nearly.message, { basis: nearly.basis });
  if (
    start &&
    method !== 'drive' &&
    (start.relayClass === '20' || start.relayClass === '30' || start.relayClass === '40')
  ) {
    report(
      'starting.slow-relay',
      `The start requires a class ${start.relayClass} overload relay, which also trips later on a locked rotor.`,
    );
  }
  if (stopping) {
    report(
      'starting.soft-stop',
      say`The coast-down time is ${stopping.coastTime}; with a soft stop of ${softStop} the machine stops in ${stopping.softStopTime}.`,
    );
  }
}

const LET_CHOOSE = { mends: [{ label: 'Let Pilgrim choose', set: { 'starting.method': 'auto' } }] };

/** What the comparison had to do without. */
export function checkKnown(
  { job, given, practice }: OptionContext,
  load: LoadResult,
  supply: SupplyResult,
  report: Report,
): void {
  const { stallTimeHot, stallTimeCold } = given.starting;
  if (stallTimeHot && stallTimeCold && stallTimeHot.value > stallTimeCold.value) {
    report(
      'starting.stall-times-swapped',
      say`The safe stall time hot (${stallTimeHot}) exceeds the one cold (${stallTimeCold}).`,
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
    report(
      'starting.supply-unknown',
      'The short-circuit power of the supply is unknown, so the voltage dip is not checked.',
    );
  }
  if (!load.values.motorTorque) {
    report(
      'starting.load-assumed',
      'The load torque is unknown: rated motor torque is assumed at every speed, with no margin.',
    );
  }
  if (!load.values.inertia) {
    report(
      'starting.inertia-assumed',
      say`The load inertia is unknown: ${practice.assumedInertia} times the rotor inertia is assumed for acceleration time and thermal capacity.`,
    );
  }
}
