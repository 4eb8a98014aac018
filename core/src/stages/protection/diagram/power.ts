import { SchematicWriter, type Drawing, type Point } from './drawing.ts';
import { hasRelay, type Item, type Scheme } from './scheme.ts';
import { LENGTH, type Symbol } from './symbols.ts';

/** Between two phases. */
const PITCH = 26;
/** Between two columns of poles. */
const COLUMN = 150;
/** From one device to the next: a wire with its number between them. */
const STEP = LENGTH + 26;
const PHASES = [0, 1, 2] as const;
const LINES = ['L1', 'L2', 'L3'] as const;

/** Symbols of which nothing moves. */
const STILL: readonly Symbol[] = ['fuse', 'release', 'thyristors'];

/** Draws three poles at a time. */
class PowerPen extends SchematicWriter {
  /** Names the potentials at a height, 1L1 to 1L3. */
  numbers(x: number, y: number, names: readonly string[]): void {
    for (const at of PHASES) this.say(names[at] ?? '', [x + at * PITCH + 3, y], 'wire');
  }

  down(x: number, from: number, to: number): void {
    for (const at of PHASES) this.wire([x + at * PITCH, from], [x + at * PITCH, to]);
  }

  /** Three poles of an item, their terminals numbered, and what moves them together. */
  poles(symbol: Symbol, item: Item, [x, y]: Point): void {
    const switches = !STILL.includes(symbol);
    for (const at of PHASES) {
      const own = x + at * PITCH;
      this.symbol(symbol, [own, y]);
      if (!switches) continue;
      const [upper, lower] = this.scheme.school === 'IEC' ? [2 * at + 1, 2 * at + 2] : [`L${at + 1}`, `T${at + 1}`];
      this.say(String(upper), [own + 5, y + 8], 'terminal');
      this.say(String(lower), [own + 5, y + LENGTH - 1], 'terminal');
    }
    if (switches)
      this.dashed.push([
        [x - 5, y + LENGTH / 2],
        [x + 2 * PITCH - 5, y + LENGTH / 2],
      ]);
    else if (symbol !== 'fuse') this.frame(x, y + 5, 30);
    // What trips a breaker belongs to it.
    if (symbol !== 'release' || item !== 'F1') this.name(item, [x - 22, y + LENGTH / 2 + 4], 'end');
  }

  frame(x: number, y: number, tall: number): void {
    const [left, right] = [x - 14, x + 2 * PITCH + 14];
    this.dashed.push([
      [left, y],
      [right, y],
      [right, y + tall],
      [left, y + tall],
      [left, y],
    ]);
  }

  /** Three wires from one column to the next, each at its own height, joined there. */
  across([x, y]: Point, to: number, order: readonly number[] = PHASES): void {
    for (const at of PHASES) {
      const height = y + at * 7;
      const target = to + (order[at] ?? at) * PITCH;
      this.wire([x + at * PITCH, height], [target, height]);
      this.joints.push([x + at * PITCH, height]);
    }
  }

  /** From the height of a wire that came across down to another. */
  dropped(to: number, y: number, end: number, order: readonly number[] = PHASES): void {
    for (const at of PHASES) {
      const target = to + (order[at] ?? at) * PITCH;
      this.wire([target, y + at * 7], [target, end]);
    }
  }

  motor(x: number, y: number, terminals: readonly string[]): void {
    const middle = x + PITCH;
    this.circles.push({ at: [middle, y + 52], radius: 26 });
    for (const at of PHASES) {
      const own = x + at * PITCH;
      this.wire([own, y], [own, y + (at === 1 ? 26 : 46)]);
      this.say(terminals[at] ?? '', [own + 3, y + 12], 'terminal');
    }
    this.say('M', [middle, y + 51], 'item', 'middle');
    this.say('3~', [middle, y + 65], 'item', 'middle');
    this.name('M1', [x - 22, y + 56], 'end');
  }
}

const terminals = ({ school }: Scheme): { readonly first: readonly string[]; readonly second: readonly string[] } =>
  school === 'IEC'
    ? { first: ['U1', 'V1', 'W1'], second: ['W2', 'U2', 'V2'] }
    : { first: ['T1', 'T2', 'T3'], second: ['T6', 'T4', 'T5'] };
const three = (prefix: string, names: readonly string[]): string[] => names.map((name) => `${prefix}${name}`);
const shaftNames = ({ school }: Scheme): readonly string[] => (school === 'IEC' ? ['U', 'V', 'W'] : ['T1', 'T2', 'T3']);

/** The power circuit, from the supply to the motor’s terminals. */
export function powerCircuit(scheme: Scheme): Drawing {
  const pen = new PowerPen(scheme);
  const { device, arrangement } = scheme;
  pen.numbers(0, 0, LINES);
  pen.down(0, 4, 12);
  let y = 12;
  if (device !== 'breaker') {
    pen.poles('isolator', 'Q1', [0, y]);
    pen.down(0, y + LENGTH, y + STEP);
    pen.numbers(0, y + LENGTH + 17, three('1', LINES));
    y += STEP;
  }
  pen.poles(device === 'fuses' ? 'fuse' : 'breaker', 'F1', [0, y]);
  y += LENGTH;
  if (device === 'motor breaker') {
    pen.poles('release', 'F1', [0, y - 4]);
    pen.say('I>', [2 * PITCH + 18, y + 22], 'terminal');
    y += LENGTH - 4;
  }
  pen.down(0, y, y + 26);
  pen.numbers(0, y + 17, three('2', LINES));
  pen.say(scheme.control === 'dc' ? '' : 'to control circuit: 2L1, 2L2', [2 * PITCH + 24, y + 14], 'terminal');
  y += 26;
  WAYS[arrangement](pen, y);
  return pen.done(`Power circuit, ${arrangement}`);
}

/** Two contactors beside each other, fed by the same wires. */
function besides(pen: PowerPen, y: number): void {
  pen.across([0, y], COLUMN);
  pen.dropped(COLUMN, y, y + 26);
  pen.down(0, y, y + 26);
  pen.poles('contactor', 'Q2', [0, y + 26]);
  pen.poles('contactor', 'Q3', [COLUMN, y + 26]);
}

/** A relay in the way, if the motor has one of its own. */
function relay(pen: PowerPen, item: Item, [x, y]: Point): number {
  if (!hasRelay(pen.scheme)) return y;
  pen.poles('release', item, [x, y]);
  return y + LENGTH;
}

const WAYS: Readonly<Record<Scheme['arrangement'], (pen: PowerPen, y: number) => void>> = {
  direct: (pen, y) => {
    pen.poles('contactor', 'Q2', [0, y]);
    pen.motor(0, relay(pen, 'F2', [0, y + LENGTH]), terminals(pen.scheme).first);
  },
  reversing: (pen, y) => {
    const second = COLUMN;
    besides(pen, y);
    pen.dashed.push([
      [2 * PITCH, y + 46],
      [second - 48, y + 46],
    ]);
    const end = y + 26 + LENGTH;
    // Two phases are exchanged behind the second contactor.
    pen.dropped(second, end + 22, end, [2, 1, 0]);
    pen.across([0, end + 22], second, [2, 1, 0]);
    pen.down(0, end, end + 40);
    pen.motor(0, relay(pen, 'F2', [0, end + 40]), terminals(pen.scheme).first);
  },
  'star-delta': (pen, y) => {
    const { first, second } = terminals(pen.scheme);
    const [delta, star] = [COLUMN, 2 * COLUMN];
    besides(pen, y);
    pen.poles('contactor', 'Q4', [star, y + 26]);
    // The star point over the contactor that makes it.
    pen.wire([star, y + 26], [star + 2 * PITCH, y + 26]);
    const end = y + 26 + LENGTH;
    pen.across([delta, end + 8], star);
    pen.dropped(star, end + 8, end);
    pen.down(delta, end, end + LENGTH + 8);
    const under = relay(pen, 'F2', [0, end]);
    pen.down(0, under, end + LENGTH + 8);
    sixLeads(pen, end + LENGTH + 8, [0, delta], [first, second]);
  },
  autotransformer: (pen, y) => {
    const [feed, point] = [COLUMN, 2 * COLUMN];
    besides(pen, y);
    const end = y + 26 + LENGTH;
    for (const at of PHASES) pen.symbol('winding', [feed + at * PITCH, end]);
    pen.name('T3', [feed + 2 * PITCH + 16, end + 24], 'start');
    // Its taps to the motor, its lower ends to the contactor that joins them.
    for (const at of PHASES) pen.wire([feed + at * PITCH, end + 28], [feed + at * PITCH - 9, end + 28]);
    for (const at of PHASES)
      pen.wire(
        [feed + at * PITCH - 9, end + 28],
        [feed + at * PITCH - 9, end + 50 + at * 7],
        [at * PITCH, end + 50 + at * 7],
      );
    for (const at of PHASES) pen.joints.push([at * PITCH, end + 50 + at * 7]);
    for (const at of PHASES)
      pen.wire(
        [feed + at * PITCH, end + LENGTH],
        [feed + at * PITCH, end + 76 + at * 7],
        [point + at * PITCH, end + 76 + at * 7],
        [point + at * PITCH, y + 26 + LENGTH],
      );
    pen.poles('contactor', 'Q4', [point, y + 26]);
    pen.wire([point, y + 26], [point + 2 * PITCH, y + 26]);
    pen.down(0, end, end + 72);
    pen.motor(0, relay(pen, 'F2', [0, end + 72]), terminals(pen.scheme).first);
  },
  'soft starter': (pen, y) => {
    const bypass = COLUMN;
    pen.poles('contactor', 'Q2', [0, y]);
    const top = y + LENGTH;
    pen.down(0, top, top + 26);
    pen.across([0, top + 4], bypass);
    pen.dropped(bypass, top + 4, top + 26);
    pen.poles('thyristors', 'T1', [0, top + 26]);
    pen.poles('contactor', 'Q3', [bypass, top + 26]);
    const end = top + 26 + LENGTH;
    pen.down(0, end, end + 26);
    pen.across([0, end + 4], bypass);
    pen.dropped(bypass, end + 4, end);
    pen.motor(0, relay(pen, 'F2', [0, end + 26]), terminals(pen.scheme).first);
  },
  'two windings': (pen, y) => {
    const { end, fast } = eachSpeed(pen, y);
    twoSpeedMotor(pen, end, fast);
  },
  'tapped winding': (pen, y) => {
    const { end, fast } = eachSpeed(pen, y);
    const star = fast + COLUMN;
    // At the higher speed the ends of the lower one are joined.
    pen.poles('contactor', 'Q4', [star, y + 26]);
    pen.wire([star, y + 26], [star + 2 * PITCH, y + 26]);
    pen.dropped(star, end + 4, y + 26 + LENGTH);
    pen.across([0, end + 4], star);
    pen.down(0, end, end + 26);
    pen.down(fast, end, end + 26);
    twoSpeedMotor(pen, end + 26, fast);
  },
  drive: (pen, y) => {
    const right = 2 * PITCH + 24;
    // Its terminals stand above and below what it converts.
    const [top, bottom, end] = [y + 16, y + 72, y + 88];
    pen.wire([-24, y], [right, y], [right, end], [-24, end], [-24, y]);
    pen.wire([-24, bottom], [right, top]);
    pen.say('3~', [-18, top + 16], 'item');
    pen.say('3~', [right - 22, bottom - 4], 'item');
    pen.numbers(0, y + 11, LINES);
    pen.name('T1', [-30, y + 48], 'end');
    pen.numbers(0, end - 4, shaftNames(pen.scheme));
    pen.down(0, end, end + 26);
    pen.frame(0, end + 4, 18);
    pen.say('screened lead, its screen earthed at both ends', [right, end + 18], 'terminal');
    pen.motor(0, end + 26, shaftNames(pen.scheme));
  },
};

/** Leads of a motor of which both ends of the windings are brought out. */
function sixLeads(
  pen: PowerPen,
  y: number,
  columns: readonly [number, number],
  names: readonly (readonly string[])[],
): void {
  const middle = (columns[0] + columns[1]) / 2 + PITCH;
  const radius = 34;
  pen.circles.push({ at: [middle, y + 66], radius });
  columns.forEach((x, which) => {
    for (const at of PHASES) {
      const own = x + at * PITCH;
      const level = y + 48 + (which === 0 ? 2 - at : at) * 14;
      const edge = Math.sqrt(Math.max(0, radius ** 2 - (level - y - 66) ** 2));
      pen.wire([own, y], [own, level], [which === 0 ? middle - edge : middle + edge, level]);
      pen.say(names[which]?.[at] ?? '', [own + 3, y + 12], 'terminal');
    }
  });
  pen.say('M', [middle, y + 66], 'item', 'middle');
  pen.say('3~', [middle, y + 80], 'item', 'middle');
  pen.name('M1', [middle, y + 116], 'middle');
}

/** A contactor and a relay for each speed, the lower one at the left. */
function eachSpeed(pen: PowerPen, y: number): { readonly end: number; readonly fast: number } {
  const fast = COLUMN;
  besides(pen, y);
  pen.poles('release', 'F2', [0, y + 26 + LENGTH]);
  pen.poles('release', 'F3', [fast, y + 26 + LENGTH]);
  return { end: y + 26 + 2 * LENGTH, fast };
}

function twoSpeedMotor(pen: PowerPen, y: number, fast: number): void {
  const iec = pen.scheme.school === 'IEC';
  sixLeads(
    pen,
    y,
    [0, fast],
    iec
      ? [
          ['1U', '1V', '1W'],
          ['2U', '2V', '2W'],
        ]
      : [
          ['T1', 'T2', 'T3'],
          // NEMA MG 1: T4 to T6 of one winding, T11 to T13 of a second.
          pen.scheme.arrangement === 'tapped winding' ? ['T4', 'T5', 'T6'] : ['T11', 'T12', 'T13'],
        ],
  );
}
