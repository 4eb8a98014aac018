import { z } from 'zod';

const ohms = z.number().nonnegative().max(1e4);

/**
 * Per-phase star equivalent circuit of an induction motor, referred to the stator, at rated frequency.
 * A second cage (r3, x3) lies in parallel with the first. Ω unless said otherwise.
 */
export const circuitShape = {
  r1: ohms,
  x1: ohms,
  xm: z.number().positive().max(1e4),
  r2: z.number().positive().max(1e4),
  x2: ohms,
  r3: z.number().positive().max(1e4).optional(),
  x3: ohms.optional(),
  rc: z.number().positive().max(1e7).optional().describe('Core loss as a resistance beside the magnetising reactance'),
  rs: ohms.optional().describe('Stray load loss as a resistance in the stator path'),
  saturation: z
    .strictObject({
      knee: z.number().positive().max(1e6).describe('Stator current above which the leakage iron saturates, A'),
      floor: z.number().min(0.2).max(1).describe('Share of the leakage reactances left at very high current'),
    })
    .optional()
    .describe('Saturation of the leakage paths; none where left out'),
  volts: z.number().positive().max(20_000).describe('Line to line, V'),
  hz: z.number().positive().max(400),
  poles: z.number().int().min(2).max(48).multipleOf(2),
  rotationalLoss: z
    .number()
    .nonnegative()
    .max(1e6)
    .default(0)
    .describe('Friction, windage, core and stray loss lumped at the shaft, W, at any speed'),
  windage: z
    .number()
    .nonnegative()
    .max(1e6)
    .optional()
    .describe('Friction and windage at synchronous speed, W; falls with the square of speed'),
} as const;
export const circuitSchema = z.strictObject(circuitShape);

export type Circuit = Readonly<z.infer<typeof circuitSchema>>;
