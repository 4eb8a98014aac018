import { z } from 'zod';
import { common, type Searched } from './item.ts';

export const starterPartSchema = z.strictObject({
  kind: z.enum(['contactor', 'overload relay', 'breaker', 'motor breaker', 'soft starter', 'autotransformer']),
  ...common,
  voltageMax: z.number().positive(),
  /** Contactor: AC-3 current. Relay and motor breaker: dial range. Breaker, soft starter and autotransformer: rated motor current. A. */
  currentMin: z.number().nonnegative(),
  currentMax: z.number().positive(),
  /** Breaker and motor breaker: r.m.s. current it breaks at that voltage, A; unknown where left out. */
  breakingCapacity: z.number().positive().max(1e6).optional(),
  /** Contactor: VA of its ac coil while it is held and while it pulls in; unknown where left out. */
  coilSealed: z.number().positive().max(1e4).optional(),
  coilInrush: z.number().positive().max(1e5).optional(),
  /** Soft starter, AC-53: so many times its current for so many s, so often an hour; unknown where left out. */
  ac53: z
    .strictObject({
      multiple: z.number().min(1).max(10),
      seconds: z.number().positive().max(600),
      startsPerHour: z.number().positive().max(1000),
    })
    .optional(),
  /** Contactor: operations its contacts last at that current, started (AC-3) and inched or plugged (AC-4). */
  lifeStarted: z.number().positive().max(1e9).optional(),
  lifeInched: z.number().positive().max(1e9).optional(),
});

export type StarterPart = Readonly<z.infer<typeof starterPartSchema>>;

/** What it is searched by. */
export const searchedOfPart = ({ currentMax }: StarterPart): Searched => ({
  power_w: null,
  poles: null,
  current_a: currentMax,
});
