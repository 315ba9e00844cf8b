import { HALVES, REGIONS } from '@crescent/core'
import {
  footSchema,
  patternSchema,
  storedPatternSchema,
  foundPatternSchema,
  tagSchema,
} from '@crescent/core/records/index'
import * as z from 'zod'
import { nearestPatterns } from './nearest'
import { savePattern } from './save'
import { searchPatterns } from './search'
import { read } from '../../http/door'
import { withBody, type Route } from '../../http/route'
import { recordRoutes } from '../record-routes'

const querySchema = z.object({
  search: z.string().max(200).default(''),
  tag: z.string().max(40).optional(),
  modification: z.string().max(60).optional(),
  barWidth: z.coerce.number().optional(),
  barThickness: z.coerce.number().optional(),
  width: z.coerce.number().optional(),
})

const nearestRequest = z
  .object({ foot: footSchema, limit: z.number().int().min(1).max(50).default(10) })
  .strict()

const mm = z.number()
const nearSchema = z
  .object({
    pattern: storedPatternSchema,
    horseName: z.string(),
    distance: mm.describe('root mean square between the outlines, one turned onto the other'),
    mirrored: z.boolean().describe('nearer with inside and outside changed'),
    byRegion: z.array(
      z
        .object({
          region: z.enum(REGIONS),
          half: z.enum(HALVES),
          mean: mm.describe('how far this foot stands outside the one of the pattern'),
          most: mm,
        })
        .strict(),
    ),
  })
  .strict()

export const patternRoutes: Route[] = [
  {
    method: 'get',
    path: '/patterns',
    summary: 'Patterns of all horses: by words, modification, bar and width of foot',
    answer: z.array(foundPatternSchema),
    query: {
      search: 'words of name, notes, tags, horse or modification',
      tag: 'a tag it carries',
      modification: 'a kind it wears',
      barWidth: 'mm, together with barThickness',
      barThickness: 'mm',
      width: 'of the foot, mm: the nearest first',
    },
    run: ({ practice, request }) => {
      const { search, tag, modification, barWidth, barThickness, width } = read(querySchema, request.query)
      return searchPatterns(practice, {
        search,
        ...(tag && { tag }),
        ...(modification && { modification }),
        ...(barWidth !== undefined &&
          barThickness !== undefined && { bar: { width: barWidth, thickness: barThickness } }),
        ...(width !== undefined && { width }),
      })
    },
  },
  {
    method: 'get',
    path: '/patterns/tags',
    summary: 'Every tag that a pattern carries, the most used first',
    answer: z.array(tagSchema),
    run: ({ practice }) => practice.patterns.tags(),
  },
  withBody({
    method: 'post',
    path: '/patterns/nearest',
    beside: 'reading',
    summary:
      'Patterns of all horses whose feet are most like this one by shape, mirrored too, the nearest first',
    body: nearestRequest,
    answer: z.array(nearSchema),
    reads: true,
    answers: { 400: 'Every figure of the foot that is missing or not possible, by path' },
    run: ({ practice, body: { foot, limit } }) => nearestPatterns(practice, foot, limit),
  }),
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
    beside: 'reading',
    summary: 'Every state a pattern ever had, the newest first',
    answer: z.array(storedPatternSchema),
    run: ({ practice, request }) => practice.patterns.versions(request.params['id'] as string),
  },
]
