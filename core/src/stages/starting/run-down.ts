import { interpolate } from '../../ground/numeric.ts';
import { circuitState } from '../../motor/circuit.ts';
import { of, running, STRAIGHT, through, TINY, type FedMotor, type Instant, type Moment } from './fed-motor.ts';
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

/**
 * How a loaded motor stops: coasting, and by a soft starter that lowers its voltage evenly to a third over `ramp` s and
 * then cuts off. A pump must come to rest slower than the pressure wave travels its pipe.
 */
export function runDown(setting: FedMotor, ramp: number): RunDown {
  const { circuit, turning } = setting;
  const run = running({ ...setting, feed: { kind: 'direct' } });
  const { synchronous } = run;
  const loadAt = (speed: number): number => interpolate(turning.speeds, turning.torques, speed);
  const full = finalSpeed(run) ?? synchronous;
  const now: Instant = new Float64Array(9);
  const at: Moment = { time: 0, speed: 0, changedAt: 0 };
  const stop = (volts: (time: number) => number): number => {
    let speed = full;
    let time = 0;
    const step = Math.min(0.05, (turning.inertia * full) / Math.max(1e-9, loadAt(full)) / DOWN_STEPS);
    while (speed > STOPPED * full && time < LONGEST) {
      const rate = (w: number, t: number): number => {
        const share = volts(t);
        let torque = 0;
        if (share > 0) {
          const slip = Math.max(TINY, 1 - w / synchronous);
          at.speed = w;
          through(now, run, circuitState(circuit, slip, circuit.hz), at, STRAIGHT);
          torque = share ** 2 * (now[of.torque] ?? 0);
        }
        return (torque - loadAt(w)) / turning.inertia;
      };
      const middle = speed + (step / 2) * rate(speed, time);
      speed += step * rate(middle, time + step / 2);
      time += step;
    }
    return time;
  };
  const lowered = (time: number): number => (time >= ramp ? 0 : 1 - (1 - CUT_OFF) * (time / ramp));
  return { coast: stop(() => 0), soft: stop(lowered) };
}
