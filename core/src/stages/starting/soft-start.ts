import type { OptionContext } from '../stage.ts';
import type { StartingMode } from './starting-mode.ts';
import type { StartSetting } from './run-start.ts';
import { settledMargin } from './run-up.ts';

/** A current limit above this is hardly a soft start, and how finely one is looked for. Common practice, no published source. */
const SOFT_LIMIT_MOST = 6;
const SOFT_LIMIT_STEP = 0.5;

type SoftFeed = Extract<StartingMode, { kind: 'soft starter' }>;

/** The soft starter’s feed at a current limit, of rated current. */
const limitedTo = (limit: number, feed: StartingMode): SoftFeed => ({ ...(feed as SoftFeed), currentLimit: limit });

/** As typed, else the least current limit that brings the load up with its margin; `steps` of the run that tells. */
export function softFeed(
  setting: StartSetting,
  { given, practice }: OptionContext,
  lockedRotorCurrent: number,
  steps: number,
): SoftFeed {
  const feed = setting.feeds['soft starter'];
  const first = practice.softStartCurrent.value;
  if (given.starting.currentLimit) return limitedTo(given.starting.currentLimit.value, feed);
  const standing = setting.motor.current > 0 ? lockedRotorCurrent / setting.motor.current : first;
  const most = Math.max(first, Math.min(SOFT_LIMIT_MOST, standing));
  const brings = (limit: number): boolean =>
    settledMargin(
      {
        circuit: setting.circuit,
        turning: setting.turning,
        source: setting.source,
        feed: limitedTo(limit, feed),
        ratedTorque: setting.motor.power / setting.motor.speed,
        ratedCurrent: setting.motor.current,
        ceiling: setting.ceiling,
      },
      steps,
    ) >= practice.torqueMargin.value;
  let low = 0;
  let high = Math.floor((most - first) / SOFT_LIMIT_STEP);
  if (brings(first) || !brings(first + high * SOFT_LIMIT_STEP)) high = 0;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (brings(first + middle * SOFT_LIMIT_STEP)) high = middle;
    else low = middle;
  }
  return limitedTo(first + high * SOFT_LIMIT_STEP, feed);
}
