import type { MotorItem } from '../../catalogue/catalogue.ts';
import type { Job } from '../../job/job.ts';
import { inputOnDrive, inputOnLine } from '../../motor/part-load.ts';
import { formatNumber } from '../../ground/quantity/format.ts';
import { connectableVoltage, refusals, type MotorNeed, type MotorRule, type Refusal } from './motor-rules.ts';

export interface RankedMotor {
  readonly item: MotorItem;
  readonly voltage: number;
  readonly current: number;
  /** Price plus the cost of its losses over the years counted. */
  readonly lifeCost: number;
  readonly reasons: readonly string[];
}

export interface RefusedMotor {
  readonly id: string;
  readonly name: string;
  readonly rule: MotorRule;
  readonly reason: string;
}

export interface MotorRanking {
  readonly fits: readonly RankedMotor[];
  /** Every motor of the catalogue that does not fit, each with its first reason; the nearest misses first. */
  readonly refused: readonly RefusedMotor[];
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

const judged = new WeakMap<readonly MotorItem[], { readonly need: string; readonly refused: readonly Refusal[][] }>();

/** What each item breaks; remembered, since most keystrokes leave what is needed as it was. */
function refusalsOf(items: readonly MotorItem[], need: MotorNeed): readonly Refusal[][] {
  const key = JSON.stringify(need);
  const before = judged.get(items);
  if (before?.need === key) return before.refused;
  const refused = items.map((item) => refusals(item, need));
  judged.set(items, { need: key, refused });
  return refused;
}

/** Hard rules refuse with a reason; the rest are ranked by what the user cares about. */
export function rankMotors(
  items: readonly MotorItem[],
  need: MotorNeed,
  running: Running | undefined,
  prefer: Job['pick']['prefer'],
): MotorRanking {
  const fits: RankedMotor[] = [];
  const near: { readonly motor: RefusedMotor; readonly misses: number }[] = [];
  const far: RefusedMotor[] = [];
  const refused = refusalsOf(items, need);
  for (const [at, item] of items.entries()) {
    const broken = refused[at] ?? [];
    const first = broken[0];
    if (first) {
      const motor = { id: item.id, name: item.name, rule: first.rule, reason: first.reason };
      if (first.rule === 'power' || first.rule === 'frequency') far.push(motor);
      else near.push({ motor, misses: broken.length });
      continue;
    }
    const winding = connectableVoltage(item, need);
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
  return {
    fits: sorted.map((each) => ({ ...each, reasons: reasonsFor(each, sorted, running !== undefined) })),
    refused: [...near.toSorted((a, b) => a.misses - b.misses).map(({ motor }) => motor), ...far],
  };
}

/** What speaks for and against a motor beside the others that fit. */
function reasonsFor(motor: RankedMotor, all: readonly RankedMotor[], withLife: boolean): string[] {
  const least = (of: (each: RankedMotor) => number) => of(motor) <= Math.min(...all.map(of)) + 1e-9;
  const reasons: string[] = [];
  if (withLife && least((each) => each.lifeCost)) reasons.push('least life cost');
  if (least((each) => each.item.price)) reasons.push('least first cost');
  if (least((each) => each.item.leadDays)) reasons.push('soonest here');
  if (least((each) => -each.item.efficiencyMinimum)) reasons.push('least loss');
  if (motor.item.inverterDuty) reasons.push('inverter duty');
  if (reasons.length === 0) {
    const best = all[0];
    if (best && withLife)
      reasons.push(`${formatNumber(motor.lifeCost - best.lifeCost, 3)} dearer over its life than the first`);
    else reasons.push('fits every rule');
  }
  return reasons;
}
