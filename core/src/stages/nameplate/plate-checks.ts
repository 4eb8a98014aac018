import type { Flag } from './findings.ts';
import type { Brief, Notebook } from '../stage.ts';
import { maximumLockedRotorCurrent } from '../../motor/typical.ts';
import { formatNumber } from '../../ground/quantity/format.ts';
import type { ConnectedRating } from './connected-rating.ts';
import { decodeFrame, standardFrame, type Frame } from './frame.ts';
import type { LockedRotorRange } from './locked-rotor-current.ts';
import { misreadDigit, type Suspect } from './misread-digit.ts';
import { checkCodeLetter, checkFrequencyPair, checkVoltageRatio, fits, speedThatFitsFrame } from './plate-pairs.ts';
import type { Turning } from './poles.ts';
import { mismatch, type Balance } from './power-balance.ts';

/** What the first reading of the plate came to, for the checks of the plate against itself. */
export interface PlateReadings {
  readonly rating: ConnectedRating;
  readonly balance: Balance;
  readonly turning: Turning | undefined;
  readonly range: LockedRotorRange | undefined;
  readonly frame: Frame | undefined;
  readonly open: boolean;
}

const MISREAD = 0.12;
const DISAGREES = 0.05;
const digitsOf = (value: number): string => String(Number(value.toPrecision(4)));

/** Every redundancy of the plate: what is missing, what cannot be, what disagrees, and the digit that would mend it. */
export function checkPlate(
  { job, given }: Brief,
  { rating, balance, turning, range, frame, open }: PlateReadings,
  { flag, need }: Pick<Notebook<Flag>, 'flag' | 'need'>,
): void {
  const { school } = job;
  const plate = job.nameplate;
  const { power, voltage, frequency } = rating;
  const { efficiency, powerFactor, current } = balance;

  if (!plate.unreadable) checkPresence();
  checkSpeed();
  checkBalance();
  checkVoltageRatio(given, flag);
  checkFrequencyPair(given, flag);
  checkLockedRotor();
  checkCodeLetter(job, given, power, voltage, current, flag);
  checkFrame();

  function checkPresence(): void {
    if (job.situation.kind === 'new') return;
    if (!power) need('nameplate.power', 'Power on the plate, for torque and for the size of the replacement');
    if (!voltage) need('nameplate.voltages', 'Voltages on the plate, to see which one is connected');
    if (!rating.speed) need('nameplate.speed', 'Full-load speed on the plate, for poles and torque');
    if (!current) need('nameplate.currents', 'Current on the plate; the overload and the drive are set by it');
    if (rating.doubts.includes('pairing')) {
      flag(
        'nameplate.pairing',
        'The voltages and currents do not pair up one for one, so the current at the connected voltage is not known.',
      );
    }
    if (rating.doubts.includes('several ratings')) {
      flag(
        'nameplate.several-ratings',
        'The plate shows several powers or speeds that do not pair with its frequencies; the first is used.',
      );
    }
    if (rating.doubts.includes('frequency assumed') && power) {
      flag('nameplate.frequency-assumed', `No frequency on the plate: ${frequency.text} is assumed.`);
    }
  }

  function checkSpeed(): void {
    if (!rating.speed) return;
    if (!turning) {
      flag(
        'nameplate.speed-impossible',
        `${rating.speed.text} is faster than a 2-pole field turns at ${frequency.text}. No induction motor runs there on the line.`,
      );
      return;
    }
    if (turning.printsSynchronous) {
      flag(
        'nameplate.synchronous-speed',
        `The plate prints the synchronous speed ${turning.synchronousSpeed.text}, which gives no slip. Slip is estimated.`,
      );
    } else if ((turning.slip?.value ?? 0) > 0.13) {
      flag(
        'nameplate.slip-high',
        `${rating.speed.text} is ${turning.slip?.text} below ${turning.synchronousSpeed.text}: more slip than any standard design has.`,
      );
    }
  }

  function checkBalance(): void {
    const { efficiency: eta, powerFactor: pf } = rating;
    const amperes = rating.current;
    if (powerFactor && powerFactor.value > 1)
      return void flag('nameplate.power-factor-over-one', impossible('power factor', powerFactor.text));
    if (efficiency && efficiency.value > 1)
      return void flag('nameplate.efficiency-over-one', impossible('efficiency', efficiency.text));
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
    flag(
      Math.abs(off) > MISREAD ? 'nameplate.misread' : 'nameplate.disagrees',
      `The plate does not agree with itself: √3·V·I·η·cos φ is ${size} ${off > 0 ? 'above' : 'below'} the power.` +
        fits(likely),
      likely && {
        clear: `Look at the plate again; correct ${likely.name.toLowerCase()} if it reads ${likely.likely}.`,
        field: likely.field,
      },
    );
  }

  function checkLockedRotor(): void {
    const limit =
      school === 'NEMA' && power && voltage ? maximumLockedRotorCurrent(power.value, voltage.value) : undefined;
    if (limit === undefined || plate.designLetter?.trim().toUpperCase() !== 'B' || !plate.codeLetter || !range?.min)
      return;
    if (range.min.value > limit) {
      flag(
        'nameplate.code-above-design',
        `Code ${plate.codeLetter.toUpperCase()} means at least ${range.min.text} locked-rotor, above the Design B limit of ${formatNumber(limit)} A.`,
      );
    }
  }

  function checkFrame(): void {
    if (plate.frame?.trim() && !frame) {
      flag('nameplate.frame-unknown', `Frame “${plate.frame.slice(0, 20)}” reads as neither a NEMA nor an IEC frame.`);
    }
    if (!frame || !power || !turning || frame.family !== school) return;
    const assigned = standardFrame(power.value, turning.poles.value, open, school);
    const usual = assigned === undefined ? undefined : decodeFrame(assigned, school);
    if (usual && !usual.numbers.some((number) => frame.numbers.includes(number))) {
      const speed =
        rating.speed &&
        speedThatFitsFrame(plate.frame ?? '', power.value, frequency.value, rating.speed.value, open, school);
      flag(
        'nameplate.frame-unusual',
        `${plate.frame?.trim()} is not the standard frame for this size and speed; that would be ${assigned}.${speed === undefined ? '' : ` It would be if the speed read ${speed}.`}`,
        { basis: school === 'NEMA' ? 'MG 1 Part 13 (recalled from memory)' : 'EN 50347 (recalled from memory)' },
      );
    }
    if (/U/.test(frame.suffix) && frame.family === 'NEMA') {
      flag(
        'nameplate.frame-u',
        'A U frame belongs to the series before 1964: a present T frame of the same power has other feet and shaft.',
      );
    }
  }
}

const impossible = (what: string, shown: string): string =>
  `The plate’s figures would need a ${what} of ${shown}, which cannot be.`;
