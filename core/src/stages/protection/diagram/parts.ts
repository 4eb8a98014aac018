import { controlCircuit } from './control.ts';
import type { Drawing } from './drawing.ts';
import { powerCircuit } from './power.ts';
import { isTwoSpeed, nameOf, type Arrangement, type Item, type Scheme } from './scheme.ts';

/** A line of the bill of parts. */
export interface PartLine {
  /** As the diagrams call it. */
  readonly name: string;
  /** As the schedules call it. */
  readonly item: Item;
  readonly what: string;
  /** Its make, rating or setting; empty where it is not known yet. */
  readonly known: string;
}

export interface Diagrams {
  readonly power: Drawing;
  readonly control: Drawing;
  readonly parts: readonly PartLine[];
}

const CONTACTORS: Readonly<Record<Arrangement, readonly string[]>> = {
  direct: ['Contactor'],
  reversing: ['Contactor, forward', 'Contactor, reverse'],
  'star-delta': ['Line contactor', 'Delta contactor', 'Star contactor'],
  autotransformer: ['Line contactor', 'Transformer contactor', 'Star-point contactor'],
  'soft starter': ['Isolating contactor', 'Bypass contactor'],
  'two windings': ['Contactor, lower speed', 'Contactor, higher speed'],
  'tapped winding': ['Contactor, lower speed', 'Contactor, higher speed', 'Contactor, star point of the higher speed'],
  drive: [],
};

function whatOf(item: Item, { arrangement, device }: Scheme): string {
  const [first = 'Contactor', second = 'Contactor', third = 'Contactor'] = CONTACTORS[arrangement];
  const low = isTwoSpeed(arrangement);
  const words: Readonly<Record<Item, string>> = {
    Q1: 'Isolator, lockable',
    F1: { 'motor breaker': 'Motor-protective breaker', breaker: 'Circuit breaker', fuses: 'Fuses, three' }[device],
    Q2: first,
    Q3: second,
    Q4: third,
    F2: low ? 'Overload relay, lower speed' : 'Overload relay',
    F3: 'Overload relay, higher speed',
    T1: arrangement === 'drive' ? 'Drive' : 'Soft starter',
    T3: 'Autotransformer with taps',
    M1: 'Motor',
    T2: 'Control transformer',
    F4: 'Fuses of its primary, two',
    F5: 'Fuse of the control circuit',
    S0: 'Emergency stop',
    S1: 'Stop button',
    S2: arrangement === 'reversing' ? 'Start button, forward' : low ? 'Start button, slow' : 'Start button',
    S3: arrangement === 'reversing' ? 'Start button, reverse' : 'Start button, fast',
    K1: 'Timer',
    K2: 'Control relay',
    P1: 'Lamp',
  };
  return words[item];
}

/** Both circuits, and every part that is drawn in them. */
export function diagramsOf(scheme: Scheme): Diagrams {
  const [power, control] = [powerCircuit(scheme), controlCircuit(scheme)];
  const items = [...new Set([...power.items, ...control.items])];
  return {
    power,
    control,
    parts: items.map((item) => ({
      name: nameOf(item, scheme),
      item,
      what: whatOf(item, scheme),
      known: scheme.known[item] ?? '',
    })),
  };
}
