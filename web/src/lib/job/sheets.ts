import type { Job } from '@pilgrim/core';
import { feederSizes } from '@pilgrim/core/stages/supply/feeder-sizes';
import { formatQuantity } from '@pilgrim/core/ground/quantity/format';
import { practiceNames, ruleOf } from '@pilgrim/core/job/practice-rules';
import { stageNames, type StageName } from '@pilgrim/core/ground/stage-names';
import { stageTitles } from '@pilgrim/core/solve/value-labels';

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
  /** Fields of one group fold away together under this title. */
  readonly group?: string;
  readonly show?: (job: Job) => boolean;
  /** Fuller name for screen readers, where the label alone would be ambiguous. */
  readonly said?: string;
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
const LONG_OPTION = 13;
const select = (path: string, label: string, options: readonly Option[]): FieldDefinition => ({
  path,
  label,
  kind: 'select',
  options,
  wide: options.some((option) => option.name.length > LONG_OPTION),
});
const check = (path: string, label: string): FieldDefinition => ({ path, label, kind: 'check', wide: true });
const grouped = (group: string, ...fields: FieldDefinition[]): FieldDefinition[] =>
  fields.map((field) => ({ ...field, group }));
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
const buying = (job: Job): boolean => job.situation.kind === 'replace' || job.situation.kind === 'new';
const starting = (job: Job): boolean => job.situation.kind !== 'energy';
/** More than one speed or power on the plate. */
const twoSpeed = ({ nameplate: { speed, speedInForce } }: Job): boolean =>
  speedInForce !== 'ask' || /\d\s*[-–/]\s*\d/.test(String(speed ?? ''));
const unreadable = (job: Job): boolean => job.nameplate.unreadable;

export const transmissionOptions: readonly Option[] = named(
  'coupling',
  'V-belt',
  'synchronous belt',
  'chain',
  'helical gear',
  'bevel gear',
  'worm gear',
);
const feederOptions: readonly Option[] = feederSizes.map((size) => ({
  value: size,
  name: size.endsWith('mm²') ? size : Number(size) >= 250 ? `${size} kcmil` : `${size} AWG`,
}));
const unknownOr: readonly Option[] = [
  { value: 'unknown', name: 'Not known' },
  { value: 'no', name: 'No' },
  { value: 'yes', name: 'Yes' },
];
const asks =
  (...ways: readonly Job['load']['way'][]) =>
  ({ load }: Job): boolean =>
    ways.includes(load.way);
/** Machines that may drive their motor, and those that turn back, are jogged or plugged. */
const drivesMotor = asks('hoist', 'duty', 'curve');
const reverses = asks('hoist', 'conveyor', 'crusher', 'mixer', 'duty');
const jogs = asks('hoist', 'conveyor', 'press', 'duty');
const plugs = asks('hoist', 'press', 'centrifuge', 'duty');
const listed = (job: Job): boolean => job.load.stages.length > 0;
const ofGenerator = ({ supply }: Job): boolean => supply.source === 'generator';
const belted = ({ load }: Job): boolean => load.stages.length > 0 && load.stages[0]?.kind !== 'coupling';

/** The rules of thumb a stage uses, as fields; empty means the site's or the usual value. */
const rulesOf = (stage: StageName): FieldDefinition[] =>
  practiceNames
    .filter((name) => ruleOf(name).stage === stage)
    .map((name) => ({
      ...text(
        `practice.${name}`,
        ruleOf(name).title,
        formatQuantity(ruleOf(name).value, ruleOf(name).dimension, 'IEC'),
      ),
      group: 'Rules of thumb, usual values shown',
      wide: true,
    }));

interface SheetDefinition {
  readonly lead: string;
  readonly fields: readonly FieldDefinition[];
}

/** Fields of the load, each with the ways of knowing it that ask for it. */
const loadFields = (...fields: readonly (readonly [FieldDefinition, ...Job['load']['way'][]])[]): FieldDefinition[] =>
  fields.map(([field, ...asking]) => when(field, (job) => asking.includes(job.load.way)));

/** A plate in the order it is read; what a situation has no use for is not asked. */
export const plateFields: readonly FieldDefinition[] = [
  text('nameplate.power', 'Power', '15 hp or 11 kW'),
  text('nameplate.voltages', 'Volts', '230/460'),
  text('nameplate.currents', 'Amps, same order', '38/19'),
  text('nameplate.frequency', 'Frequency', '60 Hz'),
  text('nameplate.speed', 'Full-load speed', '1770 rpm'),
  text('nameplate.efficiency', 'Efficiency', '92.4 %'),
  text('nameplate.powerFactor', 'Power factor', '0.83'),
  when(
    select('nameplate.speedInForce', 'Speed in question', [
      { value: 'ask', name: 'Not chosen' },
      { value: 'first', name: 'The first on the plate' },
      { value: 'second', name: 'The second' },
    ]),
    twoSpeed,
  ),
  when(text('nameplate.serviceFactor', 'Service factor', '1.15'), starting),
  when(text('nameplate.codeLetter', 'Code letter', 'G'), starting),
  when(text('nameplate.designLetter', 'Design letter', 'B'), starting),
  when(text('nameplate.startingCurrentRatio', 'Ist/In', '7.2'), starting),
  when(text('nameplate.frame', 'Frame', '254T or 132M'), buying),
  when(text('nameplate.enclosure', 'Enclosure', 'TEFC or IP55'), buying),
  text('nameplate.thermalClass', 'Insulation class', 'F'),
  text('nameplate.ambient', 'Ambient on plate', '40 °C'),
  text('nameplate.duty', 'Duty', 'CONT or S1'),
  ...grouped(
    'More from the plate',
    text('nameplate.connection', 'Connection', 'Δ/Y or YY/Y'),
    text('nameplate.leads', 'Leads brought out', '9'),
    text('nameplate.lockedRotorCurrent', 'Locked-rotor current', '116 A'),
    text('nameplate.phases', 'Phases', '3'),
    text('nameplate.poles', 'Poles', '4'),
    text('nameplate.usableAt', 'Usable at', '208 V 41 A'),
    text('nameplate.serviceFactorAmps', 'Service-factor amps', '43.7/21.9'),
    text('nameplate.inverter', 'On a drive', 'Inverter duty CT 10:1'),
    text('nameplate.efficiencyClass', 'Efficiency class', 'IE3 or premium'),
    text('nameplate.rise', 'Temperature rise', '80 K'),
    text('nameplate.thermalProtection', 'Thermal protection', 'PTC'),
    text('nameplate.cooling', 'Cooling', 'IC411'),
    text('nameplate.mounting', 'Mounting', 'IM B3'),
    text('nameplate.bearingDriveEnd', 'Bearing, drive end', '6309-2Z/C3'),
    text('nameplate.bearingOppositeEnd', 'Bearing, opposite end', '6207-2Z/C3'),
    text('nameplate.grease', 'Grease', 'Polyurea'),
    text('nameplate.mass', 'Mass', '203 lb'),
    text('nameplate.year', 'Year of make', '2014'),
    text('nameplate.serial', 'Serial number'),
    text('nameplate.model', 'Model'),
  ),
  ...grouped(
    'Second rating set, 50 Hz beside 60 Hz',
    text('nameplate.altFrequency', 'Frequency', '50 Hz'),
    text('nameplate.altPower', 'Power', '12.5 hp'),
    text('nameplate.altVoltages', 'Volts', '190/380'),
    text('nameplate.altCurrents', 'Amps', '39/19.5'),
    text('nameplate.altSpeed', 'Full-load speed', '1465 rpm'),
    text('nameplate.altEfficiency', 'Efficiency', '91 %'),
    text('nameplate.altPowerFactor', 'Power factor', '0.84'),
    text('nameplate.altServiceFactor', 'Service factor', '1.0'),
    text('nameplate.altFrame', 'Second frame'),
  ),
  ...grouped(
    'The plate is missing or cannot be read',
    check('nameplate.unreadable', 'Recover what can be recovered by measuring'),
    when(text('nameplate.measuredShaftHeight', 'Floor to shaft centre', '6.25 in or 160 mm'), unreadable),
    when(text('nameplate.measuredShaftDiameter', 'Shaft diameter', '1.625 in or 42 mm'), unreadable),
    when(text('nameplate.measuredNoLoadSpeed', 'Speed without load', '1798 rpm'), unreadable),
    when(text('nameplate.measuredNoLoadCurrent', 'Current without load', '8.2 A'), unreadable),
    when(text('nameplate.measuredResistance', 'Resistance between two leads', '0.85 Ω'), unreadable),
    when(text('nameplate.measuredSlots', 'Stator slots', '36'), unreadable),
  ),
];

/** What each stage asks, in the order a person reads it off plate, machine or drawing. */
export const sheets: Readonly<Record<StageName, SheetDefinition>> = {
  situation: {
    lead: 'What is being asked decides what has to be known.',
    fields: [
      select('situation.kind', 'Situation', situationOptions),
      text('tag', 'Tag', 'P-101'),
      { ...text('title', 'Title', 'What it drives'), wide: true },
      when(text('situation.life', 'Life of the old motor', '3 years'), replacing),
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
      ...grouped(
        'What was measured and seen',
        when(
          select('situation.coupledBy', 'Drives its load by', [
            { value: 'coupling', name: 'Coupling' },
            { value: 'belt', name: 'Belt' },
            { value: 'gear', name: 'Gear' },
          ]),
          replacing,
        ),
        when(text('situation.startsPerHour', 'Starts an hour', '4'), replacing),
        when(text('situation.runningCurrent', 'Running current', '36 A'), replacing),
        when(text('situation.insulationResistance', 'Insulation resistance', '150 MΩ'), replacing),
        when(text('situation.greasedWith', 'Greased with', 'Lithium EP 2'), replacing),
        when(check('situation.onDrive', 'It ran on a variable-frequency drive'), replacing),
        when(check('situation.explained', 'The cause was found and removed, outside this list'), replacing),
      ),
      ...rulesOf('situation'),
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
    fields: plateFields,
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
        { value: 'torque', name: 'Torque, by wrench or drawing' },
        { value: 'force', name: 'Force on a radius' },
        { value: 'input power', name: 'Power into the running motor' },
        { value: 'current', name: 'Amps of the running motor' },
        { value: 'slip', name: 'Speed of the running motor' },
        { value: 'fan', name: 'Fan: flow and pressure' },
        { value: 'pump', name: 'Pump: flow and head' },
        { value: 'displacement pump', name: 'Displacement pump: flow and pressure' },
        { value: 'conveyor', name: 'Conveyor: mass, friction, slope' },
        { value: 'hoist', name: 'Hoist: mass and speed' },
        { value: 'mixer', name: 'Mixer: impeller and power number' },
        { value: 'screw compressor', name: 'Screw compressor: air and pressure' },
        { value: 'piston compressor', name: 'Piston compressor: air and pressure' },
        { value: 'crusher', name: 'Crusher or mill: throughput and sizes' },
        { value: 'centrifuge', name: 'Centrifuge: inertia and run-up time' },
        { value: 'press', name: 'Flywheel press: energy and strokes' },
        { value: 'curve', name: 'Torque–speed table' },
        { value: 'duty', name: 'Duty cycle of torques' },
      ]),
      ...loadFields(
        [text('load.torque', 'Torque at the driven shaft', '72 lb·ft or 98 N·m'), 'torque'],
        [text('load.torque', 'Running torque besides', '12 N·m'), 'centrifuge'],
        [text('load.force', 'Force', '40 lbf or 180 N'), 'force'],
        [text('load.radius', 'Radius', '14 in or 350 mm'), 'force'],
        [text('load.inputPower', 'Power into the motor', '18.5 kW'), 'input power'],
        [text('load.runningCurrent', 'Running current', '29 A'), 'current'],
        [text('load.runningSpeed', 'Running speed', '1778 rpm'), 'slip'],
        [text('load.runningVoltage', 'Voltage then', '468 V'), 'current', 'slip'],
        [
          text('load.flow', 'Flow', '850 gpm, 190 m³/h, 12000 cfm'),
          'fan',
          'pump',
          'displacement pump',
          'screw compressor',
          'piston compressor',
        ],
        [
          text('load.pressure', 'Pressure', '6 inH2O, 40 psi, 3 bar'),
          'fan',
          'displacement pump',
          'screw compressor',
          'piston compressor',
        ],
        [
          text('load.suctionPressure', 'Suction pressure, absolute', '101.3 kPa'),
          'screw compressor',
          'piston compressor',
        ],
        [text('load.head', 'Total head', '95 ft or 29 m'), 'pump'],
        [text('load.staticHead', 'of it static', '21 ft or 6.4 m'), 'pump'],
        [text('load.massFlow', 'Throughput', '40 t/h'), 'crusher'],
        [text('load.workIndex', 'Work index', '12 kWh/t'), 'crusher'],
        [text('load.feedSize', 'Feed, 80 % pass', '80 mm'), 'crusher'],
        [text('load.productSize', 'Product, 80 % pass', '12 mm'), 'crusher'],
        [text('load.inertia', 'Inertia, driven shaft', '12 kg·m²'), 'centrifuge'],
        [text('load.runUpTime', 'Up to speed in', '45 s'), 'centrifuge'],
        [text('load.strokeEnergy', 'Energy of a stroke', '12 kJ'), 'press'],
        [text('load.strokesPerMinute', 'Strokes a minute', '40'), 'press'],
        [text('load.movedMass', 'Mass moved', '2400 kg or 5300 lb'), 'conveyor', 'hoist'],
        [text('load.linearSpeed', 'Speed of belt or rope', '0.5 m/s or 100 ft/min'), 'conveyor', 'hoist'],
        [text('load.friction', 'Coefficient of friction', '0.03 on rollers'), 'conveyor'],
        [text('load.incline', 'Slope', '12°'), 'conveyor'],
        [text('load.powerNumber', 'Power number', '1.3'), 'mixer'],
        [text('load.impeller', 'Impeller diameter', '36 in or 900 mm'), 'mixer'],
        [text('load.density', 'Density', '1000 kg/m³'), 'pump', 'mixer'],
        [
          text('load.machineEfficiency', 'Efficiency of the machine', '78 %'),
          'fan',
          'pump',
          'displacement pump',
          'hoist',
          'screw compressor',
          'piston compressor',
          'press',
        ],
      ),
      text('load.speed', 'Speed of the driven shaft', '1750 rpm'),
      when(text('load.ratio', 'Ratio motor : load', '1'), (job) => !listed(job)),
      when(text('load.transmissionEfficiency', 'Transmission efficiency', '96 %'), (job) => !listed(job)),
      when(
        text('load.inertia', 'Inertia, driven shaft', '9.2 lb·ft²'),
        (job) => job.load.way !== 'centrifuge' && !listed(job),
      ),
      when(text('load.sheave', 'Motor sheave, pitch diameter', '8 in or 200 mm'), belted),
      text('load.breakaway', 'Breakaway, of running', '120 %'),
      select('load.shock', 'Runs', named('uniform', 'moderate', 'heavy')),
      when(select('load.holdingBrake', 'A brake holds it at rest', unknownOr), drivesMotor),
      text('practice.sizeMargin', 'Margin over the load', '0 %'),
      ...grouped(
        'Overloads now and then',
        text('load.overloadTorque', 'Torque, of running', '160 %'),
        text('load.overloadTime', 'For', '8 s'),
        text('load.overloadsPerHour', 'Times an hour', '6'),
      ),
      ...rulesOf('load').filter((field) => field.path !== 'practice.sizeMargin'),
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
      select('supply.source', 'Source', named('transformer', 'fault level', 'generator')),
      when(text('supply.sourcePower', 'Its size', '750 kVA'), (job) => job.supply.source !== 'fault level'),
      when(text('supply.sourceImpedance', 'Impedance, %Z', '5.75 %'), (job) => job.supply.source === 'transformer'),
      when(text('supply.sourceImpedance', 'Transient reactance X′d', '20 %'), ofGenerator),
      when(text('supply.subtransientReactance', 'First-instant reactance X″d', '12 %'), ofGenerator),
      when(text('supply.faultCurrent', 'Fault current', '18 kA'), (job) => job.supply.source === 'fault level'),
      text('supply.phaseVoltages', 'Three line voltages', '478/462/481 V'),
      text('supply.lowestVoltage', 'Lowest voltage at a start', '440 V'),
      ...grouped(
        'Feeder, other load, network',
        text('supply.feederLength', 'Feeder length', '210 ft or 64 m'),
        select('supply.feederSize', 'Feeder size', feederOptions),
        select('supply.feederMaterial', 'Feeder of', named('copper', 'aluminium')),
        text('supply.feederRuns', 'Cables a phase', '1'),
        text('supply.otherLoad', 'Other load on the bus', '320 kVA'),
        text('supply.otherPowerFactor', 'Its power factor', '0.85'),
        text('supply.reactanceRatio', 'X/R of the source', '5; generators 20'),
        when(text('supply.networkPower', 'Network behind', '250 MVA'), (job) => job.supply.source === 'transformer'),
      ),
      ...grouped(
        'Limits on starting',
        text('supply.busDipLimit', 'Dip at the bus', '5 %'),
        text('supply.startCurrentLimit', 'Starting current', '250 A'),
        text('supply.startPowerLimit', 'Starting power', '150 kVA'),
        text('supply.directPowerLimit', 'Direct start up to', '7.5 kW'),
        text('supply.startsPerHour', 'Starts an hour', '4'),
      ),
      ...grouped(
        'Demand charge',
        text('supply.demandPrice', 'Price of demand', '14 per kW a month'),
        select('supply.demandBy', 'Counted by', [
          { value: 'kW', name: 'kW' },
          { value: 'kVA', name: 'kVA' },
        ]),
      ),
      ...rulesOf('supply'),
    ],
  },
  place: {
    lead: 'Where it has to live decides its skin and what heat takes away.',
    fields: [
      text('place.ambient', 'Hottest ambient', '40 °C'),
      text('place.altitude', 'Altitude', '300 m or 1000 ft'),
      select('place.setting', 'Indoors or out', named('indoor', 'outdoor')),
      select('place.water', 'Water', named('dry', 'drip', 'hose', 'washdown', 'submerged')),
      select('place.dust', 'Dust', named('clean', 'dirty', 'fibrous', 'conductive', 'combustible')),
      select('place.corrosion', 'Air', [
        { value: 'none', name: 'Harmless' },
        { value: 'humid', name: 'Humid' },
        { value: 'salt', name: 'Salt' },
        { value: 'chemical', name: 'Chemicals' },
      ]),
      select('place.hazardous', 'Hazardous area', named('no', 'yes', 'unknown')),
      select('place.attitude', 'Shaft', named('horizontal', 'shaft up', 'shaft down')),
      text('place.noiseLimit', 'Noise at most', '80 dB(A)'),
      check('place.food', 'Food or drink is handled here'),
      check('place.dampStandby', 'Stands still for days in damp air'),
      when(check('place.airStream', 'Stands in the air stream of its fan'), (job) => job.load.machine === 'fan'),
      check('place.cabinet', 'Drive or starter stands in a cabinet or clean room'),
      when(text('place.cabinetHeight', 'Cabinet height', '72 in or 1800 mm'), (job) => job.place.cabinet),
      when(text('place.cabinetWidth', 'Cabinet width', '32 in or 800 mm'), (job) => job.place.cabinet),
      when(text('place.cabinetDepth', 'Cabinet depth', '16 in or 400 mm'), (job) => job.place.cabinet),
      when(text('place.otherHeat', 'Other heat in it', '120 W'), (job) => job.place.cabinet),
      ...rulesOf('place'),
    ],
  },
  profile: {
    lead: 'Hours a year at each flow, and how flow is controlled today.',
    fields: [
      select('profile.control', 'Flow control today', [
        { value: 'unknown', name: 'Not known' },
        { value: 'none', name: 'None: runs at full flow' },
        { value: 'on/off', name: 'Switched on and off' },
        { value: 'damper', name: 'Outlet damper' },
        { value: 'inlet vane', name: 'Inlet vanes' },
        { value: 'throttle', name: 'Throttle valve' },
        { value: 'bypass', name: 'Bypass' },
      ]),
      text('profile.staticHeadShare', 'Static share of the head', '30 %'),
      ...rulesOf('profile'),
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
        ...named('direct', 'star-delta', 'soft starter', 'autotransformer', 'drive'),
      ]),
      select('starting.leads', 'Leads brought out', named('unknown', '3', '6', '9', '12')),
      select('starting.tripClass', 'Overload relay class', [
        { value: 'auto', name: 'The fastest that holds' },
        ...named('5', '10A', '10', '20', '30', '40'),
      ]),
      text('starting.startTimeLimit', 'Must be up within', '4 s'),
      when(select('starting.reversing', 'Runs in both directions', unknownOr), reverses),
      when(select('starting.inching', 'Jogged by short starts', unknownOr), jogs),
      when(select('starting.plugging', 'Braked by reversing the field', unknownOr), plugs),
      when(select('starting.closedLoop', 'Drive measures the shaft’s speed', unknownOr), drivesMotor),
      when(
        select('starting.braking', 'Energy of lowering or braking goes', [
          { value: 'unknown', name: 'Not known' },
          { value: 'none', name: 'Nowhere' },
          { value: 'chopper', name: 'Into a brake resistor' },
          { value: 'regenerative', name: 'Back into the supply' },
        ]),
        drivesMotor,
      ),
      check('starting.hot', 'Restarts from running temperature'),
      check('starting.waterHammer', 'A sudden stop would slam the pipe'),
      ...grouped(
        'Settings of the starter or drive',
        select('starting.softMode', 'Soft starter', named('current limit', 'voltage ramp', 'torque ramp')),
        text('starting.currentLimit', 'Current limit, × rated', '3.5'),
        text('starting.startVoltage', 'Starting voltage', '40 %'),
        text('starting.softRamp', 'Ramp of the soft starter', '8 s'),
        text('starting.softStop', 'Ramp of the soft stop', '12 s'),
        text('starting.kickVoltage', 'Kick voltage', '75 %'),
        text('starting.kickTime', 'Kick time', '300 ms'),
        select('starting.transition', 'Star-delta change-over', named('open', 'closed')),
        text('starting.changeSpeed', 'Changes over at', '90 %'),
        text('starting.starTime', 'or after', '15 s'),
        text('starting.gap', 'Gap of the change-over', '60 ms'),
        text('starting.tap', 'Autotransformer tap', '65 %'),
        text('starting.driveRamp', 'Ramp of the drive', '8 s'),
        text('starting.driveCurrentLimit', 'Drive limit, × rated', '1.5'),
        text('starting.driveBoost', 'Torque at standstill', '150 %'),
      ),
      ...grouped(
        'From the motor’s data sheet',
        text('starting.rotorInertia', 'Rotor inertia', '0.25 kg·m²'),
        text('starting.lockedRotorTorque', 'Locked-rotor torque', '190 %'),
        text('starting.pullUpTorque', 'Pull-up torque', '150 %'),
        text('starting.breakdownTorque', 'Breakdown torque', '260 %'),
        text('starting.efficiency75', 'Efficiency at 3/4 load', '93.8 %'),
        text('starting.efficiency50', 'Efficiency at half load', '93.1 %'),
        text('starting.leakageKnee', 'Leakage saturates from', '2.5 × rated'),
        text('starting.leakageFloor', 'down to', '60 %'),
        text('starting.stallTimeHot', 'Bears standing, hot', '12 s'),
        text('starting.stallTimeCold', 'Bears standing, cold', '20 s'),
      ),
      ...rulesOf('starting'),
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
      text('protection.ambient', 'Hottest air along the wires', '45 °C'),
      text('protection.conductors', 'Current-carrying wires together', '3'),
      select('protection.terminals', 'Terminals', [
        { value: 'auto', name: 'By size and motor design' },
        { value: '60', name: '60 °C' },
        { value: '75', name: '75 °C' },
      ]),
      select('protection.insulation', 'Insulation', [
        { value: '60', name: '60 °C' },
        { value: '75', name: '75 °C' },
        { value: '90', name: '90 °C' },
      ]),
    ],
  },
  money: {
    lead: 'What the energy costs either way, at the guaranteed minimum efficiency.',
    fields: [
      text('money.energyPrice', 'Price of energy', '0.11 per kWh'),
      text('money.years', 'Years counted', '10 years'),
      text('money.exchangeRate', 'One of the catalogue’s currency costs', '0.92'),
      ...rulesOf('money'),
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
