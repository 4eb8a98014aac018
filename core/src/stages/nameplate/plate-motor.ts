import { minimumBreakdownTorque, minimumLockedRotorTorque, type Motor } from '../../motor/typical.ts';
import type { PlateKnown } from './plate-known.ts';

/** The plate’s motor, once enough is known to calculate with it. */
export function plateMotor({
  decoded,
  power,
  voltage,
  turning,
  speed,
  current,
  efficiency,
  powerFactor,
  range,
  plate,
  frequency,
  minimum,
  serviceFactor,
  rating,
}: Pick<
  PlateKnown,
  | 'decoded'
  | 'power'
  | 'voltage'
  | 'turning'
  | 'speed'
  | 'current'
  | 'efficiency'
  | 'powerFactor'
  | 'range'
  | 'plate'
  | 'frequency'
  | 'minimum'
  | 'serviceFactor'
  | 'rating'
>): Motor | undefined {
  const { starDelta } = decoded;
  if (!power || !voltage || !turning || !speed || !current || !efficiency || !powerFactor || powerFactor.value > 1)
    return undefined;
  const locked = {
    lockedRotorCurrent: range?.max?.value ?? (range?.min?.value ?? current.value * 8) * 1.1,
    lockedRotorCurrentLeast: range?.min?.value ?? current.value * 4,
  };
  return {
    label: 'the motor on the plate',
    kind: 'plate',
    designLetter: plate.designLetter,
    power: power.value,
    voltage: voltage.value,
    frequency: frequency.value,
    poles: turning.poles.value,
    speed: speed.value,
    current: current.value,
    efficiency: efficiency.value,
    efficiencyMinimum: minimum?.value ?? efficiency.value,
    powerFactor: powerFactor.value,
    serviceFactor: serviceFactor?.value ?? 1,
    ...locked,
    lockedRotorTorque:
      decoded.lockedRotorTorqueMin?.value ?? minimumLockedRotorTorque(power.value, turning.poles.value),
    breakdownTorque: decoded.breakdownTorqueMin?.value ?? minimumBreakdownTorque(power.value, turning.poles.value),
    ...(starDelta?.value === 'not possible' ? { noStarDelta: starDelta.working.note ?? '' } : {}),
    starDeltaProven: starDelta?.value === 'possible',
    ...(rating.winding
      ? {
          winding: {
            voltage: rating.winding.voltage.value,
            current: rating.winding.current.value,
            lockedRotorCurrent: locked.lockedRotorCurrent * (rating.winding.voltage.value / voltage.value),
            lockedRotorCurrentLeast: locked.lockedRotorCurrentLeast * (rating.winding.voltage.value / voltage.value),
          },
        }
      : {}),
  };
}
