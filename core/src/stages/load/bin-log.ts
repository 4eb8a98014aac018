import { bisect } from '../../ground/numeric.ts';
import { hottestOf, type Stretch, type Warming } from './duty.ts';

/** One level of a binned log. Torque in the unit of the samples, time in s. */
export interface LogLevel {
  readonly value: number;
  readonly time: number;
  readonly standing: boolean;
}

export interface BinnedLog {
  readonly levels: readonly LogLevel[];
  /** Root of the mean square over all time counted. */
  readonly rms: number;
  readonly peak: number;
  /** s */
  readonly duration: number;
  readonly samples: number;
  /** Rows left out: not a number, or time running backwards. */
  readonly skipped: number;
  /** Breaks in the recording, whose time is not counted. */
  readonly gaps: number;
  /** Starts from standstill. */
  readonly starts: number;
  /** The log in its own order, each stretch by its mean square; loads in the unit of the samples. */
  readonly course: readonly Stretch[];
}

export interface LogBinner {
  /** One sample: time in s, rising, and a value of zero or more. NaN counts as skipped. */
  readonly push: (time: number, value: number) => void;
  readonly result: (levels?: number) => BinnedLog;
}

const FINE = 1024;
const WINDOWS = 2048;
/** A pause this many times the usual interval is a break in the recording. Common practice, no published source. */
const GAP = 50;
/** Below this share of the peak the machine stands. Common practice, no published source. */
const STANDING = 0.02;
/** From standstill it has started above this share of the peak. Common practice, no published source. */
const STARTED = 0.1;
/** Cycles shorter than this, s, warm like their RMS torque. Common practice, no published source. */
const SHORTEST_CYCLE = 60;

/**
 * Bins a log of torque, current or any load figure as it streams by, in constant memory. Each sample holds until the
 * next one. The fine histogram doubles its range when a value outgrows it; sums of value and square are kept a bin, so
 * means and RMS are exact whatever the bins. The course is kept in windows that double their length when they run out.
 */
export function logBinner(): LogBinner {
  const time = new Float64Array(FINE);
  const first = new Float64Array(FINE);
  const square = new Float64Array(FINE);
  const courseTime = new Float64Array(WINDOWS);
  const courseSquare = new Float64Array(WINDOWS);
  const courseStanding = new Float64Array(WINDOWS);
  let window = 0;
  let windowLength = 0;
  let stood = false;
  let starts = 0;
  let width = 1e-6;
  let peak = 0;
  let samples = 0;
  let skipped = 0;
  let gaps = 0;
  let usual = 0;
  let lastTime = Number.NaN;
  let lastValue = 0;

  function pairUp(...all: readonly Float64Array[]): void {
    for (const sums of all) {
      const half = sums.length / 2;
      for (let at = 0; at < half; at++) sums[at] = (sums[2 * at] ?? 0) + (sums[2 * at + 1] ?? 0);
      sums.fill(0, half);
    }
  }

  function hold(value: number, span: number): void {
    while (value >= width * FINE) {
      pairUp(time, first, square);
      width *= 2;
    }
    const at = Math.floor(value / width);
    time[at] = (time[at] ?? 0) + span;
    first[at] = (first[at] ?? 0) + value * span;
    square[at] = (square[at] ?? 0) + value * value * span;
    const held = (courseTime[window] ?? 0) + span;
    courseTime[window] = held;
    if (value < STANDING * peak) courseStanding[window] = (courseStanding[window] ?? 0) + span;
    else courseSquare[window] = (courseSquare[window] ?? 0) + value * value * span;
    if (held < windowLength) return;
    if (windowLength === 0) windowLength = span;
    if (++window < WINDOWS) return;
    pairUp(courseTime, courseSquare, courseStanding);
    window = WINDOWS / 2;
    windowLength *= 2;
  }

  return {
    push(at, value) {
      if (!(value >= 0) || value > 1e12 || !Number.isFinite(at)) {
        skipped++;
        return;
      }
      if (!Number.isNaN(lastTime)) {
        const span = at - lastTime;
        if (span < 0) {
          skipped++;
          return;
        }
        if (usual > 0 && span > GAP * usual) gaps++;
        else if (span > 0) {
          hold(lastValue, span);
          usual = usual === 0 ? span : usual + 0.01 * (span - usual);
        }
      }
      lastTime = at;
      lastValue = value;
      samples++;
      if (value > peak) peak = value;
      if (value < STANDING * peak) stood = true;
      else if (stood && value > STARTED * peak) {
        stood = false;
        starts++;
      }
    },
    result(most = 20) {
      const total = time.reduce((sum, each) => sum + each, 0);
      const squares = square.reduce((sum, each) => sum + each, 0);
      const step = peak > 0 ? peak / most : 1;
      const sums = Array.from({ length: most + 1 }, () => ({ time: 0, square: 0 }));
      let standing = 0;
      for (let at = 0; at < FINE; at++) {
        const span = time[at] ?? 0;
        if (span === 0) continue;
        const mean = (first[at] ?? 0) / span;
        if (mean < STANDING * peak) standing += span;
        else {
          const level = sums[Math.min(most, Math.floor(mean / step))];
          if (level) {
            level.time += span;
            level.square += square[at] ?? 0;
          }
        }
      }
      const running = sums
        .filter((level) => level.time > 0)
        .map((level) => ({ value: Math.sqrt(level.square / level.time), time: level.time, standing: false }));
      return {
        levels: standing > 0 ? [{ value: 0, time: standing, standing: true }, ...running] : running,
        rms: total > 0 ? Math.sqrt(squares / total) : 0,
        peak,
        duration: total,
        samples,
        skipped,
        gaps,
        starts,
        course: courseOf(),
      };
    },
  };

  function courseOf(): Stretch[] {
    const course: Stretch[] = [];
    for (let at = 0; at < WINDOWS; at++) {
      const standing = courseStanding[at] ?? 0;
      const running = (courseTime[at] ?? 0) - standing;
      if (standing > 0) course.push({ torque: 0, time: standing, standing: true });
      if (running > 0)
        course.push({ torque: Math.sqrt((courseSquare[at] ?? 0) / running), time: running, standing: false });
    }
    return course;
  }
}

/**
 * One cycle of the levels of a log: as long as makes it warm the motor as much as the recording, repeated for good, at
 * its hottest, but with no more starts an hour than were recorded. A log that turns fast becomes a short cycle, one with
 * a long heavy spell a long one; peak, levels and their shares of the time stay.
 */
export function cycleOf({ levels, course, duration, starts }: BinnedLog, warming: Warming): readonly LogLevel[] {
  const turned = (turns: number): LogLevel[] => levels.map((level) => ({ ...level, time: level.time / turns }));
  const warmth = (turns: number): number =>
    hottestOf(
      turned(turns).map(({ value, time, standing }) => ({ torque: value, time, standing })),
      warming,
    );
  const wanted = hottestOf(course, warming);
  const many = Math.max(1, starts > 0 ? starts : duration / SHORTEST_CYCLE);
  if (warmth(many) >= wanted) return turned(many);
  const few = { low: 1, high: many };
  const { low } = bisect((turns) => warmth(turns) > wanted, few, { rounds: 30, mean: 'geometric' });
  return turned(low);
}
