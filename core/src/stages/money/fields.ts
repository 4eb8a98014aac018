import { YEAR } from '../../ground/constants.ts';
import { perOption, quantity, words } from '../../ground/field.ts';

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
  }),
  exchangeRate: quantity('count', {
    label: 'One of the catalogue’s currency costs',
    min: 1e-6,
    max: 1e6,
    example: '0.92, of the job’s currency for one of the catalogue’s',
    hint: '0.92',
  }),
};
