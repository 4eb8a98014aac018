import { it } from 'vitest';
import { demoCatalogue } from '../../db/demo/catalogue.ts';
import { demoSites } from '../../db/demo/jobs.ts';
import { emptyJob, solve } from '../src/index.ts';
import { runStart } from '../src/starting/run-start.ts';
it('x', () => {
  const catalogue = demoCatalogue();
  for (const site of demoSites) for (const job of site.jobs) {
    const s = solve(emptyJob({ school: site.school, ...job }), catalogue);
    console.log(job.tag, s.values['starting.method']?.text, s.findings.filter(f=>f.severity==='stop').map(f=>f.code).join());
    for (const c of s.details.startSetting ? s.details.starting : []) {
      const fine = runStart(s.details.startSetting!, c.method, 500);
      console.log('  ', c.method, c.time?.toFixed(4), fine.run.time.toFixed(4), c.text.margin, fine.run.leastMargin.toFixed(4), fine.run.leastMarginSpeed.toFixed(1), c.failures.join(' | ').slice(0,160));
    }
  }
});
