import { amount, say, textOf, type Text } from '../../kernel/text.ts';
import type { Dimension } from '../../kernel/quantity/units.ts';
import { parseQuantity } from '../../kernel/quantity/parse.ts';
import { PRACTICE } from '../../kernel/value.ts';
import { amperesTimes, deltaShare } from '../selection/choose-drive.ts';
import { USUAL } from '../starting/starting-mode.ts';
import type { Report } from './findings.ts';
import { USUAL_CARRIER, type Filter } from './motor-cable.ts';
import { isAnalog, type DriveStageInput } from './drive-stage-input.ts';
import { controlMode, highestFrequency, isCooled, skipsOf, type SpeedRange } from './speed-range.ts';
import type { DriveValues } from './values.ts';

/** One line of what is set in a drive, in the order in which its keypad asks. */
export interface Setting {
  readonly id: string;
  readonly group:
    'Motor' | 'Supply and switching' | 'Speeds and ramps' | 'Limits and protection' | 'Control' | 'Put on record';
  readonly name: string;
  /** As it is set; empty where the person on the spot fills it in. */
  readonly value: Text;
  readonly from: string;
  /** For comparing with what was set: SI. */
  readonly exact?: { readonly si: number; readonly dimension: Dimension };
  /** As it was typed back. */
  readonly asSet?: string;
  readonly differs?: true;
}

/** Share that a figure typed back may be off, from rounding at the keypad. Common practice, no published source. */
const ROUNDING = 0.02;

type Draft = Omit<Setting, 'asSet' | 'differs'>;

interface Known {
  readonly driven: DriveStageInput;
  readonly range: SpeedRange;
  readonly filter: Filter;
  readonly values: Partial<DriveValues>;
}

/** Everything the person at the keypad needs, each with where it comes from; compared with what was typed back. */
export function settingsOf(known: Known): Setting[] {
  const drafts = [
    ...motorSettings(known),
    ...supplySettings(known),
    ...speedSettings(known),
    ...limitSettings(known),
    ...controlSettings(known),
    ...recordSettings(known),
  ];
  const { job } = known.driven.brief;
  const asSet = new Map(job.drive.asSet.map(({ setting, value }) => [setting, value.trim()]));
  return drafts.map((draft): Setting => {
    const typed = asSet.get(draft.id);
    if (!typed) return draft;
    const differs = differsFrom(draft, typed, job.school);
    return { ...draft, asSet: typed, ...(differs ? { differs } : {}) };
  });
}

/** What was set otherwise; nothing is looked at where nothing was typed back. */
export function checkSettings(known: Known, report: Report): void {
  if (known.driven.brief.job.drive.asSet.length === 0) return;
  for (const { differs, name, asSet, value } of settingsOf(known))
    if (differs) report('drive.setting-differs', say`${name} is set to ${asSet ?? ''}, calculated ${value}.`);
}

function differsFrom(
  { exact, value }: Draft,
  typed: string,
  school: DriveStageInput['brief']['job']['school'],
): true | undefined {
  if (value === '') return undefined;
  const read = exact && parseQuantity(typed, exact.dimension, school);
  if (exact && read?.ok)
    return Math.abs(read.value.si - exact.si) > ROUNDING * Math.max(Math.abs(exact.si), 1e-9) ? true : undefined;
  return typeof value === 'string' && typed.toLowerCase() !== value.toLowerCase() ? true : undefined;
}

const PLATE = 'nameplate';
const plateOf = ({ pick }: DriveStageInput): string => (pick.chosenMotor ? 'catalogue; compare with the plate' : PLATE);

/** A figure that is set, in the units the school shows. */
function set(at: Pick<Draft, 'id' | 'group' | 'name' | 'from'>, si: number, dimension: Dimension): Draft {
  return { ...at, value: amount(si, dimension), exact: { si, dimension } };
}

function motorSettings({ driven }: Known): Draft[] {
  const { motor } = driven;
  const group = 'Motor' as const;
  const from = plateOf(driven);
  return [
    set({ id: 'ratedVoltage', group, name: 'Motor rated voltage', from }, motor.voltage, 'voltage'),
    set({ id: 'ratedFrequency', group, name: 'Motor rated frequency', from }, motor.frequency, 'frequency'),
    set(
      { id: 'ratedCurrent', group, name: 'Motor rated current', from: `${from}, at that voltage` },
      motor.current,
      'current',
    ),
    set(
      {
        id: 'ratedSpeed',
        group,
        name: 'Motor rated speed',
        from: `${from}; full-load speed, never the synchronous one`,
      },
      motor.speed,
      'speed',
    ),
    set({ id: 'ratedPower', group, name: 'Motor rated power', from }, motor.power, 'power'),
    set({ id: 'powerFactor', group, name: 'Motor power factor', from }, motor.powerFactor, 'powerFactor'),
    set({ id: 'poles', group, name: 'Motor poles', from }, motor.poles, 'count'),
  ];
}

function supplySettings({ driven, filter, values }: Known): Draft[] {
  const { brief, voltage } = driven;
  const group = 'Supply and switching' as const;
  const carrier = brief.given.drive.carrier?.value ?? USUAL_CARRIER;
  const links = brief.job.drive.earthing === 'solid' ? 'left in' : 'taken out';
  return [
    set({ id: 'supplyVoltage', group, name: 'Supply voltage', from: 'this job' }, voltage.value, 'voltage'),
    {
      id: 'controlMode',
      group,
      name: 'Way of control',
      value: modeWords[controlMode(driven)],
      from:
        filter === 'sine'
          ? `load and motors; a sine filter wants volts per hertz or its data typed in`
          : 'load, motors and encoder',
    },
    set(
      { id: 'carrier', group, name: 'Carrier frequency', from: brief.given.drive.carrier ? 'this job' : PRACTICE },
      carrier,
      'carrier',
    ),
    {
      id: 'filter',
      group,
      name: 'Filter at the output',
      value: textOf(values.filter) ?? '',
      from: values.filter ? 'cable and winding' : 'cable not known',
    },
    { id: 'earthLinks', group, name: 'Links of filter and varistors', value: links, from: 'how the supply is earthed' },
  ];
}

export const modeWords = {
  'V/f': 'volts per hertz',
  'flux reckoned': 'vector, without encoder',
  'closed loop': 'vector, with encoder',
} as const;

function speedSettings({ driven, range, values }: Known): Draft[] {
  const { brief, motor } = driven;
  const { job, given } = brief;
  const group = 'Speeds and ramps' as const;
  const base = motor.frequency;
  const delta = deltaShare(brief);
  const most = highestFrequency(driven, range);
  const shortest = Math.ceil(values.shortestStart?.value ?? 0);
  const ramp = given.starting.driveRamp?.value ?? Math.max(USUAL.driveRamp, shortest);
  const down =
    given.drive.stopRamp?.value ??
    given.drive.stopTime?.value ??
    Math.max(ramp, Math.ceil(values.shortestStop?.value ?? 0), Math.ceil(values.pipeRamp?.value ?? 0));
  const rampFrom = given.starting.driveRamp ? 'this job' : shortest > USUAL.driveRamp ? 'masses and load' : PRACTICE;
  const shaped = job.load.way === 'hoist' || job.load.way === 'conveyor';
  return [
    set(
      { id: 'leastFrequency', group, name: 'Lowest frequency', from: range.least.why },
      Math.min(most, range.least.share * base),
      'frequency',
    ),
    set(
      {
        id: 'mostFrequency',
        group,
        name: 'Highest frequency',
        from: given.drive.mostFrequency ? 'this job' : 'speed of this job',
      },
      most,
      'frequency',
    ),
    set(
      {
        id: 'baseFrequency',
        group,
        name: 'Base frequency',
        from: delta > 1 ? 'motor rated frequency times √3, in delta' : 'motor rated frequency',
      },
      base * delta,
      'frequency',
    ),
    set(
      {
        id: 'baseVoltage',
        group,
        name: 'Voltage at base frequency',
        from: delta > 1 ? 'supply' : 'motor rated voltage',
      },
      delta > 1 ? driven.voltage.value : motor.voltage,
      'voltage',
    ),
    {
      id: 'boost',
      group,
      name: 'Boost at standstill',
      value: job.load.torqueKind === 'variable' ? 'none, or as it turns away' : 'by self-tuning',
      from: `kind of load; too much heats the motor at low speed, ${PRACTICE}`,
    },
    set({ id: 'rampUp', group, name: 'Ramp up', from: rampFrom }, ramp, 'duration'),
    set(
      {
        id: 'rampDown',
        group,
        name: 'Ramp down',
        from: given.drive.stopRamp || given.drive.stopTime ? 'this job' : 'masses, load and pipe',
      },
      down,
      'duration',
    ),
    {
      id: 'rampEmergency',
      group,
      name: 'Ramp of an emergency stop',
      value: job.drive.safeOff ? 'none: safe torque off' : 'as the ramp down',
      from: 'this job',
    },
    {
      id: 'rampShape',
      group,
      name: 'Shape of the ramps',
      value: shaped ? 'S, a fifth of the ramp at each end' : 'straight',
      from: `machine, ${PRACTICE}`,
    },
    ...skipsOf(driven).map(({ from, to }, at): Draft => ({
      id: `skip${at + 1}`,
      group,
      name: `Skip band ${at + 1}`,
      value: say`${amount(from, 'frequency')} to ${amount(to, 'frequency')}`,
      from: 'resonance typed in this job, 1.5 Hz to either side',
    })),
  ];
}

function limitSettings({ driven }: Known): Draft[] {
  const { brief, motor, pick } = driven;
  const { job } = brief;
  const group = 'Limits and protection' as const;
  const limit =
    pick.driveLimits &&
    Math.min(brief.given.starting.driveCurrentLimit?.value ?? Number.POSITIVE_INFINITY, pick.driveLimits.currentLimit) *
      amperesTimes(brief) *
      motor.current;
  return [
    ...(limit === undefined
      ? []
      : [
          set(
            { id: 'currentLimit', group, name: 'Current limit', from: 'overload of the drive, or this job' },
            limit,
            'current',
          ),
        ]),
    { id: 'torqueLimit', group, name: 'Torque limit', value: 'by the current limit', from: PRACTICE },
    set(
      {
        id: 'overloadCurrent',
        group,
        name: 'Motor overload current',
        from: 'nameplate current at the connected voltage; no service factor',
      },
      motor.current,
      'current',
    ),
    { id: 'overloadClass', group, name: 'Motor overload class', value: '10', from: PRACTICE },
    {
      id: 'selfVentilated',
      group,
      name: 'Motor cools itself',
      value: isCooled(driven) ? 'no' : 'yes',
      from: 'cooling of the motor',
    },
    {
      id: 'thermistor',
      group,
      name: 'Thermistors of the motor',
      value: job.nameplate.thermalProtection?.trim() ? 'wired in, trip' : '',
      from: job.nameplate.thermalProtection?.trim() ? PLATE : 'look into the terminal box',
    },
  ];
}

/** What the two ends of an analog signal mean. */
function signalSettings(driven: DriveStageInput, range: SpeedRange): Draft[] {
  const { job, given } = driven.brief;
  const group = 'Control' as const;
  if (!isAnalog(job.drive.reference)) return [];
  return [
    set(
      {
        id: 'referenceLow',
        group,
        name: 'Lowest signal means',
        from: given.drive.referenceLow ? 'this job' : PRACTICE,
      },
      given.drive.referenceLow?.value ?? 0,
      'frequency',
    ),
    set(
      {
        id: 'referenceHigh',
        group,
        name: 'Highest signal means',
        from: given.drive.referenceHigh ? 'this job' : 'highest frequency',
      },
      given.drive.referenceHigh?.value ?? highestFrequency(driven, range),
      'frequency',
    ),
  ];
}

function controlSettings({ driven, range }: Known): Draft[] {
  const { brief } = driven;
  const { job, given } = brief;
  const { drive } = job;
  const group = 'Control' as const;
  const hoist = job.load.way === 'hoist';
  const pid = drive.reference === 'PID';
  return [
    {
      id: 'command',
      group,
      name: 'Started by',
      value: commandWords[drive.command],
      from: drive.command === 'two-wire' ? 'this job; let it wait when power comes back' : 'this job',
    },
    { id: 'reference', group, name: 'Speed told by', value: drive.reference, from: 'this job' },
    ...signalSettings(driven, range),
    {
      id: 'lostReference',
      group,
      name: 'If the signal is lost',
      value: lostWords[drive.lostReference],
      from: 'this job; below 3.6 mA it is lost',
    },
    {
      id: 'stopMode',
      group,
      name: 'Stops by',
      value: job.load.machine === 'fan' && !given.drive.stopTime && !given.drive.stopRamp ? 'coasting' : 'its ramp',
      from: `machine, ${PRACTICE}`,
    },
    {
      id: 'flyingStart',
      group,
      name: 'Catches a turning motor',
      value: job.load.machine === 'fan' ? 'yes' : 'no',
      from: `machine, ${PRACTICE}`,
    },
    { id: 'faultRelay', group, name: 'Fault relay', value: 'opens at a fault and without power', from: PRACTICE },
    {
      id: 'restart',
      group,
      name: 'When power comes back',
      value: drive.restart === 'yes' ? 'starts by itself' : 'waits to be started',
      from: 'this job',
    },
    ...(hoist
      ? [
          {
            id: 'brakeOpens',
            group,
            name: 'Brake opens',
            value: 'when torque is proven',
            from: 'load that can fall',
          } as const,
          {
            id: 'brakeCloses',
            group,
            name: 'Brake closes',
            value: 'at a speed near zero, torque held until it is shut',
            from: 'load that can fall',
          } as const,
        ]
      : []),
    ...(pid
      ? ([
          { id: 'setPoint', group, name: 'Set-point', value: '', from: 'process' },
          {
            id: 'sleep',
            group,
            name: 'Sleeps below, wakes at',
            value: '',
            from: 'process; asleep at the lowest frequency for a while',
          },
        ] as const)
      : []),
  ];
}

const commandWords = {
  'three-wire': 'start and stop buttons (three-wire)',
  'two-wire': 'a contact (two-wire)',
  keypad: 'keypad',
  fieldbus: 'fieldbus',
} as const;
const lostWords = { trip: 'stop and tell', hold: 'go on as before', lowest: 'lowest speed' } as const;

function recordSettings({ driven }: Known): Draft[] {
  const group = 'Put on record' as const;
  return [
    {
      id: 'tuned',
      group,
      name: 'Self-tuning done, date',
      value: '',
      from: driven.motors > 1 ? 'not with several motors' : 'cold, motor connected',
    },
    { id: 'password', group, name: 'Password held by', value: '', from: 'plant' },
    { id: 'setBy', group, name: 'Set by, and when', value: '', from: 'whoever sets it' },
  ];
}
