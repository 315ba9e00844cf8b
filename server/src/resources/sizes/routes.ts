import * as z from 'zod'
import { checkSize } from '@crescent/core'
import { rankSizes } from '@crescent/core/anvil'
import { footSchema, shoeSchema, sizeFactsSchema, sizeSchema } from '@crescent/core/records/index'
import { read } from '../../http/door'
import { withBody, type Route } from '../../http/route'
import { CHECKS } from '../checks'
import { recordRoutes, refuse } from '../record-routes'
import { csvReadSchema, rankedSchema } from './answer'
import { readCsv, writeCsv, type CsvRead } from './csv'
import { keepCsv } from './keep-csv'
import { oneOfAName } from './one-of-a-name'

const weight = z.number().min(0).max(20).optional()

const rankRequest = z
  .object({
    foot: footSchema,
    fit: shoeSchema.out.shape.fit.default('general'),
    use: z
      .object({
        work: z.string().optional(),
        going: z.string().optional(),
        living: z.string().optional(),
        advice: z
          .array(z.string().max(60))
          .max(60)
          .optional()
          .describe('codes of the advice accepted for this foot'),
        weights: z
          .object({ bending: weight, longHeels: weight, shortHeels: weight, nails: weight, moulded: weight })
          .strict()
          .optional()
          .describe('how much each counts; 1 is usual'),
      })
      .strict()
      .default({}),
    sizes: z.array(sizeFactsSchema).max(2_000).optional().describe('the table, where none are given'),
  })
  .strict()

const csvUnit = z.enum(['in', 'mm']).default('mm')

const csvRequest = z.object({ csv: z.string() }).strict()

/** Factory sizes: the table, as a file in and out, and ranked for a foot. */
export const sizeRoutes: Route[] = [
  {
    method: 'get',
    path: '/sizes',
    summary: 'The farrier’s table of factory sizes, by range and length',
    query: { archived: 'true for the archived ones' },
    answer: z.array(sizeSchema),
    run: ({ practice, request }) => practice.sizes.all(request.query['archived'] === 'true'),
  },
  {
    method: 'get',
    path: '/sizes/csv',
    summary: 'The table as CSV, lengths in mm',
    answer: { file: 'text/csv' },
    run: ({ practice, response }) => {
      response.attachment('sizes.csv').type('text/csv').send(writeCsv(practice.sizes.all()))
    },
  },
  withBody({
    method: 'post',
    path: '/sizes/csv',
    beside: 'reckoning',
    summary: 'Read a table as CSV: a preview row by row; with keep=true it is stored, all of it or nothing',
    query: { keep: 'true stores it', unit: 'in or mm, of bare numbers; else mm' },
    body: z.union([csvRequest, z.string()]).describe('as JSON, or the file itself as text/csv'),
    most: '2mb',
    answer: csvReadSchema,
    answers: { 400: 'With keep: what is wrong, row by row; nothing is stored', 413: 'No table is so large' },
    run: ({ request, body }) => ({
      ...readCsv(typeof body === 'string' ? body : body.csv, read(csvUnit, request.query['unit'])),
      kept: 0,
    }),
    afterwards: async ({ practice, request }, table: () => CsvRead) => {
      if (request.query['keep'] !== 'true') return undefined
      const read = table()
      return { ...read, kept: await keepCsv(practice, read) }
    },
  }),
  withBody({
    method: 'post',
    path: '/sizes/rank',
    beside: 'reckoning',
    summary: 'Sizes ranked for a foot: what each would need, and why, the best first',
    body: rankRequest,
    answer: rankedSchema,
    reads: true,
    answers: { 400: 'Every figure that is missing or not possible, by path' },
    run: ({ practice, body: { foot, fit, use, sizes } }) => {
      refuse((sizes ?? []).flatMap((facts, i) => checkSize(facts, `sizes.${i}`)))
      return { ranked: rankSizes(foot, fit, sizes ?? practice.sizes.all(), use) }
    },
  }),
  ...recordRoutes({
    path: 'sizes',
    what: 'size',
    schema: sizeSchema,
    table: ({ sizes }) => sizes,
    check: CHECKS.size,
    beside: oneOfAName,
  }),
]
