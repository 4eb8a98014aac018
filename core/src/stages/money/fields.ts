import { YEAR } from '../../ground/constants.ts';
import { quantity } from '../../ground/field.ts';

export const lead = 'What the energy costs either way, at the guaranteed minimum efficiency.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  energyPrice: quantity('energyPrice', { label: 'Price of energy', min: 0, max: 100 / 3.6e6, example: '0.11 per kWh' }),
  years: quantity('span', { label: 'Years counted', min: YEAR / 12, max: 50 * YEAR, example: '10 years' }),
  exchangeRate: quantity('count', {
    label: 'One of the catalogue’s currency costs',
    min: 1e-6,
    max: 1e6,
    example: '0.92, of the job’s currency for one of the catalogue’s',
    hint: '0.92',
  }),
};
