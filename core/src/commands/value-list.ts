import { siUnit } from '../kernel/quantity/format.ts';
import { bothTerms } from '../kernel/term.ts';
import { publishedValues } from '../solve/published.ts';

export interface ListedValue {
  readonly id: string;
  readonly label: string;
  /** SI; empty for codes and names. */
  readonly unit: string;
  /** Chapter of the selection sheet, empty where it is not on it. */
  readonly sheet: string;
}

/** Every published value, for scripts and for the documentation. */
export const valueList = (): ListedValue[] =>
  [...publishedValues].map(([id, value]) => ({
    id,
    label: bothTerms(value.label),
    unit: value.kind === 'figure' ? siUnit(value.dimension) : '',
    sheet: value.sheet ?? '',
  }));
