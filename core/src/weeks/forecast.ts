import { readFoot } from '../foot/measurements'
import { seriesOf, type Followed } from '../foot/growth'
import { length, told, type Told } from '../notices/told'
import { planShoe, type Plan } from '../plan/plan'
import { ProblemError } from '../notices/problem'
import type { Course } from '../records/course'
import type { Horse, FootRecord } from '../records/practice'
import type { StoredPattern } from '../records/answers'
import { currentPatterns, workOf } from '../records/worn'
import { openSteps } from '../courses/steps'
import { TOLD_OVER } from '../terms/days'
import { SIDES, type Side } from '../terms/sides'
import { proposedCycle, type ProposedCycle } from './cycle'
import { driftOf, growthOf } from './drift'
import { holdingOf, type Holding } from './holding'
import { intervalsOf, isHardFaced, type History, type Interval } from './intervals'
import { newThickness, thinnest } from './new-thickness'
import type { Rate } from './rate'
import { canBeReset, throughOn, wearOf, weeksBetween, type Through, type Wear } from './wear'

/** A figure as it will likely be: middle and 90 % of one new reading. */
export interface Likely {
  key: Followed
  value: number
  low: number
  high: number
}

/** What is to be expected of one foot on a day. Lengths in mm. */
export interface FootForecast {
  side: Side
  /** Measures as they will likely be; those with three readings on two days. */
  measures: Likely[]
  /** Growth of the toe, mm a week; nothing where no cycle was measured at both ends. */
  growth?: Rate
  /** How far the breakover will have moved forward by the day. */
  drift?: { mm: number; low?: number; high?: number; reason: Told }
  /** Wear of the shoe that is on. */
  wear?: Wear & { through?: Through; hardFaced: boolean; reset?: boolean; reason: Told }
  /** The other way: hard-faced where it is plain, plain where it is hard-faced. */
  otherWear?: Wear & { through?: Through }
}

/** What is to be expected of a horse on a day. */
export interface Forecast {
  date: string
  /** The visit it is reckoned from; nothing before the first. */
  from?: string
  feet: FootForecast[]
  cycle?: ProposedCycle
  holding: Holding[]
}

/** What a forecast is made from. */
export interface ForecastOf extends History {
  horse: Pick<Horse, 'cycleWeeks'>
  courses: readonly Course[]
  /** Intervals of other horses that go on the same ground. */
  others: readonly Interval[]
}

/** Likely measures, drift, wear and the proposed cycle of a horse on a day, each with its interval and its reason. */
export function forecast(of: ForecastOf, date: string): Forecast {
  const done = of.visits.filter(({ state, archived }) => state === 'done' && !archived)
  const from = done
    .map((visit) => visit.date)
    .sort()
    .at(-1)
  const intervals = SIDES.flatMap((side) => intervalsOf(of, side))
  const feet = SIDES.flatMap((side) => {
    const foot = footForecast(of, side, date, from)
    return foot ? [foot] : []
  })
  return {
    date,
    ...(from !== undefined && { from }),
    feet,
    ...(from !== undefined && { cycle: cycleOf(of, feet, from) }),
    holding: holdingOf(intervals),
  }
}

/** The shoe a foot wears, planned; nothing where it wears none or it can no longer be made. */
function wornPlan(of: ForecastOf, side: Side): { pattern: StoredPattern; plan: Plan } | undefined {
  const pattern = currentPatterns(of.patterns, of.visits)[side]
  if (!pattern) return undefined
  try {
    return { pattern, plan: planShoe(pattern.foot, pattern.shoe, pattern.workshop) }
  } catch (error) {
    if (error instanceof ProblemError) return undefined
    throw error
  }
}

function footForecast(
  of: ForecastOf,
  side: Side,
  date: string,
  from: string | undefined,
): FootForecast | undefined {
  const records = of.footRecords.filter((one) => one.side === side)
  if (records.length === 0) return undefined
  const own = intervalsOf(of, side)
  const growth = growthOf(own)
  const worn = wornPlan(of, side)
  return {
    side,
    measures: likely(of, records, date),
    ...(growth && { growth }),
    ...(growth && from !== undefined && worn && { drift: driftBy(growth, worn.plan, from, date) }),
    ...(from !== undefined && worn && wearBy(of, worn.pattern, from, own, wasReset(of, side, from))),
  }
}

/** Every followed figure of a foot that has a line through its readings. */
function likely({ visits }: History, records: readonly FootRecord[], date: string): Likely[] {
  const feet = records.flatMap(({ visitId, foot }) => {
    const visit = visits.find(({ id }) => id === visitId)
    const read = readFoot(foot)
    return visit && read.ok ? [{ date: visit.date, ...read.value }] : []
  })
  return seriesOf(feet).flatMap(({ followed, trend }) =>
    trend ? [{ key: followed, ...trend.at(date) }] : [],
  )
}

function driftBy(growth: Rate, plan: Plan, from: string, date: string): NonNullable<FootForecast['drift']> {
  const drift = driftOf(growth, plan.foot.toeAngle)
  const weeks = Math.max(0, weeksBetween(from, date))
  return {
    mm: drift.perWeek * weeks,
    ...(drift.low !== undefined && { low: drift.low * weeks }),
    ...(drift.high !== undefined && { high: drift.high * weeks }),
    reason: told`The toe grows ${length(growth.perWeek * TOLD_OVER, 'fine')} over four weeks (${growth.count} ${growth.count === 1 ? 'cycle' : 'cycles'} measured) down a wall at ${plan.foot.toeAngle.toFixed(0)}°, and takes the shoe forward with it.`,
  }
}

/** At the last visit the shoe of the visit before was put on again. */
function wasReset({ visits, footRecords }: History, side: Side, from: string): boolean {
  const last = visits.find(({ date, state, archived }) => date === from && state === 'done' && !archived)
  return (
    last !== undefined &&
    workOf(
      last.feet,
      footRecords.filter(({ visitId }) => visitId === last.id),
    )[side] === 'reset'
  )
}

function wearBy(
  { others, horse }: ForecastOf,
  pattern: StoredPattern,
  from: string,
  own: readonly Interval[],
  reset: boolean,
): Pick<FootForecast, 'wear' | 'otherWear'> {
  const { shoe } = pattern
  const hardFaced = isHardFaced(shoe)
  const { thickness: bar, material } = shoe.section
  const wear = wearOf(own, others, { hardFaced, material })
  const other = wearOf(own, others, { hardFaced: !hardFaced, material })
  const left = own.at(-1)?.left
  // A shoe that was put on again begins with what was left of it; where nobody read that, nothing is told.
  const thickness = reset ? left : thinnest(newThickness(pattern))
  const through = (one: Wear) => {
    const on = thickness === undefined ? undefined : throughOn(one, thickness, from, bar)
    return on && { through: on }
  }
  const lasts = wear && left !== undefined ? canBeReset(wear, left, bar, horse.cycleWeeks) : undefined
  return {
    ...(wear && {
      wear: {
        ...wear,
        ...through(wear),
        hardFaced,
        ...(lasts !== undefined && { reset: lasts }),
        reason: told`It loses ${length(wear.rate.perWeek * TOLD_OVER, 'fine')} over four weeks (${wear.rate.count} read${wear.pooled ? ', other horses on this going among them' : ''}); a third of the bar must be left.`,
      },
    }),
    ...(other && { otherWear: { ...other, ...through(other) } }),
  }
}

/** The first foot, course or limit that ends the cycle ends it for the horse. */
function cycleOf(of: ForecastOf, feet: readonly FootForecast[], from: string): ProposedCycle {
  const asked = { from, own: of.horse.cycleWeeks }
  const step = of.courses
    .flatMap(openSteps)
    .filter(({ who, date }) => who === 'farrier' && date > from)
    .sort((a, b) => (a.date < b.date ? -1 : 1))[0]
  const course = step && { label: step.label, weeks: weeksBetween(from, step.date) }
  const each = feet.map((foot) => {
    const plan = wornPlan(of, foot.side)?.plan
    const drift = foot.growth && plan && driftOf(foot.growth, plan.foot.toeAngle)
    const weeks = foot.wear?.through?.weeks
    return proposedCycle({
      ...asked,
      ...(drift && {
        drift: { perWeek: drift.perWeek, aheadAtStart: Math.max(0, plan.balance.aheadOfSchool ?? 0) },
      }),
      ...(weeks !== undefined && { wear: { weeks } }),
      ...(course && { course }),
    })
  })
  return [...each, proposedCycle({ ...asked, ...(course && { course }) })].reduce((a, b) =>
    b.weeks < a.weeks ? b : a,
  )
}
