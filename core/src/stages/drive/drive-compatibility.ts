import { lines, say, series, textOf, type Text } from '../../kernel/text.ts';
import { PRACTICE, textValue, type Value } from '../../kernel/value.ts';
import { KNOWN_YEAR } from '../nameplate/decoding.ts';
import type { DriveStageInput } from './drive-stage-input.ts';
import { NEAR_END } from './drive-checks.ts';
import { filterNames, type MotorCable } from './motor-cable.ts';
import { isCooled, type SpeedRange } from './speed-range.ts';

/** One thing that decides whether a motor may run on a drive: proven, taken to be so, to be asked, or wrong. */
export interface Proof {
  readonly of: 'Winding' | 'Insulation class' | 'Bearings' | 'Speed range' | 'Cooling' | 'Age' | 'Plate';
  readonly state: 'proven' | 'assumed' | 'ask' | 'fails';
  readonly says: Text;
  /** What the maker is asked, where that would settle it. */
  readonly question?: string;
}

export interface Fitness {
  readonly value: Value<Text>;
  readonly proofs: readonly Proof[];
  /** A letter to the maker, ready to send; empty where nothing is open. */
  readonly letter: Text;
}

/** Thermal classes whose insulation was made with drives in mind. Common practice, no published source. */
const GOOD_CLASSES = /^[FH]/i;

/** Winding, insulation, bearings, range, cooling, age and plate: what is proven, what is assumed, what to ask. */
export function fitnessOf(
  driven: DriveStageInput,
  lead: MotorCable,
  range: SpeedRange,
  bearings: Value<Text>,
): Fitness {
  const proofs = [
    windingProof(lead),
    insulationProof(driven),
    { of: 'Bearings', state: 'assumed', says: textOf(bearings) } as const,
    rangeProof(driven, range),
    coolingProof(driven),
    ageProof(driven, lead),
    plateProof(driven, lead),
  ];
  const failed = proofs.some(({ state }) => state === 'fails');
  const open = proofs.filter(({ state }) => state === 'ask').length;
  const text = failed
    ? 'not like this'
    : open > 0
      ? `yes, once ${open === 1 ? 'one thing is' : `${open} things are`} answered`
      : proofs.some(({ state, of }) => state === 'assumed' && of !== 'Bearings')
        ? 'yes, on what is assumed'
        : 'yes';
  return {
    proofs,
    letter: letterOf(driven, proofs),
    value: textValue(text, {
      origin: 'derived',
      from: { '\\hat V': lead.values.peakVoltage, V_w: lead.values.windingWithstand },
      source: PRACTICE,
      note: `Holds for ${driven.motor.label}.`,
    }),
  };
}

function windingProof({ values, proven, terminalPeakVoltage, filter }: MotorCable): Proof {
  const { windingWithstand } = values;
  const bears = textOf(windingWithstand) ?? '';
  if (terminalPeakVoltage === undefined || !windingWithstand)
    return { of: 'Winding', state: 'ask', says: say`Bears ${bears}; the length of the cable is not known.` };
  const behind = filter === 'none' ? '' : ` behind the ${filterNames[filter]}`;
  const says = say`${Math.round(terminalPeakVoltage)} V reach it${behind}; it bears ${bears}${proven ? '' : ', taken for a silent plate'}.`;
  if (terminalPeakVoltage > windingWithstand.value * 1.0001) return { of: 'Winding', state: 'fails', says };
  return { of: 'Winding', state: proven ? 'proven' : 'assumed', says };
}

function insulationProof({ brief, pick }: DriveStageInput): Proof {
  const letter = pick.chosenMotor?.item.thermalClass ?? brief.job.nameplate.thermalClass?.trim() ?? '';
  if (letter === '')
    return {
      of: 'Insulation class',
      state: 'ask',
      says: 'Not on the plate.',
      question: 'Which thermal class and which wire does the winding have?',
    };
  return GOOD_CLASSES.test(letter)
    ? { of: 'Insulation class', state: 'proven', says: `Class ${letter}.` }
    : {
        of: 'Insulation class',
        state: 'assumed',
        says: `Class ${letter}: little heat to spare for the extra losses of a drive.`,
      };
}

function rangeProof({ profile, motor }: DriveStageInput, { least, most }: SpeedRange): Proof {
  const rows = profile.points.filter(({ hours, flow }) => hours > 0 && flow > 0);
  const slowest = rows.length > 0 ? Math.min(...rows.map(({ speed }) => speed)) : 1;
  const fastest = rows.length > 0 ? Math.max(...rows.map(({ speed }) => speed)) : 1;
  const turns = (share: number): string => `${Math.round((share * motor.speed * 30) / Math.PI)} r/min`;
  const says = `Runs ${turns(slowest)} to ${turns(fastest)}; may run ${turns(least.share)} to ${turns(most.share)}.`;
  const outside = slowest < least.share - NEAR_END || fastest > most.share + NEAR_END;
  return { of: 'Speed range', state: outside ? 'fails' : 'proven', says };
}

function coolingProof(driven: DriveStageInput): Proof {
  if (isCooled(driven)) {
    const made = driven.pick.chosenMotor && driven.brief.job.drive.cooling === 'auto';
    return {
      of: 'Cooling',
      state: 'proven',
      says: made ? 'Made for low speed on a drive.' : 'A blower of its own cools it at any speed.',
    };
  }
  return { of: 'Cooling', state: 'assumed', says: 'By the fan on its shaft, after a curve recalled only roughly.' };
}

/** Years from which on a winding of which nothing is said is doubted. Common practice: 5 to 10 years. */
const OLD = 7;

/** Wire and resin made before drives were common bear less; a rewound motor is as old as its rewind. */
function ageProof({ brief, pick }: DriveStageInput, { proven }: MotorCable): Proof {
  if (pick.chosenMotor) return { of: 'Age', state: 'proven', says: 'New.' };
  const made = Number(/\b(19|20)\d\d\b/.exec(brief.job.nameplate.year ?? '')?.[0]);
  const known = Number.isFinite(made);
  const age = KNOWN_YEAR - made;
  const says = known ? `Made in ${made}, ${age} years old.` : 'Not known.';
  if (proven || (known && age <= OLD)) return { of: 'Age', state: 'assumed', says };
  return { of: 'Age', state: 'ask', says, question: 'Was it rewound since it was made, and with which wire?' };
}

function plateProof({ pick, nameplate, brief }: DriveStageInput, { proven }: MotorCable): Proof {
  const made = pick.chosenMotor?.item;
  if (made)
    return made.inverterDuty
      ? { of: 'Plate', state: 'proven', says: 'Made for a drive.' }
      : { of: 'Plate', state: 'assumed', says: 'General purpose: to MG 1 Part 30.' };
  const said = textOf(nameplate.values.inverter) ?? 'nothing is said';
  if (brief.job.nameplate.inverter?.trim()) return { of: 'Plate', state: 'proven', says: said };
  return {
    of: 'Plate',
    state: proven ? 'assumed' : 'ask',
    says: said,
    question: 'Which peak voltage at its terminals, and which rise time, does the winding bear on a drive?',
  };
}

/** Asks the maker all that is open at once. */
function letterOf({ brief, motor, voltage, nameplate }: DriveStageInput, proofs: readonly Proof[]): Text {
  const questions = proofs.flatMap(({ question, state }) => (state === 'ask' && question ? [question] : []));
  if (questions.length === 0) return '';
  const { job } = brief;
  const plate = series(
    [
      textOf(nameplate.values.power),
      `${motor.poles} poles`,
      textOf(nameplate.values.ratedCurrent),
      job.nameplate.frame,
      job.nameplate.serial ? `serial number ${job.nameplate.serial}` : undefined,
    ],
    ', ',
  );
  return lines([
    `Motor ${job.tag}`.trim(),
    '',
    say`We mean to run this motor on a frequency converter at ${voltage}: ${plate}.`,
    ...(job.nameplate.asRead ? [`Its plate reads: ${job.nameplate.asRead}`] : []),
    '',
    'Please tell us:',
    ...[
      ...questions,
      'Between which speeds may it run at full torque, and up to which at constant power?',
      'Is the bearing opposite the drive end insulated?',
    ].map((question, at) => `${at + 1}. ${question}`),
  ]);
}
