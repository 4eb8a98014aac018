import type { FieldSpec } from './field.ts';
import { formatQuantity } from './quantity/format.ts';
import { parseGroups, parseQuantity, type Parsed, type Reading } from './quantity/parse.ts';
import type { StandardsSystem } from './quantity/units.ts';

const believable = (si: number, spec: FieldSpec, school: StandardsSystem): string | undefined => {
  if (si >= spec.min - 1e-9 && si <= spec.max + 1e-9) return undefined;
  const show = (limit: number) => formatQuantity(limit, spec.dimension, school);
  if (si <= 0 && spec.min > 0) return `must be more than zero, for example ${spec.example}.`;
  return `is outside what is believable here, ${show(spec.min)} to ${show(spec.max)}. Write it like ${spec.example}.`;
};

type ReadingGroups = readonly (readonly Reading[])[];

/** Reads one typed field; a single quantity is one group of one. Every figure is believable. */
export function readFigures(typed: string | number, spec: FieldSpec, school: StandardsSystem): Parsed<ReadingGroups> {
  const text = String(typed);
  let groups: ReadingGroups;
  if (spec.list) {
    const parsed = parseGroups(text, spec.dimension, school);
    if (!parsed.ok) return parsed;
    groups = parsed.value;
  } else {
    const parsed = parseQuantity(text, spec.dimension, school);
    if (!parsed.ok) return parsed;
    groups = [[parsed.value]];
  }
  for (const group of groups) {
    for (const { si } of group) {
      const wrong = believable(si, spec, school);
      if (wrong) return { ok: false, message: `“${text.slice(0, 40)}” ${wrong}` };
    }
  }
  return groups[0]?.[0] ? { ok: true, value: groups } : { ok: false, message: `Write it like ${spec.example}.` };
}

/** What is wrong with a typed quantity and what would be right; undefined where it reads well. */
export function checkField(typed: string | number, spec: FieldSpec, school: StandardsSystem): string | undefined {
  const result = readFigures(typed, spec, school);
  return result.ok ? undefined : result.message;
}
