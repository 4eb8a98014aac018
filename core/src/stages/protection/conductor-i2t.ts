import { amount, figures, say, type Text } from '../../kernel/text.ts';
import { regulaFalsi } from '../../kernel/numeric.ts';
import { classTimes } from '../starting/trip-class.ts';
import { tripTime } from '../starting/trip-curve.ts';
import { ADIABATIC } from './adiabatic.ts';
import { ownStart, type Circuit } from './protection-input.ts';
import type { Report } from './findings.ts';
import type { Gate } from './iec/device.ts';
import type { CircuitDesign } from './circuit-design.ts';

/** Amperes between which neither relay nor short-circuit device opens before the wire is damaged. */
export interface Gap {
  readonly from: number;
  readonly to: number;
}

/**
 * Where the slow edge of the relay comes after the wire’s damage and no device opens in time either. `relay` says s at a
 * current, `heat` is what the wire bears, A²s. A relay’s time falls faster than the damage: late at first, never late again.
 */
export function gapOf(
  relay: (amperes: number) => number,
  heat: number,
  operatingCurrent: readonly Gate[],
): Gap | undefined {
  const late = (amperes: number): number => Math.log(relay(amperes) * amperes ** 2) - Math.log(heat);
  const from = Math.sqrt(heat / ADIABATIC);
  const surely = opensInTime(operatingCurrent, heat);
  if (late(from) <= 0 || surely <= from) return undefined;
  const to = late(surely) > 0 ? surely : regulaFalsi(late, { low: from, high: surely }, { rounds: 60 });
  return { from, to };
}

/** A; more than any short circuit. */
const BEYOND = 1e6;

/** Least current at which a device that surely opens along these points does so before a wire is damaged, A. */
function opensInTime(operatingCurrent: readonly Gate[], heat: number): number {
  const inHand = ([current, time]: Gate): number => Math.log(heat) - Math.log(current ** 2 * time);
  const first = operatingCurrent[0];
  if (!first) return BEYOND;
  // A magnetic trip opens at once from its current on.
  if (inHand(first) >= 0 || operatingCurrent.every(([current]) => current === first[0])) return first[0];
  const at = operatingCurrent.findIndex((gate) => inHand(gate) >= 0);
  const [slow, fast] = [operatingCurrent[at - 1], operatingCurrent[at]];
  if (!slow || !fast) return BEYOND;
  const share = inHand(slow) / (inHand(slow) - inHand(fast));
  return slow[0] ** (1 - share) * fast[0] ** share;
}

/** Currents that neither relay nor device cuts off before the wire behind them is damaged, as far as they can flow. */
export function checkWire(
  { device, conductorI2t }: CircuitDesign,
  circuit: Circuit,
  { dial, fault }: { readonly dial: number | undefined; readonly fault: number | undefined },
  report: Report,
): void {
  const start = ownStart(circuit);
  if (!device || conductorI2t === undefined || dial === undefined || !start) return;
  const { slowest } = classTimes(start.relayClass);
  const gap = gapOf((amperes) => tripTime(slowest, amperes / dial), conductorI2t, device.operatingCurrent);
  if (!gap || (fault !== undefined && gap.from >= fault)) return;
  const shown = (amperes: number): Text => amount(amperes, 'current');
  const to = Math.min(gap.to, fault ?? gap.to);
  report(
    'protection.wire-gap',
    say`From ${shown(gap.from)}${to < BEYOND ? say` to ${shown(to)}` : ' on'} the conductor is damaged before the class ${start.relayClass} relay or the ${device.name} operates, within ${figures(conductorI2t / gap.from ** 2, 2)} s.`,
  );
}
