import type { DriveItem } from './catalogue.ts';

/** A stretch for which the motor asks for more than its running current. */
export interface DriveEvent {
  readonly name: string;
  /** Of the motor, A. */
  readonly current: number;
  /** s */
  readonly time: number;
  /** s from one to the next; once in ten minutes where it is left out. */
  readonly every?: number | undefined;
}

type Duty = 'normal' | 'heavy';

/** What a drive bears over its continuous current: multiple, for how long, how often. */
export interface Overload {
  readonly multiple: number;
  readonly seconds: number;
  readonly repeat: number;
  readonly peak: { readonly multiple: number; readonly seconds: number } | undefined;
}

/** Normal duty 110 %, heavy duty 150 % for a minute in ten. Common practice, no published source; the item’s own first. */
const USUAL = { normal: 1.1, heavy: 1.5, seconds: 60, repeat: 600 } as const;

export function overloadOf(item: DriveItem, duty: Duty): Overload {
  return {
    multiple: (duty === 'heavy' ? item.heavyOverload : item.normalOverload) ?? USUAL[duty],
    seconds: item.overloadTime ?? USUAL.seconds,
    repeat: item.overloadRepeat ?? USUAL.repeat,
    peak:
      item.peakOverload === undefined || item.peakTime === undefined
        ? undefined
        : { multiple: item.peakOverload, seconds: item.peakTime },
  };
}

export const usualOverload = (duty: Duty): number => USUAL[duty];

/** s that a multiple of the continuous current may last: t₁ (m₁² − 1)/(m² − 1); none above the overload multiple but in its peak. */
export function overloadDuration({ multiple, seconds, peak }: Overload, asked: number): number {
  if (asked <= 1) return Number.POSITIVE_INFINITY;
  if (asked > multiple * 1.0001) return peak && asked <= peak.multiple * 1.0001 ? peak.seconds : 0;
  return (seconds * (multiple ** 2 - 1)) / (asked ** 2 - 1);
}

/** Why a drive of a continuous current does not bear an event beside its running current, in words; undefined where it does. */
export function overloadViolation(
  { name, current, time, every }: DriveEvent,
  continuous: number,
  running: number,
  overload: Overload,
): string | undefined {
  const asked = current / continuous;
  if (asked <= 1) return undefined;
  const share = (value: number): string => `${Math.round(value * 100)} %`;
  const bearable = overloadDuration(overload, asked);
  if (time > bearable * 1.0001)
    return bearable === 0
      ? `${name} asks for ${share(asked)} of its current, it gives ${share(overload.peak?.multiple ?? overload.multiple)} at most`
      : `${name} asks for ${share(asked)} of its current for ${time.toPrecision(2)} s, it bears that ${bearable.toPrecision(2)} s`;
  const period = Math.max(time, every ?? overload.repeat);
  const base = Math.min(1, running / continuous);
  const rms = Math.sqrt((asked ** 2 * time + base ** 2 * (period - time)) / period);
  return rms > 1.0001 && every !== undefined && every <= overload.repeat
    ? `${name} comes so often that its mean heat is ${share(rms ** 2)} of what it bears`
    : undefined;
}
