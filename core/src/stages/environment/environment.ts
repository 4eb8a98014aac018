import { say, type Text } from '../../kernel/text.ts';
import { ambientRating, derateDrive, derate } from './derating.ts';
import { driveLosses, minimumEnclosureRating, housingWords } from './drive-enclosure.ts';
import { heaterNeeded, checkNoise, checkCabinet } from './environment-checks.ts';
import type { Report } from './findings.ts';
import { declaration } from './declaration.ts';
import { RATED_AMBIENT, type HousingCode } from './environment-known.ts';
import { isThinAir } from './derating.ts';
import { isWet } from './drive-enclosure.ts';
import type { Value } from '../../kernel/value.ts';
import { KELVIN } from '../../kernel/constants.ts';
import type { PlaceValues } from './values.ts';
import type { LoadResult } from '../load/load-result.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { sizeInForce } from '../load/reference-motor.ts';
import { notebook, type StageContext, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, textValue } from '../../kernel/value.ts';
import { nema250 } from '../../kernel/tables/index.ts';
import { slowDemand } from './reduced-speed-torque.ts';
import { cabinetHeat, type CabinetHeat } from './cabinet.ts';
import {
  frameMaterial,
  inCatalogue,
  judgeEnclosures,
  type EnclosureCode,
  type EnclosureVerdict,
} from './motor-enclosures.ts';

export type { EnclosureCode } from './motor-enclosures.ts';
export { RATED_AMBIENT, type HousingCode } from './environment-known.ts';

export interface PlaceResult extends StageResult<PlaceValues> {
  /** Motor enclosures that may stand here, the plainest first. Empty where a competent person must choose. */
  readonly enclosures: readonly EnclosureCode[];
  /** Every enclosure with what was decided of it and why. */
  readonly verdicts: readonly EnclosureVerdict[];
  /** At this altitude full power is had only at the cost of a service factor of 1.15. */
  readonly spendsServiceFactor: boolean;
  /** Least housing of a drive that stands here on its own. */
  readonly housing: HousingCode;
}

export const enclosureTexts: Readonly<Record<EnclosureCode, string>> = {
  ODP: 'open drip-proof (IP22)',
  TEFC: 'totally enclosed fan-cooled (IP55)',
  washdown: 'washdown duty (IP66)',
};

/** Where it has to live: which enclosure and housing may stand there and what heat and thin air take away. */
export function place(brief: StageContext, nameplate: NameplateResult, load: LoadResult): PlaceResult {
  const { findings, missing, report, suggest } = notebook(declaration);
  const given = givenOf(brief, nameplate, load, report);
  const { job, at, ambient, altitude, power, thinAir } = given;
  askFor(brief, suggest);
  checkDeferring(given);
  const standing = standingHere(brief, given);
  const motorDerate = derate(given);
  const heat = at.cabinet && power > 0 ? cabinetHeat(brief, driveLosses(given), ambient, altitude) : undefined;
  checkDerate(motorDerate, given);
  checkAir(given);
  checkNoise(given);
  checkCabinet({ ...given, heat });
  const material = frameMaterial(job, power, ambient.value > RATED_AMBIENT);
  const heater = heaterNeeded(given);
  const [first] = standing.enclosures;
  const percent = motorDerate.value < NOTICED ? ` · derates ${((1 - motorDerate.value) * 100).toFixed(0)} %` : '';
  return {
    values: {
      ambient,
      altitude,
      motorEnclosure: standing.motorEnclosure,
      frameMaterial: textValue(material.material, { origin: 'chosen', source: material.source, note: material.why }),
      ...(heater ? { heater } : {}),
      motorDerate,
      driveHousing: driveHousing(given),
      driveDerate: derateDrive(given),
      ...(heat ? cabinetValues(heat) : {}),
    },
    findings,
    missing,
    summary: say`${first ?? 'Defer'} · ${ambient}${percent}`,
    enclosures: standing.enclosures,
    verdicts: standing.verdicts,
    spendsServiceFactor: thinAir,
    housing: given.housing,
  };
}

/** A derating that is worth a word. */
const NOTICED = 0.999;

type Given = ReturnType<typeof givenOf>;

/** What is typed of the place, with what is assumed where nothing is. */
function givenOf(brief: StageContext, nameplate: NameplateResult, load: LoadResult, report: Report) {
  const { job, given, practice } = brief;
  const { school } = job;
  const at = job.place;
  const ambient =
    given.place.ambient ??
    quantity(RATED_AMBIENT, 'temperature', {
      origin: 'estimated',
      source: PRACTICE,
      assumes: 'place.ambient',
      note: 'The rated ambient is assumed.',
    });
  const altitude =
    given.place.altitude ??
    quantity(0, 'altitude', {
      origin: 'estimated',
      source: PRACTICE,
      assumes: 'place.altitude',
      note: 'Below 1000 m is assumed.',
    });
  const size = sizeInForce(job, nameplate, load.values.standardPower);
  const power = size?.value ?? 0;
  const wet = isWet({ at });
  return {
    job,
    given,
    practice,
    school,
    at,
    load,
    report,
    ambient,
    altitude,
    size,
    power,
    wet,
    housing: minimumEnclosureRating({ at, wet, power, practice }),
    thinAir: isThinAir({ job, given, ambient, altitude }),
    ratedAmbient: ambientRating({ job, given, school }),
    deferred: at.hazardous !== 'no' || at.dust === 'combustible' || at.water === 'submerged',
  };
}

type Sharpen = (field: string, message: string) => void;

function askFor({ job, given }: StageContext, suggest: Sharpen): void {
  if (!given.place.ambient) {
    suggest(
      'place.ambient',
      'Maximum ambient temperature; until it is entered, 40 °C and a non-hazardous area are assumed',
    );
  }
  // A clean room has no size; a cabinet of which one side is typed has three.
  const sides = (['cabinetHeight', 'cabinetWidth', 'cabinetDepth'] as const).filter((side) => !given.place[side]);
  if (job.place.cabinet && sides[0] && sides.length < 3)
    suggest(`place.${sides[0]}`, 'Height, width and depth of the cabinet, for its internal temperature');
}

/** What a competent person decides. */
function checkDeferring({ at, report }: Given): void {
  if (at.hazardous !== 'no') {
    const known = at.hazardous === 'yes';
    report(
      'place.hazardous',
      known
        ? 'Hazardous area: Pilgrim does not choose explosion-protected equipment.'
        : 'It is not known whether the area is hazardous. Nothing is chosen until that is settled.',
      {
        clear: known
          ? 'Hand the selection to a person competent for hazardous areas.'
          : 'Ask for the area classification drawing.',
      },
    );
  }
  if (at.dust === 'combustible') {
    report('place.combustible-dust', 'Combustible dust makes the area a hazardous one until classified otherwise.');
  }
  if (at.water === 'submerged') {
    report('place.submerged', 'A motor under water is a submersible motor, selected with its pump.');
  }
}

/** Enclosures that may stand here, and why the others may not. */
function standingHere(
  brief: StageContext,
  { job, at, load, deferred }: Given,
): Pick<PlaceResult, 'enclosures' | 'verdicts'> & Pick<PlaceValues, 'motorEnclosure'> {
  const slow = slowDemand(brief, load.values.loadFraction?.value ?? 1) !== undefined;
  const verdicts = judgeEnclosures(job, deferred, slow);
  const standing = verdicts.flatMap(({ code, verdict }) =>
    verdict !== 'ruled out' && inCatalogue(code) ? [code] : [],
  );
  // Where fibres or an air stream leave nothing but washdown, a fan-cooled motor still stands here, with care.
  const enclosures: EnclosureCode[] =
    !deferred && at.water !== 'washdown' && !standing.includes('TEFC') ? [...standing, 'TEFC'] : standing;
  const [first] = enclosures;
  const ruledOut = verdicts.filter(({ verdict }) => verdict === 'ruled out');
  const motorEnclosure = textValue(first ? enclosureTexts[first] : 'a competent person decides', {
    origin: 'chosen',
    source: 'MG 1 1.25, 1.26; IEC 60034-5 (recalled from memory)',
    note: ruledOut.map(({ code, why }) => `${code}: ${why}`).join('; ') || undefined,
  });
  return { enclosures, verdicts, motorEnclosure };
}

const driveHousing = (given: Given): Value<Text> =>
  textValue(housingWords(given), {
    origin: 'chosen',
    source: say`${nema250.source}, IEC 60529 (recalled from memory); limit of ${given.practice.driveCaseLimit}: ${PRACTICE}`,
  });

const cabinetValues = ({ losses, walls, inside, air, filterInterval }: CabinetHeat): Partial<PlaceValues> => ({
  cabinetLosses: losses,
  cabinetWalls: walls,
  cabinetInside: inside,
  ...(air ? { cabinetAir: air } : {}),
  ...(filterInterval ? { filterInterval } : {}),
});

function checkDerate(motorDerate: Value, { ambient, altitude, ratedAmbient, report }: Given): void {
  if (motorDerate.value >= NOTICED) return;
  report('place.motor-derate', say`The motor derating factor is ${motorDerate} at ${ambient} and ${altitude}.`, {
    severity: motorDerate.value < 0.85 ? 'caution' : 'note',
    field: ambient.value > ratedAmbient.value ? 'place.ambient' : 'place.altitude',
  });
}

/** Frost, dust and mounting. */
function checkAir({ at, ambient, report }: Given): void {
  if (ambient.value < KELVIN) {
    report('place.freezing', say`At ${ambient} a drive needs a heated enclosure, and a standing motor a space heater.`);
  }
  if (at.dust === 'conductive') report('place.conductive-dust', 'Conductive dust shorts drives and terminal boxes.');
  if (at.dust === 'fibrous') report('place.fibres', 'Fibres close fan covers and drive filters within weeks.');
  if (at.attitude === 'horizontal') return;
  const down = at.attitude === 'shaft down';
  report(
    'place.attitude',
    `With the ${at.attitude} the bearings carry the rotor’s weight${down ? ' and a rain canopy keeps water off the fan' : ', and a slinger keeps water out of the top bearing'}.`,
    { clear: `Order it for that mounting (${down ? 'IM V1' : 'IM V3'}).` },
  );
}
