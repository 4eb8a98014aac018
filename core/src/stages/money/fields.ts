import { YEAR } from '../../ground/constants.ts';
import { choice, is, perOption, quantity, tick, words } from '../../ground/field.ts';

const replacing = is('situation.kind', 'replace');

export const lead = 'What each option costs, what it saves, and how sure that is.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  energyPrice: quantity('energyPrice', { label: 'Price of energy', min: 0, max: 100 / 3.6e6, example: '0.11 per kWh' }),
  years: quantity('span', { label: 'Years counted', min: YEAR / 12, max: 50 * YEAR, example: '10 years' }),
  priceGrowth: quantity('fraction', {
    label: 'Energy and upkeep rise a year by',
    min: -0.2,
    max: 0.5,
    example: '2 %',
    group: 'Interest, upkeep, carbon',
    note: 'By how much yearly costs rise each year',
  }),
  carbonFactor: quantity('count', {
    label: 'CO₂ of a kWh, kg',
    min: 0,
    max: 3,
    example: '0.38',
    group: 'Interest, upkeep, carbon',
    note: 'Carbon dioxide of the energy used, kg for a kWh',
  }),
  carbonSource: words(120, {
    label: 'Where that is from, and its year',
    hint: 'Grid operator, 2025',
    group: 'Interest, upkeep, carbon',
  }),
  ...perOption({
    upkeep: quantity('money', {
      label: 'Upkeep a year, this option',
      min: 0,
      max: 1e9,
      example: '350',
      group: 'Interest, upkeep, carbon',
      note: 'Upkeep of this option in a year',
    }),
    incentive: quantity('money', {
      label: 'Incentive for this option',
      min: 0,
      max: 1e9,
      example: '1200',
      group: 'Interest, upkeep, carbon',
      note: 'What somebody else pays of this option',
    }),
    replacement: quantity('money', {
      label: 'What is replaced on the way costs',
      min: 0,
      max: 1e9,
      example: '3000',
      group: 'Interest, upkeep, carbon',
      note: 'Cost of what wears out in this option within the years counted: drive, fans and capacitors, contactors',
    }),
    replacedAfter: quantity('span', {
      label: 'Every',
      min: YEAR / 12,
      max: 50 * YEAR,
      example: '10 years',
      group: 'Interest, upkeep, carbon',
    }),
    restValue: quantity('money', {
      label: 'Worth at the end of the years',
      min: 0,
      max: 1e9,
      example: '800',
      group: 'Interest, upkeep, carbon',
    }),
  }),
  repairPrice: quantity('money', {
    label: 'Price of the repair',
    min: 0,
    max: 1e9,
    example: '1900',
    group: 'Repair or replace',
    asked: replacing,
    note: 'What a shop asks to rewind or repair the failed motor',
  }),
  repairDays: quantity('span', {
    label: 'Repaired in',
    min: 0,
    max: YEAR,
    example: '10 days',
    group: 'Repair or replace',
    asked: replacing,
  }),
  rewinds: choice(
    [
      ['none', 'Never rewound'],
      ['good', 'Rewound, tested'],
      ['unknown', 'Rewound, nobody knows how'],
    ],
    { label: 'Its winding so far', usual: 'none', group: 'Repair or replace', asked: replacing },
  ),
  coreDamaged: tick({
    label: 'Core damaged: loss up by a fifth, or hot spots',
    group: 'Repair or replace',
    asked: replacing,
  }),
  goodShop: tick({
    label: 'The shop tests core and losses before and after',
    group: 'Repair or replace',
    asked: replacing,
  }),
  specialMotor: tick({ label: 'Special frame or shaft', group: 'Repair or replace', asked: replacing }),
  exchangeRate: quantity('count', {
    label: 'One of the catalogue’s currency costs',
    min: 1e-6,
    max: 1e6,
    example: '0.92, of the job’s currency for one of the catalogue’s',
    hint: '0.92',
  }),
};
