import type { Vec } from '@crescent/core'
import { depthAt, type Plane } from '@crescent/core/going'

/** A strip of the shoe that lies about as deep: its depth in mm, and the strip across the drawing, in the foot's frame. */
export interface SinkBand {
  from: number
  to: number
  /** 0 hardly sinks, 3 sinks most; -1 comes up clear of the ground. */
  level: -1 | 0 | 1 | 2 | 3
  strip: readonly Vec[]
}

/** Depths nearer to each other than this are one to the eye, mm. */
const ALIKE = 0.4

/** How far a strip reaches beyond the shoe, mm. */
const FAR = 400

/** The shoe cut into strips by how deep they lie: one where it sinks alike, up to four, and what is clear of the ground. */
export function sinkBands(plane: Plane, points: readonly Vec[]): SinkBand[] {
  const depths = points.map((point) => depthAt(plane, point))
  const [low, high] = [Math.min(...depths), Math.max(...depths)]
  if (high < ALIKE / 4) return []
  const least = Math.max(0, low)
  const count = high - least < ALIKE ? 1 : 4
  const step = (high - least) / count
  const bands = Array.from({ length: count }, (_, i): SinkBand => {
    const [from, to] = [least + step * i, least + step * (i + 1)]
    return { from, to, level: (count === 1 ? 1 : i) as SinkBand['level'], strip: stripOf(plane, from, to) }
  })
  if (low >= 0) return bands
  return [{ from: low, to: 0, level: -1, strip: stripOf(plane, low, 0) }, ...bands]
}

/** All between two depths, as a broad strip; everywhere where the plane is level. */
function stripOf(plane: Plane, from: number, to: number): Vec[] {
  const { c, p, q } = plane
  const slope = Math.hypot(p, q)
  if (slope < 1e-6)
    return [
      [-FAR, -FAR],
      [FAR, -FAR],
      [FAR, FAR],
      [-FAR, FAR],
    ]
  const [ux, uy] = [p / slope, q / slope]
  // A hair of overlap: no line of paper shows between two strips.
  const [near, far] = [(from - c) / slope - 0.05, (to - c) / slope + 0.05]
  const at = (down: number, across: number): Vec => [ux * down - uy * across, uy * down + ux * across]
  return [at(near, -FAR), at(near, FAR), at(far, FAR), at(far, -FAR)]
}
