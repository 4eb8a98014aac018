import { Failure } from './failure.mjs';

/** Which private database: `demo` unless a trial wants one of its own. */
export function readName() {
  const name = process.env.PILGRIM_DATABASE ?? 'demo';
  if (!/^[a-z]{1,20}$/.test(name)) throw new Failure('PILGRIM_DATABASE is a name of small letters, such as demo.');
  return name;
}
