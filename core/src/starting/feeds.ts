import type { Brief } from '../stage.ts';
import type { Practice } from '../practice.ts';
import type { Feed } from './run-up.ts';

export type Method = 'direct' | 'star-delta' | 'autotransformer' | 'soft starter' | 'drive';

/** Ways to start, the least costly first. */
export const methods: readonly Method[] = ['direct', 'star-delta', 'soft starter', 'autotransformer', 'drive'];

/** How each method feeds the motor, with the settings typed in the job and usual ones for the rest. */
export function feedsOf({ job, given }: Brief, practice: Practice): Readonly<Record<Method, Feed>> {
  const set = given.starting;
  const changeTime = set.starTime?.value ?? USUAL.starTime;
  const changeSpeed = set.changeSpeed?.value ?? USUAL.changeSpeed;
  return {
    direct: { kind: 'direct' },
    'star-delta': {
      kind: 'star-delta',
      changeSpeed,
      changeTime,
      gap: job.starting.transition === 'closed' ? 0 : (set.gap?.value ?? USUAL.gap),
    },
    autotransformer: { kind: 'autotransformer', tap: set.tap?.value ?? USUAL.tap, changeSpeed, changeTime },
    'soft starter': {
      kind: 'soft starter',
      mode: job.starting.softMode,
      startVoltage: set.startVoltage?.value ?? USUAL.startVoltage,
      ramp: set.softRamp?.value ?? USUAL.softRamp,
      currentLimit: set.currentLimit?.value ?? practice.softStartCurrent.value,
      kickVoltage: set.kickVoltage?.value ?? USUAL.kickVoltage,
      kickTime: set.kickTime?.value ?? 0,
    },
    drive: {
      kind: 'drive',
      ramp: set.driveRamp?.value ?? USUAL.driveRamp,
      currentLimit: set.driveCurrentLimit?.value ?? USUAL.driveCurrentLimit,
      boost: set.driveBoost?.value ?? USUAL.driveBoost,
    },
  };
}

/** Settings a starter leaves the shop with. Common practice, no published source. */
export const USUAL = {
  starTime: 15,
  changeSpeed: 0.9,
  gap: 0.06,
  tap: 0.65,
  startVoltage: 0.4,
  softRamp: 8,
  softStop: 12,
  kickVoltage: 0.75,
  driveRamp: 8,
  driveCurrentLimit: 1.5,
  driveBoost: 1.5,
} as const;
