import type { StageContext } from '../stage.ts';
import type { Job } from '../../job/job.ts';
import { interpolate } from '../../kernel/numeric.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

type Kind = Job['load']['stages'][number]['kind'];

/** Efficiency of one stage in good order at its rated torque. Common practice, no published source. */
const efficiencies: Readonly<Record<Exclude<Kind, 'worm gear'>, number>> = {
  coupling: 1,
  'V-belt': 0.95,
  'synchronous belt': 0.98,
  chain: 0.97,
  'helical gear': 0.975,
  'bevel gear': 0.965,
};

/** A worm slides more the higher its ratio. Common practice, no published source. */
const wormEfficiencies = [
  [5, 0.91],
  [10, 0.87],
  [20, 0.8],
  [30, 0.75],
  [40, 0.7],
  [60, 0.62],
  [100, 0.5],
] as const;

/** What the pull of a transmission at the motor shaft exceeds the pull of its torque by. Common practice, no published source. */
const sidePull: Readonly<Record<Kind, number>> = {
  coupling: 0,
  'V-belt': 1.5,
  'synchronous belt': 1.3,
  chain: 1,
  'helical gear': 1.25,
  'bevel gear': 1.25,
  'worm gear': 1.25,
};

export const hasRadialLoad = (kind: Kind): boolean => sidePull[kind] > 0;

/** What hangs on the shaft itself; a gear has a coupling before it. */
export const isShaftMounted = (kind: Kind): boolean => ['V-belt', 'synchronous belt', 'chain'].includes(kind);

/** By how much the transmission’s rating must exceed the torque it carries. Common practice, no published source. */
export const serviceFactors: Readonly<Record<Job['load']['shock'], number>> = {
  uniform: 1,
  moderate: 1.25,
  heavy: 1.75,
};

function usualEfficiency(kind: Kind, ratio: number): number {
  if (kind !== 'worm gear') return efficiencies[kind];
  return interpolate(
    wormEfficiencies.map(([at]) => at),
    wormEfficiencies.map(([, efficiency]) => efficiency),
    ratio,
  );
}

interface Stage {
  readonly kind: Kind | undefined;
  readonly ratio: Value | undefined;
  readonly efficiency: Value;
}

/** A shaft of the train: what was typed there. Shaft 0 is the motor’s, the last the driven machine’s. */
interface TypedShaft {
  readonly torque: Value | undefined;
  readonly speed: Value | undefined;
  readonly inertia: Value | undefined;
  /** Where its numbers are typed: `load.stages.0` or `load`. */
  readonly path: string;
}

export interface Shaft {
  readonly name: string;
  readonly path: string;
  readonly torque: Value | undefined;
  readonly speed: Value | undefined;
  readonly inertia: Value | undefined;
  /** What drives on from here; undefined at the driven machine. */
  readonly onward: { readonly kind: string; readonly ratio: Value | undefined; readonly efficiency: Value } | undefined;
}

export interface Transmission {
  readonly stages: readonly Stage[];
  readonly shafts: readonly TypedShaft[];
  /** Product over all stages; undefined while a ratio is missing. */
  readonly ratio: Value | undefined;
  readonly efficiency: Value;
  /** Places where a ratio is missing. */
  readonly lacking: readonly string[];
}

/**
 * The transmission from motor to machine: its listed stages, or one of `load.ratio` where none is listed. A ratio that is
 * not typed follows from the speeds typed at both its shafts.
 */
export function transmissionOf({ job, given, rows }: StageContext): Transmission {
  const typed = given.load;
  const driven: TypedShaft = { torque: typed.torque, speed: typed.speed, inertia: typed.inertia, path: 'load' };
  const list = rows['load.stages'];
  if (list.length === 0) {
    const ratio =
      typed.ratio ??
      quantity(1, 'count', {
        origin: 'estimated',
        source: PRACTICE,
        assumes: 'load.ratio',
        note: 'Direct drive is assumed.',
      });
    const direct = ratio.value === 1;
    const efficiency =
      typed.transmissionEfficiency ??
      quantity(direct ? 1 : 0.95, 'fraction', {
        origin: 'estimated',
        source: PRACTICE,
        assumes: 'load.transmissionEfficiency',
        note: direct ? 'Direct drive loses nothing worth counting.' : 'A belt or one gear stage in good order.',
      });
    const motor: TypedShaft = { torque: undefined, speed: undefined, inertia: undefined, path: '' };
    return {
      stages: [{ kind: undefined, ratio, efficiency }],
      shafts: [motor, driven],
      ratio,
      efficiency,
      lacking: [],
    };
  }

  const shafts: TypedShaft[] = [
    ...list.map(({ at, torque, speed, inertia }) => ({ torque, speed, inertia, path: `load.stages.${at}` })),
    driven,
  ];
  const stages = list.map((row, at): Stage => {
    const kind = job.load.stages[row.at]?.kind ?? 'coupling';
    const ratio = row.ratio ?? ratioOf(kind, shafts[at]?.speed, shafts[at + 1]?.speed);
    const efficiency =
      row.efficiency ??
      quantity(usualEfficiency(kind, ratio?.value ?? 1), 'fraction', {
        origin: 'estimated',
        source: PRACTICE,
        assumes: `load.stages.${row.at}.efficiency`,
        note: `A ${kind} in good order at full torque.`,
      });
    return { kind, ratio, efficiency };
  });
  const known = stages.every((stage) => stage.ratio !== undefined);
  const product = stages.reduce((all, stage) => all * (stage.ratio?.value ?? 1), 1);
  const loss = stages.reduce((all, stage) => all * stage.efficiency.value, 1);
  return {
    stages,
    shafts,
    ratio: known
      ? quantity(product, 'count', {
          formula: 'i = \\prod_k i_k',
          from: Object.fromEntries(stages.map((stage, at) => [`i_${at + 1}`, stage.ratio])),
          source: 'definition',
        })
      : undefined,
    efficiency: quantity(loss, 'fraction', {
      formula: '\\eta_t = \\prod_k \\eta_k',
      from: Object.fromEntries(stages.map((stage, at) => [`\\eta_${at + 1}`, stage.efficiency])),
      source: 'definition',
    }),
    lacking: stages.flatMap((stage, at) => (stage.ratio ? [] : [`load.stages.${at}.ratio`])),
  };

  function ratioOf(kind: Kind, input: Value | undefined, output: Value | undefined): Value | undefined {
    if (kind === 'coupling')
      return quantity(1, 'count', { source: 'definition', note: 'A coupling does not change the speed.' });
    if (!input || !output) return undefined;
    return quantity(input.value / output.value, 'count', {
      formula: 'i = n_{in} / n_{out}',
      from: { 'n_{in}': input, 'n_{out}': output },
      source: 'definition',
    });
  }
}

/** Speed of the driven shaft and of the motor as one: the speed typed nearest the machine, carried through the ratios. */
export function speedTyped({ shafts, stages }: Transmission): Value | undefined {
  const at = shafts.findLastIndex((shaft) => shaft.speed !== undefined);
  const found = shafts[at]?.speed;
  if (!found || at === shafts.length - 1) return found;
  const between = stages.slice(at);
  if (between.some((stage) => !stage.ratio)) return undefined;
  const ratio = between.reduce((all, stage) => all * (stage.ratio?.value ?? 1), 1);
  return quantity(found.value / ratio, 'speed', {
    formula: `n = n_${at} / i`,
    from: { [`n_${at}`]: found, i: quantity(ratio, 'count', { source: 'definition' }) },
    source: 'definition',
    note: 'Measured inside the train and carried to the driven shaft.',
  });
}

/**
 * Torque at the driven shaft from the torque measured nearest to it: at the driven shaft itself, or at the input of a
 * stage, carried on through ratios and losses.
 */
export function torqueTyped({ shafts, stages }: Transmission): Value | undefined {
  const at = shafts.findLastIndex((shaft) => shaft.torque !== undefined);
  const found = shafts[at]?.torque;
  if (!found || at === shafts.length - 1) return found;
  const between = stages.slice(at);
  if (between.some((stage) => !stage.ratio)) return undefined;
  const gain = between.reduce((all, stage) => all * (stage.ratio?.value ?? 1) * stage.efficiency.value, 1);
  return quantity(found.value * gain, 'torque', {
    formula: `T = T_${at} \\prod_{k > ${at}} i_k\\,\\eta_k`,
    from: { [`T_${at}`]: found, 'i\\,\\eta': quantity(gain, 'count', { source: 'definition' }) },
    source: 'definition',
    note: `Measured ${at === 0 ? 'at the motor shaft' : `before stage ${at + 1}`}.`,
  });
}

/** Every shaft with the torque, speed and inertia it has once the driven torque and speed are known. */
export function shaftsOf(transmission: Transmission, torque: Value | undefined, speed: Value | undefined): Shaft[] {
  const { shafts, stages } = transmission;
  return shafts.map((shaft, at): Shaft => {
    const between = stages.slice(at);
    const known = between.every((stage) => stage.ratio);
    const ratio = between.reduce((all, stage) => all * (stage.ratio?.value ?? 1), 1);
    const gain = between.reduce((all, stage) => all * (stage.ratio?.value ?? 1) * stage.efficiency.value, 1);
    const last = at === shafts.length - 1;
    const stage = stages[at];
    return {
      name: at === 0 ? 'Motor shaft' : last ? 'Driven shaft' : `After stage ${at}`,
      path: shaft.path,
      inertia: shaft.inertia,
      torque:
        shaft.torque ??
        (torque && known
          ? quantity(torque.value / gain, 'torque', {
              formula: `T_${at} = \\dfrac{T}{\\prod_{k > ${at}} i_k\\,\\eta_k}`,
              from: { T: torque },
              source: 'definition',
            })
          : undefined),
      speed:
        shaft.speed ??
        (speed && known
          ? quantity(speed.value * ratio, 'speed', {
              formula: `n_${at} = n \\prod_{k > ${at}} i_k`,
              from: { n: speed },
              source: 'definition',
            })
          : undefined),
      onward: stage && { kind: stage.kind ?? 'transmission', ratio: stage.ratio, efficiency: stage.efficiency },
    };
  });
}

/** Inertia of the machine and every shaft seen from the motor shaft, the rotor left out, kg·m²: Σ J / i² (kinetic energy). */
export function reflectedInertia({ shafts, stages }: Transmission): Value | undefined {
  if (shafts.every((shaft) => !shaft.inertia)) return undefined;
  let ratio = 1;
  let sum = 0;
  for (const [at, shaft] of shafts.entries()) {
    sum += (shaft.inertia?.value ?? 0) / ratio ** 2;
    ratio *= stages[at]?.ratio?.value ?? 1;
  }
  return quantity(sum, 'inertia', {
    formula: 'J_m = \\sum_k J_k / i_k^2',
    from: Object.fromEntries(shafts.map((shaft, at) => [`J_${at}`, shaft.inertia])),
    source: 'kinetic energy, ½ J ω²',
    note: 'The motor’s own rotor is not in it.',
  });
}

/** Side pull on a shaft, N, from torque (N·m) and pitch diameter (m): F = 2 T k / D. */
export const sidePullOf = (kind: Kind, torque: number, diameter: number): number =>
  (2 * torque * sidePull[kind]) / diameter;

/** Side pull on the motor shaft, N, from the torque and the pitch diameter of what sits on it: F = 2 T k / D. */
export function sideLoad(kind: Kind, torque: Value, diameter: Value): Value {
  return quantity(sidePullOf(kind, torque.value, diameter.value), 'force', {
    formula: 'F = \\dfrac{2\\,T\\,k}{D}',
    from: {
      T: torque,
      D: diameter,
      k: quantity(sidePull[kind], 'count', {
        origin: 'estimated',
        evidence: 'declared',
        source: PRACTICE,
        note: `Pull of a ${kind}.`,
      }),
    },
    source: 'overhung load; factor by kind of drive: ' + PRACTICE,
  });
}
