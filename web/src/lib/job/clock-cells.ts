import { clockCells } from '@pilgrim/core/stages/supply/clock';
import { optionsOf, type FieldDefinition } from './sheets';

/** The cells of a row that say when it holds. */
export const clockDefinitions: readonly Omit<FieldDefinition, 'kind'>[] = [
  { path: 'days', label: clockCells.days.label, options: optionsOf(clockCells.days.options) },
  { path: 'from', label: clockCells.from.label, placeholder: '06:00' },
  { path: 'to', label: clockCells.to.label, placeholder: '22:00' },
  { path: 'firstMonth', label: clockCells.firstMonth.label, options: optionsOf(clockCells.firstMonth.options) },
  { path: 'lastMonth', label: clockCells.lastMonth.label, options: optionsOf(clockCells.lastMonth.options) },
];

/** What they hold in a new row: always. */
export const always = Object.fromEntries(
  Object.entries(clockCells).map(([name, cell]) => [name, cell.usual]),
) as Readonly<Record<keyof typeof clockCells, string>>;
