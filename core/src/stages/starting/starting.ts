import { say, type Text } from '../../kernel/text.ts';
import { fitOf, type Machine } from '../../motor/fit-motor.ts';
import type { Motor } from '../../motor/typical.ts';
import { loadField } from '../load/load-definition-methods.ts';
import { notebook, type StageResult } from '../stage.ts';
import { benchOf, type Bench, chooseStart, needsSpeedControl, settledMethod, whyChosen } from './choose-start.ts';
import type { Comparison } from './comparison.ts';
import { methods, type Method } from './starting-mode.ts';
import type { Report } from './findings.ts';
import { declaration } from './declaration.ts';
import { checkMotion } from './reversing-jogging.ts';
import type { StartSetting } from './run-start.ts';
import { knownOf, type StartingOn } from './start-known.ts';
import { startSetting } from './start-setting.ts';
import { chosenStart, whateverStarts } from './start-values.ts';
import { checkChoice, checkKnown } from './starting-checks.ts';
import { permissibleStarts } from './starts-per-hour.ts';
import { softStopOf, stoppingTimes } from './stopping.ts';
import type { StartingValues } from './values.ts';

export interface StartingResult extends StageResult<StartingValues> {
  /** Ways to start the motor, each run up when it is first asked for; undefined where there is no motor. */
  readonly bench: Bench | undefined;
  readonly method: Method | undefined;
  /** The motor as a circuit, with what the fit reached. */
  readonly machine: Machine | undefined;
  /** What a start depends on, for runs in workers. */
  readonly setting: StartSetting | undefined;
}

/** Ways to start a given motor: the picked one, or the reference motor where none is picked. */
export function startingOn(on: StartingOn): StartingResult {
  const { motor, brief, load, supply } = on;
  const { findings, missing, report, require, suggest } = notebook(declaration);
  const nothing = { values: {}, findings, missing, summary: '', bench: undefined, method: undefined };
  if (!motor) {
    require(brief.job.situation.kind === 'new'
      ? loadField(brief.job)
      : 'nameplate.power', 'Motor data, from nameplate or load, to compare starting methods');
    return { ...nothing, machine: undefined, setting: undefined };
  }
  const machine = machineOf(motor, on, report);
  if (!machine) return { ...nothing, machine, setting: undefined };
  const settled = on.extent === 'method only' ? settledMethod(on) : undefined;
  if (settled) return { ...nothing, method: settled, machine, setting: undefined };
  const known = knownOf(on, motor, machine);
  const setting = startSetting(known);
  const borne = permissibleStarts(motor, known.machineInertia, known.school);
  const bench = benchOf(known, setting, borne, on.extent === 'method only');
  const method = chooseStart(known, bench, report);
  if (on.extent === 'method only') return { ...nothing, method, machine, setting };

  const start = method && bench.start(method);
  const chosen = method && bench.comparison(method);
  const stopping = stoppingTimes(method, setting, known);
  checkChoice(
    {
      method,
      chosen,
      simpler: bench.onLine,
      tooWeak: bench.tooWeak,
      cheaper: () => methods.slice(0, methods.indexOf(method ?? 'direct')).map(bench.comparison),
      start,
      speedControlled: needsSpeedControl(known),
      softStop: softStopOf(known),
      stopping,
      machineInertia: load.values.inertia,
      onceHot: borne.onceHot,
    },
    brief,
    report,
  );
  checkKnown(brief, load, supply, report);
  checkMotion(brief, load, method, { report, suggest });
  const { startsPerHour, restTime } = borne;
  const values: StartingValues = {
    ...(chosen && start ? chosenStart(chosen, start, whyChosen(known, bench, chosen.method), known) : {}),
    ...whateverStarts(known),
    ...stopping,
    // Of starts on the line; a drive starts within rated current as often as is asked.
    ...(chosen && method !== 'drive' && startsPerHour && restTime ? { startsPerHour, restTime } : {}),
  };
  return { values, findings, missing, summary: summaryOf(chosen), bench, method, machine, setting };
}

/** The circuit of the motor, with what of its figures fights; undefined where no motor can have them. */
function machineOf(motor: Motor, { brief }: StartingOn, report: Report): Machine | undefined {
  const machine = fitOf(motor, brief.given.starting, brief.practice.fixedLossShare.value);
  if (!machine) {
    report(
      'starting.no-circuit',
      'No motor can have these data: the speed must be below synchronous speed and the efficiency below 100 %.',
    );
    return undefined;
  }
  for (const fight of machine.conflicts) {
    report('starting.figures-fight', `The data of ${motor.label} contradict each other: ${fight}.`, {
      severity: motor.kind === 'plate' ? 'caution' : 'note',
    });
  }
  return machine;
}

function summaryOf(chosen: Comparison | undefined): Text {
  if (!chosen) return 'No way to start passes';
  const name = `${chosen.method[0]?.toUpperCase()}${chosen.method.slice(1)}`;
  return say`${name} · ${chosen.text.current}${chosen.time === undefined ? '' : say` · ${chosen.text.time}`}`;
}
