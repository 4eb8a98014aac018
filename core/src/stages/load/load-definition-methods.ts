import { figures, say } from '../../kernel/text.ts';
import { GRAVITY } from '../../kernel/constants.ts';
import type { Inputs } from '../../job/inputs.ts';
import type { Job } from '../../job/job.ts';
import type { Duty } from './duty.ts';
import { interpolate } from '../../kernel/numeric.ts';
import type { Motor } from '../../motor/typical.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

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
  /** Torque at the driven shaft, where a torque was typed there or inside the train. */
  readonly typedTorque: Value | undefined;
  /** Torque at the driven shaft by the duty cycle, where one is typed. */
  readonly duty: Duty | undefined;
  /** Torque–speed table of the driven machine, as typed. */
  readonly curve: readonly { readonly speed: Value; readonly torque: Value }[];
}

export interface Way {
  readonly asks: readonly (readonly [Name, string])[];
  /** Torque at the driven shaft; undefined while something is missing. */
  readonly torque: (setting: Setting) => Value | undefined;
  /** How far off the result may be, in words; empty for what was measured directly. */
  readonly error: string;
}

const WATER = 1000;
const ATMOSPHERE = 101_325;
/** Ratio of specific heats of air. */
const AIR_KAPPA = 1.4;
const MEASURED_ON_MOTOR =
  'US DOE fact sheet on motor load and efficiency (recalled from memory); loss model: ' + PRACTICE;

/** Torque from a power at the driven shaft; undefined where none is taken. */
function fromPower(
  { speed }: Setting,
  watts: number | undefined,
  formula: string,
  from: Record<string, Value | undefined>,
  source: string,
): Value | undefined {
  if (watts === undefined || watts <= 0 || !speed || speed.value <= 0) return undefined;
  return quantity(watts / speed.value, 'torque', {
    formula: `T = \\dfrac{P}{\\omega},\\quad ${formula}`,
    from: { ...from, n: speed },
    source,
  });
}

/** Torque at the driven shaft from the shaft power of the running motor. */
function fromMotor(
  { motorSpeed, ratio, efficiency, motor }: Setting,
  share: number | undefined,
  formula: string,
  from: Record<string, Value | undefined>,
): Value | undefined {
  if (share === undefined || !motor || !motorSpeed || !Number.isFinite(share) || share <= 0) return undefined;
  const torque = ((share * motor.power) / motorSpeed.value) * ratio.value * efficiency.value;
  return quantity(torque, 'torque', {
    origin: 'estimated',
    formula: `T = \\dfrac{y\\,P_n}{\\omega_m}\\,i\\,\\eta_t,\\quad ${formula}`,
    from: { ...from, i: ratio, '\\eta_t': efficiency },
    source: MEASURED_ON_MOTOR,
    note: say`The motor runs at ${figures(share * 100)} % of its rated power.`,
  });
}

/** Load share at which the motor takes `input` W: input = y P + loss (f + (1 − f) y²), the positive root. */
export function shareAtInput(motor: Motor, input: number, fixedShare: number): number {
  const loss = motor.power / motor.efficiency - motor.power;
  const a = loss * (1 - fixedShare);
  const c = loss * fixedShare - input;
  return (-motor.power + Math.sqrt(motor.power ** 2 - 4 * a * c)) / (2 * a);
}

/** Power of a compressor by adiabatic compression of air over its efficiency. */
function compressorTorque(setting: Setting): Value | undefined {
  const { flow, pressure, machineEfficiency, suctionPressure } = setting.typed;
  const inlet = suctionPressure?.value ?? ATMOSPHERE;
  const exponent = (AIR_KAPPA - 1) / AIR_KAPPA;
  const watts =
    flow &&
    pressure &&
    machineEfficiency &&
    ((inlet * flow.value) / exponent) * (((inlet + pressure.value) / inlet) ** exponent - 1);
  return fromPower(
    setting,
    watts && watts / machineEfficiency.value,
    'P = \\dfrac{\\kappa}{\\kappa-1}\\,\\dfrac{p_1 Q}{\\eta}\\left[\\left(\\dfrac{p_1 + \\Delta p}{p_1}\\right)^{\\frac{\\kappa-1}{\\kappa}} - 1\\right]',
    { Q: flow, '\\Delta p': pressure, '\\eta': machineEfficiency, p_1: suctionPressure },
    'adiabatic compression of air, handbook formula',
  );
}

const compressorAsks: Way['asks'] = [
  ['flow', 'Air drawn in, at inlet conditions'],
  ['pressure', 'Pressure it delivers above the inlet'],
  ['machineEfficiency', 'Adiabatic efficiency of the compressor'],
];

/** Every way to find the torque of the load, by the name it has in a job. */
export const loadDefinitionMethods: Readonly<Record<Job['load']['way'], Way>> = {
  torque: {
    asks: [['torque', 'Torque at the driven shaft, the base of size, start and energy']],
    torque: ({ typedTorque }) => typedTorque,
    error: '',
  },
  force: {
    asks: [
      ['force', 'Force on the spring scale'],
      ['radius', 'Radius at which the force was measured'],
    ],
    torque: ({ typed: { force, radius } }) =>
      force &&
      radius &&
      quantity(force.value * radius.value, 'torque', {
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
    torque: (setting) => loadDefinitionMethods.fan.torque(setting),
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
  'screw compressor': { asks: compressorAsks, torque: compressorTorque, error: '' },
  'piston compressor': { asks: compressorAsks, torque: compressorTorque, error: '' },
  crusher: {
    asks: [
      ['massFlow', 'Throughput of the crusher or mill'],
      ['workIndex', 'Work index of the material'],
      ['feedSize', 'Size passed by 80 % of the feed'],
      ['productSize', 'Size passed by 80 % of the product'],
    ],
    torque: (setting) => {
      const { massFlow, workIndex, feedSize, productSize } = setting.typed;
      const micrometres = (size: Value) => size.value * 1e6;
      const share =
        feedSize &&
        productSize &&
        10 * (1 / Math.sqrt(micrometres(productSize)) - 1 / Math.sqrt(micrometres(feedSize)));
      return fromPower(
        setting,
        massFlow && workIndex && share && massFlow.value * workIndex.value * share,
        'P = \\dot m\\,10\\,W_i\\left(\\dfrac{1}{\\sqrt{P_{80}}} - \\dfrac{1}{\\sqrt{F_{80}}}\\right),\\ \\text{µm}',
        { '\\dot m': massFlow, W_i: workIndex, 'P_{80}': productSize, 'F_{80}': feedSize },
        'F. C. Bond, third theory of comminution, 1952 (from memory)',
      );
    },
    error: 'by Bond’s law within about 20 %',
  },
  centrifuge: {
    asks: [
      ['inertia', 'Inertia of basket and filling at the driven shaft'],
      ['runUpTime', 'Time in which it must be up to speed'],
    ],
    torque: ({ typed: { inertia, runUpTime }, typedTorque, speed }) =>
      inertia &&
      runUpTime &&
      speed &&
      quantity((inertia.value * speed.value) / runUpTime.value + (typedTorque?.value ?? 0), 'torque', {
        formula: 'T = \\dfrac{J\\,\\omega}{t} + T_{run}',
        from: { J: inertia, n: speed, t: runUpTime, 'T_{run}': typedTorque },
        source: 'Newton’s second law',
        note: 'Torque while it runs up; a duty cycle sizes the motor by its heat.',
      }),
    error: '',
  },
  press: {
    asks: [
      ['strokeEnergy', 'Energy of one stroke'],
      ['strokesPerMinute', 'Strokes a minute'],
      ['machineEfficiency', 'Efficiency of the press'],
    ],
    torque: (setting) => {
      const { strokeEnergy, strokesPerMinute, machineEfficiency } = setting.typed;
      const watts =
        strokeEnergy &&
        strokesPerMinute &&
        machineEfficiency &&
        (strokeEnergy.value * strokesPerMinute.value) / 60 / machineEfficiency.value;
      return fromPower(
        setting,
        watts,
        'P = \\dfrac{W\\,z}{60\\,\\eta}',
        { W: strokeEnergy, z: strokesPerMinute, '\\eta': machineEfficiency },
        'mean power of a flywheel press, handbook formula',
      );
    },
    error: '',
  },
  curve: {
    asks: [],
    torque: ({ curve, speed }) => {
      if (curve.length < 2) return undefined;
      const sorted = curve.toSorted((a, b) => a.speed.value - b.speed.value);
      const last = sorted.at(-1);
      if (!last) return undefined;
      const at = speed ?? last.speed;
      const torque = interpolate(
        sorted.map((each) => each.speed.value),
        sorted.map((each) => each.torque.value),
        at.value,
      );
      return quantity(torque, 'torque', {
        formula: 'T = T(n)',
        from: { n: at },
        source: 'torque–speed table typed in this job, straight lines between points',
      });
    },
    error: '',
  },
  duty: {
    asks: [],
    torque: ({ duty }) => duty?.heating,
    error: '',
  },
};

/** The field a missing load is asked for at: the first that its way of knowing needs. */
export function loadField({ load: { way } }: Job): string {
  if (way === 'curve') return 'load.curve.0.speed';
  if (way === 'duty') return 'load.duty.0.torque';
  return `load.${loadDefinitionMethods[way].asks[0]?.[0] ?? 'torque'}`;
}

/** Breakaway torque as a share of running torque, by kind of machine. Common practice, no published source. */
const breakaways: Readonly<Partial<Record<Job['load']['way'], number>>> = {
  conveyor: 1.3,
  crusher: 1.5,
  'piston compressor': 1.4,
  'displacement pump': 1.2,
  'screw compressor': 0.4,
  centrifuge: 0.15,
  press: 0.4,
};

export const usualBreakaway = ({ way, torqueKind }: Job['load']): number =>
  torqueKind === 'variable' ? 0.3 : (breakaways[way] ?? 1);

/** How the torque of a machine goes with speed, where its kind settles it. */
export const torqueKindOf = (way: Job['load']['way']): Job['load']['torqueKind'] | undefined =>
  way === 'fan' || way === 'pump'
    ? 'variable'
    : ['torque', 'force', 'input power', 'current', 'slip', 'curve', 'duty', 'mixer'].includes(way)
      ? undefined
      : 'constant';

/** Ways that measure on the motor that runs; they need its plate. */
export const onMotor = (way: Job['load']['way']): boolean => ['input power', 'current', 'slip'].includes(way);
