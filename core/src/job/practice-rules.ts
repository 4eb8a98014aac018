import { KELVIN } from '../ground/constants.ts';
import type { StageName } from '../ground/stage-names.ts';
import type { Dimension } from '../ground/quantity/units.ts';

export interface Rule {
  readonly title: string;
  /** The stage whose sheet shows it. */
  readonly stage: StageName;
  readonly value: number;
  readonly dimension: Dimension;
  readonly range: readonly [number, number];
}

/**
 * The trade’s rules of thumb, each with its default; the reason for it and what others use stand in practice-reasons.ts, which a page
 * need not bring. SI.
 * None has a published source. A site sets its own; a job overrides one by name under `practice`.
 */
export const practiceRules = {
  earlyLifeYears: {
    title: 'A motor died early under, years',
    stage: 'situation',
    value: 5,
    dimension: 'count',
    range: [0, 40],
  },
  sizeMargin: {
    title: 'Margin over the load',
    stage: 'load',
    value: 0,
    dimension: 'fraction',
    range: [0, 1],
  },
  standstillCooling: {
    title: 'Cooling while standing, of running',
    stage: 'load',
    value: 1 / 3,
    dimension: 'fraction',
    range: [0.05, 1],
  },
  thermalTime: {
    title: 'Thermal time constant of the motor',
    stage: 'load',
    value: 1800,
    dimension: 'duration',
    range: [60, 43_200],
  },
  runningDip: {
    title: 'Voltage dip to ride through',
    stage: 'load',
    value: 0.1,
    dimension: 'fraction',
    range: [0, 0.5],
  },
  rimSpeed: {
    title: 'Rim of a belt sheave, at most',
    stage: 'load',
    value: 33.02,
    dimension: 'velocity',
    range: [5, 80],
  },
  rollerBearingPower: {
    title: 'Roller bearing under a belt from',
    stage: 'load',
    value: 55_000,
    dimension: 'power',
    range: [1000, 1e6],
  },
  busDip: {
    title: 'Dip allowed at the shared bus',
    stage: 'supply',
    value: 0.05,
    dimension: 'fraction',
    range: [0.005, 0.5],
  },
  terminalDip: {
    title: 'Dip allowed at the motor terminals',
    stage: 'supply',
    value: 0.15,
    dimension: 'fraction',
    range: [0.01, 0.5],
  },
  runningDrop: {
    title: 'Drop allowed in the feeder while running',
    stage: 'supply',
    value: 0.03,
    dimension: 'fraction',
    range: [0.002, 0.2],
  },
  generatorDip: {
    title: 'Dip allowed on a generator',
    stage: 'supply',
    value: 0.2,
    dimension: 'fraction',
    range: [0.01, 0.5],
  },
  lockedRotorPowerFactor: {
    title: 'Power factor of a standing motor',
    stage: 'supply',
    value: 0.3,
    dimension: 'powerFactor',
    range: [0.05, 0.8],
  },
  singlePhaseShare: {
    title: 'Drive output left on single phase',
    stage: 'supply',
    value: 0.5,
    dimension: 'fraction',
    range: [0.2, 1],
  },
  driveCaseLimit: {
    title: 'Drive in a case of its own up to',
    stage: 'place',
    value: 15_000,
    dimension: 'power',
    range: [100, 1e6],
  },
  driveAmbient: {
    title: 'Ambient a drive is rated for',
    stage: 'place',
    value: KELVIN + 40,
    dimension: 'temperature',
    range: [KELVIN + 20, KELVIN + 60],
  },
  driveHeatDerate: {
    title: 'Drive current lost per kelvin above',
    stage: 'place',
    value: 0.02,
    dimension: 'fraction',
    range: [0, 0.1],
  },
  driveAltitudeDerate: {
    title: 'Drive current lost per 100 m over 1000 m',
    stage: 'place',
    value: 0.01,
    dimension: 'fraction',
    range: [0, 0.05],
  },
  wallTransfer: {
    title: 'Heat through a cabinet wall',
    stage: 'place',
    value: 5.5,
    dimension: 'heatTransfer',
    range: [1, 15],
  },
  filterMonthsClean: {
    title: 'Filter change in clean air, months',
    stage: 'place',
    value: 6,
    dimension: 'count',
    range: [0.25, 24],
  },
  filterMonthsDirty: {
    title: 'Filter change in dirty air, months',
    stage: 'place',
    value: 1,
    dimension: 'count',
    range: [0.1, 12],
  },
  fixedLossShare: {
    title: 'Fixed share of the motor’s loss',
    stage: 'profile',
    value: 0.35,
    dimension: 'fraction',
    range: [0.1, 0.7],
  },
  driveLossShare: {
    title: 'Loss of a drive, of the reference',
    stage: 'profile',
    value: 0.45,
    dimension: 'fraction',
    range: [0.1, 1.25],
  },
  driveStandby: {
    title: 'Taken by a drive that waits, of its rating',
    stage: 'profile',
    value: 0.002,
    dimension: 'fraction',
    range: [0, 0.05],
  },
  repairShare: {
    title: 'Repair up to this share of a new motor',
    stage: 'money',
    value: 0.6,
    dimension: 'fraction',
    range: [0.1, 1],
  },
  driveSavingShare: {
    title: 'A drive is worth it from a saving of',
    stage: 'starting',
    value: 0.1,
    dimension: 'fraction',
    range: [0.01, 0.9],
  },
  torqueMargin: {
    title: 'Torque over the load while starting',
    stage: 'starting',
    value: 0.1,
    dimension: 'fraction',
    range: [0, 1],
  },
  assumedInertia: {
    title: 'Inertia of the load, × rotor, where not typed',
    stage: 'starting',
    value: 5,
    dimension: 'count',
    range: [0, 500],
  },
  heatUse: {
    title: 'Heat of a start, of what the rotor bears',
    stage: 'starting',
    value: 0.8,
    dimension: 'fraction',
    range: [0.1, 1],
  },
  softStartCurrent: {
    title: 'Soft starter current limit, × rated',
    stage: 'starting',
    value: 3.5,
    dimension: 'count',
    range: [2, 6],
  },
  leadRule: {
    title: 'Cable to the motor without a filter, at most',
    stage: 'drive',
    value: 30,
    dimension: 'altitude',
    range: [1, 500],
  },
  driveLife: {
    title: 'A drive lives about, years',
    stage: 'money',
    value: 11,
    dimension: 'count',
    range: [1, 50],
  },
  driveInstallation: {
    title: 'Installing a drive, share of its price',
    stage: 'money',
    value: 0.6,
    dimension: 'fraction',
    range: [0, 5],
  },
  discountRate: {
    title: 'Discount rate a year',
    stage: 'money',
    value: 0.08,
    dimension: 'fraction',
    range: [0, 1],
  },
} as const satisfies Record<string, Rule>;

export type PracticeName = keyof typeof practiceRules;
export const practiceNames = Object.keys(practiceRules) as PracticeName[];
export const ruleOf = (name: PracticeName): Rule => practiceRules[name];
