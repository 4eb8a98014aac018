import { z } from 'zod';
import { common, type Searched } from './item.ts';

export const starterPartSchema = z.strictObject({
  kind: z.enum(['contactor', 'overload relay', 'breaker', 'soft starter', 'autotransformer']),
  ...common,
  voltageMax: z.number().positive(),
  /** Contactor: AC-3 current. Relay: dial range. Breaker, soft starter and autotransformer: rated motor current. A. */
  currentMin: z.number().nonnegative(),
  currentMax: z.number().positive(),
  /** Breaker: r.m.s. current it breaks at that voltage, A; unknown where left out. */
  breakingCapacity: z.number().positive().max(1e6).optional(),
});

export type StarterPart = Readonly<z.infer<typeof starterPartSchema>>;

/** What it is searched by. */
export const searchedOfPart = ({ currentMax }: StarterPart): Searched => ({
  power_w: null,
  poles: null,
  current_a: currentMax,
});
