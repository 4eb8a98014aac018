import type { StageContext } from '../stage.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';

export interface CabinetHeat {
  readonly losses: Value;
  readonly area: Value;
  /** What the walls carry away at the temperature the drive bears. */
  readonly walls: Value;
  /** Air needed for the rest; undefined where the walls suffice. */
  readonly air: Value | undefined;
  readonly filterInterval: Value | undefined;
  /** Inside temperature without any fan. */
  readonly inside: Value;
}

const SEA_LEVEL_DENSITY = 1.2;
const AIR_HEAT = 1005;
const SCALE_HEIGHT = 8500;

/**
 * Heat balance of a free-standing cabinet: losses against wall area · k · ΔT, and the air flow that carries the rest,
 * V̇ = (P − k A ΔT) / (ρ c_p ΔT). Rear wall and floor pass no heat. Undefined until the three dimensions are typed.
 */
export function cabinetHeat(
  { given, practice, job }: StageContext,
  losses: Value,
  ambient: Value,
  altitude: Value,
): CabinetHeat | undefined {
  const { school } = job;
  const { cabinetHeight: h, cabinetWidth: w, cabinetDepth: d, otherHeat } = given.place;
  if (!h || !w || !d) return undefined;
  const area = quantity(h.value * w.value + 2 * h.value * d.value + w.value * d.value, 'count', {
    formula: 'A = h w + 2 h d + w d',
    from: { h, w, d },
    source: 'front, sides and top; back and floor pass no heat',
    note: 'In square metres.',
  });
  const heat = quantity(losses.value + (otherHeat?.value ?? 0), 'power', {
    origin: 'estimated',
    formula: 'P = P_{drive} + P_{other}',
    from: { 'P_{drive}': losses, 'P_{other}': otherHeat },
    source: 'definition',
  });
  const rise = practice.driveAmbient.value - ambient.value;
  const walls = quantity(Math.max(0, practice.wallTransfer.value * area.value * rise), 'power', {
    origin: 'estimated',
    formula: 'P_w = k\\,A\\,\\Delta T',
    from: { k: practice.wallTransfer, A: area, 'T_{in}': practice.driveAmbient, 'T_{out}': ambient },
    source: 'heat transfer through walls; k: ' + PRACTICE,
  });
  const density = SEA_LEVEL_DENSITY * Math.exp(-altitude.value / SCALE_HEIGHT);
  const left = heat.value - walls.value;
  const air =
    left > 0 && rise > 1
      ? quantity(left / (density * AIR_HEAT * rise), 'flow', {
          origin: 'estimated',
          formula: '\\dot V = \\dfrac{P - P_w}{\\rho\\,c_p\\,\\Delta T}',
          from: { P: heat, P_w: walls, h: altitude },
          source: 'heat carried by air, 1.2 kg/m³ at sea level',
          note: `${formatAir(left / (density * AIR_HEAT * rise), school)}.`,
        })
      : undefined;
  return {
    losses: heat,
    area,
    walls,
    air,
    filterInterval: air && (job.place.dust === 'clean' ? practice.filterMonthsClean : practice.filterMonthsDirty),
    inside: quantity(ambient.value + heat.value / (practice.wallTransfer.value * area.value), 'temperature', {
      origin: 'estimated',
      formula: 'T_{in} = T_{out} + \\dfrac{P}{k\\,A}',
      from: { P: heat, k: practice.wallTransfer, A: area, 'T_{out}': ambient },
      source: 'heat balance without a fan',
    }),
  };
}

/** Air is bought in m³/h or cfm, whatever liquids are counted in. */
const formatAir = (flow: number, school: StandardsSystem): string =>
  school === 'NEMA' ? `${Math.ceil(flow * 2118.88)} cfm` : `${Math.ceil(flow * 3600)} m³/h`;
