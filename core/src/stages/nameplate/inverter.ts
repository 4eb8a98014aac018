import { windingWithstand } from '../../kernel/tables/index.ts';

export interface InverterStatement {
  readonly verdict: 'made for a drive' | 'takes a drive' | 'not proven' | 'confirm from the data sheet';
  readonly constantTorqueRatio?: number;
  readonly variableTorqueRatio?: number;
  /** Peak the winding must withstand, V, and from which part of MG 1. */
  readonly withstand?: { readonly peak: number; readonly part: 30 | 31 };
  readonly text: string;
}

/** Motors whose plate is silent and that are older than this are not proven (common practice: 5 to 10 years). */
const OLD = 7;

const NAMED = { before: /[CV]\.?T\.?\s*\d+\s?:\s?1/i, after: /\d+\s?:\s?1\s*[CV]\.?T/i };

/** The speed range of constant (C) or variable (V) torque, named before its figures, as in CT 10:1, or after them. */
function ratio(text: string, kind: 'C' | 'V'): number | undefined {
  const [before, after] = [text.search(NAMED.before), text.search(NAMED.after)];
  // `10:1 CT 20:1 VT` holds both forms; the first tells.
  const named =
    before >= 0 && (after < 0 || before < after)
      ? `${kind}\\.?T\\.?\\s*(\\d+)\\s?:\\s?1`
      : `(\\d+)\\s?:\\s?1\\s*${kind}\\.?T`;
  const found =
    new RegExp(named, 'i').exec(text) ?? (kind === 'C' && !/V\.?T/i.test(text) ? /(\d+)\s?:\s?1/.exec(text) : null);
  return found ? Number(found[1]) : undefined;
}

/** What the plate promises for running on a drive. `voltage` is rated, V; `year` of make decides what silence means. */
export function inverterStatement(
  text: string | undefined,
  voltage: number | undefined,
  year: number | undefined,
  thisYear: number,
): InverterStatement {
  const said = text?.trim() ?? '';
  const constantTorqueRatio = ratio(said, 'C');
  const variableTorqueRatio = ratio(said, 'V');
  const duty = /inv(erter)?\.?\s+duty|part\s*31/i.test(said);
  const part: 30 | 31 | undefined = duty ? 31 : said === '' ? undefined : 30;
  const row = part && voltage !== undefined && voltage <= 600 ? windingWithstand.row(part, '600 or less') : undefined;
  const multiple = windingWithstand.number(row, 'peak_times_rated');
  const peak =
    windingWithstand.number(row, 'peak_volts') ??
    (multiple === undefined || voltage === undefined ? undefined : multiple * voltage);
  const age = year === undefined ? undefined : thisYear - year;
  const verdict = duty
    ? 'made for a drive'
    : said !== ''
      ? 'takes a drive'
      : age !== undefined && age <= OLD
        ? 'confirm from the data sheet'
        : 'not proven';
  const parts = [
    verdict,
    constantTorqueRatio === undefined ? '' : `constant torque ${constantTorqueRatio}:1`,
    variableTorqueRatio === undefined ? '' : `variable torque ${variableTorqueRatio}:1`,
    peak === undefined ? '' : `peaks to ${Math.round(peak)} V`,
  ];
  return {
    verdict,
    ...(constantTorqueRatio === undefined ? {} : { constantTorqueRatio }),
    ...(variableTorqueRatio === undefined ? {} : { variableTorqueRatio }),
    ...(peak === undefined || part === undefined ? {} : { withstand: { peak, part } }),
    text: parts.filter(Boolean).join(', '),
  };
}
