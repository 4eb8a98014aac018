/** The load, by every way it can be known, against handbook formulas in the units the handbooks print. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { readInputs } from '../../../src/job/inputs.ts';
import { shareAtInput } from '../../../src/stages/load/load-definition-methods.ts';
import { inputOnLine } from '../../../src/motor/part-load.ts';
import { typicalMotor } from '../../../src/motor/typical.ts';
import { readPlate } from '../../../src/stages/nameplate/read/read-plate.ts';

const HP = 745.699_871_582;
const solved = (load: JobInput['load'], more: JobInput = {}): Solution =>
  solve(emptyJob({ situation: { kind: 'new' }, ...more, load }), emptyCatalogue);
const horsepower = (solution: Solution): number => Number(solution.values['load.motorPower']?.value) / HP;
const missing = (solution: Solution): string[] => solution.missing.map((each) => each.field);

describe('machines, direct coupled', () => {
  it.each<[string, JobInput['load'], number]>([
    // Fan engineering: hp = cfm · inH2O / (6356 η)
    [
      'fan',
      { way: 'fan', flow: '10000 cfm', pressure: '4 inH2O', machineEfficiency: '65 %' },
      (10_000 * 4) / (6356 * 0.65),
    ],
    // Pump handbooks: hp = gpm · ft · SG / (3960 η)
    ['pump', { way: 'pump', flow: '500 gpm', head: '100 ft', machineEfficiency: '75 %' }, (500 * 100) / (3960 * 0.75)],
    [
      'heavier liquid',
      { way: 'pump', flow: '500 gpm', head: '100 ft', machineEfficiency: '75 %', density: '1.2 SG' },
      (500 * 100 * 1.2) / (3960 * 0.75),
    ],
    // hp = gpm · psi / (1714 η)
    [
      'displacement pump',
      { way: 'displacement pump', flow: '50 gpm', pressure: '1000 psi', machineEfficiency: '85 %' },
      (50 * 1000) / (1714 * 0.85),
    ],
    // hp = lb · ft/min / 33 000
    [
      'hoist',
      { way: 'hoist', movedMass: '10000 lb', linearSpeed: '50 ft/min', machineEfficiency: '90 %' },
      (10_000 * 50) / 33_000 / 0.9,
    ],
    [
      'conveyor, level',
      { way: 'conveyor', movedMass: '20000 lb', friction: '0.03', linearSpeed: '200 fpm' },
      (20_000 * 0.03 * 200) / 33_000,
    ],
    [
      'conveyor, 30° up',
      { way: 'conveyor', movedMass: '20000 lb', friction: '0', linearSpeed: '200 fpm', incline: '30°' },
      (20_000 * 0.5 * 200) / 33_000,
    ],
    // P = Np ρ n³ D⁵ at 2 r/s with D = 0.5 m: 1250 W
    ['mixer', { way: 'mixer', powerNumber: '5', impeller: '500 mm', speed: '120 rpm' }, 1250 / HP],
  ])('%s', (name, load, expected) => {
    const friction = name === 'conveyor, 30° up' ? { friction: '0.001' } : {};
    const solution = solved({ speed: '1750 rpm', ...load, ...friction });
    expect(horsepower(solution) / expected).toBeCloseTo(1, 2);
  });
  it('asks for exactly what a way needs', () => {
    expect(missing(solved({ way: 'pump', speed: '1750 rpm' }))).toEqual(
      expect.arrayContaining(['load.flow', 'load.head', 'load.machineEfficiency']),
    );
    expect(missing(solved({ way: 'hoist', speed: '60 rpm' }))).not.toContain('load.torque');
    expect(missing(solved({ way: 'slip', runningSpeed: '1770' }, { situation: { kind: 'energy' } }))).toContain(
      'nameplate.power',
    );
  });
});

describe('a running motor, 25 hp, 1800 r/min', () => {
  const plate = readPlate('HP 25 RPM 1750 V 460 A 31 HZ 60 EFF 91.7 PF 82').fields;
  const measured = (load: JobInput['load']): Solution =>
    solved(load, { situation: { kind: 'energy' }, nameplate: plate });
  // US DOE fact sheet, slip method: 1770 of 1800 with 1750 on the plate is 60 % load, 15 hp.
  it('by its slip: 1770 r/min is 60 % load, 15 hp', () => {
    expect(
      horsepower(measured({ way: 'slip', runningSpeed: '1770 rpm', runningVoltage: '460 V', speed: '1770' })),
    ).toBeCloseTo(15, 1);
  });
  it('output speed by hand: half the rated torque is half the slip, 1775 r/min, and half of that behind 2 : 1', () => {
    const rated = (25 * HP) / ((1750 * Math.PI) / 30);
    const { values } = measured({ torque: `${rated} N·m`, ratio: '2', transmissionEfficiency: '100 %' });
    expect((Number(values['load.outputSpeed']?.value) * 30) / Math.PI).toBeCloseTo(1775 / 2, 6);
  });
  it('by its slip at another voltage: corrected with its square', () => {
    const low = horsepower(measured({ way: 'slip', runningSpeed: '1770 rpm', runningVoltage: '437 V', speed: '1770' }));
    expect(low / 15).toBeCloseTo((437 / 460) ** 2, 2);
  });
  it('by its amps: 24.8 of 31 A at rated voltage is 80 %, and the error is said', () => {
    const solution = measured({ way: 'current', runningCurrent: '24.8 A', speed: '1760' });
    expect(horsepower(solution)).toBeCloseTo(20, 1);
    expect(solution.findings.find((each) => each.code === 'load.measured-on-motor')?.message).toContain(
      'only above half load',
    );
    expect(solution.values['load.torque']?.origin).toBe('estimated');
  });
  it('by the power into it: at rated input it gives its rated power', () => {
    const solution = measured({ way: 'input power', inputPower: `${(25 * HP) / 0.917 / 1000} kW`, speed: '1750' });
    expect(horsepower(solution)).toBeCloseTo(25, 1);
  });
});

describe('a reading that cannot be is told at its field', () => {
  const running: JobInput = {
    situation: { kind: 'energy' },
    nameplate: readPlate('HP 25 RPM 1750 V 460 A 31 HZ 60 EFF 91.7 PF 82').fields,
  };
  const curve = (...points: readonly (readonly [string, string])[]) =>
    points.map(([speed, torque]) => ({ speed, torque }));
  const bond = { way: 'crusher', massFlow: '40 t/h', workIndex: '12 kWh/t', speed: '300' } as const;
  const belt = { way: 'conveyor', movedMass: '2400 kg', friction: '0.03', linearSpeed: '1 m/s', speed: '60' } as const;
  const lift = { way: 'pump', flow: '850 gpm', head: '95 ft', machineEfficiency: '78 %' } as const;

  it.each<[string, NonNullable<JobInput['load']>, string, string]>([
    ['speed of the field', { way: 'slip', runningSpeed: '1800' }, 'load.runningSpeed', 'below the 1800'],
    ['far too slow', { way: 'slip', runningSpeed: '1500' }, 'load.runningSpeed', 'would have stalled at'],
    ['less than idling', { way: 'input power', inputPower: '0.3 kW' }, 'load.inputPower', 'without any load'],
    ['a wrong unit', { way: 'input power', inputPower: '300 kW' }, 'load.inputPower', 'would have stalled at'],
    ['a decimal lost', { way: 'current', runningCurrent: '248' }, 'load.runningCurrent', 'would have stalled at'],
    ['sizes swapped', { ...bond, feedSize: '10 mm', productSize: '80 mm' }, 'load.productSize', 'not finer'],
    ['more lift than head', { ...lift, staticHead: '200 ft' }, 'load.staticHead', 'above the total head'],
    ['downhill', { ...belt, incline: '-12°' }, 'load.incline', 'drives the motor'],
  ])('%s', (_, load, field, words) => {
    const found = solved(load, ['slip', 'input power', 'current'].includes(load.way ?? '') ? running : {});
    const stop = found.findings.find((each) => each.severity === 'stop' && each.field === field);
    expect(stop?.message.replaceAll('\u00a0', ' ')).toContain(words);
    // Nothing is sized on a load that runs backwards.
    expect(Number(found.values['load.torque']?.value ?? 0)).toBeGreaterThanOrEqual(0);
  });

  it('and what says little is a caution: few amps, a table that ends early or says two things', () => {
    const codes = (load: JobInput['load'], more: JobInput = {}) => solved(load, more).findings.map(({ code }) => code);
    expect(codes({ way: 'current', runningCurrent: '9' }, running)).toContain('load.current-says-little');
    expect(codes({ way: 'current', runningCurrent: '25' }, running)).not.toContain('load.current-says-little');
    const short = { way: 'curve', speed: '1770' } as const;
    expect(codes({ ...short, curve: curve(['0', '20'], ['1000', '80']) })).toContain('load.curve-ends');
    const whole = curve(['0', '20'], ['1770', '80']);
    expect(codes({ ...short, curve: whole })).not.toContain('load.curve-ends');
    expect(codes({ ...short, curve: [...whole, ...curve(['1770', '90'])] })).toContain('load.curve-twice');
    expect(codes({ ...belt, incline: '-1°' })).not.toContain('load.drives-motor');
  });
});

describe('whatever the load', () => {
  it('input power leads back to the load it came from', () => {
    const motor = typicalMotor({ power: 15_000, poles: 4, frequency: 50, voltage: 400 }, 'IE3', 'IEC');
    if (!motor) throw new Error('no motor');
    const nominal = { ...motor, efficiencyMinimum: motor.efficiency };
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 1.3, noNaN: true }), (share) => {
        expect(shareAtInput(nominal, inputOnLine(nominal, share * nominal.power, 0.35), 0.35)).toBeCloseTo(share, 6);
      }),
    );
  });
  it('a train creates no power: what the motor gives is what the load takes over the efficiency', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(number(10, 900), number(30, 600), number(1, 5), number(0.5, 1), (torque, rpm, ratio, efficiency) => {
        const { values } = solved(
          {
            torque: `${torque} N·m`,
            speed: `${rpm} rpm`,
            ratio: String(ratio),
            transmissionEfficiency: String(efficiency),
          },
          { school: 'IEC' },
        );
        const taken = (torque * rpm * Math.PI) / 30;
        expect(Number(values['load.motorPower']?.value) * efficiency).toBeCloseTo(taken, 3);
        expect(Number(values['load.motorPower']?.value)).toBeGreaterThanOrEqual(taken - 1e-6);
      }),
    );
  });
});

describe('a long list', () => {
  it('edited anywhere, well or badly, reads as if every row were read alone', () => {
    const cell = fc.oneof(
      fc.integer({ min: 0, max: 400 }).map((torque) => `${torque} N·m`),
      fc.constantFrom('', 'heavy', '-5 N·m', '12 V', '40 lb·ft'),
    );
    const edits = fc.array(fc.record({ at: fc.nat({ max: 59 }), torque: cell }), { minLength: 1, maxLength: 8 });
    const read = (duty: readonly { torque: string; time: string }[]) =>
      readInputs(emptyJob({ school: 'IEC', load: { way: 'duty', duty: [...duty] } }));
    const seen = ({ rows }: ReturnType<typeof readInputs>) => rows['load.duty'].map(({ torque }) => torque?.value);
    const wrong = ({ findings }: ReturnType<typeof readInputs>) => findings.map(({ field }) => field);
    fc.assert(
      fc.property(edits, (all) => {
        const duty = Array.from({ length: 60 }, (_, at) => ({ torque: `${100 + at} N·m`, time: '5 s' }));
        for (const { at, torque } of all) {
          duty[at] = { torque, time: '5 s' };
          const alone = duty.map((row) => read([row]));
          expect(seen(read(duty))).toEqual(alone.flatMap(seen));
          expect(wrong(read(duty))).toEqual(
            alone.flatMap((each, row) => (wrong(each).length > 0 ? [`load.duty.${row}.torque`] : [])),
          );
        }
      }),
      { numRuns: 20 },
    );
  });
});
