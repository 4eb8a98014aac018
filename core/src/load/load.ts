import { keepsMotor } from '../motor/reference.ts';
import { nextStandardPower, standardPowerSource, sizeText } from '../motor/standard-power.ts';
import { synchronousSpeed } from '../motor/typical.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';
import { loadField, onMotor, ways } from './ways.ts';

export interface LoadValues {
  /** At the driven shaft. */
  readonly torque?: Value;
  readonly ratio: Value;
  readonly motorTorque?: Value;
  readonly motorSpeed?: Value;
  readonly motorPower?: Value;
  readonly poles?: Value;
  readonly standardPower?: Value;
  readonly loadFraction?: Value;
  /** Breakaway torque as a share of running torque. */
  readonly breakaway: Value;
}

export type LoadResult = StageResult<LoadValues>;

const POLES = [2, 4, 6, 8] as const;

/** What the shaft needs, torque first, carried back to the motor and up to a standard size. */
export function load(brief: Brief, nameplate: NameplateResult): LoadResult {
  const { job, given, practice } = brief;
  const { school } = job;
  const { findings, missing, flag, need } = notebook('load');
  const typed = given.load;

  const ratio =
    typed.ratio ??
    quantity(1, 'count', school, { origin: 'estimated', source: PRACTICE, note: 'Direct drive is assumed.' });
  const efficiency =
    typed.transmissionEfficiency ??
    quantity(ratio.value === 1 ? 1 : 0.95, 'fraction', school, {
      origin: 'estimated',
      source: PRACTICE,
      note:
        ratio.value === 1 ? 'Direct drive loses nothing worth counting.' : 'A belt or one gear stage in good order.',
    });
  const breakaway =
    typed.breakaway ??
    quantity(job.load.torqueKind === 'variable' ? 0.3 : 1, 'fraction', school, {
      origin: 'estimated',
      source: PRACTICE,
      note: 'Fans and pumps break away easily; constant-torque machines need at least their running torque.',
    });

  const motorSpeed = speedAtMotor();
  const torque = torqueAtShaft();
  const motorTorque =
    torque &&
    quantity(torque.value / (ratio.value * efficiency.value), 'torque', school, {
      formula: 'T_m = \\dfrac{T}{i\\,\\eta_t}',
      from: { T: torque, i: ratio, '\\eta_t': efficiency },
      source: 'definition',
    });
  const motorPower =
    motorTorque &&
    motorSpeed &&
    quantity(motorTorque.value * motorSpeed.value, 'power', school, {
      formula: 'P = T_m\\,\\omega = T_m\\,\\dfrac{2\\pi n}{60}',
      from: { T_m: motorTorque, n: motorSpeed },
      source: 'definition',
    });
  const poles = motorPoles();
  const standardPower = standardSize();
  const loadFraction =
    motorPower &&
    standardPower &&
    quantity(motorPower.value / standardPower.value, 'fraction', school, {
      formula: 'P / P_n',
      from: { P: motorPower, P_n: standardPower },
      source: 'definition',
    });

  checkSize();
  checkSpeed();

  const values: LoadValues = {
    ratio,
    breakaway,
    ...(torque ? { torque } : {}),
    ...(motorTorque ? { motorTorque } : {}),
    ...(motorSpeed ? { motorSpeed } : {}),
    ...(motorPower ? { motorPower } : {}),
    ...(poles ? { poles } : {}),
    ...(standardPower ? { standardPower } : {}),
    ...(loadFraction ? { loadFraction } : {}),
  };
  const summary =
    motorTorque && motorSpeed
      ? `${motorTorque.text} at ${motorSpeed.text}`
      : standardPower
        ? `${sizeText(standardPower.value, school)}, from the plate`
        : '';
  return { values, findings, missing, summary };

  function torqueAtShaft(): Value | undefined {
    const way = ways[job.load.way];
    for (const [name, words] of way.asks) if (!typed[name]) need(`load.${name}`, words);
    if (onMotor(job.load.way) && !nameplate.motor)
      need('nameplate.power', 'The plate of the running motor, to read its load off power, amps or slip');
    const speed =
      motorSpeed &&
      (typed.speed ??
        quantity(motorSpeed.value / ratio.value, 'speed', school, {
          formula: 'n = n_m / i',
          from: { n_m: motorSpeed, i: ratio },
          source: 'definition',
        }));
    const found = way.torque({
      job,
      typed,
      speed,
      motorSpeed,
      ratio,
      efficiency,
      motor: nameplate.motor,
      fixedShare: practice.fixedLossShare.value,
    });
    if (found && way.error !== '') {
      flag({
        code: 'load.measured-on-motor',
        severity: 'note',
        message: `The load is read off the running motor, ${way.error}. ${found.working.note ?? ''}`,
        basis: found.working.source,
        clear: 'Measure the torque or the input power where it matters.',
        field: loadField(job),
      });
    }
    return found;
  }

  function speedAtMotor(): Value | undefined {
    const plate = nameplate.values.speed;
    if (!typed.speed) {
      if (plate && job.situation.kind !== 'new') return plate;
      need('load.speed', 'Speed wanted at the driven shaft');
      return undefined;
    }
    return quantity(typed.speed.value * ratio.value, 'speed', school, {
      formula: 'n_m = i\\,n',
      from: { i: ratio, n: typed.speed },
      source: 'definition',
    });
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
    const size = nextStandardPower(motorPower.value * (1 + practice.sizeMargin.value), school);
    if (size === undefined) return undefined;
    return quantity(size, 'power', school, {
      origin: 'recalled',
      formula: 'P_n \\ge P\\,(1 + m)',
      from: { P: motorPower, m: practice.sizeMargin },
      source: standardPowerSource(school),
    });
  }

  function checkSize(): void {
    if (motorPower && !standardPower) {
      flag({
        code: 'load.too-large',
        severity: 'stop',
        message: `${motorPower.text} is more than the largest standard size of this school.`,
        basis: standardPowerSource(school),
        clear: 'Check torque, speed and units; a motor this large is bought to specification.',
        field: 'load.torque',
      });
    }
    if (!motorPower && standardPower) {
      flag({
        code: 'load.from-plate',
        severity: 'note',
        message: `The load is not known, so the ${sizeText(standardPower.value, school)} of the plate is kept. If the old motor was wrong for the load, the new one will be too.`,
        basis: PRACTICE,
        clear: 'Measure the torque or the running current and type it.',
        field: 'load.torque',
      });
    }
    const plate = nameplate.values.power;
    if (motorPower && plate && job.situation.kind !== 'new' && motorPower.value > plate.value * 1.001) {
      flag({
        code: 'load.exceeds-plate',
        severity: keepsMotor(job) ? 'stop' : 'caution',
        message: `The load needs ${motorPower.text}; the motor on the plate gives ${sizeText(plate.value, school)}. It is overloaded by ${((motorPower.value / plate.value - 1) * 100).toFixed(0)} %.`,
        basis: 'Rated power is the continuous limit; the service factor is a reserve for short times',
        clear: keepsMotor(job)
          ? 'Reduce the load or replace the motor.'
          : 'Let the next size be picked, and expect another frame.',
        field: 'load.torque',
      });
    }
    if (loadFraction && loadFraction.value < 0.5) {
      flag({
        code: 'load.oversized',
        severity: 'note',
        message: `The standard size would run at ${loadFraction.text} load; below half load efficiency and power factor fall off.`,
        basis: PRACTICE,
        clear: 'Check torque and speed, or lower the margin setting.',
        field: 'load.torque',
      });
    }
  }

  function checkSpeed(): void {
    const frequency = nameplate.values.frequency;
    if (!motorSpeed || !poles || !frequency || !typed.speed) return;
    const field = synchronousSpeed(frequency.value, poles.value);
    const off = motorSpeed.value / field - 1;
    if (off <= 0 && off > -0.08) return;
    flag({
      code: 'load.speed-mismatch',
      severity: 'caution',
      message: `The motor would have to turn at ${motorSpeed.text}; a ${poles.value}-pole motor turns just under ${((field * 60) / (2 * Math.PI)).toFixed(0)} r/min on the line.`,
      basis: 'n = 120 f / p',
      clear: 'Choose another ratio, or control the speed with a drive.',
      field: 'load.ratio',
    });
  }
}
