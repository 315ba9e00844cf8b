import { distance, type Vec } from '../../geometry/vector'
import { JOINED, tidied, type ReadCurve } from './curves'

/** Open lines whose ends meet become one; what meets its own beginning is closed. Lines of one layer only. */
export function joinedCurves(curves: readonly ReadCurve[]): ReadCurve[] {
  const whole = curves.filter(({ closed }) => closed)
  const layers = new Map<string, ReadCurve[]>()
  for (const curve of curves) {
    if (curve.closed) continue
    const own = layers.get(curve.layer)
    if (own) own.push(curve)
    else layers.set(curve.layer, [curve])
  }
  return [...whole, ...[...layers.values()].flatMap(joinedLayer)].flatMap((curve) => tidied(curve) ?? [])
}

/** Where more lines end at one place than in any drawing, the nearest of so many is taken. */
const MOST_AT_ONE_PLACE = 64

/** Names the cell of a net in which a place lies. */
const cellOf = (x: number, y: number): string => `${Math.round(x / JOINED)} ${Math.round(y / JOINED)}`

function joinedLayer(curves: readonly ReadCurve[]): ReadCurve[] {
  /** Ends by the cells they lie in: whose, and which. */
  const ends = new Map<string, { curve: number; first: boolean }[]>()
  curves.forEach(({ points }, curve) => {
    for (const first of [true, false]) {
      const [x, y] = points[first ? 0 : points.length - 1]!
      const cell = cellOf(x, y)
      const there = ends.get(cell)
      if (there) there.push({ curve, first })
      else ends.set(cell, [{ curve, first }])
    }
  })
  const used = new Set<number>()
  /** The ends in a cell whose lines are not used yet; those that are get out of the way once they are many. */
  const unusedIn = (cell: string) => {
    const there = ends.get(cell)
    if (!there) return []
    let first = 0
    while (first < there.length && used.has(there[first]!.curve)) first++
    if (first > 0) there.splice(0, first)
    return there.length > MOST_AT_ONE_PLACE ? there.slice(0, MOST_AT_ONE_PLACE) : there
  }
  /** The nearest end of a line that is not used yet, within reach. */
  const next = ([x, y]: Vec): { points: Vec[]; curve: number } | undefined => {
    let best: { curve: number; first: boolean } | undefined
    let nearest = Infinity
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1])
        for (const end of unusedIn(cellOf(x + dx * JOINED, y + dy * JOINED))) {
          if (used.has(end.curve)) continue
          const { points } = curves[end.curve]!
          const off = distance(points[end.first ? 0 : points.length - 1]!, [x, y])
          // Of those at one place the first: it gets out of the way of the others.
          if (off <= JOINED && off < nearest) [best, nearest] = [end, off]
        }
    if (!best) return undefined
    const { points } = curves[best.curve]!
    return { curve: best.curve, points: best.first ? points : [...points].reverse() }
  }
  return curves.flatMap((curve, i): ReadCurve[] => {
    if (used.has(i)) return []
    used.add(i)
    let pieces = [curve.points]
    const goOn = () => {
      for (;;) {
        const tail = pieces[pieces.length - 1]!
        const found = next(tail[tail.length - 1]!)
        if (!found) return
        used.add(found.curve)
        pieces.push(found.points)
      }
    }
    goOn()
    // Then from its other end.
    pieces = [[...pieces.flat()].reverse()]
    goOn()
    // As the first of them runs.
    return [{ ...curve, points: pieces.flat().reverse() }]
  })
}
