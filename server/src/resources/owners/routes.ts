import * as z from 'zod'
import { ownerSchema } from '@crescent/core/records/index'
import type { Route } from '../../http/route'
import { LIST_QUERY, listQuery, recordRoutes } from '../record-routes'

export const ownerRoutes: Route[] = [
  {
    method: 'get',
    path: '/owners',
    summary: 'Owners by name',
    answer: z.array(ownerSchema),
    query: LIST_QUERY,
    run: ({ practice, request }) => {
      const { search, archived, limit } = listQuery(request.query)
      return practice.owners.search(search, archived, limit)
    },
  },
  ...recordRoutes({ path: 'owners', what: 'owner', schema: ownerSchema, table: ({ owners }) => owners }),
]
