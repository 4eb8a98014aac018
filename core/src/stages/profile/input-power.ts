import { inputOnDrive, inputOnLine } from '../../motor/part-load.ts';
import { horsepowerOf } from '../../motor/standard-power.ts';
import type { Motor } from '../../motor/typical.ts';
import type { FlowPoint } from './flow-control.ts';
import type { Practice } from '../../job/practice.ts';
import { driveEfficiency } from '../../ground/tables/index.ts';

const LOADS = [
  [0.016, 'l1_6'],
  [0.125, 'l12_5'],
  [0.25, 'l25'],
  [0.42, 'l42'],
  [0.5, 'l50'],
  [0.75, 'l75'],
  [1, 'l100'],
] as const;

/** Efficiency of a PWM drive at a share of its rated output: public tip-sheet table, interpolated (recalled from memory). */
export function driveEfficiencyAt(hp: number, load: number): number {
  const rows = driveEfficiency.rows;
  const row = rows.findLast((each) => Number(each['hp']) <= hp) ?? rows[0];
  const at = (column: string) => (driveEfficiency.number(row, column) ?? 95) / 100;
  const above = LOADS.findIndex(([share]) => share >= load);
  if (above === 0) return at(LOADS[0][1]);
  const high = LOADS[above] ?? LOADS[LOADS.length - 1];
  const low = LOADS[above - 1];
  if (!high || !low) return at('l100');
  const part = (load - low[0]) / (high[0] - low[0]);
  return at(low[1]) + part * (at(high[1]) - at(low[1]));
}

/** Electrical input of everything that runs, W; `full` is the shaft power of one machine at full flow. */
export function inputOf({ machines }: FlowPoint, motor: Motor, full: number, practice: Practice): number {
  let input = 0;
  for (const { count, power, speed, onDrive } of machines)
    input +=
      count *
      (onDrive
        ? driveInput(motor, full * power, speed, practice)
        : inputOnLine(motor, full * power, practice.fixedLossShare.value));
  return input;
}

/** The same where a drive feeds whatever the control of the flow is, at full speed. */
export const onDrives = (point: FlowPoint): FlowPoint => ({
  ...point,
  machines: point.machines.map((each) => (each.onDrive ? each : { ...each, speed: 1, onDrive: true })),
});

/** Electrical input ahead of the drive, W. */
export function driveInput(motor: Motor, shaft: number, speed: number, practice: Practice): number {
  if (speed <= 0) return 0;
  const motorInput = inputOnDrive(motor, shaft, speed, practice.fixedLossShare.value);
  const efficiency = driveEfficiencyAt(horsepowerOf(motor.power), motorInput / (motor.power / motor.efficiency));
  return motorInput / efficiency;
}
