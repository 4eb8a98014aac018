import { yearsCounted } from '../selection/selection-input.ts';
import type { StageContext } from '../stage.ts';
import type { Horizon } from './cash-flow.ts';

/** Interest and rising prices over the years counted. */
export const studyPeriod = ({ given, practice }: Pick<StageContext, 'given' | 'practice'>): Horizon => ({
  years: yearsCounted({ given }),
  discount: practice.discountRate.value,
  growth: given.money.priceGrowth?.value ?? 0,
});
