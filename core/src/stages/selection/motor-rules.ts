import { say, type Text } from '../../kernel/text.ts';
import type { MotorItem } from '../../catalogue/catalogue.ts';
import { decodeFrame, sameFeet, shortShaft, type Frame, type FrameSize } from '../nameplate/frame.ts';
import { sameRating, sizeText } from '../../motor/standard-power.ts';
import { enclosureTexts, type EnclosureCode } from '../environment/environment.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';

export interface MotorNeed {
  readonly school: StandardsSystem;
  readonly power: number;
  readonly poles: number;
  readonly frequency: number;
  readonly motorVoltage: number;
  readonly systemVoltage: number;
  readonly enclosures: readonly EnclosureCode[];
  /** The old motor’s frame where the new one must stand in its place. */
  readonly frame: FrameSize | undefined;
  readonly inverterDuty: boolean;
  /** A belt or chain hangs on its shaft. */
  readonly belted: boolean;
  /** Least service factor, where thin air spends it. */
  readonly serviceFactor: number;
}

export type MotorRule =
  'frequency' | 'power' | 'poles' | 'voltage' | 'enclosure' | 'frame' | 'shaft' | 'inverter duty' | 'service factor';

export interface Refusal {
  readonly rule: MotorRule;
  readonly reason: Text;
}

/** The winding to connect, by index into `voltages`: within 5 % of the utilization or system voltage. */
export function connectableVoltage(
  item: MotorItem,
  requirement: Pick<MotorNeed, 'motorVoltage' | 'systemVoltage'>,
): number {
  const near = (target: number) => item.voltages.findIndex((voltage) => Math.abs(voltage / target - 1) < 0.05);
  const exact = near(requirement.motorVoltage);
  return exact >= 0 ? exact : near(requirement.systemVoltage);
}

const frames = new Map<string, Frame | undefined>();
function frameOf(item: MotorItem): Frame | undefined {
  const key = `${item.school}|${item.frame}`;
  if (!frames.has(key)) frames.set(key, decodeFrame(item.frame, item.school));
  return frames.get(key);
}

type Check = (item: MotorItem, requirement: MotorNeed) => string | undefined;

/** Why a whole shelf of motors is no near miss, whatever else they break; undefined for the right frequency and size. */
export function farOff(
  item: Pick<MotorItem, 'school' | 'frequency' | 'power'>,
  requirement: Pick<MotorNeed, 'school' | 'frequency' | 'power'>,
): Refusal | undefined {
  if (item.school !== requirement.school || Math.abs(item.frequency / requirement.frequency - 1) > 0.05)
    return { rule: 'frequency', reason: `made for ${item.frequency} Hz, ${item.school}` };
  if (!sameRating(item.power, requirement.power))
    return { rule: 'power', reason: say`${sizeText(item.power)} is another size` };
  return undefined;
}

/** The other hard rules in the order the trade checks them; each gives a reason where it refuses. */
const rules: readonly (readonly [MotorRule, Check])[] = [
  [
    'poles',
    (item, requirement) =>
      item.poles === requirement.poles ? undefined : `${item.poles} poles, not ${requirement.poles}`,
  ],
  [
    'voltage',
    (item, requirement) =>
      connectableVoltage(item, requirement) >= 0
        ? undefined
        : `${item.voltages.join('/')} V does not suit ${requirement.systemVoltage} V`,
  ],
  [
    'enclosure',
    (item, requirement) =>
      requirement.enclosures.includes(item.enclosure)
        ? undefined
        : `${enclosureTexts[item.enclosure]} may not stand here`,
  ],
  ['frame', (item, requirement) => (requirement.frame ? frameMisfit(item, requirement.frame) : undefined)],
  ['shaft', (item, requirement) => (requirement.belted ? shaftMisfit(frameOf(item), item.frame) : undefined)],
  [
    'inverter duty',
    (item, requirement) =>
      requirement.inverterDuty && !item.inverterDuty ? 'not made for low speed at full torque on a drive' : undefined,
  ],
  [
    'service factor',
    (item, requirement) =>
      item.serviceFactor < requirement.serviceFactor
        ? `service factor ${item.serviceFactor}; at this altitude ${requirement.serviceFactor} is spent`
        : undefined,
  ],
];

const frameMisfit = (item: MotorItem, old: FrameSize): string | undefined =>
  mountingMisfit(frameOf(item), item.frame, old);

/** Why a motor of this frame would not stand in place of the old one; undefined where it does. */
export function mountingMisfit(frame: FrameSize | undefined, name: string, old: FrameSize): string | undefined {
  if (!frame || !sameFeet(frame, old)) return `frame ${name}: feet and shaft height do not match the old motor’s`;
  if (frame.family === 'NEMA' && shortShaft(frame) !== shortShaft(old))
    return `frame ${name}: the ${shortShaft(frame) ? 'short' : 'long'} shaft does not match the old motor’s`;
  return undefined;
}

/** Why a motor of this frame must not take a belt; undefined where it may. */
export const shaftMisfit = (frame: FrameSize | undefined, name: string): string | undefined =>
  frame && shortShaft(frame) ? `frame ${name}: its short shaft must not take a belt or chain` : undefined;

/** Whether a motor of the right frequency and size breaks a hard rule. */
export const isRefused = (item: MotorItem, requirement: MotorNeed): boolean =>
  rules.some(([, check]) => check(item, requirement) !== undefined);

/** Every hard rule a motor breaks; the first is the reason given. One of another frequency or size is not looked at further. */
export function refusals(item: MotorItem, requirement: MotorNeed): Refusal[] {
  const far = farOff(item, requirement);
  if (far) return [far];
  return rules.flatMap(([rule, check]) => {
    const reason = check(item, requirement);
    return reason === undefined ? [] : [{ rule, reason }];
  });
}
