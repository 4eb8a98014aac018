import type { Text } from '../../kernel/text.ts';
import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import { inputOnLine } from '../../motor/part-load.ts';
import { sizeText, standardPowers } from '../../motor/standard-power.ts';
import { typicalMotor } from '../../motor/typical.ts';

/** What one standard size would do at this load. */
export interface SizeChoice {
  readonly size: Text;
  readonly loadShare: number;
  readonly efficiency: number;
  readonly powerFactor: number;
  readonly chosen: boolean;
}

/** The load whose sizes are compared, in SI. */
interface Sized {
  readonly school: StandardsSystem;
  readonly shaftPower: number;
  /** The size that was chosen. */
  readonly chosen: number;
  readonly poles: number;
  readonly frequency: number;
  readonly voltage: number;
  readonly fixedShare: number;
}

/**
 * The sizes around the chosen one with the efficiency and power factor each would have at this load: what a margin costs.
 * Current at part load is √((y·I_a)² + I_m²), I_m from the rated power factor (per-phase circuit, leakage left out).
 */
export function compareSizes({
  school,
  shaftPower,
  chosen,
  poles,
  frequency,
  voltage,
  fixedShare,
}: Sized): SizeChoice[] {
  const sizes = standardPowers(school);
  const at = sizes.findIndex((size) => Math.abs(size / chosen - 1) < 1e-6);
  return sizes.slice(Math.max(0, at - 1), at + 4).flatMap((power): SizeChoice[] => {
    const motor = typicalMotor({ power, poles, frequency, voltage }, school === 'NEMA' ? 'premium' : 'IE3', school);
    if (!motor) return [];
    const input = inputOnLine({ ...motor, efficiencyMinimum: motor.efficiency }, shaftPower, fixedShare);
    const active = input / (Math.sqrt(3) * voltage);
    const magnetising = motor.current * Math.sqrt(1 - motor.powerFactor ** 2);
    return [
      {
        size: sizeText(power),
        loadShare: shaftPower / power,
        efficiency: shaftPower / input,
        powerFactor: active / Math.hypot(active, magnetising),
        chosen: power === sizes[at],
      },
    ];
  });
}
