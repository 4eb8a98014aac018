import type { Job } from '@pilgrim/core';

/** A document, and the field whose typing began from it. */
interface Step {
  readonly path: string;
  readonly before: string;
}

/** What is kept of it while the page is loaded anew, and the document it starts from. */
interface Kept {
  readonly at: Job;
  readonly past: readonly Step[];
  readonly future: readonly string[];
}

const DEPTH = 200;
const KEPT = 50;

/** What undo and redo of a job lead back to. */
export class History {
  undoable = $state(0);
  redoable = $state(0);
  #past: Step[] = [];
  /** The last step is one edit that goes on; after it was left or saved the same field begins a new one. */
  #goesOn = false;
  #future: string[] = [];

  /** Remembers a document that is about to change; typing on in one field is one step until it is left or saved. */
  remember(path: string, document: Job): void {
    this.#future = [];
    if (path === '' || !this.#goesOn || this.#past.at(-1)?.path !== path) {
      this.#past.push({ path, before: JSON.stringify(document) });
      if (this.#past.length > DEPTH) this.#past.shift();
    }
    this.#goesOn = true;
    this.#count();
  }

  /** Ends the edit that goes on: its field was left, or what was typed is saved. */
  settle(): void {
    this.#goesOn = false;
  }

  /** The document before the last step; undefined where there is none. */
  undo(now: Job): Job | undefined {
    const last = this.#past.pop();
    if (!last) return undefined;
    this.#goesOn = false;
    this.#future.push(JSON.stringify(now));
    this.#count();
    return JSON.parse(last.before) as Job;
  }

  /** The document that the last undo led away from. */
  redo(now: Job): Job | undefined {
    const next = this.#future.pop();
    if (next === undefined) return undefined;
    this.#past.push({ path: '', before: JSON.stringify(now) });
    this.#count();
    return JSON.parse(next) as Job;
  }

  /** Changes every document it leads to, where somebody else’s changes are joined. */
  rewrite(joined: (document: Job) => Job): void {
    const again = (text: string): string => JSON.stringify(joined(JSON.parse(text) as Job));
    this.#past = this.#past.map(({ path, before }) => ({ path, before: again(before) }));
    this.#future = this.#future.map(again);
  }

  /** Keeps the steps until this tab shows the job again. */
  keep(key: string, at: Job): void {
    if (this.undoable + this.redoable === 0) return;
    const kept: Kept = { at, past: this.#past.slice(-KEPT), future: this.#future.slice(-KEPT) };
    try {
      sessionStorage.setItem(key, JSON.stringify(kept));
    } catch {
      // A full or forbidden store forgets the steps with the page.
    }
  }

  /** Takes kept steps up, where the job is as they left it and nobody has begun to type. */
  async take(key: string, isNow: (at: Job) => Promise<boolean>): Promise<void> {
    try {
      const text = sessionStorage.getItem(key);
      sessionStorage.removeItem(key);
      if (text === null) return;
      const { at, past, future } = JSON.parse(text) as Kept;
      if (!(await isNow(at)) || this.#past.length > 0) return;
      this.#past = [...past];
      this.#future = [...future];
      this.#count();
    } catch {
      // As above.
    }
  }

  #count(): void {
    this.undoable = this.#past.length;
    this.redoable = this.#future.length;
  }
}
