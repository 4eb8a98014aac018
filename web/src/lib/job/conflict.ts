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
  if (Array.isArray(value)) return value.map(show).join('; ');
  return typeof value === 'object' && value !== null
    ? Object.values(value).map(show).join(' for ')
    : JSON.stringify(value);
}

/** The fields in which two versions of a job differ. */
export function differences(mine: Job, theirs: Job): Difference[] {
  const [own, other] = [leaves(mine), leaves(theirs)];
  const paths = [...new Set([...Object.keys(own), ...Object.keys(other)])];
  return paths
    .filter((path) => JSON.stringify(own[path]) !== JSON.stringify(other[path]))
    .map((path) => ({ path, mine: show(own[path]), theirs: show(other[path]) }));
}

/** One document out of two: theirs, with the fields of mine that were chosen. */
export function merge(mine: Job, theirs: Job, sideOf: (path: string) => Side): Job {
  const own = leaves(mine);
  const merged = structuredClone(theirs) as unknown as Record<string, unknown>;
  for (const { path } of differences(mine, theirs)) {
    if (sideOf(path) === 'theirs') continue;
    const keys = path.split('.');
    const last = keys.pop() ?? '';
    const parent = keys.reduce((at, key) => (at[key] ??= {}) as Record<string, unknown>, merged);
    if (own[path] === undefined) Reflect.deleteProperty(parent, last);
    else parent[last] = own[path];
  }
  return merged as unknown as Job;
}
