import { HALVES, type Half } from '../terms/half'
import { bent, heelMoves, type Bend } from './bend'
import { handedness, type Centreline } from './centreline'
import { isShaping, shapingBends } from './first-shaping'
import { goOn, weighing, withOneMore, type Place, type PlaceSet } from './few-places'
import { asLongAs, bestAngles, furthestOff, laidOn, sampled, SAMPLES, targetOf, type Target } from './matched'

/** What to bend, and what comes of it. */
export interface BendPlan {
  /** The shape is within tolerance once all is done. */
  within: boolean
  /** The greatest distance off the pattern then, and before anything was done, mm. */
  residual: number
  before: number
  /** By how much single points of the shape scatter about it, mm. */
  noise: number
  /** From toe to heel. */
  bends: PlannedBend[]
  /** The shape after each bend, in its own frame. */
  shapes: Centreline['points'][]
  /** The shape as it was told, laid over the pattern as well as it goes; and after each bend. */
  laid: Centreline['points'][]
}

export interface PlannedBend extends Bend {
  /** How far the end of the branch moves outward, mm; minus inward. */
  heelMoves: number
}

/** A sixteenth of an inch: nearer nobody sees it (common practice). */
export const TOLERANCE = 1.5875

/**
 * A plan aims nearer than it must come: a little for the hand, and by what the points are off for the tape; never nearer than
 * the last share of the tolerance.
 */
const AIM = { hand: 0.9, tape: 2.5, nearest: 0.3 }

const aimOf = (tolerance: number, noise: number): number =>
  Math.max(AIM.nearest * tolerance, AIM.hand * tolerance - AIM.tape * noise)

/**
 * So near it is near enough where one more bend would only follow the noise of the tape: where what it takes away is less
 * than so many times what noise by itself leaves to be taken (the F of regression; the best of many places finds about
 * ten in noise alone, from trials).
 */
const SURE = 0.72
const NOTICED = 15
const NOISE = 9

/**
 * Where points scatter so much that what looks near may be off, a bend that no noise explains is made all the same: the
 * scatter counts so many times, and so certain it must be (from trials).
 */
const DOUBT = 4.5
const CLEAR = 100

/** More corrections than these are a new shoe. */
const MOST_BENDS = 8

/** Sets of places that are tried out in full at each count. */
const TRIED = 4

/** Less than this nobody bends, degrees. */
const LEAST_ANGLE = 0.25

/**
 * The fewest corrections that bring a shape within tolerance of its pattern, from toe to heel. A bend turns all that lies
 * behind it: for each count of bends the places are found that leave least off, then the angles, and the first count
 * that comes near enough is taken. Where no count does, the nearest is answered, and `within` is false.
 *
 * @param tolerance how far off the pattern it may lie anywhere, mm
 * @param branches that may be bent: where only one was seen off, the other is left alone
 */
export function bendPlan(
  pattern: Centreline,
  shape: Centreline,
  tolerance = TOLERANCE,
  branches: readonly Half[] = HALVES,
): BendPlan {
  if (handedness(pattern.points) < 0)
    return mirrored(bendPlan(inMirror(pattern), inMirror(shape), tolerance, branches))
  const target = targetOf(pattern)
  const told = asLongAs(shape, pattern)
  const start = laidOn(target, sampled(told))
  const { off: before, noise } = furthestOff(target, start)
  const aim = aimOf(tolerance, noise)
  const even = sampled(told)
  const chosen = isShaping(target, even)
    ? shaped(target, even, aim)
    : search(target, even, { tolerance, aim, noise, before }, branches)
  const ordered = chosen
    .filter(({ angle }) => Math.abs(angle) >= LEAST_ANGLE)
    .sort((a, b) => a.fromToe - b.fromToe)
  const plan = stepped(target, told, ordered, before, tolerance)
  // A plan that leaves the shoe further off than it was is none.
  return { ...(plan.residual > before ? stepped(target, told, [], before, tolerance) : plan), noise }
}

/** A try: where it bends, and how far off that leaves it. */
interface Tried {
  bends: Bend[]
  off: number
}

/** As the other foot is drawn. A straight bar tells by itself which way it will run only in the foot's own frame. */
const inMirror = (line: Centreline): Centreline => ({ ...line, points: flipped(line.points) })

const flipped = (points: Centreline['points']): Centreline['points'] =>
  points.map(([x, y]): [number, number] => [-x, y])

const mirrored = (plan: BendPlan): BendPlan => ({
  ...plan,
  shapes: plan.shapes.map(flipped),
  laid: plan.laid.map(flipped),
})

/** A straight bar is turned in so many bends at most: between more of them the horn does the rest. */
const MOST_SHAPING = 16

/** So many times what is aimed at is far. */
const FAR = 6

/** The fewest bends that bring a shape to its pattern which is far from it: a bar that is turned for the first time. */
function shaped(target: Target, line: Centreline, aim: number): Bend[] {
  let best: Tried = { bends: [], off: Infinity }
  for (let count = 1; count <= MOST_SHAPING && best.off > aim; count++) {
    const begun = shapingBends(target, line, count)
    const asBegun = furthestOff(target, laidOn(target, begun.reduce(bent, line))).off
    // What is nowhere near before its angles are settled is not near after.
    if (asBegun > aim * FAR && count < MOST_SHAPING) continue
    const { bends, line: now } = bestAngles(target, line, begun)
    const { off } = furthestOff(target, now)
    if (off < best.off) best = { bends, off }
  }
  return best.bends
}

/** How near a shape is to come, what is off and how far single points scatter, mm. */
interface Sought {
  tolerance: number
  aim: number
  noise: number
  before: number
}

function search(
  target: Target,
  line: Centreline,
  { tolerance, aim, noise, before }: Sought,
  branches: readonly Half[],
): Bend[] {
  const weights = weighing(target, laidOn(target, line), branches)
  let best: Tried = { bends: [], off: before }
  let sets: readonly PlaceSet[] = [{ places: [], left: weights.all }]
  for (let count = 1; count <= MOST_BENDS; count++) {
    if (best.off <= aim && best.off + noise * DOUBT <= tolerance) break
    const more = withOneMore(weights, sets)
    const nearest = more[0]
    if (!nearest) break
    const certain = certainty(sets[0]!.left, nearest.left, count)
    if (best.off <= aim && certain < CLEAR) break
    if (best.off <= tolerance * SURE && certain < NOTICED) break
    if (best.off <= tolerance && certain < NOISE) break
    const tried = tryOut(
      target,
      line,
      more.slice(0, TRIED).map(({ places }) => places.map((one) => weights.places[one]!)),
    )
    // One more bend that brings nothing is no bend.
    if (tried.off < best.off - tolerance * 0.02) best = tried
    sets = goOn(more, count)
  }
  return best.bends
}

/** How much more one bend takes away than noise would let it. */
const certainty = (before: number, after: number, bends: number): number =>
  (before - after) / (Math.max(after, 1e-9) / (2 * SAMPLES - 3 - 2 * bends))

/** Places are moved this far when they are tried, mm. */
const MOVE = 2

/** Bends at the best of some sets of places: its places are moved a little while that brings the shape nearer. */
function tryOut(target: Target, line: Centreline, sets: readonly (readonly Place[])[]): Tried {
  const tried = (places: readonly Place[]): Tried & { places: readonly Place[] } => {
    const { bends, line: now } = bestAngles(target, line, places)
    return { places, bends, off: furthestOff(target, now).off }
  }
  const nearer = <T extends Tried>(a: T, b: T): T => (b.off < a.off ? b : a)
  let best = sets.map(tried).reduce(nearer)
  for (let i = 0; i < best.places.length; i++)
    for (const by of [MOVE, -MOVE])
      best = nearer(
        best,
        tried(
          best.places.map((place, at) =>
            at === i ? { ...place, fromToe: Math.max(2, place.fromToe + by) } : place,
          ),
        ),
      )
  return best
}

/** The bends made one after the other. */
function stepped(
  target: Target,
  told: Centreline,
  bends: readonly Bend[],
  before: number,
  tolerance: number,
): Omit<BendPlan, 'noise'> {
  const lines = [told]
  for (const bend of bends) lines.push(bent(lines[lines.length - 1]!, bend))
  const after = laidOn(target, sampled(lines[lines.length - 1]!))
  const { off: residual } = furthestOff(target, after)
  return {
    within: residual <= tolerance,
    ...{ residual, before },
    bends: bends.map((bend, i) => ({ ...bend, heelMoves: heelMoves(lines[i]!, bend) })),
    shapes: lines.slice(1).map(({ points }) => points),
    laid: lines.map((line) => laidOn(target, sampled(line)).points),
  }
}
