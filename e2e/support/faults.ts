import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { DIST } from './seeded'
import { call, count, horse, pause, some, withServer, type Fault, type Outcome } from './fault-tools'
import { BESIDE_FAULTS } from './faults-beside'
import type { TestServer } from './server'

/** Writers that store one horse after the other until the server is gone; every id that was answered. */
function writers(server: TestServer, count: number): Promise<string[][]> {
  const one = async () => {
    const answered: string[] = []
    for (let i = 0; ; i++) {
      try {
        const record = horse(`Horse ${i}`)
        const { status } = await call(server, 'PUT', `/horses/${record.id}`, record)
        if (status !== 200) return answered
        answered.push(record.id)
      } catch {
        return answered
      }
    }
  }
  return Promise.all(Array.from({ length: count }, one))
}

async function missing(server: TestServer, ids: readonly string[]): Promise<number> {
  let lost = 0
  for (const id of ids) if ((await call(server, 'GET', `/horses/${id}`)).status !== 200) lost++
  return lost
}

/** Killed between two moments after something was begun. */
async function killDuring(
  server: TestServer,
  begin: () => Promise<unknown>,
  from: number,
  to: number,
): Promise<void> {
  const begun = begin().catch(() => undefined)
  await pause(some(from, to))
  await server.kill()
  await begun
}

const horsesIn = (file: string): number => {
  const db = new Database(file, { readonly: true })
  try {
    if (db.pragma('integrity_check', { simple: true }) !== 'ok') return -1
    return (db.prepare('SELECT count(*) AS n FROM horses').get() as { n: number }).n
  } finally {
    db.close()
  }
}
/** Either the one number or the other; anything between is a loss. */
const eitherOr = (is: number, ...wanted: number[]): Outcome => ({
  held: Math.max(...wanted),
  lost: wanted.includes(is) ? 0 : 1,
})

export const FAULTS: readonly Fault[] = [
  {
    name: 'killed while four write at once',
    run: () =>
      withServer('empty', async (server) => {
        const writing = writers(server, 4)
        await pause(some(60, 700))
        await server.kill()
        const answered = (await writing).flat()
        await server.run()
        return { held: answered.length, lost: await missing(server, answered) }
      }),
  },
  {
    name: 'stopped by Ctrl-C that came twice, while four write',
    run: () =>
      withServer('empty', async (server) => {
        const writing = writers(server, 4)
        await pause(some(60, 400))
        const ended = server.kill('SIGINT')
        await pause(20)
        void server.kill('SIGINT')
        const code = await ended
        const answered = (await writing).flat()
        await server.run()
        return { held: answered.length, lost: (await missing(server, answered)) + (code === 0 ? 0 : 1) }
      }),
  },
  {
    name: 'stopped by Ctrl-C while a library goes out',
    run: () =>
      withServer('demo', async (server) => {
        const there = await count(server)
        const answer = await call(server, 'GET', '/library')
        // Not a byte of it was read yet: what is held in between is far less than the library.
        const ended = server.kill('SIGINT')
        await pause(some(1, 300))
        const { horses } = (await answer.json()) as { horses: unknown[] }
        const code = await ended
        return { held: there, lost: there - horses.length + Number(code !== 0) }
      }),
  },
  {
    name: 'killed while a library is brought in',
    run: () =>
      withServer('demo', (full) =>
        withServer('empty', async (server) => {
          const library = new Uint8Array(await (await call(full, 'GET', '/library')).arrayBuffer())
          const whole = await count(full)
          await killDuring(server, () => call(server, 'POST', '/library', library), 5, 2_500)
          await server.run()
          return eitherOr(await count(server), 0, whole)
        }),
      ),
  },
  {
    name: 'killed while a backup is put back',
    run: () =>
      withServer('demo', async (server) => {
        const before = await count(server)
        const { file } = (await (await call(server, 'POST', '/backup')).json()) as { file: string }
        const added = horse('Added since')
        await call(server, 'PUT', `/horses/${added.id}`, added)
        const backup = new Uint8Array(readFileSync(join(server.dataFolder, 'backups', file)))
        await killDuring(server, () => call(server, 'POST', '/restore', backup), 1, 250)
        await server.run()
        return eitherOr(await count(server), before, before + 1)
      }),
  },
  {
    name: 'killed while a backup is written',
    run: () =>
      withServer('demo', async (server) => {
        const there = await count(server)
        const backUps = () => Promise.all([1, 2, 3].map(() => call(server, 'POST', '/backup')))
        await killDuring(server, backUps, 1, 200)
        const folder = join(server.dataFolder, 'backups')
        const files = existsSync(folder) ? readdirSync(folder).filter((name) => name.endsWith('.sqlite')) : []
        await server.run()
        const unsound = files.filter((name) => horsesIn(join(folder, name)) !== there)
        const left = existsSync(folder) ? readdirSync(folder).filter((name) => name.endsWith('.partial')) : []
        return {
          held: files.length,
          lost: unsound.length + left.length + ((await count(server)) === there ? 0 : 1),
        }
      }),
  },
  {
    name: 'killed while the demo is set aside and taken back',
    run: () =>
      withServer('demo', async (server) => {
        const demo = await count(server)
        const section = { shape: 'flat', width: 19.05, thickness: 7.9375, material: 'steel' }
        const begin = {
          name: 'Mine',
          usual: { section, fit: 'general' },
          horse: { name: 'First', owner: '' },
        }
        await call(server, 'POST', '/practice', begin)
        const swaps = async () => {
          for (;;) await call(server, 'POST', '/practice/swap', {})
        }
        await killDuring(server, swaps, 1, 250)
        await server.run()
        const open = await count(server)
        await call(server, 'POST', '/practice/swap', {})
        const other = await count(server)
        return { held: 2, lost: Number(open + other !== demo + 1) }
      }),
  },
  {
    name: 'killed while a horse is erased',
    run: () =>
      withServer('demo', async (server) => {
        const all = (await (await call(server, 'GET', '/horses?limit=500')).json()) as {
          id: string
          version: number
        }[]
        const { id, version } = all[0]!
        await killDuring(server, () => call(server, 'POST', `/horses/${id}/erase`, { version }), 1, 120)
        await server.run()
        const db = new Database(join(server.dataFolder, 'crescent.sqlite'), { readonly: true })
        const loose = (db.pragma('foreign_key_check') as unknown[]).length
        db.close()
        const { held, lost } = eitherOr(await count(server), all.length, all.length - 1)
        return { held, lost: lost + loose }
      }),
  },
  {
    name: 'the seed killed, and begun again',
    run: async () => {
      const dataFolder = mkdtempSync(join(tmpdir(), 'crescent-seed-'))
      const env = { ...process.env, CRESCENT_DATA: dataFolder }
      const seed = (): Promise<void> =>
        new Promise((done) => {
          const child = spawn(process.execPath, [join(DIST, 'seed.js'), '--if-none'], { env })
          child.once('exit', () => done())
          if (!killed) setTimeout(() => child.kill('SIGKILL'), some(100, 1_500))
          killed = true
        })
      let killed = false
      await seed()
      await seed()
      const horses = horsesIn(join(dataFolder, 'crescent.sqlite'))
      rmSync(dataFolder, { recursive: true, force: true })
      return { held: horses, lost: horses >= 12 ? 0 : 1 }
    },
  },
  ...BESIDE_FAULTS,
]
