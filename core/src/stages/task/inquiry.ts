import { figures, say, type Text } from '../../kernel/text.ts';
import { KELVIN } from '../../kernel/constants.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { rowReaching } from '../../motor/standard-power.ts';
import { startsAllowed } from '../../kernel/tables/index.ts';
import type { StageContext } from '../stage.ts';
import { unbalanceOf } from '../../motor/unbalance.ts';
import type { Value } from '../../kernel/value.ts';
import { mixing, mixingWords } from '../nameplate/bearing.ts';
import type { CauseId } from './cause-ids.ts';
import { causes, type Cause, type Remedy } from './causes.ts';

export type Verdict = 'open' | 'found' | 'cleared';

/** One cause to check: what the readings say of it, what the engineer decided, and what it would change. */
export interface Suspicion {
  readonly id: CauseId;
  readonly name: string;
  readonly verdict: Verdict;
  /** What the readings say; `nothing` until the reading is there. */
  readonly reading: 'speaks for it' | 'speaks against it' | 'nothing';
  readonly evidence: Text;
  readonly proof: string;
  readonly field: string;
  /** Every entry that bears on it, and what it says; the one of `field` first. */
  readonly readings: readonly { readonly field: string; readonly says: Suspicion['reading'] }[];
  readonly order: readonly string[];
}

export interface Inquiry {
  readonly suspicions: readonly Suspicion[];
  /** What the causes found change in the selection. */
  readonly remedy: Remedy;
}

/** What is said, by which figures, and by which entry where it is not the cause’s first. */
type Says = readonly ['speaks for it' | 'speaks against it', Text, string?] | undefined;

/** Random windings below 1 kV should show at least this, Ω (IEEE 43, from memory). */
const LEAST_INSULATION = 5e6;

/** Causes to check after an early failure, each tied to the reading that proves or clears it. */
export function inquire(brief: StageContext, nameplate: NameplateResult): Inquiry {
  const { job, given } = brief;
  const unbalance = unbalanceOf(given.supply.phaseVoltages?.flat() ?? [])?.unbalance;
  const mode = job.situation.failureMode ?? 'unknown';
  const decided = job.situation.causes ?? {};
  const suspicions = causes
    .filter((cause) => cause.modes.includes(mode) || decided[cause.id] !== undefined)
    .map((cause): Suspicion => {
      const says = reading(cause, brief, nameplate, unbalance);
      return {
        id: cause.id,
        name: cause.name,
        verdict: decided[cause.id] ?? 'open',
        reading: says?.[0] ?? 'nothing',
        evidence: says?.[1] ?? '',
        proof: cause.proof,
        field: cause.field,
        readings: readingsOf(cause, says),
        order: cause.remedy.order,
      };
    });
  const found = causes.filter((cause) => decided[cause.id] === 'found');
  return { suspicions, remedy: together(found) };
}

function readingsOf({ field, also = [] }: Cause, says: Says): Suspicion['readings'] {
  const speaker = says?.[2] ?? field;
  return [field, ...also].map((each) => ({ field: each, says: says && each === speaker ? says[0] : 'nothing' }));
}

function together(found: readonly Cause[]): Remedy {
  const any = (of: (remedy: Remedy) => true | undefined): boolean => found.some((cause) => of(cause.remedy));
  return {
    order: [...new Set(found.flatMap((cause) => cause.remedy.order))],
    ...(any((remedy) => remedy.closed) ? { closed: true } : {}),
    ...(any((remedy) => remedy.inverterDuty) ? { inverterDuty: true } : {}),
    ...(any((remedy) => remedy.larger) ? { larger: true } : {}),
  };
}

function reading(
  cause: Cause,
  { job, given }: StageContext,
  nameplate: NameplateResult,
  unbalance: Value | undefined,
): Says {
  const { situation } = given;
  switch (cause.id) {
    case 'heat': {
      const { ambient } = given.place;
      if (!ambient) return undefined;
      return ambient.value > 40 + KELVIN + 0.1
        ? ['speaks for it', say`${ambient} at the motor, made for 40 °C`]
        : ['speaks against it', say`${ambient} is within 40 °C`];
    }
    case 'overload': {
      const rated = nameplate.values.ratedCurrent;
      const running = situation.runningCurrent ?? given.load.runningCurrent;
      if (!rated || !running || !nameplate.voltageKnown) return undefined;
      const share = running.value / rated.value;
      return share > 1.02
        ? ['speaks for it', say`${running} is ${figures(share * 100)} % of the plate’s ${rated}`]
        : ['speaks against it', say`${running} of ${rated}`];
    }
    case 'single-phasing':
      return job.situation.failureMode === 'winding single-phased'
        ? ['speaks for it', 'the winding burnt in the pattern of a lost phase']
        : undefined;
    case 'unbalance':
      if (!unbalance) return undefined;
      return unbalance.value > 0.01
        ? ['speaks for it', say`${unbalance} unbalance`]
        : ['speaks against it', say`${unbalance} unbalance`];
    case 'belt-tension':
      if (!job.situation.coupledBy) return undefined;
      return job.situation.coupledBy === 'belt'
        ? ['speaks for it', 'it drives by belt']
        : ['speaks against it', 'there is no belt'];
    case 'misalignment':
      return job.situation.coupledBy === 'coupling' ? ['speaks for it', 'it drives through a coupling'] : undefined;
    case 'drive-currents':
    case 'voltage-peaks':
      if (job.situation.onDrive === undefined) return undefined;
      return job.situation.onDrive
        ? ['speaks for it', 'it ran on a drive']
        : ['speaks against it', 'it did not run on a drive'];
    case 'moisture': {
      const ohms = situation.insulationResistance;
      if (ohms)
        return ohms.value < LEAST_INSULATION
          ? ['speaks for it', say`${ohms} is below the 5 MΩ a random winding should show`]
          : ['speaks against it', say`${ohms} insulation resistance`];
      return ['hose', 'washdown', 'submerged'].includes(job.place.water)
        ? ['speaks for it', `water at the place: ${job.place.water}`, 'place.water']
        : undefined;
    }
    case 'dirt':
      return job.place.dust === 'clean'
        ? ['speaks against it', 'the place is clean']
        : ['speaks for it', `dust at the place: ${job.place.dust}`];
    case 'grease': {
      const used = job.situation.greasedWith?.trim();
      const asked = job.nameplate.grease?.trim();
      if (!used || !asked) return undefined;
      const mix = mixing(asked, used);
      return [mix === 'same' ? 'speaks against it' : 'speaks for it', mixingWords[mix](asked, used)];
    }
    case 'starts':
      return startsReading(situation.startsPerHour ?? given.supply.startsPerHour, nameplate);
  }
}

/** Starts an hour against MG 10; its limit by load inertia comes on top. */
function startsReading(starts: Value | undefined, nameplate: NameplateResult): Says {
  const { power, poles } = nameplate.values;
  if (!starts || !power || !poles) return undefined;
  const row = rowReaching(startsAllowed, power.value);
  const most = startsAllowed.number(row, `a_${poles.value}pole`);
  if (most === undefined) return undefined;
  return starts.value > most
    ? ['speaks for it', say`${starts} an hour; the table allows ${figures(most)} (${startsAllowed.source})`]
    : ['speaks against it', say`${starts} an hour of ${figures(most)}, before the load’s inertia is counted`];
}
