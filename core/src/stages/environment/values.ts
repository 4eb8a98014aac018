import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  ambient: figure('temperature', 'Ambient temperature', { always: true }),
  altitude: figure('altitude', 'Altitude', { always: true }),
  motorEnclosure: textField('Motor enclosure', { always: true, sheet: 'Selection' }),
  frameMaterial: textField('Frame material', { always: true, sheet: 'Selection' }),
  heater: textField({ NEMA: 'Space heater', IEC: 'Anti-condensation heater' }, { sheet: 'Selection' }),
  /** Share of rated power the motor may give here. */
  motorDerate: figure('fraction', 'Motor derating factor', { always: true, sheet: 'Load and rating' }),
  driveHousing: textField('Drive enclosure', { always: true, sheet: 'Selection' }),
  /** Share of its current a usual drive may give here. */
  driveDerate: figure('fraction', 'Drive derating factor', { always: true }),
  cabinetLosses: figure('power', 'Cabinet heat load'),
  cabinetWalls: figure('power', 'Heat dissipated through walls'),
  cabinetInside: figure('temperature', 'Internal temperature, unventilated'),
  cabinetAir: figure('flow', 'Required airflow'),
  /** Months between filter changes. */
  filterInterval: figure('count', 'Filter change interval, months'),
};

export type PlaceValues = ValuesOf<typeof values>;
