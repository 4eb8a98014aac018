import { keepsMotor } from '../load/reference-motor.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import { thermalClasses } from '../../kernel/tables/index.ts';
import { RATED_ALTITUDE, RATED_AMBIENT, type PlaceKnown } from './environment-known.ts';

/** m; MG 1 14.4.3, recalled from memory and doubted. */
const NINE_THOUSAND_FEET = 9000 * 0.3048;

/** MG 1 14.4.3: a motor with service factor 1.15 gives its rated power up to 9000 ft, without the factor. */
export const isThinAir = ({
  job,
  given,
  ambient,
  altitude,
}: Pick<PlaceKnown, 'job' | 'given' | 'ambient' | 'altitude'>): boolean =>
  job.school === 'NEMA' &&
  altitude.value > RATED_ALTITUDE &&
  altitude.value <= NINE_THOUSAND_FEET &&
  ambient.value <= RATED_AMBIENT + 0.01 &&
  (given.nameplate.serviceFactor?.value ?? 1) >= 1.15 &&
  job.situation.kind !== 'new';

/** The ambient a motor is rated for: 40 °C, or what the plate of the motor that stays says. */
export function ambientRating({ job, given }: Pick<PlaceKnown, 'job' | 'given' | 'school'>): Value {
  const printed = keepsMotor(job) ? given.nameplate.ambient : undefined;
  return (
    printed ??
    quantity(RATED_AMBIENT, 'temperature', {
      origin: 'recalled',
      source: 'IEC 60034-1 6, MG 1 14.2 (from memory)',
    })
  );
}

/** A usual drive; the pick uses the figures of each drive in the catalogue. */
export function derateDrive({
  practice,
  ambient,
  altitude,
}: Pick<PlaceKnown, 'practice' | 'ambient' | 'altitude' | 'school'>): Value {
  const heatLost = practice.driveHeatDerate.value * Math.max(0, ambient.value - practice.driveAmbient.value);
  const airLost = practice.driveAltitudeDerate.value * Math.max(0, (altitude.value - 1000) / 100);
  return quantity(Math.max(0, (1 - heatLost) * (1 - airLost)), 'fraction', {
    origin: 'estimated',
    formula: 'k = (1 - a\\,(\\vartheta - \\vartheta_r))\\,(1 - b\\,\\dfrac{h - 1000}{100})',
    from: {
      a: practice.driveHeatDerate,
      '\\vartheta': ambient,
      '\\vartheta_r': practice.driveAmbient,
      b: practice.driveAltitudeDerate,
      h: altitude,
    },
    source: PRACTICE,
    note: 'A usual drive; the pick uses each drive’s own figures.',
  });
}

/**
 * The rise allowed falls by the kelvins above 40 °C and by 1 % per 100 m above 1000 m (IEC 60034-1 8.10); cooler air
 * makes up for altitude but never gives more than rated power.
 * Output follows with the loss split fixed : load, √((r − c)/(1 − c)).
 */
export function derate({
  thinAir,
  altitude,
  given,
  job,
  ambient,
  ratedAmbient,
  practice,
}: Pick<
  PlaceKnown,
  'thinAir' | 'school' | 'altitude' | 'given' | 'job' | 'ambient' | 'ratedAmbient' | 'practice'
>): Value {
  if (thinAir)
    return quantity(1, 'fraction', {
      origin: 'recalled',
      formula: 'k = 1',
      from: { h: altitude, SF: given.nameplate.serviceFactor },
      source: 'MG 1 14.4.3 (recalled from memory; the 9000 ft are doubted)',
      note: 'A service factor of 1.15 is spent on the thin air: full power, and nothing above it.',
    });
  const letter = job.nameplate.thermalClass?.trim().toUpperCase().at(0) ?? 'F';
  const row = thermalClasses.rows.find((each) => each['letter'] === letter);
  const rise = thermalClasses.number(row, 'rise_resistance') ?? 105;
  const cooling = (rise - (ambient.value - ratedAmbient.value)) / rise;
  const air = 1 - Math.max(0, altitude.value - 1000) / 10_000;
  const allowed = Math.min(1, Math.max(0, cooling) * air);
  const share = practice.fixedLossShare;
  const factor = Math.sqrt(Math.max(0, (allowed - share.value) / (1 - share.value)));
  return quantity(factor, 'fraction', {
    formula:
      'k = \\sqrt{\\dfrac{r - c}{1 - c}},\\quad r = \\dfrac{\\theta - (\\vartheta - \\vartheta_n)}{\\theta}\\left(1 - \\dfrac{h - 1000}{10\\,000}\\right)',
    from: {
      '\\vartheta': ambient,
      '\\vartheta_n': ratedAmbient,
      h: altitude,
      c: share,
      '\\theta': quantity(rise, 'count', {
        origin: 'recalled',
        source: thermalClasses.source,
        note: `Rise of class ${letter}, K`,
      }),
    },
    source: 'IEC 60034-1 8.10 for the rise (recalled from memory); loss split: ' + PRACTICE,
  });
}
