import type { Job, Solution } from '@pilgrim/core';
import type { PlateReading } from '@pilgrim/core/nameplate/read/read-plate';
import SolveWorker from '$lib/workers/solve.worker?worker';
import type { Answer, Question } from '$lib/workers/solve.worker';

/** Talks to the solving worker. Only the newest job is solved; older questions still waiting are dropped. */
export class SolverClient {
  #worker: Worker | undefined;
  #running: ((solution: Solution | undefined) => void) | undefined;
  #next: { job: Job; done: (solution: Solution | undefined) => void } | undefined;
  #plates: ((reading: PlateReading) => void)[] = [];

  get started(): boolean {
    return this.#worker !== undefined;
  }

  /** The solution, or undefined where a newer question overtook this one. */
  solve(job: Job): Promise<Solution | undefined> {
    return new Promise((done) => {
      this.#next?.done(undefined);
      this.#next = { job, done };
      this.#ask();
    });
  }

  readPlate(text: string): Promise<PlateReading> {
    return new Promise((done) => {
      this.#plates.push(done);
      this.#post({ kind: 'plate', text });
    });
  }

  #ask(): void {
    if (this.#running || !this.#next) return;
    const { job, done } = this.#next;
    this.#next = undefined;
    this.#running = done;
    this.#post({ kind: 'solve', job });
  }

  #post(question: Question): void {
    this.#worker ??= this.#start();
    this.#worker.postMessage(question);
  }

  #start(): Worker {
    const worker = new SolveWorker();
    worker.onmessage = ({ data }: MessageEvent<Answer>) => {
      if (data.kind === 'plate') {
        this.#plates.shift()?.(data.reading);
        return;
      }
      this.#running?.(data.solution);
      this.#running = undefined;
      this.#ask();
    };
    return worker;
  }
}
