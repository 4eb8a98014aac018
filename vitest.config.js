import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

// The types of the routes, which the sources of web/ are read by, are made where a clone does not have them yet.
const root = fileURLToPath(new URL('.', import.meta.url));
if (!existsSync(`${root}web/.svelte-kit/tsconfig.json`))
  execFileSync('npm', ['run', '-s', 'sync', '-w', 'web'], { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] });

export default defineConfig({
  // Its TypeScript source; the script beside it names a source map that is not there.
  resolve: { alias: { odex: fileURLToPath(new URL('node_modules/odex/src/odex.ts', import.meta.url)) } },
  test: {
    include: ['core/test/**/*.test.ts', 'cli/test/**/*.test.ts', 'db/test/**/*.test.ts', 'web/test/**/*.test.ts'],
    // What modules remember never changes a result, so files may share them: half the time was reading the modules anew. A mutant
    // may change what is remembered.
    isolate: process.env['MUTANTS_CHOSEN'] !== undefined,
    // Only to end what hangs: a busy machine takes ten times what a quiet one takes to start a process.
    testTimeout: 120_000,
  },
});
