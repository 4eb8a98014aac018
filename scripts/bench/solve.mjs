/**
 * Prints JSON with times in ms, each solve after a change of what everything depends on, so that nothing is remembered
 * from the solve before: every demo job with one option and with three (median and 95th percentile), one job with a 50-segment duty cycle and a
 * 200-point curve, the demo jobs with a catalogue of 11 000 motors, and a named reference in the same run.
 */
import { emptyJob, solve } from '../../core/src/index.ts';
import { demoCatalogue } from '../../db/demo/catalogue.ts';
import { demoSites } from '../../db/demo/jobs.ts';

const catalogue = demoCatalogue();
const MANY = 11_000;
const many = {
  ...catalogue,
  motors: Array.from({ length: MANY }, (_, at) => {
    const item = catalogue.motors[at % catalogue.motors.length];
    return { ...item, id: `${item.id}-${at}`, price: item.price * (1 + at / MANY) };
  }),
};
const jobs = demoSites.flatMap(({ school, currency, jobs: all }) =>
  all.map((job) => emptyJob({ school, currency, ...job })),
);
/** With what it has and nothing proposed beside it. */
const alone = jobs.map((job) => ({ ...job, declined: ['start', 'drive', 'kept'] }));
/** Its own, a direct start and a drive. */
const three = alone.map((job) => {
  const { options } = emptyJob({
    options: { B: { starting: { method: 'direct' } }, C: { starting: { method: 'drive' } } },
  });
  return { ...job, options: { ...job.options, ...options } };
});
const at = (share, times) => times.toSorted((a, b) => a - b)[Math.floor(times.length * share)];

/** The same job with its load changed: a figure that size, start, pick, energy and money all depend on. */
function changed(job, round) {
  const load = { ...job.load };
  for (const name of ['torque', 'force', 'inputPower', 'movedMass']) {
    const [, figure, unit] = /^([\d.]+)\s*(.*)$/.exec(load[name] ?? '') ?? [];
    if (figure) return { ...job, load: { ...load, [name]: `${Number(figure) * (1 + round * 1e-3)} ${unit}` } };
  }
  return { ...job, load: { ...load, torque: `${40 + round * 0.01} N·m` } };
}

const ROUNDS = 70;
const WARM = 10;
function solved(all, with_) {
  const times = [];
  for (let round = 0; round < ROUNDS; round++) {
    for (const job of all) {
      const now = changed(job, round);
      const start = performance.now();
      solve(now, with_);
      if (round >= WARM) times.push(performance.now() - start);
    }
  }
  return times;
}

/** The reference: V8 writes a whole solution as text and reads it again, as often as the jobs are solved. */
const sample = solve(jobs[0], catalogue);
function referenceTimes() {
  const times = [];
  for (let round = 0; round < 200; round++) {
    const start = performance.now();
    JSON.parse(JSON.stringify(sample));
    if (round >= 50) times.push(performance.now() - start);
  }
  return times;
}

const demo = solved(alone, catalogue);
const compared = solved(three, catalogue);
const large = solved(alone, many);

const long = alone.find((job) => job.tag === 'KA-2');
const keystrokes = [];
for (let round = 0; round < 400; round++) {
  const typed = `${2400 + round} N·m`;
  const job = emptyJob({
    ...long,
    load: {
      ...long.load,
      way: round % 2 === 0 ? 'duty' : 'curve',
      duty: Array.from({ length: 50 }, (_, segment) => ({
        torque: segment === 25 ? typed : `${1500 + 40 * segment} N·m`,
        time: `${5 + segment} s`,
      })),
      curve: Array.from({ length: 200 }, (_, point) => ({
        speed: `${point * 0.4} r/min`,
        torque: point === 100 ? typed : `${900 + point * 10} N·m`,
      })),
    },
  });
  const start = performance.now();
  solve(job, catalogue);
  if (round >= 50) keystrokes.push(performance.now() - start);
}

process.stdout.write(
  JSON.stringify({
    demo: at(0.5, demo),
    demo95: at(0.95, demo),
    three: at(0.5, compared),
    three95: at(0.95, compared),
    large: at(0.5, large),
    keystroke: at(0.5, keystrokes),
    reference: at(0.5, referenceTimes()),
  }),
);
