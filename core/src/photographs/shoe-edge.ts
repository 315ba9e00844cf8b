import { splineThrough } from '../geometry/spline'
import { along, subtract, unit, type Vec } from '../geometry/vector'
import { bandAbout, outFrom, smoothedAlong, type Band } from './band'
import { median } from './fine-edge'
import { area, sharpEdge, type FollowedEdge, type Looks, type Progress } from './foot-edge'
import { colourOf, edgeByColour } from './regions'
import { ROUND, type SevenTaps } from './taps'

/** Both rims of a shoe from the outer to the inner heel, mm in the card's plane, and the middles of its holes. */
export interface FollowedShoe {
  outer: FollowedEdge
  inner: FollowedEdge
  holes: Vec[]
}

/** How far beyond a heel tap a branch may go on, mm. */
const BEYOND = 26
/** The narrowest half of a web that is looked for, and the widest. */
const LEAST = 2.5
const MOST = 24

/**
 * Follows both rims of a shoe about a line through seven taps along the middle of its web: where its branches end, then each
 * rim by the colours of iron and ground, then by where the colour turns.
 */
export function shoeEdge(looks: Looks, taps: SevenTaps, progress: Progress): FollowedShoe {
  const middle = middleLine(taps)
  const band = ends(looks, bandAbout(middle, 0.6, false))
  progress(0.2)
  const iron = [-4, 4] as const
  const rim = (side: 1 | -1): FollowedEdge => {
    const facing: Band = { ...band, outward: band.outward.map(([x, y]): Vec => [x * side, y * side]) }
    const { outs } = edgeByColour(
      looks.coarse,
      facing,
      { thing: iron, ground: [16, 26] },
      { from: LEAST, to: MOST, step: 0.3 },
      0.25,
    )
    const calm = smoothedAlong(outs, 3, false)
    const near: Band = { ...facing, points: facing.points.map((_, i) => outFrom(facing, i, calm[i]!)) }
    return sharpEdge(looks.full, near, () => undefined, 2)
  }
  const outer = rim(1)
  progress(0.6)
  const inner = rim(-1)
  progress(0.9)
  return { outer, inner, holes: holesBetween(looks, band) }
}

/** The middle of the web from beyond one heel tap to beyond the other, walked so that the outer rim lies to the right. */
function middleLine(taps: SevenTaps): Vec[] {
  const around = ROUND.map((key) => taps[key])
  const curve = splineThrough(around)
  const line = Array.from({ length: 240 }, (_, i) => curve.point(i / 239))
  const way = (from: Vec, to: Vec) => unit(subtract(from, to))
  const [first, last] = [line[0]!, line[line.length - 1]!]
  const whole = [
    along(first, way(first, line[8]!), BEYOND),
    ...line,
    along(last, way(last, line[line.length - 9]!), BEYOND),
  ]
  return area(whole) < 0 ? whole.reverse() : whole
}

/** The band cut where the branches end: the iron's own lightness and tint along its middle, up to where it is left. */
function ends(looks: Looks, band: Band): Band {
  const { points } = band
  const lookAt = (i: number) => {
    const across = [-3, -1.5, 0, 1.5, 3].map((out) => colourOf(looks.coarse, outFrom(band, i, out)))
    return [0, 1, 2].map((c) => median(across.map((lab) => lab[c]!)))
  }
  const colours = points.map((_, i) => lookAt(i))
  const cutAt = (order: number[]): number => {
    // What lies just before the tap is iron, what lies furthest beyond it is ground.
    const beyond = Math.round(BEYOND / 0.6)
    const mean = (from: number, to: number) =>
      [0, 1, 2].map((c) => median(order.slice(from, to).map((i) => colours[i]![c]!)))
    const iron = mean(beyond + 4, beyond + 40)
    const ground = mean(0, 12)
    const off = (colour: number[], to: number[]) => Math.hypot(...colour.map((value, c) => value - to[c]!))
    let [sum, least, at] = [0, Infinity, beyond]
    // The cut that leaves most ground before it and most iron behind it.
    order.slice(0, beyond + 20).forEach((i, k) => {
      if (sum < least) [least, at] = [sum, k]
      sum += off(colours[i]!, ground) - off(colours[i]!, iron)
    })
    return at
  }
  const order = points.map((_, i) => i)
  const from = cutAt(order)
  const to = points.length - cutAt([...order].reverse())
  return { ...band, points: points.slice(from, to), outward: band.outward.slice(from, to) }
}

/** Places across the web that are looked at for holes: how far to both sides of its middle, and how finely, mm. */
const WEB = 8
const GRAIN = 0.6
/** A hole is so much darker than the iron about it, and so large, mm². */
const DARKER = 16
const HOLE = [5, 70] as const

/** Dark places in the web that are as large as a nail's hole: the middle of each. */
function holesBetween({ coarse }: Looks, band: Band): Vec[] {
  const across = Math.round((2 * WEB) / GRAIN) + 1
  const light = band.points.map((_, i) =>
    Array.from({ length: across }, (_each, k) => colourOf(coarse, outFrom(band, i, k * GRAIN - WEB))[0]),
  )
  const usual = light.map((_, i) => median(light.slice(Math.max(0, i - 25), i + 26).flat()))
  const dark = light.map((column, i) => column.map((value) => value < usual[i]! - DARKER))
  const holes: Vec[] = []
  dark.forEach((column, i) =>
    column.forEach((is, k) => {
      if (!is) return
      const grains = takenOut(dark, i, k)
      const size = grains.length * GRAIN * GRAIN
      // What reaches the edge of the stretch is ground beside a narrow web, or a shadow.
      const inWeb = grains.every(([, at]) => at > 0 && at < across - 1)
      if (!inWeb || size < HOLE[0] || size > HOLE[1]) return
      const places = grains.map(([at, out]) => outFrom(band, at, out * GRAIN - WEB))
      holes.push(
        [0, 1].map(
          (c) => places.reduce((sum, place) => sum + place[c as 0 | 1], 0) / places.length,
        ) as unknown as Vec,
      )
    }),
  )
  return holes
}

/** Takes a dark place out of the grid: all grains that hang together with one. */
function takenOut(dark: boolean[][], i: number, k: number): [number, number][] {
  const found: [number, number][] = []
  const open: [number, number][] = [[i, k]]
  while (open.length > 0) {
    const [a, b] = open.pop()!
    const row = dark[a]
    if (!row?.[b]) continue
    row[b] = false
    found.push([a, b])
    open.push([a + 1, b], [a - 1, b], [a, b + 1], [a, b - 1])
  }
  return found
}
