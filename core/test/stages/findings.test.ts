import { describe, expect, it } from 'vitest';
import { emptyCatalogue, emptyJob, solve, type JobInput } from '../../src/index.ts';
import type { Severity } from '../../src/kernel/finding.ts';
import { demo } from '../lib/demo.ts';
import cases from '../cases/findings.json' with { type: 'json' };
import { plate } from '../lib/round-prices.ts';

type Part = Readonly<Record<string, unknown>>;
interface Case {
  readonly code: string;
  /** Published rule or the sum behind the figure. */
  readonly why: string;
  readonly base?: keyof typeof bases;
  readonly job: Part;
  readonly severity?: Severity;
  /** What its words hold, figures above all. */
  readonly says: readonly string[];
  /** The change that clears it. */
  readonly clear: Part;
}

/** A motor that is there, on its supply. */
const there = {
  situation: { kind: 'replace' },
  nameplate: plate,
  supply: { voltage: '480 V', sourcePower: '1000 kVA', sourceImpedance: '5 %' },
  place: { hazardous: 'no' },
};
const bases = {
  none: {},
  plate: there,
  iec: {
    school: 'IEC',
    nameplate: { power: '15 kW', speed: '1470', voltages: '400', currents: '28', frequency: '50' },
    supply: { voltage: '400 V' },
    place: { hazardous: 'no' },
  },
  pick: {
    ...there,
    nameplate: { ...plate, frame: '284T' },
    load: { way: 'torque', torque: '60 lb·ft', speed: '1770', torqueKind: 'variable' },
  },
} as const;

/** Two jobs of which the second says more, part by part. */
const merged = (under: Part, over: Part): Part =>
  Object.fromEntries(
    [...new Set([...Object.keys(under), ...Object.keys(over)])].map((key) => {
      const [a, b] = [under[key], over[key]];
      const parts = typeof a === 'object' && typeof b === 'object' && !Array.isArray(b);
      return [key, parts ? { ...a, ...b } : (b ?? a)];
    }),
  );

describe('findings are raised by their figures and cleared by the change they ask for', () => {
  it.each((cases as readonly Case[]).map((each) => [each.code, each] as const))('%s', (code, each) => {
    const catalogue = each.base === 'pick' ? demo : emptyCatalogue;
    const job = merged(bases[each.base ?? 'none'], each.job);
    const raised = solve(emptyJob(job as JobInput), catalogue).findings.find((finding) => finding.code === code);
    expect(raised, each.why).toBeDefined();
    if (each.severity) expect(raised?.severity).toBe(each.severity);
    for (const words of each.says) expect(raised?.message).toContain(words);
    expect(raised?.basis).not.toBe('');
    expect(raised?.clear).not.toBe('');
    const cleared = solve(emptyJob(merged(job, each.clear)), catalogue);
    expect(cleared.findings.map((finding) => finding.code)).not.toContain(code);
  });
});
