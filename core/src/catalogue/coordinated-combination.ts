import { z } from 'zod';

/** Kinds of coordination, the least first: IEC 60947-4-1. */
export const coordinations = ['type 1', 'type 2', 'continuity of service'] as const;
export type Coordination = (typeof coordinations)[number];

/** Device, contactor and relay that their maker tested together. */
export const coordinatedCombinationSchema = z.strictObject({
  /** As it is named: `Bulwark breaker 60 A`, `Fuses gG 63 A`. */
  device: z.string().min(1).max(160),
  /** Ids of parts of the catalogue; no relay where the device is the overload. */
  contactor: z.string().min(1).max(40),
  relay: z.string().min(1).max(40).optional(),
  coordination: z.enum(coordinations),
  /** Short-circuit current it was tested with, A, and at which voltage, V. */
  current: z.number().positive().max(1e6),
  voltage: z.number().positive().max(20_000),
});

export type CoordinatedCombination = Readonly<z.infer<typeof coordinatedCombinationSchema>>;
