import { findings as declared } from './findings.ts';
import type { NameplateValues } from './values.ts';
import { classEfficiency, classesOf, classMet, guaranteedMinimum } from '../../motor/efficiency-class.ts';
import { minimumBreakdownTorque, minimumLockedRotorTorque, type Motor } from '../../motor/typical.ts';
import type { School } from '../../ground/quantity/units.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { quantity, wording, type Value } from '../../ground/value.ts';
import { connectedRating, type ConnectedRating } from './connected-rating.ts';
import { checkPlate } from './plate-checks.ts';
import { checkDoubts } from './plate-doubts.ts';
import { decodePlate } from './decode-plate.ts';
import { decodeFrame, type Frame } from './frame.ts';
import { outlineOf, type Outline } from './outline.ts';
import { recover, type Clue } from './recovery.ts';
import {
  lockedRotorFromCode,
  lockedRotorFromRatio,
  lockedRotorGuess,
  type LockedRotorRange,
} from './locked-rotor-current.ts';
import { poles, turningOf } from './poles.ts';
import { solveMissing, type Balance } from './power-balance.ts';

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
  /** The plate is of a motor with more than one speed. */
  readonly multispeed: boolean;
  /** The plate’s own rating, where it runs at another frequency with the same volts per hertz. */
  readonly shiftedFrom: ConnectedRating['shiftedFrom'];
  readonly open: boolean;
}

const isOpen = (enclosure: string | undefined): boolean => /\b(ODP|DP|OPEN|WP|IP\s?[12]\d)/i.test(enclosure ?? '');

/** What the plate says, what follows from it, and whether it agrees with itself. */
export function nameplate(brief: Brief): NameplateResult {
  const { job, given } = brief;
  const { findings, missing, flag, need } = notebook('nameplate', declared);
  const { school } = job;
  const plate = job.nameplate;
  const rating = connectedRating(given, job);
  const open = isOpen(plate.enclosure);
  const { power, voltage, frequency } = rating;

  const printedPoles = given.nameplate.poles;
  const roughPoles =
    (rating.speed && poles(frequency, rating.speed, undefined, school)?.poles.value) ?? printedPoles?.value;
  const balance = completeBalance();
  const turning = rating.speed
    ? poles(frequency, rating.speed, balance.efficiency, school)
    : printedPoles && turningOf(frequency, printedPoles, balance.efficiency, school);
  const { efficiency, powerFactor, current } = balance;
  const speed = turning?.speed;
  const ratedTorque =
    power &&
    speed &&
    quantity(power.value / speed.value, 'torque', school, {
      origin: speed.origin === 'given' ? 'derived' : 'estimated',
      formula: 'T = \\dfrac{P}{\\omega} = \\dfrac{P}{2\\pi n / 60}',
      from: { P: power, n: speed },
      source: 'definition',
    });
  const met =
    power && turning && efficiency && !guessed(efficiency)
      ? classMet(efficiency.value, power.value, turning.poles.value, open, school)
      : undefined;
  const minimum =
    power && efficiency && !guessed(efficiency) && efficiency.value < 1
      ? guaranteedMinimum(efficiency, power.value, school)
      : undefined;
  const range = lockedRotorRange();
  const frame = plate.frame?.trim() ? decodeFrame(plate.frame, school) : undefined;
  const { serviceFactor } = rating;
  const outline = frame && outlineOf(frame, turning?.poles.value ?? 4);

  checkPlate(brief, { rating, balance, turning, range, frame, open }, { flag, need });
  checkDoubts(brief, rating, balance, turning, flag);
  const decoded = decodePlate(
    brief,
    { power, voltage, frequency, speed, poles: turning?.poles, efficiency, voltages: rating.voltages, open },
    flag,
  );
  const recovery = recover(brief, flag);
  const volts = given.supply.voltage;
  const wound = rating.winding?.voltage ?? voltage;

  const values: NameplateValues = {
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
    ...(minimum ? { efficiencyMinimum: minimum } : {}),
    ...(met
      ? {
          efficiencyClass: wording(met.name, {
            formula: '\\eta \\ge \\eta_{class}',
            from: { '\\eta': efficiency, '\\eta_{class}': met.limit },
            source: met.limit.working.source,
          }),
        }
      : {}),
    ...(range?.min ? { lockedRotorCurrentMin: range.min } : {}),
    ...(range?.max ? { lockedRotorCurrentMax: range.max } : {}),
    ...(frame ? { shaftHeight: frame.shaftHeight } : {}),
    ...(frame?.suffixMeaning ? { frameSuffix: frame.suffixMeaning } : {}),
    ...(serviceFactor ? { serviceFactor } : {}),
    ...outlineValues(outline, school),
    ...(volts && wound
      ? {
          torqueOnSupply: quantity((volts.value / wound.value) ** 2, 'fraction', school, {
            formula: 'T/T_n = \\left(\\dfrac{V_{system}}{V_n}\\right)^2',
            from: { 'V_{system}': volts, V_n: wound },
            source: 'T ∝ V²',
          }),
        }
      : {}),
    ...decoded.values,
    ...recovery.values,
  };
  const read = [power?.text, speed?.text, current?.text].filter(Boolean).join(' · ');
  const summary = read === '' && job.situation.kind === 'new' ? 'No plate: new machine' : read;
  return {
    values,
    findings,
    missing,
    summary,
    motor: plateMotor(),
    frame,
    outline,
    clues: recovery.clues,
    voltages: rating.voltages,
    voltageKnown: rating.voltageKnown,
    multispeed: rating.speeds !== undefined,
    shiftedFrom: rating.shiftedFrom,
    open,
  };

  /** Fills the one missing of P, I, η, cos φ; with two missing, η comes from a class table as an estimate. */
  function completeBalance(): Balance {
    const known: Record<keyof Balance, Value | undefined> = {
      power,
      current: rating.current,
      efficiency: rating.efficiency,
      powerFactor: rating.powerFactor,
    };
    const blanks = () => (Object.keys(known) as (keyof Balance)[]).filter((term) => !known[term]);
    if (blanks().length >= 2 && !known.efficiency && power && roughPoles !== undefined) {
      const className = classesOf(school).at(school === 'NEMA' ? 1 : 2);
      const table = className && classEfficiency(className, power.value, roughPoles, open, school);
      known.efficiency = table && {
        ...table,
        origin: 'estimated',
        working: { ...table.working, note: `Not on the plate: the ${className} value for the size stands in.` },
      };
    }
    const [blank, ...rest] = blanks();
    if (blank && rest.length === 0 && voltage) known[blank] = solveMissing(voltage, present(known), blank, school);
    return present(known);
  }

  /** At the connected voltage; a winding made for more draws less there, in proportion to voltage. */
  function lockedRotorRange(): LockedRotorRange | undefined {
    const range = rangeAt(rating.winding?.voltage ?? voltage, rating.winding?.current ?? current);
    if (!range || !rating.winding || !voltage) return range;
    const { voltage: made } = rating.winding;
    const here = (value: Value | undefined): Value | undefined =>
      value &&
      quantity((value.value * voltage.value) / made.value, 'current', school, {
        origin: value.origin,
        formula: 'I_{LR} = I_{LR,n}\\,\\dfrac{V}{V_n}',
        from: { 'I_{LR,n}': value, V: voltage, V_n: made },
        source: value.working.source,
        note: `The winding is made for ${made.text}.`,
      });
    const [min, max] = [here(range.min), here(range.max)];
    return { ...(min ? { min } : {}), ...(max ? { max } : {}) };
  }

  function rangeAt(volts: Value | undefined, amperes: Value | undefined): LockedRotorRange | undefined {
    const typed = given.nameplate;
    if (typed.lockedRotorCurrent && !plate.codeLetter?.trim())
      return { min: typed.lockedRotorCurrent, max: typed.lockedRotorCurrent };
    if (plate.codeLetter?.trim() && power && volts) {
      const fromCode = lockedRotorFromCode(plate.codeLetter, power, volts, school);
      if (fromCode) return fromCode;
      flag(
        'nameplate.code-letter',
        `Code letter “${plate.codeLetter.slice(0, 10)}” is not one the standard uses (A–H, J–N, P, R–V).`,
      );
    }
    if (typed.startingCurrentRatio && amperes) return lockedRotorFromRatio(typed.startingCurrentRatio, amperes, school);
    return amperes && lockedRotorGuess(amperes, school);
  }

  function plateMotor(): Motor | undefined {
    const { starDelta } = decoded.values;
    if (!power || !voltage || !turning || !speed || !current || !efficiency || !powerFactor || powerFactor.value > 1)
      return undefined;
    const locked = {
      lockedRotorCurrent: range?.max?.value ?? (range?.min?.value ?? current.value * 8) * 1.1,
      lockedRotorCurrentLeast: range?.min?.value ?? current.value * 4,
    };
    return {
      label: 'the motor on the plate',
      kind: 'plate',
      designLetter: plate.designLetter,
      power: power.value,
      voltage: voltage.value,
      frequency: frequency.value,
      poles: turning.poles.value,
      speed: speed.value,
      current: current.value,
      efficiency: efficiency.value,
      efficiencyMinimum: minimum?.value ?? efficiency.value,
      powerFactor: powerFactor.value,
      serviceFactor: serviceFactor?.value ?? 1,
      ...locked,
      lockedRotorTorque:
        decoded.values.lockedRotorTorqueMin?.value ?? minimumLockedRotorTorque(power.value, turning.poles.value),
      breakdownTorque:
        decoded.values.breakdownTorqueMin?.value ?? minimumBreakdownTorque(power.value, turning.poles.value),
      ...(starDelta?.value === 'not possible' ? { noStarDelta: starDelta.working.note ?? '' } : {}),
      starDeltaProven: starDelta?.value === 'possible',
      ...(rating.winding
        ? {
            winding: {
              voltage: rating.winding.voltage.value,
              current: rating.winding.current.value,
              lockedRotorCurrent: locked.lockedRotorCurrent * (rating.winding.voltage.value / voltage.value),
              lockedRotorCurrentLeast: locked.lockedRotorCurrentLeast * (rating.winding.voltage.value / voltage.value),
            },
          }
        : {}),
    };
  }
}

function outlineValues(outline: Outline | undefined, school: School) {
  if (!outline) return {};
  const length = (metres: number) =>
    quantity(metres, 'length', school, {
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

function present(known: Readonly<Record<keyof Balance, Value | undefined>>): Balance {
  return Object.fromEntries(Object.entries(known).filter(([, value]) => value !== undefined));
}
