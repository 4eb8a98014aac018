import { WHOLE_MOTOR } from '@pilgrim/core/register/columns';
import { Unzip, UnzipInflate } from 'fflate';
import Papa from 'papaparse';
import { readSheet } from 'read-excel-file/universal';

/** What an import takes at most; more is refused in words before it can hurt. */
export const limits = {
  bytes: 40_000_000,
  unpacked: 120_000_000,
  /** Files in a workbook, and how many times its size it may unpack to beyond the first megabytes. */
  entries: 1000,
  ratio: 150,
  rows: 50_000,
  columns: 200,
  cell: 5000,
} as const;
/** Bytes that unpack unasked: a short workbook of one repeated word is none of harm. */
const FREE = 10_000_000;

export interface Table {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** What the user should know of how the file was read. */
  readonly notes: readonly string[];
}

/** The file cannot be taken; the message says why and what would be right. */
export class Refused extends Error {}

/**
 * Reads a CSV or XLSX file as a table of text; the first row that is not empty holds the headings. A register exported
 * as JSON becomes a table of one column with a motor a row.
 */
export async function readTable(content: Uint8Array, name: string): Promise<Table> {
  if (content.length === 0) throw new Refused('The file is empty.');
  if (content.length > limits.bytes)
    throw new Refused(
      `The file is ${Math.round(content.length / 1e6)} MB; at most ${limits.bytes / 1e6} MB are read. Split it.`,
    );
  const zip = content[0] === 0x50 && content[1] === 0x4b;
  if (content[0] === 0xd0 && content[1] === 0xcf)
    throw new Refused('This is an old .xls workbook. Save it as .xlsx or as CSV and choose it again.');
  if (zip) return tidy(await readWorkbook(content));
  const { text, note } = decode(content);
  if (text.includes('\u0000')) throw new Refused(`“${name}” is not a table of text. Choose a CSV, XLSX or JSON file.`);
  return /^\ufeff?\s*[[{]/.test(text)
    ? readJson(text)
    : tidy({ rows: readText(text), notes: note === undefined ? [] : [note] });
}

interface Raw {
  readonly rows: readonly (readonly string[])[];
  readonly notes: readonly string[];
}

const tooMany = (): Refused =>
  new Refused(
    `The file has more than ${limits.rows.toLocaleString('en')} rows; no site has that many motors. Split it.`,
  );

function readText(text: string): string[][] {
  // One row more than is taken: enough to know that there are too many.
  const { data: rows } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', preview: limits.rows + 2 });
  if (rows.length > limits.rows + 1) throw tooMany();
  if (rows.some((row) => row.length > limits.columns))
    throw new Refused(`The file has more than ${limits.columns} columns. Is it a list of motors?`);
  return rows;
}

function readJson(text: string): Table {
  let content: unknown;
  try {
    content = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch {
    throw new Refused(
      'This is not complete JSON. Export the register to see what it looks like; the file may be cut short.',
    );
  }
  const motors = Array.isArray(content) ? content : (content as { motors?: unknown }).motors;
  if (!Array.isArray(motors) || motors.length === 0)
    throw new Refused('This JSON holds no list of motors. Export the register to see what one looks like.');
  if (motors.length > limits.rows) throw tooMany();
  return { header: [WHOLE_MOTOR.title], rows: motors.map((motor) => [JSON.stringify(motor)]), notes: [] };
}

function decode(content: Uint8Array): { text: string; note?: string } {
  if (content[0] === 0xff && content[1] === 0xfe) return { text: new TextDecoder('utf-16le').decode(content) };
  if (content[0] === 0xfe && content[1] === 0xff) return { text: new TextDecoder('utf-16be').decode(content) };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(content) };
  } catch {
    return {
      text: new TextDecoder('windows-1252').decode(content),
      note: 'The file is not UTF-8; it was read as Western European text. Look whether the names came through.',
    };
  }
}

/** Unpacks once only to count, so that a small file cannot grow into a huge one unseen. */
function checkUnpackedSize(content: Uint8Array): void {
  const found = { size: 0, entries: 0, damaged: false };
  const most = Math.min(limits.unpacked, Math.max(FREE, limits.ratio * content.length));
  const unzip = new Unzip((file) => {
    found.entries++;
    file.ondata = (error, data) => {
      if (error) found.damaged = true;
      else found.size += data.length;
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  const STEP = 65_536;
  for (let at = 0; at < content.length; at += STEP) {
    unzip.push(content.subarray(at, at + STEP), at + STEP >= content.length);
    if (found.size > most || found.entries > limits.entries)
      throw new Refused('The workbook unpacks to far more than a list of motors. It is not read.');
    if (found.damaged) throw new Refused('The workbook is damaged. Save it again and choose it once more.');
  }
}

async function readWorkbook(content: Uint8Array): Promise<Raw> {
  try {
    checkUnpackedSize(content);
    const sheet = await readSheet(content.slice().buffer);
    if (sheet.length > limits.rows + 1) throw tooMany();
    const rows = sheet.map((row) =>
      row.map((cell) =>
        cell === null
          ? ''
          : cell instanceof Date
            ? cell.toISOString().slice(0, 10)
            : String(cell as string | number | boolean),
      ),
    );
    if (rows.some((row) => row.length > limits.columns))
      throw new Refused(`The sheet has more than ${limits.columns} columns. Is it a list of motors?`);
    return { rows, notes: ['The first sheet of the workbook was read; formulas count by their last result.'] };
  } catch (cause) {
    if (cause instanceof Refused) throw cause;
    const place = /row \d+, col \d+/.exec(cause instanceof Error ? cause.message : '')?.[0];
    throw new Refused(
      `The workbook cannot be read${place ? ` at ${place.replace('col', 'column')}` : ''}. Save it as .xlsx or as CSV and choose it again.`,
    );
  }
}

function tidy({ rows, notes }: Raw): Table {
  const filled = rows.filter((row) => row.some((cell) => cell.trim() !== ''));
  const [first, ...rest] = filled;
  if (!first) throw new Refused('The file holds no rows.');
  if (rest.length === 0) throw new Refused('The file holds headings but no rows under them.');
  const header = first.map((cell) =>
    cell
      .replace(/^\ufeff/, '')
      .trim()
      .slice(0, 100),
  );
  const long = rest.some((row) => row.some((cell) => cell.length > limits.cell));
  return {
    header,
    rows: long ? rest.map((row) => row.map((cell) => cell.slice(0, limits.cell))) : rest,
    notes: long ? [...notes, `Cells longer than ${limits.cell} characters were cut.`] : notes,
  };
}
