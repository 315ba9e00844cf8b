import { createReadStream, createWriteStream } from 'node:fs'
import { rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { randomUUID } from 'node:crypto'
import { backupFolder, backupName, backUp } from '../database/backup'
import { exportLibrary, importLibrary, librarySchema, type Library } from '../database/library'
import { libraryInWords } from '../http/library-words'
import { lossesOf, putBack } from '../database/put-back'
import { BadRequest, read } from '../http/door'
import type { Route } from '../http/route'

/** Reads a library file; what does not fit is told in words. */
function readLibrary(body: unknown): Library {
  try {
    return read(librarySchema, body)
  } catch (error) {
    throw error instanceof BadRequest ? new BadRequest(libraryInWords(error.problems)) : error
  }
}

/** Backup of the whole database, and the library as one open file out and in. */
export const safekeepingRoutes: Route[] = [
  {
    method: 'post',
    path: '/backup',
    summary: 'Write a consistent copy into the data folder while the server runs',
    run: async ({ practice, dataFolder }) => {
      const file = await backUp(practice.db, join(backupFolder(dataFolder), backupName(new Date())))
      return { file: basename(file) }
    },
  },
  {
    method: 'get',
    path: '/backup',
    summary: 'Download a consistent copy of the database',
    run: async ({ practice, response }) => {
      const file = await backUp(practice.db, join(tmpdir(), `crescent-${randomUUID()}.sqlite`))
      try {
        response.attachment(backupName(new Date())).type('application/vnd.sqlite3')
        await pipeline(createReadStream(file), response)
      } finally {
        await rm(file, { force: true })
      }
    },
  },
  {
    method: 'post',
    path: '/restore',
    summary: 'Put a backup in the place of the data; what was there is kept among the backups',
    query: { look: '1: only tell what would be lost' },
    answers: { 400: 'No sound backup; nothing was changed' },
    run: async ({ practice, dataFolder, request }) => {
      const file = join(dataFolder, `incoming-${randomUUID()}.sqlite`)
      try {
        await pipeline(request, createWriteStream(file))
        if (request.query['look'] === '1') return lossesOf(practice, file)
        return { kept: basename(await putBack(practice, dataFolder, file)) }
      } finally {
        for (const tail of ['', '-wal', '-shm']) await rm(file + tail, { force: true })
      }
    },
  },
  {
    method: 'get',
    path: '/library',
    summary: 'The whole library as one JSON file',
    run: ({ practice, response }) => {
      response.attachment(`crescent-library-${new Date().toISOString().slice(0, 10)}.json`)
      return exportLibrary(practice)
    },
  },
  {
    method: 'post',
    path: '/library',
    summary: 'Bring in a library: adds what is not here, keeps what is',
    body: librarySchema,
    limit: '256mb',
    answers: { 400: 'What does not fit, by path; nothing was brought in' },
    run: ({ practice, request }) => importLibrary(practice, readLibrary(request.body)),
  },
]
