import { say, type Text } from '../../kernel/text.ts';
import { sizeText } from '../../motor/standard-power.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';
import { serviceFactors } from './transmission.ts';
import type { LoadKnown } from './load-known.ts';

export function ratingFor(driven: Value, { job }: Pick<LoadKnown, 'job' | 'school'>): Value {
  const factor = quantity(serviceFactors[job.load.shock], 'count', {
    origin: 'estimated',
    evidence: 'declared',
    source: PRACTICE,
    note: `Service factor for ${job.load.shock} running.`,
  });
  return quantity(driven.value * factor.value, 'torque', {
    origin: 'estimated',
    formula: 'T_{rated} \\ge k\\,T',
    from: { k: factor, T: driven },
    source: 'service factor of transmissions: ' + PRACTICE,
  });
}

export function bearingFor(
  kind: string,
  size: Value,
  { practice }: Pick<LoadKnown, 'practice' | 'school'>,
): Value<Text> {
  const roller = size.value >= practice.rollerBearingPower.value;
  return textValue(roller ? 'roller bearing' : 'ball bearing', {
    origin: 'chosen',
    source: PRACTICE,
    note: say`${kind} on ${sizeText(size.value)}; from ${practice.rollerBearingPower} a roller bearing takes the side pull. A roller bearing needs that pull: never with a coupling.`,
  });
}
