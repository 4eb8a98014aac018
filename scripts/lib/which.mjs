import { Failure } from './failure.mjs';

/** Which private database: `demo` unless a trial wants one of its own. */
export function readName() {
  const name = process.env.PILGRIM_DATABASE ?? 'demo';
  if (!/^[a-z]{1,20}$/.test(name)) throw new Failure('PILGRIM_DATABASE is a name of small letters, such as demo.');
  return name;
}

/** The same for what keeps and restores a private database; one of somebody’s own is not ours to copy. */
export function readPrivateName() {
  if (process.env.DATABASE_URL)
    throw new Failure('DATABASE_URL names a database of yours. Keep and restore it with pg_dump and pg_restore.');
  return readName();
}
