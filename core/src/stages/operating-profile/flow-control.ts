import { flowControlFan } from '../../kernel/tables/index.ts';
import { flowAgainst, powerAt, reach, speedAgainst, speedFor, systemHead, type FlowMachine } from './flow-machine.ts';

/** Ways to bring a flow below full. */
export type Control =
  | 'none'
  | 'on/off'
  | 'damper'
  | 'inlet vane'
  | 'throttle'
  | 'bypass'
  | 'two speeds'
  | 'slip coupling'
  | 'trim'
  | 'speed';

/** What a control works with. */
export interface ControlSetting {
  readonly machine: FlowMachine;
  /** Machines side by side or one behind the other, and whether only one of them changes its speed. */
  readonly machines: number;
  readonly inSeries: boolean;
  readonly oneOnSpeed: boolean;
  /** Of full speed: the slower of two, and the least a drive may turn. */
  readonly lowerSpeed: number;
  readonly leastSpeed: number;
  /** The largest flow that is ever used: what a trimmed machine still brings. */
  readonly largest: number;
}

/** Machines that run alike: how many, the power of each, of that at its full flow, and its speed. */
export interface Running {
  readonly count: number;
  readonly power: number;
  readonly speed: number;
  /** Whether a drive feeds it. */
  readonly onDrive: boolean;
}

/** How a flow is brought. */
export interface FlowPoint {
  readonly machines: readonly Running[];
  /** Share of the time in which they run. */
  readonly share: number;
}

/** Nothing runs. */
export const NOTHING: FlowPoint = { machines: [], share: 1 };

const one = (power: number, speed = 1, share = 1): FlowPoint => ({
  machines: [{ count: 1, power, speed, onDrive: false }],
  share,
});
const driven = (power: number, speed: number, count = 1): Running => ({ count, power, speed, onDrive: true });

/** Flow from which a machine counts as running full. */
export const FULL = 0.98;

/** Cubic of the flow for vanes at the inlet of a fan; DOE-2 lineage curves, recalled from memory. */
function vanes(flow: number): number {
  const row = flowControlFan.row('inlet_guide_vane');
  const at = (x: number): number =>
    ['a', 'b', 'c', 'd'].reduce(
      (sum, column, power) => sum + (flowControlFan.number(row, column) ?? 0) * x ** power,
      0,
    );
  return at(flow) / at(1);
}

/**
 * How a control brings a flow. Undefined without a control where the flow is less than full: then no power may be assumed.
 * Several machines are run one after the other where that brings it; each control works on those that run.
 */
export function controlled(control: Control, flow: number, on: ControlSetting): FlowPoint | undefined {
  if (flow <= 0) return NOTHING;
  const { machine } = on;
  const full = powerAt(machine, 1, 1);
  if (control === 'speed') return { machines: bySpeed(flow, on, full), share: 1 };
  const all = (point: FlowPoint): FlowPoint => ({
    ...point,
    machines: point.machines.map((each) => ({ ...each, count: on.machines })),
  });
  // Beyond its full flow a machine asks for the cube, whatever the control.
  if (flow > 1) return all(one(flow ** 3));
  const throttled = (speed: number): FlowPoint => one(powerAt(machine, flow, speed) / full, speed);
  switch (control) {
    case 'none':
      return flow >= FULL ? all(one(1)) : undefined;
    case 'throttle':
    case 'damper':
      return { machines: staged(flow, on, full), share: 1 };
    case 'inlet vane':
      return all(one(Math.max(vanes(flow), speedShare(machine, flow, full))));
    case 'bypass':
      return all(one(1));
    case 'on/off':
      return all(one(1, 1, flow));
    case 'two speeds':
      return all(throttled(flow <= reach(machine, on.lowerSpeed) + CLOSE ? on.lowerSpeed : 1));
    case 'slip coupling': {
      const speed = speedFor(machine, flow);
      return all(one(speedShare(machine, flow, full) / speed, speed));
    }
    case 'trim':
      return all(throttled(Math.min(1, speedFor(machine, Math.max(flow, on.largest)))));
  }
}

const CLOSE = 1e-9;

const speedShare = (machine: FlowMachine, flow: number, full: number): number =>
  powerAt(machine, flow, speedFor(machine, flow)) / full;

/** By speed: never slower than the drive may turn; the rest is throttled. */
function bySpeed(flow: number, on: ControlSetting, full: number): Running[] {
  const { machine, leastSpeed } = on;
  if (on.machines > 1 && flow <= 1) {
    if (on.inSeries) return on.oneOnSpeed ? oneInSeries(flow, on, full) : allInSeries(flow, on, full);
    return on.oneOnSpeed ? oneOfSeveral(flow, on, full) : allOfSeveral(flow, on, full);
  }
  const speed = Math.max(leastSpeed, speedFor(machine, flow));
  return [driven(powerAt(machine, flow, speed) / full, speed, on.machines)];
}

/** As few machines at full speed as bring the flow, throttled. */
function staged(flow: number, { machine, machines, inSeries }: ControlSetting, full: number): Running[] {
  if (inSeries) return stagedInSeries(flow, { machine, machines }, full);
  const each = machines === 1 ? 1 : flowAgainst(machine, systemHead(machine, flow));
  const count = Math.min(machines, Math.max(1, Math.ceil((flow * machines) / Math.max(each, CLOSE) - CLOSE)));
  return [{ count, power: powerAt(machine, (flow * machines) / count, 1) / full, speed: 1, onDrive: false }];
}

/** All that run turn alike. */
function allOfSeveral(flow: number, { machine, machines, leastSpeed }: ControlSetting, full: number): Running[] {
  const head = systemHead(machine, flow);
  const choices = Array.from({ length: machines }, (_, at): Running => {
    const share = (flow * machines) / (at + 1);
    const speed = Math.max(leastSpeed, speedAgainst(machine, share, head));
    return driven(powerAt(machine, share, speed) / full, speed, at + 1);
  });
  return [staying(choices, machines)];
}

const total = ({ count, power }: Running): number => count * power;

/** Share of the power that must be saved before one machine fewer runs, lest they come and go. Common practice, no published source. */
const STAGING = 0.05;

/** From all that are there downwards, one machine fewer only where that saves enough; those too few to bring it are left out. */
function staying(choices: readonly Running[], machines: number): Running {
  const reached = choices.filter(({ speed, count }) => speed <= 1 + CLOSE || count === machines);
  return reached.reduceRight((kept, fewer) => (total(fewer) < (1 - STAGING) * total(kept) ? fewer : kept));
}

/** Some turn at full speed against the common head, the last takes the rest. */
function oneOfSeveral(flow: number, { machine, machines, leastSpeed }: ControlSetting, full: number): Running[] {
  const head = systemHead(machine, flow);
  const each = flowAgainst(machine, head);
  const count = each > 0 ? Math.min(machines - 1, Math.floor((flow * machines) / each + CLOSE)) : machines - 1;
  const rest = flow * machines - count * each;
  const fixed: Running[] =
    count > 0 ? [{ count, power: powerAt(machine, each, 1) / full, speed: 1, onDrive: false }] : [];
  if (rest <= CLOSE) return fixed;
  const speed = Math.max(leastSpeed, speedAgainst(machine, rest, head));
  return [...fixed, driven(powerAt(machine, rest, speed) / full, speed)];
}

/** Heads add up, flow is common: each of m brings an m-th of the head. As few at full speed as overcome the system, throttled. */
function stagedInSeries(
  flow: number,
  { machine, machines }: Pick<ControlSetting, 'machine' | 'machines'>,
  full: number,
): Running[] {
  const count = fewestInSeries(flow, { machine, machines });
  return [{ count, power: powerAt(machine, flow, 1) / full, speed: 1, onDrive: false }];
}

function fewestInSeries(flow: number, { machine, machines }: Pick<ControlSetting, 'machine' | 'machines'>): number {
  const needed = (systemHead(machine, flow) * machines) / Math.max(machine.head(flow), CLOSE);
  return Math.min(machines, Math.max(1, Math.ceil(needed - CLOSE)));
}

/** All that run turn alike and share the head. */
function allInSeries(flow: number, { machine, machines, leastSpeed }: ControlSetting, full: number): Running[] {
  const head = systemHead(machine, flow);
  const choices = Array.from({ length: machines }, (_, at): Running => {
    const speed = Math.max(leastSpeed, speedAgainst(machine, flow, (head * machines) / (at + 1)));
    return driven(powerAt(machine, flow, speed) / full, speed, at + 1);
  });
  return [staying(choices, machines)];
}

/** Some give their whole head at full speed, the last what is left of it. */
function oneInSeries(flow: number, { machine, machines, leastSpeed }: ControlSetting, full: number): Running[] {
  const count = fewestInSeries(flow, { machine, machines }) - 1;
  const left = systemHead(machine, flow) * machines - count * machine.head(flow);
  const speed = Math.max(leastSpeed, speedAgainst(machine, flow, Math.max(0, left)));
  const last = driven(powerAt(machine, flow, speed) / full, speed);
  return count > 0 ? [{ count, power: powerAt(machine, flow, 1) / full, speed: 1, onDrive: false }, last] : [last];
}
