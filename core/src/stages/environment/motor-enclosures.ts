import type { Job } from '../../job/job.ts';
import { decodeEnclosure } from '../nameplate/enclosure.ts';
import { motorEnclosures } from '../../kernel/tables/index.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** The enclosures of the catalogue, and those that are bought to specification. */
export type EnclosureCode = 'ODP' | 'TEFC' | 'washdown';
type Considered = EnclosureCode | 'TENV' | 'TEBC' | 'TEAO' | 'TEXP';

/** One enclosure with both families’ codes and what was decided of it. */
export interface EnclosureVerdict {
  readonly code: Considered;
  readonly name: string;
  readonly ip: string;
  readonly ic: string;
  readonly verdict: 'chosen' | 'possible' | 'ruled out';
  readonly why: string;
  /** What of the place stands against it. */
  readonly against: readonly Criterion[];
}

const order: readonly Considered[] = ['ODP', 'TEFC', 'TENV', 'TEBC', 'TEAO', 'washdown', 'TEXP'];

/** What of a place may stand against an enclosure, in the order it is looked at. */
export const criteria = [
  'setting',
  'dust',
  'water',
  'air',
  'mounting',
  'food',
  'air stream',
  'low speed',
  'hazard',
] as const;
export type Criterion = (typeof criteria)[number];
type Against = Readonly<Partial<Record<Criterion, string | false | undefined>>>;

const JETS = (ip: string): string => `washdown jets pass the seals of ${ip}`;

/** What stands against an enclosure here, by what of the place it is. */
function against(code: Considered, { place: at, load }: Job, slow: boolean): Against {
  const wet = at.water === 'washdown';
  switch (code) {
    case 'ODP':
      return {
        setting: at.setting === 'outdoor' && 'open motors do not stand outdoors',
        dust: at.dust !== 'clean' && 'dust would be drawn through the winding',
        water: at.water !== 'dry' && 'open motors only where it is dry',
        air: at.corrosion !== 'none' && 'damp or corrosive air would reach the winding',
        mounting: at.attitude !== 'horizontal' && 'its drip openings only work with the shaft horizontal',
        food: at.food && 'open windings do not belong near food',
      };
    case 'TEFC':
      return {
        dust: at.dust === 'fibrous' && 'fibres close its fan cover; clean it often, or take one without a fan',
        water: wet && JETS('IP55'),
        'air stream': at.airStream && 'its fan works against the stream it stands in',
      };
    case 'TENV':
      return { water: wet && JETS('IP54') };
    case 'TEBC':
      return { water: wet && JETS('IP54'), 'low speed': !slow && 'only for long low speed at full torque on a drive' };
    case 'TEAO':
      return {
        'air stream': at.airStream
          ? load.machine !== 'fan' && 'only a fan cools the motor that drives it'
          : 'only in the air stream of its own fan',
      };
    case 'washdown':
      return {};
    case 'TEXP':
      return { hazard: 'never chosen here: a person competent for hazardous areas decides' };
  }
}

const descriptions: Readonly<Record<Considered, string>> = {
  ODP: 'open, drip-proof',
  TEFC: 'closed, fan on the shaft',
  TENV: 'closed, no fan: small sizes',
  TEBC: 'closed, blower of its own',
  TEAO: 'closed, cooled by the fan it drives',
  washdown: 'closed and sealed against jets, coated or stainless',
  TEXP: 'explosion-protected',
};

function codesOf(code: Considered): { ip: string; ic: string } {
  if (code === 'washdown') return { ip: 'IP66', ic: 'IC411' };
  const row = motorEnclosures.row(code);
  const ip = [row?.['ip'], row?.['ip_also']].filter((each) => typeof each === 'string').join(' or ');
  return { ip, ic: String(row?.['ic'] ?? decodeEnclosure(code)[0]?.also ?? '') };
}

/**
 * Every enclosure with its verdict; the first that may stand here is chosen, none where a competent person must decide.
 * `slow` says that full torque is wanted at low speed.
 */
export function judgeEnclosures(job: Job, deferred: boolean, slow: boolean): EnclosureVerdict[] {
  const judged = order.map((code) => {
    const found = against(code, job, slow);
    const standing = criteria.filter((criterion) => found[criterion]);
    // Jets are said first: nothing else matters then.
    const [first] = standing.includes('water') && code !== 'ODP' ? ['water' as const] : standing;
    return { code, standing, why: (first && found[first]) || undefined };
  });
  const open = deferred ? undefined : judged.find(({ code, why }) => inCatalogue(code) && !why)?.code;
  return judged.map(({ code, standing, why }): EnclosureVerdict => {
    const verdict = deferred || why ? 'ruled out' : code === open ? 'chosen' : 'possible';
    return {
      code,
      name: descriptions[code],
      ...codesOf(code),
      verdict,
      why: deferred && code !== 'TEXP' ? 'a competent person decides here' : (why ?? reasonFor(code, code === open)),
      against: deferred && !standing.includes('hazard') ? [...standing, 'hazard'] : standing,
    };
  });
}

export const inCatalogue = (code: Considered): code is EnclosureCode => ['ODP', 'TEFC', 'washdown'].includes(code);

function reasonFor(code: Considered, chosen: boolean): string {
  if (chosen && code === 'ODP') return 'clean, dry and horizontal: the plainest will do';
  if (chosen && code === 'TEFC') return 'keeps dust and drips out; the usual choice in industry';
  if (chosen) return 'the plainest that stands what is here';
  if (code === 'TEBC')
    return 'its blower cools it at the low speeds of the profile, where a fan on the shaft hardly turns';
  return code === 'TENV' ? 'possible in small sizes' : 'more than is needed here';
}

export interface Material {
  readonly material: string;
  readonly why: string;
  readonly source: string;
}

const LARGE = 15_000;

/** Frame material by heat, size, water and air. Common practice, no published source. */
export function frameMaterial({ place: at }: Job, power: number, hot: boolean): Material {
  const say = (material: string, why: string): Material => ({ material, why, source: PRACTICE });
  if (at.food && at.water === 'washdown') return say('stainless steel', 'cleaners and food leave no other');
  if (at.corrosion === 'chemical') return say('cast iron, epoxy coated', 'chemicals in the air');
  if (at.corrosion === 'salt') return say('cast iron, epoxy coated, stainless hardware', 'salt in the air');
  if (at.water === 'washdown') return say('epoxy-coated or stainless', 'jets and cleaners');
  if (power >= LARGE || hot || at.setting === 'outdoor')
    return say('cast iron', hot ? 'heat and stiffness' : power >= LARGE ? 'the size' : 'it stands outdoors');
  if (at.dust === 'clean' && at.water === 'dry') return say('rolled steel', 'general use, small');
  return say('aluminium or rolled steel', 'light, with a good path for heat');
}
