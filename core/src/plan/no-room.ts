import type { Foot } from '../foot/measurements'
import { trackLength } from '../geometry/track'
import type { Chosen } from '../modifications/resolve'
import { problem, type Problem } from '../notices/problem'
import { length, told } from '../notices/told'
import type { Fit } from '../shoe/fit'
import type { Rims } from '../shoe/rims'

/** Least room between the two heel ends, mm: less and the branches of an open shoe lie on each other. */
const HEEL_GAP = 2

/**
 * Whether the branches lie on each other where the shorter one ends: what a longer one does behind that, as a trailer, is in
 * nobody's way.
 */
export function branchesMeet({ inner }: Rims): boolean {
  const { points } = inner
  const end = Math.max(points[0]![1], points[points.length - 1]![1])
  const lateral = points.find(([, y]) => y >= end) ?? points[0]!
  const medial = points.findLast(([, y]) => y >= end) ?? points[points.length - 1]!
  return lateral[0] - medial[0] < HEEL_GAP
}

/** The web leaves no opening worth the name. */
export const isShut = ({ inner, outer, centroid, centreline }: Rims): boolean =>
  [inner, centroid, centreline].some(({ points }) => points.length < 2) ||
  trackLength(inner) < trackLength(outer) / 4

/** Modifications that spread the web until nothing is left within it. */
export const shutBy = (chosen: readonly Chosen[], foot: Foot): Problem => {
  const last = chosen.filter(({ modification: { lay, forge } }) => lay ?? forge).at(-1)!
  return problem(
    `shoe.modifications.${last.at}.kind`,
    told`${last.modification.label}: with it the web leaves no opening in a foot ${length(foot.width)} wide; take a narrower bar or spread it less`,
  )
}

export const meeting = (fit: Fit): Problem =>
  problem(
    'shoe.fit.heelLength',
    told`Branch behind the buttress: with ${length(fit.heelLength)} the two branches meet; end them sooner or take a narrower bar`,
  )

export const tooWide = (width: number, foot: Foot): Problem =>
  problem(
    'shoe.section.width',
    told`Bar width: ${length(width)} leaves no opening in a foot ${length(foot.width)} wide`,
  )
