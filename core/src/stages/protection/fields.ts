import { KELVIN } from '../../ground/constants.ts';
import { quantity, choice, named, perOption } from '../../ground/field.ts';

export const lead = 'Overload from the nameplate; conductors and short-circuit device from the table.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = perOption({
  device: choice(named('inverse time breaker', 'dual element fuse', 'nontime delay fuse'), {
    label: 'Short-circuit device',
    usual: 'inverse time breaker',
  }),
  conductor: choice(named('copper', 'aluminium'), { label: 'Conductor', usual: 'copper' }),
  ambient: quantity('temperature', {
    label: 'Hottest air along the wires',
    min: KELVIN - 50,
    max: KELVIN + 85,
    example: '45 °C along the cable',
    hint: '45 °C',
  }),
  conductors: quantity('count', { label: 'Current-carrying wires together', min: 3, max: 60, example: '6', hint: '3' }),
  terminals: choice(
    [
      ['auto', 'By size and motor design'],
      ['60', '60 °C'],
      ['75', '75 °C'],
    ],
    { label: 'Terminals', usual: 'auto', note: 'Temperature the terminals are good for, °C' },
  ),
  insulation: choice(
    [
      ['60', '60 °C'],
      ['75', '75 °C'],
      ['90', '90 °C'],
    ],
    { label: 'Insulation', usual: '75', note: 'Temperature the insulation is good for, °C' },
  ),
});
