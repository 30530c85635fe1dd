import { defineConfig } from '@playwright/test'
import { browserPath, CHROMIUM_ARGS } from './scripts/lib/browser.ts'

export default defineConfig({
  testDir: 'tests/browser',
  globalSetup: './tests/browser/globalSetup.ts',
  outputDir: 'test-results',
  // Plain JavaScript already.
  build: { external: ['**/dist/**'] },
  // As many as the cores that it is made for: a page, its server and the test itself take a little more than a core together.
  workers: 2,
  // Ten times what the longest takes on an idle machine.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    // Kept answers would hide what a test takes away; the tests of use without a network allow them.
    serviceWorkers: 'block',
    locale: 'en-GB',
    timezoneId: 'UTC',
    launchOptions: { executablePath: browserPath(), args: CHROMIUM_ARGS },
  },
})
