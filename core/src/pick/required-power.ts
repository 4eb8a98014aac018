import type { LoadResult } from '../load/load.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { PlaceResult } from '../place/place.ts';
import type { Brief } from '../stage.ts';
import { nextStandardPower, standardPowerSource } from '../motor/standard-power.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';

/**
 * The size to buy, W: the load’s standard size, raised where heat or altitude take too much, and for a
 * replacement not below the plate, so that feet and shaft can match.
 */
export function requiredPower(
  { job, practice }: Brief,
  nameplate: NameplateResult,
  load: LoadResult,
  place: PlaceResult,
): Value | undefined {
  const { standardPower, motorPower } = load.values;
  if (!standardPower) return undefined;
  const { motorDerate } = place.values;
  const plate = job.situation.kind === 'replace' ? nameplate.values.power : undefined;
  const needed = motorPower
    ? (motorPower.value * (1 + practice.sizeMargin.value)) / motorDerate.value
    : standardPower.value;
  const derated = nextStandardPower(needed, job.school);
  const size = Math.max(standardPower.value, derated ?? 0, plate?.value ?? 0);
  const how =
    size === plate?.value
      ? { source: PRACTICE, note: 'A replacement keeps the plate’s size, so that feet and shaft can match.' }
      : { source: standardPowerSource(job.school) };
  return quantity(size, 'power', job.school, {
    origin: 'chosen',
    formula: 'P_n \\ge \\dfrac{P\\,(1+m)}{k}',
    from: { P: motorPower, m: practice.sizeMargin, k: motorDerate, 'P_{plate}': plate },
    ...how,
  });
}
