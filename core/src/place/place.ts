import type { LoadResult } from '../load/load.ts';
import { notebook, type Brief, type StageResult } from '../stage.ts';
import { PRACTICE, quantity, wording, type Value } from '../value.ts';
import { thermalClasses } from '../tables/index.ts';

export interface PlaceValues {
  readonly ambient: Value;
  readonly altitude: Value;
  readonly motorEnclosure: Value<string>;
  readonly driveHousing: Value<string>;
  /** Share of rated power the motor may give here. */
  readonly motorDerate: Value;
}

export type EnclosureCode = 'ODP' | 'TEFC' | 'washdown';
export type HousingCode = 'IP20' | 'IP55' | 'IP66';

export interface PlaceResult extends StageResult<PlaceValues> {
  /** Motor enclosures that may stand here, the plainest first. Empty where a competent person must choose. */
  readonly enclosures: readonly EnclosureCode[];
  /** Why the others may not. */
  readonly ruledOut: Readonly<Partial<Record<EnclosureCode, string>>>;
  /** Least housing of a drive that stands here on its own. */
  readonly housing: HousingCode;
}

const KELVIN = 273.15;

export const enclosureTexts: Readonly<Record<EnclosureCode, string>> = {
  ODP: 'open drip-proof (IP22)',
  TEFC: 'totally enclosed fan-cooled (IP55)',
  washdown: 'washdown duty (IP66)',
};

const housingTexts: Readonly<Record<HousingCode, string>> = {
  IP20: 'open or Type 1 (IP20)',
  IP55: 'Type 12 (IP55)',
  IP66: 'Type 4X (IP66)',
};

/** Where it has to live: which enclosure and housing may stand there and what heat and thin air take away. */
export function place({ job, given, practice }: Brief, load: LoadResult): PlaceResult {
  const { findings, missing, flag, need } = notebook('place');
  const { school } = job;
  const at = job.place;
  const ambient =
    given.place.ambient ??
    quantity(KELVIN + 40, 'temperature', school, {
      origin: 'estimated',
      source: PRACTICE,
      note: 'The rated ambient is assumed.',
    });
  const altitude =
    given.place.altitude ??
    quantity(0, 'altitude', school, { origin: 'estimated', source: PRACTICE, note: 'Below 1000 m is assumed.' });

  if (!given.place.ambient) {
    need('place.ambient', 'Hottest ambient; until it is typed, 40 °C and an area that is not hazardous are assumed');
  }
  if (at.hazardous !== 'no') {
    flag({
      code: 'place.hazardous',
      severity: 'stop',
      message:
        at.hazardous === 'yes'
          ? 'Hazardous area: Pilgrim does not choose explosion-protected equipment.'
          : 'It is not known whether the area is hazardous. Nothing is chosen until that is settled.',
      basis: 'NEC Articles 500–506, IEC 60079: certified selection by a competent person',
      clear:
        at.hazardous === 'yes'
          ? 'Hand the selection to a person competent for hazardous areas.'
          : 'Ask for the area classification drawing.',
      field: 'place.hazardous',
    });
  }
  if (at.dust === 'combustible') {
    flag({
      code: 'place.combustible-dust',
      severity: 'stop',
      message: 'Combustible dust makes the area a hazardous one until classified otherwise.',
      basis: 'NEC Article 502, IEC 60079-10-2',
      clear: 'Hand the selection to a person competent for hazardous areas.',
      field: 'place.dust',
    });
  }
  if (at.water === 'submerged') {
    flag({
      code: 'place.submerged',
      severity: 'stop',
      message: 'A motor under water is a submersible motor, selected with its pump.',
      basis: PRACTICE,
      clear: 'Ask the pump’s maker for the motor that belongs to it.',
      field: 'place.water',
    });
  }

  const ruledOut: Partial<Record<EnclosureCode, string>> = {};
  if (at.setting === 'outdoor') ruledOut.ODP = 'open motors do not stand outdoors';
  if (at.dust !== 'clean') ruledOut.ODP = 'dust would be drawn through the winding';
  if (at.water !== 'dry') ruledOut.ODP = 'open motors only where it is dry';
  if (at.water === 'washdown') ruledOut.TEFC = 'washdown jets pass the seals of IP55';
  const deferred = at.hazardous !== 'no' || at.dust === 'combustible' || at.water === 'submerged';
  const enclosures = deferred ? [] : (['ODP', 'TEFC', 'washdown'] as const).filter((code) => !ruledOut[code]);
  const first = enclosures[0];
  const motorEnclosure = wording(first ? enclosureTexts[first] : 'a competent person decides', {
    origin: 'chosen',
    source: 'MG 1 1.25, 1.26; IEC 60034-5 (recalled from memory)',
    note:
      Object.entries(ruledOut)
        .map(([code, why]) => `${code}: ${why}`)
        .join('; ') || undefined,
  });

  const housing = leastHousing();
  const driveHousing = wording(housingText(), {
    origin: 'chosen',
    source: 'NEMA 250, IEC 60529 (recalled from memory); 15 kW limit: ' + PRACTICE,
  });

  const motorDerate = derate();
  if (motorDerate.value < 0.999) {
    flag({
      code: 'place.motor-derate',
      severity: motorDerate.value < 0.85 ? 'caution' : 'note',
      message: `${ambient.text} at ${altitude.text} leaves the motor ${motorDerate.text} of its rated power.`,
      basis: 'IEC 60034-1 8.10, MG 1 14.4 (recalled from memory)',
      clear: 'Bring cooler air, or accept the larger size.',
      field: ambient.value > KELVIN + 40 ? 'place.ambient' : 'place.altitude',
    });
  }
  if (ambient.value < KELVIN) {
    flag({
      code: 'place.freezing',
      severity: 'caution',
      message: `At ${ambient.text} a drive needs a heated enclosure, and a standing motor a space heater.`,
      basis: PRACTICE,
      clear: 'Add a heated enclosure and a space heater to the order.',
      field: 'place.ambient',
    });
  }
  if (at.dust === 'conductive') {
    flag({
      code: 'place.conductive-dust',
      severity: 'caution',
      message: 'Conductive dust shorts drives and terminal boxes.',
      basis: PRACTICE,
      clear: 'Put drive and starter in a clean room, and seal the terminal box.',
      field: 'place.dust',
    });
  }

  const percent = motorDerate.value < 0.999 ? ` · derates ${((1 - motorDerate.value) * 100).toFixed(0)} %` : '';
  return {
    values: { ambient, altitude, motorEnclosure, driveHousing, motorDerate },
    findings,
    missing,
    summary: `${first ?? 'Defer'} · ${ambient.text}${percent}`,
    enclosures,
    ruledOut,
    housing,
  };

  function leastHousing(): HousingCode {
    if (at.cabinet) return 'IP20';
    if (at.water === 'hose' || at.water === 'washdown' || at.setting === 'outdoor')
      return tooLargeForItsOwnCase() ? 'IP20' : 'IP66';
    return at.dust === 'clean' && at.water === 'dry' ? 'IP20' : 'IP55';
  }

  function tooLargeForItsOwnCase(): boolean {
    return (load.values.standardPower?.value ?? 0) > practice.driveCaseLimit.value;
  }

  function housingText(): string {
    if (at.cabinet) return `${housingTexts.IP20} in its cabinet`;
    const wet = at.water === 'hose' || at.water === 'washdown' || at.setting === 'outdoor';
    return wet && housing === 'IP20' ? 'cabinet of Type 4X (IP66) around an open drive' : housingTexts[housing];
  }

  /**
   * The rise allowed falls by the kelvins above 40 °C and by 1 % per 100 m above 1000 m (IEC 60034-1 8.10).
   * Output follows with the loss split fixed : load, √((r − c)/(1 − c)).
   */
  function derate(): Value {
    const letter = job.nameplate.thermalClass?.trim().toUpperCase().at(0) ?? 'F';
    const row = thermalClasses.rows.find((each) => each['letter'] === letter);
    const rise = thermalClasses.number(row, 'rise_resistance') ?? 105;
    const heat = (rise - Math.max(0, ambient.value - KELVIN - 40)) / rise;
    const air = 1 - Math.max(0, altitude.value - 1000) / 10_000;
    const share = practice.fixedLossShare;
    const factor = Math.sqrt(Math.max(0, (Math.max(0, heat) * air - share.value) / (1 - share.value)));
    return quantity(Math.min(1, factor), 'fraction', school, {
      formula:
        'k = \\sqrt{\\dfrac{r - c}{1 - c}},\\quad r = \\dfrac{\\theta - (\\vartheta - 40)}{\\theta}\\left(1 - \\dfrac{h - 1000}{10\\,000}\\right)',
      from: {
        '\\vartheta': ambient,
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
