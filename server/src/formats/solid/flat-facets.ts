import type { Mesh } from '@crescent/core/solid'

/** Facets of less are lines, mm2: a file holds corners to some seven digits. */
const FLAT = 1e-9
const ROUNDS = 6

/**
 * The same surface without facets that are only lines: the one on the other side of the longest edge takes the corner in
 * between up. Nothing moves, and it stays closed. Corners are as a file holds them.
 */
export function withoutFlatFacets({ corners, triangles }: Mesh): Mesh {
  const points = corners.map(([x, y, z]) => [Math.fround(x), Math.fround(y), Math.fround(z)] as const)
  let facets = ofOnePlaceEach(points, facetsOf(triangles))
  for (let round = 0; round < ROUNDS; round++) {
    const edges = new Map<string, number>()
    facets.forEach((facet, i) => facet.forEach((from, k) => edges.set(`${from} ${facet[(k + 1) % 3]!}`, i)))
    const touched = new Set<number>()
    const gone = new Set<number>()
    const more: Facet[] = []
    facets.forEach((facet, i) => {
      if (touched.has(i) || areaOf(points, facet) > FLAT) return
      const [a, b, c] = longestFirst(points, facet)
      const beyond = edges.get(`${b} ${a}`)
      if (beyond === undefined || touched.has(beyond)) return
      const d = facets[beyond]!.find((corner) => corner !== a && corner !== b)!
      // An edge has two sides and no more.
      if (d !== c && (edges.has(`${c} ${d}`) || edges.has(`${d} ${c}`))) return
      for (const one of [i, beyond]) {
        touched.add(one)
        gone.add(one)
      }
      if (d !== c) more.push([a, c, d], [c, b, d])
    })
    if (gone.size === 0) break
    facets = [...facets.filter((_, i) => !gone.has(i)), ...more]
  }
  return { corners: points.map(([x, y, z]) => [x, y, z]), triangles: facets.flat() }
}

type Facet = readonly [number, number, number]
type Points = readonly (readonly [number, number, number])[]

const facetsOf = (triangles: readonly number[]): Facet[] =>
  Array.from({ length: triangles.length / 3 }, (_, i): Facet => [
    triangles[3 * i]!,
    triangles[3 * i + 1]!,
    triangles[3 * i + 2]!,
  ])

/** Corners at one place made one: facets that lose a side by it go, and so do those that fall on each other. */
function ofOnePlaceEach(points: Points, facets: readonly Facet[]): Facet[] {
  const first = new Map<string, number>()
  const one = points.map((point, i) => {
    const key = point.join(' ')
    const known = first.get(key)
    if (known === undefined) first.set(key, i)
    return known ?? i
  })
  const kept = facets
    .map(([a, b, c]): Facet => [one[a]!, one[b]!, one[c]!])
    .filter(([a, b, c]) => a !== b && b !== c && c !== a)
  const named = ([a, b, c]: Facet) => [a, b, c].sort((p, q) => p - q).join(' ')
  const times = new Map<string, number>()
  for (const facet of kept) times.set(named(facet), (times.get(named(facet)) ?? 0) + 1)
  return kept.filter((facet) => times.get(named(facet)) === 1)
}

const off = (points: Points, a: number, b: number): number =>
  Math.hypot(...points[a]!.map((value, axis) => value - points[b]![axis]!))

/** By its sides (Heron, as Kahan orders them for thin ones). */
function areaOf(points: Points, [a, b, c]: Facet): number {
  const [x, y, z] = [off(points, a, b), off(points, b, c), off(points, c, a)].sort((p, q) => q - p) as [
    number,
    number,
    number,
  ]
  return Math.sqrt(Math.max(0, (x + (y + z)) * (z - (x - y)) * (z + (x - y)) * (x + (y - z)))) / 4
}

/** A facet turned so that its longest edge runs from its first to its second corner. */
function longestFirst(points: Points, [a, b, c]: Facet): Facet {
  const turns: Facet[] = [
    [a, b, c],
    [b, c, a],
    [c, a, b],
  ]
  return turns.reduce((best, one) =>
    off(points, one[0], one[1]) > off(points, best[0], best[1]) ? one : best,
  )
}
