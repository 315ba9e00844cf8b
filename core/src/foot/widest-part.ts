import type { FootInput } from '../records/foot'

/** The three ways of finding the widest part of the foot. */
export type WidestWay = 'apex' | 'bars' | 'arc'

/** Where one way puts the widest part. */
export interface WidestEstimate {
  way: WidestWay
  label: string
  /** From the toe back, mm. */
  fromToe: number
}

/** What the estimates come to. */
export interface WidestPart {
  estimates: WidestEstimate[]
  /** Mean of those that agree, from the toe back, mm; none where no two do. */
  agreed?: number
  /** The estimate that stands off from two that agree. */
  odd?: WidestEstimate
  /** In words, with what to do. */
  verdict: string
}

/** The widest part lies about this far behind the true frog apex, mm (common practice: an inch). */
export const BEHIND_APEX = 25.4

/** Estimates nearer to each other than this agree, mm (common practice, no source). */
export const AGREEMENT = 6

const LABELS: Record<WidestWay, string> = {
  apex: 'an inch behind the true apex',
  bars: 'where the bars run out',
  arc: 'the widest arc along the straight edge',
}

/**
 * The widest part seen three ways: behind the true frog apex, at the end of the bars, at the widest arc. The two that
 * agree are averaged and the odd one is named; only what was measured counts, nothing is guessed.
 */
export function widestPart(input: Pick<FootInput, 'frogApex' | 'barsFromToe' | 'arcFromToe'>): WidestPart {
  const places: [WidestWay, number | undefined][] = [
    ['apex', input.frogApex === undefined ? undefined : input.frogApex + BEHIND_APEX],
    ['bars', input.barsFromToe],
    ['arc', input.arcFromToe],
  ]
  const estimates = places.flatMap(([way, fromToe]) =>
    fromToe === undefined || !Number.isFinite(fromToe) ? [] : [{ way, label: LABELS[way], fromToe }],
  )
  if (estimates.length === 0)
    return {
      estimates,
      verdict: 'Not looked for yet: clean to the true apex, find the end of the bars, lay the straight edge.',
    }
  if (estimates.length === 1) return { estimates, verdict: 'Seen one way only: look for it a second way.' }

  const pairs = estimates.flatMap((a, i) => estimates.slice(i + 1).map((b) => [a, b] as const))
  const gap = ([a, b]: (typeof pairs)[number]): number => Math.abs(a.fromToe - b.fromToe)
  const nearest = pairs.reduce((best, pair) => (gap(pair) < gap(best) ? pair : best))
  if (gap(nearest) > AGREEMENT)
    return { estimates, verdict: 'No two agree: trim to the sole plane and look again before relying on it.' }

  const third = estimates.find((one) => !nearest.includes(one))
  const joins =
    third !== undefined && nearest.every((one) => Math.abs(one.fromToe - third.fromToe) <= AGREEMENT)
  const agreeing: readonly WidestEstimate[] = joins ? estimates : nearest
  const agreed = agreeing.reduce((sum, { fromToe }) => sum + fromToe, 0) / agreeing.length
  if (!third || joins) return { estimates, agreed, verdict: `${joins ? 'All three' : 'Both'} agree.` }
  return {
    estimates,
    agreed,
    odd: third,
    verdict: `Two agree; the odd one is ${third.label}. Read again after trimming.`,
  }
}
