import { figures, say } from '../../kernel/text.ts';
import { type Complex } from '../../kernel/complex.ts';
import { PRACTICE, quantity, type Value } from '../../kernel/value.ts';
import { terminalImpedance } from '../../motor/circuit.ts';
import { fitOf } from '../../motor/fit-motor.ts';
import { evidenceOf, type Motor } from '../../motor/typical.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { StageContext } from '../stage.ts';
import type { Fed } from './fed.ts';
import { flickerOf } from './flicker.ts';
import { dipOf } from './source.ts';
import type { SupplyValues } from './values.ts';

/** What a direct start of the motor would do to this supply; which start is used is decided later. */
export function directStart(
  fed: Fed,
): Pick<SupplyValues, 'directBusDip' | 'directTerminalDip' | 'directFirstDip' | 'directFlicker'> {
  const { brief, source, motor, load } = fed;
  const { given } = brief;
  if (!source || !motor) return {};
  const powerFactor = standstillPowerFactor(motor, brief);
  const start = {
    voltage: motor.voltage,
    current: motor.lockedRotorCurrent,
    powerFactor: powerFactor.value,
    limited: false,
  };
  const dip = dipOf(source, start);
  const how = {
    origin: 'estimated' as const,
    from: {
      Z: source.internalValue,
      Z_f: source.feederValue,
      I_s: quantity(motor.lockedRotorCurrent, 'current', {
        origin: 'estimated',
        evidence: evidenceOf(motor),
        source: motor.label,
      }),
      '\\cos\\varphi_s': powerFactor,
    },
    source: 'Phasors of source, feeder, other load and standing motor',
    note: `Direct start of ${motor.label}.`,
  };
  const directBusDip = quantity(dip.bus, 'fraction', { ...how, formula: '1 - |V_{bus}| / |V_{before}|' });
  const firstDip = (internal: Complex): Value =>
    quantity(dipOf({ ...source, internal }, start).bus, 'fraction', {
      ...how,
      from: { ...how.from, "X''_d": given.supply.subtransientReactance, "X'_d": given.supply.sourceImpedance },
      formula: '1 - |V_{bus}| / |V_{before}|',
      note: `${how.note} By X″d${given.supply.subtransientReactance ? '' : `, taken as 0.65 X′d (${PRACTICE})`}; within some cycles the dip grows to that by X′d, until the regulator lifts the voltage again.`,
    });
  return {
    directBusDip,
    directTerminalDip: quantity(dip.terminals, 'fraction', {
      ...how,
      formula: '1 - |V_{motor}| / |V_{before}|',
    }),
    ...(source.firstInternal ? { directFirstDip: firstDip(source.firstInternal) } : {}),
    ...flickerValue(directBusDip, load),
  };
}

/** From the circuit fitted to the motor, the same that starting runs up. */
export function standstillPowerFactor(of: Motor, { given, practice }: StageContext): Value {
  const fit = fitOf(of, given.starting, practice.fixedLossShare.value);
  if (!fit) return practice.lockedRotorPowerFactor;
  const { re, im } = terminalImpedance(fit.circuit, 1);
  return quantity(re / Math.hypot(re, im), 'powerFactor', {
    origin: 'estimated',
    evidence: evidenceOf(of),
    source: 'per-phase circuit fitted to the motor, at standstill',
  });
}

function flickerValue(dip: Value, load: LoadResult): Pick<SupplyValues, 'directFlicker'> {
  const starts = load.values.startsPerHour;
  if (!starts) return {};
  const { shortTerm, longTerm } = flickerOf(dip.value, starts.value);
  return {
    directFlicker: quantity(shortTerm, 'count', {
      origin: 'estimated',
      formula: 'P_{st} = \\left(\\dfrac{z\\,2.3\\,d^{3.2}}{T}\\right)^{1/3.2}',
      from: { d: dip, z: starts },
      source: 'IEC 61000-3-3, analytical method (from memory)',
      note: say`Long-term severity ${figures(longTerm, 2)}; limits 1 and 0.65.`,
    }),
  };
}
