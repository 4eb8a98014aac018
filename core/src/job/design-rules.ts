import type { QuantityField } from '../kernel/field.ts';
import { practiceReasons } from './design-rule-reasons.ts';
import { practiceNames, ruleOf, type PracticeName } from './design-rule-list.ts';
import { formatQuantity } from '../kernel/quantity/format.ts';
import { textOf, type Text } from '../kernel/text.ts';
import { memoize } from '../kernel/memoize.ts';
import { PRACTICE, quantity, type Value } from '../kernel/value.ts';

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

export type DesignRules = Readonly<Record<PracticeName, Value>>;
type Settings = Readonly<Partial<Record<PracticeName, Value>>>;

/** A rule of thumb as a job uses it, for screens and sheets. */
export interface UsedRule {
  readonly name: PracticeName;
  readonly title: string;
  readonly text: Text;
  readonly from: 'default' | 'site' | 'job';
  readonly why: string;
}

export interface PracticeRead {
  readonly practice: DesignRules;
  /** Rules that were looked at so far. */
  readonly used: () => UsedRule[];
  /** One in SI, without using it. */
  readonly valueOf: (name: PracticeName) => number;
}

const valued = (name: PracticeName, si: number, source: string): Value =>
  quantity(si, ruleOf(name).dimension, {
    origin: source === PRACTICE ? 'estimated' : 'given',
    evidence: source === PRACTICE ? 'declared' : 'given',
    source,
    note: practiceReasons[name].why,
  });

const usualValues = new Map<PracticeName, Value>();
const usual = (name: PracticeName): Value =>
  memoize(usualValues, practiceNames.length, name, () => valued(name, ruleOf(name).value, PRACTICE));

interface Reads {
  readonly read: (name: PracticeName) => Value;
}
/** Made once: to define a hundred rules anew for every solve would cost more than to read those that are used. */
const byName = Object.defineProperties<object>(
  {},
  Object.fromEntries(
    practiceNames.map((name) => [
      name,
      {
        get(this: Reads): Value {
          return this.read(name);
        },
      },
    ]),
  ),
);

/** A rule is read where it is used. */
const practiceOf = (read: Reads['read']): DesignRules =>
  Object.assign(Object.create(byName) as DesignRules, { read } satisfies Reads);

/** Every rule of thumb as a value: the job’s own setting, else its site’s, else the default. */
export function readPractice(own: Settings, site: Settings): PracticeRead {
  const seen = new Set<PracticeName>();
  const from = (name: PracticeName): UsedRule['from'] => (own[name] ? 'job' : site[name] ? 'site' : 'default');
  const sources = { default: PRACTICE, site: 'set for the site', job: 'set in this job' };
  const valueOf = (name: PracticeName): number => (own[name] ?? site[name])?.value ?? ruleOf(name).value;
  const read = (name: PracticeName): Value =>
    from(name) === 'default' ? usual(name) : valued(name, valueOf(name), sources[from(name)]);
  const practice = practiceOf((name) => {
    seen.add(name);
    return read(name);
  });
  const used = (): UsedRule[] =>
    practiceNames
      .filter((name) => seen.has(name))
      .map((name) => ({
        name,
        title: ruleOf(name).title,
        text: textOf(read(name)),
        from: from(name),
        why: practiceReasons[name].why,
      }));
  return { practice, used, valueOf };
}
