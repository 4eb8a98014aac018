import { formatNumber } from '../../ground/quantity/format.ts';
import { PRACTICE, quantity, type Value } from '../../ground/value.ts';
import { starterOf } from '../pick/choose-starter.ts';
import type { School } from '../../ground/quantity/units.ts';
import type { Method } from '../starting/feeds.ts';
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

/** How many of each are bought where several machines stand side by side. */
interface Counts {
  readonly motors: number;
  readonly drives: number;
  /** Starters without a drive, and beside one that drives only some of the machines. */
  readonly starters: number;
  readonly beside: number;
}

/** A new plant buys for every machine; where machines are there, one motor is replaced and the others keep what they have. */
function countsOf({ brief, profile }: MoneyOn): Counts {
  const { machines = 1, oneOnSpeed = false } = profile.model?.setting ?? {};
  const drives = oneOnSpeed ? 1 : machines;
  const fresh = brief.job.situation.kind === 'new';
  return {
    motors: fresh ? machines : 1,
    drives,
    starters: fresh ? machines : 1,
    beside: fresh ? machines - drives : 0,
  };
}

/** Several of one price, the count put in where there is more than one. */
const times = (count: number, price: Value, school: School): Value =>
  count === 1
    ? price
    : quantity(count * price.value, 'money', school, {
        origin: price.origin,
        formula: 'n\\,c',
        from: { n: quantity(count, 'count', school, { origin: 'given', source: 'machines of this job' }), c: price },
        source: price.working.source,
        note: price.working.note,
      });

/**
 * Drive with its installation, less the starter that a new machine would need without it: the least costly that passes.
 * Where a motor and its starter are there already the starter is paid for and gives no credit.
 */
export function extraCapital(on: MoneyOn, rate: number, flag: Flag): Value | undefined {
  const { brief, pick } = on;
  const { chosenDrive, motor } = pick;
  if (!chosenDrive || !motor) return undefined;
  const { drives } = countsOf(on);
  const { school } = brief.job;
  const drive = times(drives, priced(chosenDrive.item.price, rate, on), school);
  const credit = creditedStarter(on, flag);
  if (!credit) return undefined;
  const starter = times(drives, priced(credit.price, rate, on, credit.why), school);
  const { driveInstallation } = brief.practice;
  return quantity(drive.value * (1 + driveInstallation.value) - starter.value, 'money', school, {
    origin: 'estimated',
    formula: 'C = C_{drive}(1 + k) - C_{starter}',
    from: { 'C_{drive}': drive, k: driveInstallation, 'C_{starter}': starter },
    source: PRACTICE,
    note: credit.why,
  });
}

/** The least costly way to start without a drive that passes. */
function leastPassing({ starting }: MoneyOn): Exclude<Method, 'drive'> | undefined {
  const way = starting.comparisons.find((each) => each.passes && each.method !== 'drive')?.method;
  return way === 'drive' ? undefined : way;
}

/** What a new machine saves by not needing a starter; undefined where it cannot be told. */
function creditedStarter(on: MoneyOn, flag: Flag): { readonly price: number; readonly why: string } | undefined {
  const { brief, pick } = on;
  const { motor } = pick;
  if (!motor) return undefined;
  if (brief.job.situation.kind !== 'new')
    return { price: 0, why: 'The starter that is there is paid for: no credit for it.' };
  const way = leastPassing(on);
  if (way === undefined) return { price: 0, why: 'Without a drive nothing starts it: no starter is saved.' };
  const built = starterOf(motor, way, on);
  if (built.lacking.length === 0)
    return { price: built.price, why: `Less a ${way} starter, the least costly that passes.` };
  flag(
    'money.part-missing',
    `What the ${way} starter would cost is not known, since the catalogue lacks: ${built.lacking.join(', ')}. The extra capital of the drive is not given.`,
  );
  return undefined;
}

/** Starters of the machines that have no drive; unknown where nothing starts them or a part has no price. */
function startersBeside(count: number, on: MoneyOn, rate: number): Value | 'unknown' {
  const way = leastPassing(on);
  const built = way && on.pick.motor && starterOf(on.pick.motor, way, on);
  if (!built || built.lacking.length > 0) return 'unknown';
  const why = `A ${way} starter for each machine without a drive.`;
  return times(count, priced(built.price, rate, on, why), on.brief.job.school);
}

/** What this option costs to buy and fit; what is kept costs nothing. Undefined while a price is not known. */
export function firstCost(on: MoneyOn, rate: number): Value | undefined {
  const { brief, pick } = on;
  const { chosenMotor, chosenDrive, starter } = pick;
  if (!pick.motor || (!pick.keepsMotor && !chosenMotor)) return undefined;
  if (!pick.keepsFeed && !chosenDrive && (!starter || starter.lacking.length > 0)) return undefined;
  const accessories = brief.rows['pick.accessories'].reduce((sum, { price }) => sum + (price?.value ?? 0), 0);
  const { driveInstallation } = brief.practice;
  const counts = countsOf(on);
  const { school } = brief.job;
  const kept = pick.keepsMotor ? 'The motor is kept.' : undefined;
  const motor = times(counts.motors, priced(chosenMotor?.item.price ?? 0, rate, on, kept), school);
  const drive = chosenDrive && times(counts.drives, priced(chosenDrive.item.price, rate, on), school);
  const beside = chosenDrive && counts.beside > 0 ? startersBeside(counts.beside, on, rate) : undefined;
  if (beside === 'unknown') return undefined;
  const parts = beside ?? (starter && times(counts.starters, priced(starter.price, rate, on), school));
  const further = quantity(accessories, 'money', brief.job.school, { origin: 'given', source: 'typed in this job' });
  const fitted = drive ? drive.value * (1 + driveInstallation.value) : 0;
  const { incentive } = brief.given.money;
  const sum = motor.value + fitted + (parts?.value ?? 0) + accessories - (incentive?.value ?? 0);
  const less = incentive ? ' - C_{paid}' : '';
  return quantity(sum, 'money', brief.job.school, {
    origin: 'estimated',
    formula:
      ['C_{motor}', drive && 'C_{drive}(1 + k)', parts && 'C_{starter}', 'C_{more}'].filter(Boolean).join(' + ') + less,
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
