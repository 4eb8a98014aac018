import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  requiredPower: figure('power', 'Size to buy', { sheet: 'Load and size' }),
  motor: phrase('Motor', { sheet: 'Selection' }),
  motorCurrent: figure('current', 'Motor current', { sheet: 'Settings and wiring' }),
  motorLoad: figure('fraction', 'Load on the motor', { sheet: 'Load and size' }),
  drive: phrase('Drive', { sheet: 'Selection' }),
  driveCurrent: figure('current', 'Drive current here', { sheet: 'Settings and wiring' }),
  driveUsed: figure('fraction', 'Drive current used'),
  starter: phrase('Starter', { sheet: 'Selection' }),
};

export type PickValues = ValuesOf<typeof values>;
