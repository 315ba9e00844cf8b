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
  /** Mean of those that agree, each by how far it does, from the toe back, mm; none where no two do. */
  agreed?: number
  /** How far those that agree most do, 1 to 0: what is left is taken from the usual place. */
  confidence?: number
  /** The estimate that stands off from two that agree. */
  odd?: WidestEstimate
  /** In words, with what to do. */
  verdict: string
}

/** The widest part lies about this far behind the true frog apex, mm (common practice: an inch). */
export const BEHIND_APEX = 25.4

/** Estimates no nearer to each other than this do not agree at all, mm (common practice, no source). */
export const AGREEMENT = 6

/** As near as this they agree wholly, mm. */
const FULL_AGREEMENT = 3

/** How far two estimates agree, 1 to 0: it fades, so that a hair's breadth never moves the widest part by a finger's. */
const agreement = (gap: number): number =>
  Math.min(1, Math.max(0, (AGREEMENT - Math.abs(gap)) / (AGREEMENT - FULL_AGREEMENT)))

const LABELS: Record<WidestWay, string> = {
  apex: 'behind the true apex',
  bars: 'where the bars run out',
  arc: 'the widest arc along the straight edge',
}

/**
 * The widest part seen three ways: behind the true frog apex, at the end of the bars, at the widest arc. Those that
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

  const strengths = estimates.map((one) =>
    Math.max(...estimates.map((other) => (other === one ? 0 : agreement(one.fromToe - other.fromToe)))),
  )
  const confidence = Math.max(...strengths)
  if (confidence === 0)
    return { estimates, verdict: 'No two agree: trim to the sole plane and look again before relying on it.' }

  const together = strengths.reduce((sum, strength) => sum + strength, 0)
  const agreed = estimates.reduce((sum, { fromToe }, i) => sum + fromToe * strengths[i]!, 0) / together
  const third = estimates.length === 3 ? oddOf(estimates) : undefined
  const joins = estimates.length === 3 && third === undefined
  if (!third || joins)
    return { estimates, agreed, confidence, verdict: `${joins ? 'All three' : 'Both'} agree.` }
  return {
    estimates,
    agreed,
    confidence,
    odd: third,
    verdict: `Two agree; the odd one is ${third.label}. Read again after trimming.`,
  }
}

/** The estimate that stands off from the nearer pair of three; none where it agrees with both. */
function oddOf(estimates: readonly WidestEstimate[]): WidestEstimate | undefined {
  const [a, b, c] = [...estimates].sort((one, other) => one.fromToe - other.fromToe)
  const gaps = [b!.fromToe - a!.fromToe, c!.fromToe - b!.fromToe] as const
  const odd = gaps[0] <= gaps[1] ? c! : a!
  return c!.fromToe - a!.fromToe <= AGREEMENT ? undefined : odd
}
