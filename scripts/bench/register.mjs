// Median time to read a plate's text, and 5,000 rows imported against parsing the file and inserting bare rows.
// Needs DATABASE_URL; prints JSON. Run by bench.mjs.
import Papa from 'papaparse';
import postgres from 'postgres';
import plates from '../../core/test/cases/plates.json' with { type: 'json' };
import { readPlate } from '../../core/src/stages/nameplate/read/read-plate.ts';
import { insertMotors } from '../../db/store-motors.ts';
import { ImportSession } from '../../web/src/lib/register/import-session.ts';

const ROWS = 5000;
const ROUNDS = 11;
const median = (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)];
const timed = async (run) => {
  const started = performance.now();
  await run();
  return performance.now() - started;
};

async function plateMedian() {
  const times = [];
  for (let round = 0; round < 20; round++)
    for (const { text } of plates) times.push(await timed(() => readPlate(text)));
  return median(times);
}

const header = 'Tag,Location,HP,Volts,Amps,RPM,Frame,Enclosure,SF,Code letter,Status';
const file = new TextEncoder().encode(
  [
    header,
    ...Array.from(
      { length: ROWS },
      (_, at) =>
        `M-${at},Hall ${at % 40},${[5, 10, 15, 20][at % 4]},230/460,${30 + (at % 170) / 10}/${15 + (at % 170) / 20},${1740 + (at % 50)},${['184T', '215T', '254T', '256T'][at % 4]},TEFC,1.15,G,spare`,
    ),
  ].join('\n'),
);

async function importRows(sql) {
  const session = await ImportSession.open(file, 'bench.csv');
  const checked = await session.check(session.mapping, { site: 'Bench', school: 'NEMA' });
  if (checked?.good.length !== ROWS) throw new Error('the bench file did not import whole');
  await insertMotors(sql, checked.good);
}

/** The yardstick: the file parsed, its cells inserted as they are. */
async function bareRows(sql) {
  const { data } = Papa.parse(new TextDecoder().decode(file), { header: true });
  for (let at = 0; at < data.length; at += 500) await sql`insert into bench_rows ${sql(data.slice(at, at + 500))}`;
}

const sql = postgres(process.env.DATABASE_URL, { max: 1, onnotice: () => undefined });
const names = header.split(',').map((name) => `"${name}" text`);
await sql.unsafe(`drop table if exists bench_rows; create table bench_rows (${names.join(', ')})`);
const own = [];
const bare = [];
for (let round = 0; round < ROUNDS; round++) {
  bare.push(await timed(() => bareRows(sql)));
  own.push(await timed(() => importRows(sql)));
}
await sql`drop table bench_rows`;
await sql.end();
process.stdout.write(JSON.stringify({ plate: await plateMedian(), own: median(own), bare: median(bare) }));
