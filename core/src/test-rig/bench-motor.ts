import { breakdownSlip, steadyPoint, type Circuit } from '../motor/circuit.ts';
import { pointGiving } from '../motor/at-part-load.ts';

/** A motor of the rig: its circuit is what it is, its plate what a reader is told. Invented. */
export interface BenchMotor {
  readonly circuit: Circuit;
  readonly plate: {
    /** W, V, A, Hz, r/min. */
    readonly power: number;
    readonly volts: number;
    readonly amperes: number;
    readonly hertz: number;
    readonly rpm: number;
    readonly poles: number;
    readonly efficiency: number;
    readonly powerFactor: number;
    readonly lockedRotorAmperes: number;
    /** Of rated torque. */
    readonly lockedRotorTorque: number;
    readonly breakdownTorque: number;
  };
}

const HERTZ = 60;
const VOLTS = 460;

/** Per-unit figures of a four-pole motor of a few kilowatts, on its own rating. Common practice, no published source. */
const PER_UNIT = { r1: 0.026, x1: 0.08, xm: 1.9, r2: 0.024, x2: 0.085, rc: 38, rs: 0.006 } as const;
const WINDAGE = 0.009;
/** Apparent power over shaft power of such a motor, for the base of its impedances. */
const APPARENT = 1.33;

function benchMotor(power: number): BenchMotor {
  const base = VOLTS ** 2 / (APPARENT * power);
  const circuit: Circuit = {
    r1: PER_UNIT.r1 * base,
    x1: PER_UNIT.x1 * base,
    xm: PER_UNIT.xm * base,
    r2: PER_UNIT.r2 * base,
    x2: PER_UNIT.x2 * base,
    rc: PER_UNIT.rc * base,
    rs: PER_UNIT.rs * base,
    volts: VOLTS,
    hz: HERTZ,
    poles: 4,
    rotationalLoss: 0,
    windage: WINDAGE * power,
  };
  const rated = pointGiving(circuit, power);
  if (!rated) throw new Error('the rig’s motor does not reach its rating');
  const torque = power / rated.speed;
  const standing = steadyPoint(circuit, 1);
  return {
    circuit,
    plate: {
      power,
      volts: VOLTS,
      amperes: Number(rated.statorCurrent.toPrecision(3)),
      hertz: HERTZ,
      rpm: Math.round((rated.speed * 30) / Math.PI),
      poles: 4,
      efficiency: Math.round(rated.efficiency * 1000) / 1000,
      powerFactor: Math.round(rated.powerFactor * 100) / 100,
      lockedRotorAmperes: Number(standing.statorCurrent.toPrecision(3)),
      lockedRotorTorque: Number((standing.inducedTorque / torque).toPrecision(3)),
      breakdownTorque: Number((steadyPoint(circuit, breakdownSlip(circuit)).inducedTorque / torque).toPrecision(3)),
    },
  };
}

const HP = 745.6999;
/** 7½ hp fits the blowers of the rig, 15 hp is twice too large. */
export const benchMotors = { fitting: benchMotor(7.5 * HP), oversized: benchMotor(15 * HP) } as const;
