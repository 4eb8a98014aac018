import { defineConfig } from '@playwright/test';

/** Run by scripts/test.mjs, which starts a database and the built application of its own. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  workers: 2,
  // Only to end what hangs: what a quiet machine shows at once, a busy one may show after many seconds.
  timeout: 240_000,
  expect: { timeout: 60_000 },
  projects: [
    { name: 'together', testIgnore: 'resilience.spec.ts' },
    // It takes the database away from everybody.
    { name: 'alone', testMatch: 'resilience.spec.ts', dependencies: ['together'] },
  ],
  reporter: [['list'], ['json', { outputFile: '../../test-results/browser.json' }]],
  outputDir: '../../test-results/browser',
  use: {
    baseURL: process.env['PILGRIM_URL'] ?? '',
    viewport: { width: 1280, height: 800 },
    // Recording costs a quarter of the time: TRACE=1 asks for it.
    trace: process.env['TRACE'] ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: process.env['PILGRIM_BROWSER'] ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
