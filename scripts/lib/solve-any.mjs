// Solves arbitrary accepted documents and prints JSON: how many, the longest times in ms and what broke. A slow one gets a second
// look after all others, since the machine may have been held up; nothing of the first is remembered by then.
import fc from 'fast-check';
import { stageNames } from '../../core/src/kernel/stage-list.ts';
import { emptyJob, solve } from '../../core/src/index.ts';
import { detailsAt } from '../../core/src/solve/details.ts';
import { anyJob } from '../../core/test/lib/any-job.ts';
import { demo } from '../../core/test/lib/demo.ts';

const [count, seed, limit] = process.argv.slice(2).map(Number);
const WARM = 200;
/** Characters of a document that is shown. */
const SHOWN = 300;
const shown = (document) => JSON.stringify(document).slice(0, SHOWN);

const broken = [];
let turn = 0;
/** A solve with the pictures of one stage, each in turn: what a keystroke asks for. */
function took(document) {
  const job = emptyJob(document);
  const began = performance.now();
  try {
    detailsAt(stageNames[turn++ % stageNames.length], solve(job, demo).details);
  } catch (cause) {
    broken.push(`${String(cause)}: ${shown(document)}`);
  }
  return performance.now() - began;
}

/** Documents made at once: thousands in memory would have the collector stop the clock. */
const BATCH = 500;
const batches = Array.from(
  { length: Math.ceil(count / BATCH) },
  (_, at) => () => fc.sample(anyJob, { numRuns: Math.min(BATCH, count - at * BATCH), seed: seed + at }),
);
for (const job of fc.sample(anyJob, { numRuns: WARM, seed: seed - 1 })) took(job);
const slow = [];
const times = batches.flatMap((batch) =>
  batch().map((job) => {
    const time = took(job);
    if (time > limit) slow.push(job);
    return time;
  }),
);
const again = slow.map((job) => ({ time: took(job), job }));
const rising = times.toSorted((a, b) => a - b);
const at = (share) => rising[Math.floor(share * (rising.length - 1))] ?? 0;
process.stdout.write(
  JSON.stringify({
    broken,
    median: at(0.5),
    late: at(0.999),
    most: at(1),
    slow: slow.length,
    over: again.filter(({ time }) => time > limit).map(({ time, job }) => `${time.toFixed(0)} ms: ${shown(job)}`),
  }),
);
