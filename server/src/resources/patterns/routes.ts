import { patternSchema, storedPatternSchema, foundPatternSchema } from '@crescent/core/records/index'
import * as z from 'zod'
import { savePattern } from './save'
import { searchPatterns } from './search'
import { read } from '../../http/door'
import type { Route } from '../../http/route'
import { recordRoutes } from '../record-routes'

const querySchema = z.object({
  search: z.string().max(200).default(''),
  modification: z.string().max(60).optional(),
  barWidth: z.coerce.number().optional(),
  barThickness: z.coerce.number().optional(),
  width: z.coerce.number().optional(),
})

export const patternRoutes: Route[] = [
  {
    method: 'get',
    path: '/patterns',
    summary: 'Patterns of all horses: by words, modification, bar and width of foot',
    answer: z.array(foundPatternSchema),
    query: {
      search: 'words of name, notes, horse or modification',
      modification: 'a kind it wears',
      barWidth: 'mm, together with barThickness',
      barThickness: 'mm',
      width: 'of the foot, mm: the nearest first',
    },
    run: ({ practice, request }) => {
      const { search, modification, barWidth, barThickness, width } = read(querySchema, request.query)
      return searchPatterns(practice, {
        search,
        ...(modification && { modification }),
        ...(barWidth !== undefined &&
          barThickness !== undefined && { bar: { width: barWidth, thickness: barThickness } }),
        ...(width !== undefined && { width }),
      })
    },
  },
  ...recordRoutes({
    path: 'patterns',
    what: 'pattern',
    schema: patternSchema,
    table: (practice) => ({
      get: (id) => practice.patterns.get(id),
      put: (pattern) => savePattern(practice, pattern),
    }),
    stored: storedPatternSchema,
  }),
  {
    method: 'get',
    path: '/patterns/:id/versions',
    summary: 'Every state a pattern ever had, the newest first',
    answer: z.array(storedPatternSchema),
    run: ({ practice, request }) => practice.patterns.versions(request.params['id'] as string),
  },
]
