// The drawings are read back as circuits: which ends the lines on paper join, with which contacts closed. What must come out is
// what each way of starting is: common knowledge of the trade; leads by IEC 60034-8 and NEMA MG 1 (from memory).
import { describe, expect, it } from 'vitest';
import { pathsOf, type Path, type PathPart, type Step } from '../../../src/stages/protection/diagram/control-logic.ts';
import { svgOf, type Drawing, type Point } from '../../../src/stages/protection/diagram/drawing.ts';
import { diagramsOf } from '../../../src/stages/protection/diagram/parts.ts';
import type { Arrangement, Scheme } from '../../../src/stages/protection/diagram/scheme.ts';
import { LENGTH } from '../../../src/stages/protection/diagram/symbols.ts';
import { arrangements, schemeOf } from '../../lib/schemes.ts';

const schools = ['IEC', 'NEMA'] as const;
const devices = ['motor breaker', 'breaker', 'fuses'] as const;

const key = ([x, y]: Point): string => `${x.toFixed(2)} ${y.toFixed(2)}`;
/** Whether a point lies on a stretch of wire, its ends among it. */
const lies = ([x, y]: Point, [a, b]: Point, [c, d]: Point): boolean =>
  Math.abs((c - a) * (y - b) - (d - b) * (x - a)) < 0.01 * Math.hypot(c - a, d - b) + 1e-9 &&
  Math.min(a, c) - 0.01 <= x &&
  x <= Math.max(a, c) + 0.01 &&
  Math.min(b, d) - 0.01 <= y &&
  y <= Math.max(b, d) + 0.01;
type Drawn = Drawing['symbols'][number];
const endsOf = ({ at: [x, y], across }: Drawn): readonly [Point, Point] => [
  [x, y],
  across ? [x + LENGTH, y] : [x, y + LENGTH],
];

/** What the lines of a drawing join: a place on a wire or at the end of a symbol has a net. */
class Nets {
  private readonly over = new Map<string, string>();
  readonly drawing: Drawing;

  constructor(drawing: Drawing, closed: readonly Drawn[] = []) {
    this.drawing = drawing;
    for (const wire of drawing.wires) for (const point of wire) this.join(wire[0] ?? point, point);
    // A wire that ends on another one is joined with it; two that only cross are not, nor one that goes on at the other side.
    const dots = new Set(drawing.joints.map(key));
    for (const [end, wire] of this.ends())
      for (const [from, to] of this.stretches(wire))
        if (lies(end, from, to) && (dots.has(key(end)) || !this.goesOn(end, wire))) this.join(end, from);
    for (const symbol of drawing.symbols)
      for (const end of endsOf(symbol))
        for (const [from, to] of this.stretches())
          if (key(end) === key(from) || key(end) === key(to) || (lies(end, from, to) && !this.goesOn(end)))
            this.join(end, from);
    // One that is drawn into another: the release of a breaker.
    for (const upper of drawing.symbols)
      for (const lower of drawing.symbols) {
        const [[x, y], [, end]] = [upper.at, endsOf(upper)[1]];
        if (!upper.across && lower.at[0] === x && lower.at[1] > y && lower.at[1] < end) this.join([x, end], lower.at);
      }
    for (const symbol of closed) this.join(...endsOf(symbol));
  }

  private root(name: string): string {
    const next = this.over.get(name) ?? name;
    return next === name ? name : this.root(next);
  }
  private join(a: Point, b: Point): void {
    this.over.set(this.root(key(a)), this.root(key(b)));
  }
  /** Whether another wire, or one at all, ends at a point. */
  goesOn(point: Point, but?: readonly Point[]): boolean {
    return this.ends().some(([end, wire]) => wire !== but && key(end) === key(point));
  }
  ends(): readonly (readonly [Point, readonly Point[]])[] {
    return this.drawing.wires.flatMap((wire) =>
      [wire[0], wire.at(-1)].flatMap((end) => (end ? [[end, wire] as const] : [])),
    );
  }
  stretches(but?: readonly Point[]): readonly (readonly [Point, Point])[] {
    return this.drawing.wires.flatMap((wire) =>
      wire === but ? [] : wire.slice(1).map((to, at) => [wire[at] ?? to, to] as const),
    );
  }
  at(point: Point): string {
    const on = this.stretches().find(([from, to]) => lies(point, from, to));
    return this.root(key(on ? on[0] : point));
  }
}

const itemOf = (drawing: Drawing, { at: [x, y] }: Drawn): string =>
  drawing.said.find(
    (each) =>
      each.as === 'item' &&
      Math.abs(each.at[1] - y - LENGTH / 2 - 4) < 0.01 &&
      [0, 26, 52].some((aside) => Math.abs(x - aside - 22 - each.at[0]) < 0.01),
  )?.text ?? '';

/** Letters of the school for what IEC calls Q2, Q3, Q4: told by the order of the columns in which they stand. */
function contactorsOf(drawing: Drawing): Map<string, Drawn[]> {
  const found = drawing.symbols.filter(({ symbol }) => symbol === 'contactor').toSorted((a, b) => a.at[1] - b.at[1]);
  const names = [...new Set(found.map((each) => itemOf(drawing, each)))];
  return new Map(names.map((name) => [name, found.filter((each) => itemOf(drawing, each) === name)]));
}

/** Which line reaches each lead of the motor with these contactors closed; leads joined with each other alone share a small letter. */
function leads(scheme: Scheme, closed: readonly number[], more: readonly string[] = []): Record<string, string> {
  const { power } = diagramsOf(scheme);
  const columns = [...contactorsOf(power).values()].toSorted(
    (a, b) => (a[0]?.at[0] ?? 0) - (b[0]?.at[0] ?? 0) || (a[0]?.at[1] ?? 0) - (b[0]?.at[1] ?? 0),
  );
  const conducts = ['isolator', 'breaker', 'fuse', 'release', ...more];
  const nets = new Nets(power, [
    ...power.symbols.filter(({ symbol }) => conducts.includes(symbol)),
    ...closed.flatMap((which) => columns[which] ?? []),
  ]);
  const said = (text: string): Point => power.said.find((each) => each.text === text)?.at ?? [NaN, NaN];
  const lines = new Map(['L1', 'L2', 'L3'].map((name) => [nets.at([said(name)[0] - 3, said(name)[1] + 4]), name]));
  const alone = new Map<string, string>();
  const all = power.said.filter(
    ({ as, text, at: [, y] }) =>
      as === 'terminal' &&
      /^([12]?[UVW][12]?|T\d+)$/.test(text) &&
      y > Math.max(...power.symbols.map((each) => each.at[1] + LENGTH - 1)),
  );
  return Object.fromEntries(
    all.map(({ text, at: [x, y] }) => {
      const net = nets.at([x - 3, y - 12]);
      if (!lines.has(net) && !alone.has(net)) alone.set(net, 'abcdef'[alone.size] ?? '');
      return [text, lines.get(net) ?? alone.get(net) ?? ''];
    }),
  );
}

const straight = (names: readonly string[]): Record<string, string> =>
  Object.fromEntries(names.map((name, at) => [name, ['L1', 'L2', 'L3'][at] ?? '']));
const joined = (names: readonly string[], as = 'a'): Record<string, string> =>
  Object.fromEntries(names.map((name) => [name, as]));
const open = (names: readonly string[], from = 0): Record<string, string> =>
  Object.fromEntries(names.map((name, at) => [name, 'abcdef'[at + from] ?? '']));

describe.each(schools)('the power circuit as it is drawn, %s', (school) => {
  const [first, second] =
    school === 'IEC'
      ? [
          ['U1', 'V1', 'W1'],
          ['W2', 'U2', 'V2'],
        ]
      : [
          ['T1', 'T2', 'T3'],
          ['T6', 'T4', 'T5'],
        ];
  const [low, high] =
    school === 'IEC'
      ? [
          ['1U', '1V', '1W'],
          ['2U', '2V', '2W'],
        ]
      : [
          ['T1', 'T2', 'T3'],
          ['T11', 'T12', 'T13'],
        ];
  describe.each(devices)('behind %s', (device) => {
    const of = (arrangement: Arrangement) => schemeOf(arrangement, { school, device });
    it('direct: each line to its lead by the contactor, none without', () => {
      expect(leads(of('direct'), [])).toEqual(open(first));
      expect(leads(of('direct'), [0])).toEqual(straight(first));
    });
    it('reversing exchanges two phases behind its second contactor', () => {
      expect(leads(of('reversing'), [0])).toEqual(straight(first));
      expect(leads(of('reversing'), [1])).toEqual(straight(first.toReversed()));
    });
    it('star-delta: the star joins the far ends, the delta leads each line to the next winding', () => {
      expect(leads(of('star-delta'), [0, 2])).toEqual({ ...straight(first), ...joined(second) });
      expect(leads(of('star-delta'), [0, 1])).toEqual({ ...straight(first), ...straight(second) });
      expect(leads(of('star-delta'), [1])).toEqual({ ...open(first), ...straight(second) });
    });
    it('soft starter: through the thyristors, past them by the bypass, and nothing without the contactor before both', () => {
      expect(leads(of('soft starter'), [])).toEqual(open(first));
      expect(leads(of('soft starter'), [0], ['thyristors'])).toEqual(straight(first));
      expect(leads(of('soft starter'), [0])).toEqual(open(first));
      expect(leads(of('soft starter'), [0, 1])).toEqual(straight(first));
      expect(leads(of('soft starter'), [1], ['thyristors'])).toEqual(open(first));
    });
    it('autotransformer: the line to its windings, their taps to the motor, their ends to a star; past it by the line contactor', () => {
      expect(leads(of('autotransformer'), [0])).toEqual(straight(first));
      // Without the windings themselves the motor hangs on the taps alone.
      expect(leads(of('autotransformer'), [1, 2])).toEqual(open(first));
      const { power } = diagramsOf(of('autotransformer'));
      const windings = power.symbols.filter(({ symbol }) => symbol === 'winding');
      const columns = [...contactorsOf(power).values()].toSorted((a, b) => (a[0]?.at[0] ?? 0) - (b[0]?.at[0] ?? 0));
      const nets = new Nets(power, [
        ...power.symbols.filter(({ symbol }) => ['isolator', 'breaker', 'fuse', 'release'].includes(symbol)),
        ...(columns[1] ?? []),
        ...(columns[2] ?? []),
      ]);
      const [fed, starred] = [
        windings.map((each) => nets.at(endsOf(each)[0])),
        windings.map((each) => nets.at(endsOf(each)[1])),
      ];
      expect(new Set(fed).size).toBe(3);
      expect(new Set(starred).size).toBe(1);
      // A tap leaves each winding between its ends, to the lead of its own phase.
      windings.forEach((winding, at) => {
        const tap = nets
          .ends()
          .find(([[x, y]]) => x === winding.at[0] && y > winding.at[1] + 10 && y < winding.at[1] + LENGTH - 1);
        const lead = power.said.find(({ text, as }) => as === 'terminal' && text === first[at])?.at ?? [NaN, NaN];
        const motor = power.said.filter(({ text }) => text === first[at]).at(-1)?.at ?? lead;
        expect(tap && nets.at(tap[0])).toBe(nets.at([motor[0] - 3, motor[1] - 12]));
      });
    });
    it('two windings: each by its own contactor', () => {
      expect(leads(of('two windings'), [0])).toEqual({ ...straight(low), ...open(high) });
      expect(leads(of('two windings'), [1])).toEqual({ ...open(low), ...straight(high) });
    });
    it('a tapped winding: at the higher speed the ends of the lower one are joined', () => {
      const fast = school === 'IEC' ? high : ['T4', 'T5', 'T6'];
      expect(leads(of('tapped winding'), [0])).toEqual({ ...straight(low), ...open(fast) });
      expect(leads(of('tapped winding'), [1, 2])).toEqual({ ...joined(low), ...straight(fast) });
    });
    it('a drive stands between lines and motor, its input and output within its frame', () => {
      const { power } = diagramsOf(of('drive'));
      const frame = power.wires.find((wire) => wire.length === 5) ?? [];
      const [top, bottom] = [Math.min(...frame.map(([, y]) => y)), Math.max(...frame.map(([, y]) => y))];
      const outside = { ...power, wires: power.wires.filter((wire) => wire !== frame) };
      const nets = new Nets(outside, power.symbols);
      const reached = (height: number): string[] =>
        nets.ends().flatMap(([end]) => (Math.abs(end[1] - height) < 0.01 ? [nets.at(end)] : []));
      expect(new Set(reached(top)).size).toBe(3);
      expect(new Set(reached(bottom)).size).toBe(3);
      expect(reached(top).filter((each) => reached(bottom).includes(each))).toEqual([]);
      for (const text of ['3~']) expect(power.said.filter((each) => each.text === text).length).toBe(3);
    });
  });
});

const isStep = (part: PathPart): part is Step => 'symbol' in part;
const groupsOf = ({ parts }: Path): (readonly Step[])[] =>
  parts.flatMap((part) => (isStep(part) ? [[part]] : 'either' in part ? [part.either] : []));

describe.each(schools)('the control circuit as it is drawn, %s', (school) => {
  it.each(arrangements)('%s: what follows each other is joined, what does not is apart', (arrangement) => {
    for (const device of devices)
      for (const control of ['auto', 'dc', 'line'] as const) {
        const scheme = schemeOf(arrangement, { school, device, control });
        const { control: drawing } = diagramsOf(scheme);
        const nets = new Nets(drawing);
        const steps = drawing.symbols[Symbol.iterator]();
        const marks = new Map<string, string>();
        const numbered = new Map<string, number>();
        const begins = new Set<string>();
        const stops = new Set<string>();
        const called = (net: string): void => void (numbered.has(net) || numbered.set(net, 0));
        for (const path of pathsOf(scheme)) {
          let before: string | undefined = marks.get(path.from);
          const groups = groupsOf(path);
          for (const part of path.parts) {
            if ('mark' in part) {
              if (before) marks.set(part.mark, before);
              continue;
            }
            const all = isStep(part) ? [part] : part.either;
            const drawn = all.map(() => endsOf(steps.next().value as Drawn).map((end) => nets.at(end)));
            // Beside each other they share both ends.
            expect(new Set(drawn.map(([from]) => from)).size).toBe(1);
            expect(new Set(drawn.map(([, to]) => to)).size).toBe(1);
            const [[from = '', to = ''] = []] = drawn;
            if (before === undefined) begins.add(from);
            else expect(from, `${arrangement} ${path.from}`).toBe(before);
            expect(to).not.toBe(from);
            called(from);
            called(to);
            before = to;
            if (all === groups.at(-1) || (isStep(part) && groups.at(-1)?.[0] === part)) stops.add(to);
          }
        }
        // All paths begin at the one line and end at the other.
        expect(begins.size).toBe(1);
        expect(stops.size).toBe(1);
        expect([...begins][0]).not.toBe([...stops][0]);
        // Every wire has its own number, which stands on it.
        const said = drawing.said.filter(({ as, text }) => as === 'wire' && /^\d+$/.test(text));
        expect(said.length).toBe(numbered.size);
        const on = said.map(({ at: [x, y], text }) => {
          const place: Point = school === 'NEMA' ? [x, y + 4] : [x - 4, y - 3];
          const near = nets
            .stretches()
            .find(([from, to]) =>
              [0, 7, -7, 8, -8, 10, -10].some(
                (off) =>
                  lies(school === 'NEMA' ? [place[0] + off, place[1]] : [place[0], place[1] + off], from, to) ||
                  lies(school === 'NEMA' ? [place[0] + off, place[1]] : [place[0] + off, place[1]], from, to),
              ),
            );
          return [text, near && nets.at(near[0])] as const;
        });
        expect(new Set(on.map(([, net]) => net)).size).toBe(numbered.size);
        for (const [, net] of on) expect(numbered.has(net ?? '')).toBe(true);
      }
  });
});

describe('on every drawing', () => {
  // How the motor is guarded changes both, how the coils are fed only their own.
  const all = schools.flatMap((school) =>
    arrangements.flatMap((arrangement) =>
      (
        [
          ['fuses', 'auto'],
          ['breaker', 'dc'],
          ['motor breaker', 'line'],
        ] as const
      ).flatMap(([device, control]) => {
        const { power, control: other } = diagramsOf(schemeOf(arrangement, { school, device, control }));
        return [power, other].map((drawing) => ({ name: `${school} ${device} ${control} ${drawing.title}`, drawing }));
      }),
    ),
  );
  it('a wire that branches off another has its dot, and a dot stands where three meet', () => {
    for (const { name, drawing } of all) {
      // The frame of a drive is no wire, nor is what it converts.
      const wires = drawing.title.endsWith('drive')
        ? drawing.wires.filter(([from, to]) => from && to && (from[0] === to[0] || drawing.title.startsWith('Control')))
        : drawing.wires;
      const nets = new Nets({ ...drawing, wires });
      const dots = new Set(drawing.joints.map(key));
      for (const [end, wire] of nets.ends()) {
        const goesOn =
          nets.goesOn(end, wire) || drawing.symbols.some((each) => endsOf(each).some((one) => key(one) === key(end)));
        // The bars of an earth are a symbol of their own.
        const inside = nets
          .stretches(wire)
          .some(
            ([from, to]) =>
              lies(end, from, to) &&
              key(end) !== key(from) &&
              key(end) !== key(to) &&
              Math.hypot(to[0] - from[0], to[1] - from[1]) > 20,
          );
        if (inside && !goesOn) expect(dots, `${name}: no dot at ${key(end)}`).toContain(key(end));
      }
      for (const joint of drawing.joints) {
        const meet = nets.stretches().reduce((sum, [from, to]) => {
          if (!lies(joint, from, to)) return sum;
          return sum + (key(joint) === key(from) || key(joint) === key(to) ? 1 : 2);
        }, 0);
        const symbols = drawing.symbols.filter((each) => endsOf(each).some((end) => key(end) === key(joint))).length;
        expect(meet + symbols, `${name}: a dot at ${key(joint)}`).toBeGreaterThanOrEqual(3);
      }
    }
  });
  it('no word stands on another', () => {
    const SIZES = { item: 12, terminal: 9, wire: 9 };
    for (const { name, drawing } of all) {
      const boxes = drawing.said.map(({ at: [x, y], text, as, anchor }) => {
        const wide = text.length * SIZES[as] * 0.55;
        const left = x - (anchor === 'end' ? wide : anchor === 'middle' ? wide / 2 : 0);
        return { text, left, right: left + wide, top: y - SIZES[as] * 0.75, bottom: y };
      });
      boxes.forEach((a, at) => {
        for (const b of boxes.slice(at + 1)) {
          const meet = a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
          expect(meet, `${name}: ${a.text} on ${b.text}`).toBe(false);
        }
      });
    }
  });
  it('wires go straight or at right angles, and two of different nets keep apart', () => {
    for (const { name, drawing } of all) {
      const nets = new Nets(drawing);
      // What a drive converts is drawn aslant.
      const stretches = nets.stretches().filter(([from, to]) => from[0] === to[0] || from[1] === to[1]);
      expect(nets.stretches().length - stretches.length, name).toBe(name.endsWith('Power circuit, drive') ? 1 : 0);
      const upright = stretches.filter(([from, to]) => from[0] === to[0] && from[1] !== to[1]);
      const flat = stretches.filter(([from, to]) => from[1] === to[1] && from[0] !== to[0]);
      for (const [own, along, across] of [
        [upright, 1, 0],
        [flat, 0, 1],
      ] as const)
        own.forEach(([a, b], at) => {
          for (const [c, d] of own.slice(at + 1)) {
            const beside =
              Math.min(a[along], b[along]) < Math.max(c[along], d[along]) - 0.5 &&
              Math.min(c[along], d[along]) < Math.max(a[along], b[along]) - 0.5;
            const apart = Math.abs(a[across] - c[across]);
            if (beside && apart <= 2) expect(nets.at(a), `${name} at ${key(a)}`).toBe(nets.at(c));
          }
        });
    }
  });
  it('a terminal’s number stands at the right of its contact, within its height', () => {
    for (const { name, drawing } of all) {
      if (drawing.school !== 'IEC' || !drawing.title.startsWith('Control')) continue;
      for (const { text, at, as } of drawing.said) {
        if (as !== 'terminal' || !/^([A-Z]?\d+)$/.test(text)) continue;
        const beside = drawing.symbols.some(
          ({ at: [x, y] }) => at[0] - x >= 3 && at[0] - x <= 12 && at[1] > y && at[1] < y + LENGTH,
        );
        expect(beside, `${name}: ${text}`).toBe(true);
      }
    }
  });
  it('every word lies within its sheet, and the sheet is as wide to its height on a screen as it is drawn', () => {
    const SIZES = { item: 12, terminal: 9, wire: 9 };
    for (const { name, drawing } of all) {
      for (const {
        at: [x, y],
        text,
        as,
        anchor,
      } of drawing.said) {
        const wide = text.length * SIZES[as] * 0.6;
        const left = x - (anchor === 'end' ? wide : anchor === 'middle' ? wide / 2 : 0);
        expect(left, `${name}: ${text}`).toBeGreaterThanOrEqual(0);
        expect(left + wide, `${name}: ${text}`).toBeLessThanOrEqual(drawing.width);
        expect(y - SIZES[as], `${name}: ${text}`).toBeGreaterThanOrEqual(0);
      }
      const svg = svgOf(drawing, { ink: 'black', quiet: 'grey', copper: 'brown', face: 'serif' });
      const [, width = '', height = ''] = /^<svg [^>]* width="(\d+)" height="(\d+)"/.exec(svg) ?? [];
      expect(Number(width) / Number(height)).toBeCloseTo(drawing.width / drawing.height, 1);
      // The smallest letters are 13 px high.
      expect(Number(width) / drawing.width).toBeCloseTo(13 / 9, 1);
    }
  });
  it('contactors that must not meet are linked, and a drive has the leads of its school', () => {
    for (const school of schools) {
      const { power } = diagramsOf(schemeOf('reversing', { school }));
      const contactors = power.symbols.filter(({ symbol }) => symbol === 'contactor');
      const xs = contactors.map(({ at: [x] }) => x).toSorted((a, b) => a - b);
      const height = (contactors[0]?.at[1] ?? 0) + LENGTH / 2;
      const [third = 0, fourth = 0] = [xs[2], xs[3]];
      const link = power.dashed.find(
        ([from, to]) => from?.[0] === third && (to?.[0] ?? 0) > third + 20 && (to?.[0] ?? 0) < fourth,
      );
      expect(link?.map(([, y]) => y)).toEqual([height, height]);
      // At the drive’s output, where its wires are named.
      const drive = diagramsOf(schemeOf('drive', { school })).power;
      const wires = drive.said.flatMap(({ as, text }) => (as === 'wire' ? [text] : []));
      expect(wires).toEqual(expect.arrayContaining(school === 'IEC' ? ['U', 'V', 'W'] : ['T1', 'T2', 'T3']));
    }
  });
});
