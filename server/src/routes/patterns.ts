import { patternSchema } from '@crescent/core/records/index'
import type { Route } from '../http/route'
import { recordRoutes } from './records'

export const patternRoutes: Route[] = [
  ...recordRoutes('patterns', 'pattern', patternSchema, (practice) => ({
    get: (id) => practice.patterns.get(id),
    put: (pattern) => practice.patterns.save(pattern),
  })),
  {
    method: 'get',
    path: '/patterns/:id/versions',
    summary: 'Every state a pattern ever had, the newest first',
    run: ({ practice, request }) => practice.patterns.versions(request.params['id'] as string),
  },
]
