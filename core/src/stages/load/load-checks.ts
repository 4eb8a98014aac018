import type { Flag } from './findings.ts';
import { shortShaft } from '../nameplate/frame.ts';
import { keepsMotor } from './reference-motor.ts';
import { sizeText } from '../../motor/standard-power.ts';
import { synchronousSpeed } from '../../motor/typical.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { formatNumber, formatQuantity } from '../../ground/quantity/format.ts';
import type { Brief } from '../stage.ts';
import type { LoadValues } from './values.ts';
import { hangsOnShaft, speedTyped, type Transmission } from './transmission.ts';
import { checkReadings } from './reading-checks.ts';
import { loadField, torqueKindOf } from './ways.ts';

/** What is doubtful or dangerous about a load once it is carried back to the motor. */
export function checkLoad(
  brief: Brief,
  nameplate: NameplateResult,
  transmission: Transmission,
  values: LoadValues,
  flag: Flag,
): void {
  const { job, given, practice } = brief;
  const { school } = job;
  checkReadings(brief, nameplate.motor, values, flag);
  checkSize();
  checkSpeed();
  checkKind();
  checkPeak();
  checkCycle();
  checkTrain();
  checkBelt();

  function checkSize(): void {
    const { motorPower, standardPower, loadFraction } = values;
    if (motorPower && !standardPower) {
      flag('load.too-large', `${motorPower.text} is more than the largest standard size of this school.`, {
        field: loadField(job),
      });
    }
    if (!motorPower && standardPower) {
      flag(
        'load.from-plate',
        `The load is not known, so the ${sizeText(standardPower.value, school)} of the plate is kept. If the old motor was wrong for the load, the new one will be too.`,
      );
    }
    const plate = nameplate.values.power;
    if (motorPower && plate && job.situation.kind !== 'new' && motorPower.value > plate.value * 1.001) {
      flag(
        'load.exceeds-plate',
        `The load needs ${motorPower.text}; the motor on the plate gives ${sizeText(plate.value, school)}. It is overloaded by ${((motorPower.value / plate.value - 1) * 100).toFixed(0)} %.`,
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
      flag(
        'load.oversized',
        `The standard size would run at ${loadFraction.text} load; below half load efficiency and power factor fall off.`,
      );
    }
  }

  function checkSpeed(): void {
    const { motorSpeed, poles } = values;
    const { frequency } = nameplate.values;
    if (!motorSpeed || !poles || !frequency || !speedTyped(transmission, school)) return;
    const field = synchronousSpeed(frequency.value, poles.value);
    const off = motorSpeed.value / field - 1;
    // A round field speed is often typed for the speed a little below it.
    if (off <= 0.005 && off > -0.08) return;
    flag(
      'load.speed-mismatch',
      `The motor would have to turn at ${motorSpeed.text}; a ${poles.value}-pole motor turns just under ${((field * 60) / (2 * Math.PI)).toFixed(0)} r/min on the line.`,
      { field: job.load.stages.length > 0 ? 'load.stages.0.ratio' : 'load.ratio' },
    );
  }

  function checkKind(): void {
    const kind = torqueKindOf(job.load.way);
    if (!kind || kind === job.load.torqueKind) return;
    flag(
      'load.torque-kind',
      kind === 'variable'
        ? `The torque of a ${job.load.way} rises with its speed, but it is set constant.`
        : `A ${job.load.way} needs its torque at every speed, but it is set to rise with speed.`,
      {
        clear: `Set the torque to ${kind === 'variable' ? 'rising with speed' : 'constant'}; start, drive and energy follow from it.`,
      },
    );
  }

  function checkPeak(): void {
    const { peakTorque, peakAllowed } = values;
    if (!peakTorque || !peakAllowed || peakTorque.value <= peakAllowed.value) return;
    flag(
      'load.peak-stalls',
      `The peak of ${peakTorque.text} at the motor is above the ${peakAllowed.text} it can give at a ${practice.runningDip.text} dip: it stalls.`,
      {
        clear: keepsMotor(job)
          ? 'Cut the peak, or replace the motor.'
          : 'Cut the peak, or let a larger size be picked.',
        field: job.load.way === 'duty' ? 'load.duty.0.torque' : 'load.overloadTorque',
      },
    );
  }

  /** A cycle too long for its RMS torque to say how warm the motor gets. */
  function checkCycle(): void {
    const { torque, rmsTorque, dutyCycle } = values;
    if (!torque || !rmsTorque || !dutyCycle || torque.value < 1.05 * rmsTorque.value) return;
    flag(
      'load.cycle-long',
      `A cycle of ${dutyCycle.text} is not short against the motor’s ${practice.thermalTime.text}: at its hottest the motor is as warm as under a steady ${torque.text}. The size follows that, not the RMS torque of ${rmsTorque.text}.`,
      { basis: torque.working.source },
    );
  }

  /** Where torque is typed at two shafts, the train between them must account for the difference. */
  function checkTrain(): void {
    const typedAt = transmission.shafts.flatMap((shaft, at) =>
      shaft.torque ? [{ at, torque: shaft.torque, shaft }] : [],
    );
    const input = typedAt.at(-2);
    const output = typedAt.at(-1);
    if (!input || !output || job.load.way !== 'torque') return;
    const between = transmission.stages.slice(input.at, output.at);
    if (between.some((stage) => !stage.ratio)) return;
    const gain = between.reduce((all, stage) => all * (stage.ratio?.value ?? 1), 1);
    const measured = output.torque.value / (input.torque.value * gain);
    const assumed = between.reduce((all, stage) => all * stage.efficiency.value, 1);
    if (measured > 1.02) {
      flag(
        'load.train-creates-power',
        `${input.torque.text} before and ${output.torque.text} after a ratio of ${formatNumber(gain)} would be an efficiency of ${formatNumber(measured * 100)} %.`,
        { field: `${input.shaft.path}.torque` },
      );
    } else if (Math.abs(measured / assumed - 1) > 0.1) {
      flag(
        'load.readings-differ',
        `By the two torques the train has an efficiency of ${formatNumber(measured * 100)} %, not the ${formatNumber(assumed * 100)} % assumed (${formatQuantity(output.torque.value, 'torque', school)} is used).`,
        { field: `${input.shaft.path}.efficiency` },
      );
    }
  }

  /** Sheave and rim of what sits on the motor shaft. */
  function checkBelt(): void {
    const { sheave } = given.load;
    const { leastSheave, motorSpeed, poles, standardPower } = values;
    const first = job.load.stages[0]?.kind;
    if (first === 'V-belt' && !leastSheave && poles && standardPower) {
      flag(
        'load.no-belt-named',
        `For ${sizeText(standardPower.value, school)} at ${poles.value} poles no least V-belt sheave is known; shaft and bearing may not bear the belt.`,
      );
    }
    const { frame } = nameplate;
    if (first && hangsOnShaft(first) && job.situation.kind !== 'new' && frame && shortShaft(frame)) {
      flag(
        'load.short-shaft-belt',
        `The plate’s frame ${job.nameplate.frame ?? ''} has a short shaft, which must not take a ${first}.`,
        { severity: keepsMotor(job) ? 'stop' : 'caution' },
      );
    }
    if (!sheave) return;
    if (leastSheave && sheave.value < leastSheave.value * 0.995) {
      flag(
        'load.sheave-small',
        `A sheave of ${sheave.text} is smaller than the ${leastSheave.text} this motor bears: the belt’s pull overloads shaft and bearing.`,
        {
          basis: `${leastSheave.working.source}${leastSheave.working.note ? ` (${leastSheave.working.note})` : ''}`,
          clear: `Take a sheave of at least ${leastSheave.text} and a larger one on the machine in the same ratio, or have the maker confirm the shaft.`,
        },
      );
    }
    const rim = motorSpeed && (sheave.value / 2) * motorSpeed.value;
    if (rim && (first === 'V-belt' || first === 'synchronous belt') && rim > practice.rimSpeed.value) {
      flag(
        'load.rim-speed',
        `The rim of the sheave runs at ${formatQuantity(rim, 'velocity', school)}; ordinary cast sheaves and belts are good to ${practice.rimSpeed.text}.`,
      );
    }
  }
}
