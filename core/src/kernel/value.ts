import { z } from 'zod';
import type { Dimension } from './quantity/units.ts';
import type { Text } from './text.ts';

/**
 * How a value came to be known. `recalled` is a table cell that was recalled from memory and not yet compared
 * with print; `looked up` is a catalogue entry.
 */
export const originSchema = z.enum(['given', 'derived', 'looked up', 'recalled', 'estimated', 'chosen']);
export type Origin = z.infer<typeof originSchema>;

/**
 * What a figure rests on: typed or measured; declared by plate, data sheet, catalogue, standard or design rule; or assumed. What is
 * computed from several rests on the weakest of them.
 */
export const evidenceSchema = z.enum(['given', 'declared', 'assumed']);
export type Evidence = z.infer<typeof evidenceSchema>;

export const workingSchema = z.object({
  formula: z.string().describe('TeX; empty where a value was given or looked up'),
  inputs: z.array(z.object({ symbol: z.string(), text: z.string(), origin: originSchema })),
  source: z.string().describe('Standard and clause, or “common practice, no published source”'),
  note: z.string().optional().describe('Which motor it holds for, or why a cell is unsure'),
});

export const valueSchema = z.object({
  value: z.union([z.number(), z.string()]).describe('In the SI unit named by `unit`; text for codes and names'),
  unit: z.string(),
  text: z.string().describe('As the job’s school shows it'),
  other: z.string().optional().describe('The same in the other unit system'),
  origin: originSchema,
  evidence: evidenceSchema.optional().describe('The weakest it rests on; absent where that is not traced'),
  assumes: z.array(z.string()).optional().describe('Job fields that replace what is assumed, where one does'),
  working: workingSchema,
});

export type ShownDerivation = Readonly<z.infer<typeof workingSchema>>;

/** How a value came about, as the engine has it. */
export interface Derivation {
  /** TeX; empty where a value was given or looked up. */
  readonly formula: string;
  readonly inputs: readonly {
    readonly symbol: string;
    readonly value: number | Text;
    readonly of?: Dimension;
    readonly origin: Origin;
  }[];
  /** Standard and clause, or “common practice, no published source”. */
  readonly source: Text;
  readonly note?: Text;
}

/** One figure of the solution, in SI and of its dimension; or a code, name or verdict, which has none. */
export interface Value<T extends number | Text = number> {
  readonly value: T;
  readonly of?: Dimension;
  readonly origin: Origin;
  /** Absent where what it was computed from is not named: nothing is claimed of it. */
  readonly evidence?: Evidence;
  /** Fields of the job that would replace what is assumed; absent where nothing is, or no field can. */
  readonly assumes?: readonly string[];
  readonly working: Derivation;
}

export const PRACTICE = 'common practice, no published source';

export interface How {
  readonly origin?: Origin;
  readonly formula?: string;
  readonly from?: Readonly<Record<string, Value | Value<Text> | undefined>>;
  readonly source: Text;
  readonly note?: Text | undefined;
  /** The field of the job whose entry replaces this figure; the figure is assumed. */
  readonly assumes?: string;
  /** What it rests on besides its inputs, where the origin does not say it. */
  readonly evidence?: Evidence;
}

/** Of a figure without inputs; what was derived or chosen from nothing that is named claims nothing. */
const OF_ORIGIN: Readonly<Partial<Record<Origin, Evidence>>> = {
  given: 'given',
  estimated: 'assumed',
};
const isTable = (origin: Origin): boolean => origin === 'looked up' || origin === 'recalled';
const WEAKNESS: readonly (Evidence | undefined)[] = ['given', 'declared', undefined, 'assumed'];

/** The weaker of two: an assumption, then what is not traced, then what is declared. */
export const weaker = (one: Evidence | undefined, other: Evidence | undefined): Evidence | undefined =>
  WEAKNESS[Math.max(WEAKNESS.indexOf(one), WEAKNESS.indexOf(other))];

/** What a figure rests on: its own origin, and everything that was put into it. An estimate from inputs is as good as they are. */
function restsOn(how: How): Pick<Value, 'evidence' | 'assumes'> {
  const { origin = 'derived', assumes } = how;
  const own = assumes === undefined ? (how.evidence ?? (isTable(origin) ? 'declared' : undefined)) : 'assumed';
  let evidence = own;
  let alone = own === undefined;
  let fields: readonly string[] | undefined = assumes === undefined ? undefined : [assumes];
  for (const symbol in how.from) {
    const from = how.from[symbol];
    if (!from) continue;
    evidence = alone ? from.evidence : weaker(evidence, from.evidence);
    alone = false;
    if (from.assumes && fields !== from.assumes)
      fields = fields ? [...fields, ...from.assumes.filter((field) => !fields?.includes(field))] : from.assumes;
  }
  if (alone) evidence = OF_ORIGIN[origin];
  if (evidence === undefined) return {};
  return fields ? { evidence, assumes: fields } : { evidence };
}

function working(how: How): Derivation {
  const inputs: Derivation['inputs'][number][] = [];
  for (const symbol in how.from) {
    const from = how.from[symbol];
    if (!from) continue;
    const { value, of, origin } = from;
    inputs.push(of === undefined ? { symbol, value, origin } : { symbol, value, of, origin });
  }
  const { formula = '', source, note } = how;
  return note ? { formula, inputs, source, note } : { formula, inputs, source };
}

/** An SI number with its working; origin is `derived` unless told otherwise. */
export const quantity = (si: number, of: Dimension, how: How): Value => ({
  value: si,
  of,
  origin: how.origin ?? 'derived',
  ...restsOn(how),
  working: working(how),
});

/** A code, name or verdict with its working. */
export const textValue = (text: Text, how: How): Value<Text> => ({
  value: text,
  origin: how.origin ?? 'derived',
  ...restsOn(how),
  working: working(how),
});
