import { amount, say, type Text } from '../../kernel/text.ts';
import type { StarterPart } from '../../catalogue/catalogue.ts';
import type { Method } from '../starting/starting-mode.ts';
import type { MotorBreaker } from './motor-breaker.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';

export interface StarterNeed {
  readonly school: StandardsSystem;
  readonly method: Exclude<Method, 'drive'>;
  /** The motor’s nameplate current at the connected voltage, A. */
  readonly current: number;
  /** What its overload relay is set to, A of line current. */
  readonly dial: number;
  /** Of the system, V. */
  readonly voltage: number;
  /** What is overload relay and short-circuit device in one, where that guards the motor. */
  readonly breaker?: MotorBreaker | undefined;
  /** It is jogged or plugged: contactors break locked-rotor current. */
  readonly ac4?: boolean;
  readonly reversing?: boolean;
}

export interface ChosenPart {
  readonly role: string;
  readonly part: StarterPart;
  /** Current this part carries, A. */
  readonly carries: number;
}

export interface Starter {
  readonly parts: readonly ChosenPart[];
  readonly price: number;
  readonly lacking: readonly Text[];
}

interface Role {
  readonly role: string;
  readonly kind: StarterPart['kind'];
  /** Share of line current. */
  readonly share: number;
}

/** Current shares of star-delta: line and delta contactor 1/√3, star contactor 1/3; the relay sits in the phase. */
const roles: Readonly<Record<StarterNeed['method'], readonly Role[]>> = {
  direct: [
    { role: 'Contactor, AC-3', kind: 'contactor', share: 1 },
    { role: 'Overload relay', kind: 'overload relay', share: 1 },
  ],
  'star-delta': [
    { role: 'Line contactor, AC-3', kind: 'contactor', share: 1 / Math.sqrt(3) },
    { role: 'Delta contactor, AC-3', kind: 'contactor', share: 1 / Math.sqrt(3) },
    { role: 'Star contactor, AC-3', kind: 'contactor', share: 1 / 3 },
    { role: 'Overload relay in the phase', kind: 'overload relay', share: 1 / Math.sqrt(3) },
  ],
  autotransformer: [
    { role: 'Autotransformer with taps', kind: 'autotransformer', share: 1 },
    { role: 'Line contactor, AC-3', kind: 'contactor', share: 1 },
    { role: 'Tap contactor, AC-3', kind: 'contactor', share: 1 },
    { role: 'Star-point contactor, AC-3', kind: 'contactor', share: 0.5 },
    { role: 'Overload relay', kind: 'overload relay', share: 1 },
  ],
  'soft starter': [
    { role: 'Soft starter', kind: 'soft starter', share: 1 },
    { role: 'Isolating contactor', kind: 'contactor', share: 1 },
    { role: 'Bypass contactor for running', kind: 'contactor', share: 1 },
    { role: 'Overload relay', kind: 'overload relay', share: 1 },
  ],
};

const BREAKER: Role = { role: 'Motor-protective breaker', kind: 'motor breaker', share: 1 };
const REVERSE: Role = { role: 'Reversing contactor, interlocked', kind: 'contactor', share: 1 };

/** AC-4 asks for about twice the AC-3 current. Common practice, no published source. */
const AC4 = 2;

const fits = (part: StarterPart, role: Role, carries: number, voltage: number): boolean =>
  part.kind === role.kind &&
  part.voltageMax >= voltage &&
  carries <= part.currentMax &&
  (part.kind !== 'overload relay' || carries >= part.currentMin);

const cheapest = (items: readonly StarterPart[], role: Role, carries: number, voltage: number) =>
  items.filter((each) => fits(each, role, carries, voltage)).toSorted((a, b) => a.price - b.price)[0];

/** Which parts the way of starting asks for; a breaker that guards the motor stands for its relay. */
function rolesOf({ method, breaker, reversing }: StarterNeed): readonly Role[] {
  const own = roles[method].map((each) => (breaker && each.kind === 'overload relay' ? BREAKER : each));
  return reversing ? [...own, REVERSE] : own;
}

/** The cheapest part for each role: contactors at or above the current, the relay with its dial inside its range. */
export function buildStarter(items: readonly StarterPart[], requirement: StarterNeed): Starter {
  const parts: ChosenPart[] = [];
  const lacking: Text[] = [];
  for (const role of rolesOf(requirement)) {
    const heavy = role.kind === 'contactor' && requirement.ac4 === true ? AC4 : 1;
    const carries = (role.kind === 'overload relay' ? requirement.dial : requirement.current * heavy) * role.share;
    const part = role === BREAKER ? requirement.breaker?.part : cheapest(items, role, carries, requirement.voltage);
    if (part) parts.push({ role: role.role, part, carries });
    else lacking.push(say`${role.role} for ${amount(carries, 'current')}`);
  }
  return { parts, price: parts.reduce((sum, each) => sum + each.part.price, 0), lacking };
}
