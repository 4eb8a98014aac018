import { series, type Text } from '../../kernel/text.ts';
import { breakdownSlip, type Circuit } from '../../motor/circuit.ts';
import { nextStandardPower, standardHorsepower } from '../../motor/standard-power.ts';
import type { Motor } from '../../motor/typical.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import { designValues } from '../nameplate/design-letter.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { Inputs } from '../../job/inputs.ts';
import { quantity, type Value } from '../../kernel/value.ts';

type DataSheet = Inputs['given']['starting'];

/** Torques that may be counted on, as shares of rated torque at rated voltage. */
export interface Guaranteed {
  readonly lockedRotor: Value;
  /** Undefined for Design D, whose torque only falls from standstill. */
  readonly pullUp: Value | undefined;
  readonly breakdown: Value;
}

/** The most torque a start may count on at each speed, N·m at rated voltage; speeds in rad/s, rising. */
export interface TorqueCeiling {
  readonly speeds: readonly number[];
  readonly torques: readonly number[];
}

/** MG 1 20.10: what large motors beyond the tables must have, of rated torque. */
const LARGE = { lockedRotor: 0.6, pullUp: 0.6, breakdown: 1.75 } as const;
const LARGE_SOURCE = 'MG 1 20.10, large motors (recalled from memory)';
const DATA_SHEET = 'data sheet of the motor';

/**
 * What design letter or data sheet guarantee of a motor: figures typed from its data sheet, those of the catalogue for a
 * picked motor, else the least its letter allows; without a letter Design B or N, for a size between the standard ones the
 * next larger. A fitted circuit may have more torque; a start is never judged on that.
 */
export function minimumTorques(motor: Motor, sheet: DataSheet, school: StandardsSystem): Guaranteed {
  const letter = (motor.designLetter?.trim().toUpperCase() ?? '').replace(/Y$/, '') || (school === 'NEMA' ? 'B' : 'N');
  const size =
    school === 'NEMA' && standardHorsepower(motor.power) === undefined
      ? (nextStandardPower(motor.power, school) ?? motor.power)
      : motor.power;
  const least = designValues(letter, size, motor.poles);
  const large = (share: number): Value =>
    quantity(share, 'fraction', {
      origin: 'recalled',
      source: LARGE_SOURCE,
      note: 'Beyond the tables of the design.',
    });
  const bought = (share: number): Value | undefined =>
    motor.kind === 'picked'
      ? quantity(share, 'fraction', {
          origin: 'looked up',
          source: 'catalogue',
          note: `Holds for ${motor.label}.`,
        })
      : undefined;
  const lockedRotor =
    sheet.lockedRotorTorque ??
    bought(motor.lockedRotorTorque) ??
    least.lockedRotorTorqueMin ??
    large(LARGE.lockedRotor);
  const typed = sheet.pullUpTorque ?? least.pullUpTorqueMin;
  const pullUp = typed ?? (letter === 'D' ? undefined : large(LARGE.pullUp));
  return {
    lockedRotor,
    // A saddle is never above standstill in what is promised; a data sheet may say so.
    pullUp: pullUp && !sheet.pullUpTorque && pullUp.value > lockedRotor.value ? lockedRotor : pullUp,
    breakdown:
      sheet.breakdownTorque ?? bought(motor.breakdownTorque) ?? least.breakdownTorqueMin ?? large(LARGE.breakdown),
  };
}

/** Shares of synchronous speed between which the saddle of the torque lies. Common practice, no published source. */
const SADDLE = [0.1, 0.6] as const;

/**
 * The guaranteed torques as a ceiling over speed: locked-rotor torque at standstill, no more than pull-up torque wherever
 * the saddle may lie, breakdown torque from its speed on.
 */
export function minimumTorqueCurve(
  { lockedRotor, pullUp, breakdown }: Guaranteed,
  circuit: Circuit,
  ratedTorque: number,
): TorqueCeiling {
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const top = Math.max(0.15, 1 - breakdownSlip(circuit, circuit.hz, 60, 1e-3));
  const end = Math.min(SADDLE[1], Math.max(SADDLE[0], 0.75 * top));
  const points: (readonly [number, number])[] = pullUp
    ? [
        [0, lockedRotor.value],
        [SADDLE[0], pullUp.value],
        [end, pullUp.value],
        [top, breakdown.value],
      ]
    : [[0, lockedRotor.value]];
  return {
    speeds: points.map(([share]) => share * synchronous),
    torques: points.map(([, torque]) => torque * ratedTorque),
  };
}

/** Where the ceiling comes from, in words. */
export const guaranteeSource = ({ lockedRotor, pullUp, breakdown }: Guaranteed): Text =>
  series(
    [...new Set([lockedRotor, pullUp, breakdown].flatMap((each) => each?.working.source ?? []))].map((source) =>
      source === 'typed in this job' ? DATA_SHEET : source,
    ),
    '; ',
  );
