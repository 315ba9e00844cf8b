// Follows the edge of a foot or a shoe in a photograph: npm run -s trace -- photo.jpg taps.json
import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { tracePhoto } from '@crescent/core/photo-tracing'
import { NoPicture, readPicture } from '../formats/pictures/read-picture'
import { firstFault, tapsFileSchema } from '../formats/pictures/taps-file'

/** One sentence for what cannot be traced. */
function refuse(problem: string): never {
  console.error(problem)
  process.exit(2)
}

function read(file: string): Buffer {
  try {
    return readFileSync(resolve(process.env['INIT_CWD'] ?? '.', file))
  } catch {
    return refuse(`${file} cannot be read.`)
  }
}

function json(file: string): unknown {
  try {
    return JSON.parse(read(file).toString('utf8'))
  } catch {
    return refuse(`${file} is no JSON.`)
  }
}

const [photo, taps] = process.argv.slice(2)
if (!photo || !taps) refuse('Say which photograph and which taps: npm run -s trace -- photo.jpg taps.json')
const asked = tapsFileSchema.safeParse(json(taps))
if (!asked.success) refuse(`${taps}: ${firstFault(asked.error)}`)
try {
  const { picture, focal35 } = await readPicture(read(photo))
  // What the file of taps says of the camera counts before what the picture says.
  const { focal35: said = focal35, card, centreDistance, height, ...work } = asked.data
  const traced = tracePhoto(picture, {
    ...work,
    ...(card !== undefined && { card }),
    ...(centreDistance !== undefined && { centreDistance }),
    ...(height !== undefined && { height }),
    ...(said !== undefined && { focal35: said }),
  })
  if (!traced.ok) refuse(traced.problem)
  const { outline, inner, holes, residual, marks, doubtful } = traced
  console.log(JSON.stringify({ outline, inner, holes, residual, marks, doubtful }))
} catch (error) {
  refuse(error instanceof NoPicture ? error.message : `It could not be traced: ${(error as Error).message}`)
}
