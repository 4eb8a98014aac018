import type { SelectionInput } from './selection-input.ts';
import { nextStandardPower, standardPowerSource } from '../../motor/standard-power.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

/**
 * The size to buy, W: the load’s standard size, raised where heat or altitude take too much, and for a
 * replacement not below the plate, so that feet and shaft can match. Undefined where no load is known, or where no
 * standard size is large enough.
 */
export function requiredPower({
  brief: { job, practice },
  situation,
  nameplate,
  load,
  supply,
  place,
}: Pick<SelectionInput, 'brief' | 'situation' | 'nameplate' | 'load' | 'supply' | 'place'>): Value | undefined {
  const { standardPower, motorPower } = load.values;
  if (!standardPower) return undefined;
  const { motorDerate } = place.values;
  const { unbalanceDerate } = supply.values;
  const plate = job.situation.kind === 'replace' ? nameplate.values.power : undefined;
  const needed = motorPower
    ? (motorPower.value * (1 + practice.sizeMargin.value)) / (motorDerate.value * (unbalanceDerate?.value ?? 1))
    : standardPower.value;
  const derated = nextStandardPower(needed, job.school);
  if (derated === undefined) return undefined;
  // An overload that was found, and no measured load to size by: the plate’s own size was too small.
  const outgrown = plate && situation.inquiry?.remedy.larger && !motorPower;
  const grown = outgrown ? (nextStandardPower(plate.value * 1.01, job.school) ?? 0) : 0;
  const size = Math.max(standardPower.value, derated, plate?.value ?? 0, grown);
  const how =
    outgrown && size === grown
      ? { source: PRACTICE, note: 'The old motor was overloaded: the next size up, until the load is measured.' }
      : size === plate?.value
        ? { source: PRACTICE, note: 'A replacement keeps the plate’s size, so that feet and shaft can match.' }
        : { source: standardPowerSource(job.school) };
  return quantity(size, 'power', {
    origin: 'chosen',
    formula: unbalanceDerate ? 'P_n \\ge \\dfrac{P\\,(1+m)}{k\\,k_u}' : 'P_n \\ge \\dfrac{P\\,(1+m)}{k}',
    from: { P: motorPower, m: practice.sizeMargin, k: motorDerate, k_u: unbalanceDerate, 'P_{plate}': plate },
    ...how,
  });
}
