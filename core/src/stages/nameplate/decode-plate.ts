import { say, type Text } from '../../kernel/text.ts';
import type { Decoded, DecodedValues, Decoding, PlateFacts } from './decoding.ts';
import { checkExplosionProtection, readServiceFactor, readDuty } from './decode-duty.ts';
import { readZone, readConnection, readInverter } from './decode-winding.ts';
import { readBearing, readGrease } from './decode-bearings.ts';
import { readClass } from './decode-class.ts';
import type { Report } from './findings.ts';
import type { StageContext } from '../stage.ts';
import { motorEnclosures } from '../../kernel/tables/index.ts';
import { textValue, type Value } from '../../kernel/value.ts';
import { atOtherFrequency } from './alternate-frequency.ts';
import { decodeEnclosure } from './enclosure.ts';
import { insulation } from './insulation.ts';
import { designValues } from './design-letter.ts';
import { standardFrame } from './frame.ts';

const yearOf = (text: string | undefined): number | undefined => {
  const found = /(?:19[4-9]|20[0-4])\d/.exec(text ?? '')?.[0];
  return found === undefined ? undefined : Number(found);
};

/** Decodes what the plate says in codes, and flags what a code entails. */
export function decodePlate({ job, given }: StageContext, facts: PlateFacts, report: Report): DecodedValues {
  const plate = job.nameplate;
  const { school } = job;
  const { power, poles, open } = facts;
  const values: Decoded = designValues(plate.designLetter, power?.value, poles?.value);
  const design = plate.designLetter?.trim();
  if (design && !values.designMeaning)
    report('nameplate.design-unknown', `“${design.slice(0, 20)}” is no design of a standard motor.`);
  const said = (text: Text, source: Text): Value<Text> => textValue(text, { origin: 'recalled', source });
  const decoding: Decoding = { plate, job, given, facts, values, said, school, report, year: yearOf(plate.year) };
  const usual = power && poles && standardFrame(power.value, poles.value, open, school);
  if (usual) values.standardFrame = said(usual, school === 'NEMA' ? 'MG 1 Part 13' : 'EN 50347');
  readZone(decoding);
  readServiceFactor(decoding);
  readEnclosure(decoding);
  checkExplosionProtection(decoding);
  readDuty(decoding);
  readInsulation(decoding);
  const drive = readBearing('bearingDriveEnd', decoding);
  readBearing('bearingOppositeEnd', decoding);
  readGrease(drive, decoding);
  readConnection(decoding);
  readInverter(decoding);
  readClass(decoding);
  readOtherFrequency(decoding);
  return values;
}

function readEnclosure({ plate, values, said }: Decoding): void {
  const housing = decodeEnclosure([plate.enclosure, plate.cooling].filter(Boolean).join(' '));
  if (housing.length === 0) return;
  values.enclosureMeaning = said(
    housing.map((fact) => `${fact.code}: ${[fact.meaning, fact.also].filter(Boolean).join('; ')}`).join('. '),
    motorEnclosures.source,
  );
}

/** Class and rise, and how hot the hottest spot gets here. */
function readInsulation({ plate, given, values, report }: Decoding): void {
  const winding = insulation(plate.thermalClass, plate.rise, given.place.ambient ?? given.nameplate.ambient);
  if (!winding) {
    const letter = plate.thermalClass?.trim();
    if (letter) report('nameplate.thermal-class-unknown', `“${letter.slice(0, 20)}” is no class of insulation.`);
    return;
  }
  values.thermalLimit = winding.limit;
  values.hotSpot = winding.hotSpot;
  values.insulationLife = winding.life;
  // Without the rise on the plate the hot spot is only an upper estimate; the place stage derates for the heat.
  if (winding.hotSpot.origin === 'derived' && winding.hotSpot.value > winding.limit.value + 0.5)
    report(
      'nameplate.hot-spot',
      say`The hot-spot temperature at full load is ${winding.hotSpot}, thermal class limit ${winding.limit}: the insulation life falls to about ${winding.life}.`,
    );
}

/** What the motor is at the other of 50 and 60 Hz. */
function readOtherFrequency({ facts, values }: Decoding): void {
  const { power, voltage, frequency, speed, poles } = facts;
  if (!power || !voltage || !speed || !poles) return;
  const other = atOtherFrequency({ power, voltage, frequency, speed, poles });
  if (other) values.otherFrequency = other;
}
