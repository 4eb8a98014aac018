import { findings as declared } from './findings.ts';
import { KELVIN } from '../../ground/constants.ts';
import type { PlaceValues } from './values.ts';
import type { LoadResult } from '../load/load.ts';
import type { NameplateResult } from '../nameplate/nameplate.ts';
import { keepsMotor, sizeInForce } from '../load/reference-motor.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, wording, type Value } from '../../ground/value.ts';
import { driveEfficiency, nema250, thermalClasses } from '../../ground/tables/index.ts';
import { horsepowerOf } from '../../motor/standard-power.ts';
import { slowDemand } from './slow.ts';
import { formatQuantity } from '../../ground/quantity/format.ts';
import { cabinetHeat } from './cabinet.ts';
import {
  frameMaterial,
  inCatalogue,
  judgeEnclosures,
  type EnclosureCode,
  type EnclosureVerdict,
} from './motor-enclosures.ts';

export type { EnclosureCode } from './motor-enclosures.ts';
export type HousingCode = 'IP20' | 'IP55' | 'IP66';

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

/** m; MG 1 14.4.3, recalled from memory and doubted. */
const NINE_THOUSAND_FEET = 9000 * 0.3048;
/** Ambient that ratings hold for, K (IEC 60034-1 6, MG 1 14.2). */
export const RATED_AMBIENT = KELVIN + 40;

export const enclosureTexts: Readonly<Record<EnclosureCode, string>> = {
  ODP: 'open drip-proof (IP22)',
  TEFC: 'totally enclosed fan-cooled (IP55)',
  washdown: 'washdown duty (IP66)',
};

/** NEMA 250 types that meet a degree of protection; the conversion runs from type to IP, never back. */
const housingTypes: Readonly<Record<HousingCode, string>> = { IP20: '1', IP55: '12', IP66: '4X' };
const housingText = (code: HousingCode): string =>
  code === 'IP20' ? 'open or Type 1 (IP20)' : `Type ${housingTypes[code]} (${code})`;

/** Where it has to live: which enclosure and housing may stand there and what heat and thin air take away. */
export function place(brief: Brief, nameplate: NameplateResult, load: LoadResult): PlaceResult {
  const { job, given, practice } = brief;
  const { findings, missing, flag, sharpen } = notebook('place', declared);
  const { school } = job;
  const at = job.place;
  const ambient =
    given.place.ambient ??
    quantity(RATED_AMBIENT, 'temperature', school, {
      origin: 'estimated',
      source: PRACTICE,
      note: 'The rated ambient is assumed.',
    });
  const altitude =
    given.place.altitude ??
    quantity(0, 'altitude', school, { origin: 'estimated', source: PRACTICE, note: 'Below 1000 m is assumed.' });

  if (!given.place.ambient) {
    sharpen('place.ambient', 'Hottest ambient; until it is typed, 40 °C and an area that is not hazardous are assumed');
  }
  if (at.hazardous !== 'no') {
    flag(
      'place.hazardous',
      at.hazardous === 'yes'
        ? 'Hazardous area: Pilgrim does not choose explosion-protected equipment.'
        : 'It is not known whether the area is hazardous. Nothing is chosen until that is settled.',
      {
        clear:
          at.hazardous === 'yes'
            ? 'Hand the selection to a person competent for hazardous areas.'
            : 'Ask for the area classification drawing.',
      },
    );
  }
  if (at.dust === 'combustible') {
    flag('place.combustible-dust', 'Combustible dust makes the area a hazardous one until classified otherwise.');
  }
  if (at.water === 'submerged') {
    flag('place.submerged', 'A motor under water is a submersible motor, selected with its pump.');
  }

  const deferred = at.hazardous !== 'no' || at.dust === 'combustible' || at.water === 'submerged';
  const verdicts = judgeEnclosures(
    job,
    deferred,
    slowDemand(brief, load.values.loadFraction?.value ?? 1) !== undefined,
  );
  const standing = verdicts.flatMap(({ code, verdict }) =>
    verdict !== 'ruled out' && inCatalogue(code) ? [code] : [],
  );
  // Where fibres or an air stream leave nothing but washdown, a fan-cooled motor still stands here, with care.
  const enclosures: EnclosureCode[] =
    !deferred && at.water !== 'washdown' && !standing.includes('TEFC') ? [...standing, 'TEFC'] : standing;
  const first = enclosures[0];
  const motorEnclosure = wording(first ? enclosureTexts[first] : 'a competent person decides', {
    origin: 'chosen',
    source: 'MG 1 1.25, 1.26; IEC 60034-5 (recalled from memory)',
    note:
      verdicts
        .filter(({ verdict }) => verdict === 'ruled out')
        .map(({ code, why }) => `${code}: ${why}`)
        .join('; ') || undefined,
  });
  const size = sizeInForce(job, nameplate, load.values.standardPower);
  const power = size?.value ?? 0;
  const chosenMaterial = frameMaterial(job, power, ambient.value > RATED_AMBIENT);

  const wet =
    at.water === 'hose' ||
    at.water === 'washdown' ||
    at.setting === 'outdoor' ||
    at.corrosion === 'salt' ||
    at.corrosion === 'chemical';
  const housing = leastHousing();
  const driveHousing = wording(housingWords(), {
    origin: 'chosen',
    source: `${nema250.source}, IEC 60529 (recalled from memory); limit of ${practice.driveCaseLimit.text}: ${PRACTICE}`,
  });

  // MG 1 14.4.3: a motor with service factor 1.15 gives its rated power up to 9000 ft, without the factor.
  const thinAir =
    school === 'NEMA' &&
    altitude.value > 1000 &&
    altitude.value <= NINE_THOUSAND_FEET &&
    ambient.value <= RATED_AMBIENT + 0.01 &&
    (given.nameplate.serviceFactor?.value ?? 1) >= 1.15 &&
    job.situation.kind !== 'new';
  const ratedAmbient = ambientRating();
  const motorDerate = derate();
  const driveDerate = derateDrive();
  const heat = at.cabinet && power > 0 ? cabinetHeat(brief, driveLosses(), ambient, altitude) : undefined;
  // A clean room has no size; a cabinet of which one side is typed has three.
  const sides = (['cabinetHeight', 'cabinetWidth', 'cabinetDepth'] as const).filter((side) => !given.place[side]);
  if (at.cabinet && sides[0] && sides.length < 3)
    sharpen(`place.${sides[0]}`, 'All three sides of the cabinet, to tell how warm it gets inside');
  const heater = heaterNeeded();
  if (motorDerate.value < 0.999) {
    flag(
      'place.motor-derate',
      `${ambient.text} at ${altitude.text} leaves the motor ${motorDerate.text} of its rated power.`,
      {
        severity: motorDerate.value < 0.85 ? 'caution' : 'note',
        field: ambient.value > ratedAmbient.value ? 'place.ambient' : 'place.altitude',
      },
    );
  }
  if (ambient.value < KELVIN) {
    flag('place.freezing', `At ${ambient.text} a drive needs a heated enclosure, and a standing motor a space heater.`);
  }
  if (at.dust === 'conductive') {
    flag('place.conductive-dust', 'Conductive dust shorts drives and terminal boxes.');
  }

  if (at.dust === 'fibrous') {
    flag('place.fibres', 'Fibres close fan covers and drive filters within weeks.');
  }
  if (at.attitude !== 'horizontal') {
    flag(
      'place.attitude',
      `With the ${at.attitude} the bearings carry the rotor’s weight${at.attitude === 'shaft down' ? ' and a rain canopy keeps water off the fan' : ', and a slinger keeps water out of the top bearing'}.`,
      { clear: `Order it for that mounting (${at.attitude === 'shaft down' ? 'IM V1' : 'IM V3'}).` },
    );
  }
  checkNoise();
  checkCabinet();

  const percent = motorDerate.value < 0.999 ? ` · derates ${((1 - motorDerate.value) * 100).toFixed(0)} %` : '';
  return {
    values: {
      ambient,
      altitude,
      motorEnclosure,
      frameMaterial: wording(chosenMaterial.material, {
        origin: 'chosen',
        source: chosenMaterial.source,
        note: chosenMaterial.why,
      }),
      ...(heater ? { heater } : {}),
      motorDerate,
      driveHousing,
      driveDerate,
      ...(heat
        ? {
            cabinetLosses: heat.losses,
            cabinetWalls: heat.walls,
            cabinetInside: heat.inside,
            ...(heat.air ? { cabinetAir: heat.air } : {}),
            ...(heat.filterInterval ? { filterInterval: heat.filterInterval } : {}),
          }
        : {}),
    },
    findings,
    missing,
    summary: `${first ?? 'Defer'} · ${ambient.text}${percent}`,
    enclosures,
    verdicts,
    spendsServiceFactor: thinAir,
    housing,
  };

  /** The ambient a motor is rated for: 40 °C, or what the plate of the motor that stays says. */
  function ambientRating(): Value {
    const printed = keepsMotor(job) ? given.nameplate.ambient : undefined;
    return (
      printed ??
      quantity(RATED_AMBIENT, 'temperature', school, {
        origin: 'recalled',
        source: 'IEC 60034-1 6, MG 1 14.2 (from memory)',
      })
    );
  }

  /** A usual drive; the pick uses the figures of each drive in the catalogue. */
  function derateDrive(): Value {
    const heatLost = practice.driveHeatDerate.value * Math.max(0, ambient.value - practice.driveAmbient.value);
    const airLost = practice.driveAltitudeDerate.value * Math.max(0, (altitude.value - 1000) / 100);
    return quantity(Math.max(0, (1 - heatLost) * (1 - airLost)), 'fraction', school, {
      origin: 'estimated',
      formula: 'k = (1 - a\\,(\\vartheta - \\vartheta_r))\\,(1 - b\\,\\dfrac{h - 1000}{100})',
      from: {
        a: practice.driveHeatDerate,
        '\\vartheta': ambient,
        '\\vartheta_r': practice.driveAmbient,
        b: practice.driveAltitudeDerate,
        h: altitude,
      },
      source: PRACTICE,
      note: 'A usual drive; the pick uses each drive’s own figures.',
    });
  }

  /** Loss of a drive for the size, from its efficiency at full load. */
  function driveLosses(): Value {
    const rows = driveEfficiency.rows;
    const row = rows.findLast((each) => Number(each['hp']) <= horsepowerOf(power)) ?? rows[0];
    const efficiency = (driveEfficiency.number(row, 'l100') ?? 96) / 100;
    return quantity(power * (1 / efficiency - 1), 'power', school, {
      origin: 'estimated',
      formula: 'P_v = P\\left(\\dfrac{1}{\\eta_d} - 1\\right)',
      from: { P: size },
      source: driveEfficiency.source,
    });
  }

  function heaterNeeded(): Value<string> | undefined {
    const damp = at.dampStandby || at.corrosion === 'humid' || at.setting === 'outdoor';
    if (!damp && ambient.value >= KELVIN) return undefined;
    return wording(
      ambient.value < KELVIN ? 'space heater in the motor, heated cabinet for the drive' : 'space heater in the motor',
      {
        origin: 'chosen',
        source: PRACTICE,
        note: ambient.value < KELVIN ? 'It freezes here.' : 'A cold winding in damp air draws water.',
      },
    );
  }

  function checkNoise(): void {
    const limit = given.place.noiseLimit;
    const twoPole = load.values.poles?.value === 2;
    if (!limit || limit.value >= (twoPole ? 85 : 75)) return;
    flag(
      'place.noise',
      `${limit.text} is quiet for a${twoPole ? ' two-pole' : ''} fan-cooled motor; the fan, not the winding, makes the noise.`,
      {
        clear: twoPole
          ? 'Take four poles or a unidirectional fan, and ask the maker for the sound level.'
          : 'Ask the maker for the sound level; on a drive raise the switching frequency.',
      },
    );
  }

  function checkCabinet(): void {
    if (!heat) return;
    if (practice.driveAmbient.value - ambient.value <= 1) {
      flag(
        'place.cabinet-cannot-cool',
        `The air around the cabinet is ${ambient.text}, no cooler than the ${practice.driveAmbient.text} the drive bears: outside air cannot cool it.`,
      );
    } else if (heat.air) {
      flag(
        'place.cabinet-air',
        `The walls carry ${formatQuantity(heat.walls.value, 'power', 'IEC')} of ${formatQuantity(heat.losses.value, 'power', 'IEC')}; without a fan it would be ${heat.inside.text} inside. It needs ${heat.air.working.note ?? ''} Change the filter every ${heat.filterInterval?.text ?? '1'} months.`,
        { basis: heat.air.working.source },
      );
    }
  }

  function leastHousing(): HousingCode {
    if (at.cabinet) return 'IP20';
    if (wet) return tooLargeForItsOwnCase() ? 'IP20' : 'IP66';
    return at.dust === 'clean' && at.water === 'dry' ? 'IP20' : 'IP55';
  }

  function tooLargeForItsOwnCase(): boolean {
    return power > practice.driveCaseLimit.value;
  }

  function housingWords(): string {
    if (at.cabinet) return `${housingText('IP20')} in its cabinet`;
    return wet && housing === 'IP20' ? 'cabinet of Type 4X (IP66) around an open drive' : housingText(housing);
  }

  /**
   * The rise allowed falls by the kelvins above 40 °C and by 1 % per 100 m above 1000 m (IEC 60034-1 8.10); cooler air
   * makes up for altitude but never gives more than rated power.
   * Output follows with the loss split fixed : load, √((r − c)/(1 − c)).
   */
  function derate(): Value {
    if (thinAir)
      return quantity(1, 'fraction', school, {
        origin: 'recalled',
        formula: 'k = 1',
        from: { h: altitude, SF: given.nameplate.serviceFactor },
        source: 'MG 1 14.4.3 (recalled from memory; the 9000 ft are doubted)',
        note: 'A service factor of 1.15 is spent on the thin air: full power, and nothing above it.',
      });
    const letter = job.nameplate.thermalClass?.trim().toUpperCase().at(0) ?? 'F';
    const row = thermalClasses.rows.find((each) => each['letter'] === letter);
    const rise = thermalClasses.number(row, 'rise_resistance') ?? 105;
    const cooling = (rise - (ambient.value - ratedAmbient.value)) / rise;
    const air = 1 - Math.max(0, altitude.value - 1000) / 10_000;
    const allowed = Math.min(1, Math.max(0, cooling) * air);
    const share = practice.fixedLossShare;
    const factor = Math.sqrt(Math.max(0, (allowed - share.value) / (1 - share.value)));
    return quantity(factor, 'fraction', school, {
      formula:
        'k = \\sqrt{\\dfrac{r - c}{1 - c}},\\quad r = \\dfrac{\\theta - (\\vartheta - \\vartheta_n)}{\\theta}\\left(1 - \\dfrac{h - 1000}{10\\,000}\\right)',
      from: {
        '\\vartheta': ambient,
        '\\vartheta_n': ratedAmbient,
        h: altitude,
        c: share,
        '\\theta': quantity(rise, 'count', school, {
          origin: 'recalled',
          source: thermalClasses.source,
          note: `Rise of class ${letter}, K`,
        }),
      },
      source: 'IEC 60034-1 8.10 for the rise (recalled from memory); loss split: ' + PRACTICE,
    });
  }
}
