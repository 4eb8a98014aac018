import { KELVIN } from '../../../kernel/constants.ts';
import type { OptionContext } from '../../stage.ts';
import { liesBy, type Run } from '../installation-conditions.ts';
import { ambientFactor } from '../../supply/feeder.ts';
import { ampacity, bundling, conductorMetal } from '../../../kernel/tables/index.ts';
import { cellValue } from '../../../kernel/tables/table.ts';
import { quantity, textValue, type Value } from '../../../kernel/value.ts';
import { type Text, series } from '../../../kernel/text.ts';

type Column = '60' | '75' | '90';

/** A wire size as it is spoken: AWG below 250, kcmil from 250. */
export const conductorName = (size: string): string => (Number(size) >= 250 ? `${size} kcmil` : `${size} AWG`);

/** Smallest size for power wiring (NEC 310.3). */
export const SMALLEST = '14';
const sizes = ampacity.rows.slice(ampacity.rows.findIndex((row) => row['size'] === SMALLEST));

/** Which of two sizes is the larger; 0 where they are the same. */
export const compareSizes = (a: string, b: string): number =>
  sizes.findIndex((row) => row['size'] === a) - sizes.findIndex((row) => row['size'] === b);

export interface Conductor {
  readonly size: string;
  readonly name: Value<Text>;
  /** What it carries here, after ambient and bundling. */
  readonly carries: Value;
  /** What its terminals alone ask for, and its insulation in the heat and beside other wires. */
  readonly byTerminals: { readonly size: string; readonly degrees: string };
  readonly byWay: string;
}

/** Share left of an ampacity with more than three current-carrying conductors together: NEC Table 310.15(C)(1). */
function bundlingFactor(conductors: number): Value | undefined {
  if (conductors <= 3) return undefined;
  const row = bundling.rows.find(
    (each) => each['conductors_to'] === null || conductors <= Number(each['conductors_to']),
  );
  return cellValue(bundling, row, 'percent', { dimension: 'fraction', factor: 0.01 });
}

/**
 * Temperature the terminals are good for (NEC 110.14(C)): as chosen, else 75 °C for motors of Design B, C and D, else 60 °C
 * up to 100 A and 75 °C above.
 */
function terminalColumn(chosen: 'auto' | '60' | '75', designLetter: string | undefined, needed: number): Column {
  if (chosen !== 'auto') return chosen;
  if (/^[BCD]/i.test(designLetter?.trim() ?? '')) return '75';
  return needed <= 100 ? '60' : '75';
}

/** °C by which the sun heats a raceway close above a roof: NEC 310.15(B)(2), from memory. */
const ON_ROOF = 33;

interface Asked {
  /** Of the motor. */
  readonly designLetter?: string | undefined;
  /** A size below which none is looked for. */
  readonly atLeast?: string;
  readonly run?: Run;
}

/** The next larger size. */
export const nextSize = (size: string): string | undefined => {
  const next = sizes[sizes.findIndex((row) => row['size'] === size) + 1]?.['size'];
  return typeof next === 'string' ? next : undefined;
};

/** What the formula of ICEA P-32-382 takes of a metal (from memory): A²s per circular mil squared, and °C below zero at which it would not resist. */
const METALS = { copper: { k: 0.0297, zero: 234 }, aluminium: { k: 0.0125, zero: 228 } } as const;
/** °C that thermoplastic insulation bears for as long as a short circuit lasts: ICEA P-32-382 (from memory). */
const SHORT = 150;

/** A²s that a wire bears, from the temperature of its insulation in service. */
export function conductorI2tOf(size: string, { conductor, insulation }: OptionContext['job']['protection']): number {
  const { k, zero } = METALS[conductor];
  return circularMils(size) ** 2 * k * Math.log10((SHORT + zero) / (Number(insulation) + zero));
}

const circularMils = (size: string): number =>
  Math.max(0, ...conductorMetal.rows.filter((row) => row['size'] === size).map((row) => Number(row['cmil'])));

/** A grounding wire raised as the phase wires were, by their areas (NEC 250.122(B)). */
export function raisedWith(ground: string, from: string, to: string): string {
  if (compareSizes(to, from) <= 0) return ground;
  const wanted = (circularMils(ground) * circularMils(to)) / circularMils(from);
  return String(sizes.find((row) => circularMils(String(row['size'])) >= wanted * 0.9999)?.['size'] ?? to);
}

/**
 * The smallest wire whose ampacity covers `needed` A twice: at the temperature of its terminals, and by its insulation after
 * the correction for ambient and bundling (NEC 110.14(C), 310.15, Table 310.16). Undefined where none is large enough.
 */
export function smallestConductor(
  brief: OptionContext,
  needed: Value,
  { designLetter, atLeast = SMALLEST, run = 'feed' }: Asked = {},
): Conductor | undefined {
  const { conductor, terminals, insulation } = brief.job.protection;
  const lies = liesBy(brief, run);
  const metal = conductor === 'copper' ? 'cu' : 'al';
  const terminal = terminalColumn(terminals, designLetter, needed.value);
  const own: Column = insulation < terminal ? terminal : insulation;
  const ambient = lies.ambient ?? brief.given.place.ambient;
  const heat = ambientFactor((ambient?.value ?? KELVIN + 30) + (lies.onRoof ? ON_ROOF : 0), own);
  const bundled = bundlingFactor(lies.conductors?.value ?? 3);
  const left = (heat?.value ?? 0) * (bundled?.value ?? 1);
  const first = (column: Column, share: number): number =>
    sizes.findIndex((each) => (ampacity.number(each, `${metal}_${column}`) ?? 0) * share >= needed.value - 1e-9);
  const [byTerminals, byWay] = [first(terminal, 1), first(own, left)];
  const wanted = sizes.findIndex((each) => each['size'] === atLeast);
  const row = byTerminals < 0 || byWay < 0 ? undefined : sizes[Math.max(wanted, byTerminals, byWay)];
  const cell = row && cellValue(ampacity, row, `${metal}_${own}`, { dimension: 'current' });
  const limit = row && cellValue(ampacity, row, `${metal}_${terminal}`, { dimension: 'current' });
  if (!row || !cell || !limit) return undefined;
  const size = String(row['size']);
  const carries = quantity(Math.min(limit.value, cell.value * left), 'current', {
    origin: 'recalled',
    formula: `I = \\min(I_{${terminal}},\\ C_a\\,C_g\\,I_{${own}})`,
    from: {
      [`I_{${terminal}}`]: limit,
      [`I_{${own}}`]: cell,
      C_a: heat,
      C_g: bundled,
      '\\vartheta': ambient,
    },
    source: 'NEC 110.14(C), 310.15(B) and (C), Table 310.16 (recalled from memory)',
    note: series(
      [
        `${terminal} °C terminals${terminals === 'auto' ? '' : ' as chosen'}, ${own} °C insulation.`,
        lies.onRoof ? `${ON_ROOF} °C more on a roof (310.15(B)(2)).` : '',
        cell.working.note ?? '',
      ],
      ' ',
    ),
  });
  return {
    size,
    carries,
    byTerminals: { size: String(sizes[byTerminals]?.['size']), degrees: terminal },
    byWay: String(sizes[byWay]?.['size']),
    name: textValue(`${conductorName(size)} ${conductor}`, {
      origin: 'recalled',
      formula: 'I \\ge I_z',
      from: { I: carries, I_z: needed },
      source: ampacity.source,
      note: carries.working.note,
    }),
  };
}
