import type { Plate } from '../job/job.ts';
import { emptyJob } from '../job/job.ts';
import { nameplate } from '../stages/nameplate/nameplate.ts';
import { values as declared, type NameplateValues } from '../stages/nameplate/values.ts';
import { readInputs } from '../job/inputs.ts';
import { readPractice } from '../job/design-rules.ts';
import type { StandardsSystem } from '../kernel/quantity/units.ts';
import type { AnyValue } from '../stages/stage.ts';
import { formatNumber } from '../kernel/quantity/format.ts';
import { misfitsOf, type Outlines } from '../stages/nameplate/outline.ts';
import { present, textIn, type Shown } from '../present/present.ts';
import { textOf } from '../kernel/text.ts';
import { termIn } from '../kernel/term.ts';
import { isExplosionProtected } from '../stages/nameplate/enclosure.ts';

export interface Difference {
  readonly what: string;
  readonly old: string;
  readonly fresh: string;
  /** What the difference entails; empty where it entails nothing. */
  readonly entails: string;
  readonly weight: 'stop' | 'caution' | 'note';
}

export interface Comparison {
  readonly differences: readonly Difference[];
  readonly same: readonly string[];
  readonly outlines: Shown<Outlines>;
}

interface Side {
  readonly plate: Plate;
  readonly school: StandardsSystem;
}

const decode = ({ plate, school }: Side) => {
  const job = emptyJob({ school, situation: { kind: 'starter' }, nameplate: plate });
  const inputs = readInputs(job);
  return nameplate({ job, given: inputs.given, rows: inputs.rows, practice: readPractice({}, {}).practice });
};

type Name = keyof NameplateValues;
type Code =
  | 'codeLetter'
  | 'designLetter'
  | 'frame'
  | 'enclosure'
  | 'thermalClass'
  | 'bearingDriveEnd'
  | 'bearingOppositeEnd'
  | 'duty'
  | 'inverter';
type Weighed = readonly [words: string, weight: Difference['weight']];
type Entails<Of> = (ratio: Of) => Weighed;

const percent = (ratio: number): string => `${formatNumber(Math.abs(ratio - 1) * 100, 2)} %`;

/** What it entails that a figure of the second plate is `r` times that of the first. */
const figures: readonly (readonly [Name, Entails<number>])[] = [
  [
    'power',
    (r) =>
      r < 1
        ? [`${percent(r)} less power: it will be overloaded if the old one was fully loaded.`, 'stop']
        : [
            `${percent(r)} more power: starter, overload and cable must be checked; at the same load it runs less loaded.`,
            'caution',
          ],
  ],
  [
    'poles',
    () => ['Another number of poles: the speed is wholly different. It does not fit without another ratio.', 'stop'],
  ],
  ['frequency', () => ['Made for another frequency: speed, flux and power change.', 'stop']],
  [
    'voltage',
    (r) =>
      Math.abs(r - 1) > 0.1
        ? ['Wound for another voltage; it does not fit this supply as it is.', 'stop']
        : ['A slightly different voltage: within ±10 % it runs, with other current and torque.', 'caution'],
  ],
  [
    'speed',
    (r) =>
      r > 1
        ? [
            `${percent(r)} faster: a fan or centrifugal pump takes ${formatNumber((r ** 3 - 1) * 100, 2)} % more power, by the cube of speed.`,
            'caution',
          ]
        : [`${percent(r)} slower: a fan or pump delivers that much less.`, 'note'],
  ],
  [
    'ratedCurrent',
    () => ['Set the overload to the new plate’s current; check heaters, drive and contactor.', 'caution'],
  ],
  [
    'lockedRotorCurrentMax',
    (r) =>
      r > 1.02
        ? ['More starting current: the breaker may trip, the contactor and the dip must be checked.', 'caution']
        : ['Less starting current: the start is gentler.', 'note'],
  ],
  ['efficiency', (r) => (r > 1 ? ['Less loss.', 'note'] : ['More loss, and more cost to run.', 'caution'])],
  [
    'powerFactor',
    (r) =>
      r < 1 ? ['More reactive current; check the correction capacitors.', 'note'] : ['Less reactive current.', 'note'],
  ],
  [
    'serviceFactor',
    (r) =>
      r < 1
        ? ['Less reserve for short overloads; the overload setting falls with it (125 % to 115 %).', 'caution']
        : ['More reserve.', 'note'],
  ],
];

/** What it entails that a code reads differently. */
const codes: readonly (readonly [Code, string, (x: string, y: string) => Weighed])[] = [
  [
    'codeLetter',
    'Code letter',
    (x, y) =>
      y > x
        ? ['A higher letter means more starting current: check starter and breaker.', 'caution']
        : ['A lower letter means less starting current.', 'note'],
  ],
  [
    'designLetter',
    'Design letter',
    (x, y) => [
      `Design ${x} and ${y} start and slip differently: check starting torque, breaker and, for C and D, the load they were chosen for.`,
      'caution',
    ],
  ],
  [
    'frame',
    'Frame',
    (x, y) => [
      /\dTS|\dUS/.test(y) && !/\dTS|\dUS/.test(x)
        ? 'A short shaft: for a coupling only, never for belts. See the mounting below.'
        : 'See the mounting below.',
      'caution',
    ],
  ],
  [
    'enclosure',
    'Enclosure',
    (x, y) =>
      isExplosionProtected(x) || isExplosionProtected(y)
        ? ['Explosion protection is involved: stop; a competent person decides.', 'stop']
        : ['Another enclosure: check water and dust at the place.', 'caution'],
  ],
  [
    'thermalClass',
    'Insulation class',
    (x, y) =>
      y < x ? ['A lower class stands less heat.', 'caution'] : ['A higher class: more reserve in heat.', 'note'],
  ],
  [
    'bearingDriveEnd',
    'Drive-end bearing',
    (x, y) =>
      /^N/.test(x) && !/^N/.test(y)
        ? ['Ball instead of roller: it may not carry the belt.', 'caution']
        : ['Another bearing: stock the right spare.', 'note'],
  ],
  ['bearingOppositeEnd', 'Opposite-drive-end bearing', () => ['Another bearing: stock the right spare.', 'note']],
  ['duty', 'Duty type', () => ['Another duty: only S1 or CONT may be loaded continuously.', 'caution']],
  [
    'inverter',
    'Inverter-duty marking',
    (_, y) =>
      y === ''
        ? ['The new plate promises nothing about a drive.', 'caution']
        : ['Check speed range and withstand.', 'note'],
  ],
];

/** Figures this near are the same. */
const SAME = 0.002;
const ONE_ONLY: Weighed = ['Known on one plate only; find it out for the other.', 'note'];
const NOT_THERE = 'not on the plate';

type Verdict = { readonly same: string } | { readonly differs: Difference };
const differs = (what: string, old: string, fresh: string, [entails, weight]: Weighed): Verdict => ({
  differs: { what, old, fresh, entails, weight },
});

type Values = ReturnType<typeof decode>['values'];

function compareFigure(
  name: Name,
  entails: Entails<number>,
  { a, b, school }: { readonly a: Values; readonly b: Values; readonly school: StandardsSystem },
): Verdict | undefined {
  const [x, y]: readonly (AnyValue | undefined)[] = [a[name], b[name]];
  const label = termIn(declared[name].label, school);
  if (!x && !y) return undefined;
  const shown = (value: AnyValue | undefined): string => (value ? textIn(textOf(value), { units: school }) : NOT_THERE);
  if (!x || !y) return differs(label, shown(x), shown(y), ONE_ONLY);
  const ratio = Number(y.value) / Number(x.value);
  return Math.abs(ratio - 1) < SAME ? { same: label } : differs(label, shown(x), shown(y), entails(ratio));
}

function compareCode([name, label, entails]: (typeof codes)[number], first: Plate, second: Plate): Verdict | undefined {
  const x = first[name]?.trim().toUpperCase() ?? '';
  const y = second[name]?.trim().toUpperCase() ?? '';
  if (x === '' && y === '') return undefined;
  if (x.replaceAll(/\W/g, '') === y.replaceAll(/\W/g, '')) return { same: label };
  // A promise about drives that is missing says something by itself.
  const unknown = (x === '' || y === '') && name !== 'inverter';
  return differs(label, x || NOT_THERE, y || NOT_THERE, unknown ? ONE_ONLY : entails(x, y));
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const rank = { stop: 0, caution: 1, note: 2 };

/**
 * Two plates side by side: each difference in plain words with what it entails when the second motor takes the place
 * of the first. Figures within a per cent, and codes that read the same, count as equal.
 */
export function comparePlates(first: Side, second: Side): Comparison {
  const a = decode(first);
  const b = decode(second);
  const outlines = present(
    { old: a.outline, fresh: b.outline, misfits: misfitsOf(a.outline, b.outline, first.school) },
    { units: first.school },
  );
  const verdicts = [
    ...figures.map(([name, entails]) =>
      compareFigure(name, entails, { a: a.values, b: b.values, school: first.school }),
    ),
    ...codes.map((code) => compareCode(code, first.plate, second.plate)),
    ...outlines.misfits.map(({ what, text }) =>
      differs(`Mounting: ${what}`, '', '', [`${capital(text)}: base, coupling or guard must be changed.`, 'caution']),
    ),
  ].filter((verdict) => verdict !== undefined);
  const differences = verdicts.flatMap((verdict) => ('differs' in verdict ? [verdict.differs] : []));
  return {
    differences: differences.toSorted((x, y) => rank[x.weight] - rank[y.weight]),
    same: verdicts.flatMap((verdict) => ('same' in verdict ? [verdict.same] : [])),
    outlines,
  };
}
