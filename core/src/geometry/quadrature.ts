/** Five-point Gauss-Legendre nodes and weights on [-1, 1] (Abramowitz and Stegun, table 25.4). */
const NODES = [
  [0, 0.5688888888888889],
  [0.5384693101056831, 0.47862867049936647],
  [0.906179845938664, 0.23692688505618908],
] as const

function gauss(f: (t: number) => number, from: number, to: number): number {
  const middle = (from + to) / 2
  const half = (to - from) / 2
  let sum = 0
  for (const [node, weight] of NODES) {
    sum += weight * (node === 0 ? f(middle) : f(middle - half * node) + f(middle + half * node))
  }
  return sum * half
}

/**
 * The integral of a smooth function, by Gauss-Legendre with halving until both halves agree.
 *
 * @param relative wanted relative error of the whole
 */
export function integrate(f: (t: number) => number, from: number, to: number, relative = 1e-9): number {
  const whole = gauss(f, from, to)
  const tolerance = Math.max(Math.abs(whole) * relative, 1e-14)
  return halve(f, from, to, whole, tolerance, 30)
}

function halve(
  f: (t: number) => number,
  from: number,
  to: number,
  whole: number,
  tolerance: number,
  depth: number,
): number {
  const middle = (from + to) / 2
  const left = gauss(f, from, middle)
  const right = gauss(f, middle, to)
  if (depth === 0 || Math.abs(left + right - whole) <= tolerance) return left + right
  return (
    halve(f, from, middle, left, tolerance / 2, depth - 1) +
    halve(f, middle, to, right, tolerance / 2, depth - 1)
  )
}
