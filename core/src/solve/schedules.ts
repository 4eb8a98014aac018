import { textOf } from '../kernel/text.ts';
import { present, textIn } from '../present/present.ts';
import type { Job } from '../job/job.ts';
import { panelsOf } from './panels.ts';
import { settingsOf } from './sheet.ts';
import type { Solution } from './solution.ts';

/** A table that goes to who buys, wires or sets: cables, devices, settings. */
export interface Schedule {
  readonly title: string;
  readonly heads: readonly string[];
  /** A text for each head; empty where nothing is known. */
  readonly rows: readonly (readonly string[])[];
}

export interface Schedules {
  readonly schedules: readonly Schedule[];
  /** Jobs with a stop, of which nothing is bought or wired, and why. */
  readonly leftOut: readonly string[];
}

export type Scheduled = Pick<Solution, 'values' | 'findings' | 'chosen'> & {
  readonly details: Partial<Solution['details']>;
};

const CABLES = [
  'Cable',
  'From',
  'To',
  'Wire',
  'Earth',
  'Conduit',
  'Length',
  'Must carry',
  'Carries here',
  'Lost running',
  'Lost starting',
  'Decided by',
];
const DEVICES = ['Item', 'What', 'Device', 'Rating or setting', 'Short circuit there', 'For'];
const PANELS = ['Voltage', 'Circuit', 'Current of its wires', 'Its device', 'Note'];
const SETTINGS = ['Item', 'Group', 'Setting', 'Value', 'From'];

/**
 * Cable, device and setting schedules of jobs, one row under the other. The numbers of items are proposed: the job’s tag with a letter for
 * what it is (W cable, F protective device, Q switch, T converter, M motor, in the sense of IEC 81346-2, from memory).
 */
export function schedulesOf(jobs: readonly { readonly job: Job; readonly solution: Scheduled }[]): Schedules {
  const stopOf = ({ findings }: Scheduled): string | undefined =>
    findings.find(({ severity }) => severity === 'stop')?.message;
  const taken = jobs.filter(({ solution }) => stopOf(solution) === undefined);
  const rowsOf = (rows: (job: Job, solution: Scheduled) => string[][]): string[][] =>
    taken.flatMap(({ job, solution }) => rows(job, solution));
  return {
    schedules: [
      { title: 'Cables', heads: CABLES, rows: rowsOf(cables) },
      { title: 'Devices', heads: DEVICES, rows: rowsOf(devices) },
      { title: 'Panels', heads: PANELS, rows: panels(taken) },
      { title: 'Settings', heads: SETTINGS, rows: rowsOf(settings) },
    ],
    leftOut: jobs.flatMap(({ job, solution }) => {
      const stop = stopOf(solution);
      return stop === undefined ? [] : [`${job.tag || job.title || 'Untitled'}: ${stop}`];
    }),
  };
}

const numberOf = ({ tag, title }: Job, item: string): string => `${tag || title || 'Untitled'}-${item}`;
/** As it was typed. */
const said = (typed: string | number | undefined): string => String(typed ?? '');

const reader =
  ({ values }: Scheduled) =>
  (id: string): string =>
    values[id]?.text ?? '';

/** Whether the circuit was worked out as one behind a drive. */
const isDriven = ({ values }: Scheduled): boolean => values['protection.driveOverloadCurrent'] !== undefined;

function cables(job: Job, solution: Scheduled): string[][] {
  const read = reader(solution);
  const wire = read('protection.conductorSize');
  if (wire === '') return [];
  const [motor, converter] = [numberOf(job, 'M1'), numberOf(job, 'T1')];
  /** What the short-circuit device guards with its run. */
  const guarded = { Earth: read('protection.groundingConductor'), Conduit: read('protection.conduit') };
  const toMotor = {
    To: motor,
    Wire: wire,
    'Must carry': read('protection.conductorMinAmpacity'),
    'Carries here': read('protection.conductorAmpacity'),
    'Lost running': read('protection.runningDrop'),
    'Lost starting': read('protection.startingDrop'),
    'Decided by': read('protection.conductorLimit'),
  };
  const feed = { From: 'panel', Length: said(job.supply.feederLength), ...guarded };
  const runs: Readonly<Record<string, string>>[] = isDriven(solution)
    ? [
        {
          ...feed,
          To: converter,
          Wire: read('protection.driveInputConductor'),
          'Must carry': read('protection.driveInputAmpacity'),
        },
        { From: converter, Length: said(job.drive.lead), ...toMotor },
      ]
    : [
        { ...feed, ...toMotor },
        {
          From: 'starter',
          To: `${motor}, six leads`,
          Wire: read('protection.leadConductor'),
          'Must carry': read('protection.leadAmpacity'),
        },
      ];
  return runs
    .filter(({ Wire }) => Wire !== '')
    .map((run, at) => CABLES.map((head) => (head === 'Cable' ? numberOf(job, `W${at + 1}`) : (run[head] ?? ''))));
}

function devices(job: Job, solution: Scheduled): string[][] {
  const read = reader(solution);
  const fault = read('protection.faultCurrent');
  const most = read('protection.branchDeviceMax');
  const driven = isDriven(solution);
  const listed: readonly (readonly [item: string, what: string, device: string, rating: string, fault: string])[] = [
    ['F1', 'short circuit', read('protection.branchDevice'), most && `${most} max.`, fault],
    ['Q1', 'isolator', '', read('protection.disconnectCurrent') && `${read('protection.disconnectCurrent')} min.`, ''],
    [
      'Q2',
      'contactor',
      driven ? '' : read('pick.starter'),
      read('starter.contactorCurrent') && `${read('starter.contactorCurrent')} min.`,
      '',
    ],
    ['F2', 'overload', '', [read('protection.overloadDial'), read('starter.tripClass')].filter(Boolean).join(', '), ''],
    [
      'T1',
      driven ? 'drive' : 'soft starter',
      driven ? read('pick.drive') : '',
      driven
        ? read('pick.driveCurrent')
        : read('starter.softStarterCurrent') && `${read('starter.softStarterCurrent')} min.`,
      '',
    ],
    ['M1', 'motor', read('pick.motor'), read('pick.motorCurrent'), ''],
    [
      'F0',
      'feeder',
      read('protection.feederDevice'),
      read('protection.feederDeviceMax') && `${read('protection.feederDeviceMax')} max.`,
      fault,
    ],
  ];
  const drives = job.title;
  return listed
    .filter(([, , device, rating]) => device !== '' || rating !== '')
    .map(([item, ...rest]) => [numberOf(job, item), ...rest, drives]);
}

/** Every circuit of a panel, and under them what feeds it if all of them hang there. */
const panels = (jobs: Parameters<typeof panelsOf>[0]): string[][] =>
  panelsOf(jobs).flatMap(({ voltage, school, circuits, feeder: counted }) => {
    const feeder = present(counted, { units: school });
    return [
      ...circuits.map(({ name, current, device, called }) => [
        voltage,
        name,
        textIn(textOf(current), { units: school }),
        (device && textIn(textOf(device), { units: school })) ?? called ?? '',
        '',
      ]),
      [
        voltage,
        'Feeder, if all hang on it',
        feeder.feederAmpacity ? `${feeder.feederAmpacity.text} min.` : '',
        feeder.feederDeviceMax ? `${feeder.feederDeviceMax.text} max.` : (feeder.feederDevice?.text ?? ''),
        [feeder.feederAmpacity?.working.note, (feeder.feederDeviceMax ?? feeder.feederDevice)?.working.note]
          .filter(Boolean)
          .join(' '),
      ],
    ];
  });

function settings(job: Job, solution: Scheduled): string[][] {
  const read = reader(solution);
  const dial = solution.values['protection.overloadDial'];
  const relay = [
    [
      'Relay',
      'Current',
      read('protection.overloadDial'),
      dial?.origin === 'given' ? 'as typed' : 'what the motor asks',
    ],
    ['Relay', 'Class', read('protection.overloadDial') && read('starter.tripClass'), 'what the start asks'],
  ].filter(([, , value]) => value !== '');
  return [
    ...relay.map((row) => [numberOf(job, 'F2'), ...row]),
    ...settingsOf(solution).map(({ group, name, value, from }) => [numberOf(job, 'T1'), group, name, value, from]),
  ];
}
