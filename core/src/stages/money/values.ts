import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  yearlyCostThrottled: figure('money', 'Yearly cost as controlled today', { sheet: 'Energy and money' }),
  yearlyCostSpeedControlled: figure('money', 'Yearly cost with speed control', { sheet: 'Energy and money' }),
  yearlySaving: figure('money', 'Yearly saving'),
  /** Part of the yearly cost. */
  demandThrottled: figure('money', 'Of it demand, as controlled today'),
  demandSpeedControlled: figure('money', 'Of it demand, speed controlled'),
  extraCapital: figure('money', 'Extra capital for the drive', { sheet: 'Energy and money' }),
  /** s */
  /** Of this option. */
  firstCost: figure('money', 'To buy and fit', { sheet: 'Energy and money' }),
  yearlyCost: figure('money', 'Yearly running cost', { sheet: 'Energy and money' }),
  lifeCost: figure('money', 'Cost over the years counted', { sheet: 'Energy and money' }),
  /** What comes later counts for less. */
  discountedCost: figure('money', 'Cost over the years, with interest', { sheet: 'Energy and money' }),
  annualCost: figure('money', 'The same spread over the years', { sheet: 'Energy and money' }),
  /** kg a year */
  carbon: figure('count', 'CO₂ of this option a year, kg', { sheet: 'Energy and money' }),
  repairVerdict: phrase('Repair or replace', { sheet: 'Energy and money' }),
  /** Energy of a year that the new motor does not lose and the repaired one would. */
  repairSaving: figure('energy', 'A new motor saves over the repaired one'),
  repairWorth: figure('money', 'Worth of the new motor over the repair', { sheet: 'Energy and money' }),
  /** A year at which both would cost the same. */
  repairEven: figure('time', 'Even with the repair from'),
  payback: figure('span', 'Simple payback', { sheet: 'Energy and money' }),
};

export type MoneyValues = ValuesOf<typeof values>;
