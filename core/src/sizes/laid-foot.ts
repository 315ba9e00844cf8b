import { readFoot, type Foot } from '../foot/measurements'
import { footOutline, type FootOutline } from '../foot/outline'
import type { Track } from '../geometry/track'
import { ProblemError } from '../notices/problem'
import type { FootInput, NailLimit } from '../records/foot'
import type { ShoeInput } from '../records/shoe'
import { widthOf } from '../shoe/as-sold'
import { branchRun } from '../shoe/branch-run'
import { checkFit, resolveFit, type Fit } from '../shoe/fit'
import { branchLengths } from '../shoe/kept-length'
import { plainLay } from '../shoe/lay'
import { layRims, type Rims } from '../shoe/rims'
import type { Half } from '../terms/half'

/** A foot made ready for many shoes: the curve they are laid along, far enough back for the longest. */
export interface LaidFoot {
  foot: Foot
  fit: Fit
  outline: FootOutline
  /** What limits the nails of this foot. */
  limits: readonly NailLimit[]
  /** The curve for a web, mm, with the length of each branch of it. */
  along: (web: number) => LongRun
}

/** A shoe of one web laid much too long: where a shorter one ends is a place on it. */
export interface LongRun {
  rims: Rims
  /** What the outer rim lies beside, point for point: the wall, and the way back behind it. */
  beside: Track
  /** Where on the run the wall begins, mm; and how far the rim stands outside it, by station of the wall. */
  start: number
  reach: (footStation: number) => number
  branches: Record<Half, number>
  /** As long as the fit wants each branch, along the centreline. */
  wanted: Record<Half, number>
  /** Across it at its widest, mm. */
  width: number
  /** How far behind the buttress the run goes, along it. */
  beyond: number
}

/** How far behind the buttress the run goes, as a share of the foot's length. */
const BEYOND = 0.6

/**
 * Reads a foot and lays the long run under it; runs are kept by web.
 *
 * @throws ProblemError with every figure of foot or fit that is missing or not possible
 */
export function laidFoot(input: FootInput, fitInput: ShoeInput['fit']): LaidFoot {
  const read = readFoot(input)
  if (!read.ok) throw new ProblemError(read.problems)
  const { foot } = read.value
  const fit = resolveFit(fitInput, foot)
  const problems = checkFit(fit, foot)
  if (problems.length > 0) throw new ProblemError(problems)
  const outline = footOutline(foot)
  const beyond = foot.length * BEYOND
  const known = new Map<number, LongRun>()
  const along = (web: number): LongRun => {
    const before = known.get(web)
    if (before) return before
    const lay = plainLay(fit, foot, outline, web)
    const longest = { ...lay, heelLength: { lateral: beyond, medial: beyond } }
    const rims = layRims(outline, longest, 0.5)
    const { run: beside, start } = branchRun(outline.track, longest)
    const run = {
      ...{ rims, beside, start, reach: lay.reach },
      branches: branchLengths(rims),
      wanted: branchLengths(layRims(outline, lay, 0.5)),
      width: widthOf(rims.outer),
      beyond,
    }
    known.set(web, run)
    return run
  }
  return { foot, fit, outline, limits: input.limits ?? [], along }
}
