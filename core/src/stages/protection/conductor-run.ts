import type { Text } from '../../kernel/text.ts';
/** From where to where a run goes: of a motor on the line, before and behind a drive, and behind a star-delta starter. */
export const ENDS = {
  direct: { from: 'panel', to: 'motor' },
  feed: { from: 'panel', to: 'drive' },
  lead: { from: 'drive', to: 'motor' },
  sixLeads: { from: 'starter', to: 'motor, six leads' },
} as const;

/** A run of wires with what asks for its size, in the order from where it is fed to where it ends. */
export interface ConductorRun {
  readonly from: string;
  readonly to: string;
  /** Undefined where no wire of the tables does. */
  readonly wire: Text | undefined;
  readonly length: Text | undefined;
  /** How it lies: in what, how warm, beside what. */
  readonly lies: Text;
  readonly limits: readonly RunLimit[];
}

export interface RunLimit {
  /** Where it bites: at the terminals and the device, along the way, or at the far end. */
  readonly at: Place;
  readonly asks: string;
  /** The least size by it alone; undefined where none of the tables does. */
  readonly size: string | undefined;
  /** The wire is as large as this asks. */
  readonly decides: boolean;
}

export type Place = 'start' | 'way' | 'end';
