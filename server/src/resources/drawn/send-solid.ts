import type { Response } from 'express'
import * as z from 'zod'
import { boresOf, holeSize } from '@crescent/core/formats'
import { solidOf } from '@crescent/core/solid'
import { oneSolid } from '../../formats/solid/one-solid'
import { writeStl } from '../../formats/solid/stl'
import { writeThreeMf } from '../../formats/solid/three-mf'
import { fileName, type Titled } from './asked'

export const solidFields = { format: z.enum(['stl', '3mf']).default('stl') }

/** Sends the whole shoe as one closed solid with its holes bored, in millimetres. */
export async function sendSolid(
  response: Response,
  { plan, title }: Titled,
  { format }: z.output<z.ZodObject<typeof solidFields>>,
): Promise<void> {
  const whole = await oneSolid(solidOf(plan), boresOf(plan, holeSize(plan)))
  response.attachment(fileName(title, format))
  if (format === 'stl') response.type('model/stl').send(writeStl(whole))
  else response.type('model/3mf').send(Buffer.from(writeThreeMf(whole, title)))
}
