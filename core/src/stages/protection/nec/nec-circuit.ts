import { say, textOf } from '../../../kernel/text.ts';
import { conductorImpedance } from '../../../kernel/tables/index.ts';
import { quantity, textValue, type Value } from '../../../kernel/value.ts';
import { ownStart, STANDING_POWER_FACTOR, type Circuit } from '../protection-input.ts';
import { magneticBand } from '../../selection/magnetic-trip.ts';
import { atOnce } from '../iec/device.ts';
import { liesBy } from '../installation-conditions.ts';
import { NO_TABLE } from '../standards-comparison.ts';
import type { CircuitDesign } from '../circuit-design.ts';
import type { Report } from '../findings.ts';
import { conduitFor } from './nec-conduit.ts';
import { impedanceOf, voltageDrop } from './nec-voltage-drop.ts';
import { ENDS, type ConductorRun, type Place, type RunLimit } from '../conductor-run.ts';
import {
  compareSizes,
  conductorName,
  nextSize,
  SMALLEST,
  smallestConductor,
  conductorI2tOf,
  type Conductor,
} from './nec-conductor.ts';
import { currentByCode, tableFullLoadCurrent } from './nec-current.ts';
import { chosenBreaker, deviceOf, grounding, largestDevice, standardSizes } from './nec-device.ts';
import type { ProtectionValues } from '../values.ts';

/** Conductors carry a quarter more than the motor (NEC 430.22). */
const CONTINUOUS = 1.25;

/** Conductors and short-circuit device by NEC Article 430. */
export function necCircuit(circuit: Circuit, report: Report): CircuitDesign {
  const { brief, motor, onDrive, holds } = circuit;
  const table = tableFullLoadCurrent(motor.power, motor.voltage);
  const codeCurrent = currentByCode(table, circuit) ?? (circuit.compares ? standIn(circuit) : undefined);
  if (!codeCurrent) {
    report(
      'protection.no-table-current',
      `Table 430.250 has no current for ${motor.voltage.toFixed(0)} V and this size; conductors and short-circuit device are not sized.`,
    );
    return {
      values: driveSide(circuit).values,
      device: undefined,
      conductorI2t: undefined,
      rating: undefined,
      runs: [],
      impedance: undefined,
      isOverload: false,
    };
  }
  const least = quantity(CONTINUOUS * codeCurrent.value, 'current', {
    formula: 'I_z = 1.25\\,I',
    from: { I: codeCurrent },
    source: `NEC 430.22${onDrive ? ', 430.122(B)' : ''}`,
    note: holds,
  });
  const run = runFor(least, codeCurrent, circuit, report);
  const { conductor } = run;
  const largest = largestDevice(codeCurrent, circuit);
  const device = largest && deviceOf(largest, circuit, report);
  const breaker = device && chosenBreaker(device, circuit, report);
  const ground = device && grounding(device, conductor, circuit, run.byCurrent);
  const conduit = conductor && ground && conduitFor(conductor.size, ground.size);
  const leads = leadsOf(codeCurrent, circuit);
  const drive = driveSide(circuit);
  checkConductors(least, conductor, drive, circuit, report);
  const values = {
    ...(table ? { tableCurrent: table } : {}),
    wireCurrent: codeCurrent,
    conductorMinAmpacity: least,
    ...(conductor ? { conductorSize: conductor.name, conductorAmpacity: conductor.carries } : {}),
    ...run.values,
    ...leads.values,
    ...(largest ? { branchDeviceMax: largest } : {}),
    ...(breaker ? { branchDevice: breaker } : {}),
    ...(ground ? { groundingConductor: ground.name } : {}),
    ...(conduit ? { conduit } : {}),
    disconnectCurrent: quantity(DISCONNECT * codeCurrent.value, 'current', {
      formula: 'I = 1.15\\,I_{FLC}',
      from: { 'I_{FLC}': codeCurrent },
      source: 'NEC 430.110(A), in sight of the motor and rated in horsepower',
      note: holds,
    }),
    ...drive.values,
  };
  const drawn =
    device && brief.job.protection.device === 'inverse time breaker'
      ? {
          name: `breaker ${device.value} A`,
          rated: onDrive ? undefined : { rating: device.value, sizes: standardSizes(false) },
          ...atOnce(magneticBand(device.value)),
        }
      : undefined;
  // The relay of a star-delta start guards the leads behind it.
  const guarded = onDrive ? undefined : (leads.conductor ?? conductor);
  const conductorI2t = guarded && conductorI2tOf(guarded.size, brief.job.protection);
  const runs = [
    ...(onDrive ? drawnRun(drive.conductor, ENDS.feed, { length: brief.given.supply.feederLength }) : []),
    ...drawnRun(conductor, onDrive ? ENDS.lead : ENDS.direct, run),
    ...drawnRun(leads.conductor, ENDS.sixLeads, { length: undefined }),
  ];
  const { feederLength } = brief.given.supply;
  const fromBus = onDrive ? drive.conductor : conductor;
  const impedance =
    fromBus && feederLength
      ? impedanceOf({ size: fromBus.size, metal: metalOf(brief), length: feederLength.value })
      : undefined;
  return { values, runs, impedance, device: drawn, conductorI2t, rating: device, isOverload: false };
}

const metalOf = ({ job }: Circuit['brief']): 'cu' | 'al' => (job.protection.conductor === 'copper' ? 'cu' : 'al');

const standIn = ({ nameplateCurrent }: Circuit): Value => ({
  ...nameplateCurrent,
  working: { ...nameplateCurrent.working, note: NO_TABLE },
});

/** A disconnect carries this share of the full-load current (NEC 430.110(A)). */
const DISCONNECT = 1.15;
/** Of the voltage a branch should lose at most: NEC 210.19, as a note. */
const RUNNING_MOST = 0.03;

/** As it is drawn; nothing where no wire is large enough. */
function drawnRun(
  conductor: Conductor | undefined,
  ends: Pick<ConductorRun, 'from' | 'to'>,
  { length, byDrop }: Pick<NecRunSized, 'length' | 'byDrop'>,
): ConductorRun[] {
  if (!conductor) return [];
  const { byTerminals, byWay, size } = conductor;
  const limit = (at: Place, asks: string, least: string): RunLimit => ({
    at,
    asks,
    size: conductorName(least),
    decides: compareSizes(least, size) === 0,
  });
  return [
    {
      ...ends,
      wire: textOf(conductor.name),
      length: textOf(length),
      lies: conductor.carries.working.note ?? '',
      limits: [
        limit('start', `terminals good for ${byTerminals.degrees} °C`, byTerminals.size),
        limit('way', 'its current in this heat, beside these wires', byWay),
        ...(byDrop === undefined ? [] : [limit('end', 'the drop while it runs', byDrop)]),
      ],
    },
  ];
}

interface NecRunSized {
  readonly length: Value | undefined;
  /** The size that the drop alone asks for; undefined where no length is known or no wire is large enough. */
  readonly byDrop?: string | undefined;
  readonly conductor: Conductor | undefined;
  /** The size that its current alone asks for. */
  readonly byCurrent: string | undefined;
  readonly values: Partial<ProtectionValues>;
}

/** The wire to the motor: by its current, and larger where its length would lose too much of the voltage. */
function runFor(least: Value, current: Value, circuit: Circuit, report: Report): NecRunSized {
  const { brief, motor, onDrive, supply } = circuit;
  const { designLetter } = motor;
  const where = onDrive ? 'lead' : 'feed';
  const first = smallestConductor(brief, least, { designLetter, run: where });
  const length = onDrive ? brief.given.drive.lead : brief.given.supply.feederLength;
  if (!first || !length) return { conductor: first, byCurrent: first?.size, length, values: {} };
  const metal = metalOf(brief);
  const volts = supply.values.voltage?.value ?? motor.voltage;
  const lost = (size: string, amperes: number, powerFactor: number): number | undefined => {
    const own = voltageDrop({ size, metal, length: length.value }, amperes, powerFactor);
    return own === undefined ? undefined : own / volts;
  };
  let byDrop: string | undefined = SMALLEST;
  while (byDrop !== undefined && (lost(byDrop, current.value, motor.powerFactor) ?? 1) > RUNNING_MOST)
    byDrop = nextSize(byDrop);
  const size = byDrop === undefined || compareSizes(byDrop, first.size) > 0 ? byDrop : first.size;
  if (size === undefined)
    report(
      'protection.drop',
      say`No single wire of the tables keeps ${current} over ${length} within ${RUNNING_MOST * 100} % of the voltage; its current alone asks for ${first.name}.`,
    );
  const conductor =
    (size === undefined ? undefined : smallestConductor(brief, least, { designLetter, atLeast: size, run: where })) ??
    first;
  const dropped = (share: number | undefined, flowing: Value | undefined, note: string): Value | undefined =>
    share === undefined
      ? undefined
      : quantity(share, 'fraction', {
          origin: 'recalled',
          formula: 'u = \\dfrac{\\sqrt3\\,I\\,(R\\cos\\varphi + X\\sin\\varphi)\\,\\ell}{V}',
          from: { I: flowing, '\\ell': length, V: supply.values.voltage },
          source: `${conductorImpedance.source}, in steel conduit; 210.19 as a note: 3 %`,
          note,
        });
  const started = ownStart(circuit)?.current;
  const running = dropped(lost(conductor.size, current.value, motor.powerFactor), current, 'Of this run alone.');
  const start =
    onDrive || started === undefined
      ? undefined
      : dropped(
          lost(conductor.size, started, STANDING_POWER_FACTOR),
          circuit.starting.values.startingCurrent,
          'At standstill, power factor 0.3.',
        );
  return {
    conductor,
    byCurrent: first.size,
    length,
    byDrop,
    values: {
      conductorLimit: textValue(conductor.size === first.size ? 'its current' : 'the drop while it runs', {
        source: 'the larger of both',
        note: conductor.size === first.size ? undefined : say`Its current alone asks for ${first.name}.`,
      }),
      ...(running ? { runningDrop: running } : {}),
      ...(start ? { startingDrop: start } : {}),
    },
  };
}

/** Wires between a star-delta starter and its motor carry this share of 125 % each: 1.25/√3, NEC 430.22(C). */
const SIX_LEADS = 0.72;

function leadsOf(
  current: Value,
  { brief, motor, starting, onDrive, holds }: Circuit,
): { readonly conductor: Conductor | undefined; readonly values: Partial<ProtectionValues> } {
  if (onDrive || starting.method !== 'star-delta') return { conductor: undefined, values: {} };
  const least = quantity(SIX_LEADS * current.value, 'current', {
    formula: 'I_z = 0.72\\,I',
    from: { I: current },
    source: 'NEC 430.22(C)',
    note: `Each of the six leads between starter and motor. ${holds}`,
  });
  const conductor = smallestConductor(brief, least, { designLetter: motor.designLetter });
  return { conductor, values: { leadAmpacity: least, ...(conductor ? { leadConductor: conductor.name } : {}) } };
}

interface DriveSide {
  readonly least: Value | undefined;
  readonly conductor: Conductor | undefined;
  readonly values: Partial<ProtectionValues>;
}

/** What feeds the drive: a quarter more than its rated input (NEC 430.122(A)). */
function driveSide({ brief, pick }: Circuit): DriveSide {
  if (!pick.chosenDrive) return { least: undefined, conductor: undefined, values: {} };
  const input = quantity(pick.chosenDrive.item.inputCurrent, 'current', {
    origin: 'looked up',
    source: 'catalogue',
  });
  const least = quantity(CONTINUOUS * input.value, 'current', {
    formula: 'I_z = 1.25\\,I_{in}',
    from: { 'I_{in}': input },
    source: 'NEC 430.122(A) (recalled from memory)',
  });
  const conductor = smallestConductor(brief, least);
  const values = { driveInputAmpacity: least, ...(conductor ? { driveInputConductor: conductor.name } : {}) };
  return { least, conductor, values };
}

/** What the wires hold for, and where none is large enough. */
function checkConductors(
  least: Value,
  conductor: Conductor | undefined,
  drive: DriveSide,
  { brief }: Circuit,
  report: Report,
): void {
  const short = conductor ? drive.least && !drive.conductor && drive.least : least;
  if (short) report('protection.no-conductor', say`No single conductor of the table carries ${short} here.`);
  if (!conductor) return;
  const { ambient, conductors } = liesBy(brief, drive.least ? 'lead' : 'feed');
  report(
    'protection.conductor-basis',
    say`The conductor holds for ${ambient ?? brief.given.place.ambient ?? '30 °C, the usual ambient'} and ${conductors ?? 'three'} current-carrying conductors together; ${conductor.carries.working.note ?? ''}`,
  );
}
