import { YEAR } from '../../kernel/constants.ts';
import { quantity, choice, line, open, words, flag, tick, named, is, not } from '../../kernel/field.ts';

const replacing = is('situation.kind', 'replace');

export const lead = 'The task decides which data are needed.';

/** What the whole document says of itself. */
export const head = {
  tag: line(60, { label: 'Tag', usual: '', hint: 'P-101', note: 'Plant tag of the motor or machine' }),
  title: line(200, { label: 'Title', usual: '', hint: 'What it drives' }),
  site: line(120, { label: 'Site', usual: '' }),
  school: choice(
    [
      ['NEMA', 'NEMA/NEC, 60 Hz'],
      ['IEC', 'IEC, 50 Hz'],
    ],
    {
      label: 'Standards and units',
      usual: 'NEMA',
      note: 'NEMA/NEC at 60 Hz or IEC at 50 Hz; sets default units and rules',
    },
  ),
  paper: choice(
    [
      ['letter', 'US Letter'],
      ['a4', 'A4'],
    ],
    { label: 'Paper size', usual: 'letter' },
  ),
  currency: line(3, { label: 'Currency', usual: 'USD', hint: 'USD' }),
};

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  kind: choice(
    [
      ['replace', 'Replace a failed motor'],
      ['new', 'New machine'],
      ['drive', 'Add a drive to an existing motor'],
      ['starter', 'Change the starter'],
      ['energy', 'Energy study'],
    ],
    { label: 'Task', usual: 'replace' },
  ),
  life: quantity('span', {
    label: 'Service life of the failed motor',
    min: 0,
    max: 100 * YEAR,
    example: '3 years',
    asked: replacing,
  }),
  presentStarter: open(named('none', 'direct', 'star-delta', 'soft starter', 'autotransformer', 'drive'), {
    label: 'Existing starter',
    asked: not(is('situation.kind', 'new')),
    note: 'How the motor on the plate is started today; it may be kept',
  }),
  failureMode: open(
    named('bearing', 'winding phase to phase', 'winding single-phased', 'ground', 'rotor', 'shaft', 'unknown'),
    { label: 'Failure mode', asked: replacing },
  ),
  changed: words(1000, {
    label: 'Changes before the failure',
    hint: 'New belt, washed down, drive added …',
    area: true,
    asked: replacing,
  }),
  coupledBy: open(named('coupling', 'belt', 'gear'), {
    label: 'Coupling to the load',
    group: 'Measurements and observations',
    asked: replacing,
    note: 'How the motor drives its load',
  }),
  startsPerHour: quantity('count', {
    label: 'Starts per hour',
    min: 0,
    max: 600,
    example: '4',
    group: 'Measurements and observations',
    asked: replacing,
  }),
  runningCurrent: quantity('current', {
    label: 'Running current',
    min: 0.1,
    max: 3000,
    example: '36 A',
    group: 'Measurements and observations',
    asked: replacing,
  }),
  insulationResistance: quantity('insulation', {
    label: 'Insulation resistance',
    min: 0,
    max: 1e13,
    example: '150 MΩ',
    group: 'Measurements and observations',
    asked: replacing,
  }),
  greasedWith: words(80, {
    label: 'Grease used',
    hint: 'Lithium EP 2',
    group: 'Measurements and observations',
    asked: replacing,
    note: 'Grease that was used on it',
  }),
  onDrive: tick({
    label: 'Was fed by a drive',
    group: 'Measurements and observations',
    asked: replacing,
    note: 'Whether it ran on a variable-frequency drive',
  }),
  explained: flag({
    label: 'Cause found and removed',
    group: 'Measurements and observations',
    asked: replacing,
    note: 'The cause of an early failure was found and removed',
  }),
};
