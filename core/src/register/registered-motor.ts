import { z } from 'zod';
import { plateSchema } from '../job/job.ts';

export const motorStates = ['in service', 'spare', 'in repair', 'scrapped'] as const;
export const motorEvents = ['installed', 'failed', 'repaired', 'swapped', 'other'] as const;

const day = z
  .string()
  .regex(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'Write the date as year-month-day, for example 2026-03-18.');

/** A motor of a site: where it is, what its plate says, and what happened to it. */
export const registeredMotorSchema = z.strictObject({
  site: z.string().max(120).default(''),
  tag: z.string().max(60).default(''),
  location: z.string().max(120).default(''),
  state: z.enum(motorStates).default('in service'),
  school: z.enum(['NEMA', 'IEC']).default('NEMA'),
  plate: plateSchema.prefault({}),
  /** As typed, with its unit: what was last measured on it. */
  runningCurrent: z.string().max(40).default(''),
  note: z.string().max(2000).default(''),
  history: z
    .array(z.strictObject({ date: day, event: z.enum(motorEvents), note: z.string().max(500).default('') }))
    .max(500)
    .default([]),
});

export type RegisteredMotor = z.infer<typeof registeredMotorSchema>;
export type RegisteredMotorInput = z.input<typeof registeredMotorSchema>;
