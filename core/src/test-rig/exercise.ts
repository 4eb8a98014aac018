import {
  practicePlate as plate,
  practiceRange,
  type PracticeSetting,
  type PracticeState,
  type Trip,
} from './practice.ts';

/** Flow that the exercise asks for, and how near counts. */
const WANTED = 0.8;
const NEAR = 0.015;
/** s that it must be held. */
export const HELD = 5;

/** One thing an exercise asks: what it is, whether it is done, and what a wrong one does. */
export interface Task {
  readonly id: string;
  readonly asks: string;
  readonly done: boolean;
  /** Why it matters, shown while it is not done. */
  readonly why: string;
}

/** What was seen of the machine so far. */
export interface Seen {
  /** s at the wanted flow, its flux right and its current within the plate, without a trip. */
  readonly held: number;
  /** Came to rest from there by its ramp. */
  readonly stopped: boolean;
  readonly trips: number;
}
export const nothingSeen: Seen = { held: 0, stopped: false, trips: 0 };

const flowOf = ({ speed }: PracticeState): number => speed / ((plate.rpm * Math.PI) / 30);
const isRight = ({ flux, current, trip, ...state }: PracticeState): boolean =>
  trip === 'none' &&
  Math.abs(flowOf({ flux, current, trip, ...state }) - WANTED) <= NEAR &&
  Math.abs(flux - 1) <= 0.05 &&
  current <= plate.amperes * 1.01;

/** What is seen after another look, `seconds` after the last. */
export function seenAfter(seen: Seen, before: PracticeState, now: PracticeState, seconds: number): Seen {
  const tripped = now.trip !== 'none' && before.trip === 'none';
  return {
    held: Math.min(HELD, isRight(now) ? seen.held + seconds : seen.held < HELD ? 0 : seen.held),
    stopped: seen.stopped || (seen.held >= HELD && now.trip === 'none' && now.frequency === 0 && flowOf(now) < 0.05),
    trips: seen.trips + (tripped ? 1 : 0),
  };
}

const within = (value: number, wanted: number, share: number): boolean => Math.abs(value / wanted - 1) <= share;

/** From the plate to a running fan: what is asked, in the order in which it is set. */
export function tasksOf(setting: PracticeSetting, { held, stopped }: Seen): Task[] {
  return [
    {
      id: 'base',
      asks: 'Base frequency and voltage as on the plate',
      done: within(setting.baseFrequency, plate.hertz, 0.005) && within(setting.baseVoltage, plate.volts, 0.01),
      why: 'Volts per hertz make the flux: too many saturate the iron, too few leave no torque.',
    },
    {
      id: 'amperes',
      asks: 'Motor current as on the plate, no service factor',
      done: within(setting.motorCurrent, plate.amperes, 0.02),
      why: 'The overload of the drive is all that guards the winding: set too high it lets it burn, too low it trips for nothing.',
    },
    {
      id: 'most',
      asks: `Highest frequency ${plate.hertz} Hz`,
      done: within(setting.mostFrequency, plate.hertz, 0.005),
      why: 'Lower, the fan never brings its flow; higher, the power of a fan goes with the cube of its speed.',
    },
    {
      id: 'signal',
      asks: `4 mA mean 0 Hz and 20 mA mean ${plate.hertz} Hz`,
      done: setting.signalLow <= 0.05 && within(setting.signalHigh, plate.hertz, 0.005),
      why: 'Otherwise the controller asks for one speed and gets another.',
    },
    {
      id: 'boost',
      asks: 'Boost of at most 3 %: a fan turns away lightly',
      done: setting.boost <= 0.03 + 1e-9,
      why: 'Boost saturates the iron at low speed, where the fan on the shaft cools least.',
    },
    {
      id: 'ramps',
      asks: 'Ramps that the masses bear: up in 5 s or more, down in 15 s or more',
      done: setting.rampUp >= 5 && setting.rampDown >= 15,
      why: 'Up too quickly it trips on current; down too quickly the wheel drives the motor, and the dc link trips on voltage.',
    },
    {
      id: 'run',
      asks: `Hold ${WANTED * 100} % of the flow for ${HELD} s by the signal`,
      done: held >= HELD,
      why: `${Math.round(WANTED * plate.rpm)} r/min, give or take ${Math.round(NEAR * plate.rpm)}, with the flux right and the current within the plate.`,
    },
    { id: 'stop', asks: 'Stop it by its ramp, without a trip', done: stopped, why: 'The run before it counts first.' },
  ];
}

/** What is to be seen just now, in words; the gravest first. */
export function explain(state: PracticeState, setting: PracticeSetting): string[] {
  const said: string[] = [];
  if (state.trip !== 'none') said.push(tripWords[state.trip]);
  if (state.frequency > 0) {
    const percent = Math.round(state.flux * 100);
    if (state.flux > 1.08) {
      const low = state.frequency < 0.4 * setting.baseFrequency && setting.boost > 0.03;
      said.push(
        low
          ? `The boost lifts the flux to ${percent} %: at low speed the iron saturates and the current makes heat, no torque.`
          : `The flux is ${percent} %: so many volts per hertz saturate the iron, and the current makes heat, no torque.`,
      );
    } else if (state.flux < 0.92)
      said.push(
        `The flux is ${percent} %: with so few volts per hertz the same torque takes more slip and more current.`,
      );
    if (state.current > plate.amperes * 1.02)
      said.push(`The motor takes ${state.current.toFixed(1)} A; its plate allows ${plate.amperes} A.`);
  }
  if (state.winding > 155) said.push(`The winding is at ${Math.round(state.winding)} °C; class F bears 155 °C.`);
  if (setting.motorCurrent > plate.amperes * 1.1)
    said.push('The overload was told a larger motor: it does not guard this one.');
  return said;
}

const tripWords: Readonly<Record<Exclude<Trip, 'none'>, string>> = {
  'over-current':
    'Tripped on current: the ramp asks for more torque than the drive has current for, or the flux is far off.',
  'over-voltage':
    'Tripped on voltage: the wheel drives the motor while it slows, and its energy lifts the dc link. A longer ramp down, or a brake resistor.',
  'motor overload': 'Tripped on motor overload: more than 115 % of the current it was told, for too long.',
  'signal lost': 'Tripped because the signal is below 3.6 mA: a broken wire looks like that.',
  'winding burnt': 'The winding has burnt. Nothing guarded it: start again with a new motor.',
};

/** What is set, held within what can be. */
export const settable = (setting: PracticeSetting): PracticeSetting =>
  Object.fromEntries(
    Object.entries(practiceRange).map(([name, [low, high]]) => [
      name,
      Math.min(high, Math.max(low, setting[name as keyof PracticeSetting])),
    ]),
  ) as unknown as PracticeSetting;
