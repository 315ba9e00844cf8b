import { defineConfig } from 'vitest/config'

// Other suites run beside these: what takes a second alone may take several then.
export default defineConfig({ test: { testTimeout: 30_000, hookTimeout: 30_000 } })
