import { amount, say, textOf, type Text } from '../../kernel/text.ts';
import {
  coordinations,
  type Coordination,
  type CoordinatedCombination,
} from '../../catalogue/coordinated-combination.ts';
import { PRACTICE, textValue, type Value } from '../../kernel/value.ts';
import type { Circuit } from './protection-input.ts';
import { withstands, kiloAmperes } from '../supply/short-circuit.ts';
import type { Report } from './findings.ts';
import type { ProtectionValues } from './values.ts';

/** By what a welded contactor would cost: common practice, the words of IEC 60947-4-1. */
const wanted = {
  parts: ['type 1', 'After a short circuit parts are changed before it runs again.'],
  process: ['type 2', 'After a short circuit it runs on; contacts may be parted by hand.'],
  safety: ['continuity of service', 'Only a short circuit may trip it. Fire and safety codes decide: defer to them.'],
} as const satisfies Readonly<Record<string, readonly [Coordination, string]>>;

/** Coordination by its consequence: proposed, unless the catalogue has the parts as tested together for what may flow here. */
export function coordinationOf(
  circuit: Circuit,
  { branchDevice, faultCurrent }: Partial<ProtectionValues>,
  report: Report,
): Value<Text> {
  const { brief, supply, pick } = circuit;
  const [type, says] = wanted[brief.job.protection.consequence];
  const [device, fault] = [textOf(branchDevice), faultCurrent?.value];
  const pair = testedFor(circuit, device, type, fault);
  const relay = pick.starter?.parts.some(({ part }) => part.kind === 'overload relay') ? ' and relay' : '';
  const there = fault === undefined ? '' : ' at the short-circuit current of its place';
  if (!pair && type !== 'type 1')
    report(
      'protection.pair-untested',
      say`${type.charAt(0).toUpperCase()}${type.slice(1)} is wanted; no table of the catalogue has ${device ?? 'a device'} with this contactor${relay} as tested so${fault === undefined ? '' : say` for ${kiloAmperes(fault)}`}.`,
    );
  const volts = textOf(supply.values.voltage) ?? '';
  const proof = pair
    ? say`Tested together by their maker: ${pair.coordination}, ${kiloAmperes(pair.current)} at ${amount(pair.voltage, 'voltage')}, here ${volts}.`
    : `Proposed: it counts only as the maker tested device, contactor and relay together${there}.`;
  return textValue(type, {
    origin: pair ? 'looked up' : 'chosen',
    source: pair ? 'catalogue' : `IEC 60947-4-1; by its consequence: ${PRACTICE}`,
    note: say`${says} ${proof}`,
  });
}

/** The pair of the catalogue that holds the picked parts, at least so well coordinated, for the current and voltage here. */
function testedFor(
  { catalogue, pick, supply, motor }: Circuit,
  breaker: Text | undefined,
  type: Coordination,
  fault: number | undefined,
): CoordinatedCombination | undefined {
  const device = typeof breaker === 'string' ? breaker.toLowerCase() : undefined;
  const parts = (pick.starter?.parts ?? []).map(({ part }) => part);
  const idsOf = (kind: string): string[] => parts.filter((part) => part.kind === kind).map(({ id }) => id);
  const [contactors, relays] = [idsOf('contactor'), idsOf('overload relay')];
  const volts = supply.values.voltage?.value ?? motor.voltage;
  const rank = (each: Coordination): number => coordinations.indexOf(each);
  return catalogue.pairs.find(
    (pair) =>
      pair.device.toLowerCase() === device &&
      contactors.length > 0 &&
      contactors.every((id) => id === pair.contactor) &&
      relays.every((id) => id === pair.relay) &&
      rank(pair.coordination) >= rank(type) &&
      pair.voltage >= volts * 0.999 &&
      (fault === undefined || withstands(pair.current, fault)),
  );
}
