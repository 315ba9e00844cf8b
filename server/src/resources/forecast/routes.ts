import * as z from 'zod'
import { SIDES, type Horse } from '@crescent/core'
import { forecast, intervalsOf, type History, type Interval } from '@crescent/core/weeks'
import { daySchema, idSchema, LOSS_REASONS } from '@crescent/core/records/index'
import { NotFound, read } from '../../http/door'
import type { Route } from '../../http/route'
import type { Practice } from '../../practice'
import { toldSchema } from '../told-schema'

const mm = z.number()
const object = <S extends z.ZodRawShape>(shape: S) => z.object(shape).strict()

const rate = object({
  count: z.number().int().describe('readings it rests on'),
  perWeek: mm.describe('mm a week'),
  low: mm.optional().describe('90 % of the next single one; none from one reading'),
  high: mm.optional(),
})
const through = object({
  date: daySchema,
  weeks: z.number(),
  early: z.string().optional().describe('as early as, 90 %'),
  late: z.string().optional(),
})
const wear = object({
  rate,
  pooled: z.boolean().describe('it rests on other horses of the same going as well'),
  through: through.optional().describe('a third of the bar left'),
})

const forecastAnswer = object({
  date: daySchema,
  from: daySchema.optional().describe('the visit it is reckoned from'),
  feet: z.array(
    object({
      side: z.enum(SIDES),
      measures: z.array(object({ key: z.string(), value: z.number(), low: z.number(), high: z.number() })),
      growth: rate.optional().describe('of the toe'),
      drift: object({ mm, low: mm.optional(), high: mm.optional(), reason: toldSchema })
        .optional()
        .describe('of the breakover, forward, by the day'),
      wear: wear
        .extend({
          hardFaced: z.boolean(),
          reset: z.boolean().optional().describe('what is left lasts another cycle'),
          reason: toldSchema,
        })
        .optional(),
      otherWear: wear.optional().describe('hard-faced where it is plain, plain where it is hard-faced'),
    }),
  ),
  cycle: object({
    weeks: z.number(),
    date: daySchema,
    limit: z.enum(['drift', 'wear', 'course', 'own']),
    reason: toldSchema,
    limits: z.array(
      object({ key: z.enum(['drift', 'wear', 'course', 'own']), weeks: z.number(), reason: toldSchema }),
    ),
  }).optional(),
  holding: z
    .array(
      object({
        design: z.string(),
        worn: z.number().int(),
        lost: z.number().int(),
        loose: z.number().int(),
        reasons: z.array(object({ reason: z.enum(LOSS_REASONS), count: z.number().int() })),
      }),
    )
    .describe('how often shoes of each design came off or loose'),
})

const query = z.object({ date: daySchema, visit: idSchema.optional() })

/** Other horses whose wear may stand in for one that has little of its own. */
const MOST_OTHERS = 12

/**
 * What is stored of a horse over the years.
 *
 * @param finishing the visit that is being finished: it counts as if it were
 */
const historyOf = (
  { visits, footRecords, looks, patterns }: Practice,
  id: string,
  finishing?: string,
): History => ({
  visits: visits.ofHorse(id).map((visit) => (visit.id === finishing ? { ...visit, state: 'done' } : visit)),
  footRecords: footRecords.ofHorse(id),
  looks: looks.ofHorse(id),
  patterns: patterns.ofHorse(id),
})

/** Shoes of other horses that go on the same ground. */
function othersOn(practice: Practice, { id, going }: Horse): Interval[] {
  if (going === '') return []
  return practice.horses
    .onGoing(going, id, MOST_OTHERS)
    .flatMap((other) => SIDES.flatMap((side) => intervalsOf(historyOf(practice, other.id), side)))
}

/** What is to be expected of a horse. */
export const forecastRoutes: Route[] = [
  {
    method: 'get',
    path: '/horses/:id/forecast',
    beside: 'reading',
    summary:
      'Likely measures, drift, wear and the proposed cycle of a horse on a day, with interval and reason',
    query: {
      date: 'the day, 2026-11-23',
      visit: 'id of the visit that is being finished: it is reckoned from it, and its shoes are on',
    },
    answer: forecastAnswer,
    answers: { 404: 'No such horse', 400: 'No day was named' },
    run: ({ practice, request }) => {
      const { date, visit } = read(query, request.query)
      const horse = practice.horses.get(request.params['id'] as string)
      if (!horse) throw new NotFound('horse')
      return forecast(
        {
          ...historyOf(practice, horse.id, visit),
          horse,
          courses: practice.courses.ofHorse(horse.id),
          others: othersOn(practice, horse),
        },
        date,
      )
    },
  },
]
