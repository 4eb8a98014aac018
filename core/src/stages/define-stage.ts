import type { Fields } from '../kernel/field.ts';
import type { StageName } from '../kernel/stage-list.ts';
import type { DeclaredFinding } from './declared-finding.ts';
import type { DeclaredValue } from './declared-value.ts';

/** What a stage asks, works out and may find; the code that does so stands beside it. */
export interface StageDeclaration {
  readonly name: StageName;
  /** What its page says under the title. */
  readonly lead: string;
  readonly fields: Fields;
  readonly values: Readonly<Record<string, DeclaredValue>>;
  readonly findings: Readonly<Record<string, DeclaredFinding>>;
}

/** Keeps the exact types of what is declared, from which the types of document and results follow. */
export const defineStage = <const Declared extends StageDeclaration>(declared: Declared): Declared => declared;
