import { usualOverload } from '../../catalogue/drive-duty.ts';
import type { OptionContext } from '../stage.ts';

/** How the motor is fed while it starts. Times in s from switching on, voltages and currents as multiples of rated. */
export type StartingMode =
  | { readonly kind: 'direct' }
  | {
      readonly kind: 'star-delta';
      /** Speed share of synchronous speed at which it changes over, or the time, whichever comes first. */
      readonly changeSpeed: number;
      readonly changeTime: number;
      /** Time without supply between star and delta; 0 with a closed transition. */
      readonly gap: number;
    }
  | {
      readonly kind: 'autotransformer';
      readonly tap: number;
      readonly changeSpeed: number;
      readonly changeTime: number;
    }
  | {
      readonly kind: 'soft starter';
      readonly mode: 'voltage ramp' | 'torque ramp' | 'current limit';
      readonly startVoltage: number;
      readonly ramp: number;
      readonly currentLimit: number;
      readonly kickVoltage: number;
      readonly kickTime: number;
    }
  | {
      readonly kind: 'drive';
      readonly ramp: number;
      /** Of rated motor current. */
      readonly currentLimit: number;
      /** The same for the first seconds, where the drive has a peak of its own. */
      readonly peakLimit?: number;
      /** Speed it is to bring the motor to, rad/s; to its rated frequency where left out. */
      readonly speed?: number;
      /** Torque it can hold at standstill, of rated, by boost. */
      readonly boost: number;
    };

export type Method = 'direct' | 'star-delta' | 'autotransformer' | 'soft starter' | 'drive';

/** Ways to start, the least costly first. */
export const methods: readonly Method[] = ['direct', 'star-delta', 'soft starter', 'autotransformer', 'drive'];

/** What the picked drive gives for a short time, of rated motor current. */
export interface DriveLimits {
  /** For a minute, by its duty rating and derates. */
  readonly currentLimit: number;
  /** For the first seconds, where its data say so. */
  readonly peakLimit?: number | undefined;
  /** s it bears `currentLimit`. */
  readonly seconds: number;
  /** Continuous current, of rated motor current. */
  readonly continuous: number;
}

/** How each method feeds the motor; a drive brings it to the speed `wanted`, rad/s, with the settings typed in the job and usual ones for the rest. */
export function feedsOf(
  { job, given, practice }: OptionContext,
  drive: DriveLimits,
  wanted: number | undefined,
): Readonly<Record<Method, StartingMode>> {
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
      currentLimit: Math.min(set.driveCurrentLimit?.value ?? drive.currentLimit, drive.currentLimit),
      ...(drive.peakLimit === undefined ? {} : { peakLimit: drive.peakLimit }),
      ...(wanted === undefined ? {} : { speed: wanted }),
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
  driveBoost: 1.5,
} as const;

/** Times at which a feed switches or its ramp ends, s. */
export function feedEvents(feed: StartingMode): number[] {
  if (feed.kind === 'star-delta' || feed.kind === 'autotransformer') return [feed.changeTime];
  if (feed.kind === 'soft starter') return [feed.kickTime, feed.ramp, feed.kickTime + feed.ramp];
  if (feed.kind === 'drive') return [feed.ramp];
  return [];
}

/** Longest step of a run, s, in which a feed that changes is followed well enough. */
export function longestStep(feed: StartingMode, steps: number): number {
  if (feed.kind === 'soft starter') return Math.max(0.02, feed.ramp / steps);
  // On a drive the speed follows its ramp, all but straight.
  if (feed.kind === 'drive') return Math.max(0.02, (2 * feed.ramp) / steps);
  // It may wait long in star or on a tap.
  if (feed.kind === 'star-delta' || feed.kind === 'autotransformer') return Math.max(0.5, feed.changeTime / steps);
  return 0.5;
}

/** Whether the feed will still give more later on. */
export function rising(feed: StartingMode, time: number, changedAt: number | undefined): boolean {
  if (changedAt === undefined) return true;
  return feed.kind === 'soft starter' && time < feed.kickTime + feed.ramp;
}

/** A drive before one is picked: the overload of its duty over the motor’s own current. */
export function usualDrive({ job }: OptionContext): DriveLimits {
  const multiple = usualOverload(job.load.torqueKind === 'variable' ? 'normal' : 'heavy');
  return { currentLimit: multiple, seconds: 60, continuous: 1 };
}
