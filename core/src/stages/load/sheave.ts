import { amount, say, series } from '../../kernel/text.ts';
import { rowReaching } from '../../motor/standard-power.ts';
import { INCH, type StandardsSystem } from '../../kernel/quantity/units.ts';
import { sheaves } from '../../kernel/tables/index.ts';
import { quantity, type Value } from '../../kernel/value.ts';

/**
 * Least pitch diameter, m, of a V-belt sheave of classical section on a motor of a size, W, and pole count (MG 1 Table
 * 14-1). No IEC standard gives one; MG 1’s for the next size stands in. Undefined where none is named.
 */
export function minimumSheaveDiameter(power: number, poles: number, school: StandardsSystem): Value | undefined {
  const row = rowReaching(sheaves, power);
  const column = `classical_${poles}pole`;
  const inches = sheaves.number(row, column);
  if (!row || inches === undefined) return undefined;
  const narrow = sheaves.number(row, `narrow_${poles}pole`);
  return quantity(inches * INCH, 'length', {
    origin: 'recalled',
    source: sheaves.source,
    note: series(
      [
        'Pitch diameter, classical V-belts.',
        narrow === undefined ? '' : say`Narrow V-belts: ${amount(narrow * INCH, 'length')} outside.`,
        school === 'IEC' ? 'The figure of MG 1 stands in.' : '',
        sheaves.doubt(row, column) ?? '',
      ].filter((each) => each !== ''),
      ' ',
    ),
  });
}
