import { stageNames, type StageName } from '../kernel/stage-list.ts';
import type { DeclaredValue } from '../stages/declared-value.ts';
import type { DeclaredFinding } from '../stages/declared-finding.ts';
import { declarations } from '../stages/declarations.ts';
import type { StageDeclaration } from '../stages/define-stage.ts';
import { starterValues } from '../stages/protection/starter-values.ts';

const declared: Readonly<Record<StageName, StageDeclaration>> = declarations;
const protection = declarations.protection.values;

/** The id of every published value, by stage and name. */
export const idsOf = Object.fromEntries(
  stageNames.map((stage) => [
    stage,
    Object.fromEntries(Object.keys(declared[stage].values).map((name) => [name, `${stage}.${name}`])),
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
    Object.entries(declared[stage].values).map(([name, value]) => [idsOf[stage][name] ?? '', value] as const),
  ),
  ...Object.entries<DeclaredValue>(starterValues).map(([name, value]) => [starterIds[name] ?? '', value] as const),
  ...Object.entries<DeclaredValue>(protection).map(
    ([name, { sheet: _sheet, heading: _heading, ...value }]) => [otherIds[name] ?? '', value] as const,
  ),
]);

/** Every finding the stages may raise, by its code. */
export const declaredFindings: ReadonlyMap<string, DeclaredFinding> = new Map(
  Object.values(declared).flatMap(({ findings }) => Object.entries(findings)),
);
