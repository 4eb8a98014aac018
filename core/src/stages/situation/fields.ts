import { YEAR } from '../../ground/constants.ts';
import { quantity, choice, line, open, words, flag, tick, named, is, not } from '../../ground/field.ts';

const replacing = is('situation.kind', 'replace');

export const lead = 'What is being asked decides what has to be known.';

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
      label: 'Rules and units',
      usual: 'NEMA',
      note: 'NEMA/NEC at 60 Hz or IEC at 50 Hz; sets default units and rules',
    },
  ),
  paper: choice(
    [
      ['letter', 'US Letter'],
      ['a4', 'A4'],
    ],
    { label: 'Paper', usual: 'letter' },
  ),
  currency: line(3, { label: 'Currency', usual: 'USD', hint: 'USD' }),
};

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  kind: choice(
    [
      ['replace', 'Replace a failed motor'],
      ['new', 'New machine'],
      ['drive', 'Drive onto an existing motor'],
      ['starter', 'Change the starter'],
      ['energy', 'Energy study'],
    ],
    { label: 'Situation', usual: 'replace' },
  ),
  life: quantity('span', {
    label: 'Life of the old motor',
    min: 0,
    max: 100 * YEAR,
    example: '3 years',
    asked: replacing,
  }),
  presentStarter: open(named('none', 'direct', 'star-delta', 'soft starter', 'autotransformer', 'drive'), {
    label: 'Starter that is there',
    asked: not(is('situation.kind', 'new')),
    note: 'How the motor on the plate is started today; it may be kept',
  }),
  failureMode: open(
    named('bearing', 'winding phase to phase', 'winding single-phased', 'ground', 'rotor', 'shaft', 'unknown'),
    { label: 'How it failed', asked: replacing },
  ),
  changed: words(1000, {
    label: 'What changed before it failed',
    hint: 'New belt, washed down, drive added …',
    area: true,
    asked: replacing,
  }),
  coupledBy: open(named('coupling', 'belt', 'gear'), {
    label: 'Drives its load by',
    group: 'What was measured and seen',
    asked: replacing,
    note: 'How the motor drives its load',
  }),
  startsPerHour: quantity('count', {
    label: 'Starts an hour',
    min: 0,
    max: 600,
    example: '4',
    group: 'What was measured and seen',
    asked: replacing,
  }),
  runningCurrent: quantity('current', {
    label: 'Running current',
    min: 0.1,
    max: 3000,
    example: '36 A',
    group: 'What was measured and seen',
    asked: replacing,
  }),
  insulationResistance: quantity('insulation', {
    label: 'Insulation resistance',
    min: 0,
    max: 1e13,
    example: '150 MΩ',
    group: 'What was measured and seen',
    asked: replacing,
  }),
  greasedWith: words(80, {
    label: 'Greased with',
    hint: 'Lithium EP 2',
    group: 'What was measured and seen',
    asked: replacing,
    note: 'Grease that was used on it',
  }),
  onDrive: tick({
    label: 'It ran on a variable-frequency drive',
    group: 'What was measured and seen',
    asked: replacing,
    note: 'Whether it ran on a variable-frequency drive',
  }),
  explained: flag({
    label: 'The cause was found and removed, outside this list',
    group: 'What was measured and seen',
    asked: replacing,
    note: 'The cause of an early failure was found and removed',
  }),
};
