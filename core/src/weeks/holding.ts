import type { LossReason } from '../terms/choices'
import type { Interval } from './intervals'

/** How often shoes of one design came loose or off. */
export interface Holding {
  design: string
  worn: number
  lost: number
  loose: number
  reasons: { reason: LossReason; count: number }[]
}

/** Every design that was worn, those that were pulled off most first; of two alike the one worn more. */
export function holdingOf(intervals: readonly Interval[]): Holding[] {
  const designs = new Map<string, Interval[]>()
  for (const one of intervals) designs.set(one.design, [...(designs.get(one.design) ?? []), one])
  const share = ({ lost, loose, worn }: Holding) => (lost + loose) / worn
  return [...designs]
    .map(([design, all]): Holding => ({
      design,
      worn: all.length,
      lost: all.filter(({ lost }) => lost).length,
      loose: all.filter(({ loose, lost }) => loose && !lost).length,
      reasons: counted(all.flatMap(({ reason }) => (reason ? [reason] : []))),
    }))
    .sort((a, b) => share(b) - share(a) || b.worn - a.worn)
}

function counted(reasons: readonly LossReason[]): Holding['reasons'] {
  return [...new Set(reasons)]
    .map((reason) => ({ reason, count: reasons.filter((one) => one === reason).length }))
    .sort((a, b) => b.count - a.count)
}
