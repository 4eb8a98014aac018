import { z } from 'zod';
import { documentSchema } from '../job/job.ts';
import { machineSchema } from './machine.ts';
import { solutionSchema } from '../solve/solution.ts';

type JsonSchema = Readonly<Record<string, unknown>>;

/** JSON Schema of a job as it may be written: every default may be left out. */
export const jobJsonSchema = (): JsonSchema => ({
  ...z.toJSONSchema(documentSchema, { io: 'input' }),
  title: 'Pilgrim job',
});

/** JSON Schema of what `solve` returns. */
export const solutionJsonSchema = (): JsonSchema => ({ ...z.toJSONSchema(solutionSchema), title: 'Pilgrim solution' });

/** JSON Schema of what the `machine` command takes. */
export const machineJsonSchema = (): JsonSchema => ({
  ...z.toJSONSchema(machineSchema, { io: 'input' }),
  title: 'Pilgrim machine',
});
