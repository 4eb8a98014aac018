import type { StageResult } from '../stage.ts';
import type { Duty } from './duty.ts';
import type { SizeChoice } from './size-comparison.ts';
import type { TorqueCurve } from './torque-curve.ts';
import type { Shaft } from './transmission.ts';
import type { LoadValues } from './values.ts';

export interface LoadResult extends StageResult<LoadValues> {
  readonly shafts: readonly Shaft[];
  /** Torque against speed at the motor shaft. */
  readonly curve: TorqueCurve | undefined;
  readonly duty: Duty | undefined;
  readonly sizes: readonly SizeChoice[];
}
