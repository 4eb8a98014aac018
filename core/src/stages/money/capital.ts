import { formatNumber } from '../../ground/quantity/format.ts';
import { PRACTICE, quantity, type Value } from '../../ground/value.ts';
import { starterOf } from '../pick/choose-starter.ts';
import type { MoneyOn } from './asked-of-money.ts';
import type { Flag } from './findings.ts';

/** A price of the catalogue in the currency of the job. */
function priced(price: number, rate: number, { brief, catalogue }: MoneyOn, note?: string): Value {
  const { school, currency } = brief.job;
  return quantity(price * rate, 'money', school, {
    origin: 'looked up',
    source:
      rate === 1 ? 'catalogue' : `catalogue, at ${formatNumber(rate, 4)} ${currency} for one ${catalogue.currency}`,
    note,
  });
}

/**
 * Drive with its installation, less the starter that a new machine would need without it: the least costly that passes.
 * Where a motor and its starter are there already the starter is paid for and gives no credit.
 */
export function extraCapital(on: MoneyOn, rate: number, flag: Flag): Value | undefined {
  const { brief, pick } = on;
  const { chosenDrive, motor } = pick;
  if (!chosenDrive || !motor) return undefined;
  const drive = priced(chosenDrive.item.price, rate, on);
  const credit = creditedStarter(on, flag);
  if (!credit) return undefined;
  const starter = priced(credit.price, rate, on, credit.why);
  const { driveInstallation } = brief.practice;
  return quantity(drive.value * (1 + driveInstallation.value) - starter.value, 'money', brief.job.school, {
    origin: 'estimated',
    formula: 'C = C_{drive}(1 + k) - C_{starter}',
    from: { 'C_{drive}': drive, k: driveInstallation, 'C_{starter}': starter },
    source: PRACTICE,
    note: credit.why,
  });
}

/** What a new machine saves by not needing a starter; undefined where it cannot be told. */
function creditedStarter(on: MoneyOn, flag: Flag): { readonly price: number; readonly why: string } | undefined {
  const { brief, pick, starting } = on;
  const { motor } = pick;
  if (!motor) return undefined;
  if (brief.job.situation.kind !== 'new')
    return { price: 0, why: 'The starter that is there is paid for: no credit for it.' };
  const way = starting.comparisons.find((each) => each.passes && each.method !== 'drive')?.method;
  if (way === undefined || way === 'drive')
    return { price: 0, why: 'Without a drive nothing starts it: no starter is saved.' };
  const built = starterOf(motor, way, on);
  if (built.lacking.length === 0)
    return { price: built.price, why: `Less a ${way} starter, the least costly that passes.` };
  flag(
    'money.part-missing',
    `What the ${way} starter would cost is not known, since the catalogue lacks: ${built.lacking.join(', ')}. The extra capital of the drive is not given.`,
  );
  return undefined;
}

/** What this option costs to buy and fit; what is kept costs nothing. Undefined while a price is not known. */
export function firstCost(on: MoneyOn, rate: number): Value | undefined {
  const { brief, pick } = on;
  const { chosenMotor, chosenDrive, starter } = pick;
  if (!pick.motor || (!pick.keepsMotor && !chosenMotor)) return undefined;
  if (!pick.keepsFeed && !chosenDrive && (!starter || starter.lacking.length > 0)) return undefined;
  const accessories = brief.rows['pick.accessories'].reduce((sum, { price }) => sum + (price?.value ?? 0), 0);
  const { driveInstallation } = brief.practice;
  const motor = priced(chosenMotor?.item.price ?? 0, rate, on, pick.keepsMotor ? 'The motor is kept.' : undefined);
  const drive = chosenDrive && priced(chosenDrive.item.price, rate, on);
  const parts = starter && priced(starter.price, rate, on);
  const further = quantity(accessories, 'money', brief.job.school, { origin: 'given', source: 'typed in this job' });
  const fitted = drive ? drive.value * (1 + driveInstallation.value) : 0;
  const { incentive } = brief.given.money;
  const sum = motor.value + fitted + (parts?.value ?? 0) + accessories - (incentive?.value ?? 0);
  const less = incentive ? ' - C_{paid}' : '';
  return quantity(sum, 'money', brief.job.school, {
    origin: 'estimated',
    formula: (drive ? 'C_{motor} + C_{drive}(1 + k) + C_{more}' : 'C_{motor} + C_{starter} + C_{more}') + less,
    from: {
      'C_{motor}': motor,
      'C_{drive}': drive,
      k: drive && driveInstallation,
      'C_{starter}': parts,
      'C_{more}': accessories > 0 ? further : undefined,
      'C_{paid}': incentive,
    },
    source: PRACTICE,
    note: pick.keepsFeed ? 'The starter or drive is kept.' : undefined,
  });
}
