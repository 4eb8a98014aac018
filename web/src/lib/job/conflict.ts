import type { Job } from '@pilgrim/core';

export type Side = 'mine' | 'theirs';

interface Difference {
  readonly path: string;
  readonly mine: string;
  readonly theirs: string;
}

type Leaves = Record<string, unknown>;

/** Every leaf of a document by its path; lists count as one leaf, since their steps belong together. */
function leaves(value: unknown, path = ''): Leaves {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return { [path]: value };
  return Object.assign(
    {},
    ...Object.entries(value).map(([key, each]) => leaves(each, path === '' ? key : `${path}.${key}`)),
  ) as Leaves;
}

function show(value: unknown): string {
  if (value === undefined) return '';
  if (typeof value === 'string') return value;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.map(show).join('; ');
  return typeof value === 'object' && value !== null
    ? Object.values(value).map(show).join(' for ')
    : JSON.stringify(value);
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Every field in which two documents differ. */
export const differences = (mine: Job, theirs: Job): Difference[] => clashes(undefined, mine, theirs);

/**
 * The fields that both people changed since the version both began with, each to something else. Of all others one side left
 * the field as it was, and the other’s change stands. Where the common version is not known, every difference counts.
 */
export function clashes(common: Job | undefined, mine: Job, theirs: Job): Difference[] {
  const [before, own, other] = [common && leaves(common), leaves(mine), leaves(theirs)];
  const paths = [...new Set([...Object.keys(own), ...Object.keys(other)])];
  return paths
    .filter(
      (path) =>
        !same(own[path], other[path]) &&
        (!before || (!same(before[path], own[path]) && !same(before[path], other[path]))),
    )
    .map((path) => ({ path, mine: show(own[path]), theirs: show(other[path]) }));
}

/** One document out of two: what only one side changed as changed there, of what both changed the side that was chosen. */
export function merge(common: Job | undefined, mine: Job, theirs: Job, sideOf: (path: string) => Side): Job {
  const [before, own, other] = [common && leaves(common), leaves(mine), leaves(theirs)];
  const merged = structuredClone(theirs) as unknown as Record<string, unknown>;
  for (const path of new Set([...Object.keys(own), ...Object.keys(other)])) {
    if (same(own[path], other[path])) continue;
    if (before && same(before[path], own[path])) continue;
    const onlyMine = before && same(before[path], other[path]);
    if (!onlyMine && sideOf(path) === 'theirs') continue;
    const keys = path.split('.');
    const last = keys.pop() ?? '';
    const parent = keys.reduce((at, key) => (at[key] ??= {}) as Record<string, unknown>, merged);
    if (own[path] === undefined) Reflect.deleteProperty(parent, last);
    else parent[last] = own[path];
  }
  return merged as unknown as Job;
}
