import type { Flag } from './findings.ts';
import type { NameplateValues } from './values.ts';
import type { Brief } from '../stage.ts';
import type { EfficiencyClass } from '../../motor/efficiency-class.ts';
import { classEfficiency, classesOf } from '../../motor/efficiency-class.ts';
import { formatNumber } from '../../ground/quantity/format.ts';
import { motorEnclosures, voltageZones, windingWithstand } from '../../ground/tables/index.ts';
import { PRACTICE, wording, type Value } from '../../ground/value.ts';
import { atOtherFrequency } from './alternate-frequency.ts';
import { decodeBearing, mixing, mixingWords, thickenerOf, type Bearing } from './bearing.ts';
import { leastClass } from './class-in-year.ts';
import { connectionAt } from './connection.ts';
import { utilizationVoltage } from './connected-rating.ts';
import { decodeDuty, decodeEnclosure, isExplosionProtected } from './enclosure.ts';
import { insulation } from './insulation.ts';
import { designValues, type DesignValues } from './design-letter.ts';
import { standardFrame } from './frame.ts';
import { inverterStatement, type InverterStatement } from './inverter.ts';

/** The year up to which laws and plate habits are known to this engine; the core has no clock. */
const KNOWN_YEAR = 2026;

export interface PlateFacts {
  readonly power: Value | undefined;
  readonly voltage: Value | undefined;
  readonly frequency: Value;
  readonly speed: Value | undefined;
  readonly poles: Value | undefined;
  readonly efficiency: Value | undefined;
  readonly voltages: readonly Value[];
  readonly open: boolean;
}

export type DecodedValues = DesignValues &
  Pick<
    NameplateValues,
    | 'standardFrame'
    | 'voltageZone'
    | 'enclosureMeaning'
    | 'dutyMeaning'
    | 'thermalLimit'
    | 'hotSpot'
    | 'insulationLife'
    | 'bearingDriveEnd'
    | 'bearingOppositeEnd'
    | 'connection'
    | 'starDelta'
    | 'inverter'
    | 'classInItsYear'
    | 'classToday'
    | 'otherFrequency'
    | 'torqueOnSupply'
  >;

const yearOf = (text: string | undefined): number | undefined => {
  const found = /(?:19[4-9]|20[0-4])\d/.exec(text ?? '')?.[0];
  return found === undefined ? undefined : Number(found);
};

/** Decodes what the plate says in codes, and flags what a code entails. */
export function decodePlate(
  { job, given }: Brief,
  facts: PlateFacts,
  flag: Flag,
): { readonly values: DecodedValues; readonly inverter: InverterStatement } {
  const plate = job.nameplate;
  const { school } = job;
  const said = (text: string, source: string): Value<string> => wording(text, { origin: 'recalled', source });
  const year = yearOf(plate.year);
  const values: { -readonly [Name in keyof DecodedValues]: DecodedValues[Name] } = designValues(
    plate.designLetter,
    facts.power?.value,
    facts.poles?.value,
    school,
  );
  const usual = facts.power && facts.poles && standardFrame(facts.power.value, facts.poles.value, facts.open, school);
  if (usual) values.standardFrame = said(usual, school === 'NEMA' ? 'MG 1 Part 13' : 'EN 50347');
  readZone();
  readServiceFactor();

  const housing = decodeEnclosure([plate.enclosure, plate.cooling].filter(Boolean).join(' '));
  if (housing.length > 0)
    values.enclosureMeaning = said(
      housing.map((fact) => `${fact.code}: ${[fact.meaning, fact.also].filter(Boolean).join('; ')}`).join('. '),
      motorEnclosures.source,
    );
  checkExplosionProtection();
  readDuty();
  const winding = insulation(plate.thermalClass, plate.rise, given.place.ambient ?? given.nameplate.ambient, school);
  if (winding) {
    values.thermalLimit = winding.limit;
    values.hotSpot = winding.hotSpot;
    values.insulationLife = winding.life;
    // Without the rise on the plate the hot spot is only an upper estimate; the place stage derates for the heat.
    if (winding.hotSpot.origin === 'derived' && winding.hotSpot.value > winding.limit.value + 0.5)
      flag(
        'nameplate.hot-spot',
        `At full load the hot spot would reach ${winding.hotSpot.text}, above the ${winding.limit.text} of the class: its life falls to about ${winding.life.text}.`,
      );
  }
  const drive = readBearing('bearingDriveEnd');
  readBearing('bearingOppositeEnd');
  readGrease(drive);
  readConnection();
  const inverter = readInverter();
  readClass();
  if (facts.power && facts.voltage && facts.speed && facts.poles) {
    const rated = {
      power: facts.power,
      voltage: facts.voltage,
      frequency: facts.frequency,
      speed: facts.speed,
      poles: facts.poles,
    };
    const other = atOtherFrequency(rated, school);
    if (other) values.otherFrequency = other;
  }
  return { values, inverter };

  function checkExplosionProtection(): void {
    const said = [plate.enclosure, plate.model].filter(Boolean).join(' ');
    if (job.situation.kind === 'new' || !isExplosionProtected(said)) return;
    flag(
      'nameplate.explosion-protected',
      'The motor on the plate is explosion-protected. Its replacement, starter or drive is a matter of certification.',
    );
  }

  /** How far the supply’s utilization voltage is from rated: zone A for good, zone B to survive. */
  function readZone(): void {
    const system = given.supply.voltage;
    if (!system || !facts.voltage) return;
    const off = utilizationVoltage(system.value) / facts.voltage.value - 1;
    const zone = voltageZones.rows.find(
      (row) => Math.abs(off) <= (voltageZones.number(row, 'voltage') ?? 0) / 100 + 1e-9,
    );
    const percent = `${off < 0 ? '−' : '+'}${formatNumber(Math.abs(off) * 100, 2)} %`;
    const words = { A: 'may run there for good', B: 'must run, not for good' }[String(zone?.['zone'])];
    values.voltageZone = said(
      zone && words ? `zone ${String(zone['zone'])}, ${percent}: ${words}` : `outside both zones, ${percent}`,
      `${voltageZones.source}; ±10 % by MG 1 12.44`,
    );
  }

  function readServiceFactor(): void {
    const factor = given.nameplate.serviceFactor;
    if (!factor || factor.value <= 1 || job.situation.kind !== 'drive') return;
    flag(
      'nameplate.service-factor',
      `The service factor ${factor.text} is spent by the extra heat of a drive: the motor is held to 1.0 on it.`,
    );
  }

  function readDuty(): void {
    if (!plate.duty?.trim()) return;
    const duty = decodeDuty(plate.duty);
    if (duty) values.dutyMeaning = said(duty.meaning, 'IEC 60034-1 4.2, MG 1 10.36');
    if (duty?.continuous) return;
    flag(
      'nameplate.duty',
      `The plate’s duty is “${plate.duty.trim().slice(0, 30)}”${duty ? `: ${duty.meaning}` : ''}. Only S1 or CONT may be loaded continuously.`,
    );
  }

  function readBearing(field: 'bearingDriveEnd' | 'bearingOppositeEnd'): Bearing | undefined {
    const text = plate[field]?.trim();
    if (!text) return undefined;
    const bearing = decodeBearing(text);
    if (bearing) values[field] = said(bearing.text, 'ISO 15 designations');
    else
      flag('nameplate.bearing-unknown', `Bearing “${text.slice(0, 30)}” does not read as an ISO 15 designation.`, {
        field: `nameplate.${field}`,
      });
    return bearing;
  }

  function readGrease(bearing: Bearing | undefined): void {
    if (!plate.grease?.trim()) return;
    const used = job.situation.greasedWith?.trim();
    const mix = used ? mixing(plate.grease, used) : 'same';
    if (used && mix !== 'same')
      flag('nameplate.grease-mixed', `${mixingWords[mix](plate.grease.trim().slice(0, 40), used.slice(0, 40))}.`);
    const thickener = thickenerOf(plate.grease);
    const sealed = bearing?.seals === 'two seals' || bearing?.seals === 'two shields';
    flag(
      'nameplate.grease',
      `Greased with ${plate.grease.trim().slice(0, 40)}${thickener ? ` (${thickener})` : ''}${sealed ? '; its bearings are closed and filled for life' : ''}. Two thickeners that do not mix run out of the bearing.`,
    );
  }

  function readConnection(): void {
    const leads = Number(plate.leads ?? (job.starting.leads === 'unknown' ? '' : job.starting.leads)) || undefined;
    if (!facts.voltage || facts.voltages.length === 0) return;
    const joined = connectionAt(
      facts.voltages.map((each) => each.value),
      facts.voltage.value,
      plate.connection,
      leads,
    );
    if (!joined) return;
    values.connection = said(joined.text, 'voltage ratio of the plate; MG 1 Part 2');
    values.starDelta = wording(joined.starDelta, { origin: 'recalled', source: PRACTICE, note: joined.why });
  }

  function readInverter(): InverterStatement {
    const statement = inverterStatement(plate.inverter, facts.voltage?.value, year, KNOWN_YEAR);
    if (plate.inverter?.trim() || facts.power) values.inverter = said(statement.text, windingWithstand.source);
    const onDrive = job.situation.kind === 'drive';
    if (onDrive && (statement.verdict === 'not proven' || statement.verdict === 'confirm from the data sheet'))
      flag(
        'nameplate.inverter-silent',
        statement.verdict === 'not proven'
          ? 'The plate says nothing about running on a drive, and the motor is old or of unknown age: its winding is not proven against a drive’s voltage peaks.'
          : 'The plate says nothing about running on a drive; a motor this new may take one, but only its data sheet says so.',
      );
    return statement;
  }

  function readClass(): void {
    const { power, poles, efficiency } = facts;
    if (!power) return;
    const today = leastClass(power.value, KNOWN_YEAR, school);
    values.classToday = said(`${today.least} (${today.law})`, 'law as known to this version, from memory');
    if (year !== undefined) {
      const then = leastClass(power.value, year, school);
      values.classInItsYear = said(
        `${then.least} in ${year} (${then.law})`,
        'law as known to this version, from memory',
      );
    }
    if (!poles) return;
    checkPrintedClass(power, poles);
    if (!efficiency || efficiency.origin === 'estimated' || today.least === 'no least class') return;
    const limit = classEfficiency(today.least, power.value, poles.value, facts.open, school);
    if (limit && efficiency.value < limit.value - 1e-6) {
      const less = 1 - (1 / limit.value - 1) / (1 / efficiency.value - 1);
      flag(
        'nameplate.class-below-today',
        `A new motor of this size must reach ${today.least}, ${limit.text}: ${formatNumber(less * 100, 2)} % less loss than this one, and often a little faster.`,
        { basis: `${today.law} (recalled from memory)` },
      );
    }
  }

  /** A class printed on the plate must agree with the efficiency printed beside it. */
  function checkPrintedClass(power: Value, poles: Value): void {
    const ie = /IE\s?([1-4])/i.exec(plate.efficiencyClass ?? '')?.[1];
    const name = (ie ? `IE${ie}` : /premium/i.test(plate.efficiencyClass ?? '') ? 'premium' : undefined) as
      EfficiencyClass | undefined;
    const { efficiency } = facts;
    const iec = name?.startsWith('IE') === true;
    if (!name || !efficiency || !classesOf(iec ? 'IEC' : 'NEMA').includes(name)) return;
    const limit = classEfficiency(
      name,
      power.value,
      poles.value,
      facts.open,
      iec ? 'IEC' : 'NEMA',
      facts.frequency.value,
    );
    // What follows from rounded volts, amps and power factor is a point or two off by itself.
    const printed = efficiency.origin === 'given';
    if (!limit || efficiency.origin === 'estimated' || efficiency.value >= limit.value - (printed ? 0.0015 : 0.02))
      return;
    flag(
      'nameplate.class-disagrees',
      `The plate prints ${name} but ${printed ? efficiency.text : `its figures make an efficiency of ${efficiency.text}`}; ${name} asks ${limit.text} of this size and speed.`,
      { basis: `${limit.working.source} (recalled from memory)` },
    );
  }
}
