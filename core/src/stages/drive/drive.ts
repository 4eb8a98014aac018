import { evidenceOf } from '../../motor/typical.ts';
import { say, textOf, series, type Text } from '../../kernel/text.ts';
import { motorsOf } from '../selection/choose-drive.ts';
import { notebook, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, textValue } from '../../kernel/value.ts';
import type { DriveStageInput, DriveStageContext } from './drive-stage-input.ts';
import { bearingsOf } from './bearings.ts';
import { brakingOf } from './braking.ts';
import { currentOf, ratedOf, type Asked, type Rated } from './current.ts';
import { checkBypass, checkControl, checkDelta, checkLongest, checkRange } from './drive-checks.ts';
import { declaration } from './declaration.ts';
import { fitnessOf, type Fitness } from './drive-compatibility.ts';
import { motorCableOf, type Filter, type LeadPicture } from './motor-cable.ts';
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
  readonly letter: Text;
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
export function drive(on: DriveStageContext): DriveResult {
  const { findings, missing, report, require, suggest } = notebook(declaration);
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
    if (!on.supply.values.voltage) require('supply.voltage', 'System voltage, for the drive');
    return { ...nothing, applies: true };
  }
  const current = currentOf(driven, report);
  const range = speedRange(driven);
  checkRange(driven, range, report);
  const lead = motorCableOf(driven, report);
  if (!driven.brief.given.drive.lead) suggest('drive.lead', 'Motor cable length, for the peak terminal voltage');
  const bearings = bearingsOf(driven, report);
  const line = lineSideOf(driven, report);
  const braking = brakingOf(driven, report);
  const fitness = fitnessOf(driven, lead, range, bearings.value);
  checkControl(driven, range, report);
  checkDelta(driven, report);
  checkLongest(driven, lead.filter, report);
  checkBypass(driven, report);
  const values: DriveValues = {
    verdict: fitness.value,
    ...current.values,
    controlMode: textValue(modeWords[controlMode(driven)], { origin: 'chosen', source: PRACTICE }),
    ...endsOf(driven, range),
    ...lead.values,
    bearings: bearings.value,
    ...line.values,
    ...braking,
  };
  const known = { driven, range, filter: lead.filter, values };
  checkSettings(known, report);
  return {
    values,
    findings,
    missing,
    summary: summaryOf(values),
    applies: true,
    filter: lead.filter,
    parts: partsBeside({ driven, filter: lead.filter, side: line.side, values, ring: bearings.ring }, report),
    drawn: () => ({
      asked: current.asked,
      rated: ratedOf(driven),
      range: rangePicture(driven, range),
      lead: lead.picture(),
      line: { side: line.side, orders: line.orders, remedies: line.remedies },
      proofs: fitness.proofs,
      letter: fitness.letter,
      settings: settingsOf(known),
      terminals: terminalsOf(driven, textOf(lead.values.filter) ?? 'none'),
    }),
  };
}

/** Undefined until there is a motor and a system voltage. */
function drivenOf(on: DriveStageContext): DriveStageInput | undefined {
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
    motors: motorsOf(brief),
  };
}

function endsOf({ motor }: DriveStageInput, { least, most }: SpeedRange): Partial<DriveValues> {
  const note = `Holds for ${motor.label}.`;
  return {
    leastSpeed: quantity(least.share * motor.speed, 'speed', {
      origin: 'estimated',
      evidence: evidenceOf(motor),
      source: least.source,
      note,
    }),
    leastReason: textValue(least.why, { origin: 'chosen', source: least.source }),
    mostSpeed: quantity(most.share * motor.speed, 'speed', {
      origin: 'estimated',
      evidence: evidenceOf(motor),
      source: most.source,
      note,
    }),
    mostReason: textValue(most.why, { origin: 'chosen', source: most.source }),
  };
}

function summaryOf({ verdict, filter, lineSide }: DriveValues): Text {
  const parts = [
    verdict && say`Motor ${verdict}`,
    filter && textOf(filter) !== 'none' ? textOf(filter) : undefined,
    lineSide && textOf(lineSide) !== 'nothing' ? textOf(lineSide) : undefined,
  ];
  return series(parts, ' · ');
}
