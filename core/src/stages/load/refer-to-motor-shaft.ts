import { evidenceOf, type Motor } from '../../motor/typical.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import { torqueCurve, type TorqueCurve } from './torque-curve.ts';
import type { LoadKnown } from './load-known.ts';

export function throughRatio(motorShaft: Value, { ratio }: Pick<LoadKnown, 'ratio' | 'school'>): Value {
  return quantity(motorShaft.value / (ratio?.value ?? 1), 'speed', {
    formula: 'n = n_m / i',
    from: { n_m: motorShaft, i: ratio },
    source: 'definition',
  });
}

export function atMotor(
  driven: Value,
  { ratio, efficiency }: Pick<LoadKnown, 'ratio' | 'efficiency' | 'school'>,
): Value | undefined {
  return (
    ratio &&
    quantity(driven.value / (ratio.value * efficiency.value), 'torque', {
      formula: 'T_m = \\dfrac{T}{i\\,\\eta_t}',
      from: { T: driven, i: ratio, '\\eta_t': efficiency },
      source: 'definition',
    })
  );
}

export function speedAtMotor({
  nameplate,
  wanted,
  job,
  require,
  ratio,
}: Pick<LoadKnown, 'nameplate' | 'wanted' | 'job' | 'require' | 'ratio' | 'school'>): Value | undefined {
  const plate = nameplate.values.speed;
  if (!wanted) {
    if (plate && job.situation.kind !== 'new') return plate;
    require('load.speed', 'Speed wanted at the driven shaft');
    return undefined;
  }
  return (
    ratio &&
    quantity(wanted.value * ratio.value, 'speed', {
      formula: 'n_m = i\\,n',
      from: { i: ratio, n: wanted },
      source: 'definition',
    })
  );
}

const POLES = [2, 4, 6, 8] as const;

/** The plate’s poles when there is one, else the field speed nearest the motor speed wanted. */
export function motorPoles({
  nameplate,
  job,
  motorSpeed,
}: Pick<LoadKnown, 'nameplate' | 'job' | 'motorSpeed' | 'school'>): Value | undefined {
  const own = nameplate.values.poles;
  if (own && job.situation.kind !== 'new') return own;
  const frequency = nameplate.values.frequency;
  if (!motorSpeed || !frequency) return undefined;
  const away = (count: number) => Math.abs(synchronousSpeed(frequency.value, count) / motorSpeed.value - 1.02);
  const nearest = POLES.toSorted((a, b) => away(a) - away(b))[0] ?? 4;
  return quantity(nearest, 'count', {
    origin: 'chosen',
    formula: '\\min_p \\left| \\dfrac{120 f}{p} - n_m \\right|',
    from: { f: frequency, n_m: motorSpeed },
    source: 'definition',
  });
}

export function peakAtMotor(
  known: Pick<LoadKnown, 'duty' | 'motorTorque' | 'typed' | 'school' | 'ratio' | 'efficiency'>,
): Value | undefined {
  const { duty, motorTorque, typed } = known;
  if (duty) return atMotor(duty.peak, known);
  if (!motorTorque || !typed.overloadTorque) return undefined;
  return quantity(motorTorque.value * typed.overloadTorque.value, 'torque', {
    formula: 'T_{peak} = k\\,T_m',
    from: { k: typed.overloadTorque, T_m: motorTorque },
    source: 'typed in this job',
  });
}

/** Slip is taken in proportion to torque, true to within a percent or two of the slip below rated load. */
export function speedAtThisLoad(of: Motor, needed: Value, { ratio }: Pick<LoadKnown, 'ratio' | 'school'>): Value {
  const field = synchronousSpeed(of.frequency, of.poles);
  const share = needed.value / (of.power / of.speed);
  return quantity((field - (field - of.speed) * share) / (ratio?.value ?? 1), 'speed', {
    origin: 'estimated',
    formula: 'n = \\dfrac{1}{i}\\left(n_s - (n_s - n_n)\\dfrac{T_m}{T_n}\\right)',
    evidence: evidenceOf(of),
    from: { T_m: needed, i: ratio },
    source: 'slip in proportion to torque',
    note: `Holds for ${of.label}, at rated voltage.`,
  });
}

export function curveAtMotor(
  running: Value,
  speed: Value,
  {
    ratio,
    job,
    breakaway,
    typed,
    curve,
    efficiency,
  }: Pick<LoadKnown, 'ratio' | 'job' | 'breakaway' | 'typed' | 'curve' | 'efficiency'>,
): TorqueCurve {
  const i = ratio?.value ?? 1;
  return torqueCurve({
    load: job.load,
    torque: running.value,
    speed: speed.value,
    breakaway: breakaway.value,
    staticShare: staticShareOf(typed),
    table: curve.map((point) => ({
      speed: point.speed.value * i,
      torque: point.torque.value / (i * efficiency.value),
    })),
  });
}

/** A pump that lifts all the way is taken to have a little pipe as well. */
const MOST_STATIC = 0.98;

/** Static share of the head as typed; none for other machines. */
export const staticShareOf = ({ staticHead, head }: LoadKnown['typed']): number =>
  staticHead && head ? Math.min(MOST_STATIC, staticHead.value / head.value) : 0;
