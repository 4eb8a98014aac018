import { classEfficiency, classesOf } from '../../motor/efficiency-class.ts';
import { type Value } from '../../kernel/value.ts';
import { solveMissing, type Balance } from './power-balance.ts';
import type { PlateKnown } from './plate-known.ts';

/** Fills the one missing of P, I, η, cos φ; with two missing, η comes from a class table as an estimate. */
export function completeBalance({
  power,
  rating,
  roughPoles,
  school,
  open,
  voltage,
}: Pick<PlateKnown, 'power' | 'rating' | 'roughPoles' | 'school' | 'open' | 'voltage'>): Balance {
  const known: Record<keyof Balance, Value | undefined> = {
    power,
    current: rating.current,
    efficiency: rating.efficiency,
    powerFactor: rating.powerFactor,
  };
  const blanks = () => (Object.keys(known) as (keyof Balance)[]).filter((term) => !known[term]);
  if (blanks().length >= 2 && !known.efficiency && power && roughPoles !== undefined) {
    const className = classesOf(school).at(school === 'NEMA' ? 1 : 2);
    const table = className && classEfficiency(className, { power: power.value, poles: roughPoles, open, school });
    known.efficiency = table && {
      ...table,
      origin: 'estimated',
      evidence: 'assumed',
      assumes: ['nameplate.efficiency'],
      working: { ...table.working, note: `Not on the plate: the ${className} value for the size stands in.` },
    };
  }
  const [blank, ...rest] = blanks();
  if (blank && rest.length === 0 && voltage) known[blank] = solveMissing(voltage, present(known), blank);
  return present(known);
}

function present(known: Readonly<Record<keyof Balance, Value | undefined>>): Balance {
  return Object.fromEntries(Object.entries(known).filter(([, value]) => value !== undefined));
}
