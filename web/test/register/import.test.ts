/** Lists of motors as files: what is taken, what is handed back, and what is refused before it can hurt. */
import { guessMapping, rowReader, writeRow, columns } from '@pilgrim/core/register/columns';
import { plateSchema } from '@pilgrim/core/job/job';
import { comparePlates } from '@pilgrim/core/register/compare';
import { plateKey } from '@pilgrim/core/register/plate-key';
import { registeredMotorSchema, type RegisteredMotorInput } from '@pilgrim/core/register/registered-motor';
import { spareMisfits } from '@pilgrim/core/register/spares';
import { decodeFrame } from '@pilgrim/core/stages/nameplate/frame';
import { readPlate } from '@pilgrim/core/stages/nameplate/read/read-plate';
import fc from 'fast-check';
import { zipSync } from 'fflate';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { ImportSession } from '../../src/lib/register/import-session';
import { workbook } from '../../src/lib/server/work/workbook';
import { limits, readTable } from '../../src/lib/register/read-table';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const refusal = (content: Uint8Array): Promise<string> =>
  readTable(content, 'motors.csv').then(
    () => 'taken',
    (cause: unknown) => (cause as Error).message,
  );
const motor = (plate: string, more: RegisteredMotorInput = {}) => {
  const { fields, school } = readPlate(plate);
  return registeredMotorSchema.parse({ school, plate: fields, ...more });
};
const defaults = { site: 'Fenhallow Board Mill', school: 'NEMA' } as const;
const LIST = 'Tag,Power (hp),Volts,FLA,RPM,Frame,Status,Colour\n';

describe('what is taken', () => {
  it('guesses what columns mean, uses each once, and leaves strangers out', () => {
    expect(guessMapping(['Tag', 'Power (kW)', 'VOLTAGE', 'F.L.A.', 'rpm', 'Frame size', 'Colour', 'hp'])).toEqual([
      'tag',
      'plate.power',
      'plate.voltages',
      '',
      'plate.speed',
      'plate.frame',
      '',
      '',
    ]);
  });
  it('takes good rows and hands back bad ones with every problem', async () => {
    const file = `${LIST}P-1,15,230/460,38/19,1770,254T,running,red\nP-2,banana,460,19,99999,254T,lost,\n,,,,,,,\n"=1+1",10,460,12,1770,215T,spare,`;
    const session = await ImportSession.open(bytes(file), 'motors.csv');
    const mapping = session.mapping.map((id, at) => (session.table.header[at] === 'FLA' ? 'plate.currents' : id));
    const checked = await session.check(mapping, defaults);
    expect(checked?.good).toHaveLength(1);
    expect(checked?.good[0]).toMatchObject({
      tag: 'P-1',
      site: defaults.site,
      state: 'in service',
      plate: { power: '15 hp' },
    });
    expect(checked?.bad.map(({ row, problems }) => [row, problems.map((each) => each.column)])).toEqual([
      [3, ['Power', 'Speed', 'State']],
      [4, ['Tag']],
    ]);
    const back = Papa.parse<string[]>(session.badFile(checked?.bad ?? [])).data;
    expect(back).toHaveLength(3);
    expect(back[1]?.at(-1)).toContain('Power: ');
    expect(back[2]?.[0]).toBe("'=1+1");
  });
  it('reads whole plates in a column, other columns first', () => {
    const header = ['Tag', 'Plate', 'Frame'];
    const row = rowReader(
      header,
      guessMapping(header),
      defaults,
    )(['P-3', 'HP 20 RPM 1765 V 460 A 24.5 FR 256T', '256TC']);
    expect(row).toMatchObject({ ok: true, motor: { plate: { power: '20 hp', frame: '256TC', speed: '1765 r/min' } } });
  });
  it('every field of a plate comes back from CSV and XLSX, signs that a spreadsheet would run included', async () => {
    const figures: Readonly<Record<string, unknown>> = {
      ...{ power: '15/5 hp', voltages: '230/460 V', currents: '38/19 A', frequency: '60 Hz', speed: '1770/885 r/min' },
      ...{ efficiency: '92.4 %', powerFactor: '0.83', serviceFactor: '1.15', ambient: '-20 °C', poles: '4' },
      ...{ startingCurrentRatio: '6.8', lockedRotorCurrent: '116 A', mass: '203 lb', altPower: '12.5 hp' },
      ...{ altVoltages: '190/380', altCurrents: '39/19.5', altFrequency: '50 Hz', altSpeed: '1465 rpm' },
      ...{ altEfficiency: '91 %', altPowerFactor: '0.84', altServiceFactor: '1.0', measuredShaftHeight: '6.25 in' },
      ...{ measuredShaftDiameter: '42 mm', measuredNoLoadSpeed: '1798 rpm', measuredNoLoadCurrent: '8.2 A' },
      ...{ measuredResistance: '0.85 Ω', measuredSlots: '36', unreadable: true, speedInForce: 'second' },
    };
    const names = Object.keys(plateSchema.shape);
    const plate = Object.fromEntries(names.map((name, at) => [name, figures[name] ?? `=${at},"x"+1`]));
    const whole = registeredMotorSchema.parse({ site: 'Mill', tag: 'M-1', school: 'IEC', plate, note: '@now' });
    const table = [columns.map((column) => column.title), writeRow(whole)];
    for (const content of [bytes(Papa.unparse(table)), new Uint8Array(await workbook(table))]) {
      const session = await ImportSession.open(content, 'motors');
      expect((await session.check(session.mapping, { site: '', school: 'NEMA' }))?.good).toEqual([whole]);
    }
  });

  it('what an export writes an import reads back, in CSV, XLSX and JSON', async () => {
    const text = fc.string({ maxLength: 30 }).map((each) =>
      each
        .replaceAll(/[^\w .,/-]/g, '')
        .trim()
        .replace(/^[-.,/\s]+/, ''),
    );
    const many = fc.array(fc.record({ tag: text.filter((each) => each !== ''), location: text, note: text }), {
      minLength: 1,
      maxLength: 5,
    });
    await fc.assert(
      fc.asyncProperty(many, async (rows) => {
        const motors = rows.map((row) => motor('HP 15 RPM 1770 V 230/460 A 38/19 FR 254T', row));
        const table = [columns.map((column) => column.title), ...motors.map(writeRow)];
        const formats = [
          bytes(Papa.unparse(table)),
          new Uint8Array(await workbook(table)),
          bytes(JSON.stringify({ motors })),
        ];
        for (const content of formats) {
          const session = await ImportSession.open(content, 'motors');
          expect((await session.check(session.mapping, { site: '', school: 'NEMA' }))?.good).toEqual(motors);
        }
      }),
      { numRuns: 15 },
    );
  });
  it('keeps the history of motors that come as JSON, and hands back those that are none', async () => {
    const kept = motor('HP 15', { tag: 'J-1', history: [{ date: '2024-05-01', event: 'installed' }] });
    const session = await ImportSession.open(bytes(JSON.stringify([kept, { tag: 7 }, 'motor'])), 'motors.json');
    const checked = await session.check(session.mapping, defaults);
    expect(checked?.good).toEqual([kept]);
    expect(checked?.bad.map(({ problems }) => problems[0]?.column)).toEqual(['Tag', 'Whole motor as JSON']);
  });
  it('can be cancelled on the way', async () => {
    const session = await ImportSession.open(
      bytes(LIST + 'P-1,15,460,19,1770,254T,spare,\n'.repeat(3000)),
      'motors.csv',
    );
    expect(await session.check(session.mapping, defaults, undefined, () => true)).toBeUndefined();
  });
  it('reads Western European and UTF-16 text and says so', async () => {
    const latin = new Uint8Array(Buffer.from('Tag,Location\nP-1,Küche', 'latin1'));
    const table = await readTable(latin, 'motors.csv');
    expect(table.rows[0]?.[1]).toBe('Küche');
    expect(table.notes[0]).toContain('not UTF-8');
    const wide = new Uint8Array(Buffer.from('\ufeffTag,Location\nP-1,Küche', 'utf16le'));
    expect((await readTable(wide, 'motors.csv')).rows[0]?.[1]).toBe('Küche');
  });
});

describe('what is refused', () => {
  it('a zip bomb, before it unpacks', async () => {
    const bomb = zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(limits.unpacked + 5_000_000) }, { level: 6 });
    expect(bomb.length).toBeLessThan(1_000_000);
    expect(await refusal(bomb)).toContain('unpacks to far more');
  });
  it('a workbook that unpacks to hundreds of times its size, or holds thousands of files', async () => {
    const sheet = (size: number) => zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(size) }, { level: 6 });
    expect(await refusal(sheet(30_000_000))).toContain('unpacks to far more');
    // The first megabytes are free: a short list of one repeated word is none of harm.
    expect(await refusal(sheet(5_000_000))).not.toContain('unpacks to far more');
    const files = (count: number) =>
      zipSync(Object.fromEntries(Array.from({ length: count }, (_, at) => [`f${at}`, new Uint8Array(1)])));
    expect(await refusal(files(1001))).toContain('unpacks to far more');
    expect(await refusal(files(1000))).not.toContain('unpacks to far more');
  });
  it('two million rows', async () => {
    expect(await refusal(bytes('Tag\n' + 'P\n'.repeat(2_000_000)))).toContain('more than 50,000 rows');
  });
  it.each([
    ['an empty file', new Uint8Array(0), 'empty'],
    ['headings alone', bytes('Tag,Power\n'), 'no rows under them'],
    ['a picture', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1, 0, 2]), 'not a table of text'],
    ['an old workbook', Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0]), 'old .xls'],
    ['half a JSON file', bytes('{"motors": [{"tag": '), 'not complete JSON'],
    ['JSON of something else', bytes('{"jobs": []}'), 'no list of motors'],
    ['half a workbook', Uint8Array.from([0x50, 0x4b, 3, 4, 1, 2, 3]), 'cannot be read'],
    ['far too many columns', bytes(`${'a,'.repeat(300)}\n${'1,'.repeat(300)}\n`), 'more than 200 columns'],
  ])('%s', async (_, content, words) => {
    expect(await refusal(content)).toContain(words);
  });
  it('whatever the bytes, there is a table or a sentence', async () => {
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 400 }), async (content) => {
        expect((await refusal(content)).length).toBeGreaterThan(4);
      }),
      { numRuns: 300 },
    );
  });
});

describe('the register answers', () => {
  const requirement = {
    school: 'NEMA',
    power: 30 * 745.7,
    poles: 4,
    frequency: 60,
    motorVoltage: 460,
    systemVoltage: 480,
    enclosures: ['TEFC'],
    frame: decodeFrame('286T', 'NEMA'),
    inverterDuty: false,
    belted: false,
    serviceFactor: 1,
  } as const;
  it('which spare fits and why another does not', () => {
    const misfitsOf = (plate: string) => spareMisfits(motor(plate, { state: 'spare' }), requirement);
    expect(misfitsOf('HP 30 RPM 1775 V 230/460 A 70/35 HZ 60 FR 286T TEFC')).toEqual([]);
    expect(misfitsOf('HP 30 RPM 1775 V 460 A 35 HZ 60 FR 286TS ODP').join()).toMatch(/open motor.*short shaft/);
    const belted = spareMisfits(motor('HP 30 RPM 1775 V 460 A 35 HZ 60 FR 286TS TEFC'), {
      ...requirement,
      belted: true,
    });
    expect(belted.join()).toContain('must not take a belt');
    expect(misfitsOf('HP 25 RPM 1180 V 575 A 25 HZ 60 FR 324T').length).toBe(4);
    expect(misfitsOf('').length).toBeGreaterThanOrEqual(4);
    expect(
      spareMisfits(motor('HP 30 RPM 1775 V 460 A 35 HZ 60 FR 286T TEFC'), { ...requirement, inverterDuty: true }),
    ).toEqual(['not proven on a drive']);
  });
  it('reads one line off a plate, and nothing off a blank one', () => {
    expect(plateKey(motor('HP 15 RPM 1770 V 230/460 A 38/19 FR 254T').plate, 'NEMA').text).toMatch(
      /15.hp · 4-pole · 230\/460.V · 254T/,
    );
    expect(plateKey(motor('').plate, 'NEMA').text).toBe('');
  });
});

describe('two plates', () => {
  const side = (text: string) => {
    const { plate, school } = motor(text);
    return { plate, school };
  };
  const old = 'HP 30 RPM 1750 V 230/460 A 71/35.5 HZ 60 SF 1.15 CODE F DES B EFF 91 FR 286T TEFC INS F';
  const found = (fresh: string, what: string) =>
    comparePlates(side(old), side(fresh)).differences.find((each) => each.what === what);

  it('that say the same have no difference', () => {
    expect(comparePlates(side(old), side(old)).differences).toEqual([]);
  });
  it('a higher code letter means starter and breaker; a faster motor costs the cube', () => {
    const fresh = old.replace('CODE F', 'CODE H').replace('1750', '1780');
    expect(found(fresh, 'Code letter')?.entails).toContain('check starter and breaker');
    // (1780/1750)³ − 1 = 5.23 %
    expect(found(fresh, 'Full-load speed')?.entails).toContain('5.2 % more power');
  });
  it('another design, service factor, frame and enclosure each entail something', () => {
    const fresh = old.replace('DES B', 'DES C').replace('1.15', '1.0').replace('286T', '286TS').replace('TEFC', 'TEXP');
    expect(found(fresh, 'Design letter')?.weight).toBe('caution');
    expect(found(fresh, 'Service factor')?.entails).toContain('125 % to 115 %');
    expect(found(fresh, 'Frame')?.entails).toContain('never for belts');
    expect(found(fresh, 'Mounting: shaft diameter')?.entails).toContain('1.625\u00a0in instead of 1.875\u00a0in');
    expect(found(fresh, 'Enclosure')?.weight).toBe('stop');
    expect(found(old.replace('HP 30', 'HP 25'), 'Rated power')?.weight).toBe('stop');
  });
});
