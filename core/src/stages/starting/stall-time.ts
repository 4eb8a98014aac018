import { stallTime } from '../../kernel/tables/index.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import type { OptionContext } from '../stage.ts';

/** A cold motor bears standing longer than a hot one by this. Common practice, no published source. */
const COLD_OVER_HOT = 1.5;

/** The least a motor must bear standing from running temperature, s (MG 1 12.49). */
const leastStall = (): number => stallTime.number(stallTime.row('locked rotor, 500 hp and less'), 'time') ?? 12;

/** How long the motor bears standing at full voltage, hot or cold as it starts. */
export function stallTimeOf({ job, given }: OptionContext): Value {
  const { stallTimeHot, stallTimeCold } = given.starting;
  const typed = job.starting.hot ? stallTimeHot : (stallTimeCold ?? stallTimeHot);
  if (typed) return typed;
  return quantity(leastStall(), 'duration', {
    origin: 'recalled',
    assumes: job.starting.hot ? 'starting.stallTimeHot' : 'starting.stallTimeCold',
    source: stallTime.source,
    note: 'The least a motor must bear from running temperature; the maker’s curve may allow more, from cold above all.',
  });
}

/** s that a motor bears standing at full voltage, from running temperature and from cold. */
export interface HotAndCold {
  readonly hot: number;
  readonly cold: number;
}

/** Hot and cold, s; where one is typed the other follows. */
export function hotAndCold({ given }: OptionContext): HotAndCold {
  const { stallTimeHot, stallTimeCold } = given.starting;
  const hot = stallTimeHot?.value ?? (stallTimeCold ? stallTimeCold.value / COLD_OVER_HOT : leastStall());
  return { hot, cold: stallTimeCold?.value ?? hot * COLD_OVER_HOT };
}
