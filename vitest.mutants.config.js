import { defineConfig, mergeConfig } from 'vitest/config';
import base from './vitest.config.js';

/** What mutation testing runs: the tests of core, with fewer random cases each. */
export default defineConfig(() => {
  const merged = mergeConfig(base, { test: { setupFiles: ['core/test/fewer-runs.ts'] } });
  merged.test.include = (process.env.MUTANTS_TESTS ?? 'core/test/**/*.test.ts').split(',');
  // Modules are loaded once for all mutants: a mutant is switched on where it stands.
  merged.test.isolate = false;
  return merged;
});
