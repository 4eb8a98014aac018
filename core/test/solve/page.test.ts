// What a page brings of a solution. No outside source: nothing may be lost on the way but what the page’s own solve brings.
import { expect, it } from 'vitest';
import { demoSites } from '../../../db/demo/jobs.ts';
import { emptyJob, solve, stageNames, type Details, type Solution } from '../../src/index.ts';
import { detailsAfter, detailsAt, noDetails, shownAt } from '../../src/solve/details.ts';
import { fromPage, pageOf } from '../../src/solve/page.ts';
import { demo } from '../lib/demo.ts';

let solutions: Solution[] | undefined;
/** Every job of the demo, solved once. */
const solved = (): Solution[] =>
  (solutions ??= demoSites.flatMap(({ name, school, jobs }) =>
    jobs.map((job) => solve(emptyJob({ ...job, site: name, school }), demo)),
  ));
/** As JSON keeps it: without what is undefined. */
const kept = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));

it.each(stageNames)('the page of %s brings the whole but workings and other stages’ details', (stage) => {
  for (const solution of solved()) {
    const { head, details } = pageOf(solution);
    const { details: brought, values, ...rest } = fromPage(head, details[stage] ?? '');
    const { details: all, values: figures, ...others } = solution;
    expect(kept(rest)).toEqual(kept(others));
    const own = Object.entries(figures).filter(
      ([id]) =>
        id.startsWith(`${stage}.`) ||
        id === 'situation.kind' ||
        (stage === 'starting' && id === 'load.ratio') ||
        (stage === 'pick' && id === 'starter.coordination') ||
        (stage === 'protection' && id.startsWith('starter.')),
    );
    expect(Object.keys(values)).toEqual(own.map(([id]) => id));
    for (const [id, { working, ...value }] of own) {
      expect(values[id], id).toMatchObject(kept(value) as object);
      expect(values[id]?.working.source, id).toBe(id === 'starting.method' ? working.source : '');
    }
    for (const name of Object.keys(shownAt) as (keyof Details)[]) {
      const expected =
        name === 'readouts'
          ? all.readouts.filter(({ id }) => id.startsWith(`${stage}.`))
          : shownAt[name].includes(stage)
            ? all[name]
            : { ...all, ...noDetails }[name];
      expect(kept(brought[name]), name).toEqual(kept(expected));
    }
  }
});

it('each stage brings what its screen draws, two figures of small print come everywhere, and the rest is empty until solved', () => {
  const [solution] = solved();
  if (!solution) throw new Error('the demo has no jobs');
  const { head, details } = pageOf(solution);
  const drawn = {
    situation: ['suspicions'],
    nameplate: ['clues', 'outlines'],
    load: ['duty', 'loadCurve', 'poles', 'shafts', 'sizes', 'torquePerAmpere'],
    supply: ['phasors'],
    place: ['enclosures'],
    profile: ['flowCurves', 'flowPicture', 'fullFlow', 'profile'],
    starting: ['loadCurve', 'starting'],
    pick: ['chosenDrive', 'chosenMotor', 'drives', 'motors', 'outlines', 'requirement', 'starter'],
    drive: ['drivePictures', 'profile'],
    protection: ['bothSchools', 'runs', 'scheme', 'shortCircuitDevice', 'starting'],
    money: ['bill'],
    handover: ['drivePictures', 'rules', 'scheme'],
  };
  const empty = {
    ...{
      suspicions: [],
      clues: [],
      shafts: [],
      sizes: [],
      poles: [],
      phasors: [],
      enclosures: [],
      rules: [],
      bill: [],
      profile: [],
      flowCurves: [],
      starting: [],
      bothSchools: [],
      runs: [],
    },
    outlines: { old: undefined, fresh: undefined, misfits: [] },
  };
  for (const stage of stageNames) {
    const names = Object.keys(shownAt) as (keyof Details)[];
    const shown = names.filter((name) => shownAt[name].includes(stage));
    expect(shown.toSorted()).toEqual([...drawn[stage], 'pricing', 'readouts', 'warming'].toSorted());
    const brought = fromPage(head, details[stage] ?? '').details;
    for (const name of names) {
      if (shown.includes(name)) continue;
      expect(brought[name], `${stage}: ${name}`).toEqual(name in empty ? empty[name as keyof typeof empty] : undefined);
    }
  }
});

/** Where a function stands, which no worker can send. */
const functionsIn = (value: unknown, path = ''): string[] => {
  if (typeof value === 'function') return [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([name, each]) => functionsIn(each, `${path}.${name}`));
};

it.each(stageNames)(
  'what a worker sends for somebody at %s is plain data, and with what comes after it is the whole',
  (stage) => {
    for (const solution of solved()) {
      const first = detailsAt(stage, solution.details);
      const after = detailsAfter(stage, solution.details);
      for (const sent of [{ ...solution, details: first }, after]) expect(functionsIn(sent)).toEqual([]);
      expect(kept({ ...first, ...after })).toEqual(kept(solution.details));
      for (const name of Object.keys(after) as (keyof Details)[]) {
        expect(shownAt[name]).not.toContain(stage);
        expect(first[name]).toEqual(noDetails[name as keyof typeof noDetails]);
      }
    }
  },
);
