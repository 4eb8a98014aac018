import { quantity, type Value } from '../../kernel/value.ts';
import type { OptionRow, ProfilePoint } from '../operating-profile/profile-result.ts';
import type { OptionContext } from '../stage.ts';
import type { EconomicsInput } from './economics-input.ts';
import { demandOf } from './demand.ts';
import type { MoneyValues } from './values.ts';

type Running = Pick<
  MoneyValues,
  | 'yearlyCostThrottled'
  | 'yearlyCostSpeedControlled'
  | 'demandThrottled'
  | 'demandSpeedControlled'
  | 'yearlySaving'
  | 'yearlyCost'
>;

/** What a row takes, W and VA. */
type Taken = Pick<OptionRow, 'mean' | 'peak' | 'apparent'>;

/** Energy and demand of a year, as it runs today, with speed control and in this option. */
export function runningCosts(on: EconomicsInput, energyPrice: Value): Running {
  const { brief, profile } = on;
  const { energyThrottled, energySpeedControlled, energy } = profile.values;
  const today = profile.points.map(({ throttled = 0, throttledPeak = 0, throttledApparent = 0 }): Taken => ({
    mean: throttled,
    peak: throttledPeak,
    apparent: throttledApparent,
  }));
  const bySpeed = profile.points.map(({ speedControlled, speedControlledApparent }): Taken => ({
    mean: speedControlled,
    peak: speedControlled,
    apparent: speedControlledApparent,
  }));
  const costOf = (used: Value | undefined, rows: readonly Taken[] | undefined): Cost | undefined =>
    used && rows && costOfYear(used, rows, on, energyPrice);
  const throttled = costOf(energyThrottled, today);
  const controlled = costOf(energySpeedControlled, bySpeed);
  const own = costOf(energy, profile.own);
  const { upkeep } = brief.given.money;
  const saving =
    throttled &&
    controlled &&
    quantity(throttled.cost.value - controlled.cost.value, 'money', {
      origin: 'estimated',
      formula: 'K_1 - K_2',
      from: { K_1: throttled.cost, K_2: controlled.cost },
      source: 'definition',
    });
  return {
    ...(throttled ? { yearlyCostThrottled: throttled.cost } : {}),
    ...(controlled ? { yearlyCostSpeedControlled: controlled.cost } : {}),
    ...(saving ? { yearlySaving: saving } : {}),
    ...(throttled?.demand ? { demandThrottled: throttled.demand } : {}),
    ...(controlled?.demand ? { demandSpeedControlled: controlled.demand } : {}),
    ...(own ? { yearlyCost: upkeep ? withUpkeep(own.cost, upkeep) : own.cost } : {}),
  };
}

interface Cost {
  readonly cost: Value;
  readonly demand: Value | undefined;
}

function costOfYear(used: Value, rows: readonly Taken[], on: EconomicsInput, energyPrice: Value): Cost {
  const { brief, profile } = on;
  const price = priceOver(rows, on, energyPrice);
  const demand = demandOf(profile.points, rows, brief);
  const cost = quantity(used.value * price.value + (demand?.value ?? 0), 'money', {
    origin: 'estimated',
    formula: demand ? 'K = E\\,c + K_d' : 'K = E\\,c',
    from: { E: used, c: price, K_d: demand },
    source: 'definition',
  });
  return { cost, demand };
}

/** Price of the energy of a row, per J: what a shift takes is charged by the clock, unless the job has one price for all. */
export const priceAt = ({ price }: Pick<ProfilePoint, 'price'>, { given }: OptionContext, general: number): number =>
  given.money.energyPrice ? general : (price ?? general);

/** Mean price of the energy of some rows. */
function priceOver(rows: readonly Taken[], { brief, profile }: EconomicsInput, general: Value): Value {
  const { points } = profile;
  if (brief.given.money.energyPrice || points.every(({ price }) => price === undefined)) return general;
  let [energy, cost] = [0, 0];
  for (const [at, { mean }] of rows.entries()) {
    const point = points[at];
    if (!point) continue;
    energy += mean * point.hours;
    cost += mean * point.hours * priceAt(point, brief, general.value);
  }
  if (energy <= 0) return general;
  return quantity(cost / energy, 'energyPrice', {
    formula: '\\dfrac{\\sum_i E_i\\,c_i}{\\sum_i E_i}',
    from: { c: general },
    source: 'shifts and tariff of this job, by the clock',
  });
}

const withUpkeep = (energy: Value, upkeep: Value): Value =>
  quantity(energy.value + upkeep.value, 'money', {
    origin: 'estimated',
    formula: 'K_E + K_u',
    from: { K_E: energy, K_u: upkeep },
    source: 'definition',
  });
