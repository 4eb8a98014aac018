import { decodeBearing, mixing, mixingWords, thickenerOf, type Bearing } from './bearing.ts';
import type { Decoding } from './decoding.ts';

export function readBearing(
  field: 'bearingDriveEnd' | 'bearingOppositeEnd',
  { plate, values, said, report }: Pick<Decoding, 'plate' | 'values' | 'said' | 'report'>,
): Bearing | undefined {
  const text = plate[field]?.trim();
  if (!text) return undefined;
  const bearing = decodeBearing(text);
  if (bearing) values[field] = said(bearing.text, 'ISO 15 designations');
  else
    report('nameplate.bearing-unknown', `Bearing “${text.slice(0, 30)}” does not read as an ISO 15 designation.`, {
      field: `nameplate.${field}`,
    });
  return bearing;
}

export function readGrease(
  bearing: Bearing | undefined,
  { plate, job, report }: Pick<Decoding, 'plate' | 'job' | 'report'>,
): void {
  if (!plate.grease?.trim()) return;
  const used = job.situation.greasedWith?.trim();
  const mix = used ? mixing(plate.grease, used) : 'same';
  if (used && mix !== 'same')
    report('nameplate.grease-mixed', `${mixingWords[mix](plate.grease.trim().slice(0, 40), used.slice(0, 40))}.`);
  const thickener = thickenerOf(plate.grease);
  const sealed = bearing?.seals === 'two seals' || bearing?.seals === 'two shields';
  report(
    'nameplate.grease',
    `Greased with ${plate.grease.trim().slice(0, 40)}${thickener ? ` (${thickener})` : ''}${sealed ? '; its bearings are closed and filled for life' : ''}. Two thickeners that do not mix run out of the bearing.`,
  );
}
