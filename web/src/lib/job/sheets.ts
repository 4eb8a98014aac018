import type { Job } from '@pilgrim/core';
import { stageNames, type StageName } from '@pilgrim/core/stage-names';
import { stageTitles } from '@pilgrim/core/value-labels';

interface Option {
  readonly value: string;
  readonly name: string;
}

/** One input of a sheet. The path is where it stands in the job document. */
export interface FieldDefinition {
  readonly path: string;
  readonly label: string;
  readonly kind: 'text' | 'area' | 'select' | 'check';
  readonly placeholder?: string;
  readonly options?: readonly Option[];
  readonly wide?: boolean;
  readonly show?: (job: Job) => boolean;
}

const text = (path: string, label: string, placeholder = ''): FieldDefinition => ({
  path,
  label,
  kind: 'text',
  placeholder,
});
const area = (path: string, label: string, placeholder = ''): FieldDefinition => ({
  path,
  label,
  kind: 'area',
  placeholder,
  wide: true,
});
const LONG_OPTION = 16;
const select = (path: string, label: string, options: readonly Option[]): FieldDefinition => ({
  path,
  label,
  kind: 'select',
  options,
  wide: options.some((option) => option.name.length > LONG_OPTION),
});
const check = (path: string, label: string): FieldDefinition => ({ path, label, kind: 'check', wide: true });
const when = (field: FieldDefinition, show: (job: Job) => boolean): FieldDefinition => ({ ...field, show });
const named = (...values: readonly string[]): Option[] =>
  values.map((value) => ({ value, name: (value[0] ?? '').toUpperCase() + value.slice(1) }));

export const situationOptions: readonly Option[] = [
  { value: 'replace', name: 'Replace a failed motor' },
  { value: 'new', name: 'New machine' },
  { value: 'drive', name: 'Drive onto an existing motor' },
  { value: 'starter', name: 'Change the starter' },
  { value: 'energy', name: 'Energy study' },
];

const replacing = (job: Job): boolean => job.situation.kind === 'replace';

interface SheetDefinition {
  readonly lead: string;
  readonly fields: readonly FieldDefinition[];
}

/** What each stage asks, in the order a person reads it off plate, machine or drawing. */
export const sheets: Readonly<Record<StageName, SheetDefinition>> = {
  situation: {
    lead: 'What is being asked decides what has to be known.',
    fields: [
      select('situation.kind', 'Situation', situationOptions),
      text('tag', 'Tag', 'P-101'),
      { ...text('title', 'Title', 'What it drives'), wide: true },
      when(text('situation.life', 'How long the old motor lived', '3 years'), replacing),
      when(
        select(
          'situation.failureMode',
          'How it failed',
          named('bearing', 'winding phase to phase', 'winding single-phased', 'ground', 'rotor', 'shaft', 'unknown'),
        ),
        replacing,
      ),
      when(
        area('situation.changed', 'What changed before it failed', 'New belt, washed down, drive added …'),
        replacing,
      ),
      when(check('situation.explained', 'The cause was found and removed'), replacing),
      text('site', 'Site', ''),
      select('school', 'Rules and units', [
        { value: 'NEMA', name: 'NEMA/NEC, 60 Hz' },
        { value: 'IEC', name: 'IEC, 50 Hz' },
      ]),
      select('paper', 'Paper', [
        { value: 'letter', name: 'US Letter' },
        { value: 'a4', name: 'A4' },
      ]),
      text('currency', 'Currency', 'USD'),
    ],
  },
  nameplate: {
    lead: 'Type it as it stands on the plate, or paste the whole plate.',
    fields: [
      text('nameplate.power', 'Power', '15 hp or 11 kW'),
      text('nameplate.voltages', 'Volts', '230/460'),
      text('nameplate.currents', 'Amps, same order', '38/19'),
      text('nameplate.frequency', 'Frequency', '60 Hz'),
      text('nameplate.speed', 'Full-load speed', '1770 rpm'),
      text('nameplate.efficiency', 'Efficiency', '92.4 %'),
      text('nameplate.powerFactor', 'Power factor', '0.83'),
      text('nameplate.serviceFactor', 'Service factor', '1.15'),
      text('nameplate.codeLetter', 'Code letter', 'G'),
      text('nameplate.designLetter', 'Design letter', 'B'),
      text('nameplate.startingCurrentRatio', 'Ist/In', '7.2'),
      text('nameplate.frame', 'Frame', '254T or 132M'),
      text('nameplate.enclosure', 'Enclosure', 'TEFC or IP55'),
      text('nameplate.thermalClass', 'Insulation class', 'F'),
      text('nameplate.ambient', 'Ambient on plate', '40 °C'),
      text('nameplate.duty', 'Duty', 'CONT or S1'),
    ],
  },
  load: {
    lead: 'Torque first. Type what you measured, where you measured it.',
    fields: [
      select('load.machine', 'Machine', named('fan', 'pump', 'other')),
      select('load.torqueKind', 'Torque', [
        { value: 'constant', name: 'Constant: conveyor, hoist, mixer' },
        { value: 'variable', name: 'Rises with speed: fan, pump' },
      ]),
      select('load.way', 'Measured as', [
        { value: 'torque', name: 'Torque' },
        { value: 'force', name: 'Force on a radius' },
      ]),
      when(text('load.torque', 'Torque at the driven shaft', '72 lb·ft or 98 N·m'), (job) => job.load.way === 'torque'),
      when(text('load.force', 'Force', '40 lbf or 180 N'), (job) => job.load.way === 'force'),
      when(text('load.radius', 'Radius', '14 in or 350 mm'), (job) => job.load.way === 'force'),
      text('load.speed', 'Speed wanted at the driven shaft', '1750 rpm'),
      text('load.ratio', 'Ratio motor : load', '1'),
      text('load.transmissionEfficiency', 'Transmission efficiency', '96 %'),
      text('load.breakaway', 'Breakaway, share of running', '120 %'),
    ],
  },
  supply: {
    lead: 'What the motor is fed from, and how much a start may pull it down.',
    fields: [
      text('supply.voltage', 'System voltage', '480 V'),
      text('supply.frequency', 'Frequency', '60 Hz'),
      select('supply.phases', 'Phases', [
        { value: '3', name: 'Three' },
        { value: '1', name: 'Single' },
      ]),
      select('supply.source', 'Source', named('transformer', 'generator')),
      text('supply.sourcePower', 'Its size', '750 kVA'),
      text('supply.sourceImpedance', 'Impedance (%Z, X′d)', '5.75 %'),
      text('supply.startCurrentLimit', 'Limit on starting current', '250 A'),
    ],
  },
  place: {
    lead: 'Where it has to live decides its skin and what heat takes away.',
    fields: [
      text('place.ambient', 'Hottest ambient', '40 °C'),
      text('place.altitude', 'Altitude', '300 m or 1000 ft'),
      select('place.setting', 'Indoors or out', named('indoor', 'outdoor')),
      select('place.water', 'Water', named('dry', 'drip', 'hose', 'washdown', 'submerged')),
      select('place.dust', 'Dust', named('clean', 'dirty', 'conductive', 'combustible')),
      select('place.hazardous', 'Hazardous area', named('no', 'yes', 'unknown')),
      check('place.cabinet', 'Drive or starter stands in a cabinet or clean room'),
    ],
  },
  profile: {
    lead: 'Hours a year at each flow, and how flow is controlled today.',
    fields: [
      select('profile.control', 'Flow control today', [
        { value: 'none', name: 'None: runs at full flow' },
        { value: 'damper', name: 'Outlet damper' },
        { value: 'inlet vane', name: 'Inlet vanes' },
        { value: 'throttle', name: 'Throttle valve' },
        { value: 'bypass', name: 'Bypass' },
      ]),
      text('profile.staticHeadShare', 'Static share of the head', '30 %'),
    ],
  },
  starting: {
    lead: 'The least costly start that passes every limit, unless the speed must be controlled.',
    fields: [
      select('starting.speedControl', 'Speed control while running', [
        { value: 'auto', name: 'Decide from the profile' },
        { value: 'yes', name: 'Needed' },
        { value: 'no', name: 'Not needed' },
      ]),
      select('starting.method', 'Way to start', [
        { value: 'auto', name: 'Let Pilgrim choose' },
        ...named('direct', 'star-delta', 'soft starter', 'drive'),
      ]),
      select('starting.leads', 'Leads brought out', named('unknown', '3', '6', '9', '12')),
    ],
  },
  pick: {
    lead: 'What fits, ranked; and why the rest do not.',
    fields: [select('pick.prefer', 'Rank by', named('life cost', 'first cost', 'availability'))],
  },
  protection: {
    lead: 'Overload from the nameplate; conductors and short-circuit device from the table.',
    fields: [
      select(
        'protection.device',
        'Short-circuit device',
        named('inverse time breaker', 'dual element fuse', 'nontime delay fuse'),
      ),
      select('protection.conductor', 'Conductor', named('copper', 'aluminium')),
    ],
  },
  money: {
    lead: 'What the energy costs either way, at the guaranteed minimum efficiency.',
    fields: [
      text('money.energyPrice', 'Price of energy', '0.11 per kWh'),
      text('money.years', 'Years counted', '10 years'),
    ],
  },
  handover: {
    lead: 'The sheet that goes to purchasing, the electrician and the auditor.',
    fields: [text('handover.preparedBy', 'Prepared by', ''), area('handover.note', 'Note for the sheet', '')],
  },
};

const names = new Map(
  stageNames.flatMap((stage) =>
    sheets[stage].fields.map((field) => [field.path, `${stageTitles[stage]}: ${field.label}`] as const),
  ),
);

/** What a place in the document is called on screen; the path itself where no sheet asks it. */
export const fieldName = (path: string): string => names.get(path) ?? path;
