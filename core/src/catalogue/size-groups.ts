import type { MotorItem } from './motor-item.ts';

/** Motors of one school, frequency and power. */
export interface SizeGroup extends Pick<MotorItem, 'school' | 'frequency' | 'power'> {
  readonly items: readonly MotorItem[];
  /** Least price of each number of poles. */
  readonly cheapest: ReadonlyMap<number, number>;
}
const grouped = new WeakMap<readonly MotorItem[], readonly SizeGroup[]>();

/** A catalogue by school, frequency and power, so that of thousands only those of the size are looked at. */
export function sizeGroups(items: readonly MotorItem[]): readonly SizeGroup[] {
  const known = grouped.get(items);
  if (known) return known;
  const byKey = new Map<string, MotorItem[]>();
  for (const item of items) {
    const key = `${item.school}|${item.frequency}|${item.power}`;
    const group = byKey.get(key);
    if (group) group.push(item);
    else byKey.set(key, [item]);
  }
  const groups = [...byKey.values()].flatMap(groupOf);
  grouped.set(items, groups);
  return groups;
}

function groupOf(items: readonly MotorItem[]): SizeGroup[] {
  const [first] = items;
  if (!first) return [];
  const { school, frequency, power } = first;
  const cheapest = new Map<number, number>();
  for (const { poles, price } of items) cheapest.set(poles, Math.min(price, cheapest.get(poles) ?? Infinity));
  return [{ school, frequency, power, items, cheapest }];
}
