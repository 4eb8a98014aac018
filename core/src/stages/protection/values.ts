import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  /** What the overload relay is set to. */
  overloadDial: figure('current', 'Overload relay setting', {
    symbol: { NEMA: '', IEC: 'Ir' },
    sheet: 'Protection and wiring',
  }),
  /** Where it must have tripped by the code, from the nameplate current; no value for the dial. */
  overloadCurrent: figure('current', 'Maximum overload trip current', { sheet: 'Protection and wiring' }),
  /** What the drive’s own motor protection is set to. */
  driveOverloadCurrent: figure('current', 'Drive motor-overload setting', { sheet: 'Protection and wiring' }),
  /** The same by the name it has under both rules. */
  overloadCeiling: figure('current', 'Overload trip ceiling', { unseen: true }),
  /** Table full-load current of the size and voltage. */
  tableCurrent: figure('current', 'Table full-load current', {
    symbol: { NEMA: 'FLC', IEC: '' },
    sheet: 'Protection and wiring',
  }),
  /** What sizes conductors and short-circuit device: the table’s, or the nameplate’s where the code wants it. */
  wireCurrent: figure('current', 'Current for conductor/SCPD sizing', { sheet: 'Protection and wiring' }),
  conductorMinAmpacity: figure(
    'current',
    { NEMA: 'Minimum conductor ampacity', IEC: 'Minimum current-carrying capacity' },
    { sheet: 'Protection and wiring' },
  ),
  conductorSize: textField('Minimum conductor size', { sheet: 'Protection and wiring' }),
  /** What that conductor carries here. */
  conductorAmpacity: figure(
    'current',
    { NEMA: 'Corrected ampacity', IEC: 'Current-carrying capacity' },
    { symbol: { NEMA: '', IEC: 'Iz' }, sheet: 'Protection and wiring' },
  ),
  /** What asks for so large a conductor. */
  conductorLimit: textField('Governing criterion', { sheet: 'Protection and wiring' }),
  runningDrop: figure('fraction', 'Voltage drop, running', { sheet: 'Protection and wiring' }),
  startingDrop: figure('fraction', 'Voltage drop, starting', { sheet: 'Protection and wiring' }),
  /** Of each of the six leads to a motor that starts in star-delta. */
  leadAmpacity: figure(
    'current',
    { NEMA: 'Minimum ampacity, six motor leads', IEC: 'Minimum capacity, six motor leads' },
    { sheet: 'Protection and wiring' },
  ),
  leadConductor: textField('Minimum motor lead size', { sheet: 'Protection and wiring' }),
  branchDeviceMax: figure(
    'current',
    { NEMA: 'Branch device, maximum rating', IEC: 'SCPD, maximum rating' },
    { sheet: 'Protection and wiring' },
  ),
  /** The largest breaker of the catalogue that is allowed. */
  branchDevice: textField(
    { NEMA: 'Branch-circuit protective device', IEC: 'Short-circuit protective device' },
    { symbol: { NEMA: '', IEC: 'SCPD' }, sheet: 'Protection and wiring' },
  ),
  /** What the isolator at the motor must carry. */
  disconnectCurrent: figure(
    'current',
    { NEMA: 'Disconnecting means, minimum', IEC: 'Switch-disconnector, minimum' },
    { sheet: 'Protection and wiring' },
  ),
  /** Three phases, at the bus. */
  faultCurrent: figure(
    'current',
    { NEMA: 'Available fault current, bus', IEC: 'Short-circuit current, bus' },
    { symbol: { NEMA: '', IEC: 'I″k' }, sheet: 'Protection and wiring' },
  ),
  /** Three phases, behind its wires. */
  faultAtMotor: figure(
    'current',
    { NEMA: 'Available fault current, motor', IEC: 'Short-circuit current, motor' },
    { symbol: { NEMA: '', IEC: 'I″k' }, sheet: 'Protection and wiring' },
  ),
  /** The same behind what feeds a drive. */
  faultAtDrive: figure(
    'current',
    { NEMA: 'Available fault current, drive', IEC: 'Short-circuit current, drive' },
    { symbol: { NEMA: '', IEC: 'I″k' }, sheet: 'Protection and wiring' },
  ),
  loopImpedance: figure(
    'resistance',
    { NEMA: 'Ground-fault loop impedance', IEC: 'Earth-fault loop impedance' },
    { symbol: 'Zs' },
  ),
  loopImpedanceMax: figure('resistance', {
    NEMA: 'Maximum ground-fault loop impedance',
    IEC: 'Maximum earth-fault loop impedance',
  }),
  groundingConductor: textField(
    { NEMA: 'Equipment grounding conductor', IEC: 'Protective conductor' },
    { symbol: { NEMA: 'EGC', IEC: 'PE' }, sheet: 'Protection and wiring' },
  ),
  conduit: textField({ NEMA: 'Conduit trade size', IEC: 'Conduit size' }, { sheet: 'Protection and wiring' }),
  /** What it counts with on a feeder: of its drive’s input where it has one. */
  feederCurrent: figure('current', 'Feeder load current', { unseen: true }),
  /** Of its short-circuit device, for what stands before it. */
  deviceRating: figure('current', { NEMA: 'Branch device rating', IEC: 'SCPD rating' }, { unseen: true }),
  /** Of what hangs on the same feeder, this motor among it. */
  feederAmpacity: figure(
    'current',
    { NEMA: 'Minimum feeder ampacity', IEC: 'Minimum feeder current capacity' },
    { sheet: 'Protection and wiring' },
  ),
  feederDeviceMax: figure('current', 'Maximum feeder protective device', { sheet: 'Protection and wiring' }),
  feederDevice: textField('Feeder protective device', { sheet: 'Protection and wiring' }),
  driveInputAmpacity: figure(
    'current',
    { NEMA: 'Drive input ampacity, minimum', IEC: 'Drive input capacity, minimum' },
    { sheet: 'Protection and wiring' },
  ),
  driveInputConductor: textField('Drive input conductor, min. size', { sheet: 'Protection and wiring' }),
};

export type ProtectionValues = ValuesOf<typeof values>;
