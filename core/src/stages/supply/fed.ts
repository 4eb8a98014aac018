import type { Value } from '../../kernel/value.ts';
import type { Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { StageContext } from '../stage.ts';
import type { Source } from './source.ts';

/** What stands on the supply. */
export interface Fed {
  readonly brief: StageContext;
  readonly nameplate: NameplateResult;
  readonly load: LoadResult;
  readonly voltage: Value | undefined;
  readonly frequency: Value | undefined;
  /** What motors on this system are made for. */
  readonly motorVoltage: Value | undefined;
  /** The motor that runs before one is picked. */
  readonly motor: Motor | undefined;
  readonly source: Source | undefined;
}
