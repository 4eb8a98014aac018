import { quantityFields } from '../job/fields.ts';
import type { Plate } from '../job/job.ts';
import { readFrame } from '../stages/nameplate/frame.ts';
import { parseGroups } from '../kernel/quantity/parse.ts';
import type { Dimension, StandardsSystem } from '../kernel/quantity/units.ts';
import type { RegisteredMotor } from './registered-motor.ts';
import { textIn } from '../present/present.ts';
import { sizeText } from '../motor/standard-power.ts';

/** What a motor is found, sorted and grouped by, read off its plate. SI. */
export interface PlateKey {
  readonly power?: number;
  readonly voltages: readonly number[];
  readonly frequency?: number;
  readonly speed?: number;
  readonly poles?: number;
  /** Digits of the frame that fix the feet: `254`; empty where the frame does not read. */
  readonly frameNumber: string;
  /** One line for lists: `15 hp · 4-pole · 460 V · 254T`. */
  readonly text: string;
}

const firstOf = (plate: Plate, name: 'power' | 'frequency' | 'speed', school: StandardsSystem): number | undefined =>
  listOf(plate, name, quantityFields.nameplate[name].dimension, school)[0];

const listOf = (
  plate: Plate,
  name: 'power' | 'frequency' | 'speed' | 'voltages' | 'currents',
  dimension: Dimension,
  school: StandardsSystem,
): number[] => readings(String(plate[name] ?? ''), dimension, school);

function readings(typed: string, dimension: Dimension, school: StandardsSystem): number[] {
  if (typed.trim() === '') return [];
  const parsed = parseGroups(typed, dimension, school);
  return parsed.ok ? parsed.value.flat().map((reading) => reading.si) : [];
}

/**
 * The measured current of a motor as a share of the most its plate prints: which voltage it ran at is not known, so that
 * above 1 is above the plate in any case. Undefined where either does not read.
 */
export function shareOfPlate({ plate, school, runningCurrent }: RegisteredMotor): number | undefined {
  const [measured] = readings(runningCurrent, 'current', school);
  const printed = listOf(plate, 'currents', 'current', school);
  return measured === undefined || printed.length === 0 ? undefined : measured / Math.max(...printed);
}

/** Reads the few figures of a plate that a register lists. What does not read is left out; never throws. */
export function plateKey(plate: Plate, school: StandardsSystem): PlateKey {
  const typed = [school, plate.power, plate.speed, plate.frequency, plate.voltages, plate.frame].join('|');
  const known = keys.get(typed);
  if (known) return known;
  const key = readKey(plate, school);
  if (keys.size >= MOST_KEYS) keys.clear();
  keys.set(typed, key);
  return key;
}

/** A plant has many motors of few kinds; the same plate is read once. */
const keys = new Map<string, PlateKey>();
const MOST_KEYS = 5000;

function readKey(plate: Plate, school: StandardsSystem): PlateKey {
  const power = firstOf(plate, 'power', school);
  const speed = firstOf(plate, 'speed', school);
  const frequency = firstOf(plate, 'frequency', school) ?? (school === 'NEMA' ? 60 : 50);
  const voltages = listOf(plate, 'voltages', 'voltage', school);
  const poles =
    speed === undefined || speed <= 0 ? undefined : 2 * Math.floor((2 * Math.PI * frequency) / speed + 1e-9);
  const frame = plate.frame?.trim() ? readFrame(plate.frame, school) : undefined;
  const text = [
    power === undefined ? '' : textIn(sizeText(power), { units: school }),
    poles ? `${poles}-pole` : '',
    voltages.length > 0 ? `${voltages.map((each) => Math.round(each)).join('/')}\u00a0V` : '',
    plate.frame?.trim() ?? '',
  ]
    .filter(Boolean)
    .join(' · ');
  return {
    ...(power === undefined ? {} : { power }),
    ...(speed === undefined ? {} : { speed }),
    ...(poles ? { poles } : {}),
    frequency,
    voltages,
    frameNumber: frame?.numbers[0] ?? '',
    text,
  };
}
