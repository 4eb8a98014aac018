import { textOf, series } from '../../kernel/text.ts';
import type { PlateKnown } from './plate-known.ts';
import type { Turning } from './poles.ts';
import { completeBalance } from './complete-balance.ts';
import { lockedRotorRange } from './locked-rotor-range.ts';
import { plateMotor } from './plate-motor.ts';
import { declaration } from './declaration.ts';
import type { NameplateValues } from './values.ts';
import { classMet, guaranteedMinimum } from '../../motor/efficiency-class.ts';
import { type Motor } from '../../motor/typical.ts';
import { notebook, type StageContext, type StageResult } from '../stage.ts';
import { quantity, textValue, type Value } from '../../kernel/value.ts';
import { connectedRating, type ConnectedRating } from './connected-rating.ts';
import { checkPlate } from './plate-checks.ts';
import { checkDoubts } from './plate-doubts.ts';
import { decodePlate } from './decode-plate.ts';
import { decodeFrame, type Frame } from './frame.ts';
import { outlineOf, type Outline } from './outline.ts';
import type { Clue } from './measured-motor.ts';
import { recover } from './recovery.ts';
import { poles, turningOf } from './poles.ts';
import { type Balance } from './power-balance.ts';

export interface NameplateResult extends StageResult<NameplateValues> {
  /** The plate’s motor, once enough is known to calculate with it. */
  readonly motor: Motor | undefined;
  readonly frame: Frame | undefined;
  readonly outline: Outline | undefined;
  /** Where the plate could not be read: what was measured, what it says and how surely. */
  readonly clues: readonly Clue[];
  readonly voltages: readonly Value[];
  /** False while a plate of several voltages does not say which one is connected. */
  readonly voltageKnown: boolean;
  /** Of a plate with more than one speed. */
  readonly speeds: ConnectedRating['speeds'];
  /** The plate’s own rating, where it runs at another frequency with the same volts per hertz. */
  readonly shiftedFrom: ConnectedRating['shiftedFrom'];
  readonly open: boolean;
}

const isOpen = (enclosure: string | undefined): boolean => /\b(ODP|DP|OPEN|WP|IP\s?[12]\d)/i.test(enclosure ?? '');

/** What the plate says, what follows from it, and whether it agrees with itself. */
export function nameplate(brief: StageContext): NameplateResult {
  const { job, given } = brief;
  const { findings, missing, report, require } = notebook(declaration);
  const { school } = job;
  const plate = job.nameplate;
  const rating = connectedRating(given, job);
  const { power, voltage, frequency, serviceFactor } = rating;
  const known = {
    plate,
    given,
    rating,
    power,
    voltage,
    frequency,
    serviceFactor,
    school,
    report,
    open: isOpen(plate.enclosure),
  };
  const { balance, turning } = turningAndBalance(known);
  const { efficiency, powerFactor, current } = balance;
  const speed = turning?.speed;
  const range = lockedRotorRange({ ...known, current });
  const frame = plate.frame?.trim() ? decodeFrame(plate.frame, school) : undefined;
  const outline = frame && outlineOf(frame, turning?.poles.value ?? 4);

  checkPlate(brief, { rating, balance, turning, range, frame, open: known.open }, { report, require });
  checkDoubts({ brief, rating, balance, turning, report });
  const facts = { power, voltage, frequency, speed, poles: turning?.poles, efficiency, voltages: rating.voltages };
  const decoded = decodePlate(brief, { ...facts, open: known.open }, report);
  const recovery = recover(brief, report);
  const measured = power && efficiency && !guessed(efficiency) ? { power, efficiency } : undefined;
  const minimum =
    measured && measured.efficiency.value < 1
      ? guaranteedMinimum(measured.efficiency, measured.power.value, school)
      : undefined;
  const values: NameplateValues = {
    ...ratedValues(known, balance, turning),
    ...(minimum ? { efficiencyMinimum: minimum } : {}),
    ...(measured && turning ? classValue(measured, turning, known) : {}),
    ...(range?.min ? { lockedRotorCurrentMin: range.min } : {}),
    ...(range?.max ? { lockedRotorCurrentMax: range.max } : {}),
    ...(frame ? { shaftHeight: frame.shaftHeight } : {}),
    ...(frame?.suffixMeaning ? { frameSuffix: frame.suffixMeaning } : {}),
    ...outlineValues(outline),
    ...supplyValues(known),
    ...decoded,
    ...recovery.values,
  };
  const read = series([textOf(power), textOf(speed), textOf(current)], ' · ');
  return {
    values,
    findings,
    missing,
    summary: read === '' && job.situation.kind === 'new' ? 'No plate: new machine' : read,
    motor: plateMotor({ ...known, decoded, turning, speed, current, efficiency, powerFactor, range, minimum }),
    frame,
    outline,
    clues: recovery.clues,
    voltages: rating.voltages,
    voltageKnown: rating.voltageKnown,
    speeds: rating.speeds,
    shiftedFrom: rating.shiftedFrom,
    open: known.open,
  };
}

type Rated = Pick<
  PlateKnown,
  'plate' | 'given' | 'rating' | 'power' | 'voltage' | 'frequency' | 'serviceFactor' | 'school' | 'open'
>;

/** The plate’s own figures completed, and the poles and slip they mean. */
function turningAndBalance(known: Rated): { readonly balance: Balance; readonly turning: Turning | undefined } {
  const { given, rating, frequency } = known;
  const printed = given.nameplate.poles;
  const rough = rating.speed && poles(frequency, rating.speed, undefined)?.poles.value;
  const balance = completeBalance({ ...known, roughPoles: rough ?? printed?.value });
  const turning = rating.speed
    ? poles(frequency, rating.speed, balance.efficiency)
    : printed && turningOf(frequency, printed, balance.efficiency);
  return { balance, turning };
}

function ratedValues(
  { power, voltage, frequency, serviceFactor }: Rated,
  { current, powerFactor, efficiency }: Balance,
  turning: Turning | undefined,
): NameplateValues {
  const speed = turning?.speed;
  const ratedTorque =
    power &&
    speed &&
    quantity(power.value / speed.value, 'torque', {
      origin: speed.origin === 'given' ? 'derived' : 'estimated',
      formula: 'T = \\dfrac{P}{\\omega} = \\dfrac{P}{2\\pi n / 60}',
      from: { P: power, n: speed },
      source: 'definition',
    });
  return {
    ...(power ? { power } : {}),
    ...(voltage ? { voltage } : {}),
    frequency,
    ...(speed ? { speed } : {}),
    ...(turning ? { poles: turning.poles, synchronousSpeed: turning.synchronousSpeed } : {}),
    ...(turning?.slip ? { slip: turning.slip } : {}),
    ...(ratedTorque ? { ratedTorque } : {}),
    ...(current ? { ratedCurrent: current } : {}),
    ...(powerFactor ? { powerFactor } : {}),
    ...(efficiency ? { efficiency } : {}),
    ...(serviceFactor ? { serviceFactor } : {}),
  };
}

/** The efficiency class the plate’s figures meet. */
function classValue(
  { power, efficiency }: { readonly power: Value; readonly efficiency: Value },
  { poles: count }: Turning,
  { open, school }: Rated,
): Pick<NameplateValues, 'efficiencyClass'> {
  const met = classMet(efficiency.value, { power: power.value, poles: count.value, open, school });
  if (!met) return {};
  return {
    efficiencyClass: textValue(met.name, {
      formula: '\\eta \\ge \\eta_{class}',
      from: { '\\eta': efficiency, '\\eta_{class}': met.limit },
      source: met.limit.working.source,
    }),
  };
}

/** What the system’s voltage leaves of the torque. */
function supplyValues({ given, rating, voltage }: Rated): Pick<NameplateValues, 'torqueOnSupply'> {
  const volts = given.supply.voltage;
  const wound = rating.winding?.voltage ?? voltage;
  if (!volts || !wound) return {};
  return {
    torqueOnSupply: quantity((volts.value / wound.value) ** 2, 'fraction', {
      formula: 'T/T_n = \\left(\\dfrac{V_{system}}{V_n}\\right)^2',
      from: { 'V_{system}': volts, V_n: wound },
      source: 'T ∝ V²',
    }),
  };
}

function outlineValues(outline: Outline | undefined) {
  if (!outline) return {};
  const length = (metres: number) =>
    quantity(metres, 'length', {
      origin: 'recalled',
      source: outline.source,
      note: outline.notes.join('; ') || undefined,
    });
  const [along] = outline.along;
  return {
    ...(outline.across === undefined ? {} : { feetAcross: length(outline.across) }),
    ...(along === undefined ? {} : { feetAlong: length(along) }),
    ...(outline.shaftDiameter === undefined ? {} : { shaftDiameter: length(outline.shaftDiameter) }),
    ...(outline.shaftLength === undefined ? {} : { shaftLength: length(outline.shaftLength) }),
  };
}

const guessed = (value: Value): boolean => value.origin !== 'given' && value.origin !== 'derived';
