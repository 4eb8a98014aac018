import { figures, say, textOf } from '../../kernel/text.ts';
import type { EfficiencyClass } from '../../motor/efficiency-class.ts';
import { classEfficiency, classesOf } from '../../motor/efficiency-class.ts';
import { type Value } from '../../kernel/value.ts';
import { leastClass } from './class-in-year.ts';
import { KNOWN_YEAR, type Decoding } from './decoding.ts';

export function readClass(
  known: Pick<Decoding, 'facts' | 'school' | 'values' | 'said' | 'year' | 'report' | 'plate'>,
): void {
  const { facts, school, values, said, year, report } = known;
  const { power, poles, efficiency } = facts;
  if (!power) return;
  const today = leastClass(power.value, KNOWN_YEAR, school);
  values.classToday = said(`${today.least} (${today.law})`, 'law as known to this version, from memory');
  if (year !== undefined) {
    const then = leastClass(power.value, year, school);
    values.classInItsYear = said(`${then.least} in ${year} (${then.law})`, 'law as known to this version, from memory');
  }
  if (!poles) return;
  checkPrintedClass(power, poles, known);
  if (!efficiency || efficiency.origin === 'estimated' || today.least === 'no least class') return;
  const limit = classEfficiency(today.least, { power: power.value, poles: poles.value, open: facts.open, school });
  if (limit && efficiency.value < limit.value - 1e-6) {
    const less = 1 - (1 / limit.value - 1) / (1 / efficiency.value - 1);
    report(
      'nameplate.class-below-today',
      say`A new motor of this size must reach ${today.least}, ${limit}: ${figures(less * 100, 2)} % less loss than this one, and often a little faster.`,
      { basis: `${today.law} (recalled from memory)` },
    );
  }
}

/** A class printed on the plate must agree with the efficiency printed beside it. */
function checkPrintedClass(
  power: Value,
  poles: Value,
  { plate, facts, report }: Pick<Decoding, 'plate' | 'facts' | 'report'>,
): void {
  const ie = /IE\s?([1-4])/i.exec(plate.efficiencyClass ?? '')?.[1];
  const name = (ie ? `IE${ie}` : /premium/i.test(plate.efficiencyClass ?? '') ? 'premium' : undefined) as
    EfficiencyClass | undefined;
  const { efficiency } = facts;
  const iec = name?.startsWith('IE') === true;
  if (!name || !efficiency || !classesOf(iec ? 'IEC' : 'NEMA').includes(name)) return;
  const limit = classEfficiency(name, {
    power: power.value,
    poles: poles.value,
    open: facts.open,
    school: iec ? 'IEC' : 'NEMA',
    frequency: facts.frequency.value,
  });
  // What follows from rounded volts, amps and power factor is a point or two off by itself.
  const printed = efficiency.origin === 'given';
  if (!limit || efficiency.origin === 'estimated' || efficiency.value >= limit.value - (printed ? 0.0015 : 0.02))
    return;
  report(
    'nameplate.class-disagrees',
    say`The plate prints ${name} but ${printed ? textOf(efficiency) : say`its figures make an efficiency of ${efficiency}`}; ${name} asks ${limit} of this size and speed.`,
    { basis: say`${limit.working.source} (recalled from memory)` },
  );
}
