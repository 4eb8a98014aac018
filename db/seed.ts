import { emptyJob, solve } from '@pilgrim/core';
import type { Sql } from 'postgres';
import { demoCatalogue } from './demo/catalogue.ts';
import { demoSites } from './demo/jobs.ts';
import { readPlate } from '@pilgrim/core/stages/nameplate/read/read-plate';
import { registeredMotorSchema } from '@pilgrim/core/register/registered-motor';
import { demoMotors } from './demo/motors.ts';
import { insertMotors } from './store-motors.ts';
import { storeCatalogue } from './store-catalogue.ts';
import { insertJob, keptOf } from './store-jobs.ts';

/** Fills an empty database with the demo. A database that holds anything already is left alone. */
export async function seedDemo(sql: Sql): Promise<boolean> {
  const [held] = await sql`select 1 from catalogues union all select 1 from sites limit 1`;
  if (held) return false;
  const catalogue = demoCatalogue();
  await storeCatalogue(sql, catalogue);
  for (const { name, school, paper, currency, supplies, jobs } of demoSites) {
    const [site] = await sql<{ id: string }[]>`
      insert into sites (name, school, paper, currency) values (${name}, ${school}, ${paper}, ${currency}) returning id`;
    if (!site) throw new Error('the site was not stored');
    for (const supply of supplies) {
      await sql`insert into site_records (site_id, kind, name, document)
        values (${site.id}, 'supply', ${supply.name}, ${sql.json(supply.supply)})`;
    }
    for (const given of jobs) {
      const job = emptyJob({ site: name, school, paper, currency, ...given });
      await insertJob(sql, job, keptOf(solve(job, catalogue)));
    }
  }
  const motors = demoMotors.map(({ plate, ...motor }) =>
    registeredMotorSchema.parse({ ...motor, plate: readPlate(plate).fields }),
  );
  await insertMotors(sql, motors);
  return true;
}
