import { figure, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  hours: figure('time', 'Hours a year', { sheet: 'Energy and money' }),
  /** Over the hours it runs. */
  meanFlow: figure('fraction', 'Mean flow'),
  /** Of full speed, in the rows that have hours. */
  leastSpeed: figure('fraction', 'Lowest speed on a drive'),
  /** Switched on and off into a storage, at half its flow. */
  cyclesPerHour: figure('count', 'Starts an hour of on and off, at most'),
  /** Electrical energy of a year, J. */
  energyThrottled: figure('energy', 'Energy as controlled today', { sheet: 'Energy and money' }),
  energySpeedControlled: figure('energy', 'Energy with speed control', { sheet: 'Energy and money' }),
  energySaved: figure('energy', 'Energy saved'),
  savingShare: figure('fraction', 'Share saved'),
  /** Of this option: by its own flow control, motor and feed. */
  energy: figure('energy', 'Energy of this option', { sheet: 'Energy and money' }),
  peakInput: figure('power', 'Highest input of this option'),
  /** VA, for a demand charge by kVA. */
  peakApparent: figure('apparentPower', 'Highest apparent power of this option'),
  /** Energy of a year that a drive saves by lowering the flux; of this option’s energy only where it is switched on. */
  fluxSaving: figure('energy', 'Saved by less flux at part load'),
};

export type ProfileValues = ValuesOf<typeof values>;
