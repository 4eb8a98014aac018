import { readdirSync } from 'node:fs';
import fc from 'fast-check';

// All tests of core as one file, for mutation testing: modules are loaded once a mutant instead of once a test file, the
// tests that are quick come first, and every property runs a few cases only.
fc.configureGlobal({ numRuns: 15 });

const LAST = [
  'pick',
  'load',
  'options',
  'guaranteed',
  'starting',
  'train-supply-place',
  'solve',
  'plate-layouts',
  'right-circuit',
];
const core = `${import.meta.dirname}/../../core/test`;
const rank = (file: string): number => LAST.indexOf(file.replace('.test.ts', ''));
const files = readdirSync(core).filter((file) => file.endsWith('.test.ts'));
for (const file of files.toSorted((a, b) => rank(a) - rank(b))) await import(`${core}/${file}`);
