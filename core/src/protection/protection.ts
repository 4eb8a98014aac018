import type { Catalogue } from '../catalogue.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { PickResult } from '../pick/pick.ts';
import { horsepowerOf } from '../motor/standard-power.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import {
  ampacity,
  branchDevice,
  groundingConductors,
  motorCurrent,
  overload,
  standardRatings,
} from '../tables/index.ts';
import { cellValue } from '../tables/table.ts';
import { PRACTICE, quantity, wording, type Value } from '../value.ts';

export interface ProtectionValues {
  /** Largest overload setting, from the nameplate current. */
  readonly overloadCurrent?: Value;
  /** What the drive’s own motor protection is set to. */
  readonly driveOverloadCurrent?: Value;
  /** Table full-load current, which sizes conductors and short-circuit devices. */
  readonly tableCurrent?: Value;
  readonly conductorMinAmpacity?: Value;
  readonly conductorSize?: Value<string>;
  readonly branchDeviceMax?: Value;
  /** The largest breaker of the catalogue that is allowed. */
  readonly branchDevice?: Value<string>;
  readonly groundingConductor?: Value<string>;
  readonly driveInputAmpacity?: Value;
}

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

/** Overload from the nameplate, conductors and short-circuit device from the table: NEC Article 430. */
export function protection(
  { job }: Brief,
  catalogue: Catalogue,
  nameplate: NameplateResult,
  pick: PickResult,
): ProtectionResult {
  const { findings, missing, flag, need } = notebook('protection');
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
  const driveOverloadCurrent =
    onDrive &&
    quantity(nameplateCurrent.value, 'current', school, {
      formula: 'I_{set} = I_n',
      from: { I_n: nameplateCurrent },
      source: PRACTICE,
      note: `On a drive the service factor is spent by the extra heat. ${holds}`,
    });

  if (school === 'IEC') {
    flag({
      code: 'protection.iec',
      severity: 'note',
      message:
        'Only the overload setting is given here. Cable and short-circuit device follow IEC 60364 and the maker’s coordination tables.',
      basis: 'IEC 60947-4-1, IEC 60364-5-52',
      clear: 'Have cable and device sized by a licensed person.',
    });
    const overloadCurrent = quantity(nameplateCurrent.value, 'current', school, {
      formula: 'I_{set} = I_n',
      from: { I_n: nameplateCurrent },
      source: 'IEC 60947-4-1 (recalled from memory)',
      note: holds,
    });
    return {
      values: { overloadCurrent, ...(driveOverloadCurrent ? { driveOverloadCurrent } : {}) },
      findings,
      missing,
      summary: `Overload ${overloadCurrent.text}`,
    };
  }

  const serviceFactor = quantity(motor.serviceFactor, 'count', school, { origin: 'given', source: 'plate' });
  const percent = cellValue(
    overload,
    overload.row('(A)(1)', motor.serviceFactor >= 1.15 ? 'sf_1_15_or_more' : 'all_other'),
    'max_percent',
    'fraction',
    school,
    0.01,
  );
  const overloadCurrent =
    percent &&
    quantity(nameplateCurrent.value * percent.value, 'current', school, {
      formula: 'I_{OL} = k\\,I_n',
      from: { k: percent, I_n: nameplateCurrent, SF: serviceFactor },
      source: 'NEC 430.32(A)(1), nameplate current by 430.6(A)(2)',
      note: holds,
    });

  const table = tableFullLoadCurrent(motor.power, motor.voltage);
  if (!table) {
    flag({
      code: 'protection.no-table-current',
      severity: 'caution',
      message: `Table 430.250 has no current for ${motor.voltage.toFixed(0)} V and this size; conductors and short-circuit device are not sized.`,
      basis: motorCurrent.source,
      clear: 'Check the voltage, or have the circuit sized by a licensed person.',
      field: 'supply.voltage',
    });
  }
  const conductorMinAmpacity =
    table &&
    quantity(1.25 * table.value, 'current', school, {
      formula: 'I_z = 1.25\\,I_{table}',
      from: { 'I_{table}': table },
      source: `NEC 430.22, table current by ${NEC_430_6}(1)`,
      note: holds,
    });
  const conductorSize = conductorMinAmpacity && smallestConductor(conductorMinAmpacity, job.protection.conductor);
  const devicePercent = cellValue(
    branchDevice,
    branchDevice.row('squirrel_cage_other'),
    deviceColumns[job.protection.device],
    'fraction',
    school,
    0.01,
  );
  const rating =
    table &&
    devicePercent &&
    nextStandardRating(table.value * devicePercent.value, job.protection.device !== 'inverse time breaker');
  const branchDeviceMax =
    rating === undefined || !table
      ? undefined
      : quantity(rating, 'current', school, {
          origin: 'recalled',
          formula: 'I_{dev} \\ge k\\,I_{table},\\ \\text{next standard size}',
          from: { k: devicePercent, 'I_{table}': table },
          source: 'NEC 430.52(C)(1) and exception 1, 240.6(A)',
          note: `${job.protection.device}. ${holds}`,
        });
  const breaker =
    branchDeviceMax && job.protection.device === 'inverse time breaker'
      ? catalogue.parts
          .filter((part) => part.kind === 'breaker' && part.currentMax <= branchDeviceMax.value)
          .toSorted((a, b) => b.currentMax - a.currentMax)[0]
      : undefined;
  const groundRow =
    branchDeviceMax && groundingConductors.rows.find((row) => Number(row['device_rating']) >= branchDeviceMax.value);
  const groundSize = groundRow?.[job.protection.conductor === 'copper' ? 'cu' : 'al'];
  const groundingConductor =
    typeof groundSize === 'string' && branchDeviceMax
      ? wording(conductorName(groundSize), {
          origin: 'recalled',
          formula: '\\text{by device rating}',
          from: { I: branchDeviceMax },
          source: groundingConductors.source,
          note: 'Need never be larger than the circuit conductors.',
        })
      : undefined;
  const driveInputAmpacity =
    onDrive &&
    quantity(1.25 * onDrive.item.inputCurrent, 'current', school, {
      formula: 'I_z = 1.25\\,I_{in}',
      from: {
        'I_{in}': quantity(onDrive.item.inputCurrent, 'current', school, { origin: 'looked up', source: 'catalogue' }),
      },
      source: 'NEC 430.122(A) (recalled from memory)',
    });
  if (conductorSize) {
    flag({
      code: 'protection.ambient-not-counted',
      severity: 'note',
      message: 'The conductor size holds for 30 °C, three conductors in a raceway and 75 °C terminals.',
      basis: 'NEC Table 310.16, 110.14(C) (recalled from memory)',
      clear: 'Correct it for ambient, bundling and terminals by the code in force.',
    });
  }

  const values: ProtectionValues = {
    ...(overloadCurrent ? { overloadCurrent } : {}),
    ...(driveOverloadCurrent ? { driveOverloadCurrent } : {}),
    ...(table ? { tableCurrent: table } : {}),
    ...(conductorMinAmpacity ? { conductorMinAmpacity } : {}),
    ...(conductorSize ? { conductorSize } : {}),
    ...(branchDeviceMax ? { branchDeviceMax } : {}),
    ...(breaker
      ? {
          branchDevice: wording(breaker.name, {
            origin: 'looked up',
            source: 'catalogue',
            note: 'Its breaking capacity must cover the fault level at its place.',
          }),
        }
      : {}),
    ...(groundingConductor ? { groundingConductor } : {}),
    ...(driveInputAmpacity ? { driveInputAmpacity } : {}),
  };
  const summary = [
    branchDeviceMax && `${branchDeviceMax.text} device`,
    overloadCurrent && `overload ${overloadCurrent.text}`,
  ]
    .filter(Boolean)
    .join(' · ');
  return { values, findings, missing, summary };
}

/** A wire size as it is spoken: AWG below 250, kcmil from there. */
const conductorName = (size: string): string => (Number(size) >= 250 ? `${size} kcmil` : `${size} AWG`);

function smallestConductor(needed: Value, material: 'copper' | 'aluminium'): Value<string> | undefined {
  const column = material === 'copper' ? 'cu_75' : 'al_75';
  const row = ampacity.rows.find((each) => (ampacity.number(each, column) ?? 0) >= needed.value);
  const cell = row && cellValue(ampacity, row, column, 'current', 'NEMA');
  if (!row || !cell) return undefined;
  return wording(`${conductorName(String(row['size']))} ${material}`, {
    origin: 'recalled',
    formula: 'I_{75} \\ge I_z',
    from: { 'I_{75}': cell, I_z: needed },
    source: ampacity.source,
    note: cell.working.note,
  });
}
