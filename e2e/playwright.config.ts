import { defineConfig } from '@playwright/test'
import { CHROMIUM } from './support/chromium'

/** Drives the built application; each test file starts a server of its own on a throwaway data folder. */
export default defineConfig({
  testDir: 'tests',
  workers: 2,
  timeout: 45_000,
  expect: { timeout: 8_000 },
  retries: 0,
  forbidOnly: !!process.env['CI'],
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    actionTimeout: 8_000,
  },
})
