import { amount, say, type Text } from '../../kernel/text.ts';
import type { DriveItem } from '../../catalogue/catalogue.ts';
import { overloadViolation, overloadOf, type DriveEvent } from '../../catalogue/drive-duty.ts';
import type { HousingCode } from '../environment/environment.ts';
import { interpolate } from '../../kernel/numeric.ts';
import { late, lazy } from '../../kernel/memoize.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';

export interface DriveNeed {
  readonly school: StandardsSystem;
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
export const deratesOf = (item: DriveItem, requirement: Circumstances): Derates => ({
  rated: dutyCurrent(item, requirement),
  heat: heatShare(item, requirement.ambient),
  altitude: altitudeShare(item, requirement.altitude),
  carrier: carrierShare(requirement.carrier, item),
  supply: supplyShare(item, requirement.inputShare),
});

/** Continuous output after all derates, A. */
export const deratedCurrent = (item: DriveItem, requirement: Circumstances): number =>
  dutyCurrent(item, requirement) *
  heatShare(item, requirement.ambient) *
  altitudeShare(item, requirement.altitude) *
  carrierShare(requirement.carrier, item) *
  supplyShare(item, requirement.inputShare);

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
function ruleAgainst(item: DriveItem, requirement: DriveNeed, current: number): RefusedDrive['rule'] | undefined {
  if (requirement.systemVoltage < item.voltageMin * 0.98 || requirement.systemVoltage > item.voltageMax * 1.02)
    return 'voltage';
  if (housingRank[item.housing] < housingRank[requirement.housing]) return 'housing';
  if (item.listed?.includes(requirement.school) === false) return 'listing';
  if (lackingIn(item, requirement).length > 0) return 'equipment';
  if (tooFast(item, requirement.carrier)) return 'carrier';
  if (current === 0) return 'ambient';
  if (current < requirement.current * 0.9999) return 'current';
  if (tooMuchFor(item, requirement, current) !== undefined) return 'overload';
  // An overload may ask for far more than the running current.
  const { multiple } = overloadOf(item, requirement.duty);
  const most = requirement.events.reduce(
    (more, event) => Math.max(more, event.current / multiple),
    requirement.current,
  );
  return current > most * OVERSIZED ? 'oversized' : undefined;
}

const NOTHING: readonly Inside[] = [];
/** What a catalogue does not say is not held against an item. */
const lackingIn = (item: DriveItem, { inside = NOTHING }: DriveNeed): readonly Inside[] =>
  inside.length === 0 ? NOTHING : inside.filter((each) => item[each] === false);

/** The first of what is asked for a short time that a drive does not bear, in words. */
function tooMuchFor(item: DriveItem, requirement: DriveNeed, current: number): string | undefined {
  const overload = overloadOf(item, requirement.duty);
  for (const event of requirement.events) {
    const reason = overloadViolation(event, current, requirement.current, overload);
    if (reason !== undefined) return reason;
  }
  return undefined;
}

function reasonOf(rule: RefusedDrive['rule'], item: DriveItem, requirement: DriveNeed, current: number): Text {
  const amperes = (value: number): Text => amount(value, 'current');
  switch (rule) {
    case 'voltage':
      return `for ${item.voltageMin}–${item.voltageMax} V`;
    case 'housing':
      return `${item.housing} is too open for this place`;
    case 'equipment':
      return `without ${lackingIn(item, requirement)
        .map((each) => INSIDES[each])
        .join(' and ')}`;
    case 'carrier':
      return say`switches at ${amount(item.carrierMost ?? 0, 'carrier')} at most`;
    case 'listing':
      return `not listed by ${requirement.school} standards`;
    case 'ambient':
      return 'too hot a place for it';
    case 'current':
      return say`${amperes(current)} after derates, ${amperes(requirement.current)} needed`;
    case 'overload':
      return tooMuchFor(item, requirement, current) ?? '';
    case 'oversized':
      return say`${amperes(current)}: far larger than needed, only dearer`;
  }
}

/** Drives whose continuous current at the duty class, after derates, covers the motor’s; the cheapest first. */
export function rankDrives(items: readonly DriveItem[], requirement: DriveNeed): DriveRanking {
  const fits: RankedDrive[] = [];
  const against: Against[] = [];
  for (const item of items) {
    const current = deratedCurrent(item, requirement);
    const rule = ruleAgainst(item, requirement, current);
    if (rule) against.push({ item, rule, current });
    else fits.push({ item, current, used: requirement.current / current });
  }
  const refused = lazy(() => inWords(against, requirement));
  return late({
    fits: fits.toSorted((a, b) => a.item.price - b.item.price),
    get refused() {
      return refused();
    },
    byPower: matchedByPower(items, requirement),
  });
}

interface Against {
  readonly item: DriveItem;
  readonly rule: RefusedDrive['rule'];
  readonly current: number;
}

/** Those that do not fit with their reasons, the nearest misses first. */
function inWords(against: readonly Against[], requirement: DriveNeed): RefusedDrive[] {
  const off = ({ current }: Against): number => Math.abs(Math.log(Math.max(1e-3, current) / requirement.current));
  return against
    .toSorted((a, b) => NEAR.indexOf(a.rule) - NEAR.indexOf(b.rule) || off(a) - off(b))
    .map(({ item, rule, current }) => ({
      id: item.id,
      name: item.name,
      rule,
      reason: reasonOf(rule, item, requirement, current),
    }));
}

function matchedByPower(items: readonly DriveItem[], requirement: DriveNeed): DriveRanking['byPower'] {
  const power = (item: DriveItem) => (requirement.duty === 'heavy' ? item.heavyPower : item.normalPower);
  let item: DriveItem | undefined;
  for (const each of items) {
    if (requirement.systemVoltage < each.voltageMin * 0.98 || requirement.systemVoltage > each.voltageMax * 1.02)
      continue;
    if (housingRank[each.housing] < housingRank[requirement.housing] || power(each) < requirement.motorPower * 0.98)
      continue;
    if (!item || power(each) < power(item) || (power(each) === power(item) && each.price < item.price)) item = each;
  }
  if (!item) return undefined;
  const current = deratedCurrent(item, requirement);
  const verdict = current < requirement.current ? 'short' : current > requirement.current * 1.4 ? 'wasteful' : 'same';
  return { item, current, verdict };
}
