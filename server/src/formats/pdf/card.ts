import {
  commonName,
  correctedTold,
  forgeCard,
  formatLength,
  writeTold,
  type LengthStyle,
  type Plan,
  type Told,
} from '@crescent/core'
import { beginPdf, type Document } from './document'
import { drawBar } from './draw-bar'
import { drawShape } from './draw-shape'
import { MARGIN, PAPERS, type Paper, type PaperName } from './paper'

/** One shoe and how its card is headed. */
export interface CardOf {
  plan: Plan
  title: string
}

/** How many cards share a sheet: one shoe, a pair side by side, the four of a horse. */
export const CARDS_PER = { shoe: 1, pair: 2, horse: 4 } as const
export type CardsPer = keyof typeof CARDS_PER

/** Letters of a card, points: as large as lets it stand on one sheet. */
const SIZES = [11, 10, 9, 8, 7]

/** Picture of a shape between, mm. */
const PICTURE = { width: 26, height: 14 }
/** Room between lines and between the parts of a card, mm. */
const [LINE, PART] = [1, 3]

/** Forge cards: a sheet for each shoe with the work in full, or what is cut and marked of several on one. */
export function cardsPdf(
  cards: readonly CardOf[],
  per: CardsPer,
  paper: PaperName,
  style: LengthStyle,
): Promise<Buffer> {
  const sheet = PAPERS[paper]
  const document = beginPdf(cards.map(({ title }) => title).join('; '))
  const count = CARDS_PER[per]
  for (let i = 0; i < cards.length; i += count) {
    document.sheet(sheet)
    if (count === 1) wholeSheet(document, cards[i]!, sheet, style)
    else
      cards.slice(i, i + count).forEach((card, k) => {
        const high = (sheet.height - 2 * MARGIN) / count
        new Card(document, card, style, sheet.width - 2 * MARGIN, count === 2 ? 10 : 8).short(
          MARGIN,
          MARGIN + k * high,
        )
      })
  }
  return document.done()
}

/** In the largest letters that let it stand on its sheet. */
function wholeSheet(document: Document, card: CardOf, sheet: Paper, style: LengthStyle): void {
  const width = sheet.width - 2 * MARGIN
  const room = sheet.height - 2 * MARGIN
  const fits = SIZES.find(
    (size) => new Card(document, card, style, width, size).whole(MARGIN, 0, false) <= room,
  )
  new Card(document, card, style, width, fits ?? SIZES[SIZES.length - 1]!).whole(MARGIN, MARGIN, true)
}

/** Lays a card out; what is only measured is not drawn. */
class Card {
  private readonly told: (words: Told) => string
  constructor(
    private readonly document: Document,
    private readonly card: CardOf,
    private readonly style: LengthStyle,
    private readonly width: number,
    private readonly size: number,
  ) {
    this.told = (words) => writeTold(words, style)
  }

  /** Everything of it, from there down. Returns how high it stands, mm. */
  whole(x: number, top: number, draw: boolean): number {
    const { plan } = this.card
    const card = forgeCard(plan)
    let y = top + this.head(x, top, draw)
    const line = (text: string, options: { strong?: boolean; indent?: number } = {}) => {
      const { strong = false, indent = 0 } = options
      y += this.words(text, x + indent, y, this.width - indent, draw, strong) + LINE
    }
    line(
      `Chalk on the anvil: ${card.chalk.map(({ what, value }) => `${what} ${this.length(value)}`).join('; ')}.`,
    )
    line(card.stamp)
    y += PART
    plan.iron.heats.forEach((heat, i) => {
      y += this.step(`${i + 1}. ${this.told(heat.text)}`, heat, x, y, draw) + LINE
    })
    y += PART
    if (card.pieces.length > 0) line('Cut apart', { strong: true })
    for (const piece of card.pieces) line(this.told(piece), { indent: 3 })
    if (card.drilled.length > 0) line('Drill and tap', { strong: true })
    for (const { what, drill, count, tap } of card.drilled) {
      const wide = this.told([{ length: drill, as: 'drill' }])
      line(`${what}: ${count} x ${wide}${tap ? `, tapped ${tap}` : ''}`, { indent: 3 })
    }
    for (const { label, told } of card.brings) {
      line(label, { strong: true })
      for (const words of told) line(this.told(words), { indent: 3 })
    }
    const heeded = plan.cautions.filter(({ severity }) => severity !== 'note')
    for (const { severity, text } of heeded)
      line(`${severity === 'stop' ? 'STOP' : 'Caution'}: ${this.told(text)}`, { strong: severity === 'stop' })
    line('These figures inform a trained hand; they do not replace it. Pain at any step: stop.')
    return y - top
  }

  /** What is cut and marked, without the work. */
  short(x: number, top: number): void {
    const card = forgeCard(this.card.plan)
    let y = top + this.head(x, top, true)
    for (const { what, value } of card.chalk)
      y += this.words(`${what} ${this.length(value)}`, x, y, this.width, true, false) + LINE
    for (const piece of card.pieces) y += this.words(this.told(piece), x, y, this.width, true, false) + LINE
  }

  private length = (mm: number): string => formatLength(mm, this.style)

  /** Whose it is, the two figures that are wanted first, and the bar. */
  private head(x: number, top: number, draw: boolean): number {
    const { plan, title } = this.card
    const { iron, section } = plan
    let y = top
    y += this.words(title, x, y, this.width, draw, true, this.size + 2) + LINE
    const bar =
      (this.style.unit === 'in' && commonName(section)) ||
      `${formatLength(section.width, this.style, false)} x ${this.length(section.thickness)}`
    const first = iron.size ?? `${bar}   cut ${this.length(iron.cutLength)}`
    y += this.words(first, x, y, this.width, draw, true, this.size * 2.4) + LINE
    const corrected = iron.size === undefined ? correctedTold(iron, this.style) : undefined
    if (corrected) y += this.words(this.told(corrected), x, y, this.width, draw, false) + LINE
    if (iron.size === undefined) y += drawBar(this.document, plan, this.style, x, y, this.width, draw) + LINE
    return y - top
  }

  private step(
    text: string,
    heat: Plan['iron']['heats'][number],
    x: number,
    y: number,
    draw: boolean,
  ): number {
    const beside = PICTURE.width + PART
    const high = this.words(text, x + beside, y, this.width - beside, draw, true)
    if (heat.straight) return Math.max(high, 0)
    const measures = heat.measures.map(({ what, value }) => `${what} ${this.length(value)}`).join('; ')
    const more = this.words(measures, x + beside, y + high, this.width - beside, draw, false, this.size - 1)
    if (draw) drawShape(this.document, this.card.plan, heat, { x, y, ...PICTURE })
    return Math.max(high + more, PICTURE.height)
  }

  private words(
    text: string,
    x: number,
    y: number,
    width: number,
    draw: boolean,
    strong: boolean,
    size = this.size,
  ): number {
    const options = { width, size, face: strong ? 'strong' : 'plain' } as const
    return draw ? this.document.write(text, x, y, options) : this.document.heightOf(text, options)
  }
}
