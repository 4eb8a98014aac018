import { figures, say, series, type Text } from '../../kernel/text.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import type { ChosenPart } from '../selection/build-starter.ts';
import { starterOf } from '../selection/choose-starter.ts';
import type { Method } from '../starting/starting-mode.ts';
import type { EconomicsInput } from './economics-input.ts';
import type { Report } from './findings.ts';

/** A price of the catalogue in the currency of the job. */
function priced(price: number, rate: number, { brief, catalogue }: EconomicsInput, note?: string): Value {
  return quantity(price * rate, 'money', {
    origin: 'looked up',
    source: catalogueSource(rate, catalogue, brief),
    note,
  });
}

const catalogueSource = (
  rate: number,
  { currency }: EconomicsInput['catalogue'],
  { job }: EconomicsInput['brief'],
): Text => (rate === 1 ? 'catalogue' : say`catalogue, at ${figures(rate, 4)} ${job.currency} for one ${currency}`);

/** How many of each are bought where several machines stand side by side. */
interface Counts {
  readonly motors: number;
  readonly drives: number;
  /** Starters without a drive, and beside one that drives only some of the machines. */
  readonly starters: number;
  readonly beside: number;
}

/** A new plant buys for every machine; where machines are there, one motor is replaced and the others keep what they have. */
function countsOf({ brief, profile }: EconomicsInput): Counts {
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
const times = (count: number, price: Value): Value =>
  count === 1
    ? price
    : quantity(count * price.value, 'money', {
        origin: price.origin,
        formula: 'n\\,c',
        from: { n: quantity(count, 'count', { origin: 'given', source: 'machines of this job' }), c: price },
        source: price.working.source,
        note: price.working.note,
      });

/**
 * Drive with its installation, less the starter that a new machine would need without it: the least costly that passes.
 * Where a motor and its starter are there already the starter is paid for and gives no credit.
 */
export function extraCapital(on: EconomicsInput, rate: number, report: Report): Value | undefined {
  const { brief, pick } = on;
  const { chosenDrive, motor } = pick;
  if (!chosenDrive || !motor) return undefined;
  const { drives } = countsOf(on);
  const drive = times(drives, priced(chosenDrive.item.price, rate, on));
  const credit = creditedStarter(on, report);
  if (!credit) return undefined;
  const starter = times(drives, priced(credit.price, rate, on, credit.why));
  const { driveInstallation } = brief.practice;
  return quantity(drive.value * (1 + driveInstallation.value) - starter.value, 'money', {
    origin: 'estimated',
    formula: 'C = C_{drive}(1 + k) - C_{starter}',
    from: { 'C_{drive}': drive, k: driveInstallation, 'C_{starter}': starter },
    source: PRACTICE,
    note: credit.why,
  });
}

/** The least costly way to start without a drive that passes. */
function leastPassing({ starting }: EconomicsInput): Exclude<Method, 'drive'> | undefined {
  const way = starting.bench?.onLine()?.method;
  return way === 'drive' ? undefined : way;
}

/** What a new machine saves by not needing a starter; undefined where it cannot be told. */
function creditedStarter(
  on: EconomicsInput,
  report: Report,
): { readonly price: number; readonly why: string } | undefined {
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
  report(
    'money.part-missing',
    say`What the ${way} starter would cost is not known, since the catalogue lacks: ${series(built.lacking, ', ')}. The extra capital of the drive is not given.`,
  );
  return undefined;
}

/** One line of what an option buys, in the job’s currency; what is kept costs nothing. */
export interface BillLine {
  readonly kind: 'motor' | 'drive' | 'installation' | 'starter' | 'accessory' | 'further' | 'incentive';
  readonly part: string;
  readonly count: number;
  /** Of one. */
  readonly price: number;
  readonly note?: Text;
}

/** Parts of a starter, so many of each; undefined where one has no price. */
function starterLines(
  built: { readonly parts: readonly ChosenPart[]; readonly lacking: readonly Text[] } | undefined,
  count: number,
  rate: number,
  note?: string,
): BillLine[] | undefined {
  if (!built || built.lacking.length > 0) return undefined;
  return built.parts.map(({ part }) => ({
    kind: 'starter',
    part: part.name,
    count,
    price: part.price * rate,
    ...(note ? { note } : {}),
  }));
}

const kept = (kind: 'motor' | 'starter', part: string): BillLine => ({
  kind,
  part,
  count: 1,
  price: 0,
  note: 'is there and paid for',
});

/** What this option buys and has fitted, line by line. Undefined while a part or its price is not known. */
export function billOf(on: EconomicsInput, rate: number): readonly BillLine[] | undefined {
  const { brief, pick } = on;
  const { chosenMotor, chosenDrive, starter } = pick;
  if (!pick.motor || (!pick.keepsMotor && !chosenMotor)) return undefined;
  const counts = countsOf(on);
  const motor: BillLine = chosenMotor
    ? { kind: 'motor', part: chosenMotor.item.name, count: counts.motors, price: chosenMotor.item.price * rate }
    : kept('motor', 'Motor');
  const feed = chosenDrive
    ? driveLines(on, rate)
    : pick.keepsFeed
      ? [kept('starter', 'Starter')]
      : starterLines(starter, counts.starters, rate);
  if (!feed) return undefined;
  const { incentive } = brief.given.money;
  const further = brief.rows['pick.accessories'].flatMap(({ at, price }): BillLine[] =>
    price
      ? [
          {
            kind: 'further',
            part: brief.job.pick.accessories[at]?.part || 'Further part',
            count: 1,
            price: price.value,
          },
        ]
      : [],
  );
  return [
    motor,
    ...feed,
    ...further,
    ...(incentive ? [{ kind: 'incentive' as const, part: 'Incentive', count: 1, price: -incentive.value }] : []),
  ];
}

/** Drives, their installation, and starters of the machines beside them that have none. */
function driveLines(on: EconomicsInput, rate: number): BillLine[] | undefined {
  const { brief, pick } = on;
  const { chosenDrive, motor } = pick;
  if (!chosenDrive) return undefined;
  const { drives, beside } = countsOf(on);
  const { driveInstallation } = brief.practice;
  const price = chosenDrive.item.price * rate;
  const lines: BillLine[] = [
    { kind: 'drive', part: chosenDrive.item.name, count: drives, price },
    {
      kind: 'installation',
      part: 'Installation of the drive',
      count: drives,
      price: price * driveInstallation.value,
      note: say`${driveInstallation} of its price`,
    },
  ];
  for (const { part, why } of on.drive.parts)
    lines.push({ kind: 'accessory', part: part.name, count: drives, price: part.price * rate, note: why });
  if (beside === 0) return lines;
  const way = leastPassing(on);
  const starters = starterLines(
    way && motor && starterOf(motor, way, on),
    beside,
    rate,
    `a ${way ?? ''} starter for each machine without a drive`,
  );
  return starters && [...lines, ...starters];
}

/** What this option costs to buy and fit: the sum of its bill. */
export function firstCost(bill: readonly BillLine[], { brief, pick, catalogue }: EconomicsInput, rate: number): Value {
  const { driveInstallation } = brief.practice;
  const sumOf = (kind: BillLine['kind']): number | undefined => {
    const lines = bill.filter((line) => line.kind === kind);
    return lines.length === 0 ? undefined : lines.reduce((sum, { count, price }) => sum + count * price, 0);
  };
  const named = (kind: BillLine['kind'], note?: string): Value | undefined => {
    const sum = sumOf(kind);
    return sum === undefined
      ? undefined
      : quantity(sum, 'money', { origin: 'looked up', source: catalogueSource(rate, catalogue, brief), note });
  };
  const motor = named('motor', pick.keepsMotor ? 'The motor is kept.' : undefined);
  const drive = named('drive');
  const parts = named('starter');
  const beside = named('accessory');
  const further = sumOf('further');
  const { incentive } = brief.given.money;
  const terms = [
    'C_{motor}',
    drive && 'C_{drive}(1 + k)',
    parts && 'C_{starter}',
    beside && 'C_{beside}',
    'C_{more}',
  ].filter(Boolean);
  return quantity(
    bill.reduce((sum, { count, price }) => sum + count * price, 0),
    'money',
    {
      origin: 'estimated',
      formula: terms.join(' + ') + (incentive ? ' - C_{paid}' : ''),
      from: {
        'C_{motor}': motor,
        'C_{drive}': drive,
        k: drive && driveInstallation,
        'C_{starter}': parts,
        'C_{beside}': beside,
        'C_{more}': further ? quantity(further, 'money', { origin: 'given', source: 'typed in this job' }) : undefined,
        'C_{paid}': incentive,
      },
      source: PRACTICE,
      note: pick.keepsFeed ? 'The starter or drive is kept.' : undefined,
    },
  );
}
