/** Prints the median time of a full solve of every demo job with the demo catalogue, in ms. */
import { emptyJob, solve } from '../../core/src/index.ts';
import { demoCatalogue } from '../../db/demo/catalogue.ts';
import { demoSites } from '../../db/demo/jobs.ts';

const catalogue = demoCatalogue();
const jobs = demoSites.flatMap((site) => site.jobs.map((job) => emptyJob({ school: site.school, ...job })));
const times = [];
for (let round = 0; round < 60; round++) {
  for (const job of jobs) {
    const start = performance.now();
    solve(job, catalogue);
    if (round >= 10) times.push(performance.now() - start);
  }
}
times.sort((a, b) => a - b);
process.stdout.write(String(times[Math.floor(times.length / 2)]));
