// Web server and database killed at any moment: what was acknowledged is there afterwards.
import { setTimeout as wait } from 'node:timers/promises';
import { healthy, pidOf, someJob } from './app.mjs';
import { seeded } from '../lib/seeded.mjs';

export async function kills({ origin }, rounds, seed) {
  const random = seeded(seed);
  const job = await someJob(origin);
  const bad = [];
  let revision = 1;
  let acknowledged = 'to be treated badly';
  let saves = 0;
  for (let round = 0; round < rounds; round++) {
    const [database, web] = [pidOf('database'), pidOf('web')];
    const killed = wait(random() * 300).then(() => {
      for (const pid of random() < 0.3 ? [database, web] : [random() < 0.5 ? database : web]) {
        try {
          process.kill(pid, 'SIGKILL');
        } catch {
          // It is being started again from the round before.
        }
      }
    });
    let at = 0;
    let inTheAir;
    for (let tries = 0; tries < 40; tries++) {
      const { document } = await job.read().catch(() => ({}));
      if (!document) break;
      inTheAir = `round ${round} save ${at++}`;
      const answer = await job.save(revision, { ...document, title: inTheAir }).catch(() => undefined);
      if (answer?.status !== 200) break;
      ({ revision } = await answer.json());
      acknowledged = inTheAir;
      inTheAir = undefined;
      saves++;
    }
    await killed;
    await wait(100);
    if ((await healthy(origin)) === Number.POSITIVE_INFINITY) {
      bad.push(`round ${round}: not back within 30 s`);
      break;
    }
    const stored = await job.read();
    // What was on its way may have arrived; what was acknowledged must have.
    if (stored.document.title !== acknowledged && stored.document.title !== inTheAir)
      bad.push(`round ${round}: “${acknowledged}” was acknowledged, “${stored.document.title}” is stored`);
    ({ revision } = stored);
    acknowledged = stored.document.title;
  }
  return { figure: `${rounds} kills, ${saves} acknowledged saves, ${bad.length} lost`, bad };
}
