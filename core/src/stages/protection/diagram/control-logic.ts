import { hasRelay, isTwoSpeed, type Item, type Scheme } from './scheme.ts';
import type { Symbol } from './symbols.ts';

/** A contact or a load in a path, with the numbers of its terminals by IEC 60947-1 Annex M. */
export interface Step {
  readonly symbol: Symbol;
  readonly item: Item;
  readonly terminals: readonly [string, string];
  /** What it says beside it. */
  readonly says?: string;
}

/** Some contacts beside each other, either of which closes the path. */
interface Either {
  readonly either: readonly Step[];
}
/** A place in a path from which others start. */
interface Mark {
  readonly mark: string;
}

export type PathPart = Step | Either | Mark;

export interface Path {
  /** Where it starts: at the line of the control voltage, or at a mark. */
  readonly from: string;
  readonly parts: readonly PathPart[];
}

const contact =
  (symbol: Symbol) =>
  (item: Item, first: number, second = first + 1): Step => ({
    symbol,
    item,
    terminals: [String(first), String(second)],
  });
const make = contact('make');
const breaks = contact('break');
const lateMake = contact('late make');
const lateBreak = contact('late break');
const press = (item: Item): Step => contact('push make')(item, 13);
const coil = (item: Item): Step => ({ symbol: 'coil', item, terminals: ['A1', 'A2'] });
const timer: Step = { symbol: 'timer', item: 'K1', terminals: ['A1', 'A2'] };
const input = (says: string): Step => ({ symbol: 'coil', item: 'T1', terminals: ['', ''], says });
const lamp = (says: string): Step => ({ symbol: 'lamp', item: 'P1', terminals: ['X1', 'X2'], says });
const either = (...steps: Step[]): Either => ({ either: steps });
const mark = (name: string): Mark => ({ mark: name });

/** What trips stands before what stops, and both before what starts: a broken wire stops it. */
function guards(scheme: Scheme): PathPart[] {
  const trips: Step[] = [];
  if (scheme.device === 'motor breaker') trips.push(make('F1', 13));
  if (hasRelay(scheme)) trips.push(contact('tripped break')('F2', 95));
  if (isTwoSpeed(scheme.arrangement)) trips.push(contact('tripped break')('F3', 95));
  return [...trips, contact('emergency stop')('S0', 11), contact('push break')('S1', 21)];
}

const started = (by: Item, held: Item): Either => either(press(by), make(held, 13));

/** Paths of the control circuit: what must be closed for each coil. */
export function pathsOf(scheme: Scheme): Path[] {
  const guarded = guards(scheme);
  const told = contact('tripped make');
  const by = isTwoSpeed(scheme.arrangement) ? either(told('F2', 97), told('F3', 97)) : told('F2', 97);
  const tripped: Path[] = hasRelay(scheme) ? [{ from: 'line', parts: [by, lamp('tripped')] }] : [];
  return [...LOGIC[scheme.arrangement](guarded), ...tripped];
}

/** The lower speed, while the contactor of the higher one is open and its timer has run out. */
const slow = (guarded: readonly PathPart[], fast: Item): Path => ({
  from: 'line',
  parts: [
    ...guarded,
    mark('ready'),
    started('S2', 'Q2'),
    breaks(fast, 21),
    { ...lateBreak('K1', 15, 16), says: 'late to close' },
    coil('Q2'),
  ],
});
const LATER: Path = { from: 'fast', parts: [{ ...timer, says: 'off-delay' }] };

const LOGIC: Readonly<Record<Scheme['arrangement'], (guarded: readonly PathPart[]) => Path[]>> = {
  direct: (guarded) => [{ from: 'line', parts: [...guarded, started('S2', 'Q2'), coil('Q2')] }],
  reversing: (guarded) => [
    { from: 'line', parts: [...guarded, mark('ready'), started('S2', 'Q2'), breaks('Q3', 21), coil('Q2')] },
    { from: 'ready', parts: [started('S3', 'Q3'), breaks('Q2', 21), coil('Q3')] },
  ],
  // The star contactor closes first, then the line; the timer opens the star and lets the delta in.
  'star-delta': (guarded) => [
    {
      from: 'line',
      parts: [...guarded, started('S2', 'Q2'), mark('run'), lateBreak('K1', 15, 16), breaks('Q3', 21), coil('Q4')],
    },
    { from: 'run', parts: [timer] },
    { from: 'run', parts: [either(make('Q4', 13), make('Q2', 23)), coil('Q2')] },
    { from: 'run', parts: [lateMake('K1', 17, 18), breaks('Q4', 21), coil('Q3')] },
  ],
  // The star point opens before the line closes: the transformer stays in the way, so that the motor is never without voltage.
  autotransformer: (guarded) => [
    { from: 'line', parts: [...guarded, started('S2', 'K2'), mark('run'), coil('K2')] },
    { from: 'run', parts: [timer] },
    { from: 'run', parts: [lateBreak('K1', 15, 16), breaks('Q2', 21), coil('Q4')] },
    { from: 'run', parts: [either(make('Q4', 13), make('Q3', 13)), breaks('Q2', 31), coil('Q3')] },
    { from: 'run', parts: [lateMake('K1', 17, 18), breaks('Q4', 21), coil('Q2')] },
  ],
  'soft starter': (guarded) => [
    { from: 'line', parts: [...guarded, started('S2', 'Q2'), mark('run'), coil('Q2')] },
    { from: 'run', parts: [make('Q2', 23), input('start')] },
    { from: 'run', parts: [{ ...make('T1', 13), says: 'at full voltage' }, coil('Q3')] },
  ],
  // The timer keeps the lower speed away until the motor has slowed down.
  'two windings': (guarded) => [
    slow(guarded, 'Q3'),
    { from: 'ready', parts: [started('S3', 'Q3'), breaks('Q2', 21), mark('fast'), coil('Q3')] },
    LATER,
  ],
  'tapped winding': (guarded) => [
    slow(guarded, 'Q4'),
    { from: 'ready', parts: [started('S3', 'Q4'), breaks('Q2', 21), mark('fast'), coil('Q4')] },
    { from: 'fast', parts: [make('Q4', 23), coil('Q3')] },
    LATER,
  ],
  drive: (guarded) => [
    { from: 'line', parts: [...guarded, started('S2', 'K2'), mark('run'), coil('K2')] },
    { from: 'run', parts: [make('K2', 23), input('run')] },
    { from: 'line', parts: [contact('emergency stop')('S0', 21), input('STO')] },
    { from: 'line', parts: [{ ...make('T1', 97), says: 'fault' }, lamp('fault')] },
  ],
};
