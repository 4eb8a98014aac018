import { benchMotors } from './bench-motor.ts';
import { RIG_POWER } from './rig.ts';

/** What is set in the drive that is practised on; Hz, V, A, s, and shares of 1. */
export interface PracticeSetting {
  readonly baseFrequency: number;
  readonly baseVoltage: number;
  /** What its overload takes for the motor’s. */
  readonly motorCurrent: number;
  readonly mostFrequency: number;
  readonly rampUp: number;
  readonly rampDown: number;
  /** Of the base voltage, added at standstill. */
  readonly boost: number;
  /** Hz that 4 and 20 mA mean. */
  readonly signalLow: number;
  readonly signalHigh: number;
}
export type SettingName = keyof PracticeSetting;

/** Between which figures each can be set. */
export const practiceRange: Readonly<Record<SettingName, readonly [low: number, high: number]>> = {
  baseFrequency: [10, 200],
  baseVoltage: [50, 690],
  motorCurrent: [1, 30],
  mostFrequency: [5, 200],
  rampUp: [0.1, 300],
  rampDown: [0.1, 300],
  boost: [0, 0.3],
  signalLow: [0, 200],
  signalHigh: [0, 200],
};

/** As it leaves its box: for another frequency, voltage and motor than the plate says. Invented. */
export const fromTheBox: PracticeSetting = {
  baseFrequency: 50,
  baseVoltage: 400,
  motorCurrent: 16,
  mostFrequency: 50,
  rampUp: 1,
  rampDown: 1,
  boost: 0.12,
  signalLow: 0,
  signalHigh: 50,
};

/** What a hand does at it. */
export interface PracticeHand {
  readonly run: boolean;
  /** mA of the speed signal. */
  readonly signal: number;
  readonly reset: boolean;
}
export const atRest: PracticeHand = { run: false, signal: 4, reset: false };

export const trips = [
  'none',
  'over-current',
  'over-voltage',
  'motor overload',
  'signal lost',
  'winding burnt',
] as const;
export type Trip = (typeof trips)[number];

/** Drive, motor and fan at one instant. */
export interface PracticeState {
  /** Hz and V at its output. */
  readonly frequency: number;
  readonly voltage: number;
  /** rad/s */
  readonly speed: number;
  /** Of rated. */
  readonly flux: number;
  /** A */
  readonly current: number;
  /** V of the dc link. */
  readonly link: number;
  /** °C */
  readonly winding: number;
  /** Of what the overload takes before it trips. */
  readonly overload: number;
  readonly trip: Trip;
}

const { plate } = benchMotors.fitting;
export const practicePlate = plate;
const RATED_SPEED = (plate.rpm * Math.PI) / 30;
const RATED_TORQUE = plate.power / RATED_SPEED;
/** Hz between field and rotor at rated torque and at breakdown. */
const SLIP = plate.hertz - (plate.rpm * plate.poles) / 120;
const PULL_OUT = SLIP * (plate.breakdownTorque + Math.sqrt(plate.breakdownTorque ** 2 - 1));
/** Of rated current, that makes the flux; the rest makes torque. */
const MAGNETISING = Math.sqrt(1 - plate.powerFactor ** 2) * 0.9;
const ACTIVE = Math.sqrt(1 - MAGNETISING ** 2);
/** kg·m²; a fan wheel of this size. Invented. */
const INERTIA = 0.4;
/** V of the line, and of its dc link at rest and where it trips. */
const LINE = 480;
const LINK = Math.SQRT2 * LINE;
const LINK_TRIP = 800;
/** F */
const CAPACITY = 0.0007;
/** Of its rated torque, that motor and drive turn into heat. Common practice, no published source. */
const OWN_LOSS = 0.15;
/** A at which its transistors save themselves. */
const CURRENT_TRIP = 2.2 * plate.amperes;
/** The overload trips at so much of the current it was told, for good. */
const OVERLOAD = 1.15;
const AMBIENT = 40;
const RISE = 80;
const BURNT = 200;
/** s; some fifty times as quick as a real motor, so that nobody waits. */
const WARMS = 30;
const OVERLOAD_TIME = 25;
/** mA below which a signal of 4 to 20 mA counts as lost. Common practice. */
const LOST = 3.6;
/** Share of flux from which iron saturates, and how steeply. */
const SATURATES = 1.05;
const STEEP = 3;
/** Of rated voltage at rated current, lost in the stator winding; and Hz below which no flux is reckoned. */
const STATOR = 0.026;
const SLOWEST = 2;

export const practiceStart: PracticeState = {
  frequency: 0,
  voltage: 0,
  speed: 0,
  flux: 0,
  current: 0,
  link: LINK,
  winding: AMBIENT,
  overload: 0,
  trip: 'none',
};

/** Hz that a signal, mA, asks for: f = f_lo + (I − 4)/16·(f_hi − f_lo), within what may be. */
export const frequencyOf = (signal: number, { signalLow, signalHigh, mostFrequency }: PracticeSetting): number =>
  Math.min(mostFrequency, Math.max(0, signalLow + ((signal - 4) / 16) * (signalHigh - signalLow)));

const toward = (from: number, to: number, step: number): number =>
  from < to ? Math.min(to, from + step) : Math.max(to, from - step);

/** V at the output: in proportion to the base frequency, boosted from standstill, never above the line. */
export function outputVoltage(frequency: number, { baseFrequency, baseVoltage, boost }: PracticeSetting): number {
  if (frequency <= 0) return 0;
  const lifted = boost * Math.max(0, 1 - frequency / (0.4 * baseFrequency));
  return Math.min(LINE, baseVoltage * (Math.min(1, frequency / baseFrequency) + lifted));
}

/** The next instant, `time` s on; a few milliseconds at a time. */
export function practiceStep(
  state: PracticeState,
  setting: PracticeSetting,
  hand: PracticeHand,
  time: number,
): PracticeState {
  const load = (RIG_POWER / RATED_SPEED) * (state.speed / RATED_SPEED) ** 2;
  const trip = hand.reset && !hand.run && state.trip !== 'winding burnt' ? 'none' : state.trip;
  const lost = hand.run && hand.signal < LOST && trip === 'none';
  const tripped = trip !== 'none' || lost;
  const target = hand.run && !tripped ? frequencyOf(hand.signal, setting) : 0;
  const slope = setting.mostFrequency / (target > state.frequency ? setting.rampUp : setting.rampDown);
  const frequency = tripped ? 0 : toward(state.frequency, target, slope * time);
  const voltage = outputVoltage(frequency, setting);
  const on = frequency > 0;
  const flux = on ? fluxAt(voltage, frequency) : 0;
  const slip = on ? frequency - (state.speed * plate.poles) / (4 * Math.PI) : 0;
  const torque =
    slip === 0 ? 0 : (2 * plate.breakdownTorque * RATED_TORQUE * flux ** 2) / (slip / PULL_OUT + PULL_OUT / slip);
  const current = on ? currentAt(flux, slip, voltage) : 0;
  const speed = Math.max(0, state.speed + ((torque - load) / INERTIA) * time);
  const back = -torque * state.speed - OWN_LOSS * RATED_TORQUE * state.speed;
  const link = Math.sqrt(Math.max(LINK ** 2, state.link ** 2 + (2 * (on ? back : -1000) * time) / CAPACITY));
  const cooled = 0.4 + 0.6 * Math.min(1, speed / RATED_SPEED);
  const warm = AMBIENT + (RISE * (current / plate.amperes) ** 2) / cooled;
  const winding = state.winding + ((warm - state.winding) * time) / WARMS;
  const asked = (current / setting.motorCurrent / OVERLOAD) ** 2;
  const overload = hand.reset ? 0 : state.overload + ((asked - state.overload) * time) / OVERLOAD_TIME;
  const found: Trip = lost
    ? 'signal lost'
    : trip !== 'none'
      ? trip
      : winding > BURNT
        ? 'winding burnt'
        : current > CURRENT_TRIP
          ? 'over-current'
          : link > LINK_TRIP
            ? 'over-voltage'
            : overload > 1
              ? 'motor overload'
              : 'none';
  return {
    frequency,
    voltage,
    speed,
    flux,
    current,
    link: Math.min(link, LINK_TRIP + 20),
    winding,
    overload,
    trip: found,
  };
}

/** Of rated: volts per hertz behind what the stator winding loses of its magnetising current. */
const fluxAt = (voltage: number, frequency: number): number =>
  Math.max(0, voltage - STATOR * MAGNETISING * plate.volts) /
  Math.max(frequency, SLOWEST) /
  ((plate.volts * (1 - STATOR * MAGNETISING)) / plate.hertz);

/** A: what makes the flux, more and more of it as the iron saturates until the winding bounds it, and what makes torque. */
function currentAt(flux: number, slip: number, voltage: number): number {
  const iron = MAGNETISING * (flux + STEEP * Math.max(0, flux - SATURATES) ** 2);
  const magnetising = Math.min(iron, voltage / (STATOR * plate.volts));
  const active = (ACTIVE * flux * (slip / SLIP)) / Math.hypot(1, slip / PULL_OUT);
  return plate.amperes * Math.hypot(magnetising, active);
}

/** The same over a longer time. */
export function practiceRun(
  state: PracticeState,
  setting: PracticeSetting,
  hand: PracticeHand,
  seconds: number,
): PracticeState {
  const steps = Math.max(1, Math.ceil(seconds / 0.005));
  let now = state;
  for (let step = 0; step < steps; step++) now = practiceStep(now, setting, hand, seconds / steps);
  return now;
}
