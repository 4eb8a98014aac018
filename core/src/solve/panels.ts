import type { Job } from '../job/job.ts';
import type { Dimension, StandardsSystem } from '../kernel/quantity/units.ts';
import { quantity, type Value } from '../kernel/value.ts';
import { feederByIec, feederByNec, type Feeder, type OnFeeder } from '../stages/protection/feeder.ts';
import type { Solution } from './solution.ts';

/** Motors of a site that may hang on one panel: those of one school and voltage. */
export interface Panel {
  readonly voltage: string;
  readonly school: StandardsSystem;
  readonly circuits: readonly OnFeeder[];
  readonly feeder: Feeder;
}

type Solved = Pick<Solution, 'values' | 'chosen'>;

const figureOf = ({ values }: Solved, id: string, dimension: Dimension): Value | undefined => {
  const found = values[id];
  if (typeof found?.value !== 'number') return undefined;
  return quantity(found.value, dimension, { origin: found.origin, source: found.working.source });
};

/** Panels of the motors that are told apart by voltage, each of two circuits or more; the largest motor counts once. */
export function panelsOf(jobs: readonly { readonly job: Job; readonly solution: Solved }[]): readonly Panel[] {
  const found = jobs.flatMap(({ job, solution }) => {
    const [current, voltage] = [
      figureOf(solution, 'protection.feederCurrent', 'current'),
      solution.values['supply.voltage'],
    ];
    if (!current || !voltage) return [];
    const circuit: OnFeeder = {
      name: job.tag || job.title || 'Untitled',
      kind: 'motor',
      current,
      device: figureOf(solution, 'protection.deviceRating', 'current'),
      called: solution.values['protection.branchDevice']?.text,
    };
    return [
      {
        key: `${job.school} ${voltage.text}`,
        school: job.school,
        voltage: voltage.text,
        kind: job.options[solution.chosen]?.protection.device ?? 'inverse time breaker',
        circuit,
      },
    ];
  });
  return [...new Set(found.map(({ key }) => key))].flatMap((key): Panel[] => {
    const [first, ...others] = found.filter((each) => each.key === key);
    if (!first || others.length === 0) return [];
    const circuits = [first, ...others].map(({ circuit }) => circuit);
    const feeder =
      first.school === 'NEMA' ? feederByNec(circuits, first.kind, () => undefined) : feederByIec(circuits, undefined);
    return [{ voltage: first.voltage, school: first.school, circuits, feeder }];
  });
}
