import { figures, say, type Text, series } from '../../kernel/text.ts';
import { YEAR } from '../../kernel/constants.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import { yearsCounted } from '../selection/selection-input.ts';
import { exchangeRate } from '../selection/exchange.ts';
import { annuity, growingAnnuity, netPresentValue } from './cash-flow.ts';
import { notebook, type StageResult } from '../stage.ts';
import type { EconomicsInput } from './economics-input.ts';
import { billOf, extraCapital, firstCost, type BillLine } from './capital.ts';
import type { Report } from './findings.ts';
import { declaration } from './declaration.ts';
import { studyPeriod } from './study-period.ts';
import { laterCosts, laterOf } from './replacement-costs.ts';
import { repairOrReplace } from './repair.ts';
import { runningCosts } from './running-cost.ts';
import { UNCERTAINTY } from './uncertainty.ts';
import type { MoneyValues } from './values.ts';

export interface MoneyResult extends StageResult<MoneyValues> {
  /** What the option buys, line by line; empty while a price is not known. */
  readonly bill: readonly BillLine[];
}

/** What the energy costs a year either way, how soon a drive pays for itself, and what this option costs in all. */
export function money(on: EconomicsInput): MoneyResult {
  const { brief, catalogue, supply, profile } = on;
  const { job, given } = brief;
  const { findings, missing, report, ...ask } = notebook(declaration);
  // Only an energy study decides by money; elsewhere it sharpens.
  const require = job.situation.kind === 'energy' ? ask.require : ask.suggest;
  const energyPrice = given.money.energyPrice ?? supply.values.energyPrice;
  const rate = exchangeRate(brief, catalogue);
  if (rate === undefined) checkCurrency(on, report);
  if (!energyPrice) require('money.energyPrice', 'Price of energy, for yearly cost and payback');
  if (energyPrice?.value === 0) report('money.price-zero', 'The energy price is zero, so no option saves energy cost.');
  const bill = rate === undefined ? undefined : billOf(on, rate);
  const bought = bill && rate !== undefined ? firstCost(bill, on, rate) : undefined;
  const running = energyPrice && profile.values.energySpeedControlled ? runningCosts(on, energyPrice) : {};
  const extra = rate !== undefined && running.yearlyCostSpeedControlled ? extraCapital(on, rate, report) : undefined;
  const payback = extra && paybackOf(extra, running.yearlySaving);
  checkPays(running.yearlySaving, on, report);
  checkTurns(extra, running.yearlySaving, on, report);
  checkDemand(running, on, report);
  checkLives(on, report);
  const values: MoneyValues = {
    ...running,
    ...(extra ? { extraCapital: extra } : {}),
    ...(bought ? { firstCost: bought } : {}),
    ...(bought && running.yearlyCost ? { lifeCost: lifeCost(bought, running.yearlyCost, on) } : {}),
    ...(bought && running.yearlyCost ? discounted(bought, running.yearlyCost, on) : {}),
    ...carbonOf(on),
    ...(rate !== undefined && energyPrice ? repairOrReplace(on, rate, energyPrice, report) : {}),
    ...(payback ? { payback } : {}),
  };
  return { values, findings, missing, summary: summaryOf(values, on), bill: bill ?? [] };
}

function paybackOf(extra: Value, saving: Value | undefined): Value | undefined {
  if (!saving || saving.value <= 0) return undefined;
  return quantity((extra.value / saving.value) * YEAR, 'span', {
    origin: 'estimated',
    formula: '\\dfrac{C}{K_1 - K_2}',
    from: { C: extra, 'K_1 - K_2': saving },
    source: 'Simple payback',
  });
}

function lifeCost(first: Value, yearly: Value, { brief }: EconomicsInput): Value {
  const years = yearsCounted(brief);
  return quantity(first.value + years * yearly.value + laterCosts(laterOf(brief), years, 0), 'money', {
    origin: 'estimated',
    formula: 'C + n\\,K + \\sum R - S',
    from: {
      C: first,
      n: quantity(years * YEAR, 'span', {
        origin: brief.given.money.years ? 'given' : 'estimated',
        ...(brief.given.money.years ? {} : { assumes: 'money.years' }),
        source: brief.given.money.years ? 'typed in this job' : 'usual span',
      }),
      K: yearly,
      ...laterFrom(brief),
    },
    source: 'definition',
    note: 'Without interest and without rising prices.',
  });
}

/** What is replaced on the way, how often, and what is left at the end. */
const laterFrom = ({ given: { money: typed } }: EconomicsInput['brief']): Record<string, Value | undefined> => ({
  R: typed.replacement,
  t: typed.replacedAfter,
  S: typed.restValue,
});

/** Something lives so long that what replaces it falls within the years counted, and nothing is typed for it. */
function checkLives({ brief, pick }: EconomicsInput, report: Report): void {
  const { replacement, replacedAfter } = brief.given.money;
  const years = yearsCounted(brief);
  const { driveLife } = brief.practice;
  if (!pick.chosenDrive || years <= driveLife.value || (replacement && replacedAfter)) return;
  report(
    'money.life',
    say`${figures(years, 3)} years are counted and a drive lives about ${driveLife}: one that replaces it is not counted.`,
  );
}

/** What it all is worth now, and what the same would be each year. */
function discounted(
  first: Value,
  yearly: Value,
  { brief }: EconomicsInput,
): Pick<MoneyValues, 'discountedCost' | 'annualCost'> {
  const horizon = studyPeriod(brief);
  const from = {
    C: first,
    K: yearly,
    r: brief.practice.discountRate,
    e: brief.given.money.priceGrowth,
    ...laterFrom(brief),
  };
  const later = laterCosts(laterOf(brief), horizon.years, horizon.discount);
  const discountedCost = quantity(first.value + yearly.value * growingAnnuity(horizon) + later, 'money', {
    origin: 'estimated',
    formula:
      'C + K\\,\\dfrac{1 - \\left(\\frac{1+e}{1+r}\\right)^n}{r - e} + \\sum\\dfrac{R}{(1+r)^t} - \\dfrac{S}{(1+r)^n}',
    from,
    source: 'present value of a growing series',
    note: 'Tax is left out.',
  });
  return {
    discountedCost,
    annualCost: quantity(discountedCost.value / annuity(horizon.discount, horizon.years), 'money', {
      origin: 'estimated',
      formula: 'C_0 \\,/\\, \\dfrac{1 - (1+r)^{-n}}{r}',
      from: { C_0: discountedCost, r: brief.practice.discountRate },
      source: 'equivalent annual cost',
    }),
  };
}

/** Nothing is said of carbon until its factor is typed. */
function carbonOf({ brief, profile }: EconomicsInput): Pick<MoneyValues, 'carbon'> {
  const { carbonFactor } = brief.given.money;
  const { energy } = profile.values;
  if (!carbonFactor || !energy) return {};
  const source = brief.job.money.carbonSource?.trim();
  return {
    carbon: quantity((energy.value / KWH) * carbonFactor.value, 'count', {
      origin: 'estimated',
      formula: 'E\\,c_{CO_2}',
      from: { E: energy, 'c_{CO_2}': carbonFactor },
      source: source ? `factor: ${source}` : 'factor typed in this job, without its source',
    }),
  };
}

const KWH = 3.6e6;

function checkPays(saving: Value | undefined, { brief: { job }, starting }: EconomicsInput, report: Report): void {
  if (starting.method !== 'drive' || !saving || saving.value > 0 || job.starting.speedControl === 'yes') return;
  report(
    'money.never-pays',
    say`The drive never pays back: annual energy cost rises by ${figures(-saving.value)} ${job.currency}.`,
  );
}

/** Whether hours, price or capital, each somewhat otherwise, would make a drive that pays one that does not, or the reverse. */
function checkTurns(
  extra: Value | undefined,
  saving: Value | undefined,
  { brief, starting }: EconomicsInput,
  report: Report,
): void {
  if (starting.method !== 'drive' || !extra || extra.value <= 0 || !saving || saving.value <= 0) return;
  const horizon = studyPeriod(brief);
  const pays = (saved: number, spent: number): boolean =>
    netPresentValue({ capital: extra.value * spent, saving: saving.value * saved }, horizon) > 0;
  const now = pays(1, 1);
  const percent = (share: number): Text => say`${figures(share * 100, 2)} %`;
  const { hours, energyPrice, capital } = UNCERTAINTY;
  const ends: readonly (readonly [saved: number, spent: number, how: Text])[] = now
    ? [
        [1 - hours.less, 1, say`${percent(hours.less)} fewer hours`],
        [1 - energyPrice.less, 1, say`energy ${percent(energyPrice.less)} cheaper`],
        [1, 1 + capital.more, say`a price ${percent(capital.more)} higher`],
      ]
    : [
        [1 + hours.more, 1, say`${percent(hours.more)} more hours`],
        [1 + energyPrice.more, 1, say`energy ${percent(energyPrice.more)} dearer`],
        [1, 1 - capital.less, say`a price ${percent(capital.less)} lower`],
      ];
  const turns = ends.filter(([saved, spent]) => pays(saved, spent) !== now).map(([, , how]) => how);
  if (turns.length > 0)
    report(
      'money.may-turn',
      say`The drive ${now ? 'pays' : 'does not pay'} over ${figures(horizon.years, 3)} years; ${series(turns, ' or ')} alone would turn that.`,
    );
}

/** Energy saved of which it is worth a word that the demand stays. */
const WORTH_TELLING = 0.1;
const HARDLY_LESS = 0.95;

/** One hour a month at full flow undoes what a drive saves of the demand. */
function checkDemand(
  { demandThrottled, demandSpeedControlled }: Partial<MoneyValues>,
  { profile }: EconomicsInput,
  report: Report,
): void {
  const saved = profile.values.savingShare;
  if (!demandThrottled || !demandSpeedControlled || !saved || saved.value < WORTH_TELLING) return;
  if (demandSpeedControlled.value < HARDLY_LESS * demandThrottled.value) return;
  report(
    'money.demand-undone',
    say`A drive would save ${saved} of the energy and hardly any of the demand: hours at or near full flow set it in every month.`,
  );
}

/** Prices of two currencies are reconciled by a typed rate, or nothing is said of capital. */
function checkCurrency({ brief: { job }, catalogue, pick }: EconomicsInput, report: Report): void {
  if (!pick.chosenMotor && !pick.chosenDrive && !pick.starter) return;
  report(
    'money.currency',
    `The catalogue’s prices are in ${catalogue.currency}, the job counts in ${job.currency || 'no currency'}; without a rate they cannot be compared.`,
    {
      clear: `Type how much ${job.currency || 'of the job’s currency'} one ${catalogue.currency} costs, or set the job’s currency to ${catalogue.currency}.`,
      mends: [{ label: `Count in ${catalogue.currency}`, set: { currency: catalogue.currency } }],
    },
  );
}

function summaryOf({ payback, yearlyCost }: MoneyValues, { brief, starting }: EconomicsInput): Text {
  if (payback && starting.method === 'drive') return say`Pays back in ${payback}`;
  return yearlyCost ? say`${yearlyCost} ${brief.job.currency} a year` : '';
}
