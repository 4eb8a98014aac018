import { figure, phrase, type ValuesOf } from '../declared-value.ts';

/** What is said of the starter; published under `starter.`. */
export const starterValues = {
  architecture: phrase('Built of', { sheet: 'Settings and wiring' }),
  coordination: phrase('Coordination wanted', { sheet: 'Settings and wiring' }),
  /** Of the contactor that carries the most. */
  contactorCurrent: figure('current', 'Contactor, at least', { sheet: 'Settings and wiring' }),
  /** Of the contactor by NEMA ICS 2, by its current and its horsepower at the voltage. */
  nemaSize: phrase('Its NEMA size', { sheet: 'Settings and wiring' }),
  relayDial: figure('current', 'Its relay set to', { unseen: true }),
  /** Of the relay that guards the lower of two speeds. */
  lowDial: figure('current', 'Relay of the lower speed set to', { sheet: 'Settings and wiring' }),
  tripClass: phrase('Its relay', { unseen: true }),
  controlVoltage: phrase('Coils fed by', { sheet: 'Settings and wiring' }),
  /** Of its rated voltage, fed from the bus that the start pulls down. */
  coilVoltage: figure('fraction', 'Left at the coil while it starts', { sheet: 'Settings and wiring' }),
  /** What the control transformer gives while the largest coil pulls in. */
  controlPower: figure('apparentPower', 'Control transformer gives at once', { sheet: 'Settings and wiring' }),
  /** A lead so long holds the coil in by its capacitance after the button opens. */
  controlLeadMax: figure('altitude', 'Lead to its buttons, at most', { sheet: 'Settings and wiring' }),
  /** What an autotransformer passes on while the motor starts. */
  transformerPower: figure('apparentPower', 'Autotransformer passes while it starts', { sheet: 'Settings and wiring' }),
  contactLife: figure('count', 'Contacts last, operations', { sheet: 'Settings and wiring' }),
  /** Rated current of the soft starter for its limit and time. */
  softStarterCurrent: figure('current', 'Soft starter, at least', { sheet: 'Settings and wiring' }),
};

export type StarterValues = ValuesOf<typeof starterValues>;
