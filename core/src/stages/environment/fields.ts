import { KELVIN } from '../../kernel/constants.ts';
import { quantity, choice, flag, named, is } from '../../kernel/field.ts';

const cabinet = is('place.cabinet', true);

export const lead = 'Conditions at the place of installation: enclosures and derating.';

/** What this stage asks, in the order a person reads it off plate, machine or drawing. */
export const fields = {
  ambient: quantity('temperature', {
    label: 'Maximum ambient temperature',
    min: KELVIN - 50,
    max: KELVIN + 80,
    example: '40 °C',
  }),
  altitude: quantity('altitude', { label: 'Altitude', min: -400, max: 6000, example: '300 m or 1000 ft' }),
  setting: choice(named('indoor', 'outdoor'), { label: 'Location', usual: 'indoor' }),
  water: choice(named('dry', 'drip', 'hose', 'washdown', 'submerged'), { label: 'Water exposure', usual: 'dry' }),
  dust: choice(named('clean', 'dirty', 'fibrous', 'conductive', 'combustible'), { label: 'Dust', usual: 'dirty' }),
  corrosion: choice(
    [
      ['none', 'Non-corrosive'],
      ['humid', 'Humid'],
      ['salt', 'Salt'],
      ['chemical', 'Chemical'],
    ],
    { label: 'Atmosphere', usual: 'none' },
  ),
  hazardous: choice(named('no', 'yes', 'unknown'), { label: 'Hazardous area', usual: 'no' }),
  attitude: choice(named('horizontal', 'shaft up', 'shaft down'), { label: 'Shaft orientation', usual: 'horizontal' }),
  noiseLimit: quantity('sound', {
    label: 'Sound pressure level limit',
    min: 30,
    max: 130,
    example: '80 dB(A) at 1 m',
    hint: '80 dB(A)',
  }),
  food: flag({ label: 'Food or beverage area' }),
  dampStandby: flag({ label: 'Prolonged standstill in damp air', note: 'It stands still for days in damp air' }),
  airStream: flag({
    label: 'Motor in the air stream',
    asked: is('load.machine', 'fan'),
    note: 'The motor stands in the air stream of the fan it drives',
  }),
  cabinet: flag({
    label: 'Drive or starter in a cabinet',
    note: 'The drive or starter stands in a cabinet or a clean room',
  }),
  cabinetHeight: quantity('length', {
    label: 'Cabinet height',
    min: 0.1,
    max: 4,
    example: '72 in or 1800 mm',
    asked: cabinet,
  }),
  cabinetWidth: quantity('length', {
    label: 'Cabinet width',
    min: 0.1,
    max: 10,
    example: '32 in or 800 mm',
    asked: cabinet,
  }),
  cabinetDepth: quantity('length', {
    label: 'Cabinet depth',
    min: 0.05,
    max: 4,
    example: '16 in or 400 mm',
    asked: cabinet,
  }),
  otherHeat: quantity('power', {
    label: 'Other heat load in the cabinet',
    min: 0,
    max: 1e5,
    example: '120 W',
    asked: cabinet,
  }),
};
