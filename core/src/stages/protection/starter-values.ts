import { figure, textField, type ValuesOf } from '../declared-value.ts';

/** What is said of the starter; published under `starter.`. */
export const starterValues = {
  architecture: textField('Starter configuration', { sheet: 'Protection and wiring' }),
  coordination: textField('Coordination type required', { sheet: 'Protection and wiring' }),
  /** Of the contactor that carries the most. */
  contactorCurrent: figure('current', 'Contactor rated current, min.', {
    symbol: { NEMA: '', IEC: 'Ie' },
    sheet: 'Protection and wiring',
  }),
  /** Of the contactor by NEMA ICS 2, by its current and its horsepower at the voltage. */
  nemaSize: textField('NEMA contactor size', { sheet: 'Protection and wiring' }),
  relayDial: figure('current', 'Starter overload relay setting', { unseen: true }),
  /** Of the relay that guards the lower of two speeds. */
  lowDial: figure('current', 'Overload relay setting, low speed', { sheet: 'Protection and wiring' }),
  tripClass: textField('Starter overload trip class', { unseen: true }),
  controlVoltage: textField('Control voltage', { symbol: 'Uc', sheet: 'Protection and wiring' }),
  /** Of its rated voltage, fed from the bus that the start pulls down. */
  coilVoltage: figure('fraction', 'Coil voltage during starting', { sheet: 'Protection and wiring' }),
  /** What the control transformer gives while the largest coil pulls in. */
  controlPower: figure('apparentPower', 'Control transformer inrush VA', { sheet: 'Protection and wiring' }),
  /** A lead so long holds the coil in by its capacitance after the button opens. */
  controlLeadMax: figure('altitude', 'Maximum control cable length', { sheet: 'Protection and wiring' }),
  /** What an autotransformer passes on while the motor starts. */
  transformerPower: figure('apparentPower', 'Autotransformer starting power', { sheet: 'Protection and wiring' }),
  contactLife: figure('count', 'Electrical life, operations', { sheet: 'Protection and wiring' }),
  /** Rated current of the soft starter for its limit and time. */
  softStarterCurrent: figure('current', 'Soft starter rated current, min.', { sheet: 'Protection and wiring' }),
};

export type StarterValues = ValuesOf<typeof starterValues>;
