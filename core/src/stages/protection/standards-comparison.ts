import { textOf, type Text } from '../../kernel/text.ts';
import type { ProtectionValues } from './values.ts';

/** One question of the circuit as both schools answer it. */
export interface BothAnswers {
  readonly name: keyof ProtectionValues;
  readonly question: string;
  /** As their own school shows it; undefined where that school does not ask. */
  readonly own: Text | undefined;
  readonly other: Text | undefined;
  readonly why: string;
}

/** Where the NEC’s table stops, said beside what stands in. */
export const NO_TABLE = 'Table 430.250 has no current for this voltage: the nameplate’s stands in, to compare by.';

/** The questions in the order of the circuit, and why the schools answer otherwise. */
const QUESTIONS: readonly (readonly [keyof ProtectionValues, question: string, why: string])[] = [
  ['wireCurrent', 'Current for the wires', 'The NEC takes the table current of the horsepower, IEC the nameplate.'],
  [
    'overloadDial',
    'Overload set to',
    'Without a service factor of 1.15 or a rise of 40 °C the NEC’s dial goes down by 115 : 125.',
  ],
  ['overloadCeiling', 'Overload, at most', 'The NEC limits where the relay trips, IEC what it is set to.'],
  [
    'conductorMinAmpacity',
    'Wires carry at least',
    'The NEC asks a quarter more than the motor takes, IEC as much as the relay lets through.',
  ],
  ['conductorSize', 'Wire', 'AWG at the temperature of its terminals, or mm² by the way it is laid.'],
  ['conductorAmpacity', 'It carries here', 'Tables and corrections differ.'],
  [
    'conductorLimit',
    'Its size follows from',
    'IEC also sizes for a fault to earth and for the heat of a short circuit.',
  ],
  ['runningDrop', 'Lost in it, running', 'The NEC notes 3 % of a branch, IEC 5 % of all of it.'],
  ['startingDrop', 'Lost in it, starting', 'Neither limits it; about 15 % is common practice.'],
  [
    'branchDeviceMax',
    'Short-circuit device, at most',
    'The NEC caps it by a percentage of the table current; IEC leaves it to start and fault.',
  ],
  [
    'branchDevice',
    'Short-circuit device',
    'IEC motor breakers hold 13 times their dial; NEC breakers trip at about ten times their rating.',
  ],
  ['disconnectCurrent', 'Isolator, at least', '115 % and rated in horsepower, or the motor’s current at AC-23.'],
  ['groundingConductor', 'Earth', 'The NEC goes by the device, IEC by the wire.'],
  ['conduit', 'Conduit', 'Only the NEC fills conduits by a table.'],
  ['loopImpedance', 'Loop of a fault to earth', 'Only IEC holds the loop against what opens the device in time.'],
  ['loopImpedanceMax', 'That loop, at most', 'By the time the table of disconnection allows.'],
  [
    'driveInputAmpacity',
    'Wires to the drive, at least',
    'The NEC asks 125 % of the drive’s rated input, IEC its input current.',
  ],
  ['driveInputConductor', 'Wire to the drive', 'As above.'],
  [
    'leadAmpacity',
    'Each of six motor leads, at least',
    'The NEC asks 72 % of the current, IEC lets the leads carry their share.',
  ],
  ['leadConductor', 'Motor lead', 'As above.'],
  [
    'feederAmpacity',
    'Feeder carries at least',
    'The NEC adds a quarter of the largest motor, IEC counts what runs at once.',
  ],
  ['feederDeviceMax', 'Feeder device, at most', 'The largest device and the other currents, or nothing.'],
  ['feederDevice', 'Feeder device', 'IEC wants 1.6 times the largest fuse behind it, so that that one clears alone.'],
  ['faultCurrent', 'Short-circuit current at the bus', 'One impedance model for both.'],
  ['faultAtMotor', 'Short-circuit current at the motor', 'The same model, behind the wires each school asks for.'],
  ['faultAtDrive', 'Short-circuit current at the drive', 'As at the motor.'],
];

export const sideBySide = (own: ProtectionValues, other: ProtectionValues): readonly BothAnswers[] =>
  QUESTIONS.flatMap(([name, question, why]) => {
    const [a, b] = [textOf(own[name]), textOf(other[name])];
    const stoodIn = name === 'wireCurrent' && !own.tableCurrent && !other.tableCurrent;
    return a === undefined && b === undefined
      ? []
      : [{ name, question, own: a, other: b, why: stoodIn ? NO_TABLE : why }];
  });
