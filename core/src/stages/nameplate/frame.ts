import { INCH, type StandardsSystem } from '../../kernel/quantity/units.ts';
import {
  frameSuffixes,
  iecDimensions,
  iecFrames,
  nemaFramesEnclosed,
  nemaFramesOpen,
} from '../../kernel/tables/index.ts';
import { standardHorsepower } from '../../motor/standard-power.ts';
import { quantity, textValue, type Value } from '../../kernel/value.ts';
import type { Text } from '../../kernel/text.ts';

export interface Frame {
  readonly shaftHeight: Value;
  /** Digits that fix the feet and shaft height: `254`, `132`. A double-drilled base has two. */
  readonly numbers: readonly string[];
  readonly suffix: string;
  readonly family: StandardsSystem;
  readonly suffixMeaning?: Value<Text>;
}

const NEMA_SOURCE = 'NEMA MG 1 4.2 (recalled from memory)';
const IEC_SOURCE = 'IEC 60072-1: the frame number is the shaft height in mm (recalled from memory)';

interface FrameCode {
  readonly code: string;
  readonly numbers: readonly string[];
  readonly suffix: string;
  readonly family: StandardsSystem;
  /** Shaft height, m. */
  readonly height: number;
}

/** The parts of a frame’s name, without working; for lists of many motors. Undefined if it reads as no frame. */
export function readFrame(text: string, school: StandardsSystem): FrameCode | undefined {
  const code = text.toUpperCase().replaceAll(/\s|FRAME|FR\.?|IEC/g, '');
  const match = /^(\d{2,3})(?:\/(\d{1,3}))?([A-Z]{0,6})\d?$/.exec(code);
  if (!match) return undefined;
  const [, first = '', second, suffix = ''] = match;
  const family = familyOf(first, suffix, school);
  const number = Number(first);
  const height =
    family === 'IEC' ? number / 1000 : (first.length === 2 ? number / 16 : Math.floor(number / 10) / 4) * INCH;
  if (height < 0.03 || height > 0.72) return undefined;
  const numbers = second === undefined ? [first] : [first, first.slice(0, first.length - second.length) + second];
  return { code, numbers, suffix, family, height };
}

/**
 * Decodes a frame such as `254T`, `143/5T`, `56C`, `132M`, `IEC 132S`. NEMA: two digits are sixteenths of an inch,
 * three digits hold quarter inches in the first two. IEC: the number is millimetres. Undefined if it reads as neither.
 * A bare three-digit number is taken as the job’s school writes it.
 */
export function decodeFrame(text: string, school: StandardsSystem): Frame | undefined {
  const frame = readFrame(text, school);
  if (!frame) return undefined;
  const { code, numbers, suffix, family, height } = frame;
  const meaning = suffixMeaning(suffix, family);
  return {
    shaftHeight: quantity(height, 'length', {
      formula:
        family === 'IEC'
          ? 'H = \\text{frame number}'
          : numbers[0]?.length === 2
            ? 'D = \\dfrac{\\text{number}}{16}'
            : 'D = \\dfrac{\\text{first two digits}}{4}',
      from: { frame: textValue(code, { origin: 'given', source: 'typed in this job' }) },
      source: family === 'IEC' ? IEC_SOURCE : NEMA_SOURCE,
    }),
    numbers,
    suffix,
    family,
    ...(meaning ? { suffixMeaning: meaning } : {}),
  };
}

const IEC_ONLY = /^(S|M|L)[ABCDXYZ]?$/;

const iecNumbers = new Set(iecDimensions.rows.map((row) => String(row['h'])));

function familyOf(number: string, suffix: string, school: StandardsSystem): StandardsSystem {
  if (/^(T|U|TS|US|TC|TSC|TD|TZ|TCZ|JM|JP|C|CZ|Y|Z|H|HP|LP)/.test(suffix)) return 'NEMA';
  return iecNumbers.has(number) && (IEC_ONLY.test(suffix) || school === 'IEC') ? 'IEC' : 'NEMA';
}

function suffixMeaning(suffix: string, family: StandardsSystem): Value<Text> | undefined {
  if (suffix === '') return undefined;
  if (family === 'IEC') {
    const length = { S: 'short', M: 'medium', L: 'long' }[suffix[0] ?? ''];
    return length === undefined
      ? undefined
      : textValue(`${length} length of feet`, { origin: 'recalled', source: 'IEC 60072-1' });
  }
  const whole = frameSuffixes.row(suffix);
  const rows = whole
    ? [whole]
    : Array.from(suffix, (letter) => frameSuffixes.row(letter)).filter((row) => row !== undefined);
  const text = rows.map((row) => String(row['meaning'])).join('; ');
  return text === '' ? undefined : textValue(text, { origin: 'recalled', source: frameSuffixes.source });
}

/** The frame the standards assign to a size, speed and enclosure; undefined where they assign none. */
export function standardFrame(
  power: number,
  poles: number,
  open: boolean,
  school: StandardsSystem,
): string | undefined {
  if (school === 'IEC') {
    const row = iecFrames.rows.find(
      (each) => each['poles'] === poles && Math.abs(Number(each['kw']) * 1000 - power) < power * 0.02,
    );
    return typeof row?.['frame'] === 'string' ? row['frame'] : undefined;
  }
  const hp = standardHorsepower(power);
  const table = open ? nemaFramesOpen : nemaFramesEnclosed;
  const cell = hp === undefined ? undefined : table.row(hp)?.[`rpm${7200 / poles}`];
  return typeof cell === 'string' ? cell : undefined;
}

/** Whether feet and shaft height are the same: the numbers agree. A double-drilled base fits either of its two. */
/** What tells of a frame where it stands. */
export type FrameSize = Pick<Frame, 'family' | 'numbers' | 'suffix'>;

export const sameFeet = (a: FrameSize, b: FrameSize): boolean =>
  a.family === b.family && a.numbers.some((number) => b.numbers.includes(number));

/** A NEMA TS or US shaft: short, for a coupling only (MG 1 4.4.1, recalled from memory). */
export const shortShaft = (frame: FrameSize): boolean => frame.suffix.includes('S') && frame.family === 'NEMA';
