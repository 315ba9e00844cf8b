import { t90 } from '../foot/t-quantiles'
import type { Job, LearnedCut } from '../records/job'
import type { Section } from '../records/section'
import type { ShoeInput, WorkshopInput } from '../records/shoe'

/** What is needed of a job to learn from it. */
export type LoggedJob = Pick<Job, 'id' | 'predicted' | 'used' | 'left' | 'counted'>

/** What logged jobs say of the next cut of the same bar and style. */
export type Calibration = Omit<LearnedCut, 'section' | 'style'>

/**
 * Weight of "nothing was learned yet" beside the jobs, in jobs: one odd bar does not move the next cut by all it was off, and
 * after eight it moves it by nine tenths.
 */
const DOUBT = 0.8

/** Below this many jobs none can be called odd. */
const ENOUGH = 4
/**
 * So many standard deviations of the others off, a job is no longer of their kind: by how many more of them there are than
 * two. One in a hundred sets has such a job by chance (Student's t with as many degrees of freedom, shared among all
 * jobs of the set).
 */
const ODD = [
  NaN,
  NaN,
  19.96,
  10.21,
  7.53,
  6.35,
  5.71,
  5.31,
  5.04,
  4.85,
  4.71,
  4.6,
  4.51,
  4.44,
  4.38,
  4.34,
] as const
/** Beyond the table it hardly falls. */
const ODD_OF_MANY = 4.3
/** What a tape is read to, one standard deviation as a share: 1/64 in on a 12 in bar. */
const LEAST_SPREAD = 0.0013
/** Where others agree better than this share by chance, one that is off by little is not odd. */
const LEAST_ODD = 0.005

/**
 * A job that took so much more or less bar than was predicted, as a share, is a slip of the pen or a shoe of its own kind:
 * set aside however few there are, or one mistyped figure would spoil every next cut (common practice, no source).
 */
const FAR_OFF = 0.15

/**
 * Learns from logged jobs of one bar and style by how much more or less bar a shoe takes than is predicted: the mean of
 * those that are not odd, drawn a little toward no correction at all.
 *
 * @returns undefined where there is no job to learn from
 */
export function calibrate(jobs: readonly LoggedJob[]): Calibration | undefined {
  const counted = jobs.filter((job) => job.counted)
  if (counted.length === 0) return undefined
  const needs = counted.map(({ predicted, used, left }) => (used - left) / predicted)
  const odd = oddOnes(needs)
  const kept = needs.filter((_, i) => !odd[i])
  const outliers = counted.filter((_, i) => odd[i]).map(({ id }) => id)
  if (kept.length === 0) return { jobs: 0, factor: 1, outliers }
  const mean = meanOf(kept)
  return {
    jobs: kept.length,
    factor: 1 + ((mean - 1) * kept.length) / (kept.length + DOUBT),
    ...(kept.length > 1 && { spread: spreadOf(kept) }),
    outliers,
  }
}

/** Which of several jobs are not of the kind of the others, the furthest first, one after the other. */
function oddOnes(needs: readonly number[]): boolean[] {
  const odd = needs.map((need) => Math.abs(need - 1) > FAR_OFF)
  for (;;) {
    const near = needs.filter((_, i) => !odd[i])
    if (near.length < ENOUGH) return odd
    const middle = meanOf(near)
    const off = needs.map((need, i) => (odd[i] ? -1 : Math.abs(need - middle)))
    const furthest = off.indexOf(Math.max(...off))
    const others = needs.filter((_, i) => !odd[i] && i !== furthest)
    const spread = Math.max(LEAST_ODD, spreadOf(others)) * Math.sqrt(1 + 1 / others.length)
    const times = Math.abs(needs[furthest]! - meanOf(others)) / spread
    if (times <= (ODD[others.length - 1] ?? ODD_OF_MANY)) return odd
    odd[furthest] = true
  }
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / values.length

/** Standard deviation of single ones. */
function spreadOf(values: readonly number[]): number {
  const mean = meanOf(values)
  const squares = values.reduce((sum, one) => sum + (one - mean) ** 2, 0)
  return Math.sqrt(squares / Math.max(1, values.length - 1))
}

/** Normal, 90 % on one side: what is off by a known amount is off one way. */
const ONE_SIDED = 1.2816
/** As good as known: what a tape is read to is no matter of how many jobs there are. */
const MANY = 1_000

/** Single jobs scatter so where nobody has seen yet how a workshop's own do, one standard deviation as a share: 1/16 in of 12 in (assumed). */
const ASSUMED_SPREAD = 0.005

/**
 * How far nine in ten next jobs lie from what was learned, as a share of the cut: the prediction interval of a single job,
 * and what the doubt keeps the cut away from their mean. One job says nothing of how they scatter: it is assumed then.
 *
 * @returns undefined where there is no job to learn from
 */
export function jobWithin({ jobs, factor, spread }: Omit<Calibration, 'outliers'>): number | undefined {
  if (jobs === 0) return undefined
  const held = ((factor - 1) * DOUBT) / jobs
  const scatter =
    spread === undefined
      ? t90(MANY) * ASSUMED_SPREAD
      : Math.max(t90(jobs - 1) * spread, t90(MANY) * LEAST_SPREAD)
  return Math.hypot(scatter * Math.sqrt(1 + 1 / jobs), ONE_SIDED * held)
}

/** What of a shoe makes its bar behave in its own way: its modifications by kind, in one order; nothing for a plain shoe. */
export const styleOfShoe = ({ modifications = [] }: Pick<ShoeInput, 'modifications'>): string =>
  [...new Set(modifications.map(({ kind }) => kind))].sort().join(' + ')

/** Whether two bars are the same to who cuts them: shape, metal and size to a tenth of a millimetre. */
export const sameBar = (a: Section, b: Section): boolean =>
  a.shape === b.shape &&
  a.material === b.material &&
  Math.abs(a.width - b.width) < 0.1 &&
  Math.abs(a.thickness - b.thickness) < 0.1

/** A workshop as it cuts this shoe: with what its jobs of the same bar and style taught, unless it wants none of it. */
export function learnedWorkshop(
  workshop: WorkshopInput,
  learned: readonly LearnedCut[],
  shoe: Pick<ShoeInput, 'section' | 'modifications' | 'stock'>,
): WorkshopInput {
  if (workshop.learn === false || shoe.stock) return workshop
  const known = learnedFor(learned, shoe)
  return known ? { ...workshop, cutFactor: known.factor } : workshop
}

/** What was learned of this shoe's bar and style. */
export const learnedFor = (
  learned: readonly LearnedCut[],
  { section, modifications }: Pick<ShoeInput, 'section' | 'modifications'>,
): LearnedCut | undefined => {
  const style = styleOfShoe({ modifications })
  return learned.find((one) => one.style === style && sameBar(one.section, section))
}

/** Jobs by bar and style, each with what they teach. */
export function learnedCuts(jobs: readonly (LoggedJob & Pick<Job, 'section' | 'style'>)[]): LearnedCut[] {
  const groups: { section: Section; style: string; jobs: LoggedJob[] }[] = []
  for (const job of jobs) {
    const { section, style } = job
    const known = groups.find((one) => one.style === style && sameBar(one.section, section))
    if (known) known.jobs.push(job)
    else groups.push({ section, style, jobs: [job] })
  }
  return groups.flatMap(({ section, style, jobs: own }) => {
    const learned = calibrate(own)
    return learned ? [{ section, style, ...learned }] : []
  })
}
