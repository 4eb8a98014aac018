import { bisect } from '../kernel/numeric.ts';
import { add, complex, divide, inverse, magnitude, multiply, subtract, type Complex } from '../kernel/complex.ts';
import { breakdownSlip, curveExtremes, leakageAt, steadyPoint, torqueAt, type Circuit } from './circuit.ts';
import { synchronousSpeed } from './synchronous.ts';

/** What is known of a motor, to fit a circuit to; SI, torques as multiples of rated. */
export interface FitTargets {
  readonly power: number;
  readonly voltage: number;
  readonly frequency: number;
  readonly poles: number;
  /** rad/s */
  readonly speed: number;
  readonly current: number;
  readonly efficiency: number;
  readonly lockedRotorCurrent: number;
  /** Least locked-rotor current the code letter allows; the most is aimed at. Equal where the current is known. */
  readonly lockedRotorCurrentLeast: number;
  readonly lockedRotorTorque: number;
  readonly breakdownTorque: number;
  /** From the data sheet; compared with the circuit, not fitted to. */
  readonly pullUpTorque?: number | undefined;
  /** Efficiencies at shares of the load, from the data sheet; they set the fixed share, and the circuit is compared with them. */
  readonly partLoads?: readonly { readonly share: number; readonly efficiency: number }[];
  /** The torques are least values a class promises, not this motor’s own. */
  readonly torquesAtLeast: boolean;
  /** Share of the full-load loss that does not change with load. */
  readonly fixedShare: number;
  /** Saturation of leakage: the knee as a multiple of rated current and the share left far above it; none by default. */
  readonly saturation?: { readonly knee: number; readonly floor: number } | undefined;
  /** Share of the locked-rotor reactance that lies in the stator: 0.5 for A and D, 0.4 for B, 0.3 for C (IEEE 112). */
  readonly statorShare: number;
}

export interface FitQuantity {
  readonly name: string;
  readonly target: number;
  readonly reached: number;
  /** (reached − target) / target; 0 where the target is a bound that is kept. */
  readonly residual: number;
  /** The target is a bound, not a figure. */
  readonly bound?: 'at least' | 'at most';
  readonly unit: 'W' | 'A' | 'rad/s' | '1' | 'N·m';
}

export interface Fit {
  readonly circuit: Circuit;
  readonly quantities: readonly FitQuantity[];
  /** Which figures of the plate cannot all be true together, in words; empty where all are met. */
  readonly conflicts: readonly string[];
}

/** Assumed stray load loss as a share of output (IEEE 112, from memory). */
export const strayShare = (power: number): number => (power <= 93_300 ? 0.018 : power <= 373_000 ? 0.015 : 0.012);

interface Losses {
  readonly rotor: number;
  readonly stator: number;
  readonly core: number;
  readonly windage: number;
  readonly stray: number;
  readonly consistent: boolean;
}

/** Least share of the losses that the stator winding can have in a real motor. */
const STATOR_LEAST = 0.12;

/** Splits the full-load loss: the rotor’s follows from the slip, stray from IEEE 112, fixed by share, stator takes the rest. */
function splitLosses({ power, efficiency, speed, frequency, poles, fixedShare }: FitTargets): Losses {
  const total = power / efficiency - power;
  const slip = 1 - speed / synchronousSpeed(frequency, poles);
  const windageShare = poles === 2 ? 0.45 : 0.25;
  for (const [fixedPart, strayPart] of [
    [1, 1],
    [0.7, 0.6],
    [0.5, 0.25],
    [0.35, 0.1],
  ] as const) {
    const fixed = total * fixedShare * fixedPart;
    const windage = fixed * windageShare;
    const stray = Math.min(strayShare(power) * power, 0.25 * total) * strayPart;
    const rotor = (slip / (1 - slip)) * (power + windage);
    const stator = total - rotor - stray - fixed;
    if (stator >= STATOR_LEAST * total)
      return { rotor, stator, core: fixed - windage, windage, stray, consistent: true };
  }
  const fixed = total * fixedShare * 0.35;
  const windage = fixed * windageShare;
  return {
    rotor: (slip / (1 - slip)) * (power + windage),
    stator: STATOR_LEAST * total,
    core: fixed - windage,
    windage,
    stray: 0.02 * total,
    consistent: false,
  };
}

interface DoubleCage {
  readonly r2: number;
  readonly x2: number;
  readonly r3: number;
  readonly x3: number;
}

/**
 * Two cages in parallel with impedance `running` at slip 1/p and `standing` at slip 1, in closed form. With
 * Z(p) = (A p² − B + j C p)/(R p + j X), A = r₂r₃, B = x₂x₃, C = r₂x₃ + r₃x₂, R = r₂ + r₃, X = x₂ + x₃ the two complex
 * equations are linear up to a scale t, and t follows from 4C² = (RX + √(R²−4A)√(X²−4B))². Undefined where no cages of
 * positive resistance and reactance do it. Standing, saturation leaves the share `k` of the reactances.
 */
function doubleCage(running: Complex, standing: Complex, p: number, k: number): DoubleCage | undefined {
  const down = running.re / p - standing.re;
  if (down === 0) return undefined;
  const x = (standing.im / k - running.im) / down;
  const c = running.im + (running.re * x) / p;
  // Standing, the reactances are k times as large: X, C with k and B with k².
  const a = (standing.re - standing.im * k * x - k * k * (running.re * p - running.im * x)) / (1 - k * k * p * p);
  const b = a * p * p - running.re * p + running.im * x;
  const t = (c * c - 4 * a * b) / (c * x - a * x * x - b);
  const r = t;
  const sumX = t * x;
  const rootR = r * r - 4 * t * a;
  const rootX = sumX * sumX - 4 * t * b;
  // A negative right side would pair the low resistance with the low reactance, which no two cages in slots have.
  if (!(t > 0) || rootR < 0 || rootX < 0 || 2 * c < t * x) return undefined;
  const r2 = (r - Math.sqrt(rootR)) / 2;
  const r3 = (r + Math.sqrt(rootR)) / 2;
  const x2 = (sumX + Math.sqrt(rootX)) / 2;
  const x3 = (sumX - Math.sqrt(rootX)) / 2;
  return r2 > 0 && r3 > 0 && x2 >= 0 && x3 >= 0 ? { r2, r3, x2, x3 } : undefined;
}

/** What is asked of the standing motor, and the stator’s share of the leakage. */
interface Standstill {
  readonly statorShare: number;
  /** Of rated. */
  readonly lockedTorque: number;
  /** A */
  readonly lockedRotorCurrent: number;
}

/** A circuit that meets the rated point and standstill exactly for a magnetising reactance; undefined where none does. */
function circuitFor(
  targets: FitTargets,
  losses: Losses,
  xm: number,
  { statorShare, lockedTorque, lockedRotorCurrent }: Standstill,
): Circuit | undefined {
  const { power, voltage, frequency, poles, current, speed } = targets;
  const phase = voltage / Math.sqrt(3);
  const synchronous = synchronousSpeed(frequency, poles);
  const slip = 1 - speed / synchronous;
  const r1 = losses.stator / (3 * current ** 2);
  const rs = losses.stray / (3 * current ** 2);
  const input = power + losses.rotor + losses.stator + losses.core + losses.windage + losses.stray;

  // Standstill: power and current give the angle, and with it the whole reactance.
  const airGap = (lockedTorque * power * synchronous) / speed;
  const standing = (core: number): { current: Complex; reactance: number } | undefined => {
    const cosine = (3 * lockedRotorCurrent ** 2 * (r1 + rs) + airGap + core) / (3 * phase * lockedRotorCurrent);
    if (!(cosine < 0.98)) return undefined;
    const sine = Math.sqrt(1 - cosine ** 2);
    return {
      current: complex(lockedRotorCurrent * cosine, -lockedRotorCurrent * sine),
      reactance: (phase / lockedRotorCurrent) * sine,
    };
  };
  const first = standing(losses.core * 0.3);
  if (!first) return undefined;
  // Standing, the leakage is saturated; the reactances of the circuit are those without.
  const saturation = targets.saturation && { knee: targets.saturation.knee * current, floor: targets.saturation.floor };
  const k = leakageAt({ saturation }, lockedRotorCurrent);
  const x1 = (statorShare * first.reactance) / k;
  const stator = complex(r1 + rs, x1);
  const standingStator = complex(r1 + rs, x1 * k);

  const cosine = input / (3 * phase * current);
  if (!(cosine < 1)) return undefined;
  const rated = complex(current * cosine, -current * Math.sqrt(1 - cosine ** 2));
  const gapVoltage = subtract(complex(phase), multiply(rated, stator));
  const rc = (3 * magnitude(gapVoltage) ** 2) / losses.core;
  const shunt = complex(1 / rc, -1 / xm);
  const running = subtract(divide(rated, gapVoltage), shunt);

  const standingGap = subtract(complex(phase), multiply(first.current, standingStator));
  const second = standing((3 * magnitude(standingGap) ** 2) / rc) ?? first;
  const lockedGap = subtract(complex(phase), multiply(second.current, standingStator));
  const locked = subtract(divide(second.current, lockedGap), shunt);

  const cages = doubleCage(inverse(running), inverse(locked), 1 / slip, k);
  if (!cages) return undefined;
  return {
    r1,
    rs,
    x1,
    xm,
    rc,
    ...cages,
    ...(saturation ? { saturation } : {}),
    volts: voltage,
    hz: frequency,
    poles,
    rotationalLoss: 0,
    windage: losses.windage * (synchronous / speed) ** 2,
  };
}

const SCAN = 24;
/** Breakdown torque over the least its class promises. Common practice, no published source. */
const USUAL_OVER_LEAST = 1.2;
const PEAK_STEPS = 24;
/** Torque is flat at its top: a coarse slip gives it to within a millionth. */
const PEAK_TOLERANCE = 2e-4;
const breakdownOf = (circuit: Circuit): number =>
  torqueAt(circuit, breakdownSlip(circuit, circuit.hz, PEAK_STEPS, PEAK_TOLERANCE));

/** The same without the search between two slips. */
const breakdownRoughly = (circuit: Circuit): number =>
  torqueAt(circuit, breakdownSlip(circuit, circuit.hz, PEAK_STEPS, Number.POSITIVE_INFINITY));

interface Found {
  readonly circuit: Circuit;
  /** The losses of plate and slip go together. */
  readonly consistent: boolean;
  /** A double cage was found; else a single cage stands in. */
  readonly doubleCaged: boolean;
}

/** The circuit fitted, compared with what it had to meet. Undefined where speed or efficiency are no motor’s. */
export function fitCircuit(targets: FitTargets): Fit | undefined {
  const found = findCircuit(targets);
  if (!found) return undefined;
  const quantities = compareFit(targets, found.circuit);
  return {
    circuit: found.circuit,
    quantities,
    conflicts: conflictsOf(quantities, found.consistent, found.doubleCaged),
  };
}

/** A circuit and how far its breakdown torque is off the aim. */
interface Aimed {
  readonly circuit: Circuit;
  readonly off: number;
}

/** What is tried, and how far it is from what is known. */
interface Tried extends Standstill {
  readonly away: number;
}

/** So many groups are searched finely whatever they look like. */
const FINE = 3;
/** Roughly so near the aim or less, and a group is searched finely after all; of the others the nearest few at the end. */
const PROMISING = 0.03;
const LAST = 8;
/** A miss with which nothing better is looked for: at once, or once all shares of the stator were tried. */
const GOOD = 0.002;
const GOOD_OF_GROUP = 0.02;

/**
 * Fits a double-cage circuit to a plate and what its design promises (method of Pedra and Córcoles, IEEE Trans. Energy
 * Conversion 2004, in spirit: rated and standstill points are met exactly in closed form, the magnetising reactance is
 * searched for the breakdown torque). Where no real motor has all figures, the ones that yield are named.
 */
export function findCircuit(targets: FitTargets): Found | undefined {
  const { power, speed, current, frequency, poles, voltage } = targets;
  const synchronous = synchronousSpeed(frequency, poles);
  if (!(speed < synchronous) || !(speed > 0.5 * synchronous) || !(targets.efficiency < 1)) return undefined;
  const losses = splitLosses(targets);
  const wanted = (targets.breakdownTorque * power) / speed;
  // A class promises the least breakdown torque; what comes out above it is as real.
  const aim = targets.torquesAtLeast ? wanted * USUAL_OVER_LEAST : wanted;
  const missOf = (off: number): number =>
    targets.torquesAtLeast && (1 + off) * aim >= wanted * 0.999 && off < 1 ? 0 : Math.abs(off);
  const range: Range = {
    smallest: (0.9 * (voltage / Math.sqrt(3))) / current,
    aim,
    near: targets.torquesAtLeast ? 0.05 : 1e-5,
  };
  const circuitAt =
    (tried: Tried) =>
    (xm: number): Circuit | undefined =>
      circuitFor(targets, losses, xm, tried);

  let chosen: { circuit: Circuit; miss: number } | undefined;
  const look = (tried: Tried): void => {
    if (chosen && tried.away >= chosen.miss) return;
    const found = nearestOf(circuitAt(tried), range);
    const miss = found && missOf(found.off) + tried.away;
    if (found && miss !== undefined && (!chosen || miss < chosen.miss)) chosen = { circuit: found.circuit, miss };
  };
  const within = (miss: number): boolean => chosen !== undefined && chosen.miss < miss;

  const left: { readonly tried: Tried; readonly miss: number }[] = [];
  for (const [at, group] of groupsOf(targets).entries()) {
    for (const tried of group) {
      const miss = at < FINE ? 0 : missOf(roughlyOff(circuitAt(tried), range)) + tried.away;
      if (miss < PROMISING) look(tried);
      else left.push({ tried, miss });
      if (within(GOOD)) break;
    }
    if (within(GOOD_OF_GROUP)) break;
  }
  if (!within(GOOD_OF_GROUP))
    for (const { tried } of left.toSorted((a, b) => a.miss - b.miss).slice(0, LAST)) look(tried);
  return {
    circuit: chosen?.circuit ?? singleCage(targets, losses),
    consistent: losses.consistent,
    doubleCaged: chosen !== undefined,
  };
}

/** What is promised and the usual split first; then what is near, each step off a known figure weighed as a miss. */
function groupsOf(targets: FitTargets): Tried[][] {
  const least = Math.min(1, targets.lockedRotorCurrentLeast / targets.lockedRotorCurrent);
  const currents = least > 0.995 ? [1] : [1, 0.75, 0.5, 0.25, 0].map((part) => least + part * (1 - least));
  const torques = targets.torquesAtLeast
    ? [1, 1.1, 1.25, 1.4, 1.6, 1.9, 2.3, 2.8]
    : [1, 1.1, 0.9, 1.25, 0.8, 1.5, 0.65, 2, 0.5];
  return currents.flatMap((currentFactor) =>
    torques.map((torqueFactor) =>
      [1, 0.75, 1.25, 0.5].map((shareFactor) => ({
        statorShare: Math.min(0.7, targets.statorShare * shareFactor),
        lockedTorque: targets.lockedRotorTorque * torqueFactor,
        lockedRotorCurrent: targets.lockedRotorCurrent * currentFactor,
        away: targets.torquesAtLeast ? 0 : Math.abs(Math.log(torqueFactor)),
      })),
    ),
  );
}

/** Where the magnetising reactance is looked for, from the smallest to twelve times that, and for which breakdown torque. */
interface Range {
  readonly smallest: number;
  readonly aim: number;
  /** A miss that is near enough. */
  readonly near: number;
}

type CircuitAt = (xm: number) => Circuit | undefined;

/** The circuit with the breakdown torque nearest the aim; undefined where no reactance gives one. */
function nearestOf(circuitAt: CircuitAt, { smallest, aim, near }: Range): Aimed | undefined {
  const at = (xm: number): Aimed | undefined => {
    const circuit = circuitAt(xm);
    return circuit && { circuit, off: breakdownOf(circuit) / aim - 1 };
  };
  let best: Aimed | undefined;
  let before: { xm: number; off: number } | undefined;
  for (let step = 0; step <= SCAN; step++) {
    const xm = smallest * 12 ** (step / SCAN);
    const found = at(xm);
    if (!found) {
      before = undefined;
      continue;
    }
    if (!best || Math.abs(found.off) < Math.abs(best.off)) best = found;
    if (before && before.off * found.off <= 0) {
      let [low, high] = [before, { xm, off: found.off }];
      for (let round = 0; round < 22; round++) {
        const middle = Math.sqrt(low.xm * high.xm);
        const centre = at(middle);
        if (!centre) break;
        if (Math.abs(centre.off) < Math.abs(best.off)) best = centre;
        if (Math.abs(centre.off) < near) break;
        if (centre.off * low.off <= 0) high = { xm: middle, off: centre.off };
        else low = { xm: middle, off: centre.off };
      }
      break;
    }
    before = { xm, off: found.off };
  }
  return best;
}

const ROUGH_SCAN = 12;

/** The same in a few steps, its torque to within a hundredth: nothing where the aim lies between two of them. */
function roughlyOff(circuitAt: CircuitAt, { smallest, aim }: Range): number {
  let least = Number.POSITIVE_INFINITY;
  let before: number | undefined;
  for (let step = 0; step <= ROUGH_SCAN; step++) {
    const circuit = circuitAt(smallest * 12 ** (step / ROUGH_SCAN));
    const off = circuit && breakdownRoughly(circuit) / aim - 1;
    if (off !== undefined) {
      if (before !== undefined && before * off <= 0) return 0;
      if (Math.abs(off) < Math.abs(least)) least = off;
    }
    before = off;
  }
  return least;
}

/** The fallback where no double cage fits: one cage from the rated point, leakage from the standstill current. */
function singleCage(targets: FitTargets, losses: Losses): Circuit {
  const { power, voltage, frequency, poles, current, lockedRotorCurrent, speed } = targets;
  const phase = voltage / Math.sqrt(3);
  const synchronous = synchronousSpeed(frequency, poles);
  const slip = 1 - speed / synchronous;
  const r1 = losses.stator / (3 * current ** 2);
  const rs = losses.stray / (3 * current ** 2);
  const cosine = Math.min(
    0.98,
    (power + losses.rotor + losses.stator + losses.core + losses.windage + losses.stray) / (3 * phase * current),
  );
  const x = Math.max(0.02 * (phase / current), phase / lockedRotorCurrent);
  const rated = complex(current * cosine, -current * Math.sqrt(1 - cosine ** 2));
  const gap = subtract(complex(phase), multiply(rated, complex(r1 + rs, x / 2)));
  const rc = (3 * magnitude(gap) ** 2) / losses.core;
  const rotor = divide(gap, subtract(rated, divide(gap, complex(rc))));
  const admittance = inverse(rotor);
  const r2 = Math.max(1e-6, slip / admittance.re);
  const leakage = inverse(add(complex(r2 / slip), complex(0, x / 2)));
  const shunt = Math.max(1e-9, -admittance.im + leakage.im);
  return {
    r1,
    rs,
    x1: x / 2,
    xm: 1 / shunt,
    rc,
    r2,
    x2: x / 2,
    volts: voltage,
    hz: frequency,
    poles,
    rotationalLoss: 0,
    windage: losses.windage,
  };
}

/** Slip below breakdown at which the shaft gives a torque; undefined where it cannot. */
export function slipAtTorque(
  circuit: Circuit,
  torque: number,
  volts = circuit.volts,
  hz = circuit.hz,
): number | undefined {
  const high = breakdownSlip(circuit, hz, PEAK_STEPS, PEAK_TOLERANCE);
  const shaft = (slip: number): number => steadyPoint(circuit, slip, volts, hz).shaftTorque;
  if (shaft(high) < torque) return undefined;
  const found = bisect((slip) => shaft(slip) < torque, { low: 1e-7, high }, { rounds: 60, width: 1e-12 });
  return (found.low + found.high) / 2;
}

function compareFit(targets: FitTargets, circuit: Circuit): FitQuantity[] {
  const ratedTorque = targets.power / targets.speed;
  const slip =
    slipAtTorque(circuit, ratedTorque) ?? 1 - targets.speed / synchronousSpeed(targets.frequency, targets.poles);
  const rated = steadyPoint(circuit, slip);
  const locked = steadyPoint(circuit, 1);
  const exact = (name: string, target: number, reached: number, unit: FitQuantity['unit']): FitQuantity => ({
    name,
    target,
    reached,
    residual: reached / target - 1,
    unit,
  });
  const torque = (name: string, multiple: number, reached: number): FitQuantity => {
    const plain = exact(name, multiple * ratedTorque, reached, 'N·m');
    return targets.torquesAtLeast ? { ...plain, bound: 'at least', residual: Math.min(0, plain.residual) } : plain;
  };
  const current = exact('Locked-rotor current', targets.lockedRotorCurrent, locked.statorCurrent, 'A');
  const ranged = targets.lockedRotorCurrentLeast < 0.995 * targets.lockedRotorCurrent;
  const kept = locked.statorCurrent >= 0.995 * targets.lockedRotorCurrentLeast && current.residual < 0.005;
  return [
    exact('Power', targets.power, rated.outputPower, 'W'),
    exact('Current', targets.current, rated.statorCurrent, 'A'),
    exact('Speed', targets.speed, rated.speed, 'rad/s'),
    exact('Efficiency', targets.efficiency, rated.efficiency, '1'),
    ranged ? { ...current, bound: 'at most', residual: kept ? 0 : current.residual } : current,
    torque('Locked-rotor torque', targets.lockedRotorTorque, locked.inducedTorque),
    torque('Breakdown torque', targets.breakdownTorque, breakdownOf(circuit)),
    ...(targets.partLoads ?? []).flatMap(({ share, efficiency }) => {
      const at = slipAtTorque(circuit, share * ratedTorque);
      if (at === undefined) return [];
      return [exact(partLoadName(share), efficiency, steadyPoint(circuit, at).efficiency, '1')];
    }),
    ...(targets.pullUpTorque === undefined
      ? []
      : [
          exact(
            'Pull-up torque',
            targets.pullUpTorque * ratedTorque,
            curveExtremes(circuit).pullUp.inducedTorque,
            'N·m',
          ),
        ]),
  ];
}

const PART_LOAD = 'Efficiency at ';
const partLoadName = (share: number): string => `${PART_LOAD}${Math.round(share * 100)} % load`;

const RATED_TOLERANCE = 0.01;
const START_TOLERANCE = 0.05;
const PULL_UP_TOLERANCE = 0.15;

function conflictsOf(quantities: readonly FitQuantity[], consistent: boolean, doubleCaged: boolean): string[] {
  const off = (name: string, tolerance: number): FitQuantity | undefined =>
    quantities.find((each) => each.name === name && Math.abs(each.residual) > tolerance);
  const percent = (each: Pick<FitQuantity, 'residual'>): string =>
    `${each.residual > 0 ? '+' : '−'}${(Math.abs(each.residual) * 100).toFixed(0)} %`;
  const conflicts: string[] = [];
  if (!consistent)
    conflicts.push(
      'speed and efficiency: the slip alone loses so much in the rotor that the rest leaves too little for the stator',
    );
  const current = off('Current', RATED_TOLERANCE);
  if (current) conflicts.push(`current against power and efficiency (${percent(current)})`);
  const locked = off('Locked-rotor torque', START_TOLERANCE);
  const breakdown = off('Breakdown torque', START_TOLERANCE);
  if (locked) conflicts.push(`locked-rotor torque against locked-rotor current and slip (${percent(locked)})`);
  if (breakdown)
    conflicts.push(`breakdown torque against power factor and locked-rotor current (${percent(breakdown)})`);
  for (const { name, residual } of quantities)
    if (name.startsWith(PART_LOAD) && Math.abs(residual) > RATED_TOLERANCE)
      conflicts.push(`${name.toLowerCase()} against full-load efficiency and slip (${percent({ residual })})`);
  const pullUp = off('Pull-up torque', PULL_UP_TOLERANCE);
  if (pullUp) conflicts.push(`pull-up torque against locked-rotor and breakdown torque (${percent(pullUp)})`);
  if (!doubleCaged) conflicts.push('no double cage has all of these figures; a single cage stands in');
  return conflicts;
}
