import * as z from 'zod'
import { daySchema, listedPictureSchema, pictureSchema } from '@crescent/core/records/index'
import { Conflict } from '../../database/record-table'
import { BadRequest, NotFound } from '../../http/door'
import { alone, withBody, type Route, type RouteContext } from '../../http/route'
import { recordRoutes } from '../record-routes'
import { writeOver } from '../safekeeping/written-over'
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

/** A file that is asked for by the version of its picture never changes. */
function sendPicture({ request, response }: RouteContext, file: Buffer): void {
  if (request.query['version'] !== undefined)
    response.set('Cache-Control', 'private, max-age=31536000, immutable')
  response.type('image/jpeg').send(file)
}

const VERSION = { version: 'of the picture: with it the answer may be kept' }

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
    answer: weightSchema,
    run: ({ practice, body: { before } }) =>
      alone(practice, 'Pictures are being made smaller', async () => {
        const done = await thinOut(practice, before)
        // Room in the file is given back to the disk.
        if (done.pictures > 0) await writeOver(practice)
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
    run: (context) => sendPicture(context, Buffer.from(pictureOf(context).file, 'base64')),
  },
  {
    method: 'get',
    path: '/pictures/:id/thumbnail',
    summary: 'A picture, small',
    query: VERSION,
    answer: { file: 'image/jpeg' },
    answers: { 404: 'No such picture' },
    run: async (context) =>
      sendPicture(
        context,
        (await madeSmaller(Buffer.from(pictureOf(context).file, 'base64'), THUMBNAIL)).file,
      ),
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
            practice.pictures.remove(picture.id)
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
    most: MOST,
  }),
]
