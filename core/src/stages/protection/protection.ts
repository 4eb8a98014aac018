import { findings as declared } from './findings.ts';
import type { ProtectionValues } from './values.ts';
import type { Catalogue } from '../../catalogue/catalogue.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { PickResult } from '../pick/pick.ts';
import type { StartingResult } from '../starting/starting.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { horsepowerOf } from '../../motor/standard-power.ts';
import type { Motor } from '../../motor/typical.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import {
  branchDevice,
  groundingConductors,
  motorCurrent,
  overload,
  standardRatings,
} from '../../ground/tables/index.ts';
import { cellValue } from '../../ground/tables/table.ts';
import { PRACTICE, quantity, wording, type Value } from '../../ground/value.ts';
import { formatQuantity } from '../../ground/quantity/format.ts';
import { chooseBreaker, INRUSH, leastBreaker } from './breaker.ts';
import { compareSizes, conductorName, smallestConductor, type Conductor } from './nec-conductor.ts';
import { dialShare, hasReserve } from '../starting/overload-dial.ts';

export type ProtectionResult = StageResult<ProtectionValues>;

const NEC_430_6 = 'NEC 430.6(A)';

/** Columns of Table 430.250 with the rated and system voltages each serves. */
const voltageColumns: readonly (readonly [column: string, low: number, high: number])[] = [
  ['v115', 110, 120],
  ['v200', 195, 204],
  ['v208', 205, 219],
  ['v230', 220, 240],
  ['v460', 440, 480],
  ['v575', 550, 600],
  ['v2300', 2200, 2400],
];

/** Table full-load current, A: NEC Table 430.250, the row at or next above the horsepower, the column of the voltage. */
export function tableFullLoadCurrent(power: number, voltage: number): Value | undefined {
  const column = voltageColumns.find(([, low, high]) => voltage >= low && voltage <= high)?.[0];
  const row = motorCurrent.rows.find((each) => Number(each['hp']) * 1.01 >= horsepowerOf(power));
  return column === undefined ? undefined : cellValue(motorCurrent, row, column, 'current', 'NEMA');
}

const deviceColumns = {
  'inverse time breaker': 'inverse_time_breaker',
  'dual element fuse': 'dual_element_fuse',
  'nontime delay fuse': 'nontime_delay_fuse',
} as const;

/** The standard rating at or next above `amperes` (240.6(A)); 1, 3, 6, 10 and 601 A are fuses only. */
export const nextStandardRating = (amperes: number, fuse: boolean): number | undefined =>
  standardRatings.rows
    .filter((row) => fuse || row['fuse_only'] !== true)
    .map((row) => Number(row['rating']))
    .find((rating) => rating >= amperes - 1e-9);

/** What protection is asked with; in the order of the stages. */
export interface ProtectionOn {
  readonly brief: Brief;
  readonly catalogue: Catalogue;
  readonly nameplate: NameplateResult;
  readonly supply: SupplyResult;
  readonly starting: StartingResult;
  readonly pick: PickResult;
}

/** Star-delta: the relay sits in the winding, which carries 1/√3 of the line. */
const IN_WINDING = 1 / Math.sqrt(3);

/** Overload from the nameplate, conductors and short-circuit device by NEC Article 430. */
export function protection({ brief, catalogue, nameplate, supply, starting, pick }: ProtectionOn): ProtectionResult {
  const { job } = brief;
  const { findings, missing, flag, need } = notebook('protection', declared);
  const { school } = job;
  const motor = pick.motor ?? nameplate.motor;
  const nameplateCurrent = pick.values.motorCurrent ?? nameplate.values.ratedCurrent;
  if (!motor || !nameplateCurrent) {
    // A new machine has no plate yet: what the pick lacks is asked for where it is lacking.
    if (job.situation.kind !== 'new') need('nameplate.currents', 'Nameplate current, for the overload setting');
    return { values: {}, findings, missing, summary: '' };
  }
  const holds = `Holds for ${motor.label}.`;
  const onDrive = pick.chosenDrive;
  const starDelta = starting.method === 'star-delta';
  const overloadDial = onDrive ? undefined : dial();
  const driveOverloadCurrent =
    onDrive &&
    quantity(nameplateCurrent.value, 'current', school, {
      formula: 'I_{set} = I_n',
      from: { I_n: nameplateCurrent },
      source: PRACTICE,
      note: `On a drive the service factor is spent by the extra heat. ${holds}`,
    });
  checkRelay();

  if (school === 'IEC') {
    flag(
      'protection.iec',
      'Only the overload setting is given here. Cable and short-circuit device follow IEC 60364 and the maker’s coordination tables.',
    );
    const overloadCurrent = quantity(nameplateCurrent.value, 'current', school, {
      formula: 'I_r = I_n',
      from: { I_n: nameplateCurrent },
      source: 'IEC 60947-4-1 (recalled from memory)',
      note: `Of the line. ${holds}`,
    });
    return {
      values: {
        ...(overloadDial ? { overloadDial } : {}),
        overloadCurrent,
        ...(driveOverloadCurrent ? { driveOverloadCurrent } : {}),
      },
      findings,
      missing,
      summary: overloadDial ? `Relay at ${overloadDial.text}` : `Overload ${overloadCurrent.text}`,
    };
  }

  const overloadCurrent = ceiling();
  const table = tableFullLoadCurrent(motor.power, motor.voltage);
  const codeCurrent = currentByCode();
  if (!codeCurrent) {
    flag(
      'protection.no-table-current',
      `Table 430.250 has no current for ${motor.voltage.toFixed(0)} V and this size; conductors and short-circuit device are not sized.`,
    );
  }
  const conductorMinAmpacity =
    codeCurrent &&
    quantity(1.25 * codeCurrent.value, 'current', school, {
      formula: 'I_z = 1.25\\,I',
      from: { I: codeCurrent },
      source: `NEC 430.22${onDrive ? ', 430.122(B)' : ''}`,
      note: holds,
    });
  const conductor = conductorMinAmpacity && smallestConductor(brief, conductorMinAmpacity, motor.designLetter);
  const branchDeviceMax = codeCurrent && largestDevice(codeCurrent);
  const breaker = branchDeviceMax && chosenBreaker(branchDeviceMax);
  const groundingConductor = branchDeviceMax && grounding(branchDeviceMax, conductor);
  const driveInputAmpacity =
    onDrive &&
    quantity(1.25 * onDrive.item.inputCurrent, 'current', school, {
      formula: 'I_z = 1.25\\,I_{in}',
      from: {
        'I_{in}': quantity(onDrive.item.inputCurrent, 'current', school, { origin: 'looked up', source: 'catalogue' }),
      },
      source: 'NEC 430.122(A) (recalled from memory)',
    });
  const inputConductor = driveInputAmpacity && smallestConductor(brief, driveInputAmpacity, undefined);
  if (conductorMinAmpacity && (!conductor || (driveInputAmpacity && !inputConductor)))
    flag(
      'protection.no-conductor',
      `No single conductor of the table carries ${(conductor ? driveInputAmpacity : conductorMinAmpacity)?.text ?? ''} here.`,
    );
  if (conductor) {
    const { ambient } = brief.given.place;
    flag(
      'protection.conductor-basis',
      `The conductor holds for ${(brief.given.protection.ambient ?? ambient)?.text ?? '30 °C, the usual ambient'} and ${brief.given.protection.conductors?.text ?? 'three'} current-carrying conductors together; ${conductor.carries.working.note ?? ''}`,
    );
  }

  const values: ProtectionValues = {
    ...(overloadDial ? { overloadDial } : {}),
    ...(overloadCurrent ? { overloadCurrent } : {}),
    ...(driveOverloadCurrent ? { driveOverloadCurrent } : {}),
    ...(table ? { tableCurrent: table } : {}),
    ...(codeCurrent ? { codeCurrent } : {}),
    ...(conductorMinAmpacity ? { conductorMinAmpacity } : {}),
    ...(conductor ? { conductorSize: conductor.name, conductorCarries: conductor.carries } : {}),
    ...(branchDeviceMax ? { branchDeviceMax } : {}),
    ...(breaker ? { branchDevice: breaker } : {}),
    ...(groundingConductor ? { groundingConductor } : {}),
    ...(driveInputAmpacity ? { driveInputAmpacity } : {}),
    ...(inputConductor ? { driveInputConductor: inputConductor.name } : {}),
  };
  const summary = [
    branchDeviceMax && `${branchDeviceMax.text} device`,
    overloadDial ? `relay at ${overloadDial.text}` : driveOverloadCurrent && `overload ${driveOverloadCurrent.text}`,
  ]
    .filter(Boolean)
    .join(' · ');
  return { values, findings, missing, summary };

  function serviceFactor(of: Motor): Value {
    const typed = of.kind === 'plate' ? nameplate.values.serviceFactor : undefined;
    if (typed) return typed;
    return quantity(of.serviceFactor, 'count', school, {
      origin: of.kind === 'picked' ? 'looked up' : 'estimated',
      source: of.kind === 'picked' ? 'catalogue' : PRACTICE,
      note: of.kind === 'picked' ? undefined : 'None is known: 1.0 is taken.',
    });
  }

  /** What the relay is set to. The code’s percentage limits where it trips and is no value for the dial. */
  function dial(): Value | undefined {
    if (!motor || !nameplateCurrent) return undefined;
    const share = dialShare(job, motor.serviceFactor) * (starDelta ? IN_WINDING : 1);
    return quantity(nameplateCurrent.value * share, 'current', school, {
      formula: share === 1 ? 'I_r = I_n' : `I_r = ${share.toFixed(3)}\\,I_n`,
      from: { I_n: nameplateCurrent, SF: serviceFactor(motor) },
      source: school === 'IEC' ? 'IEC 60947-4-1 (recalled from memory)' : PRACTICE,
      note: [
        starDelta ? 'The relay sits in the winding, which carries 0.577 of the line current.' : '',
        school === 'NEMA' && !hasReserve(job, motor.serviceFactor)
          ? 'Without a service factor of 1.15 or a rise of 40 °C the dial goes down by 115 : 125.'
          : '',
        'A relay marked in motor amperes; the table on the relay itself decides.',
        holds,
      ]
        .filter(Boolean)
        .join(' '),
    });
  }

  /** A dial outside the picked relay’s range cannot be set. */
  function checkRelay(): void {
    const relay = pick.starter?.parts.find(({ part }) => part.kind === 'overload relay')?.part;
    if (!relay || !overloadDial) return;
    if (overloadDial.value >= relay.currentMin * 0.999 && overloadDial.value <= relay.currentMax * 1.001) return;
    flag(
      'protection.dial-outside',
      `The relay must be set to ${overloadDial.text}; ${relay.name} goes from ${formatQuantity(relay.currentMin, 'current', school)} to ${formatQuantity(relay.currentMax, 'current', school)}.`,
    );
  }

  /** Where the overload must have tripped: 125 or 115 % of the nameplate current. */
  function ceiling(): Value | undefined {
    if (!motor || !nameplateCurrent) return undefined;
    const rule =
      motor.serviceFactor >= 1.15
        ? 'sf_1_15_or_more'
        : hasReserve(job, motor.serviceFactor)
          ? 'rise_40_c_or_less'
          : 'all_other';
    const percent = cellValue(overload, overload.row('(A)(1)', rule), 'max_percent', 'fraction', school, 0.01);
    return (
      percent &&
      quantity(nameplateCurrent.value * percent.value, 'current', school, {
        formula: 'I_{OL} = k\\,I_n',
        from: { k: percent, I_n: nameplateCurrent, SF: serviceFactor(motor) },
        source: 'NEC 430.32(A)(1), nameplate current by 430.6(A)(2)',
        note: `The trip, at most; no value for the dial. ${holds}`,
      })
    );
  }

  /** Table current, but the nameplate’s for motors of low speed, high torque or several speeds (NEC 430.6(A)(1)). */
  function currentByCode(): Value | undefined {
    if (!motor || !nameplateCurrent) return undefined;
    const several = motor.kind === 'plate' && nameplate.multispeed;
    const slow = motor.poles >= 8 || /^D/i.test(motor.designLetter?.trim() ?? '');
    // Six poles run just below the 1200 r/min the code names: the larger of both.
    const either = motor.poles === 6;
    const own = several || slow || (either && table && nameplateCurrent.value > table.value);
    if (!own) return table;
    return {
      ...nameplateCurrent,
      working: {
        ...nameplateCurrent.working,
        source: `${NEC_430_6}(1); six poles, the larger of both: ${PRACTICE}`,
        note: `The nameplate’s: the motor is built for ${several ? 'several speeds' : slow && motor.poles < 8 ? 'high torque' : 'low speed'}. ${holds}`,
      },
    };
  }

  function largestDevice(current: Value): Value | undefined {
    const { device } = job.protection;
    const percent = cellValue(
      branchDevice,
      branchDevice.row('squirrel_cage_other'),
      deviceColumns[device],
      'fraction',
      school,
      0.01,
    );
    const rating = percent && nextStandardRating(current.value * percent.value, device !== 'inverse time breaker');
    return rating === undefined
      ? undefined
      : quantity(rating, 'current', school, {
          origin: 'recalled',
          formula: 'I_{dev} \\ge k\\,I,\\ \\text{next standard size}',
          from: { k: percent, I: current },
          source: 'NEC 430.52(C)(1) and exception 1, 240.6(A)',
          note: `${device}. ${holds}`,
        });
  }

  /** A breaker for the system’s voltage that the code allows and the start does not trip. */
  function chosenBreaker(most: Value): Value<string> | undefined {
    if (!motor || job.protection.device !== 'inverse time breaker') return undefined;
    const chosen = starting.comparisons.find((each) => each.method === starting.method);
    const run = onDrive ? onDrive.item.inputCurrent : motor.current;
    const start = onDrive
      ? 0
      : Math.max(chosen?.current ?? motor.lockedRotorCurrent, starting.values.changeoverCurrent?.value ?? 0);
    const least = leastBreaker(run, start);
    const volts = supply.values.voltage?.value ?? motor.voltage;
    const part = chooseBreaker(catalogue.parts, volts, least, most.value);
    if (part)
      return wording(part.name, {
        origin: 'looked up',
        formula: 'I_{least} \\le I_{dev} \\le I_{most}',
        from: {
          'I_{least}': quantity(least, 'current', school, {
            formula: 'I_{least} = \\max(1.15\\,I_n,\\ \\kappa\\,I_s / 8)',
            from: {
              I_n: nameplateCurrent,
              '\\kappa': quantity(INRUSH, 'count', school, { source: 'IEC 60909-0 (from memory)' }),
            },
            source: `magnetic trip at 10 times its rating, less 20 %: ${PRACTICE}`,
          }),
          'I_{most}': most,
        },
        source: 'catalogue',
        note: `For ${formatQuantity(volts, 'voltage', school)}. Its breaking capacity must cover the fault level at its place.`,
      });
    if (catalogue.parts.some(({ kind }) => kind === 'breaker'))
      flag(
        'protection.no-breaker',
        `The catalogue has no breaker for ${formatQuantity(volts, 'voltage', school)} between the ${formatQuantity(least, 'current', school)} that carry the motor and its start and the ${most.text} the code allows.`,
      );
    return undefined;
  }

  /** By the rating of the device, but never larger than the wires it runs with (NEC 250.122(A)). */
  function grounding(device: Value, phase: Conductor | undefined): Value<string> | undefined {
    const row = groundingConductors.rows.find((each) => Number(each['device_rating']) >= device.value);
    const size = row?.[job.protection.conductor === 'copper' ? 'cu' : 'al'];
    if (typeof size !== 'string') return undefined;
    const capped = phase !== undefined && compareSizes(size, phase.size) > 0;
    return wording(conductorName(capped ? phase.size : size), {
      origin: 'recalled',
      formula: '\\text{by device rating}',
      from: { I: device },
      source: `${groundingConductors.source}, 250.122(A)`,
      note: capped
        ? `${conductorName(size)} by the device, but never larger than the circuit conductors.`
        : 'Never larger than the circuit conductors.',
    });
  }
}
