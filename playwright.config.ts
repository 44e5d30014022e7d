import { defineConfig } from '@playwright/test';

/** Chromium from Debian's packages; the studios under test are started by scripts/test.ts. */
export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results',
  workers: 2,
  // A shared machine may stand still for longer than any test waits; a test that passes at the second try is told as such.
  retries: process.env['CI'] ? 1 : 0,
  timeout: 120_000,
  expect: { timeout: 20_000 },
  forbidOnly: true,
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
