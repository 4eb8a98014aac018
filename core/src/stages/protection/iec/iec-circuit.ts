import { amount, figures, say, textOf, type Text } from '../../../kernel/text.ts';
import { disconnection, dropConstants, gGGates, protectiveConductors } from '../../../kernel/tables/index.ts';
import { PRACTICE, quantity, textValue, type Value } from '../../../kernel/value.ts';
import { mostCurrent, ownStart, type Circuit } from '../protection-input.ts';
import { IN_WINDING } from '../../starting/overload-setting.ts';
import { ENDS, type ConductorRun } from '../conductor-run.ts';
import type { CircuitDesign } from '../circuit-design.ts';
import {
  isSlow,
  motorBreakerFor,
  overloadBreaker,
  standsAt,
  type MotorBreaker,
} from '../../selection/motor-breaker.ts';
import { startCurrent } from '../../starting/inrush.ts';
import { faultAtBus, kiloAmperes } from '../../supply/short-circuit.ts';
import { checkBreaks } from '../fault.ts';
import type { Report } from '../findings.ts';
import type { ProtectionValues } from '../values.ts';
import { aMFuse, aMSizes, breakerDevice, gGFuse, gGSizes, type Asked, type Device } from './device.ts';
import type { Complex } from '../../../kernel/complex.ts';
import { REACTANCE, resistanceOf } from './voltage-drop.ts';
import { laidBy } from './cable.ts';
import { kFactor } from './protective-earthing.ts';
import { sizeRun, RUNNING_MOST, STARTING_MOST, type SizedRun } from './conductor-sizing.ts';

/** A; peak of the first half-wave while it starts, as r.m.s. of a wave as high. */
export function firstHalfCyclePeak(circuit: Circuit): number {
  const { standing, inrush } = startCurrent(circuit.motor, ownStart(circuit));
  return inrush * standing;
}

/** Cable, short-circuit device and fault loop by IEC 60364, from the motor’s own current. */
export function iecCircuit(circuit: Circuit, report: Report): CircuitDesign {
  const { brief, onDrive } = circuit;
  const device = onDrive ? driveFuse(circuit) : motorDevice(circuit, report);
  const fed = onDrive ? driveInput(circuit, device) : undefined;
  const run = motorRun(circuit, device);
  checkRuns([run, fed], circuit, report);
  const { earthSystem } = brief.job.protection;
  if (earthSystem !== 'TN')
    report(
      'protection.earth-system',
      `In ${earthSystem === 'IT' ? 'an IT' : 'a TT'} system a fault to earth is not cleared by this device: ${earthSystem === 'IT' ? 'the first is told by an insulation monitor, the second must be cleared' : 'a residual-current device clears it'}.`,
    );
  const values = { ...valuesOf(circuit, run, onDrive ? fed : run, device), ...(fed ? inputOf(fed) : {}) };
  const drawn = device && {
    name: device.name,
    carries: device.carries,
    operatingCurrent: device.operatingCurrent,
    rated:
      onDrive || device.kind === 'motor breaker'
        ? undefined
        : { rating: device.rating, sizes: FUSES[device.kind].sizes },
  };
  const rating =
    device && device.kind !== 'motor breaker'
      ? quantity(device.rating, 'current', { origin: 'recalled', source: gGGates.source })
      : undefined;
  // What feeds a drive is behind the device, what leaves it is cleared by the drive.
  const wire = onDrive ? fed : run;
  const heat = kFactor(laidBy(brief).insulation, laidBy(brief).metal);
  const conductorI2t = wire?.size === undefined ? undefined : (heat * wire.size) ** 2;
  const starDelta = circuit.starting.method === 'star-delta';
  const runs = onDrive
    ? [drawnRun(fed, ENDS.feed), drawnRun(run, ENDS.lead)]
    : [drawnRun(run, starDelta ? ENDS.sixLeads : ENDS.direct)];
  return {
    values,
    runs: runs.flat(),
    impedance: impedanceOf(onDrive ? fed : run),
    device: drawn,
    conductorI2t,
    rating,
    isOverload: isOverload(circuit),
  };
}

/** As chosen; else a motor breaker while ladder, magnetic trip and class hold the motor and its start, and fuses beyond. */
function motorDevice(circuit: Circuit, report: Report): Device | undefined {
  const { brief, motor } = circuit;
  const { shortCircuit } = brief.job.protection;
  const own = ownStart(circuit);
  const running = mostCurrent(circuit).value;
  const asked: Asked = { running, ...startCurrent(motor, own) };
  const { rating } = brief.given.protection;
  if (shortCircuit === 'gG' || shortCircuit === 'aM') return fuse(shortCircuit, asked, circuit, report);
  if (shortCircuit === 'auto') {
    if (rating) return fuse('gG', asked, circuit, report);
    const breaker = overloadBreaker(circuit, own, running);
    return breaker ? heldBreaker(breaker, circuit, report) : gGFuse(asked);
  }
  if (rating) unused(rating, 'a motor breaker goes by its dial', report);
  const breaker = motorBreakerFor(asked, standsAt(circuit));
  if (breaker && own && isSlow(own))
    report(
      'protection.slow-start',
      `The start requires trip class ${own.relayClass}; a motor-protective breaker trips by class 10 before it ends.`,
    );
  if (breaker) return heldBreaker(breaker, circuit, report);
  const peak = figures((Math.SQRT2 * asked.inrush * asked.standing) / running, 3);
  report(
    'protection.inrush',
    say`No standard motor-protective breaker carries ${amount(running, 'current')} with a first half-cycle peak of ${peak} times: use three devices.`,
  );
  return undefined;
}

/** What it breaks against what may flow. */
function heldBreaker(breaker: MotorBreaker, { supply }: Circuit, report: Report): Device {
  if (breaker.part) checkBreaks(breaker.part, faultAtBus(supply), report);
  return breakerDevice(breaker);
}

/** A rating that was typed and says nothing of the device. */
const unused = (typed: Value, why: string, report: Report): void =>
  report('protection.rating-unused', say`The ${typed} that were typed are not used: ${why}.`, {
    mends: [{ label: 'Clear the rating', set: { 'protection.rating': '' } }],
  });

const FUSES = { gG: { smallest: gGFuse, sizes: gGSizes }, aM: { smallest: aMFuse, sizes: aMSizes } } as const;
/** What carries nothing: the size alone is wanted. */
const NOTHING: Asked = { running: 0, starting: 0, time: 0, standing: 0, inrush: 1 };

/** As typed, held against motor and start; else the smallest that carries both. */
function fuse(kind: 'gG' | 'aM', asked: Asked, { brief }: Circuit, report: Report): Device | undefined {
  const { smallest } = FUSES[kind];
  const proper = smallest(asked);
  const typed = brief.given.protection.rating;
  if (!typed) return proper;
  const own = smallest(NOTHING, typed.value);
  if (!own) unused(typed, `the largest ${kind} of the table is ${Math.max(...FUSES[kind].sizes)} A`, report);
  if (own && (!proper || own.rating < proper.rating))
    report(
      'protection.device-small',
      `${own.name.charAt(0).toUpperCase()}${own.name.slice(1)} open before the motor is up: ${proper ? `${proper.name} are the smallest that carry motor and start` : 'none of the table carries this start'}.`,
      proper
        ? { mends: [{ label: `Take ${proper.rating} A`, set: { 'protection.rating': `${proper.rating} A` } }] }
        : {},
    );
  return own ?? proper;
}

/** What a drive takes surges nowhere; which fuse its maker lists comes first. */
function driveFuse({ pick, nameplateCurrent }: Circuit): Device | undefined {
  const running = pick.chosenDrive?.item.inputCurrent ?? nameplateCurrent.value;
  return gGFuse({ running, starting: running, time: 0, standing: running, inrush: 1 });
}

const motorRun = (circuit: Circuit, device: Device | undefined): SizedRun | undefined => {
  const { brief, onDrive, nameplateCurrent, starting, motor } = circuit;
  const starDelta = starting.method === 'star-delta';
  const needed = starDelta
    ? quantity(IN_WINDING * nameplateCurrent.value, 'current', {
        formula: 'I_z = I_n/\\sqrt3',
        from: { I_n: nameplateCurrent },
        source: 'definition',
        note: 'Each of the six leads.',
      })
    : mostCurrent(circuit);
  return sizeRun(circuit, {
    run: onDrive ? 'lead' : 'feed',
    needed,
    powerFactor: motor.powerFactor,
    length: onDrive ? brief.given.drive.lead : brief.given.supply.feederLength,
    starting: onDrive ? undefined : startCurrent(motor, ownStart(circuit)).starting * (starDelta ? IN_WINDING : 1),
    // A drive clears what is behind it itself.
    device: onDrive ? undefined : device,
  });
};

function driveInput(circuit: Circuit, device: Device | undefined): SizedRun | undefined {
  const { brief, pick } = circuit;
  if (!pick.chosenDrive) return undefined;
  const needed = quantity(pick.chosenDrive.item.inputCurrent, 'current', {
    origin: 'looked up',
    source: 'catalogue',
  });
  return sizeRun(circuit, {
    run: 'feed',
    needed,
    powerFactor: DRIVE_POWER_FACTOR,
    length: brief.given.supply.feederLength,
    starting: undefined,
    device,
    leastProtective: DRIVE_PROTECTIVE[laidBy(brief).metal],
  });
}
/** Displacement at the input of a drive. Common practice, no published source. */
const DRIVE_POWER_FACTOR = 0.97;
/** mm² that a drive’s protective conductor has at least, since more than 10 mA may leak: IEC 61800-5-1, from memory. */
const DRIVE_PROTECTIVE = { cu: 10, al: 16 } as const;

const inputOf = ({ needed, size, metal }: SizedRun): Partial<ProtectionValues> => ({
  driveInputAmpacity: needed,
  ...(size === undefined
    ? {}
    : { driveInputConductor: textValue(sizeText(size, metal), { origin: 'recalled', source: 'IEC 60364-5-52' }) }),
});

const impedanceOf = (run: SizedRun | undefined): Complex | undefined =>
  run?.size === undefined || !run.length
    ? undefined
    : {
        re: resistanceOf({ length: run.length.value, size: run.size, metal: run.metal }),
        im: REACTANCE * run.length.value,
      };

/** As it is drawn; nothing where it is not sized. */
function drawnRun(run: SizedRun | undefined, ends: Pick<ConductorRun, 'from' | 'to'>): ConductorRun[] {
  if (!run) return [];
  const { limits, size, metal, length, decides, ampacity } = run;
  const text = (each: number | undefined): string | undefined =>
    each === undefined ? undefined : sizeText(each, metal);
  return [
    {
      ...ends,
      wire: text(size),
      length: textOf(length),
      lies: ampacity?.working.note ?? '',
      limits: limits.map((each) => ({
        at: each.at,
        asks: each.name,
        size: text(each.size),
        decides: each.name === decides,
      })),
    },
  ];
}

const sizeText = (size: number, metal: 'cu' | 'al'): string => `${size} mm² ${metal === 'cu' ? 'copper' : 'aluminium'}`;

function valuesOf(
  circuit: Circuit,
  run: SizedRun | undefined,
  fed: SizedRun | undefined,
  device: Device | undefined,
): Partial<ProtectionValues> {
  const { holds, motor, supply, starting } = circuit;
  const nameplateCurrent = mostCurrent(circuit);
  const volts = supply.values.voltage?.value ?? motor.voltage;
  const dropped = (share: number, current: Value | undefined, most: number, note: string): Value =>
    quantity(share, 'fraction', {
      origin: 'recalled',
      formula: 'u = \\dfrac{(\\rho_1 \\ell\\cos\\varphi/S + \\lambda\\ell\\sin\\varphi)\\,I}{U_0}',
      from: { I: current, '\\ell': run?.length },
      source: say`${dropConstants.source}; limit ${figures(most * 100, 2)} %: ${PRACTICE}`,
      note,
    });
  return {
    wireCurrent: { ...nameplateCurrent, working: { ...nameplateCurrent.working, note: `The nameplate’s. ${holds}` } },
    ...(run ? { conductorMinAmpacity: run.needed } : {}),
    ...(run?.size === undefined || !run.ampacity
      ? {}
      : {
          conductorSize: textValue(sizeText(run.size, run.metal), {
            origin: 'recalled',
            formula: 'I_z \\ge I_n',
            from: { I_z: run.ampacity, I_n: run.needed },
            source: run.ampacity.working.source,
            note: run.ampacity.working.note,
          }),
          conductorAmpacity: run.ampacity,
          conductorLimit: textValue(run.decides, {
            origin: 'derived',
            source: 'the largest of all that is asked',
            note: run.limits
              .map(({ name, size }) => `${name}: ${size === undefined ? 'none' : `${size} mm²`}`)
              .join('; '),
          }),
        }),
    ...(run?.running === undefined
      ? {}
      : { runningDrop: dropped(run.running, run.needed, RUNNING_MOST, 'Of the run to the motor.') }),
    ...(run?.starting === undefined
      ? {}
      : {
          startingDrop: dropped(
            run.starting,
            starting.values.startingCurrent,
            STARTING_MOST,
            'At standstill, power factor 0.3.',
          ),
        }),
    ...(device ? { branchDevice: deviceValue(device, circuit) } : {}),
    disconnectCurrent: quantity(nameplateCurrent.value, 'current', {
      formula: 'I \\ge I_n',
      from: { I_n: nameplateCurrent },
      source: 'IEC 60204-1, utilization AC-23, lockable (from memory)',
    }),
    ...(fed?.protective === undefined
      ? {}
      : {
          groundingConductor: textValue(sizeText(fed.protective, fed.metal), {
            origin: 'recalled',
            source: protectiveConductors.source,
            note: circuit.onDrive
              ? `Beside the cable to the drive, at least ${sizeText(DRIVE_PROTECTIVE[fed.metal], fed.metal)} since its filters leak.`
              : undefined,
          }),
        }),
    ...loopValues(fed, volts / Math.sqrt(3), circuit),
  };
}

/** The loop of a fault to earth against what the device asks for. */
function loopValues(fed: SizedRun | undefined, toEarth: number, { brief, supply }: Circuit): Partial<ProtectionValues> {
  if (!fed?.loop || brief.job.protection.earthSystem !== 'TN') return {};
  const { loop, most, operatingCurrent, time } = fed.loop;
  const known = supply.source !== undefined;
  return {
    loopImpedance: quantity(loop, 'resistance', {
      origin: 'estimated',
      formula: known
        ? 'Z_s = |Z_q + \\rho_1\\ell(1/S + 1/S_{PE}) + j\\,2\\lambda\\ell|'
        : 'Z_s = \\rho_1\\ell(1/S + 1/S_{PE})',
      from: { '\\ell': fed.length, Z_q: supply.values.sourceImpedance },
      source: dropConstants.source,
      note: known
        ? undefined
        : 'The cable alone: the source is not known, and a fifth of the voltage is kept back for it.',
    }),
    loopImpedanceMax: quantity(most, 'resistance', {
      origin: 'recalled',
      formula: `Z_s \\le ${known ? '0.95' : '0.8'}\\,U_0/I_a`,
      from: {
        U_0: quantity(toEarth, 'voltage', { source: 'definition' }),
        I_a: quantity(operatingCurrent, 'current', { origin: 'recalled', source: gGGates.source }),
      },
      source: disconnection.source,
      note: say`Cleared within ${figures(time, 2)} s.`,
    }),
  };
}

/** Whether a motor breaker guards the motor, so that no relay stands beside it. */
const isOverload = (circuit: Circuit): boolean =>
  !circuit.onDrive && overloadBreaker(circuit, ownStart(circuit), mostCurrent(circuit).value) !== undefined;

function deviceValue({ name, kind, part }: Device, circuit: Circuit): Value<Text> {
  const { onDrive, brief } = circuit;
  const why = brief.job.protection.shortCircuit === 'auto' ? 'The first that carries motor and start' : 'As chosen';
  const beside = isOverload(circuit)
    ? 'its dial is the overload, a relay beside it is not needed'
    : 'with contactor and relay';
  const { breakingCapacity } = part ?? {};
  const breaks = breakingCapacity === undefined ? '' : say` It breaks ${kiloAmperes(breakingCapacity)}.`;
  const ladder = kind === 'motor breaker' ? `IEC 60947-4-1; its ladder: ${PRACTICE}` : gGGates.source;
  return textValue(name.charAt(0).toUpperCase() + name.slice(1), {
    origin: part ? 'looked up' : 'recalled',
    source: part ? 'catalogue' : ladder,
    note: onDrive
      ? 'What the maker of the drive lists comes first.'
      : say`${why}; ${beside}, only as their maker tested them together.${breaks}`,
  });
}

/** What no cable does, and the one that lies there. */
function checkRuns(runs: readonly (SizedRun | undefined)[], circuit: Circuit, report: Report): void {
  const { brief } = circuit;
  const laid = laidBy(brief);
  for (const run of runs) {
    const failed = run?.limits.find(({ size }) => size === undefined);
    if (run && failed)
      report('protection.no-cable', say`No single cable of the table carries ${run.needed} here: ${failed.name}.`);
  }
  // Of cables side by side each carries its share, which is not worked out here.
  const single = (brief.given.supply.feederRuns?.value ?? 1) === 1;
  const there = single ? /^([\d.]+) mm²$/.exec(brief.job.supply.feederSize ?? '')?.[1] : undefined;
  const run = runs[circuit.onDrive ? 1 : 0];
  if (there !== undefined && run?.size !== undefined && Number(there) < run.size - 1e-9)
    report(
      'protection.cable-small',
      `The existing cable of ${there} mm² is too small: ${run.decides} requires ${sizeText(run.size, laid.metal)}.`,
    );
}
