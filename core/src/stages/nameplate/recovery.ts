import { say, series } from '../../kernel/text.ts';
import type { Clue, FoundFrame, MeasuredMotor } from './measured-motor.ts';
import type { Band } from './recovered-power.ts';
import { framesMatching, poleCount } from './recovered-frame.ts';
import { frameBand, currentBand, resistanceBand } from './recovered-power.ts';
import type { Report } from './findings.ts';
import type { NameplateValues } from './values.ts';
import type { StageContext } from '../stage.ts';
import { utilizationVoltage } from './connected-rating.ts';
import { iecDimensions, nemaDimensions } from '../../kernel/tables/index.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';
import type { Text } from '../../kernel/text.ts';

export type RecoveryValues = Pick<
  NameplateValues,
  'recoveredFrame' | 'recoveredPoles' | 'recoveredPowerLeast' | 'recoveredPowerMost'
>;

export interface Recovery {
  readonly values: RecoveryValues;
  readonly clues: readonly Clue[];
}

/**
 * What can be said of a motor whose plate cannot be read: frame from shaft height and diameter, poles from the no-load
 * speed or the slots, a band of power from frame, no-load current and winding resistance. Every result is an estimate
 * with its confidence and never stands in for a plate value.
 */
export function recover({ job, given }: StageContext, report: Report): Recovery {
  if (!job.nameplate.unreadable) return { values: {}, clues: [] };
  const { school } = job;
  const volts = given.supply.voltage;
  const measured = {
    school,
    measured: given.nameplate,
    clues: [] as Clue[],
    frequency: given.supply.frequency?.value ?? (school === 'NEMA' ? 60 : 50),
    voltage: volts && utilizationVoltage(volts.value),
  };
  const frames = framesMatching(measured);
  const poles = poleCount(measured);
  const motor: MeasuredMotor = { ...measured, frames, poles };
  const bands = [frameBand(motor), currentBand(motor), resistanceBand(motor)].filter((band) => band !== undefined);
  const clues = [...measured.clues, ...bands.map(({ clue }) => clue)];
  const { low, high, agree } = together(bands);
  report(
    'nameplate.recovered',
    bands.length === 0
      ? 'The plate cannot be read. Measure what the fields below ask for; each narrows down what the motor was.'
      : `The plate cannot be read; what stands here is estimated from measurements${agree ? '' : ', and the clues do not agree with each other'}. It must not be bought from.`,
  );
  const estimate = (si: number): Value =>
    quantity(si, 'power', {
      origin: 'estimated',
      assumes: 'nameplate.power',
      source: PRACTICE,
      note: series(
        clues.map((clue) => say`${clue.from}: ${clue.says} (${clue.confidence})`),
        '. ',
      ),
    });
  return {
    clues,
    values: {
      ...(frames.length > 0 ? { recoveredFrame: frameValue(frames) } : {}),
      ...(poles === undefined ? {} : { recoveredPoles: polesValue(poles, motor) }),
      ...(bands.length > 0 ? { recoveredPowerLeast: estimate(low), recoveredPowerMost: estimate(high) } : {}),
    },
  };
}

/** Bands may miss each other by this and still agree. Common practice, no published source. */
const NEARLY = 1.05;

/** What all bands have in common, or all they span where they do not agree. */
function together(bands: readonly Band[]): { readonly low: number; readonly high: number; readonly agree: boolean } {
  const least = bands.map((band) => band.least);
  const most = bands.map((band) => band.most);
  const [low, high] = [Math.max(...least), Math.min(...most)];
  if (bands.length > 0 && low <= high * NEARLY) return { low, high: Math.max(low, high), agree: true };
  return { low: Math.min(...least), high: Math.max(...most), agree: false };
}

const frameValue = (frames: readonly FoundFrame[]): Value<Text> =>
  textValue(frames.map((each) => each.name).join(' or '), {
    origin: 'estimated',
    source: `${nemaDimensions.source}; ${iecDimensions.source}`,
    note: 'Frames whose shaft height and diameter match what was measured.',
  });

const polesValue = (poles: number, { clues }: MeasuredMotor): Value =>
  quantity(poles, 'count', {
    origin: 'estimated',
    assumes: 'nameplate.poles',
    source: PRACTICE,
    note: clues.find(({ of }) => of === 'poles')?.confidence,
  });
