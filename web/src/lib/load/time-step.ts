const units = [
  [/\bms\b|milli/i, 0.001],
  [/\bmin/i, 60],
  [/\bh\b|hour/i, 3600],
] as const;

/** s that a bare number in a column of times stands for, by the column’s heading. */
export const timeStepOf = (heading: string): number => units.find(([unit]) => unit.test(heading))?.[1] ?? 1;
