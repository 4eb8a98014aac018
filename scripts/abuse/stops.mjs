// The start told to stop at any moment, in every way: nothing of it is left, and the next start comes up.
import { setTimeout as wait } from 'node:timers/promises';
import { leftBehind, startApp, stopApp } from './app.mjs';
import { seeded } from '../lib/seeded.mjs';

const WAYS = ['SIGINT', 'SIGTERM', 'SIGHUP', 'SIGKILL', 'SIGINT twice', 'SIGTERM to the group', 'SIGKILL to the group'];
/** ms until all must be gone. */
const GONE = 12_000;

export async function stops(_, moments, seed) {
  const random = seeded(seed);
  const bad = [];
  const first = await startApp();
  if (!(await first.up)) return { figure: 'does not start', bad: [first.said()] };
  await stopApp(first);
  const { port } = first;
  // How long a start takes once everything is built.
  const began = Date.now();
  const second = await startApp(port);
  await second.up;
  const whole = Date.now() - began;
  await stopApp(second);
  for (let moment = 0; moment < moments; moment++) {
    const app = await startApp(port);
    const way = WAYS[moment % WAYS.length];
    const after = random() * 1.3 * whole;
    await Promise.race([wait(after), app.exited]);
    const [signal, twice] = way.split(' ');
    const target = way.endsWith('group') ? -app.child.pid : app.child.pid;
    const send = () => {
      try {
        process.kill(target, signal);
      } catch {
        // It is gone already.
      }
    };
    send();
    if (twice === 'twice') await wait(100).then(send);
    const until = Date.now() + GONE;
    while (leftBehind(port).length > 0 && Date.now() < until) await wait(100);
    const left = leftBehind(port);
    if (left.length > 0) bad.push(`${way} after ${after.toFixed(0)} ms left ${left.join(', ')}`);
    await Promise.race([app.exited, wait(GONE)]);
  }
  const last = await startApp(port);
  if (!(await last.up)) bad.push(`the next start does not come up: ${last.said()}`);
  await stopApp(last);
  return { figure: `${moments} moments within ${whole} ms, ${bad.length} left something`, bad };
}
