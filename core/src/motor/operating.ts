import { bisect } from '../kernel/numeric.ts';
import { breakdownSlip, leastBetween, steadyPoint, type Circuit, type SteadyPoint } from './circuit.ts';
import { slipAtTorque } from './fit-circuit.ts';

/** Steady running below breakdown at a shaft torque, N·m; undefined where the motor cannot hold it. */
export function runningPoint(
  circuit: Circuit,
  torque: number,
  volts = circuit.volts,
  hz = circuit.hz,
): SteadyPoint | undefined {
  const slip = slipAtTorque(circuit, torque, volts, hz);
  return slip === undefined ? undefined : steadyPoint(circuit, slip, volts, hz);
}

/** Steady running at a shaft power, W: the torque follows from the speed it runs at. */
export function pointAtPower(circuit: Circuit, power: number): SteadyPoint | undefined {
  const high = breakdownSlip(circuit);
  if (steadyPoint(circuit, high).outputPower < power) return undefined;
  const gives = (slip: number): boolean => steadyPoint(circuit, slip).outputPower < power;
  const found = bisect(gives, { low: 1e-7, high }, { rounds: 60 });
  return steadyPoint(circuit, (found.low + found.high) / 2);
}

/** One point of a part-load table. */
export interface PartLoad {
  readonly share: number;
  readonly point: SteadyPoint;
}

/** Efficiency, power factor and current at shares of the rated torque. */
export const partLoads = (
  circuit: Circuit,
  ratedTorque: number,
  shares: readonly number[] = [0.25, 0.5, 0.75, 1, 1.25],
): PartLoad[] =>
  shares.flatMap((share) => {
    const point = runningPoint(circuit, share * ratedTorque);
    return point ? [{ share, point }] : [];
  });

export interface BestFlux {
  /** Voltage with the least input at this torque and frequency, V. */
  readonly volts: number;
  readonly best: SteadyPoint;
  /** At the voltage in proportion to frequency. */
  readonly usual: SteadyPoint;
  /** Input saved over the usual input. */
  readonly saving: number;
}

/** The flux that carries a torque with the least input, from the circuit; undefined where the torque cannot be held. */
export function bestFlux(circuit: Circuit, torque: number, hz: number): BestFlux | undefined {
  const proportional = (circuit.volts * hz) / circuit.hz;
  const usual = runningPoint(circuit, torque, proportional, hz);
  if (!usual) return undefined;
  const input = (volts: number): number => runningPoint(circuit, torque, volts, hz)?.inputPower ?? Number.MAX_VALUE;
  const volts = leastBetween(0.2 * proportional, 1.05 * proportional, input, 1e-4 * proportional);
  const best = runningPoint(circuit, torque, volts, hz) ?? usual;
  return { volts, best, usual, saving: 1 - best.inputPower / usual.inputPower };
}
