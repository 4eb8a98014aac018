import type { ControlSetting } from '../../src/stages/operating-profile/flow-control.ts';
import type { FlowMachine } from '../../src/stages/operating-profile/flow-machine.ts';

/**
 * A machine worked by hand: H = H₀ − (H₀ − 1)q² at full speed, η = 2x − x² with its best point at full flow, and a system of
 * h + (1 − h)q². A pump’s H₀ is 1.25, a fan’s 1.3 (common practice).
 */
export function bySpeed(q: number, h: number, shutOff = 1.25): { readonly speed: number; readonly power: number } {
  const head = h + (1 - h) * q * q;
  const speed = Math.sqrt((head + (shutOff - 1) * q * q) / shutOff);
  const x = q / speed;
  return { speed, power: (q * head) / (2 * x - x * x) };
}

/** The same at full speed, its head lost in valve or damper. */
export const throttled = (q: number, shutOff = 1.25): number =>
  (q * (shutOff - (shutOff - 1) * q * q)) / (2 * q - q * q);

/** One machine under a control, with what is usual of the rest. */
export const setting = (machine: FlowMachine, more: Partial<ControlSetting> = {}): ControlSetting => ({
  machine,
  machines: 1,
  inSeries: false,
  oneOnSpeed: false,
  lowerSpeed: 2 / 3,
  leastSpeed: 0,
  largest: 1,
  ...more,
});
