import { stageNames, type StageName } from '../kernel/stage-names.ts';
import type { DeclaredValue } from '../stages/declared-value.ts';
import type { DeclaredFinding } from '../stages/declared-finding.ts';
import { findings as driveFindings } from '../stages/drive/findings.ts';
import { values as drive } from '../stages/drive/values.ts';
import { findings as loadFindings } from '../stages/load/findings.ts';
import { findings as moneyFindings } from '../stages/economics/findings.ts';
import { findings as nameplateFindings } from '../stages/nameplate/findings.ts';
import { findings as pickFindings } from '../stages/selection/findings.ts';
import { findings as placeFindings } from '../stages/environment/findings.ts';
import { findings as profileFindings } from '../stages/operating-profile/findings.ts';
import { findings as protectionFindings } from '../stages/protection/findings.ts';
import { findings as situationFindings } from '../stages/task/findings.ts';
import { findings as startingFindings } from '../stages/starting/findings.ts';
import { findings as supplyFindings } from '../stages/supply/findings.ts';
import { values as handover } from '../stages/documents/values.ts';
import { values as load } from '../stages/load/values.ts';
import { values as money } from '../stages/economics/values.ts';
import { values as nameplate } from '../stages/nameplate/values.ts';
import { values as pick } from '../stages/selection/values.ts';
import { values as place } from '../stages/environment/values.ts';
import { values as profile } from '../stages/operating-profile/values.ts';
import { values as protection } from '../stages/protection/values.ts';
import { starterValues } from '../stages/protection/starter-values.ts';
import { values as situation } from '../stages/task/values.ts';
import { values as starting } from '../stages/starting/values.ts';
import { values as supply } from '../stages/supply/values.ts';

const declared: Readonly<Record<StageName, Readonly<Record<string, DeclaredValue>>>> = {
  situation,
  nameplate,
  load,
  supply,
  place,
  profile,
  starting,
  pick,
  drive,
  protection,
  money,
  handover,
};

/** The id of every published value, by stage and name. */
export const idsOf = Object.fromEntries(
  stageNames.map((stage) => [
    stage,
    Object.fromEntries(Object.keys(declared[stage]).map((name) => [name, `${stage}.${name}`])),
  ]),
) as Readonly<Record<StageName, Readonly<Record<string, string | undefined>>>>;

/** What is said of the starter, under `starter.`. */
export const starterIds: Readonly<Record<string, string | undefined>> = Object.fromEntries(
  Object.keys(starterValues).map((name) => [name, `starter.${name}`]),
);

/** What the other school says of the circuit: the same names under `other.`. */
export const otherIds: Readonly<Record<string, string | undefined>> = Object.fromEntries(
  Object.keys(protection).map((name) => [name, `other.${name}`]),
);

/** Every published value by its id, in the order it is shown. */
export const publishedValues: ReadonlyMap<string, DeclaredValue> = new Map([
  ...stageNames.flatMap((stage) =>
    Object.entries(declared[stage]).map(([name, value]) => [idsOf[stage][name] ?? '', value] as const),
  ),
  ...Object.entries<DeclaredValue>(starterValues).map(([name, value]) => [starterIds[name] ?? '', value] as const),
  ...Object.entries<DeclaredValue>(protection).map(
    ([name, { sheet: _sheet, heading: _heading, ...value }]) => [otherIds[name] ?? '', value] as const,
  ),
]);

/** Every finding the stages may raise, by its code. */
export const declaredFindings: ReadonlyMap<string, DeclaredFinding> = new Map(
  [
    situationFindings,
    nameplateFindings,
    loadFindings,
    supplyFindings,
    placeFindings,
    profileFindings,
    startingFindings,
    pickFindings,
    driveFindings,
    protectionFindings,
    moneyFindings,
  ].flatMap((findings) => Object.entries<DeclaredFinding>(findings)),
);
