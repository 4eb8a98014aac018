import writeXlsxFile from 'write-excel-file/node';

/** The writer keeps its strings in a plain object and loses words that every object has; a space sets them apart. */
const apart = (value: string): string => (value in Object.prototype ? `${value} ` : value);

type Rows = readonly (readonly string[])[];

const cells = (rows: Rows) =>
  rows.map((row) => row.map((value) => (value === '' ? null : { type: String, value: apart(value) })));

/** A table of text as an XLSX workbook. Every cell is text, so that no spreadsheet reads a formula into it. */
export const workbook = (rows: Rows): Promise<Buffer> => writeXlsxFile(cells(rows)).toBuffer();

/** Several, each on a sheet of its own. */
export const workbooks = (sheets: readonly { readonly sheet: string; readonly rows: Rows }[]): Promise<Buffer> =>
  writeXlsxFile(sheets.map(({ sheet, rows }) => ({ sheet, data: cells(rows) }))).toBuffer();
