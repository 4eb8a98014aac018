import { amount, say, type Text, series } from '../../kernel/text.ts';
import { overload } from '../../kernel/tables/index.ts';
import { cellValue } from '../../kernel/tables/table.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import { dialShare, hasReserve, IN_WINDING } from '../starting/overload-setting.ts';
import { ownStart, type Circuit } from './protection-input.ts';
import { classTimes } from '../starting/trip-class.ts';
import { tripUse } from '../starting/trip-curve.ts';
import type { Report } from './findings.ts';

const IEC_RELAY = 'IEC 60947-4-1 (recalled from memory)';

function serviceFactorOf({ motor, nameplate }: Circuit): Value {
  const typed = motor.kind === 'plate' ? nameplate.values.serviceFactor : undefined;
  if (typed) return typed;
  const picked = motor.kind === 'picked';
  return quantity(motor.serviceFactor, 'count', {
    origin: picked ? 'looked up' : 'estimated',
    source: picked ? 'catalogue' : PRACTICE,
    note: picked ? undefined : 'None is known: 1.0 is taken.',
  });
}

/** What the relay is set to: as typed, else as the motor asks. */
export function dialOf(circuit: Circuit, report: Report): Value {
  const proper = properDial(circuit);
  const typed = circuit.brief.given.protection.dial;
  if (!typed) return proper;
  checkDial(typed, proper, circuit, report);
  return typed;
}

/** On a drive no relay guards the motor: a dial that was typed is not used, and that is said. */
export function checkUnusedDial({ brief }: Circuit, report: Report): void {
  const { dial } = brief.given.protection;
  if (dial)
    report(
      'protection.dial-unused',
      say`The overload relay setting of ${dial} is not used: the drive protects the motor.`,
      {
        mends: [{ label: 'Clear the setting', set: { 'protection.dial': '' } }],
      },
    );
}

/** A dial that guards too little, or trips what starts or runs. */
function checkDial(typed: Value, proper: Value, circuit: Circuit, report: Report): void {
  const { load, motor, starting, nameplateCurrent } = circuit;
  const mends = [{ label: say`Take ${proper}`, set: { 'protection.dial': '' } }];
  if (typed.value > proper.value * 1.001)
    report('protection.dial-high', say`The overload relay setting is ${typed}, maximum ${proper}.`, { mends });
  const inRelay = starting.method === 'star-delta' ? IN_WINDING : 1;
  const running = ((load.values.motorPower?.value ?? 0) / motor.power) * nameplateCurrent.value * inRelay;
  const start = ownStart(circuit);
  const used =
    start?.trace && start.time !== undefined
      ? tripUse(start.trace, typed.value / inRelay, classTimes(start.relayClass).fastest, starting.setting?.warm ?? 0)
      : 0;
  const does = [
    ...(used >= 1 ? ['before the start is through'] : []),
    ...(typed.value < running * 0.999
      ? [say`while the machine runs: about ${amount(running, 'current')} flow through it`]
      : []),
  ];
  if (does.length > 0)
    report('protection.dial-low', say`The overload relay set to ${typed} trips ${series(does, ', and ')}.`, { mends });
}

/** What the motor asks of the relay. The code’s percentage limits where it trips and is no value for the dial. */
function properDial(circuit: Circuit): Value {
  const { brief, motor, nameplateCurrent, starting, holds } = circuit;
  const { job } = brief;
  const starDelta = starting.method === 'star-delta';
  const share = dialShare(job, motor.serviceFactor) * (starDelta ? IN_WINDING : 1);
  return quantity(nameplateCurrent.value * share, 'current', {
    formula: share === 1 ? 'I_r = I_n' : `I_r = ${share.toFixed(3)}\\,I_n`,
    from: { I_n: nameplateCurrent, SF: serviceFactorOf(circuit) },
    source: job.school === 'IEC' ? IEC_RELAY : PRACTICE,
    note: [
      starDelta ? 'The relay sits in the winding, which carries 0.577 of the line current.' : '',
      job.school === 'NEMA' && !hasReserve(job, motor.serviceFactor)
        ? 'Without a service factor of 1.15 or a rise of 40 °C the dial goes down by 115 : 125.'
        : '',
      'A relay marked in motor amperes; the table on the relay itself decides.',
      holds,
    ]
      .filter(Boolean)
      .join(' '),
  });
}

/** What the drive’s own motor protection is set to. */
export const driveOverload = ({ nameplateCurrent, holds }: Circuit): Value =>
  quantity(nameplateCurrent.value, 'current', {
    formula: 'I_{set} = I_n',
    from: { I_n: nameplateCurrent },
    source: PRACTICE,
    note: `On a drive the service factor is spent by the extra heat. ${holds}`,
  });

/** The motor’s own current, which IEC relays are set to. */
export const overloadByIec = ({ nameplateCurrent, holds }: Circuit): Value =>
  quantity(nameplateCurrent.value, 'current', {
    formula: 'I_r = I_n',
    from: { I_n: nameplateCurrent },
    source: IEC_RELAY,
    note: `Of the line. ${holds}`,
  });

/** Where the overload must have tripped: 125 or 115 % of the nameplate current. */
export function overloadByNec(circuit: Circuit): Value | undefined {
  const { brief, motor, nameplateCurrent, holds } = circuit;
  const { job } = brief;
  const otherwise = hasReserve(job, motor.serviceFactor) ? 'rise_40_c_or_less' : 'all_other';
  const rule = motor.serviceFactor >= 1.15 ? 'sf_1_15_or_more' : otherwise;
  const percent = cellValue(overload, overload.row('(A)(1)', rule), 'max_percent', {
    dimension: 'fraction',
    factor: 0.01,
  });
  return (
    percent &&
    quantity(nameplateCurrent.value * percent.value, 'current', {
      formula: 'I_{OL} = k\\,I_n',
      from: { k: percent, I_n: nameplateCurrent, SF: serviceFactorOf(circuit) },
      source: 'NEC 430.32(A)(1), nameplate current by 430.6(A)(2)',
      note: `The trip, at most; no value for the dial. ${holds}`,
    })
  );
}

const DIALLED: readonly string[] = ['overload relay', 'motor breaker'];

/** A dial outside the picked relay’s range cannot be set. */
export function checkRelay(dial: Value, { pick }: Circuit, report: Report): void {
  const relay = pick.starter?.parts.find(({ part: { kind } }) => DIALLED.includes(kind))?.part;
  if (!relay || (dial.value >= relay.currentMin * 0.999 && dial.value <= relay.currentMax * 1.001)) return;
  const amperes = (current: number): Text => amount(current, 'current');
  report(
    'protection.dial-outside',
    say`The overload relay setting is ${dial}; ${relay.name} covers ${amperes(relay.currentMin)} to ${amperes(relay.currentMax)}.`,
  );
}
