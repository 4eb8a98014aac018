import type { StarterPart } from '../../catalogue/catalogue.ts';
import { add, magnitude, type Complex } from '../../ground/complex.ts';
import { quantity, type Value } from '../../ground/value.ts';
import { holds, kiloAmperes } from '../supply/short-circuit.ts';
import type { Circuit } from './asked-of-protection.ts';
import type { Flag } from './findings.ts';

/** A, three phases shorted at the terminals of the motor, behind its wires. Undefined where source or wires are not known. */
export function faultAtMotor({ supply, brief }: Circuit, wires: Complex | undefined): Value | undefined {
  const { source } = supply;
  if (!source || !wires) return undefined;
  const all = add(source.firstInternal ?? source.internal, wires);
  return quantity(source.voltage / Math.sqrt(3) / magnitude(all), 'current', brief.job.school, {
    origin: 'estimated',
    formula: "I''_{k3} = \\dfrac{U}{\\sqrt3\\,|Z_q + Z_w|}",
    from: {
      U: supply.values.voltage,
      Z_q: supply.values.sourceImpedance,
      Z_w: quantity(magnitude(wires), 'resistance', brief.job.school, { origin: 'recalled', source: 'as the drop' }),
    },
    source: 'IEC 60909-0 (from memory), without the voltage factor; wires as warm as in service',
    note: 'What an isolator or terminal box there must hold.',
  });
}

/** What a breaker breaks against what may flow at its place. */
export function checkBreaks({ name, breakingCapacity }: StarterPart, fault: Value | undefined, flag: Flag): void {
  if (breakingCapacity === undefined || !fault || holds(breakingCapacity, fault.value)) return;
  flag(
    'protection.fault-above',
    `${name} breaks ${kiloAmperes(breakingCapacity)}; ${kiloAmperes(fault.value)} may flow at the bus.`,
  );
}

/** What panel and drive were tested for against what flows. */
export function checkFault(fault: Value | undefined, { brief, onDrive, pick }: Circuit, flag: Flag): void {
  if (!fault) return;
  const drive = onDrive ? pick.chosenDrive?.item : undefined;
  const against = (who: string, rating: number | undefined, behind: string, field: string): void => {
    if (rating !== undefined && !holds(rating, fault.value))
      flag(
        'protection.fault-above',
        `${who} holds a short circuit of ${kiloAmperes(rating)}${behind}; ${kiloAmperes(fault.value)} may flow at the bus.`,
        { field },
      );
  };
  against('The panel', brief.given.protection.assemblyRating?.value, '', 'protection.assemblyRating');
  const behind = drive?.protectedBy ? ` behind ${drive.protectedBy}` : '';
  if (drive) against(drive.name, drive.shortCircuitRating, behind, 'supply.sourcePower');
}
