import type { Catalogue } from '../../catalogue/catalogue.ts';
import { sizeGroups } from '../../catalogue/size-groups.ts';
import type { Job } from '../../job/job.ts';
import { classEfficiency } from '../../motor/efficiency-class.ts';
import { sameRating, sizeText } from '../../motor/standard-power.ts';
import { estimatedSlip } from '../../motor/typical.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import { standardFrame } from '../nameplate/frame.ts';
import type { StageContext } from '../stage.ts';
import type { LoadResult } from './load-result.ts';
import { minimumSheaveDiameter } from './sheave.ts';
import { hasRadialLoad, sidePullOf } from './transmission.ts';
import type { Text } from '../../kernel/text.ts';

/** One speed a motor could be bought in for this load; SI. */
export interface PoleChoice {
  readonly poles: number;
  readonly power: number;
  readonly size: Text;
  readonly speed: number;
  /** Rated torque of the size, N·m. */
  readonly torque: number;
  readonly frame: string;
  readonly efficiency: number | undefined;
  /** Ratio that brings the driven shaft to the speed wanted. */
  readonly ratioNeeded: number;
  /** How far off the driven shaft turns with the ratio there is, as a share. */
  readonly speedError: number;
  /** Least catalogue price of the size over that of four poles; undefined where the catalogue has none. */
  readonly cost: number | undefined;
  /** Pull of the belt or chain on its shaft with the sheave typed, N, and the bearing that bears it; where one is there. */
  readonly sidePull: number | undefined;
  readonly bearing: string;
  /** Least pitch diameter of a V-belt sheave, m; undefined without a V-belt, or where none is named. */
  readonly leastSheave: number | undefined;
  readonly chosen: boolean;
  readonly advice: string;
}

const POLES = [2, 4, 6, 8] as const;
const DIRECT = 0.03;

/** Two, four, six and eight poles side by side for the torque and speed wanted. Empty until those are known. */
export function comparePoles(
  { job, given, practice }: StageContext,
  load: LoadResult,
  frequency: number,
  catalogue: Catalogue,
): PoleChoice[] {
  const { motorPower, standardPower, drivenSpeed, ratio, poles } = load.values;
  if (!motorPower || !standardPower || !drivenSpeed || !ratio) return [];
  const { school } = job;
  const power = standardPower.value;
  const first = job.load.stages[0]?.kind;
  const pulls = first !== undefined && hasRadialLoad(first);
  const { sheave } = given.load;
  const groups = sizeGroups(catalogue.motors).filter((each) => each.school === school && sameRating(each.power, power));
  const cheapestOf = (count: number): number | undefined => {
    const prices = groups.flatMap(({ cheapest }) => cheapest.get(count) ?? []);
    return prices.length > 0 ? Math.min(...prices) : undefined;
  };
  const reference = cheapestOf(4);
  return POLES.map((count): PoleChoice => {
    const efficiency = classEfficiency(school === 'NEMA' ? 'premium' : 'IE3', { power, poles: count, school })?.value;
    const loaded = motorPower.value / power;
    const speed = synchronousSpeed(frequency, count) * (1 - estimatedSlip(efficiency ?? 0.9) * loaded);
    const price = cheapestOf(count);
    const ratioNeeded = speed / drivenSpeed.value;
    const choice = {
      poles: count,
      power,
      size: sizeText(power),
      speed,
      torque: power / (synchronousSpeed(frequency, count) * (1 - estimatedSlip(efficiency ?? 0.9))),
      frame: standardFrame(power, count, false, school) ?? '',
      efficiency,
      ratioNeeded,
      speedError: speed / ratio.value / drivenSpeed.value - 1,
      cost: price !== undefined && reference ? price / reference : undefined,
      sidePull: pulls && sheave ? sidePullOf(first, motorPower.value / speed, sheave.value) : undefined,
      leastSheave: first === 'V-belt' ? minimumSheaveDiameter(power, count, school)?.value : undefined,
      bearing: pulls ? (power >= practice.rollerBearingPower.value ? 'roller' : 'ball') : '',
      chosen: count === poles?.value,
    };
    return { ...choice, advice: adviceFor(choice, job.load.machine) };
  });
}

function adviceFor(
  { poles, ratioNeeded }: Pick<PoleChoice, 'poles' | 'ratioNeeded'>,
  machine: Job['load']['machine'],
): string {
  if (Math.abs(ratioNeeded - 1) < DIRECT) return 'drives directly';
  if (ratioNeeded < 1) return 'would have to be geared up';
  if (poles === 2)
    return machine === 'other' ? 'fast and loud; for direct fans and pumps' : 'for direct fans and pumps';
  if (ratioNeeded <= 6) return poles > 4 ? 'a belt may do instead of a gearbox' : 'a belt will do';
  return 'needs a gearbox';
}
