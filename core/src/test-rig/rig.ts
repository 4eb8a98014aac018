import { leastBetween } from '../motor/circuit.ts';
import { pointAt, pointGiving } from '../motor/at-part-load.ts';
import { DRIVE_INPUT } from '../motor/drive-input.ts';
import { harmonicFactor } from '../motor/part-load.ts';
import { synchronousSpeed } from '../motor/synchronous.ts';
import { lossShape, referenceLoss } from '../stages/operating-profile/drive-loss.ts';
import { powerAt, twoTermMachine } from '../stages/operating-profile/flow-machine.ts';
import { benchMotors } from './bench-motor.ts';

/** What a hand sets on the rig; shares of 1. */
export interface RigSetting {
  /** How far the damper of the first blower is open. */
  readonly damper: number;
  /** Speed the drive of the second is told. */
  readonly speed: number;
  readonly leastFlux: boolean;
  /** Both blowers have a motor twice too large. */
  readonly oversized: boolean;
}

/** Its own ranges: below them a damper does not seal, and the drive does not turn. */
export const rigRange = { damper: [0.1, 1], speed: [0.2, 1] } as const;
export const rigStart: RigSetting = { damper: 1, speed: 1, leastFlux: false, oversized: false };

/** What the meters of one blower are fed with. */
export interface BlowerState {
  /** At the motor’s terminals, V and A. */
  readonly volts: number;
  readonly amperes: number;
  /** From the line, W and VA. */
  readonly watts: number;
  readonly voltAmperes: number;
  /** Of full flow. */
  readonly flow: number;
  readonly rpm: number;
}

/** Shaft power of a blower at full flow, W: seven tenths of the motor that fits. */
export const RIG_POWER = 0.7 * benchMotors.fitting.plate.power;
/** m³/s that count as full flow. */
export const RIG_FLOW = 1.2;
export const rigMachine = twoTermMachine(1.3, 1, 0);
const FULL = powerAt(rigMachine, 1, 1);

/** Loss of a damper in velocity heads of the duct, by how far it is open. */
const DAMPER = 1.5;
/** Flow through a damper: 1.3 − 0.3q² = (1 + κ)q². */
const throughDamper = (open: number): number => Math.sqrt(1.3 / (1.3 + DAMPER * (1 / open ** 2 - 1)));

const motorOf = ({ oversized }: RigSetting) => (oversized ? benchMotors.oversized : benchMotors.fitting);

/** The blower with the damper, its motor on the line. */
export function dampedBlower(setting: RigSetting): BlowerState {
  const { circuit } = motorOf(setting);
  const flow = throughDamper(setting.damper);
  const shaft = RIG_POWER * (powerAt(rigMachine, flow, 1) / FULL);
  const point = pointGiving(circuit, shaft);
  if (!point) throw new Error('the rig’s motor stalls');
  return {
    volts: circuit.volts,
    amperes: point.statorCurrent,
    watts: point.inputPower,
    voltAmperes: point.inputPower / point.powerFactor,
    flow,
    rpm: (point.speed * 30) / Math.PI,
  };
}

/** Loss of the rig’s drive, of the reference. */
const DRIVE_LOSS = 0.45;

/** The blower on the drive: friction only, so that flow goes with speed. */
export function drivenBlower(setting: RigSetting): BlowerState {
  const { circuit, plate } = motorOf(setting);
  const full = (plate.rpm * Math.PI) / 30;
  const speed = setting.speed * full;
  const shaft = RIG_POWER * setting.speed ** 3;
  const at = (flux: number) => pointAt(circuit, { torque: shaft / speed, speed, flux });
  const input = (flux: number): number => at(flux)?.inputPower ?? Number.MAX_VALUE;
  const flux = setting.leastFlux ? leastBetween(0.5, 1, input, 1e-3) : 1;
  const point = at(flux);
  if (!point) throw new Error('the rig’s motor stalls on its drive');
  const hertz = speed / (1 - point.slip) / synchronousSpeed(1, circuit.poles);
  const behind = shaft + harmonicFactor(plate.power) * (point.inputPower - shaft);
  const current = shaft / plate.power / setting.speed;
  const watts = behind + DRIVE_LOSS * referenceLoss(plate.power) * lossShape(setting.speed, current);
  return {
    volts: circuit.volts * Math.min(1, hertz / circuit.hz) * flux,
    amperes: point.statorCurrent,
    watts,
    voltAmperes: watts / DRIVE_INPUT.powerFactor,
    flow: setting.speed,
    rpm: (speed * 30) / Math.PI,
  };
}

/** What a meter may be off, of its range; and its range. */
export const meters = {
  volts: { range: 500, error: 0.005 },
  amperes: { range: 20, error: 0.01 },
  watts: { range: 10_000, error: 0.015 },
  flow: { range: 1.2, error: 0.015 },
  rpm: { range: 1800, error: 0.002 },
} as const;
export type Meter = keyof typeof meters;
