import { declared, type ReportOf } from '../declared-finding.ts';
import { reducedSpeedTorque } from '../../kernel/tables/index.ts';
import { PRACTICE } from '../../kernel/value.ts';

/** What this stage may find, by its code. */
export const findings = declared({
  'pick.no-motor': {
    severity: 'stop',
    basis: 'Hard rules of the pick',
    clear: 'Loosen what can be loosened (frame by a transition base, enclosure by a better place) or add a catalogue.',
    field: 'nameplate.frame',
  },
  'pick.other-size': {
    severity: 'caution',
    basis: 'Load and place of this job',
    clear: 'Plan base and coupling for the new frame.',
    field: 'load.torque',
  },
  'pick.motor-refused': {
    severity: 'stop',
    basis: 'Hard rules of the pick',
    clear: 'Choose one of the motors that fit.',
    field: 'pick.motor',
  },
  'pick.no-drive': {
    severity: 'stop',
    basis: 'Current at the duty class after derates; overload for its time',
    clear: 'Lengthen the ramp, put the drive in a cabinet or a cooler room, or add a catalogue.',
    field: 'place.cabinet',
  },
  'pick.drive-refused': {
    severity: 'stop',
    basis: 'Current at the duty class after derates',
    clear: 'Choose one of the drives that fit.',
    field: 'pick.drive',
  },
  'pick.no-starter': {
    severity: 'stop',
    basis: 'AC-3 current and relay range',
    clear: 'Add a catalogue with these parts.',
  },
  'pick.soft-starter-leaks': {
    severity: 'note',
    basis: PRACTICE,
    clear: 'Keep the isolating contactor in the order.',
  },
  'pick.too-large': {
    severity: 'stop',
    basis: 'NEMA MG 1 10.32.4, IEC 60072-1: standard sizes end there',
    clear: 'Cool the place or mend the supply; a motor this large is bought to specification.',
    field: 'place.ambient',
  },
  'pick.slow-full-torque': {
    severity: 'caution',
    basis: `${reducedSpeedTorque.source}: shape of a curve, recalled only roughly`,
    clear:
      'Read the constant-torque range on the plate, add a blower of its own, or keep the hours at low speed short.',
    field: 'nameplate.inverter',
  },
  'pick.kept-derated': {
    severity: 'stop',
    basis: 'Derating of heat, height and unbalance',
    clear: 'Cool the place, mend the supply, reduce the load, or replace the motor.',
  },
  'pick.power-match-short': {
    severity: 'note',
    basis: 'Drives are sized by current; ' + PRACTICE,
    clear: 'Nothing to do: the drive shown is chosen by current.',
  },
  'pick.power-match-wasteful': {
    severity: 'note',
    basis: 'Drives are sized by current; ' + PRACTICE,
    clear: 'Nothing to do: the drive shown is chosen by current.',
  },
});

export type Report = ReportOf<typeof findings>;
