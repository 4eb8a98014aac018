import { practiceFields } from './practice.ts';
import type { FieldSpec } from '../ground/field.ts';

const KELVIN = 273.15;
const HOUR = 3600;
const YEAR = 8760 * HOUR;

const TURN = (2 * Math.PI) / 60;

/**
 * Every quantity an engineer can type. The job stores the text as typed; this table says how it is read
 * and between which SI limits it is believable.
 */
export const quantityFields = {
  situation: {
    life: { dimension: 'span', min: 0, max: 100 * YEAR, example: '3 years' },
    runningCurrent: { dimension: 'current', min: 0.1, max: 3000, example: '36 A' },
    startsPerHour: { dimension: 'count', min: 0, max: 600, example: '4' },
    insulationResistance: { dimension: 'insulation', min: 0, max: 1e13, example: '150 MΩ' },
  },
  nameplate: {
    power: { dimension: 'power', min: 50, max: 1e6, example: '15 hp or 11 kW', list: true },
    voltages: { dimension: 'voltage', min: 90, max: 15_000, example: '230/460 or 400/690 V', list: true },
    currents: { dimension: 'current', min: 0.1, max: 3000, example: '38/19 A', list: true },
    frequency: { dimension: 'frequency', min: 40, max: 70, example: '60 Hz', list: true },
    speed: { dimension: 'speed', min: 100 * TURN, max: 4300 * TURN, example: '1770 rpm', list: true },
    poles: { dimension: 'count', min: 2, max: 48, example: '4' },
    efficiency: { dimension: 'fraction', min: 0.3, max: 0.995, example: '92.4 %', list: true },
    powerFactor: { dimension: 'powerFactor', min: 0.2, max: 1, example: '0.83', list: true },
    serviceFactor: { dimension: 'count', min: 1, max: 1.5, example: '1.15' },
    startingCurrentRatio: { dimension: 'count', min: 2, max: 15, example: '7.2 (Ist/In)' },
    ambient: { dimension: 'temperature', min: KELVIN - 50, max: KELVIN + 100, example: '40 °C' },
    lockedRotorCurrent: { dimension: 'current', min: 0.5, max: 20_000, example: '116 A' },
    mass: { dimension: 'mass', min: 1, max: 20_000, example: '92 kg or 203 lb' },
    altPower: { dimension: 'power', min: 50, max: 1e6, example: '12.5 hp or 9.2 kW' },
    altVoltages: { dimension: 'voltage', min: 90, max: 15_000, example: '380 V', list: true },
    altCurrents: { dimension: 'current', min: 0.1, max: 3000, example: '19.5 A', list: true },
    altFrequency: { dimension: 'frequency', min: 40, max: 70, example: '50 Hz' },
    altSpeed: { dimension: 'speed', min: 100 * TURN, max: 4300 * TURN, example: '1465 rpm' },
    altEfficiency: { dimension: 'fraction', min: 0.3, max: 0.995, example: '91 %' },
    altPowerFactor: { dimension: 'powerFactor', min: 0.2, max: 1, example: '0.84' },
    altServiceFactor: { dimension: 'count', min: 1, max: 1.5, example: '1.0' },
    measuredShaftHeight: { dimension: 'length', min: 0.03, max: 0.8, example: '6.25 in or 160 mm' },
    measuredShaftDiameter: { dimension: 'length', min: 0.005, max: 0.2, example: '1.625 in or 42 mm' },
    measuredNoLoadSpeed: { dimension: 'speed', min: 100 * TURN, max: 4300 * TURN, example: '1798 rpm' },
    measuredNoLoadCurrent: { dimension: 'current', min: 0.05, max: 2000, example: '8.2 A' },
    measuredResistance: { dimension: 'resistance', min: 1e-4, max: 1000, example: '0.85 Ω between two leads' },
    measuredSlots: { dimension: 'count', min: 12, max: 144, example: '36' },
  },
  load: {
    torque: { dimension: 'torque', min: 0.01, max: 1e6, example: '72 lb·ft or 98 N·m' },
    force: { dimension: 'force', min: 0.1, max: 1e6, example: '40 lbf or 180 N' },
    radius: { dimension: 'length', min: 0.005, max: 20, example: '14 in or 350 mm' },
    speed: { dimension: 'speed', min: 0.5 * TURN, max: 10_000 * TURN, example: '1750 rpm' },
    ratio: { dimension: 'count', min: 0.1, max: 500, example: '1 for direct, 3.2 for 3.2 : 1' },
    transmissionEfficiency: { dimension: 'fraction', min: 0.2, max: 1, example: '96 %' },
    inputPower: { dimension: 'power', min: 10, max: 2e6, example: '18.5 kW' },
    runningCurrent: { dimension: 'current', min: 0.1, max: 3000, example: '29 A' },
    runningVoltage: { dimension: 'voltage', min: 90, max: 15_000, example: '468 V' },
    runningSpeed: { dimension: 'speed', min: 100 * TURN, max: 4300 * TURN, example: '1778 rpm' },
    flow: { dimension: 'flow', min: 1e-6, max: 1000, example: '850 gpm, 190 m³/h or 12000 cfm' },
    pressure: { dimension: 'pressure', min: 1, max: 1e9, example: '6 inH2O, 40 psi or 3 bar' },
    head: { dimension: 'altitude', min: 0.1, max: 3000, example: '95 ft or 29 m' },
    density: { dimension: 'density', min: 0.5, max: 20_000, example: '1000 kg/m³' },
    machineEfficiency: { dimension: 'fraction', min: 0.05, max: 1, example: '78 %' },
    movedMass: { dimension: 'mass', min: 0.1, max: 1e7, example: '2400 kg or 5300 lb' },
    linearSpeed: { dimension: 'velocity', min: 0.0001, max: 50, example: '0.5 m/s or 100 ft/min' },
    friction: { dimension: 'count', min: 0.001, max: 2, example: '0.03 on rollers, 0.3 sliding' },
    incline: { dimension: 'angle', min: -1.5, max: 1.5, example: '12°' },
    powerNumber: { dimension: 'count', min: 0.01, max: 50, example: '1.3' },
    impeller: { dimension: 'length', min: 0.01, max: 20, example: '36 in or 900 mm' },
    staticHead: { dimension: 'altitude', min: 0, max: 3000, example: '21 ft or 6.4 m' },
    suctionPressure: { dimension: 'pressure', min: 100, max: 1e8, example: '101.3 kPa absolute' },
    massFlow: { dimension: 'massFlow', min: 1e-4, max: 1e4, example: '40 t/h' },
    workIndex: { dimension: 'energyPerMass', min: 100, max: 1e6, example: '12 kWh/t' },
    feedSize: { dimension: 'length', min: 1e-5, max: 3, example: '80 mm, passed by 80 %' },
    productSize: { dimension: 'length', min: 1e-6, max: 1, example: '12 mm, passed by 80 %' },
    strokeEnergy: { dimension: 'energy', min: 1, max: 1e8, example: '12 kJ or 8900 ft·lb' },
    strokesPerMinute: { dimension: 'count', min: 0.1, max: 2000, example: '40' },
    inertia: { dimension: 'inertia', min: 1e-6, max: 1e6, example: '9.2 lb·ft² or 0.4 kg·m²' },
    runUpTime: { dimension: 'duration', min: 0.1, max: 3600, example: '45 s' },
    sheave: { dimension: 'length', min: 0.02, max: 5, example: '8 in or 200 mm' },
    overloadTorque: { dimension: 'fraction', min: 1, max: 5, example: '160 % of running torque' },
    overloadTime: { dimension: 'duration', min: 0.05, max: 3600, example: '8 s' },
    overloadsPerHour: { dimension: 'count', min: 0.01, max: 3600, example: '6' },
    breakaway: { dimension: 'fraction', min: 0, max: 5, example: '120 % of running torque' },
  },
  supply: {
    voltage: { dimension: 'voltage', min: 90, max: 15_000, example: '480 V' },
    frequency: { dimension: 'frequency', min: 40, max: 70, example: '60 Hz' },
    sourcePower: { dimension: 'apparentPower', min: 1000, max: 1e9, example: '750 kVA' },
    sourceImpedance: { dimension: 'fraction', min: 0.005, max: 0.5, example: '5.75 %' },
    subtransientReactance: { dimension: 'fraction', min: 0.005, max: 0.5, example: '12 % (X″d)' },
    reactanceRatio: { dimension: 'count', min: 0.1, max: 60, example: '6 (X/R)' },
    networkPower: { dimension: 'apparentPower', min: 1e5, max: 1e11, example: '250 MVA' },
    faultCurrent: { dimension: 'current', min: 100, max: 300_000, example: '18 kA' },
    feederLength: { dimension: 'altitude', min: 0.5, max: 5000, example: '210 ft or 64 m' },
    feederRuns: { dimension: 'count', min: 1, max: 12, example: '1 cable a phase' },
    otherLoad: { dimension: 'apparentPower', min: 0, max: 1e9, example: '320 kVA' },
    otherPowerFactor: { dimension: 'powerFactor', min: 0.1, max: 1, example: '0.85' },
    busDipLimit: { dimension: 'fraction', min: 0.001, max: 0.5, example: '4 %' },
    startPowerLimit: { dimension: 'apparentPower', min: 1000, max: 1e8, example: '150 kVA' },
    directPowerLimit: { dimension: 'power', min: 100, max: 1e7, example: '7.5 kW' },
    startsPerHour: { dimension: 'count', min: 0.001, max: 600, example: '4' },
    demandPrice: { dimension: 'demandPrice', min: 0, max: 1, example: '14 per kW a month' },
    lowestVoltage: { dimension: 'voltage', min: 60, max: 15_000, example: '440 V' },
    phaseVoltages: { dimension: 'voltage', min: 90, max: 15_000, example: '478/462/481 V', list: true },
    startCurrentLimit: { dimension: 'current', min: 1, max: 20_000, example: '250 A' },
  },
  place: {
    ambient: { dimension: 'temperature', min: KELVIN - 50, max: KELVIN + 80, example: '40 °C' },
    altitude: { dimension: 'altitude', min: -400, max: 6000, example: '300 m or 1000 ft' },
    noiseLimit: { dimension: 'sound', min: 30, max: 130, example: '80 dB(A) at 1 m' },
    cabinetHeight: { dimension: 'length', min: 0.1, max: 4, example: '72 in or 1800 mm' },
    cabinetWidth: { dimension: 'length', min: 0.1, max: 10, example: '32 in or 800 mm' },
    cabinetDepth: { dimension: 'length', min: 0.05, max: 4, example: '16 in or 400 mm' },
    otherHeat: { dimension: 'power', min: 0, max: 1e5, example: '120 W' },
  },
  profile: {
    staticHeadShare: { dimension: 'fraction', min: 0, max: 0.98, example: '30 %' },
  },
  starting: {
    rotorInertia: { dimension: 'inertia', min: 1e-5, max: 1e4, example: '0.25 kg·m² or 5.9 lb·ft²' },
    lockedRotorTorque: { dimension: 'fraction', min: 0.2, max: 5, example: '190 % of rated torque' },
    pullUpTorque: { dimension: 'fraction', min: 0.2, max: 5, example: '150 % of rated torque' },
    breakdownTorque: { dimension: 'fraction', min: 1, max: 6, example: '260 % of rated torque' },
    efficiency75: { dimension: 'fraction', min: 0.3, max: 0.995, example: '93.8 %' },
    efficiency50: { dimension: 'fraction', min: 0.3, max: 0.995, example: '93.1 %' },
    leakageKnee: { dimension: 'count', min: 1, max: 10, example: '2.5 × rated' },
    leakageFloor: { dimension: 'fraction', min: 0.2, max: 1, example: '60 %' },
    stallTimeHot: { dimension: 'duration', min: 1, max: 120, example: '12 s' },
    stallTimeCold: { dimension: 'duration', min: 1, max: 240, example: '20 s' },
    startTimeLimit: { dimension: 'duration', min: 0.1, max: 600, example: '4 s' },
    starTime: { dimension: 'duration', min: 0.2, max: 120, example: '8 s' },
    changeSpeed: { dimension: 'fraction', min: 0.3, max: 0.99, example: '90 % of synchronous speed' },
    gap: { dimension: 'duration', min: 0, max: 2, example: '60 ms' },
    tap: { dimension: 'fraction', min: 0.3, max: 0.95, example: '65 %' },
    startVoltage: { dimension: 'fraction', min: 0.1, max: 1, example: '40 %' },
    softRamp: { dimension: 'duration', min: 0, max: 120, example: '10 s' },
    currentLimit: { dimension: 'count', min: 1.5, max: 8, example: '3.5 × rated' },
    kickVoltage: { dimension: 'fraction', min: 0.2, max: 1, example: '75 %' },
    kickTime: { dimension: 'duration', min: 0, max: 3, example: '300 ms' },
    softStop: { dimension: 'duration', min: 0, max: 240, example: '12 s' },
    driveRamp: { dimension: 'duration', min: 0.1, max: 600, example: '8 s' },
    driveCurrentLimit: { dimension: 'count', min: 0.5, max: 2.5, example: '1.1 × rated' },
    driveBoost: { dimension: 'fraction', min: 0.2, max: 2, example: '120 % torque at standstill' },
  },
  protection: {
    ambient: { dimension: 'temperature', min: KELVIN - 50, max: KELVIN + 85, example: '45 °C along the cable' },
    conductors: { dimension: 'count', min: 3, max: 60, example: '6' },
  },
  money: {
    exchangeRate: {
      dimension: 'count',
      min: 1e-6,
      max: 1e6,
      example: '0.92, of the job’s currency for one of the catalogue’s',
    },
    energyPrice: { dimension: 'energyPrice', min: 0, max: 100 / 3.6e6, example: '0.11 per kWh' },
    years: { dimension: 'span', min: YEAR / 12, max: 50 * YEAR, example: '10 years' },
  },
  practice: practiceFields,
  sitePractice: practiceFields,
} as const satisfies Record<string, Record<string, FieldSpec>>;

/** Lists of rows in a job, by the place where they stand. A row keeps its place even where a cell cannot be read. */
export const rowFields = {
  /** One step of the speed profile: this many hours a year at this share of full flow. */
  'profile.points': {
    flow: { dimension: 'fraction', min: 0, max: 1.2, example: '70 %' },
    hours: { dimension: 'time', min: 0, max: 8784 * HOUR, example: '2000 h' },
  },
  /** One stage of the transmission, from the motor to the driven machine; torque, speed and inertia at its input shaft. */
  'load.stages': {
    ratio: { dimension: 'count', min: 0.05, max: 500, example: '3.2 for 3.2 : 1' },
    efficiency: { dimension: 'fraction', min: 0.2, max: 1, example: '96 %' },
    torque: { dimension: 'torque', min: 0.01, max: 1e6, example: '72 lb·ft or 98 N·m' },
    speed: { dimension: 'speed', min: 0.5 * TURN, max: 10_000 * TURN, example: '580 rpm' },
    inertia: { dimension: 'inertia', min: 1e-6, max: 1e6, example: '0.4 kg·m²' },
  },
  /** One segment of a duty cycle, torque at the driven shaft; below zero where the load drives. */
  'load.duty': {
    torque: { dimension: 'torque', min: -1e6, max: 1e6, example: '72 lb·ft or 98 N·m' },
    time: { dimension: 'duration', min: 0.01, max: 1e7, example: '12 s' },
  },
  /** One point of a torque–speed table of the driven machine. */
  'load.curve': {
    speed: { dimension: 'speed', min: 0, max: 10_000 * TURN, example: '900 rpm' },
    torque: { dimension: 'torque', min: -1e6, max: 1e6, example: '40 lb·ft or 54 N·m' },
  },
  /** One time band of the tariff, with its share of the motor’s running hours. */
  'supply.bands': {
    price: { dimension: 'energyPrice', min: 0, max: 100 / 3.6e6, example: '0.11 per kWh' },
    share: { dimension: 'fraction', min: 0, max: 1, example: '40 %' },
  },
} as const satisfies Record<string, Record<string, FieldSpec>>;
