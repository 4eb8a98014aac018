import { say, textOf, series, type Text } from '../../kernel/text.ts';
import { notebook, type StageResult } from '../stage.ts';
import type { Circuit, ProtectionOn } from './protection-input.ts';
import { schemeOf, type Scheme } from './diagram/scheme.ts';
import type { Report } from './findings.ts';
import { declaration } from './declaration.ts';
import { lazy } from '../../kernel/memoize.ts';
import type { ConductorRun } from './conductor-run.ts';
import { faultAtBus } from '../supply/short-circuit.ts';
import { checkFault, prospectiveShortCircuitCurrent } from './fault.ts';
import { feederOf } from './feeder.ts';
import { firstHalfCyclePeak, iecCircuit } from './iec/iec-circuit.ts';
import { necCircuit } from './nec/nec-circuit.ts';
import { checkRelay, checkUnusedDial, dialOf, driveOverload, overloadByIec, overloadByNec } from './overload.ts';
import { starterOf } from './starter.ts';
import type { StarterValues } from './starter-values.ts';
import type { ProtectionValues } from './values.ts';
import { checkWire } from './conductor-i2t.ts';
import type { CircuitDesign } from './circuit-design.ts';

export interface ProtectionResult extends StageResult<ProtectionValues> {
  /** What the starter is built of and must carry; empty on a drive. */
  readonly starter: StarterValues;
  /** The same circuit by the other school’s rules; worked out when it is asked for. */
  readonly other: () => ProtectionValues;
  /** The short-circuit device over time and current; undefined where there is none to draw. */
  readonly drawn: () => DevicePicture | undefined;
  /** Its wires with what asks for their sizes; empty where none are sized. */
  readonly runs: readonly ConductorRun[];
  /** What its diagrams are drawn from; undefined while no way to start is known. */
  readonly scheme: () => Scheme<Text> | undefined;
}

/** A and s: what a short-circuit device carries and what opens it, beside the first half-wave of the motor. */
export interface DevicePicture extends NonNullable<CircuitDesign['device']> {
  readonly firstHalfCyclePeak: number | undefined;
  readonly conductorI2t: number | undefined;
}

const NOTHING: ProtectionValues = {};

/** Overload, wires, short-circuit device and earth of the motor’s circuit, by the rules of the job’s school. */
export function protection(on: ProtectionOn): ProtectionResult {
  const { brief, nameplate, pick, starting } = on;
  const { findings, missing, report, require, suggest } = notebook(declaration);
  const { school, situation } = brief.job;
  const motor = pick.motor ?? nameplate.motor;
  const nameplateCurrent = pick.values.motorCurrent ?? nameplate.values.ratedCurrent;
  if (!motor || !nameplateCurrent) {
    // A new machine has no plate yet: what the pick lacks is asked for where it is lacking.
    if (situation.kind !== 'new') require('nameplate.currents', 'Nameplate current, for the overload setting');
    return {
      values: NOTHING,
      findings,
      missing,
      summary: '',
      starter: {},
      other: () => NOTHING,
      drawn: () => undefined,
      scheme: () => undefined,
      runs: [],
    };
  }
  // Until a drive is there the motor is protected as on the line.
  const onDrive = starting.method === 'drive' && (pick.chosenDrive !== undefined || pick.keepsFeed);
  const circuit: Circuit = { ...on, motor, nameplateCurrent, onDrive, holds: `Holds for ${motor.label}.` };
  if (school === 'IEC') {
    report('protection.iec', 'Coordination of device, contactor and relay holds only as tested by the manufacturer.');
    if (!brief.given.supply.feederLength)
      suggest('supply.feederLength', 'Cable length, for voltage drop and disconnection time');
  }
  const worked = workedBy(circuit, report);
  const { values, device, conductorI2t } = worked;
  const summary = summaryOf(values, school === 'IEC' ? values.overloadCurrent : undefined);
  const other = lazy(() => {
    const swapped: Circuit = {
      ...circuit,
      compares: true,
      brief: { ...brief, job: { ...brief.job, school: school === 'IEC' ? 'NEMA' : 'IEC' } },
    };
    // What would be found is told once the job is of that school.
    return workedBy(swapped, () => undefined).values;
  });
  const starter = starterOf(circuit, worked, report);
  const drawn = (): DevicePicture | undefined =>
    device && {
      ...device,
      conductorI2t,
      firstHalfCyclePeak: circuit.onDrive ? undefined : firstHalfCyclePeak(circuit),
    };
  const scheme = (): Scheme<Text> | undefined => schemeOf(circuit, worked, starter);
  return { values, findings, missing, summary, starter, other, drawn, scheme, runs: worked.runs };
}

function workedBy(circuit: Circuit, report: Report): CircuitDesign & { readonly values: ProtectionValues } {
  const iec = circuit.brief.job.school === 'IEC';
  const dial = circuit.onDrive ? undefined : dialOf(circuit, report);
  if (dial) checkRelay(dial, circuit, report);
  else checkUnusedDial(circuit, report);
  const overloadCurrent = iec ? overloadByIec(circuit) : overloadByNec(circuit);
  const own = iec ? iecCircuit(circuit, report) : necCircuit(circuit, report);
  const fault = faultAtBus(circuit.supply);
  const behind = prospectiveShortCircuitCurrent(circuit, own.impedance);
  const values = {
    ...(dial ? { overloadDial: dial } : {}),
    ...(circuit.onDrive ? { driveOverloadCurrent: driveOverload(circuit) } : {}),
    ...(overloadCurrent ? { overloadCurrent, overloadCeiling: overloadCurrent } : {}),
    ...own.values,
    ...feederOf(circuit, own.values.wireCurrent, own.rating),
    ...(fault ? { faultCurrent: fault } : {}),
    ...(behind ? { [circuit.onDrive ? 'faultAtDrive' : 'faultAtMotor']: behind } : {}),
  };
  checkFault({ atBus: fault, behind }, circuit, report);
  checkWire(own, circuit, { dial: dial?.value, fault: fault?.value }, report);
  return { ...own, values };
}

function summaryOf(
  { branchDeviceMax, branchDevice, conductorSize, overloadDial, driveOverloadCurrent }: ProtectionValues,
  byIec: ProtectionValues['overloadCurrent'],
): Text {
  const parts = [
    branchDeviceMax ? say`${branchDeviceMax} device` : textOf(branchDevice),
    branchDeviceMax ? undefined : textOf(conductorSize),
    overloadDial && say`Relay ${overloadDial}`,
    driveOverloadCurrent && say`Overload ${driveOverloadCurrent}`,
    !overloadDial && !driveOverloadCurrent && byIec && say`Overload ${byIec}`,
  ];
  return series(parts, ' · ');
}
