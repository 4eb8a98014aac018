import { say, series, type Text } from '../../../kernel/text.ts';
import { KELVIN } from '../../../kernel/constants.ts';
import { memoize } from '../../../kernel/memoize.ts';
import {
  cableAmbient,
  cableGrouping,
  cableSoil,
  freeAirCable,
  pvcCable,
  xlpeCable,
} from '../../../kernel/tables/index.ts';
import { cellValue, type Table } from '../../../kernel/tables/table.ts';
import { PRACTICE, quantity, type Value } from '../../../kernel/value.ts';
import type { OptionContext } from '../../stage.ts';
import { liesBy, type Run } from '../installation-conditions.ts';

/** Sizes of copper and aluminium cables, mm². */
export const sizes: readonly number[] = pvcCable.rows.map((row) => Number(row['size']));

/** °C of the tables, in air and in the ground. */
const BASE = { air: 30, ground: 20 } as const;

/** What a cable is laid in and made of. */
export interface CableInstallation {
  readonly laying: 'conduit' | 'clipped' | 'tray' | 'duct';
  readonly insulation: 'PVC' | 'XLPE';
  readonly metal: 'cu' | 'al';
}

export const laidBy = (brief: OptionContext, run: Run = 'feed'): CableInstallation => ({
  laying: liesBy(brief, run).laying,
  insulation: brief.job.protection.cableInsulation,
  metal: brief.job.protection.conductor === 'aluminium' ? 'al' : 'cu',
});

const METHODS = {
  conduit: { column: 'b2', named: 'B2, in conduit or trunking' },
  clipped: { column: 'c', named: 'C, clipped to a surface' },
  tray: { column: 'e', named: 'E, on a perforated tray' },
  duct: { column: 'd1', named: 'D1, in a duct in the ground' },
} as const;

/** Where the tables say what such a cable carries. */
function placeOf({ laying, insulation, metal }: CableInstallation): { readonly table: Table; readonly column: string } {
  const { column } = METHODS[laying];
  if (laying === 'tray') return { table: freeAirCable, column: `${metal}_${insulation.toLowerCase()}_${column}` };
  return { table: insulation === 'PVC' ? pvcCable : xlpeCable, column: `${metal}_${column}` };
}

/** What a size carries as the tables stand, A: three loaded cores, 30 °C in air or 20 °C in the ground. */
export function tableAmpacity(size: number, laid: CableInstallation): Value | undefined {
  const { table, column } = placeOf(laid);
  return cellValue(table, table.row(size), column, { dimension: 'current' });
}

/** A that each size carries here, as `ampacityHere` tells it of one; sizes the table has not are left out. */
export const carriedBySize = (laid: CableInstallation, { share }: Surroundings): ReadonlyMap<number, number> =>
  new Map(
    columnOf(laid).map(({ size, base, atTerminals }) => [
      size,
      laid.insulation === 'XLPE' ? Math.min(atTerminals, base * share) : base * share,
    ]),
  );

interface TableCell {
  readonly size: number;
  readonly base: number;
  readonly atTerminals: number;
}
const columns = new Map<string, readonly TableCell[]>();

/** A column of the tables, A; looked up once, since the tables stand. */
const columnOf = (laid: CableInstallation): readonly TableCell[] =>
  memoize(columns, 16, `${laid.laying} ${laid.insulation} ${laid.metal}`, () => {
    const own = placeOf(laid);
    const cool = placeOf({ ...laid, insulation: 'PVC' });
    return sizes.flatMap((size) => {
      const base = own.table.number(own.table.row(size), own.column);
      const atTerminals = cool.table.number(cool.table.row(size), cool.column);
      return base === undefined || atTerminals === undefined ? [] : [{ size, base, atTerminals }];
    });
  });

/** Share left of it in warmer or cooler surroundings: IEC 60364-5-52 Tables B.52.14 and B.52.15, the next warmer row. */
export function ambientShare(ambient: number, { laying, insulation }: CableInstallation): Value | undefined {
  const medium = laying === 'duct' ? 'ground' : 'air';
  const celsius = ambient - KELVIN;
  const row = cableAmbient.rows.find(
    (each) => each['medium'] === medium && Number(each['temperature']) >= celsius - 1e-6,
  );
  return cellValue(cableAmbient, row, insulation.toLowerCase(), { dimension: 'fraction' });
}

const ARRANGED = {
  conduit: 'bunched in air, on a surface, embedded or enclosed',
  clipped: 'single layer on wall, floor or unperforated tray',
  tray: 'single layer on perforated tray, horizontal or vertical',
  duct: 'bunched in air, on a surface, embedded or enclosed',
} as const;
const COUNTS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 12, 16, 20] as const;

/** Share left with so many circuits side by side: Table B.52.17; of more than a column has, the next one. */
export function groupShare(circuits: number, { laying }: CableInstallation): Value | undefined {
  const row = cableGrouping.row('B.52.17', ARRANGED[laying], 0);
  const column = COUNTS.find((each) => each >= circuits - 1e-9 && cableGrouping.number(row, `n${each}`) !== undefined);
  const share = cellValue(cableGrouping, row, `n${column ?? 20}`, { dimension: 'fraction' });
  if (!share || laying !== 'duct') return share;
  return {
    ...share,
    working: { ...share.working, note: 'Ducts have a table of their own, which is not here: bunched cables stand in.' },
  };
}

/** Share left in soil of a thermal resistivity, K·m/W: Table B.52.16, 2.5 as the tables stand. */
const soilShare = (resistivity: string): Value | undefined =>
  cellValue(cableSoil, cableSoil.row(Number(resistivity)), 'd1', { dimension: 'fraction' });

/** What is left of a table’s current here. */
export interface Surroundings {
  readonly share: number;
  readonly from: Readonly<Record<string, Value | undefined>>;
  readonly note: Text;
}

/** Undefined where the insulation does not bear so warm a place. */
export function surroundingsOf(
  brief: OptionContext,
  laid: CableInstallation,
  run: Run = 'feed',
): Surroundings | undefined {
  const { job, given } = brief;
  const { ambient, circuits } = liesBy(brief, run);
  const ground = laid.laying === 'duct';
  const typed = ambient ?? (ground ? undefined : given.place.ambient);
  const warmth = ambientShare(typed?.value ?? KELVIN + (ground ? BASE.ground : BASE.air), laid);
  const group = groupShare(circuits?.value ?? 1, laid);
  const soil = ground ? soilShare(job.protection.soil) : undefined;
  if (!warmth || !group) return undefined;
  return {
    share: warmth.value * group.value * (soil?.value ?? 1),
    from: { C_a: warmth, C_g: group, 'C_{soil}': soil, '\\vartheta': typed, n: circuits },
    note: say`${series(
      [
        `Method ${METHODS[laid.laying].named}, ${laid.insulation}`,
        typed ? undefined : ground ? 'ground of 20 °C' : 'air of 30 °C',
        circuits ? undefined : 'no other circuit beside it',
        group.working.note,
      ],
      '; ',
    )}.`,
  };
}

/**
 * What a cable of a size carries here, A: I_t C_a C_g C_soil. At terminals for 70 °C a cable of XLPE carries no more than one of PVC
 * would in the same method, not reduced.
 */
export function ampacityHere(size: number, laid: CableInstallation, around: Surroundings): Value | undefined {
  const base = tableAmpacity(size, laid);
  const atTerminals = tableAmpacity(size, { ...laid, insulation: 'PVC' });
  if (!base || !atTerminals) return undefined;
  const cool = laid.insulation === 'XLPE' && atTerminals.value < base.value * around.share;
  return quantity(cool ? atTerminals.value : base.value * around.share, 'current', {
    origin: 'recalled',
    formula: 'I_z = I_t\\,C_a\\,C_g\\,C_{soil}',
    from: { I_t: base, ...around.from },
    source: cool ? say`${base.working.source}; terminals for 70 °C: ${PRACTICE}` : base.working.source,
    note: series([around.note, base.working.note ?? ''], ' '),
  });
}
