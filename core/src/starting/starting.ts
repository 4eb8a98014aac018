import { loadField } from '../load/ways.ts';
import type { LoadResult } from '../load/load.ts';
import { referenceMotor } from '../motor/reference.ts';
import type { Motor } from '../motor/typical.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import type { ProfileResult } from '../profile/profile.ts';
import { formatNumber, formatQuantity } from '../quantity/format.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { flickerOf, LONG_TERM_LIMIT, SHORT_TERM_LIMIT } from '../supply/flicker.ts';
import { dipOf } from '../supply/source.ts';
import { PRACTICE, quantity, wording, type Value } from '../value.ts';

export type Method = 'direct' | 'star-delta' | 'soft starter' | 'drive';

export interface StartingValues {
  readonly method?: Value<string>;
  readonly startingCurrent?: Value;
  readonly startingDip?: Value;
  readonly startingTorque?: Value;
}

/** One way to start, against every limit that is known. */
export interface Comparison {
  readonly method: Method;
  /** Line current while starting, A. */
  readonly current: number;
  /** Torque at standstill as a multiple of rated torque. */
  readonly torque: number;
  /** Share of the bus voltage lost, where the source is known. */
  readonly dip: number | undefined;
  /** Share of the voltage lost at the motor or starter, at the end of the feeder. */
  readonly terminalDip: number | undefined;
  readonly passes: boolean;
  /** Why it fails, empty where it passes. */
  readonly failures: readonly string[];
  readonly text: {
    readonly current: string;
    readonly torque: string;
    readonly dip: string;
    readonly terminalDip: string;
  };
}

/** Displacement power factor of a drive’s input with a choke. Common practice, no published source. */
const DRIVE_POWER_FACTOR = 0.95;

export interface StartingResult extends StageResult<StartingValues> {
  readonly comparisons: readonly Comparison[];
  readonly method: Method | undefined;
}

/** The least costly start that passes every limit, unless the speed must be controlled while running. */
export function starting(
  brief: Brief,
  nameplate: NameplateResult,
  load: LoadResult,
  supply: SupplyResult,
  profile: ProfileResult,
): StartingResult {
  const motor = referenceMotor(brief.job, nameplate, load, supply.values.motorVoltage?.value);
  return startingOn(motor, brief, load, supply, profile);
}

/** The same stage for a given motor, so that the picked motor can be put in the reference motor’s place. */
export function startingOn(
  motor: Motor | undefined,
  { job, given, practice }: Brief,
  load: LoadResult,
  supply: SupplyResult,
  profile: ProfileResult,
): StartingResult {
  const { findings, missing, flag, need } = notebook('starting');
  const { school } = job;
  if (!motor) {
    need(
      job.situation.kind === 'new' ? loadField(job) : 'nameplate.power',
      'A motor, from the plate or from the load, to compare ways to start it',
    );
    return { values: {}, findings, missing, summary: '', comparisons: [], method: undefined };
  }

  const { source } = supply;
  const dipLimit =
    given.supply.busDipLimit ?? (job.supply.source === 'generator' ? practice.generatorDip : practice.busDip);
  const breakaway =
    load.values.breakaway.value *
    (load.values.motorTorque ? (load.values.motorTorque.value * motor.speed) / motor.power : 1);
  const comparisons = [compare('direct'), compare('star-delta'), compare('soft starter'), compare('drive')];
  const { method, why } = choose();
  const chosen = comparisons.find((each) => each.method === method);

  if (job.starting.method !== 'auto' && chosen && !chosen.passes) {
    flag({
      code: 'starting.method-fails',
      severity: 'stop',
      message: `Starting by ${method} does not pass: ${chosen.failures.join('; ')}.`,
      basis: 'Limits of supply and load; ' + PRACTICE,
      clear: 'Choose another way to start, or let Pilgrim choose.',
      field: 'starting.method',
    });
  }
  if (
    method === 'drive' &&
    job.starting.speedControl === 'no' &&
    comparisons.some((each) => each.passes && each.method !== 'drive')
  ) {
    flag({
      code: 'starting.drive-wasted',
      severity: 'caution',
      message: 'The speed is never varied, so a drive is money wasted: a simpler start passes every limit.',
      basis: PRACTICE,
      clear: 'Let Pilgrim choose the way to start.',
      field: 'starting.method',
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
  if (!source && !given.supply.startCurrentLimit && !given.supply.startPowerLimit) {
    flag({
      code: 'starting.supply-unknown',
      severity: 'caution',
      message: 'The supply’s strength is not known, so the voltage dip of the start is not checked.',
      basis: PRACTICE,
      clear: 'Type the size and impedance of the transformer or generator, or a limit on the starting current.',
      field: 'supply.sourcePower',
    });
  }

  const how = { origin: 'estimated' as const, source: PRACTICE, note: `Holds for ${motor.label}.` };
  const values: StartingValues = chosen
    ? {
        method: wording(chosen.method, { origin: 'chosen', source: PRACTICE, note: why }),
        startingCurrent: quantity(chosen.current, 'current', school, how),
        startingTorque: quantity(chosen.torque, 'fraction', school, { ...how, formula: 'T_s / T_n' }),
        ...(chosen.dip === undefined
          ? {}
          : {
              startingDip: quantity(chosen.dip, 'fraction', school, {
                origin: 'estimated',
                formula: '1 - |V_{bus}| / |V_{before}|',
                from: {
                  Z: source?.internalValue,
                  Z_f: source?.feederValue,
                  '\\cos\\varphi_s': practice.lockedRotorPowerFactor,
                },
                source: 'Phasors of source, feeder, other load and standing motor',
              }),
            }),
      }
    : {};
  const summary = chosen
    ? `${chosen.method[0]?.toUpperCase()}${chosen.method.slice(1)} · ${chosen.text.current}`
    : 'No way to start passes';
  return { values, findings, missing, summary, comparisons, method };

  function choose(): { method: Method | undefined; why: string } {
    if (job.starting.method !== 'auto') return { method: job.starting.method, why: 'Chosen in this job.' };
    if (needsSpeedControl()) return { method: 'drive', why: 'The speed has to be controlled while running.' };
    const first = comparisons.find((each) => each.passes);
    if (!first) {
      flag({
        code: 'starting.none',
        severity: 'stop',
        message: 'No way to start passes every limit.',
        basis: 'Limits of supply and load',
        clear: 'Raise the supply’s limit, lower the breakaway torque, or choose a larger motor.',
        field: 'supply.startCurrentLimit',
      });
      return { method: undefined, why: '' };
    }
    return { method: first.method, why: 'The least costly way that passes every known limit.' };
  }

  function needsSpeedControl(): boolean {
    if (job.starting.speedControl !== 'auto') return job.starting.speedControl === 'yes';
    if (job.situation.kind === 'drive') return true;
    const { savingShare } = profile.values;
    return profile.flowVaries && savingShare !== undefined && savingShare.value >= practice.driveSavingShare.value;
  }

  function compare(name: Method): Comparison {
    if (!motor) throw new Error('no motor to compare');
    const lineCurrent = {
      direct: motor.lockedRotorCurrent,
      'star-delta': motor.lockedRotorCurrent / 3,
      'soft starter': Math.min(motor.lockedRotorCurrent, practice.softStartCurrent.value * motor.current),
      drive: motor.current * 1.1,
    }[name];
    const torque = {
      direct: motor.lockedRotorTorque,
      'star-delta': motor.lockedRotorTorque / 3,
      'soft starter': motor.lockedRotorTorque * Math.min(1, lineCurrent / motor.lockedRotorCurrent) ** 2,
      drive: Math.min(1.5, motor.breakdownTorque * 0.8),
    }[name];
    const electronic = name === 'soft starter' || name === 'drive';
    const start = {
      voltage: motor.voltage,
      current: lineCurrent,
      powerFactor: name === 'drive' ? DRIVE_POWER_FACTOR : practice.lockedRotorPowerFactor.value,
      limited: electronic,
    };
    const dips = source && dipOf(source, start);
    const dip = dips?.bus;
    const terminalDip = dips?.terminals;
    const left = torque * (electronic ? 1 : (1 - (terminalDip ?? 0)) ** 2);
    const failures: string[] = [];
    const { startCurrentLimit, startPowerLimit, directPowerLimit, startsPerHour } = given.supply;
    const percent = (share: number): string => `${formatNumber(share * 100, 2)} %`;
    if (job.supply.phases === '1' && name !== 'drive')
      failures.push('a single-phase supply starts no three-phase motor');
    if (startCurrentLimit && lineCurrent > startCurrentLimit.value)
      failures.push(
        `${formatQuantity(lineCurrent, 'current', school)} is above the limit of ${startCurrentLimit.text}`,
      );
    const apparent = Math.sqrt(3) * motor.voltage * lineCurrent;
    if (startPowerLimit && apparent > startPowerLimit.value)
      failures.push(
        `${formatQuantity(apparent, 'apparentPower', school)} is above the limit of ${startPowerLimit.text}`,
      );
    if (name === 'direct' && directPowerLimit && motor.power > directPowerLimit.value * 1.001)
      failures.push(`motors above ${directPowerLimit.text} may not start direct here`);
    if (dip !== undefined && dip > dipLimit.value)
      failures.push(`dips the bus ${percent(dip)}, limit ${dipLimit.text}`);
    if (!electronic && terminalDip !== undefined && terminalDip > practice.terminalDip.value)
      failures.push(`dips the motor’s terminals ${percent(terminalDip)}, limit ${practice.terminalDip.text}`);
    if (dip !== undefined && startsPerHour) {
      const { shortTerm, longTerm } = flickerOf(dip, startsPerHour.value);
      if (shortTerm > SHORT_TERM_LIMIT || longTerm > LONG_TERM_LIMIT)
        failures.push(
          `flicker of ${startsPerHour.text} starts an hour: ${formatNumber(shortTerm, 2)} and ${formatNumber(longTerm, 2)}, limits 1 and 0.65`,
        );
    }
    if (left < breakaway * 1.1)
      failures.push(`${percent(left)} torque does not break the load away (${percent(breakaway)} and a tenth over)`);
    return {
      method: name,
      current: lineCurrent,
      torque,
      dip,
      terminalDip,
      passes: failures.length === 0,
      failures,
      text: {
        current: formatQuantity(lineCurrent, 'current', school),
        torque: percent(torque),
        dip: dip === undefined ? '–' : percent(dip),
        terminalDip: terminalDip === undefined ? '–' : percent(terminalDip),
      },
    };
  }
}
