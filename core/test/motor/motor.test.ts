// A motor as a circuit and a size: closed forms of the textbooks (Chapman, Fitzgerald: Thévenin, slip of breakdown torque), sums
// of losses, IEEE 112 stray shares (from memory: 1.8 % to 125 hp, 1.5 % to 500 hp, 1.2 % above), IEC 60034-1 tolerance of the
// losses, MG 1 12.38 and 12.39 (from memory).
import { synchronousSpeed } from '../../src/motor/synchronous.ts';
import { describe, expect, it } from 'vitest';
import { quantity } from '../../src/kernel/value.ts';
import { guaranteedMinimum } from '../../src/motor/efficiency-class.ts';
import {
  breakdownSlip,
  circuitState,
  curveExtremes,
  leakageAt,
  leastBetween,
  settleLeakage,
  stateAtVoltage,
  steadyPoint,
  terminalImpedance,
  torqueAt,
  windageAt,
  type Circuit,
  speedCurve,
} from '../../src/motor/circuit.ts';
import { fitCircuit, slipAtTorque, strayShare, type FitTargets } from '../../src/motor/fit-circuit.ts';
import { fitMotor, fitTargets } from '../../src/motor/fit-motor.ts';
import { bestFlux, partLoads, pointAtPower, runningPoint } from '../../src/motor/operating.ts';
import { inputOnDrive, inputOnLine } from '../../src/motor/part-load.ts';
import {
  nextStandardPower,
  rowReaching,
  sameRating,
  sizeText,
  standardHorsepower,
  standardPowers,
} from '../../src/motor/standard-power.ts';
import {
  estimatedPowerFactor,
  estimatedSlip,
  maximumLockedRotorCurrent,
  minimumBreakdownTorque,
  minimumLockedRotorTorque,
  typicalMotor,
  type Motor,
} from '../../src/motor/typical.ts';
import { unbalanceOf } from '../../src/motor/unbalance.ts';
import { inWords } from '../lib/words.ts';

const HP = 745.6999;
/** 460 V, 60 Hz, four poles, one cage, no core branch: the circuit of the textbooks. */
const plain: Circuit = {
  r1: 0.641,
  x1: 1.106,
  r2: 0.332,
  x2: 0.464,
  xm: 26.3,
  volts: 460,
  hz: 60,
  poles: 4,
  rotationalLoss: 1100,
};
const phase = 460 / Math.sqrt(3);
const field = (4 * Math.PI * 60) / 4;
/** Thévenin of stator and magnetising branch. */
const thevenin = (() => {
  const square = plain.r1 ** 2 + (plain.x1 + plain.xm) ** 2;
  return {
    volts: (phase * plain.xm) / Math.sqrt(square),
    re: (plain.r1 * plain.xm ** 2) / square,
    im: (plain.xm * (plain.r1 ** 2 + plain.x1 * (plain.x1 + plain.xm))) / square,
  };
})();
const torqueBy = (slip: number) =>
  (3 * thevenin.volts ** 2 * plain.r2) /
  slip /
  (field * ((thevenin.re + plain.r2 / slip) ** 2 + (thevenin.im + plain.x2) ** 2));

describe('the circuit', () => {
  it.each([1, 0.5, 0.2, 0.05, 0.01])('torque at a slip of %s by Thévenin', (slip) => {
    expect(torqueAt(plain, slip)).toBeCloseTo(torqueBy(slip), 9);
    expect(steadyPoint(plain, slip).inducedTorque).toBeCloseTo(torqueBy(slip), 9);
  });
  it('breakdown at s = r₂/√(R² + (X + x₂)²), whatever the steps', () => {
    const slip = plain.r2 / Math.hypot(thevenin.re, thevenin.im + plain.x2);
    expect(breakdownSlip(plain)).toBeCloseTo(slip, 5);
    expect(breakdownSlip(plain, 60, 24, 1e-6)).toBeCloseTo(slip, 4);
    const { breakdown, lockedRotor, pullUp } = curveExtremes(plain);
    expect(breakdown.inducedTorque).toBeCloseTo(torqueBy(slip), 6);
    expect(lockedRotor.slip).toBe(1);
    // Of one cage the least is at standstill.
    expect(pullUp.slip).toBe(1);
  });
  it('a rotor so resistive that torque only falls breaks down standing', () => {
    expect(breakdownSlip({ ...plain, r2: 5 })).toBe(1);
  });
  it('two cages make a saddle between standstill and breakdown, found where the torque is least', () => {
    const double: Circuit = { ...plain, r2: 0.25, x2: 1.6, r3: 3.2, x3: 0.3 };
    const { pullUp, breakdown, lockedRotor } = curveExtremes(double);
    const all = Array.from({ length: 900 }, (_, at) => torqueAt(double, 1 - at / 1000));
    const before = all.slice(0, Math.round((1 - breakdown.slip) * 1000));
    expect(pullUp.inducedTorque / Math.min(...before)).toBeCloseTo(1, 3);
    expect(lockedRotor.inducedTorque).toBeGreaterThanOrEqual(pullUp.inducedTorque);
    expect(pullUp.slip).toBeGreaterThan(breakdown.slip);
  });
  it('a second cage lies beside the first, a core branch beside both', () => {
    const [r3, x3, rc, slip] = [2, 0.3, 300, 0.4];
    const beside = (values: readonly (readonly [number, number])[]) => {
      const sum = (of: (re: number, im: number) => number) => values.reduce((all, [re, im]) => all + of(re, im), 0);
      return [sum((re, im) => re / (re * re + im * im)), -sum((re, im) => im / (re * re + im * im))] as const;
    };
    const [g, b] = beside([
      [plain.r2 / slip, plain.x2],
      [r3 / slip, x3],
      [rc, 0],
      [0, plain.xm],
    ]);
    const state = circuitState({ ...plain, r3, x3, rc, rs: 0.1 }, slip, 60);
    expect(state.re).toBeCloseTo(plain.r1 + 0.1 + g / (g * g + b * b), 9);
    expect(state.im).toBeCloseTo(plain.x1 - b / (g * g + b * b), 9);
    expect(state.core).toBeCloseTo(3 / rc / (g * g + b * b), 9);
    expect(state.airGap).toBeCloseTo((3 * (g - 1 / rc)) / (g * g + b * b), 9);
  });
  it('at half the frequency reactances are half and the core’s resistance √½', () => {
    const half = circuitState({ ...plain, rc: 300 }, 0.1, 30);
    const same = circuitState(
      { ...plain, x1: plain.x1 / 2, x2: plain.x2 / 2, xm: plain.xm / 2, rc: 300 * Math.SQRT1_2 },
      0.1,
      60,
    );
    for (const part of ['re', 'im', 'airGap', 'core'] as const) expect(half[part]).toBeCloseTo(same[part], 9);
  });
  it('every watt goes somewhere: copper, stray, core, rotor, friction and shaft', () => {
    const whole: Circuit = { ...plain, rs: 0.05, rc: 400, windage: 200 };
    for (const slip of [0.02, 0.2, 0.9]) {
      const at = steadyPoint(whole, slip);
      const spent = at.statorCopperLoss + at.strayLoss + at.coreLoss + at.rotorCopperLoss + at.convertedPower;
      expect(at.inputPower / spent).toBeCloseTo(1, 12);
      expect(at.inputPower).toBeCloseTo(3 * phase * at.statorCurrent * at.powerFactor, 6);
      expect(at.rotorCopperLoss).toBeCloseTo(slip * at.airGapPower, 9);
      expect(at.outputPower).toBeCloseTo(at.convertedPower - 1100 - 200 * (1 - slip) ** 2, 6);
      expect(at.efficiency).toBeCloseTo(at.outputPower / at.inputPower, 12);
      expect(at.shaftTorque).toBeCloseTo(at.outputPower / at.speed, 9);
    }
    // Standing nothing rubs.
    const standing = steadyPoint(whole, 1);
    expect(standing.outputPower).toBeCloseTo(0, 9);
    expect(standing.shaftTorque).toBe(standing.inducedTorque);
    expect(windageAt(whole, field / 2)).toBeCloseTo(50, 9);
    expect(windageAt(plain, field)).toBe(0);
  });
  it('settles where the share taken on is the share that is left: 0.5 + 0.3 l = l at 5/7, in few rounds', () => {
    const asked: number[] = [];
    settleLeakage((share) => {
      asked.push(share);
      return 0.5 + 0.3 * share;
    });
    expect(asked[0]).toBe(1);
    expect(asked.at(-1)).toBeCloseTo(5 / 7, 10);
    expect(asked.length).toBeLessThan(5);
    // Bent, as iron is: 0.5 + 0.3 l² = l at (1 − √0.4) / 0.6.
    const bent: number[] = [];
    settleLeakage((share) => (bent.push(share), 0.5 + 0.3 * share * share));
    expect(bent.at(-1)).toBeCloseTo((1 - Math.sqrt(0.4)) / 0.6, 9);
    // Below the knee nothing is looked for.
    const below: number[] = [];
    settleLeakage((share) => (below.push(share), 1));
    expect(below).toEqual([1]);
  });

  it('leakage above the knee falls with the current towards its floor, and more current flows for it', () => {
    const saturation = { knee: 40, floor: 0.5 };
    expect([leakageAt({ saturation }, 40), leakageAt({ saturation }, 80), leakageAt({}, 80)]).toEqual([1, 0.75, 1]);
    const saturated = { ...plain, saturation };
    const state = stateAtVoltage(saturated, 1, 460, 60);
    const current = phase / Math.hypot(state.re, state.im);
    // It agrees with itself: the leakage at that current gives that current.
    const again = circuitState(saturated, 1, 60, leakageAt(saturated, current));
    expect(phase / Math.hypot(again.re, again.im)).toBeCloseTo(current, 6);
    expect(current).toBeGreaterThan(steadyPoint(plain, 1).statorCurrent);
    expect(stateAtVoltage(saturated, 1, 46, 60)).toEqual(circuitState(plain, 1, 60));
    expect(torqueAt(saturated, 1)).toBeCloseTo(steadyPoint(saturated, 1).inducedTorque, 9);
    expect(terminalImpedance(saturated, 1)).toMatchObject({ re: state.re, im: state.im });
  });
  it('the least of a valley by golden section', () => {
    expect(leastBetween(-3, 5, (x) => (x - 1.25) ** 2)).toBeCloseTo(1.25, 7);
    expect(leastBetween(0, 10, (x) => Math.abs(x - 9.5))).toBeCloseTo(9.5, 7);
    expect(leastBetween(0, 10, (x) => x)).toBeCloseTo(0, 7);
  });
});

describe('running', () => {
  it('at a torque or a power the shaft gives it, below breakdown; none where it cannot', () => {
    const slip = slipAtTorque(plain, 60);
    expect(steadyPoint(plain, Number(slip)).shaftTorque).toBeCloseTo(60, 6);
    expect(slip).toBeLessThan(breakdownSlip(plain));
    expect(runningPoint(plain, 60)?.shaftTorque).toBeCloseTo(60, 6);
    expect([slipAtTorque(plain, 900), runningPoint(plain, 900)]).toEqual([undefined, undefined]);
    expect(pointAtPower(plain, 9000)?.outputPower).toBeCloseTo(9000, 4);
    expect(pointAtPower(plain, 90_000)).toBeUndefined();
    const loads = partLoads(plain, 60);
    expect(loads.map(({ share }) => share)).toEqual([0.25, 0.5, 0.75, 1, 1.25]);
    for (const { share, point } of loads) expect(point.shaftTorque).toBeCloseTo(60 * share, 5);
    expect(partLoads(plain, 60, [1, 20]).map(({ share }) => share)).toEqual([1]);
  });
  it('a curve from standstill to synchronous speed, rising, finer at its end', () => {
    const curve = speedCurve(plain, 460, 60, 41);
    expect(curve).toHaveLength(41);
    expect(curve[0]?.slip).toBe(1);
    expect(curve.at(-1)?.slip).toBe(1e-4);
    const speeds = curve.map(({ speed }) => speed);
    expect(speeds).toEqual(speeds.toSorted((a, b) => a - b));
    const [first, last] = [Number(speeds[1]) - Number(speeds[0]), Number(speeds.at(-1)) - Number(speeds.at(-2))];
    expect(last).toBeLessThan(first);
  });
  it('the best flux takes the least of all voltages tried, and less than the usual one at light load', () => {
    const lit: Circuit = { ...plain, rc: 150 };
    const best = bestFlux(lit, 8, 60);
    const input = (volts: number) => runningPoint(lit, 8, volts, 60)?.inputPower ?? Infinity;
    const tried = Array.from({ length: 200 }, (_, at) => input(100 + at * 2));
    expect(Number(best?.best.inputPower)).toBeLessThanOrEqual(Math.min(...tried) * 1.0001);
    expect(best?.usual.inputPower).toBeCloseTo(input(460), 6);
    expect(best?.saving).toBeCloseTo(1 - Number(best?.best.inputPower) / input(460), 12);
    expect(best?.volts).toBeLessThan(440);
    expect(bestFlux(lit, 8, 30)?.usual.inputPower).toBeCloseTo(runningPoint(lit, 8, 230, 30)?.inputPower ?? NaN, 6);
    expect(bestFlux(lit, 900, 60)).toBeUndefined();
  });
});

/** A motor made of a known double cage, to be found again. */
const made: Circuit = {
  r1: 0.2,
  rs: 0.03,
  x1: 0.7,
  xm: 22,
  rc: 280,
  r2: 0.19,
  x2: 1.1,
  r3: 1.1,
  x3: 0.35,
  volts: 460,
  hz: 60,
  poles: 4,
  rotationalLoss: 0,
  windage: 150,
};
const ratedAt = steadyPoint(made, 0.02);
const standing = steadyPoint(made, 1);
const targets: FitTargets = {
  power: ratedAt.outputPower,
  voltage: 460,
  frequency: 60,
  poles: 4,
  speed: ratedAt.speed,
  current: ratedAt.statorCurrent,
  efficiency: ratedAt.efficiency,
  lockedRotorCurrent: standing.statorCurrent,
  lockedRotorCurrentLeast: standing.statorCurrent,
  lockedRotorTorque: standing.inducedTorque / ratedAt.shaftTorque,
  breakdownTorque: curveExtremes(made).breakdown.inducedTorque / ratedAt.shaftTorque,
  torquesAtLeast: false,
  fixedShare: 0.35,
  statorShare: 0.4,
};

describe('a circuit fitted', () => {
  const reached = (more: Partial<FitTargets> = {}) => {
    const fit = fitCircuit({ ...targets, ...more });
    if (!fit) throw new Error('no circuit');
    return { ...fit, of: (name: string) => fit.quantities.find((each) => each.name === name) };
  };
  it('meets rated point, standstill and breakdown of a motor that can be, and says nothing fights', () => {
    const { quantities, conflicts } = reached();
    expect(quantities.map(({ name, unit }) => `${name} ${unit}`)).toEqual([
      'Power W',
      'Current A',
      'Speed rad/s',
      'Efficiency 1',
      'Locked-rotor current A',
      'Locked-rotor torque N·m',
      'Breakdown torque N·m',
    ]);
    for (const { name, target, reached: got, residual } of quantities) {
      expect(residual, name).toBeCloseTo(got / target - 1, 12);
      expect(Math.abs(residual), name).toBeLessThan(0.02);
    }
    expect(conflicts).toEqual([]);
  });
  it('bounds are kept, not met: torques at least, a locked-rotor current at most', () => {
    const bounded = reached({ torquesAtLeast: true, lockedRotorCurrentLeast: 0.5 * targets.lockedRotorCurrent });
    expect([
      bounded.of('Locked-rotor torque')?.bound,
      bounded.of('Breakdown torque')?.bound,
      bounded.of('Locked-rotor current')?.bound,
    ]).toEqual(['at least', 'at least', 'at most']);
    expect(bounded.of('Breakdown torque')?.residual).toBe(0);
    expect(bounded.of('Locked-rotor current')?.residual).toBe(0);
    expect(reached().of('Breakdown torque')?.bound).toBeUndefined();
    expect(reached().of('Locked-rotor current')?.bound).toBeUndefined();
  });
  it('part loads and the saddle of a data sheet are compared, and named where they do not go with the rest', () => {
    const at = (share: number) => ({
      share,
      efficiency: runningPoint(made, share * ratedAt.shaftTorque)?.efficiency ?? NaN,
    });
    const pullUpTorque = curveExtremes(made).pullUp.inducedTorque / ratedAt.shaftTorque;
    const good = reached({ partLoads: [at(0.75), at(0.5)], pullUpTorque });
    expect(good.of('Efficiency at 75 % load')?.target).toBe(at(0.75).efficiency);
    expect(good.of('Pull-up torque')?.target).toBeCloseTo(pullUpTorque * ratedAt.shaftTorque, 6);
    expect(good.conflicts).toEqual([]);
    const bad = reached({ partLoads: [{ share: 0.5, efficiency: 0.8 }], pullUpTorque: pullUpTorque * 0.5 });
    expect(
      bad.conflicts.some((each) =>
        /^efficiency at 50 % load against full-load efficiency and slip \(\+\d+ %\)$/.test(each),
      ),
    ).toBe(true);
    expect(
      bad.conflicts.some((each) => /^pull-up torque against locked-rotor and breakdown torque \(\+\d+ %\)$/.test(each)),
    ).toBe(true);
  });
  it('names what no motor has together', () => {
    const slow = reached({ speed: 0.92 * field, efficiency: 0.95 });
    expect(slow.conflicts.join()).toContain('speed and efficiency: the slip alone');
    const weak = reached({ breakdownTorque: 1.05 });
    expect(weak.conflicts.join()).toMatch(/breakdown torque against power factor and locked-rotor current \(\+\d+ %\)/);
    const starved = reached({ current: targets.current * 0.8 });
    expect(starved.conflicts.join()).toMatch(/current against power and efficiency/);
  });
  it('no circuit where speed or efficiency are no motor’s', () => {
    for (const none of [{ speed: field }, { speed: field * 0.5 }, { efficiency: 1 }])
      expect(fitCircuit({ ...targets, ...none })).toBeUndefined();
    expect(fitCircuit({ ...targets, speed: field * 0.9 })).toBeDefined();
  });
  it('stray load loss by size', () => {
    expect([strayShare(93_300), strayShare(93_400), strayShare(373_000), strayShare(373_100)]).toEqual([
      0.018, 0.015, 0.015, 0.012,
    ]);
  });
});

const motor: Motor = {
  label: 'a motor',
  kind: 'plate',
  power: targets.power,
  voltage: 460,
  frequency: 60,
  poles: 4,
  speed: targets.speed,
  current: targets.current,
  efficiency: targets.efficiency,
  efficiencyMinimum: targets.efficiency - 0.01,
  powerFactor: ratedAt.powerFactor,
  serviceFactor: 1,
  lockedRotorCurrent: targets.lockedRotorCurrent,
  lockedRotorCurrentLeast: targets.lockedRotorCurrent,
  lockedRotorTorque: targets.lockedRotorTorque,
  breakdownTorque: targets.breakdownTorque,
};

describe('what is known of a motor', () => {
  const share = (value: number) => quantity(value, 'fraction', { source: 'made up' });
  it('the data sheet before the class; torques are bounds unless both are on the sheet or the motor is picked', () => {
    const sheet = { lockedRotorTorque: share(2.2), breakdownTorque: share(2.9), pullUpTorque: share(1.6) };
    expect(fitTargets(motor, sheet, 0.35)).toMatchObject({
      lockedRotorTorque: 2.2,
      breakdownTorque: 2.9,
      pullUpTorque: 1.6,
      torquesAtLeast: false,
    });
    expect(fitTargets(motor, {}, 0.35)).toMatchObject({
      lockedRotorTorque: motor.lockedRotorTorque,
      breakdownTorque: motor.breakdownTorque,
      torquesAtLeast: true,
    });
    expect(fitTargets(motor, { lockedRotorTorque: share(2.2) }, 0.35).torquesAtLeast).toBe(true);
    expect(fitTargets(motor, { breakdownTorque: share(2.2) }, 0.35).torquesAtLeast).toBe(true);
    expect(fitTargets({ ...motor, kind: 'picked' }, {}, 0.35).torquesAtLeast).toBe(false);
  });
  it('the winding it is made for, the stator’s share by its letter, saturation where a knee is typed', () => {
    const winding = { voltage: 230, current: 60, lockedRotorCurrent: 300, lockedRotorCurrentLeast: 280 };
    expect(fitTargets({ ...motor, winding }, {}, 0.35)).toMatchObject(winding);
    const letters = ['A', 'b', ' C', 'D', 'N', 'HY', 'X', undefined].map(
      (designLetter) =>
        fitTargets({ ...motor, ...(designLetter === undefined ? {} : { designLetter }) }, {}, 0.35).statorShare,
    );
    expect(letters).toEqual([0.5, 0.4, 0.3, 0.5, 0.4, 0.3, 0.4, 0.4]);
    const knee = quantity(2.5, 'count', { source: 'made up' });
    expect(fitTargets(motor, { leakageKnee: knee }, 0.35).saturation).toEqual({ knee: 2.5, floor: 0.6 });
    expect(fitTargets(motor, { leakageKnee: knee, leakageFloor: share(0.7) }, 0.35).saturation).toEqual({
      knee: 2.5,
      floor: 0.7,
    });
    expect(fitTargets(motor, {}, 0.35).saturation).toBeUndefined();
  });
  it('the fixed share of its loss from part-load efficiencies, least squares, between 10 and 75 %', () => {
    const full = 1 / motor.efficiency - 1;
    /** Efficiency at a share of the load with a fixed part of the loss. */
    const efficiency = (y: number, fixed: number) => share(y / (y + full * (fixed + (1 - fixed) * y * y)));
    const found = (fixed: number) =>
      fitTargets(motor, { efficiency75: efficiency(0.75, fixed), efficiency50: efficiency(0.5, fixed) }, 0.35)
        .fixedShare;
    expect([found(0.3), found(0.6)].map((each) => Number(each.toFixed(9)))).toEqual([0.3, 0.6]);
    expect([found(0.02), found(0.95)]).toEqual([0.1, 0.75]);
    expect(fitTargets(motor, { efficiency50: efficiency(0.5, 0.42) }, 0.35).fixedShare).toBeCloseTo(0.42, 9);
    expect(fitTargets(motor, {}, 0.35).fixedShare).toBe(0.35);
    expect(
      fitTargets(motor, { efficiency75: efficiency(0.75, 0.3), efficiency50: efficiency(0.5, 0.3) }, 0.35).partLoads,
    ).toMatchObject([{ share: 0.75 }, { share: 0.5 }]);
  });
  it('as a machine: its curve from standstill, its part loads with what best flux saves', () => {
    const machine = fitMotor(fitTargets({ ...motor, kind: 'picked' }, {}, 0.35));
    expect(machine?.curve.speeds).toHaveLength(48);
    expect(machine?.curve.speeds[0]).toBe(0);
    expect(machine?.curve.torques[0]).toBeCloseTo(targets.lockedRotorTorque * ratedAt.shaftTorque, 0);
    expect(Number(machine?.curve.currents[0]) / targets.lockedRotorCurrent).toBeCloseTo(1, 2);
    const full = machine?.partLoads.find((each) => each.share === 1);
    expect(full?.efficiency).toBeCloseTo(targets.efficiency, 3);
    expect(full?.speed).toBeCloseTo(targets.speed, 1);
    for (const { fluxSaving } of machine?.partLoads ?? []) expect(fluxSaving).toBeGreaterThanOrEqual(0);
  });
});

describe('sizes and classes', () => {
  it('standard sizes rise without a gap in order; the next one may be missed by a thousandth', () => {
    for (const school of ['NEMA', 'IEC'] as const) {
      const sizes = standardPowers(school);
      expect(sizes.length).toBeGreaterThan(20);
      expect(sizes).toEqual([...new Set(sizes)].toSorted((a, b) => a - b));
    }
    expect(nextStandardPower(25 * HP, 'NEMA')).toBeCloseTo(25 * HP, 1);
    expect(nextStandardPower(25 * HP * 1.0009, 'NEMA')).toBeCloseTo(25 * HP, 1);
    expect(nextStandardPower(25 * HP * 1.002, 'NEMA')).toBeCloseTo(30 * HP, 1);
    expect(nextStandardPower(11_000, 'IEC')).toBe(11_000);
    expect(nextStandardPower(11_012, 'IEC')).toBe(15_000);
    expect(nextStandardPower(1e9, 'IEC')).toBeUndefined();
  });
  it('11 kW and 15 hp are one rating; 2 % is the limit', () => {
    expect([sameRating(11_000, 15 * HP), sameRating(100, 102.1), sameRating(100, 98.1)]).toEqual([true, false, true]);
    expect([standardHorsepower(11_000), standardHorsepower(12_000)]).toEqual([15, undefined]);
    expect([inWords(sizeText(7.5 * HP)), inWords(sizeText(11_000), 'IEC')]).toEqual(['7.5 hp', '11 kW']);
    const rows = [{ hp: 10 }, { hp: 15 }, { hp: 20 }] as never;
    expect([
      rowReaching({ rows }, 15.2 * HP),
      rowReaching({ rows }, 15.4 * HP),
      rowReaching({ rows }, 30 * HP),
    ]).toEqual([{ hp: 15 }, { hp: 20 }, undefined]);
  });
  it('a typical motor: 22 % of its loss in the slip, power factor by size and poles, torques of MG 1', () => {
    expect(estimatedSlip(0.9)).toBeCloseTo(0.0244444, 6);
    expect(estimatedPowerFactor(7500, 4)).toBeCloseTo(0.815, 9);
    expect([2, 4, 6, 8, 10].map((poles) => Number((estimatedPowerFactor(7500, poles) - 0.815).toFixed(6)))).toEqual([
      0.04, 0, -0.05, -0.1, -0.12,
    ]);
    expect([estimatedPowerFactor(1e7, 2), estimatedPowerFactor(1, 12)]).toEqual([
      0.91,
      0.76 + 0.055 * Math.log10(2 / 3) - 0.12,
    ]);
    expect([minimumLockedRotorTorque(25 * HP, 4), minimumBreakdownTorque(25 * HP, 4)]).toEqual([1.5, 2]);
    expect([minimumLockedRotorTorque(27 * HP, 4), minimumBreakdownTorque(27 * HP, 4)]).toEqual([1.6, 2]);
    // MG 1 12.35: 25 hp 365 A at 230 V.
    expect(maximumLockedRotorCurrent(25 * HP, 460)).toBeCloseTo(182.5, 6);
    expect(maximumLockedRotorCurrent(27 * HP, 460)).toBeUndefined();
    const typical = typicalMotor({ power: 25 * HP, poles: 4, frequency: 60, voltage: 460 }, 'premium', 'NEMA');
    expect(typical).toMatchObject({ lockedRotorTorque: 1.5, breakdownTorque: 2, kind: 'typical' });
    expect([typical?.efficiency, typical?.lockedRotorCurrent].map((each) => Number(each?.toFixed(9)))).toEqual([
      0.936, 182.5,
    ]);
    expect(typical?.efficiencyMinimum).toBeCloseTo(1 - 1.2 * 0.064, 9);
    expect(typical?.speed).toBeCloseTo(synchronousSpeed(60, 4) * (1 - estimatedSlip(0.936)), 9);
    const { current = NaN, powerFactor = NaN } = typical ?? {};
    expect(Math.sqrt(3) * 460 * current * 0.936 * powerFactor).toBeCloseTo(25 * HP, 6);
    const iec = typicalMotor({ power: 11_000, poles: 4, frequency: 50, voltage: 400 }, 'IE3', 'IEC');
    expect(Number(iec?.lockedRotorCurrent) / Number(iec?.current)).toBeCloseTo(7.2, 9);
    expect(iec?.lockedRotorCurrentLeast).toBeCloseTo(0.45 * 7.2 * Number(iec?.current), 9);
  });
  it('the guaranteed minimum: a step of MG 1 12-10, or 15 % of the losses to 150 kW and 10 % above', () => {
    const nominal = (value: number) => quantity(value, 'fraction', { source: 'made up' });
    expect(guaranteedMinimum(nominal(0.936), 25 * HP, 'NEMA')?.value).toBeCloseTo(0.924, 9);
    expect(guaranteedMinimum(nominal(0.9), 150_000, 'IEC')?.value).toBeCloseTo(0.885, 9);
    expect(guaranteedMinimum(nominal(0.9), 150_001, 'IEC')?.value).toBeCloseTo(0.89, 9);
  });
  it('part load on the line and on a drive by its loss', () => {
    const losing = { power: 1000, efficiencyMinimum: 0.8 };
    expect(inputOnLine(losing, 500, 0.4)).toBeCloseTo(500 + 250 * (0.4 + 0.6 * 0.25), 9);
    expect(inputOnDrive(losing, 500, 0.64, 0.4)).toBeCloseTo(
      500 + 1.15 * 250 * (0.4 * 0.512 + 0.6 * (0.5 / 0.64) ** 2),
      9,
    );
    expect(inputOnDrive(losing, 500, 0, 0.4)).toBe(0);
  });
  it('unbalance: the farthest from the mean; 3 % leaves 88 %, above 5 % nothing (MG 1 14.36, from memory)', () => {
    const volts = (...each: number[]) =>
      unbalanceOf(each.map((value) => quantity(value, 'voltage', { source: 'made up' })));
    expect(volts(474, 466, 460)?.unbalance.value).toBeCloseTo(7.3333 / 466.6667, 5);
    expect(volts(412, 388, 400)?.derate?.value).toBeCloseTo(0.88, 9);
    expect(volts(400, 400, 400)?.derate?.value).toBe(1);
    expect(volts(424, 400, 376)?.derate).toBeUndefined();
    expect([volts(400, 400), volts()]).toEqual([undefined, undefined]);
  });
});
