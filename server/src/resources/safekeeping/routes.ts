import { dayOn } from '../../database/day-on'
import { importReportSchema, lossesSchema } from '@crescent/core/records/index'
import { randomUUID } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { rm } from 'node:fs/promises'
import { basename, join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import * as z from 'zod'
import { backupFolder, backupName, backUp, backUpInto } from '../../database/backup'
import { checkStillThere } from '../../database/faults'
import { passingFolder } from '../../database/files'
import { importLibrary } from '../library/in'
import { libraryText } from '../library/out'
import { librarySchema } from '../library/routes'
import { putBack } from './put-back'
import { lookThrough } from '../../database/looked'
import { BadRequest, read } from '../../http/door'
import { libraryInWords } from '../library/words'
import { alone, type Route } from '../../http/route'

/** Who asks for one horse here, as one did once, is not sent everything. */
const wholeLibrary = z.object({
  horse: z.never({ error: 'One horse is asked for at /horses/{id}/library' }).optional(),
})

/** Backup of the whole database, and the library as one open file out and in. */
export const safekeepingRoutes: Route[] = [
  {
    method: 'post',
    path: '/backup',
    summary: 'Write a consistent copy into the data folder while the server runs',
    answer: z.object({ file: z.string().describe('in the folder of backups') }),
    answers: { 503: 'The data is damaged, or there is no room' },
    run: async ({ practice, dataFolder }) => ({
      file: basename(await backUpInto(practice.db, backupFolder(dataFolder), new Date())),
    }),
  },
  {
    method: 'get',
    path: '/backup',
    summary: 'Download a consistent copy of the database',
    answer: { file: 'application/vnd.sqlite3' },
    run: async ({ practice, dataFolder, response }) => {
      const file = await backUp(practice.db, join(passingFolder(dataFolder), `${randomUUID()}.sqlite`))
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
    answer: z.union([
      z.object({ kept: z.string().describe('what was here, in the folder of backups') }),
      lossesSchema,
    ]),
    query: { look: '1: only tell what would be lost' },
    answers: { 400: 'No sound backup; nothing was changed' },
    streams: true,
    run: async ({ practice, dataFolder, request }) => {
      const file = join(passingFolder(dataFolder), `${randomUUID()}.sqlite`)
      try {
        await pipeline(request, createWriteStream(file, { mode: 0o600 }))
        if (request.query['look'] === '1') return await lookThrough(file, practice.db.name)
        const kept = await alone(practice, 'A backup is being put back', () =>
          putBack(practice, dataFolder, file),
        )
        return { kept: basename(kept) }
      } finally {
        for (const tail of ['', '-wal', '-shm']) await rm(file + tail, { force: true })
      }
    },
  },
  {
    method: 'get',
    path: '/library',
    summary: 'The whole library as one JSON file; one horse of it has an address of its own',
    answer: librarySchema,
    run: async ({ practice, request, response }) => {
      read(wholeLibrary, request.query)
      const day = dayOn(new Date())
      checkStillThere(practice.db)
      const pieces = libraryText(practice.db.name)
      // What cannot be read is refused in words; once the answer has begun it could only break off.
      const first = await pieces.next()
      response.attachment(`crescent-library-${day}.json`).type('application/json')
      // Packing it would take longer than sending it to the same machine.
      response.set('Cache-Control', 'no-store, no-transform')
      const all = async function* () {
        if (!first.done) yield first.value
        yield* pieces
      }
      await pipeline(Readable.from(all()), response)
    },
  },
  {
    method: 'post',
    path: '/library',
    summary: 'Bring in a library: adds what is not here, keeps what is',
    answer: importReportSchema,
    answers: {
      400: 'What does not fit, by path; nothing was brought in',
      503: 'Another is being brought in',
    },
    streams: true,
    run: async ({ practice, dataFolder, request }) => {
      const file = join(passingFolder(dataFolder), `${randomUUID()}.json`)
      try {
        // Taken whole first: who sends slowly, or stops, holds nobody up.
        await pipeline(request, createWriteStream(file, { mode: 0o600 }))
        return await alone(practice, 'A library is being brought in', () =>
          importLibrary(practice.db.name, createReadStream(file)),
        )
      } catch (error) {
        throw error instanceof BadRequest ? new BadRequest(libraryInWords(error.problems)) : error
      } finally {
        await rm(file, { force: true })
      }
    },
  },
]
