import type { Catalogue } from '../catalogue.ts';
import { buildStarter } from '../pick/build-starter.ts';
import type { PickResult } from '../pick/pick.ts';
import type { SupplyResult } from '../supply/supply.ts';
import type { ProfilePoint, ProfileResult } from '../profile/profile.ts';
import { DRIVE_INPUT } from '../starting/feeds.ts';
import type { StartingResult } from '../starting/starting.ts';
import { formatNumber } from '../quantity/format.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';

export interface MoneyValues {
  readonly yearlyCostThrottled?: Value;
  readonly yearlyCostSpeedControlled?: Value;
  readonly yearlySaving?: Value;
  /** Part of the yearly cost. */
  readonly demandThrottled?: Value;
  readonly demandSpeedControlled?: Value;
  readonly extraCapital?: Value;
  /** s */
  readonly payback?: Value;
}

export type MoneyResult = StageResult<MoneyValues>;

/** What the energy costs a year either way, and how soon a drive pays for itself. */
export function money(
  brief: Brief,
  catalogue: Catalogue,
  supply: SupplyResult,
  profile: ProfileResult,
  starting: StartingResult,
  pick: PickResult,
): MoneyResult {
  const { job, given, practice } = brief;
  const { school } = job;
  const { findings, missing, flag, need } = notebook('money');
  const energyPrice = given.money.energyPrice ?? supply.values.energyPrice;
  const { energyThrottled, energySpeedControlled } = profile.values;
  if (!energyPrice) need('money.energyPrice', 'Price of energy, for yearly cost and payback');
  if (!energyPrice || !energyThrottled || !energySpeedControlled) return { values: {}, findings, missing, summary: '' };

  const price = { c: energyPrice };
  const { demandPrice } = given.supply;
  const cost = (energy: Value, demand: Value | undefined): Value =>
    quantity(energy.value * energyPrice.value + (demand?.value ?? 0), 'money', school, {
      origin: 'estimated',
      formula: demand ? 'K = E\\,c + K_d' : 'K = E\\,c',
      from: { E: energy, ...price, K_d: demand },
      source: 'definition',
    });
  const demandThrottled = demandOf((point) => point.throttled, pick.motor?.powerFactor ?? 0.85);
  const demandSpeedControlled = demandOf((point) => point.speedControlled, DRIVE_INPUT.powerFactor);
  const yearlyCostThrottled = cost(energyThrottled, demandThrottled);
  const yearlyCostSpeedControlled = cost(energySpeedControlled, demandSpeedControlled);
  const yearlySaving = quantity(yearlyCostThrottled.value - yearlyCostSpeedControlled.value, 'money', school, {
    origin: 'estimated',
    formula: 'K_1 - K_2',
    from: { K_1: yearlyCostThrottled, K_2: yearlyCostSpeedControlled },
    source: 'definition',
  });
  const extraCapital = capital();
  const payback =
    extraCapital && yearlySaving.value > 0
      ? quantity((extraCapital.value / yearlySaving.value) * YEAR, 'span', school, {
          origin: 'estimated',
          formula: '\\dfrac{C}{K_1 - K_2}',
          from: { C: extraCapital, 'K_1 - K_2': yearlySaving },
          source: 'Simple payback',
        })
      : undefined;

  if (starting.method === 'drive' && yearlySaving.value <= 0 && job.starting.speedControl !== 'yes') {
    flag({
      code: 'money.never-pays',
      severity: 'caution',
      message: `The drive never pays for itself: it costs ${formatNumber(-yearlySaving.value)} ${job.currency} more in energy every year.`,
      basis: 'Profile of this job',
      clear: 'Choose a starter, unless start or process need the drive.',
      field: 'starting.method',
    });
  }
  const values: MoneyValues = {
    yearlyCostThrottled,
    yearlyCostSpeedControlled,
    yearlySaving,
    ...(demandThrottled ? { demandThrottled } : {}),
    ...(demandSpeedControlled ? { demandSpeedControlled } : {}),
    ...(extraCapital ? { extraCapital } : {}),
    ...(payback ? { payback } : {}),
  };
  const chosenCost = starting.method === 'drive' ? yearlyCostSpeedControlled : yearlyCostThrottled;
  const summary =
    payback && starting.method === 'drive'
      ? `Pays back in ${payback.text}`
      : `${chosenCost.text} ${job.currency} a year`;
  return { values, findings, missing, summary };

  /** A year of demand charge on the highest input of the profile, counted by kW or kVA. */
  function demandOf(input: (point: ProfilePoint) => number, powerFactor: number): Value | undefined {
    if (!demandPrice) return undefined;
    const peak = Math.max(0, ...profile.points.filter((point) => point.hours > 0).map(input));
    const counted = job.supply.demandBy === 'kVA' ? peak / powerFactor : peak;
    return quantity(counted * demandPrice.value * 12, 'money', school, {
      origin: 'estimated',
      formula: 'K_d = 12\\,d\\,P_{max}',
      from: { d: demandPrice, 'P_{max}': quantity(peak, 'power', school, { origin: 'estimated', source: 'profile' }) },
      source: 'tariff typed in this job',
    });
  }

  /** Drive with its installation, less the direct starter it replaces. */
  function capital(): Value | undefined {
    const { chosenDrive, motor } = pick;
    if (!chosenDrive || !motor) return undefined;
    const starter = buildStarter(catalogue.parts, {
      school,
      method: 'direct',
      current: motor.current,
      voltage: motor.voltage,
    });
    const drive = quantity(chosenDrive.item.price, 'money', school, { origin: 'looked up', source: 'catalogue' });
    return quantity(drive.value * (1 + practice.driveInstallation.value) - starter.price, 'money', school, {
      origin: 'estimated',
      formula: 'C = C_{drive}(1 + k) - C_{starter}',
      from: {
        'C_{drive}': drive,
        k: practice.driveInstallation,
        'C_{starter}': quantity(starter.price, 'money', school, { origin: 'looked up', source: 'catalogue' }),
      },
      source: PRACTICE,
    });
  }
}

const YEAR = 365 * 24 * 3600;
