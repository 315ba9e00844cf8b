import { defineConfig } from 'vitest/config'

// The tests that a mutant has to get past: without the long runs of fuzz and referee, which have their own commands.
export default defineConfig({
  test: {
    include: ['src/**/*.spec.ts'],
    exclude: ['src/testing/**'],
    environment: 'node',
    testTimeout: 60_000,
  },
})
