import * as z from 'zod'
import {
  idSchema,
  PATTERN_FILE_VERSION,
  patternFileSchema,
  storedPatternSchema,
} from '@crescent/core/records/index'
import type { PatternFile } from '@crescent/core'
import { NotFound } from '../../http/door'
import { withBody, type Route } from '../../http/route'
import { fileName } from '../drawn/asked'
import { savePattern } from '../patterns/save'
import { readFile } from './read-file'

/** A file as it is sent: read by its own schema only when it says that it is one. */
const sentSchema = z
  .object({
    file: z
      .record(z.string(), z.unknown())
      .describe('what was read from the file: see the answer of GET /patterns/{id}/file'),
    keep: z
      .object({
        id: idSchema.describe('made by who sends it: sent twice it is stored once'),
        horseId: idSchema,
      })
      .strict()
      .optional()
      .describe('stores it as a pattern of this horse; else it is only read'),
  })
  .strict()

const readAnswer = z.object({ file: patternFileSchema, kept: storedPatternSchema.nullable() }).strict()

/** A pattern as a file, out and in. */
export const patternFileRoutes: Route[] = [
  {
    method: 'get',
    path: '/patterns/:id/file',
    summary: 'A pattern as a file of its own',
    answer: patternFileSchema,
    answers: { 404: 'No such pattern' },
    run: ({ practice, request, response }): PatternFile => {
      const pattern = practice.patterns.get(request.params['id'] as string)
      if (!pattern) throw new NotFound('pattern')
      const horse = practice.horses.get(pattern.horseId)?.name ?? ''
      const { name, side, foot, shoe, workshop, notes, tags } = pattern
      response.attachment(fileName(`${horse} ${side} ${name}`, 'crescent.json')).type('application/json')
      return {
        format: 'crescent-pattern',
        formatVersion: PATTERN_FILE_VERSION,
        ...{ name, horse, side, foot, shoe, workshop, notes },
        ...(tags && { tags }),
      }
    },
  },
  withBody({
    method: 'post',
    path: '/patterns/file',
    summary: 'Read a pattern from its file; stored where it is said for which horse',
    body: sentSchema,
    answer: readAnswer,
    answers: { 400: 'It is no such file, or its shoe cannot be made: by path', 404: 'No such horse' },
    run: ({ practice, body: { file: sent, keep } }) => {
      const file = readFile(sent)
      if (!keep) return { file, kept: null }
      if (!practice.horses.get(keep.horseId)) throw new NotFound('horse')
      const { name, side, foot, shoe, workshop, notes, tags } = file
      const pattern = {
        ...keep,
        version: 0,
        visitId: null,
        archived: false,
        name,
        side,
        foot,
        shoe,
        workshop,
        notes,
        ...(tags && { tags }),
      }
      const kept = practice.db.transaction(() => savePattern(practice, pattern)).immediate()
      return { file, kept }
    },
  }),
]
