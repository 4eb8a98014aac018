import type { Inputs } from '../inputs.ts';
import type { School } from '../quantity/units.ts';
import { PRACTICE, quantity, type Value } from '../value.ts';

/** Utilization voltage for a nominal system voltage (MG 1 and C84.1 practice, from memory): 480 → 460 and so on. */
const utilization: Readonly<Record<number, number>> = { 208: 200, 240: 230, 480: 460, 600: 575 };

export const utilizationVoltage = (system: number): number => utilization[Math.round(system)] ?? system;

interface ConnectedRating {
  readonly power?: Value;
  readonly voltage?: Value;
  readonly current?: Value;
  readonly frequency: Value;
  readonly speed?: Value;
  /** Every voltage on the plate, for checks against the supply. */
  readonly voltages: readonly Value[];
  readonly doubts: readonly ('pairing' | 'several ratings' | 'frequency assumed')[];
}

const distance = (a: number, b: number): number => Math.abs(Math.log(a / b));

function nearest(groups: readonly (readonly Value[])[], target: number | undefined): [number, number] {
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

/**
 * Which of the ratings on the plate is in force: voltages and currents pair up by position, the connected pair is the
 * one nearest the supply’s utilization voltage (the highest where no supply is known), and 50/60 Hz data pair by frequency.
 */
export function connectedRating(given: Inputs['given'], school: School): ConnectedRating {
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
    quantity(wanted ?? (school === 'NEMA' ? 60 : 50), 'frequency', school, { origin: 'estimated', source: PRACTICE });

  const rated = (groups: readonly (readonly Value[])[] | undefined): Value | undefined => {
    const values = groups?.flat() ?? [];
    if (values.length > 1 && values.length !== frequencies.length) doubts.push('several ratings');
    return values.length === frequencies.length ? values[at] : values[0];
  };
  const power = rated(plate.power);
  const speed = rated(plate.speed);

  const groups = plate.voltages ?? [];
  const [g, i] = nearest(groups, supply.voltage && utilizationVoltage(supply.voltage.value));
  const voltage = groups[g]?.[i];
  const currents = plate.currents ?? [];
  const current = pairedCurrent(groups, currents, g, i, plate.power?.flat().length ?? 1);
  if (currents.length > 0 && groups.length > 0 && !current) doubts.push('pairing');

  return {
    frequency,
    voltages: groups.flat(),
    doubts: [...new Set(doubts)],
    ...(power ? { power } : {}),
    ...(speed ? { speed } : {}),
    ...(voltage ? { voltage } : {}),
    ...(current ? { current } : {}),
  };
}

/** The plate’s second rating set where the supply’s frequency is its frequency. What it leaves out is as in the first. */
export function ratingSet({ nameplate: plate, supply }: Inputs['given']): Inputs['given']['nameplate'] {
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
    ...(plate.altEfficiency ? { efficiency: plate.altEfficiency } : {}),
    ...(plate.altPowerFactor ? { powerFactor: plate.altPowerFactor } : {}),
    ...(plate.altServiceFactor ? { serviceFactor: plate.altServiceFactor } : {}),
  };
}

/** Currents stand in the order of the voltages, group by group or one for one: 208-230/460 with 40-38/19. */
function pairedCurrent(
  voltages: readonly (readonly Value[])[],
  currents: readonly (readonly Value[])[],
  g: number,
  i: number,
  ratings: number,
): Value | undefined {
  if (currents.length === voltages.length) {
    const group = currents[g] ?? [];
    return group.length === voltages[g]?.length ? group[i] : group.at(-1);
  }
  // A two-speed plate prints a current for each power at one voltage; the first is in force, like the first power.
  if (voltages.flat().length === 1 && ratings > 1 && currents.flat().length === ratings) return currents.flat()[0];
  const flat = currents.flat();
  const index = voltages.slice(0, g).reduce((sum, group) => sum + group.length, i);
  return flat.length === voltages.flat().length ? flat[index] : undefined;
}
