// Fifty who save the same job at once: each save that is acknowledged is a revision of its own and none is written over.
import { someJob } from './app.mjs';

const WRITERS = 50;

export async function writers({ origin }, saves) {
  const job = await someJob(origin);
  const { document, revision: first } = await job.read();
  const bad = [];
  const accepted = new Map();
  let refused = 0;
  await Promise.all(
    Array.from({ length: WRITERS }, async (_, writer) => {
      let base = first;
      for (let at = 0; at < saves; at++) {
        const title = `writer ${writer} save ${at}`;
        const answer = await job.save(base, { ...document, title });
        const said = await answer.json();
        if (answer.status === 200) {
          if (accepted.has(said.revision)) bad.push(`revision ${said.revision} was given twice`);
          if (said.revision !== base + 1) bad.push(`saved over ${base}, became ${said.revision}`);
          accepted.set(said.revision, title);
        } else if (answer.status === 409) refused++;
        else bad.push(`answered ${answer.status}`);
        base = said.revision ?? base;
      }
    }),
  );
  const newest = await job.read();
  if (newest.revision !== first + accepted.size)
    bad.push(`${accepted.size} saves were acknowledged, the job is at revision ${newest.revision}`);
  if (newest.document.title !== accepted.get(newest.revision))
    bad.push('the newest revision is not what was acknowledged');
  return {
    figure: `${WRITERS} writers, ${accepted.size} saves acknowledged, ${refused} told of another, ${bad.length} wrong`,
    bad,
  };
}
