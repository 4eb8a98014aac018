import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  ambient: figure('temperature', 'Ambient', { always: true }),
  altitude: figure('altitude', 'Altitude', { always: true }),
  motorEnclosure: phrase('Motor enclosure', { always: true, sheet: 'Selection' }),
  frameMaterial: phrase('Frame material', { always: true, sheet: 'Selection' }),
  heater: phrase('Heating', { sheet: 'Selection' }),
  /** Share of rated power the motor may give here. */
  motorDerate: figure('fraction', 'Motor power usable here', { always: true, sheet: 'Load and size' }),
  driveHousing: phrase('Drive housing', { always: true, sheet: 'Selection' }),
  /** Share of its current a usual drive may give here. */
  driveDerate: figure('fraction', 'Current left to a drive', { always: true }),
  cabinetLosses: figure('power', 'Heat in the cabinet'),
  cabinetWalls: figure('power', 'Carried by its walls'),
  cabinetInside: figure('temperature', 'Inside without a fan'),
  cabinetAir: figure('flow', 'Air needed'),
  /** Months between filter changes. */
  filterInterval: figure('count', 'Change its filter, months'),
};

export type PlaceValues = ValuesOf<typeof values>;
