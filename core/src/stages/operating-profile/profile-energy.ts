import { existingMotor } from './existing-motor.ts';
import { YEAR } from '../../kernel/constants.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import { evidenceOf, type Motor } from '../../motor/typical.ts';
import type { ProfileOn, ProfilePoint } from './profile-result.ts';
import type { FlowModel } from './flow-model.ts';
import type { ProfileValues } from './values.ts';

interface EnergyOn extends ProfileOn {
  readonly motor: Motor;
  readonly motorPower: Value;
  readonly hours: Value;
  readonly staticShare: number;
  readonly model: FlowModel;
}

type Energy = Pick<ProfileValues, 'energyThrottled' | 'energySpeedControlled' | 'energySaved' | 'savingShare'>;

export const DRIVE_LOSS =
  'drive losses from the reference of IEC 61800-9-2 (recalled from memory, the largest sizes unsure), their shape estimated';

/** How many machines have a drive. */
export const drivesOf = ({ setting }: FlowModel): number => (setting.oneOnSpeed ? 1 : setting.machines);

/** Energy, J, that drives take in a year while they wait, each `power` W. */
export function standbyEnergy(
  steps: readonly Pick<ProfilePoint, 'flow' | 'hours'>[],
  power: number,
  drives: number,
): number {
  const running = steps.reduce((sum, { flow, hours }) => sum + (flow > 0 ? hours : 0), 0);
  return power * drives * Math.max(0, YEAR - running);
}

/** Energy of a year as controlled today and with speed control, and what lies between. */
export function energyOf(steps: readonly ProfilePoint[], on: EnergyOn): Energy {
  const { brief, motor, motorPower, staticShare, hours } = on;
  const { job, given } = brief;
  const standby = standbyEnergy(steps, brief.practice.driveStandby.value * motor.power, drivesOf(on.model));
  const unknown = steps.some((step) => step.hours > 0 && step.throttled === undefined);
  const throttled = steps.reduce((sum, step) => sum + (step.throttled ?? 0) * step.hours, 0);
  const controlled = steps.reduce((sum, step) => sum + step.speedControlled * step.hours, standby);
  const energyThrottled = unknown
    ? undefined
    : quantity(throttled, 'energy', {
        origin: 'estimated',
        evidence: evidenceOf(motor),
        formula: 'E = \\sum_i t_i\\,P_{in}(q_i)',
        from: { P: motorPower, t: hours },
        source:
          'Curve of the machine and affinity laws; inlet vanes by a curve of public building-energy simulation (recalled from memory); losses by the fitted circuit',
        note: `Holds for ${existingMotor(motor, on).label}.`,
      });
  const energySpeedControlled = quantity(controlled, 'energy', {
    origin: 'estimated',
    evidence: evidenceOf(motor),
    formula: affinityLaw(job.load.torqueKind, staticShare),
    from: { P: motorPower, h: given.profile.staticHeadShare },
    source: `Affinity laws; losses of the motor by its circuit; ${DRIVE_LOSS}`,
    note: `Holds for ${motor.label}. The drive waits switched on while nothing runs.`,
  });
  if (!energyThrottled) return { energySpeedControlled };
  const how = {
    origin: 'estimated' as const,
    from: { E_1: energyThrottled, E_2: energySpeedControlled },
    source: 'definition',
  };
  const saved = energyThrottled.value - controlled;
  return {
    energyThrottled,
    energySpeedControlled,
    energySaved: quantity(saved, 'energy', { ...how, formula: 'E_1 - E_2', note: `Holds for ${motor.label}.` }),
    ...(energyThrottled.value > 0
      ? {
          savingShare: quantity(saved / energyThrottled.value, 'fraction', {
            ...how,
            formula: '(E_1 - E_2) / E_1',
          }),
        }
      : {}),
  };
}

function affinityLaw(kind: string, staticShare: number): string {
  if (kind === 'constant') return 'P_s = P\\,q';
  return staticShare > 0 ? 'P_s = P\\,q\\,(h + (1-h)\\,q^2)\\,\\eta(1)/\\eta(q/s)' : 'P_s = P\\,q^3';
}
