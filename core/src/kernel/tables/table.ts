import type { Value } from '../value.ts';
import { quantity, textValue } from '../value.ts';
import type { Dimension } from '../quantity/units.ts';
import type { Text } from '../text.ts';

type Cell = number | string | boolean | null;
type Row = Readonly<Record<string, Cell>>;

/** A standard's table as stored: data with its source, its provenance and the cells that are in doubt. */
interface TableFile {
  readonly id: string;
  readonly standard: string;
  readonly clause: string;
  readonly key: readonly string[];
  readonly rows: readonly Row[];
  readonly provenance: string;
  readonly confidence: string;
  readonly unsure: readonly { readonly row: unknown; readonly column: string; readonly why: string }[];
}

export interface Table {
  readonly source: string;
  readonly rows: readonly Row[];
  /** The row whose key columns equal `key`, in the order of the file’s `key`. */
  row(...key: readonly (string | number)[]): Row | undefined;
  /** The cell as a number, or undefined where the standard has a blank. */
  number(row: Row | undefined, column: string): number | undefined;
  /** Why a cell is in doubt, if it is. */
  doubt(row: Row, column: string): string | undefined;
}

const covers = (pattern: unknown, keys: readonly Cell[]): boolean =>
  pattern === '*' ||
  (Array.isArray(pattern) ? pattern.every((part, index) => part === '*' || part === keys[index]) : pattern === keys[0]);

/** Wraps a table file. Pure; the file is trusted, since it ships with Pilgrim. */
export function openTable(file: TableFile): Table {
  const keysOf = (row: Row): Cell[] => file.key.map((column) => row[column] ?? null);
  const index = new Map(file.rows.map((row) => [keysOf(row).join('|'), row]));
  return {
    source: `${file.standard}, ${file.clause}`,
    rows: file.rows,
    row: (...key) => index.get(key.length === 1 ? String(key[0]) : key.join('|')),
    number: (row, column) => {
      const cell = row?.[column];
      return typeof cell === 'number' ? cell : undefined;
    },
    doubt: (row, column) => {
      const keys = keysOf(row);
      const entry = file.unsure.find(
        (each) => (each.column === '*' || each.column === column) && covers(each.row, keys),
      );
      if (entry) return `unsure cell: ${entry.why}`;
      return file.confidence === 'low' ? 'the whole table was recalled only roughly' : undefined;
    },
  };
}

/** What a cell counts, for whom it is shown, and the SI value of one. */
interface CellUnit {
  readonly dimension: Dimension;
  readonly factor?: number;
}

/** A numeric cell as a value with its provenance: always `recalled`, with the doubt in the note. */
export function cellValue(
  table: Table,
  row: Row | undefined,
  column: string,
  { dimension, factor = 1 }: CellUnit,
): Value | undefined {
  const number = table.number(row, column);
  if (number === undefined || !row) return undefined;
  const note = table.doubt(row, column);
  return quantity(number * factor, dimension, { origin: 'recalled', source: table.source, note });
}

export const cellWording = (table: Table, row: Row | undefined, column: string): Value<Text> | undefined => {
  const cell = row?.[column];
  if (typeof cell !== 'string' || !row) return undefined;
  return textValue(cell, { origin: 'recalled', source: table.source, note: table.doubt(row, column) });
};
