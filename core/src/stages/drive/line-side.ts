import { magnitude } from '../../kernel/complex.ts';
import { distortionLimits, sixPulse, voltageDistortion } from '../../kernel/tables/index.ts';
import { cellValue } from '../../kernel/tables/table.ts';
import type { Text } from '../../kernel/text.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';
import { DRIVE_INPUT } from '../../motor/drive-input.ts';
import type { DriveStageInput } from './drive-stage-input.ts';
import type { Report } from './findings.ts';
import {
  chokeOf,
  DISPLACEMENT,
  lineSides,
  ORDERS,
  sixPulseSpectrum,
  spectrumOf,
  truePowerFactor,
  type LineSide,
  type Spectrum,
} from './spectrum.ts';
import type { DriveValues } from './values.ts';

/** Below this ratio of short-circuit power to the drive’s a choke is not asked for by the source alone. Common practice. */
const STIFF = 100;
/** A remedy is taken that leaves a tenth in hand. Common practice, no published source. */
const IN_HAND = 0.9;
/** Several bridges add up to the seventh; above they are partly out of step. Common practice, no published source. */
const OUT_OF_STEP = 0.8;
/** Share of a generator’s rating in six-pulse drives, with a choke and without. Common practice, no published source. */
const OF_GENERATOR = { choked: 0.5, bare: 0.3 } as const;
/** Distortion of other drives where nothing is typed: each with a choke of 3 %. */
const OTHER = sixPulseSpectrum(0.03);

/** One way to build the input, and where it leaves the network. */
export interface Remedy {
  readonly side: LineSide;
  readonly distortion: number;
  /** Against the demand current and as a share of the voltage; undefined where source or demand are not known. */
  readonly demand: number | undefined;
  readonly voltage: number | undefined;
  /** With a tenth in hand, and within the limits at all. */
  readonly passes: boolean;
  readonly within: boolean;
}

export interface LineResult {
  readonly values: Partial<DriveValues>;
  readonly side: LineSide;
  /** Of the drive at its load, A by order, and what each may be at the point of coupling, A. */
  readonly orders: readonly { readonly order: number; readonly current: number; readonly limit: number | undefined }[];
  readonly remedies: readonly Remedy[];
}

/** A drive at its point of the network; SI. */
interface Point {
  /** Ω; of the source, one phase. */
  readonly source: number | undefined;
  readonly volts: number;
  /** Fundamental at rated power and at its load, A. */
  readonly rated: number;
  readonly running: number;
  readonly others: number;
  readonly otherSpectrum: Spectrum;
  readonly demand: number | undefined;
  readonly shortCircuit: number | undefined;
  /** Small film capacitors only stand in the dc link. */
  readonly slim: boolean;
}

/** Reactance at which a bridge with capacitors sends back what one with a slim dc link does before any. Common practice, no published source. */
const SLIM = 0.05;

/** Reactance of source and choke on what the drive takes at a current, so that it falls as the drive takes less. */
const reactanceAt = (side: LineSide, current: number, { source = 0, volts, rated }: Point): number =>
  ((source + (chokeOf[side] * volts) / (Math.sqrt(3) * rated)) * Math.sqrt(3) * current) / volts;

/** What a line side sends back at a current of the drive, A. */
const sentBack = (side: LineSide, current: number, point: Point): Spectrum =>
  spectrumOf(side, point.slim ? SLIM : reactanceAt(side, current, point));

/** Harmonic currents of all drives at the point, A by order. */
function together(spectrum: Spectrum, { running, others, otherSpectrum }: Point): number[] {
  const several = others > 0;
  return ORDERS.map((order, at) => {
    const sum = running * (spectrum.shares[at] ?? 0) + others * (otherSpectrum.shares[at] ?? 0);
    return several && order > 7 ? OUT_OF_STEP * sum : sum;
  });
}

const rootSum = (all: readonly number[]): number => Math.hypot(...all);

/** Total demand distortion: harmonic currents against the demand current, never against the drive’s own. */
export const demandDistortion = (currents: readonly number[], demand: number): number => rootSum(currents) / demand;

/** Distortion of the voltage by currents, A by order, through a reactance of one phase, Ω. */
export const voltageDistortionBy = (currents: readonly number[], reactance: number, volts: number): number =>
  rootSum(currents.map((current, at) => (ORDERS[at] ?? 0) * reactance * current)) / (volts / Math.sqrt(3));

/** The row of IEEE 519 for a ratio of short-circuit to demand current at a low or medium voltage. */
export function limitRow(ratio: number) {
  return distortionLimits.rows.find(
    (row) =>
      row['bus'] === '120 V to 69 kV' &&
      ratio >= Number(row['isc_il_from']) &&
      ratio < Number(row['isc_il_to'] ?? Number.POSITIVE_INFINITY),
  );
}

/** Band of the limits an order falls into. */
export const bandOfOrder = (order: number): string =>
  order < 11 ? 'h3_11' : order < 17 ? 'h11_17' : order < 23 ? 'h17_23' : 'h23_35';

function pointOf(driven: DriveStageInput): Point {
  const { brief, motor, voltage, supply, share } = driven;
  const { demandCurrent, otherDrives, otherDistortion } = brief.given.drive;
  const { source } = supply;
  const input = (power: number): number =>
    power / (motor.efficiency * DRIVE_INPUT.efficiency * Math.sqrt(3) * voltage.value * DISPLACEMENT);
  const others = otherDrives?.value ?? 0;
  const internal = source && magnitude(source.firstInternal ?? source.internal);
  const scale = otherDistortion ? otherDistortion.value / OTHER.total : 1;
  const shortCircuit = source && voltage.value / (Math.sqrt(3) * magnitude(source.internal));
  return {
    source: internal,
    volts: voltage.value,
    rated: input(motor.power) * driven.motors,
    running: input(motor.power * Math.min(1.2, share ?? 1)) * driven.motors,
    others,
    otherSpectrum: { shares: OTHER.shares.map((each) => each * scale), total: OTHER.total * scale },
    demand: demandCurrent?.value,
    shortCircuit,
    slim: driven.item?.slimLink === true,
  };
}

/** Every line side against the limits, the cheapest first. */
function remediesOf(point: Point): Remedy[] {
  const limit = limitsOf(point);
  return lineSides.map((side) => {
    const spectrum = sentBack(side, point.running, point);
    const currents = together(spectrum, point);
    const demand = point.demand && demandDistortion(currents, point.demand);
    const voltage = point.source && voltageDistortionBy(currents, point.source, point.volts);
    const kept = (share: number): boolean =>
      (demand === undefined || limit.demand === undefined || demand <= limit.demand * share) &&
      currents.every((each, at) => each <= (limit.order(ORDERS[at] ?? 0) ?? Number.POSITIVE_INFINITY)) &&
      (voltage === undefined || voltage <= limit.voltage * share);
    return { side, distortion: spectrum.total, demand, voltage, passes: kept(IN_HAND), within: kept(1) };
  });
}

interface Limits {
  readonly demand: number | undefined;
  readonly voltage: number;
  /** A that an order may have; undefined without a demand current. */
  readonly order: (order: number) => number | undefined;
}

function limitsOf({ demand, shortCircuit, volts }: Point): Limits {
  const row = demand === undefined || shortCircuit === undefined ? undefined : limitRow(shortCircuit / demand);
  const share = (column: string): number | undefined => {
    const cell = distortionLimits.number(row, column);
    return cell === undefined ? undefined : cell / 100;
  };
  return {
    demand: share('tdd'),
    voltage: (voltageDistortion.number(voltageRow(volts), 'thd') ?? 8) / 100,
    order: (order) => {
      const limit = share(bandOfOrder(order));
      return limit === undefined || demand === undefined ? undefined : limit * demand;
    },
  };
}

const voltageRow = (volts: number) =>
  voltageDistortion.rows.find(
    (row) => volts / 1000 > Number(row['kv_over']) && volts / 1000 <= Number(row['kv_to'] ?? Number.POSITIVE_INFINITY),
  );

/**
 * The one typed, or the least that passes; a choke where the source is stiff or other drives stand near. Where none has a tenth in
 * hand the least within the limits, and where none is within them a choke: what stands beside it is to be mended first.
 */
function sideOf(driven: DriveStageInput, point: Point, remedies: readonly Remedy[]): LineSide {
  const { lineSide } = driven.brief.job.drive;
  if (lineSide !== 'auto') return lineSide;
  const stiff = point.shortCircuit === undefined || point.shortCircuit / point.rated > STIFF || point.others > 0;
  const generator = driven.brief.job.supply.source === 'generator';
  const from = remedies.slice(stiff || generator || point.demand !== undefined ? 1 : 0);
  const fit = from.filter(({ side }) => !(generator && side === 'passive filter'));
  return (fit.find(({ passes }) => passes) ?? fit.find(({ within }) => within))?.side ?? 'choke 3 %';
}

/** What the drive sends back into the network, and what at its input keeps that within bounds. */
export function lineSideOf(driven: DriveStageInput, report: Report): LineResult {
  const { brief, frequency, voltage } = driven;
  const point = pointOf(driven);
  if (brief.job.supply.phases === '1') return onePhase(driven, point, report);
  const remedies = remediesOf(point);
  const side = sideOf(driven, point, remedies);
  const full = sentBack(side, point.rated, point);
  const running = sentBack(side, point.running, point);
  const limits = limitsOf(point);
  const remedy = remedies.find((each) => each.side === side);
  const choke = chokeOf[side];
  const total = quantity(full.total, 'fraction', {
    origin: 'estimated',
    from: { V: voltage, Z: driven.supply.values.sourceImpedance },
    source: `${sixPulse.source}; remedies: ${PRACTICE}`,
    note: 'With the motor at rated power; at less it rises in per cent and falls in amperes.',
  });
  const fundamental = quantity(point.rated, 'current', {
    formula: 'I_1 = \\dfrac{P}{\\sqrt3\\,V\\,\\eta\\,\\cos\\varphi_1}',
    from: { V: voltage },
    source: 'definition',
  });
  checkLine({ driven, point, remedies, side, report, limit: limits.demand });
  return {
    side,
    remedies,
    orders: ORDERS.map((order, at) => ({
      order,
      current: point.running * (running.shares[at] ?? 0),
      limit: limits.order(order),
    })),
    values: {
      lineSide: sideValue(side, driven, remedies),
      inputCurrent: quantity(point.rated * Math.hypot(1, full.total), 'current', {
        origin: 'estimated',
        formula: 'I = I_1\\sqrt{1 + THD^2}',
        from: { I_1: fundamental, THD: total },
        source: 'definition',
      }),
      ...(choke > 0
        ? {
            chokeInductance: quantity(chokeInductance(choke, voltage.value, point.rated, frequency), 'inductance', {
              formula: 'L = \\dfrac{x\\,V}{\\sqrt3\\,I\\,2\\pi f}',
              from: { V: voltage, I: fundamental },
              source: 'definition',
            }),
          }
        : {}),
      currentDistortion: total,
      trueInputPowerFactor: quantity(truePowerFactor(DISPLACEMENT, full.total), 'powerFactor', {
        origin: 'estimated',
        formula: '\\lambda = \\cos\\varphi_1/\\sqrt{1 + THD^2}',
        from: { THD: total },
        source: `definition; cos φ₁ of ${DISPLACEMENT}: ${PRACTICE}`,
      }),
      ...atPoint(remedy, point, driven),
    },
  };
}

/** Distortion of what a drive takes from one phase behind a choke, 60 to 100 %. Common practice, no published source. */
const ONE_PHASE = 0.8;

/** Fed from one phase its bridge has two pulses: none of the figures of six hold, and which choke it has inside decides. */
function onePhase({ brief, voltage }: DriveStageInput, { rated }: Point, report: Report): LineResult {
  report(
    'drive.one-phase',
    'On a single-phase supply the input current contains third harmonics: the six-pulse spectrum is not calculated.',
  );
  const { lineSide } = brief.job.drive;
  const side = lineSide === 'auto' ? 'choke 3 %' : lineSide;
  return {
    side,
    remedies: [],
    orders: [],
    values: {
      lineSide: textValue(side === 'none' ? 'nothing' : side, {
        origin: 'chosen',
        source: lineSide === 'auto' ? PRACTICE : 'chosen in this job',
      }),
      inputCurrent: quantity(Math.sqrt(3) * rated * Math.hypot(1, ONE_PHASE), 'current', {
        origin: 'estimated',
        formula: 'I = \\dfrac{P}{V\\,\\eta\\,\\cos\\varphi_1}\\sqrt{1 + THD^2}',
        from: { V: voltage },
        source: PRACTICE,
        note: `With a distortion of ${ONE_PHASE * 100} %, which its choke decides.`,
      }),
    },
  };
}

/** H */
export const chokeInductance = (share: number, volts: number, current: number, frequency: number): number =>
  (share * volts) / (Math.sqrt(3) * current * 2 * Math.PI * frequency);

function sideValue(side: LineSide, { brief }: DriveStageInput, remedies: readonly Remedy[]): Value<Text> {
  const typed = brief.job.drive.lineSide !== 'auto';
  const own = remedies.find((each) => each.side === side);
  const failed = remedies.filter(({ passes }) => !passes).map((each) => each.side);
  const why = own?.passes
    ? 'The least costly that passes with a tenth in hand'
    : own?.within
      ? 'None passes with a tenth in hand; the least costly within the limits'
      : 'None is within the limits, so that what stands beside it is to be mended first';
  return textValue(side === 'none' ? 'nothing' : side, {
    origin: 'chosen',
    source: typed ? 'chosen in this job' : PRACTICE,
    note: typed ? undefined : `${why}${failed.length > 0 ? `; would not pass: ${failed.join(', ')}` : ''}.`,
  });
}

/** The figures at the point of coupling, as far as source and demand are known. */
function atPoint(
  remedy: Remedy | undefined,
  point: Point,
  { brief, supply, voltage }: DriveStageInput,
): Partial<DriveValues> {
  const { demandCurrent, otherDrives } = brief.given.drive;
  const ratio =
    point.demand === undefined || point.shortCircuit === undefined ? undefined : point.shortCircuit / point.demand;
  const limit =
    ratio === undefined
      ? undefined
      : cellValue(distortionLimits, limitRow(ratio), 'tdd', { dimension: 'fraction', factor: 0.01 });
  const from = { I_L: demandCurrent, I_o: otherDrives, V: voltage };
  return {
    ...(remedy?.demand === undefined
      ? {}
      : {
          demandDistortion: quantity(remedy.demand, 'fraction', {
            origin: 'estimated',
            formula: 'TDD = \\sqrt{\\sum I_h^2}/I_L',
            from,
            source: `${distortionLimits.source}; sum of several bridges: ${PRACTICE}`,
            note: 'Compliance belongs to the installation at its point of common coupling, not to a drive.',
          }),
        }),
    ...(limit ? { demandDistortionLimit: limit } : {}),
    ...(remedy?.voltage === undefined
      ? {}
      : {
          voltageDistortion: quantity(remedy.voltage, 'fraction', {
            origin: 'estimated',
            formula: 'V_h = h\\,X_s\\,I_h',
            from: { ...from, Z_s: supply.values.sourceImpedance },
            source: 'Ohm’s law at each harmonic; the source taken as a reactance',
          }),
          ...voltageLimit(voltage),
        }),
  };
}

function voltageLimit(voltage: Value): Partial<DriveValues> {
  const limit = cellValue(voltageDistortion, voltageRow(voltage.value), 'thd', {
    dimension: 'fraction',
    factor: 0.01,
  });
  return limit ? { voltageDistortionLimit: limit } : {};
}

interface Checked {
  readonly driven: DriveStageInput;
  readonly point: Point;
  readonly remedies: readonly Remedy[];
  readonly side: LineSide;
  readonly limit: number | undefined;
  readonly report: Report;
}

const percent = (share: number): string => `${(share * 100).toPrecision(2)} %`;

function checkLine(checked: Checked): void {
  const { driven, point, remedies, side, limit, report } = checked;
  const { brief, voltage } = driven;
  const own = remedies.find((each) => each.side === side);
  const better = (remedies.find(({ passes }) => passes) ?? remedies.find(({ within }) => within))?.side;
  const mends = better && better !== side ? [{ label: `Take: ${better}`, set: { 'drive.lineSide': better } }] : [];
  if (own?.demand !== undefined && limit !== undefined && own.demand > limit)
    report(
      'drive.demand-distortion',
      `The total demand distortion is ${percent(own.demand)}, limit ${percent(limit)}.`,
      {
        mends,
      },
    );
  const most = limitsOf(point).voltage;
  if (own?.voltage !== undefined && own.voltage > most)
    report('drive.voltage-distortion', `The voltage THD is ${percent(own.voltage)}, limit ${percent(most)}.`, {
      mends,
    });
  if (brief.job.supply.source === 'generator' && brief.given.supply.sourcePower) {
    const bridges =
      (Math.sqrt(3) * voltage.value * (point.rated + point.others)) / brief.given.supply.sourcePower.value;
    const allowed = chokeOf[side] > 0 ? OF_GENERATOR.choked : OF_GENERATOR.bare;
    const bridge = side === 'none' || chokeOf[side] > 0;
    if (bridge && bridges > allowed)
      report(
        'drive.generator-share',
        `The drive load is ${percent(bridges)} of the generator rating, limit ${percent(allowed)} ${chokeOf[side] > 0 ? 'with' : 'without'} line reactor.`,
      );
  }
  if (brief.job.school === 'IEC' && point.rated >= 16)
    report(
      'drive.iec-consent',
      point.rated <= 75
        ? 'Between 16 and 75 A a phase the drive is to keep IEC 61000-3-12 at the ratio of short-circuit power its data name.'
        : 'Above 75 A per phase the utility decides on the permissible harmonic currents.',
    );
  if (brief.job.drive.earthing !== 'solid')
    report(
      'drive.unearthed',
      `On ${brief.job.drive.earthing === 'corner' ? 'a supply with an earthed corner' : 'a supply that is not earthed'} the filter and varistors inside the drive exceed their rated voltage.`,
    );
}
