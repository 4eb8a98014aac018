import type { StageName } from '../ground/stage-names.ts';
import type { School } from '../ground/quantity/units.ts';
import { KELVIN, YEAR } from '../ground/constants.ts';
import { UNBALANCE_MOST } from '../motor/unbalance.ts';
import { quantity, type Value } from '../ground/value.ts';
import type { AnyValue, Brief } from '../stages/stage.ts';
import { yearsCounted } from '../stages/pick/asked-of-pick.ts';
import { RATED_ALTITUDE, RATED_AMBIENT } from '../stages/place/place-known.ts';

/** A figure that stands large at the head of its stage, against its limit where it has one. */
export interface Readout {
  /** Of the published value. */
  readonly id: string;
  readonly limit?: {
    readonly text: string;
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

const limitsIn = (school: School) => {
  const known = (si: number, dimension: 'fraction' | 'temperature' | 'altitude'): Value =>
    quantity(si, dimension, school, { source: '' });
  return {
    whole: known(1, 'fraction'),
    unbalance: known(UNBALANCE_MOST, 'fraction'),
    ambient: known(RATED_AMBIENT, 'temperature'),
    altitude: known(RATED_ALTITUDE, 'altitude'),
  };
};
/** Limits that hold for every job. */
const limits: Readonly<Record<School, ReturnType<typeof limitsIn>>> = { NEMA: limitsIn('NEMA'), IEC: limitsIn('IEC') };

/** What a limit is taken from. */
interface Known extends Pick<Brief, 'given' | 'practice' | 'job'> {
  readonly found: (id: string) => Value | undefined;
}
type LimitOf = (known: Known) => Value | undefined;

interface Shown {
  readonly id: string;
  readonly kind: Kind | ((known: Known) => Kind);
  readonly limit: LimitOf | undefined;
  readonly asked: ((known: Known) => boolean) | undefined;
}

/** The results of a stage in the order they are looked for. */
function ofStage(stage: StageName) {
  const all: Shown[] = [];
  const more = {
    all,
    plain(...names: string[]) {
      for (const name of names) more.against(name, 'rated', undefined);
      return more;
    },
    against(name: string, kind: Shown['kind'], limit: LimitOf | undefined, asked?: Shown['asked']) {
      all.push({ id: `${stage}.${name}`, kind, limit, asked });
      return more;
    },
  };
  return more;
}

const another =
  (id: string): LimitOf =>
  ({ found }) =>
    found(id);
const whole: LimitOf = ({ job }) => limits[job.school].whole;
const dip: LimitOf = ({ given, job, practice }) =>
  given.supply.busDipLimit ?? (job.supply.source === 'generator' ? practice.generatorDip : practice.busDip);
const filtered = ({ found }: Known): boolean => found('drive.filteredPeak') !== undefined;
const within: LimitOf = ({ given, job }) =>
  quantity(yearsCounted({ given }) * YEAR, 'span', job.school, { source: '' });

const shown: readonly Shown[][] = [
  ofStage('nameplate')
    .plain('ratedCurrent', 'ratedTorque', 'slip', 'efficiencyMinimum')
    // Worked out from the class alone it is no more than an upper bound.
    .against(
      'hotSpot',
      ({ found }) => (found('nameplate.hotSpot')?.origin === 'derived' ? 'most' : 'rated'),
      another('nameplate.thermalLimit'),
    )
    .plain('lockedRotorCurrentMax', 'torqueOnSupply'),
  ofStage('load')
    .plain('motorTorque', 'motorSpeed')
    .against('motorPower', 'most', another('load.standardPower'))
    .against('loadFraction', 'most', whole)
    .against('peakTorque', 'most', another('load.peakAllowed'))
    .plain('rmsTorque', 'poles'),
  ofStage('supply')
    .plain('motorVoltage')
    .against('directBusDip', 'most', dip)
    .against('directTerminalDip', 'most', ({ practice }) => practice.terminalDip)
    .against('runningDrop', 'most', ({ practice }) => practice.runningDrop)
    .against('unbalance', 'most', ({ job }) => limits[job.school].unbalance)
    .plain('shortCircuitPower', 'feederAmpacity'),
  ofStage('place')
    .plain('motorEnclosure')
    .against('ambient', 'rated', ({ job }) => limits[job.school].ambient)
    .against('altitude', 'rated', ({ job }) => limits[job.school].altitude)
    .plain('motorDerate', 'driveDerate', 'cabinetInside'),
  ofStage('profile')
    .plain('hours', 'energyThrottled', 'energySpeedControlled', 'energySaved')
    .against('savingShare', 'least', ({ practice }) => practice.driveSavingShare)
    .plain('peakInput'),
  ofStage('starting')
    .against('startingDip', 'most', dip)
    .against('torqueMargin', 'least', ({ practice }) => practice.torqueMargin)
    .against('accelerationTime', 'most', ({ given }) => given.starting.startTimeLimit)
    .against('rotorHeat', 'most', ({ practice }) => practice.heatUse)
    .plain('startingCurrent')
    .against('startsPerHour', 'least', another('load.startsPerHour')),
  ofStage('pick')
    .plain('requiredPower')
    .against('motorLoad', 'most', whole)
    .plain('motorCurrent', 'driveCurrent')
    .against('driveUsed', 'most', whole),
  ofStage('drive')
    .against('requiredCurrent', 'most', another('drive.availableCurrent'))
    .against('overloadUsed', 'most', whole)
    // Behind a filter it is the filtered peak that the winding sees.
    .against('filteredPeak', 'most', another('drive.windingWithstand'))
    .against('peakVoltage', 'most', another('drive.windingWithstand'), (known) => !filtered(known))
    .plain('leastSpeed', 'mostSpeed')
    .against('demandDistortion', 'most', another('drive.demandDistortionLimit'))
    .against('voltageDistortion', 'most', another('drive.voltageDistortionLimit'))
    .plain('shortestStop'),
  ofStage('protection')
    .plain('overloadDial')
    .against('conductorAmpacity', 'least', another('protection.conductorMinAmpacity'))
    .plain('conductorSize')
    .against('branchDeviceMax', 'rated', undefined, ({ job }) => job.school === 'NEMA')
    .against('groundingConductor', 'rated', undefined, ({ job }) => job.school === 'NEMA')
    .against('branchDevice', 'rated', undefined, ({ job }) => job.school === 'IEC')
    .against('loopImpedance', 'most', another('protection.loopImpedanceMax')),
  ofStage('money')
    .plain('firstCost', 'yearlyCost', 'lifeCost', 'yearlySaving')
    .against('payback', 'most', within)
    .plain('extraCapital'),
].map(({ all }) => all);

/** The four to six results each stage is looked at for, in their order; what is not known yet is left out. */
export function readoutsOf(
  { given, practice, job }: Brief,
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
const length = ({ value, unit }: Value): number => Math.max(0, unit === 'K' ? value - KELVIN : value);

const words: Readonly<Record<Kind, string>> = { most: 'at most', least: 'at least', rated: 'rated for' };

function bar(value: Value, kind: Kind, limit: Value): Required<Readout>['limit'] {
  const [own, at] = [length(value), length(limit)];
  const top = Math.max(own, at, Number.MIN_VALUE) * ROOM;
  return {
    text: `${words[kind]} ${limit.text}`,
    filled: own / top,
    mark: at / top,
    missed:
      kind !== 'rated' &&
      (kind === 'most' ? value.value > limit.value * (1 + 1e-9) : value.value < limit.value * (1 - 1e-9)),
  };
}
