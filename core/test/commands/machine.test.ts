/** The motor model gives the figures it gave when it was checked against the published cases, to a billionth. */
import { describe, expect, it } from 'vitest';
import { readMachine, runMachine } from '../../src/commands/machine.ts';
import file from '../cases/machine-figures.json' with { type: 'json' };

interface Case {
  readonly machine: unknown;
  readonly figures: Readonly<Record<string, Readonly<Record<string, number>>>>;
}
const cases = file.cases as readonly unknown[] as readonly Case[];

describe('machine', () => {
  it.each(cases.map((each, at) => [at + 1, each] as const))('case %i', (_, { machine, figures }) => {
    const read = readMachine(machine);
    if ('issues' in read) throw new Error(JSON.stringify(read.issues));
    const result = runMachine(read.machine);
    if ('issues' in result) throw new Error(JSON.stringify(result.issues));
    const parts = { ...result, ...result.runUp } as unknown as Record<string, Record<string, number> | undefined>;
    for (const [part, wanted] of Object.entries(figures))
      for (const [name, figure] of Object.entries(wanted)) {
        const off = Math.abs((parts[part]?.[name] ?? NaN) - figure);
        expect(off, `${part}.${name}`).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(figure)));
      }
  });
});
