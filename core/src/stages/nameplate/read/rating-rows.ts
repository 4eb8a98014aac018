import type { Scanned } from './scan.ts';
import { alternates, CONNECTION_MARK, NUMBER, type PlateField, type Unit } from './vocabulary.ts';

/** One line of a plate as the reader takes it; `row` where it is one of several ratings printed under each other. */
export interface Line {
  readonly tokens: readonly Scanned[];
  /** Headings repeated before the figures of a further row: not words of the text. */
  readonly ghosts: ReadonlySet<Scanned>;
  readonly row: RatingRow | undefined;
}

/** A rating of its own: 400 V 50 Hz in one row, 460 V 60 Hz in the next. */
export interface RatingRow {
  readonly fields: Partial<Record<PlateField, string>>;
}

const plain = (tokens: readonly Scanned[]): Line => ({ tokens, ghosts: new Set(), row: undefined });
const isHeading = (token: Scanned): boolean => token.kind === 'unit' || token.kind === 'label';
const isMark = (token: Scanned): boolean =>
  (token.kind === 'code' && token.field === 'connection') ||
  ((token.kind === 'word' || token.kind === 'code') && CONNECTION_MARK.test(token.text));
const isConnection = (token: Scanned): boolean =>
  isMark(token) || (token.kind === 'label' && token.label.field === 'connection');

/** `HP RPM V` over `15 1770 460`: each heading is set before its figure, in every row below it. */
export function linesOf(scanned: readonly Scanned[][]): Line[] {
  const out: Line[] = [];
  for (let at = 0; at < scanned.length; at++) {
    const line = scanned[at] ?? [];
    const headings = line.filter((token) => !isConnection(token));
    const rows: (readonly Scanned[])[] = [];
    while (headings.length >= 2 && headings.every(isHeading)) {
      const below = scanned[at + 1 + rows.length];
      if (!below || !isRowUnder(headings, below)) break;
      rows.push(below);
    }
    if (rows.length === 0) out.push(plain(line));
    else {
      // Over a column of Δ and Y the heading says nothing of its own.
      const headed = rows.some((row) => row.some(isMark));
      out.push(plain(line.filter(isConnection).map((token) => (headed ? silent(token) : token))));
      out.push(...rows.map((row, index) => tableRow(headings, row, index > 0, rows.length > 1)));
      at += rows.length;
    }
  }
  return withRows(out);
}

const silent = ({ text, from, to }: Scanned): Scanned => ({ kind: 'code', field: 'nothing', text, from, to });

function isRowUnder(headings: readonly Scanned[], below: readonly Scanned[]): boolean {
  const cells = below.filter((token) => !isMark(token));
  return (
    cells.length === headings.length &&
    cells.every((token) => token.kind === 'number' || token.kind === 'code' || token.kind === 'word')
  );
}

function tableRow(headings: readonly Scanned[], row: readonly Scanned[], again: boolean, several: boolean): Line {
  const cells = row.filter((token) => !isMark(token));
  const ghosts = new Set<Scanned>();
  const tokens = headings.flatMap((heading, at) => {
    const cell = cells[at];
    if (!cell) return [];
    const head = again ? { ...heading } : heading;
    if (again) ghosts.add(head);
    return [head, heading.kind === 'unit' ? asFigure(cell) : cell];
  });
  return { tokens: [...tokens, ...row.filter(isMark)], ghosts, row: several ? { fields: {} } : undefined };
}

/** Under `V` even 2300, which could be a bearing, is a figure. */
function asFigure(cell: Scanned): Scanned {
  NUMBER.lastIndex = 0;
  if (cell.kind !== 'code' || NUMBER.exec(cell.text)?.[0] !== cell.text) return cell;
  const { text, from, to } = cell;
  return { kind: 'number', text, from, to, value: text, smudged: false };
}

const RATING: readonly Unit[] = ['V', 'Hz', 'hp', 'kW', 'A', 'r/min'];

/** Lines that each print a rating of their own, `400 V 50 Hz …` and `460 V 60 Hz …`, are rows too. */
function withRows(lines: readonly Line[]): Line[] {
  const units = lines.map(({ tokens }) => {
    const found = new Set<Unit>();
    for (const [at, token] of tokens.entries()) {
      const measures = tokens[at - 1]?.kind === 'number' || tokens[at + 1]?.kind === 'number';
      if (token.kind === 'unit' && RATING.includes(token.unit) && measures) found.add(token.unit);
    }
    return found;
  });
  const together = (a: ReadonlySet<Unit>, b: ReadonlySet<Unit>): boolean => {
    const shared = [...a].filter((unit) => b.has(unit));
    return shared.length >= 2 && (shared.includes('V') || shared.includes('Hz'));
  };
  return lines.map((line, at) =>
    line.row === undefined && units.some((other, index) => index !== at && together(units[at] ?? new Set(), other))
      ? { ...line, row: { fields: {} } }
      : line,
  );
}

const bare = (text: string): string => text.replace(/ (?:V|A|hp|kW|Hz|r\/min|%)$/, '');
const unitOf = (text: string): string => / (?:V|A|hp|kW|Hz|r\/min|%)$/.exec(text)?.[0] ?? '';

/** The values of the rows of one frequency side by side; what is the same in all rows once. */
function joined(rows: readonly RatingRow[]): Partial<Record<PlateField, string>> {
  const out: Partial<Record<PlateField, string>> = {};
  const names = new Set(rows.flatMap(({ fields }) => Object.keys(fields) as PlateField[]));
  // Volts and amps stay in step: a row counts once by both.
  const distinct = rows.filter(
    ({ fields: { voltages, currents } }, at) =>
      rows.findIndex(({ fields }) => fields.voltages === voltages && fields.currents === currents) === at,
  );
  for (const name of names) {
    const values = distinct.flatMap(({ fields }) => fields[name] ?? []);
    const [first = ''] = values;
    out[name] = values.every((each) => each === first) ? first : values.map(bare).join('/') + unitOf(first);
  }
  return out;
}

/**
 * Rows by frequency: the first frequency is the plate’s, the second its second rating set. `third` are rows of a further
 * frequency, for which a job has no room.
 */
export function ratingSets(rows: readonly RatingRow[]): {
  readonly first: Partial<Record<PlateField, string>>;
  readonly second: Partial<Record<PlateField, string>>;
  readonly isSecond: (row: RatingRow) => boolean;
  readonly isThird: (row: RatingRow) => boolean;
} {
  const groups = new Map<string, RatingRow[]>();
  let current = rows[0]?.fields.frequency ?? '';
  for (const row of rows) {
    current = row.fields.frequency ?? current;
    groups.set(current, [...(groups.get(current) ?? []), row]);
  }
  const [own = [], other = [], ...rest] = groups.values();
  const first = joined(own);
  const second = Object.entries(joined(other)).flatMap(([name, value]) => {
    const place = alternates[name as PlateField];
    return place === undefined || first[name as PlateField] === value ? [] : [[place, value] as const];
  });
  return {
    first,
    second: Object.fromEntries(second),
    isSecond: (row) => other.includes(row),
    isThird: (row) => rest.flat().includes(row),
  };
}
