import { nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import {
  add,
  along,
  cross,
  distance,
  dot,
  scale,
  subtract,
  turnRight,
  unit,
  type Vec,
} from '../geometry/vector'
import { length, told, type Told } from '../notices/told'
import type { Trace } from '../records/foot'
import { readTrace } from './read-trace'
import { smoothedKnots } from './smoothed'

/** A line as it was drawn, mm, in a frame of its own. */
export interface DrawnOutline {
  points: readonly Vec[]
  closed: boolean
}

/** Three places on it that say how it lies: the middle of the toe and both heels where they bear. */
export interface Taps {
  toe: Vec
  lateralHeel: Vec
  medialHeel: Vec
}

/** The five measures that an outline tells, mm, and the outline itself in the foot's frame. */
export interface TracedFoot {
  trace: Trace
  width: number
  length: number
  heelWidth: number
}

/** What came of placing an outline. */
export type Placed = { ok: true; foot: TracedFoot; notes: Told[] } | { ok: false; problem: string }

/** A tap further off the line than this, as a share of its length, was meant for something else. */
const TAPPED = 0.12

/** Heels that stand apart along the foot by more than this, as a share of its length, are said. */
const UNEVEN = 0.03

/**
 * Places a drawn outline in the foot's frame: the axis runs from the middle between the heels to the toe, the outer heel lies
 * on the plus side whichever way round it was drawn, both ends are brought to the buttress line half way between the heels.
 *
 * @param outline mm, open or closed; of a closed one the part from heel to heel round the toe is taken
 */
export function placeOutline(outline: DrawnOutline, taps: Taps): Placed {
  const { points, problem } = fromHeelToHeel(outline, taps)
  if (problem) return { ok: false, problem }
  const stations = stationsAlong(points)
  const toe = pointAlong(points, nearestAlong(points, taps.toe, stations).station, stations)
  const [lateral, medial] = [points[0]!, points[points.length - 1]!]
  const middle = scale(add(lateral, medial), 0.5)
  const long = distance(toe, middle)
  if (!(long > 0)) return { ok: false, problem: 'The toe lies between the heels: tap the middle of the toe.' }
  const ahead = unit(subtract(toe, middle))
  const outward = scale(turnRight(ahead), cross(ahead, subtract(lateral, middle)) < 0 ? 1 : -1)
  const turned = points.map((point): Vec => {
    const from = subtract(point, middle)
    return [dot(from, outward), dot(from, ahead)]
  })
  const knots = smoothedKnots(levelled(turned))
  const read = readTrace(knots)
  if (typeof read === 'string') return { ok: false, problem: `${read}: tap toe and heels again.` }
  const trace = knots.map(([x, y]): [number, number] => [thousandth(x), thousandth(y - read.base)])
  const [outer, inner] = read.branches
  const apart = turned[0]![1] - turned[turned.length - 1]![1]
  return {
    ok: true,
    foot: {
      trace,
      width: thousandth(outer.widest + inner.widest),
      length: thousandth(read.toeY - read.buttressY),
      heelWidth: thousandth(outer.heel + inner.heel),
    },
    notes:
      Math.abs(apart) > long * UNEVEN
        ? [
            told`The ${apart > 0 ? 'outer' : 'inner'} heel stands ${length(Math.abs(apart))} ahead of the other: the buttress line is laid half way between.`,
          ]
        : [],
  }
}

const thousandth = (mm: number): number => Math.round(mm * 1000) / 1000

/** The part of an outline from the lateral to the medial heel, round the toe. */
function fromHeelToHeel(
  { points, closed }: DrawnOutline,
  { toe, lateralHeel, medialHeel }: Taps,
): { points: Vec[]; problem?: string } {
  if (points.length < 5)
    return { points: [], problem: 'The line has fewer than five points: that is no outline.' }
  const line = closed ? [...points, points[0]!] : points
  const stations = stationsAlong(line)
  const whole = stations[stations.length - 1]!
  const [at, from, to] = [toe, lateralHeel, medialHeel].map((tap) => nearestAlong(line, tap, stations)) as [
    Near,
    Near,
    Near,
  ]
  for (const [where, { off }] of [
    ['toe', at],
    ['outer heel', from],
    ['inner heel', to],
  ] as const)
    if (off > whole * TAPPED)
      return { points: [], problem: `The ${where} was tapped far off the line: tap on the outline itself.` }
  const between = (a: number, b: number): Vec[] => [
    pointAlong(line, a, stations),
    ...line.filter((_, i) => stations[i]! > a && stations[i]! < b),
    pointAlong(line, b, stations),
  ]
  const [low, high] = from.station < to.station ? [from.station, to.station] : [to.station, from.station]
  const inside = at.station > low && at.station < high
  if (high - low < whole * 0.02)
    return { points: [], problem: 'Both heels were tapped in one place: tap the outer heel, then the inner.' }
  if (!inside && !closed)
    return { points: [], problem: 'The toe does not lie between the heels: tap toe, outer heel, inner heel.' }
  const found = inside ? between(low, high) : [...between(high, whole), ...between(0, low).slice(1)]
  // Found from the nearer end of the line on: that is the outer heel, or the inner.
  const startsOutside = inside === from.station < to.station
  return { points: startsOutside ? found : found.reverse() }
}

/** A place on the line nearest to a tap. */
type Near = ReturnType<typeof nearestAlong>

/** Both ends of an outline brought to y 0: cut where they go beyond it, carried straight on where they end before. */
function levelled(points: readonly Vec[]): Vec[] {
  const one = (line: readonly Vec[]): Vec[] => {
    const first = line.findIndex(([, y]) => y > 0)
    const [a, b] = [line[Math.max(0, first - 1)]!, line[first]!]
    if (first > 0) return [along(a, subtract(b, a), -a[1] / (b[1] - a[1])), ...line.slice(first)]
    const next = line.find((point) => distance(point, b) > 4) ?? b
    const way = unit(subtract(b, next))
    // A heel that already turns in is carried straight back.
    const end: Vec = way[1] < -0.5 ? along(b, way, -b[1] / way[1]) : [b[0], 0]
    return b[1] > 0.01 ? [end, ...line] : [...line]
  }
  // From each heel up to what lies furthest forward: that is never behind the heels, the toe was tapped.
  const toe = points.reduce((best, [, y], i) => (y > points[best]![1] ? i : best), 0)
  return [...one(points.slice(0, toe + 1)), ...one(points.slice(toe).reverse()).reverse().slice(1)]
}
