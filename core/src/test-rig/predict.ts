import { inputFed, leastInputFed, takenOnLine, type LosingMotor } from '../motor/at-part-load.ts';
import { fitOf } from '../motor/fit-motor.ts';
import type { Motor } from '../motor/typical.ts';
import { lossShape, referenceLoss } from '../stages/operating-profile/drive-loss.ts';
import { powerAt } from '../stages/operating-profile/flow-machine.ts';
import { HORSEPOWER } from '../kernel/quantity/units.ts';
import { practiceRules } from '../job/design-rule-list.ts';
import type { JobInput } from '../job/job.ts';
import { benchMotors } from './bench-motor.ts';
import { RIG_FLOW, RIG_POWER, rigMachine, type RigSetting } from './rig.ts';
import type { Readings } from './registers.ts';

/** A motor of the rig as its plate tells it: all that the engine knows. */
function plateMotor({ oversized }: RigSetting): LosingMotor & Motor {
  const { plate } = oversized ? benchMotors.oversized : benchMotors.fitting;
  const motor: Motor = {
    label: 'the rig’s motor',
    kind: 'plate',
    power: plate.power,
    voltage: plate.volts,
    frequency: plate.hertz,
    poles: plate.poles,
    speed: (plate.rpm * Math.PI) / 30,
    current: plate.amperes,
    efficiency: plate.efficiency,
    efficiencyMinimum: plate.efficiency,
    powerFactor: plate.powerFactor,
    serviceFactor: 1,
    lockedRotorCurrent: plate.lockedRotorAmperes,
    lockedRotorCurrentLeast: plate.lockedRotorAmperes,
    lockedRotorTorque: plate.lockedRotorTorque,
    breakdownTorque: plate.breakdownTorque,
  };
  const fixedShare = practiceRules.fixedLossShare.value;
  const circuit = fitOf(motor, {}, fixedShare)?.circuit;
  return { ...motor, circuit, fixedShare, guaranteed: false };
}

/** Watts that the engine expects of both blowers: the first by its flow, the second by its speed. */
export function predictedWatts(setting: RigSetting, flow: number): readonly [damped: number, driven: number] {
  const motor = plateMotor(setting);
  const damped = (RIG_POWER * powerAt(rigMachine, flow, 1)) / powerAt(rigMachine, 1, 1);
  const shaft = RIG_POWER * setting.speed ** 3;
  const fed = setting.leastFlux
    ? leastInputFed(motor, shaft, setting.speed, motor.breakdownTorque)
    : inputFed(motor, shaft, setting.speed);
  const loss =
    practiceRules.driveLossShare.value *
    referenceLoss(motor.power) *
    lossShape(setting.speed, shaft / motor.power / setting.speed);
  return [takenOnLine(motor, damped).input, (fed ?? shaft) + loss];
}

/** A job from what the meters of the damped blower say: its motor kept, its load by the power it takes, its flow as measured. */
export function jobOfReadings({ oversized }: RigSetting, { watts, flow }: Readings): JobInput {
  const { plate } = oversized ? benchMotors.oversized : benchMotors.fitting;
  return {
    tag: 'RIG-1',
    title: 'Blower of the rig, with its damper',
    school: 'NEMA',
    situation: { kind: 'drive' },
    nameplate: {
      power: `${Number((plate.power / HORSEPOWER).toPrecision(3))} hp`,
      voltages: String(plate.volts),
      currents: String(plate.amperes),
      frequency: String(plate.hertz),
      speed: String(plate.rpm),
      efficiency: (plate.efficiency * 100).toFixed(1),
      powerFactor: (plate.powerFactor * 100).toFixed(0),
    },
    load: {
      way: 'input power',
      machine: 'fan',
      torqueKind: 'variable',
      inputPower: `${(watts / 1000).toFixed(2)} kW`,
      speed: String(plate.rpm),
    },
    supply: { voltage: '480 V', frequency: '60 Hz' },
    profile: {
      control: 'damper',
      measuredFlow: `${(flow * 100).toFixed(1)} %`,
      fullFlow: `${RIG_FLOW} m³/s`,
      points: [{ flow: `${(flow * 100).toFixed(1)} %`, hours: '4000 h' }],
    },
  };
}
