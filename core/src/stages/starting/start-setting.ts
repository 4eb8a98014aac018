import { complex } from '../../kernel/complex.ts';
import type { Motor } from '../../motor/typical.ts';
import { torqueCurve } from '../load/torque-curve.ts';
import type { OptionContext } from '../stage.ts';
import { startVoltage, type Impedances } from '../supply/source.ts';
import { feedsOf } from './starting-mode.ts';
import { minimumTorqueCurve } from './minimum-torque.ts';
import { dialShare } from './overload-setting.ts';
import { hotAndCold } from './stall-time.ts';
import type { StartSetting } from './run-start.ts';
import type { StartKnown } from './start-known.ts';

/** A supply that gives its voltage whatever is drawn. */
const STIFF: Omit<Impedances, 'voltage'> = {
  internal: complex(0),
  feeder: complex(0),
  other: undefined,
};

/** Everything a start of the motor depends on, as plain data. */
export function startSetting(known: StartKnown): StartSetting {
  const { brief, motor, machine, load, rotor, totalInertia, stall, guaranteed, drive } = known;
  const { job } = brief;
  const ratedTorque = motor.power / motor.speed;
  const curve =
    load.curve ??
    torqueCurve({
      load: job.load,
      torque: ratedTorque,
      speed: motor.speed,
      breakaway: load.values.breakaway.value,
      staticShare: 0,
      table: [],
    });
  const loaded = (load.values.motorPower?.value ?? motor.power) / motor.power;
  const overload = dialOf(motor, brief);
  const loadedHeat = Math.min(1, (loaded * motor.current) / overload) ** 2;
  return {
    circuit: machine.circuit,
    motor: { power: motor.power, speed: motor.speed, current: motor.current, voltage: motor.voltage },
    turning: { speeds: curve.speeds, torques: curve.torques, inertia: totalInertia.value },
    rotorInertia: rotor.value,
    source: sourceAtStart(known),
    ceiling: minimumTorqueCurve(guaranteed, machine.circuit, ratedTorque),
    lockedRotorMost: motor.lockedRotorCurrent,
    feeds: feedsOf(brief, drive, load.values.motorSpeed?.value),
    stallTime: stall.value,
    stalls: hotAndCold(brief),
    tripClass: job.starting.tripClass,
    overload,
    loadedHeat,
    warm: job.starting.hot ? loadedHeat : 0,
  };
}

/** The source with the lowest voltage it may have when the motor is asked to start. */
function sourceAtStart({ brief, motor, machine, supply }: StartKnown): Impedances | undefined {
  const volts = startVoltage(brief.given, motor.voltage);
  if (volts === undefined) return undefined;
  if (supply.source) {
    const { internalValue: _internal, feederValue: _feeder, ...impedances } = supply.source;
    return { ...impedances, voltage: volts };
  }
  return volts === machine.circuit.volts ? undefined : { ...STIFF, voltage: volts };
}

/** What the relay is set to, A: the nameplate current, less for a motor without service factor under the NEC. */
const dialOf = (motor: Motor, { job }: OptionContext): number => motor.current * dialShare(job, motor.serviceFactor);
