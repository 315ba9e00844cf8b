// Whoever compiles this file needs the shapes of a package that has none; the screens do so by another list of files.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./js-aruco2.d.ts" />
import aruco from 'js-aruco2'
import { distance, dot, mix, subtract, turnRight, unit, type Vec } from '../geometry/vector'
import { DICTIONARY } from './card'
import { inFull, lightAt, smaller, type Picture } from './picture'

/** A mark in a picture: its corners in pixels, clockwise from its own top left. */
export interface FoundMark {
  id: number
  corners: Vec[]
}

/** More wrong squares than these, and it is something else that looks like a mark. */
const WRONG = 3
/** Marks are looked for in the picture made so many times smaller: what is too coarse in one is found in the next. */
const SMALLER = [3, 2, 4, 6, 1]
/** A picture as large as this, across its shorter side, has marks enough for a coarser look first: half the work. */
const LARGE = 2_800
/** Profiles across each side of a mark, and how far they reach from it, as a share of the side. */
const PROFILES = 40
const REACH = 0.06

/** The marks of a card in a picture, and the numbers of those that lie in it more than once: there is a second card. */
export interface FoundMarks {
  marks: FoundMark[]
  twice: number[]
}

/**
 * Looks for the four marks of a card.
 *
 * @returns those that were found, by their number; corners to about a tenth of a pixel
 */
export function findMarks(picture: Picture): FoundMarks {
  const found = new Map<number, Vec[]>()
  const twice = new Set<number>()
  const detector = new aruco.AR.Detector({ dictionaryName: DICTIONARY, maxHammingDistance: WRONG })
  const large = Math.min(picture.width, picture.height) >= LARGE
  for (const by of new Set([...(large ? [4] : []), ...SMALLER])) {
    if (Math.min(picture.width, picture.height) / by < 160) continue
    // A picture of a small camera is looked at as it is; a large one at full size would take seconds and find no more.
    if (by === 1 && picture.width * picture.height > 3_000_000) continue
    const { width, height, data } = by === 1 ? picture : smaller(picture, by)
    for (const { id, corners } of detector.detectImage(width, height, data)) {
      if (id >= 4) continue
      const full = corners.map(({ x, y }) => inFull([x, y], by))
      const known = found.get(id)
      if (!known) found.set(id, full)
      else if (distance(known[0]!, full[0]!) > distance(known[0]!, known[2]!)) twice.add(id)
    }
    if (found.size === 4) break
  }
  const marks = [...found]
    .sort(([a], [b]) => a - b)
    .map(([id, corners]) => ({ id, corners: sharpened(picture, corners) }))
  return { marks, twice: [...twice].sort() }
}

/** Corners where the lines along the sides meet: each line lies where the picture turns from white to black. */
function sharpened(picture: Picture, corners: readonly Vec[]): Vec[] {
  let at = [...corners]
  for (let round = 0; round < 2; round++) {
    const lines = at.map((corner, i) => lineAlong(picture, corner, at[(i + 1) % 4]!))
    const met = at.map((corner, i) => meeting(lines[(i + 3) % 4]!, lines[i]!) ?? corner)
    // A side that was not seen leads somewhere else: then the corner stays.
    at = met.map((point, i) => (distance(point, at[i]!) < distance(at[0]!, at[2]!) * 0.08 ? point : at[i]!))
  }
  return at
}

/** A straight line: all places whose part along `normal` is `off`. */
interface Line {
  normal: Vec
  off: number
}

/** The line along one side: through the middle of the edge in each profile, those far off left out. */
function lineAlong(picture: Picture, from: Vec, to: Vec): Line {
  const outward = turnRight(unit(subtract(to, from)))
  const reach = Math.max(2.5, distance(from, to) * REACH)
  const edges: Vec[] = []
  for (let i = 0; i < PROFILES; i++) {
    const at = mix(from, to, 0.08 + (0.84 * i) / (PROFILES - 1))
    let [sum, weight] = [0, 0]
    const step = reach / 16
    const light = (n: number) => lightAt(picture, at[0] + outward[0] * n, at[1] + outward[1] * n)
    let before = light(-16 * step)
    for (let j = -16; j < 16; j++) {
      const here = light((j + 1) * step)
      const rise = here - before
      before = here
      // The middle of the edge is the middle of the squared slope.
      sum += rise * rise * (j + 0.5) * step
      weight += rise * rise
    }
    if (weight > 60) {
      const off = sum / weight
      edges.push([at[0] + outward[0] * off, at[1] + outward[1] * off])
    }
  }
  if (edges.length < 8) return { normal: outward, off: dot(outward, from) }
  return fitted(nearMost(edges, outward))
}

/** The places that lie near the line through the most of them: three rounds of leaving out what is far off. */
function nearMost(points: Vec[], outward: Vec): Vec[] {
  let near = points
  for (let round = 0; round < 3; round++) {
    const { normal, off } = fitted(near)
    const offs = near.map((point) => Math.abs(dot(normal, point) - off)).sort((a, b) => a - b)
    const limit = Math.max(0.15, 2.5 * offs[Math.floor(offs.length / 2)]!)
    const kept = near.filter((point) => Math.abs(dot(normal, point) - off) <= limit)
    if (kept.length < 8 || kept.length === near.length || Math.abs(dot(normal, outward)) < 0.9) break
    near = kept
  }
  return near
}

/** The line nearest to points in the least squares of their distances from it. */
function fitted(points: readonly Vec[]): Line {
  const n = points.length
  const [mx, my] = [
    points.reduce((sum, [x]) => sum + x, 0) / n,
    points.reduce((sum, [, y]) => sum + y, 0) / n,
  ]
  let [xx, xy, yy] = [0, 0, 0]
  for (const [x, y] of points) {
    xx += (x - mx) ** 2
    xy += (x - mx) * (y - my)
    yy += (y - my) ** 2
  }
  const turn = 0.5 * Math.atan2(2 * xy, xx - yy)
  const normal: Vec = [-Math.sin(turn), Math.cos(turn)]
  return { normal, off: normal[0] * mx + normal[1] * my }
}

function meeting(a: Line, b: Line): Vec | undefined {
  const under = a.normal[0] * b.normal[1] - a.normal[1] * b.normal[0]
  if (Math.abs(under) < 0.2) return undefined
  return [
    (a.off * b.normal[1] - b.off * a.normal[1]) / under,
    (b.off * a.normal[0] - a.off * b.normal[0]) / under,
  ]
}
