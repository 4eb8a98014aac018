import { say } from '../../kernel/text.ts';
import type { StarterPart } from '../../catalogue/catalogue.ts';
import { add, magnitude, type Complex } from '../../kernel/complex.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import { withstands, kiloAmperes } from '../supply/short-circuit.ts';
import type { Circuit } from './protection-input.ts';
import type { Report } from './findings.ts';

/** A, three phases shorted at the terminals of the motor or its drive, behind these wires. Undefined where source or wires are not known. */
export function prospectiveShortCircuitCurrent({ supply }: Circuit, wires: Complex | undefined): Value | undefined {
  const { source } = supply;
  if (!source || !wires) return undefined;
  const all = add(source.firstInternal ?? source.internal, wires);
  return quantity(source.voltage / Math.sqrt(3) / magnitude(all), 'current', {
    origin: 'estimated',
    formula: "I''_{k3} = \\dfrac{U}{\\sqrt3\\,|Z_q + Z_w|}",
    from: {
      U: supply.values.voltage,
      Z_q: supply.values.sourceImpedance,
      Z_w: quantity(magnitude(wires), 'resistance', { origin: 'recalled', source: 'as the drop' }),
    },
    source: 'IEC 60909-0 (from memory), without the voltage factor; wires as warm as in service',
    note: 'What an isolator or terminal box there must hold.',
  });
}

/** What a breaker breaks against what may flow at its place. */
export function checkBreaks({ name, breakingCapacity }: StarterPart, fault: Value | undefined, report: Report): void {
  if (breakingCapacity === undefined || !fault || withstands(breakingCapacity, fault.value)) return;
  report(
    'protection.fault-above',
    say`The breaking capacity of ${name} is ${kiloAmperes(breakingCapacity)}, short-circuit current at the bus ${kiloAmperes(fault.value)}.`,
  );
}

/** What panel and drive were tested for against what flows there: at the bus, and behind the wires of the drive where they are known. */
export function checkFault(
  { atBus, behind }: { readonly atBus: Value | undefined; readonly behind: Value | undefined },
  { brief, onDrive, pick }: Circuit,
  report: Report,
): void {
  if (!atBus) return;
  const drive = onDrive ? pick.chosenDrive?.item : undefined;
  const against = (who: string, rating: number | undefined, fault: Value, where: string, field: string): void => {
    if (rating !== undefined && !withstands(rating, fault.value))
      report(
        'protection.fault-above',
        say`${who} is rated for a short-circuit current of ${kiloAmperes(rating)}, prospective ${kiloAmperes(fault.value)} at ${where}.`,
        { field },
      );
  };
  against('The panel', brief.given.protection.assemblyRating?.value, atBus, 'the bus', 'protection.assemblyRating');
  if (!drive) return;
  const who = drive.protectedBy ? `${drive.name} behind ${drive.protectedBy}` : drive.name;
  against(who, drive.shortCircuitRating, behind ?? atBus, behind ? 'its terminals' : 'the bus', 'supply.sourcePower');
}
