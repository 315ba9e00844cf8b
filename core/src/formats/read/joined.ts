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
  /** The nearest end of a line that is not used yet, within reach. */
  const next = ([x, y]: Vec): { points: Vec[]; curve: number } | undefined => {
    let best: { curve: number; first: boolean } | undefined
    let nearest: number = JOINED
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1])
        for (const end of ends.get(cellOf(x + dx * JOINED, y + dy * JOINED)) ?? []) {
          if (used.has(end.curve)) continue
          const { points } = curves[end.curve]!
          const off = distance(points[end.first ? 0 : points.length - 1]!, [x, y])
          if (off <= nearest) [best, nearest] = [end, off]
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
