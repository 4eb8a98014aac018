import { bandOf, bisect, interpolate, type Band } from '../../kernel/numeric.ts';
import type { Letter } from '../../job/document-paths.ts';
import { growingAnnuity } from '../../stages/economics/cash-flow.ts';
import { eachFigure, likeliest, outcomesOf, yearlyOf, type Draws, type Outcome, type World } from './draw.ts';
import type { RiskModel, RiskOption } from './risk-model.ts';
import { riskVariables, type RiskVariable, type Spreads } from './spreads.ts';

export interface RiskOfOption {
  readonly letter: Letter;
  readonly name: string;
  readonly first: Band;
  readonly yearly: Band;
  readonly life: Band;
  readonly discounted: Band;
  /** Share of the draws in which it costs least over the years, with interest. */
  readonly best: number;
  /** Against the option that costs least to buy; undefined for that one itself. */
  readonly against:
    | {
        readonly netPresentValue: Band;
        /** Years; infinite where it never pays back. */
        readonly payback: Band;
        readonly loses: number;
      }
    | undefined;
  /** What it has cost after so many years. */
  readonly costs: readonly { readonly year: number; readonly band: Band }[];
}

/** What one figure being at either end of its range does to how much the first is ahead of the second. */
export interface Swing {
  readonly variable: RiskVariable;
  readonly low: number;
  readonly high: number;
  /** Rank correlation over the draws; −1 to 1. */
  readonly correlation: number;
}

export interface Risk {
  readonly draws: number;
  readonly base: Letter;
  /** Between which each figure was drawn. */
  readonly ranges: Spreads['ranges'];
  readonly options: readonly RiskOfOption[];
  /** The first and the second by the middle of their cost, and what lies between them. */
  readonly ahead:
    | {
        readonly first: Letter;
        readonly second: Letter;
        /** Share of the draws in which the first costs less, and whether that is clear. */
        readonly chance: number;
        readonly clear: boolean;
        /** The largest first. */
        readonly swings: readonly Swing[];
        readonly evens: readonly Even[];
      }
    | undefined;
}

/** Where both would cost the same: a factor of today’s figure, or a mean flow. */
export interface Even {
  readonly of: 'hours' | 'energyPrice' | 'meanFlow';
  readonly at: number;
}

/** Share of the draws from which one is called ahead. Common practice, no published source. */
const CLEAR = 0.8;

/** Of the draws, below and above a band. */
const OUTSIDE = 0.1;
const within = (values: readonly number[]): Band => bandOf(values, OUTSIDE);

/** What a set of draws says of the options; undefined where fewer than one option has its costs known. */
export function judgeRisk(model: RiskModel, draws: Draws): Risk | undefined {
  const { base } = model;
  const count = draws.worlds.hours.length;
  if (base === undefined || count === 0) return undefined;
  const against = draws.outcomes.find(({ letter }) => letter === base);
  if (!against) return undefined;
  const winners = winsOf(draws, count);
  const options = draws.outcomes.map(({ letter, figures }, at): RiskOfOption => ({
    letter,
    name: model.options[at]?.name ?? '',
    ...eachFigure((figure) => within(figures[figure])),
    best: (winners[at] ?? 0) / count,
    against: letter === base ? undefined : againstBase(figures, against.figures),
    costs: costsOf(figures, model.horizon.years),
  }));
  return { draws: count, base, ranges: model.spreads.ranges, options, ahead: aheadOf(model, draws, options) };
}

function winsOf({ outcomes }: Draws, count: number): number[] {
  const wins = outcomes.map(() => 0);
  for (let sample = 0; sample < count; sample++) {
    let best = 0;
    for (let at = 1; at < outcomes.length; at++)
      if ((outcomes[at]?.figures.discounted[sample] ?? 0) < (outcomes[best]?.figures.discounted[sample] ?? 0))
        best = at;
    wins[best] = (wins[best] ?? 0) + 1;
  }
  return wins;
}

type Figures = Readonly<Record<keyof Outcome, readonly number[]>>;

function againstBase(own: Figures, base: Figures): RiskOfOption['against'] {
  const worth = own.discounted.map((cost, at) => (base.discounted[at] ?? 0) - cost);
  const payback = own.first.map((first, at) => {
    const extra = first - (base.first[at] ?? 0);
    const saving = (base.yearly[at] ?? 0) - (own.yearly[at] ?? 0);
    if (extra <= 0 && saving >= 0) return 0;
    return saving > 0 ? extra / saving : Number.POSITIVE_INFINITY;
  });
  return {
    netPresentValue: within(worth),
    payback: within(payback),
    loses: worth.filter((each) => each < 0).length / worth.length,
  };
}

const MOST_POINTS = 20;

function costsOf({ first, yearly }: Figures, years: number): RiskOfOption['costs'] {
  const steps = Math.min(MOST_POINTS, Math.max(1, Math.ceil(years)));
  return Array.from({ length: steps + 1 }, (_, at) => {
    const year = (at / steps) * years;
    return { year, band: within(first.map((cost, sample) => cost + year * (yearly[sample] ?? 0))) };
  });
}

function aheadOf(model: RiskModel, draws: Draws, options: readonly RiskOfOption[]): Risk['ahead'] {
  const [first, second] = options
    .map(({ discounted, letter }, at) => ({ at, letter, middle: discounted.middle }))
    .toSorted((a, b) => a.middle - b.middle);
  if (!first || !second) return undefined;
  const costs = (at: number): readonly number[] => draws.outcomes[at]?.figures.discounted ?? [];
  const mine = costs(first.at);
  const lead = costs(second.at).map((cost, sample) => cost - (mine[sample] ?? 0));
  const chance = lead.filter((each) => each > 0).length / lead.length;
  return {
    first: first.letter,
    second: second.letter,
    chance,
    clear: chance >= CLEAR,
    swings: swingsOf(model, draws, lead, [first.at, second.at]),
    evens: evensOf(model, [first.at, second.at]),
  };
}

/** How much the first is ahead of the second in one world. */
function leadIn(model: RiskModel, world: World, [first, second]: readonly [number, number]): number {
  const outcomes = outcomesOf(model, world);
  return (outcomes[second]?.discounted ?? 0) - (outcomes[first]?.discounted ?? 0);
}

function swingsOf(
  model: RiskModel,
  { worlds }: Draws,
  lead: readonly number[],
  pair: readonly [number, number],
): Swing[] {
  const usual = likeliest(model);
  const ranks = ranksOf(lead);
  return riskVariables
    .flatMap((variable): Swing[] => {
      const { low, high } = model.spreads.ranges[variable];
      if (low === high) return [];
      const at = (value: number): number => leadIn(model, { ...usual, [variable]: value }, pair);
      return [{ variable, low: at(low), high: at(high), correlation: correlationOf(ranksOf(worlds[variable]), ranks) }];
    })
    .toSorted((a, b) => Math.abs(b.correlation) - Math.abs(a.correlation));
}

function ranksOf(values: readonly number[]): number[] {
  const order = [...values.keys()].sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0));
  const ranks: number[] = Array.from({ length: values.length }, () => 0);
  for (const [rank, at] of order.entries()) ranks[at] = rank;
  return ranks;
}

/** Of two lists of ranks without ties: Spearman’s. */
function correlationOf(a: readonly number[], b: readonly number[]): number {
  const mean = (a.length - 1) / 2;
  let [both, own] = [0, 0];
  for (const [at, rank] of a.entries()) {
    both += (rank - mean) * ((b[at] ?? 0) - mean);
    own += (rank - mean) ** 2;
  }
  return own === 0 ? 0 : both / own;
}

/** Hours, price and mean flow at which the second would have cost no more. */
function evensOf(model: RiskModel, [first, second]: readonly [number, number]): Even[] {
  const usual = likeliest(model);
  const lead = (world: World): number => leadIn(model, world, [first, second]);
  const factor = (of: 'hours' | 'energyPrice'): Even[] => {
    const at = crossing((value) => lead({ ...usual, [of]: value }), FACTORS);
    return at === undefined ? [] : [{ of, at }];
  };
  const [a, b] = [model.options[first], model.options[second]];
  const flow =
    a &&
    b &&
    crossing(
      (mean) => leadAtFlow(model, a, b, mean),
      a.byFlow.map((each) => each.mean),
    );
  return [
    ...factor('hours'),
    ...factor('energyPrice'),
    ...(flow === undefined ? [] : [{ of: 'meanFlow' as const, at: flow }]),
  ];
}

/** Factors between which a break-even is looked for. */
const FACTORS = [0, 0.25, 0.5, 0.75, 1, 1.5, 2, 3, 5, 10] as const;

function leadAtFlow(model: RiskModel, first: RiskOption, second: RiskOption, mean: number): number {
  const growing = growingAnnuity(model.horizon);
  const usual = likeliest(model);
  const cost = (option: RiskOption): number => {
    const means = option.byFlow.map((each) => each.mean);
    const yearly = option.byFlow.map(({ year }) => yearlyOf(option, year, usual));
    return option.first + growing * interpolate(means, yearly, mean);
  };
  return cost(second) - cost(first);
}

/** The value nearest to today’s, 1 or a share of it, at which a lead turns; undefined where it does not between the first and last of some values. */
function crossing(lead: (value: number) => number, values: readonly number[]): number | undefined {
  const found = values.slice(1).flatMap((high, at) => {
    const low = values[at] ?? high;
    const [before, after] = [lead(low), lead(high)];
    if (before > 0 === after > 0) return [];
    const ends = bisect((value) => lead(value) > 0 === before > 0, { low, high }, { rounds: 40 });
    return [(ends.low + ends.high) / 2];
  });
  return found.toSorted((a, b) => Math.abs(Math.log(Math.max(a, 1e-9))) - Math.abs(Math.log(Math.max(b, 1e-9))))[0];
}
