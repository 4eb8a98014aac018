import { notebook, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, wording } from '../../ground/value.ts';
import type { Driven, DriveOn } from './asked-of-drive.ts';
import { bearingsOf } from './bearings.ts';
import { brakingOf } from './braking.ts';
import { currentOf, ratedOf, type Asked, type Rated } from './current.ts';
import { findings as declared, type Flag } from './findings.ts';
import { fitnessOf, type Fitness } from './fitness.ts';
import { leadOf, type Filter, type LeadPicture } from './lead.ts';
import { lineSideOf, type LineResult } from './line-side.ts';
import { checkSettings, modeWords, settingsOf, type Setting } from './settings.ts';
import { partsBeside, type PartBeside } from './parts.ts';
import { controlMode, rangePicture, speedRange, type RangePicture, type SpeedRange } from './speed-range.ts';
import { terminalsOf, type Terminal } from './terminals.ts';
import type { DriveValues } from './values.ts';

/** What the screens draw of a drive. */
export interface DrivePictures {
  readonly asked: readonly Asked[];
  readonly rated: readonly Rated[];
  readonly range: RangePicture;
  readonly lead: LeadPicture;
  readonly line: Pick<LineResult, 'side' | 'orders' | 'remedies'>;
  readonly proofs: Fitness['proofs'];
  readonly letter: string;
  readonly settings: readonly Setting[];
  readonly terminals: readonly Terminal[];
}

export interface DriveResult extends StageResult<DriveValues> {
  /** Whether this option has a drive at all. */
  readonly applies: boolean;
  readonly filter: Filter;
  /** What is bought beside the drive. */
  readonly parts: readonly PartBeside[];
  /** Worked out when it is asked for, since most options of a keystroke are not looked at. */
  readonly drawn: () => DrivePictures | undefined;
}

/** The whole drive of an option: what it must carry, what the cable does, what goes back, and what is set in it. */
export function drive(on: DriveOn): DriveResult {
  const { findings, missing, flag, need, sharpen } = notebook('drive', declared);
  const nothing = {
    values: {},
    findings,
    missing,
    summary: '',
    filter: 'none' as const,
    parts: [],
    drawn: () => undefined,
  };
  if (on.starting.method !== 'drive') return { ...nothing, applies: on.starting.method === undefined };
  const driven = drivenOf(on);
  if (!driven) {
    // What is lacking is asked for where it is lacking.
    if (!on.supply.values.voltage) need('supply.voltage', 'System voltage, for the drive');
    return { ...nothing, applies: true };
  }
  const current = currentOf(driven, flag);
  const range = speedRange(driven);
  checkRange(driven, range, flag);
  const lead = leadOf(driven, flag);
  if (!driven.brief.given.drive.lead)
    sharpen('drive.lead', 'Length of the cable from drive to motor, for the peak at the winding');
  const bearings = bearingsOf(driven, flag);
  const line = lineSideOf(driven, flag);
  const braking = brakingOf(driven, flag);
  const fitness = fitnessOf(driven, lead, range, bearings.value);
  checkControl(driven, range, flag);
  checkItem(driven, lead.filter, flag);
  checkBypass(driven, flag);
  const values: DriveValues = {
    verdict: fitness.value,
    ...current.values,
    controlMode: wording(modeWords[controlMode(driven)], { origin: 'chosen', source: PRACTICE }),
    ...endsOf(driven, range),
    ...lead.values,
    bearings: bearings.value,
    ...line.values,
    ...braking,
  };
  const known = { driven, range, filter: lead.filter, values };
  checkSettings(known, flag);
  return {
    values,
    findings,
    missing,
    summary: summaryOf(values),
    applies: true,
    filter: lead.filter,
    parts: partsBeside({ driven, filter: lead.filter, side: line.side, values, ring: bearings.ring }, flag),
    drawn: () => ({
      asked: current.asked,
      rated: ratedOf(driven),
      range: rangePicture(driven, range),
      lead: lead.picture(),
      line: { side: line.side, orders: line.orders, remedies: line.remedies },
      proofs: fitness.proofs,
      letter: fitness.letter,
      settings: settingsOf(known),
      terminals: terminalsOf(driven, lead.values.filter?.text ?? 'none'),
    }),
  };
}

/** Undefined until there is a motor and a system voltage. */
function drivenOf(on: DriveOn): Driven | undefined {
  const { brief, pick, nameplate, supply, load } = on;
  const motor = pick.motor ?? nameplate.motor;
  const { voltage } = supply.values;
  if (!motor || !voltage) return undefined;
  const { motorTorque } = load.values;
  return {
    ...on,
    motor,
    item: pick.chosenDrive?.item,
    voltage,
    frequency: supply.values.frequency?.value ?? motor.frequency,
    share: motorTorque && (motorTorque.value * motor.speed) / motor.power,
    motors: Math.max(1, Math.round(brief.given.drive.motors?.value ?? 1)),
  };
}

function endsOf({ brief, motor }: Driven, { least, most }: SpeedRange): Partial<DriveValues> {
  const { school } = brief.job;
  const note = `Holds for ${motor.label}.`;
  return {
    leastSpeed: quantity(least.share * motor.speed, 'speed', school, {
      origin: 'estimated',
      source: least.source,
      note,
    }),
    leastReason: wording(least.why, { origin: 'chosen', source: least.source }),
    mostSpeed: quantity(most.share * motor.speed, 'speed', school, { origin: 'estimated', source: most.source, note }),
    mostReason: wording(most.why, { origin: 'chosen', source: most.source }),
  };
}

/** A share by which a row may miss an end before it counts. */
const NEAR = 0.005;

function checkRange({ profile, motor, brief }: Driven, { least, most }: SpeedRange, flag: Flag): void {
  const { school } = brief.job;
  const speed = (share: number): string => quantity(share * motor.speed, 'speed', school, { source: '' }).text;
  if (least.share > most.share) {
    flag(
      'drive.no-range',
      `It may run no slower than ${speed(least.share)} (${least.why}) and no faster than ${speed(most.share)} (${most.why}).`,
    );
    return;
  }
  for (const { flow, hours, speed: share, path } of profile.points) {
    if (hours <= 0 || flow <= 0) continue;
    if (share < least.share - NEAR)
      flag(
        'drive.below-least',
        `A row of the profile runs at ${speed(share)}; below ${speed(least.share)} ${least.why}.`,
        { field: `${path}.flow` },
      );
    else if (share > most.share + NEAR)
      flag(
        'drive.above-most',
        `A row of the profile runs at ${speed(share)}; above ${speed(most.share)} ${most.why}.`,
        { field: `${path}.flow` },
      );
  }
}

/** What the drive must have inside, and the cable it is good for. */
function checkItem({ brief, item, nameplate, motor, voltage, pick }: Driven, filter: Filter, flag: Flag): void {
  const { job, given } = brief;
  if (job.drive.deltaAbove) {
    const named = (pick.chosenMotor?.item.voltages ?? nameplate.voltages.map(({ value }) => value)).some(
      (volts) => Math.abs((volts * Math.sqrt(3)) / voltage.value - 1) < DELTA_NEAR,
    );
    if (named)
      flag(
        'drive.delta-above',
        `Connected in delta on ${voltage.text} it gives full torque to ${Math.round(motor.frequency * Math.sqrt(3))} Hz and √3 times its power, for √3 times its current.`,
      );
    else
      flag(
        'drive.delta-winding',
        `Its winding is made for no voltage near ${Math.round(voltage.value / Math.sqrt(3))} V: in delta on ${voltage.text} its iron would saturate.`,
      );
  }
  if (!item) return;
  const lacks = [
    job.starting.closedLoop === 'yes' && item.encoder === false ? 'an input for an encoder' : '',
    job.drive.safeOff && item.safeTorqueOff === false ? 'safe torque off' : '',
    job.starting.braking === 'chopper' &&
    item.brakeVoltage === undefined &&
    item.leastResistor === undefined &&
    item.riseTime !== undefined
      ? 'a brake chopper inside'
      : '',
  ].filter(Boolean);
  if (lacks.length > 0) flag('drive.not-equipped', `${item.name} has not got ${lacks.join(', nor ')}.`);
  const longest = job.drive.leadKind === 'shielded' ? item.longestShielded : item.longestPlain;
  if (filter === 'none' && given.drive.lead && longest !== undefined && given.drive.lead.value > longest)
    flag(
      'drive.longest-lead',
      `${item.name} feeds ${quantity(longest, 'altitude', job.school, { source: '' }).text} of ${job.drive.leadKind} cable without a filter; this one is ${given.drive.lead.text}.`,
    );
}

/** How near 1/√3 of the supply a winding’s voltage must lie. Common practice, no published source. */
const DELTA_NEAR = 0.06;

/** On the line beside the drive it starts as any motor does. */
function checkBypass({ brief, starting }: Driven, flag: Flag): void {
  if (!brief.job.drive.bypass) return;
  const direct = starting.comparisons.find(({ method }) => method === 'direct');
  if (!direct) return;
  flag(
    'drive.bypass',
    `Around the drive it starts direct: ${direct.text.current}${direct.passes ? '' : ', and does not pass: see Starting'}.`,
  );
}

function checkControl({ brief, frequency }: Driven, range: SpeedRange, flag: Flag): void {
  const { drive: said } = brief.job;
  if (said.restart === 'yes') flag('drive.restarts', 'The machine starts by itself when power comes back.');
  const high = brief.given.drive.referenceHigh;
  const most = brief.given.drive.mostFrequency?.value ?? range.most.share * frequency;
  const analog = said.reference === '4–20 mA' || said.reference === '0–10 V';
  if (analog && high && high.value > most * 1.001)
    flag(
      'drive.scaling',
      `The signal ends at ${high.text} and the speed at ${quantity(most, 'frequency', brief.job.school, { source: '' }).text}: the rest of the signal does nothing.`,
      { mends: [{ label: `Take ${Math.round(most)} Hz`, set: { 'drive.referenceHigh': `${Math.round(most)} Hz` } }] },
    );
}

function summaryOf({ verdict, filter, lineSide }: DriveValues): string {
  const parts = [
    verdict && `motor ${verdict.text}`,
    filter && filter.text !== 'none' ? filter.text : undefined,
    lineSide && lineSide.text !== 'nothing' ? lineSide.text : undefined,
  ];
  const text = parts.filter(Boolean).join(' · ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
