/** How plates are spelt in the wild, and that nothing on them is lost in silence. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput } from '../../../src/index.ts';
import { parseNumber, parseQuantity } from '../../../src/kernel/quantity/parse.ts';
import { readPlate } from '../../../src/stages/nameplate/read/read-plate.ts';

const fields = (text: string) => readPlate(text).fields as Readonly<Record<string, string | undefined>>;

describe('spellings', () => {
  it.each([
    ['HP 1 1/2 RPM 1745 V 460', { power: '1-1/2 hp', voltages: '460 V', speed: '1745 r/min' }],
    ['7 1/2 HP 1765 RPM 230/460 V', { power: '7-1/2 hp', voltages: '230/460 V' }],
    ['1½ HP 460 V', { power: '1-1/2 hp', voltages: '460 V' }],
    ['7½ HP 1745 RPM 460 V', { power: '7-1/2 hp', speed: '1745 r/min', voltages: '460 V' }],
    ['¾ HP 115 V', { power: '3/4 hp', voltages: '115 V' }],
    ['11 kW 400 V IE3-91,4% 1465 min-1', { efficiencyClass: 'IE3', efficiency: '91,4 %', speed: '1465 r/min' }],
    ['HP 15 EFF 0,914', { power: '15 hp', efficiency: '0,914' }],
    [
      'n 1470/min P 11 kW U 400 V I 21 A f 50 Hz',
      { speed: '1470 r/min', power: '11 kW', voltages: '400 V', currents: '21 A', frequency: '50 Hz' },
    ],
    ['11 kW 3x400/690V 21/12.1 A', { voltages: '400/690 V', phases: '3', currents: '21/12.1 A' }],
    ['HP 500 VOLTS 2300/4000 AMPS 112/64', { voltages: '2300/4000 V', currents: '112/64 A' }],
    ['500 HP 2300 V 112 A 1785 RPM', { voltages: '2300 V', bearingDriveEnd: undefined }],
    ['15 HP 4 POLES 460 V', { poles: '4', power: '15 hp', voltages: '460 V' }],
    ['4-POLE 15 HP', { poles: '4' }],
    [
      'AMPS 24.8 A 460 V 1765 RPM 60 HZ',
      { currents: '24.8 A', voltages: '460 V', speed: '1765 r/min', frequency: '60 Hz' },
    ],
    ['VOLTS AC 460 AMPS 36', { voltages: '460 V', currents: '36 A' }],
    [
      '2.2/1.1 kW 2880/1430 min-1 400 V 4.7/2.9 A cos φ 0.83/0.78',
      { power: '2.2/1.1 kW', powerFactor: '0.83/0.78', currents: '4.7/2.9 A' },
    ],
    ['SINGLE PHASE 5 HP 230 V', { phases: '1' }],
    ['PH 3 3/4 HP 60 HZ', { phases: '3', power: '3/4 hp' }],
  ])('%s', (text, expected) => {
    const read = fields(text);
    for (const [name, value] of Object.entries(expected)) expect(read[name], name).toBe(value);
    expect(readPlate(text).doubts).toEqual([]);
  });

  const rows = (table: string) => fields(table.trim());
  const delta = `
   V    Hz  kW   r/min  A     cos φ
   400  50  11   1465   21.5  0.83
   690  50  11   1465   12.4  0.83
   460  60  12.6 1765   20.9  0.84`;
  it.each([
    ['without a connection column', delta],
    ['with Δ and Y before the rows', delta.replace('400', 'Δ 400').replace('690', 'Y 690').replace('460', 'Δ 460')],
    [
      'with a heading over Δ and Y',
      delta.replace('V  ', 'V Δ/Y ').replace('400', '400 Δ').replace('690', '690 Y').replace('460', '460 Δ'),
    ],
    [
      'with units in each row',
      `400 V 50 Hz 11 kW 1465 min-1 21.5 A cos φ 0.83
       690 V 50 Hz 11 kW 1465 min-1 12.4 A cos φ 0.83
       460 V 60 Hz 12.6 kW 1765 min-1 20.9 A cos φ 0.84`,
    ],
  ])('a table of ratings %s: 400/690 V at 50 Hz is one rating, 460 V at 60 Hz the second', (_, table) => {
    const read = rows(table);
    expect(read).toMatchObject({
      voltages: '400/690 V',
      currents: '21.5/12.4 A',
      frequency: '50 Hz',
      power: '11 kW',
      speed: '1465 r/min',
      powerFactor: '0.83',
      altVoltages: '460 V',
      altCurrents: '20.9 A',
      altFrequency: '60 Hz',
      altPower: '12.6 kW',
      altSpeed: '1765 r/min',
      altPowerFactor: '0.84',
    });
    expect(readPlate(table.trim()).doubts).toEqual([]);
    if (table.includes('Δ')) expect(read['connection']).toContain('Δ');
  });

  it('three voltages of one frequency have a speed each, which is no three-speed motor', () => {
    const text = '380 V 50 Hz 11 kW 22 A 1460 rpm\n400 V 50 Hz 11 kW 21.5 A 1465 rpm\n415 V 50 Hz 11 kW 21 A 1468 rpm';
    const job = emptyJob({
      school: 'IEC',
      nameplate: readPlate(text).fields,
      supply: { voltage: '415 V', frequency: '50 Hz' },
    });
    const { values, findings } = solve(job, emptyCatalogue);
    expect(values['nameplate.ratedCurrent']?.value).toBe(21);
    expect(((values['nameplate.speed']?.value as number) * 30) / Math.PI).toBeCloseTo(1468, 6);
    expect(findings.map(({ code }) => code)).not.toContain('nameplate.two-speed');
  });

  it('a third frequency has no place and is said', () => {
    const { doubts } = readPlate(`${delta.trim()}\n 380 40 9 1160 21 0.8`);
    expect(doubts.map(({ why }) => why).join()).toContain('third frequency');
  });

  it('numbers as people type them: a lone zero before a comma can only be a decimal comma', () => {
    expect(parseNumber('0,914')).toEqual({ ok: true, value: 0.914 });
    expect(parseNumber('1,465').ok).toBe(false);
    expect(parseQuantity('7½ hp', 'power', 'NEMA')).toMatchObject({
      ok: true,
      value: { si: expect.closeTo(5592.7, 0) as number },
    });
    expect(parseNumber('½')).toEqual({ ok: true, value: 0.5 });
  });
});

describe('what is not believed', () => {
  it.each([
    ['HP 99999 V 460', 'power', 'outside what is believable'],
    ['HP 15 KW 15 V 460', 'power', 'contradicts'],
    ['VOLTS 460 AMPS 36 VOLTS 575', 'voltages', 'contradicts'],
    ['HP 15 RPM 99999', 'speed', 'outside'],
    ['RPM V 460', 'speed', 'no figure'],
  ])('%s: shown with its reason, not written into %s', (text, field, why) => {
    const { doubts, tokens, fields: read } = readPlate(text);
    const doubt = doubts.find((each) => each.field === field);
    expect(doubt?.why).toContain(why);
    expect(String(read[field as 'power'] ?? '')).not.toContain(doubt?.text ?? '?');
    expect(tokens.some(({ state, note }) => state === 'doubtful' && note === doubt?.why)).toBe(true);
  });

  it('the two powers of one size, hp and kW, do not contradict each other', () => {
    for (const text of ['HP 15 KW 11', 'HP 7.5 KW 5.5', '7-1/2 HP 5.6 kW', '1½ HP 1.1 kW'])
      expect(readPlate(text).doubts, text).toEqual([]);
  });

  const solved = (asRead: string, more: JobInput['nameplate'] = {}) =>
    solve(emptyJob({ nameplate: { ...readPlate(asRead).fields, ...more } }), emptyCatalogue).findings.filter(
      ({ code }) => code === 'nameplate.unread',
    );
  it('is a caution in the job until somebody types what is right', () => {
    const [found] = solved('HP 15 KW 15 V 460 A 19 RPM 1770');
    expect(found).toMatchObject({ severity: 'caution', field: 'nameplate.power' });
    expect(solved('HP 15 KW 15 V 460 A 19 RPM 1770', { power: '20 hp' })).toEqual([]);
    expect(solved('HP 15 KW 11 V 460 A 19 RPM 1770')).toEqual([]);
  });

  const word = fc.constantFrom('HP', 'kW', 'VOLTS', 'V', 'AMPS', 'A', 'RPM', 'min-1', 'HZ', 'PH');
  const figure = fc.constantFrom(
    '15',
    '7 1/2',
    '1½',
    '460',
    '230/460',
    '38/19',
    '1770',
    '60',
    '3',
    '24.8',
    '99999',
    '0,914',
    '2300',
  );
  const other = fc.constantFrom(
    'SF 1.15',
    'CODE G',
    'TEFC',
    'FR 254T',
    'EFF 91.7',
    'PF 84',
    'INS F',
    'MADE',
    'Δ',
    'IE3-91,4%',
    '|',
    '\n',
    '-',
  );
  it('a third bearing is told: a motor has two, so one of the figures is something else', () => {
    const { fields, doubts } = readPlate('2300 2300 15 HP 2300');
    expect(fields).toMatchObject({ bearingDriveEnd: '2300', bearingOppositeEnd: '2300', power: '15 hp' });
    expect(doubts).toEqual([{ text: '2300', why: 'a third bearing' }]);
    expect(readPlate('6309 6307 15 HP').doubts).toEqual([]);
  });

  it('no word of power, volts, amps, speed, hertz or phases, and no figure beside one, is left unread in silence', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(word, figure, other), { maxLength: 14 }), (words) => {
        const text = words.join(' ');
        const { tokens, doubts, fields: read } = readPlate(text);
        const says = (each: (typeof tokens)[number]): boolean =>
          doubts.some(({ text: doubted, why }) => doubted === each.text || why === each.note);
        const isWord = (each: (typeof tokens)[number] | undefined): boolean =>
          each !== undefined && /^(?:HP|kW|VOLTS|V|AMPS|A|RPM|min-1|HZ|PH)$/.test(each.text);
        tokens.forEach((token, at) => {
          const beside = /^[\d½.,/ ]+$/.test(token.text) && (isWord(tokens[at - 1]) || isWord(tokens[at + 1]));
          if (!isWord(token) && !beside) return;
          const kept = token.field !== undefined && read[token.field] !== undefined && token.state !== 'ignored';
          expect(kept || says(token), `“${token.text}” of “${text}”`).toBe(true);
        });
      }),
      { numRuns: 1500 },
    );
  });
});
