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

/** So many robust standard deviations off, a job is no longer of the same kind. */
const ODD = 4
/** Below this many jobs none can be called odd. */
const ENOUGH = 4
/** Jobs are never told apart by less than this share: half a sixteenth of a 12 in bar. */
const LEAST_SPREAD = 0.0026

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
  const near = needs.filter((need) => Math.abs(need - 1) <= FAR_OFF)
  if (near.length === 0) return { jobs: 0, factor: 1, outliers: counted.map(({ id }) => id) }
  const middle = median(near)
  const robust = Math.max(LEAST_SPREAD, 1.4826 * median(near.map((need) => Math.abs(need - middle))))
  const odd = needs.map(
    (need) =>
      Math.abs(need - 1) > FAR_OFF || (near.length >= ENOUGH && Math.abs(need - middle) > ODD * robust),
  )
  const kept = needs.filter((_, i) => !odd[i])
  const mean = kept.reduce((sum, need) => sum + need, 0) / kept.length
  const squares = kept.reduce((sum, need) => sum + (need - mean) ** 2, 0)
  return {
    jobs: kept.length,
    factor: 1 + ((mean - 1) * kept.length) / (kept.length + DOUBT),
    ...(kept.length > 1 && { spread: Math.sqrt(squares / (kept.length - 1)) }),
    outliers: counted.filter((_, i) => odd[i]).map(({ id }) => id),
  }
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}

/**
 * How far nine in ten next jobs lie from what was learned, as a share of the cut: the prediction interval of a single job.
 *
 * @returns undefined from one job: nobody knows yet how they scatter
 */
export const jobWithin = ({ jobs, spread }: Pick<Calibration, 'jobs' | 'spread'>): number | undefined =>
  spread === undefined ? undefined : t90(jobs - 1) * spread * Math.sqrt(1 + 1 / jobs)

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
