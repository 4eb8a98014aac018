import fc from 'fast-check';
import type { Field, Fields, QuantityField } from '../../src/kernel/field.ts';
import { formatQuantity, siUnit } from '../../src/kernel/quantity/format.ts';
import { stageFields } from '../../src/job/fields.ts';
import { optionStages } from '../../src/kernel/stage-list.ts';
import { ownFields, sharedFields } from '../../src/job/options.ts';
import { letters } from '../../src/job/document-paths.ts';
import { practiceFields } from '../../src/job/design-rules.ts';
import type { JobInput } from '../../src/index.ts';
import { stageNames } from '../../src/kernel/stage-list.ts';

/** A number of a field’s dimension within its limits, mostly by its magnitude, now and then at a limit or as the example has it. */
function typed({ dimension, min, max, example, list }: QuantityField): fc.Arbitrary<string> {
  const low = Math.max(min, 1e-9);
  const figure = fc.oneof(
    {
      weight: 4,
      arbitrary: fc
        .double({ min: 0, max: 1, noNaN: true })
        .map((at) => (min <= 0 && at < 0.05 ? min : low * (max / low) ** at)),
    },
    { weight: 1, arbitrary: fc.constantFrom(min, max) },
  );
  const unit = siUnit(dimension);
  const shown = figure.map((si) =>
    ['count', 'money'].includes(dimension)
      ? String(si)
      : dimension === 'temperature'
        ? formatQuantity(si, dimension, 'IEC')
        : `${si} ${unit === '1' ? '' : unit}`,
  );
  const one = fc.oneof(
    { weight: 3, arbitrary: fc.constant(example.split(/ or |, /)[0] ?? '') },
    { weight: 4, arbitrary: shown },
  );
  return list ? fc.array(one, { minLength: 1, maxLength: 3 }).map((all) => all.join(' / ')) : one;
}

const pool = [
  '',
  'TEFC',
  'IP55',
  'B',
  'F',
  '254T',
  '160M',
  'S1',
  '40 °C',
  'N',
  '6308-2RS C3',
  'IM B3',
  'no sense',
  '\0',
];
const wordsOf = (most: number): fc.Arbitrary<string> => fc.constantFrom(...pool).map((word) => word.slice(0, most));

function any(field: Field): fc.Arbitrary<unknown> {
  switch (field.kind) {
    case 'quantity':
      return typed(field);
    case 'choice':
    case 'open':
      return fc.constantFrom(...field.options.map(([name]) => name));
    case 'words':
    case 'line':
      return wordsOf(field.most);
    case 'flag':
    case 'tick':
      return fc.boolean();
    case 'rows':
      return fc.array(anyOf(field.cells, 0.8), { maxLength: Math.min(field.most, 6) });
  }
}

/** Each field said with a chance of `share`. */
function anyOf(fields: Fields, share: number): fc.Arbitrary<Record<string, unknown>> {
  const said = Object.entries(fields).map(([name, field]) => {
    const value = any(field);
    return fc
      .double({ min: 0, max: 1, noNaN: true })
      .chain((chance) => (chance < share ? value : fc.constant(undefined)))
      .map((each) => [name, each] as const);
  });
  return fc.tuple(...said).map((all) => Object.fromEntries(all.filter(([, value]) => value !== undefined)));
}

const shared = Object.fromEntries(
  stageNames.map((stage) => [stage, anyOf(sharedFields(stageFields[stage] as Fields), 0.6)]),
);
const own = fc.record(
  Object.fromEntries(optionStages.map((stage) => [stage, anyOf(ownFields(stageFields[stage] as Fields), 0.6)])),
);

/** Any document that is accepted: figures that are each within their limits, together as absurd as may be. */
export const anyJob: fc.Arbitrary<JobInput> = fc
  .record({
    school: fc.constantFrom('NEMA', 'IEC'),
    currency: fc.constantFrom('USD', 'EUR', ''),
    ...shared,
    practice: anyOf(practiceFields as Fields, 0.2),
    options: fc
      .subarray([...letters], { minLength: 1 })
      .chain((taken) => fc.record(Object.fromEntries(taken.map((letter) => [letter, own])))),
    chosen: fc.constantFrom(...letters),
  })
  .map((job) => job as unknown as JobInput);
