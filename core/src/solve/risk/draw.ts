import { laterCosts } from '../../stages/economics/replacement-costs.ts';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { interpolate } from '../../kernel/numeric.ts';
import type { Letter } from '../../job/document-paths.ts';
import { growingAnnuity } from '../../stages/economics/cash-flow.ts';
import type { RiskModel, RiskOption, YearOfCost } from './risk-model.ts';
import { riskVariables, type Range, type RiskVariable } from './spreads.ts';

/** What one year might turn out as: each uncertain figure as it was drawn. */
export type World = Readonly<Record<RiskVariable, number>>;

/** An option in one world. */
export interface Outcome {
  readonly first: number;
  readonly yearly: number;
  /** Cost over the years, without and with interest. */
  readonly life: number;
  readonly discounted: number;
}

/** A record of the figures of an outcome. */
export const eachFigure = <T>(of: (figure: keyof Outcome) => T): Record<keyof Outcome, T> => ({
  first: of('first'),
  yearly: of('yearly'),
  life: of('life'),
  discounted: of('discounted'),
});
const figureNames = ['first', 'yearly', 'life', 'discounted'] as const satisfies readonly (keyof Outcome)[];

/** Where a share of the draws of a range lies below: inverse of its distribution. */
export function drawn({ low, mode, high, shape }: Range, share: number): number {
  if (high <= low) return mode;
  if (shape === 'even') return low + (high - low) * share;
  const middle = (mode - low) / (high - low);
  return share < middle
    ? low + Math.sqrt(share * (high - low) * (mode - low))
    : high - Math.sqrt((1 - share) * (high - low) * (high - mode));
}

/** Of a seed, a sample and a variable alone, so that another variable moves none of the others and any split gives the same. */
export function shareOf(seed: number, sample: number, name: RiskVariable): number {
  let mixed = Math.imul(seed, 0x9e37_79b1) ^ Math.imul(sample + 1, 0x85eb_ca6b);
  for (let at = 0; at < name.length; at++) mixed = Math.imul(mixed ^ name.charCodeAt(at), 0x0100_0193);
  return uniformFloat64(xoroshiro128plus(mixed | 0));
}

/** Sample number `sample` of a seed. */
export const worldOf = ({ spreads: { ranges } }: RiskModel, seed: number, sample: number): World =>
  Object.fromEntries(riskVariables.map((name) => [name, drawn(ranges[name], shareOf(seed, sample, name))])) as World;

/** The likeliest of everything. */
export const likeliest = ({ spreads: { ranges } }: RiskModel): World =>
  Object.fromEntries(riskVariables.map((name) => [name, ranges[name].mode])) as World;

/** The cost of a first year where the power at full flow and the static head are others. */
function yearAt({ grid }: RiskOption, { powers, statics }: RiskModel, { power, staticHead }: World): YearOfCost {
  const part = (name: keyof YearOfCost): number =>
    interpolate(
      powers,
      grid.map((row) =>
        interpolate(
          statics,
          row.map((year) => year[name]),
          staticHead,
        ),
      ),
      power,
    );
  return {
    shaft: part('shaft'),
    motors: part('motors'),
    drives: part('drives'),
    waiting: part('waiting'),
    resting: part('resting'),
    demand: part('demand'),
  };
}

/** What a first year costs in a world: energy with hours, price and losses, demand with its price. */
export function yearlyOf({ losses, upkeep }: RiskOption, year: YearOfCost, world: World): number {
  const lost = losses[0] + (losses[1] - losses[0]) * world.efficiency;
  const waiting = Math.max(0, year.resting - world.hours * (year.resting - year.waiting));
  const energy = world.hours * (year.shaft + lost * year.motors + world.driveLoss * year.drives) + waiting;
  return world.energyPrice * (energy + year.demand) + upkeep;
}

/** Every option of a model in one world. */
export function outcomesOf(model: RiskModel, world: World): Outcome[] {
  const { horizon } = model;
  const years = horizon.years * world.life;
  const growing = growingAnnuity({ ...horizon, years, growth: horizon.growth + world.growth });
  return model.options.map((option) => {
    const first = option.first * world.capital;
    const yearly = yearlyOf(option, yearAt(option, model, world), world);
    const { later } = option;
    const replaced = { ...later, replacement: later.replacement * world.capital };
    return {
      first,
      yearly,
      life: first + years * yearly + laterCosts(replaced, years, 0),
      discounted: first + growing * yearly + laterCosts(replaced, years, horizon.discount),
    };
  });
}

/** Draws of a slice: for each option its figures, for each variable what it was. */
export interface Draws {
  readonly from: number;
  readonly worlds: Readonly<Record<RiskVariable, readonly number[]>>;
  readonly outcomes: readonly {
    readonly letter: Letter;
    readonly figures: Readonly<Record<keyof Outcome, readonly number[]>>;
  }[];
}

export function drawSlice(model: RiskModel, seed: number, from: number, to: number): Draws {
  const worlds = Object.fromEntries(riskVariables.map((name) => [name, [] as number[]])) as unknown as Record<
    RiskVariable,
    number[]
  >;
  const outcomes = model.options.map(({ letter }) => ({
    letter,
    figures: eachFigure((): number[] => []),
  }));
  for (let sample = from; sample < to; sample++) {
    const world = worldOf(model, seed, sample);
    for (const name of riskVariables) worlds[name].push(world[name]);
    for (const [at, outcome] of outcomesOf(model, world).entries()) {
      const figures = outcomes[at]?.figures;
      if (!figures) continue;
      for (const figure of figureNames) figures[figure].push(outcome[figure]);
    }
  }
  return { from, worlds, outcomes };
}

/** Slices in the order of their samples, whatever the order they came in. */
export function joined(slices: readonly Draws[]): Draws | undefined {
  const [first, ...rest] = slices.toSorted((a, b) => a.from - b.from);
  if (!first) return undefined;
  return {
    from: first.from,
    worlds: Object.fromEntries(
      riskVariables.map((name) => [name, [first, ...rest].flatMap(({ worlds }) => worlds[name])]),
    ) as unknown as Draws['worlds'],
    outcomes: first.outcomes.map(({ letter }, at) => ({
      letter,
      figures: eachFigure((figure) => [first, ...rest].flatMap(({ outcomes }) => outcomes[at]?.figures[figure] ?? [])),
    })),
  };
}
