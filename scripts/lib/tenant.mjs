// Who the application is in a private PostgreSQL: the owner of one database and its tables, never the superuser.
export const DATABASE = 'pilgrim';
export const OWNER = 'pilgrim_owner';
const SUPERUSER = 'pilgrim';
/** What every PostgreSQL has. */
export const COMMON = 'postgres';

/** Address of a database of the private server, as the owner or as the superuser. */
export function urlOf({ port, superuserPassword, ownerPassword }, { superuser = false, database = DATABASE } = {}) {
  const who = superuser ? `${SUPERUSER}:${superuserPassword}` : `${OWNER}:${ownerPassword}`;
  return `postgres://${who}@127.0.0.1:${port}/${database}`;
}

/** Runs with a connection that is closed afterwards. */
export async function connected(url, use) {
  const { default: postgres } = await import('postgres');
  const sql = postgres(url, { max: 1, onnotice: () => undefined, connect_timeout: 10 });
  try {
    return await use(sql);
  } finally {
    await sql.end({ timeout: 5 });
  }
}

export const asSuperuser = (access, database, use) => connected(urlOf(access, { superuser: true, database }), use);

/** Databases of the server by name. */
export async function databasesOf(sql) {
  return new Set((await sql`select datname from pg_database`).map(({ datname }) => datname));
}

/**
 * Makes the owner and its database. Data of before stood in the database every PostgreSQL has, under the superuser: it is
 * renamed and handed over.
 */
export async function settle(access) {
  await asSuperuser(access, 'template1', async (sql) => {
    const [known] = await sql`select 1 from pg_roles where rolname = ${OWNER}`;
    await sql.unsafe(`${known ? 'alter' : 'create'} role ${OWNER} login password '${access.ownerPassword}'`);
    const there = await databasesOf(sql);
    if (!there.has(DATABASE)) {
      await sql.unsafe(`alter database ${COMMON} rename to ${DATABASE}`);
      await sql.unsafe(`alter database ${DATABASE} owner to ${OWNER}`);
    }
    if (!there.has(DATABASE) || !there.has(COMMON)) await sql.unsafe(`create database ${COMMON}`);
  });
  await asSuperuser(access, DATABASE, async (sql) => {
    await sql.unsafe(`alter schema public owner to ${OWNER}`);
    const tables = await sql`select tablename from pg_tables where schemaname = 'public' and tableowner <> ${OWNER}`;
    for (const { tablename } of tables) await sql`alter table ${sql(tablename)} owner to ${sql(OWNER)}`;
  });
}
