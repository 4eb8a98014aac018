/** A remedy that the engine knows is a change of the job, and the change clears the finding. */
import { describe, expect, it } from 'vitest';
import { emptyJob, ownNames, solve, type Finding, type JobInput } from '../../src/index.ts';
import { placeIn } from '../../src/job/document-paths.ts';
import { demo } from '../lib/demo.ts';
import plates from '../cases/plate-jobs.json' with { type: 'json' };

/** The job with fields typed over, as a screen does it: fields of which each option has its own in option A. */
function typed(job: JobInput, set: Readonly<Record<string, string>>): JobInput {
  const next: unknown = JSON.parse(JSON.stringify(emptyJob(job)));
  for (const [path, value] of Object.entries(set)) {
    const names = placeIn(ownNames, path, 'A').split('.');
    const last = names.pop() ?? '';
    let at = next as Record<string, unknown>;
    for (const name of names) at = (at[name] ??= {}) as Record<string, unknown>;
    at[last] = value;
  }
  return next as JobInput;
}

const found = (job: JobInput): readonly Finding[] => solve(emptyJob(job), demo).findings;
const mended = (job: JobInput): { job: JobInput; finding: Finding }[] =>
  found(job).flatMap((finding) => (finding.mends ? [{ job, finding }] : []));

const plate = { power: '15 hp', voltages: '460', currents: '19', frequency: '60', speed: '1770' };
const others: readonly (readonly [code: string, job: JobInput, set: Readonly<Record<string, string>>])[] = [
  [
    'starting.stall-times-swapped',
    {
      situation: { kind: 'starter' },
      nameplate: plate,
      starting: { stallTimeHot: '20 s', stallTimeCold: '12 s' },
    },
    { 'starting.stallTimeHot': '12 s', 'starting.stallTimeCold': '20 s' },
  ],
  [
    'supply.reactances-swapped',
    {
      nameplate: plate,
      supply: {
        source: 'generator',
        sourcePower: '500 kVA',
        subtransientReactance: '25 %',
        sourceImpedance: '15 %',
        voltage: '480 V',
      },
    },
    { 'supply.subtransientReactance': '15 %', 'supply.sourceImpedance': '25 %' },
  ],
  [
    'load.torque-kind',
    { situation: { kind: 'new' }, load: { way: 'pump', torqueKind: 'constant' } },
    { 'load.torqueKind': 'variable' },
  ],
  [
    'nameplate.poles-disagree',
    { situation: { kind: 'replace' }, nameplate: { ...plate, poles: '6' } },
    { 'nameplate.poles': '4' },
  ],
];

describe('remedies', () => {
  it.each(
    plates.flatMap(({ name, job }) =>
      mended(job as JobInput).map((each) => [`${name}: ${each.finding.code}`, each] as const),
    ),
  )('%s', (_, { job, finding }) => {
    for (const { label, set } of finding.mends ?? []) {
      const left = found(typed(job, set)).filter(({ code, field }) => code === finding.code && field === finding.field);
      expect(left, label).toEqual([]);
    }
  });
  it('puts the misread digit right where it stands', () => {
    const sets = (job: JobInput) => mended(job).flatMap(({ finding }) => finding.mends?.map(({ set }) => set) ?? []);
    const replace = { kind: 'replace' } as const;
    expect(
      sets({
        situation: replace,
        nameplate: {
          ...plate,
          power: '50 hp',
          currents: '116/58',
          voltages: '230/460',
          speed: '1775',
          efficiency: '94.5 %',
          powerFactor: '0.68',
        },
        supply: { voltage: '480 V' },
      }),
    ).toContainEqual({ 'nameplate.powerFactor': '0.86' });
    expect(
      sets({
        situation: replace,
        nameplate: { ...plate, voltages: '230/460', currents: '38/29' },
        supply: { voltage: '480 V' },
      }),
    ).toContainEqual({ 'nameplate.currents': '38/19' });
  });
  it.each(others)('%s', (code, job, set) => {
    const finding = found(job).find((each) => each.code === code);
    expect(finding?.mends?.map((mend) => mend.set)).toEqual([set]);
    expect(found(typed(job, set)).map((each) => each.code)).not.toContain(code);
  });
  it('lets Pilgrim choose where what was chosen fails or wastes money', () => {
    const kept: JobInput = {
      situation: { kind: 'starter' },
      nameplate: { ...plate, codeLetter: 'G' },
      supply: { voltage: '480 V', frequency: '60 Hz', startCurrentLimit: '60 A' },
    };
    const chosen = (method: 'direct' | 'drive'): Finding[] =>
      found({ ...kept, options: { A: { starting: { method } } } }).filter(({ mends }) => mends !== undefined);
    const [fails] = chosen('direct');
    expect(fails).toMatchObject({ code: 'starting.method-fails', mends: [{ set: { 'starting.method': 'auto' } }] });
    const [wasted] = found({
      situation: { kind: 'starter' },
      nameplate: plate,
      load: { torque: '20 lb·ft' },
      supply: { voltage: '480 V', frequency: '60 Hz', sourcePower: '1500 kVA', sourceImpedance: '5 %' },
      starting: { speedControl: 'no' },
      options: { A: { starting: { method: 'drive' } } },
    }).filter(({ code }) => code === 'starting.drive-wasted');
    expect(wasted?.mends).toEqual([{ label: 'Let Pilgrim choose', set: { 'starting.method': 'auto' } }]);
  });
});
