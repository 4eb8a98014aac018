import { z } from 'zod';
import { common, type Searched } from './item.ts';

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
  /** What it gives on higher supplies than it is rated for above: A to this voltage. The lowest band that holds the supply counts. */
  bands: z
    .array(
      z.strictObject({
        voltageMax: z.number().positive(),
        normalCurrent: z.number().positive(),
        heavyCurrent: z.number().positive(),
      }),
    )
    .max(4)
    .optional(),
  /**
   * W lost at per cent of frequency and of its rated torque-producing current: (0;25), (0;50), (0;100), (50;25), (50;50), (50;100),
   * (90;50), (90;100), as IEC 61800-9-2 has them stated; and W while it waits.
   */
  losses: z.array(z.number().positive().max(1e6)).length(8).optional(),
  standbyPower: z.number().nonnegative().max(1e5).optional(),
  /** Share of its current it keeps on a single-phase supply. */
  singlePhaseShare: z.number().positive().max(1).optional(),
  /** Rise time of its output, s. */
  riseTime: z.number().positive().max(1e-5).optional(),
  /** A brake chopper is inside; V at which it lets go, and the least Ω it bears. */
  chopper: z.boolean().optional(),
  brakeVoltage: z.number().positive().max(2000).optional(),
  leastResistor: z.number().positive().max(10_000).optional(),
  /** m of cable it may feed without a filter, shielded and not. */
  longestShielded: z.number().positive().max(2000).optional(),
  longestPlain: z.number().positive().max(2000).optional(),
  /** A choke of 3 % or more is inside. */
  choke: z.boolean().optional(),
  /** Its dc link has small film capacitors only. */
  slimLink: z.boolean().optional(),
  safeTorqueOff: z.boolean().optional(),
  /** Hz of the carrier up to which it gives its full current, the share lost per kHz above, and the highest. */
  carrierRated: z.number().positive().max(50_000).optional(),
  deratePerKilohertz: z.number().nonnegative().max(1).optional(),
  carrierMost: z.number().positive().max(50_000).optional(),
  /** Schools whose standards it is listed or certified by; not known where left out. */
  listed: z
    .array(z.enum(['NEMA', 'IEC']))
    .min(1)
    .max(2)
    .optional(),
  /** A, r.m.s.: the short circuit it holds (SCCR), and the device before it with which it does. */
  shortCircuitRating: z.number().positive().max(1e6).optional(),
  protectedBy: z.string().max(80).optional(),
  encoder: z.boolean().optional(),
});

export type DriveItem = Readonly<z.infer<typeof driveItemSchema>>;

/** What it is searched by. */
export const searchedOfDrive = ({ normalPower, normalCurrent }: DriveItem): Searched => ({
  power_w: normalPower,
  poles: null,
  current_a: normalCurrent,
});
