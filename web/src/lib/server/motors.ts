import { registeredMotorSchema, type RegisteredMotor } from '@pilgrim/core/register/registered-motor';
import { spareMisfits } from '@pilgrim/core/register/spares';
import type { MotorNeed } from '@pilgrim/core/stages/selection/motor-rules';
import { insertMotor, insertMotors, updateMotor } from '@pilgrim/db/store-motors';
import { error } from '@sveltejs/kit';
import { withDatabase } from './database';
import { beside } from './work/pool';

export interface MotorRow {
  readonly id: string;
  readonly site: string;
  readonly tag: string;
  readonly location: string;
  readonly state: RegisteredMotor['state'];
  readonly plateText: string;
  readonly power: number | null;
  readonly poles: number | null;
  readonly frameNumber: string;
  readonly photos: number;
  readonly updatedAt: Date;
  readonly removed: boolean;
}

export interface StoredMotor {
  readonly id: string;
  readonly revision: number;
  readonly motor: RegisteredMotor;
  readonly photos: readonly { readonly id: string; readonly width: number; readonly height: number }[];
  /** Earlier states, newest first. */
  readonly earlier: readonly { readonly revision: number; readonly savedAt: Date }[];
}

/** Not a state of a motor but of its row: kept so that it can be taken back. */
export const REMOVED = 'removed';

export const motorOrders = ['tag', 'site', 'size', 'frame', 'changed'] as const;

export interface MotorQuery {
  readonly search: string;
  readonly state: string;
  readonly site: string;
  readonly order: (typeof motorOrders)[number];
  /** The other way round. */
  readonly down: boolean;
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;
const MOST_LISTED = 1000;
const MOST_EARLIER = 50;

function known(id: string): string {
  if (!UUID.test(id)) error(404, 'There is no such motor.');
  return id;
}

/** Motors by search, state and site, at most a thousand, and how many there are in all. */
export const listMotors = (query: MotorQuery): Promise<{ motors: MotorRow[]; total: number; sites: string[] }> =>
  withDatabase(async (sql) => {
    const pattern = `%${query.search.replaceAll(/[\\%_]/g, '\\$&')}%`;
    const where = sql`
      where ${query.search === '' ? sql`true` : sql`(tag || ' ' || location || ' ' || site || ' ' || plate_text || ' ' || coalesce(document->'plate'->>'asRead', '') || ' ' || coalesce(document->'plate'->>'serial', '')) ilike ${pattern}`}
      and removed_at is ${query.state === REMOVED ? sql`not null` : sql`null`}
      and ${query.state === '' || query.state === REMOVED ? sql`true` : sql`state = ${query.state}`}
      and ${query.site === '' ? sql`true` : sql`site = ${query.site}`}`;
    const way = query.down ? sql`desc` : sql`asc`;
    const orders = {
      tag: sql`tag ${way}, site`,
      site: sql`site ${way}, tag`,
      size: sql`power_w ${way} nulls last, poles, tag`,
      frame: sql`nullif(frame_number, '') ${way} nulls last, power_w, tag`,
      changed: sql`updated_at ${query.down ? sql`asc` : sql`desc`}`,
    };
    const [motors, [count], sites] = await Promise.all([
      sql<MotorRow[]>`
        select id, site, tag, location, state, plate_text as "plateText", power_w as power, poles,
          frame_number as "frameNumber", updated_at as "updatedAt", removed_at is not null as removed,
          (select count(*)::int from motor_photos where motor_id = motors.id) as photos
        from motors ${where} order by ${orders[query.order]} limit ${MOST_LISTED}`,
      sql<{ total: number }[]>`select count(*)::int as total from motors ${where}`,
      sql<
        { site: string }[]
      >`select distinct site from motors where site <> '' and removed_at is null order by site limit 200`,
    ]);
    return { motors, total: count?.total ?? 0, sites: sites.map((each) => each.site) };
  });

interface Overloaded {
  readonly id: string;
  readonly site: string;
  readonly tag: string;
  readonly plateText: string;
  /** Measured over printed current. */
  readonly share: number;
}

/** Motors at work whose measured current is above every current on their plate, the furthest above first. */
export const overloadedMotors = (): Promise<Overloaded[]> =>
  withDatabase(
    (sql) => sql<Overloaded[]>`
      select id, site, tag, plate_text as "plateText", current_share as share from motors
      where current_share > 1 and removed_at is null and state = 'in service'
      order by current_share desc limit 10`,
  );

export async function loadMotor(id: string): Promise<StoredMotor> {
  known(id);
  const found = await withDatabase(async (sql) => {
    const [row] = await sql<{ id: string; revision: number; document: unknown }[]>`
      select id, revision, document from motors where id = ${id} and removed_at is null`;
    const photos = await sql<{ id: string; width: number; height: number }[]>`
      select id, width, height from motor_photos where motor_id = ${id} order by added_at`;
    const earlier = await sql<{ revision: number; savedAt: Date }[]>`
      select revision, saved_at as "savedAt" from motor_revisions where motor_id = ${id}
      order by revision desc limit ${MOST_EARLIER}`;
    return row && { ...row, photos: [...photos], earlier: [...earlier] };
  });
  if (!found) error(404, 'There is no such motor.');
  const { document, ...rest } = found;
  return { ...rest, motor: registeredMotorSchema.parse(document) };
}

/** Every motor of the register as JSON text, by site and tag. */
export const motorDocuments = (): Promise<string[]> =>
  withDatabase(async (sql) => {
    const rows = await sql<{ text: string }[]>`
      select document::text as text from motors where removed_at is null order by site, tag`;
    return rows.map(({ text }) => text);
  });

export const createMotor = (motor: RegisteredMotor): Promise<string> => withDatabase((sql) => insertMotor(sql, motor));

export const createMotors = (motors: readonly RegisteredMotor[], importId: string): Promise<number> =>
  withDatabase((sql) => insertMotors(sql, motors, importId));

/** Takes back everything one import brought in, and says how many that was. */
export const undoImport = (importId: string): Promise<number> =>
  withDatabase(async (sql) => {
    const { count } = await sql`delete from motors where import_id = ${known(importId)}`;
    return count;
  });

export const saveMotor = (id: string, base: number, motor: RegisteredMotor): Promise<number | undefined> =>
  withDatabase((sql) => updateMotor(sql, known(id), base, motor));

/** A motor as it was saved under an earlier revision. */
export const loadEarlier = (id: string, revision: number): Promise<RegisteredMotor> =>
  withDatabase(async (sql) => {
    const [row] = await sql<{ document: unknown }[]>`
      select document from motor_revisions where motor_id = ${known(id)} and revision = ${revision}`;
    if (!row) error(404, 'There is no such earlier state of this motor.');
    return registeredMotorSchema.parse(row.document);
  });

/** Takes a motor out of the register; with its pictures and history it can be taken back. */
export const removeMotor = (id: string): Promise<void> => setRemoved(id, true);
export const restoreMotor = (id: string): Promise<void> => setRemoved(id, false);

const setRemoved = (id: string, removed: boolean): Promise<void> =>
  withDatabase(async (sql) => {
    const { count } = await sql`
      update motors set removed_at = ${removed ? sql`now()` : null}
      where id = ${known(id)} and removed_at is ${removed ? sql`null` : sql`not null`}`;
    if (count === 0) error(404, 'There is no such motor.');
  });

export interface Spare {
  readonly id: string;
  readonly tag: string;
  readonly place: string;
  readonly plateText: string;
  /** Why it would not do; empty where it fits. */
  readonly misfits: readonly string[];
}

/** Motors on the shelf of about the size that is needed, those that fit first. */
export const findSpares = (need: MotorNeed): Promise<Spare[]> =>
  withDatabase(async (sql) => {
    const rows = await sql<{ id: string; document: unknown; plate_text: string }[]>`
      select id, document, plate_text from motors
      where state = 'spare' and removed_at is null and power_w between ${need.power * 0.97} and ${need.power * 1.03}
      order by site, tag limit 200`;
    return rows
      .map(({ id, document, plate_text: plateText }) => {
        const motor = registeredMotorSchema.parse(document);
        const place = [motor.site, motor.location].filter(Boolean).join(', ');
        return { id, tag: motor.tag, place, plateText, misfits: spareMisfits(motor, need) };
      })
      .toSorted((a, b) => a.misfits.length - b.misfits.length);
  });

const MOST_BYTES = 8_000_000;
const MOST_PHOTOS = 12;

/**
 * Keeps a photograph after looking at its content: JPEG, PNG or WebP, at most 8 MB, without what was written beside it.
 * Returns a refusal in words, or nothing.
 */
export async function addPhoto(id: string, content: Uint8Array, gone: AbortSignal): Promise<string | undefined> {
  known(id);
  if (content.length === 0) return 'The file is empty. Choose a JPEG, PNG or WebP picture.';
  if (content.length > MOST_BYTES) return 'The picture is larger than 8 MB. Make it smaller and send it again.';
  const done = await beside({ kind: 'photo', content }, gone);
  if (done.kind === 'refusal') return done.message;
  if (done.kind !== 'photo') throw new Error('the worker did not answer with a photograph');
  const { type, width, height, bytes } = done.photo;
  if (bytes.length > MOST_BYTES) return 'The picture is larger than 8 MB. Make it smaller and send it again.';
  return withDatabase(async (sql) => {
    const [row] = await sql<{ photos: number }[]>`
      select (select count(*)::int from motor_photos where motor_id = ${id}) as photos
      from motors where id = ${id} and removed_at is null`;
    if (!row) error(404, 'There is no such motor.');
    if (row.photos >= MOST_PHOTOS) return `A motor keeps at most ${MOST_PHOTOS} pictures. Remove one first.`;
    await sql`insert into motor_photos (motor_id, type, width, height, content)
      values (${id}, ${type}, ${width}, ${height}, ${Buffer.from(bytes)})`;
    return undefined;
  });
}

export const loadPhoto = (motor: string, photo: string): Promise<{ type: string; content: Buffer }> =>
  withDatabase(async (sql) => {
    const [row] = await sql<{ type: string; content: Buffer }[]>`
      select type, content from motor_photos where motor_id = ${known(motor)} and id = ${known(photo)}`;
    if (!row) error(404, 'There is no such picture.');
    return row;
  });

export const removePhoto = (motor: string, photo: string): Promise<void> =>
  withDatabase(async (sql) => {
    const { count } = await sql`delete from motor_photos where motor_id = ${known(motor)} and id = ${known(photo)}`;
    if (count === 0) error(404, 'There is no such picture.');
  });
