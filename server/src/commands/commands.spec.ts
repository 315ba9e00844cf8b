import { execFileSync, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { databaseFile, openDatabase } from '../database/open'

/** The commands as they are built, from these sources; beside the packages, since those stay outside. */
const server = fileURLToPath(new URL('../../', import.meta.url))
let built: string
beforeAll(() => {
  mkdirSync(join(server, '../node_modules/.cache'), { recursive: true })
  built = mkdtempSync(join(server, '../node_modules/.cache/commands-'))
  execFileSync(process.execPath, ['build.mjs', built], { cwd: server })
})
afterAll(() => rmSync(built, { recursive: true, force: true }))

let folder: string
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'crescent-test-'))))
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** Runs a command or the server itself. */
function run(
  name: string,
  words: string[] = [],
  env: Record<string, string> = {},
): { status: number | null; said: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(built, `${name}.js`), ...words], {
    env: { ...process.env, CRESCENT_DATA: folder, CRESCENT_PORT: '0', CRESCENT_LOG: 'silent', ...env },
    encoding: 'utf8',
    timeout: 30_000,
  })
  return { status, said: stdout + stderr }
}

describe('a server that cannot start', () => {
  it.each([
    [
      'damaged data',
      () =>
        writeFileSync(databaseFile(folder), 'not a database, and long enough to be read as one'.repeat(99)),
      {},
      'The data is damaged',
    ],
    [
      'a file where the folder should be',
      () => {
        rmSync(folder, { recursive: true })
        writeFileSync(folder, '')
      },
      {},
      'no folder that data can be kept in',
    ],
    [
      'other machines let in without a password',
      () => undefined,
      { CRESCENT_HOST: '0.0.0.0' },
      'set CRESCENT_PASSWORD',
    ],
    ['a port that is none', () => undefined, { CRESCENT_PORT: 'x' }, 'is not a port'],
  ] as [string, () => void, Record<string, string>, string][])(
    'for %s says so in a sentence',
    (_why, prepare, env, words) => {
      prepare()
      const { status, said } = run('main', [], env)
      expect(status).toBe(1)
      expect(said).toContain(words)
      expect(said).not.toMatch(/^\s+at /m)
    },
  )
})

describe('the seed', () => {
  it('puts nothing beside the files of a practice, whatever became of its database', () => {
    mkdirSync(join(folder, 'backups'))
    expect(run('seed', ['--if-none'])).toEqual({ status: 0, said: '' })
    expect(run('seed').said).toContain('There is data in')
    expect(existsSync(databaseFile(folder))).toBe(false)
  })
})

describe('backup and check', () => {
  it('write over nothing unasked, and look through the whole file', () => {
    openDatabase(databaseFile(folder)).close()
    const file = join(folder, 'mine')
    writeFileSync(file, 'letters')
    const refused = run('backup', [file])
    expect([refused.status, refused.said]).toEqual([1, expect.stringContaining('is there already')])
    expect(readFileSync(file, 'utf8')).toBe('letters')
    expect(run('backup', [file, '--replace']).status).toBe(0)
    expect(run('check', [file])).toEqual({ status: 0, said: expect.stringContaining('is sound') as string })
    writeFileSync(file, 'letters')
    expect(run('check', [file]).said).toContain('not a sound Crescent backup')
  })
})
