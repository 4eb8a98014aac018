import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  yearlyCostThrottled: figure('money', 'Annual cost, present control', { sheet: 'Energy and economics' }),
  yearlyCostSpeedControlled: figure('money', 'Annual cost, speed control', { sheet: 'Energy and economics' }),
  yearlySaving: figure('money', 'Annual savings'),
  /** Part of the yearly cost. */
  demandThrottled: figure('money', 'Demand charge, present control'),
  demandSpeedControlled: figure('money', 'Demand charge, speed control'),
  extraCapital: figure('money', 'Additional investment', { sheet: 'Energy and economics' }),
  /** s */
  /** Of this option. */
  firstCost: figure('money', 'Installed cost', { sheet: 'Energy and economics' }),
  yearlyCost: figure('money', 'Annual operating cost', { sheet: 'Energy and economics' }),
  lifeCost: figure('money', 'Life-cycle cost, undiscounted', { symbol: 'LCC', sheet: 'Energy and economics' }),
  /** What comes later counts for less. */
  discountedCost: figure('money', 'Life-cycle cost, present value', { symbol: 'LCC', sheet: 'Energy and economics' }),
  annualCost: figure('money', 'Equivalent annual cost', { symbol: 'EAC', sheet: 'Energy and economics' }),
  /** kg a year */
  carbon: figure('count', 'Annual CO₂ emissions, kg', { sheet: 'Energy and economics' }),
  repairVerdict: textField('Repair or replace', { sheet: 'Energy and economics' }),
  /** Energy of a year that the new motor does not lose and the repaired one would. */
  repairSaving: figure('energy', 'Annual energy saved by replacement'),
  repairWorth: figure('money', 'NPV, replacement over repair', { symbol: 'NPV', sheet: 'Energy and economics' }),
  /** A year at which both would cost the same. */
  repairEven: figure('time', 'Break-even running hours'),
  payback: figure('span', 'Simple payback', { sheet: 'Energy and economics' }),
};

export type MoneyValues = ValuesOf<typeof values>;
