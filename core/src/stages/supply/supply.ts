import { say, type Text } from '../../kernel/text.ts';
import type { LoadResult } from '../load/load-result.ts';
import { referenceMotor } from '../load/reference-motor.ts';
import { utilizationVoltage } from '../nameplate/connected-rating.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { notebook, type StageContext, type StageResult } from '../stage.ts';
import { magnitude } from '../../kernel/complex.ts';
import { quantity, type Value } from '../../kernel/value.ts';
import { directStart } from './direct-start.ts';
import type { Fed } from './fed.ts';
import type { Report } from './findings.ts';
import { declaration } from './declaration.ts';
import { checkLoading, feederInUse } from './loading.ts';
import { phasorsOf, type Phasors } from './phasors.ts';
import { checkPlateVoltage } from './plate-voltage.ts';
import { lowestVoltageOf, unbalance } from './readings.ts';
import { sourceOf, type Source } from './source.ts';
import { meanPrice } from './tariff.ts';
import type { SupplyValues } from './values.ts';

export interface SupplyResult extends StageResult<SupplyValues> {
  /** The supply as impedances, once its strength is known. */
  readonly source: Source | undefined;
  /** One phase while the motor runs and starts. */
  readonly phasors: readonly Phasors[];
}

/** What the motor is fed from, and whether its winding suits it. */
export function supply(brief: StageContext, nameplate: NameplateResult, load: LoadResult): SupplyResult {
  const { findings, missing, report, ...ask } = notebook(declaration);
  const fed = fedOf(brief, nameplate, load);
  const { voltage, frequency, motorVoltage, source } = fed;
  askFor(fed, ask);
  checkLoading(fed, report);
  const feeder = feederInUse(fed, report);
  const lowestVoltage = lowestVoltageOf(fed, report);
  checkSource(brief, report);
  const energyPrice = meanPrice(brief, report);
  if (brief.job.situation.kind !== 'new') checkPlateVoltage(fed, report);
  const values: SupplyValues = {
    ...unbalance(fed, report),
    ...(voltage ? { voltage } : {}),
    ...(frequency ? { frequency } : {}),
    ...(motorVoltage ? { motorVoltage } : {}),
    ...strengthOf(fed),
    ...(source?.internalValue ? { sourceImpedance: source.internalValue } : {}),
    ...(source?.feederValue ? { feederImpedance: source.feederValue } : {}),
    ...(lowestVoltage ? { lowestVoltage } : {}),
    ...feeder,
    ...directStart(fed),
    ...(energyPrice ? { energyPrice } : {}),
  };
  return { values, findings, missing, summary: summaryOf(fed), source, phasors: phasorsOf(fed) };
}

function fedOf(brief: StageContext, nameplate: NameplateResult, load: LoadResult): Fed {
  const { job, given } = brief;
  const { voltage } = given.supply;
  const frequency = given.supply.frequency ?? frequencyOnPlate(brief);
  const usual = job.school === 'NEMA' ? 60 : 50;
  const motorVoltage =
    voltage &&
    quantity(utilizationVoltage(voltage.value), 'voltage', {
      formula: 'V_{system} \\to V_{motor}',
      from: { 'V_{system}': voltage },
      source: 'MG 1 and ANSI C84.1 utilization voltages (from memory)',
    });
  return {
    brief,
    nameplate,
    load,
    voltage,
    frequency,
    motorVoltage,
    motor: motorVoltage && referenceMotor(job, nameplate, load, motorVoltage.value),
    source: voltage && sourceOf(brief, voltage.value, frequency?.value ?? usual),
  };
}

/** The plate of a motor that is there tells the frequency of its system, unless it names two. */
function frequencyOnPlate({ given, job }: StageContext): Value | undefined {
  const printed = given.nameplate.frequency?.flat() ?? [];
  if (job.situation.kind === 'new' || printed.length !== 1 || given.nameplate.altFrequency) return undefined;
  const [only] = printed;
  return only && { ...only, working: { ...only.working, note: 'As the plate prints it.' } };
}

type Ask = Readonly<Record<'require' | 'suggest', (field: string, message: string) => void>>;

function askFor({ brief: { job, given }, voltage, frequency, source }: Fed, { require, suggest }: Ask): void {
  if (!voltage) require('supply.voltage', 'System voltage, to choose motor voltage, drive and protection');
  if (!frequency) require('supply.frequency', 'System frequency');
  if (!source) {
    suggest(
      job.supply.source === 'fault level' ? 'supply.faultCurrent' : 'supply.sourcePower',
      'Rated power and impedance of the source, or its fault level, for the voltage dip during starting',
    );
  }
  const { feederLength } = given.supply;
  const { feederSize } = job.supply;
  if (feederLength && !feederSize) suggest('supply.feederSize', 'Feeder conductor size, for its voltage drop');
  if (!feederLength && feederSize) suggest('supply.feederLength', 'Feeder length, for its voltage drop');
}

/** Reactances of a generator in their order, and phases enough for a motor. */
function checkSource({ job, given, practice }: StageContext, report: Report): void {
  const { subtransientReactance: first, sourceImpedance: transient } = given.supply;
  if (job.supply.source === 'generator' && first && transient && first.value > transient.value) {
    report(
      'supply.reactances-swapped',
      say`X″d of ${first} is above X′d of ${transient}; in every generator it is below.`,
      {
        mends: [
          {
            label: 'Swap the two',
            set: {
              'supply.subtransientReactance': String(job.supply.sourceImpedance),
              'supply.sourceImpedance': String(job.supply.subtransientReactance),
            },
          },
        ],
      },
    );
  }
  if (job.supply.phases === '1')
    report(
      'supply.single-phase',
      say`A three-phase motor does not start on a single-phase supply; only a drive runs it there, at ${practice.singlePhaseShare} of the drive’s current, and only where its maker allows it.`,
    );
}

function strengthOf({ voltage, source }: Fed): Pick<SupplyValues, 'shortCircuitPower'> {
  if (!voltage || !source) return {};
  return {
    shortCircuitPower: quantity(voltage.value ** 2 / magnitude(source.internal), 'apparentPower', {
      formula: 'S_k = \\dfrac{V^2}{Z}',
      from: { V: voltage, Z: source.internalValue },
      source: 'definition',
      note: 'At the bus, before the feeder.',
    }),
  };
}

function summaryOf({ brief, voltage, frequency }: Fed): Text {
  if (!voltage) return '';
  const { sourcePower, faultCurrent } = brief.given.supply;
  const strength = sourcePower ?? faultCurrent;
  return say`${voltage}${frequency ? say` ${frequency}` : ''}${strength ? say`, ${strength}` : ''}`;
}
