import { nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import { distance, dot, mix, subtract, unit, add, scale, type Vec } from '../geometry/vector'
import { agreed } from './agreed'
import { bandAbout, movedOut, smoothedAlong, smoothLine, type Band } from './band'
import { fineEdge, median } from './fine-edge'
import { guessedFoot } from './guessed-foot'
import { edgeByColour, type Expected, type Looked } from './regions'
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

/** What is known of a foot before its edge is followed, mm in the card's plane. */
export interface FootPlaces {
  /** Each within some 4 mm of its place. */
  taps: SevenTaps
  /** Places of the edge that were tapped besides, where it was doubtful. */
  more: readonly Vec[]
  /** Its wall from the outer to the inner heel as it was measured before, in a frame of its own. */
  known?: readonly Vec[] | undefined
}

/**
 * Follows the edge of a foot's sole round from its outer heel over the toe to its inner heel and closed behind: first by the
 * colours of foot and ground about a guess through seven taps, then by where the colour turns.
 *
 */
export function footEdge(looks: Looks, { taps, more, known }: FootPlaces, progress: Progress): FollowedEdge {
  const { wall, sure } = guessedFoot(taps, more, known)
  const guess = closedGuess(wall, taps)
  const near = nearGuess(guess, { taps, more, known }, sure)
  const first = bandAbout(guess, 1, true)
  const about = near(first)
  const { outs } = edgeByColour(
    looks.coarse,
    first,
    { thing: [-11, -3], ground: [4, 16], at: about.sure },
    { from: -9, to: 9, step: 0.5 },
    0.25,
    about.limits,
  )
  progress(0.4)
  const second = bandAbout(smoothLine(movedOut(first, outs), 2.5, true), 0.6, true)
  const closerTo = near(second)
  const { outs: closer, rivals } = edgeByColour(
    looks.coarse,
    second,
    { thing: [-9, -1.5], ground: [1.5, 11], at: closerTo.sure },
    { from: -6, to: 6, step: 0.3 },
    0.2,
    closerTo.limits,
  )
  progress(0.7)
  const third = bandAbout(smoothLine(movedOut(second, closer), 2, true), 0.5, true)
  const { line, clear, closed } = sharpEdge(looks.full, third, progress)
  const rivalAt = figureAlong(second.points, rivals)
  return {
    line: agreed(line, guess, (place) => closerTo.loose(place)),
    clear: clear.map((value, i) => (rivalAt(line[i]!) < RIVALLED ? 0 : value)),
    closed,
  }
}

/** Where another edge is that little less likely by colours, nobody is sure of this one (from trials on held-out pictures). */
const RIVALLED = 8

/** A figure that is known at each point of a closed line, at the place of it nearest to any other. */
function figureAlong(points: readonly Vec[], figures: readonly number[]): (place: Vec) => number {
  const ring = [...points, points[0]!]
  const stations = stationsAlong(ring)
  const step = stations[stations.length - 1]! / points.length
  return (place) => figures[Math.round(nearestAlong(ring, place, stations).station / step) % points.length]!
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
/** One more is set with care. */
const AT_TAP_MORE = 2.5
const BETWEEN = 8.5
const BEHIND_HEELS = 14
/** How far a tap speaks, mm. */
const TAP_SPEAKS = 10

/** Corners of the heels turn too quickly for their neighbours to know them, mm. */
const CORNER = 16

/** What is known of the edge beforehand, at each place of a band. */
interface NearGuess {
  limits: Expected[]
  /** Whether what lies inside the guess there is surely foot. */
  sure: boolean[]
  /** Whether a place is no part of a smooth wall: behind the heels, or at their corners. */
  loose: (place: Vec) => boolean
}

/**
 * Where the edge may run: near the guess, nearest to it where it was tapped; a hand knows what no colour tells. Behind the
 * heels nothing was tapped: what lies inside the guess there may be ground, and teaches no colours.
 */
function nearGuess(
  guess: readonly Vec[],
  { taps, more }: FootPlaces,
  sure: number,
): (band: Band) => NearGuess {
  const line = [...guess, guess[0]!]
  const stations = stationsAlong(line)
  const middle = mix(taps.lateralHeel, taps.medialHeel, 0.5)
  const ahead = unit(subtract(taps.toe, middle))
  const heels = [taps.lateralHeel, taps.medialHeel]
  const tapped = ROUND.map((key) => taps[key])
  const behind = (place: Vec): boolean =>
    dot(subtract(place, middle), ahead) < 6 && heels.every((heel) => distance(heel, place) > TAP_SPEAKS)
  const room = (place: Vec): number =>
    more.some((tap) => distance(tap, place) < TAP_SPEAKS)
      ? AT_TAP_MORE
      : behind(place)
        ? BEHIND_HEELS
        : tapped.some((tap) => distance(tap, place) < TAP_SPEAKS)
          ? AT_TAP
          : BETWEEN
  return (band) => ({
    limits: band.points.map((place, i): Expected => {
      const base = subtract(place, pointAlong(line, nearestAlong(line, place, stations).station, stations))
      const most = -dot(base, band.outward[i]!)
      return { from: most - room(place), to: most + room(place), most, sure: behind(place) ? Infinity : sure }
    }),
    sure: band.points.map((place) => !behind(place)),
    loose: (place) => behind(place) || heels.some((heel) => distance(heel, place) < CORNER),
  })
}

/** A foot closed behind its heels, walked so that outward lies to the right. */
function closedGuess(wall: readonly Vec[], { toe }: SevenTaps): Vec[] {
  const [lateral, medial] = [wall[0]!, wall[wall.length - 1]!]
  const middle = mix(lateral, medial, 0.5)
  const back = scale(unit(subtract(middle, toe)), BEHIND)
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
