// The database away and back under traffic: every answer in time, the web server lives, and goes on soon.
import { setTimeout as wait } from 'node:timers/promises';
import { holdDatabase, letUp } from '../lib/postgres.mjs';
import { NAME, healthy, pidOf, someJob } from './app.mjs';
import { seeded } from '../lib/seeded.mjs';

const AT_ONCE = 8;

export async function outages({ origin, said, patience }, times, seed) {
  const random = seeded(seed);
  const job = await someJob(origin);
  const web = pidOf('web');
  const bad = [];
  let going = true;
  let answers = 0;
  let slowest = 0;
  const client = async () => {
    while (going) {
      const began = performance.now();
      const path = ['/', `/jobs/${job.id}`, '/motors', `/api/jobs/${job.id}`][Math.floor(random() * 4)];
      const answer = await fetch(origin + path, { signal: AbortSignal.timeout(30_000) }).catch((error) => ({
        status: error.cause?.code ?? error.name,
      }));
      await answer.text?.().catch(() => '');
      const took = performance.now() - began;
      answers++;
      slowest = Math.max(slowest, took);
      if (took > patience) bad.push(`${path} took ${took.toFixed(0)} ms`);
      if (answer.status !== 200 && answer.status !== 503) bad.push(`${path} answered ${answer.status}`);
    }
  };
  const traffic = Array.from({ length: AT_ONCE }, client);
  let longest = 0;
  for (let time = 0; time < times; time++) {
    await wait(200);
    await holdDatabase(NAME, random() < 0.5 ? 'SIGKILL' : 'SIGINT');
    await wait(300 + random() * 1200);
    letUp(NAME);
    const back = await healthy(origin);
    longest = Math.max(longest, back);
    if (back > patience) bad.push(`back after ${back} ms`);
  }
  going = false;
  await Promise.all(traffic);
  if (pidOf('web') !== web) bad.unshift(`the web server died: ${said().slice(-2000)}`);
  return {
    figure: `${times} times away, ${answers} answers, slowest ${slowest.toFixed(0)} ms, back within ${longest} ms`,
    bad,
  };
}
