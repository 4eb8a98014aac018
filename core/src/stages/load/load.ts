import { findings as declared } from './findings.ts';
import type { LoadValues } from './values.ts';
import { nextStandardPower, standardPowers, standardPowerSource, sizeText } from '../../motor/standard-power.ts';
import { motorInForce, typicalFor } from './reference-motor.ts';
import { minimumBreakdownTorque, synchronousSpeed, type Motor } from '../../motor/typical.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, wording, type Value } from '../../ground/value.ts';
import { checkLoad } from './load-checks.ts';
import { dutyOf, type Duty } from './duty.ts';
import { checkBrake, loweringTorque } from './overhauling.ts';
import type { Inputs } from '../../job/inputs.ts';
import { leastSheave } from './sheave.ts';
import { compareSizes, type SizeChoice } from './size-comparison.ts';
import { torqueCurve, type TorqueCurve } from './torque-curve.ts';
import {
  pullsSideways,
  reflectedInertia,
  serviceFactors,
  shaftsOf,
  sideLoad,
  speedTyped,
  torqueTyped,
  transmissionOf,
  type Shaft,
} from './transmission.ts';
import { loadField, onMotor, usualBreakaway, ways } from './ways.ts';

export interface LoadResult extends StageResult<LoadValues> {
  readonly shafts: readonly Shaft[];
  /** Torque against speed at the motor shaft. */
  readonly curve: TorqueCurve | undefined;
  readonly duty: Duty | undefined;
  readonly sizes: readonly SizeChoice[];
}

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

const POLES = [2, 4, 6, 8] as const;

/** What the shaft needs, torque first, carried back to the motor and up to a standard size. */
export function load(brief: Brief, nameplate: NameplateResult): LoadResult {
  const { job, given, rows, practice } = brief;
  const { school } = job;
  const { findings, missing, flag, need, sharpen } = notebook('load', declared);
  const typed = readingsOf(given);
  // A plate that is there stands in for a load that is not known; an energy study has nothing without it.
  const standsIn = job.situation.kind !== 'new' && job.situation.kind !== 'energy' && nameplate.values.power;
  const ask = standsIn ? sharpen : need;

  const transmission = transmissionOf(brief);
  const { ratio, efficiency } = transmission;
  for (const path of transmission.lacking) need(path, 'Ratio of the stage, or the speed at both its shafts');
  const breakaway =
    typed.breakaway ??
    quantity(usualBreakaway(job.load), 'fraction', school, {
      origin: 'estimated',
      source: PRACTICE,
      note: 'Fans and pumps break away easily; loaded constant-torque machines need at least their running torque.',
    });
  const duty = job.load.way === 'duty' ? dutyOf(brief) : undefined;
  const startsPerHour = given.supply.startsPerHour ?? given.situation.startsPerHour ?? duty?.startsPerHour;
  const curve =
    job.load.way === 'curve'
      ? rows['load.curve'].flatMap(({ speed, torque: at }) => (speed && at ? [{ speed, torque: at }] : []))
      : [];

  const wanted = speedTyped(transmission, school);
  const motorSpeed = speedAtMotor();
  const drivenSpeed = wanted ?? (motorSpeed && ratio && throughRatio(motorSpeed));
  const torque = torqueAtShaft();
  const motorTorque = torque && atMotor(torque);
  const motorPower =
    motorTorque &&
    motorSpeed &&
    quantity(motorTorque.value * motorSpeed.value, 'power', school, {
      formula: 'P = T_m\\,\\omega = T_m\\,\\dfrac{2\\pi n}{60}',
      from: { T_m: motorTorque, n: motorSpeed },
      source: 'definition',
    });
  const lowering = loweringTorque(brief, motorSpeed, efficiency);
  const poles = motorPoles();
  const voltage = nameplate.values.voltage?.value ?? (school === 'NEMA' ? 460 : 400);
  const peakTorque = peakAtMotor();
  const standardPower = standardSize();
  const loadFraction =
    motorPower &&
    standardPower &&
    quantity(motorPower.value / standardPower.value, 'fraction', school, {
      formula: 'P / P_n',
      from: { P: motorPower, P_n: standardPower },
      source: 'definition',
    });
  const motor = motorInForce(job, nameplate, standardPower, poles, voltage);
  const peakAllowed = motor && peakTorque && stallTorque(motor);
  const outputSpeed = motor && motorTorque && ratio && speedAtThisLoad(motor, motorTorque);
  const inertia = ratio && reflectedInertia(transmission, school);
  const first = job.load.stages[0]?.kind;
  const pull =
    first && typed.sheave && motorTorque && pullsSideways(first)
      ? sideLoad(first, motorTorque, typed.sheave, school)
      : undefined;
  const smallest = first === 'V-belt' && motor ? leastSheave(motor.power, motor.poles, school) : undefined;

  const values: LoadValues = {
    breakaway,
    transmissionEfficiency: efficiency,
    ...(ratio ? { ratio } : {}),
    ...(torque ? { torque, transmissionRating: ratingFor(torque) } : {}),
    ...(drivenSpeed ? { drivenSpeed } : {}),
    ...(pull ? { sideLoad: pull } : {}),
    ...(smallest ? { leastSheave: smallest } : {}),
    ...(first && pullsSideways(first) && standardPower ? { driveEndBearing: bearingFor(first, standardPower) } : {}),
    ...(motorTorque ? { motorTorque } : {}),
    ...(motorSpeed ? { motorSpeed } : {}),
    ...(motorPower ? { motorPower } : {}),
    ...(inertia ? { inertia } : {}),
    ...(duty ? { dutyCycle: duty.cycle, dutyType: duty.type, rmsTorque: duty.rms } : {}),
    ...(startsPerHour ? { startsPerHour } : {}),
    ...(lowering ? { loweringTorque: lowering } : {}),
    ...(peakTorque ? { peakTorque } : {}),
    ...(peakAllowed ? { peakAllowed } : {}),
    ...(poles ? { poles } : {}),
    ...(standardPower ? { standardPower } : {}),
    ...(loadFraction ? { loadFraction } : {}),
    ...(outputSpeed ? { outputSpeed } : {}),
  };
  checkLoad(brief, nameplate, transmission, values, flag);
  checkBrake(brief, { flag, need });
  const summary =
    motorTorque && motorSpeed
      ? `${motorTorque.text} at ${motorSpeed.text}`
      : standardPower
        ? `${sizeText(standardPower.value, school)}, from the plate`
        : '';
  return {
    values,
    findings,
    missing,
    summary,
    shafts: shaftsOf(transmission, torque, drivenSpeed, school),
    curve: motorTorque && motorSpeed && curveAtMotor(motorTorque, motorSpeed),
    duty,
    sizes:
      motorPower && standardPower && poles
        ? compareSizes(
            job,
            motorPower.value,
            standardPower.value,
            poles.value,
            nameplate.values.frequency?.value ?? (school === 'NEMA' ? 60 : 50),
            nameplate.values.voltage?.value ?? (school === 'NEMA' ? 460 : 400),
            practice.fixedLossShare.value,
          )
        : [],
  };

  function throughRatio(motorShaft: Value): Value {
    return quantity(motorShaft.value / (ratio?.value ?? 1), 'speed', school, {
      formula: 'n = n_m / i',
      from: { n_m: motorShaft, i: ratio },
      source: 'definition',
    });
  }

  function atMotor(driven: Value): Value | undefined {
    return (
      ratio &&
      quantity(driven.value / (ratio.value * efficiency.value), 'torque', school, {
        formula: 'T_m = \\dfrac{T}{i\\,\\eta_t}',
        from: { T: driven, i: ratio, '\\eta_t': efficiency },
        source: 'definition',
      })
    );
  }

  function torqueAtShaft(): Value | undefined {
    const way = ways[job.load.way];
    const typedTorque = torqueTyped(transmission, school);
    for (const [name, words] of way.asks) {
      if (!typed[name] && !(name === 'torque' && typedTorque)) ask(`load.${name}`, words);
    }
    if (job.load.way === 'curve' && curve.length < 2)
      ask('load.curve.0.speed', 'At least two points of torque against speed');
    if (job.load.way === 'duty' && !duty) ask('load.duty.0.torque', 'At least one segment of the duty cycle');
    if (onMotor(job.load.way) && !nameplate.motor)
      need('nameplate.power', 'The plate of the running motor, to read its load off power, amps or slip');
    if (job.load.way === 'current' && !nameplate.voltageKnown) {
      // At 690 V the same amps are twice the load that they are at 400 V.
      need('supply.voltage', 'System voltage: a plate of several voltages says nothing of the load before it is known');
      return undefined;
    }
    if (!ratio) return undefined;
    const found = way.torque({
      job,
      typed,
      speed: drivenSpeed,
      motorSpeed,
      ratio,
      efficiency,
      motor: nameplate.motor,
      fixedShare: practice.fixedLossShare.value,
      typedTorque,
      duty,
      curve,
    });
    if (found && way.error !== '') {
      flag(
        onMotor(job.load.way) ? 'load.measured-on-motor' : 'load.estimated',
        onMotor(job.load.way)
          ? `The load is read off the running motor, ${way.error}. ${found.working.note ?? ''}`
          : `The load is an estimate, ${way.error}.`,
        { basis: found.working.source, field: loadField(job) },
      );
    }
    return found;
  }

  function speedAtMotor(): Value | undefined {
    const plate = nameplate.values.speed;
    if (!wanted) {
      if (plate && job.situation.kind !== 'new') return plate;
      need('load.speed', 'Speed wanted at the driven shaft');
      return undefined;
    }
    return (
      ratio &&
      quantity(wanted.value * ratio.value, 'speed', school, {
        formula: 'n_m = i\\,n',
        from: { i: ratio, n: wanted },
        source: 'definition',
      })
    );
  }

  /** The plate’s poles when there is one, else the field speed nearest the motor speed wanted. */
  function motorPoles(): Value | undefined {
    const own = nameplate.values.poles;
    if (own && job.situation.kind !== 'new') return own;
    const frequency = nameplate.values.frequency;
    if (!motorSpeed || !frequency) return undefined;
    const away = (count: number) => Math.abs(synchronousSpeed(frequency.value, count) / motorSpeed.value - 1.02);
    const nearest = POLES.toSorted((a, b) => away(a) - away(b))[0] ?? 4;
    return quantity(nearest, 'count', school, {
      origin: 'chosen',
      formula: '\\min_p \\left| \\dfrac{120 f}{p} - n_m \\right|',
      from: { f: frequency, n_m: motorSpeed },
      source: 'definition',
    });
  }

  function peakAtMotor(): Value | undefined {
    if (duty) return atMotor(duty.peak);
    if (!motorTorque || !typed.overloadTorque) return undefined;
    return quantity(motorTorque.value * typed.overloadTorque.value, 'torque', school, {
      formula: 'T_{peak} = k\\,T_m',
      from: { k: typed.overloadTorque, T_m: motorTorque },
      source: 'typed in this job',
    });
  }

  function standardSize(): Value | undefined {
    if (!motorPower) {
      const plate = nameplate.values.power;
      if (!plate || job.situation.kind === 'new') return undefined;
      return quantity(plate.value, 'power', school, {
        origin: 'estimated',
        source: PRACTICE,
        note: 'The load is not known; the size on the plate stands in.',
      });
    }
    const byHeat = nextStandardPower(motorPower.value * (1 + practice.sizeMargin.value), school);
    const holds = (size: number): boolean => {
      if (!peakTorque || !poles) return true;
      const tried = typicalFor(job, nameplate, size, poles.value, voltage);
      // Where no class names a typical motor of the size, its least breakdown torque at the speed wanted.
      const bears = tried
        ? breakdownAtDip(tried)
        : (size / motorSpeed.value) * minimumBreakdownTorque(size, poles.value) * leftInDip();
      return bears >= peakTorque.value;
    };
    const size = standardPowers(school).find((each) => byHeat !== undefined && each >= byHeat && holds(each));
    if (size === undefined) return undefined;
    return quantity(size, 'power', school, {
      origin: 'recalled',
      formula: 'P_n \\ge P\\,(1 + m)',
      from: { P: motorPower, m: practice.sizeMargin, 'T_{peak}': peakTorque },
      source: standardPowerSource(school),
      note:
        size === byHeat
          ? undefined
          : 'The peak torque decides: a size by heat alone would stall on it at the voltage dip to ride through.',
    });
  }

  /** Share of torque left in the dip to ride through. */
  function leftInDip(): number {
    return (1 - practice.runningDip.value) ** 2;
  }

  function breakdownAtDip(of: Motor): number {
    return (of.power / of.speed) * of.breakdownTorque * leftInDip();
  }

  function stallTorque(of: Motor): Value {
    return quantity(breakdownAtDip(of), 'torque', school, {
      origin: 'estimated',
      formula: 'T_b\\,(1 - d)^2',
      from: {
        T_b: quantity((of.power / of.speed) * of.breakdownTorque, 'torque', school, {
          origin: 'recalled',
          source: 'MG 1 12.39, IEC 60034-12',
        }),
        d: practice.runningDip,
      },
      source: 'T ∝ V²; dip: ' + PRACTICE,
      note: `Holds for ${of.label}.`,
    });
  }

  /** Slip is taken in proportion to torque, true to within a percent or two of the slip below rated load. */
  function speedAtThisLoad(of: Motor, needed: Value): Value {
    const field = synchronousSpeed(of.frequency, of.poles);
    const share = needed.value / (of.power / of.speed);
    return quantity((field - (field - of.speed) * share) / (ratio?.value ?? 1), 'speed', school, {
      origin: 'estimated',
      formula: 'n = \\dfrac{1}{i}\\left(n_s - (n_s - n_n)\\dfrac{T_m}{T_n}\\right)',
      from: { T_m: needed, i: ratio },
      source: 'slip in proportion to torque',
      note: `Holds for ${of.label}, at rated voltage.`,
    });
  }

  function ratingFor(driven: Value): Value {
    const factor = quantity(serviceFactors[job.load.shock], 'count', school, {
      origin: 'estimated',
      source: PRACTICE,
      note: `Service factor for ${job.load.shock} running.`,
    });
    return quantity(driven.value * factor.value, 'torque', school, {
      origin: 'estimated',
      formula: 'T_{rated} \\ge k\\,T',
      from: { k: factor, T: driven },
      source: 'service factor of transmissions: ' + PRACTICE,
    });
  }

  function bearingFor(kind: string, size: Value): Value<string> {
    const roller = size.value >= practice.rollerBearingPower.value;
    return wording(roller ? 'roller bearing' : 'ball bearing', {
      origin: 'chosen',
      source: PRACTICE,
      note: `${kind} on ${sizeText(size.value, school)}; from ${practice.rollerBearingPower.text} a roller bearing takes the side pull. A roller bearing needs that pull: never with a coupling.`,
    });
  }

  function curveAtMotor(running: Value, speed: Value): TorqueCurve {
    const i = ratio?.value ?? 1;
    return torqueCurve({
      load: job.load,
      torque: running.value,
      speed: speed.value,
      breakaway: breakaway.value,
      staticShare: typed.staticHead && typed.head ? Math.min(0.98, typed.staticHead.value / typed.head.value) : 0,
      table: curve.map((point) => ({
        speed: point.speed.value * i,
        torque: point.torque.value / (i * efficiency.value),
      })),
    });
  }
}
