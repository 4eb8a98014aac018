import { say } from '../../kernel/text.ts';
import type { Inputs } from '../../job/inputs.ts';
import type { Job } from '../../job/job.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

/** Utilization voltage for a nominal system voltage (MG 1 and C84.1 practice, from memory): 480 → 460 and so on. */
const utilization: Readonly<Record<number, number>> = { 208: 200, 240: 230, 480: 460, 600: 575 };

export const utilizationVoltage = (system: number): number => utilization[Math.round(system)] ?? system;

type Groups = readonly (readonly Value[])[];

/** The rating of the plate that is in force on this supply. */
export interface ConnectedRating {
  readonly power?: Value;
  readonly voltage?: Value;
  readonly current?: Value;
  readonly frequency: Value;
  readonly speed?: Value;
  readonly efficiency?: Value;
  readonly powerFactor?: Value;
  readonly serviceFactor?: Value;
  /** Voltage and current the winding is made for, where the connected voltage is the low end of a range: 230 of 208-230. */
  readonly winding?: { readonly voltage: Value; readonly current: Value };
  /** Every voltage on the plate, for checks against the supply. */
  readonly voltages: readonly Value[];
  /** False while a plate of several voltages does not say which one is connected. */
  readonly voltageKnown: boolean;
  /** The speeds of a two-speed plate, and which of them is in force. */
  readonly speeds?: {
    readonly all: readonly Value[];
    /** At each of them; undefined where the plate does not tell them apart. */
    readonly currents: readonly (Value | undefined)[];
    readonly chosen: number;
    readonly settled: boolean;
    /** The starter switches between them; the fastest is chosen. */
    readonly both: boolean;
  };
  /** The plate’s own rating, where it runs at another frequency with the same volts per hertz. */
  readonly shiftedFrom?: { readonly voltage: Value; readonly frequency: Value; readonly power: Value | undefined };
  readonly doubts: readonly ('pairing' | 'several ratings' | 'frequency assumed')[];
}

const distance = (a: number, b: number): number => Math.abs(Math.log(a / b));

function nearest(groups: Groups, target: number | undefined): [number, number] {
  let best: [number, number] = [0, 0];
  groups.forEach((group, g) =>
    group.forEach((value, i) => {
      const chosen = groups[best[0]]?.[best[1]]?.value ?? value.value;
      const better =
        target === undefined ? value.value > chosen : distance(value.value, target) < distance(chosen, target);
      if (better) best = [g, i];
    }),
  );
  return best;
}

/** What tells which voltage is connected: the system’s, or what was measured at the motor. */
function connectedVoltage({ supply, load }: Inputs['given']): number | undefined {
  if (supply.voltage) return utilizationVoltage(supply.voltage.value);
  const readings = supply.phaseVoltages?.flat() ?? [];
  const mean = readings.reduce((sum, each) => sum + each.value, 0) / Math.max(1, readings.length);
  return load.runningVoltage?.value ?? (readings.length === 3 ? mean : undefined);
}

/** Speeds further apart than this are two speeds; nearer ones are one speed at several voltages. */
const TWO_SPEED = 0.1;

/**
 * Which of the ratings on the plate is in force: voltages and currents pair up by position, the connected pair is the
 * one nearest the supply’s utilization voltage (the highest where no supply is known), 50/60 Hz data pair by frequency,
 * two-speed data by the speed chosen. On another frequency with the same volts per hertz the rating moves with it.
 */
export function connectedRating(given: Inputs['given'], job: Pick<Job, 'school' | 'nameplate'>): ConnectedRating {
  const { school } = job;
  const { supply } = given;
  const plate = ratingSet(given);
  const doubts: ConnectedRating['doubts'][number][] = [];

  const frequencies = plate.frequency?.flat() ?? [];
  const wanted = supply.frequency?.value;
  const match = frequencies.findIndex((each) => wanted !== undefined && distance(each.value, wanted) < 0.05);
  const at = Math.max(0, match);
  if (frequencies.length === 0) doubts.push('frequency assumed');
  const frequency =
    frequencies[at] ??
    quantity(wanted ?? (school === 'NEMA' ? 60 : 50), 'frequency', {
      origin: 'estimated',
      source: PRACTICE,
      assumes: 'nameplate.frequency',
    });

  const { voltages: groups, currents } = apart(plate.voltages ?? [], plate.currents ?? []);
  const target = connectedVoltage(given);
  const [g, i] = nearest(groups, target);
  const flatIndex = groups.slice(0, g).reduce((sum, group) => sum + group.length, i);
  const voltages = groups.flat();
  const voltageKnown = voltages.length < 2 || target !== undefined;

  const speeds = twoSpeeds();
  const rated = (values: readonly Value[] | undefined): Value | undefined => {
    const count = values?.length ?? 0;
    if (!values || count < 2) return values?.[0];
    if (count === frequencies.length) return values[at];
    if (speeds && count === speeds.all.length) return values[speeds.chosen];
    if (count === voltages.length) return values[flatIndex];
    doubts.push('several ratings');
    return values[0];
  };
  const power = rated(plate.power?.flat());
  const speed = rated(plate.speed?.flat());
  const efficiency = rated(plate.efficiency?.flat());
  const powerFactor = rated(plate.powerFactor?.flat());

  const taken = (value: Value | undefined): Value | undefined =>
    value === undefined || voltageKnown
      ? value
      : {
          ...value,
          origin: 'estimated',
          evidence: 'assumed',
          assumes: ['supply.voltage'],
          working: { ...value.working, note: 'The connected voltage is not known; the highest on the plate is taken.' },
        };
  const voltage = taken(groups[g]?.[i]);
  const current = taken(pairedCurrent(groups, currents, g, i, speeds));
  if (currents.length > 0 && groups.length > 0 && !current) doubts.push('pairing');
  const top = groups[g]?.toSorted((a, b) => b.value - a.value)[0];
  const topAt = top ? (groups[g]?.indexOf(top) ?? i) : i;
  const topCurrent = top && top !== groups[g]?.[i] ? pairedCurrent(groups, currents, g, topAt, speeds) : undefined;

  const own: ConnectedRating = {
    frequency,
    voltages,
    voltageKnown,
    doubts: [...new Set(doubts)],
    ...(speeds ? { speeds } : {}),
    ...(power ? { power } : {}),
    ...(speed ? { speed } : {}),
    ...(voltage ? { voltage } : {}),
    ...(current ? { current } : {}),
    ...(efficiency ? { efficiency } : {}),
    ...(powerFactor ? { powerFactor } : {}),
    ...(plate.serviceFactor ? { serviceFactor: plate.serviceFactor } : {}),
    ...(top && topCurrent ? { winding: { voltage: top, current: topCurrent } } : {}),
  };
  return atSameFlux(own, given);

  function twoSpeeds(): ConnectedRating['speeds'] {
    const all = plate.speed?.flat() ?? [];
    const [first] = all;
    if (!first || all.length < 2 || all.length === frequencies.length) return undefined;
    if (all.every((each) => distance(each.value, first.value) < TWO_SPEED)) return undefined;
    const { speedInForce } = job.nameplate;
    const fastest = all.reduce((most, each, index) => (each.value > (all[most]?.value ?? 0) ? index : most), 0);
    const named = { ask: -1, first: 0, second: 1, both: fastest }[speedInForce];
    const each = currents.flat();
    const told = groups.flat().length === 1 && each.length === all.length;
    return {
      all,
      currents: all.map((_, index) => (told ? each[index] : undefined)),
      chosen: Math.min(Math.max(0, named), all.length - 1),
      settled: named >= 0,
      both: speedInForce === 'both',
    };
  }
}

/** Flux within this share of rated is the rated flux. Common practice, no published source. */
const SAME_FLUX = 0.05;

/**
 * A rating on another frequency, where the system keeps its volts per hertz: torque and current stay, power and field go
 * with frequency, the slip speed stays. As it was where flux would not stay within 5 %, or where a speed is missing.
 */
function atSameFlux(rating: ConnectedRating, { supply }: Inputs['given']): ConnectedRating {
  const { voltage, frequency, speed, power } = rating;
  if (!voltage || !speed || !supply.voltage || !supply.frequency || frequency.origin !== 'given') return rating;
  const k = supply.frequency.value / frequency.value;
  if (Math.abs(k - 1) <= SAME_FLUX) return rating;
  const flux = (system: number): number => system / voltage.value / k;
  const near = [supply.voltage.value, utilizationVoltage(supply.voltage.value)].some(
    (system) => Math.abs(flux(system) - 1) <= SAME_FLUX,
  );
  if (!near) return rating;
  const pairs = Math.floor((2 * Math.PI * frequency.value) / speed.value + 1e-9);
  if (pairs < 1) return rating;
  const field = (hertz: number): number => (2 * Math.PI * hertz) / pairs;
  const how = {
    origin: 'estimated' as const,
    source: `constant volts per hertz and torque; 5 % flux taken as safe: ${PRACTICE}`,
    note: say`The plate’s ${voltage} ${frequency} rating moved to ${supply.frequency}.`,
  };
  const moved = (value: Value, dimension: 'voltage' | 'power', symbol: string): Value =>
    quantity(value.value * k, dimension, {
      ...how,
      formula: `${symbol}' = ${symbol}\\,\\dfrac{f'}{f}`,
      from: { [symbol]: value, "f'": supply.frequency, f: frequency },
    });
  return {
    ...rating,
    shiftedFrom: { voltage, frequency, power },
    frequency: supply.frequency,
    voltage: moved(voltage, 'voltage', 'V'),
    ...(power ? { power: moved(power, 'power', 'P') } : {}),
    speed: quantity(field(supply.frequency.value) - (field(frequency.value) - speed.value), 'speed', {
      ...how,
      formula: "n' = n_s' - (n_s - n)",
      from: { n: speed, "f'": supply.frequency, f: frequency },
    }),
  };
}

/** The plate’s second rating set where the supply’s frequency is its frequency. What it leaves out is as in the first. */
function ratingSet({ nameplate: plate, supply }: Inputs['given']): Inputs['given']['nameplate'] {
  const wanted = supply.frequency?.value;
  const second = plate.altFrequency?.value;
  const first = plate.frequency?.[0]?.[0]?.value;
  if (wanted === undefined || second === undefined || first === undefined) return plate;
  if (distance(second, wanted) >= distance(first, wanted)) return plate;
  return {
    ...plate,
    frequency: [[plate.altFrequency as Value]],
    ...(plate.altPower ? { power: [[plate.altPower]] } : {}),
    ...(plate.altVoltages ? { voltages: plate.altVoltages } : {}),
    ...(plate.altCurrents ? { currents: plate.altCurrents } : {}),
    ...(plate.altSpeed ? { speed: [[plate.altSpeed]] } : {}),
    ...(plate.altEfficiency ? { efficiency: [[plate.altEfficiency]] } : {}),
    ...(plate.altPowerFactor ? { powerFactor: [[plate.altPowerFactor]] } : {}),
    ...(plate.altServiceFactor ? { serviceFactor: plate.altServiceFactor } : {}),
  };
}

/** Voltages further apart than this are no range of one winding but two connections: 230-460 is 230/460. */
const ONE_RANGE = 1.2;

/** Old plates write 230-460 for two connections; their currents are set apart with them. */
function apart(voltages: Groups, currents: Groups): { readonly voltages: Groups; readonly currents: Groups } {
  const far = (group: readonly Value[]): boolean =>
    group.some((each) => each.value / Math.min(...group.map(({ value }) => value)) > ONE_RANGE);
  if (!voltages.some(far)) return { voltages, currents };
  const split = (groups: Groups): Groups =>
    groups.flatMap((group, at) => (far(voltages[at] ?? []) ? group.map((each) => [each]) : [group]));
  const paired =
    currents.length === voltages.length && currents.every((group, at) => group.length === voltages[at]?.length);
  return { voltages: split(voltages), currents: paired ? split(currents) : currents };
}

/** Currents stand in the order of the voltages, group by group or one for one: 208-230/460 with 40-38/19. */
function pairedCurrent(
  voltages: Groups,
  currents: Groups,
  g: number,
  i: number,
  speeds: ConnectedRating['speeds'],
): Value | undefined {
  // A two-speed plate prints a current for each speed at one voltage.
  const ofSpeed = speeds?.currents[speeds.chosen];
  if (ofSpeed) return ofSpeed;
  if (currents.length === voltages.length) {
    const group = currents[g] ?? [];
    return group.length === voltages[g]?.length ? group[i] : group.at(-1);
  }
  const flat = currents.flat();
  const index = voltages.slice(0, g).reduce((sum, group) => sum + group.length, i);
  return flat.length === voltages.flat().length ? flat[index] : undefined;
}
