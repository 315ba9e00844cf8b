import { defineConfig } from 'vitest/config'

export default defineConfig({
  test: {
    include: ['src/**/*.spec.ts'],
    environment: 'node',
    testTimeout: 60_000,
    // Modules are read once for all files of a worker; nothing in them keeps a state. One worker for each of two cores.
    isolate: false,
    maxWorkers: 2,
  },
})
