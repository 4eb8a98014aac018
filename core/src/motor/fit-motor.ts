import type { Inputs } from '../inputs.ts';
import { fitCircuit, type Fit, type FitTargets } from './fit-circuit.ts';
import type { Motor } from './typical.ts';

type DataSheet = Inputs['given']['starting'];

/** Share of the locked-rotor reactance in the stator by design letter (IEEE 112, from memory). */
const statorShares: Readonly<Record<string, number>> = { A: 0.5, B: 0.4, C: 0.3, D: 0.5, N: 0.4, H: 0.3 };

/**
 * Fixed share of the full-load loss from part-load efficiencies: loss(y) = L·(f + (1 − f)·y²), least squares over the
 * points; `usual` where there are none.
 */
function fixedShareFrom(motor: Motor, sheet: DataSheet, usual: number): number {
  const full = 1 / motor.efficiency - 1;
  let over = 0;
  let under = 0;
  for (const [load, efficiency] of [
    [0.75, sheet.efficiency75],
    [0.5, sheet.efficiency50],
  ] as const) {
    if (!efficiency) continue;
    const loss = (load * (1 / efficiency.value - 1)) / full;
    // loss = f (1 − y²) + y²
    over += (loss - load ** 2) * (1 - load ** 2);
    under += (1 - load ** 2) ** 2;
  }
  return under === 0 ? usual : Math.min(0.75, Math.max(0.1, over / under));
}

/** What is known of the motor, from its plate and, where typed, its data sheet. */
export function fitTargets(motor: Motor, sheet: DataSheet, design: string, usualFixedShare: number): FitTargets {
  const known = sheet.lockedRotorTorque !== undefined && sheet.breakdownTorque !== undefined;
  return {
    power: motor.power,
    voltage: motor.voltage,
    frequency: motor.frequency,
    poles: motor.poles,
    speed: motor.speed,
    current: motor.current,
    efficiency: motor.efficiency,
    lockedRotorCurrent: motor.lockedRotorCurrent,
    lockedRotorCurrentLeast: motor.lockedRotorCurrentLeast,
    lockedRotorTorque: sheet.lockedRotorTorque?.value ?? motor.lockedRotorTorque,
    breakdownTorque: sheet.breakdownTorque?.value ?? motor.breakdownTorque,
    torquesAtLeast: motor.kind !== 'picked' && !known,
    fixedShare: fixedShareFrom(motor, sheet, usualFixedShare),
    statorShare: statorShares[design.trim().toUpperCase().at(0) ?? 'B'] ?? 0.4,
  };
}

const REMEMBERED = 200;
const memory = new Map<string, Fit | undefined>();

/** The circuit of a motor; remembered, since most keystrokes leave the motor as it was. */
export function fitMotor(targets: FitTargets): Fit | undefined {
  const key = Object.values(targets).join(' ');
  if (memory.has(key)) return memory.get(key);
  if (memory.size >= REMEMBERED) memory.clear();
  const fit = fitCircuit(targets);
  memory.set(key, fit);
  return fit;
}
