import { z } from 'zod';
import { showQuantity, siUnit } from './quantity/format.ts';
import type { Dimension, School } from './quantity/units.ts';

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
export type Working = Readonly<z.infer<typeof workingSchema>>;

export const valueSchema = z.object({
  value: z.union([z.number(), z.string()]).describe('In the SI unit named by `unit`; text for codes and names'),
  unit: z.string(),
  text: z.string().describe('As the job’s school shows it'),
  other: z.string().optional().describe('The same in the other unit system'),
  origin: originSchema,
  working: workingSchema,
});

/** One figure of the solution. Numbers are SI. */
export interface Value<T extends number | string = number> {
  readonly value: T;
  readonly unit: string;
  readonly text: string;
  readonly other?: string;
  readonly origin: Origin;
  readonly working: Working;
}

export const PRACTICE = 'common practice, no published source';

export interface How {
  readonly origin?: Origin;
  readonly formula?: string;
  readonly from?: Readonly<Record<string, Value | Value<string> | undefined>>;
  readonly source: string;
  readonly note?: string | undefined;
}

function working(how: How): Working {
  const inputs: Working['inputs'] = [];
  for (const symbol in how.from) {
    const value = how.from[symbol];
    if (value) inputs.push({ symbol, text: value.text, origin: value.origin });
  }
  const { formula = '', source, note } = how;
  return note ? { formula, inputs, source, note } : { formula, inputs, source };
}

/** An SI number with its working; origin is `derived` unless told otherwise. */
export function quantity(si: number, dimension: Dimension, school: School, how: How): Value {
  const { text, other } = showQuantity(si, dimension, school);
  const { origin = 'derived' } = how;
  const unit = siUnit(dimension);
  return other === undefined
    ? { value: si, unit, text, origin, working: working(how) }
    : { value: si, unit, text, other, origin, working: working(how) };
}

/** A code, name or verdict with its working. */
export const wording = (text: string, how: How): Value<string> => ({
  value: text,
  unit: '',
  text,
  origin: how.origin ?? 'derived',
  working: working(how),
});
