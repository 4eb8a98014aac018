import { iecDimensions, nemaDimensions } from '../../kernel/tables/index.ts';
import type { FoundFrame, MeasuredMotor } from './measured-motor.ts';

const INCH = 0.0254;
const HEIGHT_SLACK = 0.0016;
const SHAFT_SLACK = 0.0012;
/** Slot numbers that are usual for a pole count (common practice, no published source). */
const slotPoles: Readonly<Record<number, readonly number[]>> = {
  24: [2, 4],
  30: [2],
  36: [4, 2, 6],
  48: [4, 2, 8],
  54: [6],
  60: [4],
  72: [6, 8, 4],
  90: [6],
};

/** Frames whose shaft height and diameter match, those of the school first. */
export function framesMatching({
  measured,
  school,
  clues,
}: Pick<MeasuredMotor, 'measured' | 'school' | 'clues'>): FoundFrame[] {
  const height = measured.measuredShaftHeight?.value;
  if (height === undefined) return [];
  const diameter = measured.measuredShaftDiameter?.value;
  const close = (cell: unknown, unit: number, target: number | undefined, slack: number): boolean =>
    target === undefined || (typeof cell === 'number' && Math.abs(cell * unit - target) <= slack);
  const found = [
    ...nemaDimensions.rows
      .filter((row) => close(row['d'], INCH, height, HEIGHT_SLACK) && close(row['u'], INCH, diameter, SHAFT_SLACK))
      .map((row) => ({ name: String(row['frame']), number: String(row['frame']), family: 'NEMA' as const })),
    ...iecDimensions.rows
      .filter(
        (row) =>
          close(row['h'], 0.001, height, HEIGHT_SLACK) &&
          (close(row['d'], 0.001, diameter, SHAFT_SLACK) || close(row['d_2pole'], 0.001, diameter, SHAFT_SLACK)),
      )
      .map((row) => ({ name: String(row['frame']), number: String(row['frame']), family: 'IEC' as const })),
  ];
  const own = found.filter((each) => each.family === school);
  const kept = own.length > 0 ? own : found;
  clues.push({
    from: diameter === undefined ? 'shaft height' : 'shaft height and diameter',
    of: 'frame',
    says: kept.length > 0 ? kept.map((each) => each.name).join(', ') : 'no standard frame is that high',
    confidence: kept.length === 0 ? 'poor' : diameter === undefined ? 'fair' : 'good',
  });
  return kept;
}

/** From the speed at no load, else from what is usual for the slots. */
export function poleCount({
  measured,
  frequency,
  clues,
}: Pick<MeasuredMotor, 'measured' | 'frequency' | 'clues'>): number | undefined {
  const speed = measured.measuredNoLoadSpeed?.value;
  if (speed !== undefined) {
    const count = 2 * Math.floor((2 * Math.PI * frequency) / speed + 1e-9);
    if (count >= 2) {
      clues.push({ from: 'no-load speed', of: 'poles', says: `${count} poles at ${frequency} Hz`, confidence: 'good' });
      return count;
    }
  }
  const slots = measured.measuredSlots?.value;
  const likely = slots === undefined ? undefined : slotPoles[Math.round(slots)];
  if (likely)
    clues.push({ from: 'stator slots', of: 'poles', says: `${likely.join(' or ')} poles`, confidence: 'poor' });
  return likely?.[0];
}
