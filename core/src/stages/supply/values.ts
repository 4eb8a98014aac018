import { figure, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  voltage: figure('voltage', 'System voltage', { sheet: 'Supply and starting' }),
  frequency: figure('frequency', 'System frequency', { sheet: 'Supply and starting' }),
  /** The motor voltage that belongs to the system voltage: 480 → 460. */
  motorVoltage: figure('voltage', 'Motor rated voltage for this system'),
  unbalance: figure('fraction', 'Voltage unbalance'),
  unbalanceDerate: figure('fraction', 'Derating factor, voltage unbalance'),
  /** Short-circuit power of the source at the bus. */
  shortCircuitPower: figure(
    'apparentPower',
    { NEMA: 'Available short-circuit power', IEC: 'Short-circuit power' },
    { symbol: { NEMA: '', IEC: 'S″k' } },
  ),
  sourceImpedance: figure('resistance', 'Source impedance'),
  feederImpedance: figure('resistance', 'Feeder impedance'),
  /** What the feeder carries for good, and what the running motor loses in it. */
  feederAmpacity: figure('current', { NEMA: 'Feeder ampacity', IEC: 'Feeder current-carrying capacity' }),
  runningDrop: figure('fraction', 'Feeder voltage drop, running'),
  /** At the motor’s bus when it is asked to start; every start is judged at it. */
  lowestVoltage: figure('voltage', 'Minimum voltage during starting', { sheet: 'Supply and starting' }),
  /** Dip of a direct start of the motor, at the bus and at its terminals. */
  directBusDip: figure('fraction', {
    NEMA: 'Bus voltage dip, across-the-line',
    IEC: 'Bus voltage dip, direct-on-line',
  }),
  /** On a generator, at the bus in the first instant, before its field has yielded. */
  directFirstDip: figure('fraction', {
    NEMA: 'Initial voltage dip, across-the-line',
    IEC: 'Initial voltage dip, direct-on-line',
  }),
  directTerminalDip: figure('fraction', {
    NEMA: 'Motor voltage dip, across-the-line',
    IEC: 'Motor voltage dip, direct-on-line',
  }),
  directFlicker: figure(
    'count',
    { NEMA: 'Flicker severity, across-the-line', IEC: 'Flicker severity, direct-on-line' },
    { symbol: 'Pst' },
  ),
  /** Mean price of energy over the tariff’s time bands. */
  energyPrice: figure('energyPrice', 'Mean energy price'),
};

export type SupplyValues = ValuesOf<typeof values>;
