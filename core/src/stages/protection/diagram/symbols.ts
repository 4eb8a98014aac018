import type { StandardsSystem } from '../../../kernel/quantity/units.ts';

/** Of every symbol between its two ends: from (0, 0) down to (0, LENGTH); what moves it stands at its left (IEC) or right (NEMA). */
export const LENGTH = 40;

export type Symbol =
  | 'isolator'
  | 'breaker'
  | 'fuse'
  | 'contactor'
  | 'release'
  | 'thyristors'
  | 'winding'
  | 'make'
  | 'break'
  | 'late make'
  | 'late break'
  | 'tripped make'
  | 'tripped break'
  | 'push make'
  | 'push break'
  | 'emergency stop'
  | 'coil'
  | 'timer'
  | 'lamp'
  | 'transformer';

const OPEN = 'M0 0V12M0 28L-9 12M0 28V40';
const CLOSED = 'M0 0V12H7M0 28L7 9M0 28V40';
const IEC_COIL = 'M0 0V14M-11 14h22v12h-22zM0 26V40';
const HALF_TURN = 'a4 4 0 0 1 0 8';
const PAIR = 'M0 0V10M-7 14V10H7V14M-11 14h8l-4 11zM-11 25h8M3 25h8l-4-11zM3 14h8M-7 25V30H7V25M0 30V40';
/** Two windings beside each other, their ends at x 0 above and below. */
const WINDINGS = `M-16 0V4${HALF_TURN.repeat(4)}V40M16 0V4a4 4 0 0 0 0 8a4 4 0 0 0 0 8a4 4 0 0 0 0 8a4 4 0 0 0 0 8V40`;

/** IEC 60617 (from memory): a contact is a blade that hangs at its lower end; what it does stands at its tip. */
const iec: Readonly<Record<Symbol, string>> = {
  isolator: `${OPEN}M-5 12h10`,
  breaker: `${OPEN}M-4 8l8 8M4 8l-8 8`,
  fuse: 'M0 0V40M-5 9h10v22h-10z',
  contactor: `${OPEN}M0 12a3.5 3.5 0 0 1 0-7`,
  release: 'M0 0V12h-6v16h6V40',
  thyristors: PAIR,
  winding: `M0 0V4${HALF_TURN.repeat(4)}V40`,
  make: OPEN,
  break: CLOSED,
  'late make': `${OPEN}M-5 19h-7M-4 22h-8M-12 14a7 7 0 0 0 0 13`,
  'late break': `${CLOSED}M3 19h-12M2 22h-11M-9 14a7 7 0 0 0 0 13`,
  'tripped make': `${OPEN}M-5 20h-4v-4h-4v8`,
  'tripped break': `${CLOSED}M3 20h-9v-4h-4v8`,
  'push make': `${OPEN}M-5 20h-3M-10 20h-3M-16 15h3v10h-3`,
  'push break': `${CLOSED}M3 20h-4M-4 20h-3M-9 20h-4M-16 15h3v10h-3`,
  'emergency stop': `${CLOSED}M3 20h-4M-4 20h-3M-9 20h-3M-12 13v14a7 7 0 0 1 0-14`,
  coil: IEC_COIL,
  timer: `${IEC_COIL}M-11 14h-7v12h7M-18 14l7 12M-18 26l7-12`,
  lamp: 'M0 0V12M0 28V40M-8 20a8 8 0 1 1 16 0a8 8 0 1 1-16 0M-5.7 14.3l11.4 11.4M5.7 14.3l-11.4 11.4',
  transformer: WINDINGS,
};

const POINTS = 'M0 0V11M-2 13a2 2 0 1 1 4 0a2 2 0 1 1-4 0M-2 27a2 2 0 1 1 4 0a2 2 0 1 1-4 0M0 29V40';
const BARS = 'M0 0V16M-8 16H8M-8 24H8M0 24V40';
const NEMA_COIL = 'M0 0V9M-11 20a11 11 0 1 1 22 0a11 11 0 1 1-22 0M0 31V40';

/** As drawn in North America (IEEE 315, NEMA ICS 19; from memory): a contact is two bars, struck through where it is closed at rest. */
const nema: Readonly<Record<Symbol, string>> = {
  isolator: 'M0 0V11M-2 13a2 2 0 1 1 4 0a2 2 0 1 1-4 0M0 28L-9 13M0 28V40',
  breaker: 'M0 0V11M0 29V40M3 11a13 13 0 0 1 0 18',
  fuse: 'M0 0V8a6 6 0 0 1 0 12a6 6 0 0 0 0 12V40',
  contactor: BARS,
  release: 'M0 0V9a5 5 0 0 1 0 10M0 40V31a5 5 0 0 1 0-10',
  thyristors: PAIR,
  winding: `M0 0V4${HALF_TURN.repeat(4)}V40`,
  make: BARS,
  break: `${BARS}M-8 29L8 11`,
  'late make': `${POINTS}M0 29L10 13M6 19v14M3 30l3 4l3-4`,
  'late break': `${POINTS}M0 27L4 11M2 19H12M9 16l4 3l-4 3`,
  'tripped make': BARS,
  'tripped break': `${BARS}M-8 29L8 11`,
  'push make': `${POINTS}M7 11V29M7 20H15`,
  'push break': `${POINTS}M-2 11V29M-2 20H13`,
  'emergency stop': `${POINTS}M-2 11V29M-2 20H11M11 13a8 8 0 0 1 0 14z`,
  coil: NEMA_COIL,
  timer: NEMA_COIL,
  lamp: 'M0 0V12M0 28V40M-8 20a8 8 0 1 1 16 0a8 8 0 1 1-16 0M-6 14l-4-4M6 14l4-4M-6 26l-4 4M6 26l4 4',
  transformer: `${WINDINGS}M-3 4V36M3 4V36`,
};

export const symbols: Readonly<Record<StandardsSystem, typeof iec>> = { IEC: iec, NEMA: nema };
