import { amount, say, type Text } from '../../kernel/text.ts';
import { lazy } from '../../kernel/memoize.ts';
import type { Value } from '../../kernel/value.ts';
import { compareStart, type Comparison, type Limits } from './comparison.ts';
import type { Report } from './findings.ts';
import { methods, type Method } from './starting-mode.ts';
import { startsOf, type Start, type StartSetting } from './run-start.ts';
import { settledMargin } from './run-up.ts';
import { softFeed } from './soft-start.ts';
import type { StartKnown } from './start-known.ts';
import type { StartsBorne } from './starts-per-hour.ts';

/** Steps of a run in the live solution; times and heats of the demo’s starts stay within 0.2 % of those of fine steps. */
export const LIVE_STEPS = 46;
/** Steps that tell which way to suppose before a motor is picked; what is picked by it is started again in full. */
export const SUPPOSED_STEPS = 20;

/** Starts of one motor, each run up when it is first asked for. */
export interface Bench {
  readonly start: (method: Method) => Start;
  readonly comparison: (method: Method) => Comparison;
  readonly passes: (method: Method) => boolean;
  /** The least costly way without a drive that passes every limit. */
  readonly onLine: () => Comparison | undefined;
  /** In words, where the torque at the full voltage alone tells that no way without a drive passes. */
  readonly tooWeak: () => Text | undefined;
}

/** Starts an hour that are wanted: typed, of the cycle, or of on and off into a storage, whichever is more. */
const wantedStarts = ({ load, profile }: Pick<StartKnown, 'load' | 'profile'>): Value | undefined => {
  const { startsPerHour } = load.values;
  const { cyclesPerHour } = profile.values;
  return cyclesPerHour && cyclesPerHour.value > (startsPerHour?.value ?? 0) ? cyclesPerHour : startsPerHour;
};

const limitsOf = (
  { brief, motor, supply, stall, load, drive, profile }: StartKnown,
  setting: StartSetting,
  borne: StartsBorne,
): Limits => ({
  brief,
  motor,
  supply,
  stall,
  setting,
  load: load.values.motorPower && load.values.motorPower.value / motor.power,
  drive,
  starts: { wanted: wantedStarts({ load, profile }), rest: load.duty?.rest, borne },
});

/** Below the margin that is wanted by so much of rated torque, no run-up is needed to tell that it is missed. */
const SURELY = 0.02;

/** `supposing`: coarsely. What leaves too little torque even at full voltage is run up only where somebody looks at it. */
export function benchOf(known: StartKnown, setting: StartSetting, borne: StartsBorne, supposing: boolean): Bench {
  const steps = supposing ? SUPPOSED_STEPS : LIVE_STEPS;
  const limits = limitsOf(known, setting, borne);
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
  const left = lazy(() => leftAtFullVoltage(setting));
  const wanted = limits.load === undefined ? 0 : known.brief.practice.torqueMargin.value;
  const hopeless = (): boolean => left() < wanted - (supposing ? 0 : SURELY);
  const passes = (method: Method): boolean => (method === 'drive' || !hopeless()) && comparison(method).passes;
  const onLine = (): Comparison | undefined => {
    const first = methods.find((method) => method !== 'drive' && passes(method));
    return first && comparison(first);
  };
  const tooWeak = (): Text | undefined => (hopeless() ? weakness(left(), known) : undefined);
  return { start, comparison, passes, onLine, tooWeak };
}

const weakness = (left: number, { brief: { practice } }: StartKnown): Text =>
  left > 0
    ? say`even the full voltage leaves only ${amount(left, 'fraction')} of rated torque over it, ${practice.torqueMargin} wanted`
    : 'even the full voltage gives less torque than it asks for';

/** Least torque over the load at the full voltage of the line, of rated; every way but a drive ends there at the most. */
const leftAtFullVoltage = ({ circuit, motor, turning, source, feeds, ceiling }: StartSetting): number =>
  settledMargin(
    {
      circuit,
      turning,
      source,
      feed: feeds.direct,
      ratedTorque: motor.power / motor.speed,
      ratedCurrent: motor.current,
      ceiling,
    },
    SUPPOSED_STEPS,
  );

/** What is settled before any start is run up: as typed, or a drive where the speed must be controlled while running. */
export function settledMethod(known: Pick<StartKnown, 'brief' | 'profile'>): Method | undefined {
  const { method } = known.brief.job.starting;
  if (method !== 'auto') return method;
  return needsSpeedControl(known) ? 'drive' : undefined;
}

/** As settled, else the least costly start that passes every limit. */
export function chooseStart(known: StartKnown, { passes }: Bench, report: Report): Method | undefined {
  const settled = settledMethod(known);
  if (settled) return settled;
  const { job } = known.brief;
  const gentle = job.starting.waterHammer;
  const first = methods.find((each) => (!gentle || each === 'soft starter' || each === 'drive') && passes(each));
  if (first === undefined) report('starting.none', 'No starting method passes every limit.');
  return first;
}

/** Why `chooseStart` took it. */
export function whyChosen(known: StartKnown, { comparison, tooWeak }: Bench, method: Method): Text {
  const { job } = known.brief;
  if (job.starting.method !== 'auto') return 'Chosen in this job.';
  if (needsSpeedControl(known)) return 'The speed has to be controlled while running.';
  if (job.starting.waterHammer) return 'A soft stop keeps the pipe from water hammer.';
  const weak = tooWeak();
  if (weak !== undefined) return say`No way on the line brings this load up: ${weak}.`;
  const decides = methods
    .slice(0, methods.indexOf(method))
    .map((each) => comparison(each))
    .findLast((each) => !each.passes);
  return decides
    ? say`The least costly way that passes every known limit; ${decides.method} fails: ${decides.failures[0] ?? ''}.`
    : 'The least costly way, and it passes every known limit.';
}

export function needsSpeedControl({
  brief: { job, practice },
  profile,
}: Pick<StartKnown, 'brief' | 'profile'>): boolean {
  if (job.starting.speedControl !== 'auto') return job.starting.speedControl === 'yes';
  if (job.situation.kind === 'drive') return true;
  const { savingShare } = profile.values;
  return profile.flowVaries && savingShare !== undefined && savingShare.value >= practice.driveSavingShare.value;
}
