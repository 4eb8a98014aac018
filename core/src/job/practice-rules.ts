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
  readonly why: string;
  /** What other shops use, and why they do. */
  readonly others: readonly { readonly value: number; readonly whose: string }[];
}

/**
 * The trade’s rules of thumb, each in one place with its default, the reason for it and what others use. SI.
 * None has a published source. A site sets its own; a job overrides one by name under `practice`.
 */
export const practiceRules = {
  earlyLifeYears: {
    title: 'A motor died early under, years',
    stage: 'situation',
    value: 5,
    dimension: 'count',
    range: [0, 40],
    why: 'A motor that died younger than this was killed by something that will kill the next one.',
    others: [
      { value: 3, whose: 'hot, dirty plants that expect short lives' },
      { value: 10, whose: 'shops that rebuild every motor' },
    ],
  },
  sizeMargin: {
    title: 'Margin over the load',
    stage: 'load',
    value: 0,
    dimension: 'fraction',
    range: [0, 1],
    why: 'The next standard size is margin enough in a clean, cool place; heat and dirt want more.',
    others: [
      { value: 0.1, whose: 'where the load is estimated, not measured' },
      { value: 0.25, whose: 'hot or dirty places' },
    ],
  },
  standstillCooling: {
    title: 'Cooling while standing, of running',
    stage: 'load',
    value: 1 / 3,
    dimension: 'fraction',
    range: [0.05, 1],
    why: 'A motor that cools itself by its own fan loses heat slowly while it stands.',
    others: [
      { value: 0.25, whose: 'totally enclosed motors, the cautious figure' },
      { value: 1, whose: 'motors with a blower of their own' },
    ],
  },
  thermalTime: {
    title: 'Thermal time constant of the motor',
    stage: 'load',
    value: 1800,
    dimension: 'duration',
    range: [60, 43_200],
    why: 'A duty cycle that is not short against it makes the motor hotter than its RMS torque says.',
    others: [
      { value: 900, whose: 'small or open motors' },
      { value: 3600, whose: 'large enclosed motors' },
    ],
  },
  runningDip: {
    title: 'Voltage dip to ride through',
    stage: 'load',
    value: 0.1,
    dimension: 'fraction',
    range: [0, 0.5],
    why: 'The peak torque must be there while another motor starts on the same bus; torque falls with voltage squared.',
    others: [
      { value: 0.05, whose: 'stiff supplies' },
      { value: 0.2, whose: 'generator sets' },
    ],
  },
  rimSpeed: {
    title: 'Rim of a belt sheave, at most',
    stage: 'load',
    value: 33.02,
    dimension: 'velocity',
    range: [5, 80],
    why: 'Ordinary cast sheaves and belts are good to about 6500 ft/min; faster ones are made and balanced for it.',
    others: [
      { value: 25.4, whose: 'old or unmarked sheaves' },
      { value: 40.64, whose: 'sheaves marked and balanced for it' },
    ],
  },
  rollerBearingPower: {
    title: 'Roller bearing under a belt from',
    stage: 'load',
    value: 55_000,
    dimension: 'power',
    range: [1000, 1e6],
    why: 'From about this size the pull of V-belts shortens the life of a ball bearing at the drive end.',
    others: [
      { value: 37_000, whose: 'small sheaves, tight belts' },
      { value: 110_000, whose: 'large sheaves only' },
    ],
  },
  busDip: {
    title: 'Dip allowed at the shared bus',
    stage: 'supply',
    value: 0.05,
    dimension: 'fraction',
    range: [0.005, 0.5],
    why: 'Other users of the bus notice a dip above about 5 %.',
    others: [
      { value: 0.03, whose: 'buses that also feed lighting or offices' },
      { value: 0.1, whose: 'buses of motors only' },
    ],
  },
  terminalDip: {
    title: 'Dip allowed at the motor terminals',
    stage: 'supply',
    value: 0.15,
    dimension: 'fraction',
    range: [0.01, 0.5],
    why: 'Below 85 % contactors chatter and the torque left is under three quarters.',
    others: [
      { value: 0.1, whose: 'hard starts' },
      { value: 0.2, whose: 'easy starts at the end of a long cable' },
    ],
  },
  runningDrop: {
    title: 'Drop allowed in the feeder while running',
    stage: 'supply',
    value: 0.03,
    dimension: 'fraction',
    range: [0.002, 0.2],
    why: 'What is lost in the feeder is missing at the motor all its life, as torque and as warmth.',
    others: [
      { value: 0.05, whose: 'plants that count the whole way from the transformer' },
      { value: 0.02, whose: 'long hours and dear energy' },
    ],
  },
  generatorDip: {
    title: 'Dip allowed on a generator',
    stage: 'supply',
    value: 0.2,
    dimension: 'fraction',
    range: [0.01, 0.5],
    why: 'A generator set recovers from a 20 % dip; below that its own contactors drop out.',
    others: [
      { value: 0.15, whose: 'sets that also feed electronics' },
      { value: 0.3, whose: 'sets that feed this motor alone' },
    ],
  },
  lockedRotorPowerFactor: {
    title: 'Power factor of a standing motor',
    stage: 'supply',
    value: 0.3,
    dimension: 'powerFactor',
    range: [0.05, 0.8],
    why: 'A motor at standstill is mostly reactance; larger ones even more.',
    others: [
      { value: 0.4, whose: 'motors under about 15 kW' },
      { value: 0.2, whose: 'motors over about 150 kW' },
    ],
  },
  singlePhaseShare: {
    title: 'Drive output left on single phase',
    stage: 'supply',
    value: 0.5,
    dimension: 'fraction',
    range: [0.2, 1],
    why: 'Rectifier and capacitors carry √3 times the current and twice the ripple.',
    others: [{ value: 0.35, whose: 'drives without a choke' }],
  },
  driveCaseLimit: {
    title: 'Drive in a case of its own up to',
    stage: 'place',
    value: 15_000,
    dimension: 'power',
    range: [100, 1e6],
    why: 'To about 15 kW a drive may carry its own washdown case; above it goes into a cabinet.',
    others: [{ value: 7500, whose: 'shops that want drives in one clean room' }],
  },
  driveAmbient: {
    title: 'Ambient a drive is rated for',
    stage: 'place',
    value: KELVIN + 40,
    dimension: 'temperature',
    range: [KELVIN + 20, KELVIN + 60],
    why: 'Most open drives give full current up to 40 °C; the catalogue’s own figure is used for the pick.',
    others: [{ value: KELVIN + 50, whose: 'drives sold for hot places' }],
  },
  driveHeatDerate: {
    title: 'Drive current lost per kelvin above',
    stage: 'place',
    value: 0.02,
    dimension: 'fraction',
    range: [0, 0.1],
    why: 'The heat sink has that much less to give.',
    others: [{ value: 0.01, whose: 'oversized heat sinks' }],
  },
  driveAltitudeDerate: {
    title: 'Drive current lost per 100 m over 1000 m',
    stage: 'place',
    value: 0.01,
    dimension: 'fraction',
    range: [0, 0.05],
    why: 'Thin air carries less heat: 1 % per 100 m, or half a kelvin less ambient.',
    others: [{ value: 0.005, whose: 'drives with large heat sinks' }],
  },
  wallTransfer: {
    title: 'Heat through a cabinet wall',
    stage: 'place',
    value: 5.5,
    dimension: 'heatTransfer',
    range: [1, 15],
    why: 'Painted sheet steel in still air passes about 5.5 W per square metre and kelvin.',
    others: [
      { value: 3.5, whose: 'plastic cabinets' },
      { value: 12, whose: 'aluminium in moving air' },
    ],
  },
  filterMonthsClean: {
    title: 'Filter change in clean air, months',
    stage: 'place',
    value: 6,
    dimension: 'count',
    range: [0.25, 24],
    why: 'A clogged filter cooks the drive; half a year is what clean rooms get away with.',
    others: [{ value: 12, whose: 'filtered, pressurised rooms' }],
  },
  filterMonthsDirty: {
    title: 'Filter change in dirty air, months',
    stage: 'place',
    value: 1,
    dimension: 'count',
    range: [0.1, 12],
    why: 'Dust and fibres close a mat in weeks.',
    others: [{ value: 0.5, whose: 'fibre and flour' }],
  },
  fixedLossShare: {
    title: 'Fixed share of the motor’s loss',
    stage: 'profile',
    value: 0.35,
    dimension: 'fraction',
    range: [0.1, 0.7],
    why: 'Share of full-load motor loss that does not change with load: iron, friction, windage.',
    others: [{ value: 0.45, whose: 'two-pole motors with large fans' }],
  },
  driveLossShare: {
    title: 'Loss of a drive, of the reference',
    stage: 'profile',
    value: 0.45,
    dimension: 'fraction',
    range: [0.1, 1.25],
    why: 'Drives made today lose about 45 % of what the standard’s reference drive loses; its limit for sale is 75 %.',
    others: [{ value: 0.75, whose: 'the limit of IE2, the cautious figure' }],
  },
  driveStandby: {
    title: 'Taken by a drive that waits, of its rating',
    stage: 'profile',
    value: 0.002,
    dimension: 'fraction',
    range: [0, 0.05],
    why: 'Controls, fan and precharge of a drive that stays switched on while the motor stands.',
    others: [{ value: 0, whose: 'where the line contactor opens with the motor' }],
  },
  repairShare: {
    title: 'Repair up to this share of a new motor',
    stage: 'money',
    value: 0.6,
    dimension: 'fraction',
    range: [0.1, 1],
    why: 'Dearer repairs of standard motors seldom come back in what is left of their life.',
    others: [
      { value: 0.5, whose: 'plants with a stock of spares' },
      { value: 0.65, whose: 'large motors' },
    ],
  },
  driveSavingShare: {
    title: 'A drive is worth it from a saving of',
    stage: 'starting',
    value: 0.1,
    dimension: 'fraction',
    range: [0.01, 0.9],
    why: 'Below this share of the energy saved a drive is seldom worth its upkeep.',
    others: [{ value: 0.2, whose: 'plants short of electricians' }],
  },
  torqueMargin: {
    title: 'Torque over the load while starting',
    stage: 'starting',
    value: 0.1,
    dimension: 'fraction',
    range: [0, 1],
    why: 'A tenth of rated torque over the load all the way up keeps a start from sticking in the saddle.',
    others: [{ value: 0.25, whose: 'loads that stiffen in the cold' }],
  },
  assumedInertia: {
    title: 'Inertia of the load, × rotor, where not typed',
    stage: 'starting',
    value: 5,
    dimension: 'count',
    range: [0, 500],
    why: 'Only a stand-in: the time and heat of a start go with it. Ask the maker of the machine.',
    others: [
      { value: 1, whose: 'pumps and mixers' },
      { value: 25, whose: 'fans, centrifuges, flywheels' },
    ],
  },
  heatUse: {
    title: 'Heat of a start, of what the rotor bears',
    stage: 'starting',
    value: 0.8,
    dimension: 'fraction',
    range: [0.1, 1],
    why: 'A fifth is kept for the next start and for what is not known of the motor.',
    others: [{ value: 1, whose: 'one start a day, from cold' }],
  },
  softStartCurrent: {
    title: 'Soft starter current limit, × rated',
    stage: 'starting',
    value: 3.5,
    dimension: 'count',
    range: [2, 6],
    why: 'Current limit of a soft starter as a multiple of full-load current that starts most loads.',
    others: [
      { value: 3, whose: 'unloaded starts' },
      { value: 4.5, whose: 'high inertia' },
    ],
  },
  driveInstallation: {
    title: 'Installing a drive, share of its price',
    stage: 'money',
    value: 0.6,
    dimension: 'fraction',
    range: [0, 5],
    why: 'Labour, cable and commissioning of a drive as a share of its price.',
    others: [{ value: 1, whose: 'contractors’ prices' }],
  },
  discountRate: {
    title: 'Discount rate a year',
    stage: 'money',
    value: 0.08,
    dimension: 'fraction',
    range: [0, 1],
    why: 'What money is worth to the plant: what comes later counts for less. With inflation or without, as the prices are.',
    others: [
      { value: 0.04, whose: 'public owners' },
      { value: 0.15, whose: 'plants with better uses for it' },
    ],
  },
} as const satisfies Record<string, Rule>;

export type PracticeName = keyof typeof practiceRules;
export const practiceNames = Object.keys(practiceRules) as PracticeName[];
export const ruleOf = (name: PracticeName): Rule => practiceRules[name];
