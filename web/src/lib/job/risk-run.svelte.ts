import type { Draws } from '@pilgrim/core/solve/risk/draw';
import type { Risk } from '@pilgrim/core/solve/risk/judge';
import type { RiskModel } from '@pilgrim/core/solve/risk/risk-model';
import RiskWorker from '$lib/workers/risk.worker?worker';
import type { RiskAnswer, RiskQuestion } from '$lib/workers/risk.worker';

export const DRAWS = 4000;
const SEED = 1;
/** Draws handed out at a time. */
const PART = 500;
const MOST_WORKERS = 2;

/** Draws of one job, off the main thread; a new run ends the one before. The same seed gives the same on any number of workers. */
export class RiskRun {
  risk = $state.raw<Risk>();
  /** `share` of the draws that is done; undefined while none run. */
  share = $state<number>();
  trouble = $state('');
  #crew: Worker[] = [];
  /** Which run the answers belong to. */
  #run = 0;

  /** `modelOf` brings what the draws rest on. */
  async start(modelOf: () => Promise<RiskModel>): Promise<void> {
    const run = ++this.#run;
    this.share = 0;
    this.trouble = '';
    try {
      const model = await modelOf();
      if (run !== this.#run) return;
      const risk = model.options.length > 0 ? await this.#drawn(model, run) : undefined;
      if (run !== this.#run) return;
      this.risk = risk;
    } catch {
      if (run === this.#run) this.trouble = 'The simulation could not run just now; the next change tries again.';
    }
    if (run === this.#run) this.share = undefined;
  }

  /** Ends what runs; what was drawn before stays. */
  cancel(): void {
    this.#run++;
    for (const worker of this.#crew.splice(0)) worker.terminate();
    this.share = undefined;
  }

  #drawn(model: RiskModel, run: number): Promise<Risk | undefined> {
    for (const worker of this.#crew.splice(0)) worker.terminate();
    const crew = Array.from({ length: Math.min(MOST_WORKERS, navigator.hardwareConcurrency) }, () => new RiskWorker());
    this.#crew = crew;
    const slices: Draws[] = [];
    let given = 0;
    let done = 0;
    const ask = (worker: Worker, question: RiskQuestion): void => worker.postMessage(question);
    const give = (worker: Worker): void => {
      if (given >= DRAWS) return;
      ask(worker, { kind: 'slice', model, seed: SEED, from: given, to: given + PART });
      given += PART;
    };
    return new Promise((resolve, reject) => {
      for (const worker of crew) {
        worker.onmessage = ({ data }: MessageEvent<RiskAnswer>) => {
          if (run !== this.#run) return;
          if (data.kind === 'judged') {
            for (const each of crew) each.terminate();
            resolve(data.risk);
            return;
          }
          slices.push(data.draws);
          done += PART;
          this.share = done / DRAWS;
          if (done < DRAWS) give(worker);
          else ask(worker, { kind: 'judge', model, slices });
        };
        worker.onerror = (event) => {
          event.preventDefault();
          reject(new Error('the drawing part could not be loaded'));
        };
        give(worker);
      }
    });
  }
}
