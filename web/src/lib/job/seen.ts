/** Which revision of each job was last open here, so that a list can tell what others changed since. */
const KEY = 'pilgrim.seen';
/** The jobs seen last are kept. */
const MOST = 500;

function all(): [id: string, revision: number][] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? (kept as [string, number][]).filter((each) => Array.isArray(each)) : [];
  } catch {
    return [];
  }
}

export const seenRevisions = (): ReadonlyMap<string, number> => new Map(all());

export function see(id: string, revision: number): void {
  const others = all().filter(([other]) => other !== id);
  try {
    localStorage.setItem(KEY, JSON.stringify([...others, [id, revision]].slice(-MOST)));
  } catch {
    // A full or forbidden store: then nothing is marked as changed.
  }
}
