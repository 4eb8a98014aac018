import Papa from 'papaparse';

export type CurveRow = Readonly<Record<'speed' | 'torque', string>>;

const hasFigure = (cell: string | undefined): boolean => /\d/.test(cell ?? '');
/** The unit in a heading such as `Speed [rpm]`, `n (min⁻¹)` or just `N·m`. */
const unitOf = (heading: string | undefined): string =>
  (
    /[[(]([^\])]+)[\])]/.exec(heading ?? '')?.[1] ?? (/rpm|min|N.?m|lb|rad/i.test(heading ?? '') ? (heading ?? '') : '')
  ).trim();

/** Rows of a pasted or uploaded table of speed and torque, as text; the units of a heading are put behind the figures. */
export function readCurve(table: string): { readonly rows: readonly CurveRow[]; readonly note: string } {
  const { data } = Papa.parse<string[]>(table.replace(/^\ufeff/, '').trim(), { skipEmptyLines: 'greedy' });
  const cells = data.map((row) => (row.length > 1 ? row : (row[0] ?? '').trim().split(/\s{2,}|\t/)));
  const heading = cells.findIndex((row) => !hasFigure(row[0]));
  const [speedUnit, torqueUnit] = heading === 0 ? (cells[0] ?? []).map(unitOf) : [];
  const swapped = /torque|moment|n.?m|lb/i.test(cells[0]?.[0] ?? '') && heading === 0;
  const withUnit = (cell: string, unit: string | undefined): string =>
    unit && /^[\s\d.,'+-]+$/.test(cell) ? `${cell.trim()} ${unit}` : cell.trim();
  const rows = cells
    .filter((row) => hasFigure(row[0]) && hasFigure(row[1]))
    .map(([first = '', second = '']): CurveRow => {
      const pair = [withUnit(first, speedUnit).slice(0, 60), withUnit(second, torqueUnit).slice(0, 60)] as const;
      return swapped ? { speed: pair[1], torque: pair[0] } : { speed: pair[0], torque: pair[1] };
    });
  const lost = cells.length - rows.length - (heading === 0 ? 1 : 0);
  return { rows, note: lost > 0 ? `${lost} lines without two figures were left out.` : '' };
}
