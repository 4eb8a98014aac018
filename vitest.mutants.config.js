import { defineConfig, mergeConfig } from 'vitest/config';
import base from './vitest.config.js';

/** What mutation testing runs: the tests of core as one file. A mutant is switched on where it stands. */
export default defineConfig(() => {
  const merged = mergeConfig(base, { test: { isolate: false } });
  merged.test.include = [process.env.MUTANTS_TESTS ?? 'cli/test/mutants.ts'];
  return merged;
});
