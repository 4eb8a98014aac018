import { pathsOf, type Path, type PathPart, type Step } from './control-logic.ts';
import { SchematicWriter, type Drawing, type Point } from './drawing.ts';
import type { Scheme } from './scheme.ts';
import { LENGTH, type Symbol } from './symbols.ts';

/** Along a path: a symbol and the wire to the next. */
const ALONG = LENGTH + 30;
/** From a path to the next, and to a contact beside another. */
const APART = { IEC: { path: 96, beside: 62 }, NEMA: { path: 62, beside: 46 } } as const;
/** From the line of the control voltage to the first contact. */
const LEAD = 24;

/** A place along a path and across it; IEC paths go down, North American ones to the right. */
class Ladder extends SchematicWriter {
  nets = 2;
  readonly across: boolean;

  constructor(scheme: Scheme) {
    super(scheme);
    this.across = scheme.school === 'NEMA';
  }

  at(along: number, aside: number): Point {
    return this.across ? [along, aside] : [aside, along];
  }

  line(...points: (readonly [along: number, aside: number])[]): void {
    this.wire(...points.map(([along, aside]) => this.at(along, aside)));
  }

  joint(along: number, aside: number): void {
    this.joints.push(this.at(along, aside));
  }

  /** The number of a wire beside it. */
  net(number: number, along: number, aside: number): void {
    const [x, y] = this.at(along, aside);
    this.say(String(number), this.across ? [x, y - 4] : [x + 4, y + 3], 'wire', this.across ? 'middle' : 'start');
  }

  step({ symbol, item, terminals: [first, second], says = '' }: Step, along: number, aside: number): void {
    const [x, y] = this.at(along, aside);
    this.symbol(symbol, [x, y], this.across);
    if (this.across) {
      // Beside a coil’s letter no terminal is numbered in North America.
      this.name(item, [x + LENGTH / 2, y - 18], 'middle');
      // Before the line at which a coil ends.
      const load = LOADS.includes(symbol);
      this.say(says, [x + (load ? LENGTH - 4 : LENGTH / 2), y + 24], 'terminal', load ? 'end' : 'middle');
      return;
    }
    this.name(item, [x - (symbol === 'timer' ? 24 : 20), y + LENGTH / 2 + 4], 'end');
    this.say(says, [x + 14, y + LENGTH / 2 + 3], 'terminal');
    // Beside the fixed contact of one that opens.
    this.say(first, [x + (OPENS.includes(symbol) ? 10 : 4), y + 9], 'terminal');
    this.say(second, [x + 4, y + LENGTH - 2], 'terminal');
  }
}

const LOADS: readonly Symbol[] = ['coil', 'timer', 'lamp'];
const OPENS: readonly Symbol[] = ['break', 'late break', 'tripped break', 'push break', 'emergency stop'];

const isStep = (part: PathPart): part is Step => 'symbol' in part;
const contactsOf = ({ parts }: Path): number => parts.filter((part) => !('mark' in part)).length;
const widthOf = ({ parts }: Path): number =>
  Math.max(1, ...parts.map((part) => ('either' in part ? part.either.length : 1)));

/** How many contacts lie between the line and a mark. */
function depthAt(name: string, paths: readonly Path[]): number {
  for (const { from, parts } of paths) {
    const at = parts.findIndex((part) => 'mark' in part && part.mark === name);
    if (at >= 0) return depthAt(from, paths) + contactsOf({ from, parts: parts.slice(0, at) });
  }
  return 0;
}

interface Place {
  readonly along: number;
  readonly aside: number;
  readonly net: number;
}

/** The control circuit: down between two lines by IEC, as a ladder in North America. */
export function controlCircuit(scheme: Scheme): Drawing {
  const pen = new Ladder(scheme);
  const { path: apart, beside } = APART[scheme.school];
  const paths = pathsOf(scheme);
  const marks = new Map<string, Place>();
  let aside = apart + (pen.across ? 30 : 60);
  const end = LEAD + Math.max(...paths.map((path) => depthAt(path.from, paths) + contactsOf(path))) * ALONG;
  const joined: number[] = [];
  let last = aside;
  for (const path of paths) {
    last = aside;
    const start = marks.get(path.from);
    if (start) {
      pen.line([start.along, start.aside], [start.along, aside]);
      pen.joint(start.along, start.aside);
    } else joined.push(aside);
    drawPath(pen, path, { from: start ?? { along: 0, aside, net: 1 }, aside, end, beside, marks });
    aside += (widthOf(path) - 1) * beside + apart;
  }
  supply(pen, end, last, joined);
  return pen.done(`Control circuit, ${scheme.arrangement}`);
}

interface Room {
  readonly from: Place;
  readonly aside: number;
  readonly end: number;
  readonly beside: number;
  readonly marks: Map<string, Place>;
}

function drawPath(pen: Ladder, { parts }: Path, { from, aside, end, beside, marks }: Room): void {
  let along = from.along;
  let net = from.net;
  let first = from.along === 0 && from.net === 1;
  const load = parts.at(-1);
  for (const part of parts) {
    if ('mark' in part) {
      marks.set(part.mark, { along, aside, net });
      continue;
    }
    if (part === load && isStep(part)) {
      pen.line([along, aside], [end - LENGTH, aside]);
      pen.step(part, end - LENGTH, aside);
      continue;
    }
    const lead = first ? LEAD : 0;
    first = false;
    pen.line([along, aside], [along + lead, aside]);
    along += lead;
    const steps = isStep(part) ? [part] : part.either;
    steps.forEach((step, which) => {
      const own = aside + which * beside;
      pen.step(step, along, own);
      if (which === 0) return;
      pen.line([along, own], [along, own - beside]);
      pen.line([along + LENGTH, own], [along + LENGTH, own - beside]);
      pen.joint(along, own - beside);
      pen.joint(along + LENGTH, own - beside);
    });
    pen.line([along + LENGTH, aside], [along + ALONG, aside]);
    along += ALONG;
    net = ++pen.nets;
    pen.net(net, along - (ALONG - LENGTH) / 2, aside);
  }
}

/** Both lines of the control voltage, and what feeds them. */
function supply(pen: Ladder, end: number, last: number, joined: readonly number[]): void {
  const { control } = pen.scheme;
  pen.line([0, 0], [0, last]);
  pen.line([end, 0], [end, last]);
  pen.net(1, pen.across ? -8 : -7, 14);
  pen.net(2, end + (pen.across ? 8 : 10), 14);
  for (const aside of joined) if (aside < last) pen.joint(0, aside);
  if (control === 'auto') {
    transformer(pen, end);
    return;
  }
  const names = control === 'dc' ? ['+24 V', '0 V'] : ['2L1', '2L2'];
  for (const [which, along] of [0, end].entries()) {
    const [x, y] = pen.at(along, 0);
    pen.say(names[which] ?? '', pen.across ? [x, y - 8] : [x - 6, y + 4], 'wire', pen.across ? 'middle' : 'end');
  }
}

/** A transformer between two phases and the lines; its side of the coils is fused in the one line and earthed in the other. */
function transformer(pen: Ladder, end: number): void {
  const shift = pen.across ? -28 : -56;
  const at = (end - LENGTH) / 2;
  const [own, other] = [shift + 16, shift - 16];
  const anchor = pen.across ? 'middle' : 'end';
  pen.symbol('transformer', pen.at(at, shift), pen.across);
  const [x, y] = pen.at(end / 2, own);
  pen.name('T2', pen.across ? [x - 46, y - 12] : [x - 12, y - 30], anchor);
  pen.line([at, own], [at - 8, own], [at - 8, 0], [LENGTH, 0]);
  pen.symbol('fuse', pen.at(0, 0), pen.across);
  pen.name('F5', pen.across ? [LENGTH / 2, -12] : [-12, LENGTH / 2 + 4], anchor);
  pen.line([at + LENGTH, own], [at + LENGTH + 8, own], [at + LENGTH + 8, 0], [end, 0]);
  earth(pen, end);
  for (const [which, along] of [at, at + LENGTH].entries()) {
    pen.symbol('fuse', pen.at(along, other - LENGTH), !pen.across);
    const [far, high] = pen.at(along, other - LENGTH);
    pen.say(`2L${which + 1}`, pen.across ? [far, high - 4] : [far - 4, high + 3], 'wire', anchor);
  }
  const [left, top] = pen.at(at, other - LENGTH / 2);
  pen.name('F4', pen.across ? [left - 20, top + 4] : [left, top - 12], anchor);
}

function earth(pen: Ladder, end: number): void {
  const [x, y] = pen.at(end, 0);
  const from: Point = pen.across ? [x + 16, y] : [x, y + 12];
  pen.wire([x, y], from, [from[0], from[1] + 6]);
  for (const [down, half] of [
    [6, 8],
    [9, 5],
    [12, 2],
  ] as const)
    pen.wire([from[0] - half, from[1] + down], [from[0] + half, from[1] + down]);
}
