import * as z from 'zod'
import { listedPictureSchema, pictureSchema } from '@crescent/core/records/index'
import { NotFound } from '../../http/door'
import type { Route } from '../../http/route'
import { recordRoutes } from '../record-routes'

/** Pictures that stay with a visit: listed without their files, each file by itself. */
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
    answer: z.object({ pictures: z.number().int(), bytes: z.number().int() }).strict(),
    run: ({ practice }) => practice.pictures.weight(),
  },
  {
    method: 'get',
    path: '/pictures/:id/file',
    summary: 'The file of a picture',
    answer: { file: 'image/jpeg' },
    answers: { 404: 'No such picture' },
    run: ({ practice, request, response }) => {
      const picture = practice.pictures.get(request.params['id'] as string)
      if (!picture) throw new NotFound('picture')
      response.type('image/jpeg').send(Buffer.from(picture.file, 'base64'))
    },
  },
  ...recordRoutes({
    path: 'pictures',
    what: 'picture',
    schema: pictureSchema,
    table: ({ pictures }) => pictures,
  }),
]
