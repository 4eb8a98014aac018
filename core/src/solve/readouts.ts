import { say, type Text } from '../kernel/text.ts';
import type { StageName } from '../kernel/stage-list.ts';
import { KELVIN, YEAR } from '../kernel/constants.ts';
import { UNBALANCE_MOST } from '../motor/unbalance.ts';
import { quantity, type Value } from '../kernel/value.ts';
import type { AnyValue, StageContext } from '../stages/stage.ts';
import { yearsCounted } from '../stages/selection/selection-input.ts';
import { RATED_ALTITUDE, RATED_AMBIENT } from '../stages/environment/environment-known.ts';

/** A figure that stands large at the head of its stage, against its limit where it has one. */
export interface Readout {
  /** Of the published value. */
  readonly id: string;
  readonly limit?: {
    readonly text: Text;
    /** Shares of the bar it is drawn on. */
    readonly filled: number;
    readonly mark: number;
    readonly missed: boolean;
  };
}

/** What must not be above, what must not be below, and what a motor is rated for: beyond it gives less. */
type Kind = 'most' | 'least' | 'rated';

/** How far a bar goes beyond the larger of figure and limit. */
const ROOM = 1.25;

const MOST_SHOWN = 6;

/** Limits that hold for every job. */
const limits = {
  whole: quantity(1, 'fraction', { source: '' }),
  unbalance: quantity(UNBALANCE_MOST, 'fraction', { source: '' }),
  ambient: quantity(RATED_AMBIENT, 'temperature', { source: '' }),
  altitude: quantity(RATED_ALTITUDE, 'altitude', { source: '' }),
};

/** What a limit is taken from. */
interface Known extends Pick<StageContext, 'given' | 'practice' | 'job'> {
  readonly found: (id: string) => Value | undefined;
}
type LimitOf = (known: Known) => Value | undefined;
type Asked = (known: Known) => boolean;
/** A result by its name; against what it is held, and when it is shown. */
type Said =
  string | readonly [name: string, kind: Kind | ((known: Known) => Kind), limit: LimitOf | undefined, asked?: Asked];

const another =
  (id: string): LimitOf =>
  ({ found }) =>
    found(id);
const whole: LimitOf = () => limits.whole;
const dip: LimitOf = ({ given, job, practice }) =>
  given.supply.busDipLimit ?? (job.supply.source === 'generator' ? practice.generatorDip : practice.busDip);
const within: LimitOf = ({ given }) => quantity(yearsCounted({ given }) * YEAR, 'span', { source: '' });
const nema: Asked = ({ job }) => job.school === 'NEMA';
const iec: Asked = ({ job }) => job.school === 'IEC';
const unfiltered: Asked = ({ found }) => found('drive.filteredPeak') === undefined;

/** The results of each stage in the order they are looked for. */
const stages: Readonly<Record<StageName, readonly Said[]>> = {
  situation: [],
  nameplate: [
    'ratedCurrent',
    'ratedTorque',
    'slip',
    'efficiencyMinimum',
    // Worked out from the class alone it is no more than an upper bound.
    [
      'hotSpot',
      ({ found }) => (found('nameplate.hotSpot')?.origin === 'derived' ? 'most' : 'rated'),
      another('nameplate.thermalLimit'),
    ],
    'lockedRotorCurrentMax',
    'torqueOnSupply',
  ],
  load: [
    'motorTorque',
    'motorSpeed',
    ['motorPower', 'most', another('load.standardPower')],
    ['loadFraction', 'most', whole],
    ['peakTorque', 'most', another('load.peakAllowed')],
    'rmsTorque',
    'poles',
  ],
  supply: [
    'motorVoltage',
    ['directBusDip', 'most', dip],
    ['directTerminalDip', 'most', ({ practice }) => practice.terminalDip],
    ['runningDrop', 'most', ({ practice }) => practice.runningDrop],
    ['unbalance', 'most', () => limits.unbalance],
    'shortCircuitPower',
    'feederAmpacity',
  ],
  place: [
    'motorEnclosure',
    ['ambient', 'rated', () => limits.ambient],
    ['altitude', 'rated', () => limits.altitude],
    'motorDerate',
    'driveDerate',
    'cabinetInside',
  ],
  profile: [
    'hours',
    'energyThrottled',
    'energySpeedControlled',
    'energySaved',
    ['savingShare', 'least', ({ practice }) => practice.driveSavingShare],
    'peakInput',
  ],
  starting: [
    ['startingDip', 'most', dip],
    ['torqueMargin', 'least', ({ practice }) => practice.torqueMargin],
    ['accelerationTime', 'most', ({ given }) => given.starting.startTimeLimit],
    ['rotorHeat', 'most', ({ practice }) => practice.heatUse],
    'startingCurrent',
    ['startsPerHour', 'least', another('load.startsPerHour')],
  ],
  pick: ['requiredPower', ['motorLoad', 'most', whole], 'motorCurrent', 'driveCurrent', ['driveUsed', 'most', whole]],
  drive: [
    ['requiredCurrent', 'most', another('drive.availableCurrent')],
    ['overloadUsed', 'most', whole],
    // Behind a filter it is the filtered peak that the winding sees.
    ['filteredPeak', 'most', another('drive.windingWithstand')],
    ['peakVoltage', 'most', another('drive.windingWithstand'), unfiltered],
    'leastSpeed',
    'mostSpeed',
    ['demandDistortion', 'most', another('drive.demandDistortionLimit')],
    ['voltageDistortion', 'most', another('drive.voltageDistortionLimit')],
    'shortestStop',
  ],
  protection: [
    'overloadDial',
    ['conductorAmpacity', 'least', another('protection.conductorMinAmpacity')],
    'conductorSize',
    ['branchDeviceMax', 'rated', undefined, nema],
    ['groundingConductor', 'rated', undefined, nema],
    ['branchDevice', 'rated', undefined, iec],
    ['loopImpedance', 'most', another('protection.loopImpedanceMax')],
  ],
  money: ['firstCost', 'yearlyCost', 'lifeCost', 'yearlySaving', ['payback', 'most', within], 'extraCapital'],
  handover: [],
};

/** The same with the ids of the values, made once. */
const shown = Object.entries(stages).map(([stage, said]) =>
  said.map((each) => {
    const [name, kind = 'rated', limit, asked] = typeof each === 'string' ? ([each] as const) : each;
    return { id: `${stage}.${name}`, kind, limit, asked } as const;
  }),
);

/** The four to six results each stage is looked at for, in their order; what is not known yet is left out. */
export function readoutsOf(
  { given, practice, job }: StageContext,
  values: Readonly<Record<string, AnyValue | undefined>>,
): Readout[] {
  const found = (id: string): Value | undefined => {
    const value = values[id];
    return typeof value?.value === 'number' ? (value as Value) : undefined;
  };
  const known: Known = { given, practice, job, found };
  const readouts: Readout[] = [];
  for (const stage of shown) {
    const most = readouts.length + MOST_SHOWN;
    for (const { id, kind, limit, asked } of stage) {
      if (readouts.length === most) break;
      if (values[id] === undefined || asked?.(known) === false) continue;
      const value = found(id);
      const at = value && limit?.(known);
      readouts.push(
        value && at ? { id, limit: bar(value, typeof kind === 'string' ? kind : kind(known), at) } : { id },
      );
    }
  }
  return readouts;
}

/** Temperatures count from 0 °C on a bar. */
const length = ({ value, of }: Value): number => Math.max(0, of === 'temperature' ? value - KELVIN : value);

const words: Readonly<Record<Kind, string>> = { most: 'max.', least: 'min.', rated: 'rated' };

function bar(value: Value, kind: Kind, limit: Value): Required<Readout>['limit'] {
  const [own, at] = [length(value), length(limit)];
  const top = Math.max(own, at, Number.MIN_VALUE) * ROOM;
  return {
    text: say`${words[kind]} ${limit}`,
    filled: own / top,
    mark: at / top,
    missed:
      kind !== 'rated' &&
      (kind === 'most' ? value.value > limit.value * (1 + 1e-9) : value.value < limit.value * (1 - 1e-9)),
  };
}
