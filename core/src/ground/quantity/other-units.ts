import { formatQuantity } from './format.ts';
import { dimensions, shownUnit, type Dimension, type School, type Unit } from './units.ts';

interface Counterpart {
  readonly dimension: Dimension;
  readonly unit: Unit;
}

const SPACE = '\u00a0';
const counterparts: Readonly<Record<School, ReadonlyMap<string, Counterpart>>> = {
  NEMA: from('IEC'),
  IEC: from('NEMA'),
};

/** Units a school shows that the other does not, by their name. */
function from(school: School): ReadonlyMap<string, Counterpart> {
  const all = (Object.keys(dimensions) as Dimension[]).flatMap((dimension) => {
    const { NEMA, IEC } = dimensions[dimension].shown;
    const unit = shownUnit(dimension, school);
    return NEMA === IEC ? [] : [[unit.names[0] ?? '', { dimension, unit }] as const];
  });
  return new Map(all);
}

const escaped = (text: string): string => text.replaceAll(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);

/** A number as Pilgrim shows one, with a unit of the other school after it. */
const patterns = Object.fromEntries(
  Object.entries(counterparts).map(([school, units]) => {
    const names = [...units.keys()].sort((a, b) => b.length - a.length).map(escaped);
    return [
      school,
      new RegExp(`(−?\\d[\\d${SPACE}]*(?:\\.\\d+)?)${SPACE}(${names.join('|')})(?![\\p{L}\\p{N}·/²³])`, 'gu'),
    ];
  }),
) as Record<School, RegExp>;

/**
 * Words with every quantity as a school shows it: `11.2 kW` becomes `15.0 hp` under NEMA. It reads the figures that are
 * shown, so that it is right to their last digit but one; units both schools share, and numbers without a unit, stay.
 */
export function inUnitsOf(school: School, text: string): string {
  if (!text.includes(SPACE)) return text;
  return text.replaceAll(patterns[school], (whole, figure: string, name: string) => {
    const found = counterparts[school].get(name);
    if (!found) return whole;
    const si = Number(figure.replaceAll(SPACE, '').replace('−', '-')) * found.unit.factor;
    return Number.isFinite(si) ? formatQuantity(si, found.dimension, school) : whole;
  });
}

interface Said {
  readonly text: string;
  readonly other?: string;
}
const isSaid = (thing: object): thing is Said =>
  'text' in thing && typeof thing.text === 'string' && (!('other' in thing) || typeof thing.other === 'string');

/** The same of everything in a result: a value’s exact other figure where it has one, and the words of the rest. */
export function inUnits<T>(school: School, thing: T): T {
  return deeply(school, thing) as T;
}

function deeply(school: School, thing: unknown): unknown {
  if (typeof thing === 'string') return inUnitsOf(school, thing);
  if (typeof thing !== 'object' || thing === null || ArrayBuffer.isView(thing)) return thing;
  if (Array.isArray(thing)) return typeof thing[0] === 'number' ? thing : thing.map((each) => deeply(school, each));
  const out: Record<string, unknown> = {};
  for (const [name, each] of Object.entries(thing)) out[name] = deeply(school, each);
  if (isSaid(thing) && out['text'] !== thing.text) {
    // What was worked out is more exact than what was shown.
    if (thing.other !== undefined) out['text'] = thing.other;
    out['other'] = thing.text;
  }
  return out;
}
