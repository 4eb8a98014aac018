import { columns, writeRow } from '@pilgrim/core/register/columns';
import { registeredMotorSchema } from '@pilgrim/core/register/registered-motor';
import Papa from 'papaparse';
import type { RegisterFormat } from './file-types.ts';
import { workbook } from './workbook.ts';

/** The register as a file, from stored motors as JSON text. Cells that a spreadsheet would run as a formula are quoted. */
export async function registerFile(documents: readonly string[], format: RegisterFormat): Promise<Uint8Array> {
  const motors = documents.map((text) => registeredMotorSchema.parse(JSON.parse(text)));
  if (format === 'json') return new TextEncoder().encode(JSON.stringify({ motors }, null, 2));
  const rows = [columns.map((column) => column.title), ...motors.map(writeRow)];
  if (format === 'xlsx') return workbook(rows);
  // With a byte order mark, so that spreadsheets read it as UTF-8.
  return new TextEncoder().encode(`\ufeff${Papa.unparse(rows)}`);
}
