import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './support/chromium'

/** Drives the built application; each worker starts a server of its own on a throwaway data folder. */
export default defineConfig({
  testDir: 'tests',
  globalSetup: './support/seeded.ts',
  // Tests wait more than they work: three keep two cores busy.
  workers: 3,
  // Browsers and servers share two cores with whatever else the machine does: wait long, fail only what is wrong.
  timeout: 90_000,
  expect: { timeout: 15_000 },
  retries: 1,
  forbidOnly: !!process.env['CI'],
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    actionTimeout: 15_000,
    // Nobody waits for what slides and fades; where hands are quicker than that is tested, it moves (`hands`, `keeping`).
    contextOptions: { reducedMotion: 'reduce' },
  },
})
