import { say, series } from '../../kernel/text.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';
import { dialShare } from '../starting/overload-setting.ts';
import { horsepowerOf } from '../../motor/standard-power.ts';
import { controllerSizes } from '../../kernel/tables/index.ts';
import { cellWording } from '../../kernel/tables/table.ts';
import { bothSpeeds, mostCurrent, ownStart, type Circuit } from './protection-input.ts';
import { arrangementOf } from './diagram/scheme.ts';
import { controlOf } from './control.ts';
import { coordinationOf } from './coordination.ts';
import { isAC4Duty } from '../starting/ac4-duty.ts';
import type { Comparison } from '../starting/comparison.ts';
import type { Report } from './findings.ts';
import { IN_WINDING } from '../starting/overload-setting.ts';
import type { StarterValues } from './starter-values.ts';
import type { CircuitDesign } from './circuit-design.ts';

/** Star-delta: main and delta contactors stand in the winding, the star contactor carries a third of the line. */
const IN_STAR = 1 / 3;
/** AC-4 asks for about twice the AC-3 size where the maker says no life. Common practice, no published source. */
const AC_4 = 2;
/** Locked-rotor current over rated from which a contactor should make twelve times its rating (AC-3e). Common practice. */
const HARD = 8;
/** A usual soft starter bears so many times its rating for so many s (AC-53a 3.5-15). Common practice; the item’s own code decides. */
const SOFT = { multiple: 3.5, seconds: 15 } as const;

/** Rated current of a soft starter, A: I²t of the start against what it bears, and at least the motor’s (IEC 60947-4-2 codes). */
export const softStarterRating = (
  running: number,
  limit: number,
  seconds: number,
  code: { readonly multiple: number; readonly seconds: number } = SOFT,
): number => running * Math.max(1, Math.sqrt((limit ** 2 * seconds) / (code.multiple ** 2 * code.seconds)));

const BYPASSED =
  'The bypass is AC-1 where it only carries, AC-3 where it must start the motor direct in need. The isolating contactor stands before it wherever people may touch what is behind; no capacitors behind it.';

/** What the starter is built of and must carry; nothing for a drive. */
export function starterOf(circuit: Circuit, { values, isOverload }: CircuitDesign, report: Report): StarterValues {
  const { starting, onDrive } = circuit;
  const { method } = starting;
  if (onDrive || method === undefined || method === 'drive') return {};
  const { tripClass } = starting.values;
  const own = ownStart(circuit);
  return {
    architecture: textValue(builtOf(circuit, isOverload), {
      origin: 'chosen',
      source: PRACTICE,
      note: method === 'soft starter' ? BYPASSED : undefined,
    }),
    coordination: coordinationOf(circuit, values, report),
    contactorCurrent: contactorOf(circuit),
    ...sizeOf(circuit),
    ...controlOf(circuit, report),
    ...(values.overloadDial ? { relayDial: values.overloadDial } : {}),
    ...lowerSpeed(circuit, report),
    ...(tripClass
      ? { tripClass: textValue(tripClass.value, { source: tripClass.working.source, note: 'As the start needs it.' }) }
      : {}),
    ...(method === 'autotransformer' && own ? { transformerPower: passedOn(circuit, own) } : {}),
    ...(method === 'soft starter' && own?.time !== undefined ? softOf(circuit, own, own.time, report) : {}),
  };
}

function builtOf(circuit: Circuit, isOverload: boolean): string {
  const first = isOverload ? 'motor-protective breaker' : 'short-circuit device';
  const relay = isOverload ? '' : ', overload relay';
  switch (arrangementOf(circuit)) {
    case 'soft starter':
      return `${first}, isolating contactor, soft starter with bypass${relay}`;
    case 'star-delta':
      return `${first}, main, delta and star contactors interlocked${relay}`;
    case 'autotransformer':
      return `${first}, three contactors, transformer with taps${relay}`;
    case 'two windings':
      return `${first}, a contactor and an overload relay for each speed, interlocked`;
    case 'tapped winding':
      return `${first}, a contactor and an overload relay for each speed, interlocked, and a contactor for the star point`;
    default: {
      const contactors = circuit.brief.job.starting.reversing === 'yes' ? 'two contactors interlocked' : 'contactor';
      return isOverload ? `two devices: ${first}, ${contactors}` : `three devices: ${first}, ${contactors}${relay}`;
    }
  }
}

/** What the soft starter must carry, by the code of the picked item or a usual one, and whether that does. */
function softOf(
  circuit: Circuit,
  own: Comparison,
  seconds: number,
  report: Report,
): Pick<StarterValues, 'softStarterCurrent'> {
  const { nameplateCurrent, motor, starting, pick, load } = circuit;
  const item = pick.starter?.parts.find(({ part }) => part.kind === 'soft starter')?.part;
  const code = item?.ac53 ?? SOFT;
  const said = `AC-53 ${code.multiple}-${code.seconds}`;
  const needed = quantity(
    softStarterRating(nameplateCurrent.value, own.current / motor.current, seconds, code),
    'current',
    {
      origin: 'estimated',
      formula: 'I_e \\ge I_n\\,\\max(1, \\sqrt{x^2 t/(X^2 T_x)})',
      from: { I_n: nameplateCurrent, t: starting.values.accelerationTime },
      source: `IEC 60947-4-2, ${item?.ac53 ? `${said} by the catalogue` : `${said}: ${PRACTICE}`}`,
      note: item?.ac53 ? undefined : 'The code on the item and its starts an hour decide.',
    },
  );
  if (item?.ac53) {
    const starts = load.values.startsPerHour;
    const { startsPerHour } = item.ac53;
    const fails = [
      needed.value > item.currentMax * 1.001 ? say`${needed} at least are asked for by this start` : '',
      starts && starts.value > startsPerHour ? say`${starts} starts an hour are wanted` : '',
    ].filter(Boolean);
    if (fails.length > 0)
      report(
        'protection.soft-starter',
        say`${item.name} is rated ${said}, ${startsPerHour} starts per hour; ${series(fails, ', and ')}.`,
      );
  }
  return { softStarterCurrent: needed };
}

/** Columns of NEMA ICS 2 by the voltages of a motor. */
const HORSEPOWERS = [
  ['hp_200v', 195, 219],
  ['hp_230v', 220, 240],
  ['hp_460_575v', 440, 600],
] as const;

/** The smallest NEMA size for current and horsepower at the voltage; jogged or plugged the next (from memory). Star-delta has sizes of its own. */
function sizeOf(circuit: Circuit): Pick<StarterValues, 'nemaSize'> {
  const { brief, motor, starting } = circuit;
  const column = HORSEPOWERS.find(([, low, high]) => motor.voltage >= low && motor.voltage <= high)?.[0];
  if (brief.job.school !== 'NEMA' || column === undefined || starting.method === 'star-delta') return {};
  const least = controllerSizes.rows.findIndex(
    (row) =>
      (controllerSizes.number(row, 'continuous') ?? 0) >= mostCurrent(circuit).value &&
      (controllerSizes.number(row, column) ?? 0) * 1.01 >= horsepowerOf(motor.power),
  );
  const hard = isAC4Duty(brief.job.starting);
  const row = least < 0 ? undefined : controllerSizes.rows[hard ? least + 1 : least];
  const size = cellWording(controllerSizes, row, 'size');
  if (!size) return {};
  return {
    nemaSize: textValue(say`NEMA ${size.value}`, {
      origin: 'recalled',
      source: size.working.source,
      note: series([hard ? 'Jogged or plugged: the next size.' : '', size.working.note ?? ''], ' ') || undefined,
    }),
  };
}

/** VA that the transformer passes on while the motor starts: √3 V I of the line. */
function passedOn({ supply, motor, starting }: Circuit, own: Comparison): Value {
  const volts = supply.values.voltage ?? quantity(motor.voltage, 'voltage', { source: 'nameplate' });
  return quantity(Math.sqrt(3) * volts.value * own.current, 'apparentPower', {
    origin: 'estimated',
    formula: 'S = \\sqrt3\\,V\\,I',
    from: { V: volts, I: starting.values.startingCurrent, t: starting.values.accelerationTime },
    source: 'definition',
    note: 'For as long as each start takes; how often an hour it bears that, its item says.',
  });
}

/** The relay of the lower speed, set to its own current, and what changing down asks (common practice, no published source). */
function lowerSpeed(circuit: Circuit, report: Report): Pick<StarterValues, 'lowDial'> {
  const speeds = bothSpeeds(circuit);
  if (!speeds && circuit.nameplate.speeds?.both)
    report('protection.one-speed', `Both speeds are wanted; ${circuit.motor.label} has one, and so has its starter.`);
  if (!speeds) return {};
  const { brief, motor, starting } = circuit;
  if (starting.method !== 'direct')
    report(
      'protection.speeds-start',
      `Both speeds are wanted; ${starting.method} is not worked out for two, its wiring is that of one speed.`,
    );
  else
    report(
      'protection.speed-change',
      'Changed down from the higher speed it brakes as a generator: a timer waits until it has slowed down. One relay guards each speed.',
    );
  const slow = speeds.all.findIndex((each) => speeds.all.every(({ value }) => each.value <= value));
  const current = speeds.currents[slow];
  if (!current) {
    report(
      'protection.speed-current',
      'The plate does not tell the current of each speed: the relay of the lower one cannot be set.',
    );
    return {};
  }
  const share = dialShare(brief.job, motor.serviceFactor);
  return {
    lowDial: quantity(share * current.value, 'current', {
      formula: share === 1 ? 'I_r = I_n' : `I_r = ${share.toFixed(3)}\\,I_n`,
      from: { I_n: current, n: speeds.all[slow] },
      source: `NEC 430.32 and IEC 60947-4-1, by the current of that speed: ${PRACTICE}`,
    }),
  };
}

function contactorOf(circuit: Circuit): Value {
  const { brief, motor, starting } = circuit;
  const nameplateCurrent = mostCurrent(circuit);
  const { starting: asked } = brief.job;
  const hard = isAC4Duty(asked);
  const share = (starting.method === 'star-delta' ? IN_WINDING : 1) * (hard ? AC_4 : 1);
  const star = quantity(IN_STAR * nameplateCurrent.value, 'current', { source: 'definition' });
  const notes = [
    starting.method === 'star-delta' ? say`Main and delta; the star contactor carries ${star}.` : '',
    hard ? 'Inched or plugged: AC-4, about twice the AC-3 size; NEMA: the next size.' : '',
    motor.lockedRotorCurrent > HARD * motor.current
      ? 'It draws more than eight times its current at standstill: AC-3e, or the next size.'
      : '',
  ];
  return quantity(share * nameplateCurrent.value, 'current', {
    formula: share === 1 ? 'I_e \\ge I_n' : `I_e \\ge ${share.toFixed(3)}\\,I_n`,
    from: { I_n: nameplateCurrent },
    source: 'IEC 60947-4-1, AC-3 at the system voltage; NEMA: size and horsepower at the voltage (from memory)',
    note: series(notes, ' ') || undefined,
  });
}
