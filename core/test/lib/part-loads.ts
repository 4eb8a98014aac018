import type { Solution } from '../../src/index.ts';
import { breakdownSlip, steadyPoint, type Circuit, type SteadyPoint } from '../../src/motor/circuit.ts';

/** Of the motor a job runs on. */
export function circuitOf({ details }: Solution): Circuit {
  const { machine } = details;
  if (!machine) throw new Error('no circuit fits the motor of the test');
  return machine.circuit;
}

/** Halves between two ends, as long as there is something between them. */
function root(below: (x: number) => boolean, low: number, high: number): number {
  for (let round = 0; round < 200; round++) {
    const middle = (low + high) / 2;
    if (below(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The point on the line that gives a shaft power: halved between no load and breakdown. */
export const pointOnLine = (circuit: Circuit, shaft: number): SteadyPoint =>
  steadyPoint(
    circuit,
    root((slip) => steadyPoint(circuit, slip).outputPower < shaft, 1e-9, breakdownSlip(circuit)),
  );

/** The point that turns at a speed, rad/s, under a torque: frequency halved around, at each of them the slip. */
export function pointFed(circuit: Circuit, torque: number, speed: number, flux = 1): SteadyPoint {
  const volts = (hz: number) => circuit.volts * Math.min(1, hz / circuit.hz) * flux;
  const at = (hz: number): SteadyPoint => {
    const slip = root(
      (each) => steadyPoint(circuit, each, volts(hz), hz).shaftTorque < torque,
      1e-9,
      breakdownSlip(circuit, hz),
    );
    return steadyPoint(circuit, slip, volts(hz), hz);
  };
  const synchronous = (speed * circuit.poles) / (4 * Math.PI);
  return at(root((hz) => at(hz).speed < speed, synchronous, 1.5 * synchronous));
}

/** Reference loss for 25 hp: 1.21 kW for 18.5, 1.41 for 22 (IEC 61800-9-2, from memory), straight between; drives today lose 45 %. */
export const LOSS_OF_25_HP = 0.45 * (1210 + (200 * (25 * 745.6999 - 18_500)) / 3500);

/** Shares of it at (frequency, torque current): .46 .57 .82 / .47 .59 .90 / .50 .62 1 (estimate); bilinear. */
export function shareOfLoss(frequency: number, current: number): number {
  const rows = [
    [0.46, 0.57, 0.82],
    [0.47, 0.59, 0.9],
    [0.5, 0.62, 1],
  ];
  const between = (x: number, xs: readonly number[], of: (at: number) => number): number => {
    const held = Math.min(xs[2] ?? 1, Math.max(xs[0] ?? 0, x));
    const at = held < (xs[1] ?? 0) ? 0 : 1;
    const [a, b] = [xs[at] ?? 0, xs[at + 1] ?? 1];
    return of(at) + ((held - a) / (b - a)) * (of(at + 1) - of(at));
  };
  return between(frequency, [0, 0.5, 0.9], (row) =>
    between(current, [0.25, 0.5, 1], (column) => rows[row]?.[column] ?? NaN),
  );
}
