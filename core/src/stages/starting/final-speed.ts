import { regulaFalsi, interpolate } from '../../kernel/numeric.ts';
import { circuitState } from '../../motor/circuit.ts';
import { of, STRAIGHT, through, TINY, type Instant, type Moment, type Running } from './motor-on-supply.ts';

/** Shaft speed on a drive at rated frequency and load, of synchronous speed. Common practice, no published source. */
const DRIVEN = 0.985;
/** Of synchronous speed: how far apart it is looked for where torque and load meet, and how far down. */
const APART = 0.005;
const STEPS = 60;

/** Where torque and load meet at full voltage, rad/s; undefined where the motor cannot hold the load at all. */
export function finalSpeed(run: Running): number | undefined {
  const { setting, synchronous } = run;
  const { circuit, feed, turning } = setting;
  if (feed.kind === 'drive') return Math.min(synchronous * DRIVEN, feed.speed ?? Number.POSITIVE_INFINITY);
  const probe: Instant = new Float64Array(9);
  const at: Moment = { time: 0, speed: 0, changedAt: 0 };
  const over = (speed: number): number => {
    at.speed = speed;
    through(probe, run, circuitState(circuit, Math.max(TINY, 1 - speed / synchronous), circuit.hz), at, STRAIGHT);
    return (probe[of.torque] ?? 0) - interpolate(turning.speeds, turning.torques, speed);
  };
  let high = synchronous * (1 - TINY);
  if (over(high) > 0) return high;
  for (let step = 1; step <= STEPS; step++) {
    const low = synchronous * (1 - APART * step);
    if (over(low) > 0) return regulaFalsi(over, { low, high }, { rounds: 20, width: 1e-7 * synchronous });
    high = low;
  }
  return undefined;
}
