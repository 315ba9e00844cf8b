import { designName, type ShoeInput } from '@crescent/core'
import { shortDay } from '../../common/today'
import type { FigureText } from '../../drawing/figure-text'

/** What a pattern is called until somebody names it: what is made of which bar, and the day. */
export function suggestedName(shoe: ShoeInput, day: string, text: FigureText): string {
  const bar = `${text.bare(shoe.section.width)} x ${text.length(shoe.section.thickness)}`
  return `${designName(shoe, bar)}, ${shortDay(day)}`
}
