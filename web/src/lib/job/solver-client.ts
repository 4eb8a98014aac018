import type { Job, Solution } from '@pilgrim/core';
import type { StageName } from '@pilgrim/core/kernel/stage-list';
import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import SolveWorker from '$lib/workers/solve.worker?worker';
import type { Answer, Aside, AsideAnswers, Question } from '$lib/workers/solve.worker';

/** What came of a question: a solution, what went wrong, or nothing where a newer question overtook it. */
export type Outcome =
  { readonly solution: Solution; readonly withoutCatalogue: boolean } | { readonly trouble: string } | undefined;

/** The pictures of other stages than the one looked at, or why there are none. */
export type After = { readonly details: Partial<Solution['details']> } | { readonly trouble: string };

/** A job, the stage that is looked at, and the units that are shown. */
export interface Asked {
  readonly job: Job;
  readonly at: StageName;
  readonly units: StandardsSystem;
}

/** ms for an answer, the first load on a slow line included; a solve takes hundredths of a second. */
const PATIENCE = 30_000;
const NO_END =
  'These figures take longer to work out than any real selection. What you type is kept; change what was typed last.';
const NOT_LOADED = 'The calculating part could not be loaded. What you type is kept; the next keystroke tries again.';

/**
 * Talks to the solving worker. Only the newest job is solved; older questions still waiting are dropped. A worker that
 * breaks, never came or does not come to an end is told and given up; the next question starts a new one.
 */
export class SolverClient {
  #worker: Worker | undefined;
  #running: ((outcome: Outcome) => void) | undefined;
  #next: { asked: Asked; done: (outcome: Outcome) => void } | undefined;
  #late: ReturnType<typeof setTimeout> | undefined;
  #asides = new Map<number, { done: (answer: never) => void; fail: (error: Error) => void }>();
  #asked = 0;

  readonly #after: (after: After) => void;

  /** `after` takes the pictures of other stages, which come after the solution they belong to. */
  constructor(after: (after: After) => void) {
    this.#after = after;
  }

  get started(): boolean {
    return this.#worker !== undefined;
  }

  solve(asked: Asked): Promise<Outcome> {
    return new Promise((done) => {
      this.#next?.done(undefined);
      this.#next = { asked, done };
      this.#begin();
    });
  }

  /** Beside the solving. Rejects where the worker could not be loaded or broke. */
  ask<Kind extends Aside['kind']>(about: Extract<Aside, { kind: Kind }>): Promise<AsideAnswers[Kind]> {
    return new Promise((done, fail) => {
      const id = ++this.#asked;
      this.#asides.set(id, { done, fail });
      this.#post({ kind: 'aside', id, about });
    });
  }

  #begin(): void {
    if (this.#running || !this.#next) return;
    const { asked, done } = this.#next;
    this.#next = undefined;
    this.#running = done;
    this.#post({ kind: 'solve', ...asked });
    this.#late = setTimeout(() => {
      this.#giveUp(NO_END);
    }, PATIENCE);
  }

  #post(question: Question): void {
    this.#worker ??= this.#start();
    this.#worker.postMessage(question);
  }

  #settle(outcome: Outcome): void {
    const done = this.#running;
    this.#running = undefined;
    clearTimeout(this.#late);
    done?.(outcome);
    this.#begin();
  }

  #start(): Worker {
    const worker = new SolveWorker();
    worker.onmessage = ({ data }: MessageEvent<Answer>) => {
      if (data.kind === 'aside') this.#answered(data);
      else if (data.kind === 'after') this.#after(data);
      else if (data.kind === 'failed') this.#settle({ trouble: data.message });
      else this.#settle({ solution: data.solution, withoutCatalogue: data.withoutCatalogue });
    };
    // A script that did not load and an error nobody caught both come here; this worker answers no more.
    worker.onerror = (event) => {
      event.preventDefault();
      if (this.#worker === worker) this.#giveUp(NOT_LOADED);
    };
    return worker;
  }

  #answered({ id, answer, error }: Extract<Answer, { kind: 'aside' }>): void {
    const waiting = this.#asides.get(id);
    this.#asides.delete(id);
    if (error !== undefined) waiting?.fail(new Error(error));
    else waiting?.done(answer as never);
  }

  /** Ends the worker with all it was asked; the next question starts another. */
  #giveUp(trouble: string): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    const lost = [...this.#asides.values()];
    this.#asides.clear();
    for (const { fail } of lost) fail(new Error(trouble));
    this.#settle({ trouble });
  }
}
