import { stageNames } from '../ground/stage-names.ts';
import type { Working } from '../ground/value.ts';
import { noDetails, shownAt, type Details } from './details.ts';
import type { Solution } from './solution.ts';

/** What a page brings of a solution: the figures without their workings, and the details its stage shows. As JSON text. */
export interface Page {
  readonly head: string;
  readonly details: Readonly<Record<string, string>>;
}

type Head = Omit<Solution, 'details'>;

/** Its reason is said on every sheet. */
const WITH_WORKING = 'starting.method';
const none: Working = { formula: '', inputs: [], source: '' };

/** Leaves out what the page’s own solve brings: workings, options that are not worked on, details of other stages. */
export function pageOf({ details, ...head }: Solution): Page {
  const values = Object.entries(head.values).map(([id, { working, ...value }]) => [
    id,
    id === WITH_WORKING ? { ...value, working } : value,
  ]);
  const of = (stage: (typeof stageNames)[number]): string =>
    JSON.stringify(
      Object.fromEntries(Object.entries(details).filter(([name]) => shownAt[name as keyof Details].includes(stage))),
    );
  return {
    head: JSON.stringify({ ...head, values: Object.fromEntries(values) as unknown }),
    details: Object.fromEntries(stageNames.map((stage) => [stage, of(stage)])),
  };
}

/** The solution as a page brought it. */
export function fromPage(head: string, details: string): Solution {
  const brought = JSON.parse(head) as Head;
  for (const value of Object.values(brought.values) as { working?: Working }[]) value.working ??= none;
  const own = JSON.parse(details) as Pick<Details, 'warming' | 'pricing'> & Partial<Details>;
  return { ...brought, details: { ...noDetails, ...own } };
}
