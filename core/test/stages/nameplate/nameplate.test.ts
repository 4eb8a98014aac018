import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { decodeFrame } from '../../../src/stages/nameplate/frame.ts';
import { oneDigitAway } from '../../../src/stages/nameplate/misread-digit.ts';
import { readPlate } from '../../../src/stages/nameplate/read/read-plate.ts';
import plates from '../../cases/plates.json' with { type: 'json' };

/** A plate and what was worked out from it by hand; `why` says how. */
interface PlateCase {
  readonly text: string;
  readonly why: string;
  readonly volts?: string;
  readonly hz?: string;
  readonly values: Readonly<Record<string, number>>;
  /** Parts of the words that must come out. */
  readonly texts?: Readonly<Record<string, string>>;
  readonly codes?: readonly string[];
}

const solved = (nameplate: JobInput['nameplate'], more: JobInput = {}): Solution =>
  solve(emptyJob({ situation: { kind: 'starter' }, nameplate, ...more }), emptyCatalogue);
const codes = (solution: Solution): string[] => solution.findings.map((finding) => finding.code);
const finding = (solution: Solution, code: string) => solution.findings.find((each) => each.code === code);

describe('plates as text, with hand-worked answers', () => {
  it.each(plates as readonly PlateCase[])('$text', ({ text, volts, hz, values, texts = {}, codes: expected = [] }) => {
    const plate = readPlate(text);
    const supply = { ...(volts ? { voltage: volts } : {}), ...(hz ? { frequency: hz } : {}) };
    const solution = solved(plate.fields, { school: plate.school, supply });
    for (const [id, value] of Object.entries(values))
      expect(Number(solution.values[id]?.value) / value, id).toBeCloseTo(1, 2.9);
    for (const [id, part] of Object.entries(texts)) expect(solution.values[id]?.text, id).toContain(part);
    expect(codes(solution)).toEqual(expect.arrayContaining([...expected]));
    expect(plate.ignored).toEqual([]);
    expect(plate.fields.asRead).toBe(text);
  });

  it('hands back what it does not know', () => {
    expect(readPlate('HP 15 RPM 1770 SIROCCO V 460').ignored).toEqual(['SIROCCO']);
  });

  it('never throws and never loses the text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (text) => {
        expect(readPlate(text).fields.asRead).toBe(text);
      }),
      { numRuns: 1000 },
    );
  });
});

const good: JobInput['nameplate'] = {
  power: '25 hp',
  voltages: '460',
  currents: '31 A',
  frequency: '60',
  speed: '1770',
  efficiency: '91.7',
  powerFactor: '0.82',
};

describe('the plate against itself', () => {
  it('is content with a plate that agrees', () => {
    expect(codes(solved(good))).not.toContain('nameplate.misread');
    expect(codes(solved(good))).not.toContain('nameplate.disagrees');
  });

  it('names the digit that would mend it: 68 read for 86 or 82', () => {
    const found = finding(solved({ ...good, powerFactor: '0.68' }), 'nameplate.misread');
    expect(found?.message).toContain('17 % below');
    expect(found?.message).toMatch(/Power factor 68 may be a misread 8\d|Current 31 may be a misread 3\d/);
  });

  it('finds every neighbour by one digit or one swap', () => {
    expect(oneDigitAway('68')).toContain('86');
    expect(oneDigitAway('68')).toHaveLength(9 + 9 + 1 - 1); // 08 is no reading
  });

  it('refuses a speed no field turns at', () => {
    expect(finding(solved({ ...good, speed: '3700' }), 'nameplate.speed-impossible')?.severity).toBe('stop');
  });

  it('estimates slip where the plate prints the synchronous speed, and says so', () => {
    const solution = solved({ ...good, speed: '1800' });
    expect(solution.values['nameplate.slip']?.origin).toBe('estimated');
    expect(codes(solution)).toContain('nameplate.synchronous-speed');
  });

  it('does not guess a current where voltages and currents do not pair', () => {
    const solution = solved({ ...good, voltages: '230/460', currents: '62-61/31/30', efficiency: '', powerFactor: '' });
    expect(solution.values['nameplate.ratedCurrent']).toBeUndefined();
    expect(codes(solution)).toContain('nameplate.pairing');
  });

  it('knows letters that are never used', () => {
    expect(codes(solved({ ...good, codeLetter: 'O' }))).toContain('nameplate.code-letter');
  });
});

describe('the winding against the supply', () => {
  it('refuses 230 V on a 208 V bus with its 82 % torque', () => {
    const solution = solved(
      { ...good, voltages: '230/460', currents: '62/31' },
      { supply: { voltage: '208 V', frequency: '60 Hz' } },
    );
    const found = finding(solution, 'supply.voltage');
    expect(found?.severity).toBe('stop');
    expect(found?.message).toContain('82 %');
  });

  it('accepts it where the plate says 208', () => {
    const solution = solved(
      { ...good, voltages: '208-230/460', currents: '68-62/31' },
      { supply: { voltage: '208 V', frequency: '60 Hz' } },
    );
    expect(codes(solution)).not.toContain('supply.voltage');
    expect(solution.values['nameplate.ratedCurrent']?.value).toBe(68);
  });

  it('refuses 60 Hz data on 50 Hz where the flux would not stay: 415/50 is 8 % above 460/60', () => {
    expect(codes(solved(good, { supply: { voltage: '415 V', frequency: '50 Hz' } }))).toContain('supply.frequency');
  });
});

describe('frames', () => {
  it.each([
    ['254T', 'NEMA', 0.15875, 'T'],
    ['143/5T', 'NEMA', 0.0889, 'T'],
    ['56C', 'NEMA', 0.0889, 'C'],
    ['444 TS', 'NEMA', 0.2794, 'TS'],
    ['132M', 'IEC', 0.132, 'M'],
    ['IEC 160L', 'IEC', 0.16, 'L'],
    ['FR 286TC', 'NEMA', 0.1778, 'TC'],
  ] as const)('%s', (text, school, height, suffix) => {
    const frame = decodeFrame(text, school);
    expect(frame?.shaftHeight.value).toBeCloseTo(height, 9);
    expect(frame?.suffix).toBe(suffix);
    expect(frame?.family).toBe(school);
  });

  it('a double-drilled base has both frames; nonsense has none', () => {
    expect(decodeFrame('143/5T', 'NEMA')?.numbers).toEqual(['143', '145']);
    expect(decodeFrame('banana', 'NEMA')).toBeUndefined();
    expect(decodeFrame('99999T', 'NEMA')).toBeUndefined();
  });
});
