import { defineConfig } from '@playwright/test';

/** Chromium from Debian's packages; the studios under test are started by scripts/test.ts. */
export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results',
  workers: 2,
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
