// Twenty people at work: they open stages, save, and print a sheet now and then.
import { setTimeout as wait } from 'node:timers/promises';
import { seeded } from '../lib/seeded.mjs';
import { someJob } from './app.mjs';

const PEOPLE = 20;
const STAGES = ['nameplate', 'load', 'supply', 'starting', 'pick'];
/** ms between two things a person does, at most. */
const PAUSE = 1000;
/** ms `healthz` may take while twenty papers are made. */
const HEALTH = 50;
/** The slowest hundredth over the median. */
const SPREAD = 5;

export async function people({ origin, sliced }, seconds, seed) {
  const random = seeded(seed);
  const bad = [];
  const took = { page: [], save: [], sheet: [], health: [] };
  let until = 0;
  const timed = async (kind, asked) => {
    const began = performance.now();
    const answer = await asked().catch((error) => ({ ok: false, status: error.cause?.code ?? error.name }));
    await answer.arrayBuffer?.();
    took[kind].push(performance.now() - began);
    if (!answer.ok) bad.push(`a ${kind} was answered ${answer.status}`);
    return answer;
  };
  const person = async () => {
    const job = await someJob(origin);
    while (Date.now() < until) {
      await wait(random() * PAUSE);
      const what = random();
      if (what < 0.5) await timed('page', () => fetch(`${origin}/jobs/${job.id}/${STAGES[Math.floor(random() * 5)]}`));
      else if (what < 0.9) {
        const { revision, document } = await job.read();
        await timed('save', () => job.save(revision, { ...document, title: `at work ${random()}` }));
      } else await timed('sheet', () => fetch(`${origin}/jobs/${job.id}/sheet.pdf`));
    }
  };
  const nurse = async () => {
    while (Date.now() < until) {
      await timed('health', () => fetch(`${origin}/healthz`));
      await wait(200);
    }
  };
  // Somebody has been there before: what a server reads at its first visit is not what is measured.
  const before = await someJob(origin);
  for (const stage of STAGES) await (await fetch(`${origin}/jobs/${before.id}/${stage}`)).text();
  await (await fetch(`${origin}/jobs/${before.id}/sheet.pdf`)).arrayBuffer();
  until = Date.now() + seconds * 1000;
  await Promise.all([nurse(), ...Array.from({ length: PEOPLE }, person)]);
  const at = (kind, share) => {
    const sorted = took[kind].toSorted((a, b) => a - b);
    return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  };
  const once = await papersAtOnce(origin);
  if (!sliced && once.slowest > HEALTH) bad.push(`healthz took ${once.slowest.toFixed(0)} ms beside twenty papers`);
  const shown = Object.keys(took).map((kind) => {
    const [middle, late] = [at(kind, 0.5), at(kind, 0.99)];
    // Spread counts where there is something to wait for; a slice says nothing of speed.
    if (!sliced && late > Math.max(50, SPREAD * middle))
      bad.push(`${kind}: p99 ${late.toFixed(0)} ms of p50 ${middle.toFixed(0)} ms`);
    return `${took[kind].length} × ${kind} ${middle.toFixed(0)}/${late.toFixed(0)} ms`;
  });
  return {
    figure: `${PEOPLE} people for ${seconds} s (p50/p99): ${shown.join(', ')}; ${PEOPLE} papers at once in ${once.took.toFixed(0)} ms, healthz meanwhile at most ${once.slowest.toFixed(0)} ms`,
    bad,
  };
}

/** Twenty papers that nobody has made before, and the longest that `healthz` took meanwhile, ms. */
async function papersAtOnce(origin) {
  const job = await someJob(origin);
  const { revision, document } = await job.read();
  for (let at = 0; at < PEOPLE; at++) await job.save(revision + at, { ...document, title: `on paper ${at}` });
  let going = true;
  let slowest = 0;
  const nurse = async () => {
    while (going) {
      const began = performance.now();
      await (await fetch(`${origin}/healthz`)).text();
      slowest = Math.max(slowest, performance.now() - began);
      await wait(10);
    }
  };
  const nursing = nurse();
  const began = performance.now();
  const paper = async (number) => (await fetch(`${origin}/jobs/${job.id}/sheet.pdf?revision=${number}`)).arrayBuffer();
  await Promise.all(Array.from({ length: PEOPLE }, (_, at) => paper(revision + at + 1)));
  const took = performance.now() - began;
  going = false;
  await nursing;
  return { took, slowest };
}
