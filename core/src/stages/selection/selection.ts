import { say, series } from '../../kernel/text.ts';
import { sizeText } from '../../motor/standard-power.ts';
import type { Motor } from '../../motor/typical.ts';
import { quantity, textValue, type Value } from '../../kernel/value.ts';
import { notebook, type StageResult } from '../stage.ts';
import type { DriveLimits } from '../starting/starting-mode.ts';
import { FROM_CATALOGUE, keepsFeed, optionKeepsMotor, type SelectionInput } from './selection-input.ts';
import type { Starter } from './build-starter.ts';
import { chooseDrive, driveValues, limitsOf, rankForMotor } from './choose-drive.ts';
import { chooseMotor, motorNeed, rankForNeed } from './choose-motor.ts';
import { chooseStarter, type StarterOn } from './choose-starter.ts';
import type { Report } from './findings.ts';
import { declaration } from './declaration.ts';
import { asOnPlate, checkKept, checkSlow } from './kept-motor.ts';
import type { MotorNeed } from './motor-rules.ts';
import { motorOf } from './selected-motor.ts';
import type { DriveRanking, RankedDrive } from './rank-drives.ts';
import type { MotorRanking, RankedMotor } from './rank-motors.ts';
import { requiredPower } from './required-power.ts';
import type { PickValues } from './values.ts';

/** What was found for motor and feed, undefined where nothing is asked or nothing fits. */
interface Picked {
  readonly size: Value | undefined;
  /** What the motor to buy must be, once that is known. */
  readonly requirement: MotorNeed | undefined;
  readonly motors: MotorRanking | undefined;
  readonly chosenMotor: RankedMotor | undefined;
  /** The motor that will run: the picked one, or the plate’s where it is kept. */
  readonly motor: Motor | undefined;
  readonly keepsMotor: boolean;
  /** The starter or drive that is there stays. */
  readonly keepsFeed: boolean;
  readonly drives: DriveRanking | undefined;
  readonly chosenDrive: RankedDrive | undefined;
  readonly starter: Starter | undefined;
}

export interface PickResult extends StageResult<PickValues>, Picked {
  /** What the chosen drive gives for a short time; the start is judged by it. */
  readonly driveLimits: DriveLimits | undefined;
}

/** Motors, drives and starters from the catalogue: what fits, ranked with reasons, and why the rest do not. */
export function pick(on: SelectionInput): PickResult {
  const { findings, missing, report } = notebook(declaration);
  const { nameplate, place, supply, load, method } = on;
  const deferred = [nameplate, place, supply].some((each) => each.findings.some(({ defers }) => defers));
  const motorSide = deferred ? noMotor(on) : pickMotor(on, report);
  const { motor, keepsMotor } = motorSide;
  const picked: Picked = { ...motorSide, ...(motor ? pickFeed(motor, on, report) : noFeed(on)) };
  if (!deferred && keepsMotor) {
    if (motor && load.values.motorPower) checkKept(motor, on, report);
    if (method === 'drive') checkSlow(motor, on, report);
  }
  return {
    ...picked,
    values: valuesOf(picked, on),
    findings,
    missing,
    summary: deferred ? '' : summaryOf(picked),
    driveLimits: picked.chosenDrive && motor && limitsOf(picked.chosenDrive, motor, on),
  };
}

/** The pick with the parts of a starter, which need its start to have been run up; as it is on a drive or where it stays. */
export function withStarter(picked: PickResult, on: SelectionInput & StarterOn): PickResult {
  const { method } = on;
  const { motor } = picked;
  if (!motor || method === undefined || method === 'drive' || picked.keepsFeed) return picked;
  const { findings, report } = notebook(declaration);
  const starter = chooseStarter(motor, method, on, report);
  const complete = { ...picked, starter };
  return {
    ...complete,
    values: valuesOf(complete, on),
    findings: [...picked.findings, ...findings],
    summary: picked.summary === '' ? '' : summaryOf(complete),
  };
}

type MotorSide = Pick<Picked, 'size' | 'requirement' | 'motors' | 'chosenMotor' | 'motor' | 'keepsMotor'>;
const noMotor = ({ brief }: SelectionInput): MotorSide => ({
  size: undefined,
  requirement: undefined,
  motors: undefined,
  chosenMotor: undefined,
  motor: undefined,
  keepsMotor: optionKeepsMotor(brief),
});

function pickMotor(on: SelectionInput, report: Report): MotorSide {
  const { nameplate, load } = on;
  const none = noMotor(on);
  if (none.keepsMotor) return { ...none, motor: nameplate.motor };
  const size = requiredPower(on);
  const { standardPower } = load.values;
  if (!size && standardPower) {
    report(
      'pick.too-large',
      say`The load takes ${sizeText(standardPower.value)}, but what heat, height and unbalance leave of a motor calls for more than the largest standard size.`,
    );
  }
  const requirement = size && motorNeed(size, on);
  if (!size || !requirement) return { ...none, size };
  const motors = rankForNeed(size, requirement, on, report);
  const chosenMotor = chooseMotor(motors, requirement, on, report);
  return { ...none, size, requirement, motors, chosenMotor, motor: chosenMotor && motorOf(chosenMotor) };
}

type FeedSide = Pick<Picked, 'keepsFeed' | 'drives' | 'chosenDrive' | 'starter'>;
const noFeed = ({ brief }: SelectionInput): FeedSide => ({
  keepsFeed: keepsFeed(brief),
  drives: undefined,
  chosenDrive: undefined,
  starter: undefined,
});

function pickFeed(motor: Motor, on: SelectionInput, report: Report): FeedSide {
  const { method, supply } = on;
  const none = noFeed(on);
  if (method !== 'drive' || none.keepsFeed) return none;
  const { voltage } = supply.values;
  if (!voltage) return none;
  const drives = rankForMotor(motor, voltage.value, on, report);
  return { ...none, drives, chosenDrive: chooseDrive(drives, on, report) };
}

function valuesOf(picked: Picked, on: SelectionInput): PickValues {
  const { size, chosenMotor, motor, chosenDrive, starter } = picked;
  const { motorPower } = on.load.values;
  const lookedUp = { origin: 'looked up' as const, source: FROM_CATALOGUE };
  return {
    ...(size ? { requiredPower: size } : {}),
    ...(chosenMotor
      ? { motor: textValue(chosenMotor.item.name, { ...lookedUp, note: series(chosenMotor.reasons, ', ') }) }
      : {}),
    ...(motor
      ? {
          motorCurrent: quantity(motor.current, 'current', {
            ...(picked.keepsMotor ? asOnPlate(on.nameplate) : lookedUp),
            note: `Holds for ${motor.label}.`,
          }),
        }
      : {}),
    ...(motor && motorPower ? { motorLoad: loadOf(motor, motorPower) } : {}),
    ...(chosenDrive ? driveValues(chosenDrive, on) : {}),
    ...(starter && starter.parts.length > 0
      ? { starter: textValue(starter.parts.map((each) => each.part.name).join(' + '), lookedUp) }
      : {}),
    ...(picked.keepsFeed && on.method
      ? { starter: textValue(keptFeed(on.method), { origin: 'chosen', source: 'chosen in this job' }) }
      : {}),
  };
}

const keptFeed = (method: string): string =>
  `The present ${method === 'drive' || method === 'soft starter' ? method : `${method} starter`}, kept`;

const loadOf = (motor: Motor, power: Value): Value =>
  quantity(power.value / motor.power, 'fraction', {
    formula: 'P / P_n',
    from: { P: power },
    source: 'definition',
    note: `Holds for ${motor.label}.`,
  });

function summaryOf({ keepsMotor, keepsFeed: feedStays, chosenMotor, chosenDrive, starter }: Picked): string {
  const bought = chosenDrive?.item.name ?? (starter && starter.lacking.length === 0 ? 'starter' : undefined);
  return [keepsMotor ? 'Motor kept' : chosenMotor?.item.name, feedStays ? 'starter kept' : bought]
    .filter(Boolean)
    .join(' + ');
}
