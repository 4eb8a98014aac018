import { z } from 'zod';
import type { FieldSpec } from '../ground/field.ts';
import { quantityFields, rowFields } from './fields.ts';
import { feederSizes } from '../stages/supply/feeder-sizes.ts';
import { causeIds } from '../stages/situation/causes.ts';

/** Text as typed, or a bare number in the school’s unit. Reading it is a later step, so nothing typed is lost. */
const typed = z.union([z.string().max(200), z.number()]).optional();

function typedFields<Fields extends Record<string, FieldSpec>>(
  fields: Fields,
): { [Name in keyof Fields]: typeof typed } {
  const shape = Object.entries(fields).map(([name, spec]) => [
    name,
    typed.describe(`${spec.dimension}${spec.list ? ' list' : ''}, for example ${spec.example}`),
  ]);
  return Object.fromEntries(shape) as { [Name in keyof Fields]: typeof typed };
}

const rows = <Fields extends Record<string, FieldSpec>, More extends z.ZodRawShape>(
  fields: Fields,
  most: number,
  more: More,
) =>
  z
    .array(z.strictObject({ ...typedFields(fields), ...more }))
    .max(most)
    .default([]);

/** A question of yes and no that has not been asked yet. */
const unknownOr = z.enum(['unknown', 'no', 'yes']).default('unknown');

const text = (max = 200) => z.string().max(max).optional();

export const situationKinds = ['replace', 'new', 'drive', 'starter', 'energy'] as const;
export const failureModes = [
  'bearing',
  'winding phase to phase',
  'winding single-phased',
  'ground',
  'rotor',
  'shaft',
  'unknown',
] as const;
export const loadWays = [
  'torque',
  'force',
  'input power',
  'current',
  'slip',
  'fan',
  'pump',
  'displacement pump',
  'conveyor',
  'hoist',
  'mixer',
  'screw compressor',
  'piston compressor',
  'crusher',
  'centrifuge',
  'press',
  'curve',
  'duty',
] as const;
export const transmissionKinds = [
  'coupling',
  'V-belt',
  'synchronous belt',
  'chain',
  'helical gear',
  'bevel gear',
  'worm gear',
] as const;
export const shocks = ['uniform', 'moderate', 'heavy'] as const;
export const waterLevels = ['dry', 'drip', 'hose', 'washdown', 'submerged'] as const;
export const dustLevels = ['clean', 'dirty', 'fibrous', 'conductive', 'combustible'] as const;
export const corrosions = ['none', 'humid', 'salt', 'chemical'] as const;
export const attitudes = ['horizontal', 'shaft up', 'shaft down'] as const;
export const controls = ['unknown', 'none', 'on/off', 'damper', 'inlet vane', 'throttle', 'bypass'] as const;
export const startingMethods = ['auto', 'direct', 'star-delta', 'autotransformer', 'soft starter', 'drive'] as const;
export const brakings = ['unknown', 'none', 'chopper', 'regenerative'] as const;
export const softModes = ['voltage ramp', 'current limit', 'torque ramp'] as const;
export const tripClassNames = ['auto', '5', '10A', '10', '20', '30', '40'] as const;

/** A nameplate: every field as typed, and the whole text as read beside them. */
export const plateSchema = z.strictObject({
  unreadable: z
    .boolean()
    .default(false)
    .describe('The plate is missing or cannot be read; recover it from measurements'),
  asRead: text(5000).describe('The plate as pasted or typed, kept beside the parsed fields'),
  ...typedFields(quantityFields.nameplate),
  phases: text(20).describe('Phases on the plate; anything but 3 stops'),
  speedInForce: z
    .enum(['ask', 'first', 'second'])
    .default('ask')
    .describe('Which speed of a two-speed plate is replaced or driven'),
  codeLetter: text(20),
  designLetter: text(20),
  frame: text(40),
  altFrame: text(40),
  enclosure: text(60),
  cooling: text(40).describe('IC code'),
  mounting: text(40).describe('IM code'),
  thermalClass: text(20),
  rise: text(40).describe('Temperature rise, K'),
  duty: text(60),
  efficiencyClass: text(40),
  connection: text(60),
  leads: text(10).describe('Leads brought out: 3, 6, 9 or 12'),
  usableAt: text(60).describe('A further voltage the plate allows, with its current'),
  serviceFactorAmps: text(40),
  bearingDriveEnd: text(60),
  bearingOppositeEnd: text(60),
  grease: text(80),
  inverter: text(120).describe('What the plate says about running on a drive'),
  thermalProtection: text(80),
  year: text(20).describe('Year of make'),
  serial: text(80),
  model: text(80),
});

export type Plate = z.infer<typeof plateSchema>;

/** One selection job: plain JSON, the whole of what the engineer said. Results are never stored in it. */
export const jobSchema = z.strictObject({
  schema: z.literal(1).default(1).describe('Version of this document format'),
  title: z.string().max(200).default(''),
  tag: z.string().max(60).default('').describe('Plant tag of the motor or machine'),
  site: z.string().max(120).default(''),
  school: z
    .enum(['NEMA', 'IEC'])
    .default('NEMA')
    .describe('NEMA/NEC at 60 Hz or IEC at 50 Hz; sets default units and rules'),
  paper: z.enum(['letter', 'a4']).default('letter'),
  currency: z.string().max(3).default('USD'),
  situation: z
    .strictObject({
      kind: z.enum(situationKinds).default('replace'),
      ...typedFields(quantityFields.situation),
      failureMode: z.enum(failureModes).optional(),
      changed: text(1000).describe('What changed before it failed'),
      coupledBy: z.enum(['coupling', 'belt', 'gear']).optional().describe('How the motor drives its load'),
      greasedWith: text(80).describe('Grease that was used on it'),
      onDrive: z.boolean().optional().describe('Whether it ran on a variable-frequency drive'),
      causes: z
        .partialRecord(z.enum(causeIds), z.enum(['found', 'cleared']))
        .optional()
        .describe('What was decided of each cause of an early failure'),
      explained: z.boolean().default(false).describe('The cause of an early failure was found and removed'),
    })
    .prefault({}),
  nameplate: plateSchema.prefault({}),
  load: z
    .strictObject({
      machine: z.enum(['fan', 'pump', 'other']).default('other'),
      torqueKind: z.enum(['constant', 'variable']).default('constant'),
      way: z
        .enum(loadWays)
        .default('torque')
        .describe('How the load is known: measured, measured on the motor, or from the machine'),
      ...typedFields(quantityFields.load),
      holdingBrake: unknownOr.describe(
        'A brake that holds the load at rest, for hoists and loads that drive the motor',
      ),
      shock: z
        .enum(shocks)
        .default('uniform')
        .describe('How evenly the machine runs; sets the service factor of the transmission'),
      stages: rows(rowFields['load.stages'], 8, { kind: z.enum(transmissionKinds).default('coupling') }).describe(
        'The transmission stage by stage from the motor; overrides ratio and transmissionEfficiency',
      ),
      duty: rows(rowFields['load.duty'], 100, { standing: z.boolean().default(false) }).describe(
        'Segments of a duty cycle',
      ),
      curve: rows(rowFields['load.curve'], 400, {}).describe('Torque–speed table of the driven machine'),
    })
    .prefault({}),
  supply: z
    .strictObject({
      ...typedFields(quantityFields.supply),
      phases: z.enum(['3', '1']).default('3'),
      source: z.enum(['transformer', 'fault level', 'generator']).default('transformer'),
      feederSize: z.enum(feederSizes).optional().describe('AWG or kcmil, or mm² with its unit'),
      feederMaterial: z.enum(['copper', 'aluminium']).default('copper'),
      demandBy: z.enum(['kW', 'kVA']).default('kW').describe('What the demand charge is counted by'),
      bands: rows(rowFields['supply.bands'], 12, { name: z.string().max(60).default('') }).describe(
        'Time bands of the tariff',
      ),
    })
    .prefault({}),
  place: z
    .strictObject({
      ...typedFields(quantityFields.place),
      setting: z.enum(['indoor', 'outdoor']).default('indoor'),
      water: z.enum(waterLevels).default('dry'),
      dust: z.enum(dustLevels).default('dirty'),
      hazardous: z.enum(['no', 'yes', 'unknown']).default('no'),
      corrosion: z.enum(corrosions).default('none'),
      food: z.boolean().default(false).describe('Food or drink is handled here'),
      airStream: z.boolean().default(false).describe('The motor stands in the air stream of the fan it drives'),
      dampStandby: z.boolean().default(false).describe('It stands still for days in damp air'),
      attitude: z.enum(attitudes).default('horizontal'),
      cabinet: z.boolean().default(false).describe('The drive or starter stands in a cabinet or a clean room'),
    })
    .prefault({}),
  profile: z
    .strictObject({
      ...typedFields(quantityFields.profile),
      control: z
        .enum(controls)
        .default('unknown')
        .describe('How flow is controlled today, or would be without a drive'),
      points: rows(rowFields['profile.points'], 200, {}),
    })
    .prefault({}),
  starting: z
    .strictObject({
      reversing: unknownOr.describe('It is run in both directions'),
      inching: unknownOr.describe('It is jogged by short starts'),
      plugging: unknownOr.describe('It is braked by reversing the field'),
      closedLoop: unknownOr.describe('The drive measures the shaft’s speed'),
      braking: z
        .enum(brakings)
        .default('unknown')
        .describe('Where the energy goes when the drive slows the load down or lowers it'),
      speedControl: z
        .enum(['auto', 'yes', 'no'])
        .default('auto')
        .describe('Must the speed be controlled while running?'),
      method: z.enum(startingMethods).default('auto'),
      leads: z.enum(['unknown', '3', '6', '9', '12']).default('unknown'),
      ...typedFields(quantityFields.starting),
      softMode: z.enum(softModes).default('current limit'),
      transition: z.enum(['open', 'closed']).default('open').describe('Change-over from star to delta'),
      tripClass: z
        .enum(tripClassNames)
        .default('auto')
        .describe('Class of the overload relay; auto takes the fastest that holds'),
      hot: z.boolean().default(false).describe('It restarts from running temperature'),
      waterHammer: z.boolean().default(false).describe('A sudden stop would slam the pipe'),
    })
    .prefault({}),
  pick: z
    .strictObject({
      motor: text(40).describe('Catalogue id of a motor chosen over the first-ranked one'),
      drive: text(40),
      starter: text(40),
      prefer: z.enum(['life cost', 'first cost', 'availability']).default('life cost'),
    })
    .prefault({}),
  protection: z
    .strictObject({
      device: z
        .enum(['inverse time breaker', 'dual element fuse', 'nontime delay fuse'])
        .default('inverse time breaker'),
      conductor: z.enum(['copper', 'aluminium']).default('copper'),
      terminals: z.enum(['auto', '60', '75']).default('auto').describe('Temperature the terminals are good for, °C'),
      insulation: z.enum(['60', '75', '90']).default('75').describe('Temperature the insulation is good for, °C'),
      ...typedFields(quantityFields.protection),
    })
    .prefault({}),
  money: z.strictObject({ ...typedFields(quantityFields.money) }).prefault({}),
  handover: z.strictObject({ preparedBy: text(120), note: text(2000) }).prefault({}),
  practice: z
    .strictObject({ ...typedFields(quantityFields.practice) })
    .prefault({})
    .describe('Rules of thumb set for this job'),
  sitePractice: z
    .strictObject({ ...typedFields(quantityFields.sitePractice) })
    .prefault({})
    .describe('Rules of thumb of the site, as they stood when the job took them'),
});

export type Job = z.infer<typeof jobSchema>;
export type JobInput = z.input<typeof jobSchema>;

/** A new, empty job with every default filled in. */
export const emptyJob = (given: JobInput = {}): Job => jobSchema.parse(given);

export interface Issue {
  readonly path: string;
  readonly message: string;
}

/** Zod’s issues as field paths and sentences. */
export const issuesOf = (error: z.ZodError): Issue[] =>
  error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
