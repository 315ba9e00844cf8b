import * as z from 'zod'
import { readOutlines, Unreadable } from '@crescent/core/formats'
import { BadRequest } from '../../http/door'
import { withBody, type Route } from '../../http/route'

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

/** Outlines of feet and shoes as other programs draw them. */
export const outlineRoutes: Route[] = [
  withBody({
    method: 'post',
    path: '/outlines',
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
]
