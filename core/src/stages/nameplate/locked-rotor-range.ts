import { say } from '../../kernel/text.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import {
  lockedRotorFromCode,
  lockedRotorFromRatio,
  lockedRotorGuess,
  type LockedRotorRange,
} from './locked-rotor-current.ts';
import type { PlateKnown } from './plate-known.ts';

/** At the connected voltage; a winding made for more draws less there, in proportion to voltage. */
export function lockedRotorRange(
  known: Pick<PlateKnown, 'rating' | 'voltage' | 'current' | 'school' | 'given' | 'plate' | 'power' | 'report'>,
): LockedRotorRange | undefined {
  const { rating, voltage, current } = known;
  const range = rangeAt(rating.winding?.voltage ?? voltage, rating.winding?.current ?? current, known);
  if (!range || !rating.winding || !voltage) return range;
  const { voltage: made } = rating.winding;
  const here = (value: Value | undefined): Value | undefined =>
    value &&
    quantity((value.value * voltage.value) / made.value, 'current', {
      origin: value.origin,
      formula: 'I_{LR} = I_{LR,n}\\,\\dfrac{V}{V_n}',
      from: { 'I_{LR,n}': value, V: voltage, V_n: made },
      source: value.working.source,
      note: say`The winding is made for ${made}.`,
    });
  const [min, max] = [here(range.min), here(range.max)];
  return { ...(min ? { min } : {}), ...(max ? { max } : {}) };
}

function rangeAt(
  volts: Value | undefined,
  amperes: Value | undefined,
  { given, plate, power, report }: Pick<PlateKnown, 'given' | 'plate' | 'power' | 'school' | 'report'>,
): LockedRotorRange | undefined {
  const typed = given.nameplate;
  if (typed.lockedRotorCurrent && !plate.codeLetter?.trim())
    return { min: typed.lockedRotorCurrent, max: typed.lockedRotorCurrent };
  if (plate.codeLetter?.trim() && power && volts) {
    const fromCode = lockedRotorFromCode(plate.codeLetter, power, volts);
    if (fromCode) return fromCode;
    report(
      'nameplate.code-letter',
      `Code letter “${plate.codeLetter.slice(0, 10)}” is not one the standard uses (A–H, J–N, P, R–V).`,
    );
  }
  if (typed.startingCurrentRatio && amperes) return lockedRotorFromRatio(typed.startingCurrentRatio, amperes);
  return amperes && lockedRotorGuess(amperes);
}
