import { compareStart, type Comparison, type Limits } from './comparison.ts';
import type { Flag } from './findings.ts';
import { methods, type Method } from './feeds.ts';
import { startsOf, type Start, type StartSetting } from './run-start.ts';
import { softFeed } from './soft-start.ts';
import { hotAndCold } from './stall-time.ts';
import { dialOf } from './start-setting.ts';
import type { StartKnown } from './start-known.ts';
import type { StartsBorne } from './starts-per-hour.ts';

/** Steps of a run in the live solution; times and heats of the demo’s starts stay within 0.1 % of those of fine steps. */
export const LIVE_STEPS = 46;
/** Steps that tell which way to suppose before a motor is picked; what is picked by it is started again in full. */
export const SUPPOSED_STEPS = 20;

/** Starts of one motor, each run up when it is first asked for. */
export interface Bench {
  readonly start: (method: Method) => Start;
  readonly comparison: (method: Method) => Comparison;
}

const limitsOf = ({ brief, motor, supply, stall, load, drive }: StartKnown, borne: StartsBorne): Limits => ({
  brief,
  motor,
  supply,
  stall,
  stalls: hotAndCold(brief),
  dial: dialOf(motor, brief),
  load: load.values.motorPower && load.values.motorPower.value / motor.power,
  drive,
  starts: { wanted: load.values.startsPerHour, rest: load.duty?.rest, borne },
});

export function benchOf(known: StartKnown, setting: StartSetting, borne: StartsBorne, steps: number): Bench {
  const limits = limitsOf(known, borne);
  const starts = startsOf(setting, steps);
  const compared = new Map<Method, Comparison>();
  let soft: { readonly start: Start; readonly limit: number } | undefined;
  const softly = () => {
    const feed = softFeed(setting, known.brief, known.motor.lockedRotorCurrent, steps);
    return { start: starts('soft starter', feed), limit: feed.currentLimit };
  };
  const start = (method: Method): Start => (method === 'soft starter' ? (soft ??= softly()).start : starts(method));
  const comparison = (method: Method): Comparison => {
    const before = compared.get(method);
    if (before) return before;
    const run = start(method);
    const made = compareStart(run, limits, soft?.limit ?? 0);
    compared.set(method, made);
    return made;
  };
  return { start, comparison };
}

/** As typed, else the least costly start that passes every limit, unless the speed must be controlled while running. */
export function chooseStart(
  known: StartKnown,
  { comparison }: Bench,
  flag: Flag,
): { readonly method: Method | undefined; readonly why: string } {
  const { job } = known.brief;
  if (job.starting.method !== 'auto') return { method: job.starting.method, why: 'Chosen in this job.' };
  if (needsSpeedControl(known)) return { method: 'drive', why: 'The speed has to be controlled while running.' };
  const gentle = job.starting.waterHammer;
  const first = methods.find(
    (each) => (!gentle || each === 'soft starter' || each === 'drive') && comparison(each).passes,
  );
  if (first === undefined) {
    flag('starting.none', 'No way to start passes every limit.');
    return { method: undefined, why: '' };
  }
  if (gentle) return { method: first, why: 'A soft stop keeps the pipe from water hammer.' };
  const decides = methods
    .slice(0, methods.indexOf(first))
    .map((each) => comparison(each))
    .findLast((each) => !each.passes);
  return {
    method: first,
    why: decides
      ? `The least costly way that passes every known limit; ${decides.method} fails: ${decides.failures[0] ?? ''}.`
      : 'The least costly way, and it passes every known limit.',
  };
}

export function needsSpeedControl({ brief: { job, practice }, profile }: StartKnown): boolean {
  if (job.starting.speedControl !== 'auto') return job.starting.speedControl === 'yes';
  if (job.situation.kind === 'drive') return true;
  const { savingShare } = profile.values;
  return profile.flowVaries && savingShare !== undefined && savingShare.value >= practice.driveSavingShare.value;
}
