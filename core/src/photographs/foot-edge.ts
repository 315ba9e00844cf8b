import { splineThrough } from '../geometry/spline'
import { nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import { distance, dot, mix, subtract, unit, add, scale, type Vec } from '../geometry/vector'
import { bandAbout, movedOut, smoothedAlong, smoothLine, type Band } from './band'
import { fineEdge, median } from './fine-edge'
import { edgeByColour, type Limits, type Looked } from './regions'
import { ROUND, type SevenTaps } from './taps'

/** An edge that was followed round a thing: its line, mm in the card's plane, and how clearly each place of it stands out. */
export interface FollowedEdge {
  line: Vec[]
  clear: number[]
  closed: boolean
}

/** The same picture looked at coarsely, for colours, and in full, for the edge. */
export interface Looks {
  coarse: Looked
  full: Looked
}

/** What is said while an edge is followed: how far it has come, 0 to 1. */
export type Progress = (share: number) => void

/** How far behind the heels a foot ends, mm: its bulbs and frog. */
const BEHIND = 4

/**
 * Follows the edge of a foot's sole round from its outer heel over the toe to its inner heel and closed behind: first by the
 * colours of foot and ground about a guess through seven taps, then by where the colour turns.
 *
 * @param taps mm in the card's plane, each within some 4 mm of its place
 */
export function footEdge(looks: Looks, taps: SevenTaps, progress: Progress): FollowedEdge {
  const guess = closedGuess(taps)
  const known = nearGuess(guess, taps)
  const first = bandAbout(guess, 1, true)
  const about = known(first)
  const outs = edgeByColour(
    looks.coarse,
    first,
    { thing: [-11, -3], ground: [4, 16], at: about.sure },
    { from: -9, to: 9, step: 0.5 },
    0.25,
    about.limits,
  )
  progress(0.4)
  const second = bandAbout(smoothLine(movedOut(first, outs), 2.5, true), 0.6, true)
  const closerTo = known(second)
  const closer = edgeByColour(
    looks.coarse,
    second,
    { thing: [-9, -1.5], ground: [1.5, 11], at: closerTo.sure },
    { from: -6, to: 6, step: 0.3 },
    0.2,
    closerTo.limits,
  )
  progress(0.7)
  const third = bandAbout(smoothLine(movedOut(second, closer), 2, true), 0.5, true)
  return sharpEdge(looks.full, third, progress)
}

/** The edge in the full picture about a line that lies within some mm of it, found twice: the second time from close by. */
export function sharpEdge(full: Looked, band: Band, progress: Progress, reach = 2): FollowedEdge {
  const found = fineEdge(full, band, reach)
  progress(0.85)
  const near = bandAbout(
    movedOut(
      band,
      settled(
        found.map(({ out }) => out),
        band.closed,
      ),
    ),
    0.5,
    band.closed,
  )
  const again = fineEdge(full, near, 1.2)
  progress(1)
  return {
    line: movedOut(
      near,
      settled(
        again.map(({ out }) => out),
        band.closed,
      ),
    ),
    clear: again.map(({ clear }, i) => Math.min(clear, again[Math.max(0, i - 1)]!.clear)),
    closed: band.closed,
  }
}

/** Offsets without those that stick out from their neighbours, and without the shake of the grain. */
function settled(outs: readonly number[], closed: boolean): number[] {
  const n = outs.length
  const calm = outs.map((_, i) =>
    median(
      Array.from({ length: 7 }, (_each, k) => {
        const at = i + k - 3
        return closed ? outs[((at % n) + n) % n]! : outs[Math.min(n - 1, Math.max(0, at))]!
      }),
    ),
  )
  return smoothedAlong(calm, 1.6, closed)
}

/** Taps lie this near to the edge, mm; between them the guess may be further off, and behind the heels further still. */
const AT_TAP = 4.5
const BETWEEN = 8.5
const BEHIND_HEELS = 14
/** How far a tap speaks, mm. */
const TAP_SPEAKS = 10

/**
 * Where the edge may run: near the guess, nearest to it where it was tapped; a hand knows what no colour tells. Behind the
 * heels nothing was tapped: what lies inside the guess there may be ground, and teaches no colours.
 */
function nearGuess(
  guess: readonly Vec[],
  taps: SevenTaps,
): (band: Band) => { limits: Limits[]; sure: boolean[] } {
  const line = [...guess, guess[0]!]
  const stations = stationsAlong(line)
  const middle = mix(taps.lateralHeel, taps.medialHeel, 0.5)
  const ahead = unit(subtract(taps.toe, middle))
  const heels = [taps.lateralHeel, taps.medialHeel]
  const tapped = ROUND.map((key) => taps[key])
  const behind = (place: Vec): boolean =>
    dot(subtract(place, middle), ahead) < 6 && heels.every((heel) => distance(heel, place) > TAP_SPEAKS)
  const room = (place: Vec): number =>
    behind(place) ? BEHIND_HEELS : tapped.some((tap) => distance(tap, place) < TAP_SPEAKS) ? AT_TAP : BETWEEN
  return (band) => ({
    limits: band.points.map((place, i): Limits => {
      const base = subtract(place, pointAlong(line, nearestAlong(line, place, stations).station, stations))
      const already = dot(base, band.outward[i]!)
      return [-room(place) - already, room(place) - already]
    }),
    sure: band.points.map((place) => !behind(place)),
  })
}

/** A foot through its taps, walked so that outward lies to the right. */
function closedGuess(taps: SevenTaps): Vec[] {
  const around = ROUND.map((key) => taps[key])
  const curve = splineThrough(around)
  const wall = Array.from({ length: 200 }, (_, i) => curve.point(i / 199))
  const [lateral, medial] = [around[0]!, around[around.length - 1]!]
  const middle = mix(lateral, medial, 0.5)
  const back = scale(unit(subtract(middle, taps.toe)), BEHIND)
  const behind = [0.1, 0.3, 0.5, 0.7, 0.9].map((share) => add(mix(medial, lateral, share), back))
  const whole = smoothLine(bandAbout([...wall, ...behind], 0.5, true).points, 6, true)
  return area(whole) < 0 ? whole.reverse() : whole
}

/** Positive for a line that is walked with its inside to the left. */
export const area = (line: readonly Vec[]): number =>
  line.reduce((sum, [x, y], i) => {
    const [u, v] = line[(i + 1) % line.length]!
    return sum + (x * v - u * y) / 2
  }, 0)
