import type { Text } from '../../kernel/text.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { StageContext } from '../stage.ts';

/** One way of guessing the power of a motor without a plate. */
export interface Clue {
  readonly from: string;
  /** What it tells of. */
  readonly of: 'frame' | 'poles' | 'power';
  readonly says: Text;
  readonly confidence: 'good' | 'fair' | 'poor';
}

export interface FoundFrame {
  readonly name: string;
  readonly number: string;
  readonly family: StandardsSystem;
}

/** What was measured of a motor without a plate. */
export interface MeasuredMotor {
  readonly measured: StageContext['given']['nameplate'];
  readonly school: StandardsSystem;
  readonly clues: Clue[];
  readonly frequency: number;
  readonly frames: readonly FoundFrame[];
  readonly poles: number | undefined;
  readonly voltage: number | undefined;
}
