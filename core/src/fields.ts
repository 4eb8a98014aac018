import type { Dimension } from './quantity/units.ts';

/**
 * Every quantity an engineer can type. The job stores the text as typed; this table says how it is read
 * and between which SI limits it is believable. `list` fields hold what a plate prints side by side.
 */
export interface FieldSpec {
  readonly dimension: Dimension;
  readonly min: number;
  readonly max: number;
  /** What a right entry looks like, used in hints, messages and the JSON Schema. */
  readonly example: string;
  readonly list?: true;
}

const KELVIN = 273.15;
const HOUR = 3600;
const YEAR = 8760 * HOUR;

const TURN = (2 * Math.PI) / 60;

export const quantityFields = {
  situation: {
    life: { dimension: 'span', min: 0, max: 100 * YEAR, example: '3 years' },
  },
  nameplate: {
    power: { dimension: 'power', min: 50, max: 1e6, example: '15 hp or 11 kW', list: true },
    voltages: { dimension: 'voltage', min: 90, max: 15_000, example: '230/460 or 400/690 V', list: true },
    currents: { dimension: 'current', min: 0.1, max: 3000, example: '38/19 A', list: true },
    frequency: { dimension: 'frequency', min: 40, max: 70, example: '60 Hz', list: true },
    speed: { dimension: 'speed', min: 100 * TURN, max: 4300 * TURN, example: '1770 rpm', list: true },
    efficiency: { dimension: 'fraction', min: 0.3, max: 0.995, example: '92.4 %' },
    powerFactor: { dimension: 'powerFactor', min: 0.2, max: 1, example: '0.83' },
    serviceFactor: { dimension: 'count', min: 1, max: 1.5, example: '1.15' },
    startingCurrentRatio: { dimension: 'count', min: 2, max: 15, example: '7.2 (Ist/In)' },
    ambient: { dimension: 'temperature', min: KELVIN - 50, max: KELVIN + 100, example: '40 °C' },
  },
  load: {
    torque: { dimension: 'torque', min: 0.01, max: 1e6, example: '72 lb·ft or 98 N·m' },
    force: { dimension: 'force', min: 0.1, max: 1e6, example: '40 lbf or 180 N' },
    radius: { dimension: 'length', min: 0.005, max: 20, example: '14 in or 350 mm' },
    speed: { dimension: 'speed', min: 0.5 * TURN, max: 10_000 * TURN, example: '1750 rpm' },
    ratio: { dimension: 'count', min: 0.1, max: 500, example: '1 for direct, 3.2 for 3.2 : 1' },
    transmissionEfficiency: { dimension: 'fraction', min: 0.2, max: 1, example: '96 %' },
    breakaway: { dimension: 'fraction', min: 0, max: 5, example: '120 % of running torque' },
  },
  supply: {
    voltage: { dimension: 'voltage', min: 90, max: 15_000, example: '480 V' },
    frequency: { dimension: 'frequency', min: 40, max: 70, example: '60 Hz' },
    sourcePower: { dimension: 'apparentPower', min: 1000, max: 1e9, example: '750 kVA' },
    sourceImpedance: { dimension: 'fraction', min: 0.005, max: 0.5, example: '5.75 %' },
    startCurrentLimit: { dimension: 'current', min: 1, max: 20_000, example: '250 A' },
  },
  place: {
    ambient: { dimension: 'temperature', min: KELVIN - 50, max: KELVIN + 80, example: '40 °C' },
    altitude: { dimension: 'altitude', min: -400, max: 6000, example: '300 m or 1000 ft' },
  },
  profile: {
    staticHeadShare: { dimension: 'fraction', min: 0, max: 0.98, example: '30 %' },
  },
  money: {
    energyPrice: { dimension: 'energyPrice', min: 0, max: 100 / 3.6e6, example: '0.11 per kWh' },
    years: { dimension: 'span', min: YEAR / 12, max: 50 * YEAR, example: '10 years' },
  },
} as const satisfies Record<string, Record<string, FieldSpec>>;

/** One step of the speed profile: this many hours a year at this share of full flow. */
export const profilePointFields = {
  flow: { dimension: 'fraction', min: 0, max: 1.2, example: '70 %' },
  hours: { dimension: 'time', min: 0, max: 8784 * HOUR, example: '2000 h' },
} as const satisfies Record<string, FieldSpec>;
