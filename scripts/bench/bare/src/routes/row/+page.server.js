import postgres from 'postgres';

const sql = postgres(process.env.DATABASE_URL ?? '', { max: 8 });
process.once('sveltekit:shutdown', () => void sql.end({ timeout: 5 }));

export const load = async () => {
  const [row] = await sql`select id, tag, title from jobs order by updated_at desc limit 1`;
  return { row };
};
