import { amount, say } from '../../kernel/text.ts';
import { isAC4Duty } from './ac4-duty.ts';
import type { Report } from './findings.ts';
import type { LoadResult } from '../load/load-result.ts';
import { overhaulingOf } from '../load/overhauling.ts';
import type { OptionContext, Notebook } from '../stage.ts';
import type { Method } from './starting-mode.ts';

type Question = 'reversing' | 'inching' | 'plugging';

/** What machines do besides turning one way; asked where the machine may do it. Common practice, no published source. */
const asked: Readonly<Partial<Record<OptionContext['job']['load']['way'], readonly Question[]>>> = {
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
  brief: OptionContext,
  load: LoadResult,
  method: Method | undefined,
  { report, suggest }: Pick<Notebook<Report>, 'report' | 'suggest'>,
): void {
  const { job } = brief;
  const kind = overhaulingOf(brief);
  for (const question of asked[job.load.way] ?? [])
    if (job.starting[question] === 'unknown') suggest(`starting.${question}`, words[question]);
  if (kind && method === 'drive') checkDrive(kind);
  if (method !== 'drive' && isAC4Duty(job.starting))
    report(
      'starting.ac4',
      `${job.starting.plugging === 'yes' ? 'Plugging' : 'Inching'} interrupts locked-rotor current: contactors of about twice the rating are selected (AC-4).`,
    );
  if (method !== 'drive' && job.starting.reversing === 'yes')
    report(
      'starting.reversing',
      'Reversing requires two contactors, interlocked mechanically and electrically; the motor stops before it reverses.',
    );

  function checkDrive(of: NonNullable<typeof kind>): void {
    const lowering = load.values.loweringTorque;
    const { motorSpeed } = load.values;
    const power = lowering && motorSpeed ? Math.abs(lowering.value * motorSpeed.value) : undefined;
    if (job.starting.closedLoop !== 'yes')
      report(
        'starting.open-loop',
        `A ${of === 'hoist' ? 'hoist' : 'load that drives the motor'} on a drive without encoder: open-loop control cannot hold torque at standstill, and the brake would release without torque.`,
      );
    if (job.starting.braking === 'unknown' || job.starting.braking === 'none')
      report(
        'starting.no-braking',
        say`While ${of === 'hoist' ? 'lowering' : 'the load drives'}, ${power === undefined ? 'regenerated energy flows' : say`${amount(power, 'power')} flow`} back into the drive, which trips on overvoltage unless the energy is absorbed.`,
      );
  }
}
