import type { School } from '../../ground/quantity/units.ts';
import { quantity, type Value } from '../../ground/value.ts';
import type { ProfilePoint } from '../profile/profile-result.ts';
import type { MoneyOn } from './asked-of-money.ts';
import type { MoneyValues } from './values.ts';

const MONTHS = 12;

/** Energy and demand of a year, as it runs today, with speed control and in this option. */
export function runningCosts(
  on: MoneyOn,
  energyPrice: Value,
): Pick<
  MoneyValues,
  | 'yearlyCostThrottled'
  | 'yearlyCostSpeedControlled'
  | 'demandThrottled'
  | 'demandSpeedControlled'
  | 'yearlySaving'
  | 'yearlyCost'
> {
  const { brief, profile } = on;
  const { school } = brief.job;
  const { energyThrottled, energySpeedControlled, energy, peakInput, peakApparent } = profile.values;
  const cost = (used: Value, demand: Value | undefined): Value =>
    quantity(used.value * energyPrice.value + (demand?.value ?? 0), 'money', school, {
      origin: 'estimated',
      formula: demand ? 'K = E\\,c + K_d' : 'K = E\\,c',
      from: { E: used, c: energyPrice, K_d: demand },
      source: 'definition',
    });
  const demandThrottled =
    energyThrottled &&
    demandOf(
      peakOf(on, (point) => point.throttledPeak ?? 0),
      peakOf(on, (point) => point.throttledApparent ?? 0),
      on,
    );
  const demandSpeedControlled = demandOf(
    peakOf(on, (point) => point.speedControlled),
    peakOf(on, (point) => point.speedControlledApparent),
    on,
  );
  const yearlyCostThrottled = energyThrottled && cost(energyThrottled, demandThrottled);
  const yearlyCostSpeedControlled = energySpeedControlled && cost(energySpeedControlled, demandSpeedControlled);
  const { upkeep } = brief.given.money;
  const energyCost =
    energy && cost(energy, peakInput && peakApparent && demandOf(peakInput.value, peakApparent.value, on));
  const yearlyCost = energyCost && upkeep ? withUpkeep(energyCost, upkeep, school) : energyCost;
  const yearlySaving =
    yearlyCostThrottled &&
    yearlyCostSpeedControlled &&
    quantity(yearlyCostThrottled.value - yearlyCostSpeedControlled.value, 'money', school, {
      origin: 'estimated',
      formula: 'K_1 - K_2',
      from: { K_1: yearlyCostThrottled, K_2: yearlyCostSpeedControlled },
      source: 'definition',
    });
  return {
    ...(yearlyCostThrottled ? { yearlyCostThrottled } : {}),
    ...(yearlyCostSpeedControlled ? { yearlyCostSpeedControlled } : {}),
    ...(yearlySaving ? { yearlySaving } : {}),
    ...(demandThrottled ? { demandThrottled } : {}),
    ...(demandSpeedControlled ? { demandSpeedControlled } : {}),
    ...(yearlyCost ? { yearlyCost } : {}),
  };
}

const withUpkeep = (energy: Value, upkeep: Value, school: School): Value =>
  quantity(energy.value + upkeep.value, 'money', school, {
    origin: 'estimated',
    formula: 'K_E + K_u',
    from: { K_E: energy, K_u: upkeep },
    source: 'definition',
  });

const peakOf = ({ profile }: MoneyOn, input: (point: ProfilePoint) => number): number =>
  profile.points.reduce((peak, point) => (point.hours > 0 ? Math.max(peak, input(point)) : peak), 0);

/** A year of demand charge on the highest input, W and VA, counted by kW or kVA. */
function demandOf(peak: number, apparent: number, { brief }: MoneyOn): Value | undefined {
  const { job, given } = brief;
  const { demandPrice } = given.supply;
  if (!demandPrice) return undefined;
  const [symbol, counted, dimension] =
    job.supply.demandBy === 'kVA'
      ? (['S_{max}', apparent, 'apparentPower'] as const)
      : (['P_{max}', peak, 'power'] as const);
  return quantity(counted * demandPrice.value * MONTHS, 'money', job.school, {
    origin: 'estimated',
    formula: `K_d = 12\\,d\\,${symbol}`,
    from: {
      d: demandPrice,
      [symbol]: quantity(counted, dimension, job.school, { origin: 'estimated', source: 'profile' }),
    },
    source: 'tariff typed in this job',
  });
}
