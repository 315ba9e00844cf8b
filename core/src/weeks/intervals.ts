import { modification } from '../modifications/index'
import { designName } from '../plan/design-name'
import type { HorsePage } from '../records/answers'
import type { ShoeInput } from '../records/shoe'
import type { OldShoe } from '../records/look'
import { workOf } from '../records/worn'
import type { LossReason } from '../terms/choices'
import type { Material } from '../terms/sections'
import { daysBetween } from '../terms/days'
import type { Side } from '../terms/sides'
import { mostLost, newThickness, readThickness, thinnest, type Thickness } from './new-thickness'

/** The time a shoe was worn: from the visit it was put on, to the next, with what was found of it there. Lengths in mm. */
export interface Interval {
  from: string
  to: string
  weeks: number
  /** What was worn: modifications, fit and bar. */
  design: string
  /** It was the shoe of the visit before, put on again. */
  reset: boolean
  hardFaced: boolean
  material: Material
  /** Thickness at its thinnest place when it was put on, where it is known. */
  thickness?: number
  /** Thickness that was left at its thinnest place. */
  left?: number
  /** What it lost at the place that lost most, of those that were read. */
  worn?: number
  lost: boolean
  loose: boolean
  reason?: LossReason
  /** Toe length as it was left, and as it was found. */
  toeLeft?: number
  toeFound?: number
}

/** What intervals are read from: a horse’s page holds it all. */
export type History = Pick<HorsePage, 'visits' | 'footRecords' | 'looks' | 'patterns'>

/** The least thickness that was read of an old shoe. */
export const leastLeft = (old: OldShoe): number | undefined => thinnest(readThickness(old))

/** Whether a shoe was hardened against wear. */
export const isHardFaced = ({ modifications }: Pick<ShoeInput, 'modifications'>): boolean =>
  (modifications ?? []).some(({ kind }) => modification(kind)?.brings?.includes('hard wearing'))

/** The shoes a foot has worn, one after the other; a foot left bare wore none. */
export function intervalsOf({ visits, footRecords, looks, patterns }: History, side: Side): Interval[] {
  const done = visits
    .filter(({ state, archived }) => state === 'done' && !archived)
    .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0))
  const recordAt = (visitId: string) =>
    footRecords.find((one) => one.visitId === visitId && one.side === side)
  const found: Interval[] = []
  /** What was read of the shoe before, place by place. */
  let leftBefore: Partial<Thickness> = {}
  for (let i = 0; i + 1 < done.length; i++) {
    const [visit, next] = [done[i]!, done[i + 1]!]
    const weeks = daysBetween(visit.date, next.date) / 7
    const record = recordAt(visit.id)
    const records = footRecords.filter((one) => one.visitId === visit.id)
    const work = workOf(visit.feet, records)[side]
    const pattern = patterns.find(({ id }) => id === record?.patternId)
    if (weeks <= 0 || work === 'bare' || !pattern) continue
    const seen = looks.find(({ visitId }) => visitId === next.id)?.feet[side]
    // Said by nothing else, a shoe is new at each visit.
    const reset = work === 'reset'
    const began = reset ? leftBefore : newThickness(pattern)
    const ended = seen ? readThickness(seen.oldShoe) : {}
    const [thickness, left, lost] = [thinnest(began), thinnest(ended), mostLost(began, ended)]
    leftBefore = ended
    const toeLeft = record?.foot.dorsalLength
    const toeFound = seen?.untrimmed.dorsalLength
    found.push({
      ...{ from: visit.date, to: next.date, weeks, reset },
      design: designName(pattern.shoe, 'own bar'),
      hardFaced: isHardFaced(pattern.shoe),
      material: pattern.shoe.section.material,
      ...{ lost: seen?.lost ?? false, loose: seen?.loose ?? false },
      ...(thickness !== undefined && { thickness }),
      ...(left !== undefined && { left }),
      ...(lost !== undefined && { worn: lost }),
      ...(seen?.lossReason && { reason: seen.lossReason }),
      ...(toeLeft !== undefined && { toeLeft }),
      ...(toeFound !== undefined && { toeFound }),
    })
  }
  return found
}
