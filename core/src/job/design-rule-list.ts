import { KELVIN } from '../kernel/constants.ts';
import type { StageName } from '../kernel/stage-list.ts';
import type { Dimension } from '../kernel/quantity/units.ts';

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
    title: 'Early-failure threshold, years',
    stage: 'situation',
    value: 5,
    dimension: 'count',
    range: [0, 40],
  },
  sizeMargin: {
    title: 'Power margin over the load',
    stage: 'load',
    value: 0,
    dimension: 'fraction',
    range: [0, 1],
  },
  standstillCooling: {
    title: 'Cooling at standstill, of running',
    stage: 'load',
    value: 1 / 3,
    dimension: 'fraction',
    range: [0.05, 1],
  },
  thermalTime: {
    title: 'Motor thermal time constant',
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
    title: 'Maximum sheave rim speed',
    stage: 'load',
    value: 33.02,
    dimension: 'velocity',
    range: [5, 80],
  },
  rollerBearingPower: {
    title: 'Roller bearing for belts, from',
    stage: 'load',
    value: 55_000,
    dimension: 'power',
    range: [1000, 1e6],
  },
  busDip: {
    title: 'Voltage dip limit, shared bus',
    stage: 'supply',
    value: 0.05,
    dimension: 'fraction',
    range: [0.005, 0.5],
  },
  terminalDip: {
    title: 'Voltage dip limit, motor terminals',
    stage: 'supply',
    value: 0.15,
    dimension: 'fraction',
    range: [0.01, 0.5],
  },
  runningDrop: {
    title: 'Feeder voltage drop limit, running',
    stage: 'supply',
    value: 0.03,
    dimension: 'fraction',
    range: [0.002, 0.2],
  },
  generatorDip: {
    title: 'Voltage dip limit, generator',
    stage: 'supply',
    value: 0.2,
    dimension: 'fraction',
    range: [0.01, 0.5],
  },
  lockedRotorPowerFactor: {
    title: 'Locked-rotor power factor',
    stage: 'supply',
    value: 0.3,
    dimension: 'powerFactor',
    range: [0.05, 0.8],
  },
  singlePhaseShare: {
    title: 'Drive output on single-phase supply',
    stage: 'supply',
    value: 0.5,
    dimension: 'fraction',
    range: [0.2, 1],
  },
  driveCaseLimit: {
    title: 'Largest drive with own enclosure',
    stage: 'place',
    value: 15_000,
    dimension: 'power',
    range: [100, 1e6],
  },
  driveAmbient: {
    title: 'Rated ambient of drives',
    stage: 'place',
    value: KELVIN + 40,
    dimension: 'temperature',
    range: [KELVIN + 20, KELVIN + 60],
  },
  driveHeatDerate: {
    title: 'Drive derating per kelvin',
    stage: 'place',
    value: 0.02,
    dimension: 'fraction',
    range: [0, 0.1],
  },
  driveAltitudeDerate: {
    title: 'Drive derating per 100 m',
    stage: 'place',
    value: 0.01,
    dimension: 'fraction',
    range: [0, 0.05],
  },
  wallTransfer: {
    title: 'Cabinet heat transfer coefficient',
    stage: 'place',
    value: 5.5,
    dimension: 'heatTransfer',
    range: [1, 15],
  },
  filterMonthsClean: {
    title: 'Filter interval, clean air, months',
    stage: 'place',
    value: 6,
    dimension: 'count',
    range: [0.25, 24],
  },
  filterMonthsDirty: {
    title: 'Filter interval, dirty air, months',
    stage: 'place',
    value: 1,
    dimension: 'count',
    range: [0.1, 12],
  },
  fixedLossShare: {
    title: 'Fixed share of motor losses',
    stage: 'profile',
    value: 0.35,
    dimension: 'fraction',
    range: [0.1, 0.7],
  },
  driveLossShare: {
    title: 'Drive losses, share of reference',
    stage: 'profile',
    value: 0.45,
    dimension: 'fraction',
    range: [0.1, 1.25],
  },
  driveStandby: {
    title: 'Drive standby loss, of rating',
    stage: 'profile',
    value: 0.002,
    dimension: 'fraction',
    range: [0, 0.05],
  },
  repairShare: {
    title: 'Repair cost limit, share of new',
    stage: 'money',
    value: 0.6,
    dimension: 'fraction',
    range: [0.1, 1],
  },
  driveSavingShare: {
    title: 'Minimum energy saving for a drive',
    stage: 'starting',
    value: 0.1,
    dimension: 'fraction',
    range: [0.01, 0.9],
  },
  torqueMargin: {
    title: 'Minimum accelerating torque margin',
    stage: 'starting',
    value: 0.1,
    dimension: 'fraction',
    range: [0, 1],
  },
  assumedInertia: {
    title: 'Assumed load inertia, × rotor',
    stage: 'starting',
    value: 5,
    dimension: 'count',
    range: [0, 500],
  },
  heatUse: {
    title: 'Thermal capacity limit of a start',
    stage: 'starting',
    value: 0.8,
    dimension: 'fraction',
    range: [0.1, 1],
  },
  softStartCurrent: {
    title: 'Soft-start current limit, × Iₙ',
    stage: 'starting',
    value: 3.5,
    dimension: 'count',
    range: [2, 6],
  },
  leadRule: {
    title: 'Maximum motor cable without filter',
    stage: 'drive',
    value: 30,
    dimension: 'altitude',
    range: [1, 500],
  },
  driveLife: {
    title: 'Drive service life, years',
    stage: 'money',
    value: 11,
    dimension: 'count',
    range: [1, 50],
  },
  driveInstallation: {
    title: 'Drive installation, share of price',
    stage: 'money',
    value: 0.6,
    dimension: 'fraction',
    range: [0, 5],
  },
  discountRate: {
    title: 'Discount rate',
    stage: 'money',
    value: 0.08,
    dimension: 'fraction',
    range: [0, 1],
  },
} as const satisfies Record<string, Rule>;

export type PracticeName = keyof typeof practiceRules;
export const practiceNames = Object.keys(practiceRules) as PracticeName[];
export const ruleOf = (name: PracticeName): Rule => practiceRules[name];
