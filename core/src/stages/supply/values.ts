import { figure, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  voltage: figure('voltage', 'System voltage', { sheet: 'Supply and start' }),
  frequency: figure('frequency', 'System frequency', { sheet: 'Supply and start' }),
  /** The motor voltage that belongs to the system voltage: 480 → 460. */
  motorVoltage: figure('voltage', 'Motor voltage for it'),
  unbalance: figure('fraction', 'Voltage unbalance'),
  unbalanceDerate: figure('fraction', 'Power left with it'),
  /** Short-circuit power of the source at the bus. */
  shortCircuitPower: figure('apparentPower', 'Short-circuit power'),
  sourceImpedance: figure('resistance', 'Impedance of the source'),
  feederImpedance: figure('resistance', 'Impedance of the feeder'),
  /** What the feeder carries for good, and what the running motor loses in it. */
  feederAmpacity: figure('current', 'The feeder carries'),
  runningDrop: figure('fraction', 'Lost in the feeder, running'),
  /** At the motor’s bus when it is asked to start; every start is judged at it. */
  lowestVoltage: figure('voltage', 'Lowest voltage at a start', { sheet: 'Supply and start' }),
  /** Dip of a direct start of the motor, at the bus and at its terminals. */
  directBusDip: figure('fraction', 'Direct start, dip at the bus'),
  /** On a generator, at the bus in the first instant, before its field has yielded. */
  directFirstDip: figure('fraction', 'Direct start, first instant'),
  directTerminalDip: figure('fraction', 'Direct start, dip at the motor'),
  directFlicker: figure('count', 'Flicker of direct starts'),
  /** Mean price of energy over the tariff’s time bands. */
  energyPrice: figure('energyPrice', 'Mean price of energy'),
};

export type SupplyValues = ValuesOf<typeof values>;
