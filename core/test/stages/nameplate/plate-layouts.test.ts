/** Any plate, printed in a dozen layouts, reads back as it was. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readPlate } from '../../../src/stages/nameplate/read/read-plate.ts';

interface Item {
  readonly field: string;
  readonly label: string;
  readonly unit: string;
  readonly value: string;
  /** How the field keeps it. */
  readonly stored: string;
}
type Plate = readonly Item[];

const item = (
  field: string,
  label: string,
  unit: string,
  value: string,
  stored = value + (unit ? ` ${unit}` : ''),
): Item => ({
  field,
  label,
  unit,
  value,
  stored,
});
const oneOf = <T>(...values: T[]) => fc.constantFrom(...values);

const american = fc
  .record({
    hp: oneOf('5', '7-1/2', '15', '40', '125'),
    rpm: oneOf('1770', '3550', '1185', '885'),
    volts: oneOf('460', '230/460', '208-230/460', '575'),
    amps: oneOf('19', '38/19', '42-38/19', '6.6'),
    hertz: oneOf('60'),
    factor: oneOf('1.0', '1.15', '1.25'),
    code: oneOf('F', 'G', 'H', 'K', 'L'),
    design: oneOf('A', 'B', 'C', 'D'),
    frame: oneOf('184T', '254T', '286TS', '364TC', '143/5T', '56C'),
    efficiency: oneOf('91.7', '92.4', '95'),
    pf: oneOf('0.80', '0.84', '0.86'),
    enclosure: oneOf('TEFC', 'ODP'),
    insulation: oneOf('B', 'F', 'H'),
    ambient: oneOf('40', '50'),
    bearing: oneOf('6309-2Z/C3', '6311-2Z', '6206-2RS/C3'),
  })
  .map((plate): Plate => [
    item('power', 'HP', 'hp', plate.hp),
    item('speed', 'RPM', 'r/min', plate.rpm),
    item('voltages', 'VOLTS', 'V', plate.volts),
    item('currents', 'AMPS', 'A', plate.amps),
    item('frequency', 'HZ', 'Hz', plate.hertz),
    item('serviceFactor', 'SF', '', plate.factor),
    item('codeLetter', 'CODE', '', plate.code),
    item('designLetter', 'DES', '', plate.design),
    item('frame', 'FRAME', '', plate.frame),
    item('efficiency', 'NEMA NOM EFF', '', plate.efficiency, `${plate.efficiency} %`),
    item('powerFactor', 'PF', '', plate.pf),
    item('enclosure', 'ENCL', '', plate.enclosure),
    item('thermalClass', 'INS CL', '', plate.insulation),
    item('ambient', 'AMB', '', plate.ambient, `${plate.ambient} °C`),
    item('bearingDriveEnd', 'DE', '', plate.bearing),
  ]);
const metric = fc
  .record({
    kw: oneOf('0.75', '2.2', '5.5', '11', '110'),
    rpm: oneOf('1465', '2930', '970', '735'),
    volts: oneOf('400', '400/690', '230/400'),
    amps: oneOf('3.4', '21/12.1', '194'),
    pf: oneOf('0.78', '0.85'),
    frame: oneOf('90L', '132S', '160M', '315S'),
    ip: oneOf('IP54', 'IP55', 'IP65'),
    ic: oneOf('IC411', 'IC416'),
    ie: oneOf('IE2', 'IE3', 'IE4'),
    duty: oneOf('S1', 'S3 40 %', 'S2 30 min'),
    ratio: oneOf('6.8', '7.2'),
  })
  .map((plate): Plate => [
    item('power', 'P', 'kW', plate.kw),
    item('speed', 'n', 'r/min', plate.rpm),
    item('voltages', 'U', 'V', plate.volts),
    item('currents', 'I', 'A', plate.amps),
    item('frequency', 'f', 'Hz', '50'),
    item('powerFactor', 'cos φ', '', plate.pf),
    item('frame', '', '', plate.frame),
    item('enclosure', '', '', plate.ip),
    item('cooling', '', '', plate.ic),
    item('efficiencyClass', '', '', plate.ie),
    item('duty', '', '', plate.duty, plate.duty.toUpperCase()),
    item('startingCurrentRatio', 'Ia/In', '', plate.ratio),
  ]);

const labelled = ({ label, value }: Item, between = ' '): string => (label ? `${label}${between}${value}` : value);
const measured = ({ label, unit, value }: Item, between = ' '): string =>
  unit ? `${value}${between}${unit}` : label ? `${label} ${value}` : value;
const commas = (text: string): string => text.replaceAll(/(\d)\.(\d)/g, '$1,$2');

/** Layouts that put a label before each figure; American plates. */
const labelLayouts: Record<string, (plate: Plate) => string> = {
  'in one line': (plate) => plate.map((each) => labelled(each)).join(' '),
  'one to a line': (plate) => plate.map((each) => labelled(each)).join('\n'),
  'with colons': (plate) => plate.map((each) => labelled(each, ': ')).join('\n'),
  'with equal signs': (plate) => plate.map((each) => labelled(each, '=')).join('; '),
  'between bars': (plate) => plate.map((each) => labelled(each)).join(' | '),
  'in lower case': (plate) =>
    plate.map(({ label, ...each }) => labelled({ ...each, label: label.toLowerCase() })).join('  '),
  'with Windows line ends': (plate) => plate.map((each) => labelled(each)).join('\r\n'),
};
/** Layouts that put the unit after each figure; either school. */
const unitLayouts: Record<string, (plate: Plate) => string> = {
  'units behind': (plate) => plate.map((each) => measured(each)).join(' '),
  'units glued on': (plate) => plate.map((each) => measured(each, '')).join(' '),
  'units behind, one to a line': (plate) => plate.map((each) => measured(each)).join('\n'),
  'units behind, tabs and commas': (plate) => plate.map((each) => measured(each)).join(',\t'),
  'units behind, three to a line': (plate) =>
    plate.map((each, index) => measured(each) + (index % 3 === 2 ? '\n' : ' ')).join(''),
};

const shuffled = (plate: fc.Arbitrary<Plate>): fc.Arbitrary<Plate> =>
  plate.chain((items) => fc.shuffledSubarray([...items], { minLength: items.length, maxLength: items.length }));

function expectRead(text: string, plate: Plate, decimal = (stored: string): string => stored): void {
  const { fields, ignored } = readPlate(text);
  for (const { field, stored } of plate) expect(fields[field as 'power'], `${field} of ${text}`).toBe(decimal(stored));
  expect(ignored, text).toEqual([]);
}

describe('a plate in any order', () => {
  it.each(Object.entries(labelLayouts))('labels before, %s', (_, print) => {
    fc.assert(
      fc.property(shuffled(american), (plate) => expectRead(print(plate), plate)),
      { numRuns: 60 },
    );
  });
  it.each(Object.entries(unitLayouts))('%s', (_, print) => {
    fc.assert(
      fc.property(shuffled(metric), (plate) => expectRead(print(plate), plate)),
      { numRuns: 60 },
    );
    fc.assert(
      fc.property(american, (plate) => expectRead(print(plate), plate)),
      { numRuns: 60 },
    );
  });
  it('with decimal commas', () => {
    fc.assert(
      fc.property(shuffled(metric), (plate) =>
        expectRead(commas(plate.map((each) => measured(each)).join(' ')), plate, commas),
      ),
      { numRuns: 60 },
    );
  });
});

describe('every word is accounted for', () => {
  it('whatever is typed: tokens stand in order, cover the text, and know their place', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (text) => {
        let at = 0;
        for (const token of readPlate(text).tokens) {
          expect(token.from).toBeGreaterThanOrEqual(at);
          expect(text.slice(token.from, token.to)).toBe(token.text);
          at = token.to;
        }
      }),
      { numRuns: 500 },
    );
  });
  it('marks doubt where letters stand for digits, a label is missing or a value is absurd', () => {
    const { tokens } = readPlate('V 46O HP 15 RPM 99999 1770');
    expect(tokens.filter((token) => token.state === 'doubtful').map((token) => token.text)).toEqual([
      '46O',
      'RPM',
      '99999',
    ]);
  });
});
