// What ships is free to use: every package in the lock file carries a licence of this list. Names: SPDX licence list.
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

const FREE = new Set([
  '0BSD',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'CC-BY-4.0', // data of browsers, at build time
  'ISC',
  'LGPL-3.0-or-later', // the library that reads photographs, linked at run time
  'MIT',
  'MPL-2.0', // at build and test time
  'OFL-1.1', // the fonts
  'Python-2.0',
  'Unlicense',
  'Zlib',
]);
/** Say it in a file only: MIT. */
const UNSAID = new Set(['node_modules/png-js']);

it('every package has a licence that lets it ship', () => {
  const lock = JSON.parse(readFileSync(new URL('../../package-lock.json', import.meta.url), 'utf8')) as {
    packages: Record<string, { license?: string; link?: boolean }>;
  };
  const doubtful = Object.entries(lock.packages)
    .filter(([path, { link }]) => path.includes('node_modules/') && !link && !UNSAID.has(path))
    .filter(([, { license = '' }]) => !license.split(/ AND | OR /).every((each) => FREE.has(each.replace(/[()]/g, ''))))
    .map(([path, { license }]) => `${path}: ${license ?? 'none'}`);
  expect(doubtful).toEqual([]);
});
