import { amount, say } from '../../kernel/text.ts';
import type { Fed } from './fed.ts';
import { feederAmpacity, runningDrop } from './feeder.ts';
import type { Report } from './findings.ts';
import type { SupplyValues } from './values.ts';

/** What already runs on the bus, and the motor’s own rating, against what the source can carry. */
export function checkLoading({ brief: { job, given }, motor }: Fed, report: Report): void {
  const { otherLoad, sourcePower } = given.supply;
  if (!sourcePower || job.supply.source === 'fault level') return;
  const own = motor ? Math.sqrt(3) * motor.voltage * motor.current : 0;
  const total = (otherLoad?.value ?? 0) + own;
  if (total <= sourcePower.value) return;
  report(
    'supply.overloaded',
    otherLoad
      ? say`The other load of ${otherLoad}${own > 0 ? say` and this motor’s ${amount(own, 'apparentPower')}` : ''} are more than the ${sourcePower} of the source.`
      : say`This motor alone takes ${amount(own, 'apparentPower')}, more than the ${sourcePower} of the source.`,
    { field: otherLoad ? 'supply.otherLoad' : 'supply.sourcePower' },
  );
}

/** Whether the feeder carries the motor, and what it loses while the motor runs. */
export function feederInUse(
  { brief, motor, source, voltage }: Fed,
  report: Report,
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
    report(
      'supply.feeder-ampacity',
      say`The feeder ampacity is ${carries}; ${short ? say`the motor takes ${amount(motor.current, 'current')}` : say`125 % of the motor’s ${amount(motor.current, 'current')} is ${amount(wanted, 'current')}`}.`,
      {
        severity: short ? 'stop' : 'caution',
        basis: say`${school === 'NEMA' ? 'NEC 430.22; ' : ''}${carries.working.source}`,
      },
    );
  }
  const lost = source?.feederValue && voltage && runningDrop(source.feeder, motor, voltage.value, brief);
  if (lost && lost.value > practice.runningDrop.value)
    report('supply.feeder-drop', say`The feeder voltage drop is ${lost}, limit ${practice.runningDrop}.`);
  return { ...(carries ? { feederAmpacity: carries } : {}), ...(lost ? { runningDrop: lost } : {}) };
}
