import { nextStandardPower, standardPowers, standardPowerSource } from '../../motor/standard-power.ts';
import { typicalFor } from './reference-motor.ts';
import { minimumBreakdownTorque, type Motor } from '../../motor/typical.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import type { LoadKnown } from './load-known.ts';

/** The least standard size that carries the load with its margin and does not stall on its peak; the plate’s where no load is known. */
export function standardSize(
  known: Pick<
    LoadKnown,
    'motorPower' | 'nameplate' | 'job' | 'school' | 'practice' | 'peakTorque' | 'poles' | 'voltage' | 'motorSpeed'
  >,
): Value | undefined {
  const { motorPower, nameplate, job, school, practice, peakTorque, poles, voltage, motorSpeed } = known;
  if (!motorPower) {
    const plate = nameplate.values.power;
    if (!plate || job.situation.kind === 'new') return undefined;
    return quantity(plate.value, 'power', {
      origin: 'estimated',
      source: PRACTICE,
      assumes: 'load.torque',
      note: 'The load is not known; the size on the plate stands in.',
    });
  }
  const byHeat = nextStandardPower(motorPower.value * (1 + practice.sizeMargin.value), school);
  const holds = (size: number): boolean => {
    if (!peakTorque || !poles) return true;
    const tried = typicalFor(job, nameplate, size, poles.value, voltage);
    // Where no class names a typical motor of the size, its least breakdown torque at the speed wanted.
    const bears = tried
      ? breakdownAtDip(tried, known)
      : (size / (motorSpeed?.value ?? Infinity)) * minimumBreakdownTorque(size, poles.value) * leftInDip(known);
    return bears >= peakTorque.value;
  };
  const size = standardPowers(school).find((each) => byHeat !== undefined && each >= byHeat && holds(each));
  if (size === undefined) return undefined;
  return quantity(size, 'power', {
    origin: 'recalled',
    formula: 'P_n \\ge P\\,(1 + m)',
    from: { P: motorPower, m: practice.sizeMargin, 'T_{peak}': peakTorque },
    source: standardPowerSource(school),
    note:
      size === byHeat
        ? undefined
        : 'The peak torque decides: a size by heat alone would stall on it at the voltage dip to ride through.',
  });
}

/** Share of torque left in the dip to ride through. */
function leftInDip({ practice }: Pick<LoadKnown, 'practice'>): number {
  return (1 - practice.runningDip.value) ** 2;
}

function breakdownAtDip(of: Motor, known: Pick<LoadKnown, 'practice'>): number {
  return (of.power / of.speed) * of.breakdownTorque * leftInDip(known);
}

/** Torque the motor still gives at the dip to ride through. */
export function stallTorque(of: Motor, known: Pick<LoadKnown, 'school' | 'practice'>): Value {
  const { practice } = known;
  return quantity(breakdownAtDip(of, known), 'torque', {
    origin: 'estimated',
    formula: 'T_b\\,(1 - d)^2',
    from: {
      T_b: quantity((of.power / of.speed) * of.breakdownTorque, 'torque', {
        origin: 'recalled',
        source: 'MG 1 12.39, IEC 60034-12',
      }),
      d: practice.runningDip,
    },
    source: 'T ∝ V²; dip: ' + PRACTICE,
    note: `Holds for ${of.label}.`,
  });
}
