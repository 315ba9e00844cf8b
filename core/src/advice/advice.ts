import type { Foot } from '../foot/measurements'
import type { FindingKindKey } from '../terms/finding-kinds'
import type { BreakoverSchoolName, Side } from '../records/foot'
import type { Finding, FootLook, Look } from '../records/look'
import type { Trait } from '../terms/traits'
import type { NailSchoolName } from '../terms/nail-schools'
import type { FitName } from '../terms/fits'
import type { Sign } from '../terms/signs'

export type { Trait }

/** What is decided about a shoe. */
export type Topic = 'shoe' | 'modification' | 'fit' | 'nails' | 'breakover' | 'cycle' | 'care'

/** What accepting it changes on the Bench at once; the rest is for the hand to do. */
export interface AdviceChange {
  fit?: FitName
  /** Holes that are driven in each branch. */
  driven?: { lateral: number[]; medial: number[] }
  breakoverSchool?: BreakoverSchoolName
  /** Whose limits the nails keep to. */
  nailSchool?: NailSchoolName
  /** A modification put on the shoe with its defaults. */
  modification?: string
}

/** Everything a rule may look at, for one foot. */
export interface AdviceContext {
  side: Side
  look: Look
  feet: FootLook
  /** Findings that stand on this foot. */
  findings: readonly Finding[]
  /** The foot as measured, once it is. */
  foot?: Foot
  cycleWeeks: number
  weeksSince?: number
}

/** A rule: when it applies, what it suggests, why, what speaks against it, and whose school it is. */
export interface AdviceRule {
  code: string
  topic: Topic
  title: string
  /** Whose view it is: common practice, or one side of a standing disagreement. */
  school: string
  against: string
  vetLeads?: boolean
  /** What it brings to the shoe, and what it speaks against: advice that brings what other advice avoids clashes. */
  brings?: readonly Trait[]
  avoids?: readonly Trait[]
  change?: AdviceChange
  /** What should come of it by the next visit. */
  signs?: readonly Sign[]
  /** Why it applies here, or nothing where it does not. */
  reason: (context: AdviceContext) => string | undefined
}

/** A rule that applies, with its reason and what it clashes with. */
export interface Advice extends Omit<AdviceRule, 'reason'> {
  reason: string
  /** Every rule that asks for this very change: it stands once, with the reasons of all. The first is its own. */
  codes: string[]
  /** What came of it so far, where it was followed and something was looked for. */
  soFar: string[]
  /** It was followed and what was looked for got worse, or no better: another way comes before it. */
  failed: boolean
  /** Over what: a trait one brings and the other speaks against, or what a shoe cannot both be. */
  clashes: { code: string; title: string; over: string[] }[]
}

/** The gravest standing finding of a kind on this foot, from a grade up. */
export const found = ({ findings }: AdviceContext, kind: FindingKindKey, from = 1): Finding | undefined =>
  findings
    .filter((finding) => finding.kind === kind && finding.grade >= from)
    .reduce<Finding | undefined>((worst, one) => (!worst || one.grade > worst.grade ? one : worst), undefined)

/** What the vet diagnosed in this limb, as a reason; a diagnosis without a leg may be of any of them, and says so. */
export function diagnosed(
  { look: { vet }, side }: AdviceContext,
  what: Look['vet']['diagnosis'],
): string | undefined {
  if (vet.diagnosis !== what) return undefined
  const { legs = [] } = vet
  if (legs.length === 0) return `The vet has diagnosed ${what}. In which leg is not written down.`
  return legs.includes(side) ? `The vet has diagnosed it here: ${what}.` : undefined
}

/** The usual school where nobody argues. */
export const COMMON = 'common practice'
