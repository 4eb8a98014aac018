import {
  add,
  complex,
  divide,
  inverse,
  lagging,
  magnitude,
  multiply,
  subtract,
  type Complex,
} from '../../kernel/complex.ts';
import type { Inputs } from '../../job/inputs.ts';
import type { StageContext } from '../stage.ts';
import { conductorImpedance } from '../../kernel/tables/index.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

/**
 * Voltage a start is judged at, V: the lowest typed, else the motor’s rated voltage, or the system’s where that is lower.
 * Undefined while neither is typed.
 */
export function startVoltage({ supply }: Inputs['given'], motorVoltage: number): number | undefined {
  if (supply.lowestVoltage) return supply.lowestVoltage.value;
  return supply.voltage && Math.min(supply.voltage.value, motorVoltage);
}

/** What stands behind the motor, as per-phase star impedances in Ω. */
export interface Impedances {
  /** Line-to-line at the source before anything runs, V. */
  readonly voltage: number;
  /** Network and transformer, fault level, or generator by its transient reactance. */
  readonly internal: Complex;
  /** Of a generator in the first cycles, by its subtransient reactance; otherwise the same as ever. */
  readonly firstInternal?: Complex | undefined;
  readonly feeder: Complex;
  /** Other load on the bus as an impedance; undefined where there is none. */
  readonly other: Complex | undefined;
}

/** The same with how two of them were worked out. */
export interface Source extends Impedances {
  readonly internalValue: Value | undefined;
  readonly feederValue: Value | undefined;
}

/** X over R where it is not typed. Common practice, no published source. */
const usualRatio: Readonly<Record<'transformer' | 'fault level' | 'generator', number>> = {
  transformer: 5,
  'fault level': 6,
  generator: 20,
};

/** X″d over X′d of a generator where it is not typed. Common practice, no published source. */
const USUAL_SUBTRANSIENT = 0.65;

/** Resistance at 75 °C and reactance of an insulated cable of a metric size, Ω/m. */
function metricCable(area: number, aluminium: boolean): Complex {
  // 1/58 and 1/35.4 Ω·mm²/m at 20 °C (IEC 60228 conductivities, from memory), 75 °C by 0.393 % and 0.403 % per kelvin.
  const resistivity = aluminium ? (1 / 35.4) * (1 + 0.004_03 * 55) : (1 / 58) * (1 + 0.003_93 * 55);
  return complex(resistivity / area, 0.08e-3);
}

const PER_1000_FEET = 1 / 304.8;

/** Impedance of the feeder, Ω; undefined until its length and size are typed. */
function feederImpedance({ job, given }: StageContext, frequency: number): Complex | undefined {
  const { feederLength, feederRuns } = given.supply;
  const { feederSize, feederMaterial } = job.supply;
  if (!feederLength || !feederSize) return undefined;
  const aluminium = feederMaterial === 'aluminium';
  const metric = /^([\d.]+) mm²$/.exec(feederSize)?.[1];
  let perMetre: Complex | undefined;
  if (metric !== undefined) perMetre = metricCable(Number(metric), aluminium);
  else {
    const row = conductorImpedance.row(feederSize);
    const r = conductorImpedance.number(row, aluminium ? 'r_al_in_steel' : 'r_cu_in_steel');
    const x = conductorImpedance.number(row, 'x_in_steel');
    perMetre =
      r === undefined || x === undefined ? undefined : complex(r * PER_1000_FEET, x * PER_1000_FEET * (frequency / 60));
  }
  const runs = feederRuns?.value ?? 1;
  return perMetre && multiply(perMetre, complex(feederLength.value / runs));
}

/** The source as typed; undefined while its strength is not known. */
export function sourceOf(brief: StageContext, voltage: number, frequency: number): Source | undefined {
  const { job, given } = brief;
  const {
    sourcePower,
    sourceImpedance,
    subtransientReactance,
    reactanceRatio,
    networkPower,
    faultCurrent,
    otherLoad,
    otherPowerFactor,
  } = given.supply;
  const { source } = job.supply;
  const ratio = reactanceRatio?.value ?? usualRatio[source];
  const split = (size: number): Complex => complex(size / Math.hypot(1, ratio), (size * ratio) / Math.hypot(1, ratio));

  let internal: Complex;
  let firstInternal: Complex | undefined;
  let internalValue: Value;
  if (source === 'fault level') {
    if (!faultCurrent) return undefined;
    internal = split(voltage / (Math.sqrt(3) * faultCurrent.value));
    internalValue = quantity(magnitude(internal), 'resistance', {
      formula: 'Z = \\dfrac{V}{\\sqrt3\\,I_k}',
      from: { I_k: faultCurrent },
      source: 'definition',
    });
  } else {
    if (!sourcePower || !sourceImpedance) return undefined;
    const own = split((sourceImpedance.value * voltage ** 2) / sourcePower.value);
    const behind =
      networkPower && source === 'transformer' ? complex(0, voltage ** 2 / networkPower.value) : complex(0);
    internal = add(own, behind);
    if (source === 'generator') {
      const share = subtransientReactance
        ? Math.min(1, subtransientReactance.value / sourceImpedance.value)
        : USUAL_SUBTRANSIENT;
      firstInternal = multiply(own, complex(share));
    }
    internalValue = quantity(magnitude(internal), 'resistance', {
      formula: 'Z = z\\,\\dfrac{V^2}{S} + \\dfrac{V^2}{S_{net}}',
      from: { z: sourceImpedance, S: sourcePower, 'S_{net}': networkPower },
      source: 'definition',
      note: `X/R of ${ratio}${reactanceRatio ? '' : ', ' + PRACTICE}.${networkPower || source === 'generator' ? '' : ' The network behind is taken as stiff.'}`,
    });
  }
  const feeder = feederImpedance(brief, frequency);
  const other =
    otherLoad && otherLoad.value > 0
      ? lagging(voltage ** 2 / otherLoad.value, otherPowerFactor?.value ?? 0.85)
      : undefined;
  return {
    voltage,
    internal,
    firstInternal,
    feeder: feeder ?? complex(0),
    other,
    internalValue,
    feederValue:
      feeder &&
      quantity(magnitude(feeder), 'resistance', {
        origin: 'recalled',
        formula: 'Z_f = \\sqrt{R^2 + X^2}\\,\\ell',
        from: { '\\ell': given.supply.feederLength },
        source: job.supply.feederSize?.endsWith('mm²')
          ? 'IEC 60228 conductivity (from memory) at 75 °C, 0.08 mΩ/m reactance: ' + PRACTICE
          : conductorImpedance.source,
      }),
  };
}

export interface Dip {
  /** Shares of the voltage before the start. */
  readonly bus: number;
  readonly terminals: number;
  /** Line current that really flows, A. */
  readonly current: number;
  /** Line-to-line at the motor terminals while starting, V. */
  readonly voltage: number;
}

/**
 * Phasor dip of a start: the standing motor as an impedance of `current` A and `powerFactor` at its rated voltage behind
 * feeder and source, beside the other load. Dips are against the voltages before the start. A starter that limits its
 * current keeps the line current; pass `limited` and the motor is scaled until that current flows.
 */
export function dipOf(source: Source, start: StartingLoad): Dip {
  const before = busVoltage(source, phaseOf(source), undefined);
  const unlimited = start.voltage / (Math.sqrt(3) * start.current);
  const at = (size: number): Flow & { size: number } => {
    const flow = flowOf(source, lagging(size, start.powerFactor));
    return { ...flow, size: magnitude(flow.current) };
  };
  let size = unlimited;
  if (start.limited) {
    // The line current falls as the motor's impedance grows; a few secant-like steps meet the limit.
    for (let step = 0; step < 40; step++) {
      const { size: flows } = at(size);
      if (Math.abs(flows / start.current - 1) < 1e-9) break;
      size *= flows / start.current;
    }
  }
  const { bus, terminals, size: current } = at(size);
  return {
    bus: 1 - magnitude(bus) / magnitude(before),
    terminals: 1 - magnitude(terminals) / magnitude(before),
    current,
    voltage: magnitude(terminals) * Math.sqrt(3),
  };
}

/** Phasors of one phase; that of the source lies along the real axis. */
export interface Flow {
  readonly bus: Complex;
  readonly terminals: Complex;
  readonly current: Complex;
}

const phaseOf = ({ voltage }: Source): Complex => complex(voltage / Math.sqrt(3));

/** A motor as an impedance behind feeder and source, beside the other load. */
export function flowOf(source: Source, motor: Complex): Flow {
  const branch = add(source.feeder, motor);
  const bus = busVoltage(source, phaseOf(source), branch);
  const current = divide(bus, branch);
  return { bus, terminals: multiply(current, motor), current };
}

/** A motor or starter at the instant of starting: line current and power factor at a voltage. */
export interface StartingLoad {
  readonly voltage: number;
  readonly current: number;
  readonly powerFactor: number;
  /** The current is held by electronics and does not fall with the voltage. */
  readonly limited: boolean;
}

function busVoltage({ internal, other }: Source, phase: Complex, branch: Complex | undefined): Complex {
  const loads = [other, branch].filter((each) => each !== undefined);
  if (loads.length === 0) return phase;
  const load = inverse(loads.map(inverse).reduce(add, complex(0)));
  const current = divide(phase, add(internal, load));
  return subtract(phase, multiply(current, internal));
}
