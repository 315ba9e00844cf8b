import type { Response } from 'express'
import * as z from 'zod'
import { mirrored, TEMPLATE_KINDS, templateOf, trueSize, writeDxf, writeSvg } from '@crescent/core/formats'
import { templatePdf } from '../../formats/pdf/template'
import { NotFound } from '../../http/door'
import { fileName, paperField, styleFields, styleOf, type Titled } from './asked'

/** What is asked of a template beside the shoe. */
export const templateFields = {
  kind: z.enum(TEMPLATE_KINDS).default('sole'),
  format: z.enum(['pdf', 'svg', 'dxf']).default('pdf'),
  mirror: z.enum(['true', 'false']).default('false').describe('seen from its other side'),
  ...paperField,
  ...styleFields,
}
export type TemplateAsked = z.output<z.ZodObject<typeof templateFields>>

/**
 * Sends a template as the file that was asked for.
 *
 * @throws NotFound with a sentence where the shoe has no such piece
 */
export async function sendTemplate(
  response: Response,
  { plan, title }: Titled,
  asked: TemplateAsked,
): Promise<void> {
  const { kind, format, mirror, paper } = asked
  const drawn = templateOf(plan, kind, styleOf(asked), title)
  if (!drawn) throw new NotFound('template', `${trueSize(kind).missing}.`)
  const drawing = mirror === 'true' ? { ...mirrored(drawn), title: `${drawn.title}, mirrored` } : drawn
  response.attachment(fileName(`${title} ${kind}`, format))
  if (format === 'svg') response.type('image/svg+xml').send(writeSvg(drawing))
  else if (format === 'dxf') response.type('image/vnd.dxf').send(writeDxf(drawing))
  else response.type('application/pdf').send(await templatePdf(drawing, paper))
}
