import type { Job } from '../../job/job.ts';
import { decodeEnclosure } from '../nameplate/enclosure.ts';
import { motorEnclosures } from '../../ground/tables/index.ts';
import { PRACTICE } from '../../ground/value.ts';

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
}

const order: readonly Considered[] = ['ODP', 'TEFC', 'TENV', 'TEBC', 'TEAO', 'washdown', 'TEXP'];

/** Why an enclosure may not stand here; undefined where it may. */
function ruledOut(code: Considered, { place: at, load }: Job, slow: boolean): string | undefined {
  const wet = at.water === 'washdown';
  switch (code) {
    case 'ODP':
      if (at.setting === 'outdoor') return 'open motors do not stand outdoors';
      if (at.dust !== 'clean') return 'dust would be drawn through the winding';
      if (at.water !== 'dry') return 'open motors only where it is dry';
      if (at.corrosion !== 'none') return 'damp or corrosive air would reach the winding';
      if (at.attitude !== 'horizontal') return 'its drip openings only work with the shaft horizontal';
      return at.food ? 'open windings do not belong near food' : undefined;
    case 'TEFC':
      if (wet) return 'washdown jets pass the seals of IP55';
      if (at.dust === 'fibrous') return 'fibres close its fan cover; clean it often, or take one without a fan';
      return at.airStream ? 'its fan works against the stream it stands in' : undefined;
    case 'TENV':
      if (wet) return 'washdown jets pass the seals of IP54';
      return undefined;
    case 'TEBC':
      if (wet) return 'washdown jets pass the seals of IP54';
      return slow ? undefined : 'only for long low speed at full torque on a drive';
    case 'TEAO':
      if (!at.airStream) return 'only in the air stream of its own fan';
      return load.machine === 'fan' ? undefined : 'only a fan cools the motor that drives it';
    case 'washdown':
      return undefined;
    case 'TEXP':
      return 'never chosen here: a person competent for hazardous areas decides';
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
  const open = deferred ? undefined : order.find((code) => inCatalogue(code) && !ruledOut(code, job, slow));
  // Fibres rule out a fan only as long as something else may stand here.
  return order.map((code): EnclosureVerdict => {
    const why = ruledOut(code, job, slow);
    const verdict = deferred || why ? 'ruled out' : code === open ? 'chosen' : 'possible';
    return {
      code,
      name: descriptions[code],
      ...codesOf(code),
      verdict,
      why: deferred && code !== 'TEXP' ? 'a competent person decides here' : (why ?? reasonFor(code, code === open)),
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
