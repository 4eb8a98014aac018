import type { Sample, Spread, SpreadSetting } from '@pilgrim/core/stages/starting/tolerance-sampling';
import type { TransientRun, TransientSetting } from '@pilgrim/core/stages/starting/transient';
import StartWorker from '$lib/workers/start.worker?worker';
import type { StartAnswer, StartQuestion } from '$lib/workers/start.worker';

/** Workers of one long computation; `cancel` ends them and the promise resolves to undefined. */
interface Running<T> {
  readonly result: Promise<T | undefined>;
  readonly cancel: () => void;
}

const ask = (worker: Worker, question: StartQuestion): void => worker.postMessage(question);

/** The first cycles of a start, off the main thread. */
export function runTransient(setting: TransientSetting): Running<TransientRun> {
  const worker = new StartWorker();
  let end: (run: TransientRun | undefined) => void = () => undefined;
  const result = new Promise<TransientRun | undefined>((resolve) => (end = resolve));
  worker.onmessage = ({ data }: MessageEvent<StartAnswer>) => {
    worker.terminate();
    if (data.kind === 'transient') end(data.run);
  };
  ask(worker, { kind: 'transient', setting });
  return {
    result,
    cancel: () => {
      worker.terminate();
      end(undefined);
    },
  };
}

/** Workers stay between spreads, so that a second one need not load the scripts again; a cancelled crew is sent home. */
let kept: Worker[] = [];

/** Samples handed out at a time, and how many parts a worker holds, so that it need not wait for a busy page. */
const PART = 50;
const HELD = 2;

/** Seeded samples of what may be delivered, handed out to workers in parts; the same whatever the number of workers. */
export function runSpread(
  setting: SpreadSetting,
  count: number,
  workers: number,
  onProgress: (share: number) => void,
): Running<Spread> {
  const crew = Array.from({ length: workers }, (_, at) => kept[at] ?? new StartWorker());
  kept = [];
  const samples: Sample[] = [];
  let given = 0;
  let tried = 0;
  let end: (spread: Spread | undefined) => void = () => undefined;
  const result = new Promise<Spread | undefined>((resolve) => (end = resolve));
  const give = (worker: Worker): void => {
    if (given >= count) return;
    const from = given;
    given = Math.min(count, from + PART);
    ask(worker, { kind: 'spread', setting, from, to: given });
  };
  for (const worker of crew) {
    worker.onmessage = ({ data }: MessageEvent<StartAnswer>) => {
      if (data.kind === 'summary') {
        kept = crew;
        end(data.spread);
      }
      if (data.kind !== 'samples') return;
      samples.push(...data.samples);
      tried += data.tried;
      onProgress(tried / count);
      if (tried < count) give(worker);
      else ask(worker, { kind: 'summary', setting, samples });
    };
    for (let part = 0; part < HELD; part++) give(worker);
  }
  return {
    result,
    cancel: () => {
      if (kept !== crew) for (const worker of crew) worker.terminate();
      end(undefined);
    },
  };
}
