import { sliceTrack, track, trackLength, type Track } from '../geometry/track'
import { rotated, scale, type Vec } from '../geometry/vector'
import type { Half } from '../terms/half'

/** What is said of the branches behind the buttress. */
export interface BehindButtress {
  /** Of each branch behind its buttress, along it, mm; minus ends before it. */
  heelLength: Record<Half, number>
  /** How far they turn inward, radians off straight back. */
  turnedIn: number
  /** How far the outer rim stands outside the run at a station of the outline, mm: so wide no turn may be too tight for it. */
  reach: (station: number) => number
  /** Steps each is walked in, where somebody looks for its length: with others in between it would not grow evenly. */
  steps?: Record<Half, number>
}

/** Behind the buttress a branch turns straight back within this share of the outline's length (common practice, no source). */
const TURNS_WITHIN = 0.05

/**
 * It turns no more tightly than by so many times what the rim stands outside of it: else the rim, which lies on the hollow side,
 * would run together in a knot.
 */
const TIGHTEST = 2
/** The tightest place of the turn is so many times tighter than the whole of it. */
const TIGHT = 1.5

/** Less than this is no length to carry on by, mm. */
const LEAST = 1e-3

/** Steps it is walked in, mm. */
const STEP = 2

/**
 * The foot's outline carried on behind its buttresses: the wall closes inward there, a branch does not follow it but
 * turns straight back, or as far inward as it is asked to, so that long heels stay open. A branch that ends before the
 * buttress is cut off.
 *
 * @returns the run, and the station on it at which the outline starts
 */
export function branchRun(
  outline: Track,
  { heelLength, turnedIn, reach, steps }: BehindButtress,
): { run: Track; start: number } {
  const { lateral, medial } = heelLength
  const end = trackLength(outline)
  const turn = (way: Vec, aim: number, out: number): number =>
    Math.max(end * TURNS_WITHIN, TIGHTEST * TIGHT * Math.abs(offBack(way) - aim) * out)
  const inner = sliceTrack(outline, Math.max(0, -lateral), end - Math.max(0, -medial))
  const last = outline.points.length - 1
  const [x, y] = outline.tangents[0]!
  // Walked away from the foot; the outline itself is walked toward it on this side.
  // How the wall turns at either end, walked away from the foot: the run goes on as it does, or the rim would bend there.
  const bend = (end: number, next: number, sign: 1 | -1) =>
    (offBack(scale(outline.tangents[end]!, sign)) - offBack(scale(outline.tangents[next]!, sign))) /
    Math.abs(outline.stations[end]! - outline.stations[next]!)
  const before = backward(
    outline.points[0]!,
    [-x, -y],
    lateral,
    turn([-x, -y], -turnedIn, reach(0)),
    bend(0, 1, -1),
    -turnedIn,
    steps?.lateral ?? stepsOf(lateral),
  )
  const after = backward(
    outline.points[last]!,
    outline.tangents[last]!,
    medial,
    turn(outline.tangents[last]!, turnedIn, reach(end)),
    bend(last, last - 1, 1),
    turnedIn,
    steps?.medial ?? stepsOf(medial),
  )
  const run = track(
    [...before.map(({ point }) => point).reverse(), ...inner.points, ...after.map(({ point }) => point)],
    [
      ...before.map(({ way }): Vec => [-way[0], -way[1]]).reverse(),
      ...inner.tangents,
      ...after.map(({ way }) => way),
    ],
  )
  return { run, start: before.length === 0 ? -Math.max(0, -lateral) : run.stations[before.length]! }
}

/** How many steps a branch of so many millimetres behind the buttress is walked in. */
export const stepsOf = (length: number): number => Math.max(2, Math.ceil(length / STEP))

/** How far a direction is off straight back, radians. */
const offBack = ([x, y]: Vec): number => Math.atan2(x, -y)

/**
 * The way back from a buttress: it leaves in the wall's direction and with its bend, and turns until it runs as it is to.
 *
 * @param bend of the wall at its end, radians off straight back for a millimetre
 * @param aim radians off straight back, plus to the outer side
 */
function backward(
  from: Vec,
  way: Vec,
  length: number,
  turn: number,
  bend: number,
  aim: number,
  steps: number,
): { point: Vec; way: Vec }[] {
  if (length < LEAST) return []
  const off = offBack(way) - aim
  const left = (s: number) => {
    const u = Math.min(1, s / turn)
    return aim + (1 - u) ** 2 * (off * (1 + 2 * u) + bend * turn * u)
  }
  const direction = (s: number): Vec => rotated([0, -1], left(s))
  const walked: { point: Vec; way: Vec }[] = []
  let [x, y] = from
  for (let i = 1; i <= steps; i++) {
    const s = (length * i) / steps
    const h = length / steps
    // Simpson over the step: the direction changes by a few degrees in it.
    const [a, b, c] = [direction(s - h), direction(s - h / 2), direction(s)]
    x += (h * (a[0] + 4 * b[0] + c[0])) / 6
    y += (h * (a[1] + 4 * b[1] + c[1])) / 6
    walked.push({ point: [x, y], way: c })
  }
  return walked
}
