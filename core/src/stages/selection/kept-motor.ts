import { amount, say, type Text, series } from '../../kernel/text.ts';
import { PRACTICE, type Value } from '../../kernel/value.ts';
import type { Motor } from '../../motor/typical.ts';
import { inverterStatement } from '../nameplate/inverter.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { RATED_AMBIENT } from '../environment/environment.ts';
import { slowDemand } from '../environment/reduced-speed-torque.ts';
import type { SelectionInput } from './selection-input.ts';
import type { Report } from './findings.ts';

/** A current that was worked out or guessed is not called the plate’s. */
export function asOnPlate({ values }: NameplateResult): { origin: Value['origin']; source: Text; formula: string } {
  const { origin = 'estimated', working } = values.ratedCurrent ?? {};
  return {
    origin,
    source: origin === 'given' ? 'plate' : (working?.source ?? PRACTICE),
    formula: working?.formula ?? '',
  };
}

/** Whether heat, height and unbalance leave the kept motor enough. */
export function checkKept(kept: Motor, { load, supply, place }: SelectionInput, report: Report): void {
  const { motorDerate, ambient } = place.values;
  const { unbalanceDerate } = supply.values;
  const allowed = kept.power * motorDerate.value * (unbalanceDerate?.value ?? 1);
  const needed = load.values.motorPower;
  if (!needed || needed.value <= allowed || needed.value > kept.power) return;
  const field = ambient.value > RATED_AMBIENT ? 'place.ambient' : 'place.altitude';
  report(
    'pick.kept-derated',
    say`The existing motor may deliver ${amount(allowed, 'power')} here, required ${needed}.`,
    {
      basis: series(
        [motorDerate, unbalanceDerate].flatMap((each) => each?.working.source ?? []),
        '; ',
      ),
      clear: unbalanceDerate
        ? 'Balance the voltages, cool the place, reduce the load, or replace the motor.'
        : 'Cool the place, reduce the load, or replace the motor.',
      field: unbalanceDerate ? 'supply.phaseVoltages' : field,
    },
  );
}

/** More torque at low speed than the fan of the motor that stays can cool, unless its plate promises that range. */
export function checkSlow(motor: Motor | undefined, { brief, load }: SelectionInput, report: Report): void {
  const { job } = brief;
  const { constantTorqueRatio = 1 } = inverterStatement(job.nameplate.inverter, undefined, undefined, 0);
  const share = motor && load.values.motorPower ? load.values.motorPower.value / motor.power : 1;
  const slow = slowDemand(brief, share, constantTorqueRatio);
  if (!slow) return;
  const percent = (value: number): Text => amount(value, 'fraction');
  report(
    'pick.slow-full-torque',
    say`The profile asks for ${percent(slow.torque)} of rated torque at ${percent(slow.speed)} of full speed, where the fan on the shaft of the kept motor cools for about ${percent(slow.bearable)}.`,
  );
}
