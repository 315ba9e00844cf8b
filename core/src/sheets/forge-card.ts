import type { HeatMeasure } from '../iron/heats'
import { modification } from '../modifications/index'
import type { DrilledHoles } from '../modifications/modification'
import { length, told, type Told } from '../notices/told'
import type { Plan } from '../plan/plan'

/** What stands on a forge card beside cut, marks and the order of the work. */
export interface ForgeCard {
  /** What to chalk on the anvil before the first heat. */
  chalk: readonly HeatMeasure[]
  /** What to stamp, and when. */
  stamp: string
  /** Pieces that are cut apart from the bar. */
  pieces: readonly Told[]
  /** What is drilled, and tapped: for what, with which drill. */
  drilled: readonly DrilledHoles[]
  /** What each modification comes to: drills, taps and figures of its own. */
  brings: readonly { label: string; told: readonly Told[] }[]
}

/** Gathers what is carried to the forge from a planned shoe. */
export function forgeCard({ iron, foot, parts, modifications }: Plan): ForgeCard {
  const heats = iron.heats
  return {
    chalk: heats[heats.length - 1]?.measures ?? [],
    stamp: `Stamp ${foot.side} on the ground side of the outer branch while it is still straight enough to lie flat, with its number where it will be reset: left and right never swap.`,
    pieces: iron.parts.map((part) => {
      const { label, count = 1, width, thickness, length: long } = part
      const welded = parts.find((one) => one.label === label)?.join !== undefined
      const ends = welded ? ', both ends bevelled for the weld' : ''
      const many = count > 1 ? `${count} of ` : ''
      return told`${many}${label}: ${length(width)} x ${length(thickness, 'fine')}, ${length(long)} long${ends}`
    }),
    drilled: modifications.flatMap(({ drilled }) => drilled),
    brings: modifications.flatMap(({ kind, told: words }) => {
      const label = modification(kind)?.label ?? kind
      return words.length > 0 ? [{ label, told: words }] : []
    }),
  }
}
