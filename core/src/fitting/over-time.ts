import type { DatedTry } from '../records/try'
import { HALVES, type Half } from '../terms/half'
import { BRANCH_PARTS, type BranchPart } from '../terms/trying'

/** How often a kind of correction came back. */
export interface KindOfCorrection {
  branch: Half
  at: BranchPart
  opens: boolean
  count: number
  /** Of its angles, degrees without their sign. */
  usual: number
}

/** How far off the first shape of a shoe usually is on a branch. */
export interface FirstShapes {
  shoes: number
  /** By how much its heel had to go out (plus) or in, mm; of shoes that needed nothing 0. */
  mean: number
  /** Standard deviation, mm; none of fewer than two. */
  spread?: number
}

/** What the shoes of a month took. */
export interface MonthOfTries {
  /** `2026-11` */
  month: string
  shoes: number
  /** Minutes a shoe, the middle one; none where nobody took the time. */
  minutes?: number
  /** Walks a shoe, on average. */
  walks: number
}

/** What tried-on shoes come to over time. */
export interface TriesOverTime {
  tries: number
  shoes: number
  kinds: KindOfCorrection[]
  first: Record<Half, FirstShapes>
  months: MonthOfTries[]
}

/** Reads what comes back: kinds of correction, the usual error of first shapes, what a shoe takes. */
export function triesOverTime(tries: readonly DatedTry[]): TriesOverTime {
  // A shoe is one foot at one visit, its tries in the order they were logged.
  const shoes = new Map<string, DatedTry[]>()
  for (const one of [...tries].sort((a, b) => (a.createdAt ?? '').localeCompare(b.createdAt ?? ''))) {
    const key = `${one.visitId} ${one.side}`
    shoes.set(key, [...(shoes.get(key) ?? []), one])
  }
  const firsts = [...shoes.values()].map((all) => all[0]!)
  return {
    tries: tries.length,
    shoes: shoes.size,
    kinds: kindsOf(tries),
    first: { lateral: firstOf(firsts, 'lateral'), medial: firstOf(firsts, 'medial') },
    months: monthsOf([...shoes.values()]),
  }
}

function kindsOf(tries: readonly DatedTry[]): KindOfCorrection[] {
  const all = tries.flatMap(({ corrections }) => corrections)
  return HALVES.flatMap((branch) =>
    BRANCH_PARTS.flatMap((at) =>
      [true, false].map((opens) => {
        const own = all.filter((one) => one.branch === branch && one.at === at && one.angle > 0 === opens)
        return {
          branch,
          at,
          opens,
          count: own.length,
          usual: mean(own.map(({ angle }) => Math.abs(angle))),
        }
      }),
    ),
  )
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count)
}

function firstOf(firsts: readonly DatedTry[], branch: Half): FirstShapes {
  const off = firsts.map(({ corrections }) =>
    corrections.reduce((sum, one) => (one.branch === branch ? sum + one.heelMoves : sum), 0),
  )
  const middle = mean(off)
  const spread =
    off.length > 1
      ? Math.sqrt(off.reduce((sum, one) => sum + (one - middle) ** 2, 0) / (off.length - 1))
      : undefined
  return { shoes: off.length, mean: middle, ...(spread !== undefined && { spread }) }
}

function monthsOf(shoes: readonly (readonly DatedTry[])[]): MonthOfTries[] {
  const months = new Map<string, (readonly DatedTry[])[]>()
  for (const shoe of shoes) {
    const month = shoe[0]!.date.slice(0, 7)
    months.set(month, [...(months.get(month) ?? []), shoe])
  }
  return [...months.entries()]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([month, own]) => {
      const minutes = own.flatMap((shoe) => {
        const known = shoe.flatMap(({ minutes }) => (minutes === null ? [] : [minutes]))
        return known.length > 0 ? [known.reduce((a, b) => a + b, 0)] : []
      })
      const middle = median(minutes)
      return {
        ...{ month, shoes: own.length },
        walks: mean(own.map((shoe) => shoe.reduce((sum, { walks }) => sum + walks, 0))),
        ...(middle !== undefined && { minutes: middle }),
      }
    })
}

const mean = (values: readonly number[]): number =>
  values.length === 0 ? 0 : values.reduce((a, b) => a + b, 0) / values.length

function median(values: readonly number[]): number | undefined {
  const sorted = [...values].sort((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  if (sorted.length === 0) return undefined
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}
