import { loadField } from '../load/ways.ts';
import type { LoadResult } from '../load/load.ts';
import { torqueCurve } from '../load/torque-curve.ts';
import type { Fit } from '../motor/fit-circuit.ts';
import { fitMotor, fitTargets, type Machine } from '../motor/fit-motor.ts';
import { referenceMotor } from '../motor/reference.ts';
import { usualRotorInertia } from '../motor/rotor-inertia.ts';
import { horsepowerOf } from '../motor/standard-power.ts';
import type { Motor } from '../motor/typical.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { ProfileResult } from '../profile/profile.ts';
import { formatNumber, formatQuantity } from '../quantity/format.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { flickerOf, LONG_TERM_LIMIT, SHORT_TERM_LIMIT } from '../supply/flicker.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { loadInertia, stallTime as stallTimes } from '../tables/index.ts';
import { PRACTICE, quantity, wording, type Value } from '../value.ts';
import { startsOf, type Start, type StartSetting } from './run-start.ts';
import { feedsOf, methods, USUAL, type Method } from './feeds.ts';
import { runDown, settledMargin, type Trace } from './run-up.ts';
import type { TripClass } from './trip-curve.ts';

export interface StartingValues {
  readonly method?: Value<string>;
  readonly startingCurrent?: Value;
  readonly startingTorque?: Value;
  readonly startingDip?: Value;
  readonly accelerationTime?: Value;
  /** Least torque over the load on the way up, of rated torque. */
  readonly torqueMargin?: Value;
  /** Load and rotor, at the motor shaft. */
  readonly totalInertia?: Value;
  readonly stallTime?: Value;
  /** Rotor heat of the start over what the rotor bears. */
  readonly rotorHeat?: Value;
  readonly tripClass?: Value<string>;
  readonly startsPerHour?: Value;
  readonly changeoverCurrent?: Value;
  /** To rest with the supply cut off, and by a soft stop; where a sudden stop matters. */
  readonly coastTime?: Value;
  readonly softStopTime?: Value;
}

/** One way to start, against every limit that is known. */
export interface Comparison {
  readonly method: Method;
  /** Line current while starting at rated voltage, A. */
  readonly current: number;
  /** Torque at standstill as a multiple of rated torque, on this supply. */
  readonly torque: number;
  /** Share of the bus voltage lost, where the source is known. */
  readonly dip: number | undefined;
  readonly passes: boolean;
  /** Why it fails, empty where it passes, and what would have to change for each. */
  readonly failures: readonly string[];
  readonly remedies: readonly string[];
  /** Setting that was needed, where one was looked for. */
  readonly needs: string;
  readonly time: number | undefined;
  readonly rotorUse: number;
  readonly tripUse: number;
  readonly relayClass: TripClass;
  readonly text: {
    readonly current: string;
    readonly torque: string;
    readonly dip: string;
    readonly terminalDip: string;
    readonly time: string;
    readonly margin: string;
    readonly heat: string;
    readonly tripClass: string;
    readonly changeover: string;
  };
  /** How it goes, for charts; left out of stored results. */
  readonly trace?: Trace;
}

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

/** Steps of a run in the live solution; the error of times and heats stays below 0.01 %. */
const LIVE_STEPS = 28;

/**
 * The way the reference motor would start, which the pick needs: the least costly start that passes every limit, unless
 * the speed must be controlled while running. Dearer ways are not run up once one passes.
 */
export function methodOnReference(
  brief: Brief,
  nameplate: NameplateResult,
  load: LoadResult,
  supply: SupplyResult,
  profile: ProfileResult,
): Method | undefined {
  const motor = referenceMotor(brief.job, nameplate, load, supply.values.motorVoltage?.value);
  return startingOn(motor, brief, nameplate, load, supply, profile, 'method only').method;
}

/** Ways to start a given motor: the picked one, or the reference motor where none is picked. */
export function startingOn(
  motor: Motor | undefined,
  brief: Brief,
  nameplate: NameplateResult,
  load: LoadResult,
  supply: SupplyResult,
  profile: ProfileResult,
  extent: 'all' | 'method only' = 'all',
): StartingResult {
  const { job, given, practice } = brief;
  const { findings, missing, flag, need } = notebook('starting');
  const { school } = job;
  const nothing = { values: {}, findings, missing, summary: '', comparisons: [], method: undefined };
  if (!motor) {
    need(
      job.situation.kind === 'new' ? loadField(job) : 'nameplate.power',
      'A motor, from the plate or from the load, to compare ways to start it',
    );
    return { ...nothing, machine: undefined, setting: undefined };
  }
  const machine = fitMotor(
    fitTargets(motor, given.starting, job.nameplate.designLetter ?? '', practice.fixedLossShare.value),
  );
  if (!machine) {
    flag({
      code: 'starting.no-circuit',
      severity: 'stop',
      message:
        'No motor can have these figures: the speed must lie below synchronous speed and the efficiency below 100 %.',
      basis: 'Per-phase circuit of the induction motor',
      clear: 'Read speed, efficiency and current on the plate again.',
      field: 'nameplate.speed',
    });
    return { ...nothing, machine: undefined, setting: undefined };
  }
  for (const fight of machine.fights) {
    flag({
      code: 'starting.figures-fight',
      severity: motor.kind === 'plate' ? 'caution' : 'note',
      message: `No motor has all the figures of ${motor.label}; these do not go together: ${fight}.`,
      basis: 'Per-phase circuit with a double cage',
      clear: 'Read the plate again, or type torques and part-load efficiencies from the data sheet.',
      field: 'starting.breakdownTorque',
    });
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
  const setting = startSetting(motor, machine);
  const dipLimit =
    given.supply.busDipLimit ?? (job.supply.source === 'generator' ? practice.generatorDip : practice.busDip);
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
  checkChoice();
  checkKnown();

  const note = `Holds for ${motor.label}.`;
  const simulated = {
    origin: 'estimated' as const,
    source: 'Quasi-steady run-up of the fitted circuit behind source and feeder (Runge–Kutta of order four)',
    note,
  };
  const values: StartingValues =
    chosen && start
      ? {
          method: wording(chosen.method, { origin: 'chosen', source: PRACTICE, note: why }),
          startingCurrent: quantity(chosen.current, 'current', school, { ...simulated, formula: 'I_s', from: {} }),
          startingTorque: quantity(chosen.torque, 'fraction', school, { ...simulated, formula: 'T_s / T_n' }),
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
                rotorHeat: quantity(start.rotorUse, 'fraction', school, {
                  ...simulated,
                  formula: '\\dfrac{\\int T\\,(\\omega_s - \\omega)\\,dt}{P_{\\delta,1}\\,t_{stall}}',
                  from: { 't_{stall}': stall, J: totalInertia },
                }),
                tripClass: wording(
                  start.leastClass === undefined ? 'none holds' : `class ${start.leastClass} or slower`,
                  {
                    origin: 'estimated',
                    formula: '\\dfrac{d\\theta}{dt} = \\dfrac{i^2 - \\theta}{\\tau}',
                    source: 'IEC 60947-4-1 Table 2 (recalled from memory), relay at its fast edge',
                    note,
                  },
                ),
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
          ...stopping,
          ...startsAllowed(motor),
        }
      : { totalInertia, stallTime: stall };
  const summary = chosen
    ? `${chosen.method[0]?.toUpperCase()}${chosen.method.slice(1)} · ${chosen.text.current}${chosen.time === undefined ? '' : ` · ${chosen.text.time}`}`
    : 'No way to start passes';
  return { values, findings, missing, summary, comparisons, method, machine, setting };

  function stallTime(): Value {
    const typed = job.starting.hot
      ? given.starting.stallTimeHot
      : (given.starting.stallTimeCold ?? given.starting.stallTimeHot);
    if (typed) return typed;
    const least = stallTimes.number(stallTimes.row('locked rotor, 500 hp and less'), 'time') ?? 12;
    return quantity(least, 'duration', school, {
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
    const factor = of.serviceFactor >= 1.15 ? 1.25 : 1.15;
    return {
      circuit: fit.circuit,
      motor: { power: of.power, speed: of.speed, current: of.current, voltage: of.voltage },
      turning: { speeds: curve.speeds, torques: curve.torques, inertia: totalInertia.value },
      rotorInertia: rotor.value,
      source: supply.source,
      feeds: feedsOf(brief, practice),
      stallTime: stall.value,
      tripClass: job.starting.tripClass,
      overload: school === 'NEMA' ? of.current * factor : of.current,
      warm: job.starting.hot ? Math.min(1, (load.values.loadFraction?.value ?? 1) ** 2) : 0,
    };
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
    const known = compared.get(each) ?? compare(startOf(each));
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
      flag({
        code: 'starting.none',
        severity: 'stop',
        message: 'No way to start passes every limit.',
        basis: 'Limits of supply, load, motor and relay',
        clear:
          'The table says what each way would need; a stronger supply, a lower breakaway torque or a larger motor.',
        field: 'supply.startCurrentLimit',
      });
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

  function compare(each: Start): Comparison {
    const { run } = each;
    const failures: string[] = [];
    const remedies: string[] = [];
    const fail = (failure: string, remedy: string): void => {
      failures.push(failure);
      remedies.push(remedy);
    };
    const { startCurrentLimit, startPowerLimit, directPowerLimit, startsPerHour } = given.supply;
    const percent = (share: number): string => `${formatNumber(Math.abs(share) < 5e-4 ? 0 : share * 100, 2)} %`;
    const known = supply.source !== undefined;
    const current = each.standstillCurrent;
    const apparent = Math.sqrt(3) * (motor?.voltage ?? 0) * current;
    const rpm = (speed: number): string => formatQuantity(speed, 'speed', school);
    const power = motor?.power ?? 0;

    if (job.supply.phases === '1' && each.method !== 'drive')
      fail('a single-phase supply starts no three-phase motor', 'three phases, or a drive');
    if (each.method === 'star-delta' && (job.starting.leads === '3' || job.starting.leads === '9'))
      fail(
        `needs six leads and a delta made for the line voltage; this motor has ${job.starting.leads}`,
        'a motor with six or twelve leads',
      );
    if (each.method === 'star-delta' && motor?.kind === 'plate' && nameplate.values.starDelta?.value === 'not possible')
      fail(
        nameplate.values.starDelta.working.note ?? 'the winding is not made for it',
        'a delta winding for the line voltage with six leads',
      );
    if (startCurrentLimit && current > startCurrentLimit.value)
      fail(
        `${formatQuantity(current, 'current', school)} is above the limit of ${startCurrentLimit.text}`,
        `a limit of ${formatQuantity(current, 'current', school)}`,
      );
    if (startPowerLimit && apparent > startPowerLimit.value)
      fail(
        `${formatQuantity(apparent, 'apparentPower', school)} is above the limit of ${startPowerLimit.text}`,
        `a limit of ${formatQuantity(apparent, 'apparentPower', school)}`,
      );
    if (each.method === 'direct' && directPowerLimit && power > directPowerLimit.value * 1.001)
      fail(`motors above ${directPowerLimit.text} may not start direct here`, 'leave of the utility');
    if (known && run.busDip > dipLimit.value)
      fail(
        `dips the bus ${percent(run.busDip)}, limit ${dipLimit.text}`,
        `a source of about ${formatQuantity(apparent * (1 / dipLimit.value - 1), 'apparentPower', school)} short-circuit power`,
      );
    if (known && each.method === 'direct' && run.terminalDip > practice.terminalDip.value)
      fail(
        `dips the motor’s terminals ${percent(run.terminalDip)}, limit ${practice.terminalDip.text}`,
        'a larger feeder or a stronger source',
      );
    if (known && startsPerHour) {
      const { shortTerm, longTerm } = flickerOf(run.busDip, startsPerHour.value);
      if (shortTerm > SHORT_TERM_LIMIT || longTerm > LONG_TERM_LIMIT)
        fail(
          `flicker of ${startsPerHour.text} starts an hour: ${formatNumber(shortTerm, 2)} and ${formatNumber(longTerm, 2)}, limits 1 and 0.65`,
          'fewer starts an hour',
        );
    }
    if (!run.reached)
      fail(
        run.finalSpeed < 1
          ? `its torque does not break the load away (${percent(each.standstillTorque)} of rated at standstill)`
          : `sticks at ${rpm(run.finalSpeed)}: no torque is left over the load`,
        'an unloaded start or a motor with more torque',
      );
    else {
      const unmoved = run.changeover !== undefined && run.changeover.speed < 1 ? run.changeover : undefined;
      if (unmoved)
        fail(
          `does not break the load away before the change-over, which is then a direct start of ${formatQuantity(unmoved.current, 'current', school)}`,
          'an unloaded start or a motor with more torque',
        );
      else if (run.leastMargin < practice.torqueMargin.value)
        fail(
          `only ${percent(Math.max(0, run.leastMargin))} torque is left over the load at ${rpm(run.leastMarginSpeed)}, ${practice.torqueMargin.text} wanted`,
          'less load while starting',
        );
      const limit = given.starting.startTimeLimit;
      if (limit && run.time > limit.value)
        fail(
          `takes ${formatQuantity(run.time, 'duration', school)}, must be up in ${limit.text}`,
          'less inertia or more torque',
        );
      const heat = Math.max(each.rotorUse, each.statorUse);
      if (heat > practice.heatUse.value)
        fail(
          `heats the ${each.rotorUse >= each.statorUse ? 'rotor' : 'winding'} to ${percent(heat)} of what it bears, ${practice.heatUse.text} allowed`,
          `a motor that bears ${formatQuantity((stall.value * heat) / practice.heatUse.value, 'duration', school)} standing`,
        );
      if (each.tripUse >= 1 && each.method !== 'drive')
        fail(
          `trips a class ${each.relayClass} relay`,
          each.leastClass ? `a class ${each.leastClass} relay` : 'a shorter start; no class holds',
        );
      if (
        !unmoved &&
        each.method === 'star-delta' &&
        run.changeover &&
        run.changeover.speed < 0.8 * setting.motor.speed
      )
        fail(
          `changes over at ${rpm(run.changeover.speed)}: the spike of ${formatQuantity(run.changeover.current, 'current', school)} is nearly a direct start`,
          'a load light enough for star to bring past 80 % speed',
        );
    }
    return {
      method: each.method,
      current,
      torque: each.standstillTorque,
      dip: known ? run.busDip : undefined,
      passes: failures.length === 0,
      failures,
      remedies,
      needs: each.method === 'soft starter' ? `limit ${formatNumber(softLimit, 2)} × rated` : '',
      time: run.reached ? run.time : undefined,
      rotorUse: each.rotorUse,
      tripUse: each.tripUse,
      relayClass: each.relayClass,
      text: {
        current: formatQuantity(current, 'current', school),
        torque: percent(each.standstillTorque),
        dip: known ? percent(run.busDip) : '–',
        terminalDip: known ? percent(run.terminalDip) : '–',
        time: run.reached ? formatQuantity(run.time, 'duration', school) : '–',
        margin: run.reached ? percent(run.leastMargin) : '–',
        heat: run.reached ? percent(Math.max(each.rotorUse, each.statorUse)) : '–',
        tripClass: each.method === 'drive' ? '–' : (each.leastClass ?? 'none'),
        changeover: run.changeover ? formatQuantity(run.changeover.current, 'current', school) : '–',
      },
      trace: run.trace,
    };
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

  function checkChoice(): void {
    if (job.starting.method !== 'auto' && chosen && !chosen.passes) {
      flag({
        code: 'starting.method-fails',
        severity: 'stop',
        message: `Starting by ${chosen.method} does not pass: ${chosen.failures.join('; ')}.`,
        basis: 'Limits of supply, load, motor and relay; ' + PRACTICE,
        clear: `It would need ${chosen.remedies.join('; ')}. Or let Pilgrim choose.`,
        field: 'starting.method',
      });
    }
    const simpler = comparisons.find((each) => each.passes && each.method !== 'drive');
    if (method === 'drive' && job.starting.speedControl === 'no' && simpler) {
      flag({
        code: 'starting.drive-wasted',
        severity: 'caution',
        message: `The speed is never varied, so a drive is money wasted: ${simpler.method} passes every limit.`,
        basis: PRACTICE,
        clear: 'Let Pilgrim choose the way to start.',
        field: 'starting.method',
      });
    }
    const at = methods.indexOf(method ?? 'direct');
    const cheaper = comparisons.slice(0, Math.max(0, at)).filter((each) => !each.passes);
    // The one that lacks a single thing is worth more than the one that comes next in price.
    const nearly = cheaper.find((each) => each.remedies.length === 1) ?? cheaper.at(-1);
    if (job.starting.method === 'auto' && method && nearly && !needsSpeedControl()) {
      flag({
        code: 'starting.next-cheaper',
        severity: 'note',
        message: `${nearly.method[0]?.toUpperCase()}${nearly.method.slice(1)} would do with ${nearly.remedies.join(' and ')}.`,
        basis: nearly.failures.join('; '),
        clear: 'Change that, and the cheaper way passes.',
        field: 'starting.method',
      });
    }
    if (
      start &&
      method !== 'drive' &&
      (start.relayClass === '20' || start.relayClass === '30' || start.relayClass === '40')
    ) {
      flag({
        code: 'starting.slow-relay',
        severity: 'caution',
        message: `The start needs a class ${start.relayClass} relay; a stalled motor is then cut off later too, and must bear it.`,
        basis: 'IEC 60947-4-1 Table 2; stall time of the motor',
        clear: 'Confirm with the maker that the motor bears standing that long, or shorten the start.',
        field: 'starting.tripClass',
      });
    }
    if (method === 'star-delta' && (job.starting.leads === '3' || job.starting.leads === '9')) {
      flag({
        code: 'starting.leads',
        severity: 'stop',
        message: `Star-delta needs six leads brought out and a delta made for the line voltage; this motor has ${job.starting.leads}.`,
        basis: 'Winding connection',
        clear: 'Choose a soft starter, or a motor with six or twelve leads.',
        field: 'starting.leads',
      });
    }
    if (stopping) {
      flag({
        code: 'starting.soft-stop',
        severity: 'note',
        message: `Cut off, the machine stops in ${stopping.coastTime.text}; with the voltage lowered over ${softStop.text} in ${stopping.softStopTime.text}.`,
        basis: 'Run-down of load and inertia; water hammer: ' + PRACTICE,
        clear:
          'Let it take at least four travels of the pressure wave through the pipe, and put the stop ramp on the settings sheet.',
        field: 'starting.softStop',
      });
    }
  }

  function checkKnown(): void {
    if (!supply.source && !given.supply.startCurrentLimit && !given.supply.startPowerLimit) {
      flag({
        code: 'starting.supply-unknown',
        severity: 'caution',
        message: 'The supply’s strength is not known, so the voltage dip of the start is not checked.',
        basis: PRACTICE,
        clear: 'Type the size and impedance of the transformer or generator, or a limit on the starting current.',
        field: 'supply.sourcePower',
      });
    }
    if (!load.values.inertia) {
      flag({
        code: 'starting.inertia-assumed',
        severity: 'note',
        message: `The inertia of the machine is not known; ${practice.assumedInertia.text} times the rotor’s stands in, and time and heat of the start go with it.`,
        basis: PRACTICE,
        clear: 'Type the inertia of the machine from its maker.',
        field: 'load.inertia',
      });
    }
  }

  /** MG 1 12.54: starts from the load inertia table; two in succession cold, one hot, then rest. */
  function startsAllowed(of: Motor): Pick<StartingValues, 'startsPerHour'> {
    const row = loadInertia.rows.find((each) => Number(each['hp']) >= horsepowerOf(of.power) * 0.98);
    const column = `rpm${7200 / of.poles}`;
    const most = loadInertia.number(row, column);
    if (most === undefined) return {};
    const LB_FT2 = 0.042_140_11;
    const share = machineInertia.value / (most * LB_FT2);
    // The table’s load heats the motor once hot; lighter ones let it start more often in proportion.
    const perHour = Math.max(0, Math.min(60, 1 / Math.max(share, 1e-3)));
    if (share > 1) {
      flag({
        code: 'starting.inertia-above-table',
        severity: 'caution',
        message: `The machine’s ${machineInertia.text} is ${formatNumber(share, 2)} times what a standard motor of this size must be able to start.`,
        basis: loadInertia.source,
        clear: 'Have the maker confirm the start, or choose a larger motor.',
        field: 'load.inertia',
      });
    }
    return {
      startsPerHour: quantity(perHour, 'count', school, {
        origin: 'estimated',
        formula: 'z = J_{table} / J_m',
        from: {
          'J_{table}': quantity(most * LB_FT2, 'inertia', school, { origin: 'recalled', source: loadInertia.source }),
          J_m: machineInertia,
        },
        source: `${loadInertia.source}; in proportion to inertia: ${PRACTICE}`,
        note: `Two in succession from cold, one hot. ${holdsFor(of)}`,
      }),
    };
  }
}

const holdsFor = (motor: Motor): string => `Holds for ${motor.label}.`;
