import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What this stage works out, in the order it is shown. */
export const values = {
  requiredPower: figure('power', 'Required rating', { sheet: 'Load and rating' }),
  motor: textField('Motor', { sheet: 'Selection' }),
  motorCurrent: figure(
    'current',
    { NEMA: 'Motor full-load current', IEC: 'Motor rated current' },
    { symbol: { NEMA: 'FLA', IEC: 'Iₙ' }, sheet: 'Protection and wiring' },
  ),
  motorLoad: figure('fraction', 'Motor load factor', { sheet: 'Load and rating' }),
  drive: textField('Drive', { sheet: 'Selection' }),
  driveCurrent: figure('current', 'Drive output current, derated', { sheet: 'Protection and wiring' }),
  driveUsed: figure('fraction', 'Drive utilization'),
  starter: textField('Starter', { sheet: 'Selection' }),
};

export type PickValues = ValuesOf<typeof values>;
