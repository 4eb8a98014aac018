import type { Mend } from '../../kernel/finding.ts';
import type { Job } from '../../job/job.ts';

export interface Suspect {
  readonly name: string;
  readonly field: string;
  /** The figure as a person reads it: 38 for amperes, 92.4 for percent. */
  readonly digits: string;
  /** Mismatch of the plate if this figure read `value`. */
  readonly mismatchAt: (value: number) => number;
  readonly plausible: (value: number) => boolean;
  /** How odd this figure would be beside the rest of the plate; decides between readings that mend it equally. */
  readonly oddness?: (value: number) => number;
}

export interface Misreading {
  readonly name: string;
  readonly field: string;
  readonly read: string;
  readonly likely: string;
  readonly remaining: number;
}

/** The field with the digit put right; none where the misread figure does not stand in it as it was read. */
export function mendsOf(plate: Job['nameplate'], misreading: Misreading | undefined): { readonly mends?: Mend[] } {
  if (!misreading) return {};
  const { field, read, likely } = misreading;
  const typed = String(plate[field.replace('nameplate.', '') as 'power'] ?? '');
  const at = typed.lastIndexOf(read);
  if (at < 0) return {};
  const right = typed.slice(0, at) + likely + typed.slice(at + read.length);
  return { mends: [{ label: `Take ${likely}`, set: { [field]: right } }] };
}

/** Every figure that differs from `digits` in one digit, or has two neighbouring digits swapped. */
export function oneDigitAway(digits: string): string[] {
  const variants: string[] = [];
  Array.from(digits).forEach((digit, at) => {
    if (!/\d/.test(digit)) return;
    for (let other = 0; other <= 9; other++) {
      if (String(other) !== digit) variants.push(`${digits.slice(0, at)}${other}${digits.slice(at + 1)}`);
    }
    const next = digits[at + 1];
    if (next !== undefined && /\d/.test(next) && next !== digit)
      variants.push(digits.slice(0, at) + next + digit + digits.slice(at + 2));
  });
  return variants.filter((variant) => !/^0\d/.test(variant));
}

/** The single misread digit that would best mend a plate, if one brings it within 2 %. */
export function misreadDigit(suspects: readonly Suspect[]): Misreading | undefined {
  const candidates = suspects.flatMap(({ name, field, digits, mismatchAt, plausible, oddness }) =>
    oneDigitAway(digits)
      .filter((likely) => plausible(Number(likely)))
      .map((likely) => {
        const remaining = Math.abs(mismatchAt(Number(likely)));
        return { name, field, read: digits, likely, remaining, rank: remaining + (oddness?.(Number(likely)) ?? 0) };
      }),
  );
  return candidates.filter((each) => each.remaining < 0.02).toSorted((a, b) => a.rank - b.rank)[0];
}
