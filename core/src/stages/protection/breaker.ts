import type { StarterPart } from '../../catalogue/catalogue.ts';
import { MAGNETIC, TOLERANCE } from '../selection/magnetic-trip.ts';
import { INRUSH } from '../starting/inrush.ts';

/** A breaker carries its motor for good with this in hand. Common practice, no published source. */
const RUNNING = 1.15;

/** Least rating of a breaker, A, that carries the motor for good and does not trip at once on the current of its start. */
export const leastBreaker = (running: number, starting: number): number =>
  Math.max(RUNNING * running, (INRUSH * starting) / (MAGNETIC * (1 - TOLERANCE)));

/** Breakers of the catalogue for a system voltage between two ratings, A; the largest first. */
export const breakersFor = (
  parts: readonly StarterPart[],
  voltage: number,
  least: number,
  most: number,
): readonly StarterPart[] =>
  parts
    .filter(
      (part) =>
        part.kind === 'breaker' && part.voltageMax >= voltage && part.currentMax <= most && part.currentMax >= least,
    )
    .toSorted((a, b) => b.currentMax - a.currentMax || a.price - b.price);
