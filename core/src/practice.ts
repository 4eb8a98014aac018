import { z } from 'zod';
import { PRACTICE, quantity, type Value } from './value.ts';
import type { Dimension, School } from './quantity/units.ts';

interface Rule {
  readonly value: number;
  readonly dimension: Dimension;
  readonly range: readonly [number, number];
  readonly why: string;
}

/**
 * The trade's rules of thumb, each in one place with its default and the reason for it.
 * None has a published source. A job overrides one by name under `practice`.
 */
export const practiceRules = {
  sizeMargin: {
    value: 0,
    dimension: 'fraction',
    range: [0, 1],
    why: 'The next standard size is margin enough in a clean, cool place; heat and dirt want more.',
  },
  earlyLifeYears: {
    value: 5,
    dimension: 'count',
    range: [0, 40],
    why: 'A motor that died younger than this was killed by something that will kill the next one.',
  },
  busDip: {
    value: 0.05,
    dimension: 'fraction',
    range: [0.005, 0.5],
    why: 'Other users of the bus notice a dip above about 5 %.',
  },
  generatorDip: {
    value: 0.2,
    dimension: 'fraction',
    range: [0.01, 0.5],
    why: 'A generator set recovers from a 20 % dip; below that its own contactors drop out.',
  },
  softStartCurrent: {
    value: 3.5,
    dimension: 'count',
    range: [2, 6],
    why: 'Current limit of a soft starter as a multiple of full-load current that starts most loads.',
  },
  fixedLossShare: {
    value: 0.35,
    dimension: 'fraction',
    range: [0.1, 0.7],
    why: 'Share of full-load motor loss that does not change with load: iron, friction, windage.',
  },
  driveSavingShare: {
    value: 0.1,
    dimension: 'fraction',
    range: [0.01, 0.9],
    why: 'Below this share of the energy saved a drive is seldom worth its upkeep.',
  },
  driveCaseLimit: {
    value: 15_000,
    dimension: 'power',
    range: [0, 1e6],
    why: 'To about 15 kW a drive may carry its own washdown case; above it goes into a cabinet.',
  },
  driveInstallation: {
    value: 0.6,
    dimension: 'fraction',
    range: [0, 5],
    why: 'Labour, cable and commissioning of a drive as a share of its price.',
  },
} as const satisfies Record<string, Rule>;

export type PracticeName = keyof typeof practiceRules;
const names = Object.keys(practiceRules) as PracticeName[];

export const practiceSchema = z.strictObject(
  Object.fromEntries(
    names.map((name) => {
      const { range, why } = practiceRules[name];
      return [name, z.number().min(range[0]).max(range[1]).optional().describe(why)];
    }),
  ) as Record<PracticeName, z.ZodOptional<z.ZodNumber>>,
);

export type Practice = Readonly<Record<PracticeName, Value>>;

/** Every rule of thumb as a value, with the job's own setting where it has one. */
export function readPractice(overrides: z.infer<typeof practiceSchema>, school: School): Practice {
  const read = (name: PracticeName): Value => {
    const { value, dimension, why } = practiceRules[name];
    const own = overrides[name];
    return quantity(own ?? value, dimension, school, {
      origin: own === undefined ? 'estimated' : 'given',
      source: own === undefined ? PRACTICE : 'set in this job',
      note: why,
    });
  };
  return Object.fromEntries(names.map((name) => [name, read(name)])) as Practice;
}
