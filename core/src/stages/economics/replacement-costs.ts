import { YEAR } from '../../kernel/constants.ts';
import type { OptionContext } from '../stage.ts';

/** What an option costs between the beginning and the end, and what is left of it then; years and the job’s currency. */
export interface ReplacementCosts {
  readonly replacement: number;
  /** Years between two. */
  readonly after: number;
  readonly residualValue: number;
}

/** Most replacements that are counted: more often than monthly nobody replaces. */
const MOST = 600;

/** As typed for an option; nothing where nothing is. */
export function laterOf({ given }: OptionContext): ReplacementCosts {
  const { replacement, replacedAfter, restValue } = given.money;
  const counted = replacement && replacedAfter;
  return {
    replacement: counted ? replacement.value : 0,
    after: counted ? replacedAfter.value / YEAR : Number.POSITIVE_INFINITY,
    residualValue: restValue?.value ?? 0,
  };
}

/** Worth now of what comes later over so many years: Σ R/(1+r)^t − S/(1+r)^n. One that falls on the end is not made. */
export function laterCosts(
  { replacement, after, residualValue }: ReplacementCosts,
  years: number,
  discount: number,
): number {
  let sum = -residualValue / (1 + discount) ** years;
  if (replacement === 0) return sum;
  for (let time = after, count = 0; time < years - 1e-9 && count < MOST; time += after, count++)
    sum += replacement / (1 + discount) ** time;
  return sum;
}
