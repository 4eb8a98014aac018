import { quantityFields, rowFields, stageFields, type RowFields } from './fields.ts';
import type { Fields, FieldSpec } from '../kernel/field.ts';
import { readFigures } from '../kernel/read-field.ts';
import type { Finding } from '../kernel/finding.ts';
import type { Job } from './job.ts';
import { documentPath, type Option } from './options.ts';
import { type Letter } from './document-paths.ts';
import { formatOther } from '../kernel/quantity/format.ts';
import { amount, series, type Text } from '../kernel/text.ts';
import type { Parsed, Reading } from '../kernel/quantity/parse.ts';
import type { StandardsSystem, Unit } from '../kernel/quantity/units.ts';
import { practiceRules, type PracticeName } from './design-rule-list.ts';
import { memoize } from '../kernel/memoize.ts';
import { quantity, type Value } from '../kernel/value.ts';

type Groups = readonly (readonly Value[])[];
type Given<Fields extends Record<string, FieldSpec>> = {
  readonly [Name in keyof Fields]?: Fields[Name] extends { readonly list: true } ? Groups : Value;
};
type Quantities = typeof quantityFields;

/** The readable cells of one row, with its place in the document. */
export type RowOf<Path extends keyof RowFields> = { readonly at: number } & {
  readonly [Name in keyof RowFields[Path]]?: Value;
};

/** How one typed field was understood: shown under the field. */
export interface FieldEcho {
  readonly read: Text;
  /** In the counterpart of the unit that was typed. */
  readonly other?: string;
  readonly error?: string;
}

export interface Inputs {
  readonly given: { readonly [Stage in keyof Quantities]: Given<Quantities[Stage]> };
  readonly rows: { readonly [Path in keyof RowFields]: readonly RowOf<Path>[] };
  readonly fields: Readonly<Record<string, FieldEcho>>;
  readonly findings: readonly Finding[];
}

const asGiven = (reading: Reading, spec: FieldSpec): Value =>
  quantity(reading.si, spec.dimension, {
    origin: 'given',
    evidence: spec.declared ? 'declared' : 'given',
    source: 'typed in this job',
  });

/** The figures of a field as values, with the unit they were typed in. */
function readField(
  typed: string | number,
  spec: FieldSpec,
  school: StandardsSystem,
): Parsed<{ groups: Groups; unit: Unit; read: Text }> {
  const figures = readFigures(typed, spec, school);
  if (!figures.ok) return figures;
  const readings = figures.value.flat();
  const [first] = readings;
  if (!first) return { ok: false, message: `Write it like ${spec.example}.` };
  return {
    ok: true,
    value: {
      groups: figures.value.map((group) => group.map((reading) => asGiven(reading, spec))),
      unit: first.unit,
      read: series(
        readings.map(({ si }) => amount(si, spec.dimension)),
        ' / ',
      ),
    },
  };
}

interface Understood {
  readonly echo: FieldEcho;
  readonly groups: Groups | undefined;
}

const REMEMBERED = 2000;
/** What was typed before into a kind of field, and how it was understood: a keystroke changes one field of hundreds. */
type Known = Map<string | number, Understood>;
type Memory = Readonly<Record<StandardsSystem, Known>>;
const freshMemory = (): Memory => ({ NEMA: new Map(), IEC: new Map() });

const understand = (typed: string | number, spec: FieldSpec, school: StandardsSystem, known: Known): Understood =>
  memoize(known, REMEMBERED, typed, () => {
    const result = readField(typed, spec, school);
    if (!result.ok) return { echo: { read: '', error: result.message }, groups: undefined };
    return understood(result.value, spec);
  });

function understood({ groups, unit, read }: { groups: Groups; unit: Unit; read: Text }, spec: FieldSpec): Understood {
  const others = groups.flat().map((each) => formatOther(each.value, spec.dimension, unit));
  const other = others[0] === undefined ? undefined : others.join(' / ');
  return { echo: { read, ...(other === undefined ? {} : { other }) }, groups };
}

function stageOf(path: string): string {
  const [stage = '', name = ''] = path.split('.');
  return stage === 'practice' || stage === 'sitePractice' ? practiceRules[name as PracticeName].stage : stage;
}

type Typed = string | number | undefined;
const isBlank = (typed: Typed): typed is undefined | string =>
  typed === undefined || (typeof typed === 'string' && typed.trim() === '');

type Part = Readonly<Record<string, unknown>>;
type Parts = Readonly<Record<string, Part | undefined>>;
type Whose = 'shared' | 'own';

/** Reads the quantities all options share. What cannot be read becomes a stop at its field and counts as missing. */
export const readInputs = (job: Job): Inputs => read(job as unknown as Parts, 'shared', job.school, (path) => path);

/** What an option types for itself on top of what is shared; `fields` and `findings` are the option’s own. */
export function readOption(shared: Inputs, own: Option, letter: Letter, school: StandardsSystem): Inputs {
  const { given, rows, fields, findings } = read(own as unknown as Parts, 'own', school, (path) =>
    documentPath(path, letter),
  );
  const both: Record<string, object> = { ...shared.given };
  for (const [stage, values] of Object.entries(given)) both[stage] = { ...both[stage], ...values };
  return {
    given: both as Inputs['given'],
    rows: { ...shared.rows, ...rows },
    fields,
    findings,
  };
}

function read(parts: Parts, whose: Whose, school: StandardsSystem, place: (path: string) => string): Inputs {
  const fields: Record<string, FieldEcho> = {};
  const findings: Finding[] = [];

  const report = (path: string, echo: FieldEcho, spec: FieldSpec): void => {
    fields[place(path)] = echo;
    if (echo.error === undefined) return;
    findings.push({
      code: 'input.unreadable',
      severity: 'stop',
      stage: stageOf(path),
      message: echo.error,
      basis: 'What was typed',
      clear: `Correct the field, for example ${spec.example}.`,
      field: place(path),
    });
  };

  const given = Object.fromEntries(
    fieldSpecs[whose].map(({ stage, specs }) => {
      const values: Record<string, Value | Groups> = {};
      const part = parts[stage];
      if (part === undefined) return [stage, values];
      for (const { name, path, spec, memory } of specs) {
        const typed = part[name] as Typed;
        if (isBlank(typed)) continue;
        const { echo, groups } = understand(typed, spec, school, memory[school]);
        report(path, echo, spec);
        const value = spec.list ? groups : groups?.[0]?.[0];
        if (value) values[name] = value;
      }
      return [stage, values];
    }),
  ) as Inputs['given'];

  const rows = Object.fromEntries(
    rowSpecs[whose].map((list) => [
      list.path,
      readRows(list, (parts[list.stage]?.[list.name] ?? []) as readonly Cells[], school, report),
    ]),
  ) as unknown as Inputs['rows'];

  return { given, rows, fields, findings };
}

type Cells = Readonly<Record<string, Typed>>;
type Row = Record<string, number | Value>;

const LONG_LIST = 40;
/** Of the last long list read: a keystroke changes one row of hundreds, and the others need no second look. */
const lastRows = new Map<string, readonly { readonly cells: Cells; readonly row: Row; readonly flawless: boolean }[]>();

function sameCells(a: Cells, b: Cells, columns: readonly { readonly name: string }[]): boolean {
  for (const { name } of columns) if (a[name] !== b[name]) return false;
  return true;
}

/** Of a long list only what is wrong is reported: hundreds of right cells would cost more than they tell. */
function readRows(
  { path, specs }: (typeof rowSpecs)[Whose][number],
  typed: readonly Cells[],
  school: StandardsSystem,
  report: (path: string, echo: FieldEcho, spec: FieldSpec) => void,
): Row[] {
  const long = typed.length > LONG_LIST;
  const columns = specs.map(({ name, spec, memory }) => ({ name, spec, known: memory[school] }));
  const before = long ? lastRows.get(`${school} ${path}`) : undefined;
  const read = typed.map((cells, at) => {
    const last = before?.[at];
    if (last?.flawless && sameCells(last.cells, cells, columns)) return last;
    const row: Row = { at };
    let flawless = true;
    for (const { name, spec, known } of columns) {
      const cell = cells[name];
      if (isBlank(cell)) continue;
      const { echo, groups } = understand(cell, spec, school, known);
      if (echo.error !== undefined) flawless = false;
      if (!long || echo.error !== undefined) report(`${path}.${at}.${name}`, echo, spec);
      const value = groups?.[0]?.[0];
      if (value) row[name] = value;
    }
    return { cells, row, flawless };
  });
  if (long) lastRows.set(`${school} ${path}`, read);
  return read.map(({ row }) => row);
}

const isOwn = (stage: string, name: string): boolean =>
  (stageFields as Readonly<Record<string, Fields>>)[stage]?.[name]?.perOption === true;

const whose = (stage: string, name: string): Whose => (isOwn(stage, name) ? 'own' : 'shared');

/** A kind of field where it stands, with what was read in it before. */
const spot = (place: string, name: string, spec: FieldSpec) => ({
  name,
  path: `${place}.${name}`,
  spec,
  memory: freshMemory(),
});

const specsOf = (wanted: Whose) =>
  Object.entries(quantityFields).flatMap(([stage, all]) => {
    const specs = Object.entries<FieldSpec>(all).filter(([name]) => whose(stage, name) === wanted);
    return specs.length > 0 ? [{ stage, specs: specs.map(([name, spec]) => spot(stage, name, spec)) }] : [];
  });
const fieldSpecs = { shared: specsOf('shared'), own: specsOf('own') };

const listsOf = (wanted: Whose) =>
  Object.entries(rowFields).flatMap(([path, all]) => {
    const [stage = '', name = ''] = path.split('.');
    const specs = Object.entries<FieldSpec>(all).map(([column, spec]) => spot(path, column, spec));
    return whose(stage, name) === wanted ? [{ path, stage, name, specs }] : [];
  });
const rowSpecs = { shared: listsOf('shared'), own: listsOf('own') };
