import ChartWorker from '$lib/workers/chart.worker?worker';
import type { ChartAnswer, ChartQuestion } from '$lib/workers/chart.worker';

let worker: Worker | undefined;
let asked = 0;
const waiting = new Map<number, { readonly done: (svg: string) => void; readonly fail: () => void }>();

/** What is waited for cannot be had: each chart draws itself; the next one asks another worker. */
function giveUp(event: Event): void {
  event.preventDefault();
  worker?.terminate();
  worker = undefined;
  for (const { fail } of waiting.values()) fail();
  waiting.clear();
}

function start(): Worker {
  const started = new ChartWorker();
  started.onmessage = ({ data: { id, svg } }: MessageEvent<ChartAnswer>) => {
    if (svg === undefined) waiting.get(id)?.fail();
    else waiting.get(id)?.done(svg);
    waiting.delete(id);
  };
  started.onerror = giveUp;
  started.onmessageerror = giveUp;
  return started;
}

/** The picture of a chart as SVG, drawn beside the page so that the page answers meanwhile. Rejects where it cannot be. */
export function paint(question: Omit<ChartQuestion, 'id'>): Promise<string> {
  worker ??= start();
  const id = ++asked;
  return new Promise((done, fail) => {
    waiting.set(id, { done, fail });
    worker?.postMessage({ ...question, id } satisfies ChartQuestion);
  });
}
