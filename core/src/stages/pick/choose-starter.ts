import type { Motor } from '../../motor/typical.ts';
import type { Method } from '../starting/feeds.ts';
import { dialShare } from '../starting/overload-dial.ts';
import type { PickOn } from './asked-of-pick.ts';
import { isHard } from '../starting/hard-duty.ts';
import { buildStarter, type Starter } from './build-starter.ts';
import type { Flag } from './findings.ts';

/** The parts a motor is started by in this way, from the catalogue. */
export const starterOf = (
  motor: Motor,
  method: Exclude<Method, 'drive'>,
  { brief: { job }, catalogue, supply }: Pick<PickOn, 'brief' | 'catalogue' | 'supply'>,
): Starter =>
  buildStarter(catalogue.parts, {
    school: job.school,
    method,
    current: motor.current,
    dial: motor.current * dialShare(job, motor.serviceFactor),
    voltage: supply.values.voltage?.value ?? motor.voltage,
    ac4: isHard(job.starting),
    reversing: job.starting.reversing === 'yes',
  });

/** The same as chosen in this job, with what is to be said of it. */
export function chooseStarter(motor: Motor, method: Exclude<Method, 'drive'>, on: PickOn, flag: Flag): Starter {
  const built = starterOf(motor, method, on);
  if (built.lacking.length > 0 && on.catalogue.parts.length > 0) {
    flag('pick.no-starter', `The catalogue lacks: ${built.lacking.join(', ')}.`);
  }
  if (method === 'soft starter') {
    flag(
      'pick.soft-starter-leaks',
      'A soft starter’s output is live even when it is off; the contactor ahead of it isolates.',
    );
  }
  return built;
}
