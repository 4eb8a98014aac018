import { stageNames, type StageName } from '../ground/stage-names.ts';
import type { DeclaredValue } from '../stages/declared-value.ts';
import { values as handover } from '../stages/handover/values.ts';
import { values as load } from '../stages/load/values.ts';
import { values as money } from '../stages/money/values.ts';
import { values as nameplate } from '../stages/nameplate/values.ts';
import { values as pick } from '../stages/pick/values.ts';
import { values as place } from '../stages/place/values.ts';
import { values as profile } from '../stages/profile/values.ts';
import { values as protection } from '../stages/protection/values.ts';
import { values as situation } from '../stages/situation/values.ts';
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
  protection,
  money,
  handover,
};

/** Every published value by its id, in the order it is shown. */
export const publishedValues: ReadonlyMap<string, DeclaredValue> = new Map(
  stageNames.flatMap((stage) =>
    Object.entries(declared[stage]).map(([name, value]) => [`${stage}.${name}`, value] as const),
  ),
);
