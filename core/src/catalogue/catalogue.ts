import { z } from 'zod';

/** What can be bought. Numbers are SI (W, V, A, rad/s); prices are in the catalogue’s currency. */
const common = {
  id: z.string().min(1).max(40),
  maker: z.string().max(80),
  series: z.string().max(80),
  name: z.string().max(160),
  price: z.number().nonnegative(),
  leadDays: z.number().int().nonnegative(),
};

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

export const driveItemSchema = z.strictObject({
  kind: z.literal('drive'),
  ...common,
  voltageMin: z.number().positive(),
  voltageMax: z.number().positive(),
  /** Continuous output current at normal duty (about 110 % for a minute) and heavy duty (150 %), A. */
  normalCurrent: z.number().positive(),
  heavyCurrent: z.number().positive(),
  /** Multiples of those it bears for `overloadTime` s once in `overloadRepeat` s; 1.1, 1.5, 60 and 600 where left out. */
  normalOverload: z.number().min(1).max(3).optional(),
  heavyOverload: z.number().min(1).max(3).optional(),
  overloadTime: z.number().positive().max(600).optional(),
  overloadRepeat: z.number().positive().max(7200).optional(),
  /** Peak for the first seconds, of either rating. */
  peakOverload: z.number().min(1).max(4).optional(),
  peakTime: z.number().positive().max(30).optional(),
  normalPower: z.number().positive(),
  heavyPower: z.number().positive(),
  /** Input current at rated output, A. */
  inputCurrent: z.number().positive(),
  housing: z.enum(['IP20', 'IP55', 'IP66']),
  /** Full output to this ambient, K; above it the share lost per kelvin, up to `maximumAmbient`. */
  ratedAmbient: z.number(),
  maximumAmbient: z.number(),
  deratePerKelvin: z.number().nonnegative(),
  /** Share lost per 100 m above 1000 m. */
  deratePer100m: z.number().nonnegative(),
});

export const starterPartSchema = z.strictObject({
  kind: z.enum(['contactor', 'overload relay', 'breaker', 'soft starter', 'autotransformer']),
  ...common,
  voltageMax: z.number().positive(),
  /** Contactor: AC-3 current. Relay: dial range. Breaker, soft starter and autotransformer: rated motor current. A. */
  currentMin: z.number().nonnegative(),
  currentMax: z.number().positive(),
});

export const catalogueSchema = z.strictObject({
  name: z.string().max(120),
  currency: z.string().max(3),
  motors: z.array(motorItemSchema).max(20_000),
  drives: z.array(driveItemSchema).max(5000),
  parts: z.array(starterPartSchema).max(5000),
});

export type MotorItem = Readonly<z.infer<typeof motorItemSchema>>;
export type DriveItem = Readonly<z.infer<typeof driveItemSchema>>;
export type StarterPart = Readonly<z.infer<typeof starterPartSchema>>;
export type Catalogue = Readonly<z.infer<typeof catalogueSchema>>;

export const emptyCatalogue: Catalogue = { name: '', currency: '', motors: [], drives: [], parts: [] };
