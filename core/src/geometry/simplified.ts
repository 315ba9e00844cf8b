import { distance, dot, subtract, type Vec } from './vector'

/**
 * A line with only those of its points that are needed to stay within a tolerance of all of them (Ramer 1972, Douglas
 * and Peucker 1973). Its ends stay.
 *
 * @param tolerance mm
 */
export function simplified(line: readonly Vec[], tolerance: number): Vec[] {
  if (line.length < 3) return [...line]
  const kept = new Array<boolean>(line.length).fill(false)
  kept[0] = kept[line.length - 1] = true
  const open: [number, number][] = [[0, line.length - 1]]
  for (let stretch = open.pop(); stretch; stretch = open.pop()) {
    const [from, to] = stretch
    let far = tolerance
    let at = -1
    for (let i = from + 1; i < to; i++) {
      const off = fromSegment(line[i]!, line[from]!, line[to]!)
      if (off > far) [far, at] = [off, i]
    }
    if (at < 0) continue
    kept[at] = true
    open.push([from, at], [at, to])
  }
  return line.filter((_, i) => kept[i])
}

/** How far a point lies from the straight piece between two others. */
function fromSegment(point: Vec, from: Vec, to: Vec): number {
  const along = subtract(to, from)
  const long = dot(along, along)
  const share = long === 0 ? 0 : Math.min(1, Math.max(0, dot(subtract(point, from), along) / long))
  return distance(point, [from[0] + along[0] * share, from[1] + along[1] * share])
}
