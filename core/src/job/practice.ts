import type { QuantityField } from '../ground/field.ts';
import { practiceReasons } from './practice-reasons.ts';
import { practiceNames, ruleOf, type PracticeName } from './practice-rules.ts';
import { formatQuantity } from '../ground/quantity/format.ts';
import { PRACTICE, quantity, type Value } from '../ground/value.ts';
import type { School } from '../ground/quantity/units.ts';

/** Every rule of thumb as a typed field. */
export const practiceFields = Object.fromEntries(
  practiceNames.map((name) => {
    const { dimension, range, value, title } = ruleOf(name);
    const field: QuantityField = {
      kind: 'quantity',
      label: title,
      dimension,
      min: range[0],
      max: range[1],
      example: formatQuantity(value, dimension, 'IEC'),
    };
    return [name, field];
  }),
) as unknown as Readonly<Record<PracticeName, QuantityField>>;

export type Practice = Readonly<Record<PracticeName, Value>>;
type Settings = Readonly<Partial<Record<PracticeName, Value>>>;

/** A rule of thumb as a job uses it, for screens and sheets. */
export interface UsedRule {
  readonly name: PracticeName;
  readonly title: string;
  readonly text: string;
  readonly from: 'default' | 'site' | 'job';
  readonly why: string;
}

export interface PracticeRead {
  readonly practice: Practice;
  /** Rules that were looked at so far. */
  readonly used: () => UsedRule[];
  /** One in SI, without using it. */
  readonly valueOf: (name: PracticeName) => number;
}

/**
 * Every rule of thumb as a value: the job’s own setting, else its site’s, else the default. */
export function readPractice(own: Settings, site: Settings, school: School): PracticeRead {
  const seen = new Set<PracticeName>();
  const from = (name: PracticeName): UsedRule['from'] => (own[name] ? 'job' : site[name] ? 'site' : 'default');
  const sources = { default: PRACTICE, site: 'set for the site', job: 'set in this job' };
  const valueOf = (name: PracticeName): number => (own[name] ?? site[name])?.value ?? ruleOf(name).value;
  const read = (name: PracticeName): Value => {
    const { dimension } = ruleOf(name);
    const { why } = practiceReasons[name];
    return quantity(valueOf(name), dimension, school, {
      origin: from(name) === 'default' ? 'estimated' : 'given',
      source: sources[from(name)],
      note: why,
    });
  };
  const practice = Object.defineProperties(
    {},
    Object.fromEntries(
      practiceNames.map((name) => {
        let value: Value | undefined;
        const get = (): Value => {
          seen.add(name);
          return (value ??= read(name));
        };
        return [name, { get, enumerable: true }];
      }),
    ),
  ) as Practice;
  const used = (): UsedRule[] =>
    practiceNames
      .filter((name) => seen.has(name))
      .map((name) => ({
        name,
        title: ruleOf(name).title,
        text: read(name).text,
        from: from(name),
        why: practiceReasons[name].why,
      }));
  return { practice, used, valueOf };
}
