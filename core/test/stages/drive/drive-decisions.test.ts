/**
 * What is decided of a drive, looked through by hand: its settings sheet and terminals line by line, what is proven of the motor, what is
 * bought beside it, the line side taken, every end of the speeds, and what brakes it. A motor of 15 kW at 400 V; rules of common practice.
 */
import { describe, expect, it } from 'vitest';
import { demoCatalogue } from '../../../../db/demo/catalogue.ts';
import type { DrivePart } from '../../../src/catalogue/catalogue.ts';
import { emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { demo } from '../../lib/demo.ts';

interface More {
  readonly [stage: string]: object | undefined;
}
const base: Readonly<Record<string, object>> = {
  situation: { kind: 'drive' },
  nameplate: {
    power: '15 kW',
    speed: '1470',
    voltages: '400',
    currents: '28',
    frequency: '50',
    thermalClass: 'F',
    powerFactor: '0.86',
    efficiency: '92',
  },
  load: { machine: 'fan', torqueKind: 'variable', torque: '80 N·m', speed: '1470', inertia: '4 kg·m²' },
  supply: { voltage: '400 V', frequency: '50 Hz', sourcePower: '630 kVA', sourceImpedance: '4 %' },
  profile: {
    control: 'damper',
    points: [
      { flow: '100 %', hours: '2000' },
      { flow: '60 %', hours: '4000' },
    ],
  },
  starting: { method: 'drive', speedControl: 'yes' },
  drive: { lead: '20 m' },
};
const job = (more: More = {}): JobInput => ({
  school: 'IEC',
  ...base,
  ...Object.fromEntries(Object.entries(more).map(([stage, part]) => [stage, { ...base[stage], ...part }])),
});
const solved = (more: More = {}, catalogue = demo): Solution => solve(emptyJob(job(more)), catalogue);
const pictures = (solution: Solution) => {
  const { drivePictures } = solution.details;
  if (!drivePictures) throw new Error('no drive');
  return drivePictures;
};
const text = (solution: Solution, name: string): string | undefined => solution.values[`drive.${name}`]?.text;
const figure = (solution: Solution, name: string): number => solution.values[`drive.${name}`]?.value as number;
const finding = (solution: Solution, code: string) => solution.findings.find((each) => each.code === `drive.${code}`);
/** Spaces that do not break are spaces here. */
const plain = (words: string): string => words.replaceAll('\u00a0', ' ');

const hoist: More = {
  load: {
    machine: 'other',
    torqueKind: 'constant',
    way: 'hoist',
    movedMass: '900 kg',
    linearSpeed: '0.9 m/s',
    machineEfficiency: '95 %',
    speed: '1460',
    holdingBrake: 'yes',
  },
  starting: { closedLoop: 'yes', braking: 'chopper', reversing: 'yes' },
};

const PRACTICE = 'common practice, no published source';

describe('the settings sheet', () => {
  const lines = (more: More): string[] =>
    pictures(solved(more)).settings.map(({ id, value, from }) => plain(`${id} | ${value} | ${from}`));

  it('of a fan on its present motor, line by line', () => {
    expect(lines({})).toEqual([
      'ratedVoltage | 400 V | nameplate',
      'ratedFrequency | 50 Hz | nameplate',
      'ratedCurrent | 28.0 A | nameplate, at that voltage',
      'ratedSpeed | 1470 r/min | nameplate; full-load speed, never the synchronous one',
      'ratedPower | 15 kW | nameplate',
      'powerFactor | 0.860 | nameplate',
      'poles | 4 | nameplate',
      'supplyVoltage | 400 V | this job',
      'controlMode | volts per hertz | load, motors and encoder',
      `carrier | 4 kHz | ${PRACTICE}`,
      'filter | dV/dt filter | cable and winding',
      'earthLinks | left in | how the supply is earthed',
      'leastFrequency | 2.5 Hz | volts per hertz hold no torque below',
      'mostFrequency | 50 Hz | speed of this job',
      'baseFrequency | 50 Hz | motor rated frequency',
      'baseVoltage | 400 V | motor rated voltage',
      `boost | none, or as it turns away | kind of load; too much heats the motor at low speed, ${PRACTICE}`,
      `rampUp | 8 s | ${PRACTICE}`,
      'rampDown | 16 s | masses, load and pipe',
      'rampEmergency | as the ramp down | this job',
      `rampShape | straight | machine, ${PRACTICE}`,
      'currentLimit | 33.4 A | overload of the drive, or this job',
      `torqueLimit | by the current limit | ${PRACTICE}`,
      'overloadCurrent | 28.0 A | nameplate current at the connected voltage; no service factor',
      `overloadClass | 10 | ${PRACTICE}`,
      'selfVentilated | yes | cooling of the motor',
      'thermistor |  | look into the terminal box',
      'command | start and stop buttons (three-wire) | this job',
      'reference | 4–20 mA | this job',
      `referenceLow | 0 Hz | ${PRACTICE}`,
      'referenceHigh | 50 Hz | highest frequency',
      'lostReference | stop and tell | this job; below 3.6 mA it is lost',
      `stopMode | coasting | machine, ${PRACTICE}`,
      `flyingStart | yes | machine, ${PRACTICE}`,
      `faultRelay | opens at a fault and without power | ${PRACTICE}`,
      'restart | waits to be started | this job',
      'tuned |  | cold, motor connected',
      'password |  | plant',
      'setBy |  | whoever sets it',
    ]);
  });

  it('of a hoist braked by dc still says what comes back while it lowers', () => {
    const lowered = solved({ ...hoist, drive: { dcBrake: true, stopTime: '1 s' } });
    expect(figure(lowered, 'brakePeakPower')).toBeGreaterThan(5000);
    expect(finding(lowered, 'stop-too-short')).toBeUndefined();
    expect(
      solved({ load: { inertia: '20 kg·m²' }, drive: { dcBrake: true, stopTime: '6 s' } }).values,
    ).not.toHaveProperty(['drive.brakePeakPower']);
  });

  it('of a hoist says what else it is asked', () => {
    const all = lines({
      ...hoist,
      drive: {
        resonances: '23/41 Hz',
        command: 'two-wire',
        reference: 'PID',
        earthing: 'unearthed',
        restart: 'yes',
        lostReference: 'hold',
        carrier: '5 kHz',
      },
      nameplate: { thermalProtection: 'PTC' },
    });
    for (const line of [
      'controlMode | vector, with encoder | load, motors and encoder',
      'carrier | 5 kHz | this job',
      'earthLinks | taken out | how the supply is earthed',
      `boost | by self-tuning | kind of load; too much heats the motor at low speed, ${PRACTICE}`,
      `rampShape | S, a fifth of the ramp at each end | machine, ${PRACTICE}`,
      'skip1 | 21.5 Hz to 24.5 Hz | resonance typed in this job, 1.5 Hz to either side',
      'skip2 | 39.5 Hz to 42.5 Hz | resonance typed in this job, 1.5 Hz to either side',
      'thermistor | wired in, trip | nameplate',
      'command | a contact (two-wire) | this job; let it wait when power comes back',
      'lostReference | go on as before | this job; below 3.6 mA it is lost',
      `stopMode | its ramp | machine, ${PRACTICE}`,
      `flyingStart | no | machine, ${PRACTICE}`,
      'restart | starts by itself | this job',
      'brakeOpens | when torque is proven | load that can fall',
      'brakeCloses | at a speed near zero, torque held until it is shut | load that can fall',
      'setPoint |  | process',
      'sleep |  | process; asleep at the lowest frequency for a while',
    ])
      expect(all).toContain(line);
    expect(all.filter((line) => line.startsWith('reference'))).toEqual(['reference | PID | this job']);
  });

  it('what is typed in the job comes before what is usual', () => {
    const own = lines({
      starting: { driveRamp: '12 s', driveCurrentLimit: '1.05' },
      drive: {
        stopRamp: '20 s',
        mostFrequency: '45 Hz',
        leastFrequency: '20 Hz',
        referenceLow: '5 Hz',
        referenceHigh: '40 Hz',
        cooling: 'blower',
        motors: '2',
      },
      profile: { points: [{ flow: '80 %', hours: '3000' }] },
    });
    for (const line of [
      'rampUp | 12 s | this job',
      'rampDown | 20 s | this job',
      'mostFrequency | 45 Hz | this job',
      'leastFrequency | 20 Hz | typed in this job',
      'referenceLow | 5 Hz | this job',
      'referenceHigh | 40 Hz | this job',
      'selfVentilated | no | cooling of the motor',
      // 1.05 times 28 A, of both motors.
      'currentLimit | 58.8 A | overload of the drive, or this job',
      'tuned |  | not with several motors',
      `stopMode | its ramp | machine, ${PRACTICE}`,
    ])
      expect(own).toContain(line);
  });

  it('the highest frequency reaches the fastest row, no further than the range; speeds count on the motor’s own frequency', () => {
    const highest = (more: More): string =>
      pictures(solved(more)).settings.find(({ id }) => id === 'mostFrequency')?.value ?? '';
    const row = (flow: string) => ({ control: 'damper', points: [{ flow, hours: '100' }] });
    expect(plain(highest({ load: { torque: '60 N·m' }, profile: row('110 %') }))).toBe('55 Hz');
    expect(plain(highest({ profile: row('70 %') }))).toBe('50 Hz');
    // A 60 Hz motor on a 50 Hz system: 30 of its 60 Hz are half of its speed.
    const other = solved({
      nameplate: { frequency: '60', speed: '1765' },
      drive: { leastFrequency: '30 Hz' },
      profile: row('100 %'),
    });
    expect(pictures(other).range.least).toMatchObject({ share: 0.5, why: 'typed in this job' });
    expect(figure(other, 'leastSpeed')).toBeCloseTo((0.5 * 1765 * Math.PI) / 30, 6);
    expect(plain(pictures(other).settings.find(({ id }) => id === 'leastFrequency')?.value ?? '')).toBe('30 Hz');
  });
});

describe('the terminal plan', () => {
  const plan = (more: More): string[] =>
    pictures(solved(more)).terminals.map(({ side, role, goesTo, wire }) => `${side}: ${role} → ${goesTo} (${wire})`);

  it('of buttons and a signal', () => {
    expect(plan({})).toEqual([
      'power in: L1 L2 L3 → isolator and short-circuit device (as Protection & wiring sizes it)',
      'power in: Earth → earth bar (never smaller than the table’s)',
      'power out: U V W → dV/dt filter, then motor (shield clamped all round at both ends)',
      'power out: Earth of the motor → motor frame, bonded to the machine’s (in the motor cable)',
      'control: Start → button, closes (volt-free contact)',
      'control: Stop → button, opens (volt-free contact; a broken wire stops it)',
      'control: Speed → 4–20 mA of the controller (screened pair, 200 mm away from power)',
      'control: Fault relay → alarm or controller (volt-free contact)',
    ]);
  });

  it('of a hoist with everything', () => {
    const drive = { command: 'two-wire', reference: 'PID', safeOff: true, bypass: true };
    expect(plan({ ...hoist, drive, nameplate: { thermalProtection: 'PTC' } })).toEqual([
      'power in: L1 L2 L3 → isolator, then its own contactor (as Protection & wiring sizes it)',
      'power in: Earth → earth bar (never smaller than the table’s)',
      'power out: U V W → dV/dt filter, then bypass contactors, then motor (shield clamped all round at both ends)',
      'power out: Earth of the motor → motor frame, bonded to the machine’s (in the motor cable)',
      'power out: Chopper → brake resistor (its thermal switch opens the input)',
      'control: Run → contact that stays closed (volt-free contact)',
      'control: Reverse → contact or button (volt-free contact)',
      'control: Measured value → transmitter, 4–20 mA (screened pair, 200 mm away from power)',
      'control: Safe torque off, two channels → emergency-stop relay (two wires apart; bridges taken out)',
      'control: Thermistors → motor winding (screened pair, 200 mm away from power)',
      'control: Encoder → motor shaft, insulated from it (screened pairs, screen at the drive)',
      'control: Brake relay → coil of the holding brake, by a contactor (suppressed coil)',
      'control: Fault relay → alarm or controller (volt-free contact)',
    ]);
  });

  it('of a fieldbus, a keypad, and a motor that needs no filter', () => {
    const control = (drive: object): string[] =>
      plan({ drive: { lead: '2 m', ...drive } }).filter((line) => /^control|U V W/.test(line));
    const relay = 'control: Fault relay → alarm or controller (volt-free contact)';
    const motor = 'power out: U V W → motor (shield clamped all round at both ends)';
    expect(control({ command: 'fieldbus', reference: 'fieldbus' })).toEqual([
      motor,
      'control: Fieldbus → controller (its own cable, ended at both ends)',
      relay,
    ]);
    expect(control({ command: 'keypad', reference: 'keypad' })).toEqual([motor, relay]);
    expect(control({ command: 'keypad', reference: '0–10 V' })).toEqual([
      motor,
      'control: Speed → 0–10 V of the controller (screened pair, 200 mm away from power)',
      relay,
    ]);
  });
});

describe('whether this motor may run on a drive', () => {
  const proofs = (more: More, catalogue = demo): string[] =>
    pictures(solved(more, catalogue)).proofs.map(({ of, state, says }) => `${of}: ${state}. ${says}`);
  const verdict = (more: More): string | undefined => text(solved(more), 'verdict');
  const BEARINGS =
    'Bearings: assumed. symmetrical cable with three earths, shield clamped all round at both ends, frames bonded';
  const FAN = 'Cooling: assumed. By the fan on its shaft, after a curve recalled only roughly.';

  it('an old one whose cable is not known asks three things, and its maker in a letter', () => {
    const old = {
      nameplate: { year: '1989', thermalClass: 'B', asRead: 'OLD 15 KW', serial: 'X1', frame: '160L' },
      drive: { lead: '' },
    };
    expect(proofs(old)).toEqual([
      'Winding: ask. Bears 1000 V; the length of the cable is not known.'.replace('1000 V', '1000\u00a0V'),
      'Insulation class: assumed. Class B: little heat to spare for the extra losses of a drive.',
      BEARINGS,
      'Speed range: proven. Runs 882 r/min to 1470 r/min; may run 74 r/min to 1570 r/min.',
      FAN,
      'Age: ask. Made in 1989, 37 years old.',
      'Plate: ask. not proven',
    ]);
    expect(verdict(old)).toBe('yes, once 3 things are answered');
    expect(plain(pictures(solved(old)).letter).split('\n')).toEqual([
      'Motor',
      '',
      'We mean to run this motor on a frequency converter at 400 V: 15 kW, 4 poles, 28.0 A, 160L, serial number X1.',
      'Its plate reads: OLD 15 KW',
      '',
      'Please tell us:',
      '1. Was it rewound since it was made, and with which wire?',
      '2. Which peak voltage at its terminals, and which rise time, does the winding bear on a drive?',
      '3. Between which speeds may it run at full torque, and up to which at constant power?',
      '4. Is the bearing opposite the drive end insulated?',
    ]);
  });

  it('one made for it, with a blower, has nothing to ask', () => {
    const made = { nameplate: { inverter: 'inverter duty 10:1 CT' }, drive: { cooling: 'blower' } };
    expect(proofs(made).map(plain)).toEqual([
      'Winding: proven. 1103 V reach it; it bears 1240 V.',
      'Insulation class: proven. Class F.',
      BEARINGS,
      'Speed range: proven. Runs 882 r/min to 1470 r/min; may run 74 r/min to 1570 r/min.',
      'Cooling: proven. A blower of its own cools it at any speed.',
      'Age: assumed. Not known.',
      'Plate: proven. made for a drive, constant torque 10:1, peaks to 1240 V',
    ]);
    expect(verdict(made)).toBe('yes, on what is assumed');
    expect(pictures(solved(made)).letter).toBe('');
  });

  it('a new one is proven by what the catalogue says of it', () => {
    const fresh = (inverterDuty: boolean) =>
      proofs(
        { situation: { kind: 'new' }, nameplate: {}, drive: { lead: '2 m' } },
        { ...demo, motors: demo.motors.map((each) => ({ ...each, inverterDuty })) },
      ).map(plain);
    expect(fresh(true).filter((line) => /^(Winding|Cooling|Age|Plate)/.test(line))).toEqual([
      'Winding: proven. 709 V reach it; it bears 1240 V.',
      'Cooling: proven. Made for low speed on a drive.',
      'Age: proven. New.',
      'Plate: proven. Made for a drive.',
    ]);
    expect(fresh(false).filter((line) => /^(Winding|Cooling|Age|Plate)/.test(line))).toEqual([
      'Winding: proven. 709 V reach it; it bears 1000 V.',
      FAN,
      'Age: proven. New.',
      'Plate: assumed. General purpose: to MG 1 Part 30.',
    ]);
    expect(verdict({ situation: { kind: 'new' }, nameplate: {} })).toBe('yes');
  });

  it('fails where its winding or its speeds do, and says one thing for one', () => {
    const bare = { drive: { filter: 'none', lead: '80 m' } };
    expect(proofs(bare).map(plain)).toContain(
      'Winding: fails. 1103 V reach it; it bears 1000 V, taken for a silent plate.',
    );
    expect(verdict(bare)).toBe('not like this');
    const fast = {
      profile: { control: 'damper', points: [{ flow: '115 %', hours: '100' }] },
      drive: { windingPeak: '1600 V' },
    };
    expect(proofs(fast)).toContain(
      'Speed range: fails. Runs 1690 r/min to 1690 r/min; may run 74 r/min to 1570 r/min.'.replace(
        '1690 r/min to 1690',
        '1691 r/min to 1691',
      ),
    );
    expect(verdict(fast)).toBe('not like this');
    expect(verdict({ nameplate: { year: '2024' }, drive: { lead: '2 m' } })).toBe('yes, once one thing is answered');
    expect(proofs({ nameplate: { thermalClass: '' } })).toContain('Insulation class: ask. Not on the plate.');
  });

  it('says in one line what is decided', () => {
    expect(solved({ drive: { lead: '2 m', lineSide: 'none' }, nameplate: { year: '2024' } }).stages.drive.summary).toBe(
      'Motor yes, once one thing is answered',
    );
    expect(solved().stages.drive.summary).toBe('Motor yes, once 2 things are answered · dV/dt filter · choke 3 %');
  });
});

describe('what stands beside the drive', () => {
  const part = (kind: DrivePart['kind'], id: string, price: number, more: Partial<DrivePart> = {}): DrivePart => ({
    kind,
    id,
    maker: 'Made up',
    series: 'P',
    name: id,
    price,
    leadDays: 1,
    voltageMax: 500,
    currentMax: 40,
    ...more,
  });
  const bought = (more: More, accessories: readonly DrivePart[], choke: boolean | undefined = false) => {
    const catalogue = {
      ...demo,
      drives: demo.drives.map((each) => ({ ...each, choke })),
      accessories: [...accessories],
    };
    const solution = solved(more, catalogue);
    return {
      ids: solution.details.bill
        .filter(({ kind }) => kind === 'accessory')
        .map(({ part: name, note }) => `${name}, ${note}`),
      lacks: finding(solution, 'part-missing')?.message,
      solution,
    };
  };
  const filters = [
    part('dV/dt filter', 'small', 10, { currentMax: 27 }),
    part('dV/dt filter', 'low', 20, { voltageMax: 240 }),
    part('dV/dt filter', 'short', 30, { longestLead: 15 }),
    part('dV/dt filter', 'dear', 90),
    part('dV/dt filter', 'right', 50, { longestLead: 20 }),
    part('line choke', 'weak', 5, { reactance: 0.02 }),
    part('line choke', 'three', 15, { reactance: 0.03 }),
    part('line choke', 'five', 25, { reactance: 0.05 }),
  ];

  it('the least costly filter that carries the current, the voltage and the cable; a choke of enough reactance', () => {
    expect(bought({}, filters).ids).toEqual([
      'right, at the output of the drive',
      'three, at the input of the drive, 3 %',
    ]);
    expect(bought({ drive: { lead: '25 m' } }, filters).ids[0]).toBe('dear, at the output of the drive');
    expect(bought({ drive: { lead: '2 m', lineSide: 'choke 5 %' } }, filters).ids).toEqual([
      'five, at the input of the drive, 5 %',
    ]);
  });

  it('a choke inside the drive is not bought again, one of 5 % is', () => {
    expect(bought({ drive: { lead: '2 m' } }, filters, true).ids).toEqual([]);
    expect(bought({ drive: { lead: '2 m', lineSide: 'choke 5 %' } }, filters, true).ids).toEqual([
      'five, at the input of the drive, 5 %',
    ]);
  });

  it('what the catalogue has not got is told by its name', () => {
    expect(bought({}, []).lacks).toBe(
      'The catalogue has no suitable dV/dt filter, line choke; the price is not included.',
    );
    expect(bought({ drive: { lead: '2 m', lineSide: 'active front end' } }, []).lacks).toContain(
      'drive with active front end',
    );
    expect(bought({ drive: { lead: '2 m', lineSide: '12-pulse' } }, []).lacks).toContain('drive with 12-pulse input');
    expect(bought({ drive: { lead: '2 m', lineSide: 'none' } }, []).lacks).toBeUndefined();
  });

  it('reactor, sine and passive filters by their kinds, and a ring where a bearing was fluted', () => {
    const kinds = [
      part('output reactor', 'reactor', 1),
      part('sine filter', 'sine', 2),
      part('passive filter', 'passive', 3),
      part('shaft ring', 'ring', 4),
    ];
    const of = (drive: object): string[] =>
      bought({ drive: { windingPeak: '1600 V', lineSide: 'none', ...drive } }, kinds).ids;
    expect(of({ filter: 'reactor' })).toEqual(['reactor, at the output of the drive']);
    expect(of({ filter: 'sine' })).toEqual(['sine, at the output of the drive']);
    expect(of({ lineSide: 'passive filter' })).toEqual(['passive, at the input of the drive']);
    expect(of({ fluted: true })).toEqual(['ring, earths the shaft of the motor']);
    expect(of({})).toEqual([]);
  });

  it('a resistor between both limits that bears the mean power and the energy of a stop', () => {
    const stop = {
      starting: { braking: 'chopper' },
      drive: { lead: '2 m', lineSide: 'none', stopTime: '10 s', stopEvery: '60 s' },
    };
    const { solution } = bought(stop, []);
    const [most, least] = [figure(solution, 'brakeResistorMax'), figure(solution, 'brakeResistorMin')];
    const [mean, energy] = [figure(solution, 'brakeMeanPower'), figure(solution, 'brakeEnergy')];
    expect(mean).toBeCloseTo(energy / 60, 6);
    expect(least).toBeLessThan(most);
    const resistor = (id: string, price: number, more: Partial<DrivePart>): DrivePart =>
      part('brake resistor', id, price, {
        voltageMax: 1000,
        resistance: 0.99 * most,
        meanPower: mean,
        energy,
        ...more,
      });
    const offered = [
      resistor('high', 1, { resistance: 1.01 * most }),
      resistor('low', 2, { resistance: 0.99 * least }),
      resistor('cool', 3, { meanPower: 0.9 * mean }),
      resistor('thin', 4, { energy: 0.9 * energy }),
      resistor('right', 5, {}),
      resistor('dear', 6, {}),
    ];
    expect(bought(stop, offered).ids).toEqual(['right, for the chopper']);
    expect(bought({ ...stop, starting: { braking: 'regenerative' } }, offered).ids).toEqual([]);
  });
});

describe('the line side that is taken', () => {
  const side = (more: More): string | undefined => text(solved(more), 'lineSide');
  const weak = { supply: { sourcePower: '60 kVA' } };

  it('nothing on a weak source; a choke on a stiff or unknown one, beside other drives, on a generator', () => {
    expect(side(weak)).toBe('nothing');
    expect(side({})).toBe('choke 3 %');
    expect(side({ supply: { sourcePower: '' } })).toBe('choke 3 %');
    expect(side({ ...weak, drive: { otherDrives: '5 A' } })).toBe('choke 3 %');
    expect(side({ supply: { source: 'generator', sourcePower: '200 kVA', sourceImpedance: '16 %' } })).toBe(
      'choke 3 %',
    );
    expect(side({ ...weak, drive: { demandCurrent: '80 A' } })).not.toBe('nothing');
  });

  it('the first that passes, told with what would not; never a passive filter on a generator', () => {
    const asked = solved({ drive: { demandCurrent: '60 A' } });
    expect(text(asked, 'lineSide')).toBe('choke 5 %');
    expect(asked.values['drive.lineSide']?.working.note).toBe(
      'The least costly that passes with a tenth in hand; would not pass: none, choke 3 %.',
    );
    const remedies = pictures(asked).line.remedies.map(({ side: name, passes }) => [name, passes]);
    expect(remedies).toEqual([
      ['none', false],
      ['choke 3 %', false],
      ['choke 5 %', true],
      ['passive filter', true],
      ['12-pulse', true],
      ['18-pulse', true],
      ['active front end', true],
    ]);
    const generator = { supply: { source: 'generator', sourcePower: '45 kVA', sourceImpedance: '16 %' } };
    for (const demandCurrent of ['200 A', '60 A', '30 A'])
      expect(side({ ...generator, drive: { demandCurrent } })).not.toBe('passive filter');
  });

  it('where none has a tenth in hand the least within the limits, where none is within them a choke and a word', () => {
    const generator = (otherDrives: string) =>
      solved({
        supply: { source: 'generator', sourcePower: '60 kVA', sourceImpedance: '16 %' },
        drive: { otherDrives },
      });
    const near = generator('20 A');
    const taken = pictures(near).line.remedies.find(({ side: name }) => name === text(near, 'lineSide'));
    expect(taken).toMatchObject({ passes: false, within: true });
    expect(near.values['drive.lineSide']?.working.note).toContain('the least costly within the limits');
    const far = generator('60 A');
    expect(text(far, 'lineSide')).toBe('choke 3 %');
    expect(far.values['drive.lineSide']?.working.note).toContain('mended first');
    expect(finding(far, 'voltage-distortion')).toBeDefined();
  });

  it('currents go with the load: I₁ of 12.32 kW at the shaft, its fifth and seventh by the spectrum there', () => {
    const whole = solved();
    const [fifth, seventh] = pictures(whole).line.orders;
    // 80 N·m at 1470 r/min; 92 % of the motor, 97 % of the drive, cos φ₁ 0.97.
    const first = (80 * ((1470 * Math.PI) / 30)) / (0.92 * 0.97 * Math.sqrt(3) * 400 * 0.97);
    expect((fifth?.current ?? 0) / first).toBeGreaterThan(0.4);
    expect((fifth?.current ?? 0) / first).toBeLessThan(0.52);
    expect((seventh?.current ?? 0) / (fifth?.current ?? 1)).toBeCloseTo(0.47, 1);
    // Less load: fewer amperes, a larger share.
    const half = solved({ load: { torque: '40 N·m' } });
    const less = pictures(half).line.orders[0]?.current ?? 0;
    expect(less).toBeLessThan(fifth?.current ?? 0);
    expect(less / (first / 2)).toBeGreaterThan((fifth?.current ?? 0) / first);
    expect(pictures(solved({ drive: { motors: '2' } })).line.orders[0]?.current).toBeGreaterThan(fifth?.current ?? 9);
  });

  it('offers the first that passes where another was typed, and nothing where it is the one', () => {
    const typed = solved({ drive: { demandCurrent: '60 A', lineSide: 'none' } });
    expect(finding(typed, 'demand-distortion')?.mends?.[0]?.set).toEqual({ 'drive.lineSide': 'choke 5 %' });
    expect(finding(solved({ drive: { demandCurrent: '60 A' } }), 'demand-distortion')).toBeUndefined();
    const orders = pictures(typed).line.orders;
    // 22.7 kA over 60 A: the row from 100 to 1000, 12 % of 60 A for the fifth, 5.5 for the eleventh.
    expect(orders[0]?.limit).toBeCloseTo(7.2, 9);
    expect(orders[2]?.limit).toBeCloseTo(3.3, 9);
    expect(pictures(solved()).line.orders[0]?.limit).toBeUndefined();
  });
});

describe('the ends of the speeds', () => {
  const ends = (more: More, catalogue = demo) => {
    const { leasts, mosts } = pictures(solved(more, catalogue)).range;
    const said = (all: typeof leasts): string[] => all.map(({ share, why }) => `${share.toFixed(3)} ${why}`);
    return { least: said(leasts), most: said(mosts) };
  };

  it('of a fan: volts per hertz 1:20; (1/0.821)^⅓, (Tb/1.5/0.821)^¼, and what MG 1 allows a rotor', () => {
    const share = (80 * ((1470 * Math.PI) / 30)) / 15_000;
    const { least, most } = ends({});
    expect(least).toEqual(['0.050 volts per hertz hold no torque below']);
    expect(most[0]).toBe(`${((1 / share) ** (1 / 3)).toFixed(3)} there the load takes its rated power`);
    expect(most).toHaveLength(3);
    // 20 hp, four poles: 3600 r/min.
    expect(most[2]).toBe(`${(3600 / 1470).toFixed(3)} its rotor and bearings bear no more; ask the maker`);
  });

  it('of constant torque: 1:50 without an encoder, none with one; 1/0.7 of power; the gear splashes from 15 Hz', () => {
    const constant = { load: { machine: 'other', torqueKind: 'constant', torque: '49 N·m' } };
    const share = (49 * ((1470 * Math.PI) / 30)) / 15_000;
    expect(ends(constant).least).toContain('0.020 without an encoder it is not steered below');
    expect(ends({ ...constant, starting: { closedLoop: 'yes' } }).least.join()).not.toContain('encoder');
    expect(ends(constant).most).toContain(`${(1 / share).toFixed(3)} there the load takes its rated power`);
    const geared = {
      load: { ...constant.load, torque: '400 N·m', speed: '147', stages: [{ kind: 'helical gear', ratio: '10' }] },
    };
    expect(ends(geared).least[0]).toBe('0.300 the oil of the gear no longer splashes');
  });

  it('its own fan cools 70 % of the torque from where the curve of MG 1 reaches it; a blower or TEBC at any speed', () => {
    const heavy = (more: object = {}, plate: object = {}) =>
      ends({
        load: { machine: 'other', torqueKind: 'constant', torque: '68.2 N·m' },
        nameplate: plate,
        drive: more,
      }).least;
    // 70 % of rated; the curve has 64/95 at 15 of 60 Hz and 70/95 at 20: straight between, 66.5/95 at 17.08 Hz.
    const [cooled = ''] = heavy();
    expect(Number(cooled.slice(0, 5))).toBeCloseTo(17.08 / 60, 2);
    expect(cooled).toContain('its own fan no longer cools it');
    expect(heavy({ cooling: 'blower' })).toEqual(['0.020 without an encoder it is not steered below']);
    expect(heavy({}, { enclosure: 'TEBC' })).toEqual(['0.020 without an encoder it is not steered below']);
    expect(heavy({ cooling: 'own fan' }, { enclosure: 'TEBC' })[0]).toContain('its own fan');
    // The plate promises 10:1.
    expect(Number((heavy({}, { inverter: 'CT 10:1' })[0] ?? '').slice(0, 5))).toBeCloseTo(0.1, 2);
  });

  it('an open motor has a table of its own; a machine or a typed frequency ends it sooner', () => {
    const small = { nameplate: { power: '4 kW', currents: '8.4' }, load: { torque: '20 N·m' } };
    const rotor = (enclosure: string): string =>
      ends({
        ...small,
        nameplate: { ...small.nameplate, poles: '2', speed: '2900', enclosure },
        load: { torque: '10 N·m', speed: '2900' },
      })
        .most.find((line) => line.includes('rotor'))
        ?.slice(0, 5) ?? '';
    // 7.5 hp, two poles: 5400 r/min closed, 7200 open.
    expect(rotor('TEFC')).toBe((5400 / 2900).toFixed(3));
    expect(rotor('ODP')).toBe((7200 / 2900).toFixed(3));
    expect(ends({ drive: { machineSpeed: '1500 r/min' } }).most[0]).toBe('1.020 the machine bears no more');
    expect(ends({ drive: { mostFrequency: '48 Hz' } }).most[0]).toBe('0.960 typed in this job');
  });

  it('a row just inside counts as inside, one just outside is told at its field', () => {
    const at = (flow: string) =>
      solved({ profile: { control: 'damper', points: [{ flow, hours: '100' }] }, drive: { mostFrequency: '50 Hz' } });
    expect(finding(at('100.4 %'), 'above-most')).toBeUndefined();
    expect(finding(at('101 %'), 'above-most')?.field).toBe('profile.points.0.flow');
  });
});

describe('what brakes', () => {
  const heavyFan = { load: { inertia: '40 kg·m²' } };
  const stop = (more: More) => solved({ ...heavyFan, ...more });

  it('without a resistor a stop too short trips, and is mended by one; with one the drive’s own limit counts', () => {
    const bare = finding(stop({ drive: { stopTime: '5 s' } }), 'stop-too-short');
    expect(bare?.message).toContain('a stop in 5\u00a0s trips it on overvoltage');
    expect(bare?.mends?.[0]?.set).toEqual({ 'starting.braking': 'chopper' });
    const beyond = finding(stop({ starting: { braking: 'chopper' }, drive: { stopTime: '5 s' } }), 'stop-too-short');
    expect(beyond?.message).toMatch(/^A stop in 5\u00a0s requires \d{3,4} % of the available drive torque\.$/);
    expect(beyond?.clear).toBe('Allow a longer deceleration time, or select a larger drive.');
    expect(beyond?.field).toBe('drive.stopTime');
    expect(
      finding(stop({ starting: { braking: 'chopper' }, drive: { stopTime: '120 s' } }), 'stop-too-short'),
    ).toBeUndefined();
  });

  it('a resistor is too high or too low in words with both limits; what feeds back needs none', () => {
    const typed = (resistor: string) =>
      stop({ starting: { braking: 'chopper' }, drive: { stopTime: '80 s', resistor } });
    expect(finding(typed('2000 Ω'), 'resistor')?.message).toContain('is too large, maximum');
    const low = typed('1 Ω');
    expect(finding(low, 'resistor')?.message).toBe(
      `The braking resistor of 1.00\u00a0Ω overloads the chopper, minimum ${text(low, 'brakeResistorMin') ?? ''}.`,
    );
    const back = stop({ starting: { braking: 'regenerative' }, drive: { stopTime: '80 s' } });
    expect(text(back, 'brakePeakPower')).toBeDefined();
    expect(text(back, 'brakeResistorMax')).toBeUndefined();
  });

  it('where the stop needs less ohms than the chopper bears no resistor fits', () => {
    const drives = demoCatalogue().drives.map((each) => ({ ...each, leastResistor: 100, brakeVoltage: 700 }));
    const none = solved(
      { ...heavyFan, starting: { braking: 'chopper' }, drive: { stopTime: '30 s' } },
      { ...demo, drives },
    );
    expect(finding(none, 'resistor')?.message).toContain('No braking resistor fits');
    expect(finding(none, 'resistor')?.field).toBe('drive.stopTime');
    expect(none.values['drive.brakeResistorMin']).toMatchObject({ value: 100, origin: 'looked up' });
    // 700 V instead of the usual 750.
    expect(figure(none, 'brakeResistorMax') * figure(none, 'brakePeakPower')).toBeCloseTo(700 ** 2, 3);
  });

  it('braking for more than a fifth of the time could be fed back: its mean over its first power', () => {
    const often = solved({
      ...heavyFan,
      starting: { braking: 'chopper' },
      drive: { stopTime: '60 s', stopEvery: '100 s' },
    });
    const share = figure(often, 'brakeMeanPower') / figure(often, 'brakePeakPower');
    expect(finding(often, 'regenerate')?.message).toBe(
      `The drive brakes for about ${Math.round(share * 100)} % of the time; this energy can be regenerated.`,
    );
  });

  it('a pipe and a ramp up offer the next whole second', () => {
    const pump = { load: { machine: 'pump' }, drive: { lead: '2 m', pipeLength: '550 m', stopRamp: '2 s' } };
    const slams = finding(solved(pump), 'pipe-ramp');
    expect(slams?.message).toContain('shorter than the minimum of 3.83');
    expect(slams?.mends?.[0]?.set).toEqual({ 'drive.stopRamp': '4 s' });
  });
});

describe('cable, filter and bearings', () => {
  it('says which peak, over what cable, and offers both filters; behind a filter only the stronger', () => {
    const bare = finding(solved({ drive: { filter: 'none', lead: '80 m' } }), 'winding-peak');
    expect(plain(bare?.message ?? '')).toBe(
      'The peak terminal voltage over 80 m of motor cable is 1103 V, winding withstand 1000 V.',
    );
    expect(bare?.mends?.map(({ set }) => set)).toEqual([{ 'drive.filter': 'dV/dt' }, { 'drive.filter': 'sine' }]);
    const reactor = finding(solved({ drive: { filter: 'reactor', lead: '80 m' } }), 'winding-peak');
    expect(reactor?.message).toContain('peak terminal voltage');
    expect(reactor?.mends).toHaveLength(2);
    const behind = finding(solved({ drive: { filter: 'dV/dt', lead: '80 m', windingPeak: '700 V' } }), 'winding-peak');
    expect(behind?.message).toBe(
      'Even with the dV/dt filter the peak terminal voltage is 849 V, winding withstand 700\u00a0V.',
    );
    expect(behind?.mends?.map(({ set }) => set)).toEqual([{ 'drive.filter': 'sine' }]);
    expect(
      finding(solved({ drive: { filter: 'sine', lead: '80 m', windingPeak: '600 V' } }), 'winding-peak')?.mends,
    ).toEqual([]);
  });

  it('a filter is taken for the peak, or for the rule of the site; beyond 300 m or a weaker winding a sine filter', () => {
    expect(finding(solved(), 'filter-needed')?.message).toContain('is required');
    const rule = solved({ drive: { lead: '40 m', windingPeak: '1600 V' } });
    expect(finding(rule, 'filter-needed')?.message).toContain('site limit of 30\u00a0m');
    expect(text(rule, 'filter')).toBe('dV/dt filter');
    expect(text(solved({ drive: { lead: '320 m' } }), 'filter')).toBe('sine filter');
    expect(text(solved({ drive: { lead: '40 m', windingPeak: '700 V' } }), 'filter')).toBe('sine filter');
    // 1.1·√2·400 behind it.
    expect(figure(solved({ drive: { lead: '320 m' } }), 'filteredPeak')).toBeCloseTo(622.3, 1);
    expect(solved({ drive: { filter: 'sine' } }).values['drive.filter']?.working.note).toBeUndefined();
    expect(solved().values['drive.filter']?.working.note).toContain('to 300 m');
  });

  it('pulses meet above 8 kHz on a long cable: 2.5 times √2·400; at the usual carrier they do not', () => {
    const peak = (carrier: string): number => figure(solved({ drive: { lead: '60 m', carrier } }), 'peakVoltage');
    expect(peak('9 kHz')).toBeCloseTo(2.5 * Math.SQRT2 * 400, 6);
    expect(peak('4 kHz')).toBeCloseTo(1.95 * Math.SQRT2 * 400, 6);
    expect(peak('')).toBe(peak('4 kHz'));
  });

  it('a ring is asked for above 500 V, from 75 kW and from a shaft height of 280 mm', () => {
    const ring = (more: More): boolean => finding(solved(more), 'bearings') !== undefined;
    expect(ring({})).toBe(false);
    expect(ring({ nameplate: { frame: '250M' } })).toBe(false);
    expect(ring({ nameplate: { frame: '280S' } })).toBe(true);
    expect(ring({ nameplate: { voltages: '690', currents: '16' }, supply: { voltage: '690 V' } })).toBe(true);
    expect(ring({ nameplate: { power: '75 kW', currents: '135' }, load: { torque: '300 N·m' } })).toBe(true);
    expect(ring({ situation: { causes: { 'drive-currents': 'found' } } })).toBe(true);
  });
});
