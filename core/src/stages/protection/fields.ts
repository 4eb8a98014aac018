import { KELVIN } from '../../kernel/constants.ts';
import { choice, flag, is, line, named, not, perOption, quantity, rows, type Asked } from '../../kernel/field.ts';

const iec: Asked = is('school', 'IEC');
const nema: Asked = is('school', 'NEMA');
const duct: Asked = (look) => look('school') === 'IEC' && look('protection.laying') === 'duct';

/** Devices that are sold by their rating; of a motor breaker the dial says it, of a drive its maker. */
const rated: Asked = (look) =>
  look('starting.method') !== 'drive' &&
  (look('school') === 'NEMA' || look('protection.shortCircuit') !== 'motor breaker');

const several: Asked = (look) => {
  const others = look('protection.others');
  return Array.isArray(others) && others.length > 0;
};

/** What is behind a drive. */
const driven = is('starting.method', 'drive');
const LEAD = 'Motor cable of the drive';
const every =
  (...all: readonly Asked[]): Asked =>
  (look) =>
    all.every((each) => each(look));

const WAYS = [
  ['conduit', 'Conduit or trunking (B2)'],
  ['clipped', 'Clipped direct (C)'],
  ['tray', 'Perforated tray or ladder (E)'],
  ['duct', 'Duct in the ground (D1)'],
] as const;

export const lead = 'Overload protection, conductors, short-circuit protection and protective conductor.';

const own = perOption({
  dial: quantity('current', {
    label: 'Overload relay setting, as left',
    min: 0.05,
    max: 5000,
    example: '27.8 A',
    hint: 'as the motor asks',
    asked: not(is('starting.method', 'drive')),
    note: 'What the overload relay or motor breaker is really set to, as its dial shows it',
  }),
  laying: choice(WAYS, { label: 'Installation method', usual: 'conduit', asked: iec }),
  cableInsulation: choice(named('PVC', 'XLPE'), { label: 'Cable insulation', usual: 'PVC', asked: iec }),
  circuits: quantity('count', {
    label: 'Grouped circuits',
    min: 1,
    max: 20,
    example: '3 circuits',
    hint: '1',
    asked: iec,
    note: 'Loaded circuits that lie together along the way, this one counted',
  }),
  shortCircuit: choice(
    [
      ['auto', 'Automatic selection'],
      ['motor breaker', 'Motor-protective circuit-breaker'],
      ['gG', 'gG fuses'],
      ['aM', 'aM fuses'],
    ],
    { label: 'Short-circuit protective device', usual: 'auto', asked: iec },
  ),
  earthSystem: choice(named('TN', 'TT', 'IT'), {
    label: 'System earthing',
    usual: 'TN',
    asked: iec,
    note: 'How the supply is earthed: TN, TT or IT',
  }),
  soil: choice(
    ['0.5', '0.7', '1', '1.5', '2', '2.5', '3'].map((each) => [each, `${each} K·m/W`] as const),
    {
      label: 'Soil thermal resistivity',
      usual: '2.5',
      asked: duct,
      note: 'Thermal resistivity of the ground around the duct',
    },
  ),
  consequence: choice(
    [
      ['parts', 'Parts and one hour'],
      ['process', 'Process outage'],
      ['safety', 'Fire or personal safety'],
    ],
    {
      label: 'Consequence of a welded contactor',
      usual: 'parts',
      asked: not(is('starting.method', 'drive')),
      note: 'What a short circuit that spoils the starter would cost',
    },
  ),
  control: choice(
    [
      ['auto', 'Control transformer in the starter'],
      ['dc', '24 V DC supply'],
      ['line', 'Line voltage'],
    ],
    {
      label: 'Control voltage source',
      usual: 'auto',
      asked: not(is('starting.method', 'drive')),
      note: 'What the coils of the contactors are fed from',
      group: 'Contactor',
    },
  ),
  controlLead: quantity('altitude', {
    label: 'Control cable length',
    min: 0,
    max: 5000,
    example: '80 m',
    asked: (look) => look('starting.method') !== 'drive' && look('protection.control') !== 'dc',
    note: 'Length of the lead from the contactor’s coil to the contact or button farthest away',
    group: 'Contactor',
  }),
  winding: choice(
    [
      ['tapped', 'Single tapped winding'],
      ['two', 'Two separate windings'],
    ],
    {
      label: 'Two-speed winding',
      usual: 'tapped',
      asked: is('nameplate.speedInForce', 'both'),
      note: 'Windings of a motor of which both speeds are used; other ratios than 2:1 come from two',
    },
  ),
  hardShare: quantity('fraction', {
    label: 'Share of AC-4 operations',
    min: 0,
    max: 1,
    example: '20 %',
    hint: '100 %',
    asked: (look) => look('starting.inching') === 'yes' || look('starting.plugging') === 'yes',
    note: 'Share of operations that part the current of a standing motor, AC-4',
    group: 'Contactor',
  }),
  device: choice(
    [
      ['inverse time breaker', 'Inverse-time circuit breaker'],
      ['dual element fuse', 'Dual-element fuse'],
      ['nontime delay fuse', 'Non-time-delay fuse'],
    ],
    {
      label: 'Branch-circuit protective device',
      usual: 'inverse time breaker',
      asked: nema,
    },
  ),
  rating: quantity('current', {
    label: { NEMA: 'Branch device rating', IEC: 'SCPD rating' },
    min: 0.5,
    max: 6000,
    example: '63 A',
    hint: 'as start and code allow',
    asked: rated,
    note: 'Rating of the fuses or the breaker that are there or wanted; between two sizes the next larger is taken; by IEC fuses gG, if nothing else is chosen',
  }),
  conductor: choice(
    [
      ['copper', 'Copper'],
      ['aluminium', 'Aluminum'],
    ],
    { label: 'Conductor material', usual: 'copper' },
  ),
  ambient: quantity('temperature', {
    label: 'Ambient temperature along the route',
    min: KELVIN - 50,
    max: KELVIN + 85,
    example: '45 °C along the cable',
    hint: '45 °C',
  }),
  conductors: quantity('count', {
    label: 'Current-carrying conductors',
    min: 3,
    max: 60,
    example: '6',
    hint: '3',
    asked: nema,
  }),
  rooftop: flag({ label: 'Raceway under 7/8 in above a roof', asked: nema }),
  leadLaying: choice([['feed', 'As the supply cable'], ...WAYS], {
    label: 'Motor cable installation method',
    usual: 'feed',
    asked: every(iec, driven),
    group: LEAD,
  }),
  leadCircuits: quantity('count', {
    label: 'Motor cable, grouped circuits',
    min: 1,
    max: 20,
    example: '3 circuits',
    hint: 'as the feed',
    asked: every(iec, driven),
    note: 'Loaded circuits that lie together along the lead from drive to motor, this one counted',
    group: LEAD,
  }),
  leadAmbient: quantity('temperature', {
    label: 'Motor cable, ambient temperature',
    min: KELVIN - 50,
    max: KELVIN + 85,
    example: '45 °C along the lead',
    hint: 'as the feed',
    asked: driven,
    group: LEAD,
  }),
  leadConductors: quantity('count', {
    label: 'Motor cable, loaded conductors',
    min: 3,
    max: 60,
    example: '6',
    hint: 'as the feed',
    asked: every(nema, driven),
    group: LEAD,
  }),
  leadRooftop: flag({ label: 'Motor raceway, under 7/8 in on roof', asked: every(nema, driven), group: LEAD }),
  terminals: choice(
    [
      ['auto', 'By size and motor design'],
      ['60', '60 °C'],
      ['75', '75 °C'],
    ],
    {
      label: 'Terminal temperature rating',
      usual: 'auto',
      asked: nema,
      note: 'Temperature the terminals are good for, °C',
    },
  ),
  insulation: choice(
    [
      ['60', '60 °C'],
      ['75', '75 °C'],
      ['90', '90 °C'],
    ],
    {
      label: 'Insulation temperature rating',
      usual: '75',
      asked: nema,
      note: 'Temperature the insulation is good for, °C',
    },
  ),
});

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  ...own,
  assemblyRating: quantity('current', {
    label: { NEMA: 'Panel SCCR', IEC: 'Assembly short-circuit rating' },
    min: 100,
    max: 400e3,
    example: '25 kA',
    group: 'Panel and feeder',
    note: 'Short-circuit rating of the panel or starter as a whole: SCCR, or its rated short-time or conditional current',
  }),
  simultaneity: quantity('fraction', {
    label: 'Diversity factor',
    min: 0.1,
    max: 1,
    example: '80 %',
    hint: '100 %',
    group: 'Panel and feeder',
    asked: (look) => iec(look) && several(look),
    note: 'Share of the currents on the feeder that flow at the same time',
  }),
  others: rows(
    60,
    {
      circuit: line(60, { label: 'Circuit', usual: '' }),
      kind: choice(
        [
          ['motor', 'Motor'],
          ['continuous', 'Other, continuous (three hours)'],
          ['other', 'Other'],
        ],
        { label: 'Load type', usual: 'motor' },
      ),
      current: quantity('current', { label: 'Sizing current', min: 0.01, max: 10e3, example: '40 A' }),
      device: quantity('current', { label: 'Protective device rating', min: 0.1, max: 10e3, example: '100 A' }),
    },
    {
      label: 'Other circuits on the feeder',
      note: 'Circuits that hang on the same feeder as this motor, by their current for wires and their short-circuit device',
    },
  ),
};
