import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  /** What the overload relay is set to. */
  overloadDial: figure('current', 'Overload set to', { sheet: 'Settings and wiring' }),
  /** Where it must have tripped by the code, from the nameplate current; no value for the dial. */
  overloadCurrent: figure('current', 'Overload trip, at most by the code', { sheet: 'Settings and wiring' }),
  /** What the drive’s own motor protection is set to. */
  driveOverloadCurrent: figure('current', 'Overload setting in the drive', { sheet: 'Settings and wiring' }),
  /** The same by the name it has under both rules. */
  overloadCeiling: figure('current', 'Overload trip, at most', { unseen: true }),
  /** Table full-load current of the size and voltage. */
  tableCurrent: figure('current', 'Table full-load current', { sheet: 'Settings and wiring' }),
  /** What sizes conductors and short-circuit device: the table’s, or the nameplate’s where the code wants it. */
  wireCurrent: figure('current', 'Current for wires and device', { sheet: 'Settings and wiring' }),
  conductorMinAmpacity: figure('current', 'Conductor ampacity, at least', { sheet: 'Settings and wiring' }),
  conductorSize: phrase('Smallest conductor', { sheet: 'Settings and wiring' }),
  /** What that conductor carries here. */
  conductorAmpacity: figure('current', 'It carries here', { sheet: 'Settings and wiring' }),
  /** What asks for so large a conductor. */
  conductorLimit: phrase('Its size follows from', { sheet: 'Settings and wiring' }),
  runningDrop: figure('fraction', 'Lost in it, running', { sheet: 'Settings and wiring' }),
  startingDrop: figure('fraction', 'Lost in it, starting', { sheet: 'Settings and wiring' }),
  /** Of each of the six leads to a motor that starts in star-delta. */
  leadAmpacity: figure('current', 'Each of the six motor leads, at least', { sheet: 'Settings and wiring' }),
  leadConductor: phrase('Smallest motor lead', { sheet: 'Settings and wiring' }),
  branchDeviceMax: figure('current', 'Branch device, at most', { sheet: 'Settings and wiring' }),
  /** The largest breaker of the catalogue that is allowed. */
  branchDevice: phrase('Short-circuit device', { sheet: 'Settings and wiring' }),
  /** What the isolator at the motor must carry. */
  disconnectCurrent: figure('current', 'Isolator, at least', { sheet: 'Settings and wiring' }),
  /** Three phases, at the bus. */
  faultCurrent: figure('current', 'Short-circuit current at the bus', { sheet: 'Settings and wiring' }),
  /** Three phases, behind its wires. */
  faultAtMotor: figure('current', 'Short-circuit current at the motor', { sheet: 'Settings and wiring' }),
  /** The same behind what feeds a drive. */
  faultAtDrive: figure('current', 'Short-circuit current at the drive', { sheet: 'Settings and wiring' }),
  loopImpedance: figure('resistance', 'Loop of a fault to earth'),
  loopImpedanceMax: figure('resistance', 'That loop, at most'),
  groundingConductor: phrase('Grounding conductor', { sheet: 'Settings and wiring' }),
  conduit: phrase('Conduit', { sheet: 'Settings and wiring' }),
  /** What it counts with on a feeder: of its drive’s input where it has one. */
  feederCurrent: figure('current', 'Counts on a feeder', { unseen: true }),
  /** Of its short-circuit device, for what stands before it. */
  deviceRating: figure('current', 'Rating of its device', { unseen: true }),
  /** Of what hangs on the same feeder, this motor among it. */
  feederAmpacity: figure('current', 'Feeder, at least', { sheet: 'Settings and wiring' }),
  feederDeviceMax: figure('current', 'Feeder device, at most', { sheet: 'Settings and wiring' }),
  feederDevice: phrase('Feeder device', { sheet: 'Settings and wiring' }),
  driveInputAmpacity: figure('current', 'Drive input conductors, at least', { sheet: 'Settings and wiring' }),
  driveInputConductor: phrase('Smallest drive input conductor', { sheet: 'Settings and wiring' }),
};

export type ProtectionValues = ValuesOf<typeof values>;
