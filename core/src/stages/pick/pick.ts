import { findings as declared } from './findings.ts';
import { YEAR } from '../../ground/constants.ts';
import type { PickValues } from './values.ts';
import type { Catalogue, MotorItem } from '../../catalogue/catalogue.ts';
import type { LoadResult } from '../load/load.ts';
import { hangsOnShaft } from '../load/transmission.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { RATED_AMBIENT, type PlaceResult } from '../place/place.ts';
import type { SituationResult } from '../situation/situation.ts';
import type { ProfileResult } from '../profile/profile.ts';
import type { Method } from '../starting/feeds.ts';
import type { SupplyResult } from '../supply/supply.ts';
import { keepsMotor } from '../load/reference-motor.ts';
import { inverterStatement } from '../nameplate/inverter.ts';
import { connectionAt } from '../nameplate/connection.ts';
import { slowDemand } from '../place/slow.ts';
import type { DriveLimits } from '../starting/feeds.ts';
import { usualRotorInertia } from '../../motor/rotor-inertia.ts';
import { dialShare } from '../starting/overload-dial.ts';
import { overloadOf as overloadOfDrive, usualOverload } from '../../catalogue/drive-duty.ts';
import { currentAtTorque, driveEvents } from './drive-events.ts';
import { sizeText } from '../../motor/standard-power.ts';
import type { Motor } from '../../motor/typical.ts';
import { formatQuantity } from '../../ground/quantity/format.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, wording, type Value } from '../../ground/value.ts';
import { buildStarter, type Starter } from './build-starter.ts';
import { exchangeRate } from './exchange.ts';
import { refusals, type MotorNeed } from './motor-rules.ts';
import { rankDrives, type DriveRanking, type RankedDrive } from './rank-drives.ts';
import { rankMotors, type MotorRanking, type RankedMotor, type Running } from './rank-motors.ts';
import { requiredPower } from './required-power.ts';

export interface PickResult extends StageResult<PickValues> {
  /** What the motor to buy must be, once that is known. */
  readonly need: MotorNeed | undefined;
  readonly motors: MotorRanking | undefined;
  readonly drives: DriveRanking | undefined;
  readonly starter: Starter | undefined;
  readonly chosenMotor: RankedMotor | undefined;
  readonly chosenDrive: RankedDrive | undefined;
  /** What the chosen drive gives for a short time; the start is judged by it. */
  readonly driveLimits: DriveLimits | undefined;
  /** The motor that will run: the picked one, or the plate’s where it is kept. */
  readonly motor: Motor | undefined;
}

const FROM_CATALOGUE = 'catalogue';
/** Load of a motor whose load is not known, of its rated power. Common practice, no published source. */
const UNKNOWN_LOAD = 0.75;

/** Motors, drives and starters from the catalogue: what fits, ranked with reasons, and why the rest do not. */
export function pick(
  brief: Brief,
  catalogue: Catalogue,
  situation: SituationResult,
  nameplate: NameplateResult,
  load: LoadResult,
  supply: SupplyResult,
  place: PlaceResult,
  profile: ProfileResult,
  method: Method | undefined,
): PickResult {
  const { job, given } = brief;
  const { school } = job;
  const remedy = situation.inquiry?.remedy ?? { order: [] };
  const { findings, missing, flag, need } = notebook('pick', declared);
  const nothing = {
    need: undefined,
    motors: undefined,
    drives: undefined,
    starter: undefined,
    chosenMotor: undefined,
    chosenDrive: undefined,
    driveLimits: undefined,
  };

  if ([...nameplate.findings, ...place.findings, ...supply.findings].some(({ defers }) => defers)) {
    return { values: {}, findings, missing, summary: '', ...nothing, motor: undefined };
  }

  const keeps = keepsMotor(job);
  const size = keeps ? undefined : requiredPower(brief, situation, nameplate, load, supply, place);
  if (!keeps && !size && load.values.standardPower) flagTooLarge(load.values.standardPower);
  const wanted = size && needFor(size);
  const motors = size && wanted && rankSized(size, wanted);
  const chosenMotor = motors && chooseMotor(motors, wanted);
  const motor = keeps ? nameplate.motor : chosenMotor && motorOf(chosenMotor);
  const drives = motor && method === 'drive' ? rankForMotor(motor) : undefined;
  const chosenDrive = drives && chooseDrive(drives);
  const starter = motor && method && method !== 'drive' ? starterFor(motor, method) : undefined;

  if (keeps && motor && load.values.motorPower) checkKept(motor);
  if (keeps && method === 'drive') checkSlow();

  const values: PickValues = {
    ...(size ? { requiredPower: size } : {}),
    ...(chosenMotor
      ? {
          motor: wording(chosenMotor.item.name, {
            origin: 'looked up',
            source: FROM_CATALOGUE,
            note: chosenMotor.reasons.join(', '),
          }),
        }
      : {}),
    ...(motor
      ? {
          motorCurrent: quantity(motor.current, 'current', school, {
            ...(keeps ? asOnPlate() : { origin: 'looked up' as const, source: FROM_CATALOGUE }),
            note: `Holds for ${motor.label}.`,
          }),
        }
      : {}),
    ...(motor && load.values.motorPower ? { motorLoad: loadOf(motor, load.values.motorPower) } : {}),
    ...(chosenDrive ? driveValues(chosenDrive) : {}),
    ...(starter && starter.parts.length > 0
      ? {
          starter: wording(starter.parts.map((each) => each.part.name).join(' + '), {
            origin: 'looked up',
            source: FROM_CATALOGUE,
          }),
        }
      : {}),
  };
  const chosen = [
    keeps ? 'Motor kept' : chosenMotor?.item.name,
    chosenDrive?.item.name ?? (starter && starter.lacking.length === 0 ? 'starter' : undefined),
  ];
  return {
    values,
    findings,
    missing,
    summary: chosen.filter(Boolean).join(' + '),
    need: wanted,
    motors,
    drives,
    starter,
    chosenMotor,
    chosenDrive,
    driveLimits: chosenDrive && motor && limitsOf(chosenDrive, motor),
    motor,
  };

  /** A current that was worked out or guessed is not called the plate’s. */
  function asOnPlate(): { origin: Value['origin']; source: string; formula: string } {
    const { ratedCurrent } = nameplate.values;
    const { origin = 'estimated', working } = ratedCurrent ?? {};
    return {
      origin,
      source: origin === 'given' ? 'plate' : (working?.source ?? PRACTICE),
      formula: working?.formula ?? '',
    };
  }

  function limitsOf(ranked: RankedDrive, forMotor: Motor): DriveLimits {
    const overload = overloadOfDrive(ranked.item, driveDuty());
    return {
      currentLimit: (ranked.current * overload.multiple) / forMotor.current,
      peakLimit: overload.peak && (ranked.current * overload.peak.multiple) / forMotor.current,
      seconds: overload.seconds,
      continuous: ranked.current / forMotor.current,
    };
  }

  function needFor(required: Value): MotorNeed | undefined {
    const { motorVoltage, voltage } = supply.values;
    const frequency = supply.values.frequency ?? nameplate.values.frequency;
    const { poles } = load.values;
    if (!motorVoltage || !voltage || !frequency || !poles) return undefined;
    return {
      school,
      power: required.value,
      poles: poles.value,
      frequency: frequency.value,
      motorVoltage: motorVoltage.value,
      systemVoltage: voltage.value,
      enclosures: remedy.closed ? place.enclosures.filter((code) => code !== 'ODP') : place.enclosures,
      frame: job.situation.kind === 'replace' && sameSizeAsPlate(required) ? nameplate.frame : undefined,
      belted: job.load.stages[0] !== undefined && hangsOnShaft(job.load.stages[0].kind),
      inverterDuty:
        remedy.inverterDuty === true ||
        (method === 'drive' &&
          slowDemand(brief, (load.values.motorPower?.value ?? required.value) / required.value) !== undefined),
      serviceFactor: place.spendsServiceFactor ? 1.15 : 1,
    };
  }

  function rankSized(required: Value, wantedMotor: MotorNeed): MotorRanking {
    const ranking = rankMotors(catalogue.motors, wantedMotor, running(required), job.pick.prefer);
    if (ranking.fits.length === 0 && catalogue.motors.length > 0) {
      const nearest = ranking.refused[0];
      flag(
        'pick.no-motor',
        `No motor in the catalogue fits ${sizeText(required.value, school)}, ${wantedMotor.poles} poles.${nearest ? ` Nearest: ${nearest.name}, ${nearest.reason}.` : ` It has ${ranking.others.map(({ count, reason }) => `${count} ${reason.startsWith('made') ? '' : 'of '}${reason}`).join(' and ')}.`}`,
      );
    }
    if (job.situation.kind === 'replace' && !sameSizeAsPlate(required) && nameplate.frame) {
      flag(
        'pick.other-size',
        `The new motor is ${sizeText(required.value, school)}, another size than the plate’s; feet and shaft will differ from ${job.nameplate.frame ?? 'the old frame'}.`,
      );
    }
    return ranking;
  }

  function sameSizeAsPlate(required: Value): boolean {
    const plate = nameplate.values.power;
    return plate !== undefined && Math.abs(required.value / plate.value - 1) < 0.02;
  }

  function running(required: Value): Running | undefined {
    const { years } = given.money;
    const energyPrice = given.money.energyPrice ?? supply.values.energyPrice;
    const hours = profile.values.hours;
    if (!energyPrice || !hours) return undefined;
    const span = (years?.value ?? DEFAULT_YEARS * YEAR) / YEAR;
    const rate = exchangeRate(brief, catalogue);
    if (rate === undefined) return undefined;
    const driven = method === 'drive';
    const points = profile.points.map((point) => ({
      shaftPower: (driven ? undefined : point.shaftThrottled) ?? point.shaftControlled,
      seconds: point.hours * span,
      speed: driven ? point.speed : undefined,
    }));
    return {
      points:
        points.length > 0
          ? points
          : [
              {
                shaftPower: load.values.motorPower?.value ?? required.value * UNKNOWN_LOAD,
                seconds: hours.value * span,
                speed: undefined,
              },
            ],
      fixedShare: brief.practice.fixedLossShare.value,
      energyPrice: energyPrice.value / rate,
    };
  }

  function chooseMotor(ranking: MotorRanking, needed: MotorNeed): RankedMotor | undefined {
    const wanted = job.pick.motor;
    if (!wanted) return ranking.fits[0];
    const own = ranking.fits.find((each) => each.item.id === wanted);
    if (own) return own;
    const refused = catalogue.motors.find((each) => each.id === wanted);
    flag(
      'pick.motor-refused',
      refused
        ? `${refused.name} does not fit: ${refusals(refused, needed)[0]?.reason ?? ''}.`
        : `Motor “${wanted}” is not in the catalogue.`,
    );
    return undefined;
  }

  function rankForMotor(forMotor: Motor): DriveRanking | undefined {
    const { voltage } = supply.values;
    if (!voltage) {
      need('supply.voltage', 'System voltage, to choose a drive');
      return undefined;
    }
    const ranking = rankDrives(catalogue.drives, {
      school,
      current: driveCurrentNeeded(forMotor),
      inputShare: job.supply.phases === '1' ? brief.practice.singlePhaseShare.value : 1,
      systemVoltage: voltage.value,
      duty: driveDuty(),
      events: driveEvents(brief, forMotor, load, inertiaWith(forMotor)),
      ambient: place.values.ambient.value,
      altitude: place.values.altitude.value,
      housing: place.housing,
      motorPower: forMotor.power,
    });
    if (ranking.fits.length === 0 && catalogue.drives.length > 0) {
      flag(
        'pick.no-drive',
        `No drive in the catalogue carries ${formatQuantity(driveCurrentNeeded(forMotor), 'current', school)} and what the load asks of it for a short time here.${ranking.refused[0] ? ` Nearest: ${ranking.refused[0].name}, ${ranking.refused[0].reason}.` : ''}`,
      );
    }
    const { byPower } = ranking;
    if (byPower && byPower.verdict !== 'same') {
      flag(
        byPower.verdict === 'short' ? 'pick.power-match-short' : 'pick.power-match-wasteful',
        `Matching by power would have picked ${byPower.item.name}: ${formatQuantity(byPower.current, 'current', school)} here, ${byPower.verdict === 'short' ? 'short of' : 'far above'} the ${formatQuantity(forMotor.current, 'current', school)} needed.`,
      );
    }
    return ranking;
  }

  /** The kind of load decides; an overload beyond what normal duty gives makes it heavy. */
  function driveDuty(): 'normal' | 'heavy' {
    const { peakTorque, motorTorque } = load.values;
    const peak = peakTorque && motorTorque ? peakTorque.value / motorTorque.value : 0;
    return job.load.torqueKind === 'variable' && peak <= usualOverload('normal') ? 'normal' : 'heavy';
  }

  function inertiaWith(forMotor: Motor): number | undefined {
    const rotor = given.starting.rotorInertia?.value ?? usualRotorInertia(forMotor.power, forMotor.poles);
    return load.values.inertia && load.values.inertia.value + rotor;
  }

  /** The motor’s nameplate current, or what rows of the profile beyond full flow ask for good. */
  function driveCurrentNeeded(forMotor: Motor): number {
    const beyond = profile.points
      .filter((point) => point.hours > 0 && point.speed > 1)
      .map((point) =>
        currentAtTorque(forMotor, undefined, point.shaftControlled / (forMotor.speed * point.speed), 1 / point.speed),
      );
    return Math.max(forMotor.current, ...beyond);
  }

  function chooseDrive(ranking: DriveRanking): RankedDrive | undefined {
    const wanted = job.pick.drive;
    if (!wanted) return ranking.fits[0];
    const own = ranking.fits.find((each) => each.item.id === wanted);
    if (own) return own;
    const refused = ranking.refused.find((each) => each.id === wanted);
    flag(
      'pick.drive-refused',
      refused ? `${refused.name} does not fit: ${refused.reason}.` : `Drive “${wanted}” is not in the catalogue.`,
    );
    return undefined;
  }

  function driveValues(ranked: RankedDrive): Partial<PickValues> {
    const heavy = driveDuty() === 'heavy';
    const current = quantity(ranked.current, 'current', school, {
      origin: 'looked up',
      source: FROM_CATALOGUE,
      note: `Continuous at ${heavy ? 'heavy' : 'normal'} duty, after ambient and altitude${job.supply.phases === '1' ? ' and single-phase input' : ''}.`,
    });
    return {
      drive: wording(ranked.item.name, {
        origin: 'looked up',
        source: FROM_CATALOGUE,
        note: 'The least costly whose current covers the motor’s.',
      }),
      driveCurrent: current,
      driveUsed: quantity(ranked.used, 'fraction', school, {
        formula: 'I_m / I_d',
        from: { I_d: current },
        source: 'definition',
      }),
    };
  }

  function starterFor(forMotor: Motor, way: Exclude<Method, 'drive'>): Starter {
    const built = buildStarter(catalogue.parts, {
      school,
      method: way,
      current: forMotor.current,
      dial: forMotor.current * dialShare(job, forMotor.serviceFactor),
      voltage: supply.values.voltage?.value ?? forMotor.voltage,
      ac4: job.starting.inching === 'yes' || job.starting.plugging === 'yes',
      reversing: job.starting.reversing === 'yes',
    });
    if (built.lacking.length > 0 && catalogue.parts.length > 0) {
      flag('pick.no-starter', `The catalogue lacks: ${built.lacking.join(', ')}.`);
    }
    if (way === 'soft starter') {
      flag(
        'pick.soft-starter-leaks',
        'A soft starter’s output is live even when it is off; the contactor ahead of it isolates.',
      );
    }
    return built;
  }

  function flagTooLarge(standard: Value): void {
    flag(
      'pick.too-large',
      `The load takes ${sizeText(standard.value, school)}, but what heat, height and unbalance leave of a motor calls for more than the largest standard size.`,
    );
  }

  /** More torque at low speed than the fan of the motor that stays can cool, unless its plate promises that range. */
  function checkSlow(): void {
    const { constantTorqueRatio = 1 } = inverterStatement(job.nameplate.inverter, undefined, undefined, 0);
    const share = motor && load.values.motorPower ? load.values.motorPower.value / motor.power : 1;
    const slow = slowDemand(brief, share, constantTorqueRatio);
    if (!slow) return;
    const percent = (value: number): string => formatQuantity(value, 'fraction', school);
    flag(
      'pick.slow-full-torque',
      `The profile asks for ${percent(slow.torque)} of rated torque at ${percent(slow.speed)} of full speed, where the fan on the shaft of the kept motor cools for about ${percent(slow.bearable)}.`,
    );
  }

  function checkKept(kept: Motor): void {
    const { motorDerate } = place.values;
    const { unbalanceDerate } = supply.values;
    const allowed = kept.power * motorDerate.value * (unbalanceDerate?.value ?? 1);
    const needed = load.values.motorPower;
    if (!needed || needed.value <= allowed || needed.value > kept.power) return;
    flag(
      'pick.kept-derated',
      `Here the kept motor may give ${formatQuantity(allowed, 'power', school)}; the load needs ${needed.text}.`,
      {
        basis: [motorDerate, unbalanceDerate].flatMap((each) => each?.working.source ?? []).join('; '),
        clear: unbalanceDerate
          ? 'Balance the voltages, cool the place, reduce the load, or replace the motor.'
          : 'Cool the place, reduce the load, or replace the motor.',
        field: unbalanceDerate
          ? 'supply.phaseVoltages'
          : place.values.ambient.value > RATED_AMBIENT
            ? 'place.ambient'
            : 'place.altitude',
      },
    );
  }

  function loadOf(forMotor: Motor, power: Value): Value {
    return quantity(power.value / forMotor.power, 'fraction', school, {
      formula: 'P / P_n',
      from: { P: power },
      source: 'definition',
      note: `Holds for ${forMotor.label}.`,
    });
  }
}

export const DEFAULT_YEARS = 10;

function motorOf({ item, voltage, current }: RankedMotor): Motor {
  const at = item.voltages.indexOf(voltage);
  const joined = connectionAt(item.voltages, voltage, undefined, undefined);
  return {
    label: `the picked motor, ${item.name}`,
    kind: 'picked',
    designLetter: item.designLetter,
    power: item.power,
    voltage,
    frequency: item.frequency,
    poles: item.poles,
    speed: item.speed,
    current,
    efficiency: item.efficiency,
    efficiencyMinimum: item.efficiencyMinimum,
    powerFactor: item.powerFactor,
    serviceFactor: item.serviceFactor,
    lockedRotorCurrent: lockedRotorCurrentAt(item, at, current),
    lockedRotorCurrentLeast: lockedRotorCurrentAt(item, at, current),
    lockedRotorTorque: item.lockedRotorTorque,
    breakdownTorque: item.breakdownTorque,
    ...(joined?.starDelta === 'not possible' ? { noStarDelta: joined.why } : {}),
    starDeltaProven: joined?.starDelta === 'possible',
    ...windingOf(item, at),
  };
}

/** A voltage this near above another is the one the winding is made for: 230 of 208-230 V. */
const RANGE = 1.15;

/** Of an item listed for a range, the winding it really has. */
function windingOf(item: MotorItem, at: number): Pick<Motor, 'winding'> {
  const voltage = item.voltages[at] ?? 0;
  const made = item.voltages.findIndex((each) => each > voltage * 1.01 && each < voltage * RANGE);
  const [volts, amperes] = [item.voltages[made], item.currents[made]];
  if (volts === undefined || amperes === undefined) return {};
  const locked = lockedRotorCurrentAt(item, made, amperes);
  return {
    winding: { voltage: volts, current: amperes, lockedRotorCurrent: locked, lockedRotorCurrentLeast: locked },
  };
}

const lockedRotorCurrentAt = (item: MotorItem, at: number, current: number): number =>
  item.lockedRotorCurrents[at] ?? current * 7;
