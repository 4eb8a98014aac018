import type { DrivePart } from '../../catalogue/catalogue.ts';
import type { DriveStageInput } from './drive-stage-input.ts';
import type { Report } from './findings.ts';
import { filterNames, type Filter } from './motor-cable.ts';
import { chokeOf, type LineSide } from './spectrum.ts';
import type { DriveValues } from './values.ts';

/** A part that stands beside the drive, and what for. */
export interface PartBeside {
  readonly part: DrivePart;
  readonly why: string;
}

interface Wanted {
  readonly kind: DrivePart['kind'];
  readonly why: string;
  readonly fits: (part: DrivePart) => boolean;
}

interface Decided {
  readonly driven: DriveStageInput;
  readonly filter: Filter;
  readonly side: LineSide;
  readonly values: Partial<DriveValues>;
  /** A ring that earths the shaft is asked for. */
  readonly ring: boolean;
}

/** The least costly part of the catalogue for everything the drive needs beside it; what is not there is told. */
export function partsBeside(decided: Decided, report: Report): PartBeside[] {
  const { driven, side } = decided;
  const wanted = [...filters(decided), ...lineParts(decided), ...resistors(decided), ...rings(decided)];
  const found = wanted.map(({ kind, why, fits }) => {
    const fit = driven.catalogue.accessories
      .filter((part) => part.kind === kind && part.voltageMax >= driven.voltage.value * 0.98 && fits(part))
      .toSorted((a, b) => a.price - b.price)[0];
    return { kind, part: fit && { part: fit, why } };
  });
  const lacking = [
    ...found.flatMap(({ kind, part }) => (part ? [] : [kind])),
    ...(side === '12-pulse' || side === '18-pulse' || side === 'active front end'
      ? [`drive with ${side === 'active front end' ? 'active front end' : `${side} input`}`]
      : []),
  ];
  if (lacking.length > 0 && driven.item)
    report('drive.part-missing', `The catalogue has no suitable ${lacking.join(', ')}; the price is not included.`);
  return found.flatMap(({ part }) => part ?? []);
}

function filters({ driven, filter, values }: Decided): Wanted[] {
  if (filter === 'none') return [];
  const current = values.requiredCurrent?.value ?? driven.motor.current;
  const length = driven.brief.given.drive.lead?.value ?? 0;
  return [
    {
      kind: filterNames[filter],
      why: 'at the output of the drive',
      fits: ({ currentMax, longestLead }) =>
        currentMax >= current * 0.999 && (longestLead === undefined || longestLead >= length),
    },
  ];
}

/** A choke that is inside the drive is not bought again, as far as it goes. */
function lineParts({ driven, side, values }: Decided): Wanted[] {
  const current = values.inputCurrent?.value ?? driven.motor.current;
  const carries = ({ currentMax }: DrivePart): boolean => currentMax >= current * 0.999;
  if (side === 'passive filter') return [{ kind: 'passive filter', why: 'at the input of the drive', fits: carries }];
  const choke = chokeOf[side];
  if (choke === 0 || (driven.item?.choke === true && choke <= INSIDE)) return [];
  return [
    {
      kind: 'line choke',
      why: `at the input of the drive, ${choke * 100} %`,
      fits: (part) => carries(part) && (part.reactance ?? 0) >= choke * 0.999,
    },
  ];
}

/** Share that a choke inside a drive has at least. */
const INSIDE = 0.03;

function resistors({ driven, values }: Decided): Wanted[] {
  const { brakeResistorMax: most, brakeResistorMin: least, brakeMeanPower: mean, brakeEnergy } = values;
  if (driven.brief.job.starting.braking !== 'chopper' || !most) return [];
  return [
    {
      kind: 'brake resistor',
      why: 'for the chopper',
      fits: ({ resistance, meanPower, energy }) =>
        resistance !== undefined &&
        resistance <= most.value &&
        resistance >= (least?.value ?? 0) &&
        (meanPower ?? 0) >= (mean?.value ?? 0) &&
        (energy ?? Number.POSITIVE_INFINITY) >= (brakeEnergy?.value ?? 0),
    },
  ];
}

const rings = ({ ring }: Decided): Wanted[] =>
  ring ? [{ kind: 'shaft ring', why: 'earths the shaft of the motor', fits: () => true }] : [];
