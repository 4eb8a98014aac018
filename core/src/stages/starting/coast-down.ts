import { interpolate } from '../../kernel/numeric.ts';
import { circuitState } from '../../motor/circuit.ts';
import {
  of,
  running,
  STRAIGHT,
  through,
  TINY,
  type MotorOnSupply,
  type Instant,
  type Moment,
} from './motor-on-supply.ts';
import { finalSpeed } from './final-speed.ts';
import { LONGEST } from './run-up.ts';

export interface RunDown {
  /** s from running to a twentieth of it with the supply cut off. */
  readonly coast: number;
  /** The same with the voltage lowered over a ramp. */
  readonly soft: number;
}

/** Share of the running speed below which the machine counts as stopped, and where the ramp cuts off. */
const STOPPED = 0.05;
const CUT_OFF = 0.3;
const DOWN_STEPS = 400;
/** Share of synchronous speed over which the slope of the torque is taken. */
const NEARBY = 1e-4;

/**
 * How a loaded motor stops: coasting, and by a soft starter that lowers its voltage evenly to a third over `ramp` s and
 * then cuts off, by the linearly implicit trapezoidal rule (the backward one where the motor holds its speed stiffly). A pump must come to rest slower than the pressure wave travels its pipe.
 */
export function runDown(setting: MotorOnSupply, ramp: number): RunDown {
  const { circuit, turning } = setting;
  const run = running({ ...setting, feed: { kind: 'direct' } });
  const { synchronous } = run;
  const loadAt = (speed: number): number => interpolate(turning.speeds, turning.torques, speed);
  const full = finalSpeed(run) ?? synchronous;
  const stopped = STOPPED * full;
  /** Without supply the load alone slows the masses down: dt = J dω / T, over even steps of speed. */
  const coastFrom = (speed: number): number => {
    const step = Math.max(0, speed - stopped) / DOWN_STEPS;
    let time = 0;
    for (let at = 0; at < DOWN_STEPS && time < LONGEST; at++)
      time += (turning.inertia * step) / Math.max(0, loadAt(speed - (at + 0.5) * step));
    return Math.min(LONGEST, step > 0 ? time : 0);
  };
  const now: Instant = new Float64Array(9);
  const at: Moment = { time: 0, speed: 0, changedAt: 0 };
  const rate = (speed: number, volts: number): number => {
    at.speed = speed;
    through(now, run, circuitState(circuit, Math.max(TINY, 1 - speed / synchronous), circuit.hz), at, STRAIGHT);
    return (volts ** 2 * (now[of.torque] ?? 0) - loadAt(speed)) / turning.inertia;
  };
  const soft = (): number => {
    const step = ramp / DOWN_STEPS;
    let speed = full;
    for (let done = 0; done < DOWN_STEPS; done++) {
      if (speed <= stopped) return done * step;
      const volts = 1 - (1 - CUT_OFF) * ((done + 0.5) / DOWN_STEPS);
      const here = rate(speed, volts);
      // How stiffly the motor holds its speed: a light machine follows the voltage at once.
      const stiffness = Math.max(0, (here - rate(speed + NEARBY * synchronous, volts)) / (NEARBY * synchronous)) * step;
      speed = Math.max(0, speed + (step * here) / (1 + (stiffness > 2 ? stiffness : stiffness / 2)));
    }
    return Math.min(LONGEST, ramp + coastFrom(speed));
  };
  return { coast: coastFrom(full), soft: soft() };
}
