import { horseSchema, ownerSchema } from '@crescent/core/records/index'
import * as z from 'zod'
import { joinHorses, joinOwners } from './join'
import { NotFound, Refused } from '../../http/door'
import { withBody, type Route } from '../../http/route'

const joinSchema = z.object({ other: z.uuid() }).strict()

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
    answers: { 404: `No such ${what}`, 409: 'Both are the same record, or the one that is kept is archived' },
    run: ({ practice, request, body: { other } }) => {
      const id = request.params['id'] as string
      if (id === other) throw new Refused('A record cannot be joined with itself')
      const kept = join(practice, id, other)
      if (!kept) throw new NotFound(what)
      return kept
    },
  }),
)
