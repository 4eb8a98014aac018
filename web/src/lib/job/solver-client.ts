import type { Job, Solution } from '@pilgrim/core';
import type { PlateReading } from '@pilgrim/core/stages/nameplate/read/read-plate';
import SolveWorker from '$lib/workers/solve.worker?worker';
import type { Answer, Question } from '$lib/workers/solve.worker';

/** What came of a question: a solution, what went wrong, or nothing where a newer question overtook it. */
export type Outcome =
  { readonly solution: Solution; readonly withoutCatalogue: boolean } | { readonly trouble: string } | undefined;

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
  #next: { job: Job; done: (outcome: Outcome) => void } | undefined;
  #late: ReturnType<typeof setTimeout> | undefined;
  #plates: { done: (reading: PlateReading) => void; fail: (error: Error) => void }[] = [];

  get started(): boolean {
    return this.#worker !== undefined;
  }

  solve(job: Job): Promise<Outcome> {
    return new Promise((done) => {
      this.#next?.done(undefined);
      this.#next = { job, done };
      this.#ask();
    });
  }

  /** Rejects where the worker could not be loaded or broke. */
  readPlate(text: string): Promise<PlateReading> {
    return new Promise((done, fail) => {
      this.#plates.push({ done, fail });
      this.#post({ kind: 'plate', text });
    });
  }

  #ask(): void {
    if (this.#running || !this.#next) return;
    const { job, done } = this.#next;
    this.#next = undefined;
    this.#running = done;
    this.#post({ kind: 'solve', job });
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
    this.#ask();
  }

  #start(): Worker {
    const worker = new SolveWorker();
    worker.onmessage = ({ data }: MessageEvent<Answer>) => {
      if (data.kind === 'plate') this.#plates.shift()?.done(data.reading);
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

  /** Ends the worker with all it was asked; the next question starts another. */
  #giveUp(trouble: string): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    const lost = this.#plates.splice(0);
    for (const { fail } of lost) fail(new Error(trouble));
    this.#settle({ trouble });
  }
}
