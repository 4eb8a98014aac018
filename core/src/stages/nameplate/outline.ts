import { INCH, type StandardsSystem } from '../../kernel/quantity/units.ts';
import { iecDimensions, nemaDimensions } from '../../kernel/tables/index.ts';
import type { Table } from '../../kernel/tables/table.ts';
import type { Frame } from './frame.ts';

/** The mounting dimensions of a foot motor, metres. A dimension that the suffix makes special is undefined. */
export interface Outline {
  readonly frame: string;
  readonly family: StandardsSystem;
  /** Floor to shaft centre: D or H. */
  readonly height: number;
  /** Foot holes across the shaft: 2E or A. */
  readonly across?: number;
  /** Foot holes along the shaft: 2F or B. A double-drilled base has two. */
  readonly along: readonly number[];
  /** First foot hole to shaft shoulder: BA or C. */
  readonly shoulder?: number;
  readonly shaftDiameter?: number;
  readonly shaftLength?: number;
  readonly hole?: number;
  readonly source: string;
  /** What is unsure or special about these figures. */
  readonly notes: readonly string[];
}

const MM = 0.001;

const nemaKeys = (number: string, suffix: string): string[] => {
  const short = /^(TS|US)/.test(suffix);
  if (number.length === 2) return [`${number}${suffix.startsWith('H') ? 'H' : ''}`, number];
  if (suffix.startsWith('U')) return [`${number}${short ? 'US' : 'U'}`];
  if (suffix === '' || /^[SCDYZ]/.test(suffix)) return [number, `${number}U`, `${number}T`];
  return [`${number}${short ? 'TS' : 'T'}`];
};

/** Looks a decoded frame up in the dimension tables (NEMA MG 1 4.4.1, IEC 60072-1). Undefined where they have no row. */
export function outlineOf(frame: Frame, poles: number): Outline | undefined {
  return frame.family === 'NEMA' ? nemaOutline(frame) : iecOutline(frame, poles);
}

function nemaOutline(frame: Frame): Outline | undefined {
  const rows = frame.numbers.map((number) =>
    nemaKeys(number, frame.suffix)
      .map((key) => nemaDimensions.row(key))
      .find((row) => row !== undefined),
  );
  const row = rows[0];
  if (!row) return undefined;
  const inches = cellsOf(nemaDimensions, row, INCH);
  const notes = doubtsOf(nemaDimensions, row, ['d', 'two_f', 'n_w', 'u']);
  const special = /Z|J[MP]?/.test(frame.suffix);
  const unknownFeet = /Y/.test(frame.suffix);
  if (special) notes.push('The shaft end is special: ask the maker, or measure it.');
  if (unknownFeet) notes.push('Y: the mounting is special; only the shaft height is known.');
  const along = rows.flatMap((each) => (each && !unknownFeet ? [cellsOf(nemaDimensions, each, INCH)('two_f')] : []));
  const half = inches('e');
  return {
    frame: String(row['frame']),
    family: 'NEMA',
    height: frame.shaftHeight.value,
    along: along.filter((each) => each !== undefined),
    ...defined({
      across: unknownFeet || half === undefined ? undefined : 2 * half,
      shoulder: unknownFeet ? undefined : inches('ba'),
      shaftDiameter: special ? undefined : inches('u'),
      shaftLength: special ? undefined : inches('n_w'),
      hole: inches('hole_h'),
    }),
    source: nemaDimensions.source,
    notes,
  };
}

function iecOutline(frame: Frame, poles: number): Outline | undefined {
  const [number = ''] = frame.numbers;
  const letter = frame.suffix[0] ?? '';
  const exact = iecDimensions.row(number + letter);
  const row = exact ?? iecDimensions.rows.find((each) => Number(each['h']) === Number(number));
  if (!row) return undefined;
  const mm = cellsOf(iecDimensions, row, MM);
  const notes = doubtsOf(iecDimensions, row, ['h', 'b', 'c', 'd', 'e']);
  if (!exact) notes.push(`The length letter is not on the plate; the feet are drawn for ${String(row['frame'])}.`);
  const twoPole = poles === 2;
  const along = mm('b');
  return {
    frame: String(row['frame']),
    family: 'IEC',
    height: frame.shaftHeight.value,
    along: along === undefined ? [] : [along],
    ...defined({
      across: mm('a'),
      shoulder: mm('c'),
      shaftDiameter: (twoPole ? mm('d_2pole') : undefined) ?? mm('d'),
      shaftLength: (twoPole ? mm('e_2pole') : undefined) ?? mm('e'),
      hole: mm('k'),
    }),
    source: iecDimensions.source,
    notes,
  };
}

const cellsOf =
  (table: Table, row: Parameters<Table['number']>[0], unit: number) =>
  (column: string): number | undefined => {
    const cell = table.number(row, column);
    return cell === undefined ? undefined : cell * unit;
  };

const doubtsOf = (table: Table, row: Parameters<Table['doubt']>[0], columns: readonly string[]): string[] => [
  ...new Set(columns.map((column) => table.doubt(row, column)).filter((doubt) => doubt !== undefined)),
];

function defined<T extends object>(fields: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as never;
}

export interface Misfit {
  readonly what: 'shaft height' | 'feet across' | 'feet along' | 'shaft position' | 'shaft diameter' | 'shaft length';
  readonly text: string;
}

/** Feet and shafts that differ by more than this are a misfit, m; inch and metric frames agree to about 0.5 mm. */
const SLACK = 0.0008;

/** Where the replacement would not stand on the old feet or take the old coupling, in the job’s units. */
export function misfits(old: Outline, fresh: Outline, school: StandardsSystem): Misfit[] {
  const show = (value: number): string =>
    school === 'NEMA' ? `${Number((value / INCH).toFixed(3))}\u00a0in` : `${Number((value / MM).toFixed(1))}\u00a0mm`;
  const out: Misfit[] = [];
  const compare = (what: Misfit['what'], a: number | undefined, b: number | undefined): void => {
    if (a === undefined || b === undefined || Math.abs(a - b) <= SLACK) return;
    const more = b > a ? 'more' : 'less';
    out.push({ what, text: `${what}: ${show(b)} instead of ${show(a)}, ${show(Math.abs(b - a))} ${more}` });
  };
  compare('shaft height', old.height, fresh.height);
  compare('feet across', old.across, fresh.across);
  if (!old.along.some((a) => fresh.along.some((b) => Math.abs(a - b) <= SLACK)))
    compare('feet along', old.along[0], fresh.along[0]);
  compare('shaft position', old.shoulder, fresh.shoulder);
  compare('shaft diameter', old.shaftDiameter, fresh.shaftDiameter);
  compare('shaft length', old.shaftLength, fresh.shaftLength);
  return out;
}

/** The old motor’s mounting and the new one’s, and where they do not match. */
export interface Outlines {
  readonly old: Outline | undefined;
  readonly fresh: Outline | undefined;
  readonly misfits: readonly Misfit[];
}

/** No misfit is known while one of the two mountings is not. */
export const misfitsOf = (old: Outline | undefined, fresh: Outline | undefined, school: StandardsSystem): Misfit[] =>
  old && fresh ? misfits(old, fresh, school) : [];
