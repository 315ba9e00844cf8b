import { Matrix, solve } from 'ml-matrix'
import { readFoot } from '../foot/measurements'
import { footOutline } from '../foot/outline'
import { blended } from '../geometry/blended'
import { add, cross, dot, mix, scale, subtract, turnRight, unit, type Vec } from '../geometry/vector'
import { lengthAlong, nearestAlong, pointAlong, stationsAlong } from '../geometry/walked'
import { ROUND, type PhotoTap, type SevenTaps } from './taps'

/** What is looked for in a photograph before its colours are asked: the wall from the outer heel over the toe to the inner. */
export interface GuessedFoot {
  wall: Vec[]
  /** How far the edge lies from it by the rule, mm. */
  sure: number
}

/** A hand taps so near to the place it means, mm. */
const TAPPED = 2.2
/** By what share a foot is wider, longer or more skewed than the line it is fitted by: one that nobody knows, and one of last visit. */
const DIFFERS = { general: 0.12, known: 0.02 }
/** What share of what a tap lies off the fitted line the line is pulled to it. */
const PULLED = { general: 0.45, known: 0.15 }
const SURE = { general: 2.6, known: 1.8 }
/** A place that was tapped once more, where it mattered, is taken as it is; other taps so near to it, mm, are not asked. */
const OVERRULES = 14
/** Taps that lie further off the line of a foot by the rule are of another one, mm. */
const ANOTHER = 3.2
/** Places on the line that are worked with. */
const COUNT = 200

/** The line of some foot: what all feet have alike. */
function generalFoot(): readonly Vec[] {
  const read = readFoot({
    side: 'LF',
    width: 127,
    length: 130,
    heelWidth: 90,
    toeAngle: 52,
    wallThickness: 9.5,
  })
  if (!read.ok) throw new Error(read.problems.map(({ message }) => message).join(', '))
  return footOutline(read.value.foot).track.points
}

/**
 * Where a foot's wall lies by its seven taps: the line of the foot as it was measured before, or of any foot, turned and
 * shifted onto them, stretched by as little as explains them, and drawn aside by a part of what they still lie off. A tap
 * by itself is off by some mm; seven together are not.
 *
 * @param taps mm in the card's plane
 * @param more places of the edge that were tapped besides, mm
 * @param known the wall from the outer to the inner heel as it was measured, mm in a frame of its own
 */
export function guessedFoot(taps: SevenTaps, more: readonly Vec[] = [], known?: readonly Vec[]): GuessedFoot {
  const before = known && laidThrough(taps, known, 'known')
  // Another foot, or one that has changed: the taps know better.
  const mine = before && before.off < ANOTHER
  const kind = mine ? 'known' : 'general'
  const laid = mine ? before.laid : laidThrough(taps, generalFoot(), 'general').laid
  const stations = stationsAlong(laid)
  const whole = stations[stations.length - 1]!
  const out = (station: number): Vec => {
    const [low, high] = [Math.max(0, station - 3), Math.min(whole, station + 3)]
    return turnRight(unit(subtract(pointAlong(laid, high, stations), pointAlong(laid, low, stations))))
  }
  const pull = (share: number) => (tap: Vec) => {
    const { station } = nearestAlong(laid, tap, stations)
    return { station, by: share * dot(subtract(tap, pointAlong(laid, station, stations)), out(station)) }
  }
  // Behind the heels there is no wall.
  const again = more.map(pull(1)).filter(({ station }) => station > 0 && station < whole)
  const first = ROUND.map((key) => taps[key])
    .map(pull(PULLED[kind]))
    .filter(({ station }) => again.every((one) => Math.abs(one.station - station) > OVERRULES))
  const pulls = [...again, ...first].sort((a, b) => a.station - b.station)
  const apart = pulls.filter(({ station }, i) => i === 0 || station - pulls[i - 1]!.station > 1)
  const aside = blended(apart.map(({ station, by }) => [station, by] as const))
  return {
    wall: laid.map((point, i) => add(point, scale(out(stations[i]!), aside(stations[i]!)))),
    sure: SURE[kind],
  }
}

/** A line turned and shifted onto the taps, stretched a little, and how far the taps lie off it by the rule, mm. */
function laidThrough(
  taps: SevenTaps,
  line: readonly Vec[],
  kind: keyof typeof DIFFERS,
): { laid: Vec[]; off: number } {
  const model = evenly(line)
  const places = tappedOn(model)
  const onto = fitted(
    ROUND.map((key) => places[key]),
    ROUND.map((key) => taps[key]),
    DIFFERS[kind],
  )
  const laid = model.map(onto)
  const squares = ROUND.reduce((sum, key) => sum + nearestAlong(laid, taps[key]).off ** 2, 0)
  return { laid, off: Math.sqrt(squares / ROUND.length) }
}

function evenly(line: readonly Vec[]): Vec[] {
  const stations = stationsAlong(line)
  const whole = lengthAlong(line)
  return Array.from({ length: COUNT + 1 }, (_, i) => pointAlong(line, (whole * i) / COUNT, stations))
}

/** Where a wall is tapped: its ends, furthest to either side and ahead of the line between its ends, and half way between those. */
function tappedOn(wall: readonly Vec[]): SevenTaps {
  const [first, last] = [wall[0]!, wall[wall.length - 1]!]
  const middle = mix(first, last, 0.5)
  const across = unit(subtract(first, last))
  const most = (way: Vec): number =>
    wall.reduce(
      (best, point, i) =>
        dot(subtract(point, middle), way) > dot(subtract(wall[best]!, middle), way) ? i : best,
      0,
    )
  // Ahead is to the side of the heel line where the wall lies.
  const beside = turnRight(across)
  const ahead =
    dot(subtract(wall[Math.round(wall.length / 2)]!, middle), beside) > 0 ? beside : scale(beside, -1)
  const [lateral, toe, medial] = [most(across), most(ahead), most(scale(across, -1))]
  const at = (i: number): Vec => wall[Math.round(i)]!
  const found: Record<PhotoTap, Vec> = {
    ...{ lateralHeel: first, lateralWidest: at(lateral), lateralToeQuarter: at((lateral + toe) / 2) },
    ...{ toe: at(toe), medialToeQuarter: at((toe + medial) / 2), medialWidest: at(medial), medialHeel: last },
  }
  return found
}

/** Points carried onto others: turned, turned over where they are, and stretched by as little as explains where they lie. */
function fitted(from: readonly Vec[], onto: readonly Vec[], differs: number): (point: Vec) => Vec {
  const middleOf = (points: readonly Vec[]): Vec => scale(points.reduce(add), 1 / points.length)
  const [p, q] = [middleOf(from), middleOf(onto)]
  const round = (points: readonly Vec[], middle: Vec) =>
    points.reduce((sum, point, i) => {
      const next = points[(i + 1) % points.length]!
      return sum + cross(subtract(point, middle), subtract(next, middle))
    }, 0)
  const flip = Math.sign(round(from, p)) === Math.sign(round(onto, q)) ? 1 : -1
  const centred = from.map(([x, y]): Vec => [(x - p[0]) * flip, y - p[1]])
  let [cosine, sine] = [0, 0]
  centred.forEach(([x, y], i) => {
    const [u, v] = subtract(onto[i]!, q)
    cosine += x * u + y * v
    sine += x * v - y * u
  })
  const size = Math.hypot(cosine, sine)
  const [c, s] = [cosine / size, sine / size]
  const turned = centred.map(([x, y]): Vec => [c * x - s * y, s * x + c * y])
  // Each stretch and skew by itself, drawn toward none (ridge).
  const ridge = (TAPPED / differs) ** 2
  const normal = Matrix.zeros(2, 2)
  const right = Matrix.zeros(2, 2)
  turned.forEach((point, i) => {
    const off = subtract(subtract(onto[i]!, q), point)
    for (const a of [0, 1] as const)
      for (const b of [0, 1] as const) {
        normal.set(a, b, normal.get(a, b) + point[a] * point[b])
        right.set(a, b, right.get(a, b) + point[a] * off[b])
      }
  })
  normal.add(Matrix.eye(2).mul(ridge))
  const more = solve(normal, right)
  return ([x, y]) => {
    const [u, v] = [(x - p[0]) * flip, y - p[1]]
    const [a, b] = [c * u - s * v, s * u + c * v]
    return [
      q[0] + a * (1 + more.get(0, 0)) + b * more.get(1, 0),
      q[1] + a * more.get(0, 1) + b * (1 + more.get(1, 1)),
    ]
  }
}
