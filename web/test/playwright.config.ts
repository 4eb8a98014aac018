import { defineConfig } from '@playwright/test';

/** Run by scripts/test.mjs, which starts a database and the built application of its own. */
export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  workers: 1,
  // Only to end what hangs: what a quiet machine shows at once, a busy one may show after many seconds.
  timeout: 240_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json', { outputFile: '../../test-results/browser.json' }]],
  outputDir: '../../test-results/browser',
  use: {
    baseURL: process.env['PILGRIM_URL'] ?? '',
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
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
