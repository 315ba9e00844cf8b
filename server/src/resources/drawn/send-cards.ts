import type { Response } from 'express'
import { cardsPdf, type CardsPer } from '../../formats/pdf/card'
import type { PaperName } from '../../formats/pdf/paper'
import { fileName, styleOf, type Titled } from './asked'

/** What is asked of forge cards beside the shoes. */
interface CardsAsked {
  paper: PaperName
  unit: 'in' | 'mm'
  parts: '16' | '32'
}

/** Sends forge cards as one PDF. */
export async function sendCards(
  response: Response,
  shoes: readonly Titled[],
  per: CardsPer,
  asked: CardsAsked,
): Promise<void> {
  const file = await cardsPdf(shoes, per, asked.paper, styleOf(asked))
  response
    .attachment(fileName(`${shoes[0]!.title} card`, 'pdf'))
    .type('application/pdf')
    .send(file)
}
