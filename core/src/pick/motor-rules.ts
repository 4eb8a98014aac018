import type { MotorItem } from '../catalogue.ts';
import { decodeFrame, sameFeet, type Frame } from '../nameplate/frame.ts';
import { sameRating, sizeText } from '../motor/standard-power.ts';
import { enclosureTexts, type EnclosureCode } from '../place/place.ts';
import type { School } from '../quantity/units.ts';

export interface MotorNeed {
  readonly school: School;
  readonly power: number;
  readonly poles: number;
  readonly frequency: number;
  readonly motorVoltage: number;
  readonly systemVoltage: number;
  readonly enclosures: readonly EnclosureCode[];
  /** The old motor’s frame where the new one must stand in its place. */
  readonly frame: Frame | undefined;
  readonly inverterDuty: boolean;
}

export type MotorRule = 'frequency' | 'power' | 'poles' | 'voltage' | 'enclosure' | 'frame' | 'inverter duty';

export interface Refusal {
  readonly rule: MotorRule;
  readonly reason: string;
}

/** The winding to connect, by index into `voltages`: within 5 % of the utilization or system voltage. */
export function connectableVoltage(item: MotorItem, need: Pick<MotorNeed, 'motorVoltage' | 'systemVoltage'>): number {
  const near = (target: number) => item.voltages.findIndex((voltage) => Math.abs(voltage / target - 1) < 0.05);
  const exact = near(need.motorVoltage);
  return exact >= 0 ? exact : near(need.systemVoltage);
}

const frames = new Map<string, Frame | undefined>();
function frameOf(item: MotorItem): Frame | undefined {
  const key = `${item.school}|${item.frame}`;
  if (!frames.has(key)) frames.set(key, decodeFrame(item.frame, item.school));
  return frames.get(key);
}

const shortShaft = (frame: Frame): boolean => frame.suffix.includes('S') && frame.family === 'NEMA';

/** Every hard rule a motor breaks, in the order the trade checks them; the first is the reason given. */
export function refusals(item: MotorItem, need: MotorNeed): Refusal[] {
  const out: Refusal[] = [];
  const refuse = (rule: MotorRule, reason: string) => out.push({ rule, reason });

  if (item.school !== need.school || Math.abs(item.frequency / need.frequency - 1) > 0.05) {
    refuse('frequency', `made for ${item.frequency} Hz`);
  }
  if (!sameRating(item.power, need.power)) {
    refuse('power', `${sizeText(item.power, item.school)}, not ${sizeText(need.power, need.school)}`);
  }
  if (item.poles !== need.poles) refuse('poles', `${item.poles} poles, not ${need.poles}`);
  if (connectableVoltage(item, need) < 0) refuse('voltage', `${item.voltages.join('/')} V does not suit ${need.systemVoltage} V`);
  if (!need.enclosures.includes(item.enclosure)) refuse('enclosure', `${enclosureTexts[item.enclosure]} may not stand here`);
  if (need.frame) {
    const frame = frameOf(item);
    if (!frame || !sameFeet(frame, need.frame)) {
      refuse('frame', `frame ${item.frame}: feet and shaft height do not match the old motor’s`);
    } else if (frame.family === 'NEMA' && shortShaft(frame) !== shortShaft(need.frame)) {
      refuse('frame', `frame ${item.frame}: the ${shortShaft(frame) ? 'short' : 'long'} shaft does not match the old motor’s`);
    }
  }
  if (need.inverterDuty && !item.inverterDuty) refuse('inverter duty', 'not made for low speed at full torque on a drive');
  return out;
}
