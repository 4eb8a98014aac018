import type { Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { OptionContext, StageResult } from '../stage.ts';
import type { Value } from '../../kernel/value.ts';
import type { Control } from './flow-control.ts';
import type { CurvePoint, FlowModel } from './flow-model.ts';
import type { ProfileValues } from './values.ts';

/** One step of the profile as drawn and tabled. Powers are electrical input, W. */
export interface ProfilePoint {
  /** Where its row stands in the document. */
  readonly path: string;
  readonly flow: number;
  /** s a year; of a shift also in each month, and the mean price of its hours, per J, where the tariff goes by the clock. */
  readonly hours: number;
  readonly monthly?: readonly number[] | undefined;
  readonly price?: number | undefined;
  /** As controlled today, the mean over the hours; undefined where the control is not known. */
  readonly throttled: number | undefined;
  /** Highest input of those hours, W and VA, for the demand charge. */
  readonly throttledPeak: number | undefined;
  readonly throttledApparent: number | undefined;
  readonly speedControlled: number;
  readonly speedControlledApparent: number;
  /** Head of the system, of that at full flow; none for a machine of constant torque. */
  readonly head: number | undefined;
  /** By speed: input of the motors, W, and loss of their drives, W. */
  readonly motorInput: number;
  readonly driveLoss: number;
  /** Shaft power, W, as controlled today while it runs and with speed control, and speed as a share of full speed. */
  readonly shaftThrottled: number | undefined;
  readonly shaftControlled: number;
  readonly speed: number;
}

/** Mean electrical input over the flow with one way of control, W. */
export interface FlowCurve {
  readonly control: Control;
  readonly flows: readonly number[];
  readonly inputs: readonly number[];
}

/** Heads of machine and system over the flow, all as shares of those at full flow. */
export interface FlowPicture {
  readonly flows: readonly number[];
  readonly machine: readonly { readonly speed: number; readonly heads: readonly number[] }[];
  readonly system: readonly number[];
  /** Where the rows stand, with their hours, s. */
  readonly duty: readonly {
    readonly path: string;
    readonly flow: number;
    readonly head: number;
    readonly hours: number;
  }[];
  /** Where the machine reaches a share of its best efficiency, at any speed: parabolas, rising in flow. */
  readonly contours: readonly { readonly share: number; readonly heads: readonly number[] }[];
  /** Points of the curve as typed. */
  readonly typed: readonly CurvePoint[];
}

/** What a row takes in an option: the mean over its hours, of it at the shafts and lost in drives, W, and while it runs, W and VA. */
export interface OptionRow {
  readonly mean: number;
  readonly shaft: number;
  readonly driveLoss: number;
  readonly peak: number;
  readonly apparent: number;
}

export interface Drawing {
  readonly curves: readonly FlowCurve[];
  readonly picture?: FlowPicture | undefined;
}

export interface ProfileResult extends StageResult<ProfileValues> {
  readonly points: readonly ProfilePoint[];
  /** The rows as this option runs them; undefined where its control is not known. */
  readonly own?: readonly OptionRow[];
  /** What a screen draws of it; worked out when it is asked for, since most options of a keystroke are not looked at. */
  readonly drawn: () => Drawing;
  readonly flowVaries: boolean;
  /** What the rows were worked out with; undefined until there are rows, load and motor. */
  readonly model?: FlowModel;
  /** Shaft power at full flow. */
  readonly fullPower?: Value;
}

/** What the profile is asked with. */
export interface ProfileOn {
  /** The picked motor, or the one that stands in until one is picked. */
  readonly motor: Motor | undefined;
  readonly brief: OptionContext;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
}
