import { notebook, type StageResult } from '../stage.ts';
import type { Circuit, ProtectionOn } from './asked-of-protection.ts';
import { findings as declared } from './findings.ts';
import { necCircuit } from './nec-circuit.ts';
import { checkRelay, dialOf, driveOverload, overloadByIec, overloadByNec } from './overload.ts';
import type { ProtectionValues } from './values.ts';

export type ProtectionResult = StageResult<ProtectionValues>;

/** Overload from the nameplate; under the NEC conductors and short-circuit device as well. */
export function protection(on: ProtectionOn): ProtectionResult {
  const { brief, nameplate, pick, starting } = on;
  const { findings, missing, flag, need } = notebook('protection', declared);
  const { school, situation } = brief.job;
  const motor = pick.motor ?? nameplate.motor;
  const nameplateCurrent = pick.values.motorCurrent ?? nameplate.values.ratedCurrent;
  if (!motor || !nameplateCurrent) {
    // A new machine has no plate yet: what the pick lacks is asked for where it is lacking.
    if (situation.kind !== 'new') need('nameplate.currents', 'Nameplate current, for the overload setting');
    return { values: {}, findings, missing, summary: '' };
  }
  // Until a drive is there the motor is protected as on the line.
  const onDrive = starting.method === 'drive' && (pick.chosenDrive !== undefined || pick.keepsFeed);
  const circuit: Circuit = { ...on, motor, nameplateCurrent, onDrive, holds: `Holds for ${motor.label}.` };
  const dial = onDrive ? undefined : dialOf(circuit);
  if (dial) checkRelay(dial, circuit, flag);
  const settings = {
    ...(dial ? { overloadDial: dial } : {}),
    ...(onDrive ? { driveOverloadCurrent: driveOverload(circuit) } : {}),
  };
  if (school === 'IEC') {
    flag(
      'protection.iec',
      'Only the overload setting is given here. Cable and short-circuit device follow IEC 60364 and the maker’s coordination tables.',
    );
    const overloadCurrent = overloadByIec(circuit);
    return {
      values: { ...settings, overloadCurrent },
      findings,
      missing,
      summary: summaryOf(settings, overloadCurrent),
    };
  }
  const overloadCurrent = overloadByNec(circuit);
  const values = { ...settings, ...(overloadCurrent ? { overloadCurrent } : {}), ...necCircuit(circuit, flag) };
  return { values, findings, missing, summary: summaryOf(values, undefined) };
}

function summaryOf(
  { branchDeviceMax, overloadDial, driveOverloadCurrent }: ProtectionValues,
  byIec: ProtectionValues['overloadCurrent'],
): string {
  const parts = [
    branchDeviceMax && `${branchDeviceMax.text} device`,
    overloadDial && `relay at ${overloadDial.text}`,
    driveOverloadCurrent && `overload ${driveOverloadCurrent.text}`,
    !overloadDial && !driveOverloadCurrent && byIec && `overload ${byIec.text}`,
  ];
  const text = parts.filter(Boolean).join(' · ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
