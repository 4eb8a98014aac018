// The heat a wire bears: ICEA P-32-382 and IEC 60364-4-43 434.5.2 (both from memory), sums on paper, and crossings of curves found
// by another route.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Circuit } from '../../../src/stages/protection/protection-input.ts';
import type { Gate } from '../../../src/stages/protection/iec/device.ts';
import { conductorI2tOf } from '../../../src/stages/protection/nec/nec-conductor.ts';
import { emptyCatalogue, emptyJob, solve, type JobInput } from '../../../src/index.ts';
import { plate } from '../../lib/round-prices.ts';
import { checkWire, gapOf } from '../../../src/stages/protection/conductor-i2t.ts';
import type { CircuitDesign } from '../../../src/stages/protection/circuit-design.ts';
import { tripTime } from '../../../src/stages/starting/trip-curve.ts';
import { inWords } from '../../lib/words.ts';

const wire = (size: string, conductor: 'copper' | 'aluminium', insulation: '60' | '75' | '90'): number =>
  conductorI2tOf(size, { conductor, insulation } as Parameters<typeof conductorI2tOf>[1]);

describe('what a wire of Article 310 bears', () => {
  it('is A² t = 0.0297 lg((150 + 234)/(75 + 234)) of its area in circular mils: 6 AWG has 26 240', () => {
    expect(wire('6', 'copper', '75')).toBeCloseTo(26_240 ** 2 * 0.0297 * Math.log10(384 / 309), -1);
    expect(wire('6', 'aluminium', '75')).toBeCloseTo(26_240 ** 2 * 0.0125 * Math.log10(378 / 303), -1);
  });

  it.each([
    ['copper', 115],
    ['aluminium', 76],
  ] as const)('is within a seventh of IEC’s for %s from 70 to 160 °C', (metal, k) => {
    // 250 kcmil are 126.7 mm²; from 60 °C, which lies as far below as 150 °C.
    expect(Math.sqrt(wire('250', metal, '60')) / 126.7 / k).toBeGreaterThan(0.86);
    expect(Math.sqrt(wire('250', metal, '60')) / 126.7 / k).toBeLessThan(1.01);
  });
});

describe('the wire behind the relay', () => {
  it('is that of the leads of a star-delta start: 72 % of 34 A are 10 AWG of 10 380 circular mils; the line’s 42.5 A are 6 AWG at 60 °C terminals', () => {
    const job = {
      situation: { kind: 'replace' },
      nameplate: plate,
      supply: { voltage: '480 V' },
      load: { torque: '25 lb·ft', torqueKind: 'variable', speed: '1770', inertia: '4 lb·ft²' },
      place: { hazardous: 'no', ambient: '30 °C' },
    } as const;
    const heat = (method: string) =>
      solve(emptyJob({ ...job, starting: { method, leads: '6' } } as JobInput), emptyCatalogue).details
        .shortCircuitDevice?.conductorI2t;
    expect(heat('star-delta')).toBeCloseTo(wire('10', 'copper', '75'), 6);
    expect(heat('direct')).toBeCloseTo(wire('6', 'copper', '75'), 6);
    expect(wire('10', 'copper', '75')).toBeCloseTo(10_380 ** 2 * 0.0297 * Math.log10(384 / 309), -1);
  });
});

/** A gG fuse, a magnetic trip, and one that never opens in time. */
const devices: readonly (readonly Gate[])[] = [
  [
    [580, 5],
    [1450, 0.1],
  ],
  [
    [499.2, 0.2],
    [499.2, 0.01],
  ],
  [
    [5000, 60],
    [6000, 30],
  ],
];

/** s in which a device surely opens: straight on logarithmic scales, at once beyond a magnetic trip. */
function opening(operatingCurrent: readonly Gate[], amperes: number): number {
  const [first, last] = [operatingCurrent[0] ?? [0, 0], operatingCurrent.at(-1) ?? [0, 0]];
  if (amperes < first[0]) return Infinity;
  if (first[0] === last[0]) return 0;
  if (amperes >= last[0]) return last[1];
  const share = Math.log(amperes / first[0]) / Math.log(last[0] / first[0]);
  return first[1] * (last[1] / first[1]) ** share;
}

describe('amperes at which nothing opens before the wire is damaged', () => {
  const settings = fc.record({
    dial: fc.double({ min: 5, max: 200, noNaN: true }),
    slowest: fc.constantFrom(5, 10, 20, 30, 40),
    heat: fc.double({ min: 2e4, max: 5e7, noNaN: true }),
    operatingCurrent: fc.constantFrom(...devices),
  });

  it('are those that trying one current after another finds', () => {
    fc.assert(
      fc.property(settings, ({ dial, slowest, heat, operatingCurrent }) => {
        const relay = (amperes: number): number => tripTime(slowest, amperes / dial);
        const gap = gapOf(relay, heat, operatingCurrent);
        for (let amperes = Math.sqrt(heat / 5) * 1.001; amperes < 20_000; amperes *= 1.013) {
          const damage = heat / amperes ** 2;
          // Beyond its least current in time a device lets through what is checked where the wire is sized.
          if (opening(operatingCurrent, amperes) <= damage) break;
          // On the very edge either answer is right.
          if (gap && Math.abs(amperes / gap.to - 1) < 1e-3) continue;
          expect(gap !== undefined && amperes < gap.to).toBe(relay(amperes) > damage);
        }
      }),
    );
  });

  it('end where a fuse of 580 A in 5 s and 1450 A in 0.1 s opens before 476 100 A²s: at 1011 A, straight on logarithmic scales', () => {
    const [fuse = []] = devices;
    const gap = gapOf((amperes) => tripTime(20, amperes / 28), 476_100, fuse);
    // ln 0.02 / ln 2.5 = −4.269: 5 (I/580)^−4.269 = 476 100/I² at I = (5 · 580^4.269 / 476 100)^(1/2.269).
    const steep = -Math.log(0.02) / Math.log(2.5);
    expect(gap?.to).toBeCloseTo(((5 * 580 ** steep) / 476_100) ** (1 / (steep - 2)), 6);
    expect(gap?.to).toBeCloseTo(1011, 0);
    expect(gap?.from).toBeCloseTo(308.6, 1);
  });

  it('are never more with a larger wire or a faster relay', () => {
    fc.assert(
      fc.property(
        settings,
        fc.double({ min: 1, max: 4, noNaN: true }),
        ({ dial, slowest, heat, operatingCurrent }, more) => {
          const width = (time: number, borne: number): number => {
            const gap = gapOf((amperes) => tripTime(time, amperes / dial), borne, operatingCurrent);
            return gap ? Math.log(gap.to / gap.from) : 0;
          };
          expect(width(slowest, heat * more)).toBeLessThanOrEqual(width(slowest, heat) + 1e-6);
          expect(width(slowest / more, heat)).toBeLessThanOrEqual(width(slowest, heat) + 1e-6);
        },
      ),
    );
  });
});

describe('what is told of them', () => {
  const device = { name: 'fuses gG 125 A', carries: [], operatingCurrent: devices[2] ?? [], rated: undefined };
  const heat = (115 * 2.5) ** 2;
  const told = (
    more: { fault?: number; heat?: number | undefined; dial?: number | undefined; started?: boolean } = {},
  ) => {
    const said: string[] = [];
    const { started = true } = more;
    checkWire(
      { device, conductorI2t: 'heat' in more ? more.heat : heat } as unknown as CircuitDesign,
      {
        brief: { job: { school: 'IEC' } },
        starting: { method: started ? 'direct' : undefined, bench: { comparison: () => ({ relayClass: '10' }) } },
      } as unknown as Circuit,
      { dial: 'dial' in more ? more.dial : 28, fault: more.fault },
      (_, message) => said.push(inWords(message)),
    );
    return said;
  };
  // The wire bears 287.5 A for one second, and 5 s are as long as its heat may be counted so.
  const from = Math.sqrt(heat / 5);
  it('from where the wire is damaged first to where it ends, no further than a short circuit can flow', () => {
    const [open = ''] = told();
    expect(open).toMatch(/^From 129 A/);
    expect(open).toContain('the class 10 relay or the fuses gG 125 A operates, within 5.0 s');
    expect(told({ fault: 140 })[0]).toMatch(/^From 129 A to 140 A/);
    expect(told({ fault: from * 1.0001 }).length).toBe(1);
    expect(told({ fault: from * 0.9999 })).toEqual([]);
    expect(told({ fault: from })).toEqual([]);
  });
  it('nothing where wire, dial or start are not known, or the wire bears it', () => {
    expect(told({ heat: undefined })).toEqual([]);
    expect(told({ dial: undefined })).toEqual([]);
    expect(told({ started: false })).toEqual([]);
    expect(told({ heat: heat * 1000 })).toEqual([]);
  });
});
