import { say } from '../../kernel/text.ts';
import { type Value } from '../../kernel/value.ts';
import { torqueTyped } from './transmission.ts';
import { loadField, onMotor, loadDefinitionMethods } from './load-definition-methods.ts';
import type { LoadKnown } from './load-known.ts';

export function torqueAtShaft({
  job,
  transmission,
  typed,
  ask,
  curve,
  duty,
  nameplate,
  require,
  ratio,
  drivenSpeed,
  motorSpeed,
  efficiency,
  practice,
  report,
}: Pick<
  LoadKnown,
  | 'job'
  | 'transmission'
  | 'school'
  | 'typed'
  | 'ask'
  | 'curve'
  | 'duty'
  | 'nameplate'
  | 'require'
  | 'ratio'
  | 'drivenSpeed'
  | 'motorSpeed'
  | 'efficiency'
  | 'practice'
  | 'report'
>): Value | undefined {
  const way = loadDefinitionMethods[job.load.way];
  const typedTorque = torqueTyped(transmission);
  for (const [name, words] of way.asks) {
    if (!typed[name] && !(name === 'torque' && typedTorque)) ask(`load.${name}`, words);
  }
  if (job.load.way === 'curve' && curve.length < 2)
    ask('load.curve.0.speed', 'At least two points of torque against speed');
  if (job.load.way === 'duty' && !duty) ask('load.duty.0.torque', 'At least one segment of the duty cycle');
  if (onMotor(job.load.way) && !nameplate.motor)
    require('nameplate.power', 'The plate of the running motor, to read its load off power, amps or slip');
  if (job.load.way === 'current' && !nameplate.voltageKnown) {
    // At 690 V the same amps are twice the load that they are at 400 V.
    require('supply.voltage', 'System voltage: a plate of several voltages says nothing of the load before it is known');
    return undefined;
  }
  if (!ratio) return undefined;
  const found = way.torque({
    job,
    typed,
    speed: drivenSpeed,
    motorSpeed,
    ratio,
    efficiency,
    motor: nameplate.motor,
    fixedShare: practice.fixedLossShare.value,
    typedTorque,
    duty,
    curve,
  });
  if (found && way.error !== '') {
    report(
      onMotor(job.load.way) ? 'load.measured-on-motor' : 'load.estimated',
      onMotor(job.load.way)
        ? say`The load is read off the running motor, ${way.error}. ${found.working.note ?? ''}`
        : `The load is an estimate, ${way.error}.`,
      { basis: found.working.source, field: loadField(job) },
    );
  }
  return found;
}
