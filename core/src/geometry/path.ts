import type { Curve } from './curve'
import { scale } from './vector'

/** Curves joined end to end into one; each piece takes an equal share of the parameter. */
export function path(pieces: readonly Curve[]): Curve {
  const count = pieces.length
  const breaks = [0]
  pieces.forEach((piece, i) => {
    for (let b = 1; b < piece.breaks.length; b++) breaks.push((i + piece.breaks[b]!) / count)
  })
  const locate = (t: number): [Curve, number] => {
    const i = Math.min(count - 1, Math.max(0, Math.floor(t * count)))
    return [pieces[i]!, t * count - i]
  }
  return {
    breaks,
    point: (t) => {
      const [piece, u] = locate(t)
      return piece.point(u)
    },
    derivative: (t) => {
      const [piece, u] = locate(t)
      return scale(piece.derivative(u), count)
    },
    second: (t) => {
      const [piece, u] = locate(t)
      return scale(piece.second(u), count * count)
    },
  }
}
