// Where motor and drive stand: verdicts by the cases’ sources, heat and height by IEC 60034-1 8.10 and MG 1 14.4 (from memory).
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { continuousTorqueAtReducedSpeed, slowDemand } from '../../../src/stages/environment/reduced-speed-torque.ts';
import places from '../../cases/places.json' with { type: 'json' };

const small: JobInput['load'] = { torqueKind: 'constant', torque: '5 N·m', speed: '1450' };
const run = (more: JobInput): Solution =>
  solve(
    emptyJob({ situation: { kind: 'new' }, school: 'IEC', ...more, load: { ...small, ...more.load } }),
    emptyCatalogue,
  );
const number = (solution: Solution, id: string): number => Number(solution.values[`place.${id}`]?.value);
const text = (solution: Solution, id: string): string => solution.values[`place.${id}`]?.text ?? '';
const found = (solution: Solution, code: string) => solution.findings.find((each) => each.code === `place.${code}`);

const taken = {
  ODP: 'open drip-proof (IP22)',
  TEFC: 'totally enclosed fan-cooled (IP55)',
  washdown: 'washdown duty (IP66)',
  '': 'a competent person decides',
};

describe('a place that is', () => {
  it.each(places.cases)('$is', ({ place, load, profile, takes, out, says, material, housing, heater }) => {
    const more = { ...(load ? { load } : {}), ...(profile ? { profile } : {}) } as JobInput;
    const solution = run({ place: place as JobInput['place'], ...more });
    const verdicts = solution.details.enclosures;
    const ruledOut = verdicts.filter(({ verdict }) => verdict === 'ruled out').map(({ code }) => code);
    expect(ruledOut.toSorted()).toEqual([...out, 'TEXP'].toSorted());
    expect(verdicts.find(({ verdict }) => verdict === 'chosen')?.code ?? '').toBe(takes);
    expect(text(solution, 'motorEnclosure')).toBe(taken[takes as keyof typeof taken]);
    expect(verdicts.find(({ code }) => code === says[0])?.why).toContain(says[1]);
    expect(solution.values['place.motorEnclosure']?.working.note).toContain('TEXP: never chosen here');
    expect(text(solution, 'frameMaterial')).toContain(material);
    expect(text(solution, 'driveHousing')).toContain(housing);
    expect(text(solution, 'heater')).toContain(heater);
    expect(text(solution, 'heater') === '').toBe(heater === '');
    expect(solution.stages.place.summary.split(' · ')[0]).toBe(takes || 'Defer');
  });

  it('has both families’ codes for every enclosure', () => {
    const codes = run({}).details.enclosures.map(({ code, ip, ic }) => [code, ip, ic]);
    expect(codes).toEqual([
      ['ODP', 'IP12 or IP22', 'IC01'],
      ['TEFC', 'IP54 or IP55', 'IC411'],
      ['TENV', 'IP54', 'IC410'],
      ['TEBC', 'IP54', 'IC416'],
      ['TEAO', expect.stringMatching(/^IP5/), 'IC418'],
      ['washdown', 'IP66', 'IC411'],
      ['TEXP', expect.anything(), expect.anything()],
    ]);
  });
});

describe('what defers', () => {
  it('says whether the area is known to be hazardous', () => {
    const asked = (hazardous: 'yes' | 'unknown' | 'no') => found(run({ place: { hazardous } }), 'hazardous');
    expect(asked('yes')?.clear).toContain('competent for hazardous areas');
    expect(asked('unknown')?.clear).toContain('classification drawing');
    expect(asked('unknown')?.message).toContain('not known');
    expect(asked('no')).toBeUndefined();
  });
});

describe('frame and housing by size', () => {
  const sized = (torque: string, more: JobInput = {}) => run({ ...more, load: { torque, speed: '1470' } });

  it('cast iron from 15 kW', () => {
    // 70 N·m at 1470 r/min are 10.8 kW, 11 kW as a size; 90 N·m 13.9 kW, 15 kW.
    expect(text(sized('70 N·m', { place: { dust: 'clean' } }), 'frameMaterial')).toBe('rolled steel');
    const iron = sized('90 N·m', { place: { dust: 'clean' } });
    expect(text(iron, 'frameMaterial')).toBe('cast iron');
    expect(iron.values['place.frameMaterial']?.working.note).toBe('the size');
  });

  it('a drive too large for a washdown case of its own goes into a cabinet', () => {
    const wet = (limit: string) =>
      text(sized('90 N·m', { place: { water: 'washdown' }, practice: { driveCaseLimit: limit } }), 'driveHousing');
    expect(wet('14 kW')).toBe('cabinet of Type 4X (IP66) around an open drive');
    expect(wet('15 kW')).toBe('Type 4X (IP66)');
    expect(wet('20 kW')).toBe('Type 4X (IP66)');
  });
});

describe('heat and height', () => {
  const derate = (place: JobInput['place'], more: JobInput = {}) =>
    number(run({ place, practice: { fixedLossShare: '30 %' }, ...more }), 'motorDerate');
  // c = 0.3 of the loss is fixed: k = √((r − 0.3)/0.7).
  const left = (r: number) => Math.sqrt((r - 0.3) / 0.7);

  it.each([
    [{ ambient: '40 °C' }, 1],
    [{ ambient: '50 °C' }, left(95 / 105)],
    [{ ambient: '40 °C', altitude: '2000 m' }, left(0.9)],
    [{ ambient: '50 °C', altitude: '2000 m' }, left((95 / 105) * 0.9)],
    [{ ambient: '30 °C', altitude: '1900 m' }, left((115 / 105) * 0.91)],
    [{ ambient: '20 °C', altitude: '1000 m' }, 1],
  ] as const)('class F in %o keeps %d', (place, share) => {
    expect(derate(place)).toBeCloseTo(Math.min(1, share), 9);
  });

  it('class B has 80 K and class H 125 K of rise to lose from; F where no letter is known', () => {
    const kept = (thermalClass: string) =>
      derate({ ambient: '50 °C' }, { nameplate: { thermalClass }, practice: { fixedLossShare: '30 %' } });
    expect(kept(' b ')).toBeCloseTo(left(70 / 80), 9);
    expect(kept('H')).toBeCloseTo(left(115 / 125), 9);
    expect(kept('')).toBeCloseTo(left(95 / 105), 9);
  });

  it('is told where it is worth a word, as a caution below 85 %, at the field that takes it', () => {
    const told = (place: JobInput['place']) => found(run({ place }), 'motor-derate');
    expect(told({ ambient: '40 °C' })).toBeUndefined();
    expect(told({ ambient: '50 °C' })).toMatchObject({ severity: 'note', field: 'place.ambient' });
    expect(told({ ambient: '40 °C', altitude: '1500 m' })).toMatchObject({ severity: 'note', field: 'place.altitude' });
    expect(told({ ambient: '70 °C' })).toMatchObject({ severity: 'caution', field: 'place.ambient' });
    // √((85/105 − 0.3)/0.7) = 0.853.
    const sixty = run({ place: { ambient: '60 °C' }, practice: { fixedLossShare: '30 %' } });
    expect(sixty.stages.place.summary).toBe('TEFC · 60\u00a0°C · derates 15 %');
  });

  it('a service factor of 1.15 is spent on thin air up to 9000 ft (MG 1 14.4.3), on a motor that has one', () => {
    const thin = (altitude: string, serviceFactor: string, ambient = '40 °C', kind: 'starter' | 'new' = 'starter') =>
      derate(
        { altitude, ambient },
        { school: 'NEMA', situation: { kind }, nameplate: { power: '5 hp', serviceFactor } },
      );
    expect(thin('8900 ft', '1.15')).toBe(1);
    expect(thin('9100 ft', '1.15')).toBeLessThan(1);
    expect(thin('8900 ft', '1.0')).toBeLessThan(1);
    expect(thin('8900 ft', '1.15', '42 °C')).toBeLessThan(1);
    expect(thin('8900 ft', '1.15', '40 °C', 'new')).toBeLessThan(1);
  });

  it('a usual drive loses with every kelvin above what it bears and every 100 m above 1000 m', () => {
    const drive = (place: JobInput['place']) =>
      number(
        run({ place, practice: { driveAmbient: '40 °C', driveHeatDerate: '1.5 %', driveAltitudeDerate: '1 %' } }),
        'driveDerate',
      );
    expect(drive({ ambient: '40 °C', altitude: '1000 m' })).toBe(1);
    expect(drive({ ambient: '46 °C' })).toBeCloseTo(0.91, 9);
    expect(drive({ ambient: '30 °C', altitude: '2000 m' })).toBeCloseTo(0.9, 9);
    expect(drive({ ambient: '46 °C', altitude: '2000 m' })).toBeCloseTo(0.91 * 0.9, 9);
  });
});

describe('a cabinet', () => {
  const cabinet = (place: JobInput['place'], more: JobInput = {}) =>
    run({
      ...more,
      place: {
        cabinet: true,
        ambient: '25 °C',
        cabinetHeight: '1000',
        cabinetWidth: '500',
        cabinetDepth: '300',
        ...place,
      },
    });

  it('of 1 × 0.5 × 0.3 m passes 5.5 · 1.25 m² · 15 K = 103 W; without a fan P/(k A) over the air around it', () => {
    const solution = cabinet({ otherHeat: '200 W' }, { practice: { wallTransfer: '5.5', driveAmbient: '40 °C' } });
    expect(number(solution, 'cabinetWalls')).toBeCloseTo(5.5 * 1.25 * 15, 6);
    const heat = number(solution, 'cabinetLosses');
    expect(heat).toBeGreaterThan(200);
    expect(number(solution, 'cabinetInside')).toBeCloseTo(298.15 + heat / (5.5 * 1.25), 6);
    expect(number(solution, 'cabinetAir')).toBeCloseTo((heat - 5.5 * 1.25 * 15) / (1.2 * 1005 * 15), 9);
    expect(found(solution, 'cabinet-air')?.message).toContain('m³/h');
  });

  it('at 3000 m needs e^(3000/8500) times the air', () => {
    const air = (altitude: string) => number(cabinet({ altitude, otherHeat: '300 W' }), 'cabinetAir');
    expect(air('3000 m') / air('0 m')).toBeCloseTo(Math.exp(3000 / 8500), 6);
  });

  it('has its filter changed sooner where it is dirty, and none where the walls suffice', () => {
    const months = (dust: 'clean' | 'dirty', otherHeat = '300 W') =>
      number(
        cabinet({ dust, otherHeat }, { practice: { filterMonthsClean: '6', filterMonthsDirty: '2' } }),
        'filterInterval',
      );
    expect([months('clean'), months('dirty')]).toEqual([6, 2]);
    expect(months('dirty', '0 W')).toBeNaN();
  });

  it('asks for the sides that are not typed once one is', () => {
    const missing = (place: JobInput['place']) =>
      run({ place: { cabinet: true, ...place } })
        .missing.map(({ field }) => field)
        .filter((field) => field.includes('cabinet'));
    expect(missing({})).toEqual([]);
    expect(missing({ cabinetHeight: '1000' })).toEqual(['place.cabinetWidth']);
    expect(missing({ cabinetWidth: '500', cabinetDepth: '300' })).toEqual(['place.cabinetHeight']);
    expect(missing({ cabinetHeight: '1000', cabinetWidth: '500', cabinetDepth: '300' })).toEqual([]);
    expect(run({ place: { cabinetHeight: '1000' } }).missing.map(({ field }) => field)).not.toContain(
      'place.cabinetWidth',
    );
    expect(run({}).missing.map(({ field }) => field)).toContain('place.ambient');
    expect(run({ place: { ambient: '30 °C' } }).missing.map(({ field }) => field)).not.toContain('place.ambient');
  });
});

describe('slow and cooled by its own fan', () => {
  const asked = (flow: string, hours = '1000', torqueKind: 'constant' | 'variable' = 'constant') => {
    const brief = {
      job: { load: { torqueKind } },
      rows: { 'profile.points': [{ flow: { value: Number(flow) }, hours: { value: Number(hours) } }] },
    };
    return (share: number, ratio?: number) =>
      slowDemand(brief as unknown as Parameters<typeof slowDemand>[0], share, ratio);
  };

  it('bears all at full speed and less below, never more', () => {
    expect(continuousTorqueAtReducedSpeed(1)).toBe(1);
    expect(continuousTorqueAtReducedSpeed(1.5)).toBe(1);
    expect(continuousTorqueAtReducedSpeed(0.5)).toBeLessThan(1);
    expect(continuousTorqueAtReducedSpeed(0.1)).toBeLessThan(continuousTorqueAtReducedSpeed(0.5));
  });

  it('counts torque that does not fall with speed, at speeds it runs at, beyond 5 % of doubt', () => {
    const least = continuousTorqueAtReducedSpeed(0.2);
    expect(asked('0.2')(1)).toMatchObject({ speed: 0.2, torque: 1, bearable: least });
    expect(asked('0.2')(least + 0.06)).toBeDefined();
    expect(asked('0.2')(least + 0.04)).toBeUndefined();
    expect(asked('0.2', '1000', 'variable')(1)).toBeUndefined();
    expect(asked('0.2', '0')(1)).toBeUndefined();
    expect(asked('1')(1.2)).toBeUndefined();
    expect(asked('0')(1)).toBeUndefined();
    // A plate that promises full torque over 4 : 1 keeps it down to a quarter.
    expect(asked('0.25')(1, 4)).toBeUndefined();
    expect(asked('0.2')(1, 4)).toBeDefined();
  });
});

describe('noise', () => {
  it.each([
    ['74 dB(A)', '1450', 'Ask the maker'],
    ['75 dB(A)', '1450', ''],
    ['84 dB(A)', '2900', 'four poles'],
    ['85 dB(A)', '2900', ''],
  ])('%s at %s r/min: %s', (noiseLimit, speed, says) => {
    const finding = found(run({ place: { noiseLimit }, load: { ...small, speed } }), 'noise');
    expect(finding === undefined).toBe(says === '');
    expect(finding?.clear ?? '').toContain(says);
    if (finding) expect(finding.message.includes('two-pole')).toBe(speed === '2900');
  });
});

describe('what stands against an enclosure', () => {
  const against = (place: JobInput['place'], code: string) =>
    solve(emptyJob({ situation: { kind: 'new' }, place }), emptyCatalogue).details.enclosures.find(
      (each) => each.code === code,
    );

  it('is told criterion by criterion, and the first is the reason', () => {
    const open = against({ setting: 'outdoor', dust: 'dirty', water: 'washdown', hazardous: 'no' }, 'ODP');
    expect(open?.against).toEqual(['setting', 'dust', 'water']);
    expect(open?.why).toContain('outdoors');
    // Jets say more than fibres of a closed motor.
    const closed = against({ dust: 'fibrous', water: 'washdown', hazardous: 'no' }, 'TEFC');
    expect(closed?.against).toEqual(['dust', 'water']);
    expect(closed?.why).toContain('washdown jets');
    expect(against({ hazardous: 'yes' }, 'washdown')?.against).toEqual(['hazard']);
    expect(against({ hazardous: 'no' }, 'washdown')?.against).toEqual([]);
  });
});
