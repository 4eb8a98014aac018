/** A rolling bearing read from its ISO 15 designation, as motors print it. */
export interface Bearing {
  readonly designation: string;
  readonly kind: string;
  /** Bore, m. */
  readonly bore: number;
  readonly seals: string;
  readonly clearance: string;
  readonly text: string;
}

const kinds: readonly (readonly [RegExp, string])[] = [
  [/^(NU|NJ|NUP|N)$/, 'cylindrical roller'],
  [/^7/, 'angular-contact ball'],
  [/^2[0-4]\d{3}$/, 'spherical roller'],
  [/^3[0-3]\d{3}$/, 'tapered roller'],
  [/^[12][23]\d{2}$/, 'self-aligning ball'],
  [/^6/, 'deep-groove ball'],
];

const smallBores: Readonly<Record<string, number>> = { '00': 10, '01': 12, '02': 15, '03': 17 };

/**
 * Decodes designations such as `6309-2Z/C3`, `6206 ZZ C3`, `NU 313 ECP`, `7312B`: the last two figures × 5 are the bore
 * in mm (00, 01, 02, 03 are 10, 12, 15, 17). ISO 15 and ISO 104 practice, from memory. Undefined where it reads as none.
 */
export function decodeBearing(text: string): Bearing | undefined {
  const clean = text.toUpperCase().trim();
  const match = /^(NUP|NU|NJ|N|SS)?\s*([23][0-4]\d{3}|\d{3,4})(.*)$/.exec(clean);
  if (!match) return undefined;
  const [, prefix = '', number = '', rest = ''] = match;
  const kind = kinds.find(([pattern]) => pattern.test(prefix) || (prefix === '' && pattern.test(number)))?.[1];
  const boreCode = number.slice(-2);
  if (!kind || number.length < (prefix.startsWith('N') ? 3 : 4)) return undefined;
  const millimetres = smallBores[boreCode] ?? Number(boreCode) * 5;
  if (millimetres < 10 || millimetres > 480) return undefined;
  const seals = /2Z|ZZ/.test(rest)
    ? 'two shields'
    : /2RS|LLU|DDU|VV/.test(rest)
      ? 'two seals'
      : /Z/.test(rest)
        ? 'one shield'
        : /RS/.test(rest)
          ? 'one seal'
          : 'open';
  const clearance = /C[2-5]/.exec(rest)?.[0] ?? 'normal';
  return {
    designation: clean,
    kind,
    bore: millimetres / 1000,
    seals,
    clearance,
    text: `${kind}, ${millimetres} mm bore, ${seals}, ${clearance === 'normal' ? 'normal clearance' : `clearance ${clearance}`}`,
  };
}

const thickeners: readonly (readonly [string, RegExp])[] = [
  ['polyurea', /polyurea|\burea/i],
  ['lithium complex', /lithium.?complex|li.?complex/i],
  ['lithium', /lithium|\bli\b/i],
  ['calcium sulfonate', /calcium.?sul(?:f|ph)|casx/i],
  ['aluminium complex', /alumini?um/i],
  ['clay', /clay|bentone/i],
];

/** The thickener a grease’s name gives away; undefined where it gives none. */
export const thickenerOf = (grease: string): string | undefined =>
  thickeners.find(([, pattern]) => pattern.test(grease))?.[0];

export type Mixing = 'same' | 'different' | 'not known';

/** Whether two greases may meet in one bearing: the same thickener may, two different ones are not to be mixed. */
export function mixing(first: string, second: string): Mixing {
  if (first.trim().toLowerCase() === second.trim().toLowerCase()) return 'same';
  const [a, b] = [thickenerOf(first), thickenerOf(second)];
  if (a === undefined || b === undefined) return 'not known';
  return a === b ? 'same' : 'different';
}

/** The same in words: the plate’s grease and the one that was used. */
export const mixingWords: Readonly<Record<Mixing, (asked: string, used: string) => string>> = {
  same: (asked, used) => `${used} has the thickener of ${asked}`,
  different: (asked, used) =>
    `${used} (${thickenerOf(used) ?? ''}) was put on ${asked} (${thickenerOf(asked) ?? ''}): two thickeners that run out of the bearing when they mix`,
  'not known': (asked, used) => `${used} is not the ${asked} of the plate, and its thickener is not known`,
};
