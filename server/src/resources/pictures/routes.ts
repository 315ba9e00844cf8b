import * as z from 'zod'
import { daySchema, listedPictureSchema, pictureSchema } from '@crescent/core/records/index'
import { Conflict } from '../../database/record-table'
import { BadRequest, NotFound } from '../../http/door'
import { alone, withBody, type Route, type RouteContext } from '../../http/route'
import { recordRoutes } from '../record-routes'
import { makeSmaller, writeOver } from '../safekeeping/written-over'
import { keptPicture } from './kept-picture'
import { madeSmaller, THUMBNAIL } from './made-smaller'
import { canBeThinned, thinOut } from './thin-out'

const weightSchema = z.object({ pictures: z.number().int(), bytes: z.number().int() }).strict()
const beforeSchema = z.object({ before: daySchema.describe('visits before this day') }).strict()

/** A picture with its file, its three megabytes written in base 64 and some words beside it. */
const MOST = '5mb'

const pictureOf = ({ practice, request }: Pick<RouteContext, 'practice' | 'request'>) => {
  const picture = practice.pictures.get(request.params['id'] as string)
  if (!picture) throw new NotFound('picture')
  return picture
}

/**
 * A file of a picture. A browser may keep it, but asks each time whether it still stands: what was erased is not shown
 * from there, nor to who signed out.
 *
 * @param made called only where the browser has not got it yet
 */
async function sendPicture(
  { request, response }: RouteContext,
  { id, version }: { id: string; version: number },
  size: 'file' | 'thumbnail',
  made: () => Buffer | Promise<Buffer>,
): Promise<void> {
  response.set('Cache-Control', 'private, no-cache')
  response.set('ETag', `"${id}-${version}-${size}"`)
  if (request.fresh) return void response.status(304).end()
  response.type('image/jpeg').send(await made())
}

const VERSION = { version: 'of the picture, so that another one is asked for anew; may be left out' }

/** Pictures that stay with a visit: listed without their files, each file by itself, large and small. */
export const pictureRoutes: Route[] = [
  {
    method: 'get',
    path: '/pictures',
    summary: 'Pictures of a horse over all its visits, the oldest first, without their files',
    query: { horse: 'id of the horse' },
    answer: z.array(listedPictureSchema),
    run: ({ practice, request: { query } }) =>
      practice.pictures.ofHorse(typeof query['horse'] === 'string' ? query['horse'] : ''),
  },
  {
    method: 'get',
    path: '/pictures/weight',
    summary: 'How many pictures are kept, and how much room they take',
    answer: weightSchema,
    run: ({ practice }) => practice.pictures.weight(),
  },
  {
    method: 'get',
    path: '/pictures/thin',
    summary: 'How many pictures of visits before a day can be made smaller, and what they weigh',
    query: { before: 'a day, 2026-11-29' },
    answer: weightSchema,
    run: ({ practice, request: { query } }) => {
      const before = daySchema.safeParse(query['before'])
      if (!before.success) throw new BadRequest([{ path: 'before', message: 'A day, such as 2026-11-29' }])
      return canBeThinned(practice, before.data)
    },
  },
  withBody({
    method: 'post',
    path: '/pictures/thin',
    summary: 'Make the pictures of visits before a day smaller; what was marked on them stays',
    body: beforeSchema,
    answer: weightSchema.extend({ broken: z.number().int().describe('that cannot be read, and stay') }),
    run: ({ practice, body: { before } }) =>
      alone(practice, 'Pictures are being made smaller', async () => {
        const done = await thinOut(practice, before)
        // Room in the file is given back to the disk.
        if (done.pictures > 0) await makeSmaller(practice)
        return done
      }),
  }),
  {
    method: 'get',
    path: '/pictures/:id/file',
    summary: 'The file of a picture',
    query: VERSION,
    answer: { file: 'image/jpeg' },
    answers: { 404: 'No such picture' },
    run: (context) => {
      const picture = pictureOf(context)
      return sendPicture(context, picture, 'file', () => Buffer.from(picture.file, 'base64'))
    },
  },
  {
    method: 'get',
    path: '/pictures/:id/thumbnail',
    summary: 'A picture, small',
    query: VERSION,
    answer: { file: 'image/jpeg' },
    answers: { 404: 'No such picture' },
    run: (context) => {
      const picture = pictureOf(context)
      return sendPicture(
        context,
        picture,
        'thumbnail',
        async () => (await madeSmaller(Buffer.from(picture.file, 'base64'), THUMBNAIL)).file,
      )
    },
  },
  withBody({
    method: 'post',
    path: '/pictures/:id/erase',
    summary: 'Erase a picture for good, out of the file too; older backups still hold it',
    body: z.object({ version: z.number().int().min(1) }).strict(),
    answer: z.object({ erased: z.literal(true) }).strict(),
    answers: { 404: 'No such picture', 409: 'Changed since it was read' },
    run: async (context) => {
      const { practice, body, request } = context
      const picture = pictureOf(context)
      if (picture.version !== body.version) throw new Conflict({ ...picture, file: '' })
      await alone(practice, 'A picture is being erased', async () => {
        practice.db
          .transaction(() => {
            practice.pictures.erase(picture.id)
            practice.facts.set({ traces: true })
          })
          .immediate()
        const left = await writeOver(practice)
        if (left !== undefined) request.log.error(left, 'what was erased is not written over yet')
      })
      return { erased: true as const }
    },
  }),
  ...recordRoutes({
    path: 'pictures',
    what: 'picture',
    schema: pictureSchema,
    table: ({ pictures }) => pictures,
    kept: keptPicture,
    most: MOST,
  }),
]
