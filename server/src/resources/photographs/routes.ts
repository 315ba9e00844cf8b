import * as z from 'zod'
import { CARDS } from '@crescent/core/photographs'
import { scaleCardPdf } from '../../formats/pdf/scale-card'
import { read } from '../../http/door'
import type { Route } from '../../http/route'
import { fileName, PAPER_QUERY, paperField } from '../drawn/asked'

const cardQuery = z.object({ card: z.enum(CARDS.map(({ key }) => key)).default('square'), ...paperField })

/** What photographs need from the workshop's printer. Photographs themselves are traced where they are taken. */
export const photographRoutes: Route[] = [
  {
    method: 'get',
    path: '/scale-card',
    beside: 'drawing',
    summary: 'The scale card that is laid beside a foot or a shoe for a photograph, at true size',
    query: { card: 'square, or frame: a sheet with an opening for the foot; else square', ...PAPER_QUERY },
    answer: { file: 'application/pdf' },
    run: async ({ request, response }) => {
      const { card, paper } = read(cardQuery, request.query)
      const file = await scaleCardPdf(
        CARDS.find(({ key }) => key === card)!,
        paper,
      )
      response
        .attachment(fileName(`scale card ${card}`, 'pdf'))
        .type('application/pdf')
        .send(file)
    },
  },
]
