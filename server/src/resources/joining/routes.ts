import { horseSchema, ownerSchema } from '@crescent/core/records/index'
import * as z from 'zod'
import { joinHorses, joinOwners } from './join'
import { NotFound, Refused } from '../../http/door'
import { withBody, type Route } from '../../http/route'

const version = z.number().int().min(1).optional()
const joinSchema = z
  .object({
    other: z.uuid(),
    version: version.describe('of the one that is kept, as it was seen'),
    otherVersion: version.describe('of the other'),
  })
  .strict()

/** Two records of the same horse or owner become one. */
export const joiningRoutes: Route[] = (
  [
    ['horses', 'horse', joinHorses, horseSchema],
    ['owners', 'owner', joinOwners, ownerSchema],
  ] as const
).map(([path, what, join, answer]) =>
  withBody({
    method: 'post',
    path: `/${path}/:id/join`,
    summary: `Take another record of the same ${what} into this one, with its whole history`,
    answer,
    body: joinSchema,
    answers: {
      404: `No such ${what}`,
      409: 'Both are the same record, one is archived, or was changed since it was seen',
    },
    run: ({ practice, request, body: { other, ...versions } }) => {
      const id = request.params['id'] as string
      if (id === other) throw new Refused('A record cannot be joined with itself')
      const kept = join(practice, { keptId: id, otherId: other, ...versions })
      if (!kept) throw new NotFound(what)
      return kept
    },
  }),
)
