import { bisect } from '../../kernel/numeric.ts';

/** A pump or fan with its system. Flow, head, power and speed are shares of those at full flow; `efficiency` is any scale. */
export interface FlowMachine {
  /** Head at full speed. */
  readonly head: (flow: number) => number;
  readonly efficiency: (flow: number) => number;
  /** Share of the head at full flow that is there without flow: lift, or a set pressure. */
  readonly staticShare: number;
  /** Of a curve of two terms, H₀ − (H₀ − 1)·q²: the head at no flow. */
  readonly shutOff?: number;
}

/** A parabola through the best point leaves no efficiency at twice its flow; a machine there still turns. */
const LEAST_EFFICIENCY = 0.02;

/** η = 2x − x² of the best, x being the flow over the best flow. Common practice within 2–3 points for 0.5 ≤ x ≤ 1.2. */
export const efficiencyAbout =
  (best: number) =>
  (flow: number): number => {
    const x = flow / best;
    const efficiency = 2 * x - x * x;
    return x > 1 ? Math.max(LEAST_EFFICIENCY, efficiency) : efficiency;
  };

/** A machine of which head at no flow and at full flow are known. */
export const twoTermMachine = (shutOff: number, best: number, staticShare: number): FlowMachine => ({
  head: (flow) => shutOff - (shutOff - 1) * flow * flow,
  efficiency: efficiencyAbout(best),
  staticShare,
  shutOff,
});

/** Head the system asks for: its static share, and friction with the flow squared. */
export const systemHead = ({ staticShare }: FlowMachine, flow: number): number =>
  staticShare + (1 - staticShare) * flow * flow;

/** Power at a flow and speed with the head it then gives: q·s²·H(q/s)/η(q/s), by the affinity laws. */
export function powerAt(machine: FlowMachine, flow: number, speed: number): number {
  const seen = flow / speed;
  // Without flow q/η goes to half the best flow: what a closed valve takes.
  const small = Math.max(seen, 1e-6);
  return small * speed ** 3 * (machine.head(small) / machine.efficiency(small));
}

/** The most speed that is looked for. */
const FASTEST = 2;

/** Speed at which a machine brings a flow against a head: s²·H(q/s) = h. Affinity laws; for two terms in closed form. */
export function speedAgainst(machine: FlowMachine, flow: number, head: number): number {
  const { shutOff } = machine;
  if (shutOff !== undefined) return Math.sqrt((head + (shutOff - 1) * flow * flow) / shutOff);
  const tooSlow = (speed: number): boolean => speed * speed * machine.head(flow / speed) < head;
  const { low, high } = bisect(tooSlow, { low: 1e-3, high: FASTEST }, { rounds: 50 });
  return (low + high) / 2;
}

export const speedFor = (machine: FlowMachine, flow: number): number =>
  speedAgainst(machine, flow, systemHead(machine, flow));

/** The most flow a machine brings at a speed against the system; 0 where it does not overcome the static head. */
export function reach(machine: FlowMachine, speed: number): number {
  const enough = (flow: number): boolean => speed * speed * machine.head(flow / speed) > systemHead(machine, flow);
  return enough(1e-9) ? bisect(enough, { low: 0, high: 4 }, { rounds: 50 }).low : 0;
}

/** Flow of one machine at full speed against a head; 0 where its valve stays closed. */
export function flowAgainst(machine: FlowMachine, head: number): number {
  const above = (flow: number): boolean => machine.head(flow) > head;
  return above(0) ? bisect(above, { low: 0, high: 4 }, { rounds: 50 }).low : 0;
}
