import type { JobInput } from '../../../job/job.ts';

export type PlateFields = NonNullable<JobInput['nameplate']>;
export type PlateField = Exclude<keyof PlateFields, 'asRead' | 'unreadable' | 'speedInForce'>;

export type Unit = 'hp' | 'kW' | 'V' | 'A' | 'r/min' | 'Hz' | 'phases' | 'poles' | '%' | '°C' | 'kg' | 'lb';

/** What a label may be followed by. `rest` takes words up to the next label or unit. */
export type Accepts = 'number' | 'letter' | 'word' | 'rest';

export interface Label {
  readonly field: PlateField | 'nothing';
  readonly accepts: Accepts;
}

/** Rating fields have a second set: a plate may print a 50 Hz block beside the 60 Hz one. */
export const alternates: Partial<Record<PlateField, PlateField>> = {
  power: 'altPower',
  voltages: 'altVoltages',
  currents: 'altCurrents',
  frequency: 'altFrequency',
  speed: 'altSpeed',
  efficiency: 'altEfficiency',
  powerFactor: 'altPowerFactor',
  serviceFactor: 'altServiceFactor',
  frame: 'altFrame',
};

/** How a row of a table says in which connection its figures hold. */
export const CONNECTION_MARK = /^(?:[YDΔ△λ⅄]{1,2}(?:\s?\/\s?[YDΔ△λ⅄]{1,2})*)$/iu;

const END = String.raw`(?![a-zα-ω])`;
const rule = (pattern: string): RegExp => new RegExp(`(?:${pattern})${END}`, 'iyu');
const label = (field: Label['field'], accepts: Accepts, pattern: string): readonly [Label, RegExp] => [
  { field, accepts },
  rule(pattern),
];

/** Words that announce a figure. The first that matches counts, so the longer stand before the shorter. */
export const labels: readonly (readonly [Label, RegExp])[] = [
  label('serviceFactorAmps', 'number', String.raw`s\.?\s?f\.?\s?a(?:mps?)?\.?`),
  label('serial', 'word', String.raw`s/n|ser(?:ial)?\.?(?:\s?(?:no\.?|number|#))?`),
  label('model', 'word', String.raw`cat(?:alog)?\.?(?:\s?no\.?)?|model(?:\s?no\.?)?|type|part\s?no\.?|spec\.?`),
  label('usableAt', 'rest', String.raw`usable\s+(?:at|on)`),
  label('serviceFactor', 'number', String.raw`s\.?\s?f\.?|service\s+factor|serv\.?\s*fact(?:or)?\.?`),
  label('codeLetter', 'letter', String.raw`(?:kva\s*[/-]?\s*)?code(?:\s+letter)?|kva\s+code|kva`),
  label('designLetter', 'letter', String.raw`(?:nema\s+)?des(?:ign)?\.?(?:\s+letter)?|nema(?=\s+[a-d](?!\w))`),
  label('frame', 'word', String.raw`fr(?:ame)?\.?(?:\s+size)?|baugr\.?`),
  label('efficiency', 'number', String.raw`(?:nema\s+)?(?:nom(?:inal)?\.?\s*)?eff(?:iciency)?\.?|η|eta`),
  label('powerFactor', 'number', String.raw`p\.?\s?f\.?|power\s+factor|cos\s*\.?\s*(?:φ|ϕ|phi)?`),
  label('startingCurrentRatio', 'number', String.raw`i(?:st|a|s)\s*/\s*i[nr]`),
  label('lockedRotorCurrent', 'number', String.raw`l\.?r\.?a\.?|locked\s+rotor(?:\s+(?:amps?|current))?`),
  label('inverter', 'rest', String.raw`inv(?:erter)?\.?(?:\s+(?:duty|rated|ready))?|v\.?f\.?d\.?|part\s+3[01]`),
  label(
    'thermalClass',
    'letter',
    String.raw`ins(?:ul(?:ation)?)?\.?\s*(?:cl(?:ass)?\.?)?|th(?:erm(?:al)?)?\.?\s*cl(?:ass)?\.?|iso\.?\s*(?:kl|cl)\.?|class`,
  ),
  label('thermalProtection', 'rest', String.raw`thermal(?:ly)?\s+prot(?:ection|ected)?\.?|thermistors?|ptc|pt\s?100`),
  label('ambient', 'number', String.raw`(?:max\.?\s*)?amb(?:ient)?\.?(?:\s*temp\.?)?|t\s?amb`),
  label('rise', 'number', String.raw`(?:temp\.?\s*)?rise|Δt`),
  label('enclosure', 'word', String.raw`encl?(?:osure)?\.?`),
  label('duty', 'rest', String.raw`duty|time\s+rating|time`),
  label(
    'bearingDriveEnd',
    'word',
    String.raw`(?:(?:bearings?|brgs?)\.?\s*)?(?:d\.?e\.?|drive\s+end|shaft\s+end)(?:\s*(?:bearing|brg)\.?)?`,
  ),
  label(
    'bearingOppositeEnd',
    'word',
    String.raw`(?:(?:bearings?|brgs?)\.?\s*)?(?:o\.?d\.?e\.?|n\.?d\.?e\.?|o\.?p\.?e\.?|opp(?:osite)?\.?(?:\s+(?:drive\s+)?end)?)(?:\s*(?:bearing|brg)\.?)?`,
  ),
  label('bearingDriveEnd', 'word', String.raw`bearings?|brgs?\.?`),
  label('grease', 'rest', String.raw`grease|lub(?:e|ricant|rication)?\.?`),
  label('mass', 'number', String.raw`wt\.?|weight|mass`),
  label('connection', 'rest', String.raw`conn(?:ection)?\.?`),
  label('year', 'number', String.raw`(?:mfg\.?\s*|manuf\.?\s*)?(?:year|date)|built|mfd\.?`),
  label('nothing', 'number', String.raw`alt(?:itude)?\.?`),
];

/** A formula letter counts only with its figure behind it: `U 400 V`, `n = 1470`. */
const letter = (name: string): string => String.raw`${name}(?=\s*[=:]\s*\d|\s+\d)`;

export const units: readonly (readonly [Unit, RegExp])[] = [
  ['hp', rule(String.raw`h\.?p\.?|horsepower`)],
  ['kW', rule(String.raw`kw`)],
  [
    'r/min',
    rule(
      String.raw`(?:f\.?l\.?\s*)?r\.?p\.?m\.?|r/min|rev/min|tr/min|u/min|min\s*(?:-1|⁻¹|\^-1)|1/min|/\s?min|speed|${letter('n')}`,
    ),
  ],
  ['Hz', rule(String.raw`hz|hertz|freq(?:uency)?\.?|cycles?|cyc\.?|${letter('f')}`)],
  ['poles', rule(String.raw`[-–]?\s?pol(?:es?|ig)?`)],
  ['phases', rule(String.raw`ph(?:ases?)?\.?|~`)],
  ['V', rule(String.raw`v(?:olt(?:s|age)?|ac)?\.?|${letter('u')}`)],
  ['A', rule(String.raw`f\.?l\.?a\.?|a(?:mp(?:s|eres?)?)?\.?|(?:full[\s-]load\s+)?current|${letter('i')}`)],
  ['kg', rule(String.raw`kgs?`)],
  ['lb', rule(String.raw`lbs?\.?`)],
  ['°C', rule(String.raw`°\s?c|deg\.?\s?c|c|k`)],
  ['%', /%/y],
];

const LAST = String.raw`(?![\w])`;
const code = (field: PlateField | 'nothing', pattern: string): readonly [PlateField | 'nothing', RegExp] => [
  field,
  new RegExp(`(?:${pattern})${LAST}`, 'iyu'),
];

const BEARING = String.raw`(?:(?:NUP|N[UJ])\s?\d{3,4}|N\d{3,4}|6[0-4]\d{2}|7[2-4]\d{2}|(?:2[1-3]|3[0-3])\d{2,3})(?:\s?[-/. ]?\s?(?:2?Z{1,2}|2?RS[HLRD12]*|LLU|DDU|VV|C[2-5]|J[136]?|E[CM]*[JPM]*|BE[CPJMY]*|MC?|L))*`;
const NEMA_FRAME = String.raw`L?\d{2,3}(?:\/\d{1,3})?(?:TS|TC|TSC|TD|TCZ|TZ|TY|TCY|TDZ|UC|US|UZ|UY|T|U)|(?:42|48|56)(?:CZ?|HC?|HCZ?|J|Y|Z)|(?:14[35]|18[24]|21[35]|25[46]|28[46]|32[46]|36[45]|40[45]|44[4579])(?:JM|JP|HP|LP)[HV]?`;
const IEC_FRAME = String.raw`(?:56|63|71|80|90|100|112|132|160|180|200|225|250|280|315|355|400)(?:S|M|L)[ABCX]?[1-8]?`;

export const FRAME = new RegExp(`(?:${NEMA_FRAME}|${IEC_FRAME})${LAST}`, 'iyu');

/** Explosion-protected: `CLASS I DIV 2 GROUPS C, D`, `Ex eb IIC T3 Gb`. */
const EXPLOSION = String.raw`cl(?:ass)?\.?\s+i{1,3}(?:[\s,]+(?:div(?:ision)?\.?\s*[12]|gr(?:ou)?ps?\.?\s*[a-g](?:[\s,&]+[a-g](?!\w))*))*|div(?:ision)?\.?\s*[12]|e?ex\s+(?:d[be]?|e[bc]?|n[ac]?|p[xyz]?b?|t[bcd]?)(?:\s+i{1,3}[abc]?)?(?:\s+t\s?[1-6])?(?:\s+[gd][bc])?|(?:flame|explosion)[\s-]?proof`;

/** Figures that say what they are by their form. */
export const codes: readonly (readonly [PlateField | 'nothing', RegExp])[] = [
  code(
    'enclosure',
    String.raw`ip\s?\d[\dx]\w?|te(?:fc|nv|ao|bc|aac|wac|xp|bl)|odp|wpi{1,2}|open\s+drip\s?proof|totally\s+enclosed(?:\s+fan[\s-]+cooled)?|${EXPLOSION}`,
  ),
  code('cooling', String.raw`ic\s?\d{1,3}[a-z]?`),
  code('mounting', String.raw`im\s?(?:[bv]\d{1,2}(?:/[bv]?\d{1,2})?|\d{4})`),
  code(
    'efficiencyClass',
    String.raw`ie\s?[1-5]|nema\s+premium|premium(?:\s+eff(?:iciency|icient)?\.?)?|energy\s+efficient`,
  ),
  code(
    'duty',
    String.raw`s(?:10|[2-9])(?:\s*[-–]?\s*\d+\s*(?:%|min(?:utes)?\.?))?|s1|cont(?:inuous)?\.?(?:\s+duty)?|\d+\s*min(?:utes)?\.?(?!\s*(?:-1|⁻¹|\^))|intermittent`,
  ),
  code(
    'inverter',
    String.raw`[cv]\.?t\.?\s*\d+\s?:\s?1|\d+\s?:\s?1\s*[cv]\.?t\.?(?:[\s,/]+\d+\s?:\s?1\s*[cv]\.?t\.?)*(?!\s*\d+\s?:)|\d+\s?:\s?1|inverter\s+(?:duty|ready|rated)`,
  ),
  code(
    'connection',
    String.raw`[ΔYDλ△⅄*]{1,2}(?:\s?/\s?[ΔYDλ△⅄*]{1,2})+|[Δ△]{1,2}|(?:wye|star|delta)(?:\s?[/-]\s?(?:wye|star|delta))?`,
  ),
  code('leads', String.raw`(?:3|6|9|12)\s+leads?|leads?\s+(?:3|6|9|12)`),
  code('year', String.raw`(?:0?[1-9]|1[0-2])[/.](?:19|20)\d\d`),
  code('bearingDriveEnd', BEARING),
  ['frame', FRAME],
  code('phases', String.raw`[13]\s?~(?:\s?mot(?:or)?\.?)?|(?:three|single)[\s-]?phase|[13]-phase`),
  code(
    'nothing',
    String.raw`(?:iec|en|din|nema(?!\s+[a-d](?!\w))|mg|csa|ul|ce|vde)\s*[-/]?\s*(?:60034(?:[-\s]\d+)*|mg\s?-?\s?1)?|(?:ac\s+)?(?:induction\s+)?motor|ac|rated|made|max|at|rating|mfg\.?|(?:[1-4]|two|three|four|single|multi)[\s-]?speed|[pui]n|(?:power|output)(?=\s*[:=]?\s*[\d.,½¼¾/ -]+\s*(?:h\.?p|kw))|p(?=\s*[=:]?\s*\d)`,
  ),
];

/** `3x400 V`: three phases of that voltage. */
export const TIMES = /3\s?[x×~]\s?(?=\d{3})/iy;
/** Horsepower as it is written: `7 1/2`, `1½`, `3/4`. Only the mixed numbers that are sizes, so that `60 3/4` stays two figures. */
export const MIXED = /(?:(?:[1-9]|12|17|22|37)\s1\/2|[1-9]\s[13]\/4|\d{0,2}\s?[½¼¾⅓⅔])(?![\d/.,])/y;
/** A speed with its thousands set apart: `1 440 min⁻¹`. */
export const SPACED = /[1-4][ \u00a0\u202f'’]\d{3}(?=\s*(?:r\.?p\.?m|r\/min|rev\/min|tr\/min|u\/min|1?\/?min))/iy;
export const NUMBER = /(?:\d+(?:[.,]\d+)*|[.,]\d+)(?:\s?[-–/]\s?\d+(?:[.,]\d+)*)*(?!\w*[A-Z]{1,2}\d)/y;
/** A figure in which letters were read for digits: `46O`, `I770`. */
export const SMUDGED = /(?=[\dOIl.,/-]*\d)(?=[\d.,/-]*[OIl])[\dOIl]+(?:[.,/-][\dOIl]+)*(?![\w])/y;
export const WORD = /[^\s,;:|]+/y;
export const GAP = /(?:[\s,;:|=()[\]]|[-–—](?=\s))+/y;
