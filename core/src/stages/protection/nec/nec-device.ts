import { amount, say, type Text } from '../../../kernel/text.ts';
import { branchDevice, groundingConductors, standardRatings } from '../../../kernel/tables/index.ts';
import { cellValue } from '../../../kernel/tables/table.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../../kernel/value.ts';
import { ownStart, type Circuit } from '../protection-input.ts';
import { INRUSH } from '../../starting/inrush.ts';
import { faultAtBus, withstands, kiloAmperes } from '../../supply/short-circuit.ts';
import { breakersFor, leastBreaker } from '../breaker.ts';
import { checkBreaks } from '../fault.ts';
import type { Report } from '../findings.ts';
import { compareSizes, conductorName, raisedWith, type Conductor } from './nec-conductor.ts';

const deviceColumns = {
  'inverse time breaker': 'inverse_time_breaker',
  'dual element fuse': 'dual_element_fuse',
  'nontime delay fuse': 'nontime_delay_fuse',
} as const;

/** Standard sizes of a kind, A: 240.6(A). */
export const standardSizes = (fuse: boolean): number[] =>
  standardRatings.rows.filter((row) => fuse || row['fuse_only'] !== true).map((row) => Number(row['rating']));

/** The standard rating at or next above `amperes` (240.6(A)); 1, 3, 6, 10 and 601 A are fuses only. */
export const nextStandardRating = (amperes: number, fuse: boolean): number | undefined =>
  standardSizes(fuse).find((rating) => rating >= amperes - 1e-9);

/** Largest short-circuit device of the kind chosen. */
export function largestDevice(current: Value, { brief, holds }: Circuit): Value | undefined {
  const { protection } = brief.job;
  const { device } = protection;
  const row = branchDevice.row('squirrel_cage_other');
  const percent = cellValue(branchDevice, row, deviceColumns[device], { dimension: 'fraction', factor: 0.01 });
  const rating = percent && nextStandardRating(current.value * percent.value, device !== 'inverse time breaker');
  return rating === undefined
    ? undefined
    : quantity(rating, 'current', {
        origin: 'recalled',
        formula: 'I_{dev} \\ge k\\,I,\\ \\text{next standard size}',
        from: { k: percent, I: current },
        source: 'NEC 430.52(C)(1) and exception 1, 240.6(A)',
        note: `${device}. ${holds}`,
      });
}

/** The device as typed, in a standard size, held against code and start; else the largest that is allowed. */
export function deviceOf(most: Value, circuit: Circuit, report: Report): Value {
  const { brief, onDrive } = circuit;
  const typed = onDrive ? undefined : brief.given.protection.rating;
  const { device } = brief.job.protection;
  if (!typed) return most;
  const rating = nextStandardRating(typed.value, device !== 'inverse time breaker');
  if (rating === undefined) return most;
  const own = quantity(rating, 'current', {
    origin: 'given',
    source: 'NEC 240.6(A)',
    note: say`As typed, ${typed}, in a standard size.`,
  });
  const mends = [{ label: say`Take ${most}`, set: { 'protection.rating': `${most.value} A` } }];
  if (rating > most.value * 1.001)
    report('protection.device-large', say`The device rating is ${own}, maximum ${most}.`, { mends });
  const least = device === 'inverse time breaker' ? leastRating(circuit) : circuit.motor.current;
  if (rating < least * 0.999)
    report(
      'protection.device-small',
      say`A rating of ${own} trips during starting, minimum ${amount(least, 'current')}.`,
      least <= most.value ? { mends } : {},
    );
  return own;
}

/** Least rating of a breaker that carries what runs and does not trip on what starts, A. */
function leastRating({ motor, starting, pick, onDrive }: Circuit): number {
  if (onDrive) return leastBreaker(pick.chosenDrive?.item.inputCurrent ?? motor.current, 0);
  const chosen = ownStart({ starting });
  const start = chosen?.current ?? motor.lockedRotorCurrent;
  return leastBreaker(motor.current, Math.max(start, starting.values.changeoverCurrent?.value ?? 0));
}

/** A breaker for the system’s voltage that the code allows and the start does not trip. */
export function chosenBreaker(most: Value, circuit: Circuit, report: Report): Value<Text> | undefined {
  const { brief, catalogue, supply, motor, nameplateCurrent } = circuit;
  const { protection } = brief.job;
  if (protection.device !== 'inverse time breaker') return undefined;
  const least = leastRating(circuit);
  const volts = supply.values.voltage?.value ?? motor.voltage;
  const system = amount(volts, 'voltage');
  const fits = breakersFor(catalogue.parts, volts, least, most.value);
  const fault = faultAtBus(supply);
  const part = fits.find((each) => withstands(each.breakingCapacity, fault?.value ?? 0)) ?? fits[0];
  if (!part) {
    if (catalogue.parts.some(({ kind }) => kind === 'breaker'))
      report(
        'protection.no-breaker',
        say`The catalogue has no breaker for ${system} between the ${amount(least, 'current')} that carry the motor and its start and the ${most} the code allows.`,
      );
    return undefined;
  }
  const { breakingCapacity } = part;
  const capacity = breakingCapacity === undefined ? undefined : kiloAmperes(breakingCapacity);
  checkBreaks(part, fault, report);
  return textValue(part.name, {
    origin: 'looked up',
    formula: 'I_{least} \\le I_{dev} \\le I_{most}',
    from: {
      'I_{least}': quantity(least, 'current', {
        formula: 'I_{least} = \\max(1.15\\,I_n,\\ \\kappa\\,I_s / 8)',
        from: {
          I_n: nameplateCurrent,
          '\\kappa': quantity(INRUSH, 'count', { source: 'IEC 60909-0 (from memory)' }),
        },
        source: `magnetic trip at 10 times its rating, less 20 %: ${PRACTICE}`,
      }),
      'I_{most}': most,
    },
    source: 'catalogue',
    note: say`For ${system}. ${capacity === undefined ? 'Its breaking capacity must cover the fault level at its place.' : say`It breaks ${capacity}${fault ? '' : '; the fault level of its place is not known'}.`}`,
  });
}

/** By the rating of the device, but never larger than the wires it runs with (NEC 250.122(A)). */
export function grounding(
  device: Value,
  phase: Conductor | undefined,
  { brief }: Circuit,
  raisedFrom?: string,
): Grounding | undefined {
  const row = groundingConductors.rows.find((each) => Number(each['device_rating']) >= device.value);
  const own = row?.[brief.job.protection.conductor === 'copper' ? 'cu' : 'al'];
  if (typeof own !== 'string') return undefined;
  const raised = phase && raisedFrom !== undefined ? raisedWith(own, raisedFrom, phase.size) : own;
  const size = phase !== undefined && compareSizes(raised, phase.size) > 0 ? phase.size : raised;
  const notes = [
    raised === own ? '' : 'Raised with the phase wires for the voltage drop.',
    size === raised
      ? 'Never larger than the circuit conductors.'
      : `${conductorName(raised)} by the device, but never larger than the circuit conductors.`,
  ];
  return {
    size,
    name: textValue(conductorName(size), {
      origin: 'recalled',
      formula: '\\text{by device rating}',
      from: { I: device },
      source: `${groundingConductors.source}, 250.122(A)${raised === own ? '' : ' and (B)'}`,
      note: notes.filter(Boolean).join(' '),
    }),
  };
}

interface Grounding {
  readonly size: string;
  readonly name: Value<Text>;
}
