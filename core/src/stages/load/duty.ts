import { amount, say, type Text } from '../../kernel/text.ts';
import type { StageContext } from '../stage.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';

export interface Stretch {
  /** N·m; 0 while standing, below zero where the load drives. */
  readonly torque: number;
  /** s */
  readonly time: number;
  readonly standing: boolean;
}

export interface Segment extends Stretch {
  /** Place in the document. */
  readonly at: number;
}

/** How a motor warms up: first order, towards the square of the torque. */
export interface Warming {
  /** Thermal time constant while running, s. */
  readonly timeConstant: number;
  /** Cooling at standstill as a share of that while running, above 0 to 1. */
  readonly standstillCooling: number;
}

export interface Duty {
  readonly segments: readonly Segment[];
  /** Of the whole cycle, at the driven shaft. */
  readonly rms: Value;
  /** The steady torque that would warm the motor as much as the cycle does at its hottest, at the driven shaft. */
  readonly heating: Value;
  readonly peak: Value;
  /** Length of one cycle, s. */
  readonly cycle: Value;
  readonly type: Value<Text>;
  readonly startsPerHour: Value | undefined;
  /** The shortest standstill before a start, s. */
  readonly rest: number | undefined;
}

/**
 * The cycle typed in a job, by RMS torque T_rms = √(Σ T²t / (Σ t_run + k Σ t_stand)) and by its hottest moment, where k
 * is the cooling left at standstill (IEC 60034-1 duty types and handbook RMS method; the share k is common practice,
 * no published source). Undefined until one running segment reads.
 */
export function dutyOf({ job, rows, practice }: StageContext): Duty | undefined {
  const segments = rows['load.duty'].flatMap(({ at, torque, time }): Segment[] => {
    const standing = job.load.duty[at]?.standing ?? false;
    if (!time || (!torque && !standing)) return [];
    return [{ torque: standing ? 0 : (torque?.value ?? 0), time: time.value, standing, at }];
  });
  const { rms, peak, cycle, running } = rmsOf(segments, practice.standstillCooling.value);
  if (running <= 0 || peak <= 0) return undefined;
  const warming: Warming = {
    timeConstant: practice.thermalTime.value,
    standstillCooling: practice.standstillCooling.value,
  };
  const typed = { source: 'typed in this job' };
  const period = quantity(cycle, 'duration', { ...typed, formula: '\\sum t_i' });
  const most = quantity(peak, 'torque', { ...typed, formula: '\\max |T_i|' });
  const root = quantity(rms, 'torque', {
    formula: 'T_{rms} = \\sqrt{\\dfrac{\\sum T_i^2 t_i}{\\sum t_{run} + k \\sum t_{stand}}}',
    from: { 'T_{max}': most, t: period, k: practice.standstillCooling },
    source: 'RMS method of handbooks; standstill cooling: ' + PRACTICE,
  });
  const starting = startsOfCycle(segments);
  const { starts, rest } = starting;
  const { name, note } = dutyTypeOf(segments, starting, warming);
  return {
    segments,
    peak: most,
    cycle: period,
    rms: root,
    heating: quantity(hottestOf(segments, warming), 'torque', {
      formula: 'T = \\sqrt{\\max\\theta},\\quad \\tau\\,\\dfrac{d\\theta}{dt} = T_i^2 - \\theta',
      from: { 'T_{rms}': root, t: period, '\\tau': practice.thermalTime, k: practice.standstillCooling },
      source: 'first-order thermal replica of the motor; its time constant: ' + PRACTICE,
      note: 'At standstill it cools k times as fast as while running. Equal to the RMS torque while the cycle is short against τ.',
    }),
    type: textValue(name, { source: 'IEC 60034-1 4.2, MG 1 10.36 (recalled from memory)', note }),
    startsPerHour:
      starts > 0
        ? quantity(wholeStarts((starts * 3600) / cycle), 'count', {
            formula: 'z = \\left\\lceil \\dfrac{3600\\,n}{t} \\right\\rceil',
            from: { n: quantity(starts, 'count', typed), t: period },
            source: 'starts from standstill in one cycle',
          })
        : undefined,
    rest,
  };
}

/** Starts are counted whole, and more rather than fewer; under one an hour they are a share of one. */
const wholeStarts = (anHour: number): number => (anHour > 1 ? Math.ceil(anHour - 1e-9) : anHour);

export interface Rms {
  readonly rms: number;
  readonly peak: number;
  readonly cycle: number;
  readonly running: number;
}

/** RMS, peak and times of segments; SI. */
export function rmsOf(segments: readonly Stretch[], standstillCooling: number): Rms {
  let heat = 0;
  let running = 0;
  let standing = 0;
  let peak = 0;
  for (const segment of segments) {
    heat += segment.torque ** 2 * segment.time;
    if (segment.standing) standing += segment.time;
    else running += segment.time;
    peak = Math.max(peak, Math.abs(segment.torque));
  }
  const cooling = running + standstillCooling * standing;
  return { rms: cooling > 0 ? Math.sqrt(heat / cooling) : 0, peak, cycle: running + standing, running };
}

/**
 * The steady torque that is as warm as the hottest moment of a cycle repeated for good, N·m: between the RMS torque,
 * which it nears in short cycles, and the peak, which it nears in long ones. Warmth θ, in N²m², follows
 * τ dθ/dt = T² − θ while running and −kθ at standstill; its start repeats after one cycle. Fixed losses, which swing
 * less than the square of the torque, are taken to follow it, which is on the safe side.
 */
export function hottestOf(segments: readonly Stretch[], { timeConstant, standstillCooling }: Warming): number {
  const step = (warmth: number, { torque, time, standing }: Stretch): number => {
    const towards = -Math.expm1(-(time * (standing ? standstillCooling : 1)) / timeConstant);
    return warmth + (torque ** 2 - warmth) * towards;
  };
  const cooling = segments.reduce((sum, each) => sum + each.time * (each.standing ? standstillCooling : 1), 0);
  const kept = -Math.expm1(-cooling / timeConstant);
  let warmth = kept > 0 ? segments.reduce(step, 0) / kept : 0;
  let hottest = warmth;
  for (const segment of segments) {
    warmth = step(warmth, segment);
    hottest = Math.max(hottest, warmth);
  }
  return Math.sqrt(hottest);
}

interface Starting {
  readonly starts: number;
  readonly rest: number | undefined;
}

/** Starts from standstill in a cycle that repeats, and the shortest standstill before one. */
function startsOfCycle(segments: readonly Stretch[]): Starting {
  const first = segments.findIndex(({ standing }) => !standing);
  const turned = [...segments.slice(first), ...segments.slice(0, first)];
  const rests: number[] = [];
  for (const [at, { time, standing }] of turned.entries()) {
    if (!standing) continue;
    if (turned[at - 1]?.standing) rests[rests.length - 1] = (rests.at(-1) ?? 0) + time;
    else rests.push(time);
  }
  return { starts: rests.length, rest: rests.length > 0 ? Math.min(...rests) : undefined };
}

/** Running torques within this share of the greatest are one level; at most this share is idling. Common practice, no published source. */
const ONE_LEVEL = 0.9;
const IDLING = 0.15;
/** After so many time constants a rise of 80 K is within the 2 K that IEC 60034-1 calls cold, ln 40. */
const TO_REST = Math.log(40);

/** The duty type a cycle is ordered by (IEC 60034-1 4.2, recalled from memory), and what comes with it. */
function dutyTypeOf(
  segments: readonly Stretch[],
  { starts, rest = 0 }: Starting,
  { timeConstant, standstillCooling }: Warming,
): { readonly name: Text; readonly note: string } {
  const { peak, cycle, running } = rmsOf(segments, standstillCooling);
  const loaded = segments.filter(({ torque }) => Math.abs(torque) >= ONE_LEVEL * peak);
  const loadedTime = loaded.reduce((sum, { time }) => sum + time, 0);
  const oneLevel = segments.every(({ torque, standing }) => standing || Math.abs(torque) >= ONE_LEVEL * peak);
  const idlesBetween = segments.every(
    ({ torque }) => Math.abs(torque) >= ONE_LEVEL * peak || Math.abs(torque) <= IDLING * peak,
  );
  const stands = running < cycle;
  const share = `${Math.round((100 * loadedTime) / cycle)} %`;
  if (oneLevel && !stands) return { name: 'S1', note: 'One torque without end: continuous duty.' };
  if (oneLevel && starts === 1 && (rest * standstillCooling) / timeConstant >= TO_REST)
    return running / timeConstant >= TO_REST
      ? {
          name: 'S1',
          note: 'It runs long enough to reach its full warmth: continuous duty, the standstill does not help.',
        }
      : {
          name: say`S2 ${amount(running, 'duration')}`,
          note: 'Short-time duty: it stands until it is cold again. A motor of continuous duty bears it at the equal-heating torque.',
        };
  if (oneLevel)
    return {
      name: `S3 ${share}`,
      note: 'Periodic duty. Started on the line the heat of starting counts as well, and it is S4: see starts an hour.',
    };
  if (idlesBetween && !stands)
    return { name: `S6 ${share}`, note: 'Runs on without load in between: continuous running, loaded periodically.' };
  return segments.every(({ time, standing }) => standing || time / timeConstant >= TO_REST)
    ? { name: 'S10', note: 'Several constant loads, each long enough for its full warmth.' }
    : {
        name: 'S1 at the equal-heating torque',
        note: 'Several loads in turn, which no one duty type describes; ordered as continuous duty at the torque of equal heat.',
      };
}
