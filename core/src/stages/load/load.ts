import { say, type Text } from '../../kernel/text.ts';
import type { LoadResult } from './load-result.ts';
import {
  throughRatio,
  atMotor,
  speedAtMotor,
  motorPoles,
  peakAtMotor,
  speedAtThisLoad,
  curveAtMotor,
} from './refer-to-motor-shaft.ts';
import { torqueAtShaft } from './shaft-torque.ts';
import { standardSize, stallTorque } from './standard-size.ts';
import { ratingFor, bearingFor } from './driven-parts.ts';
import type { Report } from './findings.ts';
import { declaration } from './declaration.ts';
import type { LoadValues } from './values.ts';
import { sizeText } from '../../motor/standard-power.ts';
import { motorInForce } from './reference-motor.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { notebook, type StageContext, type Notebook } from '../stage.ts';
import { PRACTICE, quantity } from '../../kernel/value.ts';
import { checkLoad } from './load-checks.ts';
import { dutyOf } from './duty.ts';
import { checkBrake, loweringTorque } from './overhauling.ts';
import type { Inputs } from '../../job/inputs.ts';
import { minimumSheaveDiameter } from './sheave.ts';
import { compareSizes, type SizeChoice } from './size-comparison.ts';
import { hasRadialLoad, reflectedInertia, shaftsOf, sideLoad, speedTyped, transmissionOf } from './transmission.ts';
import { wholePoints } from './torque-curve.ts';
import { usualBreakaway } from './load-definition-methods.ts';

/** Fields of the load; a reading that another stage has already is not asked again. */
function readingsOf({ load: typed, situation, supply }: Inputs['given']): Inputs['given']['load'] {
  const volts = supply.phaseVoltages?.flat() ?? [];
  const [first] = volts;
  const mean = volts.reduce((sum, each) => sum + each.value, 0) / Math.max(1, volts.length);
  const runningCurrent = typed.runningCurrent ?? situation.runningCurrent;
  const runningVoltage = typed.runningVoltage ?? (first && volts.length === 3 ? { ...first, value: mean } : undefined);
  return {
    ...typed,
    ...(runningCurrent ? { runningCurrent } : {}),
    ...(runningVoltage ? { runningVoltage } : {}),
  };
}

/** What the shaft needs, torque first, carried back to the motor and up to a standard size. */
export function load(brief: StageContext, nameplate: NameplateResult): LoadResult {
  const { findings, missing, report, ...asks } = notebook(declaration);
  const given = givenOf(brief, nameplate, { report, ...asks });
  const { transmission, duty } = given;
  for (const path of transmission.lacking) asks.require(path, 'Ratio of the stage, or the speed at both its shafts');
  const found = carriedBack(given);
  const { torque, drivenSpeed, motorTorque, motorSpeed } = found;
  const values = valuesOf(brief, given, found);
  checkLoad({ brief, nameplate, transmission, values, report });
  checkBrake(brief, { report, require: asks.require });
  return {
    values,
    findings,
    missing,
    summary: summaryOf(values),
    shafts: shaftsOf(transmission, torque, drivenSpeed),
    curve: motorTorque && motorSpeed && curveAtMotor(motorTorque, motorSpeed, given),
    duty,
    sizes: sizesOf(found, given),
  };
}

type Given = ReturnType<typeof givenOf>;

/** What is typed and read of the load. */
function givenOf(
  brief: StageContext,
  nameplate: NameplateResult,
  asks: Pick<Notebook<Report>, 'report' | 'require' | 'suggest'>,
) {
  const { job, given, rows, practice } = brief;
  const { school } = job;
  const typed = readingsOf(given);
  // A plate that is there stands in for a load that is not known; an energy study has nothing without it.
  const standsIn = job.situation.kind !== 'new' && job.situation.kind !== 'energy' && nameplate.values.power;
  const transmission = transmissionOf(brief);
  const breakaway =
    typed.breakaway ??
    quantity(usualBreakaway(job.load), 'fraction', {
      origin: 'estimated',
      source: PRACTICE,
      assumes: 'load.breakaway',
      note: 'Fans and pumps break away easily; loaded constant-torque machines need at least their running torque.',
    });
  return {
    job,
    school,
    practice,
    nameplate,
    typed,
    transmission,
    ratio: transmission.ratio,
    efficiency: transmission.efficiency,
    breakaway,
    duty: job.load.way === 'duty' ? dutyOf(brief) : undefined,
    curve: job.load.way === 'curve' ? wholePoints(rows['load.curve']) : [],
    voltage: nameplate.values.voltage?.value ?? (school === 'NEMA' ? 460 : 400),
    wanted: speedTyped(transmission),
    ask: standsIn ? asks.suggest : asks.require,
    require: asks.require,
    report: asks.report,
  };
}

type Found = ReturnType<typeof carriedBack>;

/** Torque, speed and power at the motor’s shaft, and the size that gives them. */
function carriedBack(given: Given) {
  const { job, nameplate, ratio, wanted, voltage } = given;
  const motorSpeed = speedAtMotor(given);
  const drivenSpeed = wanted ?? (motorSpeed && ratio && throughRatio(motorSpeed, given));
  const torque = torqueAtShaft({ ...given, drivenSpeed, motorSpeed });
  const motorTorque = torque && atMotor(torque, given);
  const motorPower =
    motorTorque &&
    motorSpeed &&
    quantity(motorTorque.value * motorSpeed.value, 'power', {
      formula: 'P = T_m\\,\\omega = T_m\\,\\dfrac{2\\pi n}{60}',
      from: { T_m: motorTorque, n: motorSpeed },
      source: 'definition',
    });
  const poles = motorPoles({ ...given, motorSpeed });
  const peakTorque = peakAtMotor({ ...given, motorTorque });
  const standardPower = standardSize({ ...given, motorPower, peakTorque, poles, motorSpeed });
  const motor = motorInForce(job, nameplate, standardPower, poles, voltage);
  return { motorSpeed, drivenSpeed, torque, motorTorque, motorPower, poles, peakTorque, standardPower, motor };
}

function valuesOf(brief: StageContext, given: Given, found: Found): LoadValues {
  const { breakaway, efficiency, ratio, duty } = given;
  const { torque, drivenSpeed, motorTorque, motorSpeed, motorPower, poles, peakTorque, standardPower, motor } = found;
  const { supply, situation } = brief.given;
  const startsPerHour = supply.startsPerHour ?? situation.startsPerHour ?? duty?.startsPerHour;
  const inertia = ratio && reflectedInertia(given.transmission);
  const lowering = loweringTorque(brief, motorSpeed, efficiency);
  const loadFraction =
    motorPower &&
    standardPower &&
    quantity(motorPower.value / standardPower.value, 'fraction', {
      formula: 'P / P_n',
      from: { P: motorPower, P_n: standardPower },
      source: 'definition',
    });
  return {
    breakaway,
    transmissionEfficiency: efficiency,
    ...(ratio ? { ratio } : {}),
    ...(torque ? { torque, transmissionRating: ratingFor(torque, given) } : {}),
    ...(drivenSpeed ? { drivenSpeed } : {}),
    ...onShaft(given, found),
    ...(motorTorque ? { motorTorque } : {}),
    ...(motorSpeed ? { motorSpeed } : {}),
    ...(motorPower ? { motorPower } : {}),
    ...(inertia ? { inertia } : {}),
    ...(duty ? { dutyCycle: duty.cycle, dutyType: duty.type, rmsTorque: duty.rms } : {}),
    ...(startsPerHour ? { startsPerHour } : {}),
    ...(lowering ? { loweringTorque: lowering } : {}),
    ...(peakTorque ? { peakTorque } : {}),
    ...(motor && peakTorque ? { peakAllowed: stallTorque(motor, given) } : {}),
    ...(poles ? { poles } : {}),
    ...(standardPower ? { standardPower } : {}),
    ...(loadFraction ? { loadFraction } : {}),
    ...(motor && motorTorque && ratio ? { outputSpeed: speedAtThisLoad(motor, motorTorque, given) } : {}),
  };
}

/** What sits on the motor’s shaft: its pull, the least sheave and the bearing that takes it. */
function onShaft(
  given: Given,
  { motorTorque, standardPower, motor }: Found,
): Pick<LoadValues, 'sideLoad' | 'leastSheave' | 'driveEndBearing'> {
  const { job, typed, school } = given;
  const first = job.load.stages[0]?.kind;
  if (!first) return {};
  const smallest = first === 'V-belt' && motor ? minimumSheaveDiameter(motor.power, motor.poles, school) : undefined;
  if (!hasRadialLoad(first)) return smallest ? { leastSheave: smallest } : {};
  return {
    ...(typed.sheave && motorTorque ? { sideLoad: sideLoad(first, motorTorque, typed.sheave) } : {}),
    ...(smallest ? { leastSheave: smallest } : {}),
    ...(standardPower ? { driveEndBearing: bearingFor(first, standardPower, given) } : {}),
  };
}

function sizesOf({ motorPower, standardPower, poles }: Found, given: Given): SizeChoice[] {
  if (!motorPower || !standardPower || !poles) return [];
  const { school, nameplate, voltage, practice } = given;
  return compareSizes({
    school,
    shaftPower: motorPower.value,
    chosen: standardPower.value,
    poles: poles.value,
    frequency: nameplate.values.frequency?.value ?? (school === 'NEMA' ? 60 : 50),
    voltage,
    fixedShare: practice.fixedLossShare.value,
  });
}

function summaryOf({ motorTorque, motorSpeed, standardPower }: LoadValues): Text {
  if (motorTorque && motorSpeed) return say`${motorTorque} at ${motorSpeed}`;
  return standardPower ? say`${sizeText(standardPower.value)}, from the plate` : '';
}
