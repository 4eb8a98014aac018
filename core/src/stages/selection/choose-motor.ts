import { say, series } from '../../kernel/text.ts';
import { sizeText } from '../../motor/standard-power.ts';
import { slowDemand } from '../environment/reduced-speed-torque.ts';
import { isShaftMounted } from '../load/transmission.ts';
import type { Value } from '../../kernel/value.ts';
import { yearsCounted, type SelectionInput } from './selection-input.ts';
import { exchangeRate } from './exchange.ts';
import type { Report } from './findings.ts';
import { refusals, type MotorNeed } from './motor-rules.ts';
import { rankMotors, type MotorRanking, type RankedMotor, type Running } from './rank-motors.ts';

/** Load of a motor whose load is not known, of its rated power. Common practice, no published source. */
const UNKNOWN_LOAD = 0.75;

const samePower = (required: Value, { nameplate }: SelectionInput): boolean => {
  const plate = nameplate.values.power;
  return plate !== undefined && Math.abs(required.value / plate.value - 1) < 0.02;
};

/** What the motor to buy must be; undefined while voltage, frequency or poles are not known. */
export function motorNeed(required: Value, on: SelectionInput): MotorNeed | undefined {
  const { brief, situation, nameplate, load, supply, place, method } = on;
  const { job } = brief;
  const remedy = situation.inquiry?.remedy ?? { order: [] };
  const { motorVoltage, voltage } = supply.values;
  const frequency = supply.values.frequency ?? nameplate.values.frequency;
  const { poles, motorPower } = load.values;
  if (!motorVoltage || !voltage || !frequency || !poles) return undefined;
  const slow = slowDemand(brief, (motorPower?.value ?? required.value) / required.value) !== undefined;
  return {
    school: job.school,
    power: required.value,
    poles: poles.value,
    frequency: frequency.value,
    motorVoltage: motorVoltage.value,
    systemVoltage: voltage.value,
    enclosures: remedy.closed ? place.enclosures.filter((code) => code !== 'ODP') : place.enclosures,
    frame: job.situation.kind === 'replace' && samePower(required, on) ? nameplate.frame : undefined,
    belted: job.load.stages[0] !== undefined && isShaftMounted(job.load.stages[0].kind),
    inverterDuty: remedy.inverterDuty === true || (method === 'drive' && slow),
    serviceFactor: place.spendsServiceFactor ? 1.15 : 1,
  };
}

/** Motors of the catalogue that fit, ranked, and why the others do not. */
export function rankForNeed(required: Value, requirement: MotorNeed, on: SelectionInput, report: Report): MotorRanking {
  const { brief, catalogue, nameplate } = on;
  const { job } = brief;
  const ranking = rankMotors(catalogue.motors, requirement, runningOf(required, on), job.pick.prefer);
  if (ranking.fits.length === 0 && catalogue.motors.length > 0) {
    const nearest = ranking.refused[0];
    const others = ranking.others.map(({ count, reason }) => say`${count} ${reason}`);
    report(
      'pick.no-motor',
      say`No motor in the catalogue fits ${sizeText(required.value)}, ${requirement.poles} poles.${nearest ? say` Nearest: ${nearest.name}, ${nearest.reason}.` : say` It has ${series(others, ' and ')}.`}`,
    );
  }
  if (job.situation.kind === 'replace' && !samePower(required, on) && nameplate.frame) {
    report(
      'pick.other-size',
      say`The new motor is ${sizeText(required.value)}, not the nameplate rating; feet and shaft differ from ${job.nameplate.frame ?? 'the old frame'}.`,
    );
  }
  return ranking;
}

/** How the motor will run over the years counted, for the cost of its energy; undefined while that is not known. */
function runningOf(
  required: Value,
  { brief, catalogue, load, supply, profile, method }: SelectionInput,
): Running | undefined {
  const energyPrice = brief.given.money.energyPrice ?? supply.values.energyPrice;
  const hours = profile.values.hours;
  if (!energyPrice || !hours) return undefined;
  const years = yearsCounted(brief);
  const rate = exchangeRate(brief, catalogue);
  if (rate === undefined) return undefined;
  const driven = method === 'drive';
  const points = profile.points.map((point) => ({
    shaftPower: (driven ? undefined : point.shaftThrottled) ?? point.shaftControlled,
    seconds: point.hours * years,
    speed: driven ? point.speed : undefined,
  }));
  const always = {
    shaftPower: load.values.motorPower?.value ?? required.value * UNKNOWN_LOAD,
    seconds: hours.value * years,
    speed: undefined,
  };
  return {
    points: points.length > 0 ? points : [always],
    fixedShare: brief.practice.fixedLossShare.value,
    energyPrice: energyPrice.value / rate,
  };
}

/** The motor typed in the job, else the one ranked first. */
export function chooseMotor(
  ranking: MotorRanking,
  requirement: MotorNeed,
  { brief, catalogue }: SelectionInput,
  report: Report,
): RankedMotor | undefined {
  const wanted = brief.job.pick.motor;
  if (!wanted) return ranking.fits[0];
  const own = ranking.fits.find((each) => each.item.id === wanted);
  if (own) return own;
  const refused = catalogue.motors.find((each) => each.id === wanted);
  report(
    'pick.motor-refused',
    refused
      ? say`${refused.name} does not fit: ${refusals(refused, requirement)[0]?.reason ?? ''}.`
      : `Motor “${wanted}” is not in the catalogue.`,
    { mends: [{ label: 'Take the first that fits', set: { 'pick.motor': '' } }] },
  );
  return undefined;
}
