import { amount, figures, say, type Text } from '../../kernel/text.ts';
import { standardHorsepower } from '../../motor/standard-power.ts';
import { iecFrames, nemaFramesEnclosed, nemaFramesOpen } from '../../kernel/tables/index.ts';
import type { Clue, MeasuredMotor } from './measured-motor.ts';

export interface Band {
  readonly least: number;
  readonly most: number;
  readonly clue: Clue;
}

/** No-load current as a share of rated current, by poles (common practice, no published source). */
const noLoadShares: Readonly<Record<number, readonly [number, number]>> = {
  2: [0.2, 0.35],
  4: [0.28, 0.45],
  6: [0.35, 0.55],
  8: [0.42, 0.65],
};

/** The ratings the standards put into the frames that match, with one size either way. */
export function frameBand(known: Pick<MeasuredMotor, 'frames' | 'school' | 'poles'>): Band | undefined {
  const { frames, school } = known;
  const powers = frames.flatMap(({ number, family }) =>
    family === 'IEC'
      ? iecPowers(number, known)
      : [...nemaPowers(nemaFramesEnclosed, number, known), ...nemaPowers(nemaFramesOpen, number, known)],
  );
  if (powers.length === 0) return undefined;
  const least = Math.min(...powers) * 0.75;
  const most = Math.max(...powers) * 1.35;
  return band(
    least,
    most,
    'frame',
    frames.some((each) => /T/.test(each.name)) || school === 'IEC' ? 'fair' : 'poor',
    known,
  );
}

function nemaPowers(table: typeof nemaFramesOpen, number: string, { poles }: Pick<MeasuredMotor, 'poles'>): number[] {
  const counts = poles === undefined ? [2, 4, 6, 8] : [poles];
  return table.rows.flatMap((row) =>
    counts.some((count) => row[`rpm${7200 / count}`] === number) ? [Number(row['hp']) * 745.7] : [],
  );
}

function iecPowers(name: string, { poles }: Pick<MeasuredMotor, 'poles'>): number[] {
  return iecFrames.rows.flatMap((row) =>
    row['frame'] === name && (poles === undefined || row['poles'] === poles) ? [Number(row['kw']) * 1000] : [],
  );
}

/** A no-load current is a share of the rated one, and that of a power. */
export function currentBand(known: Pick<MeasuredMotor, 'measured' | 'poles' | 'voltage' | 'school'>): Band | undefined {
  const { measured, poles, voltage } = known;
  const amps = measured.measuredNoLoadCurrent?.value;
  const share = noLoadShares[poles ?? 4];
  if (amps === undefined || voltage === undefined || !share) return undefined;
  const at = (part: number): number => (Math.sqrt(3) * voltage * amps * 0.76) / part;
  return band(at(share[1]), at(share[0]), 'no-load current', poles === undefined ? 'poor' : 'fair', known);
}

/** Stator copper loss is about a third of all loss at full load, so V²/R fixes the size within a factor. */
export function resistanceBand(known: Pick<MeasuredMotor, 'measured' | 'voltage' | 'school'>): Band | undefined {
  const { measured, voltage } = known;
  const ohms = measured.measuredResistance?.value;
  if (ohms === undefined || voltage === undefined || ohms <= 0) return undefined;
  let power = 10_000;
  for (let round = 0; round < 20; round++) {
    const efficiency = Math.min(0.96, 0.8 + 0.05 * Math.log10(power / 1000 + 1));
    const copper = 0.35 * (1 / efficiency - 1);
    power = (copper * (voltage * efficiency * 0.84) ** 2) / (ohms / 2);
  }
  return band(power / 1.8, power * 1.8, 'winding resistance', 'poor', known);
}

function band(
  least: number,
  most: number,
  from: string,
  confidence: Clue['confidence'],
  { school }: Pick<MeasuredMotor, 'school'>,
): Band {
  const show = (power: number): Text => amount(power, 'power');
  const size = standardHorsepower(Math.sqrt(least * most));
  const middle = school === 'NEMA' && size !== undefined ? say`, about ${figures(size, 3)} hp` : '';
  return { least, most, clue: { from, of: 'power', says: say`${show(least)} to ${show(most)}${middle}`, confidence } };
}
