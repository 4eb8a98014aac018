import type { StandardsSystem } from '@pilgrim/core/kernel/quantity/units';
import type { FieldEcho } from '@pilgrim/core/job/inputs';

export type FieldValue = string | number | boolean | undefined;

/** A document whose fields are typed into: a job, or a registered motor. Paths are those of the job document. */
export interface FieldHost {
  /** Whose terms its labels use. */
  readonly school: StandardsSystem;
  get(path: string): FieldValue;
  /** What was decided of a choice that is left to Pilgrim. */
  decided?(path: string): FieldValue;
  set(path: string, value: FieldValue): void;
  setMany(values: Readonly<Record<string, FieldValue>>): void;
  /** How what was typed was understood. */
  echo(path: string): FieldEcho | undefined;
}
