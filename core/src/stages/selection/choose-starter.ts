import { say, series } from '../../kernel/text.ts';
import type { Motor } from '../../motor/typical.ts';
import type { Method } from '../starting/starting-mode.ts';
import { isAC4Duty } from '../starting/ac4-duty.ts';
import { dialShare } from '../starting/overload-setting.ts';
import type { StartingResult } from '../starting/starting.ts';
import type { SelectionInput } from './selection-input.ts';
import { buildStarter, type Starter } from './build-starter.ts';
import type { Report } from './findings.ts';
import { overloadBreaker } from './motor-breaker.ts';

/** What the parts of a starter are chosen by: the motor’s start as it is run up. */
export interface StarterOn extends Pick<SelectionInput, 'brief' | 'catalogue' | 'supply' | 'nameplate'> {
  readonly starting: Pick<StartingResult, 'bench'>;
}

/** The parts a motor is started by in this way, from the catalogue. */
export function starterOf(motor: Motor, method: Exclude<Method, 'drive'>, on: StarterOn): Starter {
  const { brief, catalogue, supply, starting } = on;
  const { job } = brief;
  return buildStarter(catalogue.parts, {
    school: job.school,
    method,
    current: motor.current,
    dial: motor.current * dialShare(job, motor.serviceFactor),
    voltage: supply.values.voltage?.value ?? motor.voltage,
    breaker: overloadBreaker({ ...on, motor }, starting.bench?.comparison(method), motor.current),
    ac4: isAC4Duty(job.starting),
    reversing: job.starting.reversing === 'yes',
  });
}

/** The same as chosen in this job, with what is to be said of it. */
export function chooseStarter(motor: Motor, method: Exclude<Method, 'drive'>, on: StarterOn, report: Report): Starter {
  const built = starterOf(motor, method, on);
  if (built.lacking.length > 0 && on.catalogue.parts.length > 0) {
    report('pick.no-starter', say`The catalogue lacks: ${series(built.lacking, ', ')}.`);
  }
  if (method === 'soft starter') {
    report(
      'pick.soft-starter-leaks',
      'The output of a soft starter is live even when it is off; the upstream contactor isolates.',
    );
  }
  return built;
}
