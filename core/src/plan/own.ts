import { resolveModifications, type Chosen } from '../modifications/resolve'
import { bends } from '../terms/size-kinds'
import type { Laid } from './lay'

/** How a clip is made that a shoe comes with. */
const CLIPS = { toe: 'toe-clip', quarter: 'quarter-clips' } as const

/**
 * What a factory shoe of metal comes with, as if it had been made of it: its clips, its crease. Nothing where the same is
 * made of it by hand; a moulded shoe's clips have seats of their own.
 */
export function ownOf({ stock, plainContext, chosen }: Laid): Chosen[] {
  if (!stock || !bends(stock.facts.kind)) return []
  const { clips = 'none', kind } = stock.facts
  const kinds = [...(clips === 'none' ? [] : [CLIPS[clips]]), ...(kind === 'creased-steel' ? ['crease'] : [])]
  const made = new Set(chosen.map(({ modification }) => modification.kind))
  const asked = kinds.filter((one) => !made.has(one)).map((one) => ({ kind: one }))
  // They came out of a press, not off this anvil: what a straight bar is needed for is no question here.
  return asked.length === 0 ? [] : resolveModifications(asked, { ...plainContext, ofSize: false }).chosen
}
