import { stageNames } from '../kernel/stage-list.ts';
import type { Fields } from '../kernel/field.ts';
import { stageFields } from './fields.ts';
import { ownFields } from './options.ts';

/** Version of the document format. 1 had one answer and kept what is an option’s beside what is shared. */
export const FORMAT = 2;

type Part = Readonly<Record<string, unknown>>;
const isPart = (value: unknown): value is Part => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A document as this version writes it. What an option says for itself may stand at the top, as in documents of
 * version 1 and in short ones with a single answer: it is option A’s. There is always an option. Nothing else is looked at;
 * the schema judges.
 */
export function upgrade(document: unknown): unknown {
  if (!isPart(document)) return document;
  const rest: Record<string, unknown> = { ...document };
  if (rest['schema'] === 1) rest['schema'] = FORMAT;
  const moved: Record<string, unknown> = {};
  for (const stage of stageNames) {
    const part = rest[stage];
    const names = Object.keys(ownFields(stageFields[stage] as Fields));
    const wholly = names.length === Object.keys(stageFields[stage]).length;
    if (wholly && part !== undefined) {
      moved[stage] = part;
      Reflect.deleteProperty(rest, stage);
    }
    if (wholly || !isPart(part) || !names.some((name) => name in part)) continue;
    const entries = Object.entries(part);
    moved[stage] = Object.fromEntries(entries.filter(([name]) => names.includes(name)));
    rest[stage] = Object.fromEntries(entries.filter(([name]) => !names.includes(name)));
  }
  const options = rest['options'] ?? {};
  if (!isPart(options)) return rest;
  if (Object.keys(moved).length === 0) return Object.keys(options).length > 0 ? rest : { ...rest, options: { A: {} } };
  const first = isPart(options['A']) ? options['A'] : {};
  for (const [stage, part] of Object.entries(moved)) {
    const over = first[stage];
    if (isPart(part) && isPart(over)) moved[stage] = { ...part, ...over };
  }
  return { ...rest, options: { ...options, A: { ...first, ...moved } } };
}
