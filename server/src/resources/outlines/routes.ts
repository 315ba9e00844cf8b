import * as z from 'zod'
import { placeOutline, proposedTaps, readOutlines, Unreadable } from '@crescent/core/formats'
import { traceSchema } from '@crescent/core/records/index'
import { BadRequest } from '../../http/door'
import { withBody, type Route } from '../../http/route'
import { toldSchema } from '../told-schema'

const mm = z.number()

const outlineRequest = z
  .object({
    name: z
      .string()
      .min(1)
      .max(200)
      .describe('of the file: its ending says what it is, svg, dxf, csv or txt'),
    content: z.string().describe('text, or base64 where encoding says so'),
    encoding: z.enum(['text', 'base64']).default('text'),
  })
  .strict()

const outlineAnswer = z
  .object({
    curves: z.array(
      z.object({ points: z.array(z.tuple([mm, mm])), closed: z.boolean(), layer: z.string() }).strict(),
    ),
    unit: z
      .enum(['mm', 'in', 'cm', 'm', 'ft'])
      .nullable()
      .describe('in which it was drawn; points are in mm then, else in units nobody knows'),
    questions: z.array(z.string()),
  })
  .strict()

const point = z.tuple([z.number().min(-10_000).max(10_000), z.number().min(-10_000).max(10_000)])

const drawnLine = {
  points: z.array(point).min(5).max(20_000).describe('of one line, mm, in any frame'),
  closed: z.boolean(),
}
const tapsSchema = z
  .object({
    toe: point.describe('the middle of the toe'),
    lateralHeel: point.describe('where the outer heel bears'),
    medialHeel: point,
  })
  .strict()

const placeRequest = z.object({ ...drawnLine, taps: tapsSchema }).strict()

const placeAnswer = z
  .object({
    foot: z.object({ trace: traceSchema, width: mm, length: mm, heelWidth: mm }).strict(),
    notes: z.array(toldSchema),
  })
  .strict()

/** Outlines of feet and shoes as other programs draw them. */
export const outlineRoutes: Route[] = [
  withBody({
    method: 'post',
    path: '/outlines',
    beside: 'reckoning',
    summary: 'The lines of an SVG, a DXF or a list of points, those that meet joined',
    body: outlineRequest,
    answer: outlineAnswer,
    reads: true,
    answers: { 400: 'Why the file cannot be read' },
    run: ({ body: { name, content, encoding } }) => {
      try {
        return readOutlines(
          name,
          encoding === 'base64' ? Buffer.from(content, 'base64').toString('utf8') : content,
        )
      } catch (error) {
        if (error instanceof Unreadable) throw new BadRequest([{ path: 'content', message: error.message }])
        throw error
      }
    },
  }),
  withBody({
    method: 'post',
    path: '/outlines/taps',
    beside: 'reckoning',
    summary: 'Where toe and heels of a line are likely to lie: to begin from, never taken as set',
    body: z.object(drawnLine).strict(),
    answer: tapsSchema,
    reads: true,
    run: ({ body }) => proposedTaps(body),
  }),
  withBody({
    method: 'post',
    path: '/outlines/placed',
    beside: 'reckoning',
    summary:
      'A line placed in the foot’s frame by three taps: the outline of a traced foot and what it measures',
    body: placeRequest,
    answer: placeAnswer,
    reads: true,
    answers: { 400: 'Why this line is no foot as it was tapped' },
    run: ({ body: { taps, ...line } }) => {
      const placed = placeOutline(line, taps)
      if (!placed.ok) throw new BadRequest([{ path: 'taps', message: placed.problem }])
      return { foot: placed.foot, notes: placed.notes }
    },
  }),
]
