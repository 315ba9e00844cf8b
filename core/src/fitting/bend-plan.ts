import { HALVES, type Half } from '../terms/half'
import { bent, heelMoves, type Bend } from './bend'
import { handedness, type Centreline } from './centreline'
import { isShaping, shapingBends } from './first-shaping'
import { AHEAD, certainty, wantedCertainty } from './how-certain'
import { goOn, weighing, withOneMore, type Place, type PlaceSet } from './few-places'
import { asLongAs, bestAngles, furthestOff, laidOn, sampled, targetOf, type Target } from './matched'

/** What to bend, and what comes of it. */
export interface BendPlan {
  /** The shape is within tolerance once all is done. */
  within: boolean
  /** The greatest distance off the pattern then, and before anything was done, mm. */
  residual: number
  before: number
  /** By how much single points of the shape scatter about it, mm. */
  noise: number
  /** It may be off still, but the points are too few or scatter too much to say where. */
  unsure: boolean
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

/** Where points scatter so much that what looks near may be off, bends are looked for all the same: so many times it counts. */
const DOUBT = 4.5

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
 * @param readings points the shape was told by
 */
export function bendPlan(
  pattern: Centreline,
  shape: Centreline,
  tolerance = TOLERANCE,
  branches: readonly Half[] = HALVES,
  readings = Infinity,
): BendPlan {
  if (handedness(pattern.points) < 0)
    return mirrored(bendPlan(inMirror(pattern), inMirror(shape), tolerance, branches, readings))
  const target = targetOf(pattern)
  const told = asLongAs(shape, pattern)
  const start = laidOn(target, sampled(told))
  const { off: before, noise } = furthestOff(target, start)
  const aim = aimOf(tolerance, noise)
  const even = sampled(told)
  const { bends: chosen, unsure } = isShaping(target, even)
    ? { bends: shaped(target, even, aim), unsure: false }
    : search(target, even, { tolerance, aim, noise, before, readings }, branches)
  const ordered = chosen
    .filter(({ angle }) => Math.abs(angle) >= LEAST_ANGLE)
    .sort((a, b) => a.fromToe - b.fromToe)
  const planned = stepped(target, told, ordered, before, tolerance)
  // A plan that leaves the shoe further off than it was is none.
  const plan = planned.residual > before ? stepped(target, told, [], before, tolerance) : planned
  return { ...plan, noise, unsure: unsure && !plan.within }
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
  /** Points it was told by. */
  readings: number
}

function search(
  target: Target,
  line: Centreline,
  { tolerance, aim, noise, before, readings }: Sought,
  branches: readonly Half[],
): { bends: Bend[]; unsure: boolean } {
  const weights = weighing(target, laidOn(target, line), branches)
  let best: Tried = { bends: [], off: before }
  let taken = { left: weights.all, bends: 0 }
  let unsure = false
  let sets: readonly PlaceSet[] = [{ places: [], left: weights.all }]
  for (let count = 1; count <= MOST_BENDS; count++) {
    if (best.off <= aim && best.off + noise * DOUBT <= tolerance) break
    const more = withOneMore(weights, sets)
    const nearest = more[0]
    if (!nearest) break
    sets = goOn(more, count)
    const ahead = count - taken.bends
    const certain = certainty(taken.left, nearest.left, ahead, count, readings)
    unsure = certain < wantedCertainty(best.off, aim, tolerance)
    if (unsure && ahead === AHEAD) break
    if (unsure) continue
    const tried = tryOut(
      target,
      line,
      more.slice(0, TRIED).map(({ places }) => places.map((one) => weights.places[one]!)),
    )
    // One more bend that brings nothing is no bend.
    if (tried.off < best.off - tolerance * 0.02) best = tried
    taken = { left: nearest.left, bends: count }
  }
  return { bends: best.bends, unsure }
}

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
): Omit<BendPlan, 'noise' | 'unsure'> {
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
