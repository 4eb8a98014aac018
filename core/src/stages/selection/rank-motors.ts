import { figures, say, type Text } from '../../kernel/text.ts';
import type { MotorItem } from '../../catalogue/catalogue.ts';
import { late, lazy } from '../../kernel/memoize.ts';
import { sizeGroups } from '../../catalogue/size-groups.ts';
import type { JobView } from '../../job/job.ts';
import { inputOnDrive, inputOnLine } from '../../motor/part-load.ts';
import { sizeText } from '../../motor/standard-power.ts';
import { connectableVoltage, farOff, isRefused, refusals, type MotorNeed, type MotorRule } from './motor-rules.ts';

export interface RankedMotor {
  readonly item: MotorItem;
  readonly voltage: number;
  readonly current: number;
  /** Price plus the cost of its losses over the years counted. */
  readonly lifeCost: number;
  readonly reasons: readonly Text[];
}

export interface RefusedMotor {
  readonly id: string;
  readonly name: string;
  readonly rule: MotorRule;
  readonly reason: Text;
}

export interface MotorRanking {
  readonly fits: readonly RankedMotor[];
  /** Motors of the size that do not fit, each with its first reason; the nearest misses first; told when they are asked for. */
  readonly refused: readonly RefusedMotor[];
  /** How many more the catalogue has, of another frequency or size. */
  readonly others: readonly { readonly reason: Text; readonly count: number }[];
}

export interface Running {
  /** Every point of the profile: shaft power, W, time in the years counted, s, and speed as a share of full on a drive. */
  readonly points: readonly {
    readonly shaftPower: number;
    readonly seconds: number;
    readonly speed: number | undefined;
  }[];
  readonly fixedShare: number;
  /** Per J, in the catalogue’s currency. */
  readonly energyPrice: number;
}

/** Cost of what a motor loses at the points of the profile, by its guaranteed minimum efficiency. */
function lossCostOf(
  { power, efficiencyMinimum, efficiency }: MotorItem,
  { points, fixedShare, energyPrice }: Running,
): number {
  const motor = { power, efficiencyMinimum: Math.min(efficiencyMinimum, efficiency) };
  const lost = points.reduce((sum, { shaftPower, seconds, speed }) => {
    if (shaftPower <= 0) return sum;
    const input =
      speed === undefined
        ? inputOnLine(motor, shaftPower, fixedShare)
        : inputOnDrive(motor, shaftPower, speed, fixedShare);
    return sum + (input - shaftPower) * seconds;
  }, 0);
  return lost * energyPrice;
}

/** Hard rules refuse with a reason; the rest are ranked by what the user cares about. */
export function rankMotors(
  items: readonly MotorItem[],
  requirement: MotorNeed,
  running: Running | undefined,
  prefer: JobView['pick']['prefer'],
): MotorRanking {
  const fits: RankedMotor[] = [];
  const against: MotorItem[] = [];
  /** By the rule, and by what it says where that is a code. */
  const others = new Map<string, { reason: Text; count: number }>();
  const candidates = sizeGroups(items).flatMap((group) => {
    const far = farOff(group, requirement);
    if (!far) return group.items;
    const reason = far.rule === 'power' ? say`of another rating than ${sizeText(requirement.power)}` : far.reason;
    const key = far.rule === 'power' ? far.rule : JSON.stringify(far.reason);
    others.set(key, { reason, count: (others.get(key)?.count ?? 0) + group.items.length });
    return [];
  });
  for (const item of candidates) {
    if (isRefused(item, requirement)) {
      against.push(item);
      continue;
    }
    const winding = connectableVoltage(item, requirement);
    const lossCost = running ? lossCostOf(item, running) : 0;
    fits.push({
      item,
      voltage: item.voltages[winding] ?? 0,
      current: item.currents[winding] ?? 0,
      lifeCost: item.price + lossCost,
      reasons: [],
    });
  }
  const order = {
    'life cost': (each: RankedMotor) =>
      running ? each.lifeCost : -each.item.efficiencyMinimum * 1e6 + each.item.price,
    'first cost': (each: RankedMotor) => each.item.price,
    availability: (each: RankedMotor) => each.item.leadDays * 1e7 + each.item.price,
  }[prefer];
  const sorted = fits.toSorted((a, b) => order(a) - order(b));
  const reasons = reasonsFor(sorted, running !== undefined);
  const refused = lazy(() => inWords(against, requirement));
  return late({
    fits: sorted.map((each) => ({ ...each, reasons: reasons(each) })),
    get refused() {
      return refused();
    },
    others: [...others.values()],
  });
}

/** Those that do not fit, each with its first reason; the nearest misses first. */
const inWords = (against: readonly MotorItem[], requirement: MotorNeed): RefusedMotor[] =>
  against
    .map((item) => ({ item, broken: refusals(item, requirement) }))
    .toSorted((a, b) => a.broken.length - b.broken.length)
    .flatMap(({ item: { id, name }, broken: [first] }) => (first ? [{ id, name, ...first }] : []));

/** What speaks for and against each motor beside the others that fit, the first of them the best. */
function reasonsFor(all: readonly RankedMotor[], withLife: boolean): (motor: RankedMotor) => Text[] {
  const merits = [
    ...(withLife ? [['least life cost', (each: RankedMotor) => each.lifeCost] as const] : []),
    ['least first cost', (each: RankedMotor) => each.item.price] as const,
    ['soonest here', (each: RankedMotor) => each.item.leadDays] as const,
    ['least loss', (each: RankedMotor) => -each.item.efficiencyMinimum] as const,
  ].map(([name, of]) => ({ name, of, least: Math.min(...all.map(of)) + 1e-9 }));
  const [best] = all;
  return (motor) => {
    const reasons: Text[] = merits.flatMap(({ name, of, least }) => (of(motor) <= least ? [name] : []));
    if (motor.item.inverterDuty) reasons.push('inverter duty');
    if (reasons.length > 0) return reasons;
    return best && withLife
      ? [say`${figures(motor.lifeCost - best.lifeCost, 3)} dearer over its life than the first`]
      : ['fits every rule'];
  };
}
