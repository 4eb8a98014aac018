import { shortShaft } from '../nameplate/frame.ts';
import { keepsMotor } from './reference-motor.ts';
import { sizeText } from '../../motor/standard-power.ts';
import { formatNumber, formatQuantity } from '../../ground/quantity/format.ts';
import { hangsOnShaft } from './transmission.ts';
import type { CheckedLoad } from './checked-load.ts';

/** Where torque is typed at two shafts, the train between them must account for the difference. */
export function checkTrain({
  transmission,
  job,
  flag,
  school,
}: Pick<CheckedLoad, 'transmission' | 'job' | 'flag' | 'school'>): void {
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
export function checkBelt({
  given,
  values,
  job,
  flag,
  school,
  nameplate,
  practice,
}: Pick<CheckedLoad, 'given' | 'values' | 'job' | 'flag' | 'school' | 'nameplate' | 'practice'>): void {
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
