import { amount, say, type Text } from '../../kernel/text.ts';
import { KELVIN } from '../../kernel/constants.ts';
import { PRACTICE, textValue, type Value } from '../../kernel/value.ts';
import type { PlaceKnown } from './environment-known.ts';

export function heaterNeeded({ at, ambient }: Pick<PlaceKnown, 'at' | 'ambient'>): Value<Text> | undefined {
  const damp = at.dampStandby || at.corrosion === 'humid' || at.setting === 'outdoor';
  if (!damp && ambient.value >= KELVIN) return undefined;
  return textValue(
    ambient.value < KELVIN ? 'space heater in the motor, heated cabinet for the drive' : 'space heater in the motor',
    {
      origin: 'chosen',
      source: PRACTICE,
      note: ambient.value < KELVIN ? 'It freezes here.' : 'A cold winding in damp air draws water.',
    },
  );
}

export function checkNoise({ given, load, report }: Pick<PlaceKnown, 'given' | 'load' | 'report'>): void {
  const limit = given.place.noiseLimit;
  const twoPole = load.values.poles?.value === 2;
  if (!limit || limit.value >= (twoPole ? 85 : 75)) return;
  report(
    'place.noise',
    say`${limit} is quiet for a${twoPole ? ' two-pole' : ''} fan-cooled motor; the fan, not the winding, makes the noise.`,
    {
      clear: twoPole
        ? 'Take four poles or a unidirectional fan, and ask the maker for the sound level.'
        : 'Ask the maker for the sound level; on a drive raise the switching frequency.',
    },
  );
}

export function checkCabinet({
  heat,
  practice,
  ambient,
  report,
}: Pick<PlaceKnown, 'heat' | 'practice' | 'ambient' | 'report'>): void {
  if (!heat) return;
  if (practice.driveAmbient.value - ambient.value <= 1) {
    report(
      'place.cabinet-cannot-cool',
      say`The ambient temperature of the cabinet is ${ambient}, rated ambient of the drive ${practice.driveAmbient}: outside air cannot cool it.`,
    );
  } else if (heat.air) {
    report(
      'place.cabinet-air',
      say`The walls dissipate ${amount(heat.walls.value, 'power')} of ${amount(heat.losses.value, 'power')}; unventilated, the internal temperature is ${heat.inside}. Provide ${heat.air.working.note ?? ''} Change the filter every ${heat.filterInterval ?? '1'} months.`,
      { basis: heat.air.working.source },
    );
  }
}
