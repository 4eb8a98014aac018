import type { EfficiencyClass } from '../../motor/efficiency-class.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';

interface Rule {
  readonly from: number;
  readonly least: EfficiencyClass | 'no least class';
  /** Sizes it holds for, W. */
  readonly over: number;
  readonly upTo: number;
  readonly law: string;
}

/** From memory: US law by year of manufacture for general-purpose motors, 1 to 200 hp first. */
const american: readonly Rule[] = [
  { from: 1997, least: 'energy efficient', over: 745, upTo: 149_200, law: 'EPAct 1992, from October 1997' },
  { from: 2011, least: 'premium', over: 745, upTo: 149_200, law: 'EISA 2007, from December 2010' },
  { from: 2016, least: 'premium', over: 745, upTo: 373_000, law: 'US 10 CFR 431.25, from June 2016' },
];
/** From memory: EU law by year of placing on the market. */
const european: readonly Rule[] = [
  { from: 2011, least: 'IE2', over: 740, upTo: 375_000, law: 'EC 640/2009, from June 2011' },
  { from: 2015, least: 'IE3', over: 7400, upTo: 375_000, law: 'EC 640/2009, from 2015 (IE2 with a drive allowed)' },
  { from: 2017, least: 'IE3', over: 740, upTo: 375_000, law: 'EC 640/2009, from 2017 (IE2 with a drive allowed)' },
  { from: 2022, least: 'IE3', over: 740, upTo: 1_000_000, law: 'EU 2019/1781, from July 2021' },
  { from: 2024, least: 'IE4', over: 74_000, upTo: 200_500, law: 'EU 2019/1781, from July 2023' },
];

/** The least efficiency class the law asked of a new motor of this size in that year (recalled from memory). */
export function leastClass(
  power: number,
  year: number,
  school: StandardsSystem,
): { readonly least: EfficiencyClass | 'no least class'; readonly law: string } {
  const rules = school === 'NEMA' ? american : european;
  const rule = rules.findLast((each) => year >= each.from && power > each.over && power <= each.upTo);
  return rule ?? { least: 'no least class', law: 'before any rule for this size' };
}
