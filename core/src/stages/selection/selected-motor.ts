import type { MotorItem } from '../../catalogue/catalogue.ts';
import type { Motor } from '../../motor/typical.ts';
import { connectionAt } from '../nameplate/connection.ts';
import type { RankedMotor } from './rank-motors.ts';

/** A catalogue motor at the winding it will be connected by, as a motor that can be run. */
export function motorOf({ item, voltage, current }: RankedMotor): Motor {
  const at = item.voltages.indexOf(voltage);
  const joined = connectionAt(item.voltages, voltage, undefined, undefined);
  return {
    label: `the picked motor, ${item.name}`,
    kind: 'picked',
    designLetter: item.designLetter,
    power: item.power,
    voltage,
    frequency: item.frequency,
    poles: item.poles,
    speed: item.speed,
    current,
    efficiency: item.efficiency,
    efficiencyMinimum: item.efficiencyMinimum,
    powerFactor: item.powerFactor,
    serviceFactor: item.serviceFactor,
    lockedRotorCurrent: lockedRotorCurrentAt(item, at, current),
    lockedRotorCurrentLeast: lockedRotorCurrentAt(item, at, current),
    lockedRotorTorque: item.lockedRotorTorque,
    breakdownTorque: item.breakdownTorque,
    ...(joined?.starDelta === 'not possible' ? { noStarDelta: joined.why } : {}),
    starDeltaProven: joined?.starDelta === 'possible',
    ...windingOf(item, at),
  };
}

/** A voltage this near above another is the one the winding is made for: 230 of 208-230 V. */
const RANGE = 1.15;

/** Of an item listed for a range, the winding it really has. */
function windingOf(item: MotorItem, at: number): Pick<Motor, 'winding'> {
  const voltage = item.voltages[at] ?? 0;
  const made = item.voltages.findIndex((each) => each > voltage * 1.01 && each < voltage * RANGE);
  const [volts, amperes] = [item.voltages[made], item.currents[made]];
  if (volts === undefined || amperes === undefined) return {};
  const locked = lockedRotorCurrentAt(item, made, amperes);
  return {
    winding: { voltage: volts, current: amperes, lockedRotorCurrent: locked, lockedRotorCurrentLeast: locked },
  };
}

const lockedRotorCurrentAt = (item: MotorItem, at: number, current: number): number =>
  item.lockedRotorCurrents[at] ?? current * 7;
