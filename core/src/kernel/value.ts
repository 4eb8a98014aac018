import { z } from 'zod';
import type { Dimension } from './quantity/units.ts';
import type { Text } from './text.ts';

/**
 * How a value came to be known. `recalled` is a table cell that was recalled from memory and not yet compared
 * with print; `looked up` is a catalogue entry.
 */
export const originSchema = z.enum(['given', 'derived', 'looked up', 'recalled', 'estimated', 'chosen']);
export type Origin = z.infer<typeof originSchema>;

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
  readonly working: Derivation;
}

export const PRACTICE = 'common practice, no published source';

export interface How {
  readonly origin?: Origin;
  readonly formula?: string;
  readonly from?: Readonly<Record<string, Value | Value<Text> | undefined>>;
  readonly source: Text;
  readonly note?: Text | undefined;
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
  working: working(how),
});

/** A code, name or verdict with its working. */
export const textValue = (text: Text, how: How): Value<Text> => ({
  value: text,
  origin: how.origin ?? 'derived',
  working: working(how),
});
