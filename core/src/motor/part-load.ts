import type { Motor } from './typical.ts';

/** What the losses of a motor follow from. */
type Losing = Pick<Motor, 'power' | 'efficiencyMinimum'>;

/**
 * Electrical input of a motor on the line at a shaft power, W. Loss = full-load loss × (fixed + (1−fixed)·y²),
 * y = load fraction. Common practice, no published source; agrees with usual part-load figures within about 1 point above 30 % load.
 */
export function inputOnLine(motor: Losing, shaftPower: number, fixedShare: number): number {
  const load = shaftPower / motor.power;
  return shaftPower + fullLoadLoss(motor) * (fixedShare + (1 - fixedShare) * load ** 2);
}

/**
 * Electrical input of a motor fed at reduced frequency, W: the fixed part falls with about speed to the 1.5
 * (iron and windage), the rest with torque squared.
 */
export function inputOnDrive(motor: Losing, shaftPower: number, speedShare: number, fixedShare: number): number {
  if (speedShare <= 0) return 0;
  const torque = shaftPower / motor.power / speedShare;
  const loss = fullLoadLoss(motor) * (fixedShare * speedShare ** 1.5 + (1 - fixedShare) * torque ** 2);
  return shaftPower + harmonicFactor(motor.power) * loss;
}

/** What a drive’s voltage adds to a motor's losses: 15 % to 90 kW, 25 % above (IEC 61800-9-2’s r_HL, from memory, unsure). */
export const harmonicFactor = (power: number): number => (power <= 90_000 ? 1.15 : 1.25);

/** At the guaranteed minimum efficiency, so that a saving is not promised on the nominal figure. */
const fullLoadLoss = (motor: Losing): number => motor.power / motor.efficiencyMinimum - motor.power;
