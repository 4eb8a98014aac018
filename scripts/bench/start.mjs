/**
 * Prints JSON with speeds of starts against a general-purpose integrator at the same accuracy, in one run: quasi-steady
 * and transient run-up, all ways to start compared and charted, and 2,000 sampled starts on one and on two workers, beside
 * odex on the same workers: two processors that are threads of one core are not twice one.
 */
import { fileURLToPath } from 'node:url';
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { Solver } from 'odex/src/odex.ts';
import { interpolate } from '../../core/src/kernel/numeric.ts';
import { circuitState, windageAt } from '../../core/src/motor/circuit.ts';
import { fitMotor } from '../../core/src/motor/fit-motor.ts';
import { synchronousSpeed } from '../../core/src/motor/synchronous.ts';
import { methods } from '../../core/src/stages/starting/starting-mode.ts';
import { runStart } from '../../core/src/stages/starting/run-start.ts';
import { runUp } from '../../core/src/stages/starting/run-up.ts';
import { sampleStart } from '../../core/src/stages/starting/tolerance-sampling.ts';
import { classTimes } from '../../core/src/stages/starting/trip-class.ts';
import { transientRun } from '../../core/src/stages/starting/transient.ts';
import { demoCatalogue } from '../../db/demo/catalogue.ts';
import { timeChart, torqueSpeedChart } from '../../web/src/lib/charts/start-charts.ts';
import krause from '../../core/test/cases/krause-50hp.json' with { type: 'json' };

const SAMPLES = 2000;
const PART = 50;
const HELD = 2;
const WARM_UP = 250;
const ROUNDS = 200;
const CREW_ROUNDS = 20;

const median = (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)];

/** Medians in ms, the runs taken in turns, so that a machine that slows down slows all of them. */
function timed(...runs) {
  const times = runs.map(() => []);
  for (let round = 0; round < WARM_UP + ROUNDS; round++)
    for (const [at, run] of runs.entries()) {
      const started = performance.now();
      run();
      if (round >= WARM_UP) times[at].push(performance.now() - started);
    }
  return times.map(median);
}

/** A motor of the demo catalogue on a fan, and all that its starts depend on. */
function example() {
  const item = demoCatalogue().motors.find(
    (each) => each.school === 'IEC' && each.power === 30_000 && each.poles === 4,
  );
  const targets = {
    power: item.power,
    voltage: 400,
    frequency: 50,
    poles: 4,
    speed: item.speed,
    current: item.currents[0],
    efficiency: item.efficiency,
    lockedRotorCurrent: item.lockedRotorCurrents[0],
    lockedRotorCurrentLeast: item.lockedRotorCurrents[0],
    lockedRotorTorque: item.lockedRotorTorque,
    breakdownTorque: item.breakdownTorque,
    torquesAtLeast: false,
    fixedShare: 0.35,
    statorShare: 0.4,
  };
  const machine = fitMotor({ ...targets, voltage: item.voltages[0] });
  const { circuit } = machine;
  const ratedTorque = item.power / item.speed;
  const speeds = Array.from({ length: 61 }, (_, at) => (at / 60) * 190);
  const turning = { speeds, torques: speeds.map((speed) => 0.8 * ratedTorque * (speed / item.speed) ** 2), inertia: 3 };
  const start = {
    circuit,
    motor: { power: item.power, speed: item.speed, current: item.currents[0], voltage: item.voltages[0] },
    turning,
    source: undefined,
    feeds: {
      direct: { kind: 'direct' },
      'star-delta': { kind: 'star-delta', changeSpeed: 0.9, changeTime: 20, gap: 0.06 },
      'soft starter': {
        kind: 'soft starter',
        mode: 'current limit',
        startVoltage: 0.4,
        ramp: 8,
        currentLimit: 4,
        kickVoltage: 0.8,
        kickTime: 0,
      },
      autotransformer: { kind: 'autotransformer', tap: 0.65, changeSpeed: 0.9, changeTime: 20 },
      drive: { kind: 'drive', ramp: 8, currentLimit: 1.5, boost: 1.5 },
    },
    stallTime: 12,
    tripClass: '10',
    overload: item.currents[0],
    warm: 0,
  };
  const spread = { start, targets: { ...targets, voltage: item.voltages[0] }, method: 'direct', seed: 1 };
  return { item, machine, circuit, turning, ratedTorque, start, spread };
}

/** The same six equations that a run-up integrates: speed, heat of rotor and stator, energy in, load and friction. */
function quasiSteady({ circuit, turning, ratedTorque, item }) {
  const setting = {
    circuit,
    turning,
    source: undefined,
    feed: { kind: 'direct' },
    ratedTorque,
    ratedCurrent: item.currents[0],
    steps: 32,
  };
  const synchronous = synchronousSpeed(circuit.hz, circuit.poles);
  const phase = circuit.volts / Math.sqrt(3);
  const derivative = (_, [speed]) => {
    const slip = Math.max(1e-6, 1 - speed / synchronous);
    const state = circuitState(circuit, slip, circuit.hz);
    const square = phase ** 2 / (state.re ** 2 + state.im ** 2);
    const gap = square * state.airGap;
    const windage = windageAt(circuit, speed);
    const torque = gap / synchronous - (speed > 0 ? windage / speed : 0);
    const load = interpolate(turning.speeds, turning.torques, speed);
    const stator = 3 * square * (circuit.r1 + circuit.rs) + square * state.core;
    return [(torque - load) / turning.inertia, slip * gap, stator, gap + stator, load * speed, windage];
  };
  const solve = (tolerance, end) => {
    const solver = new Solver(6);
    solver.absoluteTolerance = solver.relativeTolerance = tolerance;
    return solver.solve(derivative, 0, [0, 0, 0, 0, 0, 0], end).y;
  };
  const own = runUp(setting);
  const end = own.trace.time.at(-1);
  const exact = solve(1e-12, end);
  const errorOf = ([speed, heat]) => Math.max(1e-9, Math.abs(speed / exact[0] - 1), Math.abs(heat / exact[1] - 1));
  const error = errorOf([own.trace.speed.at(-1), own.rotorHeat]);
  const tolerance =
    [1e-1, 1e-2, 1e-3, 1e-4, 1e-5, 1e-6, 1e-7, 1e-8].find((each) => errorOf(solve(each, end)) <= error) ?? 1e-9;
  const [mine, reference] = timed(
    () => runUp(setting),
    () => solve(tolerance, end),
  );
  return { own: mine, reference, error };
}

function transient() {
  const i = krause.inputs;
  const machine50 = {
    r1: i.rs,
    x1: i.Xls,
    xm: i.XM,
    r2: i.rr,
    x2: i.Xlr,
    volts: i.line_voltage,
    hz: 60,
    poles: 4,
    rotationalLoss: 0,
  };
  const duration = 0.45;
  const setting = {
    circuit: machine50,
    speeds: [0, 400],
    torques: [0, 0],
    inertia: i.J,
    voltage: i.line_voltage,
    sourceResistance: 0,
    sourceReactance: 0,
    switching: { kind: 'direct' },
    angle: 0,
    duration,
    step: 2.5e-4,
  };
  const base = 2 * Math.PI * 60;
  const [ls, l1, lm] = [i.Xls / base, i.Xlr / base, i.XM / base];
  const mutual = 1 / (1 / lm + 1 / ls + 1 / l1);
  const amplitude = (Math.SQRT2 * i.line_voltage) / Math.sqrt(3);
  const derivative = (t, [ar, ai, br, bi, w]) => {
    const gr = mutual * (ar / ls + br / l1);
    const gi = mutual * (ai / ls + bi / l1);
    const cr = (ar - gr) / ls;
    const ci = (ai - gi) / ls;
    const e = 2 * w;
    return [
      amplitude * Math.cos(base * t) - i.rs * cr,
      amplitude * Math.sin(base * t) - i.rs * ci,
      (-i.rr * (br - gr)) / l1 - e * bi,
      (-i.rr * (bi - gi)) / l1 + e * br,
      (3 * (gr * ci - gi * cr)) / i.J,
    ];
  };
  const solve = (tolerance) => {
    const solver = new Solver(5);
    solver.absoluteTolerance = solver.relativeTolerance = tolerance;
    return solver.solve(derivative, 0, [0, 0, 0, 0, 0], duration).y[4];
  };
  const exact = solve(1e-12);
  const error = Math.max(1e-8, Math.abs(transientRun(setting).finalSpeed - exact));
  const tolerance =
    [1e-3, 1e-4, 1e-5, 1e-6, 1e-7, 1e-8, 1e-9, 1e-10].find((each) => Math.abs(solve(each) - exact) <= error) ?? 1e-11;
  const [own, reference] = timed(
    () => transientRun(setting),
    () => solve(tolerance),
  );
  return { own, reference, error: error / exact };
}

function compared({ machine, turning, start }) {
  const curve = { speeds: turning.speeds, torques: turning.torques, shape: '' };
  const relay = classTimes('10');
  const [all] = timed(() => {
    for (const method of methods) {
      const { run } = runStart(start, method);
      const row = { method, trace: run.trace, relayClass: '10', relay };
      torqueSpeedChart(row, machine, curve, 'IEC');
      timeChart(row, start.overload, 400);
    }
  });
  return all;
}

/** Work of a general-purpose integrator, of about the length of a sampled start: two bodies on one spring. */
function reference() {
  const solver = new Solver(4);
  solver.absoluteTolerance = solver.relativeTolerance = 1e-6;
  return solver.solve(
    (_, [x, y, u, v]) => [u, v, -x / Math.hypot(x, y) ** 3, -y / Math.hypot(x, y) ** 3],
    0,
    [1, 0, 0, 1.2],
    6,
  ).y;
}

/** Workers that stay and are handed parts, as the page does it: the measure is of starts, not of loading scripts. */
class Crew {
  constructor(size) {
    this.workers = Array.from({ length: size }, () => new Worker(fileURLToPath(import.meta.url)));
  }

  /** Time of `count` pieces of work, ms. */
  async run(work, count) {
    const started = performance.now();
    let given = 0;
    let tried = 0;
    const give = (worker) => {
      if (given >= count) return;
      worker.postMessage({ ...work, from: given, to: given + PART });
      given += PART;
    };
    await new Promise((resolve) => {
      for (const worker of this.workers) {
        worker.removeAllListeners('message');
        worker.on('message', (done) => {
          tried += done.length;
          if (tried >= count) resolve();
          else give(worker);
        });
        for (let part = 0; part < HELD; part++) give(worker);
      }
    });
    return performance.now() - started;
  }

  end() {
    return Promise.all(this.workers.map((worker) => worker.terminate()));
  }
}

if (isMainThread) {
  const given = example();
  const result = { quasiSteady: quasiSteady(given), transient: transient(), compared: compared(given) };
  const crews = [new Crew(1), new Crew(2)];
  const rounds = [];
  for (let round = 0; round < CREW_ROUNDS; round++) {
    const times = { starts: [], odex: [] };
    for (const crew of crews) {
      times.starts.push(await crew.run({ spread: given.spread }, SAMPLES));
      times.odex.push(await crew.run({}, SAMPLES));
    }
    if (round > 1) rounds.push(times);
  }
  await Promise.all(crews.map((crew) => crew.end()));
  const gain = ([one, two]) => one / two;
  const medianOf = (of) => median(rounds.map(of));
  process.stdout.write(
    JSON.stringify({
      ...result,
      crews: {
        one: medianOf(({ starts }) => starts[0]),
        two: medianOf(({ starts }) => starts[1]),
        gain: medianOf(({ starts }) => gain(starts)),
        odexGain: medianOf(({ odex }) => gain(odex)),
        // Of two whole processors: what starts gain against what odex gains in the same round, times two.
        wholeGain: medianOf(({ starts, odex }) => (2 * gain(starts)) / Math.min(2, gain(odex))),
      },
    }),
  );
} else {
  const works = ({ spread }, at) => (spread ? sampleStart(spread, at, 4) : reference());
  parentPort.on('message', ({ from, to, ...work }) => {
    parentPort.postMessage(Array.from({ length: to - from }, (_, at) => works(work, from + at)));
  });
}
