import { classEfficiency, classesOf, classMet, guaranteedMinimum } from '../motor/efficiency-class.ts';
import {
  maximumLockedRotorCurrent,
  minimumBreakdownTorque,
  minimumLockedRotorTorque,
  type Motor,
} from '../motor/typical.ts';
import { formatNumber } from '../quantity/format.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, wording, type Value } from '../value.ts';
import { connectedRating } from './connected-rating.ts';
import { decodeFrame, standardFrame, type Frame } from './frame.ts';
import { lockedRotorFromCode, lockedRotorFromRatio, lockedRotorGuess } from './locked-rotor-current.ts';
import { misreadDigit, type Suspect } from './misread-digit.ts';
import { poles } from './poles.ts';
import { mismatch, solveMissing, type Balance } from './power-balance.ts';

export interface NameplateValues {
  readonly power?: Value;
  readonly voltage?: Value;
  readonly frequency?: Value;
  readonly speed?: Value;
  readonly poles?: Value;
  readonly synchronousSpeed?: Value;
  readonly slip?: Value;
  readonly ratedTorque?: Value;
  readonly ratedCurrent?: Value;
  readonly powerFactor?: Value;
  readonly efficiency?: Value;
  readonly efficiencyMinimum?: Value;
  readonly efficiencyClass?: Value<string>;
  readonly lockedRotorCurrentMin?: Value;
  readonly lockedRotorCurrentMax?: Value;
  readonly shaftHeight?: Value;
  readonly frameSuffix?: Value<string>;
  readonly serviceFactor?: Value;
}

export interface NameplateResult extends StageResult<NameplateValues> {
  /** The plate’s motor, once enough is known to calculate with it. */
  readonly motor: Motor | undefined;
  readonly frame: Frame | undefined;
  readonly voltages: readonly Value[];
  readonly open: boolean;
}

const MISREAD = 0.12;
const DISAGREES = 0.05;

const isOpen = (enclosure: string | undefined): boolean => /\b(ODP|DP|OPEN|WP|IP\s?[12]\d)/i.test(enclosure ?? '');

/** What the plate says, what follows from it, and whether it agrees with itself. */
export function nameplate({ job, given }: Brief): NameplateResult {
  const { findings, missing, flag, need } = notebook('nameplate');
  const { school } = job;
  const plate = job.nameplate;
  const typed = given.nameplate;
  const rating = connectedRating(given, school);
  const open = isOpen(plate.enclosure);
  const { power, voltage, frequency } = rating;

  const roughPoles = rating.speed && poles(frequency, rating.speed, undefined, school)?.poles.value;
  const balance = completeBalance();
  const turning = rating.speed && poles(frequency, rating.speed, balance.efficiency, school);
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
  const serviceFactor = typed.serviceFactor;

  checkPresence();
  checkSpeed();
  checkBalance();
  checkLockedRotor();
  checkFrame();
  checkDuty();

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
  };
  const read = [power?.text, speed?.text, current?.text].filter(Boolean).join(' · ');
  const summary = read === '' && job.situation.kind === 'new' ? 'No plate: new machine' : read;
  return { values, findings, missing, summary, motor: plateMotor(), frame, voltages: rating.voltages, open };

  /** Fills the one missing of P, I, η, cos φ; with two missing, η comes from a class table as an estimate. */
  function completeBalance(): Balance {
    const known: Record<keyof Balance, Value | undefined> = {
      power,
      current: rating.current,
      efficiency: typed.efficiency,
      powerFactor: typed.powerFactor,
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

  function lockedRotorRange() {
    if (plate.codeLetter?.trim() && power && voltage) {
      const fromCode = lockedRotorFromCode(plate.codeLetter, power, voltage, school);
      if (fromCode) return fromCode;
      flag({
        code: 'nameplate.code-letter',
        severity: 'caution',
        message: `Code letter “${plate.codeLetter.slice(0, 10)}” is not one the standard uses (A–H, J–N, P, R–V).`,
        basis: 'NEC Table 430.7(B)',
        clear: 'Read the letter again. I, O and Q are never used; they are often a 1 or a 0.',
        field: 'nameplate.codeLetter',
      });
    }
    if (typed.startingCurrentRatio && current) return lockedRotorFromRatio(typed.startingCurrentRatio, current, school);
    return current && lockedRotorGuess(current, school);
  }

  function checkPresence(): void {
    if (job.situation.kind === 'new') return;
    if (!power) need('nameplate.power', 'Power on the plate, for torque and for the size of the replacement');
    if (!voltage) need('nameplate.voltages', 'Voltages on the plate, to see which one is connected');
    if (!rating.speed) need('nameplate.speed', 'Full-load speed on the plate, for poles and torque');
    if (!current) need('nameplate.currents', 'Current on the plate; the overload and the drive are set by it');
    if (rating.doubts.includes('pairing')) {
      flag({
        code: 'nameplate.pairing',
        severity: 'caution',
        message:
          'The voltages and currents do not pair up one for one, so the current at the connected voltage is not known.',
        basis: PRACTICE,
        clear: 'Type as many currents as voltages, in the same order: 230/460 with 38/19.',
        field: 'nameplate.currents',
      });
    }
    if (rating.doubts.includes('several ratings')) {
      flag({
        code: 'nameplate.several-ratings',
        severity: 'note',
        message: 'The plate shows several powers or speeds that do not pair with its frequencies; the first is used.',
        basis: PRACTICE,
        clear: 'Put the speed you mean first, or type one frequency for each.',
        field: 'nameplate.speed',
      });
    }
    if (rating.doubts.includes('frequency assumed') && power) {
      flag({
        code: 'nameplate.frequency-assumed',
        severity: 'note',
        message: `No frequency on the plate: ${frequency.text} is assumed.`,
        basis: PRACTICE,
        clear: 'Type the frequency.',
        field: 'nameplate.frequency',
      });
    }
  }

  function checkSpeed(): void {
    if (!rating.speed) return;
    if (!turning) {
      flag({
        code: 'nameplate.speed-impossible',
        severity: 'stop',
        message: `${rating.speed.text} is faster than a 2-pole field turns at ${frequency.text}. No induction motor runs there on the line.`,
        basis: 'n = 120 f / p',
        clear: 'Read speed and frequency again.',
        field: 'nameplate.speed',
      });
      return;
    }
    if (turning.printsSynchronous) {
      flag({
        code: 'nameplate.synchronous-speed',
        severity: 'note',
        message: `The plate prints the synchronous speed ${turning.synchronousSpeed.text}, which gives no slip. Slip is estimated.`,
        basis: PRACTICE,
        clear: 'Measure the speed at full load, or take it from the data sheet.',
        field: 'nameplate.speed',
      });
    } else if ((turning.slip?.value ?? 0) > 0.13) {
      flag({
        code: 'nameplate.slip-high',
        severity: 'caution',
        message: `${rating.speed.text} is ${turning.slip?.text} below ${turning.synchronousSpeed.text}: more slip than any standard design has.`,
        basis: 'MG 1 Design D, 5 % and more (recalled from memory)',
        clear: 'Read speed and frequency again.',
        field: 'nameplate.speed',
      });
    }
  }

  function checkBalance(): void {
    const { efficiency: eta, powerFactor: pf } = typed;
    const amperes = rating.current;
    if (powerFactor && powerFactor.value > 1)
      return void flagImpossible('nameplate.power-factor-over-one', 'power factor', powerFactor.text);
    if (efficiency && efficiency.value > 1)
      return void flagImpossible('nameplate.efficiency-over-one', 'efficiency', efficiency.text);
    if (!power || !voltage || !amperes || !eta || !pf) return;
    const off = mismatch(power.value, voltage.value, amperes.value, eta.value, pf.value);
    if (Math.abs(off) <= DISAGREES) return;
    const suspects: Suspect[] = [
      {
        name: 'Power factor',
        field: 'nameplate.powerFactor',
        digits: digitsOf(pf.value * 100),
        mismatchAt: (v) => mismatch(power.value, voltage.value, amperes.value, eta.value, v / 100),
        plausible: (v) => v >= 40 && v <= 96,
      },
      {
        name: 'Current',
        field: 'nameplate.currents',
        digits: digitsOf(amperes.value),
        mismatchAt: (v) => mismatch(power.value, voltage.value, v, eta.value, pf.value),
        plausible: (v) => v > 0,
      },
      {
        name: 'Efficiency',
        field: 'nameplate.efficiency',
        digits: digitsOf(eta.value * 100),
        mismatchAt: (v) => mismatch(power.value, voltage.value, amperes.value, v / 100, pf.value),
        plausible: (v) => v >= 60 && v <= 98,
      },
    ];
    const likely = misreadDigit(suspects);
    const size = `${formatNumber(Math.abs(off) * 100, 2)} %`;
    flag({
      code: Math.abs(off) > MISREAD ? 'nameplate.misread' : 'nameplate.disagrees',
      severity: 'caution',
      message:
        `The plate does not agree with itself: √3·V·I·η·cos φ is ${size} ${off > 0 ? 'above' : 'below'} the power.` +
        (likely
          ? ` ${likely.name} ${likely.read} may be a misread ${likely.likely}, which would fit within ${formatNumber(likely.remaining * 100, 2)} %.`
          : ''),
      basis: 'P = √3 V I η cos φ; limits 5 % and 12 %: ' + PRACTICE,
      clear: likely
        ? `Look at the plate again; correct ${likely.name.toLowerCase()} if it reads ${likely.likely}.`
        : 'Look at the plate again.',
      field: likely?.field ?? 'nameplate.currents',
    });
  }

  function flagImpossible(code: string, what: string, shown: string): void {
    flag({
      code,
      severity: 'caution',
      message: `The plate’s figures would need a ${what} of ${shown}, which cannot be.`,
      basis: 'P = √3 V I η cos φ',
      clear: 'One of power, voltage, current or the factors is misread; look at the plate again.',
      field: 'nameplate.currents',
    });
  }

  function checkLockedRotor(): void {
    const limit =
      school === 'NEMA' && power && voltage ? maximumLockedRotorCurrent(power.value, voltage.value) : undefined;
    if (limit === undefined || plate.designLetter?.trim().toUpperCase() !== 'B' || !plate.codeLetter || !range?.min)
      return;
    if (range.min.value > limit) {
      flag({
        code: 'nameplate.code-above-design',
        severity: 'caution',
        message: `Code ${plate.codeLetter.toUpperCase()} means at least ${range.min.text} locked-rotor, above the Design B limit of ${formatNumber(limit)} A.`,
        basis: 'MG 1 12.35.1 (recalled from memory)',
        clear: 'Read code and design letter again; one of them is likely wrong.',
        field: 'nameplate.codeLetter',
      });
    }
  }

  function checkFrame(): void {
    if (plate.frame?.trim() && !frame) {
      flag({
        code: 'nameplate.frame-unknown',
        severity: 'caution',
        message: `Frame “${plate.frame.slice(0, 20)}” reads as neither a NEMA nor an IEC frame.`,
        basis: 'MG 1 4.2, IEC 60072-1',
        clear: 'Write it like 254T, 143/5T, 56C, 132M. Or measure floor to shaft centre.',
        field: 'nameplate.frame',
      });
    }
    if (!frame || !power || !turning || frame.family !== school) return;
    const assigned = standardFrame(power.value, turning.poles.value, open, school);
    const usual = assigned === undefined ? undefined : decodeFrame(assigned, school);
    if (usual && !usual.numbers.some((number) => frame.numbers.includes(number))) {
      flag({
        code: 'nameplate.frame-unusual',
        severity: 'note',
        message: `${plate.frame?.trim()} is not the standard frame for this size and speed; that would be ${assigned}.`,
        basis: school === 'NEMA' ? 'MG 1 Part 13 (recalled from memory)' : 'EN 50347 (recalled from memory)',
        clear: 'Check power and speed, or expect an older or special motor.',
        field: 'nameplate.frame',
      });
    }
    if (/U/.test(frame.suffix) && frame.family === 'NEMA') {
      flag({
        code: 'nameplate.frame-u',
        severity: 'caution',
        message:
          'A U frame belongs to the series before 1964: a present T frame of the same power has other feet and shaft.',
        basis: 'MG 1 4.2.2 (recalled from memory)',
        clear: 'Plan a transition base, or have the maker match the mounting.',
        field: 'nameplate.frame',
      });
    }
  }

  function checkDuty(): void {
    const duty = plate.duty?.trim();
    if (!duty || /^(S1|CONT)/i.test(duty)) return;
    flag({
      code: 'nameplate.duty',
      severity: 'caution',
      message: `The plate’s duty is “${duty.slice(0, 20)}”. Only S1 or CONT may be loaded continuously.`,
      basis: 'IEC 60034-1 4.2, MG 1 10.36 (recalled from memory)',
      clear: 'Choose a continuous-duty motor unless the load is truly intermittent.',
      field: 'nameplate.duty',
    });
  }

  function plateMotor(): Motor | undefined {
    if (!power || !voltage || !turning || !speed || !current || !efficiency || !powerFactor || powerFactor.value > 1)
      return undefined;
    return {
      label: 'the motor on the plate',
      kind: 'plate',
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
      lockedRotorCurrent: range?.max?.value ?? (range?.min?.value ?? current.value * 8) * 1.1,
      lockedRotorTorque: minimumLockedRotorTorque(power.value, turning.poles.value),
      breakdownTorque: minimumBreakdownTorque(power.value, turning.poles.value),
    };
  }
}

const guessed = (value: Value): boolean => value.origin !== 'given' && value.origin !== 'derived';

const digitsOf = (value: number): string => String(Number(value.toPrecision(4)));

function present(known: Readonly<Record<keyof Balance, Value | undefined>>): Balance {
  return Object.fromEntries(Object.entries(known).filter(([, value]) => value !== undefined));
}
