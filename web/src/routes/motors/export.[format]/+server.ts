import { columns, writeRow } from '@pilgrim/core/register/columns';
import { error } from '@sveltejs/kit';
import Papa from 'papaparse';
import { allMotors } from '$lib/server/motors';
import { workbook } from '$lib/server/workbook';
import type { RequestHandler } from './$types';

const attach = (body: BodyInit, type: string, format: string): Response =>
  new Response(body, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="motors.${format}"` },
  });

/** The whole register as CSV, XLSX or JSON. Cells that a spreadsheet would run as a formula are quoted. */
export const GET: RequestHandler = async ({ params }) => {
  const motors = await allMotors();
  const header = columns.map((column) => column.title);
  switch (params.format) {
    case 'json':
      return attach(JSON.stringify({ motors }, null, 2), 'application/json', 'json');
    case 'csv':
      // With a byte order mark, so that spreadsheets read it as UTF-8.
      return attach(`\ufeff${Papa.unparse([header, ...motors.map(writeRow)])}`, 'text/csv; charset=utf-8', 'csv');
    case 'xlsx': {
      const file = await workbook([header, ...motors.map(writeRow)]);
      return attach(new Uint8Array(file), 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', 'xlsx');
    }
    default:
      error(404, 'The register is exported as csv, xlsx or json.');
  }
};
