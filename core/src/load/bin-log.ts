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
}

export interface LogBinner {
  /** One sample: time in s, rising, and a value of zero or more. NaN counts as skipped. */
  readonly push: (time: number, value: number) => void;
  readonly result: (levels?: number) => BinnedLog;
}

const FINE = 1024;
/** A pause this many times the usual interval is a break in the recording. Common practice, no published source. */
const GAP = 50;
/** Below this share of the peak the machine stands. Common practice, no published source. */
const STANDING = 0.02;

/**
 * Bins a log of torque, current or any load figure as it streams by, in constant memory. Each sample holds until the
 * next one. The fine histogram doubles its range when a value outgrows it; sums of value and square are kept a bin, so
 * means and RMS are exact whatever the bins.
 */
export function logBinner(): LogBinner {
  const time = new Float64Array(FINE);
  const first = new Float64Array(FINE);
  const square = new Float64Array(FINE);
  let width = 1e-6;
  let peak = 0;
  let samples = 0;
  let skipped = 0;
  let gaps = 0;
  let usual = 0;
  let lastTime = Number.NaN;
  let lastValue = 0;

  function widen(): void {
    for (const sums of [time, first, square]) {
      for (let at = 0; at < FINE / 2; at++) sums[at] = (sums[2 * at] ?? 0) + (sums[2 * at + 1] ?? 0);
      sums.fill(0, FINE / 2);
    }
    width *= 2;
  }

  function hold(value: number, span: number): void {
    while (value >= width * FINE) widen();
    const at = Math.floor(value / width);
    time[at] = (time[at] ?? 0) + span;
    first[at] = (first[at] ?? 0) + value * span;
    square[at] = (square[at] ?? 0) + value * value * span;
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
      };
    },
  };
}
