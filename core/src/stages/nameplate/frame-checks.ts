import { decodeFrame, standardFrame } from './frame.ts';
import { speedThatFitsFrame } from './plate-pairs.ts';
import type { CheckedPlate } from './checked-plate.ts';

/** The frame against the standard one of the size, and what its letters entail. */
export function checkFrame({
  plate,
  frame,
  report,
  power,
  turning,
  school,
  open,
  rating,
  frequency,
}: Pick<
  CheckedPlate,
  'plate' | 'frame' | 'report' | 'power' | 'turning' | 'school' | 'open' | 'rating' | 'frequency'
>): void {
  if (plate.frame?.trim() && !frame) {
    report('nameplate.frame-unknown', `Frame “${plate.frame.slice(0, 20)}” reads as neither a NEMA nor an IEC frame.`);
  }
  if (!frame || !power || !turning || frame.family !== school) return;
  const assigned = standardFrame(power.value, turning.poles.value, open, school);
  const usual = assigned === undefined ? undefined : decodeFrame(assigned, school);
  if (usual && !usual.numbers.some((number) => frame.numbers.includes(number))) {
    const speed =
      rating.speed &&
      speedThatFitsFrame({
        frame: plate.frame ?? '',
        power: power.value,
        frequency: frequency.value,
        speed: rating.speed.value,
        open,
        school,
      });
    report(
      'nameplate.frame-unusual',
      `${plate.frame?.trim()} is not the standard frame for this size and speed; that would be ${assigned}.${speed === undefined ? '' : ` It would be if the speed read ${speed}.`}`,
      {
        basis: school === 'NEMA' ? 'MG 1 Part 13 (recalled from memory)' : 'EN 50347 (recalled from memory)',
        mends: [
          ...(speed === undefined
            ? []
            : [{ label: `Take ${speed} r/min`, set: { 'nameplate.speed': `${speed} r/min` } }]),
          { label: `Take frame ${assigned}`, set: { 'nameplate.frame': assigned ?? '' } },
        ],
      },
    );
  }
  if (/U/.test(frame.suffix) && frame.family === 'NEMA') {
    report(
      'nameplate.frame-u',
      'A U frame belongs to the series before 1964: a present T frame of the same power has other feet and shaft.',
    );
  }
}
