import { clockCells } from './time-of-use.ts';
import { quantity, list, choice, open, line, rows, named, is, not } from '../../kernel/field.ts';
import { feederSizes } from './feeder-sizes.ts';

const transformer = is('supply.source', 'transformer');
const faultLevel = is('supply.source', 'fault level');
const generator = is('supply.source', 'generator');

const sized = (size: string): string =>
  size.endsWith('mm²') ? size : Number(size) >= 250 ? `${size} kcmil` : `${size} AWG`;

export const lead = 'The source of the motor, and the permissible voltage dip during starting.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  voltage: quantity('voltage', { label: 'System voltage', min: 90, max: 15_000, example: '480 V' }),
  frequency: quantity('frequency', { label: 'System frequency', min: 40, max: 70, example: '60 Hz' }),
  phases: choice(
    [
      ['3', 'Three-phase'],
      ['1', 'Single-phase'],
    ],
    { label: 'Number of phases', usual: '3' },
  ),
  source: choice(named('transformer', 'fault level', 'generator'), { label: 'Source type', usual: 'transformer' }),
  sourcePower: quantity('apparentPower', {
    label: 'Rated power of the source',
    min: 1000,
    max: 1e9,
    example: '750 kVA',
    asked: not(faultLevel),
  }),
  sourceImpedance: quantity('fraction', {
    label: { NEMA: 'Transformer impedance, %Z', IEC: 'Short-circuit impedance uₖ' },
    min: 0.005,
    max: 0.5,
    example: '5.75 %',
    asked: transformer,
    also: [{ label: 'Transient reactance X′d', hint: '20 %', asked: generator }],
  }),
  subtransientReactance: quantity('fraction', {
    label: 'Subtransient reactance X″d',
    min: 0.005,
    max: 0.5,
    example: '12 % (X″d)',
    hint: '12 %',
    asked: generator,
  }),
  faultCurrent: quantity('current', {
    label: { NEMA: 'Available fault current', IEC: 'Short-circuit current I″k' },
    min: 100,
    max: 300_000,
    example: '18 kA',
    asked: faultLevel,
  }),
  phaseVoltages: list('voltage', {
    label: 'Line-to-line voltages, three',
    min: 90,
    max: 15_000,
    example: '478/462/481 V',
  }),
  lowestVoltage: quantity('voltage', {
    label: 'Minimum voltage during starting',
    min: 60,
    max: 15_000,
    example: '440 V',
  }),
  feederLength: quantity('altitude', {
    label: 'Feeder length',
    min: 0.5,
    max: 5000,
    example: '210 ft or 64 m',
    group: 'Feeder, base load, upstream system',
  }),
  feederSize: open(
    feederSizes.map((size) => [size, sized(size)] as const),
    {
      label: 'Feeder conductor size',
      group: 'Feeder, base load, upstream system',
      note: 'AWG or kcmil, or mm² with its unit',
    },
  ),
  feederMaterial: choice(
    [
      ['copper', 'Copper'],
      ['aluminium', 'Aluminum'],
    ],
    {
      label: 'Feeder conductor material',
      usual: 'copper',
      group: 'Feeder, base load, upstream system',
    },
  ),
  feederRuns: quantity('count', {
    label: 'Parallel cables per phase',
    min: 1,
    max: 12,
    example: '1 cable a phase',
    hint: '1',
    group: 'Feeder, base load, upstream system',
  }),
  otherLoad: quantity('apparentPower', {
    label: 'Base load on the bus',
    min: 0,
    max: 1e9,
    example: '320 kVA',
    group: 'Feeder, base load, upstream system',
  }),
  otherPowerFactor: quantity('powerFactor', {
    label: 'Base load power factor',
    min: 0.1,
    max: 1,
    example: '0.85',
    group: 'Feeder, base load, upstream system',
  }),
  reactanceRatio: quantity('count', {
    label: 'Source X/R ratio',
    min: 0.1,
    max: 60,
    example: '6 (X/R)',
    hint: '5; generators 20',
    group: 'Feeder, base load, upstream system',
  }),
  networkPower: quantity('apparentPower', {
    label: 'Upstream short-circuit power',
    min: 1e5,
    max: 1e11,
    example: '250 MVA',
    group: 'Feeder, base load, upstream system',
    asked: transformer,
  }),
  busDipLimit: quantity('fraction', {
    label: 'Voltage dip limit at the bus',
    min: 0.001,
    max: 0.5,
    example: '4 %',
    hint: '5 %',
    group: 'Starting limits',
  }),
  startCurrentLimit: quantity('current', {
    label: 'Starting current limit',
    min: 1,
    max: 20_000,
    example: '250 A',
    group: 'Starting limits',
  }),
  startPowerLimit: quantity('apparentPower', {
    label: 'Starting apparent power limit',
    min: 1000,
    max: 1e8,
    example: '150 kVA',
    group: 'Starting limits',
  }),
  directPowerLimit: quantity('power', {
    label: { NEMA: 'Across-the-line limit of the utility', IEC: 'Direct-on-line limit of the utility' },
    min: 100,
    max: 1e7,
    example: '7.5 kW',
    group: 'Starting limits',
  }),
  startsPerHour: quantity('count', {
    label: 'Starts per hour',
    min: 0.001,
    max: 600,
    example: '4',
    group: 'Starting limits',
  }),
  demandPrice: quantity('demandPrice', {
    label: 'Demand charge',
    min: 0,
    max: 1,
    example: '14 per kW a month',
    group: 'Demand charge',
  }),
  demandBy: choice(
    [
      ['kW', 'kW'],
      ['kVA', 'kVA'],
    ],
    { label: 'Demand billed in', usual: 'kW', group: 'Demand charge', note: 'What the demand charge is counted by' },
  ),
  demandInterval: choice(
    [
      ['15 min', '15 minutes'],
      ['30 min', '30 minutes'],
    ],
    {
      label: 'Demand interval',
      usual: '15 min',
      group: 'Demand charge',
      note: 'Over which the demand meter takes its mean',
    },
  ),
  demandRatchet: quantity('fraction', {
    label: 'Demand ratchet',
    min: 0,
    max: 1,
    example: '80 %',
    group: 'Demand charge',
    note: 'Share of the highest demand of the year that every month is charged at least',
  }),
  bands: rows(
    12,
    {
      name: line(60, { label: 'Period', usual: '' }),
      price: quantity('energyPrice', { label: 'Energy price', min: 0, max: 100 / 3.6e6, example: '0.11 per kWh' }),
      share: quantity('fraction', { label: 'Share of operating hours', min: 0, max: 1, example: '40 %' }),
      ...clockCells,
    },
    { label: 'Tariff periods', note: 'Time bands of the tariff, by their share of the hours or by the clock' },
  ),
};
