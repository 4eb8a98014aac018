import { horsepowerOf } from '../../motor/standard-power.ts';
import { codeLetters } from '../../kernel/tables/index.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

export interface LockedRotorRange {
  readonly min?: Value;
  readonly max?: Value;
}

/**
 * Locked-rotor current from the code letter, I = kVA/hp · hp · 1000 / (√3 V), A (NEC Table 430.7(B)).
 * The printed maxima stand just under the next band, so the band’s upper edge is the next letter’s minimum, as
 * MG 1 10.37.2 prints it (F: 5.0 up to 5.6). Letter V has no upper end. Undefined for an unknown letter.
 */
export function lockedRotorFromCode(letter: string, power: Value, voltage: Value): LockedRotorRange | undefined {
  const at = codeLetters.rows.findIndex((row) => row['letter'] === letter.trim().toUpperCase());
  const row = codeLetters.rows[at];
  if (!row) return undefined;
  const current = (kva: number | undefined, name: string): Value | undefined =>
    kva === undefined || kva === 0
      ? undefined
      : quantity((kva * horsepowerOf(power.value) * 1000) / (Math.sqrt(3) * voltage.value), 'current', {
          formula: `I_{LR} = \\dfrac{k\\,P_{hp}\\cdot 1000}{\\sqrt3\\,V},\\quad k = ${kva}\\ \\mathrm{kVA/hp}`,
          from: { P: power, V: voltage },
          source: codeLetters.source,
          note: `Code letter ${letter.trim().toUpperCase()}, ${name} of its band; table recalled from memory.`,
        });
  const min = current(codeLetters.number(row, 'kva_per_hp_min'), 'lower end');
  const max = current(codeLetters.number(codeLetters.rows[at + 1], 'kva_per_hp_min'), 'upper end');
  return { ...(min ? { min } : {}), ...(max ? { max } : {}) };
}

/** Locked-rotor current from Ist/In with the +20 % tolerance of IEC 60034-1 (from memory) as the upper end. */
export function lockedRotorFromRatio(ratio: Value, current: Value): LockedRotorRange {
  const at = (factor: number, formula: string): Value =>
    quantity(ratio.value * current.value * factor, 'current', {
      formula,
      from: { k: ratio, I_n: current },
      source: 'IEC 60034-1, tolerance table (from memory)',
    });
  return { min: at(1, 'I_{LR} = k\\,I_n'), max: at(1.2, 'I_{LR} = 1.2\\,k\\,I_n') };
}

/** Where neither letter nor ratio is known: 5 to 8 times rated current. */
export function lockedRotorGuess(current: Value): LockedRotorRange {
  const at = (factor: number): Value =>
    quantity(current.value * factor, 'current', {
      origin: 'estimated',
      assumes: 'nameplate.codeLetter',
      formula: `I_{LR} \\approx ${factor}\\,I_n`,
      from: { I_n: current },
      source: PRACTICE,
    });
  return { min: at(5), max: at(8) };
}
