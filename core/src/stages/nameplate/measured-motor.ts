import type { Text } from '../../kernel/text.ts';
import type { School } from '../../kernel/quantity/units.ts';
import type { Brief } from '../stage.ts';

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
  readonly family: School;
}

/** What was measured of a motor without a plate. */
export interface MeasuredMotor {
  readonly measured: Brief['given']['nameplate'];
  readonly school: School;
  readonly clues: Clue[];
  readonly frequency: number;
  readonly frames: readonly FoundFrame[];
  readonly poles: number | undefined;
  readonly voltage: number | undefined;
}
