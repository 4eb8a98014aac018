import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { Value } from '../../kernel/value.ts';
import type { Inputs } from '../../job/inputs.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { StageContext } from '../stage.ts';
import type { Duty } from './duty.ts';
import type { Report } from './findings.ts';
import type { Transmission } from './transmission.ts';

/** Asks for a field, saying what it is needed for. */
export type Ask = (field: string, message: string) => void;

/** What is known of the load so far, in the order it is found. */
export interface LoadKnown {
  readonly ratio: Value | undefined;
  readonly school: StandardsSystem;
  readonly efficiency: Value;
  readonly job: StageContext['job'];
  readonly transmission: Transmission;
  readonly typed: Inputs['given']['load'];
  readonly ask: Ask;
  readonly curve: readonly { readonly speed: Value; readonly torque: Value }[];
  readonly duty: Duty | undefined;
  readonly nameplate: NameplateResult;
  readonly require: Ask;
  readonly drivenSpeed: Value | undefined;
  readonly motorSpeed: Value | undefined;
  readonly practice: StageContext['practice'];
  readonly report: Report;
  readonly wanted: Value | undefined;
  readonly motorTorque: Value | undefined;
  readonly motorPower: Value | undefined;
  readonly peakTorque: Value | undefined;
  readonly poles: Value | undefined;
  readonly voltage: number;
  readonly breakaway: Value;
}
