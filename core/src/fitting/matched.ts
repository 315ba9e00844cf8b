import { Matrix, solve } from 'ml-matrix'
import { add, rotated, type Vec } from '../geometry/vector'
import type { Half } from '../terms/half'
import { bent, turnOf, type Bend } from './bend'
import { branchLength, pointAt, stationOf, type Centreline } from './centreline'

/** A rigid move: turned about the origin by radians, then shifted, mm. */
export interface Move {
  turn: number
  x: number
  y: number
}

export const moved = (point: Vec, { turn, x, y }: Move): Vec => add(rotated(point, turn), [x, y])

/** Points the two are compared at. */
export const SAMPLES = 96

/** What lies along the target counts this much: where a point was taken along the bar is less sure than how far off it is. */
const ALONG = 0.8

/** The target as it is compared: its points at even shares of its length, with the direction at each. */
export interface Target {
  line: Centreline
  points: Vec[]
  ways: Vec[]
  /** How its samples answer to a shift across and along: the same wherever a line lies. */
  shifts: readonly [Float64Array, Float64Array]
}

/** A line made ready to be compared with. */
export function targetOf(line: Centreline): Target {
  const even = sampled(line)
  const ways = even.points.map((_, i): Vec => {
    const before = even.points[Math.max(0, i - 1)]!
    const after = even.points[Math.min(SAMPLES - 1, i + 1)]!
    const long = Math.hypot(after[0] - before[0], after[1] - before[1]) || 1
    return [(after[0] - before[0]) / long, (after[1] - before[1]) / long]
  })
  const shifts = [column(ways, ALL_ALIKE, NOWHERE), column(ways, NOWHERE, ALL_ALIKE)] as const
  return { line, points: [...even.points], ways, shifts }
}

/**
 * A line at even shares of either branch, so that the same share of two lines is the same place of the bar. Noise in
 * the points makes a measured line longer than it is; by shares that falls out.
 */
export function sampled(line: Centreline): Centreline {
  const half = SAMPLES / 2
  const stations = Array.from({ length: SAMPLES }, (_, i) => {
    const share = (i + 0.5) / half - 1
    return share < 0 ? line.toe * (1 + share) : line.toe + share * branchLength(line, 'medial')
  })
  const points = stations.map((station) => pointAt(line, station))
  return { points, stations, toe: line.toe }
}

/**
 * How each sample answers to a move of its own, across and along the target. Plain numbers into one list: it runs for every
 * place of every try.
 *
 * @param x how each sample moves, mm
 */
function column(ways: readonly Vec[], x: Float64Array, y: Float64Array): Float64Array {
  const found = new Float64Array(2 * SAMPLES)
  for (let i = 0; i < SAMPLES; i++) {
    const way = ways[i]!
    found[2 * i] = x[i]! * way[1] - y[i]! * way[0]
    found[2 * i + 1] = (x[i]! * way[0] + y[i]! * way[1]) * ALONG
  }
  return found
}

const NOWHERE = new Float64Array(SAMPLES)
const ALL_ALIKE = new Float64Array(SAMPLES).fill(1)

/** A turn about the origin, and the two shifts. */
function rigidColumns({ ways, shifts }: Target, { points }: Centreline): Float64Array[] {
  const [x, y] = [new Float64Array(SAMPLES), new Float64Array(SAMPLES)]
  for (let i = 0; i < SAMPLES; i++) {
    x[i] = -points[i]![1]
    y[i] = points[i]![0]
  }
  return [column(ways, x, y), ...shifts]
}

/** What a radian of a bend does to each sample; the samples of a line lie at its stations. */
export function bendColumn(target: Target, line: Centreline, branch: Half, fromToe: number): Float64Array {
  const station = stationOf(line, branch, fromToe)
  const pivot = pointAt(line, station)
  const sign = turnOf(line.points, branch)
  const [x, y] = [new Float64Array(SAMPLES), new Float64Array(SAMPLES)]
  for (let i = 0; i < SAMPLES; i++) {
    const behind = branch === 'lateral' ? line.stations[i]! < station : line.stations[i]! > station
    if (!behind) continue
    x[i] = -(line.points[i]![1] - pivot[1]) * sign
    y[i] = (line.points[i]![0] - pivot[0]) * sign
  }
  return column(target.ways, x, y)
}

/** What is wanting from each sample to its place on the target. */
export function wanting({ points, ways }: Target, line: Centreline): Float64Array {
  const [x, y] = [new Float64Array(SAMPLES), new Float64Array(SAMPLES)]
  for (let i = 0; i < SAMPLES; i++) {
    x[i] = points[i]![0] - line.points[i]![0]
    y[i] = points[i]![1] - line.points[i]![1]
  }
  return column(ways, x, y)
}

/** The sum of two columns' products. */
export const product = (a: Float64Array, b: Float64Array): number => {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!
  return sum
}

/** Least squares over columns. */
export function leastSquares(columns: readonly Float64Array[], wanted: Float64Array): number[] {
  const n = columns.length
  const normal = new Matrix(n, n)
  for (let i = 0; i < n; i++)
    for (let j = i; j < n; j++) {
      const value = product(columns[i]!, columns[j]!)
      normal.set(i, j, value)
      normal.set(j, i, value)
    }
  const right = Matrix.columnVector(columns.map((one) => product(one, wanted)))
  // A hair on the diagonal: two bends at one place are no reason to fail.
  for (let i = 0; i < n; i++) normal.set(i, i, normal.get(i, i) * (1 + 1e-9) + 1e-12)
  return solve(normal, right).to1DArray()
}

/** Columns and what is wanted with all that a turn and a shift can do taken out of them. */
export function withoutRigid(
  target: Target,
  line: Centreline,
  columns: readonly Float64Array[],
  wanted: Float64Array,
): { columns: Float64Array[]; wanted: Float64Array } {
  const basis: Float64Array[] = []
  const without = (vector: Float64Array): Float64Array => {
    const left = Float64Array.from(vector)
    for (const one of basis) {
      const share = product(one, left)
      for (let i = 0; i < left.length; i++) left[i]! -= share * one[i]!
    }
    return left
  }
  for (const rigid of rigidColumns(target, line)) {
    const left = without(rigid)
    const size = Math.sqrt(product(left, left))
    if (size > 1e-9) basis.push(left.map((value) => value / size))
  }
  return { columns: columns.map(without), wanted: without(wanted) }
}

/** Steps smaller than these are none: radians and mm. */
const NEAR = { turn: 2e-5, shift: 1e-3 }

/** A line turned and shifted as a whole, however it lay: middle to middle, every sample counting alike. */
function turnedOnto({ points }: Target, line: Centreline): Centreline {
  const middle = (of: readonly Vec[]): Vec => [
    of.reduce((sum, [x]) => sum + x, 0) / SAMPLES,
    of.reduce((sum, [, y]) => sum + y, 0) / SAMPLES,
  ]
  const [p, q] = [middle(line.points), middle(points)]
  let [sine, cosine] = [0, 0]
  for (let i = 0; i < SAMPLES; i++) {
    const [a, b] = [line.points[i]![0] - p[0], line.points[i]![1] - p[1]]
    const [c, d] = [points[i]![0] - q[0], points[i]![1] - q[1]]
    sine += a * d - b * c
    cosine += a * c + b * d
  }
  const turn = Math.atan2(sine, cosine)
  const [x, y] = rotated(p, turn)
  return { ...line, points: line.points.map((point) => moved(point, { turn, x: q[0] - x, y: q[1] - y })) }
}

/** Turns and shifts a line so that it lies best on its target; a few steps, since a turn is no straight line. */
export function laidOn(target: Target, line: Centreline): Centreline {
  let at = turnedOnto(target, line)
  for (let i = 0; i < 6; i++) {
    const [turn, x, y] = leastSquares(rigidColumns(target, at), wanting(target, at)) as [
      number,
      number,
      number,
    ]
    at = { ...at, points: at.points.map((point) => moved(point, { turn, x, y })) }
    if (Math.abs(turn) < NEAR.turn && Math.hypot(x, y) < NEAR.shift) break
  }
  return at
}

/**
 * The angles of bends at given places that bring a line nearest to its target, degrees; and the line with them, laid on it.
 *
 * @param places with the angle to begin from, where it is far from none
 */
export function bestAngles(
  target: Target,
  line: Centreline,
  places: readonly (Pick<Bend, 'branch' | 'fromToe'> & Partial<Pick<Bend, 'angle'>>)[],
): { bends: Bend[]; line: Centreline } {
  const bends = places.map(({ angle = 0, ...place }): Bend => ({ ...place, angle }))
  let now = laidOn(target, bends.reduce(bent, line))
  for (let step = 0; step < 5 && bends.length > 0; step++) {
    const columns = places.map(({ branch, fromToe }) => bendColumn(target, now, branch, fromToe))
    const more = leastSquares([...columns, ...rigidColumns(target, now)], wanting(target, now))
    places.forEach((_, i) => (bends[i]!.angle += (more[i]! * 180) / Math.PI))
    now = laidOn(target, bends.reduce(bent, line))
    if (places.every((_, i) => Math.abs(more[i]!) < NEAR.turn)) break
  }
  return { bends, line: now }
}

/** Noise is averaged over so many samples either way: some 12 mm of bar. */
const SMOOTHED = 4

/** So many times what the noise of the points may make of a place by itself is taken off it. */
const DOUBT = 1.5

/**
 * The greatest distance of a place of a laid line from its own place on the target, mm: the noise of single points averaged
 * out, and what is left of it allowed for. Points without noise are read as they are.
 *
 * @returns it, and by how much single points are off either way, mm
 */
export function furthestOff(target: Target, line: Centreline): { off: number; noise: number } {
  const off = wanting(target, line)
  const read = Array.from({ length: SAMPLES }, (_, i) => {
    // As many samples at the ends as elsewhere: a few points by themselves are noise.
    const from = Math.min(SAMPLES - 1 - 2 * SMOOTHED, Math.max(0, i - SMOOTHED))
    return { across: fittedAt(off, 0, from, i), along: fittedAt(off, 1, from, i) / ALONG, from }
  })
  const noise = Math.sqrt(
    read.reduce(
      (sum, { across, along }, i) =>
        sum + (off[2 * i]! - across) ** 2 + (off[2 * i + 1]! / ALONG - along) ** 2,
      0,
    ) /
      (2 * SAMPLES),
  )
  const furthest = read.reduce((most, { across, along, from }, i) => {
    const doubt = DOUBT * noise * Math.sqrt(1 / WINDOW + (i - from - SMOOTHED) ** 2 / SPREAD)
    return Math.max(most, Math.hypot(across, along) - doubt)
  }, 0)
  return { off: furthest, noise }
}

const WINDOW = 2 * SMOOTHED + 1

/** Sum of squares of the places in a window about its middle. */
const SPREAD = (SMOOTHED * (SMOOTHED + 1) * WINDOW) / 3

/** A straight line fitted through what is off across or along in the window from a sample on, read at one of them. */
function fittedAt(off: Float64Array, part: 0 | 1, from: number, at: number): number {
  let [sum, slope] = [0, 0]
  for (let k = 0; k < WINDOW; k++) {
    const value = off[2 * (from + k) + part]!
    sum += value
    slope += value * (k - SMOOTHED)
  }
  return sum / WINDOW + (slope / SPREAD) * (at - from - SMOOTHED)
}

/** A measured line told by the stations of its target: by shares of either branch, so that fromToe means the same on both. */
export function asLongAs(line: Centreline, target: Centreline): Centreline {
  const [lateral, medial] = [
    target.toe / line.toe,
    branchLength(target, 'medial') / branchLength(line, 'medial'),
  ]
  const stations = line.stations.map((station) =>
    station < line.toe ? station * lateral : target.toe + (station - line.toe) * medial,
  )
  return { points: line.points, stations, toe: target.toe }
}
