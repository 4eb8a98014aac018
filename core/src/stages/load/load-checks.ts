import { say } from '../../kernel/text.ts';
import type { CheckedFrom, CheckedLoad } from './checked-load.ts';
import { checkTrain, checkBelt } from './train-checks.ts';
import { keepsMotor } from './reference-motor.ts';
import { sizeText } from '../../motor/standard-power.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import { speedTyped } from './transmission.ts';
import { checkReadings } from './reading-checks.ts';
import { loadField, torqueKindOf } from './load-definition-methods.ts';

/** What is doubtful or dangerous about a load once it is carried back to the motor. */
export function checkLoad({ brief, ...rest }: CheckedFrom): void {
  const { job, given, practice } = brief;
  const checked: CheckedLoad = { ...rest, job, given, practice, school: job.school };
  checkReadings(brief, rest.nameplate.motor, rest.values, rest.report);
  checkSize(checked);
  checkSpeed(checked);
  checkKind(checked);
  checkPeak(checked);
  checkCycle(checked);
  checkTrain(checked);
  checkBelt(checked);
}

function checkSize({
  values,
  report,
  job,
  nameplate,
}: Pick<CheckedLoad, 'values' | 'report' | 'job' | 'school' | 'nameplate'>): void {
  const { motorPower, standardPower, loadFraction } = values;
  if (motorPower && !standardPower) {
    report('load.too-large', say`The required power of ${motorPower} exceeds the largest standard rating.`, {
      field: loadField(job),
    });
  }
  if (!motorPower && standardPower) {
    report(
      'load.from-plate',
      say`The load is unknown, so the nameplate rating of ${sizeText(standardPower.value)} is kept. Measure the load to confirm it.`,
    );
  }
  const plate = nameplate.values.power;
  if (motorPower && plate && job.situation.kind !== 'new' && motorPower.value > plate.value * 1.001) {
    report(
      'load.exceeds-plate',
      say`The load requires ${motorPower}, nameplate rating ${sizeText(plate.value)}: the motor is overloaded by ${((motorPower.value / plate.value - 1) * 100).toFixed(0)} %.`,
      {
        severity: keepsMotor(job) ? 'stop' : 'caution',
        clear: keepsMotor(job)
          ? 'Reduce the load or replace the motor.'
          : 'Let the next size be picked, and expect another frame.',
        field: loadField(job),
      },
    );
  }
  if (loadFraction && loadFraction.value < 0.5) {
    report(
      'load.oversized',
      say`The load factor is ${loadFraction}; below half load efficiency and power factor decrease.`,
    );
  }
}

function checkSpeed({
  values,
  nameplate,
  transmission,
  report,
  job,
}: Pick<CheckedLoad, 'values' | 'nameplate' | 'transmission' | 'school' | 'report' | 'job'>): void {
  const { motorSpeed, poles } = values;
  const { frequency } = nameplate.values;
  if (!motorSpeed || !poles || !frequency || !speedTyped(transmission)) return;
  const field = synchronousSpeed(frequency.value, poles.value);
  const off = motorSpeed.value / field - 1;
  // A round field speed is often typed for the speed a little below it.
  if (off <= 0.005 && off > -0.08) return;
  report(
    'load.speed-mismatch',
    say`The motor would have to turn at ${motorSpeed}; a ${poles.value}-pole motor turns just under ${((field * 60) / (2 * Math.PI)).toFixed(0)} r/min on the line.`,
    { field: job.load.stages.length > 0 ? 'load.stages.0.ratio' : 'load.ratio' },
  );
}

function checkKind({ job, report }: Pick<CheckedLoad, 'job' | 'report'>): void {
  const kind = torqueKindOf(job.load.way);
  if (!kind || kind === job.load.torqueKind) return;
  report(
    'load.torque-kind',
    kind === 'variable'
      ? `The torque of a ${job.load.way} rises with its speed, but it is set constant.`
      : `A ${job.load.way} needs its torque at every speed, but it is set to rise with speed.`,
    {
      clear: `Set the torque to ${kind === 'variable' ? 'rising with speed' : 'constant'}; start, drive and energy follow from it.`,
      mends: [
        { label: kind === 'variable' ? 'It rises with speed' : 'It stays constant', set: { 'load.torqueKind': kind } },
      ],
    },
  );
}

function checkPeak({
  values,
  report,
  practice,
  job,
}: Pick<CheckedLoad, 'values' | 'report' | 'practice' | 'job'>): void {
  const { peakTorque, peakAllowed } = values;
  if (!peakTorque || !peakAllowed || peakTorque.value <= peakAllowed.value) return;
  report(
    'load.peak-stalls',
    say`The peak torque is ${peakTorque}, limit ${peakAllowed} at a voltage dip of ${practice.runningDip}: the motor stalls.`,
    {
      clear: keepsMotor(job) ? 'Cut the peak, or replace the motor.' : 'Cut the peak, or let a larger size be picked.',
      field: job.load.way === 'duty' ? 'load.duty.0.torque' : 'load.overloadTorque',
    },
  );
}

/** A cycle too long for its RMS torque to say how warm the motor gets. */
function checkCycle({ values, report, practice }: Pick<CheckedLoad, 'values' | 'report' | 'practice'>): void {
  const { torque, rmsTorque, dutyCycle } = values;
  if (!torque || !rmsTorque || !dutyCycle || torque.value < 1.05 * rmsTorque.value) return;
  report(
    'load.cycle-long',
    say`A cycle of ${dutyCycle} is not short against the motor’s ${practice.thermalTime}: at its hottest the motor is as warm as under a steady ${torque}. The size follows that, not the RMS torque of ${rmsTorque}.`,
    { basis: torque.working.source },
  );
}
