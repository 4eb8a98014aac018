import { amount, figures, say } from '../../kernel/text.ts';
import { shortShaft } from '../nameplate/frame.ts';
import { keepsMotor } from './reference-motor.ts';
import { sizeText } from '../../motor/standard-power.ts';
import { isShaftMounted } from './transmission.ts';
import type { CheckedLoad } from './checked-load.ts';

/** Where torque is typed at two shafts, the train between them must account for the difference. */
export function checkTrain({
  transmission,
  job,
  report,
}: Pick<CheckedLoad, 'transmission' | 'job' | 'report' | 'school'>): void {
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
    report(
      'load.train-creates-power',
      say`${input.torque} before and ${output.torque} after a ratio of ${figures(gain)} would be an efficiency of ${figures(measured * 100)} %.`,
      { field: `${input.shaft.path}.torque` },
    );
  } else if (Math.abs(measured / assumed - 1) > 0.1) {
    report(
      'load.readings-differ',
      say`By the two torques the train has an efficiency of ${figures(measured * 100)} %, not the ${figures(assumed * 100)} % assumed (${amount(output.torque.value, 'torque')} is used).`,
      { field: `${input.shaft.path}.efficiency` },
    );
  }
}

/** Sheave and rim of what sits on the motor shaft. */
export function checkBelt({
  given,
  values,
  job,
  report,
  nameplate,
  practice,
}: Pick<CheckedLoad, 'given' | 'values' | 'job' | 'report' | 'school' | 'nameplate' | 'practice'>): void {
  const { sheave } = given.load;
  const { leastSheave, motorSpeed, poles, standardPower } = values;
  const first = job.load.stages[0]?.kind;
  if (first === 'V-belt' && !leastSheave && poles && standardPower) {
    report(
      'load.no-belt-named',
      say`For ${sizeText(standardPower.value)} at ${poles.value} poles no minimum V-belt sheave is tabulated; shaft and bearing may be overloaded.`,
    );
  }
  const { frame } = nameplate;
  if (first && isShaftMounted(first) && job.situation.kind !== 'new' && frame && shortShaft(frame)) {
    report(
      'load.short-shaft-belt',
      `The plate’s frame ${job.nameplate.frame ?? ''} has a short shaft, which must not take a ${first}.`,
      { severity: keepsMotor(job) ? 'stop' : 'caution' },
    );
  }
  if (!sheave) return;
  if (leastSheave && sheave.value < leastSheave.value * 0.995) {
    report(
      'load.sheave-small',
      say`The motor sheave diameter is ${sheave}, minimum ${leastSheave}: the overhung load exceeds the limit of shaft and bearing.`,
      {
        basis: say`${leastSheave.working.source}${leastSheave.working.note ? say` (${leastSheave.working.note})` : ''}`,
        clear: say`Take a sheave of at least ${leastSheave} and a larger one on the machine in the same ratio, or have the maker confirm the shaft.`,
      },
    );
  }
  const rim = motorSpeed && (sheave.value / 2) * motorSpeed.value;
  if (rim && (first === 'V-belt' || first === 'synchronous belt') && rim > practice.rimSpeed.value) {
    report(
      'load.rim-speed',
      say`The sheave rim speed is ${amount(rim, 'velocity')}, limit ${practice.rimSpeed} for cast sheaves.`,
    );
  }
}
