import { mountingMisfit, shaftMisfit, type MotorNeed } from '../stages/selection/motor-rules.ts';
import { decodeFrame } from '../stages/nameplate/frame.ts';
import { say } from '../kernel/text.ts';
import { textIn } from '../present/present.ts';
import { sameRating, sizeText } from '../motor/standard-power.ts';
import { decodeEnclosure } from '../stages/nameplate/enclosure.ts';
import { plateKey } from './plate-key.ts';
import type { RegisteredMotor } from './registered-motor.ts';

const isOpenMotor = (text: string | undefined): boolean =>
  decodeEnclosure(text ?? '').some(({ code }) => code === 'ODP' || /^IP\s?[12]/.test(code) || code.startsWith('WP'));

/** Why a motor on the shelf would not do, in the order the trade checks it; empty where it fits. */
export function spareMisfits(motor: RegisteredMotor, requirement: MotorNeed): string[] {
  const key = plateKey(motor.plate, motor.school);
  const out: string[] = [];
  if (key.power === undefined) out.push('its power is not known');
  else if (!sameRating(key.power, requirement.power))
    out.push(textIn(say`${sizeText(key.power)} is another rating`, { units: motor.school }));
  if (key.poles === undefined) out.push('its speed is not known');
  else if (key.poles !== requirement.poles) out.push(`${key.poles} poles, not ${requirement.poles}`);
  if (key.frequency !== undefined && Math.abs(key.frequency / requirement.frequency - 1) > 0.05)
    out.push(`made for ${key.frequency} Hz`);
  const suits = key.voltages.some(
    (voltage) =>
      Math.abs(voltage / requirement.motorVoltage - 1) < 0.05 ||
      Math.abs(voltage / requirement.systemVoltage - 1) < 0.05,
  );
  if (!suits)
    out.push(
      key.voltages.length === 0
        ? 'its voltage is not known'
        : `${key.voltages.join('/')} V does not suit ${requirement.systemVoltage} V`,
    );
  if (isOpenMotor(motor.plate.enclosure) && !requirement.enclosures.includes('ODP'))
    out.push('an open motor may not stand here');
  const frame = motor.plate.frame ? decodeFrame(motor.plate.frame, motor.school) : undefined;
  if (requirement.frame && !frame) out.push('its frame is not known');
  else if (requirement.frame) {
    const misfit = mountingMisfit(frame, motor.plate.frame ?? '', requirement.frame);
    if (misfit) out.push(textIn(misfit, { units: motor.school }));
  }
  const shaft = requirement.belted ? shaftMisfit(frame, motor.plate.frame ?? '') : undefined;
  if (shaft) out.push(textIn(shaft, { units: motor.school }));
  if (requirement.inverterDuty && !/inv|part\s*31/i.test(motor.plate.inverter ?? '')) out.push('not proven on a drive');
  return out;
}
