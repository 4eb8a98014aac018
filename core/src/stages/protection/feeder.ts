import { amount, say, textOf } from '../../kernel/text.ts';
import { gGGates } from '../../kernel/tables/index.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../kernel/value.ts';
import type { OptionContext } from '../stage.ts';
import type { Circuit } from './protection-input.ts';
import { gGSizes } from './iec/device.ts';
import { largestDevice, standardSizes } from './nec/nec-device.ts';
import type { ProtectionValues } from './values.ts';

export type Feeder = Pick<Partial<ProtectionValues>, 'feederAmpacity' | 'feederDeviceMax' | 'feederDevice'>;

/** A circuit on the feeder. */
export interface OnFeeder {
  readonly name: string;
  readonly kind: 'motor' | 'continuous' | 'other';
  /** A of its wires. */
  readonly current: Value;
  /** A of its own short-circuit device; undefined where it is not known. */
  readonly device: Value | undefined;
  /** How that is called where it has no rating to go by: a motor breaker. */
  readonly called?: string | undefined;
}

/** Wires of a feeder carry a quarter more of the largest motor and of what runs three hours or longer (NEC 430.24, 215.2). */
const QUARTER = 0.25;
/** A fuse before fuses gG lets them clear alone from this ratio of ratings on. IEC 60269-1, from memory. */
const SELECTIVE = 1.6;

/** What hangs on the feeder of this circuit as typed, this circuit first; none where nothing else does. */
function circuitsOn({ brief }: Circuit, own: Omit<OnFeeder, 'name' | 'kind'>): readonly OnFeeder[] {
  const others = brief.rows['protection.others'].flatMap(({ at, current, device }): OnFeeder[] => {
    const typed = brief.job.protection.others[at];
    return current
      ? [{ name: typed?.circuit || `Circuit ${at + 2}`, kind: typed?.kind ?? 'motor', current, device }]
      : [];
  });
  return others.length === 0 ? [] : [{ name: 'this motor', kind: 'motor', ...own }, ...others];
}

const sum = (all: readonly OnFeeder[]): number => all.reduce((total, { current }) => total + current.value, 0);
const largestOf = <Each>(all: readonly Each[], size: (each: Each) => number): Each | undefined =>
  all.reduce<Each | undefined>(
    (most, each) => (most === undefined || size(each) > size(most) ? each : most),
    undefined,
  );

/** A of this motor in its feeder: of its drive’s input where it has one. */
function ownCurrent({ onDrive, pick }: Circuit, wires: Value | undefined): Value | undefined {
  const input = onDrive ? pick.chosenDrive?.item.inputCurrent : undefined;
  return input === undefined ? wires : quantity(input, 'current', { origin: 'looked up', source: 'catalogue' });
}

/** What the circuit counts with on a feeder, and the feeder itself where something else hangs on it. */
export function feederOf(
  circuit: Circuit,
  wires: Value | undefined,
  device: Value | undefined,
): Partial<ProtectionValues> {
  const current = ownCurrent(circuit, wires);
  if (!current) return {};
  const own = { feederCurrent: current, ...(device ? { deviceRating: device } : {}) };
  const all = circuitsOn(circuit, { current, device });
  if (all.length === 0) return own;
  const { school, protection } = circuit.brief.job;
  const feeder =
    school === 'NEMA'
      ? feederByNec(all, protection.device, (each) => largestDevice(each, circuit))
      : feederByIec(all, circuit.brief.given.protection.simultaneity);
  return { ...own, ...feeder };
}

/**
 * NEC 430.24 and 430.62: the largest motor a quarter more, the largest device and what else runs beside it. `largestFor` says the largest
 * device that a motor whose device is not known may have.
 */
export function feederByNec(
  all: readonly OnFeeder[],
  kind: OptionContext['job']['protection']['device'],
  largestFor: (current: Value) => Value | undefined,
): Feeder {
  const motors = all.filter(({ kind }) => kind === 'motor');
  const largest = largestOf(motors, ({ current }) => current.value);
  const continuous = sum(all.filter(({ kind }) => kind === 'continuous'));
  const devices = motors.map((each) => ({
    each,
    device: each.device ?? largestFor(each.current),
    assumed: each.device === undefined,
  }));
  const before = largestOf(devices, ({ device }) => device?.value ?? 0);
  const total = sum(all);
  const ampacity = quantity(total + QUARTER * ((largest?.current.value ?? 0) + continuous), 'current', {
    formula: 'I_z = \\textstyle\\sum I + 0.25\\,(I_{max} + I_{cont})',
    from: { 'I_{max}': largest?.current },
    source: 'NEC 430.24, 215.2 (from memory)',
    note: `${all.length} circuits; the largest motor is ${largest?.name ?? 'none'}.`,
  });
  if (!before?.device) return { feederAmpacity: ampacity };
  const most = before.device.value + total - before.each.current.value;
  const rating = standardSizes(kind !== 'inverse time breaker').findLast((each) => each <= most + 1e-9);
  const guessed = devices.filter(({ assumed, device }) => assumed && device).length;
  return {
    feederAmpacity: ampacity,
    ...(rating === undefined
      ? {}
      : {
          feederDeviceMax: quantity(rating, 'current', {
            origin: 'recalled',
            formula: 'I_{dev} \\le I_{dev,max} + \\textstyle\\sum I_{others},\\ \\text{standard size below}',
            from: { 'I_{dev,max}': before.device },
            source: 'NEC 430.62(A), 430.63, 240.6(A)',
            note: say`At most ${amount(most, 'current')}; the largest device is that of ${before.each.name}.${guessed > 0 ? ` ${guessed === 1 ? 'One device' : `${guessed} devices`} not typed: the largest that 430.52 allows stands in.` : ''}`,
          }),
        }),
  };
}

/** What runs at the same time, and a fuse that lets those behind it clear alone. */
export function feederByIec(all: readonly OnFeeder[], share: Value | undefined): Feeder {
  const at = share?.value ?? 1;
  const demand = at * sum(all);
  const ampacity = quantity(demand, 'current', {
    formula: 'I_B = g\\,\\textstyle\\sum I',
    from: { g: share },
    source: `IEC 60364-1, 311 (from memory): what runs at once, ${PRACTICE}`,
    note: say`${all.length} circuits, ${share ? textOf(share) : 'all of them'} at the same time.`,
  });
  const behind = largestOf(all, ({ device }) => device?.value ?? 0)?.device;
  const byMaker = all.some(({ device, called }) => !device && called);
  const least = Math.max(demand, SELECTIVE * (behind?.value ?? 0));
  const rating = gGSizes.find((each) => each >= least - 1e-9);
  return {
    feederAmpacity: ampacity,
    ...(rating === undefined
      ? {}
      : {
          feederDevice: textValue(`Fuses gG ${rating} A or larger`, {
            origin: 'recalled',
            formula: 'I_n \\ge \\max(I_B,\\ 1.6\\,I_{n,max})',
            from: { I_B: ampacity, 'I_{n,max}': behind },
            source: gGGates.source,
            note: [
              behind
                ? '1.6 times the largest fuse behind it, so that that alone clears.'
                : byMaker
                  ? ''
                  : 'No device behind it is known: whether it alone clears is not said.',
              byMaker ? 'Up to which current a motor breaker behind it clears alone, its maker’s table says.' : '',
              'The feeder’s cable must carry it.',
            ]
              .filter(Boolean)
              .join(' '),
          }),
        }),
  };
}
