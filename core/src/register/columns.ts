import type { Field, Fields } from '../kernel/field.ts';
import { bothTerms } from '../kernel/term.ts';
import { checkField } from '../kernel/read-field.ts';
import { fields as plateFields } from '../stages/nameplate/fields.ts';
import { issuesOf } from '../job/job.ts';
import { readPlate } from '../stages/nameplate/read/read-plate.ts';
import type { StandardsSystem } from '../kernel/quantity/units.ts';
import {
  motorStates,
  registeredMotorSchema,
  type RegisteredMotor,
  type RegisteredMotorInput,
} from './registered-motor.ts';

export interface Column {
  readonly id: string;
  readonly title: string;
  /** Other headings people give it. */
  readonly also: readonly string[];
}

const column = (id: string, title: string, ...also: string[]): Column => ({ id, title, also });

/** A column that holds whole motors, as the JSON export writes them. */
export const WHOLE_MOTOR = column('motor', 'Whole motor as JSON', 'motor json', 'json');

/** Every column that an export writes and an import understands, in the order of the plate. */
export const columns: readonly Column[] = [
  column('site', 'Site', 'plant', 'works', 'mill'),
  column('tag', 'Tag', 'id', 'motor', 'equipment', 'asset', 'number', 'no'),
  column('location', 'Location', 'place', 'area', 'building', 'where'),
  column('state', 'State', 'status'),
  column('school', 'Rules', 'school', 'standard'),
  ...Object.entries<Field>(plateFields).map(([name, { label, headings: [title = bothTerms(label), ...also] = [] }]) =>
    column(`plate.${name}`, title, ...also),
  ),
  column('runningCurrent', 'Running current', 'measured current', 'measured amps', 'running amps'),
  column('note', 'Note', 'notes', 'remark', 'comment'),
];

/** Column id for each heading of the file, by position; an empty id leaves the column out. */
export type Mapping = readonly string[];

const fold = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(/[^a-z0-9φ/]+/g, ' ')
    .trim();
const byName = new Map(
  [WHOLE_MOTOR, ...columns].flatMap(({ id, title, also }) => [title, id, ...also].map((name) => [fold(name), id])),
);

/** The likely meaning of each heading; each column is used once. `Power (kW)` is power. */
export function guessMapping(header: readonly string[]): Mapping {
  const used = new Set<string>();
  return header.map((heading) => {
    const name = fold(heading);
    const id = byName.get(name) ?? byName.get(name.replace(/\s+\S+$/, '')) ?? '';
    if (id === '' || used.has(id)) return '';
    used.add(id);
    return id;
  });
}

export interface RowProblem {
  readonly column: string;
  readonly message: string;
}

export type RowReading =
  | { readonly ok: true; readonly motor: RegisteredMotor }
  | { readonly ok: false; readonly problems: readonly RowProblem[] };

export interface RowDefaults {
  readonly site: string;
  readonly school: StandardsSystem;
}

/** Lists repeat their figures; each is judged once. */
const verdicts = new Map<string, string | undefined>();
const MOST_VERDICTS = 10_000;
function wrongWith(name: string, typed: string | number, school: StandardsSystem): string | undefined {
  const spec = (plateFields as Fields)[name];
  if (spec?.kind !== 'quantity') return undefined;
  const key = `${school}|${name}|${typed}`;
  if (!verdicts.has(key)) {
    if (verdicts.size >= MOST_VERDICTS) verdicts.clear();
    verdicts.set(key, checkField(typed, spec, school));
  }
  return verdicts.get(key);
}

const titles = new Map([WHOLE_MOTOR, ...columns].map(({ id, title }) => [id, title]));

/** Units that a heading names, put behind bare figures: `Power (kW)`, `Speed rpm`. */
const headingUnit = (heading: string): string => /\b(kW|hp|rpm|kg|lbs?|°C|Hz)\b/i.exec(heading)?.[1] ?? '';

interface Cell {
  readonly at: number;
  readonly id: string;
  /** Name of the plate field, empty for the motor’s own columns. */
  readonly plate: string;
  readonly unit: string;
}

/**
 * Reads rows of a table as motors. Figures are checked as fields are; a plate’s text fills what the other columns
 * leave open. A cell that begins like a spreadsheet formula is refused.
 */
export function rowReader(
  header: readonly string[],
  mapping: Mapping,
  defaults: RowDefaults,
): (cells: readonly string[]) => RowReading {
  const whole = mapping.indexOf(WHOLE_MOTOR.id);
  if (whole >= 0) return (row) => readWhole(row[whole] ?? '');
  const cells = mapping.flatMap((id, at): Cell[] =>
    id === ''
      ? []
      : [{ at, id, plate: id.startsWith('plate.') ? id.slice(6) : '', unit: headingUnit(header[at] ?? '') }],
  );
  return (row) => readRow(row, cells, defaults);
}

function readWhole(text: string): RowReading {
  const refuse = (message: string): RowReading => ({ ok: false, problems: [{ column: WHOLE_MOTOR.title, message }] });
  let content: unknown;
  try {
    content = JSON.parse(text);
  } catch {
    return refuse('This is not complete JSON. Export a motor to see what one looks like.');
  }
  return checked(content);
}

function checked(content: unknown): RowReading {
  const parsed = registeredMotorSchema.safeParse(content);
  if (parsed.success) return { ok: true, motor: parsed.data };
  return {
    ok: false,
    problems: issuesOf(parsed.error).map(({ path, message }) => ({
      column: titles.get(path) ?? (path || WHOLE_MOTOR.title),
      message,
    })),
  };
}

function readRow(row: readonly string[], cells: readonly Cell[], defaults: RowDefaults): RowReading {
  const problems: RowProblem[] = [];
  const top: Record<string, string> = {};
  const plate: Record<string, string> = {};
  for (const { at, id, plate: name, unit } of cells) {
    const written = row[at]?.trim() ?? '';
    // An export quotes what a spreadsheet would run; that is text again here.
    const quoted = /^'[=+\-@\t\r\n＝＋－＠]/.test(written);
    const cell = quoted ? written.slice(1) : written;
    if (cell === '') continue;
    if (!quoted && /^[=@＝＠＋－]|^[+-](?![\d.,\s])/.test(cell)) {
      problems.push({
        column: titles.get(id) ?? id,
        message: `“${cell.slice(0, 30)}” begins like a spreadsheet formula. Put the value itself there.`,
      });
    } else if (name === '') top[id] = cell;
    else plate[name] = unit !== '' && /^[\d.,/\s-]+$/.test(cell) ? `${cell} ${unit}` : cell;
  }
  const school = /^(?:NEMA|IEC)$/i.test(top['school'] ?? '')
    ? ((top['school'] ?? '').toUpperCase() as StandardsSystem)
    : schoolOf(plate, defaults.school);
  let fields: Record<string, unknown> = plate;
  if (plate['asRead'] !== undefined) {
    const reading = readPlate(plate['asRead']);
    // A column of its own says what stands there, even where it is empty.
    const own = new Set(cells.map((each) => each.plate));
    const filled = Object.entries(reading.fields).filter(([name]) => !own.has(name));
    fields = { ...Object.fromEntries(filled), ...plate };
  }
  for (const [name, typed] of Object.entries(fields)) {
    const wrong = typed === undefined ? undefined : wrongWith(name, typed as string, school);
    if (wrong !== undefined) problems.push({ column: titles.get(`plate.${name}`) ?? name, message: wrong });
  }
  if (top['state'] !== undefined) {
    const state = stateOf(top['state']);
    if (state === undefined)
      problems.push({
        column: 'State',
        message: `“${top['state'].slice(0, 30)}” is none of ${motorStates.join(', ')}.`,
      });
    else top['state'] = state;
  }
  if (top['tag'] === undefined && Object.keys(plate).length === 0)
    problems.push({ column: 'Tag', message: 'The row has neither a tag nor a plate.' });
  if (problems.length > 0) return { ok: false, problems };
  const input: RegisteredMotorInput = {
    site: defaults.site,
    ...top,
    state: (top['state'] ?? 'in service') as RegisteredMotor['state'],
    school,
    plate: {
      ...fields,
      ...(plate['unreadable'] === undefined ? {} : { unreadable: /^(?:yes|true|1)$/i.test(plate['unreadable']) }),
    },
  };
  return checked(input);
}

function schoolOf(plate: Readonly<Record<string, string>>, otherwise: StandardsSystem): StandardsSystem {
  if (/kw/i.test(plate['power'] ?? '') || /^ie/i.test(plate['efficiencyClass'] ?? '')) return 'IEC';
  if (/h\.?p/i.test(plate['power'] ?? '') || plate['codeLetter'] || plate['designLetter']) return 'NEMA';
  return plate['asRead'] === undefined ? otherwise : readPlate(plate['asRead']).school;
}

const states: readonly (readonly [RegExp, RegisteredMotor['state']])[] = [
  [/^(in service|running|installed|active|in use|service)$/i, 'in service'],
  [/^(spare|stock|store|in stock|standby)$/i, 'spare'],
  [/^((in|out for|under) repair|repair|shop)$/i, 'in repair'],
  [/^(scrap(ped)?|retired|gone|disposed)$/i, 'scrapped'],
];
const stateOf = (text: string): RegisteredMotor['state'] | undefined =>
  states.find(([pattern]) => pattern.test(text))?.[1];

/** A motor as one row of text, in the order of `columns`. Cells that a spreadsheet would run as a formula are quoted. */
export function writeRow(motor: RegisteredMotor): string[] {
  return columns.map(({ id }) => {
    const [first = '', second] = id.split('.');
    const cell =
      second === undefined
        ? motor[first as 'site' | 'tag' | 'location' | 'state' | 'school' | 'note']
        : (motor.plate[second as keyof RegisteredMotor['plate']] ?? '');
    return typeof cell === 'boolean' ? (cell ? 'yes' : '') : harmless(String(cell));
  });
}

/** Full-width signs and line feeds start a formula in some spreadsheets too. */
export const harmless = (cell: string): string =>
  /^[=+\-@\t\r\n＝＋－＠]/.test(cell) && !/^-?[\d.,]+$/.test(cell) ? `'${cell}` : cell;
