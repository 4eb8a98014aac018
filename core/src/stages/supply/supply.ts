import { findings as declared } from './findings.ts';
import type { SupplyValues } from './values.ts';
import { unbalanceOf } from '../../motor/unbalance.ts';
import { utilizationVoltage } from '../nameplate/connected-rating.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { formatNumber, formatQuantity } from '../../ground/quantity/format.ts';
import type { LoadResult } from '../load/load.ts';
import { terminalImpedance } from '../../motor/circuit.ts';
import { fitMotor, fitTargets } from '../../motor/fit-motor.ts';
import type { Motor } from '../../motor/typical.ts';
import { referenceMotor } from '../load/reference-motor.ts';
import { magnitude, type Complex } from '../../ground/complex.ts';
import { dipOf, sourceOf, startVoltage, type Source } from './source.ts';
import { feederAmpacity, runningDrop } from './feeder.ts';
import { flickerOf } from './flicker.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, type Value } from '../../ground/value.ts';

export interface SupplyResult extends StageResult<SupplyValues> {
  /** The supply as impedances, once its strength is known. */
  readonly source: Source | undefined;
}

const VOLTAGE_LIMIT = 0.1;
/** A line voltage further from the system’s is doubted. */
const READING_OFF = 0.12;
const FREQUENCY_LIMIT = 0.05;

/** What the motor is fed from, and whether its winding suits it. */
export function supply(brief: Brief, nameplate: NameplateResult, load: LoadResult): SupplyResult {
  const { job, given, rows, practice } = brief;
  const { findings, missing, flag, need, sharpen } = notebook('supply', declared);
  const { school } = job;
  const { voltage } = given.supply;
  const frequency = given.supply.frequency ?? frequencyOnPlate();
  const source = voltage && sourceOf(brief, voltage.value, frequency?.value ?? (school === 'NEMA' ? 60 : 50));
  if (!voltage) need('supply.voltage', 'System voltage, to choose motor voltage, drive and protection');
  if (!frequency) need('supply.frequency', 'System frequency');
  if (!source) {
    sharpen(
      job.supply.source === 'fault level' ? 'supply.faultCurrent' : 'supply.sourcePower',
      'Strength of the source (size and impedance, or fault level), to tell how much a start pulls the voltage down',
    );
  }

  const motorVoltage =
    voltage &&
    quantity(utilizationVoltage(voltage.value), 'voltage', school, {
      formula: 'V_{system} \\to V_{motor}',
      from: { 'V_{system}': voltage },
      source: 'MG 1 and ANSI C84.1 utilization voltages (from memory)',
    });
  const shortCircuitPower =
    voltage &&
    source &&
    quantity(voltage.value ** 2 / magnitude(source.internal), 'apparentPower', school, {
      formula: 'S_k = \\dfrac{V^2}{Z}',
      from: { V: voltage, Z: source.internalValue },
      source: 'definition',
      note: 'At the bus, before the feeder.',
    });
  const { feederLength, phaseVoltages } = given.supply;
  if (feederLength && !job.supply.feederSize)
    sharpen('supply.feederSize', 'Size of the feeder, to count its voltage drop');
  if (!feederLength && job.supply.feederSize)
    sharpen('supply.feederLength', 'Length of the feeder, to count its voltage drop');
  const motor = motorVoltage && referenceMotor(job, nameplate, load, motorVoltage.value);
  checkLoading();
  const feeder = checkFeeder();
  const lowestVoltage = lowest();
  const { subtransientReactance: first, sourceImpedance: transient } = given.supply;
  if (job.supply.source === 'generator' && first && transient && first.value > transient.value) {
    flag(
      'supply.reactances-swapped',
      `X″d of ${first.text} is above X′d of ${transient.text}; in every generator it is below.`,
    );
  }
  const direct = directStart();
  const energyPrice = meanPrice();

  if (job.supply.phases === '1')
    flag(
      'supply.single-phase',
      `A three-phase motor does not start on a single-phase supply; only a drive runs it there, at ${practice.singlePhaseShare.text} of the drive’s current, and only where its maker allows it.`,
    );
  if (job.situation.kind !== 'new') checkPlateVoltage();

  const readings = phaseVoltages?.flat() ?? [];
  checkReadings(readings);
  const balance = unbalanceOf(readings, school);
  if (balance && balance.unbalance.value > 0.01) {
    const severe = balance.derate === undefined;
    flag(
      'supply.unbalance',
      `The three voltages are ${balance.unbalance.text} out of balance${severe ? '; no motor may run on that' : `: the motor keeps ${balance.derate.text} of its power, and its currents are several times as unbalanced`}.`,
      { severity: severe ? 'stop' : 'caution' },
    );
  }

  const values: SupplyValues = {
    ...(balance ? { unbalance: balance.unbalance } : {}),
    ...(balance?.derate ? { unbalanceDerate: balance.derate } : {}),
    ...(voltage ? { voltage } : {}),
    ...(frequency ? { frequency } : {}),
    ...(motorVoltage ? { motorVoltage } : {}),
    ...(shortCircuitPower ? { shortCircuitPower } : {}),
    ...(source?.internalValue ? { sourceImpedance: source.internalValue } : {}),
    ...(source?.feederValue ? { feederImpedance: source.feederValue } : {}),
    ...(lowestVoltage ? { lowestVoltage } : {}),
    ...feeder,
    ...direct,
    ...(energyPrice ? { energyPrice } : {}),
  };
  const strength = given.supply.sourcePower ?? given.supply.faultCurrent;
  const summary = voltage
    ? `${voltage.text}${frequency ? ` ${frequency.text}` : ''}${strength ? `, ${strength.text}` : ''}`
    : '';
  return { values, findings, missing, summary, source };

  /** What already runs on the bus, and the motor’s own rating, against what the source can carry. */
  function checkLoading(): void {
    const { otherLoad, sourcePower } = given.supply;
    if (!sourcePower || job.supply.source === 'fault level') return;
    const own = motor ? Math.sqrt(3) * motor.voltage * motor.current : 0;
    const total = (otherLoad?.value ?? 0) + own;
    if (total <= sourcePower.value) return;
    flag(
      'supply.overloaded',
      otherLoad
        ? `The other load of ${otherLoad.text}${own > 0 ? ` and this motor’s ${formatQuantity(own, 'apparentPower', school)}` : ''} are more than the ${sourcePower.text} of the source.`
        : `This motor alone takes ${formatQuantity(own, 'apparentPower', school)}, more than the ${sourcePower.text} of the source.`,
      { field: otherLoad ? 'supply.otherLoad' : 'supply.sourcePower' },
    );
  }

  /** The plate of a motor that is there tells the frequency of its system, unless it names two. */
  function frequencyOnPlate(): Value | undefined {
    const printed = given.nameplate.frequency?.flat() ?? [];
    if (job.situation.kind === 'new' || printed.length !== 1 || given.nameplate.altFrequency) return undefined;
    const [only] = printed;
    return only && { ...only, working: { ...only.working, note: 'As the plate prints it.' } };
  }

  /** What the voltage may have fallen to when the motor is asked to start: as typed, else what the motor is made for. */
  function lowest(): Value | undefined {
    const typed = given.supply.lowestVoltage;
    if (!voltage) return typed;
    if (typed && (typed.value > voltage.value * 1.005 || typed.value < voltage.value * 0.7))
      flag(
        'supply.lowest-voltage',
        `A lowest voltage of ${typed.text} on a ${voltage.text} system is ${typed.value > voltage.value ? 'above the system’s own' : 'less than seven tenths of it'}.`,
      );
    return (
      typed ??
      (motor &&
        quantity(startVoltage(given, motor.voltage) ?? motor.voltage, 'voltage', school, {
          origin: 'estimated',
          formula: 'V = \\min(V_{system},\\ V_n)',
          from: { 'V_{system}': voltage, V_n: motorVoltage },
          source: PRACTICE,
          note: 'The rated voltage of the motor, or the system’s where that is lower. Type the lowest the bus has.',
        }))
    );
  }

  /** Whether the feeder carries the motor, and what it loses while the motor runs. */
  function checkFeeder(): Pick<SupplyValues, 'feederAmpacity' | 'runningDrop'> {
    const carries = feederAmpacity(brief);
    if (!motor) return carries ? { feederAmpacity: carries } : {};
    const wanted = school === 'NEMA' ? 1.25 * motor.current : motor.current;
    if (carries && carries.value < wanted) {
      const short = carries.value < motor.current;
      flag(
        'supply.feeder-ampacity',
        `The feeder carries ${carries.text}; ${short ? `the motor takes ${formatQuantity(motor.current, 'current', school)}` : `125 % of the motor’s ${formatQuantity(motor.current, 'current', school)} is ${formatQuantity(wanted, 'current', school)}`}.`,
        {
          severity: short ? 'stop' : 'caution',
          basis: `${school === 'NEMA' ? 'NEC 430.22; ' : ''}${carries.working.source}`,
        },
      );
    }
    const lost =
      source?.feederValue && runningDrop(source.feeder, motor.current, motor.powerFactor, voltage.value, brief);
    if (lost && lost.value > practice.runningDrop.value)
      flag(
        'supply.feeder-drop',
        `The running motor loses ${lost.text} of its voltage in the feeder, ${practice.runningDrop.text} wanted.`,
      );
    return { ...(carries ? { feederAmpacity: carries } : {}), ...(lost ? { runningDrop: lost } : {}) };
  }

  /** Three readings of one system, near its voltage. */
  function checkReadings(all: readonly Value[]): void {
    if (all.length > 0 && all.length !== 3) {
      flag(
        'supply.readings-not-three',
        `Unbalance is told from three line voltages; ${all.length === 1 ? 'one is' : `${all.length} are`} typed.`,
      );
      return;
    }
    const off = voltage && all.find((each) => Math.abs(each.value / voltage.value - 1) > READING_OFF);
    if (off)
      flag('supply.readings-off', `${off.text} between two lines is far from the ${voltage.text} of the system.`);
  }

  /** What a direct start of the motor would do to this supply; which start is used is decided later. */
  function directStart(): Pick<
    SupplyValues,
    'directBusDip' | 'directTerminalDip' | 'directFirstDip' | 'directFlicker'
  > {
    if (!source || !motor) return {};
    const powerFactor = standstillPowerFactor(motor);
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
        I_s: quantity(motor.lockedRotorCurrent, 'current', school, { origin: 'estimated', source: motor.label }),
        '\\cos\\varphi_s': powerFactor,
      },
      source: 'Phasors of source, feeder, other load and standing motor',
      note: `Direct start of ${motor.label}.`,
    };
    const directBusDip = quantity(dip.bus, 'fraction', school, { ...how, formula: '1 - |V_{bus}| / |V_{before}|' });
    const firstDip = (internal: Complex): Value =>
      quantity(dipOf({ ...source, internal }, start).bus, 'fraction', school, {
        ...how,
        from: { ...how.from, "X''_d": given.supply.subtransientReactance, "X'_d": given.supply.sourceImpedance },
        formula: '1 - |V_{bus}| / |V_{before}|',
        note: `${how.note} By X″d${given.supply.subtransientReactance ? '' : `, taken as 0.65 X′d (${PRACTICE})`}; within some cycles the dip grows to that by X′d, until the regulator lifts the voltage again.`,
      });
    return {
      directBusDip,
      directTerminalDip: quantity(dip.terminals, 'fraction', school, {
        ...how,
        formula: '1 - |V_{motor}| / |V_{before}|',
      }),
      ...(source.firstInternal ? { directFirstDip: firstDip(source.firstInternal) } : {}),
      ...flickerValue(directBusDip),
    };
  }

  /** From the circuit fitted to the motor, the same that starting runs up. */
  function standstillPowerFactor(of: Motor): Value {
    const fit = fitMotor(fitTargets(of, given.starting, practice.fixedLossShare.value));
    if (!fit) return practice.lockedRotorPowerFactor;
    const { re, im } = terminalImpedance(fit.circuit, 1);
    return quantity(re / Math.hypot(re, im), 'powerFactor', school, {
      origin: 'estimated',
      source: 'per-phase circuit fitted to the motor, at standstill',
    });
  }

  function flickerValue(dip: Value): Pick<SupplyValues, 'directFlicker'> {
    const starts = load.values.startsPerHour;
    if (!starts) return {};
    const { shortTerm, longTerm } = flickerOf(dip.value, starts.value);
    return {
      directFlicker: quantity(shortTerm, 'count', school, {
        origin: 'estimated',
        formula: 'P_{st} = \\left(\\dfrac{z\\,2.3\\,d^{3.2}}{T}\\right)^{1/3.2}',
        from: { d: dip, z: starts },
        source: 'IEC 61000-3-3, analytical method (from memory)',
        note: `Long-term severity ${formatNumber(longTerm, 2)}; limits 1 and 0.65.`,
      }),
    };
  }

  /** Mean of the bands, each by its share of the motor’s hours. */
  function meanPrice(): Value | undefined {
    const bands = rows['supply.bands'].flatMap(({ price, share }) => (price && share ? [{ price, share }] : []));
    const total = bands.reduce((sum, band) => sum + band.share.value, 0);
    if (bands.length === 0 || total <= 0) return undefined;
    if (Math.abs(total - 1) > 0.011) {
      flag(
        'supply.band-shares',
        `The time bands hold ${formatNumber(total * 100)} % of the motor’s hours; the mean price is taken over what is there.`,
      );
    }
    return quantity(
      bands.reduce((sum, { price, share }) => sum + price.value * share.value, 0) / total,
      'energyPrice',
      school,
      {
        formula: '\\bar c = \\sum_k s_k\\,c_k',
        from: Object.fromEntries(
          bands.flatMap(({ price, share }, at) => [
            [`c_${at + 1}`, price],
            [`s_${at + 1}`, share],
          ]),
        ),
        source: 'tariff typed in this job',
      },
    );
  }

  function checkPlateVoltage(): void {
    const winding = nameplate.values.voltage;
    const rated = nameplate.values.frequency;
    if (!winding || !voltage || !motorVoltage || !rated) return;
    if (nameplate.shiftedFrom) {
      const { voltage: own, frequency: hertz, power } = nameplate.shiftedFrom;
      const k = rated.value / hertz.value;
      const faster = k > 1;
      flag(
        'supply.other-frequency',
        `A ${own.text} ${hertz.text} motor on ${voltage.text} ${frequency?.text ?? ''} keeps its volts per hertz: it runs ${formatNumber(Math.abs(k - 1) * 100, 2)} % ${faster ? 'faster' : 'slower'} at the same torque${power ? `, so ${power.text} becomes ${nameplate.values.power?.text ?? ''}` : ''}. A fan or pump would take ${formatNumber(k ** 3 * 100, 3)} % of its power there.`,
        {
          clear: faster
            ? 'Check the load at the higher speed, the balance and the bearings; better, choose a motor for this frequency.'
            : 'Check that the fan on the shaft still cools it; better, choose a motor for this frequency.',
        },
      );
    }
    const made = nameplate.motor?.winding;
    if (made && voltage.value < made.voltage * 0.95)
      flag(
        'supply.low-winding',
        `The winding is made for ${formatQuantity(made.voltage, 'voltage', school)}: on ${voltage.text} it has ${formatNumber((voltage.value / made.voltage) ** 2 * 100, 2)} % of its torque and as much less locked-rotor current as voltage.`,
      );
    const voltageOff = motorVoltage.value / winding.value - 1;
    const frequencyOff = frequency ? frequency.value / rated.value - 1 : 0;
    if (Math.abs(frequencyOff) > FREQUENCY_LIMIT) {
      const flux = (motorVoltage.value / winding.value / (1 + frequencyOff)) * 100;
      flag(
        'supply.frequency',
        `A ${rated.text} rating on ${frequency?.text}: flux would be ${formatNumber(flux)} % of rated and speed ${formatNumber((1 + frequencyOff) * 100)} %.`,
      );
      return;
    }
    const percent = `${formatNumber(Math.abs(voltageOff) * 100, 2)} %`;
    const torque = formatNumber((voltage.value / winding.value) ** 2 * 100, 2);
    const usable = new RegExp(`\\b${Math.round(voltage.value)}\\b`).test(job.nameplate.usableAt ?? '');
    if (Math.abs(voltageOff) > VOLTAGE_LIMIT && usable) {
      flag(
        'supply.usable-at',
        `The plate allows ${voltage.text} (“usable at ${(job.nameplate.usableAt ?? '').slice(0, 30)}”): torque is about ${torque} % and the current is the one named there.`,
        { clear: `Set the overload by the current named for ${voltage.text}; do not use the service factor.` },
      );
    } else if (Math.abs(voltageOff) > VOLTAGE_LIMIT) {
      flag(
        'supply.voltage',
        `A ${winding.text} winding on a ${voltage.text} system is ${percent} ${voltageOff < 0 ? 'short' : 'over'}: torque about ${torque} % and more current.`,
        { clear: `Choose a winding whose plate names ${voltage.text} or ${motorVoltage.text}.` },
      );
    } else if (Math.abs(voltageOff) + Math.abs(frequencyOff) > 0.06) {
      flag(
        'supply.voltage-marginal',
        `A ${winding.text} winding on a ${voltage.text} system is ${percent} ${voltageOff < 0 ? 'low' : 'high'}: allowed, but little is left for dips and unbalance.`,
        { clear: `Prefer a winding for ${motorVoltage.text}; measure the voltage at the terminals under load.` },
      );
    }
  }
}
