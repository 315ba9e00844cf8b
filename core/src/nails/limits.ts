import type { FootOutline } from '../foot/outline'
import type { NailLimit } from '../records/foot'
import type { Overruled, ShoeInput } from '../records/shoe'
import { byHalf, type Half } from '../terms/half'
import { NAIL_LIMIT_WORDS } from '../terms/nail-limits'
import { bySchool, type NailPlan } from './nail-plan'

/** A limit on the nails of a foot, and the reason it was overruled with, where it was. */
export interface StandingLimit extends NailLimit {
  overruled?: string
}

const alike = (one: Pick<NailLimit, 'rule' | 'by'>, other: Pick<NailLimit, 'rule' | 'by'>): boolean =>
  one.rule === other.rule && one.by === other.by

/** The limits of a foot, each with the reason it was overruled with; what is only told cannot be overruled. */
export const standingLimits = (
  limits: readonly NailLimit[] = [],
  overruled: readonly Overruled[] = [],
): StandingLimit[] =>
  limits.map((limit) => {
    const reason = limit.rule === 'no shoe' ? undefined : overruled.find((one) => alike(one, limit))?.reason
    return reason === undefined ? limit : { ...limit, overruled: reason }
  })

/** The limits that rule something out. */
export const ruling = (limits: readonly StandingLimit[]): StandingLimit[] =>
  limits.filter(({ rule, overruled }) => rule !== 'words' && overruled === undefined)

/**
 * The nails within the limits of their foot: the school follows from them, and where no nail may be driven none is unless
 * it was asked for by number. What was put somewhere by hand for another school is put anew.
 *
 * @param asked the nails as they were asked for
 */
export function withinLimits(
  plan: NailPlan,
  limits: readonly StandingLimit[],
  asked: ShoeInput['nails'],
): NailPlan {
  if (limits.length === 0) return plan
  const rules = new Set(ruling(limits).map(({ rule }) => rule))
  const placed = rules.has('behind the widest part') ? kept(plan, bySchool(plan, 'laminitic')) : plan
  const driven = (branch: Half) =>
    (rules.has('no nails') || rules.has('no shoe')) && asked?.[branch] === undefined
      ? { ...placed[branch], driven: [] }
      : placed[branch]
  return { ...placed, ...byHalf(driven), limits }
}

/** The holes of a factory shoe stay where they were punched, whatever school judges them. */
const kept = (plan: NailPlan, moved: NailPlan): NailPlan =>
  plan.made ? { ...moved, ...byHalf((branch) => plan[branch]) } : moved

/** So near to the widest place a hole counts as behind it, mm. */
const AT_WIDEST = 1

/** The hole lies ahead of the widest part of the foot. @param footStation of the outline, mm */
export const aheadOfWidest = (outline: FootOutline, footStation: number): boolean =>
  footStation > outline.lateralWidest + AT_WIDEST && footStation < outline.medialWidest - AT_WIDEST

/** How far along the wall a place lies behind the widest part, mm; minus ahead of it. @param footStation of the outline */
export const behindWidest = (outline: FootOutline, footStation: number): number =>
  footStation < outline.toe ? outline.lateralWidest - footStation : footStation - outline.medialWidest

/** The limit that rules out a hole beside a station of the outline, mm; nothing where none does. */
export const ruledOutBy = (
  limits: readonly StandingLimit[],
  outline: FootOutline,
  footStation: number,
): StandingLimit | undefined =>
  ruling(limits).find(({ rule }) => rule !== 'behind the widest part' || aheadOfWidest(outline, footStation))

/** The rule of a limit in words. */
export const limitWords = ({ rule, why }: NailLimit): string =>
  rule === 'words' ? why : NAIL_LIMIT_WORDS[rule]

/** Limits on the nails that a farrier may overrule for a reason; that no shoe goes on is answered where it was found. */
export const overrulable = (limits: readonly StandingLimit[]): StandingLimit[] =>
  ruling(limits).filter(({ rule }) => rule !== 'no shoe')

/** The same nails with every limit that may be overruled overruled for a reason. */
export function overruling(plan: NailPlan, reason: string): NailPlan {
  const now = overrulable(plan.limits ?? []).map(({ rule, by }): Overruled => ({ rule, by, reason }))
  const before = (plan.overruled ?? []).filter((one) => !now.some((other) => alike(one, other)))
  return { ...plan, overruled: [...before, ...now] }
}

/** The same nails with every limit held to again. */
export function heldToLimits({ overruled: _reasons, ...plan }: NailPlan): NailPlan {
  return plan
}

/** A shoe taken to another foot or another horse: what was overruled there was not overruled here. */
export function withoutOverruled(shoe: ShoeInput): ShoeInput {
  if (!shoe.nails?.overruled) return shoe
  const { overruled: _reasons, ...nails } = shoe.nails
  return { ...shoe, nails }
}

/** Nails as they are kept with a shoe: without what follows from the foot or the factory. */
export function keptNails({
  made: _made,
  limits: _limits,
  ...nails
}: NailPlan): NonNullable<ShoeInput['nails']> {
  return nails
}
