import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { OptionSolution } from '@pilgrim/core';
import type { MachineResult } from '@pilgrim/core/commands/machine';
import { describe, expect, it } from 'vitest';

const main = `${dirname(dirname(fileURLToPath(import.meta.url)))}/src/main.ts`;

interface Issue {
  path: string;
  message: string;
}

interface Printed {
  readonly title: string;
  readonly chosen: string;
  readonly values: Readonly<Record<string, { readonly value: unknown }>>;
  readonly options: Readonly<Record<string, Pick<OptionSolution, 'name' | 'proposed' | 'values'>>>;
}

function pilgrim(args: string[], input: string) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', main, ...args], {
    input,
    encoding: 'utf8',
  });
  return {
    status,
    output: () => JSON.parse(stdout) as MachineResult & Printed,
    issues: () => JSON.parse(stderr) as Issue[],
  };
}

describe('pilgrim', () => {
  it('decodes a plate at the voltage and frequency it is connected to', () => {
    const { status, output } = pilgrim(
      ['decode', '--volts', '230', '--hz', '60', '-'],
      'HP 25 RPM 1760 V 230/460 A 64/32 SF 1.15',
    );
    expect(status).toBe(0);
    expect(output().values['nameplate.ratedCurrent']?.value).toBe(64);
    expect(output().values['protection.overloadCurrent']?.value).toBe(80);
    expect(output().values['protection.overloadDial']?.value).toBe(64);
  });

  it('takes the highest voltage on the plate where none is given', () => {
    expect(
      pilgrim(['decode', '-'], 'HP 25 RPM 1760 V 230/460 A 64/32').output().values['nameplate.ratedCurrent']?.value,
    ).toBe(32);
  });

  it('decodes a damaged plate: every word with what it was taken for, what is not believed beside it, and exit code 0', () => {
    const plate = 'HP 15 KW 15 RPM 1770 V 230/460 A 38/19 HZ 60 SMUDGE';
    const { status, output, issues } = pilgrim(['decode', '-'], plate);
    expect(status).toBe(0);
    const { words, notBelieved, values } = output() as unknown as {
      words: { text: string; field: string; state: string; why: string }[];
      notBelieved: { text: string; field: string; why: string }[];
      values: Record<string, { value: unknown }>;
    };
    expect(words.map(({ text }) => text).join(' ')).toBe(plate);
    expect(words.find(({ text }) => text === '1770')).toEqual({
      text: '1770',
      field: 'speed',
      state: 'understood',
      why: '',
    });
    expect(words.at(-1)).toMatchObject({ text: 'SMUDGE', state: 'ignored' });
    expect(notBelieved).toEqual([
      { text: '15 kW', field: 'power', why: expect.stringContaining('contradicts') as string },
    ]);
    expect(values['nameplate.power']?.value).toBeCloseTo(15 * 745.7, 0);
    expect(issues()).toEqual([{ path: 'nameplate.power', message: expect.stringContaining('15 kW') as string }]);
    const strict = pilgrim(['decode', '--strict', '-'], plate);
    expect([strict.status, strict.issues()[0]?.path]).toEqual([2, 'nameplate.power']);
    expect(pilgrim(['decode', '--strict', '-'], 'HP 15 RPM 1770 V 460 A 19').status).toBe(0);
  });

  it('solves a job with the demo catalogue', () => {
    const job = {
      nameplate: { power: '15 hp', voltages: '460', currents: '19', frequency: '60', speed: '1770', frame: '254T' },
      supply: { voltage: '480 V', frequency: '60 Hz' },
    };
    const { status, output } = pilgrim(['solve', '-'], JSON.stringify(job));
    expect(status).toBe(0);
    expect(output().values['pick.motor']?.value).toMatch(/15 hp 4-pole 254T/);
  });

  it('prints all options of a job, and one of them alone', () => {
    const job = JSON.stringify({
      situation: { presentStarter: 'star-delta' },
      nameplate: { power: '15 hp', voltages: '460', currents: '19', frequency: '60', speed: '1770', frame: '254T' },
      supply: { voltage: '480 V', frequency: '60 Hz' },
      place: { hazardous: 'no' },
      options: { A: { starting: { method: 'direct' } }, B: { name: 'Gentle', starting: { method: 'soft starter' } } },
    });
    const all = pilgrim(['solve', '-'], job).output();
    expect(Object.entries(all.options).map(([letter, { name, proposed }]) => [letter, name, proposed])).toEqual([
      ['A', 'Direct start', undefined],
      ['B', 'Gentle', undefined],
      ['C', 'Present star-delta start kept', 'kept'],
    ]);
    expect(all.values['starting.method']?.value).toBe('direct');
    const gentle = pilgrim(['solve', '--option', 'b', '-'], job).output();
    expect(Object.keys(gentle.options)).toEqual(['B']);
    expect(gentle.values['starting.method']?.value).toBe('soft starter');
    expect(gentle.options.B?.values['starting.method']).toEqual(all.options.B?.values['starting.method']);
    // A proposal can be asked for as well.
    const kept = pilgrim(['solve', '--option', 'C', '-'], job).output();
    expect([kept.chosen, kept.values['starting.method']?.value]).toEqual(['C', 'star-delta']);
    const none = pilgrim(['solve', '--option', 'D', '-'], job);
    expect([none.status, none.issues()]).toEqual([
      2,
      [{ path: 'option', message: 'There is no option D; this job has A, B, C.' }],
    ]);
  });

  it('gives steady points of a circuit', () => {
    const circuit = {
      r1: 0.641,
      x1: 1.106,
      xm: 26.3,
      r2: 0.332,
      x2: 0.464,
      volts: 460,
      hz: 60,
      poles: 4,
      rotationalLoss: 1100,
      slips: [0.022],
    };
    // Chapman, Electric Machinery Fundamentals, Example 7-3: 56.9 N·m
    expect(pilgrim(['machine', '-'], JSON.stringify(circuit)).output().points[0]?.shaftTorque).toBeCloseTo(56.84, 1);
  });

  it('runs a machine up, from its circuit and from its plate', () => {
    // Krause, Wasynczuk, Sudhoff, Table 4.10-1, 3 hp: 0.334 s to 95 % of synchronous speed, 97.1 A and 132.1 N·m at most.
    const circuit = {
      r1: 0.435,
      x1: 0.754,
      xm: 26.13,
      r2: 0.816,
      x2: 0.754,
      volts: 220,
      hz: 60,
      poles: 4,
      inertia: 0.089,
    };
    const { runUp } = pilgrim(['machine', '-'], JSON.stringify(circuit)).output();
    expect(runUp?.transient?.timeTo95).toBeCloseTo(0.334, 3);
    expect(runUp?.transient?.peakPhaseACurrent).toBeCloseTo(97.1, 0);
    expect(runUp?.transient?.peakTorque).toBeCloseTo(132.1, 0);
    const plate = 'HP 15 RPM 1770 V 230/460 A 38/19 HZ 60 CODE G DES B EFF 92.4';
    const byPlate = pilgrim(['machine', '-'], JSON.stringify({ plate, inertia: 0.8, powers: [11_000] })).output();
    expect(byPlate.fit?.conflicts).toEqual([]);
    expect(byPlate.atPowers[0]?.outputPower).toBeCloseTo(11_000, 0);
    expect(byPlate.runUp?.quasiSteady.reached).toBe(true);
  });

  it.each([
    ['half a file', ['solve', '-'], '{"nameplate":{"pow', '-'],
    ['an unknown field', ['solve', '-'], '{"colour":1}', ''],
    ['an unknown unit', ['solve', '-'], '{"nameplate":{"power":"15 fr"}}', 'nameplate.power'],
    ['an absurd value', ['solve', '-'], '{"load":{"torque":"-5 N·m"}}', 'load.torque'],
    ['an absurd voltage', ['decode', '--volts', 'many', '-'], 'HP 25 V 460', 'supply.voltage'],
    ['an empty plate', ['decode', '-'], '', 'plate'],
    ['no such file', ['solve', '/nowhere.json'], '', '/nowhere.json'],
    ['no command', [], '', ''],
    ['an unknown flag', ['solve', '--fast', '-'], '{}', ''],
    ['a circuit without sense', ['machine', '-'], '{"r1":-1}', 'r1'],
    ['a plate without figures', ['machine', '-'], '{"plate":"MADE IN THE HILLS"}', 'plate'],
  ])('refuses %s with exit code 2 and issues as JSON', (_, args, input, path) => {
    const { status, issues } = pilgrim(args, input);
    expect(status).toBe(2);
    expect(issues()[0]?.path).toBe(path);
    expect(issues()[0]?.message.length).toBeGreaterThan(5);
  });

  it('publishes its schemas', () => {
    expect(pilgrim(['schema', 'job'], '').output().title).toBe('Pilgrim job');
  });

  it('lists every published value with its unit; docs/values.md shows the same', () => {
    const listed = readFileSync(new URL('../../docs/values.md', import.meta.url), 'utf8')
      .split('\n')
      .filter((line) => line.startsWith('| `'))
      .map((line) => line.split('|').map((cell) => cell.trim().replaceAll('`', '')))
      .map(([, id, label, unit, sheet]) => ({ id, label, unit, sheet }));
    expect(listed).toContainEqual({
      id: 'protection.overloadDial',
      label: 'Overload relay setting',
      unit: 'A',
      sheet: 'Protection and wiring',
    });
    expect(pilgrim(['values'], '').output()).toEqual(listed);
  });

  it('lists what everything is called in both systems; docs/terms.md shows the same', () => {
    const shown = readFileSync(new URL('../../docs/terms.md', import.meta.url), 'utf8')
      .split('\n')
      .filter((line) => line.startsWith('| `'))
      .map((line) => line.split('|').map((cell) => cell.trim()));
    const listed = pilgrim(['terms'], '').output() as unknown as Record<string, string>[];
    expect(listed.find(({ id }) => id === 'nameplate.ratedCurrent')).toMatchObject({
      id: 'nameplate.ratedCurrent',
      kind: 'value',
      nema: 'Full-load current',
      nemaSymbol: 'FLA',
      iec: 'Rated current',
      iecSymbol: 'Iₙ',
      clause: 'NEC 430.6(A)(2); IEC 60034-1, 10.2',
    });
    expect(shown.map(([, id, ...rest]) => [id, ...rest.slice(0, 6)])).toEqual(
      listed.map(({ id, kind, nema, nemaSymbol, iec, iecSymbol, definition, clause }) => [
        kind === 'field' ? `\`${id}\` (field)` : `\`${id}\``,
        nema,
        nemaSymbol,
        iec,
        iecSymbol,
        definition,
        clause,
      ]),
    );
  });

  it('draws what the options of a job may cost, the same for a seed; refuses what is no number and a job without costs', () => {
    const job = JSON.stringify({
      situation: { kind: 'new' },
      load: { way: 'torque', torqueKind: 'variable', torque: '70 lb·ft', speed: '1760 rpm' },
      supply: { voltage: '480 V', frequency: '60 Hz', sourcePower: '1000 kVA', sourceImpedance: '5 %' },
      profile: { control: 'damper', points: [{ flow: '60 %', hours: '6000 h' }] },
      money: { energyPrice: '0.10 per kWh' },
    });
    const drawn = (...flags: string[]) => pilgrim(['risk', '-', ...flags], job);
    interface Drawn {
      draws: number;
      seed: number;
      options: { discounted: { low: number; middle: number; high: number } }[];
    }
    const first = drawn('--draws', '200').output() as unknown as Drawn;
    expect(first).toMatchObject({ draws: 200, seed: 1 });
    const [one] = first.options;
    expect(one?.discounted.low).toBeLessThan(one?.discounted.middle ?? 0);
    expect(drawn('--draws', '200', '--seed', '1').output()).toEqual(first);
    expect(drawn('--draws', '200', '--seed', '2').output()).not.toEqual(first);
    expect(drawn('--draws', 'many')).toMatchObject({ status: 2 });
    expect(drawn('--draws', '0').issues()[0]?.path).toBe('draws');
    expect(pilgrim(['risk', '-'], '{}').issues()[0]?.path).toBe('money');
  });
});
