import { clashWith, withModification, withValue, type ModificationList } from '../modifications/list'
import { ProblemError, type Problem } from '../notices/problem'
import { planShoe, type Plan } from '../plan/plan'
import type { TrimPlan } from '../radiographs/trim-plan'
import type { FootInput } from '../records/foot'
import type { ShoeInput, WorkshopInput } from '../records/shoe'
import { radians } from '../units/angle'
import { besideHandOver, type CarriedOut, type SetBy } from './ways'

/** What a shoe that carries out a plan comes to, read from the shoe as it will be made. Degrees and mm. */
export interface MadeAsPlanned {
  /** By how much it raises the heels on a hard floor, and the palmar angle then. */
  raised: number
  palmarAngle: number
  /** Where it breaks over, behind the toe of the foot. */
  breakoverFromToe: number
  /** Rise of wedge or rail that brings it, mm; nothing where none does. */
  rise?: number
}

/** A shoe that carries out a plan, and what it comes to. */
export type HandedOver =
  | { ok: true; shoe: ShoeInput; made: MadeAsPlanned }
  /** Why no such shoe can be made. */
  | { ok: false; problems: readonly Problem[] }

/** What is handed over, and onto what. The foot has its figures as trimmed already. */
export interface HandOver {
  plan: TrimPlan
  way: CarriedOut
  foot: FootInput
  shoe: ShoeInput
  workshop?: WorkshopInput
}

/**
 * Puts on a shoe what was planned on a radiograph, in place of what was handed over before, and reads the made shoe: its
 * wedge or rails are as high as brings the angle over the bearing of this very shoe.
 */
export function handOver({ plan, way, foot, shoe, workshop }: HandOver): HandedOver {
  const beside = besideHandOver(shoe.modifications ?? [])
  const clash = [way.breakover, ...(plan.raise > 0 && way.raise ? [way.raise] : [])]
    .map(({ kind }) => clashWith(beside, kind))
    .find((why) => why !== undefined)
  if (clash !== undefined) return { ok: false, problems: [{ path: 'shoe.modifications', message: clash }] }
  const behindToe = plan.breakoverFromToe === undefined ? undefined : tenths(plan.breakoverFromToe)
  const onBar = (of: ShoeInput): HandedOver => {
    const made = (rise: number): { shoe: ShoeInput; plan: Plan } => {
      const modifications = listed(way, beside, behindToe, rise)
      const asked = { ...of, modifications }
      return { shoe: asked, plan: planShoe(foot, asked, workshop) }
    }
    return solved(way, plan, foot, made)
  }
  try {
    return onBar(shoe)
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    if (!way.bar || shoe.stock) return { ok: false, problems: error.problems }
  }
  try {
    return onBar({ ...shoe, section: way.bar })
  } catch (error) {
    if (error instanceof ProblemError) return { ok: false, problems: error.problems }
    throw error
  }
}

/** Finds the rise that brings what the trim could not, and reads what comes of it. */
function solved(
  { raise }: CarriedOut,
  plan: TrimPlan,
  foot: FootInput,
  made: (rise: number) => { shoe: ShoeInput; plan: Plan },
): HandedOver {
  const off = (rise: number) => made(rise).plan.balance.raised - plan.raise
  const guess = foot.length * Math.tan(radians(plan.raise))
  const kept = raise && plan.raise > 0 ? forgeable(off, guess, raise) : 0
  const { shoe, plan: planned } = made(kept)
  const { balance, foot: read } = planned
  return {
    ok: true,
    shoe,
    made: {
      raised: balance.raised,
      palmarAngle: plan.palmarAfterTrim + balance.raised,
      breakoverFromToe: read.widestFromToe - balance.ahead,
      ...(kept > 0 && { rise: kept }),
    },
  }
}

/** What can be made of a rise, mm. */
type Makeable = NonNullable<CarriedOut['raise']>

/** The rise that is forged, to a tenth; where the least one raises too far, that or none, whichever comes nearer. */
function forgeable(off: (rise: number) => number, guess: number, range: Makeable): number {
  const rise = tenths(riseFor(off, guess, range))
  return rise <= range.least && off(rise) > Math.abs(off(0)) ? 0 : rise
}

/** The rise, mm, at which a shoe raises as it should: its angle grows with it nearly as a straight line. */
function riseFor(off: (rise: number) => number, guess: number, { least, most }: Makeable): number {
  const within = (rise: number) => Math.min(most, Math.max(least, rise))
  let [before, now] = [least, within(Math.max(least * 1.5, guess))]
  let offBefore = off(before)
  for (let i = 0; i < 6; i++) {
    const offNow = off(now)
    if (Math.abs(offNow) < 0.005 || offNow === offBefore) break
    const next = now - (offNow * (now - before)) / (offNow - offBefore)
    ;[before, offBefore] = [now, offNow]
    now = within(next)
  }
  return now
}

/** The modifications of the shoe with what the way brings. */
function listed(
  way: CarriedOut,
  beside: ModificationList,
  behindToe: number | undefined,
  rise: number,
): ModificationList {
  const over = set(beside, way.breakover, behindToe)
  if (!way.raise) return over
  if (rise > 0) return set(over, way.raise, rise)
  return way.raise.without === 'set to 0' ? set(over, way.raise, 0) : over
}

/** With a modification and one of its figures; without the figure it stands at its default. */
function set(list: ModificationList, { kind, key }: SetBy, value: number | undefined): ModificationList {
  const put = withModification(list, kind)
  const at = put.findIndex((one) => one.kind === kind)
  return value === undefined ? put : withValue(put, at, key, value)
}

/** No rule is finer than a tenth. */
const tenths = (value: number): number => Math.round(value * 10) / 10
