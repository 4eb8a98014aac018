import type { Trace } from './recorder.ts';

/** Multiple of the setting at which a trip class is named (IEC 60947-4-1 Table 2). */
const CLASS_MULTIPLE = 7.2;
/** A relay must not trip at 1.05 and must at 1.2 times its setting; the replica trips between. */
const ULTIMATE = 1.15;

/** Time constant of the thermal replica dθ/dt = (i² − θ)/τ that trips in `time` s at 7.2 times the setting from cold. */
const timeConstant = (time: number): number =>
  time / Math.log(CLASS_MULTIPLE ** 2 / (CLASS_MULTIPLE ** 2 - ULTIMATE ** 2));

/** Trip time at a constant multiple of the setting, s; infinite below the ultimate current. */
export function tripTime(time: number, multiple: number, warm = 0): number {
  if (multiple <= ULTIMATE) return Number.POSITIVE_INFINITY;
  const square = multiple ** 2;
  return timeConstant(time) * Math.log((square - warm) / (square - ULTIMATE ** 2));
}

/** Heat of a relay as a share of its setting’s, once it is set to another current. */
export const heatAtDial = (heat: number, set: number, dial: number): number => Math.min(1, heat * (set / dial) ** 2);

/**
 * Greatest share of the trip level that a start uses, with the relay at the fast or slow edge of its class and the
 * motor’s current as it runs; 1 and more trips. `warm` is the share of the setting’s heat before the start.
 */
export function tripUse(trace: Trace, setting: number, time: number, warm: number): number {
  const tau = timeConstant(time);
  let heat = warm;
  let most = heat;
  for (let at = 1; at < trace.time.length; at++) {
    const step = (trace.time[at] ?? 0) - (trace.time[at - 1] ?? 0);
    const current = ((trace.motorCurrent[at] ?? 0) + (trace.motorCurrent[at - 1] ?? 0)) / 2 / setting;
    heat = current ** 2 + (heat - current ** 2) * Math.exp(-step / tau);
    most = Math.max(most, heat);
  }
  return most / ULTIMATE ** 2;
}
