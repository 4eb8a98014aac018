import type { Brief } from '../stage.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';

export interface Segment {
  /** N·m at the driven shaft; 0 while standing. */
  readonly torque: number;
  /** s */
  readonly time: number;
  readonly standing: boolean;
  /** Place in the document. */
  readonly at: number;
}

export interface Duty {
  readonly segments: readonly Segment[];
  readonly rms: Value;
  readonly peak: Value;
  /** Length of one cycle, s. */
  readonly cycle: Value;
}

/**
 * The RMS torque of a cycle: T_rms = √(Σ T²t / (Σ t_run + k Σ t_stand)), where k is the cooling left at standstill
 * (IEC 60034-1 duty types and handbook RMS method; the share k is common practice, no published source).
 * Undefined until one running segment reads.
 */
export function dutyOf({ job, rows, practice }: Brief): Duty | undefined {
  const segments = rows['load.duty'].flatMap(({ at, torque, time }): Segment[] => {
    const standing = job.load.duty[at]?.standing ?? false;
    if (!time || (!torque && !standing)) return [];
    return [{ torque: standing ? 0 : (torque?.value ?? 0), time: time.value, standing, at }];
  });
  const { rms, peak, cycle, running } = rmsOf(segments, practice.standstillCooling.value);
  if (running <= 0 || peak <= 0) return undefined;
  const { school } = job;
  const period = quantity(cycle, 'duration', school, { formula: '\\sum t_i', source: 'typed in this job' });
  const most = quantity(peak, 'torque', school, { formula: '\\max T_i', source: 'typed in this job' });
  return {
    segments,
    peak: most,
    cycle: period,
    rms: quantity(rms, 'torque', school, {
      formula: 'T_{rms} = \\sqrt{\\dfrac{\\sum T_i^2 t_i}{\\sum t_{run} + k \\sum t_{stand}}}',
      from: { 'T_{max}': most, t: period, k: practice.standstillCooling },
      source: 'RMS method of handbooks; standstill cooling: ' + PRACTICE,
    }),
  };
}

export interface Rms {
  readonly rms: number;
  readonly peak: number;
  readonly cycle: number;
  readonly running: number;
}

/** RMS, peak and times of segments; SI. */
export function rmsOf(
  segments: readonly { readonly torque: number; readonly time: number; readonly standing: boolean }[],
  standstillCooling: number,
): Rms {
  let heat = 0;
  let running = 0;
  let standing = 0;
  let peak = 0;
  for (const segment of segments) {
    heat += segment.torque ** 2 * segment.time;
    if (segment.standing) standing += segment.time;
    else running += segment.time;
    peak = Math.max(peak, segment.torque);
  }
  const cooling = running + standstillCooling * standing;
  return { rms: cooling > 0 ? Math.sqrt(heat / cooling) : 0, peak, cycle: running + standing, running };
}
