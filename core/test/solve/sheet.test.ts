/** What goes to purchasing, the electrician and the auditor, and the train across the top of every screen. */
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput } from '../../src/index.ts';
import { selectionSheet } from '../../src/solve/sheet.ts';
import { catalogue, fan } from '../lib/round-prices.ts';

const spaced = (text: string): string => text.replaceAll('\u00a0', ' ');
const sheetOf = (input: JobInput, from = catalogue) => {
  const job = emptyJob(input);
  return selectionSheet(job, solve(job, from));
};
const rowsOf = (input: JobInput, title: string, from = catalogue) =>
  (sheetOf(input, from).sections.find((section) => section.title === title)?.rows ?? []).map(({ label, text, other }) =>
    spaced([label, text, other].filter(Boolean).join(' | ')),
  );
const named = {
  ...fan,
  tag: 'F-1',
  title: 'Fan',
  site: 'Mill',
  handover: { preparedBy: 'A. Person', note: 'Order soon' },
};

describe('the selection sheet', () => {
  it('says what was decided, for whom and by whom, chapter by chapter', () => {
    const sheet = sheetOf(named);
    expect(sheet).toMatchObject({
      title: 'F-1 · Fan',
      site: 'Mill',
      decision: 'M 25 with D 25',
      ready: true,
      preparedBy: 'A. Person',
      note: 'Order soon',
      catalogue: 'Round prices',
    });
    expect(sheet.sections.map(({ title }) => title)).toEqual([
      'Selection',
      'Load and rating',
      'Supply and starting',
      'Drive and motor cable',
      'Protection and wiring',
      'Energy and economics',
      'Bill of materials',
    ]);
    expect(rowsOf(named, 'Selection').slice(0, 2)).toEqual(['Motor | M 25', 'Drive | D 25']);
    expect(sheetOf({}).title).toBe('Untitled job');
  });

  it('lists what the option buys; a result of before there were bills has none', () => {
    expect(rowsOf(named, 'Bill of materials')).toEqual([
      'M 25 | 1000 USD',
      'D 25 | 2000 USD',
      'Installation of the drive | 1200 USD | 60.0 % of its price',
    ]);
    const job = emptyJob(named);
    const { details, ...solution } = solve(job, catalogue);
    const { bill, ...older } = details;
    expect(bill).toHaveLength(3);
    const sheet = selectionSheet(job, { ...solution, details: older as typeof details });
    expect(sheet.sections.some(({ title }) => title === 'Bill of materials')).toBe(false);
  });
  it('25 hp at 460 V by NEC 430.250: 34 A, 42.5 A of wire in 8 AWG, 90 A at most; 38 A into the drive want 47.5', () => {
    expect(rowsOf(named, 'Protection and wiring')).toEqual([
      'Motor full-load current (FLA) | 30.0 A',
      'Drive output current, derated | 40.0 A',
      'Maximum overload trip current | 37.5 A',
      'Drive motor-overload setting | 30.0 A',
      'Table full-load current (FLC) | 34.0 A',
      'Current for conductor/SCPD sizing | 34.0 A',
      'Minimum conductor ampacity | 42.5 A',
      'Minimum conductor size | 8 AWG copper',
      'Corrected ampacity | 50.0 A',
      'Branch device, maximum rating | 90.0 A',
      // 1.15 · 34 A; 1000 kVA of 5 % at 480 V; four of 8 AWG, 0.1464 in².
      'Disconnecting means, minimum | 39.1 A',
      'Available fault current, bus | 24.1 kA',
      'Equipment grounding conductor (EGC) | 8 AWG',
      'Conduit trade size | 3/4 in EMT',
      'Drive input ampacity, minimum | 47.5 A',
      'Drive input conductor, min. size | 6 AWG copper',
    ]);
  });

  it('amounts carry the currency, torque and power both units', () => {
    expect(rowsOf(named, 'Energy and economics')).toContain('Installed cost | 4200 USD');
    // 70 lb·ft are 94.9 N·m, 25 hp 18.6 kW
    expect(rowsOf(named, 'Load and rating')).toContain('Torque at motor shaft | 70.0 lb·ft | 94.9 N·m');
    expect(rowsOf(named, 'Load and rating')).toContain('Standard rating | 25 hp | 18.6 kW');
  });

  it('compares the options, marks the best of each measure and says what would turn it', () => {
    const { compared } = sheetOf(named);
    expect(compared.heads).toEqual(['A · Drive', 'B · Direct start (not taken)']);
    expect(compared.rows.find(({ label }) => label === 'Installed cost, USD')).toEqual({
      label: 'Installed cost, USD',
      texts: ['4200', '1200'],
      best: [false, true],
    });
    expect(compared.rows.find(({ label }) => label === 'Drive')?.texts).toEqual(['D 25', '–']);
    expect(compared.rows.map(({ label }) => label)).not.toContain('Motor');
    expect(compared.verdict[0]).toBe('A is best by “life-cycle cost, undiscounted”.');
    expect(compared.verdict).toHaveLength(2);
    const stopped = sheetOf({ ...named, options: { A: {}, B: { starting: { method: 'star-delta' } } } });
    expect(stopped.compared.heads[1]).toBe('B · Star-delta start (stopped)');
    expect(sheetOf({ ...named, declined: ['start'] }).compared).toEqual({ heads: [], rows: [], verdict: [] });
  });

  it('gives its reasons: the motor, the next best, the drive, the rules that were set, the way to start', () => {
    const [motor] = catalogue.motors;
    if (!motor) expect.fail();
    const two = { ...catalogue, motors: [motor, { ...motor, id: 'm2', name: 'M 25 dear', price: 1500 }] };
    const { reasons } = sheetOf({ ...named, practice: { sizeMargin: '5 %' } }, two);
    expect(reasons.map((reason) => spaced(reason).split(':')[0])).toEqual([
      'M 25',
      'Next best',
      'D 25',
      'Design rules set for this site or job',
      'drive',
    ]);
    expect(reasons[1]).toContain('M 25 dear');
    expect(spaced(reasons[3] ?? '')).toContain('Power margin over the load 5');
    expect(sheetOf(named).reasons.join()).not.toContain('Design rules');
  });

  it('is not ready while something stops or is missing, and says what', () => {
    const stopped = sheetOf({ ...named, place: { hazardous: 'yes' } });
    expect(stopped).toMatchObject({ ready: false, decision: 'Stopped: 1 finding has to be cleared first' });
    expect(stopped.findings[0]?.code).toBe('place.hazardous');
    const open = sheetOf({ situation: { kind: 'new' } }, emptyCatalogue);
    expect(open.ready).toBe(false);
    expect(open.needed.length).toBeGreaterThan(1);
    expect(open.decision).toBe(`Not decided: ${open.needed.length} figures are needed`);
    expect(sheetOf(named).needed).toEqual([]);
    expect(
      sheetOf({ ...named, supply: { ...named.supply, sourcePower: '', sourceImpedance: '' } }).sharpens.join(),
    ).toContain('Rated power and impedance of the source');
    expect(sheetOf(named, { ...catalogue, motors: [] }).decision).toBe(
      'Not decided: nothing in the catalogue was chosen',
    );
  });
});

describe('the power train', () => {
  const blocks = (input: JobInput, from = catalogue) =>
    solve(emptyJob(input), from).train.map(({ id, rating, detail, state, stage }) =>
      spaced([id, rating, detail, state, stage].join(' | ')),
    );

  it('carries each block’s rating and what it is used for', () => {
    expect(blocks(named)).toEqual([
      'supply | 480 V · 60 Hz | voltage dip 0.066 % | decided | supply',
      'protection | 90.0 A | maximum rating | decided | protection',
      'feed | 40.0 A | 30.0 A needed | decided | pick',
      'cable | 8 AWG copper | for 42.5 A | decided | protection',
      'motor | 25 hp · 4-pole | 1770 r/min · 284T | decided | pick',
      'transmission | Direct |  | decided | load',
      'load | 70.0 lb·ft | motor at 1760 r/min | decided | load',
    ]);
    const used = solve(emptyJob(named), catalogue).train.map(({ id, used: share }) => [
      id,
      share === undefined ? undefined : Number(share.toFixed(3)),
    ]);
    // 30 of 40 A; 70 lb·ft at 1760 r/min are 23.46 of 25 hp.
    expect(used.filter(([, share]) => share !== undefined)).toEqual([
      ['feed', 0.75],
      ['motor', 0.938],
    ]);
  });

  it('a starter, a gear of 3 : 1 and a kept motor stand in their blocks', () => {
    const kept: JobInput = {
      situation: { kind: 'starter' },
      nameplate: { power: '25 hp', speed: '1770', voltages: '460', currents: '30', frequency: '60', frame: '284T' },
      load: { way: 'torque', torque: '180 lb·ft', ratio: '3', transmissionEfficiency: '95 %' },
      supply: { voltage: '480 V' },
      place: { hazardous: 'no' },
      options: { A: { starting: { method: 'direct' } } },
    };
    const shown = blocks(kept);
    expect(shown[2]).toBe('feed | K | direct | decided | pick');
    expect(shown[4]).toBe('motor | 25 hp · 4-pole | 1770 r/min · 284T | decided | nameplate');
    expect(shown[5]).toBe('transmission | 3 : 1 | η 95.0 % | decided | load');
    const feedKept = {
      ...kept,
      options: { A: { starting: { method: 'direct' }, pick: { feedFrom: 'kept' } } },
    } as const;
    expect(blocks(feedKept)[2]).toBe('feed | Kept | direct | decided | pick');
  });

  it('what a finding stops is stopped, what is not known open', () => {
    const state = (input: JobInput, from = catalogue) =>
      Object.fromEntries(solve(emptyJob(input), from).train.map(({ id, state: at }) => [id, at]));
    expect(state({})).toEqual({
      supply: 'open',
      protection: 'open',
      feed: 'open',
      cable: 'open',
      motor: 'open',
      transmission: 'open',
      load: 'open',
    });
    expect(state({ ...named, place: { hazardous: 'yes' } })).toMatchObject({ motor: 'stopped', supply: 'decided' });
    expect(
      state(named, {
        ...catalogue,
        drives: [{ ...(catalogue.drives[0] ?? expect.fail()), normalCurrent: 5, heavyCurrent: 5 }],
      }).feed,
    ).toBe('stopped');
    expect(
      state(named, { ...catalogue, motors: [{ ...(catalogue.motors[0] ?? expect.fail()), poles: 8 }] }).motor,
    ).toBe('stopped');
    expect(state({ ...named, options: { A: { starting: { method: 'star-delta' } } } }).feed).toBe('stopped');
    expect(state({ ...named, supply: { ...named.supply, phaseVoltages: '480/440/400' } }).supply).toBe('stopped');
    expect(state({ ...named, load: { ...named.load, torque: '90000 lb·ft' } }).load).toBe('stopped');
  });
});
