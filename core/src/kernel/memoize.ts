/**
 * What `make` gives for a key, kept for the next time; `most` keys are kept. For pure functions only, whose result depends
 * on the key alone.
 */
export function memoize<Key, Result>(known: Map<Key, Result>, most: number, key: Key, make: () => Result): Result {
  const before = known.get(key);
  if (before !== undefined || known.has(key)) return before as Result;
  const fresh = make();
  if (known.size >= most) known.clear();
  known.set(key, fresh);
  return fresh;
}

const lateRecords = new WeakSet<object>();

/** Marks a record with getters, so that whoever passes it on reads them only when they are asked for. */
export function late<Record extends object>(record: Record): Record {
  lateRecords.add(record);
  return record;
}
export const isLate = (record: object): boolean => lateRecords.has(record);

/** `make` when it is asked for first, and what it gave ever after. */
export function lazy<Result>(make: () => Result): () => Result {
  let made: { readonly result: Result } | undefined;
  return () => (made ??= { result: make() }).result;
}
