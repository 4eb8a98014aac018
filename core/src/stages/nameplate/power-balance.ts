import type { Dimension } from '../../kernel/quantity/units.ts';
import { quantity, type Value } from '../../kernel/value.ts';

export interface Balance {
  readonly power?: Value;
  readonly current?: Value;
  readonly efficiency?: Value;
  readonly powerFactor?: Value;
}

type Term = keyof Balance;
const SOURCE = 'definition, P = √3 V I η cos φ';

const formulas: Readonly<Record<Term, { formula: string; dimension: Dimension }>> = {
  power: { formula: 'P = \\sqrt3\\,V I\\,\\eta\\cos\\varphi', dimension: 'power' },
  current: { formula: 'I = \\dfrac{P}{\\sqrt3\\,V\\eta\\cos\\varphi}', dimension: 'current' },
  efficiency: { formula: '\\eta = \\dfrac{P}{\\sqrt3\\,V I\\cos\\varphi}', dimension: 'fraction' },
  powerFactor: { formula: '\\cos\\varphi = \\dfrac{P}{\\sqrt3\\,V I\\,\\eta}', dimension: 'powerFactor' },
};

const symbols: Readonly<Record<Term, string>> = {
  power: 'P',
  current: 'I',
  efficiency: '\\eta',
  powerFactor: '\\cos\\varphi',
};

/** What the one missing of power, current, efficiency and power factor must be; `estimated` when a term was estimated. */
export function solveMissing(voltage: Value, known: Balance, term: Term): Value | undefined {
  const P = known.power?.value ?? NaN;
  const I = known.current?.value ?? NaN;
  const eta = known.efficiency?.value ?? NaN;
  const cosphi = known.powerFactor?.value ?? NaN;
  const root = Math.sqrt(3) * voltage.value;
  const solved = {
    power: root * I * eta * cosphi,
    current: P / (root * eta * cosphi),
    efficiency: P / (root * I * cosphi),
    powerFactor: P / (root * I * eta),
  }[term];
  if (!Number.isFinite(solved)) return undefined;
  const from: Record<string, Value | undefined> = { V: voltage };
  for (const each of Object.keys(symbols) as Term[]) if (each !== term) from[symbols[each]] = known[each];
  const guessed = Object.values(from).some((value) => value && value.origin !== 'given' && value.origin !== 'derived');
  const { formula, dimension } = formulas[term];
  return quantity(solved, dimension, {
    origin: guessed ? 'estimated' : 'derived',
    formula,
    from,
    source: SOURCE,
  });
}

/** How far a full plate is from agreeing with itself: √3 V I η cos φ / P − 1. */
export const mismatch = (
  power: number,
  voltage: number,
  current: number,
  efficiency: number,
  powerFactor: number,
): number => (Math.sqrt(3) * voltage * current * efficiency * powerFactor) / power - 1;
