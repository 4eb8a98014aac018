/** The core against figures printed outside this project. Each case file names its source and tolerance. */
import { describe, expect, it } from 'vitest';
import { circuitSchema } from '../../src/motor/circuit-shape.ts';
import { curveExtremes, steadyPoint, type Circuit } from '../../src/motor/circuit.ts';
import { emptyCatalogue, emptyJob, solve, type JobInput } from '../../src/index.ts';
import chapman1 from '../cases/chapman-7-1.json' with { type: 'json' };
import chapman2 from '../cases/chapman-7-2.json' with { type: 'json' };
import chapman3 from '../cases/chapman-7-3.json' with { type: 'json' };
import chapman4 from '../cases/chapman-7-4.json' with { type: 'json' };
import chapman5 from '../cases/chapman-7-5.json' with { type: 'json' };
import chapman7 from '../cases/chapman-7-7.json' with { type: 'json' };
import fitzgerald1 from '../cases/fitzgerald-6-1.json' with { type: 'json' };
import fitzgerald2 from '../cases/fitzgerald-6-2.json' with { type: 'json' };
import krause3 from '../cases/krause-3hp.json' with { type: 'json' };
import krause50 from '../cases/krause-50hp.json' with { type: 'json' };
import annexD8 from '../cases/nec-annex-d8.json' with { type: 'json' };

const RPM = Math.PI / 30;

function near(actual: number | undefined, expected: number, share: number): void {
  expect(actual).toBeDefined();
  expect(
    Math.abs((actual ?? NaN) / expected - 1),
    `${actual} is not within ${share * 100} % of ${expected}`,
  ).toBeLessThan(share);
}

const plate = (nameplate: JobInput['nameplate'], more: JobInput = {}) => {
  const { values } = solve(emptyJob({ situation: { kind: 'starter' }, nameplate, ...more }), emptyCatalogue);
  return (id: string): number => {
    const value = values[id]?.value;
    if (typeof value !== 'number') throw new Error(`no number ${id}`);
    return value;
  };
};

interface PrintedCircuit {
  readonly line_voltage: number;
  readonly frequency: number;
  readonly poles: number;
  readonly R1: number;
  readonly X1: number;
  readonly R2: number;
  readonly X2: number;
  readonly XM: number;
}

const circuit = (given: PrintedCircuit, rotationalLoss = 0): Circuit =>
  circuitSchema.parse({
    r1: given.R1,
    x1: given.X1,
    r2: given.R2,
    x2: given.X2,
    xm: given.XM,
    volts: given.line_voltage,
    hz: given.frequency,
    poles: given.poles,
    rotationalLoss,
  });

describe('speed, slip and torque', () => {
  it(chapman1.published, () => {
    const { inputs, answers } = chapman1;
    const value = plate({
      power: `${inputs.power} hp`,
      voltages: '208',
      frequency: '60',
      speed: String(answers.rotor_speed),
    });
    near(value('nameplate.synchronousSpeed'), answers.synchronous_speed * RPM, 1e-9);
    near(value('nameplate.slip'), inputs.slip, 1e-9);
    near(value('nameplate.ratedTorque'), answers.shaft_torque, 0.003);
  });

  it(chapman4.published, () => {
    const { inputs, answers } = chapman4;
    const value = plate({ power: `${inputs.load_power} W`, frequency: '50 Hz', speed: '2950 rpm' }, { school: 'IEC' });
    expect(value('nameplate.poles')).toBe(inputs.poles);
    near(value('nameplate.slip'), answers.slip, 0.003);
    near(value('nameplate.ratedTorque'), answers.torque, 0.002);
  });
});

describe('current, efficiency and power factor', () => {
  it(chapman2.published, () => {
    const { inputs, answers } = chapman2;
    const value = plate({
      power: `${inputs.power} hp`,
      voltages: '480',
      currents: '60',
      powerFactor: '0.85',
      frequency: '60',
      speed: '1760',
    });
    near(value('nameplate.efficiency'), answers.efficiency / 100, 0.001);
  });

  it(chapman7.published, () => {
    const { answers } = chapman7;
    const value = plate({
      power: '15 hp',
      voltages: '208',
      currents: '46',
      frequency: '60',
      speed: '1750',
      codeLetter: 'F',
    });
    near(value('nameplate.lockedRotorCurrentMax'), answers.starting_current, 0.001);
  });
});

describe('per-phase circuit', () => {
  it(chapman3.published, () => {
    const { inputs, recomputed } = chapman3;
    const point = steadyPoint(circuit(inputs, inputs.rotational_loss), inputs.slip);
    near(point.statorCurrent, recomputed.stator_current, 1e-3);
    near(point.powerFactor, recomputed.power_factor, 1e-3);
    near(point.airGapPower, recomputed.air_gap_power, 1e-3);
    near(point.inducedTorque, recomputed.induced_torque, 1e-3);
    near(point.shaftTorque, recomputed.shaft_torque, 1e-3);
    near(point.efficiency * 100, recomputed.efficiency, 1e-3);
    near(point.statorCurrent, chapman3.answers.stator_current, 0.003);
  });

  it(chapman5.published, () => {
    const { inputs } = chapman5;
    const exact = chapman5.recomputed.exact_circuit;
    const single = curveExtremes(circuit(inputs));
    near(single.breakdown.inducedTorque, exact.breakdown_torque, 1e-3);
    near(single.breakdown.slip, exact.slip_at_breakdown, 1e-3);
    near(single.lockedRotor.inducedTorque, exact.locked_rotor_torque, 1e-3);
    const doubled = curveExtremes(circuit({ ...inputs, ...inputs.rotor_resistance_doubled }));
    near(doubled.breakdown.inducedTorque, exact.rotor_resistance_doubled.breakdown_torque, 1e-3);
    near(doubled.lockedRotor.inducedTorque, exact.rotor_resistance_doubled.locked_rotor_torque, 1e-3);
  });

  it(fitzgerald1.published, () => {
    const { inputs, answers } = fitzgerald1;
    const value = plate({ power: '20 hp', frequency: '60', speed: String(inputs.rotor_speed) });
    expect(value('nameplate.poles')).toBe(inputs.poles);
    near(value('nameplate.slip'), answers.slip, 0.002);
  });

  it(fitzgerald2.published, () => {
    const { inputs, recomputed } = fitzgerald2;
    const point = steadyPoint(circuit(inputs, inputs.rotational_loss), inputs.slip);
    near(point.statorCurrent, recomputed.stator_current, 1e-3);
    near(point.inputPower, recomputed.input_power, 1e-3);
    near(point.shaftTorque, recomputed.shaft_torque, 1e-3);
    near(point.efficiency * 100, recomputed.efficiency, 1e-3);
  });

  for (const { published, inputs, recomputed } of [krause3, krause50]) {
    it(`${published}: steady values`, () => {
      const machine = circuitSchema.parse({
        r1: inputs.rs,
        x1: inputs.Xls,
        xm: inputs.XM,
        r2: inputs.rr,
        x2: inputs.Xlr,
        volts: inputs.line_voltage,
        hz: inputs.frequency,
        poles: inputs.poles,
      });
      const steady = recomputed.steady_at_rated_speed;
      const point = steadyPoint(machine, steady.slip);
      near(point.inducedTorque, steady.torque, 1e-3);
      near(point.statorCurrent, steady.stator_current, 1e-3);
      near(point.powerFactor, steady.power_factor, 1e-3);
      const { lockedRotor, breakdown } = curveExtremes(machine);
      near(lockedRotor.inducedTorque, steady.locked_rotor_torque, 1e-3);
      near(lockedRotor.statorCurrent, steady.locked_rotor_current, 1e-3);
      near(breakdown.inducedTorque, steady.breakdown_torque, 1e-3);
    });
  }
});

describe('motor circuit by the code', () => {
  const { inputs, answers } = annexD8;
  const first = inputs.motor_1;
  const value = (device: NonNullable<JobInput['protection']>['device']) =>
    plate(
      {
        power: `${first.power} hp`,
        voltages: '460',
        currents: `${first.nameplate_current} A`,
        frequency: '60',
        speed: '1760',
        serviceFactor: String(first.service_factor),
      },
      { supply: { voltage: '480 V', frequency: '60 Hz' }, protection: { device } },
    );

  it(annexD8.published, () => {
    const read = value('nontime delay fuse');
    expect(read('protection.tableCurrent')).toBe(answers.motor_1.full_load_current);
    expect(read('protection.conductorMinAmpacity')).toBeCloseTo(answers.motor_1.conductor_ampacity, 9);
    expect(read('protection.overloadCurrent')).toBeCloseTo(answers.motor_1.overload_setting, 9);
    expect(read('protection.branchDeviceMax')).toBe(answers.motor_1.nontime_delay_fuse);
    expect(value('dual element fuse')('protection.branchDeviceMax')).toBe(answers.motor_1.time_delay_fuse);
  });

  it('30 hp at 460 V: table current 40 A and conductor 50 A (the example’s other motors)', () => {
    const read = plate(
      { power: '30 hp', voltages: '460', currents: '38', frequency: '60', speed: '1770' },
      { supply: { voltage: '480 V', frequency: '60 Hz' } },
    );
    expect(read('protection.tableCurrent')).toBe(answers.motors_2_and_3.full_load_current);
    expect(read('protection.conductorMinAmpacity')).toBe(answers.motors_2_and_3.conductor_ampacity);
  });
});
