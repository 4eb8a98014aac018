import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import { USUAL, type Method } from './starting-mode.ts';
import { runDown } from './coast-down.ts';
import type { StartSetting } from './run-start.ts';
import type { StartKnown } from './start-known.ts';

/** Over how long a soft stop lowers the voltage. */
export const softStopOf = ({ brief }: StartKnown): Value =>
  brief.given.starting.softStop ??
  quantity(USUAL.softStop, 'duration', {
    origin: 'estimated',
    source: PRACTICE,
    assumes: 'starting.softStop',
    note: 'Usual stop ramp.',
  });

/** Only where a sudden stop matters: with the supply cut off, and softly. */
export function stoppingTimes(
  method: Method | undefined,
  setting: StartSetting,
  known: StartKnown,
): { readonly coastTime: Value; readonly softStopTime: Value } | undefined {
  const { brief, motor, totalInertia } = known;
  if (!brief.job.starting.waterHammer || (method !== 'soft starter' && method !== 'drive')) return undefined;
  const softStop = softStopOf(known);
  const { coast, soft } = runDown(
    {
      circuit: setting.circuit,
      turning: setting.turning,
      source: setting.source,
      feed: { kind: 'direct' },
      ratedTorque: motor.power / motor.speed,
      ratedCurrent: motor.current,
    },
    softStop.value,
  );
  const how = {
    origin: 'estimated' as const,
    formula: 't = \\int \\dfrac{J\\,d\\omega}{T_L - T_m}',
    from: { J: totalInertia, 't_{ramp}': softStop },
    source: 'Quasi-steady run-down of the fitted circuit',
  };
  return {
    coastTime: quantity(coast, 'duration', how),
    softStopTime: quantity(soft, 'duration', how),
  };
}
