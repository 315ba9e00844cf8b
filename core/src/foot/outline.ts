import { cubic } from '../geometry/cubic'
import type { Curve } from '../geometry/curve'
import { path } from '../geometry/path'
import { trackCurve } from '../geometry/track'
import type { Foot } from './measurements'
import { fourPieces, type FootOutline } from './foot-outline'
import { tracedOutline } from './traced-outline'

/** Steps on each of the four pieces: about 5 mm apart on a horse’s foot, chords within 0.08 mm of the curve. */
const STEPS = 20

/**
 * The outline of a foot: of its traced line where there is one, else
 * drawn through the toe, both widest points and both buttresses, with an unbroken direction.
 *
 * The toe is drawn with cubic quadrants through the middle point of the superellipse |x/a|^n + |y/b|^n = 1,
 * not with the superellipse itself: for n other than 2 that has no finite or no positive curvature at the toe
 * and at the widest part, and no parallel rim could be laid beside it. The two differ by well under a millimetre.
 */
export function footOutline(foot: Foot): FootOutline {
  return foot.trace
    ? tracedOutline({ ...foot, trace: foot.trace }, STEPS)
    : fourPieces(trackCurve(typedCurve(foot), STEPS), STEPS)
}

/** The curve as it follows from the figures alone. */
export function typedCurve(foot: Foot): Curve {
  const toeY = foot.widestFromToe
  const buttressY = foot.widestFromToe - foot.length
  const half = foot.heelWidth / 2
  const branch = (sign: 1 | -1) => {
    const a = sign > 0 ? foot.lateralHalfWidth : foot.width - foot.lateralHalfWidth
    const widestY = (sign * foot.quarterLead) / 2
    return { a: sign * a, h: sign * half, widestY }
  }
  const lateral = branch(1)
  const medial = branch(-1)
  return path([
    reversedHeel(lateral.a, lateral.h, lateral.widestY, buttressY, foot.quarterShape),
    reversedQuadrant(lateral.a, lateral.widestY, toeY, foot.toeShape),
    quadrant(medial.a, medial.widestY, toeY, foot.toeShape),
    heel(medial.a, medial.h, medial.widestY, buttressY, foot.quarterShape),
  ])
}

/** Length of a quadrant's handles as a share of its half axes, so that it meets the superellipse half way. */
export const fullness = (toeShape: number): number => (8 * 2 ** (-1 / toeShape) - 4) / 3

function quadrantPoints(a: number, widestY: number, toeY: number, toeShape: number) {
  const k = fullness(toeShape)
  const b = toeY - widestY
  return [
    [0, toeY],
    [k * a, toeY],
    [a, widestY + k * b],
    [a, widestY],
  ] as const
}

const quadrant = (a: number, widestY: number, toeY: number, shape: number): Curve =>
  cubic(...quadrantPoints(a, widestY, toeY, shape))

function reversedQuadrant(a: number, widestY: number, toeY: number, shape: number): Curve {
  const [p, q, r, s] = quadrantPoints(a, widestY, toeY, shape)
  return cubic(s, r, q, p)
}

/** From the widest point straight back, then in to the buttress; these handles stay convex for every shape. */
function heelPoints(a: number, h: number, widestY: number, buttressY: number, shape: number) {
  const run = widestY - buttressY
  return [
    [a, widestY],
    [a, widestY - run * (0.32 + 0.3 * shape)],
    [h + (a - h) * (0.42 + 0.2 * shape), buttressY + run * (0.27 - 0.09 * shape)],
    [h, buttressY],
  ] as const
}

const heel = (a: number, h: number, widestY: number, buttressY: number, shape: number): Curve =>
  cubic(...heelPoints(a, h, widestY, buttressY, shape))

function reversedHeel(a: number, h: number, widestY: number, buttressY: number, shape: number): Curve {
  const [p, q, r, s] = heelPoints(a, h, widestY, buttressY, shape)
  return cubic(s, r, q, p)
}

export type { FootOutline }
