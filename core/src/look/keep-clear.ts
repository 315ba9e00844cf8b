import type { FootOutline } from '../foot/outline'
import { regionsOf } from '../foot/regions'
import type { KeepClear } from '../records/foot'
import type { Finding } from '../records/look'
import type { FindingKindKey } from '../terms/finding-kinds'

/** Findings of the wall that no nail may go into, from a grade on, and how they are named. */
const KINDS: Partial<Record<FindingKindKey, { why: KeepClear['why']; from: number; share: number }>> = {
  // A crack is a line: the middle of its place is kept clear until it is marked where it is.
  crack: { why: 'crack', from: 1, share: 0.3 },
  separation: { why: 'separated wall', from: 2, share: 1 },
  'broken-wall': { why: 'broken wall', from: 1, share: 1 },
  'resected-wall': { why: 'broken wall', from: 1, share: 1 },
}

/** What of a finding says where and how bad it is. */
type Place = Pick<Finding, 'kind' | 'place' | 'grade'>

const REGION_OF = {
  'outer-toe-quarter': ['lateral', 'toe quarter'],
  'inner-toe-quarter': ['medial', 'toe quarter'],
  'outer-quarter': ['lateral', 'quarter'],
  'inner-quarter': ['medial', 'quarter'],
  'outer-heel': ['lateral', 'heel'],
  'inner-heel': ['medial', 'heel'],
} as const

/** What of the findings of one foot nails are to be kept clear of, as stretches of its wall. */
export function clearOfFindings(findings: readonly Place[], outline: FootOutline): KeepClear[] {
  const stretches = regionsOf(outline)
  return findings.flatMap(({ kind, place, grade }): KeepClear[] => {
    const rule = KINDS[kind]
    if (!rule || grade < rule.from || !(place in REGION_OF)) return []
    const [half, region] = REGION_OF[place as keyof typeof REGION_OF]
    const { from, to } = stretches.find((one) => one.half === half && one.region === region)!
    return [
      {
        why: rule.why,
        half,
        fromToe: Math.abs((from + to) / 2 - outline.toe),
        width: Math.abs(to - from) * rule.share,
        look: true,
      },
    ]
  })
}
