import { findings as declared } from './findings.ts';
import { YEAR } from '../../ground/constants.ts';
import type { MoneyValues } from './values.ts';
import type { Catalogue } from '../../catalogue/catalogue.ts';
import { buildStarter } from '../pick/build-starter.ts';
import { exchangeRate } from '../pick/exchange.ts';
import { dialShare } from '../starting/overload-dial.ts';
import type { PickResult } from '../pick/pick.ts';
import type { SupplyResult } from '../supply/supply.ts';
import type { ProfilePoint, ProfileResult } from '../profile/profile.ts';
import { DRIVE_INPUT } from '../starting/feeds.ts';
import type { StartingResult } from '../starting/starting.ts';
import { formatNumber } from '../../ground/quantity/format.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, type Value } from '../../ground/value.ts';

export type MoneyResult = StageResult<MoneyValues>;

/** What money is asked with; in the order of the stages. */
export interface MoneyOn {
  readonly brief: Brief;
  readonly catalogue: Catalogue;
  readonly supply: SupplyResult;
  readonly profile: ProfileResult;
  readonly starting: StartingResult;
  readonly pick: PickResult;
}

/** What the energy costs a year either way, and how soon a drive pays for itself. */
export function money({ brief, catalogue, supply, profile, starting, pick }: MoneyOn): MoneyResult {
  const { job, given, practice } = brief;
  const { school } = job;
  const { findings, missing, flag, ...ask } = notebook('money', declared);
  // Only an energy study decides by money; elsewhere it sharpens.
  const need = job.situation.kind === 'energy' ? ask.need : ask.sharpen;
  const energyPrice = given.money.energyPrice ?? supply.values.energyPrice;
  const { energyThrottled, energySpeedControlled } = profile.values;
  const rate = exchangeRate(brief, catalogue);
  checkCurrency();
  if (!energyPrice) need('money.energyPrice', 'Price of energy, for yearly cost and payback');
  if (!energyPrice || !energySpeedControlled) return { values: {}, findings, missing, summary: '' };

  const price = { c: energyPrice };
  const { demandPrice } = given.supply;
  const cost = (energy: Value, demand: Value | undefined): Value =>
    quantity(energy.value * energyPrice.value + (demand?.value ?? 0), 'money', school, {
      origin: 'estimated',
      formula: demand ? 'K = E\\,c + K_d' : 'K = E\\,c',
      from: { E: energy, ...price, K_d: demand },
      source: 'definition',
    });
  const demandThrottled =
    energyThrottled && demandOf((point) => point.throttledPeak ?? 0, pick.motor?.powerFactor ?? 0.85);
  const demandSpeedControlled = demandOf((point) => point.speedControlled, DRIVE_INPUT.powerFactor);
  const yearlyCostThrottled = energyThrottled && cost(energyThrottled, demandThrottled);
  const yearlyCostSpeedControlled = cost(energySpeedControlled, demandSpeedControlled);
  const yearlySaving =
    yearlyCostThrottled &&
    quantity(yearlyCostThrottled.value - yearlyCostSpeedControlled.value, 'money', school, {
      origin: 'estimated',
      formula: 'K_1 - K_2',
      from: { K_1: yearlyCostThrottled, K_2: yearlyCostSpeedControlled },
      source: 'definition',
    });
  const extraCapital = capital();
  const payback =
    extraCapital && yearlySaving && yearlySaving.value > 0
      ? quantity((extraCapital.value / yearlySaving.value) * YEAR, 'span', school, {
          origin: 'estimated',
          formula: '\\dfrac{C}{K_1 - K_2}',
          from: { C: extraCapital, 'K_1 - K_2': yearlySaving },
          source: 'Simple payback',
        })
      : undefined;

  if (starting.method === 'drive' && yearlySaving && yearlySaving.value <= 0 && job.starting.speedControl !== 'yes') {
    flag(
      'money.never-pays',
      `The drive never pays for itself: it costs ${formatNumber(-yearlySaving.value)} ${job.currency} more in energy every year.`,
    );
  }
  const values: MoneyValues = {
    ...(yearlyCostThrottled ? { yearlyCostThrottled } : {}),
    yearlyCostSpeedControlled,
    ...(yearlySaving ? { yearlySaving } : {}),
    ...(demandThrottled ? { demandThrottled } : {}),
    ...(demandSpeedControlled ? { demandSpeedControlled } : {}),
    ...(extraCapital ? { extraCapital } : {}),
    ...(payback ? { payback } : {}),
  };
  const chosenCost = starting.method === 'drive' ? yearlyCostSpeedControlled : yearlyCostThrottled;
  const summary =
    payback && starting.method === 'drive'
      ? `Pays back in ${payback.text}`
      : chosenCost
        ? `${chosenCost.text} ${job.currency} a year`
        : '';
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

  /** Prices of two currencies are reconciled by a typed rate, or nothing is said of capital. */
  function checkCurrency(): void {
    if (rate !== undefined || (!pick.chosenMotor && !pick.chosenDrive && !pick.starter)) return;
    flag(
      'money.currency',
      `The catalogue’s prices are in ${catalogue.currency}, the job counts in ${job.currency || 'no currency'}; without a rate they cannot be compared.`,
      {
        clear: `Type how much ${job.currency || 'of the job’s currency'} one ${catalogue.currency} costs, or set the job’s currency to ${catalogue.currency}.`,
      },
    );
  }

  /**
   * Drive with its installation, less the starter that a new machine would need without it: the least costly that passes.
   * Where a motor and its starter are there already the starter is paid for and gives no credit.
   */
  function capital(): Value | undefined {
    const { chosenDrive, motor } = pick;
    if (!chosenDrive || !motor || rate === undefined) return undefined;
    const priced = (price: number, note?: string): Value =>
      quantity(price * rate, 'money', school, {
        origin: 'looked up',
        source:
          rate === 1
            ? 'catalogue'
            : `catalogue, at ${formatNumber(rate, 4)} ${job.currency} for one ${catalogue.currency}`,
        note,
      });
    const drive = priced(chosenDrive.item.price);
    const credit = creditedStarter();
    if (!credit) return undefined;
    const starter = priced(credit.price, credit.why);
    return quantity(drive.value * (1 + practice.driveInstallation.value) - starter.value, 'money', school, {
      origin: 'estimated',
      formula: 'C = C_{drive}(1 + k) - C_{starter}',
      from: { 'C_{drive}': drive, k: practice.driveInstallation, 'C_{starter}': starter },
      source: PRACTICE,
      note: credit.why,
    });
  }

  /** What a new machine saves by not needing a starter; undefined where it cannot be told. */
  function creditedStarter(): { readonly price: number; readonly why: string } | undefined {
    const { motor } = pick;
    if (!motor) return undefined;
    if (job.situation.kind !== 'new')
      return { price: 0, why: 'The starter that is there is paid for: no credit for it.' };
    const way = starting.comparisons.find((each) => each.passes && each.method !== 'drive')?.method;
    if (way === undefined || way === 'drive')
      return { price: 0, why: 'Without a drive nothing starts it: no starter is saved.' };
    const built = buildStarter(catalogue.parts, {
      school,
      method: way,
      current: motor.current,
      dial: motor.current * dialShare(job, motor.serviceFactor),
      voltage: supply.values.voltage?.value ?? motor.voltage,
    });
    if (built.lacking.length === 0)
      return { price: built.price, why: `Less a ${way} starter, the least costly that passes.` };
    flag(
      'money.part-missing',
      `What the ${way} starter would cost is not known, since the catalogue lacks: ${built.lacking.join(', ')}. The extra capital of the drive is not given.`,
    );
    return undefined;
  }
}
