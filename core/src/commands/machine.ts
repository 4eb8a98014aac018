import { z } from 'zod';
import { complex } from '../kernel/complex.ts';
import { emptyJob, issuesOf, type Issue } from '../job/job.ts';
import { emptyCatalogue } from '../catalogue/catalogue.ts';
import { readPlate } from '../stages/nameplate/read/read-plate.ts';
import { solve } from '../solve/solve.ts';
import type { StartingMode } from '../stages/starting/starting-mode.ts';
import { runUp, type RunUp } from '../stages/starting/run-up.ts';
import { transientRun, type TransientRun } from '../stages/starting/transient.ts';
import { circuitShape } from '../motor/circuit-shape.ts';
import { curveExtremes, steadyPoint, type Circuit, type CurveExtremes, type SteadyPoint } from '../motor/circuit.ts';
import type { Fit } from '../motor/fit-circuit.ts';
import { pointAtPower } from '../motor/operating.ts';
import { synchronousSpeed } from '../motor/synchronous.ts';

const positive = z.number().positive();
const share = z.number().gt(0).max(1);

const feedSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('direct') }),
  z.strictObject({
    kind: z.literal('star-delta'),
    changeSpeed: share.default(0.9).describe('Share of synchronous speed'),
    changeTime: positive.max(600).default(60),
    gap: z.number().nonnegative().max(2).default(0).describe('s without supply'),
  }),
  z.strictObject({
    kind: z.literal('autotransformer'),
    tap: share.default(0.65),
    changeSpeed: share.default(0.9),
    changeTime: positive.max(600).default(60),
  }),
  z.strictObject({
    kind: z.literal('soft starter'),
    mode: z.enum(['voltage ramp', 'current limit', 'torque ramp']).default('current limit'),
    startVoltage: share.default(0.4),
    ramp: z.number().nonnegative().max(300).default(8).describe('s'),
    currentLimit: positive.max(20).default(3.5).describe('Multiple of rated current'),
    kickVoltage: share.default(0.75),
    kickTime: z.number().nonnegative().max(5).default(0).describe('s'),
  }),
  z.strictObject({
    kind: z.literal('drive'),
    ramp: positive.max(600).default(8).describe('s'),
    currentLimit: positive.max(5).default(1.5).describe('Multiple of rated current'),
    boost: positive.max(3).default(1.2).describe('Torque it holds at standstill, of rated'),
  }),
]);

const runShape = {
  slips: z
    .array(z.number().gt(0).max(2))
    .max(1000)
    .default([])
    .describe('Slips at which steady points are wanted; 1 is standstill'),
  powers: z
    .array(positive.max(1e8))
    .max(1000)
    .default([])
    .describe('Shaft powers, W, at which steady points are wanted'),
  inertia: positive.max(1e6).optional().describe('All that turns, kg·m²; a run-up is made where it is given'),
  load: z
    .array(z.strictObject({ rpm: z.number().nonnegative().max(50_000), torque: z.number().nonnegative().max(1e8) }))
    .max(1000)
    .default([])
    .describe('Torque of the load against speed at the motor shaft, N·m; none is no load'),
  source: z
    .strictObject({
      volts: positive
        .max(20_000)
        .optional()
        .describe('Line to line behind the impedance, V; the motor’s where left out'),
      r: z.number().nonnegative().max(1e4).default(0).describe('Ω per phase'),
      x: z.number().nonnegative().max(1e4).default(0).describe('Ω per phase at rated frequency'),
    })
    .prefault({}),
  start: feedSchema.prefault({ kind: 'direct' }),
  duration: positive.max(60).default(2).describe('s of the transient run'),
  step: z.number().min(1e-6).max(1e-3).default(1e-4).describe('s of the transient run'),
  angle: z.number().min(-7).max(7).default(0).describe('rad of phase a’s voltage at switching on; 0 is its peak'),
  ratedTorque: positive
    .max(1e8)
    .optional()
    .describe(
      'N·m, for margins and limits given as multiples; by default that of the plate, or 80 % of half the breakdown torque',
    ),
  ratedCurrent: positive.max(1e6).optional().describe('A, likewise'),
} as const;

/** Steps of a transient run; more would take longer than a second. */
const MOST_STEPS = 600_000;
const bounded = ({ duration, step }: { readonly duration: number; readonly step: number }): boolean =>
  duration / step <= MOST_STEPS * (1 + 1e-9);
const tooMany = { path: ['step'], message: 'These are more than 600 000 steps. Take a longer step or less time.' };

const circuitMachineSchema = z.strictObject({ ...circuitShape, ...runShape }).refine(bounded, tooMany);
const plateMachineSchema = z
  .strictObject({
    plate: z.string().min(1).max(5000).describe('The plate as text; the circuit is fitted to it'),
    volts: positive.max(20_000).optional(),
    hz: positive.max(400).optional(),
    lockedRotorTorque: positive.max(6).optional().describe('From the data sheet, multiple of rated torque'),
    breakdownTorque: positive.max(8).optional(),
    efficiency75: z.number().min(0.3).max(0.995).optional().describe('From the data sheet, at 75 % load'),
    efficiency50: z.number().min(0.3).max(0.995).optional().describe('At 50 % load'),
    ...runShape,
  })
  .refine(bounded, tooMany);

/** A machine for the `machine` command: its circuit, or its plate. SI. */
export const machineSchema = z.union([circuitMachineSchema, plateMachineSchema]);
type Run = Pick<z.infer<typeof circuitMachineSchema>, keyof typeof runShape>;

type Extremes = Omit<RunUp, 'trace'>;

export interface MachineResult extends CurveExtremes {
  readonly circuit: Circuit;
  /** How well the circuit meets the plate; only where a plate was given. */
  readonly fit: Omit<Fit, 'circuit'> | undefined;
  readonly points: readonly SteadyPoint[];
  /** Steady points at the shaft powers asked; null where the machine cannot give one. */
  readonly atPowers: readonly (SteadyPoint | null)[];
  readonly runUp:
    | {
        readonly quasiSteady: Extremes & Pick<RunUp, 'trace'>;
        /** For a direct or star-delta start; null for another, and where the circuit is too stiff for the step. */
        readonly transient: TransientRun | null;
      }
    | undefined;
}

/** Reads a machine; what is wrong comes back as issues with their fields. */
export function readMachine(
  input: unknown,
): { readonly machine: z.infer<typeof machineSchema> } | { readonly issues: Issue[] } {
  const byPlate = typeof input === 'object' && input !== null && 'plate' in input;
  const parsed = (byPlate ? plateMachineSchema : circuitMachineSchema).safeParse(input);
  return parsed.success ? { machine: parsed.data } : { issues: issuesOf(parsed.error) };
}

function fromPlate(
  plate: z.infer<typeof plateMachineSchema>,
): { circuit: Circuit; fit: Fit; torque: number; current: number } | { issues: Issue[] } {
  const read = readPlate(plate.plate);
  const multiple = (value: number | undefined): string | undefined =>
    value === undefined ? undefined : `${value * 100} %`;
  const { details } = solve(
    emptyJob({
      school: read.school,
      situation: { kind: 'starter' },
      nameplate: read.fields,
      supply: {
        ...(plate.volts === undefined ? {} : { voltage: `${plate.volts} V` }),
        ...(plate.hz === undefined ? {} : { frequency: `${plate.hz} Hz` }),
      },
      starting: {
        lockedRotorTorque: multiple(plate.lockedRotorTorque),
        breakdownTorque: multiple(plate.breakdownTorque),
        efficiency75: multiple(plate.efficiency75),
        efficiency50: multiple(plate.efficiency50),
      },
    }),
    emptyCatalogue,
  );
  const { machine, startSetting } = details;
  if (!machine || !startSetting)
    return {
      issues: [
        {
          path: 'plate',
          message:
            'No circuit can be fitted: the plate needs at least power, volts, amps or power factor, frequency and full-load speed.',
        },
      ],
    };
  const { power, speed, current } = startSetting.motor;
  return { circuit: machine.circuit, fit: machine, torque: power / speed, current };
}

/** Steady points, curve extremes and, with an inertia, a run-up both quasi-steady and transient. */
export function runMachine(machine: z.infer<typeof machineSchema>): MachineResult | { readonly issues: Issue[] } {
  if ('plate' in machine) {
    const fitted = fromPlate(machine);
    if ('issues' in fitted) return fitted;
    const { fit, circuit } = fitted;
    const result = resultFor(
      circuit,
      machine,
      machine.ratedTorque ?? fitted.torque,
      machine.ratedCurrent ?? fitted.current,
    );
    return { ...result, fit: { quantities: fit.quantities, conflicts: fit.conflicts } };
  }
  const { r1, x1, xm, r2, x2, r3, x3, rc, rs, saturation, volts, hz, poles, rotationalLoss, windage } = machine;
  const circuit: Circuit = {
    ...{ r1, x1, xm, r2, x2, volts, hz, poles, rotationalLoss },
    ...(r3 === undefined ? {} : { r3 }),
    ...(x3 === undefined ? {} : { x3 }),
    ...(rc === undefined ? {} : { rc }),
    ...(rs === undefined ? {} : { rs }),
    ...(saturation === undefined ? {} : { saturation }),
    ...(windage === undefined ? {} : { windage }),
  };
  const { breakdown } = curveExtremes(circuit);
  const torque = machine.ratedTorque ?? 0.4 * breakdown.inducedTorque;
  const rated =
    machine.ratedCurrent ??
    pointAtPower(circuit, 0.4 * breakdown.inducedTorque * synchronousSpeed(hz, poles))?.statorCurrent;
  return resultFor(circuit, machine, torque, rated ?? breakdown.statorCurrent / 3);
}

function resultFor(circuit: Circuit, run: Run, ratedTorque: number, ratedCurrent: number): MachineResult {
  return {
    circuit,
    fit: undefined,
    points: run.slips.map((slip) => steadyPoint(circuit, slip)),
    atPowers: run.powers.map((power) => pointAtPower(circuit, power) ?? null),
    ...curveExtremes(circuit),
    runUp: run.inertia === undefined ? undefined : runsFor(circuit, run, run.inertia, ratedTorque, ratedCurrent),
  };
}

function runsFor(
  circuit: Circuit,
  run: Run,
  inertia: number,
  ratedTorque: number,
  ratedCurrent: number,
): MachineResult['runUp'] {
  const load = run.load.length > 0 ? run.load.toSorted((a, b) => a.rpm - b.rpm) : [{ rpm: 0, torque: 0 }];
  const speeds = load.map((each) => (each.rpm * Math.PI) / 30);
  const torques = load.map((each) => each.torque);
  const { r, x, volts = circuit.volts } = run.source;
  const feed: StartingMode = run.start;
  const known = r > 0 || x > 0 || run.source.volts !== undefined;
  const nothing = complex(0);
  const quasiSteady = runUp({
    circuit,
    turning: { speeds, torques, inertia },
    source: known
      ? {
          voltage: volts,
          internal: complex(r, x),
          feeder: nothing,
          other: undefined,
        }
      : undefined,
    feed,
    ratedTorque,
    ratedCurrent,
    steps: 400,
  });
  const switching = feed.kind === 'direct' || feed.kind === 'star-delta' ? feed : undefined;
  const transient = switching
    ? transientRun({
        circuit,
        speeds,
        torques,
        inertia,
        voltage: volts,
        sourceResistance: r,
        sourceReactance: x,
        switching,
        angle: run.angle,
        duration: run.duration,
        step: run.step,
      })
    : undefined;
  return { quasiSteady, transient: transient && cameOut(transient) ? transient : null };
}

/** A fixed step that is too long for a circuit runs away. */
const cameOut = ({ finalSpeed, peakCurrent, peakPhaseACurrent, peakTorque, lowestTorque }: TransientRun): boolean =>
  [finalSpeed, peakCurrent, peakPhaseACurrent, peakTorque, lowestTorque].every(Number.isFinite);
