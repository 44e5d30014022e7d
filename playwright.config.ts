import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/support/chromium';

/** Chromium from Debian's packages; the studios under test are started by scripts/test.ts. */
export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results',
  workers: 2,
  // Generous: a shared machine may stand still for a minute, and a failure of the product fails at any limit.
  timeout: 600_000,
  expect: { timeout: 60_000 },
  forbidOnly: true,
  use: {
    actionTimeout: 60_000,
    navigationTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
  },
});
