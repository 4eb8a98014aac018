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
type Limit = readonly [kind: Kind, value: Value | undefined];
type Said = string | readonly [name: string, ...limit: Limit];

/** How far a bar goes beyond the larger of figure and limit. */
const ROOM = 1.25;

const MOST_SHOWN = 6;

/** Behind a filter it is the filtered peak that the winding sees. */
const ofDrive = (found: (id: string) => Value | undefined, whole: Value): readonly Said[] => [
  ['requiredCurrent', 'most', found('drive.availableCurrent')],
  ['overloadUsed', 'most', whole],
  [found('drive.filteredPeak') ? 'filteredPeak' : 'peakVoltage', 'most', found('drive.windingWithstand')],
  'leastSpeed',
  'mostSpeed',
  ['demandDistortion', 'most', found('drive.demandDistortionLimit')],
  ['voltageDistortion', 'most', found('drive.voltageDistortionLimit')],
  'shortestStop',
];

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

/** The four to six results each stage is looked at for, in their order; what is not known yet is left out. */
export function readoutsOf(
  { given, practice, job }: Brief,
  values: Readonly<Record<string, AnyValue | undefined>>,
): Readout[] {
  const { school } = job;
  const found = (id: string): Value | undefined => {
    const value = values[id];
    return typeof value?.value === 'number' ? (value as Value) : undefined;
  };
  const { whole, unbalance, ambient, altitude } = limits[school];
  const dip = given.supply.busDipLimit ?? (job.supply.source === 'generator' ? practice.generatorDip : practice.busDip);
  const stages: Readonly<Record<StageName, readonly Said[]>> = {
    situation: [],
    nameplate: [
      'ratedCurrent',
      'ratedTorque',
      'slip',
      'efficiencyMinimum',
      // Worked out from the class alone it is no more than an upper bound.
      ['hotSpot', found('nameplate.hotSpot')?.origin === 'derived' ? 'most' : 'rated', found('nameplate.thermalLimit')],
      'lockedRotorCurrentMax',
      'torqueOnSupply',
    ],
    load: [
      'motorTorque',
      'motorSpeed',
      ['motorPower', 'most', found('load.standardPower')],
      ['loadFraction', 'most', whole],
      ['peakTorque', 'most', found('load.peakAllowed')],
      'rmsTorque',
      'poles',
    ],
    supply: [
      'motorVoltage',
      ['directBusDip', 'most', dip],
      ['directTerminalDip', 'most', practice.terminalDip],
      ['runningDrop', 'most', practice.runningDrop],
      ['unbalance', 'most', unbalance],
      'shortCircuitPower',
      'feederAmpacity',
    ],
    place: [
      'motorEnclosure',
      ['ambient', 'rated', ambient],
      ['altitude', 'rated', altitude],
      'motorDerate',
      'driveDerate',
      'cabinetInside',
    ],
    profile: [
      'hours',
      'energyThrottled',
      'energySpeedControlled',
      'energySaved',
      ['savingShare', 'least', practice.driveSavingShare],
      'peakInput',
    ],
    starting: [
      ['startingDip', 'most', dip],
      ['torqueMargin', 'least', practice.torqueMargin],
      ['accelerationTime', 'most', given.starting.startTimeLimit],
      ['rotorHeat', 'most', practice.heatUse],
      'startingCurrent',
      ['startsPerHour', 'least', found('load.startsPerHour')],
    ],
    pick: ['requiredPower', ['motorLoad', 'most', whole], 'motorCurrent', 'driveCurrent', ['driveUsed', 'most', whole]],
    drive: ofDrive(found, whole),
    protection: [
      'overloadDial',
      ['conductorAmpacity', 'least', found('protection.conductorMinAmpacity')],
      'conductorSize',
      ...(school === 'NEMA' ? ['branchDeviceMax', 'groundingConductor'] : ['branchDevice']),
      ['loopImpedance', 'most', found('protection.loopImpedanceMax')],
    ],
    money: [
      'firstCost',
      'yearlyCost',
      'lifeCost',
      'yearlySaving',
      ['payback', 'most', quantity(yearsCounted({ given }) * YEAR, 'span', school, { source: '' })],
      'extraCapital',
    ],
    handover: [],
  };
  return Object.entries(stages).flatMap(([stage, said]) =>
    said
      .map((each) => (typeof each === 'string' ? ([each] as const) : each))
      .filter(([name]) => values[`${stage}.${name}`] !== undefined)
      .slice(0, MOST_SHOWN)
      .map(([name, kind, limit]): Readout => {
        const id = `${stage}.${name}`;
        const value = found(id);
        return kind && limit && value ? { id, limit: bar(value, kind, limit) } : { id };
      }),
  );
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
