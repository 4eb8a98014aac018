import { YEAR } from '../../kernel/constants.ts';
import { UNCERTAINTY } from '../../stages/economics/uncertainty.ts';
import { onMotor } from '../../stages/load/load-definition-methods.ts';
import type { ProfileResult } from '../../stages/operating-profile/profile-result.ts';
import type { Shared } from '../shared.ts';

/** What is not known for sure, each drawn by itself. */
export const riskVariables = [
  'hours',
  'energyPrice',
  'growth',
  'staticHead',
  'power',
  'capital',
  'efficiency',
  'driveLoss',
  'life',
] as const;
export type RiskVariable = (typeof riskVariables)[number];

/** Ends and the likeliest between them; the efficiency is as likely anywhere between. */
export interface Range {
  readonly low: number;
  readonly mode: number;
  readonly high: number;
  readonly shape: 'triangle' | 'even';
}

export interface Spreads {
  readonly ranges: Readonly<Record<RiskVariable, Range>>;
}

const about = ({ less, more }: { readonly less: number; readonly more: number }): Range => ({
  low: 1 - less,
  mode: 1,
  high: 1 + more,
  shape: 'triangle',
});
const NONE: Range = { low: 0, mode: 0, high: 0, shape: 'triangle' };

/**
 * How far each may lie from its figure; factors, but for growth and static head, which are added. Common practice, no published
 * source. A load that is estimated is less sure than one that was measured; without static head there is none to be wrong.
 */
export function spreadsOf({ job }: Pick<Shared, 'job'>, profile: ProfileResult | undefined): Spreads {
  const total = profile?.values.hours?.value ?? 0;
  const most = total > 0 ? Math.max(1, YEAR / total) : 1.1;
  const power = onMotor(job.load.way) || job.load.way === 'torque' ? 0.05 : 0.15;
  const staticShare = profile?.model?.setting.machine.staticShare ?? 0;
  return {
    ranges: {
      hours: { ...about(UNCERTAINTY.hours), high: Math.min(1.1, most) },
      energyPrice: about(UNCERTAINTY.energyPrice),
      growth: { low: -0.02, mode: 0, high: 0.02, shape: 'triangle' },
      staticHead: staticShare > 0 ? { low: -0.1, mode: 0, high: 0.1, shape: 'triangle' } : NONE,
      power: about({ less: power, more: power }),
      capital: about(UNCERTAINTY.capital),
      efficiency: { low: 0, mode: 0, high: 1, shape: 'even' },
      driveLoss: { low: 0.5, mode: 1, high: 2, shape: 'triangle' },
      life: about({ less: 0.3, more: 0.3 }),
    },
  };
}
