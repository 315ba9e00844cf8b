import type { ShoePart } from '../modifications/modification'
import type { Plan } from '../plan/plan'
import type { Section } from '../records/shoe'
import { commonName } from '../shoe/common-sections'
import type { Side } from '../terms/sides'

/** A planned shoe of a day. */
export interface DayShoe {
  horse: string
  side: Side
  plan: Plan
}

/** A length to cut, and for which foot, mm. */
export interface DayPiece {
  horse: string
  side: Side
  what: string
  length: number
  /** What geometry makes of it, where logged jobs corrected the cut. */
  byGeometry?: number
}

/** What has to be on the van for a day's shoes. Lengths in mm. */
export interface DayIron {
  /** By section, the longest run first. */
  bars: { section: Section; name: string | null; pieces: DayPiece[]; total: number }[]
  /** Pieces cut from bar or plate beside the shoes' own bars, by width, thickness and metal. */
  parts: { width: number; thickness: number; material: string; pieces: DayPiece[]; total: number }[]
  sizes: { label: string; count: number; feet: { horse: string; side: Side }[] }[]
}

/** Bars, pieces and factory sizes that the shoes of a day take. */
export function dayIron(shoes: readonly DayShoe[]): DayIron {
  const bars = new Map<string, DayIron['bars'][number]>()
  const parts = new Map<string, DayIron['parts'][number]>()
  const sizes = new Map<string, DayIron['sizes'][number]>()
  for (const { horse, side, plan } of shoes) {
    const { iron, section } = plan
    const of = { horse, side }
    if (iron.size !== undefined) {
      const size = entry(sizes, iron.size, () => ({ label: iron.size!, count: 0, feet: [] }))
      size.count++
      size.feet.push(of)
    } else {
      const bar = entry(bars, JSON.stringify(section), () => ({
        ...{ section, name: commonName(section) ?? null },
        ...{ pieces: [], total: 0 },
      }))
      const byGeometry = iron.cutLength - iron.learned
      add(bar, {
        ...{ ...of, what: 'Shoe', length: iron.cutLength },
        ...(iron.learned !== 0 && { byGeometry }),
      })
    }
    for (const part of plan.parts) addPart(parts, part, section.material, of)
  }
  const byTotal = <T extends { total: number }>(all: Map<string, T>) =>
    [...all.values()].sort((a, b) => b.total - a.total)
  return {
    bars: byTotal(bars),
    parts: byTotal(parts),
    sizes: [...sizes.values()].sort((a, b) => b.count - a.count || a.label.localeCompare(b.label)),
  }
}

function addPart(
  parts: Map<string, DayIron['parts'][number]>,
  { label, stock, density }: ShoePart,
  metal: string,
  of: Pick<DayPiece, 'horse' | 'side'>,
): void {
  if (!stock) return
  const { count = 1, width, thickness, length } = stock
  // What has a density of its own is no metal: leather or plastic.
  const material = density === undefined ? metal : 'pad'
  const key = `${width.toFixed(2)} ${thickness.toFixed(2)} ${material}`
  const part = entry(parts, key, () => ({ width, thickness, material, pieces: [], total: 0 }))
  for (let i = 0; i < count; i++) add(part, { ...of, what: label, length })
}

function add(to: { pieces: DayPiece[]; total: number }, piece: DayPiece): void {
  to.pieces.push(piece)
  to.total += piece.length
}

/** What stands under a key; made where nothing does yet. */
function entry<T>(all: Map<string, T>, key: string, make: () => T): T {
  const known = all.get(key)
  if (known) return known
  const made = make()
  all.set(key, made)
  return made
}
