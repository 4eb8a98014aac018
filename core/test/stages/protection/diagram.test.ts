// The control circuits are run as relay logic: what a person presses, what closes, what must never be closed together.
// Numbers of terminals: IEC 60947-1 Annex M (from memory). Leads of two-speed motors: IEC 60034-8, NEMA MG 1 (from memory).
import { describe, expect, it } from 'vitest';
import { emptyJob, solve, type JobInput, type Solution } from '../../../src/index.ts';
import { pathsOf, type Step } from '../../../src/stages/protection/diagram/control-logic.ts';
import { SchematicWriter, svgOf } from '../../../src/stages/protection/diagram/drawing.ts';
import { diagramsOf } from '../../../src/stages/protection/diagram/parts.ts';
import type { Arrangement, Item, Scheme } from '../../../src/stages/protection/diagram/scheme.ts';
import { symbols } from '../../../src/stages/protection/diagram/symbols.ts';
import { selectionSheet } from '../../../src/solve/sheet.ts';
import { demo } from '../../lib/demo.ts';
import { arrangements, schemeOf } from '../../lib/schemes.ts';

const all = arrangements.flatMap((arrangement) =>
  (['IEC', 'NEMA'] as const).flatMap((school) =>
    (['motor breaker', 'breaker', 'fuses'] as const).flatMap((device) =>
      (['auto', 'dc', 'line'] as const).map((control) => schemeOf(arrangement, { school, device, control })),
    ),
  ),
);

/** A starter with its coils, as its paths say: what is closed follows from what is held, until nothing changes any more. */
class Starter {
  readonly held = new Set<string>();
  readonly pressed = new Set<string>();
  readonly tripped = new Set<string>();
  /** Outputs of a soft starter or drive that are closed. */
  readonly outputs = new Set<string>();
  /** The timer has run out; of an off-delay, it has not yet. */
  late = false;
  /** Every set of contactors that was held at a time. */
  readonly seen: string[][] = [];
  readonly scheme: Scheme;

  constructor(scheme: Scheme) {
    this.scheme = scheme;
  }

  private closed({ symbol, item, terminals: [first] }: Step): boolean {
    const offDelay = this.scheme.arrangement === 'two windings' || this.scheme.arrangement === 'tapped winding';
    switch (symbol) {
      case 'make':
        if (item === 'F1') return !this.tripped.has(item);
        return item === 'T1' ? this.outputs.has(first) : this.held.has(item);
      case 'break':
        return !this.held.has(item);
      case 'late make':
        return this.late && this.held.has('K1');
      case 'late break':
        return offDelay ? !this.late && !this.held.has('K1') : !(this.late && this.held.has('K1'));
      case 'tripped break':
        return !this.tripped.has(item);
      case 'tripped make':
        return this.tripped.has(item);
      case 'push make':
        return this.pressed.has(item);
      case 'push break':
      case 'emergency stop':
        return !this.pressed.has(item);
      default:
        return true;
    }
  }

  private fed(): Set<string> {
    const live = new Map([['line', true]]);
    const fed = new Set<string>();
    for (const { from, parts } of pathsOf(this.scheme)) {
      let on = live.get(from) ?? false;
      for (const part of parts) {
        if ('mark' in part) live.set(part.mark, on);
        else if ('either' in part) on &&= part.either.some((each) => this.closed(each));
        else if (['coil', 'timer', 'lamp'].includes(part.symbol)) {
          if (on) fed.add(part.says ? `${part.item} ${part.says}` : part.item);
        } else on &&= this.closed(part);
      }
    }
    return fed;
  }

  settle(): this {
    for (let round = 0; round < 20; round++) {
      const fed = this.fed();
      const names = [...fed].map((name) => (name === 'K1 off-delay' ? 'K1' : name));
      const same = names.length === this.held.size && names.every((name) => this.held.has(name));
      // Contactors drop before others pull in.
      for (const name of this.held) if (!names.includes(name)) this.held.delete(name);
      this.seen.push([...this.held].sort());
      for (const name of names) this.held.add(name);
      this.seen.push([...this.held].sort());
      if (same) return this;
    }
    throw new Error('it never comes to rest');
  }

  press(...buttons: Item[]): this {
    for (const each of buttons) this.pressed.add(each);
    this.settle();
    for (const each of buttons) this.pressed.delete(each);
    return this.settle();
  }

  timed(late: boolean): this {
    this.late = late;
    return this.settle();
  }

  get contactors(): string[] {
    return [...this.held].filter((name) => /^Q/.test(name)).sort();
  }

  ever(...names: string[]): boolean {
    return this.seen.some((held) => names.every((name) => held.includes(name)));
  }
}
const starter = (arrangement: Arrangement, more?: Partial<Scheme>): Starter => new Starter(schemeOf(arrangement, more));

describe('control circuits as relay logic', () => {
  it.each(arrangements)(
    '%s: starts by a button, is held without it, and stops by stop, emergency stop and trip',
    (each) => {
      const runs = (on: Starter): boolean => on.held.size > (each === 'drive' ? 1 : 0);
      const fresh = (): Starter => starter(each).settle().press('S2');
      expect(runs(starter(each).settle())).toBe(false);
      expect(runs(fresh())).toBe(true);
      expect(runs(fresh().press('S1'))).toBe(false);
      const stopped = fresh();
      stopped.pressed.add('S0');
      expect(stopped.settle().held.size).toBe(0);
      stopped.pressed.delete('S0');
      expect(runs(stopped.settle())).toBe(false);
      if (each === 'drive') return;
      for (const relay of each.includes('winding') ? ['F2', 'F3'] : ['F2']) {
        const tripped = fresh();
        tripped.tripped.add(relay);
        expect(tripped.settle().contactors).toEqual([]);
        tripped.tripped.clear();
        expect(runs(tripped.settle()), 'it does not start again by itself').toBe(false);
      }
    },
  );
  it('a motor breaker that trips takes its contactor along, and needs no relay', () => {
    const on = starter('direct', { device: 'motor breaker' }).settle().press('S2');
    expect(on.contactors).toEqual(['Q2']);
    on.tripped.add('F1');
    expect(on.settle().contactors).toEqual([]);
    expect(diagramsOf(schemeOf('direct', { device: 'motor breaker' })).parts.map(({ item }) => item)).not.toContain(
      'F2',
    );
  });
  it('the lamp of the relay is lit when it has tripped', () => {
    const on = starter('direct').settle().press('S2');
    on.tripped.add('F2');
    expect([...on.settle().held]).toEqual(['P1 tripped']);
  });
  it('both directions are never closed together, also where both buttons are pressed', () => {
    const on = starter('reversing').settle().press('S2');
    expect(on.press('S3').contactors).toEqual(['Q2']);
    expect(on.press('S1').press('S3').contactors).toEqual(['Q3']);
    expect(on.press('S2').contactors).toEqual(['Q3']);
    expect(on.ever('Q2', 'Q3')).toBe(false);
  });
  it('star-delta closes the star before the line, changes over by the timer, and never has star and delta', () => {
    const on = starter('star-delta').settle().press('S2');
    expect(on.contactors).toEqual(['Q2', 'Q4']);
    expect(on.seen.find((held) => held.includes('Q2') || held.includes('Q4'))).not.toContain('Q2');
    expect(on.timed(true).contactors).toEqual(['Q2', 'Q3']);
    expect(on.ever('Q3', 'Q4')).toBe(false);
  });
  it('an autotransformer starts by its tap, opens its star point first, and ends on the line without it', () => {
    const on = starter('autotransformer').settle().press('S2');
    expect(on.contactors).toEqual(['Q3', 'Q4']);
    on.seen.length = 0;
    expect(on.timed(true).contactors).toEqual(['Q2']);
    expect(on.ever('Q2', 'Q4')).toBe(false);
    // The motor is never without voltage: through the transformer as a choke until the line closes.
    expect(on.seen.every((held) => held.includes('Q2') || held.includes('Q3'))).toBe(true);
  });
  it('a soft starter is told to start behind its contactor, and is bypassed once it says so', () => {
    const on = starter('soft starter').settle().press('S2');
    expect([...on.held].sort()).toEqual(['Q2', 'T1 start']);
    on.outputs.add('13');
    expect(on.settle().contactors).toEqual(['Q2', 'Q3']);
    expect(on.press('S1').contactors).toEqual([]);
  });
  it.each(['two windings', 'tapped winding'] as const)(
    '%s: one speed at a time, and down only after the delay',
    (each) => {
      const high = each === 'tapped winding' ? ['Q3', 'Q4'] : ['Q3'];
      const on = starter(each).settle().press('S2');
      expect(on.contactors).toEqual(['Q2']);
      expect(on.press('S3').contactors).toEqual(['Q2']);
      expect(on.press('S1').press('S3').contactors).toEqual(high);
      // The off-delay keeps the lower speed away until it has run out.
      on.late = true;
      expect(on.press('S1').press('S2').contactors).toEqual([]);
      expect(on.timed(false).press('S2').contactors).toEqual(['Q2']);
      expect(on.ever('Q2', 'Q3')).toBe(false);
      expect(on.ever('Q2', 'Q4')).toBe(false);
    },
  );
  it.each(['two windings', 'tapped winding'] as const)(
    '%s: the relay of either speed stops it and lights the lamp',
    (each) => {
      for (const relay of ['F2', 'F3']) {
        const on = starter(each).settle().press('S2');
        expect(on.held.has('P1 tripped')).toBe(false);
        on.tripped.add(relay);
        expect(on.settle().contactors).toEqual([]);
        expect(on.held.has('P1 tripped')).toBe(true);
      }
    },
  );
  it('a drive runs by its input, and its torque goes with the emergency stop', () => {
    const on = starter('drive').settle();
    expect([...on.held]).toEqual(['T1 STO']);
    expect([...on.press('S2').held].sort()).toEqual(['K2', 'T1 STO', 'T1 run']);
    on.outputs.add('97');
    expect([...on.press('S1').held].sort()).toEqual(['P1 fault', 'T1 STO']);
  });
});

describe('diagrams', () => {
  const texts = (scheme: Scheme, as: string): string[] => {
    const { power, control } = diagramsOf(scheme);
    return [...power.said, ...control.said].filter((each) => each.as === as).map(({ text }) => text);
  };
  it('every coil switches what is drawn in the power circuit, and every part drawn is in the bill once', () => {
    for (const scheme of all) {
      const { power, control, parts } = diagramsOf(scheme);
      const coils = pathsOf(scheme).flatMap(({ parts: own }) =>
        own.flatMap((part) => ('symbol' in part && part.symbol === 'coil' && /^Q/.test(part.item) ? [part.item] : [])),
      );
      const contactors = power.items.filter((item) => /^Q[2-4]/.test(item));
      expect([...new Set(coils)].sort(), scheme.arrangement).toEqual([...contactors].sort());
      expect(new Set(parts.map(({ name }) => name)).size).toBe(parts.length);
      expect(new Set(parts.map(({ item }) => item))).toEqual(new Set([...power.items, ...control.items]));
      expect(parts.every(({ what }) => what !== '')).toBe(true);
    }
  });
  it('North American names of buttons say what they do', () => {
    const named = (arrangement: Arrangement) => texts(schemeOf(arrangement, { school: 'NEMA' }), 'item');
    expect(named('reversing')).toEqual(expect.arrayContaining(['FWD', 'REV']));
    for (const each of ['two windings', 'tapped winding'] as const)
      expect(named(each)).toEqual(expect.arrayContaining(['SLOW', 'FAST']));
    expect(named('direct')).toContain('START');
  });
  it('numbers each wire of the control circuit once, without a gap', () => {
    for (const scheme of all) {
      const numbers = diagramsOf(scheme)
        .control.said.filter(({ as, text }) => as === 'wire' && /^\d+$/.test(text))
        .map(({ text }) => Number(text))
        .sort((a, b) => a - b);
      expect(numbers, scheme.arrangement).toEqual(numbers.map((_, at) => at + 1));
    }
  });
  it('stays within its sheet, whatever is drawn', () => {
    for (const scheme of all)
      for (const drawing of [diagramsOf(scheme).power, diagramsOf(scheme).control])
        for (const [x, y] of [...drawing.wires.flat(), ...drawing.joints, ...drawing.said.map(({ at }) => at)]) {
          expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(drawing.width);
          expect(y).toBeLessThanOrEqual(drawing.height);
        }
  });
  it('leads have the letters of the school: six of a star-delta, two speeds of a tapped winding', () => {
    expect(texts(schemeOf('star-delta'), 'terminal')).toEqual(
      expect.arrayContaining(['U1', 'V1', 'W1', 'W2', 'U2', 'V2']),
    );
    expect(texts(schemeOf('star-delta', { school: 'NEMA', device: 'breaker' }), 'terminal')).toEqual(
      expect.arrayContaining(['T1', 'T2', 'T3', 'T6', 'T4', 'T5']),
    );
    expect(texts(schemeOf('tapped winding'), 'terminal')).toEqual(
      expect.arrayContaining(['1U', '1V', '1W', '2U', '2V', '2W']),
    );
    expect(texts(schemeOf('two windings', { school: 'NEMA' }), 'terminal')).toEqual(
      expect.arrayContaining(['T1', 'T2', 'T3', 'T11', 'T12', 'T13']),
    );
  });
  it('contacts are numbered by what they do: a relay 95–96, a coil A1–A2, held by 13–14', () => {
    expect(texts(schemeOf('direct'), 'terminal')).toEqual(
      expect.arrayContaining(['95', '96', 'A1', 'A2', '13', '14', '97', '98']),
    );
    for (const { symbol, terminals } of pathsOf(schemeOf('star-delta')).flatMap(({ parts }) =>
      parts.flatMap((part) => ('either' in part ? part.either : 'symbol' in part ? [part] : [])),
    )) {
      const last = terminals[0].at(-1);
      // IEC 60947-1 Annex M: …1–…2 opens, …3–…4 closes, …5–…6 opens late, …7–…8 closes late or by a trip.
      const function_ = {
        break: '1',
        'push break': '1',
        'emergency stop': '1',
        make: '3',
        'push make': '3',
        'late break': '5',
        'tripped break': '5',
        'late make': '7',
        'tripped make': '7',
      };
      if (symbol in function_) expect(last).toBe(function_[symbol as keyof typeof function_]);
    }
  });
  it('a delta joins the end of each winding with the beginning of the next, as its contactors close', () => {
    // Of Q2 and Q3 the same line: L1 feeds U1 and W2, L2 V1 and U2, L3 W1 and V2.
    const said = diagramsOf(schemeOf('star-delta')).power.said;
    const at = (text: string): number => said.find((each) => each.text === text)?.at[0] ?? NaN;
    const column = at('W2') - at('U1');
    expect([at('U2') - at('V1'), at('V2') - at('W1')]).toEqual([column, column]);
  });
  it('a control circuit without a transformer has none in its bill', () => {
    const items = (control: Scheme['control']) =>
      diagramsOf(schemeOf('direct', { control })).parts.map(({ item }) => item);
    expect(items('auto')).toEqual(expect.arrayContaining(['T2', 'F4', 'F5']));
    expect(items('dc').filter((item) => ['T2', 'F4', 'F5'].includes(item))).toEqual([]);
    expect(texts(schemeOf('direct', { control: 'dc' }), 'wire')).toContain('+24 V');
  });
  it('every symbol goes from one end to the other, in both schools, and differently where they differ', () => {
    for (const school of ['IEC', 'NEMA'] as const)
      for (const [name, path] of Object.entries(symbols[school])) {
        expect(path, name).toMatch(/M(0|-16) 0/);
        expect(path, name).toMatch(/V40|40V/);
      }
    for (const name of ['make', 'break', 'coil', 'fuse', 'breaker', 'contactor', 'release'] as const)
      expect(symbols.IEC[name]).not.toBe(symbols.NEMA[name]);
  });
  it('what is written stays text', () => {
    const pen = new SchematicWriter(schemeOf('direct'));
    pen.say('<script>&"', [0, 0], 'item');
    const svg = svgOf(pen.done('a "b" <c>'), { ink: 'black', quiet: 'grey', copper: 'brown', face: 'serif' });
    expect(svg).toContain('&lt;script&gt;&amp;&quot;');
    expect(svg).toContain('aria-label="a &quot;b&quot; &lt;c&gt;"');
  });
});

const base: JobInput = {
  school: 'IEC',
  situation: { kind: 'starter' },
  nameplate: { power: '15 kW', speed: '1470', voltages: '400/690', currents: '28/16', frequency: '50' },
  load: { torque: '30 N·m', torqueKind: 'variable', speed: '1470', inertia: '0.2 kg·m²' },
  supply: { voltage: '400 V', sourcePower: '400 kVA', sourceImpedance: '4 %' },
  place: { hazardous: 'no' },
  starting: { method: 'direct', speedControl: 'no' },
};
const run = (more: JobInput = {}): Solution => solve(emptyJob({ ...base, ...more }), demo);

describe('what is drawn for a job', () => {
  const scheme = (more: JobInput = {}) => run(more).details.scheme;
  it.each([
    [{}, { arrangement: 'direct', device: 'motor breaker', control: 'auto' }],
    [{ starting: { ...base.starting, method: 'star-delta', leads: '6' } }, { arrangement: 'star-delta' }],
    [{ starting: { ...base.starting, method: 'soft starter' } }, { arrangement: 'soft starter' }],
    [{ starting: { ...base.starting, reversing: 'yes' } }, { arrangement: 'reversing' }],
    [{ protection: { shortCircuit: 'gG', control: 'dc' } }, { device: 'fuses', control: 'dc' }],
    [{ starting: { ...base.starting, method: 'drive' }, situation: { kind: 'drive' } }, { arrangement: 'drive' }],
    // What was chosen for a starter is not what stands before a drive: fuses, as its answer says.
    [
      {
        starting: { ...base.starting, method: 'drive' },
        situation: { kind: 'drive' },
        protection: { shortCircuit: 'motor breaker' },
      },
      { arrangement: 'drive', device: 'fuses' },
    ],
  ] as const)('%j', (more, expected) => {
    expect(scheme(more)).toMatchObject(expected);
  });
  it('its bill knows what was picked and what the relay is set to', () => {
    const known = scheme({ protection: { shortCircuit: 'gG' } })?.known;
    expect(known?.F1).toMatch(/^Fuses gG/);
    expect(known?.F2).toMatch(/28\.0\sA, class/);
    expect(known?.Q1).toMatch(/^28\.0\sA min\.$/);
    expect(scheme()?.known.F1).toMatch(/motor breaker.*set to 28\.0\sA/i);
  });
  it('stands on the sheet, but not while a stop does', () => {
    const job = emptyJob(base);
    expect(selectionSheet(job, solve(job, demo)).scheme).toBeDefined();
    const stopped = emptyJob({ ...base, place: { hazardous: 'yes' } });
    expect(selectionSheet(stopped, solve(stopped, demo)).scheme).toBeUndefined();
  });
});

describe('a motor of two speeds of which both are used', () => {
  const two = (more: JobInput['nameplate'] = {}, rest: JobInput = {}): Solution =>
    solve(
      emptyJob({
        situation: { kind: 'starter' },
        nameplate: {
          power: '30/10 hp',
          voltages: '460',
          currents: '38/20',
          frequency: '60',
          speed: '1770/885',
          designLetter: 'B',
          codeLetter: 'G',
          serviceFactor: '1.15',
          speedInForce: 'both',
          ...more,
        },
        supply: { voltage: '480', frequency: '60' },
        load: { torqueKind: 'variable', torque: '20 lb·ft', speed: '1780', inertia: '3 lb·ft²' },
        starting: { speedControl: 'no', method: 'direct' },
        ...rest,
      }),
      demo,
    );
  const codes = ({ findings }: Solution): string[] => findings.map(({ code }) => code);
  it('holds for the faster, guards each by its own current and wires for the larger (NEC 430.6(A)(1), 430.22(B), 430.32)', () => {
    const solved = two();
    expect(solved.values['starter.lowDial']?.value).toBe(20);
    expect(solved.values['protection.overloadDial']?.value).toBe(38);
    expect(solved.values['protection.wireCurrent']?.value).toBe(38);
    expect(solved.details.scheme?.arrangement).toBe('tapped winding');
    expect(solved.values['starter.architecture']?.text).toContain('a contactor for the star point');
    expect(codes(solved)).toContain('protection.speed-change');
    expect(solved.findings.find(({ code }) => code === 'nameplate.speed-chosen')?.message).toContain('both are used');
    // The slow speed may stand first, and of constant power take more.
    const turned = two({ power: '10/30 hp', speed: '885/1770', currents: '45/38' });
    expect(turned.values['starter.lowDial']?.value).toBe(45);
    expect(turned.values['protection.wireCurrent']?.value).toBe(45);
    expect(turned.values['starter.contactorCurrent']?.value).toBe(45);
    // Without a service factor the dial goes down by 115 : 125.
    expect(two({ serviceFactor: '1.0' }).values['starter.lowDial']?.value).toBeCloseTo(20 * 0.92, 9);
  });
  it('other ratios than 2:1 come from two windings, and 2:1 may', () => {
    expect(two({ speed: '1770/1170' }).details.scheme?.arrangement).toBe('two windings');
    expect(two({}, { protection: { winding: 'two' } }).details.scheme?.arrangement).toBe('two windings');
    expect(two({ speedInForce: 'first' }).details.scheme?.arrangement).toBe('direct');
  });
  it('is told where the motor that is picked has one speed', () => {
    const replaced = two({}, { situation: { kind: 'replace' } });
    expect(codes(replaced)).toContain('protection.one-speed');
    expect(replaced.details.scheme?.arrangement).toBe('direct');
    expect(codes(two())).not.toContain('protection.one-speed');
    expect(codes(two({ speedInForce: 'first' }, { situation: { kind: 'replace' } }))).not.toContain(
      'protection.one-speed',
    );
  });
  it('by IEC no single motor breaker guards both', () => {
    const iec = (speedInForce: 'both' | 'first') =>
      run({
        nameplate: {
          ...base.nameplate,
          power: '15/5 kW',
          speed: '1470/735',
          voltages: '400',
          currents: '28/14',
          speedInForce,
        },
      });
    expect(iec('first').details.scheme).toMatchObject({ device: 'motor breaker', arrangement: 'direct' });
    expect(iec('both').details.scheme).toMatchObject({ device: 'fuses', arrangement: 'tapped winding' });
    expect(iec('both').values['starter.lowDial']?.value).toBe(14);
  });
});
