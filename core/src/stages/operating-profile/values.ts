import { figure, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  hours: figure('time', 'Annual operating hours', { sheet: 'Energy and economics' }),
  /** Over the hours it runs. */
  meanFlow: figure('fraction', 'Mean flow'),
  /** Of full speed, in the rows that have hours. */
  leastSpeed: figure('fraction', 'Minimum speed in the profile'),
  /** Switched on and off into a storage, at half its flow. */
  cyclesPerHour: figure('count', 'Switching frequency, on/off control'),
  /** Electrical energy of a year, J. */
  energyThrottled: figure('energy', 'Annual energy, present control', { sheet: 'Energy and economics' }),
  energySpeedControlled: figure('energy', 'Annual energy, speed control', { sheet: 'Energy and economics' }),
  energySaved: figure('energy', 'Annual energy saved'),
  savingShare: figure('fraction', 'Energy saving, % of present'),
  /** Of this option: by its own flow control, motor and feed. */
  energy: figure('energy', 'Annual energy, this option', { sheet: 'Energy and economics' }),
  peakInput: figure('power', 'Peak demand'),
  /** VA, for a demand charge by kVA. */
  peakApparent: figure('apparentPower', 'Peak apparent power'),
  /** Energy of a year that a drive saves by lowering the flux; of this option’s energy only where it is switched on. */
  fluxSaving: figure('energy', 'Energy saved by flux optimization'),
};

export type ProfileValues = ValuesOf<typeof values>;
