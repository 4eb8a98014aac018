import { declared, type ReportOf } from '../declared-finding.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'place.hazardous': {
    severity: 'stop',
    basis: 'NEC Articles 500–506, IEC 60079: certified selection by a competent person',
    clear: 'Hand this motor to a competent person for hazardous areas.',
    field: 'place.hazardous',
    defers: true,
  },
  'place.combustible-dust': {
    severity: 'stop',
    basis: 'NEC Article 502, IEC 60079-10-2',
    clear: 'Hand the selection to a person competent for hazardous areas.',
    field: 'place.dust',
    defers: true,
  },
  'place.submerged': {
    severity: 'stop',
    basis: PRACTICE,
    clear: 'Ask the pump’s maker for the motor that belongs to it.',
    field: 'place.water',
    defers: true,
  },
  'place.motor-derate': {
    severity: 'caution',
    basis: 'IEC 60034-1 8.10, MG 1 14.4 (recalled from memory)',
    clear: 'Bring cooler air, or accept the larger size.',
  },
  'place.freezing': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Add a heated enclosure and a space heater to the order.',
    field: 'place.ambient',
  },
  'place.conductive-dust': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Put drive and starter in a clean room, and seal the terminal box.',
    field: 'place.dust',
  },
  'place.fibres': {
    severity: 'caution',
    basis: PRACTICE,
    clear: 'Clean the fan cover on a round, or take a motor without a fan; feed the drive filtered air.',
    field: 'place.dust',
  },
  'place.attitude': {
    severity: 'note',
    basis: 'IEC 60034-7 mounting; ' + PRACTICE,
    clear: 'Order it for that mounting.',
    field: 'place.attitude',
  },
  'place.noise': {
    severity: 'caution',
    basis: 'IEC 60034-9, MG 1 Part 9; ' + PRACTICE,
    clear: 'Choose more poles or a smaller fan, or enclose it.',
    field: 'place.noiseLimit',
  },
  'place.cabinet-cannot-cool': {
    severity: 'stop',
    basis: 'Heat flows only from warm to cold',
    clear: 'Put the cabinet in a cooler room, cool it by a machine or water, or take a drive rated for more heat.',
    field: 'place.ambient',
  },
  'place.cabinet-air': {
    severity: 'note',
    basis: 'Heat carried away by air; ' + PRACTICE,
    clear: 'Order fan and filter for that flow, or a larger cabinet.',
    field: 'place.cabinetHeight',
  },
});

export type Report = ReportOf<typeof findings>;
