/** Codes of the plate, the recovery of one that cannot be read, and causes of early failures. */
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { decodeBearing, thickenerOf } from '../../../src/stages/nameplate/bearing.ts';
import { connectionAt } from '../../../src/stages/nameplate/connection.ts';
import { leastClass } from '../../../src/stages/nameplate/class-in-year.ts';
import { decodeDuty, decodeEnclosure, isExplosionProtected } from '../../../src/stages/nameplate/enclosure.ts';
import { decodeFrame } from '../../../src/stages/nameplate/frame.ts';
import { inverterStatement } from '../../../src/stages/nameplate/inverter.ts';
import { misfits, outlineOf, type Outline } from '../../../src/stages/nameplate/outline.ts';
import { readPlate } from '../../../src/stages/nameplate/read/read-plate.ts';
import { iecDimensions, nemaDimensions } from '../../../src/kernel/tables/index.ts';

const solved = (job: JobInput): Solution => solve(emptyJob(job), emptyCatalogue);
const codes = (solution: Solution): string[] => solution.findings.map((finding) => finding.code);
const message = (solution: Solution, code: string): string | undefined =>
  solution.findings.find((each) => each.code === code)?.message;

describe('bearings: ISO 15, bore = last two figures × 5 mm', () => {
  it.each([
    ['6309-2Z/C3', 45, 'deep-groove ball', 'two shields', 'C3'],
    ['6206 2RS', 30, 'deep-groove ball', 'two seals', 'normal'],
    ['6203Z', 17, 'deep-groove ball', 'one shield', 'normal'],
    ['6200', 10, 'deep-groove ball', 'open', 'normal'],
    ['NU 313 ECP', 65, 'cylindrical roller', 'open', 'normal'],
    ['7312B', 60, 'angular-contact ball', 'open', 'normal'],
    ['22220', 100, 'spherical roller', 'open', 'normal'],
  ])('%s', (text, bore, kind, seals, clearance) => {
    const bearing = decodeBearing(text);
    expect(bearing?.bore).toBeCloseTo(bore / 1000, 9);
    expect([bearing?.kind, bearing?.seals, bearing?.clearance]).toEqual([kind, seals, clearance]);
  });
  it('reads no bearing where there is none', () => {
    for (const text of ['banana', '63', '99', '', '6399']) expect(decodeBearing(text), text).toBeUndefined();
    expect(thickenerOf('Polyurea EM')).toBe('polyurea');
    expect(thickenerOf('something')).toBeUndefined();
  });
});

describe('enclosure, cooling and duty codes', () => {
  it('goes both ways: TEFC is about IP54 or IP55, IC411; IC418 is like TEAO', () => {
    expect(decodeEnclosure('TEFC')[0]?.also).toContain('IP54 or IP55, IC411');
    expect(decodeEnclosure('IC 418')[0]?.also).toContain('TEAO');
    expect(decodeEnclosure('IP55 IC411').map((fact) => fact.meaning)).toEqual([
      'dust does no harm; water jets',
      'closed, cooled over the frame; fan on the shaft',
    ]);
    expect(decodeEnclosure('IP23')[0]?.also).toBe('like ODP');
  });
  it('knows explosion protection in any wording, and only that', () => {
    for (const text of ['TEXP', 'Ex d IIB T4', 'X-PROOF CL I', 'Class II Div 1', 'explosion proof'])
      expect(isExplosionProtected(text), text).toBe(true);
    for (const text of ['TEFC', 'IP55', 'ODP', 'extended shaft']) expect(isExplosionProtected(text), text).toBe(false);
  });
  it('stops and picks nothing where the plate is explosion-protected', () => {
    const solution = solved({
      situation: { kind: 'replace' },
      nameplate: readPlate('HP 15 RPM 1770 V 460 A 19 HZ 60 FR 254T TEXP').fields,
      supply: { voltage: '480 V', frequency: '60 Hz' },
    });
    expect(solution.findings[0]).toMatchObject({ code: 'nameplate.explosion-protected', severity: 'stop' });
    expect(solution.details.requirement).toBeUndefined();
  });
  it('lets only S1 and CONT be continuous', () => {
    expect(decodeDuty('S1')?.continuous).toBe(true);
    expect(decodeDuty('CONT')?.continuous).toBe(true);
    expect(decodeDuty('S10')?.meaning).toContain('four distinct');
    for (const text of ['S2 30 min', 'S3 40%', '15 MIN', 'INT']) expect(decodeDuty(text)?.continuous, text).toBe(false);
    expect(decodeDuty('whatever')).toBeUndefined();
  });
});

describe('what the winding allows', () => {
  it('MG 1 31.4.4.2: 3.1 times rated, 1426 V at 460 V and 1782 V at 575 V; Part 30: 1000 V', () => {
    expect(inverterStatement('Inverter duty', 460, 2020, 2026).withstand).toEqual({ peak: 1426, part: 31 });
    expect(inverterStatement('MG 1 Part 31', 575, undefined, 2026).withstand?.peak).toBeCloseTo(1782.5, 6);
    expect(inverterStatement('10:1 CT', 460, 2020, 2026).withstand).toEqual({ peak: 1000, part: 30 });
  });
  it('does not trust silence', () => {
    expect(inverterStatement('', 460, 2004, 2026).verdict).toBe('not proven');
    expect(inverterStatement(undefined, 460, undefined, 2026).verdict).toBe('not proven');
    expect(inverterStatement('', 460, 2024, 2026).verdict).toBe('confirm from the data sheet');
  });
  it('star-delta starting needs six ends and a delta at the line voltage', () => {
    expect(connectionAt([400, 690], 400, 'Δ/Y', 6)?.starDelta).toBe('possible');
    expect(connectionAt([230, 400], 400, 'Δ/Y', 6)?.starDelta).toBe('not possible');
    expect(connectionAt([230, 460], 460, undefined, 9)?.starDelta).toBe('not possible');
    expect(connectionAt([230, 460], 460, undefined, 12)?.starDelta).toBe('possible');
    expect(connectionAt([230, 460], 230, undefined, 9)?.text).toContain('in parallel');
  });
  it('knows the least class of a year: none, then IE2 from 2011, IE3 for large from 2015 and small from 2017, IE4 from 2023', () => {
    const least = (year: number, kw: number) => leastClass(kw * 1000, year, 'IEC').least;
    expect([
      least(2009, 11),
      least(2012, 11),
      least(2016, 5.5),
      least(2016, 11),
      least(2018, 5.5),
      least(2026, 90),
    ]).toEqual(['no least class', 'IE2', 'IE2', 'IE3', 'IE3', 'IE4']);
    expect(leastClass(11_190, 2012, 'NEMA').least).toBe('premium');
  });
  it('a 460 V 60 Hz winding keeps its flux on 380 V 50 Hz, and is over-fluxed on 415 V', () => {
    const { values } = solved({
      situation: { kind: 'starter' },
      nameplate: readPlate('HP 30 RPM 1770 V 460 A 36 HZ 60').fields,
    });
    expect(values['nameplate.otherFrequency']?.text).toMatch(
      /at 50 Hz: 383.V, 25.hp.*safe on 380, 400 V; over-fluxed on 415/,
    );
  });
});

describe('mounting', () => {
  const outline = (frame: string, school: 'NEMA' | 'IEC', poles = 4): Outline | undefined => {
    const decoded = decodeFrame(frame, school);
    return decoded && outlineOf(decoded, poles);
  };
  it('every row of the NEMA table has the shaft height its number says (MG 1 4.2)', () => {
    for (const row of nemaDimensions.rows) {
      const frame = String(row['frame']);
      expect(outline(frame, 'NEMA')?.height, frame).toBeCloseTo(Number(row['d']) * 0.0254, 6);
      expect(outline(frame, 'NEMA')?.shaftDiameter, frame).toBeCloseTo(Number(row['u']) * 0.0254, 6);
    }
  });
  it('every row of the IEC table as well (IEC 60072-1), and a frame without its letter says so', () => {
    for (const row of iecDimensions.rows)
      expect(outline(String(row['frame']), 'IEC')?.height).toBeCloseTo(Number(row['h']) / 1000, 9);
    expect(outline('132', 'IEC')?.notes.join()).toContain('length letter');
  });
  it('special suffixes take away what they make special', () => {
    expect(outline('254TZ', 'NEMA')?.shaftDiameter).toBeUndefined();
    expect(outline('254TY', 'NEMA')?.across).toBeUndefined();
    expect(outline('143/5T', 'NEMA')?.along).toHaveLength(2);
  });
  it('sees a misfit before it is bought, and none where feet are shared', () => {
    const compare = (a: string, b: string) => {
      const [x, y] = [outline(a, 'NEMA'), outline(b, 'NEMA')];
      return x && y ? misfits(x, y, 'NEMA').map((each) => each.what) : undefined;
    };
    expect(compare('254T', '254T')).toEqual([]);
    expect(compare('143/5T', '145T')).toEqual([]);
    expect(compare('286T', '286TS')).toEqual(['shaft diameter', 'shaft length']);
    expect(compare('254T', '256T')).toEqual(['feet along']);
    expect(compare('254U', '254T')).toContain('shaft diameter');
  });
});

describe('a plate that cannot be read', () => {
  const unreadable = (measured: JobInput['nameplate']): Solution =>
    solved({
      situation: { kind: 'replace' },
      supply: { voltage: '480 V', frequency: '60 Hz' },
      nameplate: { unreadable: true, ...measured },
    });
  it('finds frame, poles and a band of power, as estimates that size nothing', () => {
    const solution = unreadable({
      measuredShaftHeight: '6.25 in',
      measuredShaftDiameter: '1.625 in',
      measuredNoLoadSpeed: '1796 rpm',
      measuredNoLoadCurrent: '8 A',
    });
    expect(solution.values['nameplate.recoveredFrame']?.text).toContain('254T');
    expect(solution.values['nameplate.recoveredPoles']?.value).toBe(4);
    const band = ['Least', 'Most'].map(
      (end) => Number(solution.values[`nameplate.recoveredPower${end}`]?.value) / 745.7,
    );
    expect(band[0]).toBeLessThan(15);
    expect(band[1]).toBeGreaterThan(15);
    expect(band[1]).toBeLessThan(30);
    for (const id of Object.keys(solution.values).filter((each) => each.includes('recovered')))
      expect(solution.values[id]?.origin, id).toBe('estimated');
    expect(solution.values['nameplate.power']).toBeUndefined();
    expect(solution.values['pick.requiredPower']).toBeUndefined();
    expect(codes(solution)).toContain('nameplate.recovered');
  });
  it('says so where nothing was measured or nothing matches', () => {
    expect(message(unreadable({}), 'nameplate.recovered')).toContain('Measure what the fields below ask for');
    expect(unreadable({ measuredShaftHeight: '13 in' }).details.clues[0]?.confidence).toBe('poor');
  });
});

describe('an early failure', () => {
  const failed = (situation: JobInput['situation'], more: JobInput = {}): Solution =>
    solved({
      nameplate: readPlate('HP 30 RPM 1770 V 230/460 A 71/35.5 HZ 60 SF 1.15 CODE G DES B FR 286T TEFC').fields,
      supply: { voltage: '480 V', frequency: '60 Hz' },
      ...more,
      situation: { kind: 'replace', life: '2 years', ...situation },
    });
  const suspicion = (solution: Solution, id: string) => solution.details.suspicions.find((each) => each.id === id);

  it('stays open to the end until a cause is found', () => {
    expect(codes(failed({ failureMode: 'bearing' }))).toContain('situation.early-failure');
    expect(codes(failed({ failureMode: 'bearing', causes: { grease: 'cleared' } }))).toContain(
      'situation.early-failure',
    );
    expect(codes(failed({ failureMode: 'bearing', causes: { grease: 'found' } }))).not.toContain(
      'situation.early-failure',
    );
    expect(codes(failed({ life: '12 years' }))).not.toContain('situation.early-failure');
  });
  it('ties each cause to the reading that proves or clears it', () => {
    const hot = failed(
      {
        failureMode: 'winding phase to phase',
        runningCurrent: '41 A',
        startsPerHour: '12',
        insulationResistance: '0.4 MΩ',
      },
      { place: { ambient: '52 °C', dust: 'clean' } },
    );
    for (const id of ['heat', 'overload', 'starts', 'moisture'])
      expect(suspicion(hot, id)?.reading, id).toBe('speaks for it');
    expect(suspicion(hot, 'dirt')?.reading).toBe('speaks against it');
    expect(message(hot, 'situation.early-failure')).toContain('overload');
    // MG 10: 30 hp, 4 poles, at most 8.2 starts an hour.
    expect(suspicion(hot, 'starts')?.evidence).toContain('8.2');
    expect(suspicion(failed({ startsPerHour: '3', failureMode: 'rotor' }), 'starts')?.reading).toBe(
      'speaks against it',
    );
  });
  it('two thickeners in one bearing are a caution and a suspect', () => {
    const greased = (greasedWith: string) =>
      solved({
        situation: { kind: 'replace', life: '2 years', failureMode: 'bearing', greasedWith },
        nameplate: { grease: 'Polyurea EM' },
      });
    expect(codes(greased('Lithium EP 2'))).toContain('nameplate.grease-mixed');
    expect(suspicion(greased('Lithium EP 2'), 'grease')?.reading).toBe('speaks for it');
    expect(codes(greased('polyurea no. 2'))).not.toContain('nameplate.grease-mixed');
    expect(suspicion(greased('polyurea no. 2'), 'grease')?.reading).toBe('speaks against it');
    expect(message(greased('Wonder'), 'nameplate.grease-mixed')).toContain('thickener is not known');
  });
  it('MG 1 14.36: 462, 463 and 455 V are 1.09 % out of balance, 3 % leaves 88 %; above 5 % nothing may run', () => {
    const measured = (phaseVoltages: string) =>
      failed({ failureMode: 'unknown' }, { supply: { voltage: '480 V', frequency: '60 Hz', phaseVoltages } });
    const severity = (solution: Solution) =>
      solution.findings.find((each) => each.code === 'supply.unbalance')?.severity;
    const slight = measured('462/463/455 V');
    expect(slight.values['supply.unbalance']?.value).toBeCloseTo(5 / 460, 6);
    expect(severity(slight)).toBe('caution');
    expect(suspicion(slight, 'unbalance')?.reading).toBe('speaks for it');
    // 446.2 against a mean of 460: 3.0 %.
    expect(measured('466.9/446.2/466.9').values['supply.unbalanceDerate']?.value).toBeCloseTo(0.88, 3);
    expect(severity(measured('480/430/470'))).toBe('stop');
    expect(measured('460/460').values['supply.unbalance']).toBeUndefined();
  });
  it('what is found changes the selection: order lines, closed motor, inverter duty, a size up', () => {
    const found = failed(
      { failureMode: 'bearing', causes: { 'drive-currents': 'found', moisture: 'found' } },
      { place: { dust: 'clean' } },
    );
    expect(found.values['situation.remedies']?.text).toContain('shaft grounding ring');
    expect(found.details.requirement?.inverterDuty).toBe(true);
    expect(found.details.requirement?.enclosures).not.toContain('ODP');
    expect(failed({}, { place: { dust: 'clean' } }).details.requirement?.enclosures).toContain('ODP');
    expect(Number(failed({ causes: { overload: 'found' } }).details.requirement?.power) / 745.7).toBeCloseTo(40, 1);
  });
});

describe('five ways in', () => {
  const plate = readPlate('HP 30 RPM 1770 V 460 A 36 HZ 60').fields;
  it('each asks only what it needs, and a change of mind loses nothing', () => {
    const asked = (kind: 'replace' | 'new' | 'drive' | 'starter' | 'energy') => {
      const solution = solved({ situation: { kind }, nameplate: plate });
      return Object.entries(solution.stages).flatMap(([stage, { state }]) => (state === 'not asked' ? [stage] : []));
    };
    expect(asked('replace')).toEqual([]);
    expect(asked('new')).toEqual(['nameplate']);
    // Ramp, limit, feedback and braking of a drive are settings of its start.
    expect(asked('drive')).toEqual([]);
    expect(asked('starter')).toEqual(['profile', 'money']);
    expect(asked('energy')).toEqual(['starting', 'protection']);
    const missing = solved({ situation: { kind: 'starter' }, nameplate: plate }).missing.map((each) => each.stage);
    expect(missing).not.toContain('profile');
    expect(missing).not.toContain('money');
  });
});
