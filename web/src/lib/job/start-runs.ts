import type { Sample, Spread, SpreadSetting } from '@pilgrim/core/starting/spread';
import type { TransientRun, TransientSetting } from '@pilgrim/core/starting/transient';
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

/** Seeded samples of what may be delivered, shared out over workers; the same whatever the number of workers. */
export function runSpread(
  setting: SpreadSetting,
  count: number,
  workers: number,
  onProgress: (share: number) => void,
): Running<Spread> {
  const crew = Array.from({ length: workers }, (_, at) => kept[at] ?? new StartWorker());
  kept = [];
  const parts: Sample[][] = crew.map(() => []);
  const done = crew.map(() => 0);
  let left = crew.length;
  let end: (spread: Spread | undefined) => void = () => undefined;
  const result = new Promise<Spread | undefined>((resolve) => (end = resolve));
  for (const [at, worker] of crew.entries()) {
    worker.onmessage = ({ data }: MessageEvent<StartAnswer>) => {
      if (data.kind === 'summary') {
        kept = crew;
        end(data.spread);
      }
      if (data.kind !== 'samples') return;
      parts[at]?.push(...data.samples);
      done[at] = data.done;
      onProgress(done.reduce((sum, each) => sum + each, 0) / count);
      if (!data.last || --left > 0) return;
      ask(worker, { kind: 'summary', samples: parts.flat(), horizon: setting.horizon });
    };
    const from = Math.floor((count * at) / crew.length);
    const to = Math.floor((count * (at + 1)) / crew.length);
    ask(worker, { kind: 'spread', setting, from, to });
  }
  return {
    result,
    cancel: () => {
      if (kept !== crew) for (const worker of crew) worker.terminate();
      end(undefined);
    },
  };
}
