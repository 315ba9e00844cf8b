import { mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { openLog } from './log'

let folder: string
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'crescent-log-'))))
afterEach(() => {
  vi.restoreAllMocks()
  rmSync(folder, { recursive: true, force: true })
})

it('turns over before it outgrows ten megabytes, keeps five, and is for its owner alone', async () => {
  vi.spyOn(process.stdout, 'write').mockReturnValue(true)
  const log = openLog('info', folder)
  const line = 'x'.repeat(100_000)
  // Beside them lies a list of those that were closed.
  const files = () =>
    readdirSync(join(folder, 'logs'))
      .filter((name) => name.endsWith('crescent.log'))
      .map((name) => join(folder, 'logs', name))
  // Eighty megabytes, so that it turns over more often than files are kept.
  for (let i = 0; i < 800; i++) {
    log.info(line)
    if (i % 50 === 0) await new Promise((done) => setTimeout(done, 20))
  }
  await vi.waitFor(() => expect(files()).toHaveLength(6), { timeout: 20_000, interval: 100 })
  for (const file of files()) {
    expect(statSync(file).size).toBeLessThan(16_000_000)
    expect(statSync(file).mode & 0o777).toBe(0o600)
  }
})
