import { randomUUID } from 'node:crypto'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { request } from 'node:http'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { BAD_FILES } from '../../server/src/testing/bad-files'
import { call, count, horse, pause, some, withServer, type Fault } from './fault-tools'
import type { TestServer } from './server'

/** A table of sizes sent row by row; its rows by their labels once it is answered with 200. */
function slowTable(server: TestServer, rows: number): Promise<string[]> {
  const labels = Array.from({ length: rows }, () => randomUUID().slice(0, 13))
  return new Promise((done) => {
    const sending = request(
      {
        ...{ port: server.port, method: 'POST', path: '/api/sizes/csv?keep=true' },
        headers: { 'Content-Type': 'text/csv' },
      },
      (response) => response.resume().on('end', () => done(response.statusCode === 200 ? labels : [])),
    )
    sending.on('error', () => done([]))
    sending.write('range,label,kind,feet,web,thickness,length\n')
    const next = (row: number): void => {
      if (row === rows) return void sending.end()
      sending.write(`Slow,${labels[row]},plain,front,20,8,300\n`)
      setTimeout(() => next(row + 1), some(5, 60))
    }
    next(0)
  })
}

/** Every label of a size in the data, in what lies aside, and in the backups. */
function labelsIn(dataFolder: string): Set<string> {
  const files = [dataFolder, join(dataFolder, 'backups')].flatMap((folder) =>
    existsSync(folder)
      ? readdirSync(folder)
          .filter((name) => /\.sqlite(\.before-[\dT-]+)?$/.test(name) && name !== 'sessions.sqlite')
          .map((name) => join(folder, name))
      : [],
  )
  return new Set(
    files.flatMap((file) => {
      const db = new Database(file, { readonly: true })
      const rows = db.prepare('SELECT label FROM sizes').all() as { label: string }[]
      db.close()
      return rows.map(({ label }) => label)
    }),
  )
}

/** Slow tables beside something that takes the data for itself: what was answered is there, somewhere. */
const slowBeside = (
  name: string,
  data: 'demo' | 'empty',
  work: (server: TestServer) => Promise<unknown>,
): Fault => ({
  name: `a slow table beside ${name}`,
  run: () =>
    withServer(data, async (server) => {
      const sending = Array.from({ length: 7 }, (_, i) => slowTable(server, 2 + 3 * i))
      await pause(some(1, 150))
      await work(server)
      const answered = (await Promise.all(sending)).flat()
      const there = labelsIn(server.dataFolder)
      return { held: answered.length, lost: answered.filter((label) => !there.has(label)).length }
    }),
})

const backupOf = async (server: TestServer): Promise<Uint8Array> => {
  const { file } = (await (await call(server, 'POST', '/backup')).json()) as { file: string }
  return new Uint8Array(readFileSync(join(server.dataFolder, 'backups', file)))
}

const BEGIN = {
  name: 'Mine',
  usual: { section: { shape: 'flat', width: 19.05, thickness: 7.9375, material: 'steel' }, fit: 'general' },
  horse: { name: 'First', owner: '' },
}

/** What is done beside something else, or comes in a form that harms. */
export const BESIDE_FAULTS: readonly Fault[] = [
  slowBeside('a backup that is put back', 'demo', async (server) =>
    call(server, 'POST', '/restore', await backupOf(server)),
  ),
  slowBeside('a library that comes in', 'demo', async (server) => {
    const library = new Uint8Array(await (await call(server, 'GET', '/library')).arrayBuffer())
    return call(server, 'POST', '/library', library)
  }),
  slowBeside('an erasing', 'demo', async (server) => {
    const [one] = (await (await call(server, 'GET', '/horses?limit=1')).json()) as {
      id: string
      version: number
    }[]
    return call(server, 'POST', `/horses/${one!.id}/erase`, { version: one!.version })
  }),
  slowBeside('a practice that begins', 'demo', (server) => call(server, 'POST', '/practice', BEGIN)),
  {
    name: 'two horses joined with each other at once, and a third with both',
    run: () =>
      withServer('empty', async (server) => {
        const three = ['One', 'Two', 'Three'].map(horse)
        for (const one of three) {
          await call(server, 'PUT', `/horses/${one.id}`, one)
          const visit = { id: randomUUID(), version: 0, horseId: one.id, date: '2026-11-23', state: 'done' }
          await call(server, 'PUT', `/visits/${visit.id}`, visit)
        }
        const [a, b, c] = three.map(({ id }) => id)
        const pairs = [
          [a, b],
          [b, a],
          [b, c],
          [a, c],
        ].sort(() => Math.random() - 0.5)
        await Promise.all(
          pairs.map(([kept, other]) => call(server, 'POST', `/horses/${kept}/join`, { other })),
        )
        // A device that was away sends with the old ids.
        for (const { id } of three) {
          const visit = { id: randomUUID(), version: 0, horseId: id, date: '2026-11-30', state: 'done' }
          await call(server, 'PUT', `/visits/${visit.id}`, visit)
        }
        const found = (await (await call(server, 'GET', '/horses?limit=9')).json()) as { id: string }[]
        let visits = 0
        for (const { id } of found) {
          const page = (await (await call(server, 'GET', `/horses/${id}/page`)).json()) as {
            visits: unknown[]
          }
          visits += page.visits.length
        }
        return { held: 6, lost: 6 - visits }
      }),
  },
  {
    name: 'senders that stop half way, while others write',
    run: () =>
      withServer('empty', async (server) => {
        const stalled = ['/library', '/restore', '/sizes/csv?keep=true', '/library'].map((path) => {
          const sending = request({ port: server.port, method: 'POST', path: `/api${path}` })
          sending.on('error', () => undefined)
          sending.write('{"format":"crescent-library","formatVersion":1,')
          return sending
        })
        await pause(some(20, 100))
        const writing = Array.from({ length: 20 }, (_, i) => horse(`Meanwhile ${i}`))
        const statuses = await Promise.all(
          writing.map(async (one) => (await call(server, 'PUT', `/horses/${one.id}`, one)).status),
        )
        for (const sending of stalled) sending.destroy()
        return { held: writing.length, lost: statuses.filter((status) => status !== 200).length }
      }),
  },
  {
    name: 'twelve files put back that are no backup',
    run: () =>
      withServer('demo', async (server) => {
        const there = await count(server)
        const sound = join(server.dataFolder, 'sound.sqlite')
        new Database(join(server.dataFolder, 'crescent.sqlite'), { readonly: true })
          .exec(`VACUUM INTO '${sound}'`)
          .close()
        let taken = 0
        for (const { make } of BAD_FILES) {
          const file = join(server.dataFolder, `bad-${randomUUID()}`)
          make(sound, file)
          const { status } = await call(server, 'POST', '/restore', new Uint8Array(readFileSync(file)))
          if (status !== 400) taken++
        }
        await server.kill()
        await server.run()
        return { held: BAD_FILES.length, lost: taken + Number((await count(server)) !== there) }
      }),
  },
]
