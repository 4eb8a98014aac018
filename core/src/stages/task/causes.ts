import type { Job } from '../../job/job.ts';
import type { CauseId } from './cause-ids.ts';

type Mode = NonNullable<Job['situation']['failureMode']>;

/** What a cause, once proved, changes in the selection. */
export interface Remedy {
  /** Lines for the order and the sheet. */
  readonly order: readonly string[];
  /** A closed motor is needed: open drip-proof is ruled out. */
  readonly closed?: true;
  readonly inverterDuty?: true;
  /** The plate’s size was too small: take the next standard size, unless the load is known. */
  readonly larger?: true;
}

export interface Cause {
  readonly id: CauseId;
  readonly name: string;
  readonly modes: readonly Mode[];
  /** The reading or input that proves or clears it. */
  readonly proof: string;
  /** The field where that reading is typed. */
  readonly field: string;
  /** Further entries that speak for it or against it. */
  readonly also?: readonly string[];
  readonly remedy: Remedy;
}

const windings = ['winding phase to phase', 'ground', 'unknown'] as const;
const bearings = ['bearing', 'unknown'] as const;

/** Causes of early failure and what each entails. All of it is common practice without a published source. */
export const causes: readonly Cause[] = [
  {
    id: 'heat',
    name: 'Heat where it stands',
    modes: [...windings, 'bearing'],
    proof: 'Hottest ambient at the motor',
    field: 'place.ambient',
    remedy: {
      closed: true,
      order: ['thermal class F or H with a class B rise', 'thermistors in the winding'],
    },
  },
  {
    id: 'overload',
    name: 'Overload',
    modes: [...windings, 'rotor', 'shaft'],
    proof: 'Running current against the plate',
    field: 'situation.runningCurrent',
    remedy: {
      larger: true,
      order: ['service factor 1.15 kept as a reserve', 'overload relay set to the plate current'],
    },
  },
  {
    id: 'single-phasing',
    name: 'A lost phase',
    modes: ['winding single-phased', 'winding phase to phase', 'rotor', 'unknown'],
    proof: 'Two of three phase groups burnt; a blown fuse or a worn contact',
    field: 'situation.failureMode',
    remedy: { order: ['overload relay that trips on a lost phase', 'fuses and contacts checked before the start'] },
  },
  {
    id: 'unbalance',
    name: 'Unbalanced voltage',
    modes: ['winding single-phased', ...windings],
    proof: 'Three line voltages at the motor',
    field: 'supply.phaseVoltages',
    remedy: { order: ['overload relay that trips on unbalance', 'supply corrected before the start'] },
  },
  {
    id: 'belt-tension',
    name: 'Belt too tight or sheave too small',
    modes: [...bearings, 'shaft'],
    proof: 'How it drives its load; belt tension and sheave diameter',
    field: 'situation.coupledBy',
    remedy: { order: ['roller bearing at the drive end', 'belt tension measured when commissioned'] },
  },
  {
    id: 'misalignment',
    name: 'Misalignment',
    modes: [...bearings, 'shaft'],
    proof: 'Alignment record of the coupling',
    field: 'situation.coupledBy',
    remedy: { order: ['coupling aligned and vibration recorded when commissioned'] },
  },
  {
    id: 'drive-currents',
    name: 'Bearing currents from a drive',
    modes: bearings,
    proof: 'Runs on a drive; fluting in the races',
    field: 'situation.onDrive',
    remedy: { inverterDuty: true, order: ['shaft grounding ring', 'insulated bearing opposite the drive end'] },
  },
  {
    id: 'voltage-peaks',
    name: 'Voltage peaks from a drive',
    modes: windings,
    proof: 'Runs on a drive; length of the motor cable',
    field: 'situation.onDrive',
    remedy: { inverterDuty: true, order: ['winding to MG 1 Part 31', 'dV/dt filter where the cable is long'] },
  },
  {
    id: 'moisture',
    name: 'Water or damp',
    modes: [...windings, 'bearing'],
    proof: 'Insulation resistance; water at the place',
    field: 'situation.insulationResistance',
    also: ['place.water'],
    remedy: { closed: true, order: ['space heater', 'drain holes at the lowest point', 'shaft seals'] },
  },
  {
    id: 'dirt',
    name: 'Dirt in the cooling path',
    modes: [...windings, 'bearing'],
    proof: 'Dust at the place; fan cover and fins',
    field: 'place.dust',
    remedy: { closed: true, order: ['cleaning of fins and fan cover as a yearly task'] },
  },
  {
    id: 'grease',
    name: 'Wrong or mixed grease, or too much',
    modes: bearings,
    proof: 'What it was greased with, and with what its plate names',
    field: 'situation.greasedWith',
    remedy: { order: ['grease named on a tag at the motor', 'greasing interval set'] },
  },
  {
    id: 'starts',
    name: 'Too many starts',
    modes: [...windings, 'rotor', 'shaft'],
    proof: 'Starts an hour against the table',
    field: 'situation.startsPerHour',
    remedy: { order: ['starts an hour limited in the control', 'thermistors in the winding'] },
  },
];
