import { stageNames } from '../ground/stage-names.ts';
import type { Fields } from '../ground/field.ts';
import { stageFields } from './fields.ts';
import { ownFields } from './options.ts';

/** Version of the document format. 1 had one answer and kept what is an option’s beside what is shared. */
export const FORMAT = 2;

type Part = Readonly<Record<string, unknown>>;
const isPart = (value: unknown): value is Part => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Both, where what stands in `over` counts. */
const merged = (under: unknown, over: Part): Part => ({ ...(isPart(under) ? under : {}), ...over });

/**
 * A document as this version writes it. What an option says for itself may stand at the top, as in documents of
 * version 1 and in short ones with a single answer: it is option A’s. Nothing else is looked at; the schema judges.
 */
export function upgrade(document: unknown): unknown {
  if (!isPart(document)) return document;
  const rest: Record<string, unknown> = { ...document };
  if (rest['schema'] === 1) rest['schema'] = FORMAT;
  const moved: Record<string, Part> = {};
  for (const stage of stageNames) {
    const part = rest[stage];
    const names = Object.keys(ownFields(stageFields[stage] as Fields));
    if (!isPart(part) || !names.some((name) => name in part)) continue;
    const entries = Object.entries(part);
    moved[stage] = Object.fromEntries(entries.filter(([name]) => names.includes(name)));
    rest[stage] = Object.fromEntries(entries.filter(([name]) => !names.includes(name)));
  }
  if (Object.keys(moved).length === 0) return rest;
  const options = isPart(rest['options']) ? rest['options'] : {};
  const first = isPart(options['A']) ? options['A'] : {};
  for (const [stage, part] of Object.entries(moved))
    moved[stage] = merged(part, isPart(first[stage]) ? first[stage] : {});
  return { ...rest, options: { ...options, A: { ...first, ...moved } } };
}
