import type { StandardsSystem } from '../../kernel/quantity/units.ts';
import type { Value } from '../../kernel/value.ts';
import type { Plate } from '../../job/job.ts';
import type { StageContext } from '../stage.ts';
import type { Report } from './findings.ts';
import type { DesignValues } from './design-letter.ts';
import type { NameplateValues } from './values.ts';
import type { Text } from '../../kernel/text.ts';

/** The year up to which laws and plate habits are known to this engine; the core has no clock. */
export const KNOWN_YEAR = 2026;

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

/** Filled while the plate is decoded. */
export type Decoded = { -readonly [Name in keyof DecodedValues]: DecodedValues[Name] };

/** A plate whose codes are decoded into `values`. */
export interface Decoding {
  readonly plate: Plate;
  readonly job: StageContext['job'];
  readonly report: Report;
  readonly given: StageContext['given'];
  readonly facts: PlateFacts;
  readonly values: Decoded;
  readonly said: (text: Text, source: Text) => Value<Text>;
  readonly year: number | undefined;
  readonly school: StandardsSystem;
}
