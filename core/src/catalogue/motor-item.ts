import { z } from 'zod';
import { common, type Searched } from './item.ts';

export const motorItemSchema = z.strictObject({
  kind: z.literal('motor'),
  ...common,
  school: z.enum(['NEMA', 'IEC']),
  power: z.number().positive(),
  poles: z.number().int().positive(),
  frequency: z.number().positive(),
  /** Voltages and full-load currents in the same order. */
  voltages: z.array(z.number().positive()).min(1),
  currents: z.array(z.number().positive()).min(1),
  speed: z.number().positive(),
  efficiency: z.number().gt(0).lt(1),
  efficiencyMinimum: z.number().gt(0).lt(1),
  efficiencyClass: z.string().max(40),
  powerFactor: z.number().gt(0).max(1),
  serviceFactor: z.number().min(1),
  codeLetter: z.string().max(2),
  designLetter: z.string().max(3),
  lockedRotorCurrents: z.array(z.number().positive()).min(1),
  lockedRotorTorque: z.number().positive(),
  breakdownTorque: z.number().positive(),
  frame: z.string().max(20),
  enclosure: z.enum(['ODP', 'TEFC', 'washdown']),
  thermalClass: z.string().max(2),
  inverterDuty: z.boolean(),
});

export type MotorItem = Readonly<z.infer<typeof motorItemSchema>>;

/** What it is searched by. */
export const searchedOfMotor = ({ power, poles, currents }: MotorItem): Searched => ({
  power_w: power,
  poles,
  current_a: currents.at(-1) ?? null,
});
