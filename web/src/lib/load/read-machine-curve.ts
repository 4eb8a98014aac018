import Papa from 'papaparse';

/** A point of a machine’s curve as typed: flow, head or pressure under its name, and efficiency where there is one. */
export type MachineRow = Readonly<Record<string, string>>;

const LONGEST = 60;
const hasFigure = (cell: string | undefined): boolean => /\d/.test(cell ?? '');
/** The unit of a heading: `Head [m]`, `Q (m³/h)`. */
const unitOf = (heading: string): string => (/[[(]([^\])]+)[\])]/.exec(heading)?.[1] ?? '').trim();

/** Rows of a pasted table of flow, head or pressure (`height`) and efficiency; a heading’s units go behind bare figures. */
export function readMachineCurve(table: string, height: 'head' | 'pressure'): { rows: MachineRow[]; lost: number } {
  const text = table.replace(/^\ufeff/, '').trim();
  const delimiter = [';', '\t', ','].find((each) => text.includes(each)) ?? ',';
  const { data } = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy' });
  const [first = []] = data;
  const headed = !hasFigure(first[0]);
  const units = headed ? first.map(unitOf) : [];
  const cell = (text: string | undefined, at: number): string => {
    const typed = (text ?? '').trim();
    return (/^[\d.,'+-]+$/.test(typed) && units[at] ? `${typed} ${units[at]}` : typed).slice(0, LONGEST);
  };
  const lines = headed ? data.slice(1) : data;
  const rows = lines.flatMap((line) =>
    hasFigure(line[0]) && hasFigure(line[1])
      ? [{ flow: cell(line[0], 0), [height]: cell(line[1], 1), efficiency: cell(line[2], 2) }]
      : [],
  );
  return { rows, lost: lines.length - rows.length };
}
