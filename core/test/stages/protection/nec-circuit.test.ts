// Motor circuits by NFPA 70 (NEC), Tables 430.250, 310.16, 310.15(B)(1), 310.15(C)(1), 250.122 and 240.6(A), each figure as
// printed there (from memory), and sums on paper with them.
import { describe, expect, it } from 'vitest';
import {
  emptyJob,
  solve,
  solveByBoth,
  type AnyValue,
  type Catalogue,
  type JobInput,
  type Solution,
} from '../../../src/index.ts';
import { nextStandardRating } from '../../../src/stages/protection/nec/nec-device.ts';
import { conduitFor } from '../../../src/stages/protection/nec/nec-conduit.ts';
import { compareSizes, conductorName, raisedWith } from '../../../src/stages/protection/nec/nec-conductor.ts';
import { voltageDrop } from '../../../src/stages/protection/nec/nec-voltage-drop.ts';
import { tableFullLoadCurrent } from '../../../src/stages/protection/nec/nec-current.ts';
import { leastBreaker } from '../../../src/stages/protection/breaker.ts';
import { demo } from '../../lib/demo.ts';
import { catalogue, plate } from '../../lib/round-prices.ts';
import { inWords } from '../../lib/words.ts';

const HP = 745.7;

describe('Table 430.250', () => {
  it.each([
    [1, 115, 8.4],
    [25, 200, 78.2],
    [25, 208, 74.8],
    [25, 230, 68],
    [25, 460, 34],
    [25, 575, 27],
    [100, 2300, 26],
    [200, 460, 240],
    [0.5, 460, 1.1],
    // Voltages a system has beside the rated one.
    [25, 220, 68],
    [25, 240, 68],
    [25, 440, 34],
    [25, 480, 34],
    [25, 550, 27],
    [25, 600, 27],
    [100, 2400, 26],
    // A size between two rows takes the next above; one per cent is rounding.
    [24, 460, 34],
    [25.2, 460, 34],
    [25.4, 460, 40],
  ])('%d hp at %d V: %d A', (hp, volts, amps) => {
    expect(tableFullLoadCurrent(hp * HP, volts)?.value).toBeCloseTo(amps, 9);
  });

  it.each([
    [25, 300],
    [25, 400],
    [25, 690],
    [25, 4160],
    [10, 2300],
    [900, 460],
  ])('has nothing for %d hp at %d V', (hp, volts) => {
    expect(tableFullLoadCurrent(hp * HP, volts)).toBeUndefined();
  });
});

describe('240.6(A), standard ratings', () => {
  it.each([
    [1, 15, 1],
    [3.1, 15, 6],
    [8, 15, 10],
    [15, 15, 15],
    [15.1, 20, 20],
    [102, 110, 110],
    [251, 300, 300],
    [600, 600, 600],
    [600.5, 700, 601],
    [1700, 2000, 2000],
  ])('%d A: breaker %d, fuse %d', (amps, breaker, fuse) => {
    expect([nextStandardRating(amps, false), nextStandardRating(amps, true)]).toEqual([breaker, fuse]);
  });
});

it('sizes are AWG below 250 and kcmil from there, and ordered as they carry', () => {
  expect([conductorName('12'), conductorName('1/0'), conductorName('250')]).toEqual(['12 AWG', '1/0 AWG', '250 kcmil']);
  const rising = ['14', '12', '10', '8', '6', '4', '3', '2', '1', '1/0', '2/0', '3/0', '4/0', '250', '300', '500'];
  for (const [at, size] of rising.entries()) {
    for (const [other, smaller] of rising.entries())
      expect(Math.sign(compareSizes(size, smaller)), `${size} ${smaller}`).toBe(Math.sign(at - other));
  }
});

const run = (more: JobInput, from: Catalogue, by = solve): Solution =>
  by(
    emptyJob({
      situation: { kind: 'starter' },
      load: { way: 'torque', torque: '60 lb·ft', speed: '1770 rpm' },
      starting: { method: 'direct', speedControl: 'no' },
      ...more,
      nameplate: { ...plate, designLetter: 'B', ...more.nameplate },
      supply: { voltage: '480 V', frequency: '60', ...more.supply },
      place: { hazardous: 'no', ...more.place },
    }),
    from,
  );
const value = (solution: Solution, name: string): AnyValue | undefined => solution.values[`protection.${name}`];
const wires = (more: JobInput): unknown[] => {
  const solution = run(more, catalogue);
  return ['conductorSize', 'conductorAmpacity', 'groundingConductor'].map((name) => value(solution, name)?.value);
};

describe('wires of 25 hp at 460 V, 34 A: 42.5 A', () => {
  it.each([
    ['copper at 75 °C: 8 AWG carries 50', {}, ['8 AWG copper', 50, '8 AWG']],
    ['copper at 60 °C: 6 AWG carries 55, 8 AWG 40', { terminals: '60' }, ['6 AWG copper', 55, '8 AWG']],
    ['aluminium at 75 °C: 6 AWG carries 50, 8 AWG 40', { conductor: 'aluminium' }, ['6 AWG aluminium', 50, '6 AWG']],
    [
      'aluminium at 60 °C: 4 AWG carries 55, 6 AWG 40',
      { conductor: 'aluminium', terminals: '60' },
      ['4 AWG aluminium', 55, '6 AWG'],
    ],
    [
      'six wires, 90 °C insulation: 8 AWG 55 · 0.8 = 44 A',
      { conductors: '6', insulation: '90' },
      ['8 AWG copper', 44, '8 AWG'],
    ],
    [
      'seven wires: 0.7; 8 AWG has 38.5, 6 AWG 75 · 0.7 = 52.5',
      { conductors: '7', insulation: '90' },
      ['6 AWG copper', 52.5, '8 AWG'],
    ],
    ['three wires are the table itself', { conductors: '3', insulation: '90' }, ['8 AWG copper', 50, '8 AWG']],
    [
      'at 50 °C 90 °C insulation keeps 0.82: 8 AWG 45.1',
      { ambient: '50 °C', insulation: '90' },
      ['8 AWG copper', 45.1, '8 AWG'],
    ],
    [
      'at 50 °C 75 °C insulation keeps 0.75: 8 AWG 37.5, 6 AWG 48.75',
      { ambient: '50 °C' },
      ['6 AWG copper', 48.75, '8 AWG'],
    ],
  ] as const)('%s', (_, protection, expected) => {
    const [size, carries, ground] = wires({ protection: protection });
    expect(size).toBe(expected[0]);
    expect(carries).toBeCloseTo(expected[1], 6);
    expect(ground).toBe(expected[2]);
  });

  it('small motors still get 14 AWG (310.3), also where their letter stands between spaces', () => {
    const half = { power: '0.5 hp', currents: '1.1', designLetter: ' b ' };
    expect(wires({ nameplate: half, load: { way: 'torque', torque: '1.2 lb·ft', speed: '1750' } })[0]).toBe(
      '14 AWG copper',
    );
  });

  it('without a letter terminals are good for 60 °C up to 100 A and 75 °C above', () => {
    expect(wires({ nameplate: { designLetter: '' } })[0]).toBe('6 AWG copper');
    expect(wires({ nameplate: { designLetter: 'A' } })[0]).toBe('6 AWG copper');
    expect(wires({ nameplate: { designLetter: 'C' } })[0]).toBe('8 AWG copper');
  });
});

describe('the device and its breaker', () => {
  const [first] = catalogue.parts;
  if (!first) throw new Error('the catalogue of round prices has no parts');
  const only = (amps: number, voltageMax = 600): Catalogue => ({
    ...catalogue,
    parts: [
      ...catalogue.parts,
      { ...first, kind: 'breaker', id: 'Q', name: `breaker ${amps}`, currentMin: amps, currentMax: amps, voltageMax },
    ],
  });
  const breaker = (amps: number, more: JobInput) => value(run(more, only(amps)), 'branchDevice')?.value;

  it.each([
    ['inverse time breaker', 90],
    ['dual element fuse', 60],
    ['nontime delay fuse', 110],
  ] as const)('%s of 34 A: at most %d A (430.52)', (device, most) => {
    expect(value(run({ protection: { device } }, catalogue), 'branchDeviceMax')?.value).toBe(most);
  });

  it('carries the motor with 15 % in hand and lets the first half-wave of the start pass: κ I / 8', () => {
    expect(leastBreaker(100, 0)).toBeCloseTo(115, 9);
    // R/X = 0.3 / 0.954 = 0.3145 at power factor 0.3: κ = 1.02 + 0.98 e^(−0.9435) = 1.4014.
    expect(leastBreaker(10, 400)).toBeCloseTo((1.4014 * 400) / 8, 2);
  });

  it('code letter L, 9 to 10 kVA/hp, starts with up to 314 A: 55 A at least direct; a soft start lets 50 A do', () => {
    const hard = { codeLetter: 'L' };
    expect(breaker(50, { nameplate: hard })).toBeUndefined();
    expect(breaker(60, { nameplate: hard })).toBe('breaker 60');
    expect(breaker(50, { nameplate: hard, starting: { method: 'soft starter', speedControl: 'no' } })).toBe(
      'breaker 50',
    );
  });

  it('is for the system’s voltage, and never above what the code allows', () => {
    expect(breaker(90, {})).toBe('breaker 90');
    expect(breaker(100, {})).toBeUndefined();
    expect(value(run({}, only(60, 480)), 'branchDevice')?.value).toBe('breaker 60');
    expect(value(run({}, only(60, 240)), 'branchDevice')).toBeUndefined();
  });
});

describe('where the service factor of an overload comes from', () => {
  const source = (more: JobInput['nameplate'], kind: 'starter' | 'new' = 'starter') => {
    const solution = run({ nameplate: more ?? {}, situation: { kind } }, catalogue);
    return value(solution, 'overloadDial')?.working.inputs.find(({ symbol }) => symbol === 'SF');
  };

  it('the plate, or a one that is taken', () => {
    expect(source({ serviceFactor: '1.15' })).toMatchObject({ text: '1.15', origin: 'given' });
    expect(source({ serviceFactor: '' })).toMatchObject({ origin: 'estimated' });
  });

  it('the dial says why it goes down, and nothing where it does not', () => {
    const note = (serviceFactor: string, more: JobInput = {}) =>
      value(run({ nameplate: { serviceFactor }, ...more }, catalogue), 'overloadDial')?.working.note ?? '';
    expect(note('1.0')).toContain('115 : 125');
    expect(note('1.15')).not.toContain('115 : 125');
    expect(note('1.15', { starting: { method: 'star-delta', leads: '12' } })).toContain('0.577');
    expect(note('1.15')).not.toContain('0.577');
  });

  it('125 % with a service factor of 1.15, 115 % without (430.32(A)(1)); an IEC relay is set to the current itself', () => {
    const trip = (serviceFactor: string, school: 'NEMA' | 'IEC' = 'NEMA') =>
      Number(value(run({ school, nameplate: { serviceFactor } }, catalogue), 'overloadCurrent')?.value);
    const amps = Number(plate.currents);
    expect(trip('1.15') / amps).toBeCloseTo(1.25, 9);
    expect(trip('1.1') / amps).toBeCloseTo(1.15, 9);
    expect(trip('1.15', 'IEC') / amps).toBeCloseTo(1, 9);
    expect(value(run({ school: 'IEC' }, catalogue), 'overloadDial')?.working.source).toContain('IEC 60947-4-1');
    expect(value(run({}, catalogue), 'overloadDial')?.working.source).toContain('common practice');
  });
});

describe('the run to the motor', () => {
  const feet = 0.3048;
  it('34 A over 200 ft of 8 AWG in steel at 0.85 lose 8.21 V, 204 A at 0.3 4.36 % of 480 V (Chapter 9 Table 9)', () => {
    const wire = { size: '8', metal: 'cu', length: 200 * feet } as const;
    expect(voltageDrop(wire, 34, 0.85)).toBeCloseTo(8.21, 2);
    expect((voltageDrop(wire, 34, 0.85) ?? 0) / 480).toBeCloseTo(0.0171, 4);
    expect((voltageDrop(wire, 204, 0.3) ?? 0) / 480).toBeCloseTo(0.0436, 4);
    expect(voltageDrop({ ...wire, size: '2000' }, 34, 0.85)).toBeUndefined();
  });
  it('three 8 AWG and one 10 AWG THHN fill 0.1309 in²: 3/4 in EMT', () => {
    const conduit = conduitFor('8', '10');
    expect(conduit?.value).toBe('3/4 in EMT');
    expect(conduit?.working.note).toContain('0.1309 in²');
    // 0.824/0.216 = 3.8 does not jam; 1/2 in over 10 AWG, 0.622/0.164 = 3.8; 3/4 in over 6 AWG, 0.824/0.254 = 3.24; 1 1/4 in over 1 AWG 3.1 does.
    expect(conduit?.working.note).not.toContain('wedge');
    expect(conduitFor('1', '6')?.working.note).toContain('wedge');
    expect(conduitFor('14', '14')?.value).toBe('1/2 in EMT');
    // Three 500 kcmil in 3 in: 3.356/0.945 = 3.6 does not, nor does what lies below 2.8.
    for (const [phase, ground] of [
      ['500', '2'],
      ['4/0', '4'],
      ['2', '8'],
    ] as const) {
      const made = conduitFor(phase, ground);
      const ratio = Number(/is ([\d.]+):/.exec(inWords(made?.working.note))?.[1] ?? Number.NaN);
      if (!Number.isNaN(ratio)) expect(ratio).toBeGreaterThanOrEqual(2.8);
    }
    expect(conduitFor('3000', '10')).toBeUndefined();
    expect(conduitFor('10', '3000')).toBeUndefined();
  });
  it('a grounding wire is raised by the areas of the phase wires (250.122(B))', () => {
    // 8 AWG of 16 510 cmil to 6 AWG of 26 240: 10 AWG of 10 380 becomes 16 500, which 8 AWG has.
    expect(raisedWith('10', '8', '6')).toBe('8');
    expect(raisedWith('10', '8', '8')).toBe('10');
    expect(raisedWith('10', '8', '4')).toBe('6');
  });
  it('in a job: larger for its length, earth with it, and the disconnect by 115 %', () => {
    const of = (feederLength: string, name: string) => value(run({ supply: { feederLength } }, catalogue), name);
    expect(of('200 ft', 'conductorSize')?.value).toBe('8 AWG copper');
    expect(of('200 ft', 'conductorLimit')?.value).toBe('its current');
    expect(of('200 ft', 'runningDrop')?.value).toBeLessThanOrEqual(0.03);
    // Twice as long again 8 AWG would lose 3.4 %.
    expect(of('400 ft', 'conductorSize')?.value).toBe('6 AWG copper');
    expect(of('400 ft', 'conductorLimit')?.value).toBe('the drop while it runs');
    expect(of('400 ft', 'groundingConductor')?.working.note).toContain('Raised');
    expect(of('200 ft', 'groundingConductor')?.working.note).toBe('Never larger than the circuit conductors.');
    expect(of('400 ft', 'startingDrop')?.value).toBeGreaterThan(of('400 ft', 'runningDrop')?.value as number);
    expect(of('200 ft', 'disconnectCurrent')?.value).toBeCloseTo(1.15 * 34, 9);
    expect(of('200 ft', 'conduit')?.value).toMatch(/in EMT$/);
    expect(of('', 'runningDrop')).toBeUndefined();
  });
  it('draws the run with the size that terminals, heat and length ask for', () => {
    const drawn = (supply: JobInput['supply'], protection: JobInput['protection'] = {}) =>
      run({ supply, protection }, catalogue).details.runs[0];
    const sizes = (each: ReturnType<typeof drawn>) => each?.limits.map(({ at, size, decides }) => [at, size, decides]);
    // 42.5 A: 8 AWG at 75 °C; over 200 ft 10 AWG loses √3 · 34 (1.2 · 0.85 + 0.063 · 0.53) 0.2 = 12.4 V, 2.6 %, over 400 ft 8 AWG 3.4 %.
    expect(sizes(drawn({ feederLength: '200 ft' }))).toEqual([
      ['start', '8 AWG', true],
      ['way', '8 AWG', true],
      ['end', '10 AWG', false],
    ]);
    expect(sizes(drawn({ feederLength: '400 ft' }))).toEqual([
      ['start', '8 AWG', false],
      ['way', '8 AWG', false],
      ['end', '6 AWG', true],
    ]);
    // At 45 °C beside three more wires 0.82 · 0.8 of 65 A of 6 AWG are 42.6 A; 60 °C terminals bear 40 A in 8 AWG, 55 in 6.
    const hot = drawn({ feederLength: '' }, { ambient: '45 °C', conductors: '6', terminals: '60' });
    expect(sizes(hot)).toEqual([
      ['start', '6 AWG', true],
      ['way', '6 AWG', true],
    ]);
    expect(hot).toMatchObject({ from: 'panel', wire: '6 AWG copper', length: undefined });
    expect(hot?.limits[0]?.asks).toBe('terminals good for 60 °C');
    expect(hot?.lies).toContain('insulation');
  });
});

describe('the other school beside it', () => {
  const job = emptyJob({
    situation: { kind: 'starter' },
    load: { way: 'torque', torque: '60 lb·ft', speed: '1770 rpm' },
    starting: { method: 'direct', speedControl: 'no' },
    nameplate: { ...plate, designLetter: 'B' },
    supply: { voltage: '480 V', frequency: '60', feederLength: '200 ft' },
    place: { hazardous: 'no' },
  });
  it('answers under the same names, as it would in a job of its own', () => {
    const nec = solveByBoth(job, catalogue).values;
    const iec = solveByBoth({ ...job, school: 'IEC' }, catalogue).values;
    for (const name of [
      'wireCurrent',
      'overloadCeiling',
      'conductorMinAmpacity',
      'conductorSize',
      'branchDevice',
      'disconnectCurrent',
    ]) {
      expect(nec[`other.${name}`]?.value, name).toBe(iec[`protection.${name}`]?.value);
      expect(iec[`other.${name}`]?.value, name).toBe(nec[`protection.${name}`]?.value);
    }
    expect(nec['other.wireCurrent']?.value).toBe(30);
    expect(nec['other.loopImpedance']?.value).toBeGreaterThan(0);
    expect(solve(job, catalogue).values['other.wireCurrent']).toBeUndefined();
  });
  it('where the table has no current for the voltage the nameplate’s stands in, said so', () => {
    const iec = solveByBoth(
      emptyJob({
        school: 'IEC',
        situation: { kind: 'starter' },
        nameplate: { power: '15 kW', speed: '1470', voltages: '400', currents: '28', frequency: '50' },
        load: { way: 'torque', torque: '80 N·m', speed: '1470' },
        starting: { method: 'direct', speedControl: 'no' },
        supply: { voltage: '400 V' },
        place: { hazardous: 'no' },
      }),
      catalogue,
    );
    expect(iec.values['other.wireCurrent']?.value).toBe(28);
    expect(iec.values['other.wireCurrent']?.working.note).toContain('no current for this voltage');
    expect(iec.values['other.conductorMinAmpacity']?.value).toBeCloseTo(35, 9);
    expect(iec.details.bothSchools.find(({ name }) => name === 'wireCurrent')?.why).toContain(
      'no current for this voltage',
    );
    expect(iec.findings.map(({ code }) => code)).not.toContain('protection.no-table-current');
  });
  it('a breaker is drawn where it opens at once, eight to twelve times its rating; a fuse is not', () => {
    const drawn = (device: 'inverse time breaker' | 'dual element fuse') =>
      run({ protection: { device } }, catalogue).details.shortCircuitDevice;
    expect(drawn('inverse time breaker')?.name).toBe('breaker 90 A');
    expect(drawn('inverse time breaker')?.carries[0]).toEqual([720, 0.2]);
    expect(drawn('inverse time breaker')?.operatingCurrent[1]).toEqual([1080, 0.01]);
    expect(drawn('inverse time breaker')?.firstHalfCyclePeak).toBeGreaterThan(200);
    expect(drawn('dual element fuse')).toBeUndefined();
  });
  it('a contactor by NEMA ICS 2: 25 hp of 460 V are size 2, jogged size 3; 10 hp of 230 V, 28 A, size 2 by its current', () => {
    const size = (more: JobInput) => run(more, catalogue).values['starter.nemaSize']?.value;
    expect(size({})).toBe('NEMA 2');
    expect(size({ starting: { method: 'direct', inching: 'yes' } })).toBe('NEMA 3');
    const low = { nameplate: { power: '10 hp', voltages: '230', currents: '28' }, supply: { voltage: '240 V' } };
    expect(size(low)).toBe('NEMA 2');
    expect(size({ ...low, nameplate: { ...low.nameplate, currents: '26' } })).toBe('NEMA 2');
    expect(size({ nameplate: { power: '7.5 hp', voltages: '230', currents: '22' }, supply: low.supply })).toBe(
      'NEMA 1',
    );
    expect(size({ nameplate: { power: '7.5 hp', voltages: '230', currents: '28' }, supply: low.supply })).toBe(
      'NEMA 2',
    );
    expect(size({ school: 'IEC' })).toBeUndefined();
    expect(size({ starting: { method: 'star-delta' } })).toBeUndefined();
  });
  it('the short circuit at the motor: 1000 kVA of 5 % behind 200 ft of 8 AWG', () => {
    const supply = { feederLength: '200 ft', sourcePower: '1000 kVA', sourceImpedance: '5 %' };
    const solved = run({ supply }, catalogue, solveByBoth);
    // 0.78 and 0.065 Ω per 1000 ft: 0.156 and 0.013 Ω; the source has 11.5 mΩ.
    const [least, most] = [480 / Math.sqrt(3) / (0.1565 + 0.0115), 480 / Math.sqrt(3) / 0.1565];
    const behind = Number(solved.values['protection.faultAtMotor']?.value);
    expect(behind).toBeGreaterThan(least);
    expect(behind).toBeLessThan(most);
    expect(Number(solved.values['other.faultAtMotor']?.value)).toBeGreaterThan(0);
    expect(value(run({}, catalogue), 'faultAtMotor')).toBeUndefined();
    const driven = run({ supply, starting: { method: 'drive', speedControl: 'yes' } }, demo, solveByBoth);
    expect(value(driven, 'faultAtMotor')).toBeUndefined();
    const arrives = Number(value(driven, 'faultAtDrive')?.value);
    expect(arrives).toBeGreaterThan(500);
    expect(arrives).toBeLessThan(480 / Math.sqrt(3) / 0.0115);
    expect(Number(driven.values['other.faultAtDrive']?.value)).toBeGreaterThan(500);
    // What feeds the drive is as long as it is typed.
    expect(driven.details.runs[0]?.length).toMatch(/200\sft/);
  });
  it('close above a roof 33 °C are added (310.15(B)(2)): 42.5 A at 63 °C are 90.4 of 75 °C wire, 3 AWG, or 65.4 of 90 °C, 6 AWG', () => {
    const onRoof = (insulation: '75' | '90', rooftop = true) =>
      value(run({ protection: { rooftop, insulation } }, catalogue), 'conductorSize');
    expect(onRoof('75')?.value).toBe('3 AWG copper');
    expect(onRoof('90')?.value).toBe('6 AWG copper');
    expect(onRoof('75')?.working.note).toContain('on a roof');
    expect(onRoof('75', false)?.value).toBe('8 AWG copper');
  });
  it('a lead behind a drive lies as its feed unless it is told otherwise; the feed does not change with it', () => {
    const runs = (protection: JobInput['protection']) =>
      run({ starting: { method: 'drive' }, protection }, demo).details.runs.map(({ wire }) => wire);
    const [feed, lead] = runs({});
    expect(feed).toMatch(/AWG/);
    for (const protection of [{ leadAmbient: '60 °C' }, { leadConductors: '12' }, { leadRooftop: true }]) {
      expect(runs(protection)[0]).toBe(feed);
      expect(runs(protection)[1]).not.toBe(lead);
    }
    for (const protection of [{ ambient: '60 °C' }, { conductors: '12' }]) expect(runs(protection)[1]).not.toBe(lead);
    expect(runs({ rooftop: true })[1]).toBe(lead);
    expect(runs({ ambient: '60 °C', leadAmbient: '30 °C' })[1]).toBe(lead);
  });
  it('a device as typed is held against the code and the start: 34 A allow 90 (250 %), and 240.6(A) has its sizes', () => {
    const typed = (rating: string, device: 'inverse time breaker' | 'dual element fuse' = 'inverse time breaker') =>
      run({ protection: { device, rating } }, catalogue);
    const codes = (rating: string) => typed(rating).findings.map(({ code }) => code);
    expect(value(typed('75 A'), 'deviceRating')?.value).toBe(80);
    expect(value(typed('75 A'), 'branchDeviceMax')?.value).toBe(90);
    expect(typed('75 A').details.shortCircuitDevice?.rated?.rating).toBe(80);
    expect(typed('75 A').details.shortCircuitDevice?.carries[0]).toEqual([640, 0.2]);
    expect(codes('90 A')).not.toContain('protection.device-large');
    expect(codes('100 A')).toContain('protection.device-large');
    expect(typed('100 A').findings.find(({ code }) => code === 'protection.device-large')?.mends?.[0]?.set).toEqual({
      'protection.rating': '90 A',
    });
    expect(codes('35 A')).toContain('protection.device-small');
    // A fuse carries at least the motor; its own curve decides on the start.
    const fused = (rating: string) => typed(rating, 'dual element fuse').findings.map(({ code }) => code);
    expect(fused('25 A')).toContain('protection.device-small');
    expect(fused('60 A')).not.toContain('protection.device-small');
    // By the rating that is there: 10 AWG to 60 A, 8 AWG to 100.
    expect(value(typed('60 A'), 'groundingConductor')?.value).toBe('10 AWG');
    expect(value(typed('90 A'), 'groundingConductor')?.value).toBe('8 AWG');
  });
  it('says for which terminals, air and poles a wire holds', () => {
    const note = (protection: JobInput['protection']) =>
      value(run({ protection }, catalogue), 'conductorSize')?.working.note ?? '';
    expect(note({ terminals: '60' })).toContain('60 °C terminals as chosen');
    expect(note({})).not.toContain('as chosen');
    const basis = run({ protection: { ambient: '50 °C' } }, catalogue).findings.find(
      ({ code }) => code === 'protection.conductor-basis',
    );
    expect(basis?.message.replaceAll('\u00a0', ' ')).toContain('50 °C');
    // Six poles take the larger of both: 34 A by the table, 30 on the plate.
    expect(value(run({ nameplate: { speed: '1175' } }, catalogue), 'wireCurrent')?.value).toBe(34);
    expect(value(run({ nameplate: { speed: '1175', currents: '36' } }, catalogue), 'wireCurrent')?.value).toBe(36);
  });
  it('row by row with why', () => {
    const rows = solve(job, catalogue).details.bothSchools;
    const row = (name: string) => rows.find((each) => each.name === name);
    expect([row('wireCurrent')?.own, row('wireCurrent')?.other]).toEqual(['34.0\u00a0A', '30.0\u00a0A']);
    expect(row('conduit')?.other).toBeUndefined();
    expect(row('conductorSize')?.question).toBe('Wire');
    expect(rows.map(({ name }) => name)).toEqual([
      'wireCurrent',
      'overloadDial',
      'overloadCeiling',
      'conductorMinAmpacity',
      'conductorSize',
      'conductorAmpacity',
      'conductorLimit',
      'runningDrop',
      'startingDrop',
      'branchDeviceMax',
      'branchDevice',
      'disconnectCurrent',
      'groundingConductor',
      'conduit',
      'loopImpedance',
      'loopImpedanceMax',
    ]);
    expect(row('loopImpedance')?.own).toBeUndefined();
    for (const { why } of rows) expect(why).not.toBe('');
  });
});

describe('in one line', () => {
  const line = (more: JobInput) => run(more, catalogue).stages.protection.summary.replaceAll('\u00a0', ' ');

  it('device and relay under the NEC, fuses, cable and relay under IEC', () => {
    // 34 A by the table, 90 A at most; 30 A on the plate, 115 : 125 of it without a service factor.
    expect(line({})).toBe('90.0 A device · Relay 27.6 A');
    expect(line({ nameplate: { serviceFactor: '1.15' } })).toBe('90.0 A device · Relay 30.0 A');
    expect(line({ school: 'IEC' })).toBe('Fuses gG 100 A · 6 mm² copper · Relay 30.0 A');
  });

  it('nothing, and what is missing, without a current on the plate; a new machine is not asked for one', () => {
    const bare = (kind: 'starter' | 'new') =>
      run({ situation: { kind }, nameplate: { currents: '', power: '', speed: '' } }, { ...catalogue, motors: [] });
    expect(bare('starter').stages.protection.summary).toBe('');
    expect(bare('starter').missing.map(({ field }) => field)).toContain('nameplate.currents');
    expect(bare('new').missing.map(({ field }) => field)).not.toContain('nameplate.currents');
  });
});

describe('which current the code goes by (430.6)', () => {
  const wires = (nameplate: object) => {
    const found = value(
      run({ nameplate: { power: '20 hp', voltages: '460', ...nameplate } }, catalogue),
      'wireCurrent',
    );
    return [found?.value, found?.working.note?.includes('low speed') ?? false] as const;
  };
  it('20 hp at 460 V: 27 A by the table; of six poles the larger of table and nameplate, of eight the nameplate', () => {
    expect(wires({ speed: '1770', currents: '30' })).toEqual([27, false]);
    expect(wires({ speed: '1180', currents: '30' })).toEqual([30, true]);
    expect(wires({ speed: '1180', currents: '25' })).toEqual([27, false]);
    expect(wires({ speed: '1180', currents: '27' })).toEqual([27, false]);
    expect(wires({ speed: '885', currents: '25' })).toEqual([25, true]);
  });
  it('the dial by the service factor: as it is, or 0.92 of it, and where that stands', () => {
    const dial = (serviceFactor: string) =>
      value(run({ nameplate: { power: '25 hp', currents: '30', serviceFactor } }, catalogue), 'overloadDial')?.working;
    expect(dial('1.15')?.formula).toBe('I_r = I_n');
    expect(dial('1.0')?.formula).toBe('I_r = 0.920\\,I_n');
  });
  it('a relay set to 0.92 is the warmer for it while the motor runs: the square of load over dial, and never above its setting', () => {
    const set = (serviceFactor: string, torque: string) => {
      const solution = run(
        {
          nameplate: { power: '25 hp', currents: '30', serviceFactor },
          load: { way: 'torque', torque, speed: '1770 rpm' },
        },
        catalogue,
      );
      const load = Number(solution.values['load.motorPower']?.value) / (25 * HP);
      return { load, heat: solution.details.startSetting?.loadedHeat ?? NaN };
    };
    const [full, less] = [set('1.15', '40 lb·ft'), set('1.0', '40 lb·ft')];
    expect(full.load).toBeCloseTo(0.54, 2);
    expect(full.heat).toBeCloseTo(full.load ** 2, 4);
    expect(less.heat).toBeCloseTo((less.load / 0.92) ** 2, 4);
    expect(set('1.0', '74 lb·ft').heat).toBe(1);
  });
  it('a breaker before a drive carries 1.15 times what the drive draws', () => {
    const driven = run({ starting: { method: 'drive', speedControl: 'yes' } }, demo);
    const input = driven.details.chosenDrive?.item.inputCurrent ?? NaN;
    const least =
      value(driven, 'branchDevice')?.working.inputs.find(({ symbol }) => symbol === 'I_{least}')?.text ?? '';
    expect(Number.parseFloat(least) / (1.15 * input)).toBeCloseTo(1, 2);
  });
});
