import { arcLength, type Curve } from '../geometry/curve'
import { dot, magnitude, subtract, type Vec } from '../geometry/vector'

/** For tests: the parameter that lies `length` mm of arc behind the start, held within 0 and 1. */
export function parameterAtLength(curve: Curve, length: number): number {
  let low = 0
  let high = 1
  let t = Math.min(1, Math.max(0, length / arcLength(curve)))
  for (let i = 0; i < 60; i++) {
    const miss = arcLength(curve, 0, t) - length
    if (Math.abs(miss) < 1e-9) break
    if (miss > 0) high = t
    else low = t
    const step = t - miss / magnitude(curve.derivative(t))
    t = step > low && step < high ? step : (low + high) / 2
  }
  return t
}

/** For tests: the parameter of the point of the curve that lies nearest to `target`. */
export function nearestParameter(curve: Curve, target: Vec): number {
  const gap = (t: number) => magnitude(subtract(curve.point(t), target))
  let best = 0
  for (let i = 1; i < curve.breaks.length; i++) {
    const t = nearestInPiece(curve, target, curve.breaks[i - 1]!, curve.breaks[i]!)
    if (gap(t) < gap(best)) best = t
  }
  return best
}

/** Looks at a piece in 24 steps, then runs Newton on the square of the distance beside the best step. */
function nearestInPiece(curve: Curve, target: Vec, from: number, to: number): number {
  const steps = 24
  const at = (i: number) => from + ((to - from) * i) / steps
  const gap = (t: number) => magnitude(subtract(curve.point(t), target))
  let best = 0
  for (let i = 1; i <= steps; i++) if (gap(at(i)) < gap(at(best))) best = i
  let low = at(Math.max(0, best - 1))
  let high = at(Math.min(steps, best + 1))
  let t = at(best)
  for (let i = 0; i < 60 && high - low > 1e-15; i++) {
    const away = subtract(curve.point(t), target)
    const first = curve.derivative(t)
    const slope = dot(away, first)
    if (slope > 0) high = t
    else low = t
    const bend = dot(first, first) + dot(away, curve.second(t))
    const next = t - slope / bend
    const inside = bend > 0 && next >= low && next <= high
    const moved = inside ? next : (low + high) / 2
    if (Math.abs(moved - t) < 1e-15) break
    t = moved
  }
  return [low, high, at(best)].reduce((a, b) => (gap(b) < gap(a) ? b : a), t)
}
