/**
 * Prints JSON with two medians in ms: a full solve of every demo job, and of one job with a 50-segment duty cycle and a
 * 200-point curve where every solve follows a keystroke.
 */
import { emptyJob, solve } from '../../core/src/index.ts';
import { demoCatalogue } from '../../db/demo/catalogue.ts';
import { demoSites } from '../../db/demo/jobs.ts';

const catalogue = demoCatalogue();
const jobs = demoSites.flatMap((site) => site.jobs.map((job) => emptyJob({ school: site.school, ...job })));
const median = (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)];

const times = [];
for (let round = 0; round < 60; round++) {
  for (const job of jobs) {
    const start = performance.now();
    solve(job, catalogue);
    if (round >= 10) times.push(performance.now() - start);
  }
}

const long = jobs.find((job) => job.tag === 'KA-2');
const keystrokes = [];
for (let round = 0; round < 400; round++) {
  const typed = `${2400 + round} N·m`;
  const job = emptyJob({
    ...long,
    load: {
      ...long.load,
      way: round % 2 === 0 ? 'duty' : 'curve',
      duty: Array.from({ length: 50 }, (_, at) => ({
        torque: at === 25 ? typed : `${1500 + 40 * at} N·m`,
        time: `${5 + at} s`,
      })),
      curve: Array.from({ length: 200 }, (_, at) => ({
        speed: `${at * 0.4} r/min`,
        torque: at === 100 ? typed : `${900 + at * 10} N·m`,
      })),
    },
  });
  const start = performance.now();
  solve(job, catalogue);
  if (round >= 50) keystrokes.push(performance.now() - start);
}
process.stdout.write(JSON.stringify({ demo: median(times), keystroke: median(keystrokes) }));
