import {
  guessMapping,
  rowReader,
  type Mapping,
  type RowDefaults,
  type RowProblem,
} from '@pilgrim/core/register/columns';
import type { RegisteredMotor } from '@pilgrim/core/register/registered-motor';
import Papa from 'papaparse';
import { readTable, type Table } from './read-table';

export interface BadRow {
  /** Row of the file, the headings being row 1. */
  readonly row: number;
  readonly problems: readonly RowProblem[];
}

export interface Checked {
  readonly good: readonly RegisteredMotor[];
  readonly bad: readonly BadRow[];
}

type Progress = (done: number, of: number) => void;

/** Rows between looks at the clock, and how long to work before letting messages in, ms. */
const LOOK_EVERY = 200;
const WORK_FOR = 40;
/** Lets a waiting message, such as a cancel, come through. */
const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** One file on its way into the register: opened, mapped, checked row by row. */
export class ImportSession {
  readonly table: Table;
  readonly mapping: Mapping;

  private constructor(table: Table) {
    this.table = table;
    this.mapping = guessMapping(table.header);
  }

  static async open(content: Uint8Array, name: string): Promise<ImportSession> {
    return new ImportSession(await readTable(content, name));
  }

  /** Reads every row; `cancelled` is asked now and then. Undefined where it was cancelled. */
  async check(
    mapping: Mapping,
    defaults: RowDefaults,
    progress: Progress = () => undefined,
    cancelled: () => boolean = () => false,
  ): Promise<Checked | undefined> {
    const { header, rows } = this.table;
    const readRow = rowReader(header, mapping, defaults);
    const good: RegisteredMotor[] = [];
    const bad: BadRow[] = [];
    let pauseAt = 0;
    for (let at = 0; at < rows.length; at++) {
      if (at % LOOK_EVERY === LOOK_EVERY - 1 && performance.now() > pauseAt) {
        progress(at, rows.length);
        await pause();
        if (cancelled()) return undefined;
        pauseAt = performance.now() + WORK_FOR;
      }
      const reading = readRow(rows[at] ?? []);
      if (reading.ok) good.push(reading.motor);
      else bad.push({ row: at + 2, problems: reading.problems });
    }
    progress(rows.length, rows.length);
    return { good, bad };
  }

  /** The rows that were not taken, as CSV with what is wrong with each, to mend and choose again. */
  badFile(bad: readonly BadRow[]): string {
    const rows = bad.map(({ row, problems }) => [
      ...(this.table.rows[row - 2] ?? []),
      problems.map((problem) => `${problem.column}: ${problem.message}`).join(' '),
    ]);
    return Papa.unparse([[...this.table.header, 'Problem'], ...rows], { escapeFormulae: true });
  }
}
