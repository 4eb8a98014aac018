import writeXlsxFile from 'write-excel-file/node';

/** The writer keeps its strings in a plain object and loses words that every object has; a space sets them apart. */
const apart = (value: string): string => (value in Object.prototype ? `${value} ` : value);

/** A table of text as an XLSX workbook. Every cell is text, so that no spreadsheet reads a formula into it. */
export const workbook = (rows: readonly (readonly string[])[]): Promise<Buffer> =>
  writeXlsxFile(
    rows.map((row) => row.map((value) => (value === '' ? null : { type: String, value: apart(value) }))),
  ).toBuffer();
