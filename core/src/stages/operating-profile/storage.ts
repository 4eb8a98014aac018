import { HOUR } from '../../kernel/constants.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import type { OptionContext } from '../stage.ts';

/**
 * Starts an hour of a machine that runs on and off into a storage, at most: at half its flow, Q/(4V). Undefined where this option is
 * not controlled so, or where flow or volume are not known.
 */
export function cyclesOf({ job, given }: OptionContext): Value | undefined {
  const { control, ownControl } = job.profile;
  const { storage, fullFlow = given.load.flow } = given.profile;
  const own = ownControl === 'auto' ? control : ownControl;
  if (own !== 'on/off' || job.starting.method === 'drive' || !storage || !fullFlow) return undefined;
  return quantity((HOUR * fullFlow.value) / (4 * storage.value), 'count', {
    formula: 'z = \\dfrac{Q}{4\\,V}',
    from: { Q: fullFlow, V: storage },
    source: 'Filling and emptying at half the flow, where both last longest together',
    note: 'At any other flow it starts less often.',
  });
}
