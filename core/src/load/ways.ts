import type { Inputs } from '../inputs.ts';
import type { Job } from '../job.ts';
import type { Motor } from '../motor/typical.ts';
import { formatNumber } from '../quantity/format.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';

type Typed = Inputs['given']['load'];
type Name = keyof Typed;

/** What a way of finding the load is given. Speeds are SI and of the driven shaft unless said otherwise. */
export interface Setting {
  readonly job: Job;
  readonly typed: Typed;
  /** Speed of the driven shaft, where it is known. */
  readonly speed: Value | undefined;
  readonly motorSpeed: Value | undefined;
  readonly ratio: Value;
  readonly efficiency: Value;
  /** The running motor, for loads measured on it. */
  readonly motor: Motor | undefined;
  /** Share of full-load loss that does not change with load. */
  readonly fixedShare: number;
}

export interface Way {
  readonly asks: readonly (readonly [Name, string])[];
  /** Torque at the driven shaft; undefined while something is missing. */
  readonly torque: (setting: Setting) => Value | undefined;
  /** How far off the result may be, in words; empty for what was measured directly. */
  readonly error: string;
}

const GRAVITY = 9.806_65;
const WATER = 1000;
const MEASURED_ON_MOTOR =
  'US DOE fact sheet on motor load and efficiency (recalled from memory); loss model: ' + PRACTICE;

/** Torque from a power at the driven shaft. */
function fromPower(
  { job, speed }: Setting,
  watts: number | undefined,
  formula: string,
  from: Record<string, Value | undefined>,
  source: string,
): Value | undefined {
  if (watts === undefined || !speed || speed.value <= 0) return undefined;
  return quantity(watts / speed.value, 'torque', job.school, {
    formula: `T = \\dfrac{P}{\\omega},\\quad ${formula}`,
    from: { ...from, n: speed },
    source,
  });
}

/** Torque at the driven shaft from the shaft power of the running motor. */
function fromMotor(
  { job, motorSpeed, ratio, efficiency, motor }: Setting,
  share: number | undefined,
  formula: string,
  from: Record<string, Value | undefined>,
): Value | undefined {
  if (share === undefined || !motor || !motorSpeed || !Number.isFinite(share) || share <= 0) return undefined;
  const torque = ((share * motor.power) / motorSpeed.value) * ratio.value * efficiency.value;
  return quantity(torque, 'torque', job.school, {
    origin: 'estimated',
    formula: `T = \\dfrac{y\\,P_n}{\\omega_m}\\,i\\,\\eta_t,\\quad ${formula}`,
    from: { ...from, i: ratio, '\\eta_t': efficiency },
    source: MEASURED_ON_MOTOR,
    note: `The motor runs at ${formatNumber(share * 100)} % of its rated power.`,
  });
}

/** Load share at which the motor takes `input` W: input = y P + loss (f + (1 − f) y²), the positive root. */
export function shareAtInput(motor: Motor, input: number, fixedShare: number): number {
  const loss = motor.power / motor.efficiency - motor.power;
  const a = loss * (1 - fixedShare);
  const c = loss * fixedShare - input;
  return (-motor.power + Math.sqrt(motor.power ** 2 - 4 * a * c)) / (2 * a);
}

/** Every way to find the torque of the load, by the name it has in a job. */
export const ways: Readonly<Record<Job['load']['way'], Way>> = {
  torque: {
    asks: [['torque', 'Torque at the driven shaft, the base of size, start and energy']],
    torque: ({ typed }) => typed.torque,
    error: '',
  },
  force: {
    asks: [
      ['force', 'Force on the spring scale'],
      ['radius', 'Radius at which the force was measured'],
    ],
    torque: ({ job, typed: { force, radius } }) =>
      force &&
      radius &&
      quantity(force.value * radius.value, 'torque', job.school, {
        formula: 'T = F\\,r',
        from: { F: force, r: radius },
        source: 'definition',
      }),
    error: '',
  },
  'input power': {
    asks: [['inputPower', 'Power measured into the running motor']],
    torque: (setting) => {
      const { motor, typed, fixedShare } = setting;
      const { inputPower } = typed;
      const share = motor && inputPower && shareAtInput(motor, inputPower.value, fixedShare);
      return fromMotor(setting, share, 'P_{in} = y P_n + P_v\\,(f + (1-f)\\,y^2)', { 'P_{in}': inputPower });
    },
    error: 'within about 5 % of the load',
  },
  current: {
    asks: [['runningCurrent', 'Current measured on the running motor']],
    torque: (setting) => {
      const { motor, typed } = setting;
      const { runningCurrent, runningVoltage } = typed;
      const volts = motor && (runningVoltage ? runningVoltage.value / motor.voltage : 1);
      const share = motor && runningCurrent && volts && (runningCurrent.value / motor.current) * volts;
      return fromMotor(setting, share, 'y = \\dfrac{I}{I_n}\\cdot\\dfrac{V}{V_n}', {
        I: runningCurrent,
        V: runningVoltage,
      });
    },
    error: 'within about 10 %, and only above half load, since the magnetising current hides the rest',
  },
  slip: {
    asks: [['runningSpeed', 'Speed measured on the running motor']],
    torque: (setting) => {
      const { motor, typed } = setting;
      const { runningSpeed, runningVoltage } = typed;
      if (!motor || !runningSpeed) return undefined;
      const synchronous = (4 * Math.PI * motor.frequency) / motor.poles;
      const volts = runningVoltage ? runningVoltage.value / motor.voltage : 1;
      const share = ((synchronous - runningSpeed.value) / (synchronous - motor.speed)) * volts ** 2;
      return fromMotor(setting, share, 'y = \\dfrac{n_s - n}{n_s - n_n}\\left(\\dfrac{V}{V_n}\\right)^2', {
        n: runningSpeed,
        V: runningVoltage,
      });
    },
    error: 'within about 20 %: the speed on a plate may itself be a fifth of its slip off',
  },
  fan: {
    asks: [
      ['flow', 'Air flow'],
      ['pressure', 'Total pressure the fan makes'],
      ['machineEfficiency', 'Efficiency of the fan'],
    ],
    torque: (setting) => {
      const { flow, pressure, machineEfficiency } = setting.typed;
      const watts = flow && pressure && machineEfficiency && (flow.value * pressure.value) / machineEfficiency.value;
      return fromPower(
        setting,
        watts,
        'P = \\dfrac{Q\\,\\Delta p}{\\eta}',
        { Q: flow, '\\Delta p': pressure, '\\eta': machineEfficiency },
        'fan power, handbook formula',
      );
    },
    error: '',
  },
  pump: {
    asks: [
      ['flow', 'Flow of the pump'],
      ['head', 'Total head'],
      ['machineEfficiency', 'Efficiency of the pump'],
    ],
    torque: (setting) => {
      const { flow, head, machineEfficiency, density } = setting.typed;
      const watts =
        flow &&
        head &&
        machineEfficiency &&
        ((density?.value ?? WATER) * GRAVITY * flow.value * head.value) / machineEfficiency.value;
      return fromPower(
        setting,
        watts,
        'P = \\dfrac{\\rho g Q H}{\\eta}',
        { Q: flow, H: head, '\\eta': machineEfficiency, '\\rho': density },
        'pump power, handbook formula',
      );
    },
    error: '',
  },
  'displacement pump': {
    asks: [
      ['flow', 'Flow of the pump'],
      ['pressure', 'Pressure it works against'],
      ['machineEfficiency', 'Efficiency of the pump'],
    ],
    torque: (setting) => ways.fan.torque(setting),
    error: '',
  },
  conveyor: {
    asks: [
      ['movedMass', 'Mass on the belt and of the belt'],
      ['friction', 'Coefficient of friction'],
      ['linearSpeed', 'Speed of the belt'],
    ],
    torque: (setting) => {
      const { movedMass, friction, linearSpeed, incline } = setting.typed;
      const slope = incline?.value ?? 0;
      const force =
        movedMass && friction && movedMass.value * GRAVITY * (friction.value * Math.cos(slope) + Math.sin(slope));
      return fromPower(
        setting,
        force && linearSpeed && force * linearSpeed.value,
        'P = m g\\,(\\mu\\cos\\beta + \\sin\\beta)\\,v',
        { m: movedMass, '\\mu': friction, v: linearSpeed, '\\beta': incline },
        'conveyor power, handbook formula',
      );
    },
    error: '',
  },
  hoist: {
    asks: [
      ['movedMass', 'Mass lifted'],
      ['linearSpeed', 'Lifting speed'],
      ['machineEfficiency', 'Efficiency of drum and ropes'],
    ],
    torque: (setting) => {
      const { movedMass, linearSpeed, machineEfficiency } = setting.typed;
      const watts =
        movedMass &&
        linearSpeed &&
        machineEfficiency &&
        (movedMass.value * GRAVITY * linearSpeed.value) / machineEfficiency.value;
      return fromPower(
        setting,
        watts,
        'P = \\dfrac{m g v}{\\eta}',
        { m: movedMass, v: linearSpeed, '\\eta': machineEfficiency },
        'hoisting power, handbook formula',
      );
    },
    error: '',
  },
  mixer: {
    asks: [
      ['powerNumber', 'Power number of the impeller'],
      ['impeller', 'Diameter of the impeller'],
    ],
    torque: (setting) => {
      const { powerNumber, impeller, density } = setting.typed;
      const turns = setting.speed && setting.speed.value / (2 * Math.PI);
      const watts =
        powerNumber &&
        impeller &&
        turns &&
        powerNumber.value * (density?.value ?? WATER) * turns ** 3 * impeller.value ** 5;
      return fromPower(
        setting,
        watts,
        'P = N_p\\,\\rho\\,n^3 D^5',
        { N_p: powerNumber, D: impeller, '\\rho': density },
        'mixer power, handbook formula, turbulent flow',
      );
    },
    error: '',
  },
};

/** The field a missing load is asked for at: the first that its way of knowing needs. */
export const loadField = (job: Job): string => `load.${ways[job.load.way].asks[0]?.[0] ?? 'torque'}`;

/** Ways that measure on the motor that runs; they need its plate. */
export const onMotor = (way: Job['load']['way']): boolean => ['input power', 'current', 'slip'].includes(way);
