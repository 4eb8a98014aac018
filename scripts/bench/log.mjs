/** Prints JSON: median ms to parse a log of 500,000 rows alone, and to parse and bin it. Run by bench.mjs. */
import Papa from 'papaparse';
import { binLog } from '../../web/src/lib/load/read-log.ts';

const ROWS = 500_000;
const ROUNDS = 5;
const median = (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)];
const log = [
  'time s,torque Nm',
  ...Array.from({ length: ROWS }, (_, at) => `${at * 0.5},${(40 + 30 * Math.sin(at / 50)).toFixed(2)}`),
].join('\n');

const parseAlone = () =>
  new Promise((resolve) => {
    let rows = 0;
    Papa.parse(log, {
      chunkSize: 1_000_000,
      chunk: ({ data }) => void (rows += data.length),
      complete: () => resolve(rows),
    });
  });
const timed = async (run) => {
  const started = performance.now();
  await run();
  return performance.now() - started;
};

const alone = [];
const binned = [];
for (let round = 0; round < ROUNDS; round++) {
  alone.push(await timed(parseAlone));
  binned.push(await timed(() => binLog(log, { time: 0, value: 1, interval: 1, headed: true })));
}
process.stdout.write(JSON.stringify({ alone: median(alone), binned: median(binned) }));
