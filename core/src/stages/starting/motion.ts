import type { LoadResult } from '../load/load.ts';
import { overhaulingOf } from '../load/overhauling.ts';
import { formatQuantity } from '../../ground/quantity/format.ts';
import type { Brief, Notebook } from '../stage.ts';
import { PRACTICE } from '../../ground/value.ts';
import type { Method } from './feeds.ts';

type Question = 'reversing' | 'inching' | 'plugging';

/** What machines do besides turning one way; asked where the machine may do it. Common practice, no published source. */
const asked: Readonly<Partial<Record<Brief['job']['load']['way'], readonly Question[]>>> = {
  hoist: ['reversing', 'inching', 'plugging'],
  conveyor: ['reversing', 'inching'],
  crusher: ['reversing'],
  mixer: ['reversing'],
  press: ['inching', 'plugging'],
  centrifuge: ['plugging'],
};

const words: Readonly<Record<Question, string>> = {
  reversing: 'Whether it runs in both directions; the starter then has two interlocked contactors',
  inching: 'Whether it is jogged; contactors then break locked-rotor current (AC-4)',
  plugging: 'Whether it is braked by reversing the field; the rotor then takes three times the energy of a start',
};

/** The ways a machine moves that change its starter or drive: asked for, and stopped where they endanger. */
export function checkMotion(
  brief: Brief,
  load: LoadResult,
  method: Method | undefined,
  { flag, sharpen }: Pick<Notebook, 'flag' | 'sharpen'>,
): void {
  const { job } = brief;
  const { school } = job;
  const kind = overhaulingOf(brief);
  for (const question of asked[job.load.way] ?? [])
    if (job.starting[question] === 'unknown') sharpen(`starting.${question}`, words[question]);
  if (kind && method === 'drive') checkDrive(kind);
  if (method !== 'drive' && (job.starting.inching === 'yes' || job.starting.plugging === 'yes'))
    flag({
      code: 'starting.ac4',
      severity: 'note',
      message: `${job.starting.plugging === 'yes' ? 'Plugging' : 'Inching'} breaks locked-rotor current: contactors of about twice the size are taken (AC-4).`,
      basis: `IEC 60947-4-1, AC-4; twice the AC-3 current: ${PRACTICE}`,
      clear: 'Confirm the contact life for so many operations in the maker’s AC-4 data.',
      field: 'starting.inching',
    });
  if (method !== 'drive' && job.starting.reversing === 'yes')
    flag({
      code: 'starting.reversing',
      severity: 'note',
      message:
        'Reversing: two contactors, interlocked both mechanically and electrically; it stops before it turns back.',
      basis: PRACTICE,
      clear: 'Order the interlocks, and wire the stop between the directions.',
      field: 'starting.reversing',
    });

  function checkDrive(of: NonNullable<typeof kind>): void {
    const lowering = load.values.loweringTorque;
    const { motorSpeed } = load.values;
    const power = lowering && motorSpeed ? Math.abs(lowering.value * motorSpeed.value) : undefined;
    if (job.starting.closedLoop !== 'yes')
      flag({
        code: 'starting.open-loop',
        severity: 'stop',
        message: `A ${of === 'hoist' ? 'hoist' : 'load that drives the motor'} on a drive without speed feedback: open loop cannot hold torque at rest, and the brake would open on a motor without it.`,
        basis: `Torque proven before the brake opens; ${PRACTICE}`,
        clear: 'Order an encoder and a drive with closed loop and brake logic, and say so.',
        field: 'starting.closedLoop',
      });
    if (job.starting.braking === 'unknown' || job.starting.braking === 'none')
      flag({
        code: 'starting.no-braking',
        severity: 'stop',
        message: `While ${of === 'hoist' ? 'lowering' : 'the load drives'}, ${power === undefined ? 'its energy comes' : `${formatQuantity(power, 'power', school)} come`} back into the drive, which trips on overvoltage and lets go unless it goes somewhere.`,
        basis: 'Energy is conserved; a rectifier passes it one way only',
        clear: 'Choose a brake chopper with resistor, or a drive that feeds back.',
        field: 'starting.braking',
      });
  }
}
