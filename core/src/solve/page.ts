import { stageNames, type StageName } from '../kernel/stage-list.ts';
import type { Shown } from '../present/present.ts';
import type { ShownDerivation } from '../kernel/value.ts';
import { pickDetails, noDetails, shownAt } from './details.ts';
import type { Solution } from './solution.ts';

/** What a page brings of a solution: its stage’s figures without their workings, and the details it shows. As JSON text. */
export interface Page {
  readonly head: string;
  readonly details: Readonly<Record<string, string>>;
}

type Head = Omit<Solution, 'details' | 'values'>;
type Values = Solution['values'];
type ShownDetails = Solution['details'];
type Brought = Pick<ShownDetails, 'warming' | 'pricing' | 'readouts'> &
  Partial<ShownDetails> & { readonly values: Values };

/** Its reason is said on every sheet. */
export const WITH_WORKING = 'starting.method';
const none: ShownDerivation = { formula: '', inputs: [], source: '' };

/**
 * Figures of other stages that a screen needs before its own solve: what a stage that is not asked says, the knobs of the
 * start, and whether the picked parts were tested together.
 */
const EVERYWHERE = 'situation.kind';
const beside: Partial<Record<StageName, string>> = {
  starting: 'load.ratio',
  pick: 'starter.coordination',
};

const shown = (stage: StageName, id: string): boolean =>
  id.startsWith(`${stage}.`) ||
  id === EVERYWHERE ||
  id === beside[stage] ||
  (stage === 'protection' && id.startsWith('starter.'));

/** Leaves out what the page’s own solve brings: workings, and figures and details of other stages. */
export function pageOf({ details, values, ...head }: Solution): Page {
  const bare = Object.entries(values).map(
    ([id, { working, ...value }]) => [id, id === WITH_WORKING ? { ...value, working } : value] as const,
  );
  const of = (stage: StageName): string =>
    JSON.stringify({
      ...pickDetails(details, (name) => shownAt[name].includes(stage)),
      readouts: details.readouts.filter(({ id }) => id.startsWith(`${stage}.`)),
      values: Object.fromEntries(bare.filter(([id]) => shown(stage, id))),
    });
  return { head: JSON.stringify(head), details: Object.fromEntries(stageNames.map((stage) => [stage, of(stage)])) };
}

/** The solution as a page brought it. */
export function fromPage(head: string, details: string): Solution {
  const { values, ...own } = JSON.parse(details) as Brought;
  for (const value of Object.values(values) as unknown as { working?: ShownDerivation }[]) value.working ??= none;
  return { ...(JSON.parse(head) as Head), values, details: { ...(noDetails as Shown<typeof noDetails>), ...own } };
}
