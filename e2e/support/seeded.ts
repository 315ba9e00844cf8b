import { spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The built server and its commands. */
export const DIST = fileURLToPath(new URL('../../server/dist/', import.meta.url))

/** Where the demo of this run lies, for every process that takes part in it. */
const SEEDED = 'CRESCENT_TEST_SEEDED'

/**
 * Seeds the demo once, before all tests: drawing its pictures takes longer than most of them. Taken away after the last.
 * Whoever has seeded a folder already says so in the environment.
 */
export default function seedOnce(): () => void {
  if (process.env[SEEDED]) return () => undefined
  const folder = mkdtempSync(join(tmpdir(), 'crescent-seeded-'))
  seedInto(folder)
  process.env[SEEDED] = folder
  return () => rmSync(folder, { recursive: true, force: true })
}

/** Puts the demo into a data folder: a copy of what was seeded before all tests, or seeded anew where nothing was. */
export function demoInto(dataFolder: string): void {
  const seeded = process.env[SEEDED]
  if (seeded) cpSync(seeded, dataFolder, { recursive: true })
  else seedInto(dataFolder)
}

function seedInto(folder: string): void {
  const { status, stderr } = spawnSync(process.execPath, [join(DIST, 'seed.js')], {
    env: { ...process.env, CRESCENT_DATA: folder },
    encoding: 'utf8',
  })
  if (status !== 0) throw new Error(stderr)
}
