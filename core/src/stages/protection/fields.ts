import { KELVIN } from '../../ground/constants.ts';
import { quantity, choice, is, named, not, perOption, type Asked } from '../../ground/field.ts';

const iec: Asked = is('school', 'IEC');
const nema: Asked = is('school', 'NEMA');
const duct: Asked = (look) => look('school') === 'IEC' && look('protection.laying') === 'duct';

export const lead = 'Overload, wires, short-circuit device and earth of the motor’s circuit.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = perOption({
  laying: choice(
    [
      ['conduit', 'In conduit or trunking'],
      ['clipped', 'Clipped to a wall or floor'],
      ['tray', 'On a perforated tray or ladder'],
      ['duct', 'In a duct in the ground'],
    ],
    { label: 'Cable laid', usual: 'conduit', asked: iec },
  ),
  cableInsulation: choice(named('PVC', 'XLPE'), { label: 'Its insulation', usual: 'PVC', asked: iec }),
  circuits: quantity('count', {
    label: 'Circuits side by side',
    min: 1,
    max: 20,
    example: '3 circuits',
    hint: '1',
    asked: iec,
    note: 'Loaded circuits that lie together along the way, this one counted',
  }),
  shortCircuit: choice(
    [
      ['auto', 'As the start allows'],
      ['motor breaker', 'Motor-protective breaker'],
      ['gG', 'Fuses gG'],
      ['aM', 'Fuses aM'],
    ],
    { label: 'Short-circuit device', usual: 'auto', asked: iec },
  ),
  earthSystem: choice(named('TN', 'TT', 'IT'), {
    label: 'Earthed as',
    usual: 'TN',
    asked: iec,
    note: 'How the supply is earthed: TN, TT or IT',
  }),
  soil: choice(
    ['0.5', '0.7', '1', '1.5', '2', '2.5', '3'].map((each) => [each, `${each} K·m/W`] as const),
    { label: 'Soil', usual: '2.5', asked: duct, note: 'Thermal resistivity of the ground around the duct' },
  ),
  consequence: choice(
    [
      ['parts', 'Parts and an hour'],
      ['process', 'The process stands'],
      ['safety', 'Fire or safety depends on it'],
    ],
    {
      label: 'If its contactor welds',
      usual: 'parts',
      asked: not(is('starting.method', 'drive')),
      note: 'What a short circuit that spoils the starter would cost',
    },
  ),
  device: choice(named('inverse time breaker', 'dual element fuse', 'nontime delay fuse'), {
    label: 'Short-circuit device',
    usual: 'inverse time breaker',
    asked: nema,
  }),
  conductor: choice(named('copper', 'aluminium'), { label: 'Conductor', usual: 'copper' }),
  ambient: quantity('temperature', {
    label: 'Hottest air along the wires',
    min: KELVIN - 50,
    max: KELVIN + 85,
    example: '45 °C along the cable',
    hint: '45 °C',
  }),
  conductors: quantity('count', {
    label: 'Current-carrying wires together',
    min: 3,
    max: 60,
    example: '6',
    hint: '3',
    asked: nema,
  }),
  terminals: choice(
    [
      ['auto', 'By size and motor design'],
      ['60', '60 °C'],
      ['75', '75 °C'],
    ],
    { label: 'Terminals', usual: 'auto', asked: nema, note: 'Temperature the terminals are good for, °C' },
  ),
  insulation: choice(
    [
      ['60', '60 °C'],
      ['75', '75 °C'],
      ['90', '90 °C'],
    ],
    { label: 'Insulation', usual: '75', asked: nema, note: 'Temperature the insulation is good for, °C' },
  ),
});
