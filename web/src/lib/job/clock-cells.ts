import { clockCells } from '@pilgrim/core/stages/supply/time-of-use';
import { optionsOf, type FieldDefinition } from './sheets';

const { days, from, to, firstMonth, lastMonth } = clockCells;

/** The cells of a row that say when it holds. */
export const clockDefinitions: readonly Omit<FieldDefinition, 'kind'>[] = [
  { path: 'days', label: days.label, options: optionsOf(days.options) },
  { path: 'from', label: from.label, placeholder: from.example },
  { path: 'to', label: to.label, placeholder: to.example },
  { path: 'firstMonth', label: firstMonth.label, options: optionsOf(firstMonth.options) },
  { path: 'lastMonth', label: lastMonth.label, options: optionsOf(lastMonth.options) },
];

/** What they hold in a new row: always. */
export const always = { days: days.usual, from: '', to: '', firstMonth: firstMonth.usual, lastMonth: lastMonth.usual };
