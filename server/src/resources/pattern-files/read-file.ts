import { PATTERN_FILE_VERSION, patternFileSchema } from '@crescent/core/records/index'
import { planShoe, type PatternFile } from '@crescent/core'
import { BadRequest, read } from '../../http/door'

/**
 * A file through its schema, with a sentence where it is none or of another time.
 *
 * @throws BadRequest
 * @throws ProblemError where its shoe cannot be made
 */
export function readFile(file: Record<string, unknown>): PatternFile {
  if (file['format'] !== 'crescent-pattern')
    throw new BadRequest([{ path: 'file.format', message: 'This file is no pattern of Crescent' }])
  const form = file['formatVersion']
  if (form !== PATTERN_FILE_VERSION) {
    // Whoever sends it may have written anything there, an object that cannot be made a text among it.
    const written = typeof form === 'number' ? `form ${form}` : 'a form nobody knows'
    throw new BadRequest([
      {
        path: 'file.formatVersion',
        message: `This pattern was written in ${written}; form ${PATTERN_FILE_VERSION} is read here`,
      },
    ])
  }
  const pattern = read(patternFileSchema, file)
  // What could not be made is no pattern.
  planShoe(pattern.foot, pattern.shoe, pattern.workshop)
  return pattern
}
