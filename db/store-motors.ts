import { plateKey, shareOfPlate } from '@pilgrim/core/register/plate-key';
import type { RegisteredMotor } from '@pilgrim/core/register/registered-motor';
import type { JSONValue, Sql } from 'postgres';
import { setImmediate as turn } from 'node:timers/promises';

const ROWS = 500;
const MOST_POLES = 96;

/** A motor as a row: the columns that lists search and sort by, and the whole document. */
function rowOf(motor: RegisteredMotor) {
  const key = plateKey(motor.plate, motor.school);
  return {
    site: motor.site,
    tag: motor.tag,
    location: motor.location,
    state: motor.state,
    document: motor,
    power_w: key.power ?? null,
    // What no motor has is not searched for.
    poles: key.poles !== undefined && key.poles <= MOST_POLES ? key.poles : null,
    speed: key.speed ?? null,
    frame_number: key.frameNumber,
    plate_text: key.text,
    current_share: shareOfPlate(motor) ?? null,
  };
}

/** Stores motors in one go, all or none, and returns how many. */
export async function insertMotors(sql: Sql, motors: readonly RegisteredMotor[], importId?: string): Promise<number> {
  await sql.begin(async (transaction) => {
    // Sent without waiting: the next part is made ready while the database stores the one before.
    const inserts: Promise<unknown>[] = [];
    for (let at = 0; at < motors.length; at += ROWS) {
      // One parameter for many rows: far quicker than one for every cell.
      const rows = motors.slice(at, at + ROWS).map((motor) => rowOf(motor));
      inserts.push(
        transaction`
        insert into motors (site, tag, location, state, document, power_w, poles, speed, frame_number, plate_text, current_share, import_id)
        select site, tag, location, state, document, power_w, poles, speed, frame_number, plate_text, current_share, ${importId ?? null}::uuid
        from json_to_recordset(${JSON.stringify(rows)}::text::json) as row (site text, tag text, location text,
          state text, document jsonb, power_w double precision, poles smallint, speed double precision, frame_number text,
          plate_text text, current_share double precision)`.execute(),
      );
      await turn();
    }
    await Promise.all(inserts);
  });
  return motors.length;
}

const columnsOf = (sql: Sql, motor: RegisteredMotor) => ({ ...rowOf(motor), document: sql.json(motor) });

export async function insertMotor(sql: Sql, motor: RegisteredMotor): Promise<string> {
  const [row] = await sql<{ id: string }[]>`insert into motors ${sql(columnsOf(sql, motor))} returning id`;
  if (!row) throw new Error('the new motor was not stored');
  return row.id;
}

/** Saves over `base` and keeps what stood there. Undefined where somebody else saved first or the motor is gone. */
export async function updateMotor(
  sql: Sql,
  id: string,
  base: number,
  motor: RegisteredMotor,
): Promise<number | undefined> {
  return sql.begin(async (transaction) => {
    const [row] = await transaction<{ revision: number; document: JSONValue; updated_at: Date }[]>`
      select revision, document, updated_at from motors
      where id = ${id} and revision = ${base} and removed_at is null for update`;
    if (!row) return undefined;
    await transaction`
      insert into motor_revisions (motor_id, revision, document, saved_at)
      values (${id}, ${row.revision}, ${transaction.json(row.document)}, ${row.updated_at})`;
    const revision = base + 1;
    await transaction`
      update motors set ${transaction({ ...columnsOf(sql, motor), revision })}, updated_at = now() where id = ${id}`;
    return revision;
  });
}
