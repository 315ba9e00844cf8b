import { erasureSchema } from '@crescent/core/records/index'
import * as z from 'zod'
import type { Erasure } from '@crescent/core'
import { erase, whatGoes, type ErasedKind } from './erase'
import { Conflict } from '../../database/record-table'
import { NotFound } from '../../http/door'
import { alone, withBody, type Route, type RouteContext } from '../../http/route'

const eraseSchema = z.object({ version: z.number().int().min(1) }).strict()

const stored = ({ practice, request }: RouteContext, kind: ErasedKind) =>
  ({ owner: practice.owners, horse: practice.horses, visit: practice.visits })[kind].get(
    request.params['id'] as string,
  )

/** An owner, a horse or a visit goes for good, with everything that belongs to it. */
export const erasingRoutes: Route[] = (['owner', 'horse', 'visit'] as const).flatMap((kind): Route[] => [
  {
    method: 'get',
    path: `/${kind}s/:id/erase`,
    summary: `What would go with this ${kind}`,
    answer: erasureSchema,
    answers: { 404: `No such ${kind}` },
    run: (context) => {
      const { practice, dataFolder } = context
      const goes = whatGoes(practice, dataFolder, kind, stored(context, kind)?.id ?? '')
      if (!goes) throw new NotFound(kind)
      return goes
    },
  },
  withBody({
    method: 'post',
    path: `/${kind}s/:id/erase`,
    summary: `Erase this ${kind} for good, out of the file too; older backups still hold it`,
    answer: erasureSchema,
    body: eraseSchema,
    answers: { 404: `No such ${kind}`, 409: 'Changed since it was read' },
    run: async (context): Promise<Erasure> => {
      const { version } = context.body
      const record = stored(context, kind)
      if (!record) throw new NotFound(kind)
      if (record.version !== version) throw new Conflict(record)
      const goes = whatGoes(context.practice, context.dataFolder, kind, record.id)
      const left = await alone(context.practice, 'A record is being erased', () =>
        erase(context.practice, kind, record.id),
      )
      if (left !== undefined) context.request.log.error(left, 'what was erased is not written over yet')
      return { ...goes!, traces: left !== undefined }
    },
  }),
])
