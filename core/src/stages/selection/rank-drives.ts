import { amount, say, type Text } from '../../kernel/text.ts';
import type { DriveItem } from '../../catalogue/catalogue.ts';
import { notBorne, overloadOf, type DriveEvent } from '../../catalogue/drive-duty.ts';
import type { HousingCode } from '../environment/environment.ts';
import { interpolate } from '../../kernel/numeric.ts';
import { late, once } from '../../kernel/memoize.ts';
import type { School } from '../../kernel/quantity/units.ts';

export interface DriveNeed {
  readonly school: School;
  /** The motor’s nameplate current at the connected voltage, A. Current decides, never power. */
  readonly current: number;
  /** Share of its output a drive keeps on this supply; 1 on three phases. */
  readonly inputShare: number;
  readonly systemVoltage: number;
  readonly duty: 'normal' | 'heavy';
  readonly ambient: number;
  readonly altitude: number;
  readonly housing: HousingCode;
  readonly motorPower: number;
  /** Hz; the usual one where it is left out. */
  readonly carrier?: number | undefined;
  /** What asks for more than the running current, and for how long. */
  readonly events: readonly DriveEvent[];
  /** What it must have inside. */
  readonly inside?: readonly Inside[] | undefined;
}

/** Named as the catalogue names it, with what it is. */
const INSIDES = {
  encoder: 'an input for an encoder',
  safeTorqueOff: 'safe torque off',
  chopper: 'a brake chopper',
} as const;
export type Inside = keyof typeof INSIDES;

export interface RankedDrive {
  readonly item: DriveItem;
  /** Continuous current at the duty, after ambient and altitude, A. */
  readonly current: number;
  readonly used: number;
}

export interface RefusedDrive {
  readonly id: string;
  readonly name: string;
  readonly rule:
    'voltage' | 'housing' | 'ambient' | 'current' | 'overload' | 'oversized' | 'equipment' | 'carrier' | 'listing';
  readonly reason: Text;
}

export interface DriveRanking {
  readonly fits: readonly RankedDrive[];
  /** Told when they are asked for. */
  readonly refused: readonly RefusedDrive[];
  /** What matching by power would have picked, and how that would have ended. */
  readonly byPower:
    { readonly item: DriveItem; readonly current: number; readonly verdict: 'short' | 'same' | 'wasteful' } | undefined;
}

const housingRank: Readonly<Record<HousingCode, number>> = { IP20: 0, IP55: 1, IP66: 2 };
const OVERSIZED = 2.5;
/** The nearest misses first. */
const NEAR: readonly RefusedDrive['rule'][] = [
  'equipment',
  'carrier',
  'listing',
  'overload',
  'current',
  'housing',
  'ambient',
  'oversized',
  'voltage',
];

/** What it gives at a duty on a supply, A: many carry less at 480 or 500 V than at 400 V. */
function dutyCurrent(item: DriveItem, { duty, systemVoltage }: Pick<DriveNeed, 'duty' | 'systemVoltage'>): number {
  let found: Pick<DriveItem, 'normalCurrent' | 'heavyCurrent'> = item;
  let lowest = Number.POSITIVE_INFINITY;
  for (const band of item.bands ?? []) {
    if (band.voltageMax >= lowest || systemVoltage > band.voltageMax * 1.02) continue;
    lowest = band.voltageMax;
    found = band;
  }
  return duty === 'heavy' ? found.heavyCurrent : found.normalCurrent;
}

/** What a drive is rated for at a duty and supply, A, and the share each circumstance leaves of it. */
export interface Derates {
  readonly rated: number;
  /** None above the highest ambient. */
  readonly heat: number;
  readonly altitude: number;
  readonly carrier: number;
  readonly supply: number;
}

type Circumstances = Pick<DriveNeed, 'duty' | 'ambient' | 'altitude' | 'inputShare' | 'carrier' | 'systemVoltage'>;

const heatShare = (item: DriveItem, ambient: number): number =>
  ambient > item.maximumAmbient ? 0 : Math.max(0, 1 - item.deratePerKelvin * Math.max(0, ambient - item.ratedAmbient));
const altitudeShare = (item: DriveItem, altitude: number): number =>
  Math.max(0, 1 - item.deratePer100m * Math.max(0, (altitude - 1000) / 100));
const supplyShare = (item: DriveItem, inputShare: number): number =>
  inputShare < 1 ? (item.singlePhaseShare ?? inputShare) : 1;

/** The catalogue’s own derates for ambient and altitude, and those of carrier and supply. */
export const deratesOf = (item: DriveItem, need: Circumstances): Derates => ({
  rated: dutyCurrent(item, need),
  heat: heatShare(item, need.ambient),
  altitude: altitudeShare(item, need.altitude),
  carrier: carrierShare(need.carrier, item),
  supply: supplyShare(item, need.inputShare),
});

/** Continuous output after all derates, A. */
export const deratedCurrent = (item: DriveItem, need: Circumstances): number =>
  dutyCurrent(item, need) *
  heatShare(item, need.ambient) *
  altitudeShare(item, need.altitude) *
  carrierShare(need.carrier, item) *
  supplyShare(item, need.inputShare);

/** Share of its current a drive keeps at a carrier frequency, kHz. Common practice, no published source. */
const CARRIERS = [4, 8, 12] as const;
const KEPT = [1, 0.85, 0.7] as const;
/** The faster it switches, the more it heats itself: as its catalogue says, else as is usual. */
export function carrierShare(
  carrier: number | undefined,
  { carrierRated, deratePerKilohertz }: Pick<DriveItem, 'carrierRated' | 'deratePerKilohertz'> = {},
): number {
  if (carrier === undefined) return 1;
  if (carrierRated === undefined || deratePerKilohertz === undefined)
    return interpolate(CARRIERS, KEPT, carrier / 1000);
  return Math.max(0, 1 - (deratePerKilohertz * Math.max(0, carrier - carrierRated)) / 1000);
}

const tooFast = ({ carrierMost }: DriveItem, carrier: number | undefined): boolean =>
  carrier !== undefined && carrierMost !== undefined && carrier > carrierMost * 1.001;

/** The rule that stands against a drive first; undefined where it fits. */
function ruleAgainst(item: DriveItem, need: DriveNeed, current: number): RefusedDrive['rule'] | undefined {
  if (need.systemVoltage < item.voltageMin * 0.98 || need.systemVoltage > item.voltageMax * 1.02) return 'voltage';
  if (housingRank[item.housing] < housingRank[need.housing]) return 'housing';
  if (item.listed?.includes(need.school) === false) return 'listing';
  if (lackingIn(item, need).length > 0) return 'equipment';
  if (tooFast(item, need.carrier)) return 'carrier';
  if (current === 0) return 'ambient';
  if (current < need.current * 0.9999) return 'current';
  if (tooMuchFor(item, need, current) !== undefined) return 'overload';
  // An overload may ask for far more than the running current.
  const { multiple } = overloadOf(item, need.duty);
  const most = need.events.reduce((more, event) => Math.max(more, event.current / multiple), need.current);
  return current > most * OVERSIZED ? 'oversized' : undefined;
}

const NOTHING: readonly Inside[] = [];
/** What a catalogue does not say is not held against an item. */
const lackingIn = (item: DriveItem, { inside = NOTHING }: DriveNeed): readonly Inside[] =>
  inside.length === 0 ? NOTHING : inside.filter((each) => item[each] === false);

/** The first of what is asked for a short time that a drive does not bear, in words. */
function tooMuchFor(item: DriveItem, need: DriveNeed, current: number): string | undefined {
  const overload = overloadOf(item, need.duty);
  for (const event of need.events) {
    const reason = notBorne(event, current, need.current, overload);
    if (reason !== undefined) return reason;
  }
  return undefined;
}

function reasonOf(rule: RefusedDrive['rule'], item: DriveItem, need: DriveNeed, current: number): Text {
  const amperes = (value: number): Text => amount(value, 'current');
  switch (rule) {
    case 'voltage':
      return `for ${item.voltageMin}–${item.voltageMax} V`;
    case 'housing':
      return `${item.housing} is too open for this place`;
    case 'equipment':
      return `without ${lackingIn(item, need)
        .map((each) => INSIDES[each])
        .join(' and ')}`;
    case 'carrier':
      return say`switches at ${amount(item.carrierMost ?? 0, 'carrier')} at most`;
    case 'listing':
      return `not listed by ${need.school} standards`;
    case 'ambient':
      return 'too hot a place for it';
    case 'current':
      return say`${amperes(current)} after derates, ${amperes(need.current)} needed`;
    case 'overload':
      return tooMuchFor(item, need, current) ?? '';
    case 'oversized':
      return say`${amperes(current)}: far larger than needed, only dearer`;
  }
}

/** Drives whose continuous current at the duty class, after derates, covers the motor’s; the cheapest first. */
export function rankDrives(items: readonly DriveItem[], need: DriveNeed): DriveRanking {
  const fits: RankedDrive[] = [];
  const against: Against[] = [];
  for (const item of items) {
    const current = deratedCurrent(item, need);
    const rule = ruleAgainst(item, need, current);
    if (rule) against.push({ item, rule, current });
    else fits.push({ item, current, used: need.current / current });
  }
  const refused = once(() => inWords(against, need));
  return late({
    fits: fits.toSorted((a, b) => a.item.price - b.item.price),
    get refused() {
      return refused();
    },
    byPower: matchedByPower(items, need),
  });
}

interface Against {
  readonly item: DriveItem;
  readonly rule: RefusedDrive['rule'];
  readonly current: number;
}

/** Those that do not fit with their reasons, the nearest misses first. */
function inWords(against: readonly Against[], need: DriveNeed): RefusedDrive[] {
  const off = ({ current }: Against): number => Math.abs(Math.log(Math.max(1e-3, current) / need.current));
  return against
    .toSorted((a, b) => NEAR.indexOf(a.rule) - NEAR.indexOf(b.rule) || off(a) - off(b))
    .map(({ item, rule, current }) => ({
      id: item.id,
      name: item.name,
      rule,
      reason: reasonOf(rule, item, need, current),
    }));
}

function matchedByPower(items: readonly DriveItem[], need: DriveNeed): DriveRanking['byPower'] {
  const power = (item: DriveItem) => (need.duty === 'heavy' ? item.heavyPower : item.normalPower);
  let item: DriveItem | undefined;
  for (const each of items) {
    if (need.systemVoltage < each.voltageMin * 0.98 || need.systemVoltage > each.voltageMax * 1.02) continue;
    if (housingRank[each.housing] < housingRank[need.housing] || power(each) < need.motorPower * 0.98) continue;
    if (!item || power(each) < power(item) || (power(each) === power(item) && each.price < item.price)) item = each;
  }
  if (!item) return undefined;
  const current = deratedCurrent(item, need);
  const verdict = current < need.current ? 'short' : current > need.current * 1.4 ? 'wasteful' : 'same';
  return { item, current, verdict };
}
