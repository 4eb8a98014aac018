import { declaration as handover } from './documents/declaration.ts';
import { declaration as drive } from './drive/declaration.ts';
import { declaration as money } from './economics/declaration.ts';
import { declaration as place } from './environment/declaration.ts';
import { declaration as load } from './load/declaration.ts';
import { declaration as nameplate } from './nameplate/declaration.ts';
import { declaration as profile } from './operating-profile/declaration.ts';
import { declaration as protection } from './protection/declaration.ts';
import { declaration as pick } from './selection/declaration.ts';
import { declaration as starting } from './starting/declaration.ts';
import { declaration as supply } from './supply/declaration.ts';
import { declaration as situation } from './task/declaration.ts';

/** What every stage declares, in the trade’s order; document, readings, published values and findings are derived from it. */
export const declarations = {
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
