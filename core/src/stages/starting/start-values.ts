import { evidenceOf } from '../../motor/typical.ts';
import { say } from '../../kernel/text.ts';
import type { Text } from '../../kernel/text.ts';
import { PRACTICE, quantity, textValue } from '../../kernel/value.ts';
import type { Comparison } from './comparison.ts';
import { guaranteeSource, type Guaranteed } from './minimum-torque.ts';
import type { Start } from './run-start.ts';
import type { StartKnown } from './start-known.ts';
import type { StartingValues } from './values.ts';

/** Torques that the start may count on, and what it has to move and bear. */
export function whateverStarts({ totalInertia, stall, guaranteed }: StartKnown): StartingValues {
  const { lockedRotor, pullUp, breakdown }: Guaranteed = guaranteed;
  return {
    totalInertia,
    stallTime: stall,
    guaranteedLockedRotor: lockedRotor,
    ...(pullUp ? { guaranteedPullUp: pullUp } : {}),
    guaranteedBreakdown: breakdown,
  };
}

/** Figures of the start that was chosen. */
export function chosenStart(chosen: Comparison, start: Start, why: Text, known: StartKnown): StartingValues {
  const { supply, guaranteed } = known;
  const simulated = simulatedOn(known);
  const { changeover } = start.run;
  return {
    method: textValue(chosen.method, { origin: 'chosen', source: PRACTICE, note: why }),
    startingCurrent: quantity(chosen.current, 'current', { ...simulated, formula: 'I_s', from: {} }),
    startingTorque: quantity(chosen.torque, 'fraction', {
      ...simulated,
      formula: 'T_s / T_n',
      from: { 'T_{s,n}': guaranteed.lockedRotor, V: supply.values.lowestVoltage },
      source: say`${guaranteeSource(guaranteed)}; T ∝ V²`,
    }),
    ...(chosen.dip === undefined
      ? {}
      : {
          startingDip: quantity(chosen.dip, 'fraction', {
            ...simulated,
            formula: '1 - |V_{bus}| / |V_{before}|',
            from: { Z: supply.source?.internalValue, Z_f: supply.source?.feederValue },
          }),
        }),
    ...(start.run.reached ? runUpValues(chosen, start, known) : {}),
    ...(changeover
      ? { changeoverCurrent: quantity(changeover.current, 'current', { ...simulated, formula: 'I' }) }
      : {}),
  };
}

const simulatedOn = ({ motor }: StartKnown) => ({
  origin: 'estimated' as const,
  evidence: evidenceOf(motor),
  source:
    'Quasi-steady run-up of the fitted circuit, with no more torque than is guaranteed, behind source and feeder (Runge–Kutta of order four)',
  note: `Holds for ${motor.label}.`,
});

/** Of a start that comes up to speed. */
function runUpValues(chosen: Comparison, start: Start, known: StartKnown): StartingValues {
  const { totalInertia, stall } = known;
  const simulated = simulatedOn(known);
  const holds = start.leastClass === undefined ? 'none holds' : `class ${start.leastClass}, the fastest that holds`;
  return {
    accelerationTime: quantity(start.run.time, 'duration', {
      ...simulated,
      formula: 't = \\int \\dfrac{J\\,d\\omega}{T_m - T_L}',
      from: { J: totalInertia },
    }),
    torqueMargin: quantity(start.run.leastMargin, 'fraction', {
      ...simulated,
      formula: '\\min (T_m - T_L) / T_n',
    }),
    rotorHeat: quantity(chosen.heat, 'fraction', {
      ...simulated,
      formula: '\\dfrac{\\int T\\,(\\omega_s - \\omega)\\,dt}{P_{\\delta,1}\\,t_{stall}}',
      from: { 't_{stall}': stall, J: totalInertia },
    }),
    ...(chosen.method === 'drive'
      ? {}
      : {
          tripClass: textValue(holds, {
            origin: 'estimated',
            formula: '\\dfrac{d\\theta}{dt} = \\dfrac{i^2 - \\theta}{\\tau}',
            source: 'IEC 60947-4-1 Table 2 (recalled from memory), relay at its fast edge',
            note: simulated.note,
          }),
        }),
  };
}
