import { findings as declared } from './findings.ts';
import type { StartingValues } from './values.ts';
import { loadField } from '../load/ways.ts';
import type { LoadResult } from '../load/load.ts';
import { torqueCurve } from '../load/torque-curve.ts';
import type { Fit } from '../../motor/fit-circuit.ts';
import { fitMotor, fitTargets, type Machine } from '../../motor/fit-motor.ts';
import { usualRotorInertia } from '../../motor/rotor-inertia.ts';
import type { Motor } from '../../motor/typical.ts';
import type { ProfileResult } from '../profile/profile.ts';
import { notebook, type OptionBrief, type StageResult } from '../stage.ts';
import { startVoltage, type Source } from '../supply/source.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { usualOverload } from '../../catalogue/drive-duty.ts';
import { dialShare } from './overload-dial.ts';
import { complex } from '../../ground/complex.ts';
import { stallTime as stallTimes } from '../../ground/tables/index.ts';
import { PRACTICE, quantity, wording, type Value } from '../../ground/value.ts';
import { checkMotion } from './motion.ts';
import { checkChoice, checkKnown } from './starting-checks.ts';
import { compareStart, type Comparison, type Limits } from './comparison.ts';
import { startsBorne } from './starts-per-hour.ts';
import { startsOf, type Start, type StartSetting } from './run-start.ts';
import { feedsOf, methods, USUAL, type DriveLimits, type Method } from './feeds.ts';
import { guaranteedTorques, guaranteeSource, torqueCeiling, type Guaranteed } from './guarantee.ts';
import { runDown } from './run-down.ts';
import { settledMargin } from './run-up.ts';

export interface StartingResult extends StageResult<StartingValues> {
  readonly comparisons: readonly Comparison[];
  readonly method: Method | undefined;
  /** The motor as a circuit, with what the fit reached. */
  readonly machine: Machine | undefined;
  /** What a start depends on, for runs in workers. */
  readonly setting: StartSetting | undefined;
}

/** A current limit above this is hardly a soft start, and how finely one is looked for. Common practice, no published source. */
const SOFT_LIMIT_MOST = 6;
const SOFT_LIMIT_STEP = 0.5;

/** A cold motor bears standing longer than a hot one by this. Common practice, no published source. */
const COLD_OVER_HOT = 1.5;

/** The least a motor must bear standing from running temperature, s (MG 1 12.49). */
const leastStall = (): number => stallTimes.number(stallTimes.row('locked rotor, 500 hp and less'), 'time') ?? 12;

/** A supply that gives its voltage whatever is drawn. */
const STIFF: Omit<Source, 'voltage'> = {
  internal: complex(0),
  feeder: complex(0),
  other: undefined,
  internalValue: undefined,
  feederValue: undefined,
};

/** Torques that the start may count on, for the sheet. */
const countedOn = ({ lockedRotor, pullUp, breakdown }: Guaranteed) => ({
  guaranteedLockedRotor: lockedRotor,
  ...(pullUp ? { guaranteedPullUp: pullUp } : {}),
  guaranteedBreakdown: breakdown,
});

/** Steps of a run in the live solution; times and heats of the demo’s starts stay within 0.1 % of those of fine steps. */
const LIVE_STEPS = 46;

export interface StartingOn {
  readonly motor: Motor | undefined;
  readonly brief: OptionBrief;
  readonly load: LoadResult;
  readonly supply: SupplyResult;
  readonly profile: ProfileResult;
  /** What the picked drive gives; a usual one of its duty stands in before one is picked. */
  readonly drive?: DriveLimits | undefined;
  /** Only the way to start is asked, which the pick needs: dearer ways are not run up once one passes. */
  readonly extent?: 'all' | 'method only';
}

/** Ways to start a given motor: the picked one, or the reference motor where none is picked. */
export function startingOn({ motor, brief, load, supply, profile, drive, extent = 'all' }: StartingOn): StartingResult {
  const { job, given, practice } = brief;
  const { findings, missing, flag, need, sharpen } = notebook('starting', declared);
  const { school } = job;
  const nothing = { values: {}, findings, missing, summary: '', comparisons: [], method: undefined };
  if (!motor) {
    need(
      job.situation.kind === 'new' ? loadField(job) : 'nameplate.power',
      'A motor, from the plate or from the load, to compare ways to start it',
    );
    return { ...nothing, machine: undefined, setting: undefined };
  }
  const machine = fitMotor(fitTargets(motor, given.starting, practice.fixedLossShare.value));
  if (!machine) {
    flag(
      'starting.no-circuit',
      'No motor can have these figures: the speed must lie below synchronous speed and the efficiency below 100 %.',
    );
    return { ...nothing, machine: undefined, setting: undefined };
  }
  for (const fight of machine.fights) {
    flag(
      'starting.figures-fight',
      `No motor has all the figures of ${motor.label}; these do not go together: ${fight}.`,
      { severity: motor.kind === 'plate' ? 'caution' : 'note' },
    );
  }

  const rotor =
    given.starting.rotorInertia ??
    quantity(usualRotorInertia(motor.power, motor.poles), 'inertia', school, {
      origin: 'estimated',
      source: PRACTICE,
      note: 'A usual rotor of the size, within about 40 %.',
    });
  const machineInertia =
    load.values.inertia ??
    quantity(rotor.value * practice.assumedInertia.value, 'inertia', school, {
      origin: 'estimated',
      formula: 'k\\,J_r',
      from: { k: practice.assumedInertia, J_r: rotor },
      source: PRACTICE,
    });
  const totalInertia = quantity(rotor.value + machineInertia.value, 'inertia', school, {
    origin: load.values.inertia && given.starting.rotorInertia ? 'derived' : 'estimated',
    formula: 'J = J_r + J_m',
    from: { J_r: rotor, J_m: machineInertia },
    source: 'kinetic energy, ½ J ω²',
  });
  const stall = stallTime();
  const guaranteed = guaranteedTorques(motor, given.starting, school);
  const limitsOfDrive = drive ?? usualDrive();
  const setting = startSetting(motor, machine);
  const borne = startsBorne(motor, machineInertia, school);
  const { startsPerHour, restTime } = borne;
  const limits: Limits = {
    brief,
    motor,
    supply,
    stall,
    stalls: hotAndCold(),
    dial: dialOf(motor),
    load: load.values.motorPower && load.values.motorPower.value / motor.power,
    drive: limitsOfDrive,
    starts: { wanted: load.values.startsPerHour, rest: load.duty?.rest, borne },
  };
  let softLimit = given.starting.currentLimit?.value ?? practice.softStartCurrent.value;
  const starts = startsOf(setting, LIVE_STEPS);
  let soft: Start | undefined;
  const compared = new Map<Method, Comparison>();
  const { method, why } = choose();
  if (extent === 'method only') return { ...nothing, method, machine, setting };
  const comparisons = methods.map((each) => comparisonOf(each));
  const chosen = method && comparisonOf(method);
  const start = method && startOf(method);

  const softStop =
    given.starting.softStop ??
    quantity(USUAL.softStop, 'duration', school, { origin: 'estimated', source: PRACTICE, note: 'Usual stop ramp.' });
  const stopping = stoppingTimes();
  checkChoice(
    {
      method,
      comparisons,
      start,
      speedControlled: needsSpeedControl(),
      softStop,
      stopping,
      machineInertia: load.values.inertia,
      onceHot: borne.onceHot,
    },
    brief,
    flag,
  );
  checkKnown(brief, load, supply, flag);
  checkMotion(brief, load, method, { flag, sharpen });

  const note = `Holds for ${motor.label}.`;
  const simulated = {
    origin: 'estimated' as const,
    source:
      'Quasi-steady run-up of the fitted circuit, with no more torque than is guaranteed, behind source and feeder (Runge–Kutta of order four)',
    note,
  };
  const values: StartingValues =
    chosen && start
      ? {
          method: wording(chosen.method, { origin: 'chosen', source: PRACTICE, note: why }),
          startingCurrent: quantity(chosen.current, 'current', school, { ...simulated, formula: 'I_s', from: {} }),
          startingTorque: quantity(chosen.torque, 'fraction', school, {
            ...simulated,
            formula: 'T_s / T_n',
            from: { 'T_{s,n}': guaranteed.lockedRotor, V: supply.values.lowestVoltage },
            source: `${guaranteeSource(guaranteed)}; T ∝ V²`,
          }),
          ...(chosen.dip === undefined
            ? {}
            : {
                startingDip: quantity(chosen.dip, 'fraction', school, {
                  ...simulated,
                  formula: '1 - |V_{bus}| / |V_{before}|',
                  from: { Z: supply.source?.internalValue, Z_f: supply.source?.feederValue },
                }),
              }),
          ...(start.run.reached
            ? {
                accelerationTime: quantity(start.run.time, 'duration', school, {
                  ...simulated,
                  formula: 't = \\int \\dfrac{J\\,d\\omega}{T_m - T_L}',
                  from: { J: totalInertia },
                }),
                torqueMargin: quantity(start.run.leastMargin, 'fraction', school, {
                  ...simulated,
                  formula: '\\min (T_m - T_L) / T_n',
                }),
                rotorHeat: quantity(chosen.heat, 'fraction', school, {
                  ...simulated,
                  formula: '\\dfrac{\\int T\\,(\\omega_s - \\omega)\\,dt}{P_{\\delta,1}\\,t_{stall}}',
                  from: { 't_{stall}': stall, J: totalInertia },
                }),
                ...(method === 'drive'
                  ? {}
                  : {
                      tripClass: wording(
                        start.leastClass === undefined
                          ? 'none holds'
                          : `class ${start.leastClass}, the fastest that holds`,
                        {
                          origin: 'estimated',
                          formula: '\\dfrac{d\\theta}{dt} = \\dfrac{i^2 - \\theta}{\\tau}',
                          source: 'IEC 60947-4-1 Table 2 (recalled from memory), relay at its fast edge',
                          note,
                        },
                      ),
                    }),
              }
            : {}),
          ...(start.run.changeover
            ? {
                changeoverCurrent: quantity(start.run.changeover.current, 'current', school, {
                  ...simulated,
                  formula: 'I',
                }),
              }
            : {}),
          totalInertia,
          stallTime: stall,
          ...countedOn(guaranteed),
          ...stopping,
          // Of starts on the line; a drive starts within rated current as often as is asked.
          ...(method !== 'drive' && startsPerHour && restTime ? { startsPerHour, restTime } : {}),
        }
      : { totalInertia, stallTime: stall, ...countedOn(guaranteed) };
  const summary = chosen
    ? `${chosen.method[0]?.toUpperCase()}${chosen.method.slice(1)} · ${chosen.text.current}${chosen.time === undefined ? '' : ` · ${chosen.text.time}`}`
    : 'No way to start passes';
  return { values, findings, missing, summary, comparisons, method, machine, setting };

  function stallTime(): Value {
    const typed = job.starting.hot
      ? given.starting.stallTimeHot
      : (given.starting.stallTimeCold ?? given.starting.stallTimeHot);
    if (typed) return typed;
    return quantity(leastStall(), 'duration', school, {
      origin: 'recalled',
      source: stallTimes.source,
      note: 'The least a motor must bear from running temperature; the maker’s curve may allow more, from cold above all.',
    });
  }

  function startSetting(of: Motor, fit: Fit): StartSetting {
    const ratedTorque = of.power / of.speed;
    const curve =
      load.curve ??
      torqueCurve({
        load: job.load,
        torque: ratedTorque,
        speed: of.speed,
        breakaway: load.values.breakaway.value,
        staticShare: 0,
        table: [],
      });
    return {
      circuit: fit.circuit,
      motor: { power: of.power, speed: of.speed, current: of.current, voltage: of.voltage },
      turning: { speeds: curve.speeds, torques: curve.torques, inertia: totalInertia.value },
      rotorInertia: rotor.value,
      source: sourceAtStart(of, fit),
      ceiling: torqueCeiling(guaranteed, fit.circuit, ratedTorque),
      lockedRotorMost: of.lockedRotorCurrent,
      feeds: feedsOf(brief, limitsOfDrive, load.values.motorSpeed?.value),
      stallTime: stall.value,
      tripClass: job.starting.tripClass,
      overload: dialOf(of),
      warm: job.starting.hot ? Math.min(1, ((load.values.motorPower?.value ?? of.power) / of.power) ** 2) : 0,
    };
  }

  /** The source with the lowest voltage it may have when the motor is asked to start. */
  function sourceAtStart(of: Motor, fit: Fit): Source | undefined {
    const volts = startVoltage(given, of.voltage);
    if (volts === undefined) return undefined;
    if (supply.source) return { ...supply.source, voltage: volts };
    if (volts === fit.circuit.volts) return undefined;
    return { ...STIFF, voltage: volts };
  }

  /** What the relay is set to: the nameplate current, less for a motor without service factor under the NEC. */
  function dialOf(of: Motor): number {
    return of.current * dialShare(job, of.serviceFactor);
  }

  /** Hot and cold, s; where one is typed the other follows. */
  function hotAndCold(): { readonly hot: number; readonly cold: number } {
    const { stallTimeHot, stallTimeCold } = given.starting;
    const hot = stallTimeHot?.value ?? (stallTimeCold ? stallTimeCold.value / COLD_OVER_HOT : leastStall());
    return { hot, cold: stallTimeCold?.value ?? hot * COLD_OVER_HOT };
  }

  /** A drive before one is picked: the overload of its duty over the motor’s own current. */
  function usualDrive(): DriveLimits {
    const multiple = usualOverload(job.load.torqueKind === 'variable' ? 'normal' : 'heavy');
    return { currentLimit: multiple, seconds: 60, continuous: 1 };
  }

  function startOf(each: Method): Start {
    if (each !== 'soft starter') return starts(each);
    return (soft ??= softStart());
  }

  /** With no limit typed, the least current limit that brings the load up with its margin. */
  function softStart(): Start {
    const feed = setting.feeds['soft starter'];
    const at = (limit: number): Start => starts('soft starter', { ...feed, currentLimit: limit } as typeof feed);
    const first = practice.softStartCurrent.value;
    if (given.starting.currentLimit) return at(given.starting.currentLimit.value);
    const most = Math.max(first, Math.min(SOFT_LIMIT_MOST, setting.motor.current > 0 ? motorStandstill() : first));
    const brings = (limit: number): boolean =>
      settledMargin(
        {
          circuit: setting.circuit,
          turning: setting.turning,
          source: setting.source,
          feed: { ...feed, currentLimit: limit } as typeof feed,
          ratedTorque: setting.motor.power / setting.motor.speed,
          ratedCurrent: setting.motor.current,
          ceiling: setting.ceiling,
        },
        LIVE_STEPS,
      ) >= practice.torqueMargin.value;
    let low = 0;
    let high = Math.floor((most - first) / SOFT_LIMIT_STEP);
    if (brings(first) || !brings(first + high * SOFT_LIMIT_STEP)) high = 0;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (brings(first + middle * SOFT_LIMIT_STEP)) high = middle;
      else low = middle;
    }
    softLimit = first + high * SOFT_LIMIT_STEP;
    return at(softLimit);
  }

  function motorStandstill(): number {
    return (motor?.lockedRotorCurrent ?? 0) / setting.motor.current;
  }

  function comparisonOf(each: Method): Comparison {
    const known = compared.get(each) ?? compareStart(startOf(each), limits, softLimit);
    compared.set(each, known);
    return known;
  }

  function choose(): { method: Method | undefined; why: string } {
    if (job.starting.method !== 'auto') return { method: job.starting.method, why: 'Chosen in this job.' };
    if (needsSpeedControl()) return { method: 'drive', why: 'The speed has to be controlled while running.' };
    const gentle = job.starting.waterHammer;
    const first = methods.find(
      (each) => (!gentle || each === 'soft starter' || each === 'drive') && comparisonOf(each).passes,
    );
    if (first === undefined) {
      flag('starting.none', 'No way to start passes every limit.');
      return { method: undefined, why: '' };
    }
    const decides = methods
      .slice(0, methods.indexOf(first))
      .map((each) => comparisonOf(each))
      .findLast((each) => !each.passes);
    const because = gentle
      ? 'A soft stop keeps the pipe from water hammer.'
      : decides
        ? `The least costly way that passes every known limit; ${decides.method} fails: ${decides.failures[0] ?? ''}.`
        : 'The least costly way, and it passes every known limit.';
    return { method: first, why: because };
  }

  function needsSpeedControl(): boolean {
    if (job.starting.speedControl !== 'auto') return job.starting.speedControl === 'yes';
    if (job.situation.kind === 'drive') return true;
    const { savingShare } = profile.values;
    return profile.flowVaries && savingShare !== undefined && savingShare.value >= practice.driveSavingShare.value;
  }

  /** Only where a sudden stop matters: with the supply cut off, and softly. */
  function stoppingTimes(): { coastTime: Value; softStopTime: Value } | undefined {
    if (!job.starting.waterHammer || !motor || (method !== 'soft starter' && method !== 'drive')) return undefined;
    const { coast, soft } = runDown(
      {
        circuit: setting.circuit,
        turning: setting.turning,
        source: setting.source,
        feed: { kind: 'direct' },
        ratedTorque: motor.power / motor.speed,
        ratedCurrent: motor.current,
      },
      softStop.value,
    );
    const how = {
      origin: 'estimated' as const,
      formula: 't = \\int \\dfrac{J\\,d\\omega}{T_L - T_m}',
      from: { J: totalInertia, 't_{ramp}': softStop },
      source: 'Quasi-steady run-down of the fitted circuit',
    };
    return {
      coastTime: quantity(coast, 'duration', school, how),
      softStopTime: quantity(soft, 'duration', school, how),
    };
  }
}
