import { z } from 'zod';
import { common, type Searched } from './item.ts';

export const drivePartKinds = [
  'line choke',
  'passive filter',
  'output reactor',
  'dV/dt filter',
  'sine filter',
  'brake resistor',
  'shaft ring',
] as const;

/** What a drive may need beside it. */
export const drivePartSchema = z.strictObject({
  kind: z.enum(drivePartKinds),
  ...common,
  voltageMax: z.number().positive(),
  /** A it carries for good; of a resistor or ring as large as its place asks. */
  currentMax: z.number().positive(),
  /** Choke and reactor: reactance as a share of V/(√3 I). */
  reactance: z.number().positive().max(0.2).optional(),
  /** Filters behind the drive: m of cable it is good for. */
  longestLead: z.number().positive().max(20_000).optional(),
  /** Resistor: Ω, W for good, and J of one stop. */
  resistance: z.number().positive().max(10_000).optional(),
  meanPower: z.number().positive().max(1e7).optional(),
  energy: z.number().positive().max(1e9).optional(),
});

export type DrivePart = Readonly<z.infer<typeof drivePartSchema>>;

/** What it is searched by. */
export const searchedOfDrivePart = ({ currentMax }: DrivePart): Searched => ({
  power_w: null,
  poles: null,
  current_a: currentMax,
});
