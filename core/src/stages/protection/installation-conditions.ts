import type { Value } from '../../kernel/value.ts';
import type { OptionContext } from '../stage.ts';

/** Which wires of a circuit: those from the panel, or those behind a drive to its motor. */
export type Run = 'feed' | 'lead';

/** How a run lies, as typed; undefined where the tables’ own surroundings hold. */
export interface InstallationConditions {
  readonly laying: 'conduit' | 'clipped' | 'tray' | 'duct';
  readonly ambient: Value | undefined;
  /** Loaded circuits side by side, this one counted. */
  readonly circuits: Value | undefined;
  /** Current-carrying wires together. */
  readonly conductors: Value | undefined;
  /** Less than 7/8 in above a roof in the sun. */
  readonly onRoof: boolean;
}

/** A lead lies as the feed where nothing else is typed of it. */
export function liesBy({ job: { protection }, given }: OptionContext, run: Run): InstallationConditions {
  const own = given.protection;
  const feed: InstallationConditions = {
    laying: protection.laying,
    ambient: own.ambient,
    circuits: own.circuits,
    conductors: own.conductors,
    onRoof: protection.rooftop,
  };
  if (run === 'feed') return feed;
  return {
    laying: protection.leadLaying === 'feed' ? feed.laying : protection.leadLaying,
    ambient: own.leadAmbient ?? feed.ambient,
    circuits: own.leadCircuits ?? feed.circuits,
    conductors: own.leadConductors ?? feed.conductors,
    onRoof: protection.leadRooftop,
  };
}
