import { say, textOf, type Text, series } from '../../../kernel/text.ts';
import type { StandardsSystem } from '../../../kernel/quantity/units.ts';
import { bothSpeeds, type Circuit } from '../protection-input.ts';
import type { StarterValues } from '../starter-values.ts';
import type { CircuitDesign } from '../circuit-design.ts';

export type Arrangement =
  | 'direct'
  | 'reversing'
  | 'star-delta'
  | 'autotransformer'
  | 'soft starter'
  | 'two windings'
  | 'tapped winding'
  | 'drive';

/** Items of a starter by the letters they have in its schedules. */
export type Item =
  | 'Q1'
  | 'F1'
  | 'Q2'
  | 'Q3'
  | 'Q4'
  | 'F2'
  | 'F3'
  | 'T1'
  | 'T3'
  | 'M1'
  | 'T2'
  | 'F4'
  | 'F5'
  | 'S0'
  | 'S1'
  | 'S2'
  | 'S3'
  | 'K1'
  | 'K2'
  | 'P1';

/** What a starter’s circuits are drawn from; `Known` is text where the engine says it, and words where it is drawn. */
export interface Scheme<Known extends Text = string> {
  readonly school: StandardsSystem;
  readonly arrangement: Arrangement;
  readonly device: 'motor breaker' | 'breaker' | 'fuses';
  readonly control: 'auto' | 'dc' | 'line';
  /** What is known of an item: its make, rating or setting. */
  readonly known: Partial<Record<Item, Known>>;
}

/** The contactors of an arrangement in North American letters. */
const AMERICAN: Readonly<Record<Arrangement, Partial<Record<Item, string>>>> = {
  direct: { Q2: 'M' },
  reversing: { Q2: 'F', Q3: 'R' },
  'star-delta': { Q2: '1M', Q3: '2M', Q4: 'S' },
  autotransformer: { Q2: 'R', Q3: '2S', Q4: '1S' },
  'soft starter': { Q2: 'IC', Q3: 'BC', T1: 'SS' },
  'two windings': { Q2: 'L', Q3: 'H', F2: 'OL-L', F3: 'OL-H' },
  'tapped winding': { Q2: 'L', Q3: 'H', Q4: 'HS', F2: 'OL-L', F3: 'OL-H' },
  drive: { T1: 'VFD' },
};
const COMMON: Readonly<Record<Exclude<Item, 'F1'>, string>> = {
  Q1: 'DISC',
  Q2: 'M',
  Q3: 'Q3',
  Q4: 'Q4',
  F2: 'OL',
  F3: 'OL-H',
  T1: 'T1',
  T3: 'AT',
  M1: 'MTR',
  T2: 'CPT',
  F4: '1FU',
  F5: '2FU',
  S0: 'E-STOP',
  S1: 'STOP',
  S2: 'START',
  S3: 'START-2',
  K1: 'TR',
  K2: 'CR',
  P1: 'LT',
};
const SECOND: Partial<Record<Arrangement, Partial<Record<Item, string>>>> = {
  reversing: { S2: 'FWD', S3: 'REV' },
  'two windings': { S2: 'SLOW', S3: 'FAST' },
  'tapped winding': { S2: 'SLOW', S3: 'FAST' },
};

/** How an item is called in the diagrams of a school. */
export function nameOf(item: Item, { school, arrangement, device }: Scheme): string {
  if (school === 'IEC') return item;
  if (item === 'F1') return device === 'fuses' ? 'FU' : 'CB';
  return AMERICAN[arrangement][item] ?? SECOND[arrangement]?.[item] ?? COMMON[item];
}

/** Whether a relay of its own guards the motor. */
export const hasRelay = ({ device, arrangement }: Scheme): boolean =>
  arrangement !== 'drive' && (device !== 'motor breaker' || isTwoSpeed(arrangement));

export const isTwoSpeed = (arrangement: Arrangement): boolean =>
  arrangement === 'two windings' || arrangement === 'tapped winding';

/** Speeds in this ratio may come from one tapped winding; others need two. */
const TAPPED = { ratio: 2, within: 0.1 } as const;

/** How a circuit is arranged by its start, its directions and its speeds. */
export function arrangementOf(circuit: Circuit): Arrangement {
  const { starting, onDrive, brief } = circuit;
  const { method } = starting;
  if (onDrive || method === 'drive') return 'drive';
  if (method !== undefined && method !== 'direct') return method;
  const speeds = bothSpeeds(circuit)?.all.map(({ value }) => value);
  if (speeds) {
    const ratio = Math.max(...speeds) / Math.min(...speeds);
    const may = Math.abs(ratio / TAPPED.ratio - 1) <= TAPPED.within;
    return may && brief.job.protection.winding === 'tapped' ? 'tapped winding' : 'two windings';
  }
  return brief.job.starting.reversing === 'yes' ? 'reversing' : 'direct';
}

/** What a circuit’s diagrams are drawn from; undefined while no way to start is known. */
export function schemeOf(
  circuit: Circuit,
  { values, isOverload }: CircuitDesign,
  starter: StarterValues,
): Scheme<Text> | undefined {
  const { starting, onDrive, brief, pick, motor } = circuit;
  if (starting.method === undefined) return undefined;
  const { school, protection } = brief.job;
  const arrangement = arrangementOf(circuit);
  const fused =
    school === 'NEMA'
      ? protection.device !== 'inverse time breaker'
      : onDrive || protection.shortCircuit !== 'motor breaker';
  const least = (text: Text | undefined): Text => (text === undefined ? '' : say`${text} min.`);
  const most = values.branchDeviceMax && say`${values.branchDeviceMax} max.`;
  const dial = series([textOf(values.overloadDial), textOf(starter.tripClass)], ', ');
  const parts = pick.starter?.parts ?? [];
  const contactors = parts.filter(({ part }) => part.kind === 'contactor').map(({ part }) => part.name);
  const named = (kind: string): string => parts.find(({ part }) => part.kind === kind)?.part.name ?? '';
  const known: Scheme<Text>['known'] = {
    Q1: least(textOf(values.disconnectCurrent)),
    F1: series(
      [textOf(values.branchDevice), most, isOverload ? values.overloadDial && say`set to ${values.overloadDial}` : ''],
      ', ',
    ),
    ...(onDrive
      ? {}
      : {
          Q2: contactors[0] ?? least(textOf(starter.contactorCurrent)),
          Q3: contactors[1] ?? '',
          Q4: contactors[2] ?? '',
          F2: series([named('overload relay'), dial], ', '),
        }),
    T1: onDrive
      ? (textOf(pick.values.drive) ?? '')
      : named('soft starter') || least(textOf(starter.softStarterCurrent)),
    T2: least(textOf(starter.controlPower)),
    T3: named('autotransformer') || (textOf(starter.transformerPower) ?? ''),
    M1: textOf(pick.values.motor) ?? motor.label,
    ...(isTwoSpeed(arrangement)
      ? { F2: series([textOf(starter.lowDial) ?? '', textOf(starter.tripClass)], ', '), F3: dial }
      : {}),
  };
  return {
    school,
    arrangement,
    device: isOverload ? 'motor breaker' : fused ? 'fuses' : 'breaker',
    control: protection.control,
    known,
  };
}
