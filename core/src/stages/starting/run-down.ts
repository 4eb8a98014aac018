import { interpolate } from '../load/torque-curve.ts';
import { circuitState } from '../../motor/circuit.ts';
import { synchronousSpeed } from '../../motor/typical.ts';
import { of, thevenin, through, TINY, type FedMotor, type Instant } from './fed-motor.ts';
import { finalSpeed, LONGEST } from './run-up.ts';

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
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const supply = thevenin(circuit, setting.source);
  const loadAt = (speed: number): number => interpolate(turning.speeds, turning.torques, speed);
  const running = finalSpeed({ ...setting, feed: { kind: 'direct' } }, supply, synchronous, loadAt) ?? synchronous;
  const at: Instant = new Float64Array(9);
  const stop = (volts: (time: number) => number): number => {
    let speed = running;
    let time = 0;
    const step = Math.min(0.05, (turning.inertia * running) / Math.max(1e-9, loadAt(running)) / DOWN_STEPS);
    while (speed > STOPPED * running && time < LONGEST) {
      const rate = (w: number, t: number): number => {
        const share = volts(t);
        let torque = 0;
        if (share > 0) {
          const slip = Math.max(TINY, 1 - w / synchronous);
          through(at, setting, supply, circuitState(circuit, slip, circuit.hz), slip, w, 1, 1);
          torque = share ** 2 * (at[of.torque] ?? 0);
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
