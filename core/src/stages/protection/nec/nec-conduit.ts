import { conductorAreas, conduits } from '../../../kernel/tables/index.ts';
import type { Text } from '../../../kernel/text.ts';
import { textValue, type Value } from '../../../kernel/value.ts';

/** Three wires of this share of a conduit’s bore can wedge in a bend. Common practice: 2.8 to 3.2. */
const JAM = [2.8, 3.2] as const;

const areaValue = (area: number, of: string): Value<Text> =>
  textValue(`${area.toFixed(4)} in² of ${of}`, { origin: 'recalled', source: conductorAreas.source });

/** The smallest conduit for three phase wires and a grounding one, in². Undefined beyond the tables. */
export function conduitFor(phase: string, ground: string): Value<Text> | undefined {
  const areaOf = (size: string): number | undefined => conductorAreas.number(conductorAreas.row(size), 'area');
  const [own, earth] = [areaOf(phase), areaOf(ground)];
  const diameter = conductorAreas.number(conductorAreas.row(phase), 'diameter');
  if (own === undefined || earth === undefined || diameter === undefined) return undefined;
  const area = 3 * own + earth;
  const row = conduits.rows.find((each) => Number(each['area_40_over_two']) >= area);
  const bore = conduits.number(row, 'inside_diameter');
  if (!row || bore === undefined) return undefined;
  const ratio = bore / diameter;
  const jams = ratio >= JAM[0] && ratio <= JAM[1];
  const name = String(row['trade_size']);
  return textValue(`${name} in EMT`, {
    origin: 'recalled',
    formula: '3A_p + A_g \\le 0.4\\,A_{bore}',
    from: {
      A_p: areaValue(own, phase),
      A_g: areaValue(earth, ground),
      'A_{bore}': areaValue(bore ** 2 * (Math.PI / 4), name),
    },
    source: `${conduits.source}; ${conductorAreas.source}`,
    note: `${area.toFixed(4)} in² of ${String(row['area_40_over_two'])} in², THHN with a grounding wire.${jams ? ` Bore over wire is ${ratio.toFixed(1)}: three wires can wedge in a bend.` : ''}`,
  });
}
