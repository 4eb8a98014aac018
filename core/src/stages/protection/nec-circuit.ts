import { quantity, type Value } from '../../ground/value.ts';
import type { Circuit } from './asked-of-protection.ts';
import type { Flag } from './findings.ts';
import { smallestConductor, type Conductor } from './nec-conductor.ts';
import { currentByCode, tableFullLoadCurrent } from './nec-current.ts';
import { chosenBreaker, grounding, largestDevice } from './nec-device.ts';
import type { ProtectionValues } from './values.ts';

/** Conductors carry a quarter more than the motor (NEC 430.22). */
const CONTINUOUS = 1.25;

/** Conductors and short-circuit device by NEC Article 430. */
export function necCircuit(circuit: Circuit, flag: Flag): Partial<ProtectionValues> {
  const { brief, motor, onDrive, holds } = circuit;
  const table = tableFullLoadCurrent(motor.power, motor.voltage);
  const codeCurrent = currentByCode(table, circuit);
  if (!codeCurrent) {
    flag(
      'protection.no-table-current',
      `Table 430.250 has no current for ${motor.voltage.toFixed(0)} V and this size; conductors and short-circuit device are not sized.`,
    );
    return driveSide(circuit).values;
  }
  const least = quantity(CONTINUOUS * codeCurrent.value, 'current', brief.job.school, {
    formula: 'I_z = 1.25\\,I',
    from: { I: codeCurrent },
    source: `NEC 430.22${onDrive ? ', 430.122(B)' : ''}`,
    note: holds,
  });
  const conductor = smallestConductor(brief, least, motor.designLetter);
  const device = largestDevice(codeCurrent, circuit);
  const breaker = device && chosenBreaker(device, circuit, flag);
  const groundingConductor = device && grounding(device, conductor, circuit);
  const drive = driveSide(circuit);
  checkConductors(least, conductor, drive, circuit, flag);
  return {
    ...(table ? { tableCurrent: table } : {}),
    codeCurrent,
    conductorMinAmpacity: least,
    ...(conductor ? { conductorSize: conductor.name, conductorCarries: conductor.carries } : {}),
    ...(device ? { branchDeviceMax: device } : {}),
    ...(breaker ? { branchDevice: breaker } : {}),
    ...(groundingConductor ? { groundingConductor } : {}),
    ...drive.values,
  };
}

interface DriveSide {
  readonly least: Value | undefined;
  readonly conductor: Conductor | undefined;
  readonly values: Partial<ProtectionValues>;
}

/** What feeds the drive: a quarter more than its rated input (NEC 430.122(A)). */
function driveSide({ brief, pick }: Circuit): DriveSide {
  if (!pick.chosenDrive) return { least: undefined, conductor: undefined, values: {} };
  const { school } = brief.job;
  const input = quantity(pick.chosenDrive.item.inputCurrent, 'current', school, {
    origin: 'looked up',
    source: 'catalogue',
  });
  const least = quantity(CONTINUOUS * input.value, 'current', school, {
    formula: 'I_z = 1.25\\,I_{in}',
    from: { 'I_{in}': input },
    source: 'NEC 430.122(A) (recalled from memory)',
  });
  const conductor = smallestConductor(brief, least, undefined);
  const values = { driveInputAmpacity: least, ...(conductor ? { driveInputConductor: conductor.name } : {}) };
  return { least, conductor, values };
}

/** What the wires hold for, and where none is large enough. */
function checkConductors(
  least: Value,
  conductor: Conductor | undefined,
  drive: DriveSide,
  { brief }: Circuit,
  flag: Flag,
): void {
  const short = conductor ? drive.least && !drive.conductor && drive.least : least;
  if (short) flag('protection.no-conductor', `No single conductor of the table carries ${short.text} here.`);
  if (!conductor) return;
  const { place, protection } = brief.given;
  flag(
    'protection.conductor-basis',
    `The conductor holds for ${(protection.ambient ?? place.ambient)?.text ?? '30 °C, the usual ambient'} and ${protection.conductors?.text ?? 'three'} current-carrying conductors together; ${conductor.carries.working.note ?? ''}`,
  );
}
