import { KELVIN } from '../kernel/constants.ts';
import type { PracticeName } from './design-rule-list.ts';

interface Reason {
  readonly why: string;
  /** What other shops use, and why they do. */
  readonly others: readonly { readonly value: number; readonly whose: string }[];
}

/** Why every rule of thumb is as it is, and what others use; SI. None has a published source. */
export const practiceReasons: Readonly<Record<PracticeName, Reason>> = {
  earlyLifeYears: {
    why: 'A motor that died younger than this was killed by something that will kill the next one.',
    others: [
      { value: 3, whose: 'hot, dirty plants that expect short lives' },
      { value: 10, whose: 'shops that rebuild every motor' },
    ],
  },
  sizeMargin: {
    why: 'The next standard size is margin enough in a clean, cool place; heat and dirt want more.',
    others: [
      { value: 0.1, whose: 'where the load is estimated, not measured' },
      { value: 0.25, whose: 'hot or dirty places' },
    ],
  },
  standstillCooling: {
    why: 'A motor that cools itself by its own fan loses heat slowly while it stands.',
    others: [
      { value: 0.25, whose: 'totally enclosed motors, the cautious figure' },
      { value: 1, whose: 'motors with a blower of their own' },
    ],
  },
  thermalTime: {
    why: 'A duty cycle that is not short against it makes the motor hotter than its RMS torque says.',
    others: [
      { value: 900, whose: 'small or open motors' },
      { value: 3600, whose: 'large enclosed motors' },
    ],
  },
  runningDip: {
    why: 'The peak torque must be there while another motor starts on the same bus; torque falls with voltage squared.',
    others: [
      { value: 0.05, whose: 'stiff supplies' },
      { value: 0.2, whose: 'generator sets' },
    ],
  },
  rimSpeed: {
    why: 'Ordinary cast sheaves and belts are good to about 6500 ft/min; faster ones are made and balanced for it.',
    others: [
      { value: 25.4, whose: 'old or unmarked sheaves' },
      { value: 40.64, whose: 'sheaves marked and balanced for it' },
    ],
  },
  rollerBearingPower: {
    why: 'From about this size the pull of V-belts shortens the life of a ball bearing at the drive end.',
    others: [
      { value: 37_000, whose: 'small sheaves, tight belts' },
      { value: 110_000, whose: 'large sheaves only' },
    ],
  },
  busDip: {
    why: 'Other users of the bus notice a dip above about 5 %.',
    others: [
      { value: 0.03, whose: 'buses that also feed lighting or offices' },
      { value: 0.1, whose: 'buses of motors only' },
    ],
  },
  terminalDip: {
    why: 'Below 85 % contactors chatter and the torque left is under three quarters.',
    others: [
      { value: 0.1, whose: 'hard starts' },
      { value: 0.2, whose: 'easy starts at the end of a long cable' },
    ],
  },
  runningDrop: {
    why: 'What is lost in the feeder is missing at the motor all its life, as torque and as warmth.',
    others: [
      { value: 0.05, whose: 'plants that count the whole way from the transformer' },
      { value: 0.02, whose: 'long hours and dear energy' },
    ],
  },
  generatorDip: {
    why: 'A generator set recovers from a 20 % dip; below that its own contactors drop out.',
    others: [
      { value: 0.15, whose: 'sets that also feed electronics' },
      { value: 0.3, whose: 'sets that feed this motor alone' },
    ],
  },
  lockedRotorPowerFactor: {
    why: 'A motor at standstill is mostly reactance; larger ones even more.',
    others: [
      { value: 0.4, whose: 'motors under about 15 kW' },
      { value: 0.2, whose: 'motors over about 150 kW' },
    ],
  },
  singlePhaseShare: {
    why: 'Rectifier and capacitors carry √3 times the current and twice the ripple.',
    others: [{ value: 0.35, whose: 'drives without a choke' }],
  },
  driveCaseLimit: {
    why: 'To about 15 kW a drive may carry its own washdown case; above it goes into a cabinet.',
    others: [{ value: 7500, whose: 'shops that want drives in one clean room' }],
  },
  driveAmbient: {
    why: 'Most open drives give full current up to 40 °C; the catalogue’s own figure is used for the pick.',
    others: [{ value: KELVIN + 50, whose: 'drives sold for hot places' }],
  },
  driveHeatDerate: {
    why: 'The heat sink has that much less to give.',
    others: [{ value: 0.01, whose: 'oversized heat sinks' }],
  },
  driveAltitudeDerate: {
    why: 'Thin air carries less heat: 1 % per 100 m, or half a kelvin less ambient.',
    others: [{ value: 0.005, whose: 'drives with large heat sinks' }],
  },
  wallTransfer: {
    why: 'Painted sheet steel in still air passes about 5.5 W per square metre and kelvin.',
    others: [
      { value: 3.5, whose: 'plastic cabinets' },
      { value: 12, whose: 'aluminium in moving air' },
    ],
  },
  filterMonthsClean: {
    why: 'A clogged filter cooks the drive; half a year is what clean rooms get away with.',
    others: [{ value: 12, whose: 'filtered, pressurised rooms' }],
  },
  filterMonthsDirty: {
    why: 'Dust and fibres close a mat in weeks.',
    others: [{ value: 0.5, whose: 'fibre and flour' }],
  },
  fixedLossShare: {
    why: 'Share of full-load motor loss that does not change with load: iron, friction, windage.',
    others: [{ value: 0.45, whose: 'two-pole motors with large fans' }],
  },
  driveLossShare: {
    why: 'Drives made today lose about 45 % of what the standard’s reference drive loses; its limit for sale is 75 %.',
    others: [{ value: 0.75, whose: 'the limit of IE2, the cautious figure' }],
  },
  driveStandby: {
    why: 'Controls, fan and precharge of a drive that stays switched on while the motor stands.',
    others: [{ value: 0, whose: 'where the line contactor opens with the motor' }],
  },
  repairShare: {
    why: 'Dearer repairs of standard motors seldom come back in what is left of their life.',
    others: [
      { value: 0.5, whose: 'plants with a stock of spares' },
      { value: 0.65, whose: 'large motors' },
    ],
  },
  driveSavingShare: {
    why: 'Below this share of the energy saved a drive is seldom worth its upkeep.',
    others: [{ value: 0.2, whose: 'plants short of electricians' }],
  },
  torqueMargin: {
    why: 'A tenth of rated torque over the load all the way up keeps a start from sticking in the saddle.',
    others: [{ value: 0.25, whose: 'loads that stiffen in the cold' }],
  },
  assumedInertia: {
    why: 'Only a stand-in: the time and heat of a start go with it. Ask the maker of the machine.',
    others: [
      { value: 1, whose: 'pumps and mixers' },
      { value: 25, whose: 'fans, centrifuges, flywheels' },
    ],
  },
  heatUse: {
    why: 'A fifth is kept for the next start and for what is not known of the motor.',
    others: [{ value: 1, whose: 'one start a day, from cold' }],
  },
  softStartCurrent: {
    why: 'Current limit of a soft starter as a multiple of full-load current that starts most loads.',
    others: [
      { value: 3, whose: 'unloaded starts' },
      { value: 4.5, whose: 'high inertia' },
    ],
  },
  leadRule: {
    why: 'Over a longer cable the peaks at the winding double, and few drives are tested with more without a filter.',
    others: [
      { value: 15, whose: 'plants with old windings or quick transistors' },
      { value: 100, whose: 'plants whose motors are all made for a drive' },
    ],
  },
  driveLife: {
    why: 'Its capacitors dry out; fans go twice as early.',
    others: [
      { value: 8, whose: 'hot or dirty places' },
      { value: 15, whose: 'plants that replace fans and capacitors in time' },
    ],
  },
  driveInstallation: {
    why: 'Labour, cable and commissioning of a drive as a share of its price.',
    others: [{ value: 1, whose: 'contractors’ prices' }],
  },
  discountRate: {
    why: 'What money is worth to the plant: what comes later counts for less. With inflation or without, as the prices are.',
    others: [
      { value: 0.04, whose: 'public owners' },
      { value: 0.15, whose: 'plants with better uses for it' },
    ],
  },
};
