import { amount, figures, say, textOf, type Text } from '../kernel/text.ts';
import { z } from 'zod';
import { YEAR } from '../kernel/constants.ts';
import type { AnyValue } from '../stages/stage.ts';
import { letters, type Letter } from '../job/document-paths.ts';
import type { StandardsSystem } from '../kernel/quantity/units.ts';
import { textIn } from '../present/present.ts';
import { termIn } from '../kernel/term.ts';
import { publishedValues } from './published.ts';
import {
  discountedPayback,
  internalRate,
  netPresentValue,
  simplePayback,
  type Horizon,
} from '../stages/economics/cash-flow.ts';

const letterSchema = z.enum(letters);
const rowSchema = z.object({
  id: z.string().describe('Published value'),
  label: z.string(),
  texts: z.partialRecord(letterSchema, z.string()),
  differs: z.boolean(),
  measure: z.enum(['least', 'most']).optional().describe('Which is the better, where one is'),
  best: z.array(letterSchema).describe('Best by this measure of the options without a stop'),
});
export const comparisonSchema = z.object({
  rows: z.array(rowSchema),
  best: z
    .object({
      option: letterSchema,
      by: z.string().describe('Published value it is best by'),
      near: z.array(letterSchema).describe('Others too near to it for a clear winner'),
    })
    .optional()
    .describe('Best by the cost over the years counted, else by what it costs to buy and fit'),
  turns: z.array(
    z.object({
      option: letterSchema.describe('What would be best instead'),
      text: z.string().describe('What would turn it'),
    }),
  ),
  costs: z
    .array(
      z.object({
        option: letterSchema,
        name: z.string(),
        points: z.array(z.object({ year: z.number(), cost: z.number() })),
      }),
    )
    .describe('What each option without a stop has cost after so many years, bought and fitted at year 0'),
  worth: z
    .array(
      z.object({
        option: letterSchema,
        against: letterSchema.describe('The option that costs least to buy and fit'),
        extra: z.number().describe('What it costs more to buy and fit'),
        saving: z.number().describe('What it costs less in the first year'),
        netPresentValue: z.number(),
        internalRate: z.number().optional().describe('None where it is never, or always, worth it'),
        payback: z.number().optional().describe('Years, without interest; none where it never pays back'),
        discountedPayback: z.number().optional().describe('Years, with interest'),
      }),
    )
    .describe('What each option is worth against the one that costs least to buy'),
  evens: z
    .array(z.object({ options: z.tuple([letterSchema, letterSchema]), year: z.number(), cost: z.number() }))
    .describe('When the best and another have cost the same'),
});

type Shown = Readonly<z.infer<typeof comparisonSchema>>;
interface Row extends Omit<Shown['rows'][number], 'texts'> {
  readonly texts: Readonly<Partial<Record<Letter, Text>>>;
}
export interface OptionComparison extends Omit<Shown, 'rows' | 'turns'> {
  readonly rows: readonly Row[];
  readonly turns: readonly { readonly option: Letter; readonly text: Text }[];
}

/** What the comparison looks at of an option. */
export interface Compared {
  readonly letter: Letter;
  readonly name: string;
  readonly stopped: boolean;
  readonly values: Readonly<Record<string, AnyValue>>;
}

/** Rows of the comparison in their order, and which way is the better. */
const measured: readonly (readonly [id: string, measure?: 'least' | 'most'])[] = [
  ['starting.method'],
  ['pick.motor'],
  ['pick.drive'],
  ['pick.starter'],
  ['money.firstCost', 'least'],
  ['money.yearlyCost', 'least'],
  ['money.lifeCost', 'least'],
  ['money.discountedCost', 'least'],
  ['money.annualCost', 'least'],
  ['money.carbon', 'least'],
  ['profile.energy', 'least'],
  ['profile.peakInput', 'least'],
  ['starting.startingCurrent', 'least'],
  ['starting.startingDip', 'least'],
  ['starting.accelerationTime'],
  ['starting.torqueMargin', 'most'],
  ['starting.rotorHeat', 'least'],
  ['protection.overloadDial'],
  ['protection.driveOverloadCurrent'],
  ['protection.branchDeviceMax'],
  ['protection.conductorSize'],
];

/** Two figures nearer than this are the same. */
const SAME = 1e-3;

/** What differs between the options, which is best by which measure, and what would turn it. */
export function compareOptions(
  options: readonly Compared[],
  school: StandardsSystem,
  horizon: Horizon,
): OptionComparison {
  const { years } = horizon;
  const rows = measured.flatMap(([id, measure]) => rowOf(id, measure, options, school));
  const running = options.filter(({ stopped }) => !stopped);
  const by = ['money.lifeCost', 'money.firstCost'].find((id) => running.some(({ values }) => values[id]));
  const winner = by === undefined ? undefined : leastOf(running, by);
  return {
    rows,
    ...(winner && by ? { best: { option: winner.letter, by, near: nearOf(winner, by, running) } } : {}),
    turns: winner ? running.flatMap((other) => turnOf(winner, other, years)) : [],
    costs: running.flatMap((option) => costsOf(option, years)),
    worth: worthOf(running, horizon),
    evens: winner ? running.flatMap((other) => evenOf(winner, other, years)) : [],
  };
}

/** Figures nearer than this to the best leave no clear winner. Common practice, no published source. */
const NEAR = 0.05;

function nearOf(winner: Compared, by: string, options: readonly Compared[]): Letter[] {
  const least = figureOf(winner, by) ?? 0;
  return options.flatMap((option) => {
    const figure = figureOf(option, by);
    const near = option.letter !== winner.letter && figure !== undefined && figure - least <= NEAR * Math.abs(least);
    return near ? [option.letter] : [];
  });
}

/** Every option against the one that costs least to buy and fit. */
function worthOf(options: readonly Compared[], horizon: Horizon): OptionComparison['worth'] {
  const costed = options.flatMap((option) => {
    const first = figureOf(option, 'money.firstCost');
    const yearly = figureOf(option, 'money.yearlyCost');
    const whole = figureOf(option, 'money.discountedCost');
    return first === undefined || yearly === undefined ? [] : [{ letter: option.letter, first, yearly, whole }];
  });
  const [base] = costed.toSorted((a, b) => a.first - b.first);
  if (!base) return [];
  return costed.flatMap(({ letter, first, yearly, whole }) => {
    if (letter === base.letter) return [];
    const investment = { capital: first - base.first, saving: base.yearly - yearly };
    const rate = internalRate(investment, horizon);
    const payback = simplePayback(investment);
    const discounted = discountedPayback(investment, horizon);
    return [
      {
        option: letter,
        against: base.letter,
        extra: investment.capital,
        saving: investment.saving,
        // What is replaced on the way counts in it; rate and payback go by what is bought now.
        netPresentValue:
          whole === undefined || base.whole === undefined ? netPresentValue(investment, horizon) : base.whole - whole,
        ...(rate === undefined ? {} : { internalRate: rate }),
        ...(payback === undefined ? {} : { payback }),
        ...(discounted === undefined ? {} : { discountedPayback: discounted }),
      },
    ];
  });
}

/** Points of a line that is drawn; a longer time is drawn by fewer of them. */
const MOST_POINTS = 60;

function costsOf(option: Compared, years: number): OptionComparison['costs'] {
  const first = figureOf(option, 'money.firstCost');
  const yearly = figureOf(option, 'money.yearlyCost');
  if (first === undefined || yearly === undefined) return [];
  const apart = Math.max(1, Math.ceil(years / MOST_POINTS));
  const whole = Array.from({ length: Math.floor(years / apart) + 1 }, (_, at) => at * apart);
  const counted = whole.at(-1) === years ? whole : [...whole, years];
  const points = counted.map((year) => ({ year, cost: first + yearly * year }));
  return [{ option: option.letter, name: option.name, points }];
}

/** When a dearer option has paid back what it cost more; nothing where it never does, or not within the years counted. */
function evenOf(winner: Compared, other: Compared, years: number): OptionComparison['evens'] {
  const [first, otherFirst] = [figureOf(winner, 'money.firstCost'), figureOf(other, 'money.firstCost')];
  const [yearly, otherYearly] = [figureOf(winner, 'money.yearlyCost'), figureOf(other, 'money.yearlyCost')];
  if (first === undefined || otherFirst === undefined || yearly === undefined || otherYearly === undefined) return [];
  const year = (first - otherFirst) / (otherYearly - yearly);
  if (!(year > 0 && year < years)) return [];
  return [{ options: [winner.letter, other.letter], year, cost: first + yearly * year }];
}

function rowOf(id: string, measure: Row['measure'], options: readonly Compared[], school: StandardsSystem): Row[] {
  const known = options.filter(({ values }) => values[id]);
  if (known.length === 0) return [];
  const texts = Object.fromEntries(known.map(({ letter, values }) => [letter, textOf(values[id]) ?? '']));
  const differs =
    known.length < options.length ||
    new Set(Object.values(texts).map((text) => textIn(text, { units: school }))).size > 1;
  return [
    {
      id,
      label: termIn(publishedValues.get(id)?.label ?? id, school),
      texts,
      differs,
      ...(measure ? { measure } : {}),
      best: measure && differs ? bestOf(id, measure, options) : [],
    },
  ];
}

const figureOf = ({ values }: Compared, id: string): number | undefined => {
  const value = values[id]?.value;
  return typeof value === 'number' ? value : undefined;
};

function bestOf(id: string, measure: 'least' | 'most', options: readonly Compared[]): Letter[] {
  const sign = measure === 'least' ? 1 : -1;
  const figures = options.flatMap((option) => {
    const figure = figureOf(option, id);
    return figure === undefined || option.stopped ? [] : [{ letter: option.letter, figure: figure * sign }];
  });
  if (figures.length < 2) return [];
  const least = Math.min(...figures.map(({ figure }) => figure));
  const best = figures.filter(({ figure }) => figure <= least + SAME * Math.abs(least));
  return best.length === figures.length ? [] : best.map(({ letter }) => letter);
}

const leastOf = (options: readonly Compared[], id: string): Compared | undefined =>
  options
    .filter((option) => figureOf(option, id) !== undefined)
    .toSorted((a, b) => (figureOf(a, id) ?? 0) - (figureOf(b, id) ?? 0))[0];

/** When another option would cost less over the years: what it saves first against what it costs each year. */
function turnOf(winner: Compared, other: Compared, years: number): OptionComparison['turns'] {
  if (other.letter === winner.letter) return [];
  const [firstA, firstB] = [figureOf(winner, 'money.firstCost'), figureOf(other, 'money.firstCost')];
  const [yearA, yearB] = [figureOf(winner, 'money.yearlyCost'), figureOf(other, 'money.yearlyCost')];
  if (firstA === undefined || firstB === undefined || yearA === undefined || yearB === undefined) return [];
  const name = `${other.letter} (${other.name})`;
  const dearer = firstA - firstB;
  const saved = yearB - yearA;
  if (dearer <= 0 && saved >= 0)
    return [
      {
        option: other.letter,
        text: `${name} costs no less to buy and no less to run: nothing of money would turn it.`,
      },
    ];
  const even = dearer / saved;
  const span = amount(even * YEAR, 'span');
  if (dearer > 0) {
    const share = say`${figures((even / years) * 100, 2)} %`;
    // A demand charge does not go down with the hours.
    const hours = winner.values['money.demandSpeedControlled'] ? '' : say`, or it ran less than ${share} of the hours`;
    return [
      {
        option: other.letter,
        text: say`${name} would cost less if less than ${span} were counted, if energy cost less than ${share} of its price${hours}.`,
      },
    ];
  }
  return [{ option: other.letter, text: say`${name} would cost less if more than ${span} were counted.` }];
}
