import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  power: figure(
    'power',
    { NEMA: 'Rated power', IEC: 'Rated output' },
    { symbol: 'Pₙ', sheet: 'Existing motor, from nameplate' },
  ),
  voltage: figure('voltage', 'Connected voltage', {
    symbol: { NEMA: 'V', IEC: 'Uₙ' },
    sheet: 'Existing motor, from nameplate',
  }),
  ratedCurrent: figure(
    'current',
    { NEMA: 'Full-load current', IEC: 'Rated current' },
    { symbol: { NEMA: 'FLA', IEC: 'Iₙ' }, sheet: 'Existing motor, from nameplate' },
  ),
  frequency: figure('frequency', 'Rated frequency', { symbol: { NEMA: 'f', IEC: 'fₙ' } }),
  speed: figure(
    'speed',
    { NEMA: 'Full-load speed', IEC: 'Rated speed' },
    { symbol: { NEMA: 'n', IEC: 'nₙ' }, sheet: 'Existing motor, from nameplate' },
  ),
  poles: figure('count', 'Number of poles', {
    symbol: { NEMA: 'P', IEC: '2p' },
    sheet: 'Existing motor, from nameplate',
  }),
  synchronousSpeed: figure('speed', 'Synchronous speed', { symbol: 'nₛ' }),
  slip: figure('fraction', 'Rated slip', { symbol: 's' }),
  ratedTorque: figure(
    'torque',
    { NEMA: 'Full-load torque', IEC: 'Rated torque' },
    { symbol: { NEMA: 'T', IEC: 'Tₙ' } },
  ),
  efficiency: figure(
    'fraction',
    { NEMA: 'Nominal efficiency', IEC: 'Rated efficiency' },
    { symbol: 'η', sheet: 'Existing motor, from nameplate' },
  ),
  efficiencyMinimum: figure('fraction', 'Minimum (guaranteed) efficiency'),
  efficiencyClass: textField('Efficiency class'),
  powerFactor: figure('powerFactor', 'Power factor', { symbol: { NEMA: 'PF', IEC: 'cos φ' } }),
  serviceFactor: figure('count', 'Service factor', { symbol: 'SF' }),
  lockedRotorCurrentMin: figure('current', 'Locked-rotor current, min.', { symbol: { NEMA: 'LRA', IEC: 'I_A' } }),
  lockedRotorCurrentMax: figure('current', 'Locked-rotor current, max.', {
    symbol: { NEMA: 'LRA', IEC: 'I_A' },
    sheet: 'Existing motor, from nameplate',
  }),
  designMeaning: textField({ NEMA: 'Design letter', IEC: 'Design' }),
  /** Least torques the design guarantees, of rated. */
  lockedRotorTorqueMin: figure('fraction', 'Locked-rotor torque, min.', { symbol: { NEMA: 'LRT', IEC: 'T_A' } }),
  pullUpTorqueMin: figure('fraction', 'Pull-up torque, min.', { symbol: { NEMA: 'PUT', IEC: 'T_U' } }),
  breakdownTorqueMin: figure('fraction', 'Breakdown torque, min.', { symbol: { NEMA: 'BDT', IEC: 'T_B' } }),
  voltageZone: textField('Supply voltage deviation'),
  standardFrame: textField('Standard frame for this rating', { heading: 'Mounting, by its frame' }),
  shaftHeight: figure('length', 'Shaft height', {
    symbol: { NEMA: 'D', IEC: 'H' },
    sheet: 'Existing motor, from nameplate',
  }),
  frameSuffix: textField('Frame suffix'),
  feetAcross: figure('length', { NEMA: 'Mounting dimension 2E', IEC: 'Mounting dimension A' }),
  feetAlong: figure('length', { NEMA: 'Mounting dimension 2F', IEC: 'Mounting dimension B' }),
  shaftDiameter: figure('length', 'Shaft diameter', { symbol: { NEMA: 'U', IEC: 'D' } }),
  shaftLength: figure('length', 'Shaft extension', { symbol: { NEMA: 'N–W', IEC: 'E' } }),
  enclosureMeaning: textField('Enclosure', { heading: 'What its codes mean' }),
  dutyMeaning: textField('Duty type'),
  thermalLimit: figure('temperature', 'Thermal class limit'),
  hotSpot: figure('temperature', 'Hot-spot temperature at full load'),
  insulationLife: figure('time', 'Expected insulation life'),
  bearingDriveEnd: textField('Drive-end bearing', { sheet: 'Existing motor, from nameplate' }),
  bearingOppositeEnd: textField(
    { NEMA: 'Opposite-drive-end bearing', IEC: 'Non-drive-end bearing' },
    { sheet: 'Existing motor, from nameplate' },
  ),
  connection: textField('Winding connection'),
  starDelta: textField({ NEMA: 'Wye-delta starting', IEC: 'Star-delta starting' }),
  inverter: textField('Inverter duty'),
  classInItsYear: textField('Required class, year of manufacture'),
  classToday: textField('Required class, today'),
  otherFrequency: textField('Operation at the other frequency'),
  torqueOnSupply: figure('fraction', 'Available torque at system voltage'),
  recoveredFrame: textField('Frame, from measurement', {
    sheet: 'Existing motor, from nameplate',
    heading: 'Recovered by measuring',
  }),
  recoveredPoles: figure('count', 'Number of poles, from measurement', { sheet: 'Existing motor, from nameplate' }),
  recoveredPowerLeast: figure('power', 'Estimated rated power, min.', { sheet: 'Existing motor, from nameplate' }),
  recoveredPowerMost: figure('power', 'Estimated rated power, max.', { sheet: 'Existing motor, from nameplate' }),
};

export type NameplateValues = ValuesOf<typeof values>;
