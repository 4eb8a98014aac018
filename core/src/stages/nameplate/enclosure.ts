import { motorEnclosures } from '../../kernel/tables/index.ts';

const solids = [
  'no protection from touch',
  'keeps out bodies over 50 mm',
  'keeps out fingers and bodies over 12 mm',
  'keeps out tools over 2.5 mm',
  'keeps out wires over 1 mm',
  'dust does no harm',
  'dust-tight',
] as const;
const waters = [
  'no protection from water',
  'dripping',
  'dripping, tilted to 15°',
  'spray to 60°',
  'splashing',
  'water jets',
  'strong jets and heavy seas',
  'immersion for a time',
  'lasting immersion',
  'hot high-pressure jets',
] as const;
const circuits: Readonly<Record<string, string>> = {
  '0': 'open, air drawn through',
  '4': 'closed, cooled over the frame',
  '5': 'closed, built-in exchanger to the air',
  '6': 'closed, exchanger on top to the air',
  '7': 'closed, built-in exchanger to water',
  '8': 'closed, exchanger on top to water',
};
const movers: Readonly<Record<string, string>> = {
  '0': 'no fan',
  '1': 'fan on the shaft',
  '6': 'blower of its own',
  '8': 'air stream of the driven machine',
};

export interface EnclosureFact {
  readonly code: string;
  readonly meaning: string;
  /** The nearest codes of the other family. */
  readonly also: string;
}

/** IP digits of IEC 60034-5, in words (recalled from memory). */
function ip(code: string): EnclosureFact | undefined {
  const match = /^IP\s?(\d)([\dX])/.exec(code);
  if (!match) return undefined;
  const solid = solids[Number(match[1])];
  const water = match[2] === 'X' ? 'water not stated' : waters[Number(match[2])];
  if (!solid || !water) return undefined;
  const closed = Number(match[1]) >= 4;
  return { code, meaning: `${solid}; ${water}`, also: closed ? 'like TEFC, TENV or TEBC by its cooling' : 'like ODP' };
}

/** IC code of IEC 60034-6 in its short form: circuit, inner mover, outer mover (recalled from memory). */
function ic(code: string): EnclosureFact | undefined {
  const digits = /^IC\s?(\d)(\d)?(\d)?/.exec(code);
  const circuit = circuits[digits?.[1] ?? ''];
  if (!digits || !circuit) return undefined;
  const outer = movers[digits[3] ?? digits[2] ?? ''];
  const row = motorEnclosures.rows.find(
    (each) => each['ic'] === code.replaceAll(' ', '') || each['ic_also'] === code.replaceAll(' ', ''),
  );
  return { code, meaning: outer ? `${circuit}; ${outer}` : circuit, also: row ? `like ${String(row['code'])}` : '' };
}

function nema(code: string): EnclosureFact | undefined {
  const row = motorEnclosures.row(code === 'TEXP' ? 'TEXP' : code);
  if (!row) return undefined;
  const codes = [row['ip'], row['ip_also']].filter((each) => each !== null).join(' or ');
  return { code, meaning: String(row['name']), also: `about ${codes}, ${String(row['ic'])}` };
}

/** Reads every enclosure and cooling code of an entry such as `TEFC IP55` or `IP 55, IC 411`, both families. */
export function decodeEnclosure(text: string): EnclosureFact[] {
  const clean = text
    .toUpperCase()
    .replaceAll(/TOTALLY ENCLOSED(\s+FAN[\s-]+COOLED)?/g, 'TEFC')
    .replaceAll(/OPEN DRIP\s?PROOF|\bDP\b/g, 'ODP');
  const found = clean.match(/IP\s?\d[\dX]W?|IC\s?\d{1,3}|TE[A-Z]{2,3}|ODP|WPI{1,2}/g) ?? [];
  return [...new Set(found)].flatMap((code) => ip(code) ?? ic(code) ?? nema(code) ?? []);
}

/** Explosion-protected construction, however the plate says it; selection then stops and defers. */
export const isExplosionProtected = (text: string): boolean =>
  /TEXP|X-?PROOF|FLAME\s?PROOF|EXPL|\bE?EX(?:\b|[DENPT]\b)|\bCL(?:ASS)?\.? I{1,3}\b|\bDIV(?:ISION)?\.? ?[12]|\bZONE ?2?[012]\b|ATEX|HAZARDOUS/i.test(
    text,
  );

const duties: Readonly<Record<string, string>> = {
  S1: 'continuous at constant load',
  S2: 'for a short time, then cold again',
  S3: 'on and off; starting adds no heat that counts',
  S4: 'on and off; starting adds heat',
  S5: 'on and off with electric braking',
  S6: 'runs on, load comes and goes',
  S7: 'runs on, with starting and electric braking',
  S8: 'runs on, load changes with the speed',
  S9: 'load and speed vary freely',
  S10: 'up to four distinct constant loads',
};

/** What a duty entry means (IEC 60034-1 4.2, MG 1 10.36; recalled from memory). */
export function decodeDuty(text: string): { readonly meaning: string; readonly continuous: boolean } | undefined {
  const clean = text.trim().toUpperCase();
  const type = /S(?:10|[1-9])(?!\d)/.exec(clean)?.[0];
  const share = /(\d+)\s*%/.exec(clean)?.[1];
  const minutes = /(\d+)\s*MIN/.exec(clean)?.[1];
  if (type) {
    const detail = share ? `, ${share} % of the time` : minutes ? `, ${minutes} min` : '';
    return { meaning: `${duties[type] ?? ''}${detail}`, continuous: type === 'S1' };
  }
  if (/CONT/.test(clean)) return { meaning: 'continuous', continuous: true };
  if (minutes) return { meaning: `${minutes} min, then cold again`, continuous: false };
  if (/INT/.test(clean)) return { meaning: 'intermittent', continuous: false };
  return undefined;
}
