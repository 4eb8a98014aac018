import { interpolate } from '../../kernel/numeric.ts';
import { HOUR, MINUTE, YEAR } from '../../kernel/constants.ts';
import { pairUp } from '../load/bin-log.ts';

/** A log of flow or of electrical power as it was recorded: time, s, at fine steps of the value. */
export interface FlowRecord {
  readonly bins: readonly RecordedBin[];
  /** s that are counted, and from the first sample to the last. */
  readonly recorded: number;
  readonly span: number;
  readonly samples: number;
  /** Rows left out: not a number, or time running backwards. */
  readonly skipped: number;
  /** Breaks in the recording, whose time is not counted. */
  readonly gaps: number;
  /** Highest mean value over the interval of a meter in each month that was recorded, in their order. */
  readonly highest: { readonly '15 min': readonly number[]; readonly '30 min': readonly number[] };
}

interface RecordedBin {
  /** Mean of the bin, in the unit of the samples. */
  readonly value: number;
  /** s */
  readonly seconds: number;
  /** With a second column: mean power and mean of its square over the seconds that have one. */
  readonly powered: number;
  readonly power: number;
  readonly powerSquare: number;
}

export interface FlowLogger {
  /** One sample: time in s, rising, a value of zero or more, and power where it was recorded. */
  readonly push: (time: number, value: number, power?: number) => void;
  readonly result: () => FlowRecord;
}

const FINE = 2048;
/** A pause this many times the usual interval was not recorded. */
const GAP = 3;

const MONTHS = 12;
/** Share of an interval that must be recorded for its mean to count. */
const ENOUGH = 0.5;

/** Means over the intervals of a meter, of which each month keeps its highest. */
function meter(interval: number) {
  const months = new Map<number, number>();
  const block = { number: Number.NaN, month: 0, seconds: 0, sum: 0 };
  const close = (): void => {
    if (block.seconds < ENOUGH * interval) return;
    months.set(block.month, Math.max(months.get(block.month) ?? 0, block.sum / block.seconds));
  };
  // Twelfths of a year from the first sample.
  const monthOf = (time: number, begun: number): number => Math.floor((time - begun) / (YEAR / MONTHS)) % MONTHS;
  return {
    /** A value that holds from a time for a span, s. */
    push(time: number, span: number, value: number, begun: number): void {
      let from = time;
      // A span is no longer than some intervals of the log, and those are short beside the meter’s or it tells no peak.
      for (let left = span, turns = 0; left > 0 && turns < MOST_BLOCKS; turns++) {
        const number = Math.floor(from / interval);
        if (number !== block.number) {
          close();
          Object.assign(block, { number, month: monthOf(from, begun), seconds: 0, sum: 0 });
        }
        const part = Math.min(left, (number + 1) * interval - from) || left;
        block.seconds += part;
        block.sum += part * value;
        from += part;
        left -= part;
      }
    },
    highest(): number[] {
      close();
      return [...months].toSorted(([a], [b]) => a - b).map(([, value]) => value);
    },
  };
}
/** Intervals of a meter that one sample may fill. */
const MOST_BLOCKS = 3000;

/** Takes a log as it streams by, in constant memory. Each sample holds until the next one. */
export function flowLogger(): FlowLogger {
  const [time, first, powered, power, square] = Array.from({ length: 5 }, () => new Float64Array(FINE)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const count = { samples: 0, skipped: 0, gaps: 0 };
  const quarter = meter(15 * MINUTE);
  const half = meter(30 * MINUTE);
  let width = 1e-6;
  let usual = 0;
  let begun = Number.NaN;
  let last = { time: Number.NaN, value: 0, power: Number.NaN };

  function add(span: number): void {
    const { value, power: taken } = last;
    quarter.push(last.time, span, value, begun);
    half.push(last.time, span, value, begun);
    while (value >= width * FINE) {
      pairUp(time, first, powered, power, square);
      width *= 2;
    }
    const at = Math.floor(value / width);
    time[at] = (time[at] ?? 0) + span;
    first[at] = (first[at] ?? 0) + value * span;
    if (!(taken >= 0 && taken <= 1e12)) return;
    powered[at] = (powered[at] ?? 0) + span;
    power[at] = (power[at] ?? 0) + taken * span;
    square[at] = (square[at] ?? 0) + taken * taken * span;
  }

  return {
    push(at, value, taken = Number.NaN) {
      const known = value >= 0 && value <= 1e12 && Number.isFinite(at);
      if (!known || at < last.time) {
        count.skipped++;
        return;
      }
      const span = at - last.time;
      if (Number.isNaN(begun)) begun = at;
      else if (usual > 0 && span > GAP * usual) count.gaps++;
      else if (span > 0) {
        add(span);
        usual = usual === 0 ? span : usual + 0.01 * (span - usual);
      }
      last = { time: at, value, power: taken };
      count.samples++;
    },
    result() {
      const bins = Array.from(time.keys()).flatMap((at): RecordedBin[] => {
        const seconds = time[at] ?? 0;
        const withPower = powered[at] ?? 0;
        if (seconds === 0) return [];
        const over = (sum: number): number => (withPower > 0 ? sum / withPower : 0);
        return [
          {
            value: (first[at] ?? 0) / seconds,
            seconds,
            powered: withPower,
            power: over(power[at] ?? 0),
            powerSquare: over(square[at] ?? 0),
          },
        ];
      });
      const recorded = bins.reduce((sum, { seconds }) => sum + seconds, 0);
      const highest = { '15 min': quarter.highest(), '30 min': half.highest() };
      return { bins, recorded, span: Number.isNaN(begun) ? 0 : last.time - begun, highest, ...count };
    },
  };
}

/** Electrical input over the flow as controlled today, W; flows as shares of full flow, rising. */
export interface InputCurve {
  readonly flows: readonly number[];
  readonly inputs: readonly number[];
}

const inputAt = ({ flows, inputs }: InputCurve, flow: number): number => {
  const [lowest = 1] = flows;
  return flow < lowest
    ? interpolate([0, ...flows], [inputs[0] ?? 0, ...inputs], flow)
    : interpolate(flows, inputs, flow);
};

/** Below this share of full flow or of full input the machine stands. */
const STANDING = 0.02;
/** Flow is taken in steps of at most this, and of at least a fortieth of it where the energy needs it. */
const WIDEST = 0.05;
const NARROWEST = 0.00625;
/** By how much the energy of the rows may differ from that of the samples. */
const ENERGY_OFF = 0.01;

/** A profile made of a log. */
export interface LoggedProfile {
  readonly rows: readonly { readonly flow: number; readonly seconds: number }[];
  /** Energy of the rows over that of every sample, less one. */
  readonly energyOff: number;
  /** Of measured over calculated power, where both are known: the factor by least squares and how much of the spread it explains. */
  /** Highest mean flow over the interval of the meter in each recorded month. */
  readonly peaks: readonly number[];
  readonly calibration: { readonly factor: number; readonly fit: number } | undefined;
}

interface LogScale {
  /** What the samples count: flow by that of full flow, or electrical power, W. */
  readonly counts: 'flow' | 'power';
  /** Samples of full flow, or W of one. */
  readonly full: number;
  /** W of one of the second column. */
  readonly powerUnit: number;
  readonly today: InputCurve | undefined;
  /** Of the meter that the demand is charged by. */
  readonly interval?: keyof FlowRecord['highest'];
}

/**
 * Rows of a year from a log: hours by bins of flow, each at its mean, scaled to 8760 h. A log of power becomes flow by the input
 * curve of today’s control. Undefined where a log of power meets no curve that rises.
 */
export function profileOfLog(record: FlowRecord, scale: LogScale): LoggedProfile | undefined {
  const flowOf = scale.counts === 'flow' ? (value: number) => value / scale.full : flowByPower(scale);
  if (!flowOf || record.recorded <= 0) return undefined;
  const samples = record.bins.map((bin) => ({ ...bin, flow: flowOf(bin.value) }));
  const { today } = scale;
  const energy = (rows: readonly { readonly flow: number; readonly seconds: number }[]): number =>
    rows.reduce((sum, { flow, seconds }) => sum + (flow > 0 && today ? inputAt(today, flow) * seconds : 0), 0);
  const exact = energy(samples.map(({ flow, seconds }) => ({ flow: flow < STANDING ? 0 : flow, seconds })));
  let width = WIDEST;
  let rows = binned(samples, width);
  while (width > NARROWEST && exact > 0 && Math.abs(energy(rows) / exact - 1) > ENERGY_OFF) {
    width /= 2;
    rows = binned(samples, width);
  }
  const year = YEAR / record.recorded;
  return {
    rows: rows.map(({ flow, seconds }) => ({ flow, seconds: seconds * year })),
    peaks: record.highest[scale.interval ?? '15 min'].map(flowOf),
    energyOff: exact > 0 ? energy(rows) / exact - 1 : 0,
    calibration: today && scale.counts === 'flow' ? calibrated(samples, today, scale.powerUnit) : undefined,
  };
}

interface Sampled extends RecordedBin {
  readonly flow: number;
}

function binned(samples: readonly Sampled[], width: number): { flow: number; seconds: number }[] {
  const sums = new Map<number, { flow: number; seconds: number }>();
  for (const { flow, seconds } of samples) {
    const at = flow < STANDING ? -1 : Math.floor(flow / width);
    const sum = sums.get(at) ?? { flow: 0, seconds: 0 };
    sum.flow += at < 0 ? 0 : flow * seconds;
    sum.seconds += seconds;
    sums.set(at, sum);
  }
  return [...sums].toSorted(([a], [b]) => b - a).map(([, { flow, seconds }]) => ({ flow: flow / seconds, seconds }));
}

/** Flow from input where the input rises with it; below the first flow of the curve in proportion. */
function flowByPower({ today, full }: LogScale): ((value: number) => number) | undefined {
  if (!today) return undefined;
  const { flows, inputs } = today;
  const [least = 0] = inputs;
  const most = inputs.at(-1) ?? 0;
  const rises = inputs.every((input, at) => at === 0 || input > (inputs[at - 1] ?? 0) * (1 + 1e-6));
  if (!rises || most <= 0) return undefined;
  return (value) => {
    const watts = value * full;
    if (watts < STANDING * most) return 0;
    return watts < least ? (flows[0] ?? 0) * (watts / least) : interpolate(inputs, flows, watts);
  };
}

/** P = k·P(q) by least squares, time as weight. */
function calibrated(samples: readonly Sampled[], today: InputCurve, unit: number): LoggedProfile['calibration'] {
  let [time, sum, squares, cross, own] = [0, 0, 0, 0, 0];
  for (const { flow, powered, power, powerSquare } of samples) {
    if (powered === 0 || flow < STANDING) continue;
    const calculated = inputAt(today, flow);
    time += powered;
    sum += power * unit * powered;
    squares += powerSquare * unit * unit * powered;
    cross += power * unit * calculated * powered;
    own += calculated * calculated * powered;
  }
  const spread = squares - (sum * sum) / time;
  if (time < HOUR || own <= 0) return undefined;
  const factor = cross / own;
  const left = squares - 2 * factor * cross + factor * factor * own;
  return { factor, fit: spread > 0 ? 1 - left / spread : 0 };
}
