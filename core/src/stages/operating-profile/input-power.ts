import type { DesignRules } from '../../job/design-rules.ts';
import { inputFed, leastInputFed, takenOnLine, type LosingMotor, type Taken } from '../../motor/at-part-load.ts';
import { fitOf } from '../../motor/fit-motor.ts';
import type { Motor } from '../../motor/typical.ts';
import type { OptionContext } from '../stage.ts';
import { DRIVE_INPUT } from '../../motor/drive-input.ts';
import { lossShape, referenceLoss, statedLoss, type StatedLosses } from './drive-loss.ts';
import type { FlowPoint, Running } from './flow-control.ts';

/** A motor with what its losses, and those of a drive that feeds it, follow from. */
export interface Fed extends LosingMotor {
  readonly breakdownTorque: number;
  readonly practice: DesignRules;
  /** Share of what passes that a filter between drive and motor turns into heat; none where it is left out. */
  readonly filterLoss?: number;
  /** What the catalogue says of the drive; the reference where it says nothing. */
  readonly stated?: StatedLosses | undefined;
}

/** A motor by its fitted circuit. */
export const fedMotor = (motor: Motor, { given, practice }: OptionContext, guaranteed: boolean): Fed => ({
  ...motor,
  circuit: fitOf(motor, given.starting, practice.fixedLossShare.value)?.circuit,
  fixedShare: practice.fixedLossShare.value,
  guaranteed,
  practice,
});

/** What everything that runs takes, what of it reaches the shafts and what drives lose of it, W. */
export interface Drawn extends Taken {
  readonly shaft: number;
  readonly driveLoss: number;
}

export const NOTHING_DRAWN: Drawn = { input: 0, apparent: 0, shaft: 0, driveLoss: 0 };

/** Electrical input of everything that runs, W and VA; `full` is the shaft power of one machine at full flow. */
export const inputOf = ({ machines }: FlowPoint, motor: Fed, full: number, flux?: 'least'): Drawn =>
  machines.reduce((sum, each) => {
    const one = drawnBy(each, motor, full, flux);
    return {
      input: sum.input + each.count * one.input,
      apparent: sum.apparent + each.count * one.apparent,
      shaft: sum.shaft + each.count * one.shaft,
      driveLoss: sum.driveLoss + each.count * one.driveLoss,
    };
  }, NOTHING_DRAWN);

function drawnBy({ power, speed, onDrive }: Running, motor: Fed, full: number, flux?: 'least'): Drawn {
  const shaft = full * power;
  if (!onDrive) return { ...takenOnLine(motor, shaft), shaft, driveLoss: 0 };
  const { input: behind, driveLoss } = fedBy(motor, shaft, speed, flux);
  const input = behind * (1 + (motor.filterLoss ?? 0)) + driveLoss;
  return { input, apparent: input / DRIVE_INPUT.powerFactor, shaft, driveLoss };
}

/** The same where a drive feeds whatever the control of the flow is, at full speed. */
export const onDrives = (point: FlowPoint): FlowPoint => ({
  ...point,
  machines: point.machines.map((each) => (each.onDrive ? each : { ...each, speed: 1, onDrive: true })),
});

/** What a motor takes behind its drive, and what the drive loses, W. */
function fedBy(
  motor: Fed,
  shaft: number,
  speed: number,
  flux?: 'least',
): { readonly input: number; readonly driveLoss: number } {
  if (speed <= 0) return { input: 0, driveLoss: 0 };
  const usual = inputFed(motor, shaft, speed) ?? shaft;
  const input = flux ? (leastInputFed(motor, shaft, speed, motor.breakdownTorque) ?? usual) : usual;
  // Above base speed the flux falls with it, and the same torque takes more current.
  const current = (shaft / motor.power / speed) * Math.max(1, speed);
  if (motor.stated) return { input, driveLoss: statedLoss(motor.stated, speed, current) };
  const share = motor.practice.driveLossShare.value * lossShape(speed, current);
  return { input, driveLoss: share * referenceLoss(motor.power) };
}
