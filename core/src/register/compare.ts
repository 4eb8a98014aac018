import type { Plate } from '../job/job.ts';
import { emptyJob } from '../job/job.ts';
import { nameplate } from '../stages/nameplate/nameplate.ts';
import { values as declared, type NameplateValues } from '../stages/nameplate/values.ts';
import { readInputs } from '../job/inputs.ts';
import { readPractice } from '../job/practice.ts';
import type { School } from '../ground/quantity/units.ts';
import type { AnyValue } from '../stages/stage.ts';
import { formatNumber } from '../ground/quantity/format.ts';
import { misfitsOf, type Outlines } from '../stages/nameplate/outline.ts';
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
  readonly outlines: Outlines;
}

interface Side {
  readonly plate: Plate;
  readonly school: School;
}

const decode = ({ plate, school }: Side) => {
  const job = emptyJob({ school, situation: { kind: 'starter' }, nameplate: plate });
  const inputs = readInputs(job);
  return nameplate({ job, given: inputs.given, rows: inputs.rows, practice: readPractice({}, {}, school).practice });
};

type Name = keyof NameplateValues;

/**
 * Two plates side by side: each difference in plain words with what it entails when the second motor takes the place
 * of the first. Figures within a per cent, and codes that read the same, count as equal.
 */
export function comparePlates(first: Side, second: Side): Comparison {
  const a = decode(first);
  const b = decode(second);
  const differences: Difference[] = [];
  const same: string[] = [];
  const text = (value: AnyValue | undefined): string => value?.text ?? 'not on the plate';

  const add = (
    what: string,
    old: string,
    fresh: string,
    entails: string,
    weight: Difference['weight'] = 'note',
  ): void => void differences.push({ what, old, fresh, entails, weight });
  const number = (name: Name, entails: (ratio: number) => readonly [string, Difference['weight']]): void => {
    const [x, y] = [a.values[name], b.values[name]];
    const label = declared[name].label;
    if (!x && !y) return;
    if (!x || !y) return void add(label, text(x), text(y), 'Known on one plate only; find it out for the other.');
    const ratio = Number(y.value) / Number(x.value);
    if (Math.abs(ratio - 1) < 0.002) return void same.push(label);
    const [words, weight] = entails(ratio);
    add(label, text(x), text(y), words, weight);
  };
  const percent = (ratio: number): string => `${formatNumber(Math.abs(ratio - 1) * 100, 2)} %`;

  number('power', (r) =>
    r < 1
      ? [`${percent(r)} less power: it will be overloaded if the old one was fully loaded.`, 'stop']
      : [
          `${percent(r)} more power: starter, overload and cable must be checked; at the same load it runs less loaded.`,
          'caution',
        ],
  );
  number('poles', () => [
    'Another number of poles: the speed is wholly different. It does not fit without another ratio.',
    'stop',
  ]);
  number('frequency', () => ['Made for another frequency: speed, flux and power change.', 'stop']);
  number('voltage', (r) =>
    Math.abs(r - 1) > 0.1
      ? ['Wound for another voltage; it does not fit this supply as it is.', 'stop']
      : ['A slightly different voltage: within ±10 % it runs, with other current and torque.', 'caution'],
  );
  number('speed', (r) =>
    r > 1
      ? [
          `${percent(r)} faster: a fan or centrifugal pump takes ${formatNumber((r ** 3 - 1) * 100, 2)} % more power, by the cube of speed.`,
          'caution',
        ]
      : [`${percent(r)} slower: a fan or pump delivers that much less.`, 'note'],
  );
  number('ratedCurrent', () => [
    'Set the overload to the new plate’s current; check heaters, drive and contactor.',
    'caution',
  ]);
  number('lockedRotorCurrentMax', (r) =>
    r > 1.02
      ? ['More starting current: the breaker may trip, the contactor and the dip must be checked.', 'caution']
      : ['Less starting current: the start is gentler.', 'note'],
  );
  number('efficiency', (r) => (r > 1 ? ['Less loss.', 'note'] : ['More loss, and more cost to run.', 'caution']));
  number('powerFactor', (r) =>
    r < 1 ? ['More reactive current; check the correction capacitors.', 'note'] : ['Less reactive current.', 'note'],
  );
  number('serviceFactor', (r) =>
    r < 1
      ? ['Less reserve for short overloads; the overload setting falls with it (125 % to 115 %).', 'caution']
      : ['More reserve.', 'note'],
  );
  letters('codeLetter', 'Code letter', (x, y) =>
    y > x
      ? ['A higher letter means more starting current: check starter and breaker.', 'caution']
      : ['A lower letter means less starting current.', 'note'],
  );
  letters('designLetter', 'Design letter', (x, y) => [
    `Design ${x} and ${y} start and slip differently: check starting torque, breaker and, for C and D, the load they were chosen for.`,
    'caution',
  ]);
  letters('frame', 'Frame', (x, y) => [
    /\dTS|\dUS/.test(y) && !/\dTS|\dUS/.test(x)
      ? 'A short shaft: for a coupling only, never for belts. See the mounting below.'
      : 'See the mounting below.',
    'caution',
  ]);
  letters('enclosure', 'Enclosure', (x, y) =>
    isExplosionProtected(x) || isExplosionProtected(y)
      ? ['Explosion protection is involved: stop; a competent person decides.', 'stop']
      : ['Another enclosure: check water and dust at the place.', 'caution'],
  );
  letters('thermalClass', 'Insulation class', (x, y) =>
    y < x ? ['A lower class stands less heat.', 'caution'] : ['A higher class: more reserve in heat.', 'note'],
  );
  letters('bearingDriveEnd', 'Bearing, drive end', (x, y) =>
    /^N/.test(x) && !/^N/.test(y)
      ? ['Ball instead of roller: it may not carry the belt.', 'caution']
      : ['Another bearing: stock the right spare.', 'note'],
  );
  letters('bearingOppositeEnd', 'Bearing, opposite end', () => ['Another bearing: stock the right spare.', 'note']);
  letters('duty', 'Duty', () => ['Another duty: only S1 or CONT may be loaded continuously.', 'caution']);
  letters('inverter', 'On a drive', (_, y) =>
    y === ''
      ? ['The new plate promises nothing about a drive.', 'caution']
      : ['Check speed range and withstand.', 'note'],
  );
  const outlines = { old: a.outline, fresh: b.outline, misfits: misfitsOf(a.outline, b.outline, first.school) };
  for (const { what, text: words } of outlines.misfits)
    add(
      `Mounting: ${what}`,
      '',
      '',
      `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}: base, coupling or guard must be changed.`,
      'caution',
    );

  const rank = { stop: 0, caution: 1, note: 2 };
  return { differences: differences.toSorted((x, y) => rank[x.weight] - rank[y.weight]), same, outlines };

  function letters(
    name:
      | 'codeLetter'
      | 'designLetter'
      | 'frame'
      | 'enclosure'
      | 'thermalClass'
      | 'bearingDriveEnd'
      | 'bearingOppositeEnd'
      | 'duty'
      | 'inverter',
    label: string,
    entails: (x: string, y: string) => readonly [string, Difference['weight']],
  ): void {
    const x = first.plate[name]?.trim().toUpperCase() ?? '';
    const y = second.plate[name]?.trim().toUpperCase() ?? '';
    if (x === '' && y === '') return;
    if (x.replaceAll(/\W/g, '') === y.replaceAll(/\W/g, '')) return void same.push(label);
    if (x === '' || y === '') {
      const words =
        name === 'inverter'
          ? entails(x, y)
          : (['Known on one plate only; find it out for the other.', 'note'] as const);
      return void add(label, x || 'not on the plate', y || 'not on the plate', words[0], words[1]);
    }
    const [words, weight] = entails(x, y);
    add(label, x, y, words, weight);
  }
}
