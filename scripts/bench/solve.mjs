/**
 * Prints JSON with times in ms, of the least disturbed of some passes in which all measures take turns. Each solve comes after a
 * change of what everything depends on, so that nothing is remembered from the solve before, and is what a keystroke asks for:
 * all figures, findings and options, and the pictures of the stage that is looked at, each stage in turn: every demo job with one option and with three (median and 95th percentile), one job with a 50-segment duty cycle and a
 * 200-point curve, the demo jobs with a catalogue of 11 000 motors, and a named reference in the same run.
 */
import { stageNames } from '../../core/src/kernel/stage-list.ts';
import { emptyJob, solve as solveAll } from '../../core/src/index.ts';
import { detailsAt } from '../../core/src/solve/details.ts';
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
    if (figure) return { ...job, load: { ...load, [name]: `${Number(figure) * (1 + round * 1e-4)} ${unit}` } };
  }
  return { ...job, load: { ...load, torque: `${40 + round * 0.01} N·m` } };
}

/** Solves for somebody who looks at one stage, another each time. */
let turn = 0;
function solve(job, with_) {
  const solution = solveAll(job, with_);
  return { ...solution, details: detailsAt(stageNames[turn++ % stageNames.length], solution.details) };
}

const timesOf = (count, run) =>
  Array.from({ length: count }, (_, turn) => {
    const start = performance.now();
    run(turn);
    return performance.now() - start;
  });

const ROUNDS = 6;
/** No job is solved twice with the same load, over all passes. */
let round = 0;
const solved = (all, with_) =>
  Array.from({ length: ROUNDS }, () => {
    round++;
    return all.map((job) => timesOf(1, () => solve(changed(job, round), with_))[0]);
  }).flat();

/** The reference: V8 writes a whole solution as text and reads it again, as often as the jobs are solved. */
const sample = solveAll(jobs[0], catalogue);
const written = () => timesOf(50, () => JSON.parse(JSON.stringify(sample)));

const long = alone.find((job) => job.tag === 'KA-2');
/** A job with a long duty cycle and curve, one of whose figures is just being typed. */
function longJob(at) {
  const typed = `${2400 + at} N·m`;
  return emptyJob({
    ...long,
    load: {
      ...long.load,
      way: at % 2 === 0 ? 'duty' : 'curve',
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
}
const keystrokes = () =>
  Array.from({ length: 40 }, () => {
    const job = longJob(++round);
    return timesOf(1, () => solve(job, catalogue))[0];
  });

const measures = {
  demo: () => solved(alone, catalogue),
  three: () => solved(three, catalogue),
  large: () => solved(alone, many),
  keystroke: keystrokes,
  reference: written,
};
const PASSES = 16;
const WARM = 2;
const passes = Array.from({ length: PASSES }, () =>
  Object.fromEntries(Object.entries(measures).map(([name, measure]) => [name, measure()])),
).slice(WARM);
/** Of the pass that was least disturbed: a machine that others use may run at half its speed for seconds. */
const least = (name, share) => Math.min(...passes.map((pass) => at(share, pass[name])));

process.stdout.write(
  JSON.stringify({
    ...Object.fromEntries(Object.keys(measures).map((name) => [name, least(name, 0.5)])),
    demo95: least('demo', 0.95),
    three95: least('three', 0.95),
  }),
);
