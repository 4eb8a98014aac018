// Which rating of a plate is in force, and what of it does not go together. Utilization voltages and the volts per hertz of
// a winding: MG 1 and C84.1 practice (from memory); least efficiency of today: IE3 and premium tables (from memory); code letters
// MG 1 10.37 (G: 5.6 to 6.3 kVA/hp, from memory). Everything else is a sum on paper.
import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { readInputs } from '../../../src/job/inputs.ts';
import { mixing, thickenerOf } from '../../../src/stages/nameplate/bearing.ts';
import { connectedRating, utilizationVoltage } from '../../../src/stages/nameplate/connected-rating.ts';
import { decodeEnclosure, isExplosionProtected } from '../../../src/stages/nameplate/enclosure.ts';
import { decodeFrame } from '../../../src/stages/nameplate/frame.ts';
import { inverterStatement } from '../../../src/stages/nameplate/inverter.ts';
import { speedThatFitsFrame } from '../../../src/stages/nameplate/plate-pairs.ts';
import { readPlate } from '../../../src/stages/nameplate/read/read-plate.ts';
import { plate as whole } from '../../lib/round-prices.ts';

type Plate = NonNullable<JobInput['nameplate']>;
const RPM = 30 / Math.PI;
function rating(nameplate: Plate, more: JobInput = {}) {
  const job = emptyJob({ nameplate, ...more });
  const { voltage, current, power, speed, frequency, efficiency, powerFactor, serviceFactor, winding, ...rest } =
    connectedRating(readInputs(job).given, job);
  const shown = (value: { value: number } | undefined) => value && Number(value.value.toFixed(4));
  return {
    volts: shown(voltage),
    amps: shown(current),
    watts: shown(power),
    rpm: speed && Number((speed.value * RPM).toFixed(2)),
    hertz: frequency.value,
    eta: shown(efficiency),
    cosine: shown(powerFactor),
    factor: shown(serviceFactor),
    winding: winding && [winding.voltage.value, winding.current.value],
    note: voltage?.working.note,
    ...rest,
  };
}
const at = (voltage: string, frequency = '60'): JobInput => ({ supply: { voltage, frequency } });
const solved = (nameplate: Plate, more: JobInput = {}): Solution =>
  solve(emptyJob({ situation: { kind: 'starter' }, ...more, nameplate }), emptyCatalogue);
const message = (solution: Solution, code: string) =>
  (solution.findings.find((each) => each.code === `nameplate.${code}`)?.message ?? '').replaceAll('\u00a0', ' ');
describe('the connected rating', () => {
  const dual: Plate = { ...whole, voltages: '208-230/460', currents: '66-60/30' };
  it.each([
    ['480', 460, 30],
    ['240', 230, 60],
    ['208', 208, 66],
    ['460', 460, 30],
    ['230', 230, 60],
  ])('on %s V is that of %s V, %s A', (system, volts, amps) => {
    expect(rating(dual, at(system))).toMatchObject({ volts, amps, voltageKnown: true, doubts: [] });
  });
  it('without a supply is that of the highest, as an estimate; of one voltage it is known', () => {
    const open = rating(dual);
    expect(open).toMatchObject({ volts: 460, amps: 30, voltageKnown: false });
    expect(open.note).toMatch(/not known; the highest/);
    expect(rating(whole)).toMatchObject({ volts: 460, voltageKnown: true, note: undefined });
    expect(rating({ ...whole, voltages: '460/230', currents: '30/60' })).toMatchObject({ volts: 460, amps: 30 });
  });
  it('is told by what was measured too: the mean of three phases, or the voltage of the running motor', () => {
    expect(rating(dual, { supply: { phaseVoltages: '235/229/226' } })).toMatchObject({
      volts: 230,
      voltageKnown: true,
    });
    expect(rating(dual, { load: { runningVoltage: '236 V' } })).toMatchObject({ volts: 230, voltageKnown: true });
    expect(rating(dual, { supply: { phaseVoltages: '235/229' } }).voltageKnown).toBe(false);
  });
  it('of a range has the winding of its top; of 230-460 written as one two connections', () => {
    expect(rating(dual, at('208')).winding).toEqual([230, 60]);
    expect([rating(dual, at('240')).winding, rating(dual, at('480')).winding]).toEqual([undefined, undefined]);
    const old: Plate = { ...whole, voltages: '230-460', currents: '60-30' };
    expect(rating(old, at('480'))).toMatchObject({ volts: 460, amps: 30, winding: undefined });
    expect(rating(old, at('240'))).toMatchObject({ volts: 230, amps: 60 });
    expect(rating({ ...whole, voltages: '380-415', currents: '52-48' }, at('380', '60')).winding).toEqual([415, 48]);
  });
  it('pairs amps by place: group for group, one for one, one for a group; else it says that they do not pair', () => {
    expect(rating({ ...dual, currents: '60/30' }, at('208'))).toMatchObject({ volts: 208, amps: 60 });
    expect(rating({ ...dual, currents: '66/60/30' }, at('240'))).toMatchObject({ volts: 230, amps: 60 });
    expect(rating({ ...dual, currents: '30' }, at('240'))).toMatchObject({ amps: undefined, doubts: ['pairing'] });
    expect(rating({ ...whole, currents: '' }).doubts).toEqual([]);
    expect(rating({ ...whole, voltages: '' }).doubts).toEqual([]);
  });
  it('several figures go with several frequencies, speeds or voltages; else the first is taken and doubted', () => {
    const two: Plate = {
      power: '15/18 kW',
      speed: '1465/1765',
      voltages: '400',
      currents: '28',
      frequency: '50/60',
      efficiency: '92.1/92.4',
      powerFactor: '0.84/0.85',
    };
    expect(rating(two, at('400', '50'))).toMatchObject({
      watts: 15_000,
      rpm: 1465,
      hertz: 50,
      eta: 0.921,
      cosine: 0.84,
    });
    expect(rating(two, at('460', '60'))).toMatchObject({
      watts: 18_000,
      rpm: 1765,
      hertz: 60,
      eta: 0.924,
      cosine: 0.85,
    });
    expect(rating({ ...whole, voltages: '230/460', currents: '60/30', powerFactor: '82/84' }, at('240'))).toMatchObject(
      { cosine: 0.82, doubts: [] },
    );
    expect(rating({ ...whole, powerFactor: '82/84/85' })).toMatchObject({ cosine: 0.82, doubts: ['several ratings'] });
    expect(rating({ ...whole, frequency: '' }).doubts).toEqual(['frequency assumed']);
    expect(rating({ ...whole, frequency: '' }, { school: 'IEC' }).hertz).toBe(50);
    expect(rating({ ...whole, frequency: '' }, at('480', '60')).hertz).toBe(60);
  });
  it('of two speeds asks which, and takes the figures of the one chosen', () => {
    const twice: Plate = { power: '10/5 hp', speed: '1750/870', voltages: '460', currents: '13/8', frequency: '60' };
    expect(rating({ ...twice, speedInForce: 'second' })).toMatchObject({
      rpm: 870,
      watts: 3728.4994,
      amps: 8,
      speeds: { chosen: 1, settled: true },
    });
    expect(rating({ ...twice, speedInForce: 'first' })).toMatchObject({
      rpm: 1750,
      amps: 13,
      speeds: { chosen: 0, settled: true },
    });
    expect(rating(twice)).toMatchObject({ rpm: 1750, speeds: { settled: false } });
    // A tenth apart they are one speed at two voltages.
    expect(rating({ ...whole, speed: '1770/1765', voltages: '230/460', currents: '60/30' }).speeds).toBeUndefined();
  });
  it('of two rating sets is that of the supply’s frequency; what the second leaves out is as in the first', () => {
    const both: Plate = {
      power: '15 kW',
      speed: '1465',
      voltages: '400',
      currents: '28',
      frequency: '50',
      efficiency: '92.1',
      powerFactor: '0.84',
      serviceFactor: '1.0',
      altFrequency: '60',
      altPower: '17.5 kW',
      altVoltages: '460',
      altCurrents: '28.5',
      altSpeed: '1770',
      altEfficiency: '92.4',
      altPowerFactor: '0.85',
      altServiceFactor: '1.15',
    };
    expect(rating(both, at('480', '60'))).toMatchObject({
      watts: 17_500,
      volts: 460,
      amps: 28.5,
      rpm: 1770,
      hertz: 60,
      eta: 0.924,
      cosine: 0.85,
      factor: 1.15,
    });
    expect(rating(both, at('400', '50'))).toMatchObject({
      watts: 15_000,
      volts: 400,
      amps: 28,
      rpm: 1465,
      hertz: 50,
      eta: 0.921,
      cosine: 0.84,
      factor: 1,
    });
    const bare: Plate = { ...both, altEfficiency: '', altPowerFactor: '', altServiceFactor: '', altCurrents: '' };
    expect(rating(bare, at('480', '60'))).toMatchObject({ amps: 28, eta: 0.921, cosine: 0.84, factor: 1 });
    expect(rating(both).hertz).toBe(50);
  });
  it('on another frequency with the same volts per hertz moves: 400 V 50 Hz on 480 V 60 Hz, and nowhere else', () => {
    const iec: Plate = { power: '11 kW', speed: '1465', voltages: '400', currents: '21', frequency: '50' };
    expect(rating(iec, at('480', '60'))).toMatchObject({ volts: 480, watts: 13_200, rpm: 1765, hertz: 60, amps: 21 });
    expect(rating(iec, at('460', '60'))).toMatchObject({ volts: 480, rpm: 1765 });
    // 440 V would have 8 % less flux; 52 Hz is the same frequency.
    expect(rating(iec, at('440', '60'))).toMatchObject({ volts: 400, hertz: 50, rpm: 1465 });
    expect(rating(iec, at('416', '52'))).toMatchObject({ volts: 400, hertz: 50 });
    expect(rating({ ...iec, speed: '' }, at('480', '60'))).toMatchObject({ volts: 400, hertz: 50 });
    expect(rating({ ...iec, power: '' }, at('480', '60'))).toMatchObject({ volts: 480, watts: undefined });
  });
  it('systems and the voltages motors are made for', () => {
    expect([208, 240, 480, 600, 400, 690].map(utilizationVoltage)).toEqual([200, 230, 460, 575, 400, 690]);
  });
});

describe('figures that do not go together', () => {
  it('volts times amps of two connections: 230·60 = 460·30; a misread digit is named', () => {
    const pair = (voltages: string, currents: string, more: Plate = {}) =>
      message(solved({ ...whole, ...more, voltages, currents }), 'ratio');
    expect(pair('230/460', '60/30')).toBe('');
    expect(pair('230/460', '62/30')).toBe('');
    expect(pair('230/460', '80/30')).toMatch(/differ by 33 %\. Current 80 may be a misread 60/);
    expect(pair('230/440', '60/30')).toBe('');
    expect(pair('280/460', '60/30')).toMatch(/Voltage 280 may be a misread 230/);
    expect(pair('460', '30')).toBe('');
    // Two figures of a small current are off by half a unit of the last by themselves.
    expect(pair('230/460', '1.1/0.5', { power: '0.25 hp', efficiency: '', powerFactor: '' })).toBe('');
  });
  it('a code letter and the locked-rotor amps beside it: 5.6 to 6.3 kVA/hp of G are 176 to 198 A', () => {
    const code = (codeLetter: string, lockedRotorCurrent: string, startingCurrentRatio = '') =>
      message(solved({ ...whole, codeLetter, lockedRotorCurrent, startingCurrentRatio }), 'code-current');
    expect([code('G', '180 A'), code('G', '172 A'), code('G', '202 A'), code('', '300 A')]).toEqual(['', '', '', '']);
    expect(code('G', '165 A')).toMatch(
      /^Code G means 5\.60 to 6\.30 kVA\/hp, but .* makes 5\.26: that would be code F/,
    );
    expect(code('G', '215 A')).toMatch(/that would be code H/);
    expect(code('G', '', '8')).toMatch(/that would be code J/);
    expect(code('G', '', '6')).toBe('');
  });
  it('two rating sets of one winding: one pole count, volts as 5 to 6', () => {
    const sets = (altSpeed: string, altVoltages = '460') =>
      solved({
        power: '15 kW',
        speed: '1465',
        voltages: '400',
        currents: '28',
        frequency: '50',
        altFrequency: '60',
        altSpeed,
        altVoltages,
      });
    expect([message(sets('1765'), 'pair-speed'), message(sets('1765'), 'pair-voltage')]).toEqual(['', '']);
    expect(message(sets('1165'), 'pair-speed')).toMatch(/different pole counts.* Speed 1165 may be a misread 1765/);
    expect(message(sets('1765', '575'), 'pair-voltage')).toMatch(/as 5 to 6/);
    expect(message(sets('1765', ''), 'pair-voltage')).toBe('');
    expect(message(solved({ frequency: '50/60', speed: '1465/1165', voltages: '400' }), 'pair-speed')).toMatch(
      /different pole counts/,
    );
  });
  it('a speed that puts the rating into another frame than the plate’s is mended by a digit', () => {
    const mended = (rpm: number, frame: string) =>
      speedThatFitsFrame({ frame, power: 25 * 745.7, frequency: 60, speed: rpm / RPM, open: false, school: 'NEMA' });
    // 25 hp, TEFC: 284T at four poles, 324T at six.
    expect(mended(1170, '284T')).toBe('1770');
    expect(mended(1770, '324T')).toBe('1170');
    expect([mended(1170, '56C'), mended(1170, 'nothing'), mended(1170, '160L')]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });
  it('a motor below what a new one must reach today says by how much less a new one loses', () => {
    const below = (efficiency: string) => message(solved({ ...whole, efficiency }), 'class-below-today');
    expect(below('93.6')).toBe('');
    expect(below('')).toBe('');
    // 1/0.936 − 1 = 6.84 % against 1/0.91 − 1 = 9.89 %: 31 % less.
    expect(below('91')).toMatch(/must reach premium, 93\.6 %: 31 % less loss/);
    expect(message(solved({ ...whole, power: '', efficiency: '91' }), 'class-below-today')).toBe('');
  });
});

describe('what codes say', () => {
  it('frames: sixteenths, quarter inches, millimetres, double drilling', () => {
    const height = (text: string, school: 'NEMA' | 'IEC' = 'NEMA') => {
      const frame = decodeFrame(text, school);
      return (
        frame && [
          Number((frame.shaftHeight.value / (frame.family === 'NEMA' ? 0.0254 : 0.001)).toFixed(4)),
          frame.family,
          frame.suffix,
        ]
      );
    };
    expect([height('56C'), height('284T'), height('143/5T'), height('132M', 'IEC'), height('IEC 132S')]).toEqual([
      [3.5, 'NEMA', 'C'],
      [7, 'NEMA', 'T'],
      [3.5, 'NEMA', 'T'],
      [132, 'IEC', 'M'],
      [132, 'IEC', 'S'],
    ]);
    expect(decodeFrame('143/5T', 'NEMA')?.numbers).toEqual(['143', '145']);
    expect(decodeFrame('132M', 'IEC')?.shaftHeight.working.formula).toContain('frame number');
    expect(decodeFrame('284T', 'NEMA')?.shaftHeight.working.formula).toContain('\\dfrac{\\text{first two digits}}{4}');
    expect(decodeFrame('56C', 'NEMA')?.shaftHeight.working.formula).toContain('{16}');
    expect([decodeFrame('', 'NEMA'), decodeFrame('T', 'NEMA'), decodeFrame('99T', 'IEC')?.family]).toEqual([
      undefined,
      undefined,
      'NEMA',
    ]);
  });
  it('what a plate promises on a drive', () => {
    const said = (text: string, voltage: number | undefined = 460, year?: number) =>
      inverterStatement(text, voltage, year, 2026);
    expect(said('INVERTER DUTY CT 10:1 VT 20:1')).toMatchObject({
      verdict: 'made for a drive',
      constantTorqueRatio: 10,
      variableTorqueRatio: 20,
      withstand: { peak: expect.closeTo(1426, 6) as number, part: 31 },
    });
    expect(said('10:1 CT')).toMatchObject({
      verdict: 'takes a drive',
      constantTorqueRatio: 10,
      withstand: { peak: 1000, part: 30 },
    });
    expect(said('4:1')).toMatchObject({ constantTorqueRatio: 4 });
    expect(said('VT 10:1').constantTorqueRatio).toBeUndefined();
    expect(inverterStatement('MG 1 PART 31', undefined, undefined, 2026).withstand).toBeUndefined();
    expect(said('INV DUTY', 690).withstand).toBeUndefined();
    expect([said('', 460, 2019).verdict, said('', 460, 2018).verdict, said('').verdict]).toEqual([
      'confirm from the data sheet',
      'not proven',
      'not proven',
    ]);
    expect(said('INV DUTY CT 2:1').text).toBe('made for a drive, constant torque 2:1, peaks to 1426 V');
    const silent = (kind: 'drive' | 'starter', year: string) =>
      message(solved({ ...whole, year }, { situation: { kind } }), 'inverter-silent');
    expect(silent('drive', '1999')).toMatch(/^The plate says nothing about running on a drive, and the motor is old/);
    expect(silent('drive', '2026')).toMatch(/a motor this new may take one/);
    expect(silent('starter', '1999')).toBe('');
  });
  it('enclosures in both families, and explosion protection in any wording', () => {
    const means = (text: string) => decodeEnclosure(text).map(({ code, also }) => `${code}: ${also}`);
    expect(means('IP 55, IC 411')).toEqual(['IP 55: like TEFC, TENV or TEBC by its cooling', 'IC 411: like TEFC']);
    expect(means('TOTALLY ENCLOSED FAN COOLED').length).toBe(1);
    expect(means('IP23')[0]).toBe('IP23: like ODP');
    expect(decodeEnclosure('IC4')[0]?.code).toBe('IC4');
    expect(means('nothing')).toEqual([]);
    for (const text of [
      'TEXP',
      'EXPLOSION PROOF',
      'X-PROOF',
      'XPROOF',
      'Ex d IIB',
      'CLASS I GROUP D',
      'DIV. 2',
      'DIVISION 1',
      'ATEX',
    ])
      expect(isExplosionProtected(text), text).toBe(true);
    for (const text of ['TEFC', 'EXTERNAL FAN', 'CLASS F', 'DIVIDED', 'INDEX 2', 'DIV 3'])
      expect(isExplosionProtected(text), text).toBe(false);
  });
  it('greases that may meet', () => {
    expect([
      mixing('Polyurea A', 'polyurea a '),
      mixing('Lithium EP', 'lithium complex'),
      mixing('Polyurea', 'Lithium'),
      mixing('Blue', 'Lithium'),
      mixing('Blue', 'Red'),
    ]).toEqual(['same', expect.stringMatching(/same|different/) as string, 'different', 'not known', 'not known']);
    expect([
      thickenerOf('Aluminum complex'),
      thickenerOf('Bentone'),
      thickenerOf('Calcium sulphonate'),
      thickenerOf('x'),
    ]).toEqual(['aluminium complex', 'clay', 'calcium sulfonate', undefined]);
  });
  it('the frame to expect stands beside the rating, and only where that has one', () => {
    expect(solved(whole).values['nameplate.standardFrame']?.value).toBe('284T');
    expect(solved({ ...whole, power: '5000 hp', currents: '' }).values['nameplate.standardFrame']).toBeUndefined();
  });
});

describe('plates as text', () => {
  const fields = (text: string) => readPlate(text).fields as Record<string, unknown>;
  it.each<[string, Record<string, unknown>]>([
    ['DE BRG 6309-2Z/C3 ODE BRG 6207', { bearingDriveEnd: '6309-2Z/C3', bearingOppositeEnd: '6207' }],
    ['BEARINGS 6311 / 6209', { bearingDriveEnd: '6311', bearingOppositeEnd: '6209' }],
    [
      'HP 20 RPM 1765 V 460 A 24.5 HZ 60',
      { power: '20 hp', speed: '1765', voltages: '460', currents: '24.5', frequency: '60' },
    ],
    ['NOM EFF 93.0 PF 85.5 SF 1.15', { efficiency: '93.0', powerFactor: '85.5', serviceFactor: '1.15' }],
    ['AMB 40 °C DUTY CONT INS CL F', { ambient: '40 °C', thermalClass: 'F' }],
    ['SER NO 12-3456 MODEL XK 7', { serial: '12-3456' }],
  ])('%s', (text, expected) => {
    const read = fields(text);
    for (const [name, value] of Object.entries(expected))
      expect(String(read[name]).replaceAll('\u00a0', ' '), name).toContain(String(value));
  });
});
