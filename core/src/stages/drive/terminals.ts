import { say, type Text } from '../../kernel/text.ts';
import { isAnalog, type DriveStageInput } from './drive-stage-input.ts';

/** One wire or pair of the terminal plan, by what it is for; the maker’s numbers are written in on the spot. */
export interface Terminal {
  readonly side: 'power in' | 'power out' | 'control';
  readonly role: string;
  readonly goesTo: Text;
  readonly wire: string;
}

const PAIR = 'screened pair, 200 mm away from power';
const CONTACT = 'volt-free contact';

/** What goes to which terminal, by function, for the control that was chosen. */
export function terminalsOf({ brief, pick }: DriveStageInput, filter: Text): Terminal[] {
  const { job } = brief;
  const { drive, starting } = job;
  const all: Terminal[] = [
    {
      side: 'power in',
      role: 'L1 L2 L3',
      goesTo: drive.bypass ? 'isolator, then its own contactor' : 'isolator and short-circuit device',
      wire: 'as Protection & wiring sizes it',
    },
    { side: 'power in', role: 'Earth', goesTo: 'earth bar', wire: 'never smaller than the table’s' },
    {
      side: 'power out',
      role: 'U V W',
      goesTo: say`${filter === 'none' ? '' : say`${filter}, then `}${drive.bypass ? 'bypass contactors, then ' : ''}motor`,
      wire: 'shield clamped all round at both ends',
    },
    {
      side: 'power out',
      role: 'Earth of the motor',
      goesTo: 'motor frame, bonded to the machine’s',
      wire: 'in the motor cable',
    },
  ];
  if (starting.braking === 'chopper')
    all.push({
      side: 'power out',
      role: 'Chopper',
      goesTo: 'brake resistor',
      wire: 'its thermal switch opens the input',
    });
  const control = (role: string, goesTo: string, wire: string): void =>
    void all.push({ side: 'control', role, goesTo, wire });
  if (drive.command === 'three-wire') {
    control('Start', 'button, closes', CONTACT);
    control('Stop', 'button, opens', `${CONTACT}; a broken wire stops it`);
  }
  if (drive.command === 'two-wire') control('Run', 'contact that stays closed', CONTACT);
  if (drive.command === 'fieldbus' || drive.reference === 'fieldbus')
    control('Fieldbus', 'controller', 'its own cable, ended at both ends');
  if (starting.reversing === 'yes') control('Reverse', 'contact or button', CONTACT);
  if (isAnalog(drive.reference)) control('Speed', `${drive.reference} of the controller`, PAIR);
  if (drive.reference === 'PID') control('Measured value', 'transmitter, 4–20 mA', PAIR);
  if (drive.safeOff)
    control('Safe torque off, two channels', 'emergency-stop relay', 'two wires apart; bridges taken out');
  if (job.nameplate.thermalProtection?.trim() || pick.chosenMotor) control('Thermistors', 'motor winding', PAIR);
  if (starting.closedLoop === 'yes')
    control('Encoder', 'motor shaft, insulated from it', 'screened pairs, screen at the drive');
  if (job.load.holdingBrake === 'yes')
    control('Brake relay', 'coil of the holding brake, by a contactor', 'suppressed coil');
  control('Fault relay', 'alarm or controller', CONTACT);
  return all;
}
