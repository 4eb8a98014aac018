import { figures, say, type Text } from '../../kernel/text.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { StageContext } from '../stage.ts';
import type { CheckedPlate } from './checked-plate.ts';
import type { Report } from './findings.ts';
import type { Inputs } from '../../job/inputs.ts';
import type { Job } from '../../job/job.ts';
import { codeLetters } from '../../kernel/tables/index.ts';
import { horsepowerOf } from '../../motor/standard-power.ts';
import { decodeFrame, standardFrame } from './frame.ts';
import { mendsOf, misreadDigit, oneDigitAway, type Misreading, type Suspect } from './misread-digit.ts';

const RATIO_LIMIT = 0.05;
const PLATE_VOLTAGES = [115, 190, 200, 208, 220, 230, 240, 380, 400, 415, 440, 460, 480, 500, 575, 600, 660, 690];
const digits = (value: number): string => String(Number(value.toPrecision(4)));
export const fits = (likely: Misreading | undefined): Text =>
  likely
    ? say` ${likely.name} ${likely.read} may be a misread ${likely.likely}, which would fit within ${figures(likely.remaining * 100, 2)} %.`
    : '';

/** Same power at every voltage: V·I must be equal for each pair the plate prints. */
export function checkVoltageRatio(given: Inputs['given'], plate: Job['nameplate'], report: Report): void {
  const power = given.nameplate.power?.[0]?.[0]?.value;
  const voltages = given.nameplate.voltages ?? [];
  const currents = given.nameplate.currents ?? [];
  const vs = voltages.flat();
  const is = currents.flat();
  const [v1, v2] = [vs[0], vs.at(-1)];
  const [i1, i2] = [is[0], is.at(-1)];
  if (vs.length < 2 || vs.length !== is.length || !v1 || !v2 || !i1 || !i2) return;
  const off = (a: number, b: number, c: number, d: number): number => (a * c) / (b * d) - 1;
  const now = off(v1.value, v2.value, i1.value, i2.value);
  // Small currents are printed to two figures; rounding alone may be off by half a unit of the last.
  const rounding = 0.5 * (lastPlace(i1.value) / i1.value + lastPlace(i2.value) / i2.value);
  if (Math.abs(now) <= RATIO_LIMIT + rounding) return;
  /** η·cos φ of standard motors lies about 0.77; what is far from it is odd. */
  const odd = (voltAmperes: number): number =>
    power === undefined ? 0 : 0.1 * Math.abs(Math.log(power / (Math.sqrt(3) * voltAmperes) / 0.77));
  const current = (value: number, volts: number, at: Suspect['mismatchAt']): Suspect => ({
    ...suspect('Current', 'nameplate.currents', value, at),
    oddness: (v) => odd(v * volts),
  });
  const suspect = (name: string, field: string, value: number, at: Suspect['mismatchAt']): Suspect => ({
    name,
    field,
    digits: digits(value),
    mismatchAt: at,
    plausible: (v) => (name === 'Voltage' ? PLATE_VOLTAGES.includes(v) : v > 0),
  });
  const likely = misreadDigit([
    current(i1.value, v1.value, (v) => off(v1.value, v2.value, v, i2.value)),
    current(i2.value, v2.value, (v) => off(v1.value, v2.value, i1.value, v)),
    suspect('Voltage', 'nameplate.voltages', v1.value, (v) => off(v, v2.value, i1.value, i2.value)),
    suspect('Voltage', 'nameplate.voltages', v2.value, (v) => off(v1.value, v, i1.value, i2.value)),
  ]);
  report(
    'nameplate.ratio',
    say`Rated voltages and currents contradict each other: ${v1} × ${i1} and ${v2} × ${i2} should be equal and differ by ${figures(Math.abs(now) * 100, 2)} %.${fits(likely)}`,
    { field: likely?.field ?? 'nameplate.currents', ...mendsOf(plate, likely) },
  );
}

const lastPlace = (value: number): number => {
  const decimals = String(Number(value.toPrecision(4))).split('.')[1]?.length ?? 0;
  return 10 ** -decimals;
};

/** The code letter’s band against a locked-rotor current or Ist/In that the plate prints as well. */
export function checkCodeLetter({
  job,
  given,
  power,
  voltage,
  current,
  report,
}: Pick<CheckedPlate, 'job' | 'power' | 'voltage' | 'current' | 'report'> & Pick<StageContext, 'given'>): void {
  const letter = job.nameplate.codeLetter?.trim().toUpperCase();
  const at = codeLetters.rows.findIndex((row) => row['letter'] === letter);
  const { lockedRotorCurrent, startingCurrentRatio } = given.nameplate;
  const amps =
    lockedRotorCurrent?.value ?? (startingCurrentRatio && current && startingCurrentRatio.value * current.value);
  if (at < 0 || !power || !voltage || amps === undefined) return;
  const kva = (Math.sqrt(3) * voltage.value * amps) / 1000 / horsepowerOf(power.value);
  const least = codeLetters.number(codeLetters.rows[at], 'kva_per_hp_min') ?? 0;
  const most = codeLetters.number(codeLetters.rows[at + 1], 'kva_per_hp_min') ?? Infinity;
  if (kva >= least * 0.97 && kva <= most * 1.03) return;
  const fit = codeLetters.rows.findLast((row) => (codeLetters.number(row, 'kva_per_hp_min') ?? 0) <= kva);
  report(
    'nameplate.code-current',
    say`Code ${letter ?? ''} means ${figures(least, 3)} to ${figures(most, 3)} kVA/hp, but the locked-rotor current on the plate makes ${figures(kva, 3)}${fit ? `: that would be code ${String(fit['letter'])}` : ''}.`,
  );
}

/** The 50 Hz and 60 Hz sets of one motor: the same iron, so V/f and the pole count must agree. */
export function checkFrequencyPair(given: Inputs['given'], typed: Job['nameplate'], report: Report): void {
  const { nameplate: plate } = given;
  const f1 = plate.frequency?.[0]?.[0]?.value;
  const f2 = plate.altFrequency?.value ?? plate.frequency?.flat()[1]?.value;
  if (f1 === undefined || f2 === undefined || f1 === f2) return;
  const n1 = plate.speed?.[0]?.[0]?.value;
  const n2 = plate.altSpeed?.value ?? plate.speed?.flat()[1]?.value;
  const pairs = (f: number, n: number): number => Math.floor((2 * Math.PI * f) / n + 1e-9);
  if (n1 !== undefined && n2 !== undefined && pairs(f1, n1) !== pairs(f2, n2)) {
    const likely = misreadDigit([
      ...(
        [
          [n1, f1, n2, f2],
          [n2, f2, n1, f1],
        ] as const
      ).map(([n, f, other, otherF]) => ({
        name: 'Speed',
        field: n === n1 ? 'nameplate.speed' : 'nameplate.altSpeed',
        digits: digits((n * 30) / Math.PI),
        mismatchAt: (v: number) =>
          pairs(f, (v * Math.PI) / 30) === pairs(otherF, other)
            ? Math.abs((v * Math.PI) / 30 / f / (other / otherF) - 1) / 10
            : 1,
        plausible: (v: number) => v > 100,
      })),
    ]);
    report(
      'nameplate.pair-speed',
      say`The 50 Hz and 60 Hz speeds belong to different pole counts, which one winding cannot have.${fits(likely)}`,
      { field: likely?.field ?? 'nameplate.speed', ...mendsOf(typed, likely) },
    );
  }
  const v1 = plate.voltages?.flat() ?? [];
  const v2 = plate.altVoltages?.flat() ?? [];
  const agrees = v1.some((a) => v2.some((b) => Math.abs(b.value / f2 / (a.value / f1) - 1) < 0.12));
  if (v1.length > 0 && v2.length > 0 && !agrees)
    report(
      'nameplate.pair-voltage',
      `No 50 Hz voltage stands to a 60 Hz voltage as 5 to 6, so one of the two sets would be far over- or under-fluxed.`,
    );
}

/** A speed whose pole count puts the rating into another frame than the plate’s, where one digit would mend it. */
export function speedThatFitsFrame({
  frame,
  power,
  frequency,
  speed,
  open,
  school,
}: {
  readonly frame: string;
  readonly power: number;
  readonly frequency: number;
  readonly speed: number;
  readonly open: boolean;
  readonly school: StandardsSystem;
}): string | undefined {
  const wanted = decodeFrame(frame, school);
  if (!wanted || wanted.family !== school) return undefined;
  const rpm = Math.round((speed * 30) / Math.PI);
  return oneDigitAway(String(rpm)).find((variant) => {
    const poles = 2 * Math.floor((60 * frequency) / Number(variant) + 1e-9);
    const slip = 1 - (Number(variant) * poles) / (120 * frequency);
    const usual = poles >= 2 && poles <= 12 ? standardFrame(power, poles, open, school) : undefined;
    const decoded = usual === undefined ? undefined : decodeFrame(usual, school);
    return slip > 0.004 && slip < 0.05 && decoded?.numbers.some((number) => wanted.numbers.includes(number));
  });
}
