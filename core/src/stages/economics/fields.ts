import { YEAR } from '../../kernel/constants.ts';
import { choice, is, perOption, quantity, tick, words } from '../../kernel/field.ts';

const replacing = is('situation.kind', 'replace');

export const lead = 'Costs and savings of each option, and their uncertainty.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  energyPrice: quantity('energyPrice', { label: 'Energy price', min: 0, max: 100 / 3.6e6, example: '0.11 per kWh' }),
  years: quantity('span', { label: 'Study period', min: YEAR / 12, max: 50 * YEAR, example: '10 years' }),
  priceGrowth: quantity('fraction', {
    label: 'Annual cost escalation',
    min: -0.2,
    max: 0.5,
    example: '2 %',
    group: 'Escalation, maintenance, CO₂',
    note: 'By how much yearly costs rise each year',
  }),
  carbonFactor: quantity('count', {
    label: 'CO₂ emission factor, kg/kWh',
    min: 0,
    max: 3,
    example: '0.38',
    group: 'Escalation, maintenance, CO₂',
    note: 'Carbon dioxide of the energy used, kg for a kWh',
  }),
  carbonSource: words(120, {
    label: 'Source of the emission factor',
    hint: 'Grid operator, 2025',
    group: 'Escalation, maintenance, CO₂',
  }),
  ...perOption({
    upkeep: quantity('money', {
      label: 'Annual maintenance cost',
      min: 0,
      max: 1e9,
      example: '350',
      group: 'Escalation, maintenance, CO₂',
      note: 'Upkeep of this option in a year',
    }),
    incentive: quantity('money', {
      label: 'Incentive',
      min: 0,
      max: 1e9,
      example: '1200',
      group: 'Escalation, maintenance, CO₂',
      note: 'What somebody else pays of this option',
    }),
    replacement: quantity('money', {
      label: 'Mid-life replacement cost',
      min: 0,
      max: 1e9,
      example: '3000',
      group: 'Escalation, maintenance, CO₂',
      note: 'Cost of what wears out in this option within the years counted: drive, fans and capacitors, contactors',
    }),
    replacedAfter: quantity('span', {
      label: 'Replacement interval',
      min: YEAR / 12,
      max: 50 * YEAR,
      example: '10 years',
      group: 'Escalation, maintenance, CO₂',
    }),
    restValue: quantity('money', {
      label: 'Residual value',
      min: 0,
      max: 1e9,
      example: '800',
      group: 'Escalation, maintenance, CO₂',
    }),
  }),
  repairPrice: quantity('money', {
    label: 'Repair cost',
    min: 0,
    max: 1e9,
    example: '1900',
    group: 'Repair or replace',
    asked: replacing,
    note: 'What a shop asks to rewind or repair the failed motor',
  }),
  repairDays: quantity('span', {
    label: 'Repair time',
    min: 0,
    max: YEAR,
    example: '10 days',
    group: 'Repair or replace',
    asked: replacing,
  }),
  rewinds: choice(
    [
      ['none', 'Never rewound'],
      ['good', 'Rewound, core loss tested'],
      ['unknown', 'Rewound, quality unknown'],
    ],
    { label: 'Rewind history', usual: 'none', group: 'Repair or replace', asked: replacing },
  ),
  coreDamaged: tick({
    label: 'Rewind core loss increase',
    group: 'Repair or replace',
    asked: replacing,
  }),
  goodShop: tick({
    label: 'Core and loss tests by the shop',
    group: 'Repair or replace',
    asked: replacing,
  }),
  specialMotor: tick({ label: 'Special frame or shaft', group: 'Repair or replace', asked: replacing }),
  exchangeRate: quantity('count', {
    label: 'Exchange rate',
    min: 1e-6,
    max: 1e6,
    example: '0.92, of the job’s currency for one of the catalogue’s',
    hint: '0.92',
  }),
};
