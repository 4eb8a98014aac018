import { formatQuantity } from '../../ground/quantity/format.ts';
import type { Fed } from './fed.ts';
import { feederAmpacity, runningDrop } from './feeder.ts';
import type { Flag } from './findings.ts';
import type { SupplyValues } from './values.ts';

/** What already runs on the bus, and the motor’s own rating, against what the source can carry. */
export function checkLoading({ brief: { job, given }, motor }: Fed, flag: Flag): void {
  const { school } = job;
  const { otherLoad, sourcePower } = given.supply;
  if (!sourcePower || job.supply.source === 'fault level') return;
  const own = motor ? Math.sqrt(3) * motor.voltage * motor.current : 0;
  const total = (otherLoad?.value ?? 0) + own;
  if (total <= sourcePower.value) return;
  flag(
    'supply.overloaded',
    otherLoad
      ? `The other load of ${otherLoad.text}${own > 0 ? ` and this motor’s ${formatQuantity(own, 'apparentPower', school)}` : ''} are more than the ${sourcePower.text} of the source.`
      : `This motor alone takes ${formatQuantity(own, 'apparentPower', school)}, more than the ${sourcePower.text} of the source.`,
    { field: otherLoad ? 'supply.otherLoad' : 'supply.sourcePower' },
  );
}

/** Whether the feeder carries the motor, and what it loses while the motor runs. */
export function feederInUse(
  { brief, motor, source, voltage }: Fed,
  flag: Flag,
): Pick<SupplyValues, 'feederAmpacity' | 'runningDrop'> {
  const {
    job: { school },
    practice,
  } = brief;
  const carries = feederAmpacity(brief);
  if (!motor) return carries ? { feederAmpacity: carries } : {};
  const wanted = school === 'NEMA' ? 1.25 * motor.current : motor.current;
  if (carries && carries.value < wanted) {
    const short = carries.value < motor.current;
    flag(
      'supply.feeder-ampacity',
      `The feeder carries ${carries.text}; ${short ? `the motor takes ${formatQuantity(motor.current, 'current', school)}` : `125 % of the motor’s ${formatQuantity(motor.current, 'current', school)} is ${formatQuantity(wanted, 'current', school)}`}.`,
      {
        severity: short ? 'stop' : 'caution',
        basis: `${school === 'NEMA' ? 'NEC 430.22; ' : ''}${carries.working.source}`,
      },
    );
  }
  const lost =
    source?.feederValue &&
    voltage &&
    runningDrop(source.feeder, motor.current, motor.powerFactor, voltage.value, brief);
  if (lost && lost.value > practice.runningDrop.value)
    flag(
      'supply.feeder-drop',
      `The running motor loses ${lost.text} of its voltage in the feeder, ${practice.runningDrop.text} wanted.`,
    );
  return { ...(carries ? { feederAmpacity: carries } : {}), ...(lost ? { runningDrop: lost } : {}) };
}
