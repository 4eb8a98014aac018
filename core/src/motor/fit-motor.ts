import type { Value } from '../kernel/value.ts';
import { memoize } from '../kernel/memoize.ts';
import { speedCurve } from './circuit.ts';
import { fitCircuit, type Fit, type FitTargets } from './fit-circuit.ts';
import { bestFlux, partLoads } from './operating.ts';
import type { Motor } from './typical.ts';

/** Of the data sheet, where it is known. */
type DataSheet = Readonly<
  Partial<
    Record<
      | 'lockedRotorTorque'
      | 'breakdownTorque'
      | 'pullUpTorque'
      | 'efficiency75'
      | 'efficiency50'
      | 'leakageKnee'
      | 'leakageFloor',
      Value
    >
  >
>;

/** Share of the locked-rotor reactance in the stator by design letter (IEEE 112, from memory). */
const statorShares: Readonly<Record<string, number>> = { A: 0.5, B: 0.4, C: 0.3, D: 0.5, N: 0.4, H: 0.3 };

/** Efficiencies at part load that the data sheet gives. */
const partLoadsOf = ({ efficiency75, efficiency50 }: DataSheet): NonNullable<FitTargets['partLoads']> =>
  [
    { share: 0.75, efficiency: efficiency75?.value },
    { share: 0.5, efficiency: efficiency50?.value },
  ].flatMap(({ share, efficiency }) => (efficiency === undefined ? [] : [{ share, efficiency }]));

/**
 * Fixed share of the full-load loss from part-load efficiencies: loss(y) = L·(f + (1 − f)·y²), least squares over the
 * points; `usual` where there are none.
 */
function fixedShareFrom(motor: Motor, points: NonNullable<FitTargets['partLoads']>, usual: number): number {
  const full = 1 / motor.efficiency - 1;
  let over = 0;
  let under = 0;
  for (const { share, efficiency } of points) {
    const loss = (share * (1 / efficiency - 1)) / full;
    // loss = f (1 − y²) + y²
    over += (loss - share ** 2) * (1 - share ** 2);
    under += (1 - share ** 2) ** 2;
  }
  return under === 0 ? usual : Math.min(0.75, Math.max(0.1, over / under));
}

/** What is known of the motor, from its plate and, where typed, its data sheet. */
export function fitTargets(motor: Motor, sheet: DataSheet, usualFixedShare: number): FitTargets {
  const points = partLoadsOf(sheet);
  const made = motor.winding ?? motor;
  const known = sheet.lockedRotorTorque !== undefined && sheet.breakdownTorque !== undefined;
  return {
    power: motor.power,
    frequency: motor.frequency,
    poles: motor.poles,
    speed: motor.speed,
    efficiency: motor.efficiency,
    voltage: made.voltage,
    current: made.current,
    lockedRotorCurrent: made.lockedRotorCurrent,
    lockedRotorCurrentLeast: made.lockedRotorCurrentLeast,
    lockedRotorTorque: sheet.lockedRotorTorque?.value ?? motor.lockedRotorTorque,
    breakdownTorque: sheet.breakdownTorque?.value ?? motor.breakdownTorque,
    pullUpTorque: sheet.pullUpTorque?.value,
    partLoads: points,
    saturation: sheet.leakageKnee && {
      knee: sheet.leakageKnee.value,
      floor: sheet.leakageFloor?.value ?? USUAL_FLOOR,
    },
    torquesAtLeast: motor.kind !== 'picked' && !known,
    fixedShare: fixedShareFrom(motor, points, usualFixedShare),
    statorShare: statorShares[motor.designLetter?.trim().toUpperCase().at(0) ?? 'B'] ?? 0.4,
  };
}

/** A motor as a circuit, with what its circuit says of it; SI. */
export interface Machine extends Fit {
  readonly targets: FitTargets;
  /** At rated voltage, rising in speed. */
  readonly curve: {
    readonly speeds: readonly number[];
    readonly torques: readonly number[];
    readonly currents: readonly number[];
  };
  readonly partLoads: readonly {
    readonly share: number;
    readonly efficiency: number;
    readonly powerFactor: number;
    readonly current: number;
    /** rad/s */
    readonly speed: number;
    /** Input saved with the best flux, of the input at rated voltage. */
    readonly fluxSaving: number;
  }[];
}

const CURVE_POINTS = 48;

function machineOf(targets: FitTargets): Machine | undefined {
  const fit = fitCircuit(targets);
  if (!fit) return undefined;
  const points = speedCurve(fit.circuit, fit.circuit.volts, fit.circuit.hz, CURVE_POINTS);
  const torque = targets.power / targets.speed;
  return {
    ...fit,
    targets,
    curve: {
      speeds: points.map((point) => point.speed),
      torques: points.map((point) => point.shaftTorque),
      currents: points.map((point) => point.statorCurrent),
    },
    partLoads: partLoads(fit.circuit, torque).map(({ share, point }) => ({
      share,
      efficiency: point.efficiency,
      powerFactor: point.powerFactor,
      current: point.statorCurrent,
      speed: point.speed,
      fluxSaving: Math.max(0, bestFlux(fit.circuit, share * torque, fit.circuit.hz)?.saving ?? 0),
    })),
  };
}

/** Share of the leakage left where it saturates. Common practice, no published source. */
const USUAL_FLOOR = 0.6;

const REMEMBERED = 200;
const memory = new Map<string, Machine | undefined>();

/** The circuit of a motor; remembered, since most keystrokes leave the motor as it was. */
export function fitMotor(targets: FitTargets): Machine | undefined {
  return memoize(memory, REMEMBERED, JSON.stringify(targets), () => machineOf(targets));
}

interface Seen {
  readonly sheet: DataSheet;
  readonly fixedShare: number;
  readonly machine: Machine | undefined;
}
/** What was found last for a motor: every stage of a solve asks for the same. */
const seen = new WeakMap<Motor, Seen>();

/** The circuit of what is known of a motor, from its plate and, where typed, its data sheet. */
export function fitOf(motor: Motor, sheet: DataSheet, usualFixedShare: number): Machine | undefined {
  const last = seen.get(motor);
  if (last?.sheet === sheet && last.fixedShare === usualFixedShare) return last.machine;
  const machine = fitMotor(fitTargets(motor, sheet, usualFixedShare));
  seen.set(motor, { sheet, fixedShare: usualFixedShare, machine });
  return machine;
}
