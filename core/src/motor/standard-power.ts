import { amount, type Text } from '../kernel/text.ts';
import { HORSEPOWER, type StandardsSystem } from '../kernel/quantity/units.ts';
import { iecFrames, motorCurrent } from '../kernel/tables/index.ts';
import type { Table } from '../kernel/tables/table.ts';

const IEC_SOURCE = 'EN 50347:2001, output assignment table';

const horsepowers = motorCurrent.rows.flatMap((row) => (typeof row['hp'] === 'number' ? [row['hp']] : []));
const kilowatts = [
  ...new Set(iecFrames.rows.flatMap((row) => (typeof row['kw'] === 'number' ? [row['kw']] : []))),
].toSorted((a, b) => a - b);

/** The standard output sizes of a school, W, rising. NEMA: rows of NEC Table 430.250. IEC: EN 50347. */
export const standardPowers = (school: StandardsSystem): readonly number[] =>
  school === 'NEMA' ? horsepowers.map((hp) => hp * HORSEPOWER) : kilowatts.map((kw) => kw * 1000);

export const standardPowerSource = (school: StandardsSystem): string =>
  school === 'NEMA' ? motorCurrent.source : IEC_SOURCE;

/** The smallest standard size not below `needed` W, or undefined above the largest. A size within 0.1 % counts as met. */
export const nextStandardPower = (needed: number, school: StandardsSystem): number | undefined =>
  standardPowers(school).find((size) => size * 1.001 >= needed);

/** Whether two powers are the same rating, one perhaps typed in the other unit (11 kW and 15 hp are one size; 2 %). */
export const sameRating = (a: number, b: number): boolean => Math.abs(a / b - 1) < 0.02;

export const horsepowerOf = (watts: number): number => watts / HORSEPOWER;

/** The whole or fractional horsepower a rating stands for, where one is within 2 %. */
export const standardHorsepower = (watts: number): number | undefined =>
  horsepowers.find((hp) => sameRating(hp * HORSEPOWER, watts));

/** A rating as it is spoken of. */
export const sizeText = (watts: number): Text => amount(watts, 'power');

/** The first row of a table by hp that reaches a power in W, 2 % allowed for a rating typed in the other unit. */
export const rowReaching = ({ rows }: Pick<Table, 'rows'>, watts: number): Table['rows'][number] | undefined =>
  rows.find((each) => Number(each['hp']) >= horsepowerOf(watts) * 0.98);
