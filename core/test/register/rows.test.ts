/** A motor written as a row of a spreadsheet and read again is the same motor. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plateSchema } from '../../src/job/job.ts';
import { columns, guessMapping, harmless, rowReader, writeRow } from '../../src/register/columns.ts';
import { shareOfPlate } from '../../src/register/plate-key.ts';
import { registeredMotorSchema, type RegisteredMotor } from '../../src/register/registered-motor.ts';

const header = columns.map(({ title }) => title);
const again = (motor: RegisteredMotor) =>
  rowReader(header, guessMapping(header), { site: 'elsewhere', school: 'IEC' })(writeRow(motor));

describe('a row of a list', () => {
  it('has a column for every field of a plate', () => {
    const names = new Set(columns.map(({ id }) => id));
    for (const name of Object.keys(plateSchema.shape)) expect(names, name).toContain(`plate.${name}`);
  });

  it('each column is found again by its own title', () => {
    expect(guessMapping(header)).toEqual(columns.map(({ id }) => id));
  });

  const figures: Readonly<Record<string, string>> = {
    power: '15 hp',
    voltages: '230/460 V',
    currents: '38/19 A',
    frequency: '60 Hz',
    poles: '4',
    speed: '1770 rpm',
    efficiency: '92.4 %',
    powerFactor: '0.83',
    serviceFactor: '1.15',
    startingCurrentRatio: '6.8',
    ambient: '-20 °C',
    lockedRotorCurrent: '116 A',
    mass: '203 lb',
    altPower: '12.5 hp',
    altVoltages: '190/380',
    altCurrents: '39/19.5',
    altFrequency: '50 Hz',
    altSpeed: '1465 rpm',
    altEfficiency: '91 %',
    altPowerFactor: '0.84',
    altServiceFactor: '1.0',
    measuredShaftHeight: '6.25 in',
    measuredShaftDiameter: '42 mm',
    measuredNoLoadSpeed: '1798 rpm',
    measuredNoLoadCurrent: '8.2 A',
    measuredResistance: '0.85 Ω',
    measuredSlots: '36',
    unreadable: 'true',
    speedInForce: 'second',
  };
  const words = fc
    .string({
      unit: fc.constantFrom('A', 'b', '7', '/', ' ', '=', '-', '+', '@', '＝', '＠', 'é', '"', ','),
      minLength: 1,
      maxLength: 10,
    })
    .map((text) => text.trim())
    .filter((text) => text !== '' && !text.startsWith("'"));

  it('keeps every field of the plate, signs that a spreadsheet would run included', () => {
    const names = Object.keys(plateSchema.shape);
    fc.assert(
      fc.property(fc.subarray(names), words, fc.constantFrom('NEMA', 'IEC'), (some, word, school) => {
        const plate = Object.fromEntries(
          some.map((name) => [name, name === 'unreadable' ? true : (figures[name] ?? word)]),
        );
        const motor = registeredMotorSchema.parse({ site: 'Mill', tag: 'M-1', school, plate, note: word });
        const read = again(motor);
        expect(read).toEqual({ ok: true, motor });
      }),
      { numRuns: 300 },
    );
  });

  it.each(['=1+1', '+1+1', '-1+1', '@now', '\t=1', '\r=1', '\n=1', '＝1+1', '＋1', '－1', '＠now'])(
    'quotes %j, and no figure',
    (cell) => {
      expect(harmless(cell)).toBe(`'${cell}`);
      expect([harmless('-12.5'), harmless('a=1'), harmless('')]).toEqual(['-12.5', 'a=1', '']);
    },
  );

  it('still refuses a formula that no export quoted', () => {
    for (const note of ['=1+1', '@now', '+cmd', '＝1+1', '＠now', '＋1', '－1']) {
      const row = header.map((title) => (title === 'Note' ? note : title === 'Tag' ? 'M-1' : ''));
      expect(rowReader(header, guessMapping(header), { site: '', school: 'NEMA' })(row).ok, note).toBe(false);
    }
  });
});

it.each([
  // 74 A of 68.5 A; of a plate with two currents the larger, since nobody knows which voltage it ran at.
  ['74 A', '68.5', 74 / 68.5],
  ['25', '38/19', 25 / 38],
  ['', '68.5', undefined],
  ['lots', '68.5', undefined],
  ['74 A', '', undefined],
] as const)('a reading of %s on a plate of %s A', (runningCurrent, currents, share) => {
  const motor = registeredMotorSchema.parse({ runningCurrent, plate: { currents } });
  const found = shareOfPlate(motor);
  if (share === undefined) expect(found).toBeUndefined();
  else expect(found).toBeCloseTo(share, 12);
});
