import { HOUR, KELVIN, TURN, YEAR } from '../constants.ts';

/** The units the trade writes, by dimension. Inside Pilgrim every number is SI; these factors lead there. */

export type Dimension =
  | 'power'
  | 'apparentPower'
  | 'heat'
  | 'torque'
  | 'speed'
  | 'voltage'
  | 'current'
  | 'frequency'
  | 'carrier'
  | 'riseTime'
  | 'inductance'
  | 'length'
  | 'altitude'
  | 'force'
  | 'mass'
  | 'inertia'
  | 'massFlow'
  | 'energyPerMass'
  | 'flow'
  | 'volume'
  | 'pressure'
  | 'velocity'
  | 'density'
  | 'angle'
  | 'resistance'
  | 'insulation'
  | 'temperature'
  | 'heatTransfer'
  | 'sound'
  | 'fraction'
  | 'powerFactor'
  | 'time'
  | 'duration'
  | 'span'
  | 'timeOfDay'
  | 'energy'
  | 'kineticEnergy'
  | 'energyPrice'
  | 'demandPrice'
  | 'money'
  | 'count';

/** `si = number * factor + offset`. The first name is the one shown. */
export interface Unit {
  readonly names: readonly string[];
  readonly factor: number;
  readonly offset?: number;
}

/** NEMA jobs show and assume US customary units, IEC jobs metric ones. */
export type StandardsSystem = 'NEMA' | 'IEC';

interface DimensionUnits {
  /** Name of the SI unit, as it appears in the `unit` of a published value. */
  readonly si: string;
  /** The unit assumed for a bare number and used for display, by school. */
  readonly shown: Readonly<Record<StandardsSystem, string>>;
  readonly units: readonly Unit[];
}

/** Watts: 550 ft·lbf/s, exact by definition of foot, pound and standard gravity. Some books round it to 746. */
export const HORSEPOWER = 745.699_871_582_270_2;
const POUND = 0.453_592_37;
const POUND_FORCE = 4.448_221_615_260_5;
const KILOGRAM_FORCE = 9.806_65;
const FOOT = 0.3048;
/** kg·m² */
export const POUND_SQUARE_FOOT = POUND * FOOT ** 2;
/** m */
export const INCH = 0.0254;

const both = (unit: string): Record<StandardsSystem, string> => ({ NEMA: unit, IEC: unit });

const ohms: readonly Unit[] = [
  { names: ['Ω', 'ohm', 'ohms'], factor: 1 },
  { names: ['mΩ', 'mohm'], factor: 0.001 },
  { names: ['kΩ', 'kohm'], factor: 1e3 },
  { names: ['MΩ', 'Mohm', 'megohm', 'meg'], factor: 1e6 },
  { names: ['GΩ', 'Gohm', 'gigohm'], factor: 1e9 },
];

export const dimensions: Readonly<Record<Dimension, DimensionUnits>> = {
  power: {
    si: 'W',
    shown: { NEMA: 'hp', IEC: 'kW' },
    units: [
      { names: ['kW'], factor: 1000 },
      { names: ['hp', 'horsepower', 'bhp'], factor: HORSEPOWER },
      { names: ['W', 'watt', 'watts'], factor: 1 },
      { names: ['MW'], factor: 1e6 },
      { names: ['PS', 'cv', 'pk'], factor: 735.498_75 },
    ],
  },
  /** Watts that warm a place or a resistor, in no school horsepower. */
  heat: {
    si: 'W',
    shown: both('kW'),
    units: [
      { names: ['kW'], factor: 1000 },
      { names: ['W'], factor: 1 },
    ],
  },
  apparentPower: {
    si: 'VA',
    shown: both('kVA'),
    units: [
      { names: ['kVA'], factor: 1000 },
      { names: ['MVA'], factor: 1e6 },
      { names: ['VA'], factor: 1 },
    ],
  },
  torque: {
    si: 'N·m',
    shown: { NEMA: 'lb·ft', IEC: 'N·m' },
    units: [
      { names: ['N·m', 'Nm', 'N m', 'newton metre', 'newton meter'], factor: 1 },
      { names: ['kN·m', 'kNm'], factor: 1000 },
      {
        names: ['lb·ft', 'lbft', 'ft·lb', 'ftlb', 'lbf·ft', 'ft·lbf', 'ftlbs', 'lbsft'],
        factor: POUND_FORCE * FOOT,
      },
      {
        names: ['lb·in', 'lbin', 'in·lb', 'inlb', 'lbf·in', 'inlbs', 'lbsin'],
        factor: POUND_FORCE * INCH,
      },
      { names: ['kgf·m', 'kgm', 'kpm'], factor: KILOGRAM_FORCE },
    ],
  },
  speed: {
    si: 'rad/s',
    shown: both('r/min'),
    units: [
      { names: ['r/min', 'rpm', 'min⁻¹', 'min-1', '1/min', 'rev/min', 'U/min', 'tr/min'], factor: TURN },
      { names: ['rad/s'], factor: 1 },
    ],
  },
  voltage: {
    si: 'V',
    shown: both('V'),
    units: [
      { names: ['V', 'volt', 'volts', 'VAC'], factor: 1 },
      { names: ['kV'], factor: 1000 },
    ],
  },
  current: {
    si: 'A',
    shown: both('A'),
    units: [
      { names: ['A', 'amp', 'amps', 'ampere', 'amperes'], factor: 1 },
      { names: ['kA'], factor: 1000 },
      { names: ['mA'], factor: 0.001 },
    ],
  },
  flow: {
    si: 'm³/s',
    shown: { NEMA: 'gpm', IEC: 'm³/h' },
    units: [
      { names: ['m³/s', 'm3/s'], factor: 1 },
      { names: ['m³/h', 'm3/h', 'cbm/h'], factor: 1 / HOUR },
      { names: ['L/s', 'l/s'], factor: 0.001 },
      { names: ['L/min', 'l/min', 'lpm'], factor: 0.001 / 60 },
      { names: ['gpm', 'gal/min', 'usgpm'], factor: 0.003_785_411_784 / 60 },
      { names: ['cfm', 'ft³/min', 'ft3/min', 'acfm'], factor: FOOT ** 3 / 60 },
    ],
  },
  volume: {
    si: 'm³',
    shown: { NEMA: 'gal', IEC: 'm³' },
    units: [
      { names: ['m³', 'm3', 'cbm'], factor: 1 },
      { names: ['gal', 'gallon', 'gallons'], factor: 231 * INCH ** 3 },
      { names: ['L', 'l', 'litre', 'liter', 'litres', 'liters'], factor: 0.001 },
      { names: ['ft³', 'ft3', 'cu ft'], factor: FOOT ** 3 },
    ],
  },
  pressure: {
    si: 'Pa',
    shown: { NEMA: 'psi', IEC: 'kPa' },
    units: [
      { names: ['kPa'], factor: 1000 },
      { names: ['Pa'], factor: 1 },
      { names: ['bar'], factor: 1e5 },
      { names: ['mbar'], factor: 100 },
      { names: ['MPa'], factor: 1e6 },
      { names: ['psi', 'lbf/in²', 'psig'], factor: POUND_FORCE / INCH ** 2 },
      { names: ['inH2O', 'inH₂O', 'in wg', 'inwc', 'inwg', 'in w.g.'], factor: 249.088_91 },
      { names: ['mmH2O', 'mmH₂O', 'mmwg'], factor: 9.806_65 },
    ],
  },
  velocity: {
    si: 'm/s',
    shown: { NEMA: 'ft/min', IEC: 'm/s' },
    units: [
      { names: ['m/s'], factor: 1 },
      { names: ['m/min'], factor: 1 / 60 },
      { names: ['ft/min', 'fpm'], factor: FOOT / 60 },
      { names: ['ft/s', 'fps'], factor: FOOT },
    ],
  },
  density: {
    si: 'kg/m³',
    shown: { NEMA: 'lb/ft³', IEC: 'kg/m³' },
    units: [
      { names: ['kg/m³', 'kg/m3'], factor: 1 },
      { names: ['g/cm³', 'g/cm3', 'kg/L', 'kg/l', 'SG'], factor: 1000 },
      { names: ['lb/ft³', 'lb/ft3'], factor: POUND / FOOT ** 3 },
    ],
  },
  angle: {
    si: 'rad',
    shown: both('°'),
    units: [
      { names: ['°', 'deg', 'degrees'], factor: Math.PI / 180 },
      { names: ['rad'], factor: 1 },
    ],
  },
  mass: {
    si: 'kg',
    shown: { NEMA: 'lb', IEC: 'kg' },
    units: [
      { names: ['kg', 'kgs'], factor: 1 },
      { names: ['lb', 'lbs', 'pound', 'pounds'], factor: POUND },
      { names: ['t'], factor: 1000 },
    ],
  },
  inertia: {
    si: 'kg·m²',
    shown: { NEMA: 'lb·ft²', IEC: 'kg·m²' },
    units: [
      { names: ['kg·m²', 'kgm²', 'kg·m2', 'kg m²', 'kg m2'], factor: 1 },
      { names: ['lb·ft²', 'lb·ft2', 'lbft²', 'lb ft2', 'WK²', 'Wk2'], factor: POUND_SQUARE_FOOT },
      { names: ['lb·in²', 'lb·in2', 'lb in2'], factor: POUND * INCH ** 2 },
      { names: ['kg·cm²', 'kg·cm2'], factor: 1e-4 },
    ],
  },
  massFlow: {
    si: 'kg/s',
    shown: { NEMA: 'ton/h', IEC: 't/h' },
    units: [
      { names: ['t/h'], factor: 1000 / HOUR },
      { names: ['ton/h', 'tons/h', 'short ton/h'], factor: (2000 * POUND) / HOUR },
      { names: ['kg/h'], factor: 1 / HOUR },
      { names: ['lb/h'], factor: POUND / HOUR },
      { names: ['kg/s'], factor: 1 },
    ],
  },
  energyPerMass: {
    si: 'J/kg',
    shown: { NEMA: 'kWh/ton', IEC: 'kWh/t' },
    units: [
      { names: ['kWh/t'], factor: 3600 },
      { names: ['kWh/ton', 'kWh/short ton'], factor: 3.6e6 / (2000 * POUND) },
    ],
  },
  resistance: { si: 'Ω', shown: both('Ω'), units: ohms },
  insulation: { si: 'Ω', shown: both('MΩ'), units: ohms },
  frequency: {
    si: 'Hz',
    shown: both('Hz'),
    units: [{ names: ['Hz', 'cps', 'c/s'], factor: 1 }],
  },
  inductance: {
    si: 'H',
    shown: both('mH'),
    units: [
      { names: ['mH'], factor: 0.001 },
      { names: ['µH', 'uH'], factor: 1e-6 },
      { names: ['H'], factor: 1 },
    ],
  },
  /** Of a drive’s output, how often it switches. */
  carrier: {
    si: 'Hz',
    shown: both('kHz'),
    units: [
      { names: ['kHz'], factor: 1000 },
      { names: ['Hz'], factor: 1 },
    ],
  },
  riseTime: {
    si: 's',
    shown: both('µs'),
    units: [
      { names: ['µs', 'us', 'μs'], factor: 1e-6 },
      { names: ['ns'], factor: 1e-9 },
    ],
  },
  length: {
    si: 'm',
    shown: { NEMA: 'in', IEC: 'mm' },
    units: [
      { names: ['mm'], factor: 0.001 },
      { names: ['in', '"', '″', 'inch', 'inches'], factor: INCH },
      { names: ['m', 'metre', 'meter'], factor: 1 },
      { names: ['ft', "'", '′', 'foot', 'feet'], factor: FOOT },
      { names: ['cm'], factor: 0.01 },
    ],
  },
  altitude: {
    si: 'm',
    shown: { NEMA: 'ft', IEC: 'm' },
    units: [
      { names: ['m', 'metre', 'meter', 'metres', 'meters'], factor: 1 },
      { names: ['ft', "'", '′', 'foot', 'feet'], factor: FOOT },
      { names: ['km'], factor: 1000 },
    ],
  },
  force: {
    si: 'N',
    shown: { NEMA: 'lbf', IEC: 'N' },
    units: [
      { names: ['N', 'newton'], factor: 1 },
      { names: ['kN'], factor: 1000 },
      { names: ['lbf', 'lb', 'lbs', 'pound', 'pounds'], factor: POUND_FORCE },
      { names: ['kgf', 'kg', 'kp'], factor: KILOGRAM_FORCE },
    ],
  },
  temperature: {
    si: 'K',
    shown: both('°C'),
    units: [
      { names: ['°C', 'C', 'degC', 'celsius'], factor: 1, offset: KELVIN },
      { names: ['°F', 'F', 'degF', 'fahrenheit'], factor: 5 / 9, offset: KELVIN - (32 * 5) / 9 },
      { names: ['K', 'kelvin'], factor: 1 },
    ],
  },
  heatTransfer: {
    si: 'W/(m²·K)',
    shown: both('W/m²K'),
    units: [{ names: ['W/m²K', 'W/m2K', 'W/(m²·K)'], factor: 1 }],
  },
  sound: { si: 'dB(A)', shown: both('dB(A)'), units: [{ names: ['dB(A)', 'dBA', 'dB'], factor: 1 }] },
  fraction: {
    si: '1',
    shown: both('%'),
    units: [{ names: ['%', 'percent', 'pct'], factor: 0.01 }],
  },
  powerFactor: {
    si: '1',
    shown: both(''),
    units: [
      { names: [''], factor: 1 },
      { names: ['%', 'percent'], factor: 0.01 },
    ],
  },
  time: {
    si: 's',
    shown: both('h'),
    units: [
      { names: ['h', 'hr', 'hrs', 'hour', 'hours'], factor: HOUR },
      { names: ['min', 'minute', 'minutes'], factor: 60 },
      { names: ['s', 'sec', 'second', 'seconds'], factor: 1 },
    ],
  },
  duration: {
    si: 's',
    shown: both('s'),
    units: [
      { names: ['s', 'sec', 'second', 'seconds'], factor: 1 },
      { names: ['ms'], factor: 0.001 },
      { names: ['min', 'minute', 'minutes'], factor: 60 },
      { names: ['h', 'hr', 'hour', 'hours'], factor: HOUR },
    ],
  },
  span: {
    si: 's',
    shown: both('years'),
    units: [
      { names: ['years', 'a', 'y', 'yr', 'yrs', 'year'], factor: YEAR },
      { names: ['months', 'month', 'mo'], factor: YEAR / 12 },
      { names: ['weeks', 'week', 'wk'], factor: 7 * 24 * HOUR },
      { names: ['days', 'day', 'd'], factor: 24 * HOUR },
      { names: ['h', 'hr', 'hrs', 'hours'], factor: HOUR },
    ],
  },
  /** s after midnight; a bare number is hours. Written and shown as 06:30. */
  timeOfDay: { si: 's', shown: both(''), units: [{ names: [''], factor: HOUR }] },
  energy: {
    si: 'J',
    shown: both('kWh'),
    units: [
      { names: ['kWh'], factor: 3.6e6 },
      { names: ['MWh'], factor: 3.6e9 },
      { names: ['kJ'], factor: 1000 },
      { names: ['ft·lb', 'ft·lbf', 'ftlb'], factor: POUND_FORCE * FOOT },
      { names: ['J'], factor: 1 },
    ],
  },
  /** Of turning masses. */
  kineticEnergy: {
    si: 'J',
    shown: both('kJ'),
    units: [
      { names: ['kJ'], factor: 1000 },
      { names: ['J'], factor: 1 },
    ],
  },
  energyPrice: {
    si: 'per J',
    shown: both('per kWh'),
    units: [
      { names: ['per kWh', '/kWh'], factor: 1 / 3.6e6 },
      { names: ['per MWh', '/MWh'], factor: 1 / 3.6e9 },
    ],
  },
  demandPrice: {
    si: 'per W a month',
    shown: both('per kW a month'),
    units: [
      { names: ['per kW a month', 'per kW', '/kW', 'per kVA', '/kVA', 'per kVA a month'], factor: 1e-3 },
      { names: ['per MW', '/MW', 'per MVA', '/MVA'], factor: 1e-6 },
    ],
  },
  money: { si: 'currency', shown: both(''), units: [{ names: [''], factor: 1 }] },
  count: { si: '1', shown: both(''), units: [{ names: ['', 'times', '×', 'x'], factor: 1 }] },
};

/** Spelling differences that do not matter: case, dots, spaces, hyphens and the several raised dots. */
const fold = (name: string): string => name.toLowerCase().replaceAll(/[\s.·⋅•*‑]|(?<=[a-z])-(?=[a-z])/g, '');

/** Finds a unit by any of its names. An exact spelling wins over a folded one, so that mA is not MA. */
export function findUnit(dimension: Dimension, name: string): Unit | undefined {
  const { units } = dimensions[dimension];
  return (
    units.find((unit) => unit.names.includes(name)) ??
    units.find((unit) => unit.names.some((each) => fold(each) === fold(name)))
  );
}

const shown: Readonly<Record<StandardsSystem, Map<Dimension, Unit>>> = { NEMA: new Map(), IEC: new Map() };

/** The unit a school shows a dimension in. */
export function shownUnit(dimension: Dimension, school: StandardsSystem): Unit {
  const known = shown[school].get(dimension);
  if (known) return known;
  const name = dimensions[dimension].shown[school];
  const unit = findUnit(dimension, name);
  if (!unit) throw new Error(`no unit ${name} for ${dimension}`);
  shown[school].set(dimension, unit);
  return unit;
}
