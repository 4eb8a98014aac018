import { safeSpeed } from '../../kernel/tables/index.ts';
import { PRACTICE } from '../../kernel/value.ts';
import { TURN } from '../../kernel/constants.ts';
import { bisect } from '../../kernel/numeric.ts';
import { horsepowerOf } from '../../motor/standard-power.ts';
import { synchronousSpeed } from '../../motor/synchronous.ts';
import { inverterStatement } from '../nameplate/inverter.ts';
import { deltaShare } from '../selection/choose-drive.ts';
import { currentAtTorque } from '../selection/drive-events.ts';
import { speedFor } from '../operating-profile/flow-machine.ts';
import { continuousTorqueAtReducedSpeed } from '../environment/reduced-speed-torque.ts';
import { ratedTorque, type DriveStageInput } from './drive-stage-input.ts';

/** Breakdown torque is kept this many times the torque above base speed. Common practice, no published source. */
export const BREAKDOWN_RESERVE = 1.5;
/** Hz below which the oil of a splash-fed gear no longer reaches its upper wheels. Common practice, no published source. */
const SPLASH = 15;
/** Speed range of a drive that does not measure the shaft: volts per hertz, and with the flux reckoned. Common practice. */
const OPEN_LOOP = { 'V/f': 20, 'flux reckoned': 50 } as const;
/** Hz left out on either side of a resonance. Common practice, no published source. */
export const SKIP = 1.5;
/** The picture ends at this share of rated speed, unless an end lies beyond. */
const REACH = 2;
const STEPS = 40;

export type ControlMode = 'V/f' | 'flux reckoned' | 'closed loop';

/** How the drive steers its motor: closed loop where it measures the shaft, V/f for fans, pumps and several motors. */
export function controlMode({ brief, motors }: Pick<DriveStageInput, 'brief' | 'motors'>): ControlMode {
  const { job } = brief;
  if (job.starting.closedLoop === 'yes') return 'closed loop';
  return motors > 1 || job.load.torqueKind === 'variable' ? 'V/f' : 'flux reckoned';
}

/** An end of the speed range: a share of rated speed, and what sets it. */
export interface End {
  readonly share: number;
  readonly why: string;
  readonly source: string;
  /** Something may break beyond it. */
  readonly hard?: true;
}

/** Between which speeds it may run, and all that would set an end, the tightest first. */
export interface SpeedRange {
  readonly least: End;
  readonly most: End;
  readonly leasts: readonly End[];
  readonly mosts: readonly End[];
}

/** Torques over speed as shares of rated, for the picture. */
export interface RangePicture extends SpeedRange {
  readonly shares: readonly number[];
  readonly continuous: readonly number[];
  readonly short: readonly number[];
  readonly load: readonly number[] | undefined;
  /** Bands that are run through only, shares of rated speed. */
  readonly skips: readonly { readonly from: number; readonly to: number }[];
}

/**
 * Torque that may be asked for good at a share of rated speed: by its cooling below, by power and breakdown above. `range` is over
 * which it is cooled at full torque.
 */
export function continuousTorque({ brief, motor }: DriveStageInput, share: number, range: number): number {
  const base = deltaShare(brief);
  if (share > base) return Math.min(base / share, (motor.breakdownTorque / BREAKDOWN_RESERVE) * (base / share) ** 2);
  // Nothing times without end is no number.
  return range === Number.POSITIVE_INFINITY || share * range >= 0.999 ? 1 : continuousTorqueAtReducedSpeed(share);
}

/** A blower or an inverter-duty frame cools it at any speed. */
export function isCooled({ brief, pick, nameplate }: DriveStageInput): boolean {
  const { cooling } = brief.job.drive;
  if (cooling !== 'auto') return cooling === 'blower';
  if (pick.chosenMotor) return pick.chosenMotor.item.inverterDuty;
  return nameplate.motor !== undefined && /blower|TEBC|IC\s?416/i.test(brief.job.nameplate.enclosure ?? '');
}

/** The range of speeds, 4 for 4:1, over which it is cooled at full torque: any with a blower, else what the plate of a kept motor promises. */
function cooledRange(driven: DriveStageInput): number {
  if (isCooled(driven)) return Number.POSITIVE_INFINITY;
  const { brief, pick } = driven;
  if (pick.chosenMotor) return 1;
  return inverterStatement(brief.job.nameplate.inverter, undefined, undefined, 0).constantTorqueRatio ?? 1;
}

/** Torque for a minute: the drive’s current limit turned into torque, never more than breakdown leaves. */
function shortTorque(driven: DriveStageInput, share: number): number {
  const { motor, pick, starting } = driven;
  const base = deltaShare(driven.brief);
  const flux = share > base ? base / share : 1;
  const pullOut = (motor.breakdownTorque * flux ** 2) / BREAKDOWN_RESERVE;
  const limit = pick.driveLimits?.currentLimit;
  if (limit === undefined) return pullOut;
  return Math.min(pullOut, torqueOf(driven, limit * motor.current, flux, starting.machine?.circuit));
}

/** Torque, of rated, that a current makes with the flux there: the current of a torque, turned round. */
export function torqueOf(
  { motor }: Pick<DriveStageInput, 'motor'>,
  current: number,
  flux: number,
  circuit: Parameters<typeof currentAtTorque>[1],
): number {
  const magnetising = currentAtTorque(motor, circuit, 0, flux);
  const whole = currentAtTorque(motor, circuit, ratedTorque({ motor }), flux);
  const active = Math.sqrt(Math.max(0, whole ** 2 - magnetising ** 2));
  return active === 0 ? 0 : Math.sqrt(Math.max(0, current ** 2 - magnetising ** 2)) / active;
}

/** Running torque of the load over rated torque. */
function loadTorque({ brief }: DriveStageInput, full: number, share: number): number {
  return brief.job.load.torqueKind === 'variable' ? full * share ** 2 : full;
}

/** Share of rated speed from which on, upwards, the motor bears the load for good; 0 where it does at any speed. */
function coolingEnd(driven: DriveStageInput, full: number): number {
  const range = cooledRange(driven);
  const tooHot = (share: number): boolean =>
    loadTorque(driven, full, share) > continuousTorque(driven, share, range) + 1e-9;
  const steps = Array.from({ length: LOOKED_AT }, (_, at) => 1 - at / LOOKED_AT);
  const hot = steps.find(tooHot);
  if (hot === undefined) return 0;
  return bisect(tooHot, { low: hot, high: hot + 1 / LOOKED_AT }, { rounds: 20 }).high;
}

/** Shares of rated speed that are tried before the end is narrowed down. */
const LOOKED_AT = 20;

function leastEnds(driven: DriveStageInput): End[] {
  const { brief, motor, share, profile } = driven;
  const mode = controlMode(driven);
  const ends: End[] = [];
  if (share !== undefined)
    ends.push({ share: coolingEnd(driven, share), why: 'its own fan no longer cools it', source: PRACTICE });
  const machine = brief.job.load.machine === 'pump' ? profile.model?.setting.machine : undefined;
  if (machine && machine.staticShare > 0)
    ends.push({
      share: Math.min(1, speedFor(machine, 0)),
      why: 'below it the pump lifts nothing',
      source: 'Affinity laws, head at no flow',
    });
  const leastFlow = brief.given.drive.leastFlow;
  if (machine && leastFlow)
    ends.push({
      share: Math.min(1, speedFor(machine, leastFlow.value)),
      why: 'the pump wants its least flow',
      source: 'Affinity laws, least flow typed in this job',
    });
  const gears = brief.job.load.stages.some(({ kind }) => kind.endsWith('gear'));
  if (gears)
    ends.push({ share: SPLASH / motor.frequency, why: 'the oil of the gear no longer splashes', source: PRACTICE });
  if (mode !== 'closed loop')
    ends.push({
      share: 1 / OPEN_LOOP[mode],
      why: mode === 'V/f' ? 'volts per hertz hold no torque below' : 'without an encoder it is not steered below',
      source: PRACTICE,
    });
  const typed = brief.given.drive.leastFrequency;
  if (typed) ends.push({ share: typed.value / motor.frequency, why: 'typed in this job', source: 'typed in this job' });
  return ends.filter(({ share: end }) => end > 0).toSorted((a, b) => b.share - a.share);
}

function mostEnds(driven: DriveStageInput): End[] {
  const { brief, motor, share } = driven;
  const variable = brief.job.load.torqueKind === 'variable';
  const base = deltaShare(brief);
  const ends: End[] = [];
  if (share !== undefined && share > 0) {
    const powered = poweredTo(share, base, variable);
    ends.push({
      share: powered,
      why: `there the load takes its rated ${powered > base ? 'power' : 'torque'}`,
      source: 'Constant power above base speed',
    });
    ends.push({
      share: ((motor.breakdownTorque * base ** 2) / BREAKDOWN_RESERVE / share) ** (variable ? 1 / 4 : 1 / 2),
      why: 'breakdown torque falls with the square of the speed',
      source: `Breakdown torque over ${BREAKDOWN_RESERVE}; ${PRACTICE}`,
    });
  } else
    ends.push({
      share: (base * motor.breakdownTorque) / BREAKDOWN_RESERVE,
      why: 'breakdown torque falls with the square of the speed',
      source: `Breakdown torque over ${BREAKDOWN_RESERVE}; ${PRACTICE}`,
    });
  const mechanical = safestSpeed(driven);
  if (mechanical !== undefined)
    ends.push({
      share: mechanical / motor.speed,
      why: 'its rotor and bearings bear no more; ask the maker',
      hard: true,
      source: `${safeSpeed.source}, recalled only roughly`,
    });
  const machine = brief.given.drive.machineSpeed;
  if (machine)
    ends.push({
      share: machine.value / motor.speed,
      why: 'the machine bears no more',
      source: 'typed in this job',
      hard: true,
    });
  const typed = brief.given.drive.mostFrequency;
  if (typed) ends.push({ share: typed.value / motor.frequency, why: 'typed in this job', source: 'typed in this job' });
  return ends.toSorted((a, b) => a.share - b.share);
}

/** Share of rated speed at which a load takes all that the motor gives: rated torque to `base`, constant power above. */
function poweredTo(load: number, base: number, variable: boolean): number {
  if (!variable) return load > 1 ? 1 / load : base / load;
  return load * base ** 2 > 1 ? load ** -0.5 : (base / load) ** (1 / 3);
}

/** rad/s; of the table of MG 1, which ends at 500 hp and has two, four and six poles. */
function safestSpeed({ motor, nameplate, pick, brief }: DriveStageInput): number | undefined {
  const open = pick.chosenMotor ? pick.chosenMotor.item.enclosure === 'ODP' : nameplate.open;
  const horsepower = horsepowerOf(motor.power);
  const row = safeSpeed.rows.find((each) => horsepower <= Number(each['hp_to']) * 1.02);
  const column = `${open && brief.job.situation.kind !== 'new' ? 'odp' : 'tefc'}_${7200 / motor.poles}`;
  const turns = safeSpeed.number(row, column);
  // Rated speed is borne whatever the table says.
  return turns === undefined ? undefined : Math.max(turns * TURN, synchronousSpeed(motor.frequency, motor.poles));
}

/** Between which speeds the motor may run, by what. */
export function speedRange(driven: DriveStageInput): SpeedRange {
  const leasts = leastEnds(driven);
  const mosts = mostEnds(driven);
  return {
    least: leasts[0] ?? { share: 0, why: 'it holds its load at rest', source: PRACTICE },
    most: mosts[0] ?? { share: 1, why: 'its rated speed', source: PRACTICE },
    leasts,
    mosts,
  };
}

/** Bands around resonances, Hz. */
export const skipsOf = ({ brief }: Pick<DriveStageInput, 'brief'>): { readonly from: number; readonly to: number }[] =>
  (brief.given.drive.resonances?.flat() ?? []).map(({ value }) => ({ from: value - SKIP, to: value + SKIP }));

/** Hz the drive is let to: typed, else what the rows ask for, at least the base frequency, as far as the range goes. */
export function highestFrequency({ brief, motor, profile }: DriveStageInput, { most }: SpeedRange): number {
  const typed = brief.given.drive.mostFrequency;
  if (typed) return typed.value;
  const asked = profile.points.filter(({ hours }) => hours > 0).map(({ speed }) => speed);
  return Math.min(most.share, Math.max(deltaShare(brief), ...asked)) * motor.frequency;
}

/** What the motor may be asked at every speed, and what the load asks. */
export function rangePicture(driven: DriveStageInput, range: SpeedRange): RangePicture {
  const { share } = driven;
  const reach = Math.min(3, Math.max(1.2, Math.min(REACH, range.most.share * 1.15)));
  const cooled = cooledRange(driven);
  const shares = Array.from({ length: STEPS + 1 }, (_, at) => (reach * at) / STEPS);
  return {
    ...range,
    shares,
    continuous: shares.map((each) => continuousTorque(driven, each, cooled)),
    short: shares.map((each) => shortTorque(driven, each)),
    load: share === undefined ? undefined : shares.map((each) => loadTorque(driven, share, each)),
    skips: skipsOf(driven).map(({ from, to }) => ({
      from: from / driven.motor.frequency,
      to: to / driven.motor.frequency,
    })),
  };
}
