import { bisect } from '../../kernel/numeric.ts';
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

/** Sums by level: time, value·time and value²·time. The range doubles when a value outgrows it. */
function histogram() {
  const time = new Float64Array(FINE);
  const first = new Float64Array(FINE);
  const square = new Float64Array(FINE);
  let width = 1e-6;
  return {
    add(value: number, span: number): void {
      while (value >= width * FINE) {
        pairUp(time, first, square);
        width *= 2;
      }
      const at = Math.floor(value / width);
      time[at] = (time[at] ?? 0) + span;
      first[at] = (first[at] ?? 0) + value * span;
      square[at] = (square[at] ?? 0) + value * value * span;
    },
    levels(peak: number, most: number): Pick<BinnedLog, 'levels' | 'rms' | 'duration'> {
      const duration = time.reduce((sum, each) => sum + each, 0);
      const squares = square.reduce((sum, each) => sum + each, 0);
      const step = peak > 0 ? peak / most : 1;
      const sums = Array.from({ length: most + 1 }, () => ({ time: 0, square: 0 }));
      let standing = 0;
      for (let at = 0; at < FINE; at++) {
        const span = time[at] ?? 0;
        if (span === 0) continue;
        const mean = (first[at] ?? 0) / span;
        const level = sums[Math.min(most, Math.floor(mean / step))];
        if (mean < STANDING * peak) standing += span;
        else if (level) {
          level.time += span;
          level.square += square[at] ?? 0;
        }
      }
      const running = sums
        .filter((level) => level.time > 0)
        .map((level) => ({ value: Math.sqrt(level.square / level.time), time: level.time, standing: false }));
      return {
        levels: standing > 0 ? [{ value: 0, time: standing, standing: true }, ...running] : running,
        rms: duration > 0 ? Math.sqrt(squares / duration) : 0,
        duration,
      };
    },
  };
}

/** The log in its own order, in windows that double their length when they run out. */
function windows() {
  const time = new Float64Array(WINDOWS);
  const square = new Float64Array(WINDOWS);
  const standing = new Float64Array(WINDOWS);
  let window = 0;
  let length = 0;
  return {
    add(value: number, span: number, stands: boolean): void {
      const held = (time[window] ?? 0) + span;
      time[window] = held;
      if (stands) standing[window] = (standing[window] ?? 0) + span;
      else square[window] = (square[window] ?? 0) + value * value * span;
      if (held < length) return;
      if (length === 0) length = span;
      if (++window < WINDOWS) return;
      pairUp(time, square, standing);
      window = WINDOWS / 2;
      length *= 2;
    },
    course(): Stretch[] {
      const course: Stretch[] = [];
      for (let at = 0; at < WINDOWS; at++) {
        const stood = standing[at] ?? 0;
        const ran = (time[at] ?? 0) - stood;
        if (stood > 0) course.push({ torque: 0, time: stood, standing: true });
        if (ran > 0) course.push({ torque: Math.sqrt((square[at] ?? 0) / ran), time: ran, standing: false });
      }
      return course;
    },
  };
}

/** Adds neighbours into the lower half, so that as much room is free above. */
export function pairUp(...all: readonly Float64Array[]): void {
  for (const sums of all) {
    const half = sums.length / 2;
    for (let at = 0; at < half; at++) sums[at] = (sums[2 * at] ?? 0) + (sums[2 * at + 1] ?? 0);
    sums.fill(0, half);
  }
}

/**
 * Bins a log of torque, current or any load figure as it streams by, in constant memory. Each sample holds until the
 * next one. Sums of value and square are kept a bin, so means and RMS are exact whatever the bins.
 */
export function logBinner(): LogBinner {
  const fine = histogram();
  const order = windows();
  const count = { samples: 0, skipped: 0, gaps: 0, starts: 0 };
  let stood = false;
  let peak = 0;
  let usual = 0;
  let lastTime = Number.NaN;
  let lastValue = 0;

  /** The last sample holds until this one, but not through a break in the recording. */
  function hold(span: number): void {
    if (usual > 0 && span > GAP * usual) count.gaps++;
    else if (span > 0) {
      fine.add(lastValue, span);
      order.add(lastValue, span, lastValue < STANDING * peak);
      usual = usual === 0 ? span : usual + 0.01 * (span - usual);
    }
  }

  return {
    push(at, value) {
      const known = value >= 0 && value <= 1e12 && Number.isFinite(at);
      if (!known || at < lastTime) {
        count.skipped++;
        return;
      }
      if (!Number.isNaN(lastTime)) hold(at - lastTime);
      lastTime = at;
      lastValue = value;
      count.samples++;
      if (value > peak) peak = value;
      if (value < STANDING * peak) stood = true;
      else if (stood && value > STARTED * peak) {
        stood = false;
        count.starts++;
      }
    },
    result: (most = 20) => ({ ...fine.levels(peak, most), ...count, peak, course: order.course() }),
  };
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
