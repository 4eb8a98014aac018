import type { Flag } from './findings.ts';
import type { NameplateValues } from './values.ts';
import type { Brief } from '../stage.ts';
import { utilizationVoltage } from './connected-rating.ts';
import { standardHorsepower } from '../../motor/standard-power.ts';
import { formatNumber, formatQuantity } from '../../ground/quantity/format.ts';
import {
  iecDimensions,
  iecFrames,
  nemaDimensions,
  nemaFramesEnclosed,
  nemaFramesOpen,
} from '../../ground/tables/index.ts';
import { PRACTICE, quantity, wording, type Value } from '../../ground/value.ts';

export type RecoveryValues = Pick<
  NameplateValues,
  'recoveredFrame' | 'recoveredPoles' | 'recoveredPowerLeast' | 'recoveredPowerMost'
>;

/** One way of guessing the power of a motor without a plate. */
export interface Clue {
  readonly from: string;
  readonly says: string;
  readonly confidence: 'good' | 'fair' | 'poor';
}

export interface Recovery {
  readonly values: RecoveryValues;
  readonly clues: readonly Clue[];
}

interface Band {
  readonly least: number;
  readonly most: number;
  readonly clue: Clue;
}

const INCH = 0.0254;
const HEIGHT_SLACK = 0.0016;
const SHAFT_SLACK = 0.0012;
/** No-load current as a share of rated current, by poles (common practice, no published source). */
const noLoadShares: Readonly<Record<number, readonly [number, number]>> = {
  2: [0.2, 0.35],
  4: [0.28, 0.45],
  6: [0.35, 0.55],
  8: [0.42, 0.65],
};
/** Slot numbers that are usual for a pole count (common practice, no published source). */
const slotPoles: Readonly<Record<number, readonly number[]>> = {
  24: [2, 4],
  30: [2],
  36: [4, 2, 6],
  48: [4, 2, 8],
  54: [6],
  60: [4],
  72: [6, 8, 4],
  90: [6],
};

/**
 * What can be said of a motor whose plate cannot be read: frame from shaft height and diameter, poles from the no-load
 * speed or the slots, a band of power from frame, no-load current and winding resistance. Every result is an estimate
 * with its confidence and never stands in for a plate value.
 */
export function recover({ job, given }: Brief, flag: Flag): Recovery {
  if (!job.nameplate.unreadable) return { values: {}, clues: [] };
  const { school } = job;
  const measured = given.nameplate;
  const clues: Clue[] = [];
  const frequency = given.supply.frequency?.value ?? (school === 'NEMA' ? 60 : 50);
  const voltage = given.supply.voltage && utilizationVoltage(given.supply.voltage.value);

  const frames = framesMatching();
  const poles = poleCount();
  const bands = [frameBand(), currentBand(), resistanceBand()].filter((band) => band !== undefined);
  for (const { clue } of bands) clues.push(clue);
  const least = Math.max(...bands.map((band) => band.least));
  const most = Math.min(...bands.map((band) => band.most));
  const agree = bands.length > 0 && least <= most * 1.05;
  const low = agree ? least : Math.min(...bands.map((band) => band.least));
  const high = agree ? Math.max(most, least) : Math.max(...bands.map((band) => band.most));

  flag(
    'nameplate.recovered',
    bands.length === 0
      ? 'The plate cannot be read. Measure what the fields below ask for; each narrows down what the motor was.'
      : `The plate cannot be read; what stands here is estimated from measurements${agree ? '' : ', and the clues do not agree with each other'}. It must not be bought from.`,
  );
  const estimate = (si: number): Value =>
    quantity(si, 'power', school, {
      origin: 'estimated',
      source: PRACTICE,
      note: clues.map((clue) => `${clue.from}: ${clue.says} (${clue.confidence})`).join('. '),
    });
  return {
    clues,
    values: {
      ...(frames.length > 0
        ? {
            recoveredFrame: wording(frames.map((each) => each.name).join(' or '), {
              origin: 'estimated',
              source: `${nemaDimensions.source}; ${iecDimensions.source}`,
              note: 'Frames whose shaft height and diameter match what was measured.',
            }),
          }
        : {}),
      ...(poles === undefined
        ? {}
        : {
            recoveredPoles: quantity(poles, 'count', school, {
              origin: 'estimated',
              source: PRACTICE,
              note: clues.find((clue) => clue.says.includes('pole'))?.confidence,
            }),
          }),
      ...(bands.length > 0 ? { recoveredPowerLeast: estimate(low), recoveredPowerMost: estimate(high) } : {}),
    },
  };

  function framesMatching(): { name: string; number: string; family: 'NEMA' | 'IEC' }[] {
    const height = measured.measuredShaftHeight?.value;
    if (height === undefined) return [];
    const diameter = measured.measuredShaftDiameter?.value;
    const close = (cell: unknown, unit: number, target: number | undefined, slack: number): boolean =>
      target === undefined || (typeof cell === 'number' && Math.abs(cell * unit - target) <= slack);
    const found = [
      ...nemaDimensions.rows
        .filter((row) => close(row['d'], INCH, height, HEIGHT_SLACK) && close(row['u'], INCH, diameter, SHAFT_SLACK))
        .map((row) => ({ name: String(row['frame']), number: String(row['frame']), family: 'NEMA' as const })),
      ...iecDimensions.rows
        .filter(
          (row) =>
            close(row['h'], 0.001, height, HEIGHT_SLACK) &&
            (close(row['d'], 0.001, diameter, SHAFT_SLACK) || close(row['d_2pole'], 0.001, diameter, SHAFT_SLACK)),
        )
        .map((row) => ({ name: String(row['frame']), number: String(row['frame']), family: 'IEC' as const })),
    ];
    const own = found.filter((each) => each.family === school);
    const kept = own.length > 0 ? own : found;
    clues.push({
      from: diameter === undefined ? 'shaft height' : 'shaft height and diameter',
      says: kept.length > 0 ? kept.map((each) => each.name).join(', ') : 'no standard frame is that high',
      confidence: kept.length === 0 ? 'poor' : diameter === undefined ? 'fair' : 'good',
    });
    return kept;
  }

  function poleCount(): number | undefined {
    const speed = measured.measuredNoLoadSpeed?.value;
    if (speed !== undefined) {
      const count = 2 * Math.floor((2 * Math.PI * frequency) / speed + 1e-9);
      if (count >= 2) {
        clues.push({ from: 'no-load speed', says: `${count} poles at ${frequency} Hz`, confidence: 'good' });
        return count;
      }
    }
    const slots = measured.measuredSlots?.value;
    const likely = slots === undefined ? undefined : slotPoles[Math.round(slots)];
    if (likely) clues.push({ from: 'stator slots', says: `${likely.join(' or ')} poles`, confidence: 'poor' });
    return likely?.[0];
  }

  /** The ratings the standards put into the frames that match, with one size either way. */
  function frameBand(): Band | undefined {
    const powers = frames.flatMap(({ number, family }) =>
      family === 'IEC'
        ? iecPowers(number)
        : [...nemaPowers(nemaFramesEnclosed, number), ...nemaPowers(nemaFramesOpen, number)],
    );
    if (powers.length === 0) return undefined;
    const least = Math.min(...powers) * 0.75;
    const most = Math.max(...powers) * 1.35;
    return band(least, most, 'frame', frames.some((each) => /T/.test(each.name)) || school === 'IEC' ? 'fair' : 'poor');
  }

  function nemaPowers(table: typeof nemaFramesOpen, number: string): number[] {
    const counts = poles === undefined ? [2, 4, 6, 8] : [poles];
    return table.rows.flatMap((row) =>
      counts.some((count) => row[`rpm${7200 / count}`] === number) ? [Number(row['hp']) * 745.7] : [],
    );
  }

  function iecPowers(name: string): number[] {
    return iecFrames.rows.flatMap((row) =>
      row['frame'] === name && (poles === undefined || row['poles'] === poles) ? [Number(row['kw']) * 1000] : [],
    );
  }

  function currentBand(): Band | undefined {
    const amps = measured.measuredNoLoadCurrent?.value;
    const share = noLoadShares[poles ?? 4];
    if (amps === undefined || voltage === undefined || !share) return undefined;
    const at = (part: number): number => (Math.sqrt(3) * voltage * amps * 0.76) / part;
    return band(at(share[1]), at(share[0]), 'no-load current', poles === undefined ? 'poor' : 'fair');
  }

  /** Stator copper loss is about a third of all loss at full load, so V²/R fixes the size within a factor. */
  function resistanceBand(): Band | undefined {
    const ohms = measured.measuredResistance?.value;
    if (ohms === undefined || voltage === undefined || ohms <= 0) return undefined;
    let power = 10_000;
    for (let round = 0; round < 20; round++) {
      const efficiency = Math.min(0.96, 0.8 + 0.05 * Math.log10(power / 1000 + 1));
      const copper = 0.35 * (1 / efficiency - 1);
      power = (copper * (voltage * efficiency * 0.84) ** 2) / (ohms / 2);
    }
    return band(power / 1.8, power * 1.8, 'winding resistance', 'poor');
  }

  function band(least: number, most: number, from: string, confidence: Clue['confidence']): Band {
    const show = (power: number): string => formatQuantity(power, 'power', school);
    const size = standardHorsepower(Math.sqrt(least * most));
    const middle = school === 'NEMA' && size !== undefined ? `, about ${formatNumber(size, 3)} hp` : '';
    return { least, most, clue: { from, says: `${show(least)} to ${show(most)}${middle}`, confidence } };
  }
}
